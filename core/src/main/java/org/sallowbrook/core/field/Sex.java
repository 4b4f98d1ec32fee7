package org.sallowbrook.core.field;

/** Of the plants that were picked, where a kind has male and female ones. */
public enum Sex {
    FEMALE,
    MALE,
    BOTH
}
