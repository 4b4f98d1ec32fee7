package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
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
            double neededMl,
            @Nullable Integer bottles,
            @Nullable LocalDate runsOutOn,
            double usePerDayMl,
            List<Finding> findings,
            List<String> because) {}

    private Supply() {}

    /**
     * @param onHandMl what is there
     * @param bottleMl size of one bottle; null when not asked
     * @param openedLifeDays how long an opened bottle keeps; null when that sets no limit
     */
    public static Result of(
            Course.Plan plan, double onHandMl, @Nullable Double bottleMl, @Nullable Integer openedLifeDays) {
        Checks checks = Checks.begin().notNegative("onHandMl", onHandMl);
        if (bottleMl != null) {
            checks.range("bottleMl", bottleMl, 1, 20_000);
        }
        if (openedLifeDays != null) {
            checks.range("openedLifeDays", openedLifeDays, 1, 3650);
        }
        checks.done();
        Because because = new Because();
        List<Finding> findings = new ArrayList<>();
        long days = ChronoUnit.DAYS.between(plan.days().get(0).date(), plan.lastDay()) + 1;
        double perDay = plan.totalMl() / days;
        because.equation("A day, on average", Words.exact(plan.totalMl(), "mL") + " / " + days, perDay, "mL");
        Integer bottles = null;
        if (bottleMl != null) {
            double exact = plan.totalMl() / bottleMl;
            bottles = (int) Math.ceil(exact - 1e-9);
            because.equation(
                    "Bottles, rounded up to " + bottles,
                    Words.exact(plan.totalMl(), "mL") + " / " + Words.exact(bottleMl, "mL"),
                    exact,
                    "");
            if (openedLifeDays != null && bottleMl / perDay > openedLifeDays) {
                findings.add(Finding.warn(
                        "BOTTLE_OUTLASTS_ITS_TIME",
                        "A bottle of " + Words.millilitres(bottleMl) + " lasts " + Words.figure(bottleMl / perDay)
                                + " days, and keeps " + openedLifeDays + " once opened.",
                        "Fill smaller bottles: " + Words.millilitres(perDay * openedLifeDays) + " at most."));
            }
        }
        LocalDate runsOut = runsOut(plan, onHandMl);
        if (runsOut != null) {
            findings.add(Finding.note(
                    "RUNS_OUT",
                    Words.millilitres(onHandMl) + " is there, " + Words.millilitres(plan.totalMl())
                            + " is needed; it runs out on " + Words.day(runsOut) + ".",
                    "Make more in time, or shorten the course."));
        }
        return new Result(plan.totalMl(), bottles, runsOut, perDay, findings, because.lines());
    }

    private static @Nullable LocalDate runsOut(Course.Plan plan, double onHandMl) {
        double left = onHandMl;
        for (Course.Day day : plan.days()) {
            left -= day.doses() * day.perDoseMl();
            if (left < -1e-9) {
                return day.date();
            }
        }
        return null;
    }
}
