package org.sallowbrook.core.shelf;

import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;

/** What a lot is, whatever vessel it stands in and however far along it is. */
public enum LotForm {
    PLANT(Unit.G, VesselKind.GROUND),
    HERB(Unit.G, VesselKind.JAR),

    SPIRIT(Unit.ML, VesselKind.BOTTLE),
    CARRIER_OIL(Unit.ML, VesselKind.BOTTLE),
    WAX(Unit.G, VesselKind.BLOCK),
    VINEGAR(Unit.ML, VesselKind.BOTTLE),
    GLYCERINE(Unit.ML, VesselKind.BOTTLE),
    HONEY(Unit.G, VesselKind.JAR),
    SUGAR(Unit.G, VesselKind.BAG),
    SALT(Unit.G, VesselKind.BAG),
    WINE(Unit.ML, VesselKind.BOTTLE),
    BUTTER(Unit.G, VesselKind.BLOCK),
    EMULSIFIER(Unit.G, VesselKind.JAR),
    PRESERVATIVE(Unit.G, VesselKind.BOTTLE),
    ESSENTIAL_OIL(Unit.G, VesselKind.BOTTLE),

    TINCTURE(Unit.ML, VesselKind.BOTTLE),
    MIXTURE(Unit.ML, VesselKind.BOTTLE),
    HERBAL_VINEGAR(Unit.ML, VesselKind.BOTTLE),
    GLYCERITE(Unit.ML, VesselKind.BOTTLE),
    HERBAL_HONEY(Unit.ML, VesselKind.JAR),
    OXYMEL(Unit.ML, VesselKind.BOTTLE),
    HERBAL_WINE(Unit.ML, VesselKind.BOTTLE),
    TEA(Unit.ML, VesselKind.FLASK),
    WASH(Unit.ML, VesselKind.FLASK),
    SYRUP(Unit.ML, VesselKind.BOTTLE),
    ICE_CUBES(Unit.ML, VesselKind.BAG),
    TEA_MIXTURE(Unit.G, VesselKind.BAG),
    POWDER(Unit.G, VesselKind.JAR),
    POULTICE(Unit.G, VesselKind.JAR),
    SALTED_HERB(Unit.G, VesselKind.JAR),
    FROZEN_HERB(Unit.G, VesselKind.BAG),
    INFUSED_OIL(Unit.ML, VesselKind.BOTTLE),
    SALVE(Unit.G, VesselKind.TIN),
    CREAM(Unit.G, VesselKind.TIN);

    private final Unit unit;
    private final VesselKind vessel;

    LotForm(Unit unit, VesselKind vessel) {
        this.unit = unit;
        this.vessel = vessel;
    }

    /** What it is counted in. */
    public Unit unit() {
        return unit;
    }

    /** What it usually stands in, once it is finished. */
    public VesselKind vessel() {
        return vessel;
    }

    /** What its percentage means and may be; null for what has none. Alcohol by volume, acidity, or glycerine by volume. */
    public @Nullable Interval percent() {
        return switch (this) {
            case SPIRIT -> Interval.of(1, Strength.MOST_PERCENT);
            case WINE -> Interval.of(5, 24);
            case VINEGAR -> Interval.of(4, 12);
            case GLYCERINE -> Interval.of(30, 100);
            default -> null;
        };
    }

    /** Whether its percentage is alcohol by volume. */
    public boolean alcoholic() {
        return switch (this) {
            case SPIRIT, WINE, TINCTURE, MIXTURE, HERBAL_WINE -> true;
            default -> false;
        };
    }

    /** Some of them, the first the likeliest. */
    public static java.util.Set<LotForm> inOrder(LotForm... forms) {
        return java.util.Collections.unmodifiableSet(new java.util.LinkedHashSet<>(java.util.List.of(forms)));
    }

    /** Bought or kept in stock as it is, rather than gathered or made here. */
    public boolean supply() {
        return compareTo(SPIRIT) >= 0 && compareTo(ESSENTIAL_OIL) <= 0;
    }
}
