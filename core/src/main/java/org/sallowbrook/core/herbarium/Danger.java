package org.sallowbrook.core.herbarium;

/** What a taxon does to whoever takes it for another. Weight: the cost of confusing it, for choosing questions. */
public enum Danger {
    HARMLESS(1),
    WEAKER(1),
    IRRITANT(3),
    POISONOUS(30),
    DEADLY(100);

    private final double weight;

    Danger(double weight) {
        this.weight = weight;
    }

    public double weight() {
        return weight;
    }

    /** Poisonous or deadly: the identity gate tests against each of these. */
    public boolean dangerous() {
        return this == POISONOUS || this == DEADLY;
    }
}
