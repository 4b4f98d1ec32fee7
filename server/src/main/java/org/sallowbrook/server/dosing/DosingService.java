package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Adherence;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.Exposure;
import org.sallowbrook.core.dosing.LongRun;
import org.sallowbrook.core.dosing.Proposal;
import org.sallowbrook.core.dosing.Supply;
import org.sallowbrook.core.dosing.Taking;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Stage;
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
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Courses and the doses taken of them; every gate runs when a course is saved and again at each dose. */
@Service
@Transactional
public class DosingService implements DueSource {

    public record PatternRequest(
            Course.Kind kind,
            @Nullable Integer onDays,
            @Nullable Integer offDays,
            @Nullable Integer daysPerMonth,
            @Nullable Double everyHours,
            @Nullable MonthDay from,
            @Nullable MonthDay to) {
        Course.Pattern toCore() {
            return new Course.Pattern(kind, onDays, offDays, daysPerMonth, everyHours, from, to);
        }
    }

    public record RampRequest(Double startFraction, Integer days) {
        static Course.@Nullable Slope toCore(@Nullable RampRequest r) {
            return r == null ? null : new Course.Slope(r.startFraction(), r.days());
        }
    }

    public record TaperRequest(Double endFraction, Integer days) {
        static Course.@Nullable Slope toCore(@Nullable TaperRequest r) {
            return r == null ? null : new Course.Slope(r.endFraction(), r.days());
        }
    }

    public enum Relation {
        BEFORE_MEAL,
        WITH_MEAL,
        AFTER_MEAL,
        BEDTIME,
        ANY
    }

    /** @param overMinutes how slowly one dose is drunk */
    public record TimingRequest(
            Relation relation,
            @Nullable Integer minutes,
            @Nullable Integer overMinutes) {}

    /** @param perDoseMl in the product's unit: mL, or grams of a salve; so are all amounts of a course */
    public record CourseRequest(
            UUID id,
            UUID personId,
            UUID lotId,
            @Nullable String use,
            DosingGate.Way way,
            Double perDoseMl,
            Integer timesPerDay,
            PatternRequest pattern,
            @Nullable RampRequest ramp,
            @Nullable TaperRequest taper,
            Integer courseDays,
            @Nullable TimingRequest timing,
            LocalDate startOn,
            DosingGate.@Nullable Skin skin,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    public record DayView(LocalDate date, Integer doses, Double perDoseMl) {}

    /**
     * @param perDoseMl null where none is proposed; the words say why
     * @param days as long as product and card allow of the dose that was asked about
     */
    public record ProposalView(@Nullable Double perDoseMl, String words, Integer days) {}

    /** @param driedGPerDay on a full day, all doses of this product */
    public record CoursePlanView(
            List<DayView> days,
            Double totalMl,
            String unit,
            LocalDate lastDay,
            Double bottleMl,
            @Nullable LocalDate runsOutOn,
            @Nullable Range driedGPerDay,
            Double alcoholGPerDose,
            ProposalView proposal,
            List<Finding> findings,
            List<String> because,
            List<String> dangerSigns) {}

    public record TakenView(LocalDate date, Integer slot, Double ml, String by) {}

    /** Up to today. @param missedDays planned days before today on which nothing was taken */
    public record AdherenceView(Double plannedMl, Double takenMl, Integer missedDays) {}

    public record CourseView(
            UUID id,
            Long version,
            UUID personId,
            String person,
            UUID lotId,
            String lotCode,
            String product,
            @Nullable String use,
            DosingGate.Way way,
            @Nullable TimingRequest timing,
            LocalDate startOn,
            LocalDate lastDay,
            Double totalMl,
            String unit,
            String status,
            Boolean dosable,
            List<DayView> days,
            List<TakenView> taken,
            AdherenceView adherence,
            List<Finding> findings,
            List<String> dangerSigns) {}

    /**
     * @param ml what was really taken, in the product's unit; null when it was as planned
     * @param swallowed whether it is down already, so that it is kept even where it should not have been taken
     */
    public record DoseRequest(
            UUID id,
            LocalDate on,
            Integer slot,
            @Nullable Double ml,
            @Nullable Boolean swallowed,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    /** @param well whether nothing bad happened */
    public record TrialRequest(UUID id, UUID personId, String taxonId, LocalDate on, String reaction, Boolean well) {}

    public record TrialView(UUID id, UUID personId, String taxonId, LocalDate on, String reaction, Boolean well) {}

    /** Within this a second tick of the same day is taken for a second tap. */
    private static final Duration ECHO = Duration.ofSeconds(20);

    private static final int EARLIEST_START_DAYS = 14;
    private static final int LATEST_TICK_DAYS = 14;
    private static final int LOOK_BACK_DAYS = 365;
    private static final double MUCH_MORE = 1.5;

    private final Courses courses;
    private final DosesTaken doses;
    private final PlantTrials trials;
    private final PeopleService people;
    private final SchoolService schools;
    private final ShelfService shelf;
    private final Products products;
    private final Ledger ledger;
    private final HerbariumService herbarium;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final Clock clock;
    private final JsonMapper json;

    DosingService(
            Courses courses,
            DosesTaken doses,
            PlantTrials trials,
            PeopleService people,
            SchoolService schools,
            ShelfService shelf,
            Products products,
            Ledger ledger,
            HerbariumService herbarium,
            Gatekeeper gatekeeper,
            Once once,
            Clock clock,
            JsonMapper json) {
        this.courses = courses;
        this.doses = doses;
        this.trials = trials;
        this.people = people;
        this.schools = schools;
        this.shelf = shelf;
        this.products = products;
        this.ledger = ledger;
        this.herbarium = herbarium;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.clock = clock;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public CoursePlanView check(CourseRequest request) {
        Course.Plan plan = plan(request);
        LotView lot = finished(request.lotId());
        Product product = products.of(request.lotId());
        Person person = people.person(request.personId());
        Dose.Result dose = dose(request, product, person);
        Supply.Result supply = Supply.of(plan, lot.remaining(), null, null);
        return new CoursePlanView(
                days(plan),
                plan.totalMl(),
                lot.unit(),
                plan.lastDay(),
                lot.remaining(),
                supply.runsOutOn(),
                product.driedEquivalentGPerMl() == null ? null : Range.of(dose.driedGPerDay()),
                dose.alcoholGPerDose(),
                proposal(request, product, person, lot.remaining()),
                whole(request, plan, people.today()),
                because(product, dose, plan, supply),
                DosingGate.DANGER_SIGNS);
    }

    private ProposalView proposal(CourseRequest request, Product product, Person person, double remaining) {
        int days = Proposal.days(
                product,
                person,
                request.use(),
                request.startOn(),
                remaining,
                request.perDoseMl() * request.timesPerDay());
        if (request.way() != DosingGate.Way.MOUTH) {
            return new ProposalView(null, "A thin layer; the card gives no amount for the skin.", days);
        }
        Proposal.Result p = Proposal.of(product, person, request.use(), request.timesPerDay(), schools.chosen());
        return new ProposalView(p.perDoseMl(), p.words(), days);
    }

    private static List<String> because(Product product, Dose.Result dose, Course.Plan plan, Supply.Result supply) {
        List<String> lines = new ArrayList<>();
        if (product.driedEquivalentGPerMl() != null) {
            lines.addAll(dose.because());
        }
        lines.addAll(plan.because());
        lines.addAll(supply.because());
        return lines;
    }

    public CourseView add(CourseRequest request) {
        if (once.repeated("course", request.id(), courses::existsById, request)) {
            return view(find(request.id()));
        }
        finished(request.lotId());
        LocalDate today = people.today();
        Checks.begin()
                .that(
                        !request.startOn().isBefore(today.minusDays(EARLIEST_START_DAYS))
                                && !request.startOn().isAfter(today.plusYears(1)),
                        "startOn",
                        "must be within the last " + EARLIEST_START_DAYS + " days or the next year")
                .that(length(request.use()) <= 160, "use", "must have at most 160 letters")
                .done();
        Course.Plan plan = plan(request);
        gatekeeper.pass("course", request.id(), whole(request, plan, today), request.acknowledged());
        CourseEntity course = new CourseEntity(request.id());
        course.personId = request.personId();
        course.lotId = request.lotId();
        course.purpose = request.use();
        course.way = request.way();
        course.plan = json.writeValueAsString(request);
        course.startOn = request.startOn();
        course.lastDay = plan.lastDay();
        course.totalMl = plan.totalMl();
        course.coreVersion = CoreVersion.CURRENT;
        return view(courses.saveAndFlush(course));
    }

    /** Courses under way. */
    @Transactional(readOnly = true)
    public List<CourseView> running() {
        return courses
                .findAllByStatusAndLastDayGreaterThanEqualOrderByStartOnDescIdDesc(
                        CourseEntity.Status.RUNNING, people.today())
                .stream()
                .map(this::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public Past past(int page) {
        Map<UUID, String> names =
                people.all().stream().collect(Collectors.toMap(PeopleService.PersonView::id, p -> p.name()));
        var slice = courses.over(CourseEntity.Status.RUNNING, people.today(), Past.page(page));
        Map<UUID, LotView> lots = shelf
                .lots(slice.getContent().stream().map(c -> c.lotId).distinct().toList())
                .stream()
                .collect(Collectors.toMap(LotView::id, l -> l));
        return Past.of(
                slice,
                c -> new Past.Entry(
                        c.id,
                        names.getOrDefault(c.personId, "") + ": "
                                + lots.get(c.lotId).name(),
                        lots.get(c.lotId).code(),
                        c.startOn,
                        c.status == CourseEntity.Status.ENDED
                                ? "ended" + (c.endedOn == null ? "" : " on " + Words.day(c.endedOn))
                                : "finished on " + Words.day(c.lastDay)));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        List<Due> due = new ArrayList<>();
        for (CourseView course : running()) {
            if (!course.dosable()) {
                // Person, product, card or stand have changed since it was planned: it is judged anew each time it is
                // read.
                course.findings().stream()
                        .filter(f -> f.severity() == Severity.STOP)
                        .findFirst()
                        .filter(f -> span.holds(span.today()))
                        .ifPresent(f -> due.add(new Due(
                                Due.Kind.STOP_TAKING,
                                "dosing",
                                course.id(),
                                course.person() + ": " + course.product(),
                                f.message() + " " + f.action(),
                                span.today(),
                                span.morning(span.today()),
                                false,
                                course.version(),
                                null,
                                null,
                                null)));
                continue;
            }
            for (DayView day : course.days()) {
                if (day.date().isBefore(span.today()) || !span.holds(day.date())) {
                    continue;
                }
                Set<Integer> taken = course.taken().stream()
                        .filter(t -> t.date().equals(day.date()))
                        .map(TakenView::slot)
                        .collect(Collectors.toSet());
                IntStream.rangeClosed(1, day.doses())
                        .filter(slot -> !taken.contains(slot))
                        .findFirst()
                        .ifPresent(slot -> due.add(new Due(
                                Due.Kind.DOSE,
                                "dosing",
                                course.id(),
                                course.person() + ": " + course.product(),
                                "dose " + slot + " of " + day.doses() + ", " + Words.figure(day.perDoseMl()) + " "
                                        + course.unit(),
                                day.date(),
                                span.morning(day.date()),
                                false,
                                course.version(),
                                slot,
                                day.perDoseMl(),
                                course.unit())));
            }
        }
        return due;
    }

    @Transactional(readOnly = true)
    public CourseView one(UUID id) {
        return view(find(id));
    }

    /** Ticks off one dose; the same slot of the same day counts once. */
    public CourseView take(UUID id, DoseRequest request) {
        CourseEntity course = find(id);
        if (once.repeated("dose", request.id(), doses::existsById, id, request)) {
            return view(course);
        }
        List<DoseTaken> taken = doses.findAllByCourseId(id);
        if (taken.stream().anyMatch(d -> d.onDay.equals(request.on()) && d.slot == request.slot())) {
            return view(course);
        }
        if (course.status == CourseEntity.Status.ENDED) {
            throw new Problem.Conflict("This course was ended; nothing is taken of it any more.");
        }
        CourseRequest planned = planned(course);
        Course.Plan plan = plan(planned);
        Course.Day day = plan.days().stream()
                .filter(d -> d.date().equals(request.on()))
                .findFirst()
                .orElse(null);
        LocalDate today = people.today();
        double left = shelf.lot(course.lotId).remaining();
        double ml = request.ml() != null ? request.ml() : day == null ? 0 : day.perDoseMl();
        Checks.begin()
                .that(
                        request.ml() == null || request.ml() > 0 && request.ml() <= left,
                        "ml",
                        "must be more than 0 and no more than is left in the bottle")
                .that(request.ml() != null || ml <= left + 1e-6, "ml", "is more than is left in the bottle")
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(
                        request.on().isAfter(today.minusDays(LATEST_TICK_DAYS)),
                        "on",
                        "is longer ago than " + LATEST_TICK_DAYS + " days")
                .that(day != null && day.doses() > 0, "on", "is not a day of this course with a dose")
                .that(
                        day == null || request.slot() >= 1 && request.slot() <= day.doses(),
                        "slot",
                        "is not planned that day")
                .done();
        justTicked(taken, request);
        List<Finding> findings = atDose(course, planned, plan, request, ml, taken);
        boolean swallowed = Boolean.TRUE.equals(request.swallowed());
        if (!swallowed) {
            if (Finding.any(findings, Severity.HOLD)) {
                throw new Problem.Refused(findings);
            }
            gatekeeper.pass("dose", id, findings, request.acknowledged());
        } else if (Finding.any(findings, Severity.STOP)) {
            gatekeeper.record(
                    "dose",
                    id,
                    "SWALLOWED_DESPITE_STOP",
                    Words.figure(ml) + " of " + Words.figure(day == null ? 0 : day.perDoseMl()));
        }
        DoseTaken dose = new DoseTaken(request.id());
        dose.courseId = id;
        dose.onDay = request.on();
        dose.slot = request.slot();
        dose.ml = ml;
        dose.tickedBy = Member.current().displayName();
        dose.tickedAt = clock.instant();
        doses.saveAndFlush(dose);
        ledger.pour(course.lotId, dose.id, dose.ml, dose.onDay);
        return view(course);
    }

    /** A second tap within moments is the first one's echo, not another dose. */
    private void justTicked(List<DoseTaken> taken, DoseRequest request) {
        Instant last = taken.stream()
                .filter(d -> d.onDay.equals(request.on()))
                .map(d -> d.tickedAt)
                .max(Instant::compareTo)
                .orElse(null);
        if (last != null && Duration.between(last, clock.instant()).compareTo(ECHO) < 0) {
            throw new Problem.Conflict("A dose was ticked off a moment ago. If this is another one, wait "
                    + ECHO.toSeconds() + " seconds and tick it then.");
        }
    }

    /** Judged on the day of the dose and now, with what was taken that day already; a date in the past evades nothing. */
    private List<Finding> atDose(
            CourseEntity course,
            CourseRequest planned,
            Course.Plan plan,
            DoseRequest request,
            double ml,
            List<DoseTaken> taken) {
        double thatDay = ml
                + taken.stream()
                        .filter(d -> d.onDay.equals(request.on()))
                        .mapToDouble(d -> d.ml)
                        .sum();
        LocalDate today = people.today();
        List<Finding> findings = new ArrayList<>(findings(planned, plan, request.on(), null, ml, thatDay));
        if (!request.on().equals(today)) {
            findings(planned, plan, today, null, ml, 0).stream()
                    .filter(f -> f.severity() == Severity.STOP
                            && findings.stream().noneMatch(k -> k.code().equals(f.code())))
                    .forEach(findings::add);
        }
        Instant last =
                taken.stream().map(d -> d.tickedAt).max(Instant::compareTo).orElse(null);
        findings.addAll(Course.tooSoon(planned.pattern().toCore(), last, clock.instant()));
        double perDose = plan.days().stream()
                .filter(d -> d.date().equals(request.on()))
                .mapToDouble(Course.Day::perDoseMl)
                .findFirst()
                .orElse(ml);
        if (ml > perDose * MUCH_MORE) {
            findings.add(Finding.stop(
                    "MUCH_MORE_THAN_PLANNED",
                    Words.figure(ml) + " where " + Words.figure(perDose) + " was planned.",
                    "Look at the figure again. If so much is down already, say so: it is kept, and counts; ask a"
                            + " pharmacist, doctor or poison centre."));
        }
        return findings;
    }

    public CourseView end(UUID id, @Nullable String ifMatch) {
        CourseEntity course = find(id);
        course.checkVersion(ifMatch, () -> view(course));
        course.status = CourseEntity.Status.ENDED;
        course.endedOn = people.today();
        return view(courses.saveAndFlush(course));
    }

    public TrialView trial(TrialRequest request) {
        if (once.repeated("trial", request.id(), trials::existsById, request)) {
            return view(trials.findById(request.id()).orElseThrow(() -> new Problem.NotFound("trial")));
        }
        people.one(request.personId());
        herbarium.taxon(request.taxonId());
        Checks.begin()
                .that(!request.on().isAfter(people.today()), "on", "must not be in the future")
                .that(request.on().isAfter(people.today().minusYears(20)), "on", "must be within twenty years")
                .that(
                        !request.reaction().isBlank() && request.reaction().length() <= 300,
                        "reaction",
                        "must say how it went, in at most 300 letters")
                .done();
        PlantTrial trial = new PlantTrial(request.id());
        trial.personId = request.personId();
        trial.taxonId = request.taxonId();
        trial.onDay = request.on();
        trial.reaction = request.reaction().strip();
        trial.well = request.well();
        return view(trials.saveAndFlush(trial));
    }

    @Transactional(readOnly = true)
    public List<TrialView> trials(UUID personId) {
        people.one(personId);
        return trials.findAllByPersonId(personId).stream()
                .map(DosingService::view)
                .toList();
    }

    private static TrialView view(PlantTrial t) {
        return new TrialView(t.id, t.personId, t.taxonId, t.onDay, t.reaction, t.well);
    }

    private LotView finished(UUID lotId) {
        LotView lot = shelf.lot(lotId);
        Checks.begin()
                .that(lot.stage() == Stage.FILLED, "lotId", "must name a bottle, flask or tin")
                .done();
        return lot;
    }

    private static Course.Plan plan(CourseRequest r) {
        return Course.plan(new Course.Request(
                r.startOn(),
                r.perDoseMl(),
                r.timesPerDay(),
                r.pattern().toCore(),
                RampRequest.toCore(r.ramp()),
                TaperRequest.toCore(r.taper()),
                r.courseDays()));
    }

    private Dose.Result dose(CourseRequest r, Product product, Person person) {
        return Dose.reckon(new Dose.Request(
                Dose.Measured.plain(
                        product.driedEquivalentGPerMl() == null ? Interval.exactly(0) : product.driedEquivalentGPerMl(),
                        product.strength()),
                r.perDoseMl(),
                Dose.Unit.ML,
                r.timesPerDay(),
                null,
                new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm())));
    }

    /** Of a whole course: that it does not outlast its product as well. */
    private List<Finding> whole(CourseRequest r, Course.Plan plan, LocalDate on) {
        return findings(r, plan, on, plan.lastDay(), 0, 0);
    }

    /**
     * Every gate, with what the person takes besides.
     *
     * @param lastDay until when it must keep; null when only a day is judged
     * @param leastPerDose what is about to be taken, where it may be more than planned
     * @param leastPerDay with what was taken that day
     */
    private List<Finding> findings(
            CourseRequest r,
            Course.Plan plan,
            LocalDate on,
            @Nullable LocalDate lastDay,
            double leastPerDose,
            double leastPerDay) {
        Product product = products.of(r.lotId());
        Person person = people.person(r.personId());
        List<TakenOf> history = history(r.personId(), on);
        Set<String> herbs = product.herbs().stream().map(h -> h.taxon().id()).collect(Collectors.toSet());
        double mostPerDose = Math.max(
                leastPerDose,
                plan.days().stream().mapToDouble(Course.Day::perDoseMl).max().orElse(0));
        double mostPerDay = Math.max(
                leastPerDay,
                plan.days().stream()
                        .mapToDouble(d -> d.perDoseMl() * d.doses())
                        .max()
                        .orElse(0));
        List<PlantTrial> tried = trials.findAllByPersonId(r.personId());
        Set<String> well =
                tried.stream().filter(t -> t.well).map(t -> t.taxonId).collect(Collectors.toSet());
        Set<String> badly =
                tried.stream().filter(t -> !t.well).map(t -> t.taxonId).collect(Collectors.toSet());
        boolean trialDone =
                product.herbs().stream().allMatch(h -> well.contains(h.taxon().id()));
        List<Finding> findings = DosingGate.check(
                product,
                person,
                new DosingGate.Intake(
                        r.way(),
                        r.use(),
                        mostPerDose,
                        mostPerDay,
                        r.courseDays(),
                        others(r, on, history),
                        trialDone,
                        false,
                        r.skin(),
                        Exposure.daysBefore(
                                history.stream()
                                        .filter(t -> t.way() == r.way()
                                                && !t.courseId().equals(r.id())
                                                && t.product().herbs().stream()
                                                        .anyMatch(h -> herbs.contains(
                                                                h.taxon().id())))
                                        .map(TakenOf::on)
                                        .toList(),
                                r.startOn()),
                        lastDay,
                        inducerLastOn(history)),
                on);
        findings.addAll(LongRun.check(
                plants(product),
                r.way() == DosingGate.Way.MOUTH,
                r.startOn(),
                r.courseDays(),
                r.way() == DosingGate.Way.MOUTH ? alcoholG(product, mostPerDay) : 0,
                history.stream()
                        .filter(t -> !t.courseId().equals(r.id()))
                        .map(t -> new LongRun.Used(
                                t.on(),
                                t.way() == DosingGate.Way.MOUTH,
                                plants(t.product()),
                                t.way() == DosingGate.Way.MOUTH ? alcoholG(t.product(), t.ml()) : 0))
                        .toList()));
        for (Product.Herb herb : product.herbs()) {
            if (badly.contains(herb.taxon().id())) {
                findings.add(Finding.stop(
                        "REACTED",
                        person.name() + " reacted badly to " + herb.taxon().commonName() + " in a trial.",
                        "Do not take it; ask a doctor before trying again."));
            }
        }
        return findings;
    }

    private static Set<Taxon> plants(Product product) {
        return product.herbs().stream().map(Product.Herb::taxon).collect(Collectors.toSet());
    }

    private static double alcoholG(Product product, double ml) {
        return ml * product.strength().fraction() * Dose.ETHANOL_G_PER_ML;
    }

    /** Something a person took, from whatever course, running or ended. */
    private record TakenOf(UUID courseId, DosingGate.Way way, Product product, LocalDate on, double ml) {}

    private List<TakenOf> history(UUID personId, LocalDate until) {
        List<DosesTaken.OfPerson> taken = doses.ofPerson(personId, until.minusDays(LOOK_BACK_DAYS));
        Map<UUID, Product> contents = products.contents(
                taken.stream().map(DosesTaken.OfPerson::lotId).distinct().toList());
        return taken.stream()
                .map(t -> new TakenOf(t.courseId(), t.way(), contents.get(t.lotId()), t.onDay(), t.ml()))
                .toList();
    }

    /** The last day a plant that weakens medicines was really taken. */
    private static @Nullable LocalDate inducerLastOn(List<TakenOf> history) {
        return history.stream()
                .filter(t -> t.way() == DosingGate.Way.MOUTH
                        && t.product().herbs().stream()
                                .anyMatch(h -> h.taxon().constituents().contains(Taxon.Constituent.HYPERFORIN)))
                .map(TakenOf::on)
                .max(LocalDate::compareTo)
                .orElse(null);
    }

    /**
     * What the person takes by mouth besides: the fullest day of every other running course, and what was taken that day of
     * those that were ended. Grams unknown where the product's are.
     */
    private List<Taking> others(CourseRequest r, LocalDate on, List<TakenOf> history) {
        List<Taking> all = new ArrayList<>();
        Set<UUID> counted = new HashSet<>(Set.of(r.id()));
        for (CourseEntity other : courses.findAllByPersonIdAndStatusAndLastDayGreaterThanEqual(
                r.personId(), CourseEntity.Status.RUNNING, on)) {
            if (other.way != DosingGate.Way.MOUTH || !counted.add(other.id)) {
                continue;
            }
            double taken = takenOn(history, other.id, on);
            double most = plan(planned(other)).days().stream()
                    .mapToDouble(d -> d.perDoseMl() * d.doses())
                    .max()
                    .orElse(0);
            addTaking(all, products.of(other.lotId), Math.max(most, taken));
        }
        history.stream()
                .filter(t -> t.way() == DosingGate.Way.MOUTH && t.on().equals(on) && !counted.contains(t.courseId()))
                .forEach(t -> addTaking(all, t.product(), t.ml()));
        return all;
    }

    private static double takenOn(List<TakenOf> history, UUID course, LocalDate on) {
        return history.stream()
                .filter(t -> t.courseId().equals(course) && t.on().equals(on))
                .mapToDouble(TakenOf::ml)
                .sum();
    }

    private static void addTaking(List<Taking> all, Product product, double ml) {
        Interval equivalent = product.driedEquivalentGPerMl();
        for (Product.Herb herb : product.herbs()) {
            all.add(new Taking(
                    herb.taxon(),
                    herb.part(),
                    equivalent == null ? null : (Double) (ml * equivalent.high() * herb.fraction())));
        }
    }

    /** A course whose last day is over is finished, whether or not somebody ended it. */
    private String status(CourseEntity c) {
        return c.status == CourseEntity.Status.RUNNING && c.lastDay.isBefore(people.today())
                ? "FINISHED"
                : c.status.name();
    }

    private static int length(@Nullable String text) {
        return text == null ? 0 : text.length();
    }

    private static List<DayView> days(Course.Plan plan) {
        return plan.days().stream()
                .map(d -> new DayView(d.date(), d.doses(), d.perDoseMl()))
                .toList();
    }

    private CourseRequest planned(CourseEntity course) {
        return json.readValue(course.plan, CourseRequest.class);
    }

    private CourseEntity find(UUID id) {
        return courses.findById(id).orElseThrow(() -> new Problem.NotFound("course"));
    }

    private CourseView view(CourseEntity c) {
        CourseRequest request = planned(c);
        Course.Plan plan = plan(request);
        LotView lot = shelf.lot(c.lotId);
        List<Finding> findings = new ArrayList<>(findings(request, plan, people.today(), null, 0, 0));
        List<DoseTaken> taken = doses.findAllByCourseId(c.id);
        Adherence.Result adherence = Adherence.compare(
                plan,
                taken.stream().map(d -> new Adherence.Taken(d.onDay, d.ml)).toList(),
                people.today());
        findings.addAll(adherence.findings());
        boolean dosable =
                findings.stream().noneMatch(f -> f.severity() == Severity.STOP || f.severity() == Severity.HOLD);
        return new CourseView(
                c.id,
                c.version == null ? 0 : c.version,
                c.personId,
                people.one(c.personId).name(),
                c.lotId,
                lot.code(),
                lot.name(),
                c.purpose,
                c.way,
                request.timing(),
                c.startOn,
                c.lastDay,
                c.totalMl,
                lot.unit(),
                status(c),
                dosable && status(c).equals("RUNNING"),
                days(plan),
                taken.stream()
                        .map(d -> new TakenView(d.onDay, d.slot, d.ml, d.tickedBy))
                        .toList(),
                new AdherenceView(adherence.plannedMl(), adherence.takenMl(), adherence.missedDays()),
                findings,
                DosingGate.DANGER_SIGNS);
    }
}
