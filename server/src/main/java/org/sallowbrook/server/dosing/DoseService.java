package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.DoseCheck;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.LeastInterval;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.Products;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Doses really taken: ticked off once, judged on their day and now. */
@Service
@Transactional
public class DoseService {

    /**
     * @param amount what was really taken, in the product's unit; null when it was as planned
     * @param overMinutes how slowly it was drunk; null where nobody says
     * @param swallowed whether it is down already, so that it is kept even where it should not have been taken
     */
    public record DoseRequest(
            UUID id,
            LocalDate on,
            Integer slot,
            @Nullable Double amount,
            @Nullable Integer overMinutes,
            @Nullable Boolean swallowed,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    /** Within this a second tick of the same day is taken for a second tap. */
    private static final Duration ECHO = Duration.ofSeconds(20);

    private static final int LATEST_TICK_DAYS = 14;
    private static final int LATEST_SWALLOWED_DAYS = 365;
    private static final int MOST_SLOTS = 24;
    private static final double MOST_SWALLOWED = 5000;

    private final Courses courses;
    private final DosesTaken doses;
    private final CourseService service;
    private final CourseGates gates;
    private final LastTaken lastTaken;
    private final Products products;
    private final LooseningService loosening;
    private final PeopleService people;
    private final ShelfService shelf;
    private final Ledger ledger;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final Clock clock;

    DoseService(
            Courses courses,
            DosesTaken doses,
            CourseService service,
            CourseGates gates,
            LastTaken lastTaken,
            Products products,
            LooseningService loosening,
            PeopleService people,
            ShelfService shelf,
            Ledger ledger,
            Gatekeeper gatekeeper,
            Once once,
            Clock clock) {
        this.courses = courses;
        this.doses = doses;
        this.service = service;
        this.gates = gates;
        this.lastTaken = lastTaken;
        this.products = products;
        this.loosening = loosening;
        this.people = people;
        this.shelf = shelf;
        this.ledger = ledger;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.clock = clock;
    }

    /** Ticks off one dose; the same slot of the same day counts once. */
    public CourseService.CourseView take(UUID id, DoseRequest request) {
        CourseEntity course = courses.findById(id).orElseThrow(() -> new Problem.NotFound("course"));
        if (once.repeated("dose", request.id(), doses::existsById, id, request)) {
            return service.one(id);
        }
        List<DoseTaken> taken = doses.findAllByCourseId(id);
        if (taken.stream().anyMatch(d -> d.onDay.equals(request.on()) && d.slot == request.slot())) {
            return service.one(id);
        }
        // What is down is down, whatever became of the course: it is kept, and counts.
        boolean swallowed = Boolean.TRUE.equals(request.swallowed());
        if (course.status == CourseEntity.Status.ENDED && !swallowed) {
            throw new Problem.Conflict("This course was ended; nothing is taken of it any more.");
        }
        CourseRequest planned = StoredCourse.request(course);
        Course.Plan plan = planned.plan();
        Course.Day day = plan.days().stream()
                .filter(d -> d.date().equals(request.on()))
                .findFirst()
                .orElse(null);
        LocalDate today = people.today();
        double left = shelf.lot(course.lotId).remaining();
        double amount = request.amount() != null
                ? request.amount()
                : day == null ? 0 : day.perDose().value();
        Checks.begin()
                .that(
                        request.amount() == null || request.amount() > 0 && (swallowed || request.amount() <= left),
                        "amount",
                        "must be more than 0 and no more than is left in the bottle")
                .that(
                        request.amount() != null || swallowed || amount <= left + 1e-6,
                        "amount",
                        "is more than is left in the bottle")
                .that(
                        !swallowed || amount > 0 && amount <= MOST_SWALLOWED,
                        "amount",
                        "must say how much was swallowed, at most " + Words.figure(MOST_SWALLOWED))
                .that(
                        request.overMinutes() == null || request.overMinutes() >= 0 && request.overMinutes() <= 600,
                        "overMinutes",
                        "must be from 0 to 600")
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(
                        request.on().isAfter(today.minusDays(swallowed ? LATEST_SWALLOWED_DAYS : LATEST_TICK_DAYS)),
                        "on",
                        "is longer ago than " + (swallowed ? LATEST_SWALLOWED_DAYS : LATEST_TICK_DAYS) + " days")
                .that(swallowed || day != null && day.doses() > 0, "on", "is not a day of this course with a dose")
                .that(
                        request.slot() >= 1
                                && (swallowed
                                        ? request.slot() <= MOST_SLOTS
                                        : day == null || request.slot() <= day.doses()),
                        "slot",
                        "is not planned that day")
                .done();
        justTicked(taken, request);
        List<Finding> findings = atDose(course, planned, plan, request, amount, taken);
        Amount dose = Amount.of(amount, course.unit);
        Amount due = day == null ? dose.times(0) : day.perDose();
        DoseCheck.of(dose, due).ifPresent(findings::add);
        if (!swallowed) {
            if (Finding.any(findings, Severity.HOLD)) {
                throw new Problem.Refused(findings);
            }
            gatekeeper.pass("dose", id, findings, request.acknowledged());
        } else if (Finding.any(findings, Severity.STOP)) {
            gatekeeper.record("dose", id, "SWALLOWED_DESPITE_STOP", dose + " of " + due);
        }
        DoseTaken ticked = new DoseTaken(request.id());
        ticked.courseId = id;
        ticked.onDay = request.on();
        ticked.slot = request.slot();
        ticked.amount = amount;
        ticked.overMinutes = request.overMinutes();
        ticked.tickedBy = Member.current().displayName();
        ticked.tickedAt = clock.instant();
        doses.saveAndFlush(ticked);
        ledger.pour(course.lotId, ticked.id, ticked.amount, ticked.onDay);
        return service.one(id);
    }

    /** It was not taken after all: what it took out of the bottle is there again, and no sum counts it. */
    public CourseService.CourseView strike(UUID id, UUID dose, StrikeRequest request) {
        DoseTaken found = doses.findById(dose)
                .filter(d -> d.courseId.equals(id) && !d.struck())
                .orElseThrow(() -> new Problem.NotFound("dose"));
        String reason = tappedByMistake(found)
                ? request.checked()
                : loosening.pass(
                        Loosening.Safeguard.DOSE,
                        id,
                        request,
                        Words.figure(found.amount) + " " + shelf.lot(lotOf(id)).unit() + " were noted as taken on "
                                + Words.day(found.onDay) + " by " + found.tickedBy);
        found.strike(clock.instant(), reason);
        doses.saveAndFlush(found);
        ledger.strike(dose, reason);
        return service.one(id);
    }

    /** By whoever noted it, at once; the least time between two doses remembers it all the same. */
    private boolean tappedByMistake(DoseTaken dose) {
        return dose.tickedBy.equals(Member.current().displayName())
                && Duration.between(dose.tickedAt, clock.instant()).compareTo(LeastInterval.AT_ONCE) <= 0;
    }

    private UUID lotOf(UUID course) {
        return courses.findById(course).orElseThrow(() -> new Problem.NotFound("course")).lotId;
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
            double amount,
            List<DoseTaken> taken) {
        double thatDay = amount
                + taken.stream()
                        .filter(d -> d.onDay.equals(request.on()))
                        .mapToDouble(d -> d.amount)
                        .sum();
        LocalDate today = people.today();
        List<Finding> findings = new ArrayList<>(gates.findings(planned, plan, request.on(), null, amount, thatDay));
        if (!request.on().equals(today)) {
            gates.findings(planned, plan, today, null, amount, 0).stream()
                    .filter(f -> f.severity() == Severity.STOP
                            && findings.stream().noneMatch(k -> k.code().equals(f.code())))
                    .forEach(findings::add);
        }
        if (course.way == DosingGate.Way.MOUTH) {
            findings.addAll(lastTaken.check(
                    course.personId,
                    products.of(course.lotId),
                    planned.pattern().toCore().leastHours()));
        }
        Amount dose = Amount.of(amount, course.unit);
        Amount wanted = plan.days().stream()
                .filter(d -> d.date().equals(request.on()))
                .map(Course.Day::perDose)
                .findFirst()
                .orElse(dose);
        DoseCheck.tooMuch(dose, wanted).ifPresent(findings::add);
        return findings;
    }
}
