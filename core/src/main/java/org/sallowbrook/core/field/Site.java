package org.sallowbrook.core.field;

import java.util.ArrayList;
import java.util.List;
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

    /**
     * What a change takes back that a gate holds by: said to be clean, allowed, unprotected or plentiful again, or a toxic
     * neighbour gone. Each is a decision, with a reason.
     */
    public List<String> loosenedBy(Site after) {
        List<String> loosened = new ArrayList<>();
        if (ground == Ground.CONTAMINATED && after.ground != Ground.CONTAMINATED) {
            loosened.add("ground");
        }
        if (permission == Permission.REFUSED && after.permission != Permission.REFUSED) {
            loosened.add("permission");
        }
        if (protectedSpecies && !after.protectedSpecies) {
            loosened.add("protectedSpecies");
        }
        if (few() && !after.few()) {
            loosened.add("plenty");
        }
        if (neighbour != null && !neighbour.equals(after.neighbour)) {
            loosened.add("neighbour");
        }
        return loosened;
    }

    /** Whether nothing is picked there whoever looks: tainted, not allowed, protected. */
    public boolean keepsOff() {
        return ground == Ground.CONTAMINATED || permission == Permission.REFUSED || protectedSpecies;
    }

    /** Scarce or declining: left to recover. */
    public boolean few() {
        return plenty == Plenty.SCARCE || plenty == Plenty.DECLINING;
    }
}
