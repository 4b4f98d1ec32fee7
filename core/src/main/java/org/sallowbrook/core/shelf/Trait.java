package org.sallowbrook.core.shelf;

/** What a lot carries with it through every chain of batches. */
public enum Trait {
    /** Methylated, isopropyl or otherwise spoilt spirit: poisonous to drink. */
    DENATURED,
    /** Pyrrolizidine alkaloids: never by mouth. */
    PYRROLIZIDINE,
    /** Infant botulism: never under one year. */
    HONEY
}
