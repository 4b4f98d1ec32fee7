package org.sallowbrook.core.herbarium;

/** Stages of a plant's year at which its characters differ. */
public enum LifeStage {
    SEEDLING,
    ROSETTE,
    LEAFY,
    FLOWERING,
    FRUITING,
    WINTER
}
