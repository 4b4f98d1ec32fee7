package org.sallowbrook.core.making.tincture;

import java.util.List;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Learned;

/**
 * What the marc keeps, in mL per g of dry matter: a general range to begin with, moved towards the household's own
 * pressings by {@link Learned}. The general range counts as three batches.
 *
 * @param mlPerG 90 % band for the next batch
 * @param pressings how many of the household's are in it
 */
public record Retention(Interval mlPerG, int pressings) {

    /** Working ranges of this tool. */
    public static final Retention DRAINED = new Retention(Interval.of(2.0, 3.0), 0);

    public static final Retention PRESSED = new Retention(Interval.of(0.8, 1.5), 0);

    private static final double PRIOR_BATCHES = 3;

    public Retention {
        Checks.begin()
                .notNegative("mlPerG.low", mlPerG.low())
                .range("pressings", pressings, 0, 100_000)
                .done();
    }

    /**
     * One pressing of the household.
     *
     * @param dryMatterG of all herbs that were in the jar
     * @param liquidMl menstruum and plant water together
     * @param gainedMl what came out
     */
    public record Pressing(double dryMatterG, double liquidMl, double gainedMl) {
        public Pressing {
            Checks.begin()
                    .positive("dryMatterG", dryMatterG)
                    .positive("liquidMl", liquidMl)
                    .positive("gainedMl", gainedMl)
                    .that(!(gainedMl > liquidMl), "gainedMl", "must not be more than there was in the jar")
                    .done();
        }

        public double mlPerG() {
            return (liquidMl - gainedMl) / dryMatterG;
        }
    }

    /** This general range, moved by pressings. */
    public Retention learn(List<Pressing> more) {
        return learnKept(more.stream().map(Pressing::mlPerG).toList());
    }

    /** As {@link #learn(List)}, from what the marc kept each time, mL per g of dry matter. */
    public Retention learnKept(List<Double> more) {
        Interval band = Learned.band(
                mlPerG,
                PRIOR_BATCHES,
                more.stream().mapToDouble(Double::doubleValue).toArray());
        return new Retention(Interval.of(Math.max(0, band.low()), Math.max(0, band.high())), pressings + more.size());
    }
}
