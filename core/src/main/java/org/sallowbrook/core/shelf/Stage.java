package org.sallowbrook.core.shelf;

/** How far along the work a lot is: from the stand to what is given to somebody. */
public enum Stage {
    STAND,
    HARVEST,
    /** Kept to be used: dried herb, spirit, oil. */
    STOCK,
    /** Being made. */
    BATCH,
    /** Finished: may be given to a person. */
    FILLED
}
