package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.Instant;
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
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.herbarium.UsesTaxon;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
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
     * @param reason why a safeguard of the site is taken back; second: who signed for it; needed only then
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
            @Nullable String reason,
            @Nullable UUID second) {}

    /** @param characters by their names in the vocabulary */
    public record SettlesView(LifeStage stage, List<Integer> months, List<String> characters) {}

    /**
     * @param commonName of what it is taken for; in words when nobody knows
     * @param perhaps what its last look was most like, while that led "none of these"
     * @param certain whether what it is said to be is told from what is dangerous, with a second look where one is wanted
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
            Boolean certain,
            LookService.@Nullable IdentificationView identification) {}

    private final Stands stands;
    private final StandIdentifications identifications;
    private final LookReader looks;
    private final Harvests harvests;
    private final PastHarvests past;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final LooseningService loosening;
    private final Once once;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    StandService(
            Stands stands,
            StandIdentifications identifications,
            LookReader looks,
            Harvests harvests,
            PastHarvests past,
            HerbariumService herbarium,
            PeopleService people,
            LooseningService loosening,
            Once once,
            ApplicationEventPublisher events,
            Clock clock) {
        this.stands = stands;
        this.identifications = identifications;
        this.looks = looks;
        this.harvests = harvests;
        this.past = past;
        this.herbarium = herbarium;
        this.people = people;
        this.loosening = loosening;
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
        laidAnew(stand, request);
        return view(stands.saveAndFlush(stand));
    }

    /** What was noted against a place is not left behind by giving the place another stand. */
    private void laidAnew(Stand stand, StandRequest request) {
        for (Stand other : stands.findAll()) {
            String against =
                    whereOf(other).isThatOf(whereOf(stand)) && !other.id.equals(stand.id) ? against(other) : null;
            if (against == null || stand.ground == Site.Ground.CONTAMINATED) {
                continue;
            }
            String was = other.name + ", here or within " + Words.figure(Site.SAME_PLACE_M)
                    + " m, has this against it: " + against;
            if (request.reason() == null || request.reason().isBlank()) {
                throw new Problem.Refused(List.of(Finding.stop(
                        "SAME_PLACE",
                        was + ".",
                        "Note the same here, or let the keeper, or two people together, say why it does not hold for"
                                + " this stand.")));
            }
            loosening.pass(
                    Loosening.Safeguard.GROUND, stand.id, new StrikeRequest(request.reason(), request.second()), was);
            return;
        }
    }

    private static Site.Where whereOf(Stand s) {
        return new Site.Where(s.taxonId(), s.place, s.latitude, s.longitude);
    }

    /** What was noted for safety of a stand, in words; null where nothing was. */
    private @Nullable String against(Stand s) {
        if (s.doubted) {
            return "it is doubted: " + s.doubtReason;
        }
        if (s.ground == Site.Ground.CONTAMINATED) {
            return "its ground is contaminated";
        }
        return identifications.findAllByStandIdOrderByOnDayDescKeptAtDesc(s.id).stream()
                .filter(i -> i.status == Identification.Status.STOP)
                .findFirst()
                .map(i -> "a look of " + Words.day(i.onDay) + " came to STOP")
                .orElse(null);
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
        String named = stand.taxonId();
        String against = against(stand);
        fill(stand, request);
        StrikeRequest because = new StrikeRequest(request.reason() == null ? "" : request.reason(), request.second());
        if (!named.equals(stand.taxonId()) && against != null) {
            loosening.pass(Loosening.Safeguard.STAND_NAME, id, because, "as " + called(named) + ", " + against);
        }
        List<String> loosened = new ArrayList<>(before.loosenedBy(stand.site()));
        if (HarvestGate.olderThanSaid(since, stand.growingSince)) {
            loosened.add("growingSince");
        }
        if (!loosened.isEmpty()) {
            loosening.pass(
                    Loosening.Safeguard.GROUND,
                    id,
                    because,
                    "noted until now: " + before.words(loosened)
                            + (loosened.contains("growingSince") ? ", growing there since " + since : ""));
        }
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

    /**
     * A stand that was made by mistake: with its looks, stakes and pictures, as long as nothing was ever picked there, and
     * nothing was noted that speaks against it.
     */
    public void remove(UUID id, @Nullable String ifMatch) {
        Stand stand = find(id);
        stand.checkVersion(ifMatch, () -> view(stand));
        String against = against(stand);
        if (against != null) {
            throw new Problem.Conflict("What was noted of this stand stays (" + against
                    + "): whoever comes here next has to know. Put the stand away instead.");
        }
        if (harvests.everAtStand(id) || past.existsByStandId(id)) {
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

    private String called(String taxonId) {
        return taxonId.isEmpty()
                ? "a plant nobody knew"
                : herbarium.taxon(taxonId).commonName();
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
        // A second doubt is added: the first is not talked away by it.
        stand.doubtReason = stand.doubted ? stand.doubtReason + "; then: " + reason.strip() : reason.strip();
        stand.doubtedAt = clock.instant();
        stand.doubted = true;
        return view(stands.saveAndFlush(stand));
    }

    /** The doubt that a look took away is there again with the look gone; so is what it set aside. */
    void doubtAgain(Stand stand, String reason, Instant at) {
        stand.doubted = true;
        stand.doubtReason = reason;
        stand.doubtedAt = at;
        stands.saveAndFlush(stand);
        events.publishEvent(new StandDoubted(stand.id, stand.name, reason));
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
                !s.doubted && looks.certain(s, people.today(), seen),
                newest == null ? null : looks.view(newest));
    }
}
