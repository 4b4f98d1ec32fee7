package org.sallowbrook.server.shelf;

/** What a lot is, in the order of the work. */
public enum LotKind {
    STAND,
    HARVEST,
    JAR,
    SPIRIT,
    OIL,
    WAX,
    BATCH,
    FLASK,
    BOTTLE,
    TIN;

    /** Bought or kept in stock rather than made here. */
    public boolean supply() {
        return this == SPIRIT || this == OIL || this == WAX;
    }

    /** Finished: may be given to a person. */
    public boolean finished() {
        return this == FLASK || this == BOTTLE || this == TIN;
    }
}
