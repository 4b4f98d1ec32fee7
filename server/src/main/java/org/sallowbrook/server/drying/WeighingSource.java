package org.sallowbrook.server.drying;

/** How a weight came to be known. */
public enum WeighingSource {
    HAND,
    SCALE
}
