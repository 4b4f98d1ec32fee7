package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.field.OnThePiece;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.field.Tag;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.herbarium.UsesTaxon;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.identification.OwnErrors;
import org.sallowbrook.server.platform.Codes;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Stands, what was made out about them, and what was picked. */
@Service
@Transactional
public class FieldService implements UsesTaxon {

    /** @param reason why a safeguard of the site is taken back; needed only then */
    public record StandRequest(
            UUID id,
            String taxonId,
            String name,
            String place,
            Site.Ground ground,
            Site.Permission permission,
            Site.Plenty plenty,
            Boolean protectedSpecies,
            @Nullable String neighbour,
            @Nullable String reason) {}

    public record ObservationView(String character, String state) {}

    public record IdentificationRequest(
            UUID id,
            LocalDate on,
            LifeStage stage,
            @Nullable Set<LookingCondition> conditions,
            List<ObservationView> observations,
            @Nullable List<ObservationView> again,
            @Nullable Boolean otherPlants,
            @Nullable String secondObserver,
            @Nullable String book) {}

    public record IdentificationView(
            UUID id,
            LocalDate on,
            LifeStage stage,
            Identification.Status status,
            @Nullable String taxonId,
            @Nullable String genus,
            List<ObservationView> observations,
            List<ObservationView> again,
            Boolean otherPlants,
            String identifiedBy,
            @Nullable String secondObserver,
            @Nullable String book) {}

    public record StandView(
            UUID id,
            Long version,
            String taxonId,
            String commonName,
            String scientificName,
            String name,
            String place,
            Site.Ground ground,
            Site.Permission permission,
            Site.Plenty plenty,
            Boolean protectedSpecies,
            @Nullable String neighbour,
            Boolean doubted,
            @Nullable String doubtReason,
            IdentityOnRecord.SecondLook secondLook,
            @Nullable IdentificationView identification) {}

    public record HarvestRequest(
            UUID id,
            Taxon.Part part,
            LifeStage stage,
            LocalDate on,
            Double massG,
            Double shareTaken,
            String weather,
            List<String> tells,
            Boolean examinedSingly,
            @Nullable UUID tagId,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    /** Nothing saved: what the gates would say. */
    public record HarvestCheck(List<Finding> findings, Double quota, Double sharePicked, List<String> advice) {}

    public record HarvestView(
            UUID id,
            UUID standId,
            String standName,
            String place,
            String code,
            String taxonId,
            String commonName,
            Taxon.Part part,
            LocalDate on,
            Double massG,
            Double shareTaken,
            String weather,
            String pickedBy) {}

    private static final double MOST_G = 100_000;

    private final Stands stands;
    private final StandIdentifications identifications;
    private final OwnErrors ownErrors;
    private final Harvests harvests;
    private final Tags tags;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final SchoolService schools;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final Codes codes;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final JsonMapper json;

    FieldService(
            Stands stands,
            StandIdentifications identifications,
            OwnErrors ownErrors,
            Harvests harvests,
            Tags tags,
            HerbariumService herbarium,
            PeopleService people,
            SchoolService schools,
            Gatekeeper gatekeeper,
            Once once,
            Codes codes,
            ApplicationEventPublisher events,
            Clock clock,
            JsonMapper json) {
        this.stands = stands;
        this.identifications = identifications;
        this.ownErrors = ownErrors;
        this.harvests = harvests;
        this.tags = tags;
        this.herbarium = herbarium;
        this.people = people;
        this.schools = schools;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.codes = codes;
        this.events = events;
        this.clock = clock;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public List<StandView> stands() {
        Map<UUID, StandIdentification> newest = new HashMap<>();
        identifications.newest().forEach(i -> newest.putIfAbsent(i.standId, i));
        Map<UUID, List<IdentityOnRecord.Look>> looks = new HashMap<>();
        identifications
                .findAllByOnDayGreaterThanEqual(people.today().minusDays(Tag.VALID_DAYS))
                .forEach(i -> looks.computeIfAbsent(i.standId, k -> new java.util.ArrayList<>())
                        .add(i.look()));
        return stands.findAllByOrderByName().stream()
                .map(s -> view(s, newest.get(s.id), looks.getOrDefault(s.id, List.of())))
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
        if (!stand.taxonId.equals(request.taxonId()) && harvests.existsByStandId(id)) {
            throw new Problem.Conflict("Something was picked here under its present name. Doubt the stand instead.");
        }
        Site before = stand.site();
        fill(stand, request);
        loosened(id, before.loosenedBy(stand.site()), request.reason());
        if (before.ground() != Site.Ground.CONTAMINATED && stand.ground == Site.Ground.CONTAMINATED) {
            stands.saveAndFlush(stand);
            events.publishEvent(new GroundCondemned(id, stand.name));
        }
        return view(stands.saveAndFlush(stand));
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
        herbarium.taxon(request.taxonId());
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

    /** Keeps what was seen; the verdict is reckoned here, never taken from the client. Clears a doubt when CONFIRMED. */
    public IdentificationView identify(UUID standId, IdentificationRequest request) {
        Stand stand = find(standId);
        if (once.repeated("identification", request.id(), identifications::existsById, standId, request)) {
            return view(
                    identifications.findById(request.id()).orElseThrow(() -> new Problem.NotFound("identification")));
        }
        notInFuture(request.on());
        Checks.begin()
                .that(length(request.secondObserver()) <= 120, "secondObserver", "must have at most 120 letters")
                .that(length(request.book()) <= 300, "book", "must have at most 300 letters")
                .done();
        Set<LookingCondition> conditions = request.conditions() == null ? Set.of() : request.conditions();
        List<ObservationView> again = request.again() == null ? List.of() : request.again();
        Identification.Result result = herbarium
                .identifier()
                .identify(new Identification.Request(
                        request.on().getMonthValue(),
                        request.stage(),
                        people.region(),
                        conditions,
                        observations(request.observations()),
                        Set.of(),
                        observations(again),
                        ownErrors.mine()));
        boolean sameTaxon = stand.taxonId.equals(result.verdict().taxon()) || sameGenus(stand, result.verdict());
        StandIdentification saved = new StandIdentification(request.id());
        saved.standId = standId;
        saved.forTaxon = stand.taxonId;
        saved.onDay = request.on();
        saved.keptAt = clock.instant();
        saved.stage = request.stage();
        saved.status = result.kept() == Identification.Status.CONFIRMED && !sameTaxon
                ? Identification.Status.NOT_YET
                : result.kept();
        saved.taxonId = result.verdict().taxon();
        saved.conditions =
                String.join(",", conditions.stream().map(Enum::name).sorted().toList());
        saved.observations = json.writeValueAsString(request.observations());
        saved.verdict = json.writeValueAsString(result.verdict());
        saved.coreVersion = CoreVersion.CURRENT;
        saved.identifiedBy = Member.current().displayName();
        saved.lookedBy = Member.current().accountId();
        saved.otherPlants = Boolean.TRUE.equals(request.otherPlants());
        saved.again = json.writeValueAsString(again);
        saved.secondObserver = request.secondObserver();
        saved.book = request.book();
        for (ObservationView second : again) {
            boolean asBefore = request.observations().contains(second);
            boolean asked = asBefore
                    || request.observations().stream()
                            .anyMatch(o -> o.character().equals(second.character()));
            if (asked) {
                ownErrors.count(second.character(), !asBefore);
            }
        }
        if (saved.status == Identification.Status.CONFIRMED && stand.doubted) {
            clearDoubt(stand, request);
        }
        return view(identifications.saveAndFlush(saved));
    }

    private static List<Identification.Observation> observations(List<ObservationView> seen) {
        return seen.stream()
                .map(o -> new Identification.Observation(o.character(), o.state()))
                .toList();
    }

    /** By a look of two people, made after the doubt arose. */
    private void clearDoubt(Stand stand, IdentificationRequest request) {
        String second =
                request.secondObserver() == null ? "" : request.secondObserver().strip();
        if (second.isEmpty()
                || second.equalsIgnoreCase(Member.current().displayName().strip())) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "SECOND_OBSERVER",
                    "This stand was doubted; one pair of eyes is not enough to clear it.",
                    "Name a second person who looked too.")));
        }
        LocalDate doubted = stand.doubtedAt == null
                ? people.today()
                : stand.doubtedAt.atZone(people.zone()).toLocalDate();
        if (request.on().isBefore(doubted)) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "LOOKED_BEFORE_DOUBT",
                    "This look is of " + Words.day(request.on()) + "; the doubt arose on " + Words.day(doubted) + ".",
                    "Go and look again, two of you.")));
        }
        stand.doubted = false;
        stand.doubtReason = null;
        stand.doubtedAt = null;
    }

    private static int length(@Nullable String text) {
        return text == null ? 0 : text.length();
    }

    /** Only the genus is certain, and the stand's card says the whole genus serves. */
    private boolean sameGenus(Stand stand, Identification.Verdict verdict) {
        Taxon taxon = herbarium.taxon(stand.taxonId);
        return taxon.genusEnough() && taxon.genus().equals(verdict.genus());
    }

    @Transactional(readOnly = true)
    public List<IdentificationView> identifications(UUID standId) {
        find(standId);
        return identifications.findAllByStandIdOrderByOnDayDescKeptAtDesc(standId).stream()
                .map(this::view)
                .toList();
    }

    /** Runs the gates without saving. */
    @Transactional(readOnly = true)
    public HarvestCheck check(UUID standId, HarvestRequest request) {
        Stand stand = find(standId);
        double picked = picked(stand, request);
        double quota = herbarium
                .taxon(stand.taxonId)
                .usedPart(request.part())
                .map(p -> HarvestGate.quota(p, schools.chosen()))
                .orElse(0.0);
        return new HarvestCheck(
                gate(stand, request),
                quota,
                picked,
                HarvestGate.advice(herbarium.taxon(stand.taxonId), request.part(), schools.chosen()));
    }

    public HarvestView harvest(UUID standId, HarvestRequest request) {
        Stand stand = find(standId);
        if (once.repeated("harvest", request.id(), harvests::existsById, standId, request)) {
            return harvest(request.id());
        }
        notInFuture(request.on());
        Checks.begin()
                .range("massG", request.massG(), 0.1, MOST_G)
                .that(request.weather().length() <= 300, "weather", "must have at most 300 letters")
                .done();
        gatekeeper.pass("harvest", request.id(), gate(stand, request), request.acknowledged());
        Harvest harvest = new Harvest(request.id());
        harvest.standId = standId;
        harvest.taxonId = stand.taxonId;
        harvest.part = request.part();
        harvest.onDay = request.on();
        harvest.massG = request.massG();
        harvest.shareTaken = request.shareTaken();
        harvest.weather = request.weather().strip();
        harvest.tells = json.writeValueAsString(request.tells());
        harvest.examinedSingly = request.examinedSingly();
        harvest.tagId = request.tagId();
        harvest.pickedBy = Member.current().displayName();
        harvest.code = codes.next("H", request.on());
        harvest = harvests.saveAndFlush(harvest);
        events.publishEvent(new HarvestRecorded(
                standId,
                stand.name,
                harvest.id,
                harvest.code,
                harvest.taxonId,
                harvest.part,
                harvest.onDay,
                harvest.massG));
        return view(harvest, stand);
    }

    /** It was another plant, another stand or another day. Refused where something was made of it. */
    public void strikeHarvest(UUID id, StrikeRequest request) {
        String reason = request.checked();
        Harvest harvest =
                harvests.findById(id).filter(h -> !h.struck()).orElseThrow(() -> new Problem.NotFound("harvest"));
        events.publishEvent(new HarvestStruck(id, reason));
        harvest.strike(clock.instant(), reason);
        harvests.saveAndFlush(harvest);
    }

    /** A look that was wrong leaves the verdict. What was picked on the strength of it is not saved by that. */
    public StandView strikeLook(UUID standId, UUID look, StrikeRequest request) {
        Stand stand = find(standId);
        String reason = request.checked();
        StandIdentification found = identifications
                .findById(look)
                .filter(i -> i.standId.equals(standId) && !i.struck())
                .orElseThrow(() -> new Problem.NotFound("look"));
        if (harvests.existsByStandIdAndOnDayGreaterThanEqual(standId, found.onDay)) {
            throw new Problem.Conflict(
                    "Something was picked here since; if the plant is in doubt, doubt the stand: that sets"
                            + " aside all that was made from it.");
        }
        found.strike(clock.instant(), reason);
        identifications.saveAndFlush(found);
        return view(stand);
    }

    /** A page of what was picked, newest first. */
    @Transactional(readOnly = true)
    public Past harvests(int page) {
        Map<UUID, String> names = new HashMap<>();
        return Past.of(
                harvests.findAllByOrderByOnDayDescIdDesc(Past.page(page)),
                h -> new Past.Entry(
                        h.id,
                        herbarium.taxon(h.taxonId).commonName() + ", " + Words.lower(h.part),
                        h.code,
                        h.onDay,
                        Words.grams(h.massG) + " from " + names.computeIfAbsent(h.standId, id -> find(id).name)));
    }

    @Transactional(readOnly = true)
    public List<HarvestView> harvestsSince(LocalDate from) {
        return harvests.findAllByOnDayGreaterThanEqualOrderByOnDayDescIdDesc(from).stream()
                .map(h -> view(h, find(h.standId)))
                .toList();
    }

    @Transactional(readOnly = true)
    public HarvestView harvest(UUID id) {
        Harvest harvest = harvests.findById(id).orElseThrow(() -> new Problem.NotFound("harvest"));
        return view(harvest, find(harvest.standId));
    }

    /** Moisture to start from where nothing else is known. */
    @Transactional(readOnly = true)
    public Moisture freshMoisture(UUID harvestId) {
        HarvestView h = harvest(harvestId);
        return org.sallowbrook.core.drying.FreshMoisture.of(herbarium.taxon(h.taxonId()), h.part());
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

    private List<Finding> gate(Stand stand, HarvestRequest request) {
        Taxon taxon = herbarium.taxon(stand.taxonId);
        Set<String> described = new java.util.HashSet<>();
        taxon.characters().forEach(s -> described.add(s.character()));
        Set<String> tells = new java.util.HashSet<>(request.tells());
        tells.retainAll(described);
        return HarvestGate.check(new HarvestGate.Request(
                taxon,
                request.part(),
                new HarvestGate.Identity(
                        speaking(stand, request.on()),
                        stand.doubted,
                        second(stand, request.on(), looks(stand)),
                        taxon.lookAlikes().stream()
                                .anyMatch(
                                        l -> herbarium.taxon(l.taxon()).danger().dangerous()),
                        tellable(taxon, request.stage()),
                        tag(stand, request.tagId())),
                stand.site(),
                request.stage(),
                request.on(),
                request.massG(),
                request.shareTaken(),
                picked(stand, request),
                tells,
                OnThePiece.leftOpen(herbarium.herbarium(), taxon, request.part(), request.stage(), tells),
                request.examinedSingly(),
                schools.chosen()));
    }

    /** The look that speaks for a stand on a day. */
    private IdentityOnRecord.@Nullable Look speaking(Stand stand, LocalDate day) {
        return IdentityOnRecord.on(day, stand.taxonId, looks(stand));
    }

    private List<IdentityOnRecord.Look> looks(Stand stand) {
        return identifications.findAllByStandIdOrderByOnDayDescKeptAtDesc(stand.id).stream()
                .map(StandIdentification::look)
                .toList();
    }

    private IdentityOnRecord.SecondLook second(Stand stand, LocalDate day, List<IdentityOnRecord.Look> looks) {
        Taxon taxon = herbarium.taxon(stand.taxonId);
        return IdentityOnRecord.second(
                taxon,
                taxon.lookAlikes().stream().map(l -> herbarium.taxon(l.taxon())).toList(),
                IdentityOnRecord.on(day, stand.taxonId, looks),
                day,
                looks);
    }

    /** Whether every dangerous look-alike on the card can be told at this stage. */
    private boolean tellable(Taxon taxon, LifeStage stage) {
        return taxon.lookAlikes().stream()
                .filter(l -> herbarium.taxon(l.taxon()).danger().dangerous())
                .allMatch(l -> l.tellable().contains(stage));
    }

    private @Nullable Tag tag(Stand stand, @Nullable UUID tagId) {
        return tagId == null
                ? null
                : tags.findById(tagId)
                        .filter(t -> t.standId.equals(stand.id) && ofThisPlant(stand, t))
                        .orElseThrow(() -> new Problem.NotFound("tag of this plant"))
                        .toCore();
    }

    /**
     * The stake rests on a look for what the stand is said to be now, and on those that agreed with it: where one of them was
     * struck out since, it is not certain any more.
     */
    private boolean ofThisPlant(Stand stand, TagEntity tag) {
        boolean stands = identifications
                .findById(tag.identificationId)
                .filter(i -> i.forTaxon.equals(stand.taxonId) && !i.struck())
                .isPresent();
        if (!stands) {
            return false;
        }
        IdentityOnRecord.Look then = IdentityOnRecord.on(
                tag.confirmedOn,
                stand.taxonId,
                looks(stand).stream()
                        .filter(l -> !l.on().isAfter(tag.confirmedOn))
                        .toList());
        return then != null && then.status() == Identification.Status.CONFIRMED;
    }

    /** Already taken of this part in the calendar year, at most all of it. */
    private double picked(Stand stand, HarvestRequest request) {
        LocalDate first = request.on().withDayOfYear(1);
        return Math.min(
                1,
                harvests.sharePicked(
                        stand.id, request.part(), first, first.plusYears(1).minusDays(1)));
    }

    @Override
    @Transactional(readOnly = true)
    public boolean uses(String taxonId) {
        return stands.existsByTaxonId(taxonId);
    }

    private void notInFuture(LocalDate on) {
        LocalDate today = people.today();
        Checks.begin()
                .that(!on.isAfter(today), "on", "must not be in the future")
                .that(on.isAfter(today.minusYears(20)), "on", "must be within twenty years")
                .done();
    }

    private Stand find(UUID id) {
        return stands.findById(id).orElseThrow(() -> new Problem.NotFound("stand"));
    }

    private StandView view(Stand s) {
        return view(
                s,
                identifications.findAllByStandIdOrderByOnDayDescKeptAtDesc(s.id).stream()
                        .filter(i -> i.forTaxon.equals(s.taxonId))
                        .findFirst()
                        .orElse(null),
                looks(s));
    }

    private StandView view(Stand s, @Nullable StandIdentification newest, List<IdentityOnRecord.Look> looks) {
        Taxon taxon = herbarium.taxon(s.taxonId);
        return new StandView(
                s.id,
                s.version == null ? 0 : s.version,
                s.taxonId,
                taxon.commonName(),
                taxon.name(),
                s.name,
                s.place,
                s.ground,
                s.permission,
                s.plenty,
                s.protectedSpecies,
                s.neighbour,
                s.doubted,
                s.doubtReason,
                second(s, people.today(), looks),
                newest == null ? null : view(newest));
    }

    private IdentificationView view(StandIdentification i) {
        return new IdentificationView(
                i.id,
                i.onDay,
                i.stage,
                i.status,
                i.taxonId,
                genus(i),
                List.of(json.readValue(i.observations, ObservationView[].class)),
                List.of(json.readValue(i.again, ObservationView[].class)),
                i.otherPlants,
                i.identifiedBy,
                i.secondObserver,
                i.book);
    }

    private @Nullable String genus(StandIdentification i) {
        return json.readTree(i.verdict).path("genus").asString(null);
    }

    private HarvestView view(Harvest h, Stand s) {
        return new HarvestView(
                h.id,
                h.standId,
                s.name,
                s.place,
                h.code,
                h.taxonId,
                herbarium.taxon(h.taxonId).commonName(),
                h.part,
                h.onDay,
                h.massG,
                h.shareTaken,
                h.weather,
                h.pickedBy);
    }
}
