package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What of the courses under way is due: a dose, a stop, a question how it goes. */
@Service
@Transactional(readOnly = true)
public class CourseDue implements DueSource {

    /** After the start; a working figure of this tool: most that goes wrong shows within days. */
    private static final int ASK_FIRST_DAYS = 3;

    private static final int ASK_AGAIN_DAYS = 7;

    private final CourseService courses;
    private final Running running;

    CourseDue(CourseService courses, Running running) {
        this.running = running;
        this.courses = courses;
    }

    @Override
    public void ahead() {
        running.courses();
    }

    @Override
    public List<Due> due(Span span) {
        List<Due> due = new ArrayList<>();
        CourseService.UnderWay underWay = courses.underWay();
        for (CourseService.Unreadable course : underWay.unreadable()) {
            if (span.holds(span.today())) {
                due.add(new Due(
                        Due.Kind.STOP_TAKING,
                        "dosing",
                        course.id(),
                        course.person() + ": " + course.product(),
                        "What was planned can't be read, so nothing of it is judged. Take nothing of it; plan it anew.",
                        span.today(),
                        span.morning(span.today()),
                        false,
                        null,
                        null,
                        null,
                        null));
            }
        }
        for (CourseService.CourseView course : underWay.readable()) {
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
            for (CoursePlanner.DayView day : course.days()) {
                if (day.date().isBefore(span.today()) || !span.holds(day.date())) {
                    continue;
                }
                Set<Integer> taken = course.taken().stream()
                        .filter(t -> t.date().equals(day.date()))
                        .map(CourseService.TakenView::slot)
                        .collect(Collectors.toSet());
                IntStream.rangeClosed(1, day.doses())
                        .filter(slot -> !taken.contains(slot))
                        .findFirst()
                        .ifPresent(slot -> due.add(new Due(
                                Due.Kind.DOSE,
                                "dosing",
                                course.id(),
                                course.person() + ": " + course.product(),
                                "dose " + slot + " of " + day.doses() + ", " + Words.figure(day.perDose()) + " "
                                        + course.unit()
                                        + (course.countedOut().isEmpty()
                                                ? ""
                                                : "; a full one is " + course.countedOut()),
                                day.date(),
                                span.morning(day.date()),
                                false,
                                course.version(),
                                slot,
                                day.perDose(),
                                course.unit())));
            }
        }
        return due;
    }

    /** Whoever lives elsewhere is asked how it goes; who takes it until it is better, whether it is. */
    private static void toAsk(CourseService.CourseView course, Span span, List<Due> due) {
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

    private static Due ask(CourseService.CourseView course, Span span, LocalDate on) {
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
}
