package org.sallowbrook.core.herbarium;

/** Conditions of looking that change or hide a character. */
public enum LookingCondition {
    /** Flowers that close stay closed. */
    DULL_WEATHER,
    /** Wet leaves hide hairs and bloom. */
    WET,
    /** A shaded form: larger, thinner leaves, weaker colours. */
    SHADE,
    /** A dried specimen: colours, scents and textures have gone. */
    DRIED,
    /** After frost. */
    FROSTED
}
