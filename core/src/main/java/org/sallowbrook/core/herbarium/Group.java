package org.sallowbrook.core.herbarium;

/** Kinds of living thing that share no organs, so that no character of one can be seen on another. */
public enum Group {
    PLANT,
    FERN,
    LICHEN,
    FUNGUS
}
