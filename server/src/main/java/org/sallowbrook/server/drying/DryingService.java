package org.sallowbrook.server.drying;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.FreshDryRatio;
import org.sallowbrook.core.drying.FreshMoisture;
import org.sallowbrook.core.drying.Rack;
import org.sallowbrook.core.drying.RackSpeed;
import org.sallowbrook.core.drying.Temperature;
import org.sallowbrook.core.drying.Way;
import org.sallowbrook.core.drying.Weighing;
import org.sallowbrook.core.drying.WeighingCheck;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.SourceGuard;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lots on the rack: from the first weighing until a jar takes them or mould does. */
@Service
@Transactional
public class DryingService implements DueSource {

    /**
     * @param moisture as it was picked, wet basis; null for the card's or the general range of the part
     * @param method null, as washed and strippedBefore, for this household's school
     */
    public record StartRequest(
            UUID id,
            UUID harvestId,
            String rack,
            Instant at,
            Double freshG,
            @Nullable Range moisture,
            @Nullable Double temperatureC,
            @Nullable Double relativeHumidity,
            Way.@Nullable Method method,
            @Nullable Boolean washed,
            @Nullable Boolean strippedBefore) {}

    /** @param acknowledged why a weight that is hardly possible was right; null where nothing is asked */
    public record WeighingRequest(
            UUID id,
            Instant at,
            Double massG,
            WeighingSource source,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    /** What is read at the rack; each value replaces the one before. */
    public record ConditionRequest(
            @Nullable Double temperatureC, @Nullable Double relativeHumidity, Boolean working, Instant at) {}

    /** @param strips whether leaf can be stripped from its stem; what is stripped does not hang */
    public record WaysView(Way usual, List<Way.Method> methods, Boolean strips) {}

    public record TestRequest(UUID id, Drying.PhysicalTest test, Instant at) {}

    public record TestView(UUID id, Drying.PhysicalTest test, Instant at, Double rackHours, String by) {}

    public record WeighingView(UUID id, Instant at, Double rackHours, Double massG, String weighedBy) {}

    public record PointView(Double rackHours, Double massG) {}

    public record RemainingView(Double low, Double likely, Double high) {}

    public record RunView(
            UUID id,
            Long version,
            UUID harvestId,
            String code,
            String taxonId,
            String commonName,
            Taxon.Part part,
            String rack,
            String status,
            Instant startedAt,
            Double freshG,
            Range initialMoisture,
            Double targetMoisture,
            @Nullable Double temperatureC,
            @Nullable Double relativeHumidity,
            List<TestView> tests,
            Boolean mouldSeen,
            Boolean working,
            Double rackHoursNow,
            List<WeighingView> weighings,
            @Nullable Range targetG,
            @Nullable Range moistureNow,
            @Nullable RemainingView remainingHours,
            Drying.Model model,
            Double equilibriumMoisture,
            Boolean constantMass,
            Boolean done,
            Boolean byTestAlone,
            List<PointView> curve,
            AdviceView advice,
            List<Finding> findings,
            List<String> because) {}

    /**
     * What the rack should be like for this lot.
     *
     * @param leastDriedG what it weighs dried, at the least
     * @param dryAfterHours at work, before anything was weighed: a working range, or learned on this rack
     * @param rackLots of this household that are in it
     * @param freshToDry grams fresh to one gram dried: from the moisture, or learned
     * @param lots of this household that are in it
     * @param howTo by the household's schools
     */
    public record AdviceView(
            Range nominalC,
            Double mostC,
            Range areaM2,
            Range freshToDry,
            Integer lots,
            Double leastDriedG,
            Range dryAfterHours,
            Integer rackLots,
            Way.Method method,
            List<String> howTo) {}

    private static final Duration WEIGH_EVERY = Duration.ofHours(12);
    private static final int RACKS_DAYS = 3 * 365;
    private static final int MOST_RACKS = 40;
    private static final int RACK_WITHIN_DAYS = 3;
    private static final int WAITS_DAYS = 30;
    /** The household's latest lots; older ones were dried on another rack, by other hands. */
    private static final int LEARNS_FROM = 40;

    /** Rain and dew weigh, and a field scale is rough; more than this was not picked. */
    private static final double MOST_OF_HARVEST = 1.2;

    private final DryingRuns runs;
    private final Weighings weighings;
    private final DryTests tests;
    private final HarvestService harvests;
    private final SourceGuard sources;
    private final PeopleService people;
    private final SchoolService schools;
    private final Once once;
    private final Gatekeeper gatekeeper;
    private final HerbariumService herbarium;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    DryingService(
            DryingRuns runs,
            Weighings weighings,
            DryTests tests,
            HarvestService harvests,
            SourceGuard sources,
            PeopleService people,
            SchoolService schools,
            Once once,
            Gatekeeper gatekeeper,
            HerbariumService herbarium,
            ApplicationEventPublisher events,
            Clock clock) {
        this.runs = runs;
        this.weighings = weighings;
        this.tests = tests;
        this.harvests = harvests;
        this.sources = sources;
        this.people = people;
        this.schools = schools;
        this.once = once;
        this.gatekeeper = gatekeeper;
        this.herbarium = herbarium;
        this.events = events;
        this.clock = clock;
    }

    /** What is on the racks now. */
    @Transactional(readOnly = true)
    public List<RunView> running() {
        return runs.findAllByStatusOrderByStartedAtDesc(DryingRun.Status.DRYING).stream()
                .map(this::view)
                .toList();
    }

    /** What was jarred or thrown away. */
    @Transactional(readOnly = true)
    public Past past(int page) {
        return Past.of(
                runs.findAllByStatusNotOrderByStartedAtDesc(DryingRun.Status.DRYING, Past.page(page)),
                r -> new Past.Entry(
                        r.id,
                        herbarium.taxon(r.taxonId).commonName() + ", " + Words.lower(r.part),
                        r.code,
                        r.startedAt.atZone(people.zone()).toLocalDate(),
                        r.status == DryingRun.Status.JARRED ? "in its jar" : "thrown away for mould"));
    }

    @Transactional(readOnly = true)
    public RunView one(UUID id) {
        return view(find(id));
    }

    /** Harvests of the last weeks that are not yet on a rack and not used otherwise. */
    @Transactional(readOnly = true)
    public List<HarvestService.HarvestView> waiting() {
        List<HarvestService.HarvestView> recent =
                harvests.weighedSince(people.today().minusDays(WAITS_DAYS));
        Set<UUID> racked = new HashSet<>(
                runs.racked(recent.stream().map(HarvestService.HarvestView::id).toList()));
        return recent.stream()
                .filter(h -> !racked.contains(h.id()) && sources.whyNot(h.id()).isEmpty())
                .toList();
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        List<Due> due = new ArrayList<>();
        for (HarvestService.HarvestView h : waiting()) {
            if (span.holds(h.on()) && !h.on().isBefore(span.today().minusDays(RACK_WITHIN_DAYS))) {
                due.add(new Due(
                        Due.Kind.RACK,
                        "drying",
                        h.id(),
                        "Put on the rack: " + h.commonName(),
                        h.code() + ", " + Words.grams(weightOf(h)) + " from " + h.standName(),
                        h.on(),
                        span.morning(h.on()),
                        h.on().isBefore(span.today()),
                        null,
                        null,
                        weightOf(h),
                        "g"));
            }
        }
        List<DryingRun> running = runs.findAllByStatusOrderByStartedAtDesc(DryingRun.Status.DRYING);
        Map<UUID, List<WeighingEntity>> weighed =
                weighings
                        .findAllByRunIdInOrderByRackHours(
                                running.stream().map(r -> r.id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(w -> w.runId));
        Map<UUID, List<DryTest>> tried =
                tests
                        .findAllByRunIdInOrderByAtAscIdAsc(
                                running.stream().map(r -> r.id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(t -> t.runId));
        for (DryingRun run : running) {
            List<WeighingEntity> its = weighed.getOrDefault(run.id, List.of());
            WeighingEntity last = its.isEmpty() ? null : its.get(its.size() - 1);
            Instant at = (last == null ? run.startedAt : last.at).plus(WEIGH_EVERY);
            LocalDate day = at.atZone(span.zone()).toLocalDate();
            if (span.holds(day)) {
                due.add(new Due(
                        Due.Kind.WEIGH,
                        "drying",
                        run.id,
                        "Weigh " + herbarium.taxon(run.taxonId).commonName() + " on " + run.rack,
                        reckon(run, its, tried.getOrDefault(run.id, List.of())).done()
                                ? "dry by the last weighing: try a stem, then jar it"
                                : run.code,
                        day,
                        at,
                        day.isBefore(span.today()),
                        run.version,
                        null,
                        last == null ? run.freshG : last.massG,
                        "g"));
            }
        }
        return due;
    }

    private static double weightOf(HarvestService.HarvestView harvest) {
        if (harvest.massG() == null) {
            throw new Problem.Conflict("This harvest was not weighed yet; weigh it first.");
        }
        return harvest.massG();
    }

    public RunView start(StartRequest request) {
        if (once.repeated("run", request.id(), runs::existsById, request)) {
            return view(find(request.id()));
        }
        HarvestService.HarvestView harvest = harvests.harvest(request.harvestId());
        double massG = weightOf(harvest);
        if (runs.existsByHarvestId(harvest.id())) {
            throw new Problem.Conflict("This harvest is on a rack already.");
        }
        List<Finding> wrong = sources.whyNot(harvest.id());
        if (!wrong.isEmpty()) {
            throw new Problem.Refused(wrong);
        }
        notInFuture(request.at());
        Moisture general = harvests.freshMoisture(harvest.id());
        Checks.begin()
                .that(
                        !request.at()
                                .isBefore(
                                        harvest.on().atStartOfDay(people.zone()).toInstant()),
                        "at",
                        "must not be before the harvest of " + Words.day(harvest.on()))
                .range("freshG", request.freshG(), 0.1, massG * MOST_OF_HARVEST)
                .that(
                        request.moisture() == null
                                || FreshMoisture.plausible(request.moisture().moisture(), general),
                        "moisture",
                        "is far from what it holds fresh, "
                                + Words.range(general.asInterval().times(100), "%") + " water")
                .done();
        Moisture moisture = request.moisture() == null
                ? learnedMoisture(harvest)
                : request.moisture().moisture();
        DryingRun run = new DryingRun(request.id());
        run.harvestId = harvest.id();
        run.code = "D" + harvest.code().substring(1);
        run.taxonId = harvest.taxonId();
        run.part = harvest.part();
        Checks.begin()
                .that(!request.rack().isBlank() && request.rack().length() <= 120, "rack", "must have 1 to 120 letters")
                // A thermometer alone says something; how damp air is depends on how warm it is.
                .that(
                        request.temperatureC() != null || request.relativeHumidity() == null,
                        "temperatureC",
                        "is needed beside the humidity: the same air is drier when it is warmer")
                .done();
        run.rack = request.rack().strip();
        run.startedAt = request.at();
        run.freshG = request.freshG();
        run.moistureLow = moisture.low();
        run.moistureHigh = moisture.high();
        run.targetMoisture = Drying.targetMoisture(harvest.part());
        run.temperatureC = request.temperatureC();
        run.relativeHumidity = request.relativeHumidity();
        Way usual = Way.usual(run.part, schools.chosen());
        Way way = new Way(
                request.method() == null ? usual.method() : request.method(),
                request.washed() == null ? usual.washed() : request.washed(),
                request.strippedBefore() == null ? usual.strippedBefore() : request.strippedBefore());
        way.fits(run.part);
        run.method = way.method();
        run.washed = way.washed();
        run.strippedBefore = way.strippedBefore();
        Moisture laidOut = way.moisture(moisture);
        run.moistureLow = laidOut.low();
        run.moistureHigh = laidOut.high();
        reckon(run, List.of(), List.of());
        events.publishEvent(new HarvestRacked(harvest.id()));
        return view(runs.saveAndFlush(run));
    }

    public RunView weigh(UUID id, WeighingRequest request) {
        DryingRun run = find(id);
        if (once.repeated("weighing", request.id(), weighings::existsById, id, request)) {
            return view(run);
        }
        mustBeDrying(run);
        notInFuture(request.at());
        List<WeighingEntity> before = weighings.findAllByRunIdOrderByRackHours(id);
        double hours = run.rackHours(request.at());
        double lastHours = before.isEmpty() ? 0 : before.get(before.size() - 1).rackHours;
        boolean sameMoment = before.stream().anyMatch(w -> !w.at.isBefore(request.at()));
        Checks.begin()
                .that(
                        request.at().isAfter(run.startedAt) && hours > lastHours && !sameMoment,
                        "at",
                        "must be later, in rack time, than the weighing before")
                .that(request.massG() <= run.freshG * 1.02, "massG", "must not be more than it weighed fresh")
                .done();
        gatekeeper.pass(
                "weighing",
                request.id(),
                WeighingCheck.unlikely(
                        run.freshG,
                        Moisture.of(run.moistureLow, run.moistureHigh),
                        before.isEmpty() ? run.freshG : before.get(before.size() - 1).massG,
                        hours - lastHours,
                        request.massG()),
                request.acknowledged());
        WeighingEntity weighing = new WeighingEntity(request.id());
        weighing.runId = id;
        weighing.at = request.at();
        weighing.rackHours = hours;
        weighing.massG = request.massG();
        weighing.weighedBy = Member.current().displayName();
        weighing.source = request.source();
        new Weighing(hours, weighing.massG);
        weighings.saveAndFlush(weighing);
        return view(run);
    }

    public RunView condition(UUID id, ConditionRequest request, @Nullable String ifMatch) {
        DryingRun run = find(id);
        run.checkVersion(ifMatch, () -> view(run));
        mustBeDrying(run);
        notInFuture(request.at());
        Checks.begin()
                // A thermometer alone says something; how damp air is depends on how warm it is.
                .that(
                        request.temperatureC() != null || request.relativeHumidity() == null,
                        "temperatureC",
                        "is needed beside the humidity: the same air is drier when it is warmer")
                .done();
        run.temperatureC = request.temperatureC();
        run.relativeHumidity = request.relativeHumidity();
        boolean working = run.pausedSince == null;
        if (working && !request.working()) {
            run.pausedSince = request.at();
        } else if (!working && request.working() && run.pausedSince != null) {
            run.pausedSeconds +=
                    Math.max(0, Duration.between(run.pausedSince, request.at()).toSeconds());
            run.pausedSince = null;
        }
        reckoned(run);
        return view(runs.saveAndFlush(run));
    }

    /** A weighing that was wrong: the curve, the moisture and what is learned are reckoned without it. */
    public RunView strikeWeighing(UUID id, UUID weighing, StrikeRequest request) {
        DryingRun run = find(id);
        mustBeDrying(run);
        String reason = request.checked();
        WeighingEntity found = weighings
                .findById(weighing)
                .filter(w -> w.runId.equals(id) && !w.struck())
                .orElseThrow(() -> new Problem.NotFound("weighing"));
        found.strike(clock.instant(), reason);
        weighings.saveAndFlush(found);
        return view(run);
    }

    /** A stem or leaf was tried; twice dry, half a day apart, is as good as a scale that stands still. */
    public RunView test(UUID id, TestRequest request) {
        DryingRun run = find(id);
        if (once.repeated("dry test", request.id(), tests::existsById, id, request)) {
            return view(run);
        }
        mustBeDrying(run);
        notInFuture(request.at());
        List<DryTest> before = tests.findAllByRunIdOrderByAtAscIdAsc(id);
        Checks.begin()
                .that(
                        !request.at().isBefore(run.startedAt)
                                && (before.isEmpty() || request.at().isAfter(before.get(before.size() - 1).at)),
                        "at",
                        "must be after the start and after the test before")
                .done();
        DryTest test = new DryTest(request.id());
        test.runId = id;
        test.at = request.at();
        test.rackHours = run.rackHours(request.at());
        test.test = request.test();
        test.triedBy = Member.current().displayName();
        tests.saveAndFlush(test);
        return view(run);
    }

    public RunView strikeTest(UUID id, UUID test, StrikeRequest request) {
        DryingRun run = find(id);
        mustBeDrying(run);
        String reason = request.checked();
        DryTest found = tests.findById(test)
                .filter(t -> t.runId.equals(id) && !t.struck())
                .orElseThrow(() -> new Problem.NotFound("test"));
        found.strike(clock.instant(), reason);
        tests.saveAndFlush(found);
        return view(run);
    }

    /** How a part may be dried, and how this household usually does. */
    @Transactional(readOnly = true)
    public WaysView ways(Taxon.Part part) {
        return new WaysView(
                Way.usual(part, schools.chosen()),
                Arrays.stream(Way.Method.values())
                        .filter(m -> m != Way.Method.HANG || Way.hangs(part))
                        .toList(),
                Way.strips(part));
    }

    /** The racks this household dried on in the last years. */
    @Transactional(readOnly = true)
    public List<String> racks() {
        return runs.racks(clock.instant().minus(Duration.ofDays(RACKS_DAYS)), Limit.of(MOST_RACKS));
    }

    /** The whole lot is lost; whatever was made from it is found by whoever listens. */
    public RunView mould(UUID id) {
        DryingRun run = find(id);
        if (run.status != DryingRun.Status.DESTROYED) {
            run.mouldSeen = true;
            run.status = DryingRun.Status.DESTROYED;
            runs.saveAndFlush(run);
            events.publishEvent(new LotMoulded(run.id, run.harvestId, run.code));
        }
        return view(run);
    }

    /** Mould in a harvest: what of it lies on the rack is lost with it. */
    public void harvestDestroyed(UUID harvestId) {
        runs.findByHarvestId(harvestId)
                .filter(r -> r.status == DryingRun.Status.DRYING)
                .ifPresent(r -> {
                    r.mouldSeen = true;
                    r.status = DryingRun.Status.DESTROYED;
                    runs.saveAndFlush(r);
                });
    }

    /** For the shelf: where a lot stands, as core sees it. */
    @Transactional(readOnly = true)
    public Drying.Result reckoning(UUID id) {
        return reckoned(find(id));
    }

    /** Whether a harvest is being dried. */
    @Transactional(readOnly = true)
    public boolean onRack(UUID harvestId) {
        return runs.findByHarvestId(harvestId)
                .filter(r -> r.status == DryingRun.Status.DRYING)
                .isPresent();
    }

    /** For the shelf: the lot has gone into a jar. */
    public void jarred(UUID id) {
        DryingRun run = find(id);
        mustBeDrying(run);
        run.status = DryingRun.Status.JARRED;
        List<WeighingEntity> weighed = weighings.findAllByRunIdOrderByRackHours(id);
        run.driedG = weighed.isEmpty() ? null : (Double) weighed.get(weighed.size() - 1).massG;
        run.driedHours = weighed.isEmpty() ? run.rackHours(clock.instant()) : weighed.get(weighed.size() - 1).rackHours;
        runs.saveAndFlush(run);
    }

    private static void mustBeDrying(DryingRun run) {
        if (run.status != DryingRun.Status.DRYING) {
            throw new Problem.Conflict(
                    run.status == DryingRun.Status.JARRED
                            ? "This lot is in its jar already."
                            : "This lot was thrown away for mould.");
        }
    }

    private void notInFuture(Instant at) {
        Checks.begin()
                .that(!at.isAfter(clock.instant().plusSeconds(60)), "at", "must not be in the future")
                .that(at.isAfter(clock.instant().minus(Duration.ofDays(7300))), "at", "must be within twenty years")
                .done();
    }

    private DryingRun find(UUID id) {
        return runs.findById(id).orElseThrow(() -> new Problem.NotFound("drying lot"));
    }

    /** Fresh moisture as the card or the part has it, moved by this household's own lots of the same plant and part. */
    private Moisture learnedMoisture(HarvestService.HarvestView harvest) {
        Moisture general = harvests.freshMoisture(harvest.id());
        double target = Drying.targetMoisture(harvest.part());
        FreshDryRatio ratio = ratio(harvest.taxonId(), harvest.part(), general, target);
        if (ratio.lots() == 0) {
            return general;
        }
        Moisture learned = ratio.freshMoisture(target);
        return FreshMoisture.plausible(learned, general) ? learned : general;
    }

    /** Grams fresh to one gram fit for the jar, from the card and from this household's own lots. */
    @Transactional(readOnly = true)
    public FreshDryRatio freshToDry(String taxonId, Taxon.Part part) {
        return ratio(
                taxonId,
                part,
                org.sallowbrook.core.drying.FreshMoisture.of(herbarium.taxon(taxonId), part),
                Drying.targetMoisture(part));
    }

    private FreshDryRatio ratio(String taxonId, Taxon.Part part, Moisture general, double target) {
        List<FreshDryRatio.Lot> lots = runs.dried(taxonId, part, Limit.of(LEARNS_FROM)).stream()
                .filter(d -> d.driedG() <= d.freshG())
                .map(d -> new FreshDryRatio.Lot(d.freshG(), d.driedG()))
                .toList();
        return FreshDryRatio.predicted(general, target).learn(lots);
    }

    private Temperature temperature(DryingRun run) {
        Taxon.UsedPart part = herbarium.taxon(run.taxonId).usedPart(run.part).orElse(null);
        return Temperature.of(
                run.part,
                part != null && part.drying().aromatic(),
                part == null ? null : part.drying().dryAtC());
    }

    private AdviceView advice(DryingRun run) {
        Temperature temperature = temperature(run);
        FreshDryRatio ratio = ratio(run.taxonId, run.part, harvests.freshMoisture(run.harvestId), run.targetMoisture);
        RackSpeed speed = RackSpeed.usual(run.part, run.method)
                .learn(runs.driedHours(run.rack, run.method, run.part, Limit.of(LEARNS_FROM)));
        return new AdviceView(
                Range.of(temperature.nominalC()),
                temperature.mostC(),
                Range.of(Rack.spread(run.freshG, run.part, null).areaM2()),
                Range.of(ratio.range()),
                ratio.lots(),
                ratio.driedG(run.freshG).low(),
                Range.of(speed.hours()),
                speed.lots(),
                run.method,
                run.way().howTo(run.freshG, run.part));
    }

    private Drying.Result reckoned(DryingRun run) {
        return reckon(
                run, weighings.findAllByRunIdOrderByRackHours(run.id), tests.findAllByRunIdOrderByAtAscIdAsc(run.id));
    }

    private static Drying.@Nullable Air air(DryingRun run) {
        Double humidity = run.relativeHumidity;
        return run.temperatureC == null || humidity == null ? null : new Drying.Air(run.temperatureC, humidity);
    }

    private static Drying.Result reckon(DryingRun run, List<WeighingEntity> weighed, List<DryTest> tried) {
        List<Weighing> points = new ArrayList<>();
        for (WeighingEntity w : weighed) {
            // Two kept of one moment, from before that was refused: the later counts. A record that is there can be
            // read.
            if (!points.isEmpty() && points.get(points.size() - 1).rackHours() >= w.rackHours) {
                points.remove(points.size() - 1);
            }
            points.add(new Weighing(w.rackHours, w.massG));
        }
        return Drying.reckon(new Drying.Request(
                run.freshG,
                Moisture.of(run.moistureLow, run.moistureHigh),
                run.targetMoisture,
                points,
                air(run),
                tried.stream().map(t -> new Drying.Tested(t.rackHours, t.test)).toList()));
    }

    private RunView view(DryingRun run) {
        List<WeighingEntity> weighed = weighings.findAllByRunIdOrderByRackHours(run.id);
        List<DryTest> tried = tests.findAllByRunIdOrderByAtAscIdAsc(run.id);
        Drying.Result r = reckon(run, weighed, tried);
        List<Finding> findings = new ArrayList<>(r.findings());
        if (run.status == DryingRun.Status.DRYING) {
            findings.addAll(run.way().air(air(run), temperature(run)));
        }
        return new RunView(
                run.id,
                run.version == null ? 0 : run.version,
                run.harvestId,
                run.code,
                run.taxonId,
                herbarium.taxon(run.taxonId).commonName(),
                run.part,
                run.rack,
                run.status.name(),
                run.startedAt,
                run.freshG,
                new Range(run.moistureLow, run.moistureHigh),
                run.targetMoisture,
                run.temperatureC,
                run.relativeHumidity,
                tried.stream()
                        .map(t -> new TestView(t.id, t.test, t.at, t.rackHours, t.triedBy))
                        .toList(),
                run.mouldSeen,
                run.pausedSince == null,
                run.rackHours(clock.instant()),
                weighed.stream()
                        .map(w -> new WeighingView(w.id, w.at, w.rackHours, w.massG, w.weighedBy))
                        .toList(),
                r.targetG() == null ? null : Range.of(r.targetG()),
                r.moistureNow() == null ? null : Range.of(r.moistureNow()),
                r.remaining() == null
                        ? null
                        : new RemainingView(
                                r.remaining().lowHours(),
                                r.remaining().likelyHours(),
                                r.remaining().highHours()),
                r.model(),
                r.equilibriumMoisture(),
                r.constantMass(),
                r.done(),
                r.byTestAlone(),
                r.curve().stream()
                        .map(p -> new PointView(p.rackHours(), p.massG()))
                        .toList(),
                advice(run),
                findings,
                r.because());
    }
}
