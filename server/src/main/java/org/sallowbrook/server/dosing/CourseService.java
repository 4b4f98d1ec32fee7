package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
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
import org.sallowbrook.core.dosing.DoseUnits;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.Proposal;
import org.sallowbrook.core.dosing.Supply;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.making.Measures;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Courses: planned, begun, shown, ended. */
@Service
@Transactional
public class CourseService implements DueSource {

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

    /**
     * @param perDoseMl in the product's unit: mL, or grams of a salve; so are all amounts of a course
     * @param countedIn what whoever takes it counts it out in; null for the product's unit
     */
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
            Dose.@Nullable Unit countedIn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {

        Course.Plan plan() {
            return Course.plan(new Course.Request(
                    startOn,
                    perDoseMl,
                    timesPerDay,
                    pattern.toCore(),
                    RampRequest.toCore(ramp),
                    TaperRequest.toCore(taper),
                    courseDays));
        }
    }

    public record DayView(LocalDate date, Integer doses, Double perDoseMl) {}

    /**
     * @param perDoseMl null where none is proposed; the words say why
     * @param days as long as product and card allow of the dose that was asked about
     */
    public record ProposalView(@Nullable Double perDoseMl, String words, Integer days) {}

    /** @param each one of it in the product's unit */
    public record DoseUnitView(Dose.Unit unit, Double each, String words) {}

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
            List<DoseUnitView> units,
            Dose.Unit usualUnit,
            String stands,
            List<Finding> findings,
            List<String> because,
            List<String> dangerSigns) {}

    public record TakenView(UUID id, LocalDate date, Integer slot, Double ml, String by) {}

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
            String countedOut,
            List<DayView> days,
            List<TakenView> taken,
            AdherenceView adherence,
            List<Finding> findings,
            List<String> dangerSigns) {}

    private static final int EARLIEST_START_DAYS = 14;

    private final Courses courses;
    private final DosesTaken doses;
    private final PeopleService people;
    private final SchoolService schools;
    private final ShelfService shelf;
    private final Products products;
    private final CourseStore store;
    private final CourseGates gates;
    private final Gatekeeper gatekeeper;
    private final Measures measures;
    private final Once once;

    CourseService(
            Courses courses,
            DosesTaken doses,
            PeopleService people,
            SchoolService schools,
            ShelfService shelf,
            Products products,
            CourseStore store,
            CourseGates gates,
            Gatekeeper gatekeeper,
            Measures measures,
            Once once) {
        this.courses = courses;
        this.doses = doses;
        this.people = people;
        this.schools = schools;
        this.shelf = shelf;
        this.products = products;
        this.store = store;
        this.gates = gates;
        this.gatekeeper = gatekeeper;
        this.measures = measures;
        this.once = once;
    }

    @Transactional(readOnly = true)
    public CoursePlanView check(CourseRequest request) {
        Course.Plan plan = request.plan();
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
                units(lot, product).stream()
                        .map(u -> new DoseUnitView(u.unit(), u.each(), u.words()))
                        .toList(),
                DoseUnits.usual(grams(lot), product.strength().fraction(), request.perDoseMl()),
                product.driedEquivalentGPerMl() == null || request.way() != DosingGate.Way.MOUTH
                        ? ""
                        : Proposal.stands(
                                product,
                                person,
                                request.use(),
                                mostPerDay(plan),
                                gates.besides(request, people.today())),
                gates.whole(request, plan, people.today()),
                because(product, dose, plan, supply),
                DosingGate.DANGER_SIGNS);
    }

    private static double mostPerDay(Course.Plan plan) {
        return plan.days().stream()
                .mapToDouble(d -> d.perDoseMl() * d.doses())
                .max()
                .orElse(0);
    }

    private static boolean grams(LotView lot) {
        return lot.unit().equals("g");
    }

    private List<DoseUnits.Offered> units(LotView lot, Product product) {
        return DoseUnits.of(
                grams(lot),
                product.strength().fraction(),
                new DoseUnits.Kit(
                        measures.mostMl(HouseMeasure.LEVEL_TEASPOON),
                        measures.mostMl(HouseMeasure.LEVEL_TABLESPOON),
                        measures.mostMl(HouseMeasure.CUP),
                        measures.mostMl(HouseMeasure.DROP),
                        measures.mostMl(HouseMeasure.SQUIRT)));
    }

    /** So much in what the course is counted out in, "40 drops"; empty where that is the product's own unit. */
    private String counted(CourseRequest request, LotView lot, double amount) {
        return request.countedIn() == null
                ? ""
                : units(lot, products.of(lot.id())).stream()
                        .filter(u -> u.unit() == request.countedIn() && u.each() != 1)
                        .findFirst()
                        .map(u -> DoseUnits.words(amount, u))
                        .orElse("");
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
        Course.Plan plan = request.plan();
        gatekeeper.pass("course", request.id(), gates.whole(request, plan, today), request.acknowledged());
        CourseEntity course = new CourseEntity(request.id());
        course.personId = request.personId();
        course.lotId = request.lotId();
        course.purpose = request.use();
        course.way = request.way();
        course.plan = store.write(request);
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
                                        + course.unit()
                                        + (course.countedOut().isEmpty()
                                                ? ""
                                                : "; a full one is " + course.countedOut()),
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

    public CourseView end(UUID id, @Nullable String ifMatch) {
        CourseEntity course = find(id);
        course.checkVersion(ifMatch, () -> view(course));
        course.status = CourseEntity.Status.ENDED;
        course.endedOn = people.today();
        return view(courses.saveAndFlush(course));
    }

    private LotView finished(UUID lotId) {
        LotView lot = shelf.lot(lotId);
        Checks.begin()
                .that(lot.stage() == Stage.FILLED, "lotId", "must name a bottle, flask or tin")
                .done();
        return lot;
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

    private CourseEntity find(UUID id) {
        return courses.findById(id).orElseThrow(() -> new Problem.NotFound("course"));
    }

    private CourseView view(CourseEntity c) {
        CourseRequest request = store.read(c);
        Course.Plan plan = request.plan();
        LotView lot = shelf.lot(c.lotId);
        List<Finding> findings = new ArrayList<>(gates.findings(request, plan, people.today(), null, 0, 0));
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
                counted(request, lot, request.perDoseMl()),
                days(plan),
                taken.stream()
                        .map(d -> new TakenView(d.id, d.onDay, d.slot, d.ml, d.tickedBy))
                        .toList(),
                new AdherenceView(adherence.plannedMl(), adherence.takenMl(), adherence.missedDays()),
                findings,
                DosingGate.DANGER_SIGNS);
    }
}
