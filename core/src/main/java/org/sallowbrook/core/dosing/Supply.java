package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** What a course needs: how much, how many bottles, when what is there runs out, whether a bottle is finished in time. */
public final class Supply {

    /**
     * @param bottles null where no size was asked for
     * @param runsOutOn the first day that cannot be served; null when all can
     * @param usePerDayMl over all calendar days of the course
     */
    public record Result(
            Amount needed,
            @Nullable Integer bottles,
            @Nullable LocalDate runsOutOn,
            Amount usePerDay,
            List<Finding> findings,
            List<String> because) {}

    private Supply() {}

    /**
     * @param onHand what is there
     * @param bottle what one holds; null when not asked
     * @param openedLifeDays how long an opened bottle keeps; null when that sets no limit
     */
    public static Result of(
            Course.Plan plan, Amount onHand, @Nullable Amount bottle, @Nullable Integer openedLifeDays) {
        Checks checks = Checks.begin();
        if (bottle != null) {
            checks.range("bottle", bottle.value(), 1, 20_000);
        }
        if (openedLifeDays != null) {
            checks.range("openedLifeDays", openedLifeDays, 1, 3650);
        }
        checks.done();
        Because because = new Because();
        List<Finding> findings = new ArrayList<>();
        long days = ChronoUnit.DAYS.between(plan.days().get(0).date(), plan.lastDay()) + 1;
        Amount total = plan.total();
        String unit = total.unit().symbol();
        Amount perDay = total.times(1.0 / days);
        because.equation(
                "A day, on average", Words.exact(total.value(), unit) + " / " + days, total.value() / days, unit);
        Integer bottles = null;
        if (bottle != null) {
            double exact = total.over(bottle);
            bottles = (int) Math.ceil(exact - 1e-9);
            because.equation(
                    "Bottles, rounded up to " + bottles,
                    Words.exact(total.value(), unit) + " / " + Words.exact(bottle.value(), unit),
                    exact,
                    "");
            if (openedLifeDays != null && bottle.moreThan(perDay.times(openedLifeDays))) {
                findings.add(Finding.trifle(
                        "BOTTLE_OUTLASTS_ITS_TIME",
                        "A bottle of " + bottle + " lasts " + Words.figure(bottle.over(perDay)) + " days, and keeps "
                                + openedLifeDays + " once opened.",
                        "Fill smaller bottles: " + perDay.times(openedLifeDays) + " at most."));
            }
        }
        LocalDate runsOut = runsOut(plan, onHand);
        if (runsOut != null) {
            findings.add(Finding.note(
                    "RUNS_OUT",
                    onHand + " is there, " + total + " is needed; it runs out on " + Words.day(runsOut) + ".",
                    "Make more in time, or shorten the course."));
        }
        return new Result(total, bottles, runsOut, perDay, findings, because.lines());
    }

    private static @Nullable LocalDate runsOut(Course.Plan plan, Amount onHand) {
        Amount used = onHand.times(0);
        for (Course.Day day : plan.days()) {
            used = used.plus(day.total());
            if (!onHand.covers(used)) {
                return day.date();
            }
        }
        return null;
    }
}
