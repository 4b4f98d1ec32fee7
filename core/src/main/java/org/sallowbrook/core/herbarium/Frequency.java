package org.sallowbrook.core.herbarium;

/** How often a state is shown. What a card does not list for a character it describes is never shown. */
public enum Frequency {
    ALWAYS(1),
    USUAL(0.8),
    RARE(0.05);

    private final double share;

    Frequency(double share) {
        this.share = share;
    }

    /** Weight before the states of one character are normalised to 1. */
    public double share() {
        return share;
    }
}
