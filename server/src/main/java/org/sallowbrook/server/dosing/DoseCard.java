package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What goes with a bottle to whoever takes it: how much, when, how slowly, what to look out for, whom to call. */
@Component
class DoseCard {

    /** Not a warning, and yet to be minded: only whole skin bears it. */
    private static final String INTACT_SKIN = "INTACT_SKIN";

    /** Doses that differ by less are the same. */
    private static final double SAME = 1e-6;

    private static final String BLANK = "__________";

    private final CourseService courses;
    private final ShelfService shelf;
    private final HerbariumService herbarium;
    private final HouseholdService household;

    DoseCard(CourseService courses, ShelfService shelf, HerbariumService herbarium, HouseholdService household) {
        this.courses = courses;
        this.shelf = shelf;
        this.herbarium = herbarium;
        this.household = household;
    }

    @Transactional(readOnly = true)
    Sheet of(UUID course) {
        CourseService.CourseView c = courses.one(course);
        LotView lot = shelf.lot(c.lotId());
        HouseholdService.WhomToCall call = household.whomToCall();
        Sheet.Builder sheet = Sheet.a4("Dose card: " + c.person() + ", " + c.product());
        if (!c.dosable()) {
            sheet.text("Not to be taken now: " + against(c), Sheet.Tone.GRAVE);
        }
        sheet.text(c.product(), Sheet.Tone.LARGE)
                .text("for " + c.person() + (c.use() == null ? "" : ", for " + c.use()) + "; lot " + c.lotCode()
                        + (lot.bestBefore() == null ? "" : ", keeps until " + Words.day(lot.bestBefore())));
        lot.herbs()
                .forEach(h -> sheet.text(
                        h.commonName() + " (" + herbarium.taxon(h.taxonId()).name() + "), " + Words.lower(h.part()),
                        Sheet.Tone.SOFT));
        return sheet.text(dose(c), Sheet.Tone.LARGE)
                .text(span(c))
                .rows(days(c))
                .text(minded(c).isEmpty() ? "" : "Mind", Sheet.Tone.HEADING)
                .points(minded(c))
                .text("Stop and get help at", Sheet.Tone.GRAVE)
                .text(String.join(", ", c.dangerSigns()) + ".")
                .text("A doctor today at: " + String.join(", ", c.doctorToday()) + ".")
                .text(
                        "Emergency: " + orBlank(call.emergencyNumber()) + "; poison centre: "
                                + orBlank(call.poisonCentre()) + ". Say what is on this card.",
                        Sheet.Tone.GRAVE)
                .text("Medicines are changed by whoever prescribed them, never for this. Tell the doctor and pharmacist"
                        + " that you take it.")
                .done();
    }

    private static String orBlank(String number) {
        return number.isBlank() ? BLANK : number;
    }

    private static String against(CourseService.CourseView c) {
        return c.findings().stream()
                .filter(f -> f.severity() == Severity.STOP || f.severity() == Severity.HOLD)
                .map(Finding::message)
                .findFirst()
                .orElse("the course is not running.");
    }

    private static List<String> minded(CourseService.CourseView c) {
        return c.findings().stream()
                .filter(f -> f.severity() == Severity.WARN || f.code().equals(INTACT_SKIN))
                .map(f -> f.message() + " " + f.action())
                .toList();
    }

    private static double full(CourseService.CourseView c) {
        return c.days().stream()
                .mapToDouble(CoursePlanner.DayView::perDose)
                .max()
                .orElse(0);
    }

    private static String dose(CourseService.CourseView c) {
        String figure = Words.figure(full(c)) + " " + c.unit();
        String amount = c.way() == DosingGate.Way.SKIN
                ? "A thin layer" + (c.countedOut().isEmpty() ? "" : ", " + c.countedOut())
                : c.countedOut().isEmpty() ? figure : c.countedOut() + " (" + figure + ")";
        int most =
                c.days().stream().mapToInt(CoursePlanner.DayView::doses).max().orElse(0);
        CourseRequest.TimingRequest timing = c.timing();
        return amount + ", " + c.pattern() + ", at most " + (most == 1 ? "once" : most + " times") + " a day, "
                + when(timing)
                + ", " + way(c.way())
                + (timing == null || timing.overMinutes() == null
                        ? ""
                        : ", drunk slowly over " + Words.figure(timing.overMinutes()) + " minutes")
                + ".";
    }

    private static String when(CourseRequest.@Nullable TimingRequest timing) {
        if (timing == null) {
            return "at any time";
        }
        String minutes = timing.minutes() == null
                ? ""
                : Words.figure(timing.minutes())
                        + (timing.minutesTo() == null ? "" : " to " + Words.figure(timing.minutesTo())) + " minutes ";
        return minutes
                + switch (timing.relation()) {
                    case BEFORE_MEAL -> "before a meal";
                    case WITH_MEAL -> "with a meal";
                    case AFTER_MEAL -> "after a meal";
                    case BEDTIME -> "at bedtime";
                    case ANY -> "at any time";
                };
    }

    private static String way(DosingGate.Way way) {
        return switch (way) {
            case MOUTH -> "by mouth";
            case SKIN -> "on the skin";
            case INCENSE -> "as incense in the room";
            case SMOKED -> "smoked";
            case EYE -> "in the eye";
            case EAR -> "in the ear";
            case INJECTION -> "injected";
            case ENEMA -> "as an enema";
        };
    }

    private static String span(CourseService.CourseView c) {
        return "From " + Words.day(c.startOn()) + " to " + Words.day(c.lastDay()) + " at most"
                + (c.untilBetter() ? ", and only until it is better" : "")
                + ". A dose that was missed is not made up for.";
    }

    /** Days one after the other on which the same is taken are one row; pauses are rows as well. */
    private static List<Sheet.Row> days(CourseService.CourseView c) {
        List<Sheet.Row> rows = new ArrayList<>();
        List<CoursePlanner.DayView> days = c.days();
        for (int from = 0, to; from < days.size(); from = to) {
            CoursePlanner.DayView first = days.get(from);
            to = from + 1;
            while (to < days.size() && same(first, days.get(to))) {
                to++;
            }
            LocalDate last = days.get(to - 1).date();
            rows.add(new Sheet.Row(
                    to - from == 1 ? Words.day(first.date()) : Words.day(first.date()) + " to " + Words.day(last),
                    first.doses() == 0
                            ? "a pause"
                            : first.doses() + " \u00d7 " + Words.figure(first.perDose()) + " " + c.unit()));
        }
        return rows;
    }

    private static boolean same(CoursePlanner.DayView a, CoursePlanner.DayView b) {
        return a.doses().equals(b.doses()) && (a.doses() == 0 || Math.abs(a.perDose() - b.perDose()) < SAME);
    }
}
