package org.sallowbrook.core.herbarium;

/**
 * A taxon found by one of its names.
 *
 * @param name the name that matched, which need not be the current one
 * @param slips letters that differ from what was typed
 */
public record Found(Taxon taxon, String name, Kind kind, int slips) {

    public enum Kind {
        ACCEPTED,
        /** Still printed in books; the plant is called otherwise now. */
        OLDER,
        COMMON,
        /** A common name that several plants bear. */
        AMBIGUOUS
    }
}
