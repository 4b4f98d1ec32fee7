package org.sallowbrook.core.drying;

import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.Part;
import org.sallowbrook.core.measure.Interval;

/**
 * How warm a part is dried: a nominal range, and the most in humid air, when it is still wet and keeps cool by evaporating.
 * Working figures of this tool; a card's own figure comes first.
 *
 * @param nominalC the range to hold
 * @param mostC never above, however humid the air
 */
public record Temperature(Interval nominalC, double mostC) {

    /** @param cardC of the card; null when it has none */
    public static Temperature of(Part part, boolean aromatic, @Nullable Double cardC) {
        Temperature usual = usual(part, aromatic);
        return cardC == null
                ? usual
                : new Temperature(Interval.exactly(cardC), Math.max(cardC, Math.min(usual.mostC(), cardC + 10)));
    }

    private static Temperature usual(Part part, boolean aromatic) {
        if (aromatic) {
            return new Temperature(Interval.of(35, 38), 42);
        }
        return switch (part) {
            case TOPS, LEAF, FLOWER, FLOWER_HEAD, HERB, SHOOT, THALLUS -> new Temperature(Interval.of(40, 45), 52);
            case ROOT, BARK -> new Temperature(Interval.exactly(50), 58);
            case FRUIT, SEED, FRUIT_BODY -> new Temperature(Interval.exactly(55), 65);
        };
    }
}
