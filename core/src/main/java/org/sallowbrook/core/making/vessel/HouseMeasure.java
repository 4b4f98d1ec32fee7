package org.sallowbrook.core.making.vessel;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/**
 * What people measure with who have no scale. Volumes in mL are those of metric spoons and cups; what has no fixed volume has
 * a wide working range of this tool. A heaped spoon holds half as much again to two and a half times a level one.
 */
public enum HouseMeasure {
    LEVEL_TEASPOON(Interval.exactly(5)),
    HEAPED_TEASPOON(Interval.of(7.5, 12.5)),
    LEVEL_TABLESPOON(Interval.exactly(15)),
    HEAPED_TABLESPOON(Interval.of(22.5, 37.5)),
    CUP(Interval.exactly(250)),
    /** Of a dropper: a hundred are counted into the scale's glass; 20 to 55 of them are a mL. */
    DROP(Interval.of(1 / 55.0, 1 / 20.0)),
    /** One press of a dropper's bulb; its working range is wide. */
    SQUIRT(Interval.of(0.25, 2)),
    /** What a grown-up's hand closes on. */
    HANDFUL(Interval.of(80, 200)),
    /** Both hands together. */
    BOWLFUL(Interval.of(400, 800)),
    /** Ten of them are weighed once; nobody can tell by eye. */
    LEAF(null),
    SPRIG(null),
    /** Tied for drying. */
    BUNDLE(null);

    /** A weighing of a measure is good to this. */
    private static final double SPREAD = 0.05;

    private final @Nullable Interval volumeMl;

    HouseMeasure(@Nullable Interval volumeMl) {
        this.volumeMl = volumeMl;
    }

    /** Whether it is for counting out a dose, and never for herbs. */
    public boolean ofDropper() {
        return this == DROP || this == SQUIRT;
    }

    /** Null for what has none and must be weighed once. */
    public @Nullable Interval volumeMl() {
        return volumeMl;
    }

    /**
     * How many grams so many of it are.
     *
     * @param weighedG what one of it weighed, of this lot or plant, each time somebody weighed it; empty for never
     * @param volumesMl what this household's own one holds, each time it was filled with water; empty for never
     * @param bulkGPerMl of the herb as it lies
     * @throws org.sallowbrook.core.measure.InvalidInput for a measure without a volume that was never weighed
     */
    public Interval grams(double amount, List<Double> weighedG, List<Double> volumesMl, Interval bulkGPerMl) {
        Checks.begin()
                .range("measure.amount", amount, 0.05, 1000)
                .that(!ofDropper(), "measure.unit", "is for liquids; weigh the herb or measure it by spoons")
                .that(
                        !weighedG.isEmpty() || volumeMl != null,
                        "measure.unit",
                        "a " + Words.lower(this) + " of it was never weighed: weigh ten of them once")
                .done();
        if (!weighedG.isEmpty()) {
            return spread(weighedG).times(amount);
        }
        Interval volume = volumesMl.isEmpty() ? java.util.Objects.requireNonNull(volumeMl) : spread(volumesMl);
        return Interval.of(amount * volume.low() * bulkGPerMl.low(), amount * volume.high() * bulkGPerMl.high());
    }

    /** What was found, and a twentieth to either side of it. */
    private static Interval spread(List<Double> found) {
        double low = found.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double high = found.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        return Interval.of(low * (1 - SPREAD), high * (1 + SPREAD));
    }
}
