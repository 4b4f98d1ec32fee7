package org.sallowbrook.core.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.UsedPart;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/**
 * What a basket of fresh herb will make, and how much to pick for what is wanted. All of it goes by the dried herb; what is
 * uncertain in the drying and the pressing stays an interval, and whoever picks for a bottle reads its upper end.
 */
public final class Basket {

    /** mL of oil to 1 g of dried herb, the middle of the usual 1:5 to 1:10. */
    private static final double OIL_RATIO = 7;

    private static final Interval OIL_KEPT_ML_PER_G = Interval.of(1.5, 2);

    /** Of a salve of medium firmness 0.14 is wax; the rest is oil. */
    private static final double OIL_IN_SALVE = 0.86;

    private static final Interval OIL =
            Interval.of(OIL_RATIO - OIL_KEPT_ML_PER_G.high(), OIL_RATIO - OIL_KEPT_ML_PER_G.low());

    /** mL of menstruum to 1 g where the card has no figure: the usual ratio for dried herb. */
    private static final double TINCTURE_RATIO = 5;

    /** By volume, where the card has no figure: what the bench begins with. */
    private static final double TINCTURE_PERCENT = 45;

    public enum Product {
        DRIED("g"),
        TINCTURE("mL"),
        TEA("cups"),
        OIL("mL"),
        SALVE("g");

        private final String unit;

        Product(String unit) {
            this.unit = unit;
        }

        public String unit() {
            return unit;
        }

        /** How it is used: what is dried is brewed or eaten. */
        public Taxon.Route route() {
            return this == OIL || this == SALVE ? Taxon.Route.EXTERNAL : Taxon.Route.INTERNAL;
        }
    }

    /** @param how by which figures it would be made */
    public record Makes(Product product, Interval amount, String how) {}

    private record Rate(Interval perDriedG, String how) {}

    private Basket() {}

    /**
     * Everything the card allows of it, each as if all of the basket went into it.
     *
     * @param freshToDry grams fresh to one gram dried, above 1
     * @param freshG above 0
     */
    public static List<Makes> makes(UsedPart part, Interval freshToDry, double freshG) {
        check(freshToDry);
        Checks.begin().positive("freshG", freshG).done();
        List<Makes> makes = new ArrayList<>();
        for (Product product : Product.values()) {
            Rate rate = rate(product, part);
            if (rate != null) {
                makes.add(new Makes(
                        product,
                        Interval.of(
                                freshG / freshToDry.high() * rate.perDriedG().low(),
                                freshG / freshToDry.low() * rate.perDriedG().high()),
                        rate.how()));
            }
        }
        return makes;
    }

    /**
     * Grams of fresh herb for so much of a product; empty where the card does not allow it.
     *
     * @param freshToDry grams fresh to one gram dried, above 1
     * @param wanted in the unit of the product, above 0
     */
    public static Optional<Interval> freshFor(Product product, UsedPart part, Interval freshToDry, double wanted) {
        check(freshToDry);
        Checks.begin().positive("wanted", wanted).done();
        return Optional.ofNullable(rate(product, part))
                .map(rate -> Interval.of(
                        wanted / rate.perDriedG().high() * freshToDry.low(),
                        wanted / rate.perDriedG().low() * freshToDry.high()));
    }

    /**
     * Grams of dried herb for so much of a product; empty where the card does not allow it.
     *
     * @param wanted in the unit of the product, above 0
     */
    public static Optional<Interval> driedFor(Product product, UsedPart part, double wanted) {
        Checks.begin().positive("wanted", wanted).done();
        return Optional.ofNullable(rate(product, part))
                .map(rate -> Interval.of(
                        wanted / rate.perDriedG().high(),
                        wanted / rate.perDriedG().low()));
    }

    /**
     * What so much of a product takes beside the plant.
     *
     * @param spiritMl of menstruum, at spiritPercent by volume; 0 where none is taken
     * @param oilMl before it is infused
     */
    public record Takes(double driedG, double spiritMl, double spiritPercent, double oilMl, double waxG) {

        /** Of pure alcohol, mL. */
        public double alcoholMl() {
            return spiritMl * spiritPercent / 100;
        }

        public Takes and(Takes other) {
            double spirit = spiritMl + other.spiritMl;
            return new Takes(
                    driedG + other.driedG,
                    spirit,
                    spirit == 0 ? 0 : 100 * (alcoholMl() + other.alcoholMl()) / spirit,
                    oilMl + other.oilMl,
                    waxG + other.waxG);
        }
    }

    public static final Takes NOTHING = new Takes(0, 0, 0, 0, 0);

    /**
     * By the upper end of what the herb may keep back, so that it is enough; empty where the card does not allow it.
     *
     * @param wanted in the unit of the product, above 0
     */
    public static Optional<Takes> takes(Product product, UsedPart part, double wanted) {
        return driedFor(product, part, wanted).map(Interval::high).map(dried -> {
            Taxon.SpiritAdvice advice = part.using().spirit();
            return switch (product) {
                case DRIED, TEA -> new Takes(dried, 0, 0, 0, 0);
                case TINCTURE ->
                    new Takes(
                            dried,
                            dried * (advice == null ? TINCTURE_RATIO : advice.ratio()),
                            advice == null ? TINCTURE_PERCENT : advice.menstruumPercent(),
                            0,
                            0);
                case OIL -> new Takes(dried, 0, 0, dried * OIL_RATIO, 0);
                case SALVE -> new Takes(dried, 0, 0, dried * OIL_RATIO, wanted * (1 - OIL_IN_SALVE));
            };
        });
    }

    private static void check(Interval freshToDry) {
        Checks.begin()
                .that(freshToDry.low() >= 1, "freshToDry", "must be 1 or more: nothing gains by drying")
                .done();
    }

    private static @Nullable Rate rate(Product product, UsedPart part) {
        boolean eaten = part.using().routes().contains(Taxon.Route.INTERNAL);
        return switch (product) {
            case DRIED -> new Rate(Interval.exactly(1), "dried");
            case TINCTURE -> eaten ? tincture(part) : null;
            case TEA -> eaten ? tea(part.using().tea()) : null;
            case OIL ->
                part.using().routes().contains(Taxon.Route.EXTERNAL) ? new Rate(OIL, "1:7, for the skin") : null;
            case SALVE ->
                part.using().routes().contains(Taxon.Route.EXTERNAL)
                        ? new Rate(
                                OIL.times(InfusedOil.OIL_G_PER_ML / OIL_IN_SALVE),
                                "of its oil, with 14 % of wax, for the skin")
                        : null;
        };
    }

    private static @Nullable Rate tea(Taxon.@Nullable TeaAdvice advice) {
        return advice == null
                ? null
                : new Rate(
                        Interval.exactly(1 / advice.gramsPerCup()),
                        Words.grams(advice.gramsPerCup()) + " to a cup, by the card");
    }

    private static @Nullable Rate tincture(UsedPart part) {
        Taxon.SpiritAdvice advice = part.using().spirit();
        double ratio = advice == null ? TINCTURE_RATIO : advice.ratio();
        Interval kept = Retention.PRESSED.mlPerG();
        return ratio > kept.high()
                ? new Rate(
                        Interval.of(ratio - kept.high(), ratio - kept.low()),
                        "1:" + Words.figure(ratio) + ", pressed"
                                + (advice == null ? "; the card has no figure" : ", by the card"))
                : null;
    }
}
