package org.sallowbrook.core.making;

import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.measure.Strength;

/**
 * One thing to do at the bench; a hazard stands before the step it belongs to.
 *
 * @param hazard null where there is none
 * @param timerMinutes null where nothing is waited for
 */
public record Step(
        String text, @Nullable String hazard, @Nullable Double timerMinutes) {

    public static Step of(String text) {
        return new Step(text, null, null);
    }

    public static Step hazardous(String text, @Nullable String hazard) {
        return new Step(text, hazard, null);
    }

    /** What spirit of this strength threatens, to be shown before it is poured; null where nothing. */
    public static @Nullable String fire(Strength strength) {
        if (strength.fraction() <= Spirits.FIRE_ABOVE) {
            return null;
        }
        return strength.fraction() > Spirits.SEVERE_FIRE_ABOVE
                ? "Catches fire very easily: no flame or spark in the room."
                : "Can catch fire near heat.";
    }
}
