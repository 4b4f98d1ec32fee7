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
import org.sallowbrook.core.dosing.Expecting;
import org.sallowbrook.core.dosing.Proposal;
import org.sallowbrook.core.dosing.Supply;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.making.Measures;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
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
            @Nullable MonthDay to,
            @Nullable Integer lot) {
        Course.Pattern toCore() {
            return new Course.Pattern(kind, onDays, offDays, daysPerMonth, everyHours, from, to, lot);
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

    /**
     * @param minutes before or after it; the nearer end where it is a range
     * @param minutesTo the farther end; null for none
     * @param overMinutes how slowly one dose is drunk
     */
    public record TimingRequest(
            Relation relation,
            @Nullable Integer minutes,
            @Nullable Integer minutesTo,
            @Nullable Integer overMinutes) {}

    /**
     * @param perDoseMl in the product's unit: mL, or grams of a salve; so are all amounts of a course
     * @param countedIn what whoever takes it counts it out in; null for the product's unit
     * @param untilBetter whether it ends as soon as it is better; the days are then the most
     * @param followsId the phase before it, which is the same person's and over when this one begins
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
            @Nullable Boolean untilBetter,
            @Nullable UUID followsId,
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

    /** What a child's rule makes of the card's dose for grown-ups. */
    public record ChildRuleView(
            String rule,
            @Nullable Double fraction,
            @Nullable Double ml) {}

    /**
     * @param fromAgeYears from which the card gives a dose for the use; null where it gives none
     * @param adultMl a grown-up's dose, that the rules go by; null where there is none
     */
    public record ChildView(
            @Nullable Integer fromAgeYears, @Nullable Double adultMl, List<ChildRuleView> rules, String school) {}

    /** What is known of one herb in one third of a pregnancy. */
    public record ExpectingView(
            String taxonId,
            String commonName,
            Integer trimester,
            Taxon.CautionStatus status,
            @Nullable Severity severity,
            String effect,
            @Nullable String source) {}

    /**
     * @param driedGPerDay on a full day, all doses of this product
     * @param child null for a grown-up
     * @param expecting empty for whoever is not
     */
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
            List<String> dangerSigns,
            @Nullable ChildView child,
            List<ExpectingView> expecting) {}

    public record TakenView(
            UUID id,
            LocalDate date,
            Integer slot,
            Double ml,
            @Nullable Integer overMinutes,
            String by) {}

    public record AskedView(UUID id, LocalDate on, String words, String by) {}

    public record AskedRequest(UUID id, String words) {}

    /** Another phase. */
    public record PhaseView(UUID id, String product, LocalDate startOn, LocalDate lastDay, String status) {}

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
            List<String> dangerSigns,
            Boolean recipient,
            List<AskedView> asked,
            Boolean untilBetter,
            Boolean diary,
            @Nullable PhaseView before,
            List<PhaseView> after) {}

    private static final int EARLIEST_START_DAYS = 14;
    private static final int GROWN_UP = 18;

    /** After the start; a working figure of this tool: most that goes wrong shows within days. */
    private static final int ASK_FIRST_DAYS = 3;

    private static final int ASK_AGAIN_DAYS = 7;

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
    private final AskedAfters askedAfters;
    private final Diaries diaries;
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
            AskedAfters askedAfters,
            Diaries diaries,
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
        this.askedAfters = askedAfters;
        this.diaries = diaries;
        this.once = once;
    }

    @Transactional(readOnly = true)
    public CoursePlanView check(CourseRequest request) {
        timing(request.timing());
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
                proposal(request, product, person, lot),
                units(lot).stream()
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
                because(product, dose, plan, supply, lot.unit()),
                DosingGate.DANGER_SIGNS,
                child(request, product, person),
                person.pregnant() ? expecting(product) : List.of());
    }

    private @Nullable ChildView child(CourseRequest request, Product product, Person person) {
        if (person.ageYears() >= GROWN_UP || request.way() != DosingGate.Way.MOUTH) {
            return null;
        }
        Proposal.Adult adult = Proposal.adult(product, request.use(), request.timesPerDay(), schools.chosen());
        return new ChildView(
                adult.fromAgeYears(),
                adult.perDoseMl(),
                adult.perDoseMl() == null
                        ? List.of()
                        : Dose.sideBySide(
                                        adult.perDoseMl(),
                                        new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm()))
                                .stream()
                                .map(r -> new ChildRuleView(r.rule(), r.fraction(), r.ml()))
                                .toList(),
                schools.chosen().of(Question.CHILD_DOSE).words());
    }

    private static List<ExpectingView> expecting(Product product) {
        return Expecting.of(product).stream()
                .map(k -> new ExpectingView(
                        k.taxon().id(),
                        k.taxon().commonName(),
                        k.trimester(),
                        k.status(),
                        k.severity(),
                        k.effect(),
                        k.source() == null
                                ? null
                                : k.source().title() + ", " + k.source().year()))
                .toList();
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

    private List<DoseUnits.Offered> units(LotView lot) {
        Map<HouseMeasure, Double> own = measures.mostMl(List.of(
                HouseMeasure.LEVEL_TEASPOON,
                HouseMeasure.LEVEL_TABLESPOON,
                HouseMeasure.CUP,
                HouseMeasure.DROP,
                HouseMeasure.SQUIRT));
        return DoseUnits.of(
                grams(lot),
                lot.strengthPercent() == null
                        ? 0
                        : Strength.ofPercent(lot.strengthPercent()).fraction(),
                new DoseUnits.Kit(
                        own.get(HouseMeasure.LEVEL_TEASPOON),
                        own.get(HouseMeasure.LEVEL_TABLESPOON),
                        own.get(HouseMeasure.CUP),
                        own.get(HouseMeasure.DROP),
                        own.get(HouseMeasure.SQUIRT)));
    }

    /** So much in what the course is counted out in, "40 drops"; empty where that is the product's own unit. */
    private String counted(CourseRequest request, LotView lot, double amount) {
        return request.countedIn() == null
                ? ""
                : units(lot).stream()
                        .filter(u -> u.unit() == request.countedIn() && u.each() != 1)
                        .findFirst()
                        .map(u -> DoseUnits.words(amount, u))
                        .orElse("");
    }

    private ProposalView proposal(CourseRequest request, Product product, Person person, LotView lot) {
        int days = Proposal.days(
                product,
                person,
                request.use(),
                request.startOn(),
                lot.remaining(),
                request.perDoseMl() * request.timesPerDay());
        if (request.way() != DosingGate.Way.MOUTH) {
            return new ProposalView(
                    grams(lot) ? (Double) DoseUnits.FINGERTIP_G : null,
                    "A thin layer"
                            + (grams(lot) ? ": a fingertip of it goes as far as two hands" : "")
                            + ". The card gives no amount for the skin.",
                    days);
        }
        Proposal.Result p = Proposal.of(product, person, request.use(), request.timesPerDay(), schools.chosen());
        return new ProposalView(p.perDoseMl() == null ? null : countable(p.perDoseMl(), product, lot), p.words(), days);
    }

    /** A tea is proposed in parts of a cup that somebody can pour; what is measured is left as it is. */
    private Double countable(double amount, Product product, LotView lot) {
        Dose.Unit usual = DoseUnits.usual(grams(lot), product.strength().fraction(), amount);
        return units(lot).stream()
                .filter(u -> u.unit() == usual && u.each() != 1)
                .findFirst()
                .map(u -> DoseUnits.countable(amount, u))
                .orElse(amount);
    }

    private static List<String> because(
            Product product, Dose.Result dose, Course.Plan plan, Supply.Result supply, String unit) {
        List<String> lines = new ArrayList<>();
        if (product.driedEquivalentGPerMl() != null) {
            lines.addAll(dose.because());
        }
        lines.addAll(plan.because(unit));
        if (unit.equals(Unit.ML.symbol())) {
            lines.addAll(supply.because());
        }
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
        timing(request.timing());
        follows(request);
        Course.Plan plan = request.plan();
        gatekeeper.pass("course", request.id(), gates.whole(request, plan, today), request.acknowledged());
        CourseEntity course = new CourseEntity(request.id());
        course.personId = request.personId();
        course.lotId = request.lotId();
        course.purpose = request.use();
        course.way = request.way();
        course.plan = store.write(request);
        course.followsId = request.followsId();
        course.startOn = request.startOn();
        course.lastDay = plan.lastDay();
        course.totalMl = plan.totalMl();
        course.coreVersion = CoreVersion.CURRENT;
        return view(courses.saveAndFlush(course));
    }

    private static void timing(@Nullable TimingRequest t) {
        if (t == null) {
            return;
        }
        Checks.begin()
                .that(
                        t.minutes() == null || t.minutes() >= 0 && t.minutes() <= 600,
                        "timing.minutes",
                        "must be from 0 to 600")
                .that(
                        t.minutesTo() == null
                                || t.minutes() != null && t.minutesTo() >= t.minutes() && t.minutesTo() <= 600,
                        "timing.minutesTo",
                        "must not be less than the minutes before it, and at most 600")
                .that(
                        t.overMinutes() == null || t.overMinutes() >= 1 && t.overMinutes() <= 600,
                        "timing.overMinutes",
                        "must be from 1 to 600")
                .done();
    }

    /** A phase begins when the one before it is over, and is the same person's. */
    private void follows(CourseRequest request) {
        if (request.followsId() == null) {
            return;
        }
        CourseEntity before = find(request.followsId());
        Checks.begin()
                .that(before.personId.equals(request.personId()), "followsId", "must be a course of the same person")
                .that(
                        request.startOn().isAfter(before.endedOn == null ? before.lastDay : before.endedOn),
                        "startOn",
                        "must be after the last day of the phase before it")
                .done();
    }

    /** Asked how it goes, with what was said. */
    public CourseView asked(UUID id, AskedRequest request) {
        CourseEntity course = find(id);
        if (once.repeated("asked", request.id(), askedAfters::existsById, id, request)) {
            return view(course);
        }
        Checks.begin()
                .that(
                        !request.words().isBlank() && request.words().length() <= 500,
                        "words",
                        "must say what was answered, in at most 500 letters")
                .done();
        AskedAfter asked = new AskedAfter(request.id());
        asked.courseId = id;
        asked.onDay = people.today();
        asked.words = request.words().strip();
        asked.askedBy = Member.current().displayName();
        askedAfters.saveAndFlush(asked);
        return view(course);
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
            toAsk(course, span, due);
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
            if (course.recipient()) {
                // What somebody takes at their own table is not ticked off here; they are asked after.
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

    /** Whoever lives elsewhere is asked how it goes; who takes it until it is better, whether it is. */
    private static void toAsk(CourseView course, Span span, List<Due> due) {
        if (!course.recipient() && !course.untilBetter()) {
            return;
        }
        LocalDate last = null;
        for (LocalDate on = course.startOn().plusDays(ASK_FIRST_DAYS);
                !on.isAfter(course.lastDay());
                on = on.plusDays(course.untilBetter() ? ASK_FIRST_DAYS : ASK_AGAIN_DAYS)) {
            if (!on.isAfter(span.today())) {
                last = on;
            } else if (span.holds(on)) {
                due.add(ask(course, span, on));
            }
        }
        LocalDate asking = last;
        if (asking != null && course.asked().stream().noneMatch(a -> !a.on().isBefore(asking))) {
            due.add(ask(course, span, asking));
        }
    }

    private static Due ask(CourseView course, Span span, LocalDate on) {
        return new Due(
                course.untilBetter() ? Due.Kind.BETTER_YET : Due.Kind.ASK_AFTER,
                "dosing",
                course.id(),
                course.person() + ": " + (course.untilBetter() ? "is it better?" : "how does it go?"),
                course.product() + (course.use() == null ? "" : ", for " + course.use()),
                on,
                span.morning(on),
                on.isBefore(span.today()),
                course.version(),
                null,
                null,
                null);
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
        PeopleService.PersonView person = people.one(c.personId);
        List<Finding> findings = new ArrayList<>(gates.findings(request, plan, people.today(), null, 0, 0));
        List<DoseTaken> taken = doses.findAllByCourseId(c.id);
        Adherence.Result adherence = Adherence.compare(
                plan,
                request.timing() == null ? null : request.timing().overMinutes(),
                taken.stream()
                        .map(d -> new Adherence.Taken(d.onDay, d.ml, d.overMinutes))
                        .toList(),
                people.today());
        findings.addAll(adherence.findings());
        boolean dosable =
                findings.stream().noneMatch(f -> f.severity() == Severity.STOP || f.severity() == Severity.HOLD);
        return new CourseView(
                c.id,
                c.version == null ? 0 : c.version,
                c.personId,
                person.name(),
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
                        .map(d -> new TakenView(d.id, d.onDay, d.slot, d.ml, d.overMinutes, d.tickedBy))
                        .toList(),
                new AdherenceView(adherence.plannedMl(), adherence.takenMl(), adherence.missedDays()),
                findings,
                DosingGate.DANGER_SIGNS,
                person.recipient(),
                askedAfters.findAllByCourseIdOrderByOnDayDescIdDesc(c.id).stream()
                        .map(a -> new AskedView(a.id, a.onDay, a.words, a.askedBy))
                        .toList(),
                Boolean.TRUE.equals(request.untilBetter()),
                diaries.existsById(c.id),
                c.followsId == null ? null : phase(find(c.followsId)),
                courses.findAllByFollowsIdOrderByStartOn(c.id).stream()
                        .map(this::phase)
                        .toList());
    }

    private PhaseView phase(CourseEntity c) {
        return new PhaseView(c.id, shelf.lot(c.lotId).name(), c.startOn, c.lastDay, status(c));
    }
}
