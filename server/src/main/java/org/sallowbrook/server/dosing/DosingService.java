package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Adherence;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
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
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Courses and the doses taken of them; every gate runs when a course is saved and again at each dose. */
@Service
@Transactional
public class DosingService {

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

    /** @param driedGPerDay on a full day, all doses of this product */
    public record CoursePlanView(
            List<DayView> days,
            Double totalMl,
            LocalDate lastDay,
            Double bottleMl,
            @Nullable LocalDate runsOutOn,
            @Nullable Range driedGPerDay,
            Double alcoholGPerDose,
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
            String status,
            Boolean dosable,
            List<DayView> days,
            List<TakenView> taken,
            AdherenceView adherence,
            List<Finding> findings,
            List<String> dangerSigns) {}

    /** @param ml what was really swallowed; null when it was as planned */
    public record DoseRequest(
            UUID id, LocalDate on, Integer slot, @Nullable Double ml) {}

    /** @param well whether nothing bad happened */
    public record TrialRequest(UUID id, UUID personId, String taxonId, LocalDate on, String reaction, Boolean well) {}

    public record TrialView(UUID id, UUID personId, String taxonId, LocalDate on, String reaction, Boolean well) {}

    private final Courses courses;
    private final DosesTaken doses;
    private final PlantTrials trials;
    private final PeopleService people;
    private final ShelfService shelf;
    private final Gatekeeper gatekeeper;
    private final Clock clock;
    private final JsonMapper json;

    DosingService(
            Courses courses,
            DosesTaken doses,
            PlantTrials trials,
            PeopleService people,
            ShelfService shelf,
            Gatekeeper gatekeeper,
            Clock clock,
            JsonMapper json) {
        this.courses = courses;
        this.doses = doses;
        this.trials = trials;
        this.people = people;
        this.shelf = shelf;
        this.gatekeeper = gatekeeper;
        this.clock = clock;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public CoursePlanView check(CourseRequest request) {
        Course.Plan plan = plan(request);
        ShelfService.LotView lot = finished(request.lotId());
        Product product = shelf.product(request.lotId());
        Person person = people.person(request.personId());
        Dose.Result dose = dose(request, product, person);
        Supply.Result supply = Supply.of(plan, lot.remaining(), null, null);
        return new CoursePlanView(
                days(plan),
                plan.totalMl(),
                plan.lastDay(),
                lot.remaining(),
                supply.runsOutOn(),
                product.driedEquivalentGPerMl() == null ? null : Range.of(dose.driedGPerDay()),
                dose.alcoholGPerDose(),
                findings(request, plan, people.today()),
                because(product, dose, plan, supply),
                DosingGate.DANGER_SIGNS);
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
        CourseEntity known = courses.findById(request.id()).orElse(null);
        if (known != null) {
            return view(known);
        }
        finished(request.lotId());
        Course.Plan plan = plan(request);
        gatekeeper.pass("course", request.id(), findings(request, plan, people.today()), request.acknowledged());
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

    @Transactional(readOnly = true)
    public List<CourseView> all() {
        return courses.findAllByOrderByStartOnDescIdDesc().stream()
                .map(this::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public CourseView one(UUID id) {
        return view(find(id));
    }

    /** Ticks off one dose; the same slot of the same day counts once. */
    public CourseView take(UUID id, DoseRequest request) {
        CourseEntity course = find(id);
        List<DoseTaken> taken = doses.findAllByCourseId(id);
        if (taken.stream()
                .anyMatch(d -> d.id.equals(request.id()) || d.onDay.equals(request.on()) && d.slot == request.slot())) {
            return view(course);
        }
        CourseRequest planned = planned(course);
        Course.Plan plan = plan(planned);
        Course.Day day = plan.days().stream()
                .filter(d -> d.date().equals(request.on()))
                .findFirst()
                .orElse(null);
        LocalDate today = people.today();
        double left = shelf.lot(course.lotId).remaining();
        Checks.begin()
                .that(
                        request.ml() == null || request.ml() > 0 && request.ml() <= left,
                        "ml",
                        "must be more than 0 and no more than is left in the bottle")
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(day != null && day.doses() > 0, "on", "is not a day of this course with a dose")
                .that(
                        day == null || request.slot() >= 1 && request.slot() <= day.doses(),
                        "slot",
                        "is not planned that day")
                .done();
        List<Finding> findings = new ArrayList<>(findings(planned, plan, request.on()));
        taken.stream()
                .map(d -> d.tickedAt)
                .max(Instant::compareTo)
                .ifPresent(last -> findings.addAll(Course.tooSoon(
                        planned.pattern().toCore(), request.on().equals(today) ? last : null, clock.instant())));
        boolean held = findings.stream().anyMatch(f -> f.severity() == Severity.STOP || f.severity() == Severity.HOLD);
        if (held) {
            throw new Problem.Refused(findings);
        }
        DoseTaken dose = new DoseTaken(request.id());
        dose.courseId = id;
        dose.onDay = request.on();
        dose.slot = request.slot();
        dose.ml = request.ml() == null ? java.util.Objects.requireNonNull(day).perDoseMl() : request.ml();
        dose.tickedBy = Member.current().displayName();
        dose.tickedAt = clock.instant();
        doses.saveAndFlush(dose);
        shelf.pour(course.lotId, dose.ml);
        return view(course);
    }

    public CourseView end(UUID id, @Nullable String ifMatch) {
        CourseEntity course = find(id);
        course.checkVersion(ifMatch, () -> view(course));
        course.status = CourseEntity.Status.ENDED;
        return view(courses.saveAndFlush(course));
    }

    public TrialView trial(TrialRequest request) {
        people.one(request.personId());
        Checks.begin()
                .that(!request.on().isAfter(people.today()), "on", "must not be in the future")
                .that(
                        !request.reaction().isBlank() && request.reaction().length() <= 300,
                        "reaction",
                        "must say how it went, in at most 300 letters")
                .done();
        PlantTrial trial = trials.findById(request.id()).orElse(null);
        if (trial == null) {
            trial = new PlantTrial(request.id());
            trial.personId = request.personId();
            trial.taxonId = request.taxonId();
            trial.onDay = request.on();
            trial.reaction = request.reaction().strip();
            trial.well = request.well();
            trial = trials.saveAndFlush(trial);
        }
        return view(trial);
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

    private ShelfService.LotView finished(UUID lotId) {
        ShelfService.LotView lot = shelf.lot(lotId);
        Checks.begin()
                .that(lot.kind().finished(), "lotId", "must name a bottle, flask or tin")
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

    /** Every gate, with what the person takes besides. */
    private List<Finding> findings(CourseRequest r, Course.Plan plan, LocalDate on) {
        Product product = shelf.product(r.lotId());
        Person person = people.person(r.personId());
        double mostPerDose =
                plan.days().stream().mapToDouble(Course.Day::perDoseMl).max().orElse(0);
        double mostPerDay = plan.days().stream()
                .mapToDouble(d -> d.perDoseMl() * d.doses())
                .max()
                .orElse(0);
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
                        others(r, on),
                        trialDone,
                        false,
                        r.skin(),
                        inducerLastOn(r.personId())),
                on);
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

    /** The last day a plant that weakens medicines was really taken. */
    private @Nullable LocalDate inducerLastOn(UUID personId) {
        return courses.findAllByPersonId(personId).stream()
                .filter(c -> c.way == DosingGate.Way.MOUTH
                        && shelf.constituents(c.lotId).contains(Taxon.Constituent.HYPERFORIN))
                .flatMap(c -> doses.findAllByCourseId(c.id).stream())
                .map(d -> d.onDay)
                .max(LocalDate::compareTo)
                .orElse(null);
    }

    /** What the person takes by mouth in other running courses; grams unknown where the product's are. */
    private List<Taking> others(CourseRequest r, LocalDate on) {
        List<Taking> all = new ArrayList<>();
        for (CourseEntity other : courses.findAllByPersonIdAndStatus(r.personId(), CourseEntity.Status.RUNNING)) {
            if (other.id.equals(r.id()) || other.lastDay.isBefore(on) || other.way != DosingGate.Way.MOUTH) {
                continue;
            }
            Product product = shelf.product(other.lotId);
            Interval equivalent = product.driedEquivalentGPerMl();
            double mostPerDay = plan(planned(other)).days().stream()
                    .mapToDouble(d -> d.perDoseMl() * d.doses())
                    .max()
                    .orElse(0);
            for (Product.Herb herb : product.herbs()) {
                all.add(new Taking(
                        herb.taxon(),
                        herb.part(),
                        equivalent == null ? null : (Double) (mostPerDay * equivalent.high() * herb.fraction())));
            }
        }
        return all;
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
        ShelfService.LotView lot = shelf.lot(c.lotId);
        List<Finding> findings = findings(request, plan, people.today());
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
                c.status.name(),
                dosable && c.status == CourseEntity.Status.RUNNING,
                days(plan),
                taken.stream()
                        .map(d -> new TakenView(d.onDay, d.slot, d.ml, d.tickedBy))
                        .toList(),
                new AdherenceView(adherence.plannedMl(), adherence.takenMl(), adherence.missedDays()),
                findings,
                DosingGate.DANGER_SIGNS);
    }
}
