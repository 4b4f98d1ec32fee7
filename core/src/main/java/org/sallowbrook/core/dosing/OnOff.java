package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

/**
 * Whether days with a remedy were better than days without: the difference of mean symptom scores, and how often a random
 * shuffle of the same days would differ as much (two-sided permutation test, Fisher 1935). Shuffles are drawn from a fixed
 * seed, so the same diary gives the same answer. It says nothing about why.
 */
public final class OnOff {

    private static final int LEAST_DAYS = 14;
    private static final int LEAST_EACH = 4;
    private static final int SHUFFLES = 9999;
    private static final double UNLIKELY = 0.05;

    /** @param score 0 none to 10 worst */
    public record Day(boolean taken, double score) {
        public Day {
            Checks.begin().range("score", score, 0, 10).done();
        }
    }

    /**
     * @param difference mean with less mean without; negative is better with; null while nothing is concluded
     * @param p null while nothing is concluded
     */
    public record Result(
            @Nullable Double difference, @Nullable Double p, String sentence, List<String> because) {}

    private OnOff() {}

    public static Result compare(List<Day> days) {
        Checks.begin().that(days.size() <= 2000, "days", "must be at most 2000").done();
        long with = days.stream().filter(Day::taken).count();
        long without = days.size() - with;
        if (days.size() < LEAST_DAYS || with < LEAST_EACH || without < LEAST_EACH) {
            return new Result(
                    null,
                    null,
                    "Too few days to say anything: " + days.size() + " are noted, " + with + " with and " + without
                            + " without; at least 14 in all and 4 of each are needed.",
                    List.of());
        }
        double[] scores = days.stream().mapToDouble(Day::score).toArray();
        boolean[] taken = new boolean[scores.length];
        for (int i = 0; i < taken.length; i++) {
            taken[i] = days.get(i).taken();
        }
        double difference = difference(scores, taken);
        double p = permutation(scores, taken, difference);
        Because because = new Because();
        because.equation("Difference of the means", mean(days, true) + " − " + mean(days, false), difference, "");
        because.say("Of " + SHUFFLES + " random shuffles of these days, a share of " + Words.figure(p)
                + " differed at least as much.");
        return new Result(difference, p, sentence(difference, p), because.lines());
    }

    private static String mean(List<Day> days, boolean taken) {
        List<String> scores = new ArrayList<>();
        days.stream().filter(d -> d.taken() == taken).forEach(d -> scores.add(Words.exact(d.score())));
        return "(" + String.join(" + ", scores) + ") / " + scores.size();
    }

    private static double difference(double[] scores, boolean[] taken) {
        double with = 0;
        double without = 0;
        int n = 0;
        for (int i = 0; i < scores.length; i++) {
            if (taken[i]) {
                with += scores[i];
                n++;
            } else {
                without += scores[i];
            }
        }
        return with / n - without / (scores.length - n);
    }

    private static double permutation(double[] scores, boolean[] taken, double seen) {
        RandomGenerator random = new Well19937c(20261125);
        boolean[] shuffled = taken.clone();
        int asFar = 1;
        for (int s = 0; s < SHUFFLES; s++) {
            for (int i = shuffled.length - 1; i > 0; i--) {
                int j = random.nextInt(i + 1);
                boolean swap = shuffled[i];
                shuffled[i] = shuffled[j];
                shuffled[j] = swap;
            }
            if (Math.abs(difference(scores, shuffled)) >= Math.abs(seen) - 1e-12) {
                asFar++;
            }
        }
        return asFar / (SHUFFLES + 1.0);
    }

    private static String sentence(double difference, double p) {
        String size = Words.figure(Math.abs(difference));
        if (p >= UNLIKELY) {
            return "Days with and without differ by " + size + " points, no more than chance often makes.";
        }
        return difference < 0
                ? "Days with it were better by " + size + " points, more than chance easily makes. Other things may"
                        + " have changed on the same days."
                : "Days with it were worse by " + size + " points, more than chance easily makes. Stop, and think"
                        + " about why.";
    }
}
