package org.sallowbrook.core.herbarium;

/** Stages at which characters differ. The last three belong to ferns, lichens and fungi. */
public enum LifeStage {
    SEEDLING("as a seedling"),
    ROSETTE("as a rosette"),
    LEAFY("in leaf"),
    FLOWERING("in flower"),
    FRUITING("in fruit"),
    /** Leafless wood, or what stands of a herb when it has died back. */
    WINTER("in winter"),
    /** A fern with spore cases. */
    SPORING("with spore cases"),
    /** A lichen, at any time of the year. */
    THALLUS("as a lichen"),
    /** A fungus that shows. */
    FRUIT_BODY("as a fungus that shows");

    private final String words;

    LifeStage(String words) {
        this.words = words;
    }

    /** As it stands in a sentence: identified in flower. */
    public String words() {
        return words;
    }
}
