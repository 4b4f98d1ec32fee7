package org.sallowbrook.core.drying;

import java.util.List;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Learned;
import org.sallowbrook.core.measure.Moisture;

/**
 * Grams of fresh material to one gram dried, of one plant and part: (1 - w dried) / (1 - w fresh). Begins with what the
 * moisture range predicts and moves towards the household's own lots by {@link Learned}; the prediction counts as three of
 * them.
 *
 * @param range 90 % band for the next lot
 * @param lots how many of the household's are in it
 */
public record FreshDryRatio(Interval range, int lots) {

    private static final double PRIOR_LOTS = 3;
    private static final double FAR = 2;

    public FreshDryRatio {
        Checks.begin()
                .that(range.low() >= 1, "range.low", "must be at least 1")
                .range("lots", lots, 0, 100_000)
                .done();
    }

    /** A lot weighed fresh and when it was dry. */
    public record Lot(double freshG, double driedG) {
        public Lot {
            Checks.begin()
                    .positive("freshG", freshG)
                    .positive("driedG", driedG)
                    .that(!(driedG > freshG), "driedG", "must not be more than it weighed fresh")
                    .done();
        }

        double ratio() {
            return freshG / driedG;
        }
    }

    /** @param driedMoisture wet basis, below the fresh one */
    public static FreshDryRatio predicted(Moisture fresh, double driedMoisture) {
        Checks.begin()
                .that(
                        driedMoisture >= 0 && driedMoisture < fresh.low(),
                        "targetMoisture",
                        "must be at least 0 and below the fresh moisture")
                .done();
        return new FreshDryRatio(
                Interval.of((1 - driedMoisture) / (1 - fresh.low()), (1 - driedMoisture) / (1 - fresh.high())), 0);
    }

    /** Lots far from what the moisture allows teach nothing: a slip of the pen, or herb that was half dry when it came. */
    public FreshDryRatio learn(List<Lot> more) {
        double[] credible = more.stream()
                .mapToDouble(Lot::ratio)
                .filter(r -> r >= range.low() / FAR && r <= range.high() * FAR)
                .toArray();
        Interval band = Learned.band(range, PRIOR_LOTS, credible);
        return new FreshDryRatio(
                Interval.of(Math.max(1, band.low()), Math.max(1, band.high())), lots + credible.length);
    }

    public Interval driedG(double freshG) {
        return Interval.of(freshG / range.high(), freshG / range.low());
    }

    /** Fresh moisture (wet basis) that the ratio means for material dried to a moisture. */
    public Moisture freshMoisture(double driedMoisture) {
        return Moisture.of(
                Math.max(0, 1 - (1 - driedMoisture) / range.low()),
                Math.min(Moisture.MOST, 1 - (1 - driedMoisture) / range.high()));
    }
}
