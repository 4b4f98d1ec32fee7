package org.sallowbrook.core.making.tea;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * Syrup by mass balance of sugar: nothing but water leaves a pan, and sugar added stays. Sugar as degrees Brix, g of sugar
 * in 100 g.
 *
 * <p>Density of sucrose solutions at 20 °C: Bates et al., Polarimetry, Saccharimetry and the Sugars, Circular C440 of the
 * National Bureau of Standards, 1942, table 113, at every tenth degree; between them a cubic spline, outside them nothing.
 */
public final class Syrup {

    /** Below this a syrup does not keep on the shelf. */
    static final double KEEPS_BRIX = 65;

    static final double WEAK_BRIX = 45;

    private static final double[] BRIX = {0, 10, 20, 30, 40, 50, 60, 70, 80};
    private static final double[] G_PER_ML = {
        0.99823, 1.03810, 1.08096, 1.12698, 1.17643, 1.22957, 1.28646, 1.34717, 1.41172
    };
    private static final PolynomialSplineFunction DENSITY = new SplineInterpolator().interpolate(BRIX, G_PER_ML);

    /**
     * @param evaporatedG water to boil off; 0 when sugar is added instead
     * @param sugarG sugar to add; 0 when water is boiled off instead
     * @param cold whether it must stand in the refrigerator
     */
    public record Plan(
            double syrupMl,
            double syrupG,
            double evaporatedG,
            double sugarG,
            boolean cold,
            int keepsDays,
            List<Finding> findings,
            List<String> because) {}

    private Syrup() {}

    /**
     * Density in g/mL at 20 °C.
     *
     * @param brix 0..80
     */
    public static double gramsPerMl(double brix) {
        Checks.begin().range("brix", brix, 0, 80).done();
        return DENSITY.value(brix);
    }

    /** Sap or juice boiled down. @param targetBrix above that of the sap, to 80 */
    public static Plan boilDown(double sapMl, double sapBrix, double targetBrix) {
        check(sapMl, sapBrix, targetBrix);
        Because because = new Because();
        double sapG = mass(sapMl, sapBrix, because);
        double syrupG = sapG * sapBrix / targetBrix;
        because.equation(
                "Syrup",
                Words.exact(sapG, "g") + " × " + Words.exact(sapBrix) + " / " + Words.exact(targetBrix),
                syrupG,
                "g");
        double evaporated = sapG - syrupG;
        because.equation("To boil off", Words.exact(sapG, "g") + " − " + Words.exact(syrupG, "g"), evaporated, "g");
        return finish(syrupG, evaporated, 0, targetBrix, because);
    }

    /** A decoction or juice sweetened. @param targetBrix above that of the liquid, to 80 */
    public static Plan sweeten(double liquidMl, double liquidBrix, double targetBrix) {
        check(liquidMl, liquidBrix, targetBrix);
        Because because = new Because();
        double liquidG = mass(liquidMl, liquidBrix, because);
        double sugar = liquidG * (targetBrix - liquidBrix) / (100 - targetBrix);
        because.equation(
                "Sugar to add",
                Words.exact(liquidG, "g") + " × (" + Words.exact(targetBrix) + " − " + Words.exact(liquidBrix)
                        + ") / (100 − " + Words.exact(targetBrix) + ")",
                sugar,
                "g");
        because.equation("Syrup", Words.exact(liquidG, "g") + " + " + Words.exact(sugar, "g"), liquidG + sugar, "g");
        return finish(liquidG + sugar, 0, sugar, targetBrix, because);
    }

    /** Sugar in honey that holds the 20 % water which Codex Alimentarius CXS 12-1981 allows at most. */
    private static final double HONEY_BRIX = 80;

    /** A decoction or juice sweetened with honey. @param targetBrix above that of the liquid, to 75 */
    public static Plan sweetenWithHoney(double liquidMl, double liquidBrix, double targetBrix) {
        check(liquidMl, liquidBrix, targetBrix);
        Checks.begin()
                .that(targetBrix <= 75, "targetBrix", "must be at most 75: honey itself holds about 80")
                .done();
        Because because = new Because();
        double liquidG = mass(liquidMl, liquidBrix, because);
        double honey = liquidG * (targetBrix - liquidBrix) / (HONEY_BRIX - targetBrix);
        because.equation(
                "Honey to add",
                Words.exact(liquidG, "g") + " × (" + Words.exact(targetBrix) + " − " + Words.exact(liquidBrix) + ") / ("
                        + Words.exact(HONEY_BRIX) + " − " + Words.exact(targetBrix) + ")",
                honey,
                "g");
        because.equation("Syrup", Words.exact(liquidG, "g") + " + " + Words.exact(honey, "g"), liquidG + honey, "g");
        return finish(liquidG + honey, 0, honey, targetBrix, because);
    }

    private static void check(double ml, double brix, double target) {
        Checks.begin()
                .range("liquidMl", ml, 1, 1_000_000)
                .range("brix", brix, 0, 79)
                .that(target > brix && target <= 80, "targetBrix", "must be above that of the liquid and at most 80")
                .done();
    }

    private static double mass(double ml, double brix, Because because) {
        double density = gramsPerMl(brix);
        because.equation("Liquid", Words.exact(ml, "mL") + " × " + Words.exact(density, "g/mL"), ml * density, "g");
        return ml * density;
    }

    private static Plan finish(double syrupG, double evaporatedG, double sugarG, double brix, Because because) {
        double density = gramsPerMl(brix);
        double ml = syrupG / density;
        because.equation("Syrup by volume", Words.exact(syrupG, "g") + " / " + Words.exact(density, "g/mL"), ml, "mL");
        List<Finding> findings = new ArrayList<>();
        int days = 90;
        if (brix < WEAK_BRIX) {
            days = 7;
            findings.add(Finding.warn(
                    "SYRUP_THIN", "Below 45 % sugar it is a sweet drink, not a syrup.", "Keep it cold, one week."));
        } else if (brix < KEEPS_BRIX) {
            days = 28;
            findings.add(Finding.warn(
                    "SYRUP_WEAK",
                    "Below 65 % sugar it ferments.",
                    "Keep it in the refrigerator, four weeks at most; or use more sugar."));
        }
        findings.add(Finding.note(
                "HOT_SYRUP", "Boiling syrup sticks and burns deeper than water.", "Keep children away; stir slowly."));
        return new Plan(ml, syrupG, evaporatedG, sugarG, true, days, findings, because.lines());
    }
}
