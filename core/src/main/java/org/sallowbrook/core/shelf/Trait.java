package org.sallowbrook.core.shelf;

/** What a lot carries with it through every chain of batches. */
public enum Trait {
    /** Methylated, isopropyl or otherwise spoilt spirit: poisonous to drink. */
    DENATURED,
    /** Pyrrolizidine alkaloids: never by mouth. */
    PYRROLIZIDINE,
    /** Infant botulism: never under one year. */
    HONEY,
    /** On the skin of nobody under two years or expecting. */
    ESSENTIAL_OIL,
    /** More of it than a child's skin is given, or one of which nothing is known. */
    ESSENTIAL_OIL_FOR_ADULTS,
    /** Menthol, cineole or camphor: nowhere near the face of a child under six. */
    COOLING_OIL,
    /** Kept by salt: much of it in every spoon. */
    SALTED
}
