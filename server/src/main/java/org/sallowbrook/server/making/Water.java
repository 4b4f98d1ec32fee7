package org.sallowbrook.server.making;

/** What lies under an oil that has settled overnight. */
public enum Water {
    NONE_SEEN,
    /** A layer, drops or a cloud: germs of botulism grow where the two meet. */
    SEEN,
    /** Seen, and the oil poured off it. */
    PARTED
}
