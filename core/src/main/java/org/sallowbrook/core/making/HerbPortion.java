package org.sallowbrook.core.making;

import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;

/**
 * Herb that goes in.
 *
 * @param massG as weighed, or the middle of what it may be
 * @param massRangeG what it may be where it was measured without a scale
 */
public record HerbPortion(String name, double massG, Moisture moisture, Interval massRangeG) {

    public HerbPortion {
        Checks.begin()
                .positive("massG", massG)
                .positive("massRangeG", massRangeG.low())
                .done();
    }

    /** Weighed. */
    public HerbPortion(String name, double massG, Moisture moisture) {
        this(name, massG, moisture, Interval.exactly(massG));
    }

    /** Grams it comes to as dried herb, at {@link Moisture#DRIED}. */
    public Interval asDriedG() {
        Interval perG = moisture.driedGPerG();
        return Interval.of(massRangeG.low() * perG.low(), massRangeG.high() * perG.high());
    }
}
