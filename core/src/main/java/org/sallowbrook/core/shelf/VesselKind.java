package org.sallowbrook.core.shelf;

/** What a lot stands in. */
public enum VesselKind {
    GROUND,
    BASKET,
    JAR,
    BOTTLE,
    FLASK,
    TIN,
    BAG,
    BLOCK
}
