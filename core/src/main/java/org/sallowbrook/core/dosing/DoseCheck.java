package org.sallowbrook.core.dosing;

import java.util.Optional;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** Whether an amount said to have been taken is likely to have been typed rightly; too much is the gates' concern. */
public final class DoseCheck {

    /** A slipped decimal point makes a tenth; who takes less on purpose seldom goes below a quarter. Our own choice. */
    private static final double UNLIKELY = 0.25;

    private DoseCheck() {}

    /**
     * @param taken   in the product's unit, above 0
     * @param planned what the course has for this dose, in the same unit
     */
    public static Optional<Finding> of(double taken, double planned) {
        if (!(taken > 0 && taken < UNLIKELY * planned)) {
            return Optional.empty();
        }
        return Optional.of(Finding.warn(
                "UNLIKELY_DOSE",
                Words.figure(taken) + " is less than a quarter of the " + Words.figure(planned) + " planned.",
                "Look whether it was typed rightly; if so, say why it was so little."));
    }
}
