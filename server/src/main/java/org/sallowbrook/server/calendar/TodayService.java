package org.sallowbrook.server.calendar;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.server.dosing.DosingService;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.making.BatchService;
import org.sallowbrook.server.shelf.LotKind;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers from every room what is due. Keeps nothing of its own: a task is done when its room says so. */
@Service
@Transactional(readOnly = true)
public class TodayService {

    private static final Duration WEIGH_EVERY = Duration.ofHours(12);
    private static final int USE_UP_DAYS = 30;

    public enum Kind {
        RACK,
        WEIGH,
        SHAKE,
        PRESS,
        FILL,
        DOSE,
        USE_UP,
        SET_ASIDE
    }

    /**
     * @param landing where on the brook it is done
     * @param version of what it is about, for If-Match
     * @param slot of a dose
     * @param amount suggested: mL of a dose, expected yield of a pressing, last weight
     */
    public record TaskView(
            Kind kind,
            String landing,
            UUID subjectId,
            String title,
            String detail,
            LocalDate due,
            Boolean overdue,
            @Nullable Long version,
            @Nullable Integer slot,
            @Nullable Double amount) {}

    public record TodayView(LocalDate today, List<TaskView> tasks) {}

    private final DryingService drying;
    private final BatchService batches;
    private final ShelfService shelf;
    private final DosingService dosing;
    private final PeopleService people;
    private final Clock clock;

    TodayService(
            DryingService drying,
            BatchService batches,
            ShelfService shelf,
            DosingService dosing,
            PeopleService people,
            Clock clock) {
        this.drying = drying;
        this.batches = batches;
        this.shelf = shelf;
        this.dosing = dosing;
        this.people = people;
        this.clock = clock;
    }

    public TodayView today() {
        LocalDate today = people.today();
        List<TaskView> tasks = new ArrayList<>();
        // The shelf first: it reads every lot at once, and the others then find theirs already read.
        shelf(today, tasks);
        rack(today, tasks);
        bench(today, tasks);
        doses(today, tasks);
        tasks.sort(Comparator.comparing((TaskView t) -> t.kind()).thenComparing(TaskView::due));
        return new TodayView(today, tasks);
    }

    private void rack(LocalDate today, List<TaskView> tasks) {
        drying.waiting().stream()
                .filter(h -> !h.on().isBefore(today.minusDays(3)))
                .forEach(h -> tasks.add(new TaskView(
                        Kind.RACK,
                        "drying",
                        h.id(),
                        "Put on the rack: " + h.commonName(),
                        h.code() + ", " + Math.round(h.massG()) + " g from " + h.standName(),
                        h.on(),
                        h.on().isBefore(today),
                        null,
                        null,
                        h.massG())));
        for (DryingService.RunView run : drying.all()) {
            if (!run.status().equals("DRYING")) {
                continue;
            }
            Instant last = run.weighings().isEmpty()
                    ? run.startedAt()
                    : run.weighings().get(run.weighings().size() - 1).at();
            if (Duration.between(last, clock.instant()).compareTo(WEIGH_EVERY) >= 0) {
                LocalDate due = last.plus(WEIGH_EVERY).atZone(people.zone()).toLocalDate();
                tasks.add(new TaskView(
                        Kind.WEIGH,
                        "drying",
                        run.id(),
                        "Weigh " + run.commonName() + " on " + run.rack(),
                        run.done() ? "dry by the last weighing: try a stem, then jar it" : run.code(),
                        due,
                        due.isBefore(today),
                        run.version(),
                        null,
                        run.weighings().isEmpty()
                                ? run.freshG()
                                : run.weighings()
                                        .get(run.weighings().size() - 1)
                                        .massG()));
            }
        }
    }

    private void bench(LocalDate today, List<TaskView> tasks) {
        for (BatchService.BatchView batch : batches.all()) {
            if (batch.state() == Product.State.QUARANTINED || batch.state() == Product.State.DESTROYED) {
                continue;
            }
            String status = batch.status().name();
            LocalDate press = batch.pressOn();
            if (status.equals("STEEPING") && press != null && !press.isAfter(today)) {
                tasks.add(new TaskView(
                        Kind.PRESS,
                        "making",
                        batch.id(),
                        "Press " + batch.name(),
                        batch.code() + ", day " + batch.day(),
                        press,
                        press.isBefore(today),
                        batch.version(),
                        null,
                        batch.plan().yield().low()));
            } else if (batch.shakeDue()) {
                tasks.add(new TaskView(
                        Kind.SHAKE,
                        "making",
                        batch.id(),
                        "Shake " + batch.name(),
                        batch.code() + ", day " + batch.day(),
                        today,
                        false,
                        batch.version(),
                        null,
                        null));
            } else if (status.equals("PRESSED")) {
                tasks.add(new TaskView(
                        Kind.FILL,
                        "making",
                        batch.id(),
                        "Fill " + batch.name(),
                        batch.code(),
                        today,
                        false,
                        batch.version(),
                        null,
                        batch.yieldAmount()));
            }
        }
    }

    private void doses(LocalDate today, List<TaskView> tasks) {
        for (DosingService.CourseView course : dosing.all()) {
            if (!course.status().equals("RUNNING") || !course.dosable()) {
                continue;
            }
            course.days().stream().filter(d -> d.date().equals(today)).forEach(day -> {
                for (int slot = 1; slot <= day.doses(); slot++) {
                    int number = slot;
                    boolean taken =
                            course.taken().stream().anyMatch(t -> t.date().equals(today) && t.slot() == number);
                    if (!taken) {
                        tasks.add(new TaskView(
                                Kind.DOSE,
                                "dosing",
                                course.id(),
                                course.person() + ": " + course.product(),
                                "dose " + number + " of " + day.doses() + ", "
                                        + org.sallowbrook.core.measure.Words.millilitres(day.perDoseMl()),
                                today,
                                false,
                                course.version(),
                                number,
                                day.perDoseMl()));
                        break;
                    }
                }
            });
        }
    }

    private void shelf(LocalDate today, List<TaskView> tasks) {
        for (ShelfService.LotView lot : shelf.all()) {
            boolean kept = lot.kind() == LotKind.JAR
                    || lot.kind().finished()
                    || lot.kind().supply();
            if (!kept || lot.remaining() <= 0) {
                continue;
            }
            LocalDate best = lot.bestBefore();
            if (lot.state() == Product.State.QUARANTINED) {
                tasks.add(new TaskView(
                        Kind.SET_ASIDE,
                        "shelf",
                        lot.id(),
                        "Set aside " + lot.name() + (lot.holder() == null ? "" : " (" + lot.holder() + " has it)"),
                        lot.code() + ": " + lot.stateReason(),
                        today,
                        true,
                        lot.version(),
                        null,
                        null));
            } else if (best != null && !best.isAfter(today.plusDays(USE_UP_DAYS))) {
                tasks.add(new TaskView(
                        Kind.USE_UP,
                        "shelf",
                        lot.id(),
                        (lot.expired() ? "Past its date: " : "Use up ") + lot.name(),
                        lot.code() + ", best before " + best,
                        best,
                        lot.expired(),
                        lot.version(),
                        null,
                        null));
            }
        }
    }
}
