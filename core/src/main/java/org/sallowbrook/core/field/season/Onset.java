package org.sallowbrook.core.field.season;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.sallowbrook.core.measure.Checks;

/**
 * How much earlier or later than its months a stage comes, learnt from when it was first seen. A normal-normal model with three
 * levels: the kind of plant, the stand, the year.
 *
 * <p>Observation i at stand s: r_i = m + b_s + e_i, with m ~ N(0, KIND²), b_s ~ N(0, STAND²), e_i ~ N(0, YEAR² + sd_i²). With
 * v_s = 1 / Σ 1/(YEAR² + sd_i²) over a stand's observations and r_s their mean weighted by the same, r_s ~ N(m, STAND² + v_s),
 * so that 1/V = 1/KIND² + Σ 1/(STAND² + v_s) and M = V Σ r_s/(STAND² + v_s). A stand of its own is N(M, V + STAND²) of the
 * others, updated by its own r_s. All is conjugate, hence exact (Gelman et al., Bayesian Data Analysis, 3rd ed., 2013,
 * section 5.4, with known variances).
 *
 * <p>YEAR² itself is learnt: the squared distances of a stand's years from their mean, pooled over stands and shrunk to the
 * first guess, (n YEAR0² + Σ (r_i - r_s)²) / (n + Σ (n_s - 1)), the mean of a scaled inverse chi-square belief but for its
 * last two degrees (section 3.2 there).
 *
 * <p>The deviations are working figures of this tool, in days; measured in docs/measurements.md, section season.
 */
public final class Onset {

    /** Between what the months say and where this kind really begins. */
    static final double KIND_DAYS = 14;

    /** Between stands of a kind. */
    static final double STAND_DAYS = 5;

    /** Between years at one stand, where warmth is counted and where only days are, before anything was seen. */
    static final double YEAR_DAYS_BY_WARMTH = 7;

    static final double YEAR_DAYS = 12;

    /** How many years that first guess is worth against what the household's own stands showed. */
    static final double YEARS_WORTH = 6;

    /**
     * First seen in a year.
     *
     * @param stand any name for it
     * @param late how much later than its months, in the units of the progress; negative for earlier
     * @param sd of the sighting itself: of a look of last week that saw nothing yet and one of today that did, say
     */
    public record Seen(String stand, double late, double sd) {
        public Seen {
            Checks.begin()
                    .range("late", late, -1e5, 1e5)
                    .range("sd", sd, 0, 1e5)
                    .done();
        }
    }

    /**
     * How late it comes at one stand, the coming year's own whim included.
     *
     * @param late mean, in units; 0 where nothing was seen
     * @param sd in units
     * @param seen how often it was seen, at any stand
     * @param here how often at this one
     */
    public record Belief(double late, double sd, int seen, int here) {}

    private Onset() {}

    /** @param perDay units that a day adds about that time, more than 0 */
    public static Belief learn(String stand, List<Seen> all, boolean warmth, double perDay) {
        Checks.begin().positive("perDay", perDay).done();
        double kind = square(KIND_DAYS * perDay);
        double between = square(STAND_DAYS * perDay);
        double year = yearVariance(all, square((warmth ? YEAR_DAYS_BY_WARMTH : YEAR_DAYS) * perDay));
        Map<String, double[]> stands = new HashMap<>();
        for (Seen s : all) {
            double[] sum = stands.computeIfAbsent(s.stand(), k -> new double[3]);
            double weight = 1 / (year + square(s.sd()));
            sum[0] += weight;
            sum[1] += weight * s.late();
            sum[2]++;
        }
        double precision = 1 / kind;
        double weighted = 0;
        for (Map.Entry<String, double[]> e : stands.entrySet()) {
            if (!e.getKey().equals(stand)) {
                double[] sum = e.getValue();
                double p = 1 / (between + 1 / sum[0]);
                precision += p;
                weighted += p * (sum[1] / sum[0]);
            }
        }
        double mean = weighted / precision;
        double variance = 1 / precision + between;
        double[] own = stands.get(stand);
        if (own != null) {
            double p = 1 / variance + own[0];
            mean = (mean / variance + own[1]) / p;
            variance = 1 / p;
        }
        return new Belief(mean, Math.sqrt(variance + year), all.size(), own == null ? 0 : (int) own[2]);
    }

    private static double yearVariance(List<Seen> all, double guess) {
        Map<String, List<Double>> stands = new HashMap<>();
        all.forEach(
                s -> stands.computeIfAbsent(s.stand(), k -> new ArrayList<>()).add(s.late()));
        double squares = YEARS_WORTH * guess;
        double degrees = YEARS_WORTH;
        for (List<Double> of : stands.values()) {
            double mean = of.stream().mapToDouble(Double::doubleValue).average().orElse(0);
            for (double late : of) {
                squares += square(late - mean);
            }
            degrees += of.size() - 1;
        }
        return squares / degrees;
    }

    private static double square(double x) {
        return x * x;
    }
}
