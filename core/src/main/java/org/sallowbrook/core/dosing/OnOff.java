package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/**
 * Whether days with a remedy were better than days without: the difference of mean symptom scores, and how often another
 * dealing of "with" and "without" over the same days would differ as much (two-sided permutation test, Fisher 1935). Where the
 * days were drawn by lot in pairs of blocks, only the dealings that the lot could have drawn are counted. Up to
 * {@value #EXACT_DAYS} days every dealing is counted; of more, a sample from a fixed seed. It says nothing about why.
 */
public final class OnOff {

    private static final int LEAST_DAYS = 14;
    private static final int LEAST_EACH = 4;
    private static final int LEAST_PAIRS = 5;
    static final int EXACT_DAYS = 60;
    private static final int SHUFFLES = 9999;
    private static final double UNLIKELY = 0.05;

    /** Scores are reckoned in tenths of a point, so that sums compare exactly. */
    private static final int TENTHS = 10;

    /** Step in which the ends of the interval are looked for first, in tenths: half a point. */
    private static final int STEP = 5;

    /**
     * @param score 0 none to 10 worst
     * @param pair of blocks drawn by lot that the day belongs to; null where nothing was drawn
     */
    public record Day(boolean taken, double score, @Nullable Integer pair) {
        public Day {
            Checks.begin().range("score", score, 0, 10).done();
        }

        public Day(boolean taken, double score) {
            this(taken, score, null);
        }
    }

    /**
     * @param difference mean with less mean without; negative is better with; null while nothing is concluded
     * @param between differences that the days do not speak against, at 5 in a hundred; null while nothing is concluded, and of
     *     more than {@value #EXACT_DAYS} days
     * @param p null while nothing is concluded
     * @param drawn whether the days were drawn by lot
     */
    public record Result(
            @Nullable Double difference,
            @Nullable Interval between,
            @Nullable Double p,
            boolean drawn,
            String sentence,
            List<String> because) {}

    private OnOff() {}

    public static Result compare(List<Day> given) {
        Checks.begin()
                .that(given.size() <= 2000, "days", "must be at most 2000")
                .done();
        boolean drawn = !given.isEmpty() && given.stream().allMatch(d -> d.pair() != null);
        List<Day> days = drawn ? wholePairs(given) : given;
        long with = days.stream().filter(Day::taken).count();
        long without = days.size() - with;
        long pairs = days.stream().map(Day::pair).distinct().count();
        if (days.size() < LEAST_DAYS || with < LEAST_EACH || without < LEAST_EACH || drawn && pairs < LEAST_PAIRS) {
            return new Result(
                    null,
                    null,
                    null,
                    drawn,
                    "Too few days to say anything: " + days.size() + " are noted, " + with + " with and " + without
                            + " without; at least 14 in all and 4 of each are needed"
                            + (drawn ? ", in 5 pairs drawn by lot." : "."),
                    List.of());
        }
        double difference = difference(days);
        boolean exact = days.size() <= EXACT_DAYS;
        double p = exact ? exactly(days, drawn, 0) : sampled(days, drawn);
        Interval between = exact ? between(days, drawn, difference) : null;
        Because because = new Because();
        because.equation("Difference of the means", mean(days, true) + " − " + mean(days, false), difference, "");
        because.say((exact ? "Of every way" : "Of " + SHUFFLES + " random ways")
                + " to deal out the same days" + (drawn ? " by that lot" : "") + ", a share of " + Words.figure(p)
                + " differ at least as much.");
        return new Result(difference, between, p, drawn, sentence(difference, between, p, drawn), because.lines());
    }

    /** A block that nothing was noted of leaves its pair without a fellow. */
    private static List<Day> wholePairs(List<Day> days) {
        return days.stream()
                .filter(d -> days.stream().anyMatch(o -> d.pair().equals(o.pair()) && o.taken() != d.taken()))
                .toList();
    }

    private static String mean(List<Day> days, boolean taken) {
        List<String> scores = new ArrayList<>();
        days.stream().filter(d -> d.taken() == taken).forEach(d -> scores.add(Words.exact(d.score())));
        return "(" + String.join(" + ", scores) + ") / " + scores.size();
    }

    private static double difference(List<Day> days) {
        double with = 0;
        double without = 0;
        int n = 0;
        for (Day d : days) {
            if (d.taken()) {
                with += d.score();
                n++;
            } else {
                without += d.score();
            }
        }
        return with / n - without / (days.size() - n);
    }

    /**
     * The share of dealings that differ as much as was seen, once an effect is taken off the days with.
     *
     * @param effect in tenths of a point
     */
    private static double exactly(List<Day> days, boolean drawn, int effect) {
        long[] tenths = new long[days.size()];
        long total = 0;
        long seenSum = 0;
        int seenWith = 0;
        for (int i = 0; i < tenths.length; i++) {
            Day d = days.get(i);
            tenths[i] = Math.round(d.score() * TENTHS) - (d.taken() ? effect : 0);
            total += tenths[i];
            if (d.taken()) {
                seenWith++;
                seenSum += tenths[i];
            }
        }
        double seen = apart(seenWith, seenSum, tenths.length, total);
        double all = 0;
        double asFar = 0;
        for (Map.Entry<Dealt, Double> way : (drawn ? byLot(days, tenths) : anyWay(tenths, seenWith)).entrySet()) {
            int with = way.getKey().with();
            if (with > 0 && with < tenths.length) {
                all += way.getValue();
                if (apart(with, way.getKey().sum(), tenths.length, total) >= seen - 1e-9) {
                    asFar += way.getValue();
                }
            }
        }
        return asFar / all;
    }

    /** How many days were dealt "with", and what their scores come to, in tenths. */
    private record Dealt(int with, long sum) {}

    /** In how many ways so many of the days come to each sum. */
    private static Map<Dealt, Double> anyWay(long[] tenths, int with) {
        long least = java.util.Arrays.stream(tenths).min().orElse(0);
        int step = (int) java.util.Arrays.stream(tenths)
                .map(t -> t - least)
                .reduce(0, (a, b) -> org.hipparchus.util.ArithmeticUtils.gcd(a, b));
        int unit = Math.max(1, step);
        int most = (int) (java.util.Arrays.stream(tenths).map(t -> t - least).sum() / unit);
        double[][] ways = new double[with + 1][most + 1];
        ways[0][0] = 1;
        for (long t : tenths) {
            int by = (int) ((t - least) / unit);
            for (int k = with; k > 0; k--) {
                for (int sum = most; sum >= by; sum--) {
                    ways[k][sum] += ways[k - 1][sum - by];
                }
            }
        }
        Map<Dealt, Double> all = new HashMap<>();
        for (int sum = 0; sum <= most; sum++) {
            if (ways[with][sum] > 0) {
                all.put(new Dealt(with, (long) sum * unit + with * least), ways[with][sum]);
            }
        }
        return all;
    }

    /** The same where whole blocks were dealt, one of each pair. */
    private static Map<Dealt, Double> byLot(List<Day> days, long[] tenths) {
        Map<Integer, Dealt[]> pairs = new HashMap<>();
        for (int i = 0; i < tenths.length; i++) {
            Dealt[] pair =
                    pairs.computeIfAbsent(days.get(i).pair(), k -> new Dealt[] {new Dealt(0, 0), new Dealt(0, 0)});
            int block = days.get(i).taken() ? 0 : 1;
            pair[block] = new Dealt(pair[block].with() + 1, pair[block].sum() + tenths[i]);
        }
        Map<Dealt, Double> ways = new HashMap<>(Map.of(new Dealt(0, 0), 1.0));
        for (Dealt[] pair : pairs.values()) {
            Map<Dealt, Double> next = new HashMap<>();
            ways.forEach((dealt, count) -> {
                for (Dealt block : pair) {
                    next.merge(new Dealt(dealt.with() + block.with(), dealt.sum() + block.sum()), count, Double::sum);
                }
            });
            ways = next;
        }
        return ways;
    }

    private static double apart(int with, long sum, int days, long total) {
        return Math.abs((double) sum / with - (double) (total - sum) / (days - with));
    }

    /**
     * The effects that, taken off the days with, would leave nothing unlikely: the test turned round. Between two whole scores
     * fewer sums are equal and the test is harsher, so the outermost that passes counts, and the tenth beyond it is the end.
     */
    private static Interval between(List<Day> days, boolean drawn, double difference) {
        return Interval.of(Math.min(difference, end(days, drawn, -1)), Math.max(difference, end(days, drawn, 1)));
    }

    private static double end(List<Day> days, boolean drawn, int side) {
        int steps = 10 * TENTHS / STEP;
        int last = -steps;
        for (int k = -steps; k <= steps; k++) {
            if (exactly(days, drawn, side * k * STEP) >= UNLIKELY) {
                last = k;
            }
        }
        int tenths = last * STEP;
        for (int t = tenths + 1; t < (last + 1) * STEP; t++) {
            tenths = exactly(days, drawn, side * t) >= UNLIKELY ? t : tenths;
        }
        return side * Math.min(10 * TENTHS, tenths + 1) / (double) TENTHS;
    }

    private static double sampled(List<Day> days, boolean drawn) {
        RandomGenerator random = new Well19937c(20261125);
        double seen = Math.abs(difference(days));
        int asFar = 1;
        for (int s = 0; s < SHUFFLES; s++) {
            List<Day> dealt = drawn ? swapped(days, random) : shuffled(days, random);
            if (Math.abs(difference(dealt)) >= seen - 1e-12) {
                asFar++;
            }
        }
        return asFar / (SHUFFLES + 1.0);
    }

    private static List<Day> shuffled(List<Day> days, RandomGenerator random) {
        boolean[] taken = new boolean[days.size()];
        for (int i = 0; i < taken.length; i++) {
            taken[i] = days.get(i).taken();
        }
        for (int i = taken.length - 1; i > 0; i--) {
            int j = random.nextInt(i + 1);
            boolean swap = taken[i];
            taken[i] = taken[j];
            taken[j] = swap;
        }
        List<Day> dealt = new ArrayList<>(taken.length);
        for (int i = 0; i < taken.length; i++) {
            dealt.add(new Day(taken[i], days.get(i).score()));
        }
        return dealt;
    }

    private static List<Day> swapped(List<Day> days, RandomGenerator random) {
        Map<Integer, Boolean> turned = new HashMap<>();
        return days.stream()
                .map(d -> new Day(
                        d.taken() != turned.computeIfAbsent(d.pair(), k -> random.nextBoolean()), d.score(), d.pair()))
                .toList();
    }

    private static String sentence(double difference, @Nullable Interval between, double p, boolean drawn) {
        String size = Words.figure(Math.abs(difference));
        String sure = between == null
                ? ""
                : " Anything from " + words(between.low()) + " to " + words(between.high())
                        + " would fit these days as well.";
        if (p >= UNLIKELY) {
            return "Days with and without differ by " + size + " points, no more than chance often makes." + sure;
        }
        return difference < 0
                ? "Days with it were better by " + size + " points, more than chance easily makes." + sure
                        + (drawn
                                ? " Whoever expects it to help may score so; it is no proof for anybody else."
                                : " Other things may have changed on the same days.")
                : "Days with it were worse by " + size + " points, more than chance easily makes." + sure
                        + " Stop, and think about why.";
    }

    private static String words(double difference) {
        double rounded = Math.round(difference * TENTHS) / (double) TENTHS;
        return rounded == 0
                ? "no difference"
                : Words.figure(Math.abs(rounded)) + (rounded < 0 ? " points better" : " points worse");
    }
}
