package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Adherence;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.DangerSigns;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.platform.Stored;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Courses: begun, shown, ended. */
@Service
@Transactional
public class CourseService {

    public record TakenView(
            UUID id,
            LocalDate date,
            Integer slot,
            Double amount,
            @Nullable Integer overMinutes,
            String by) {}

    public record AskedView(UUID id, LocalDate on, String words, String by) {}

    public record AskedRequest(UUID id, String words) {}

    /** Another phase. */
    public record PhaseView(UUID id, String product, LocalDate startOn, LocalDate lastDay, String status) {}

    /** Up to today. @param missedDays planned days before today on which nothing was taken */
    public record AdherenceView(Double planned, Double taken, Integer missedDays) {}

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
            String pattern,
            CourseRequest.@Nullable TimingRequest timing,
            LocalDate startOn,
            LocalDate lastDay,
            Double total,
            String unit,
            String status,
            Boolean dosable,
            String countedOut,
            List<CoursePlanner.DayView> days,
            List<TakenView> taken,
            AdherenceView adherence,
            List<Finding> findings,
            List<String> dangerSigns,
            List<String> doctorToday,
            Boolean recipient,
            List<AskedView> asked,
            Boolean untilBetter,
            Boolean diary,
            @Nullable PhaseView before,
            List<PhaseView> after) {}

    private static final Logger LOG = LoggerFactory.getLogger(CourseService.class);

    private static final int EARLIEST_START_DAYS = 14;

    private final Courses courses;
    private final DosesTaken doses;
    private final PeopleService people;
    private final ShelfService shelf;
    private final CourseGates gates;
    private final CoursePlanner planner;
    private final CourseUnits units;
    private final Gatekeeper gatekeeper;
    private final AskedAfters askedAfters;
    private final Diaries diaries;
    private final Once once;
    private final Reading reading;
    private final Running running;

    CourseService(
            Courses courses,
            DosesTaken doses,
            PeopleService people,
            ShelfService shelf,
            CourseGates gates,
            CoursePlanner planner,
            CourseUnits units,
            Gatekeeper gatekeeper,
            AskedAfters askedAfters,
            Diaries diaries,
            Once once,
            Reading reading,
            Running running) {
        this.running = running;
        this.reading = reading;
        this.courses = courses;
        this.doses = doses;
        this.people = people;
        this.shelf = shelf;
        this.gates = gates;
        this.planner = planner;
        this.units = units;
        this.gatekeeper = gatekeeper;
        this.askedAfters = askedAfters;
        this.diaries = diaries;
        this.once = once;
    }

    public CourseView add(CourseRequest request) {
        if (once.repeated("course", request.id(), courses::existsById, request)) {
            return view(find(request.id()));
        }
        LotView of = planner.finished(request);
        LocalDate today = people.today();
        Checks.begin()
                .that(
                        !request.startOn().isBefore(today.minusDays(EARLIEST_START_DAYS))
                                && !request.startOn().isAfter(today.plusYears(1)),
                        "startOn",
                        "must be within the last " + EARLIEST_START_DAYS + " days or the next year")
                .that(
                        request.countedIn() != Dose.Unit.CUP
                                || request.perCup() != null
                                || !CoursePlanner.byTheCup(of, request.way()),
                        "perCup",
                        "must say how much herb goes to a cup")
                .that(length(request.use()) <= 160, "use", "must have at most 160 letters")
                .done();
        request.check();
        follows(request);
        Course.Plan plan = request.plan();
        gatekeeper.pass("course", request.id(), gates.whole(request, plan, today), request.acknowledged());
        CourseEntity course = new CourseEntity(request.id());
        course.personId = request.personId();
        course.lotId = request.lotId();
        course.purpose = request.use();
        course.way = request.way();
        course.plan = StoredCourse.DOCUMENT.write(StoredCourse.of(request));
        course.followsId = request.followsId();
        course.startOn = request.startOn();
        course.lastDay = plan.lastDay();
        course.total = plan.total().value();
        course.unit = plan.total().unit();
        course.coreVersion = CoreVersion.CURRENT;
        return view(courses.saveAndFlush(course));
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
        return underWay().readable();
    }

    /** A course under way that was stored in a way nobody reads any more: its line says so, and the others stand. */
    record Unreadable(UUID id, String person, String product) {}

    record UnderWay(List<CourseView> readable, List<Unreadable> unreadable) {}

    @Transactional(readOnly = true)
    UnderWay underWay() {
        List<CourseView> readable = new ArrayList<>();
        List<Unreadable> unreadable = new ArrayList<>();
        for (CourseEntity course : running.courses()) {
            try {
                readable.add(view(course));
            } catch (Stored.Unreadable e) {
                LOG.error("course {} can't be read: {}", course.id, e.getMessage());
                unreadable.add(new Unreadable(
                        course.id,
                        people.one(course.personId).name(),
                        shelf.lot(course.lotId).name()));
            }
        }
        return new UnderWay(readable, unreadable);
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

    /** A course whose last day is over is finished, whether or not somebody ended it. */
    private String status(CourseEntity c) {
        return c.status == CourseEntity.Status.RUNNING && c.lastDay.isBefore(people.today())
                ? "FINISHED"
                : c.status.name();
    }

    private static int length(@Nullable String text) {
        return text == null ? 0 : text.length();
    }

    private CourseEntity find(UUID id) {
        return courses.findById(id).orElseThrow(() -> new Problem.NotFound("course"));
    }

    private CourseView view(CourseEntity c) {
        CourseRequest request = StoredCourse.request(c);
        Course.Plan plan = request.plan();
        LotView lot = shelf.lot(c.lotId);
        PeopleService.PersonView person = people.one(c.personId);
        List<Finding> findings = new ArrayList<>(gates.findings(request, plan, people.today(), null, 0, 0));
        List<DoseTaken> taken =
                reading.listOf(Reading.Of.COURSE, "doses", c.id, doses::findAllByCourseIdIn, d -> d.courseId);
        Adherence.Result adherence = Adherence.compare(
                plan,
                request.timing() == null ? null : request.timing().overMinutes(),
                taken.stream()
                        .map(d -> new Adherence.Taken(d.onDay, Amount.of(d.amount, c.unit), d.overMinutes))
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
                request.pattern().toCore().words(),
                request.timing(),
                c.startOn,
                c.lastDay,
                c.total,
                lot.unit(),
                status(c),
                dosable && status(c).equals("RUNNING"),
                units.counted(request, lot, request.perDose()),
                CoursePlanner.days(plan),
                taken.stream()
                        .map(d -> new TakenView(d.id, d.onDay, d.slot, d.amount, d.overMinutes, d.tickedBy))
                        .toList(),
                new AdherenceView(adherence.planned().value(), adherence.taken().value(), adherence.missedDays()),
                findings,
                DangerSigns.NOW,
                DangerSigns.TODAY,
                person.recipient(),
                reading
                        .listOf(
                                Reading.Of.COURSE,
                                "asked",
                                c.id,
                                askedAfters::findAllByCourseIdInOrderByOnDayDescIdDesc,
                                a -> a.courseId)
                        .stream()
                        .map(a -> new AskedView(a.id, a.onDay, a.words, a.askedBy))
                        .toList(),
                Boolean.TRUE.equals(request.untilBetter()),
                !reading.listOf(Reading.Of.COURSE, "diary", c.id, diaries::findAllById, d -> d.id)
                        .isEmpty(),
                c.followsId == null ? null : phase(find(c.followsId)),
                reading
                        .listOf(
                                Reading.Of.COURSE,
                                "after",
                                c.id,
                                courses::findAllByFollowsIdInOrderByStartOn,
                                after -> java.util.Objects.requireNonNull(after.followsId))
                        .stream()
                        .map(this::phase)
                        .toList());
    }

    private PhaseView phase(CourseEntity c) {
        return new PhaseView(c.id, shelf.lot(c.lotId).name(), c.startOn, c.lastDay, status(c));
    }
}
