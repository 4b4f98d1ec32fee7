package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.OnOff;
import org.sallowbrook.core.dosing.pattern.Drawn;
import org.sallowbrook.core.herbarium.GraveWords;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether it helps: a diary beside a course, and what its days with and without say. */
@Service
@Transactional
public class DiaryService implements DueSource {

    /** @param complaint in the person's own words */
    public record DiaryRequest(String complaint) {}

    public record DiaryDayRequest(UUID id, LocalDate on, Integer score, String words) {}

    /** @param with whether it counts as a day with it */
    public record DiaryDayView(UUID id, LocalDate on, Integer score, Boolean with, String words, String notedBy) {}

    /**
     * @param drawn whether the days were drawn by lot; they then count as they were drawn
     * @param otherwise days that went otherwise than they were drawn
     */
    public record DiaryView(
            UUID courseId,
            String complaint,
            LocalDate begunOn,
            List<DiaryDayView> days,
            String sentence,
            @Nullable Double difference,
            @Nullable Range between,
            @Nullable Double p,
            Boolean drawn,
            Integer otherwise,
            List<String> because) {}

    /** Before the course as well, so that there are days without. */
    private static final int BEFORE_DAYS = 60;

    private final Diaries diaries;
    private final DiaryDays days;
    private final Courses courses;
    private final DosesTaken doses;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;
    private final Running running;
    private final Reading reading;

    DiaryService(
            Diaries diaries,
            DiaryDays days,
            Courses courses,
            DosesTaken doses,
            PeopleService people,
            Once once,
            Clock clock,
            Running running,
            Reading reading) {
        this.reading = reading;
        this.running = running;
        this.diaries = diaries;
        this.days = days;
        this.courses = courses;
        this.doses = doses;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    /** Begins it, or calls the complaint by another name. */
    public DiaryView keep(UUID courseId, DiaryRequest request) {
        course(courseId);
        Checks.begin()
                .that(
                        GraveWords.in(request.complaint()).isEmpty(),
                        "complaint",
                        GraveWords.in(request.complaint())
                                .map(GraveWords::refused)
                                .orElse(""))
                .that(
                        !request.complaint().isBlank() && request.complaint().length() <= 160,
                        "complaint",
                        "must have 1 to 160 letters")
                .done();
        Diary diary = diaries.findById(courseId).orElseGet(() -> {
            Diary begun = new Diary(courseId);
            begun.begunOn = people.today();
            return begun;
        });
        diary.complaint = request.complaint().strip();
        diaries.saveAndFlush(diary);
        return view(courseId);
    }

    /** One score a day; a second for the same day takes the place of the first, which is struck out. */
    public DiaryView note(UUID courseId, DiaryDayRequest request) {
        CourseEntity course = course(courseId);
        find(courseId);
        if (once.repeated("diary", request.id(), days::existsById, courseId, request)) {
            return view(courseId);
        }
        LocalDate today = people.today();
        Checks.begin()
                .that(request.score() >= 0 && request.score() <= 10, "score", "must be from 0 to 10")
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(
                        !request.on().isBefore(course.startOn.minusDays(BEFORE_DAYS)),
                        "on",
                        "must not be more than " + BEFORE_DAYS + " days before the course")
                .that(request.words().length() <= 300, "words", "must have at most 300 letters")
                .done();
        days.findAllByCourseIdInAndOnDay(List.of(courseId), request.on()).forEach(d -> {
            d.strike(clock.instant(), "noted anew");
            days.saveAndFlush(d);
        });
        DiaryDay day = new DiaryDay(request.id());
        day.courseId = courseId;
        day.onDay = request.on();
        day.score = request.score();
        day.words = request.words().strip();
        day.notedBy = Member.current().displayName();
        days.saveAndFlush(day);
        return view(courseId);
    }

    public DiaryView strike(UUID courseId, UUID id, StrikeRequest request) {
        String reason = request.checked();
        DiaryDay day = days.findById(id)
                .filter(d -> d.courseId.equals(courseId) && !d.struck())
                .orElseThrow(() -> new Problem.NotFound("day of the diary"));
        day.strike(clock.instant(), reason);
        days.saveAndFlush(day);
        return view(courseId);
    }

    @Transactional(readOnly = true)
    public DiaryView view(UUID courseId) {
        Diary diary = find(courseId);
        CourseEntity course = course(courseId);
        CourseRequest request = StoredCourse.request(course);
        Drawn lots = request.pattern().toCore() instanceof Drawn d ? d : null;
        boolean drawn = lots != null;
        Map<LocalDate, Course.Day> planned =
                request.plan().days().stream().collect(Collectors.toMap(Course.Day::date, Function.identity()));
        Set<LocalDate> taken = new HashSet<>();
        doses.findAllByCourseId(courseId).forEach(d -> taken.add(d.onDay));
        List<DiaryDayView> views = new ArrayList<>();
        List<OnOff.Day> counted = new ArrayList<>();
        int otherwise = 0;
        for (DiaryDay d : days.findAllByCourseIdOrderByOnDay(courseId)) {
            Course.Day plan = planned.get(d.onDay);
            boolean wanted = plan != null && plan.doses() > 0;
            boolean with = drawn ? wanted : taken.contains(d.onDay);
            views.add(new DiaryDayView(d.id, d.onDay, d.score, with, d.words, d.notedBy));
            if (drawn && plan == null) {
                continue;
            }
            otherwise += drawn && wanted != taken.contains(d.onDay) ? 1 : 0;
            counted.add(new OnOff.Day(
                    with,
                    d.score,
                    lots == null ? null : (Integer) lots.pair((int) ChronoUnit.DAYS.between(course.startOn, d.onDay))));
        }
        OnOff.Result result = OnOff.compare(counted);
        return new DiaryView(
                courseId,
                diary.complaint,
                diary.begunOn,
                views,
                result.sentence(),
                result.difference(),
                result.between() == null ? null : Range.of(result.between()),
                result.p(),
                drawn,
                otherwise,
                result.because());
    }

    /** Whether a course has one. */
    @Transactional(readOnly = true)
    public boolean kept(UUID courseId) {
        return diaries.existsById(courseId);
    }

    /** How it is today, of every diary whose course runs. */
    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        LocalDate today = span.today();
        if (!span.holds(today)) {
            return List.of();
        }
        List<CourseEntity> running = this.running.courses();
        Map<UUID, Diary> kept = running.stream()
                .flatMap(
                        c -> reading.listOf(Reading.Of.COURSE, "diary", c.id, diaries::findAllById, d -> d.id).stream())
                .collect(Collectors.toMap(d -> d.id, Function.identity()));
        Set<UUID> noted = days.findAllByCourseIdInAndOnDay(kept.keySet(), today).stream()
                .map(d -> d.courseId)
                .collect(Collectors.toSet());
        return running.stream()
                .filter(c -> kept.containsKey(c.id) && !noted.contains(c.id))
                .map(c -> new Due(
                        Due.Kind.DIARY,
                        "dosing",
                        c.id,
                        people.one(c.personId).name() + ": how is it today?",
                        java.util.Objects.requireNonNull(kept.get(c.id)).complaint,
                        today,
                        span.morning(today),
                        false,
                        null,
                        null,
                        null,
                        null))
                .toList();
    }

    private CourseEntity course(UUID id) {
        return courses.findById(id).orElseThrow(() -> new Problem.NotFound("course"));
    }

    private Diary find(UUID courseId) {
        return diaries.findById(courseId).orElseThrow(() -> new Problem.NotFound("diary"));
    }
}
