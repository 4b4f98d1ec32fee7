package org.sallowbrook.core.making;

import java.util.List;
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
        String text, @Nullable String hazard, @Nullable Double timerMinutes, Phase phase) {

    /** Which of a batch's days a step belongs to. */
    public enum Phase {
        /** The day it is made; of what does not lie for days, all of it. */
        BEGUN,
        /** While it lies. */
        RESTING,
        /** Once it is pressed or strained. */
        PRESSED
    }

    public Step(String text, @Nullable String hazard, @Nullable Double timerMinutes) {
        this(text, hazard, timerMinutes, Phase.BEGUN);
    }

    public static Step of(String text) {
        return new Step(text, null, null);
    }

    public static Step resting(String text) {
        return new Step(text, null, null, Phase.RESTING);
    }

    public static Step pressed(String text) {
        return new Step(text, null, null, Phase.PRESSED);
    }

    /**
     * The step that is next, from 0; as many as there are once nothing is left to do.
     *
     * @param ticked how many of them were ticked off
     * @param phase that the batch is in by its day and by what was noted of it: who did the first steps without ticking them off
     *     is not told to begin again
     */
    public static int next(List<Step> steps, int ticked, Phase phase) {
        boolean lies = steps.stream().anyMatch(s -> s.phase != Phase.BEGUN);
        if (!lies) {
            return ticked;
        }
        int first = (int)
                steps.stream().takeWhile(s -> s.phase.compareTo(phase) < 0).count();
        return Math.max(ticked, first);
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
