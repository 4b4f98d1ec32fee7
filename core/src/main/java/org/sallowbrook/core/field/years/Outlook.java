package org.sallowbrook.core.field.years;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import org.hipparchus.distribution.continuous.TDistribution;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/**
 * Ten years of a stand from its counts. The logarithm of the count drifts and scatters from year to year (Dennis, Munholland
 * and Scott, Estimation of growth and extinction parameters for endangered species, Ecological Monographs 61, 1991,
 * 115-143, equations 24-26): drift and scatter are fitted by regression on the square roots of the times between counts.
 * Another take than the one the counts were made under changes the drift by {@link Bearing}. Errors of counting are taken
 * for scatter, which widens the band.
 *
 * @param word what can be said of it
 * @param line today and the next {@value #YEARS} years, as a share of today's count: the middle, and a band of 80 %
 * @param bears the largest share a year under which the middle does not fall; null where too little was counted
 */
public record Outlook(Word word, List<Year> line, @Nullable Double bears, List<String> because) {

    public static final int YEARS = 10;

    /** Fewer counts say nothing of a drift. */
    public static final int LEAST_COUNTS = 3;

    /** How sure a word has to be. */
    private static final double SURE = 0.9;

    /** Less than this share after ten years is a decline. */
    private static final double HOLDING = 0.8;

    /** After all of it there is no next year to reckon. */
    public static final double MOST_TAKEN = 0.99;

    private static final double BAND = 0.8;

    /** A count of none is taken for half a plant, so that it has a logarithm. */
    private static final double NONE = 0.5;

    public enum Word {
        HOLDS,
        DECLINES,
        UNKNOWN
    }

    /** @param after years from now */
    public record Year(int after, double middle, Interval band) {}

    /**
     * Drift and scatter of a logarithm, a year.
     *
     * @param mean drift
     * @param variance of a year around it
     * @param years over which it was watched
     * @param steps between counts
     */
    public record Drift(double mean, double variance, double years, int steps) {

        /**
         * Of counts in any order, at least two of them on different days.
         *
         * @throws org.sallowbrook.core.measure.InvalidInput where there are fewer
         */
        public static Drift of(List<Count> counts) {
            List<Count> sorted =
                    counts.stream().sorted(Comparator.comparing(Count::on)).toList();
            Checks.begin()
                    .that(
                            sorted.size() >= 2
                                    && sorted.get(0).on().isBefore(last(sorted).on()),
                            "counts",
                            "must be two or more, on different days")
                    .done();
            double years = years(sorted.get(0).on(), last(sorted).on());
            double mean = (log(last(sorted)) - log(sorted.get(0))) / years;
            double squares = 0;
            int steps = 0;
            for (int i = 1; i < sorted.size(); i++) {
                double t = years(sorted.get(i - 1).on(), sorted.get(i).on());
                if (t > 0) {
                    double off = log(sorted.get(i)) - log(sorted.get(i - 1)) - mean * t;
                    squares += off * off / t;
                    steps++;
                }
            }
            return new Drift(mean, steps > 1 ? squares / (steps - 1) : 0, years, steps);
        }

        private static Count last(List<Count> sorted) {
            return sorted.get(sorted.size() - 1);
        }

        private static double log(Count c) {
            return Math.log(Math.max(NONE, c.plants()));
        }

        private static double years(LocalDate from, LocalDate to) {
            return ChronoUnit.DAYS.between(from, to) / 365.25;
        }
    }

    /**
     * @param all counts, in any order; of one day the last counts
     * @param takenSoFar share of the part taken a year while it was counted, 0 to {@value #MOST_TAKEN}
     * @param planned share of the part to be taken a year from now on, 0 to {@value #MOST_TAKEN}
     */
    public static Outlook of(List<Count> all, Bearing bearing, Taxon.Part part, double takenSoFar, double planned) {
        Checks.begin()
                .range("takenSoFar", takenSoFar, 0, MOST_TAKEN)
                .range("planned", planned, 0, MOST_TAKEN)
                .done();
        TreeMap<LocalDate, Count> byDay = new TreeMap<>();
        all.forEach(c -> byDay.put(c.on(), c));
        List<Count> counts = List.copyOf(byDay.values());
        List<String> because = new ArrayList<>();
        double shift = Math.log(bearing.growth(part, planned)) - Math.log(bearing.growth(part, takenSoFar));
        because.add("By life form alone, taking " + Words.percent(planned) + " a year instead of "
                + Words.percent(takenSoFar) + " changes the number by " + Words.percent(Math.expm1(shift))
                + " a year; a generic figure, not one of this kind.");
        if (counts.size() < LEAST_COUNTS || sameYear(counts)) {
            because.add(counts.size() + " counts are on record; it takes " + LEAST_COUNTS
                    + ", over two years at least, to say anything.");
            return new Outlook(Word.UNKNOWN, List.of(), null, because);
        }
        Drift drift = Drift.of(counts);
        double mean = drift.mean() + shift;
        double variance = drift.variance();
        double ofMean = variance / drift.years();
        because.add(counts.size() + " counts over " + Words.figure(drift.years()) + " years: "
                + Words.percent(Math.expm1(drift.mean())) + " a year, scattering by "
                + Words.percent(Math.sqrt(variance)) + ".");
        long dry = counts.stream().filter(Count::drought).count();
        if (dry > 0) {
            because.add(dry + " of them in a drought; dry years are taken to come as often again.");
        }
        if (counts.stream().anyMatch(Count::pickedByOthers)) {
            because.add("Others pick there; what they take is taken to go on.");
        }
        // What the mean is not known by counts as drift that lasts, a year's scatter as chance of each year.
        double t = new TDistribution(drift.steps() - 1.0).inverseCumulativeProbability((1 + BAND) / 2);
        List<Year> line = new ArrayList<>();
        for (int y = 0; y <= YEARS; y++) {
            double spread = t * Math.sqrt(variance * y + ofMean * y * y);
            line.add(new Year(
                    y, Math.exp(mean * y), Interval.of(Math.exp(mean * y - spread), Math.exp(mean * y + spread))));
        }
        return new Outlook(
                word(mean, Math.sqrt(ofMean), drift.steps() - 1),
                line,
                bearing.bears(part, Math.exp(drift.mean()) / bearing.growth(part, takenSoFar)),
                because);
    }

    private static boolean sameYear(List<Count> counts) {
        return counts.stream().map(c -> c.on().getYear()).distinct().count() < 2;
    }

    private static Word word(double mean, double deviation, int freedom) {
        double holding = Math.log(HOLDING) / YEARS;
        if (below(mean, deviation, freedom, 0) >= SURE && mean < holding) {
            return Word.DECLINES;
        }
        return below(mean, deviation, freedom, holding) <= 1 - SURE ? Word.HOLDS : Word.UNKNOWN;
    }

    /** How likely the true drift lies below this. */
    private static double below(double mean, double deviation, int freedom, double limit) {
        if (deviation < 1e-12) {
            return mean < limit ? 1 : 0;
        }
        double z = (limit - mean) / deviation;
        return new TDistribution(freedom).cumulativeProbability(z);
    }
}
