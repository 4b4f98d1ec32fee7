package org.sallowbrook.core.making.oil;

import org.jspecify.annotations.Nullable;

/** What lies under an oil that has settled overnight. */
public enum Water {
    NONE_SEEN,
    /** A layer, drops or a cloud: germs of botulism grow where the two meet. */
    SEEN,
    /** Seen, and the oil poured off it. */
    PARTED;

    /** Days that an oil keeps which was poured off water: some stays in it. */
    private static final int PARTED_DAYS = 14;

    /**
     * @param mostDays without any water; null for the form's own life
     * @return the same or fewer
     */
    public @Nullable Integer mostDays(@Nullable Integer mostDays) {
        if (this != PARTED) {
            return mostDays;
        }
        return mostDays == null ? PARTED_DAYS : Math.min(PARTED_DAYS, mostDays);
    }

    public boolean seen() {
        return this != NONE_SEEN;
    }
}
