package org.sallowbrook.core.making;

/** What is done with a batch beside pressing and filling it; each preparation says which of these are its own. */
public enum Follow {
    /** Shaken or stirred while it steeps, as often as {@link Shaking} says. */
    SHAKE,
    /** Some of it may be bottled while the rest stays on the herb. */
    POUR_OFF,
    /** Left to settle once it is pressed: water that lies under it is looked for. */
    SETTLE,
    /** Weighed in the pan until the water in it is gone. */
    WEIGH_PAN,
    /** A drop is set on a cold spoon, and teaches how firm it becomes. */
    SPOON;

    /** Whether a hold of the plan is lifted only by doing it, and not by a word. */
    public boolean liftsHold() {
        return this == SETTLE || this == WEIGH_PAN;
    }
}
