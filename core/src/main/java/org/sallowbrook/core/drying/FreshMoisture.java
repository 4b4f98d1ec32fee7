package org.sallowbrook.core.drying;

import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;

/**
 * Moisture (wet basis) of fresh material where neither card nor household has a figure: working ranges of this tool by
 * part, wide on purpose, and to be replaced by the household's own fresh:dry ratio.
 */
public final class FreshMoisture {

    private FreshMoisture() {}

    public static Moisture of(Taxon taxon, Taxon.Part part) {
        Interval known =
                taxon.usedPart(part).map(p -> p.drying().freshMoisture()).orElse(null);
        // A card that was saved before such figures were refused breaks nothing: it counts as saying nothing.
        return known == null || !(known.high() <= Moisture.MOST && known.low() >= 0 && known.low() <= known.high())
                ? generic(part)
                : Moisture.of(known.low(), known.high());
    }

    /**
     * Whether a moisture given for fresh or wilted material can be meant: its wetter end not drier than what the part usually
     * holds by more than half of that. What is drier came off a rack already.
     */
    public static boolean plausible(Moisture given, Moisture general) {
        return given.high() >= general.low() * 0.5 && given.low() <= general.high() + (1 - general.high()) * 0.9;
    }

    static Moisture generic(Taxon.Part part) {
        return switch (part) {
            case FLOWER, FLOWER_HEAD -> Moisture.of(0.72, 0.88);
            case TOPS, HERB, LEAF, SHOOT -> Moisture.of(0.65, 0.85);
            case ROOT -> Moisture.of(0.60, 0.80);
            case BARK -> Moisture.of(0.40, 0.60);
            case FRUIT -> Moisture.of(0.70, 0.90);
            case SEED -> Moisture.of(0.10, 0.40);
            case THALLUS -> Moisture.of(0.10, 0.70);
            case FRUIT_BODY -> Moisture.of(0.40, 0.90);
        };
    }
}
