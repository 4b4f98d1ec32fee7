package org.sallowbrook.core.making.tea;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** Boiling down: from readings of weight or level to the minutes left. The rate is taken to be steady. */
public final class Reduction {

    /** @param amount in g or mL, the same unit throughout */
    public record Reading(double minute, double amount) {
        public Reading {
            Checks.begin()
                    .notNegative("minute", minute)
                    .positive("amount", amount)
                    .done();
        }
    }

    /** Minutes from the last reading; low and high by the fastest and slowest of the intervals between readings. */
    public record Left(double low, double likely, double high) {}

    /**
     * @param left null when it does not boil down
     * @param rate amount a minute over all readings
     */
    public record Result(@Nullable Left left, double rate, List<Finding> findings, List<String> because) {}

    private static final double LEAST_APART_MINUTES = 0.1;

    private Reduction() {}

    /** @throws org.sallowbrook.core.measure.InvalidInput with fewer than two readings, or readings out of order */
    public static Result reckon(List<Reading> readings, double target) {
        Checks checks = Checks.begin()
                .positive("target", target)
                .that(readings.size() >= 2, "readings", "must be two at least");
        for (int i = 1; i < readings.size(); i++) {
            checks.that(
                    readings.get(i).minute() - readings.get(i - 1).minute() >= LEAST_APART_MINUTES,
                    "readings[" + i + "].minute",
                    "must be later than the one before, by a tenth of a minute at least");
        }
        checks.done();
        Reading first = readings.get(0);
        Reading last = readings.get(readings.size() - 1);
        double rate = (first.amount() - last.amount()) / (last.minute() - first.minute());
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        because.equation(
                "A minute",
                "(" + Words.exact(first.amount()) + " − " + Words.exact(last.amount()) + ") / ("
                        + Words.exact(last.minute()) + " − " + Words.exact(first.minute()) + ")",
                rate,
                "");
        double toGo = last.amount() - target;
        if (toGo <= 0) {
            return new Result(new Left(0, 0, 0), rate, findings, because.lines());
        }
        double fastest = Double.NEGATIVE_INFINITY;
        double slowest = Double.POSITIVE_INFINITY;
        for (int i = 1; i < readings.size(); i++) {
            double step = (readings.get(i - 1).amount() - readings.get(i).amount())
                    / (readings.get(i).minute() - readings.get(i - 1).minute());
            fastest = Math.max(fastest, step);
            slowest = Math.min(slowest, step);
        }
        if (!(rate > 0) || !(slowest > 0)) {
            findings.add(Finding.stop(
                    "NOT_REDUCING",
                    "Between some readings it has not become less.",
                    "Check the readings, take the lid off, or turn up the heat."));
            return new Result(null, rate, findings, because.lines());
        }
        if (readings.size() == 2) {
            findings.add(Finding.note(
                    "ONE_INTERVAL", "Two readings give one rate and no idea of its spread.", "Read it once more."));
        }
        because.equation(
                "Minutes left",
                "(" + Words.exact(last.amount()) + " − " + Words.exact(target) + ") / " + Words.exact(rate),
                toGo / rate,
                "min");
        return new Result(new Left(toGo / fastest, toGo / rate, toGo / slowest), rate, findings, because.lines());
    }
}
