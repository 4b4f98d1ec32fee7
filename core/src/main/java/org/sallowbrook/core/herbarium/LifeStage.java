package org.sallowbrook.core.herbarium;

/** Stages at which characters differ. The last three belong to ferns, lichens and fungi. */
public enum LifeStage {
    SEEDLING,
    ROSETTE,
    LEAFY,
    FLOWERING,
    FRUITING,
    /** Leafless wood, or what stands of a herb when it has died back. */
    WINTER,
    /** A fern with spore cases. */
    SPORING,
    /** A lichen, at any time of the year. */
    THALLUS,
    /** A fungus that shows. */
    FRUIT_BODY
}
