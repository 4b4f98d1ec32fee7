package org.sallowbrook.core.field;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Words;

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

    /** What of this a change takes back, as it was: contaminated ground, dog's mercury beside it. */
    public String words(List<String> loosened) {
        return loosened.stream()
                .map(field -> switch (field) {
                    case "ground" -> Words.lower(ground) + " ground";
                    case "permission" -> "permission " + Words.lower(permission);
                    case "protectedSpecies" -> "protected";
                    case "plenty" -> Words.lower(plenty);
                    case "neighbour" -> neighbour + " beside it";
                    default -> "";
                })
                .filter(w -> !w.isEmpty())
                .collect(Collectors.joining(", "));
    }

    /** Two stands nearer than a gatherer can tell apart by a position, m; a working figure of this tool. */
    public static final double SAME_PLACE_M = 30;

    private static final double METRES_A_DEGREE = 111_320;

    /**
     * Where a stand is.
     *
     * @param taxonId empty for a plant nobody knows
     * @param place in words
     */
    public record Where(
            String taxonId,
            String place,
            @Nullable Double latitude,
            @Nullable Double longitude) {

        /**
         * Whether this is where another stand is: by position where both have one, else the same plant at a place of the
         * same name.
         */
        public boolean isThatOf(Where other) {
            if (latitude != null && longitude != null && other.latitude != null && other.longitude != null) {
                double north = (latitude - other.latitude) * METRES_A_DEGREE;
                double east = (longitude - other.longitude) * METRES_A_DEGREE * Math.cos(Math.toRadians(latitude));
                return Math.hypot(north, east) <= SAME_PLACE_M;
            }
            return taxonId.equals(other.taxonId) && place.strip().equalsIgnoreCase(other.place.strip());
        }
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
