package org.sallowbrook.server.herbarium;

/** Answered by rooms that keep records of plants: whether any is of this one. */
public interface UsesTaxon {
    boolean uses(String taxonId);
}
