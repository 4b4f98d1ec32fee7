package org.sallowbrook.core.measure;

/**
 * A general range moved by a household's own observations (shrinkage towards the range). The range counts as so many
 * observations; with n observations x
 *
 * <p>mean = (k m0 + Σ x) / (k + n), variance = (k s0² + Σ (x - mean)²) / (k + n), band = mean ± 1.645 sd,
 *
 * <p>where m0 is the middle of the general range and s0 makes that range its 90 % band.
 */
public final class Learned {

    private static final double BAND_90 = 1.645;

    private Learned() {}

    /** @param weight k, how many observations the general range counts as; above 0 */
    public static Interval band(Interval general, double weight, double... observed) {
        Checks checks = Checks.begin().positive("weight", weight);
        double sum = weight * general.mid();
        for (int i = 0; i < observed.length; i++) {
            checks.that(Double.isFinite(observed[i]), "observed[" + i + "]", "must be a finite number");
            sum += observed[i];
        }
        checks.done();
        double all = weight + observed.length;
        double mean = sum / all;
        double sd = (general.high() - general.low()) / 2 / BAND_90;
        double variance = weight * sd * sd / all;
        for (double x : observed) {
            variance += (x - mean) * (x - mean) / all;
        }
        double half = BAND_90 * Math.sqrt(variance);
        return Interval.of(mean - half, mean + half);
    }
}
