package org.sallowbrook.core.field;

import org.jspecify.annotations.Nullable;

/**
 * What is known of the ground a stand grows on.
 *
 * @param neighbour a toxic plant growing within it; null when none was seen
 */
public record Site(
        Ground ground,
        Permission permission,
        Plenty plenty,
        boolean protectedSpecies,
        @Nullable String neighbour) {

    public enum Ground {
        CLEAN,
        UNKNOWN,
        CONTAMINATED
    }

    public enum Permission {
        OWN_GARDEN,
        GIVEN,
        UNKNOWN,
        REFUSED
    }

    public enum Plenty {
        PLENTIFUL,
        FAIR,
        SCARCE,
        DECLINING
    }
}
