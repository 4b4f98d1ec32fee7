package org.sallowbrook.server.planning;

/** What is needed beside plants. */
enum Material {
    /** Pure, in mL, in spirits of any strength. */
    ALCOHOL,
    /** In mL. */
    OIL,
    /** In g. */
    WAX,
    /** What they hold, in mL. */
    BOTTLES
}
