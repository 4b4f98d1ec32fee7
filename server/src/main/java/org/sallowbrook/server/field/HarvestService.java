package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.field.OnThePiece;
import org.sallowbrook.core.field.Sex;
import org.sallowbrook.core.field.Tag;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Codes;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was picked at a stand, and whether it may be. */
@Service
@Transactional
public class HarvestService implements DueSource {

    /**
     * @param massG weighed in the field; null where it is weighed at home, and then {@code measuredAs} says what was picked
     * @param measuredAs in handfuls, stems or bags
     * @param perPlant how much of the part of each plant was taken, 0..1
     * @param leftStanding what was left and why
     * @param returnOn when somebody comes back for what was not ready, within {@value #RETURNS_DAYS} days
     */
    public record HarvestRequest(
            UUID id,
            Taxon.Part part,
            LifeStage stage,
            LocalDate on,
            @Nullable Double massG,
            @Nullable String measuredAs,
            Double shareTaken,
            @Nullable Double perPlant,
            @Nullable Sex sex,
            String weather,
            List<String> tells,
            Boolean examinedSingly,
            @Nullable UUID tagId,
            @Nullable String leftStanding,
            @Nullable LocalDate returnOn,
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
            @Nullable Double massG,
            String measuredAs,
            Double shareTaken,
            String weather,
            String pickedBy) {}

    /** @param massG as it weighs at home, before anything is thrown away */
    public record WeightRequest(Double massG) {}

    private static final double MOST_G = 100_000;
    private static final int RETURNS_DAYS = 60;

    private final StandService stands;
    private final LookReader looks;
    private final SeasonService seasons;
    private final YearsService years;
    private final Harvests harvests;
    private final PastHarvests past;
    private final Tags tags;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final SchoolService schools;
    private final LooseningService loosening;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final Codes codes;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    HarvestService(
            StandService stands,
            LookReader looks,
            SeasonService seasons,
            YearsService years,
            Harvests harvests,
            PastHarvests past,
            Tags tags,
            HerbariumService herbarium,
            PeopleService people,
            SchoolService schools,
            LooseningService loosening,
            Gatekeeper gatekeeper,
            Once once,
            Codes codes,
            ApplicationEventPublisher events,
            Clock clock) {
        this.stands = stands;
        this.looks = looks;
        this.seasons = seasons;
        this.years = years;
        this.harvests = harvests;
        this.past = past;
        this.tags = tags;
        this.herbarium = herbarium;
        this.people = people;
        this.schools = schools;
        this.loosening = loosening;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.codes = codes;
        this.events = events;
        this.clock = clock;
    }

    /** Whether anything was ever gathered. */
    @Transactional(readOnly = true)
    public boolean any() {
        return harvests.existsByOnDayGreaterThanEqual(LocalDate.EPOCH);
    }

    /** Runs the gates without saving. */
    @Transactional(readOnly = true)
    public HarvestCheck check(UUID standId, HarvestRequest request) {
        Stand stand = stands.find(standId);
        double picked = picked(stand, request);
        if (stand.taxonId == null) {
            return new HarvestCheck(gate(stand, request), 0.0, picked, List.of());
        }
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
        Stand stand = stands.find(standId);
        if (once.repeated("harvest", request.id(), harvests::existsById, standId, request)) {
            return harvest(request.id());
        }
        looks.notInFuture(request.on());
        String measuredAs =
                request.measuredAs() == null ? "" : request.measuredAs().strip();
        Checks checks = Checks.begin();
        if (request.massG() != null) {
            checks.range("massG", request.massG(), 0.1, MOST_G);
        } else {
            checks.that(
                    !measuredAs.isEmpty(), "measuredAs", "is needed where nothing was weighed: two bags, six handfuls");
        }
        checks.that(measuredAs.length() <= 120, "measuredAs", "must have at most 120 letters")
                .that(request.weather().length() <= 300, "weather", "must have at most 300 letters")
                .that(
                        request.leftStanding() == null || request.leftStanding().length() <= 300,
                        "leftStanding",
                        "must have at most 300 letters")
                .that(
                        request.returnOn() == null
                                || request.returnOn().isAfter(request.on())
                                        && !request.returnOn()
                                                .isAfter(request.on().plusDays(RETURNS_DAYS)),
                        "returnOn",
                        "must be within " + RETURNS_DAYS + " days after the harvest")
                .done();
        gatekeeper.pass("harvest", request.id(), gate(stand, request), request.acknowledged());
        Harvest harvest = new Harvest(request.id());
        harvest.standId = standId;
        harvest.taxonId = stand.taxonId();
        harvest.part = request.part();
        harvest.onDay = request.on();
        harvest.massG = request.massG();
        harvest.measuredAs = measuredAs;
        harvest.sharePerPlant = request.perPlant();
        harvest.sex = request.sex();
        harvest.shareTaken = request.shareTaken();
        harvest.weather = request.weather().strip();
        harvest.tells = StoredTells.DOCUMENT.write(new StoredTells(request.tells()));
        harvest.examinedSingly = request.examinedSingly();
        harvest.tagId = request.tagId();
        harvest.leftStanding =
                request.leftStanding() == null ? "" : request.leftStanding().strip();
        harvest.returnOn = request.returnOn();
        harvest.pickedBy = Member.current().displayName();
        harvest.code = codes.next("H", request.on());
        harvest = harvests.saveAndFlush(harvest);
        if (harvest.massG != null) {
            intoTheHouse(harvest, stand);
        }
        return view(harvest, stand);
    }

    /** Weighs what came home in a bag; only then is it in the house. The same weight again changes nothing. */
    public HarvestView weigh(UUID id, WeightRequest request) {
        Harvest harvest =
                harvests.findById(id).filter(h -> !h.struck()).orElseThrow(() -> new Problem.NotFound("harvest"));
        Stand stand = stands.find(harvest.standId);
        Checks.begin().range("massG", request.massG(), 0.1, MOST_G).done();
        if (harvest.massG != null) {
            if (Math.abs(harvest.massG - request.massG()) > 1e-9) {
                throw new Problem.Conflict("It was weighed already: " + Words.grams(harvest.massG) + ".");
            }
            return view(harvest, stand);
        }
        List<IdentityOnRecord.Look> seen = looks.looks(stand);
        gatekeeper.pass(
                "harvest",
                id,
                HarvestGate.broughtHome(
                        looks.speaking(stand, harvest.onDay, seen),
                        looks.second(stand, asOf(stand, harvest.tagId, harvest.onDay), seen),
                        stand.doubted,
                        stand.site()),
                List.of());
        harvest.massG = request.massG();
        harvests.saveAndFlush(harvest);
        intoTheHouse(harvest, stand);
        return view(harvest, stand);
    }

    private void intoTheHouse(Harvest harvest, Stand stand) {
        events.publishEvent(new HarvestRecorded(
                stand.id,
                stand.name,
                harvest.id,
                harvest.code,
                harvest.taxonId,
                harvest.part,
                harvest.onDay,
                java.util.Objects.requireNonNull(harvest.massG)));
    }

    /** Grams that the whole of a part would weigh, by what was weighed and by its share; null where nothing was. */
    @Transactional(readOnly = true)
    public @Nullable Double wholeG(UUID standId, Taxon.Part part) {
        Double here = harvests.wholeG(standId, part);
        return here != null ? here : past.wholeG(standId, part);
    }

    /** Of the part's whole that was picked in a calendar year, at most all of it. */
    @Transactional(readOnly = true)
    public double sharePicked(UUID standId, Taxon.Part part, int year) {
        LocalDate first = LocalDate.of(year, 1, 1);
        return Math.min(
                1, harvests.sharePicked(standId, part, first, first.plusYears(1).minusDays(1)));
    }

    /** What came home and was not weighed yet. */
    @Transactional(readOnly = true)
    public List<HarvestView> unweighed() {
        return harvests.findAllByMassGIsNullOrderByOnDayDescIdDesc(Past.page(0)).stream()
                .map(h -> view(h, stands.find(h.standId)))
                .toList();
    }

    /** It was another plant, another stand or another day. Refused where something was made of it. */
    public void strikeHarvest(UUID id, StrikeRequest request) {
        String reason = request.checked();
        Harvest harvest =
                harvests.findById(id).filter(h -> !h.struck()).orElseThrow(() -> new Problem.NotFound("harvest"));
        if (harvest.massG != null) {
            events.publishEvent(new HarvestStruck(id, reason));
        }
        harvest.strike(clock.instant(), reason);
        harvests.saveAndFlush(harvest);
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
                        (h.massG == null ? h.measuredAs + ", not weighed" : Words.grams(h.massG)) + " from "
                                + names.computeIfAbsent(h.standId, id -> stands.find(id).name)));
    }

    @Transactional(readOnly = true)
    public List<HarvestView> weighedSince(LocalDate from) {
        return harvests.findAllByMassGIsNotNullAndOnDayGreaterThanEqualOrderByOnDayDescIdDesc(from).stream()
                .map(h -> view(h, stands.find(h.standId)))
                .toList();
    }

    @Transactional(readOnly = true)
    public HarvestView harvest(UUID id) {
        Harvest harvest = harvests.findById(id).orElseThrow(() -> new Problem.NotFound("harvest"));
        return view(harvest, stands.find(harvest.standId));
    }

    /** Moisture to start from where nothing else is known. */
    @Transactional(readOnly = true)
    public Moisture freshMoisture(UUID harvestId) {
        HarvestView h = harvest(harvestId);
        return org.sallowbrook.core.drying.FreshMoisture.of(herbarium.taxon(h.taxonId()), h.part());
    }

    /** The gates, and what was taken back of what they once held by. */
    private List<Finding> gate(Stand stand, HarvestRequest request) {
        List<Finding> findings = new ArrayList<>(gates(stand, request));
        findings.addAll(loosening.told(List.of(stand.id)));
        return findings;
    }

    private List<Finding> gates(Stand stand, HarvestRequest request) {
        if (stand.putAwayOn != null) {
            return List.of(HarvestGate.putAway(String.valueOf(stand.putAwayReason)));
        }
        if (stand.taxonId == null) {
            return List.of(HarvestGate.unknownPlant());
        }
        Taxon taxon = herbarium.taxon(stand.taxonId);
        List<IdentityOnRecord.Look> seen = looks.looks(stand);
        Set<String> described = new java.util.HashSet<>();
        taxon.characters().forEach(s -> described.add(s.character()));
        Set<String> tells = new java.util.HashSet<>(request.tells());
        tells.retainAll(described);
        Tag tag = tag(stand, request.tagId());
        return HarvestGate.check(new HarvestGate.Request(
                taxon,
                request.part(),
                new HarvestGate.Identity(
                        looks.speaking(stand, request.on(), seen),
                        stand.doubted,
                        looks.second(stand, asOf(stand, request.tagId(), request.on()), seen),
                        taxon.lookAlikes().stream()
                                .anyMatch(
                                        l -> herbarium.taxon(l.taxon()).danger().dangerous()),
                        looks.tellable(taxon, request.stage()),
                        tag),
                years.site(stand, taxon, request.part()),
                request.stage(),
                request.on(),
                request.perPlant(),
                request.sex(),
                request.shareTaken(),
                picked(stand, request),
                tells,
                OnThePiece.leftOpen(herbarium.herbarium(), taxon, request.part(), request.stage(), tells),
                request.examinedSingly(),
                season(stand, request),
                schools.chosen()));
    }

    /** To be weighed, and to be gone back to until something was picked there again. */
    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        Stream<Due> toWeigh = unweighed().stream()
                .filter(h -> span.holds(h.on()))
                .map(h -> new Due(
                        Due.Kind.WEIGH_HARVEST,
                        "field",
                        h.id(),
                        "Weigh what was picked at " + h.standName(),
                        h.measuredAs() + ", " + Words.lower(h.part()),
                        h.on(),
                        span.morning(h.on()),
                        h.on().isBefore(span.today()),
                        null,
                        null,
                        null,
                        null));
        return Stream.concat(toWeigh, toReturnTo(span)).toList();
    }

    private Stream<Due> toReturnTo(Span span) {
        return harvests.toReturnTo(span.from(), span.to()).stream().map(h -> {
            LocalDate on = java.util.Objects.requireNonNull(h.returnOn);
            Stand stand = stands.find(h.standId);
            return new Due(
                    Due.Kind.RETURN,
                    "field",
                    stand.id,
                    "Back to " + stand.name,
                    Words.lower(h.part) + ", not ready on " + Words.day(h.onDay),
                    on,
                    span.morning(on),
                    on.isBefore(span.today()),
                    null,
                    null,
                    null,
                    null);
        });
    }

    private HarvestGate.Season season(Stand stand, HarvestRequest request) {
        return new HarvestGate.Season(
                stand.growingSince,
                seasons.frosts(request.on()),
                request.on().equals(people.today()) ? seasons.ready(stand.id, request.part()) : null);
    }

    /** A staked plant was looked at twice when it was staked, or not at all. */
    private LocalDate asOf(Stand stand, @Nullable UUID tagId, LocalDate on) {
        return tagId == null
                ? on
                : tags.findById(tagId)
                        .filter(t -> t.standId.equals(stand.id) && looks.ofThisPlant(stand, t))
                        .map(t -> t.toCore(herbarium.taxon(stand.taxonId())))
                        .filter(t -> t.validOn(on))
                        .map(Tag::confirmedOn)
                        .orElse(on);
    }

    private @Nullable Tag tag(Stand stand, @Nullable UUID tagId) {
        return tagId == null
                ? null
                : tags.findById(tagId)
                        .filter(t -> t.standId.equals(stand.id) && looks.ofThisPlant(stand, t))
                        .orElseThrow(() -> new Problem.NotFound("tag of this plant"))
                        .toCore(herbarium.taxon(stand.taxonId()));
    }

    /** Already taken of this part in the calendar year, at most all of it. */
    private double picked(Stand stand, HarvestRequest request) {
        return sharePicked(stand.id, request.part(), request.on().getYear());
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
                h.measuredAs,
                h.shareTaken,
                h.weather,
                h.pickedBy);
    }
}
