package org.sallowbrook.core.dosing;

import java.util.Optional;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;

/** Whether an amount said to have been taken is likely to have been typed rightly, and not far more than was planned. */
public final class DoseCheck {

    /** A slipped decimal point makes a tenth; who takes less on purpose seldom goes below a quarter. Our own choice. */
    private static final double UNLIKELY = 0.25;

    /** So much more than planned is a slip, or a danger. Our own choice. */
    private static final double MUCH_MORE = 1.5;

    private DoseCheck() {}

    /**
     * @param planned what the course has for this dose
     */
    public static Optional<Finding> of(Amount taken, Amount planned) {
        if (taken.value() == 0 || !planned.times(UNLIKELY).moreThan(taken)) {
            return Optional.empty();
        }
        return Optional.of(Finding.warn(
                "UNLIKELY_DOSE",
                taken + " is less than a quarter of the " + planned + " planned.",
                "Look whether it was typed rightly; if so, say why it was so little."));
    }

    /** @param planned what the course has for this dose; the amount itself where it has none that day */
    public static Optional<Finding> tooMuch(Amount taken, Amount planned) {
        if (!taken.moreThan(planned.times(MUCH_MORE))) {
            return Optional.empty();
        }
        return Optional.of(Finding.stop(
                "MUCH_MORE_THAN_PLANNED",
                taken + " where " + planned + " was planned.",
                "Look at the figure again. If so much is down already, say so: it is kept, and counts; ask a"
                        + " pharmacist, doctor or poison centre."));
    }
}
