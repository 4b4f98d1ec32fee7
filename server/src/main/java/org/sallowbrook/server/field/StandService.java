package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.field.Tag;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.herbarium.UsesTaxon;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stands: where a plant grows, and on what ground. */
@Service
@Transactional
public class StandService implements UsesTaxon {

    /**
     * @param taxonId what it is taken for; null while nobody knows
     * @param reason why a safeguard of the site is taken back; needed only then
     */
    public record StandRequest(
            UUID id,
            @Nullable String taxonId,
            String name,
            String place,
            Site.Ground ground,
            Site.Permission permission,
            Site.Plenty plenty,
            Boolean protectedSpecies,
            @Nullable String neighbour,
            @Nullable Double latitude,
            @Nullable Double longitude,
            @Nullable Double elevationM,
            @Nullable Integer growingSince,
            @Nullable String reason) {}

    /** @param characters by their names in the vocabulary */
    public record SettlesView(LifeStage stage, List<Integer> months, List<String> characters) {}

    /**
     * @param commonName of what it is taken for; in words when nobody knows
     * @param perhaps what its last look was most like, while that led "none of these"
     * @param settles when the last look said it can be told; null when it is certain, or no stage is known
     */
    public record StandView(
            UUID id,
            Long version,
            @Nullable String taxonId,
            String commonName,
            @Nullable String scientificName,
            @Nullable String perhaps,
            @Nullable SettlesView settles,
            String name,
            String place,
            Site.Ground ground,
            Site.Permission permission,
            Site.Plenty plenty,
            Boolean protectedSpecies,
            @Nullable String neighbour,
            @Nullable Double latitude,
            @Nullable Double longitude,
            @Nullable Double elevationM,
            @Nullable Integer growingSince,
            Boolean doubted,
            @Nullable String doubtReason,
            @Nullable LocalDate putAwayOn,
            @Nullable String putAwayReason,
            IdentityOnRecord.SecondLook secondLook,
            LookService.@Nullable IdentificationView identification) {}

    private final Stands stands;
    private final StandIdentifications identifications;
    private final LookReader looks;
    private final Harvests harvests;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    StandService(
            Stands stands,
            StandIdentifications identifications,
            LookReader looks,
            Harvests harvests,
            HerbariumService herbarium,
            PeopleService people,
            Gatekeeper gatekeeper,
            Once once,
            ApplicationEventPublisher events,
            Clock clock) {
        this.stands = stands;
        this.identifications = identifications;
        this.looks = looks;
        this.harvests = harvests;
        this.herbarium = herbarium;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.events = events;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<StandView> stands() {
        Map<UUID, StandIdentification> newest = new HashMap<>();
        identifications.newest().forEach(i -> newest.putIfAbsent(i.standId, i));
        Map<UUID, List<IdentityOnRecord.Look>> seen = new HashMap<>();
        identifications
                .since(people.today().minusDays(Tag.VALID_DAYS))
                .forEach(i -> seen.computeIfAbsent(i.standId(), k -> new java.util.ArrayList<>())
                        .add(i.look()));
        return stands.findAllByPutAwayOnIsNullOrderByName().stream()
                .map(s -> view(s, newest.get(s.id), seen.getOrDefault(s.id, List.of())))
                .toList();
    }

    @Transactional(readOnly = true)
    public StandView stand(UUID id) {
        return view(find(id));
    }

    public StandView add(StandRequest request) {
        if (once.repeated("stand", request.id(), stands::existsById, request)) {
            return view(find(request.id()));
        }
        Stand stand = new Stand(request.id());
        fill(stand, request);
        return view(stands.saveAndFlush(stand));
    }

    public StandView change(UUID id, StandRequest request, @Nullable String ifMatch) {
        Stand stand = find(id);
        stand.checkVersion(ifMatch, () -> view(stand));
        if (!stand.taxonId().equals(request.taxonId() == null ? "" : request.taxonId())
                && harvests.existsByStandId(id)) {
            throw new Problem.Conflict("Something was picked here under its present name. Doubt the stand instead.");
        }
        Site before = stand.site();
        Integer since = stand.growingSince;
        fill(stand, request);
        List<String> loosened = new ArrayList<>(before.loosenedBy(stand.site()));
        if (HarvestGate.olderThanSaid(since, stand.growingSince)) {
            loosened.add("growingSince");
        }
        loosened(id, loosened, request.reason());
        if (before.ground() != Site.Ground.CONTAMINATED && stand.ground == Site.Ground.CONTAMINATED) {
            stands.saveAndFlush(stand);
            events.publishEvent(new GroundCondemned(id, stand.name));
        }
        return view(stands.saveAndFlush(stand));
    }

    /** Out of the lists, with all that came from it as it was. Nothing is picked there until it is brought back. */
    public StandView putAway(UUID id, StrikeRequest request, @Nullable String ifMatch) {
        Stand stand = find(id);
        stand.checkVersion(ifMatch, () -> view(stand));
        stand.putAwayReason = request.checked();
        stand.putAwayOn = people.today();
        return view(stands.saveAndFlush(stand));
    }

    public StandView bringBack(UUID id) {
        Stand stand = find(id);
        stand.putAwayOn = null;
        stand.putAwayReason = null;
        return view(stands.saveAndFlush(stand));
    }

    /** A stand that was made by mistake: with its looks, stakes and pictures, as long as nothing was ever picked there. */
    public void remove(UUID id, @Nullable String ifMatch) {
        Stand stand = find(id);
        stand.checkVersion(ifMatch, () -> view(stand));
        if (harvests.everAtStand(id)) {
            throw new Problem.Conflict("Something was picked here, so its record stays. Put the stand away instead.");
        }
        stands.delete(stand);
        stands.flush();
    }

    /** A page of the stands that were put away, newest first. */
    @Transactional(readOnly = true)
    public Past putAway(int page) {
        return Past.of(
                stands.findAllByPutAwayOnIsNotNullOrderByPutAwayOnDescIdDesc(Past.page(page)),
                s -> new Past.Entry(
                        s.id,
                        s.name,
                        s.place,
                        java.util.Objects.requireNonNull(s.putAwayOn),
                        String.valueOf(s.putAwayReason)));
    }

    /** What a gate holds by is taken back by a keeper, who says why. */
    private void loosened(UUID id, List<String> fields, @Nullable String reason) {
        if (fields.isEmpty()) {
            return;
        }
        if (Member.current().role() != Member.Role.KEEPER) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "KEEPER_DECIDES",
                    "That the place is safe, allowed or plentiful again is for the household's keeper to say.",
                    "Ask the keeper to change it.")));
        }
        Checks.begin()
                .that(
                        reason != null && !reason.isBlank() && reason.length() <= 300,
                        "reason",
                        "must say what has changed")
                .done();
        gatekeeper.record(
                "site",
                id,
                "SITE_" + String.join("+", fields),
                String.valueOf(reason).strip());
    }

    private void fill(Stand stand, StandRequest request) {
        if (request.taxonId() != null) {
            herbarium.taxon(request.taxonId());
        }
        Checks.begin()
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(
                        !request.place().isBlank() && request.place().length() <= 120,
                        "place",
                        "must have 1 to 120 letters")
                .that(
                        request.neighbour() == null || request.neighbour().length() <= 120,
                        "neighbour",
                        "must have at most 120 letters")
                .done();
        stand.taxonId = request.taxonId();
        Checks where = Checks.begin()
                .that(
                        (request.latitude() == null) == (request.longitude() == null),
                        "longitude",
                        "is given together with latitude, or neither");
        if (request.latitude() != null && request.longitude() != null) {
            where.range("latitude", request.latitude(), -66, 66).range("longitude", request.longitude(), -180, 180);
        }
        if (request.elevationM() != null) {
            where.range("elevationM", request.elevationM(), -450, 5000);
        }
        if (request.growingSince() != null) {
            where.range(
                    "growingSince", request.growingSince(), 1500, people.today().getYear());
        }
        where.done();
        stand.latitude = request.latitude();
        stand.longitude = request.longitude();
        stand.elevationM = request.elevationM();
        stand.growingSince = request.growingSince();
        stand.name = request.name().strip();
        stand.place = request.place().strip();
        stand.ground = request.ground();
        stand.permission = request.permission();
        stand.plenty = request.plenty();
        stand.protectedSpecies = request.protectedSpecies();
        stand.neighbour = request.neighbour() == null || request.neighbour().isBlank()
                ? null
                : request.neighbour().strip();
    }

    /** Marks a stand as doubted; nothing is picked there until it is identified again by two people. */
    public StandView doubt(UUID standId, String reason, @Nullable String ifMatch) {
        Stand stand = find(standId);
        stand.checkVersion(ifMatch, () -> view(stand));
        Checks.begin().that(!reason.isBlank(), "reason", "must say why").done();
        stand.doubted = true;
        stand.doubtReason = reason.strip();
        stand.doubtedAt = clock.instant();
        return view(stands.saveAndFlush(stand));
    }

    @Override
    @Transactional(readOnly = true)
    public boolean uses(String taxonId) {
        return stands.existsByTaxonId(taxonId);
    }

    Stand find(UUID id) {
        return stands.findById(id).orElseThrow(() -> new Problem.NotFound("stand"));
    }

    StandView view(Stand s) {
        return view(
                s,
                identifications
                        .findFirstByStandIdAndForTaxonOrderByOnDayDescKeptAtDesc(s.id, s.taxonId())
                        .orElse(null),
                looks.looks(s));
    }

    private StandView view(Stand s, @Nullable StandIdentification newest, List<IdentityOnRecord.Look> seen) {
        Taxon taxon = s.taxonId == null ? null : herbarium.taxon(s.taxonId);
        String perhaps = taxon != null || newest == null || newest.taxonId == null || !newest.leads
                ? null
                // A card of the household's own may be gone since.
                : herbarium
                        .herbarium()
                        .taxon(newest.taxonId)
                        .map(Taxon::commonName)
                        .orElse(null);
        return new StandView(
                s.id,
                s.version == null ? 0 : s.version,
                s.taxonId,
                taxon != null ? taxon.commonName() : perhaps == null ? "unknown plant" : "unknown, perhaps " + perhaps,
                taxon == null ? null : taxon.name(),
                perhaps,
                newest == null ? null : looks.settles(newest),
                s.name,
                s.place,
                s.ground,
                s.permission,
                s.plenty,
                s.protectedSpecies,
                s.neighbour,
                s.latitude,
                s.longitude,
                s.elevationM,
                s.growingSince,
                s.doubted,
                s.doubtReason,
                s.putAwayOn,
                s.putAwayReason,
                looks.second(s, people.today(), seen),
                newest == null ? null : looks.view(newest));
    }
}
