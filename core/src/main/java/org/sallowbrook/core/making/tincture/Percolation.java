package org.sallowbrook.core.making.tincture;

import java.util.List;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * Percolation of a dry powder: moisten with 0.5-1 mL/g, stand 1-4 h, pack, cover, macerate 12-24 h, then drip 1-3 mL a
 * minute per 1000 g. Three quarters of the product are collected, the marc is pressed, the rest made up.
 *
 * <p>Menstruum = m R + retention; hours = standing + maceration + dripping.
 */
public final class Percolation {

    private static final Interval MOISTEN_ML_PER_G = Interval.of(0.5, 1);
    private static final Interval STAND_HOURS = Interval.of(1, 4);
    private static final Interval MACERATE_HOURS = Interval.of(12, 24);
    private static final Interval DRIP_ML_PER_MIN_PER_KG = Interval.of(1, 3);
    private static final double FIRST_FRACTION = 0.75;

    /** @param ratio mL of finished product per g of dry powdered drug */
    public record Recipe(double herbG, double ratio, Strength strength, double dropsPerMl) {
        public Recipe {
            Checks.begin()
                    .positive("herbG", herbG)
                    .that(ratio > 0 && ratio <= 100, "ratio", "must be above 0 and at most 100")
                    .range("dropsPerMl", dropsPerMl, 5, 100)
                    .that(strength.fraction() > 0, "strengthPercent", "must be above 0")
                    .done();
        }
    }

    public record Plan(
            Interval menstruumMl,
            Interval moistenMl,
            Interval hours,
            Interval dropsPerMinute,
            double firstFractionMl,
            double productMl,
            List<Finding> findings,
            List<String> because) {}

    private Percolation() {}

    public static Plan plan(Recipe p) {
        double product = p.herbG() * p.ratio();
        double first = FIRST_FRACTION * product;
        Interval kept = Retention.DRAINED.mlPerG();
        Interval menstruum = kept.times(p.herbG()).plus(product);
        Interval drip = DRIP_ML_PER_MIN_PER_KG.times(p.herbG() / 1000);
        Interval hours = Interval.of(
                STAND_HOURS.low() + MACERATE_HOURS.low() + first / drip.high() / 60,
                STAND_HOURS.high() + MACERATE_HOURS.high() + first / drip.low() / 60);
        Because because = new Because();
        String herb = Words.exact(p.herbG(), "g");
        because.equation("Product", herb + " × " + Words.exact(p.ratio(), "mL/g"), product, "mL");
        because.equation(
                "Menstruum",
                Words.exact(product, "mL") + " + " + herb + " × " + Words.exact(kept.low(), "mL/g"),
                Words.exact(product, "mL") + " + " + herb + " × " + Words.exact(kept.high(), "mL/g"),
                menstruum,
                "mL");
        because.equation(
                "To moisten",
                herb + " × " + Words.exact(MOISTEN_ML_PER_G.low(), "mL/g"),
                herb + " × " + Words.exact(MOISTEN_ML_PER_G.high(), "mL/g"),
                MOISTEN_ML_PER_G.times(p.herbG()),
                "mL");
        because.equation(
                "Collected first", Words.exact(product, "mL") + " × " + Words.exact(FIRST_FRACTION), first, "mL");
        because.equation(
                "Drip in mL a minute",
                herb + " / 1000 × " + Words.exact(DRIP_ML_PER_MIN_PER_KG.low()),
                herb + " / 1000 × " + Words.exact(DRIP_ML_PER_MIN_PER_KG.high()),
                drip,
                "mL");
        because.equation(
                "Drops a minute",
                Words.exact(drip.low(), "mL") + " × " + Words.exact(p.dropsPerMl()),
                Words.exact(drip.high(), "mL") + " × " + Words.exact(p.dropsPerMl()),
                drip.times(p.dropsPerMl()),
                "");
        because.equation(
                "Hours, standing and macerating counted in",
                hours(STAND_HOURS.low(), MACERATE_HOURS.low(), first, drip.high()),
                hours(STAND_HOURS.high(), MACERATE_HOURS.high(), first, drip.low()),
                hours,
                "h");
        List<Finding> findings =
                new java.util.ArrayList<>(org.sallowbrook.core.making.spirit.Spirits.fireFindings(p.strength()));
        findings.addAll(Tincture.strengthFindings(Interval.exactly(p.strength().fraction())));
        findings.add(Finding.note(
                "DRY_POWDER_ONLY",
                "A percolator runs evenly only through a dry, even, not too fine powder; dust of some plants harms.",
                "Sieve it, wear a mask, and leave room: moist powder swells."));
        return new Plan(
                menstruum,
                MOISTEN_ML_PER_G.times(p.herbG()),
                hours,
                drip.times(p.dropsPerMl()),
                first,
                product,
                findings,
                because.lines());
    }

    private static String hours(double stand, double macerate, double firstMl, double mlPerMin) {
        return Words.exact(stand) + " + " + Words.exact(macerate) + " + " + Words.exact(firstMl, "mL") + " / "
                + Words.exact(mlPerMin, "mL/min") + " / 60";
    }
}
