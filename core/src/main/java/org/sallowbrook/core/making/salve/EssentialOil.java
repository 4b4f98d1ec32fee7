package org.sallowbrook.core.making.salve;

import java.util.List;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * Essential oil in something for the skin: 2 % at most for adults, 0.5 to 1 % from two years, none below. Working limits of
 * this tool, on the careful side of common practice.
 */
public final class EssentialOil {

    private static final double ADULT_MOST = 0.02;
    private static final double CHILD_MOST = 0.01;
    private static final double CHILD_USUAL = 0.005;
    private static final int NONE_BELOW_YEARS = 2;
    private static final int ADULT_FROM_YEARS = 18;

    /** @param mostG of essential oil in this product for this age; 0 when none is allowed */
    public record Limit(double mostG, List<Finding> findings, List<String> because) {}

    private EssentialOil() {}

    /** The highest share by age; 0 below two years. */
    public static double mostFraction(double youngestAgeYears) {
        Checks.begin().range("youngestAgeYears", youngestAgeYears, 0, 130).done();
        if (youngestAgeYears < NONE_BELOW_YEARS) {
            return 0;
        }
        return youngestAgeYears < ADULT_FROM_YEARS ? CHILD_MOST : ADULT_MOST;
    }

    /**
     * @param totalG of the product
     * @param wantedG of essential oil
     * @param youngestAgeYears of whoever it is for
     */
    public static Limit check(double totalG, double wantedG, double youngestAgeYears) {
        Checks.begin()
                .positive("totalG", totalG)
                .notNegative("essentialOilG", wantedG)
                .range("youngestAgeYears", youngestAgeYears, 0, 130)
                .done();
        double most = totalG * mostFraction(youngestAgeYears);
        Because because = new Because();
        because.equation(
                "Essential oil at most",
                Words.exact(totalG, "g") + " × " + Words.exact(mostFraction(youngestAgeYears)),
                most,
                "g");
        if (wantedG > most * (1 + 1e-9)) {
            Finding stop = most == 0
                    ? Finding.stop(
                            "ESSENTIAL_OIL_INFANT",
                            "No essential oil on the skin of a child under two years.",
                            "Leave it out.")
                    : Finding.stop(
                            "ESSENTIAL_OIL_TOO_MUCH",
                            Words.grams(wantedG) + " of essential oil is more than the " + Words.grams(most)
                                    + " that this much may hold.",
                            "Use less; patch test it on a small place first.");
            return new Limit(most, List.of(stop), because.lines());
        }
        if (wantedG > totalG * CHILD_USUAL && youngestAgeYears < ADULT_FROM_YEARS) {
            return new Limit(
                    most,
                    List.of(Finding.warn(
                            "ESSENTIAL_OIL_CHILD",
                            "More than 0.5 % on a child's skin.",
                            "Stay at 0.5 % where it will do; patch test it first.")),
                    because.lines());
        }
        return new Limit(
                most,
                wantedG > 0
                        ? List.of(Finding.note(
                                "PATCH_TEST", "Essential oils can sensitise.", "Patch test it on a small place first."))
                        : List.of(),
                because.lines());
    }
}
