package org.sallowbrook.core.making.vessel;

import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Interval;

/**
 * What loose herb weighs by volume where neither the card nor the household has a figure: wide working ranges of this tool,
 * in g per mL, for cut material as it lies.
 */
public final class BulkDensity {

    private static final Interval LIGHT = Interval.of(0.05, 0.20);
    private static final Interval HEAVY = Interval.of(0.20, 0.50);
    private static final double FRESH_AGAINST_DRIED = 2;

    private BulkDensity() {}

    /** The part of a name such as LEAF; null for what is none. */
    static Taxon.@Nullable Part part(@Nullable String name) {
        for (Taxon.Part part : Taxon.Part.values()) {
            if (part.name().equalsIgnoreCase(name)) {
                return part;
            }
        }
        return null;
    }

    /** @param part null where nobody said which */
    public static Interval general(Taxon.@Nullable Part part, boolean fresh) {
        Interval dried = part == null ? Interval.of(LIGHT.low(), HEAVY.high()) : ofDried(part);
        return fresh ? dried.times(FRESH_AGAINST_DRIED) : dried;
    }

    private static Interval ofDried(Taxon.Part part) {
        return switch (part) {
            case TOPS, LEAF, FLOWER, FLOWER_HEAD, HERB, SHOOT, THALLUS -> LIGHT;
            case ROOT, BARK, FRUIT, SEED, FRUIT_BODY -> HEAVY;
        };
    }
}
