package org.sallowbrook.core.shelf;

import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;

/** What a lot is, whatever vessel it stands in and however far along it is. */
public enum LotForm {
    PLANT(Of.PLANT, Unit.G, VesselKind.GROUND),
    HERB(Of.PLANT, Unit.G, VesselKind.JAR),

    SPIRIT(Of.SUPPLY, Unit.ML, VesselKind.BOTTLE, Holds.ALCOHOL, Interval.of(1, Strength.MOST_PERCENT)),
    CARRIER_OIL(Of.SUPPLY, Unit.ML, VesselKind.BOTTLE),
    WAX(Of.SUPPLY, Unit.G, VesselKind.BLOCK),
    VINEGAR(Of.SUPPLY, Unit.ML, VesselKind.BOTTLE, Holds.OTHER, Interval.of(4, 12)),
    GLYCERINE(Of.SUPPLY, Unit.ML, VesselKind.BOTTLE, Holds.OTHER, Interval.of(30, 100)),
    HONEY(Of.SUPPLY, Unit.G, VesselKind.JAR),
    SUGAR(Of.SUPPLY, Unit.G, VesselKind.BAG),
    SALT(Of.SUPPLY, Unit.G, VesselKind.BAG),
    WINE(Of.SUPPLY, Unit.ML, VesselKind.BOTTLE, Holds.ALCOHOL, Interval.of(5, 24)),
    BUTTER(Of.SUPPLY, Unit.G, VesselKind.BLOCK),
    EMULSIFIER(Of.SUPPLY, Unit.G, VesselKind.JAR),
    PRESERVATIVE(Of.SUPPLY, Unit.G, VesselKind.BOTTLE),
    ESSENTIAL_OIL(Of.SUPPLY, Unit.G, VesselKind.BOTTLE),

    TINCTURE(Of.MADE, Unit.ML, VesselKind.BOTTLE, Holds.ALCOHOL, null),
    MIXTURE(Of.MADE, Unit.ML, VesselKind.BOTTLE, Holds.ALCOHOL, null),
    HERBAL_VINEGAR(Of.MADE, Unit.ML, VesselKind.BOTTLE),
    GLYCERITE(Of.MADE, Unit.ML, VesselKind.BOTTLE),
    HERBAL_HONEY(Of.MADE, Unit.ML, VesselKind.JAR),
    OXYMEL(Of.MADE, Unit.ML, VesselKind.BOTTLE),
    HERBAL_WINE(Of.MADE, Unit.ML, VesselKind.BOTTLE, Holds.ALCOHOL, null),
    TEA(Of.MADE, Unit.ML, VesselKind.FLASK),
    WASH(Of.MADE, Unit.ML, VesselKind.FLASK),
    SYRUP(Of.MADE, Unit.ML, VesselKind.BOTTLE),
    ICE_CUBES(Of.MADE, Unit.ML, VesselKind.BAG),
    TEA_MIXTURE(Of.MADE, Unit.G, VesselKind.BAG),
    POWDER(Of.MADE, Unit.G, VesselKind.JAR),
    POULTICE(Of.MADE, Unit.G, VesselKind.JAR),
    SALTED_HERB(Of.MADE, Unit.G, VesselKind.JAR),
    FROZEN_HERB(Of.MADE, Unit.G, VesselKind.BAG),
    INFUSED_OIL(Of.MADE, Unit.ML, VesselKind.BOTTLE),
    SALVE(Of.MADE, Unit.G, VesselKind.TIN),
    CREAM(Of.MADE, Unit.G, VesselKind.TIN);

    private enum Of {
        /** The plant itself, growing, picked or dried. */
        PLANT,
        /** Bought or kept in stock as it is, rather than gathered or made here. */
        SUPPLY,
        MADE
    }

    /** What its percentage is of; acid and glycerine are the same to all who ask here. */
    private enum Holds {
        ALCOHOL,
        OTHER
    }

    private final Of of;
    private final Unit unit;
    private final VesselKind vessel;
    private final Holds holds;
    private final @Nullable Interval percent;

    LotForm(Of of, Unit unit, VesselKind vessel) {
        this(of, unit, vessel, Holds.OTHER, null);
    }

    LotForm(Of of, Unit unit, VesselKind vessel, Holds holds, @Nullable Interval percent) {
        this.of = of;
        this.unit = unit;
        this.vessel = vessel;
        this.holds = holds;
        this.percent = percent;
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
        return percent;
    }

    /** Whether its percentage is alcohol by volume. */
    public boolean alcoholic() {
        return holds == Holds.ALCOHOL;
    }

    /** Some of them, the first the likeliest. */
    public static java.util.Set<LotForm> inOrder(LotForm... forms) {
        return java.util.Collections.unmodifiableSet(new java.util.LinkedHashSet<>(java.util.List.of(forms)));
    }

    /** Bought or kept in stock as it is, rather than gathered or made here. */
    public boolean supply() {
        return of == Of.SUPPLY;
    }
}
