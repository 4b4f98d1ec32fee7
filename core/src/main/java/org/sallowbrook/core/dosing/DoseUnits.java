package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

/**
 * What a dose of a product can be counted out in. One of each is taken at its largest, so that a dose in drops of a dropper
 * nobody counted is never more than it was reckoned as.
 */
public final class DoseUnits {

    /** From so much at once a tea is drunk by the cup, mL; a working figure of this tool. */
    private static final double BY_THE_CUP_ML = 50;

    /**
     * Of a grown-up, squeezed from a tube: 0.49 g in men, 0.43 g in women, for 312 and 257 square centimetres. Long and Finlay,
     * Clinical and Experimental Dermatology 16 (1991) 444. The larger stands for all.
     */
    public static final double FINGERTIP_G = 0.5;

    /** Below this a drink counts as without alcohol, share by volume. */
    private static final double NO_ALCOHOL = 0.005;

    /**
     * This household's own measures, mL; null where one was never filled with water.
     *
     * @param dropMl of its dropper, the mean of those counted together
     */
    public record Kit(
            @Nullable Double teaspoonMl,
            @Nullable Double tablespoonMl,
            @Nullable Double cupMl,
            @Nullable Double dropMl,
            @Nullable Double squirtMl) {
        public static final Kit UNMEASURED = new Kit(null, null, null, null, null);
    }

    /** @param each one of it in the product's own unit, mL or g */
    public record Offered(Dose.Unit unit, double each, String words) {}

    private DoseUnits() {}

    /**
     * In the order in which they are offered.
     *
     * @param grams whether the product is weighed: a salve
     * @param strength of alcohol, 0 to 1
     */
    public static List<Offered> of(boolean grams, double strength, Kit kit) {
        Checks.begin().range("strength", strength, 0, 1).done();
        if (grams) {
            return List.of(
                    new Offered(Dose.Unit.G, 1, "by a scale"),
                    new Offered(
                            Dose.Unit.FINGERTIP,
                            FINGERTIP_G,
                            "about half a gram, for as much skin as two hands cover"));
        }
        List<Offered> offered = new ArrayList<>();
        offered.add(new Offered(Dose.Unit.ML, 1, "by a measuring glass or syringe"));
        offered.add(
                kit.dropMl() == null
                        ? new Offered(
                                Dose.Unit.DROP,
                                1 / Dose.DROPS_PER_ML.low(),
                                "nobody counted this dropper: reckoned at the largest drop, "
                                        + Words.figure(Dose.DROPS_PER_ML.low()) + " to the mL")
                        : new Offered(Dose.Unit.DROP, kit.dropMl(), "as counted with this household's dropper"));
        if (kit.squirtMl() != null) {
            offered.add(new Offered(Dose.Unit.SQUIRT, kit.squirtMl(), "as measured with this household's dropper"));
        }
        offered.add(spoon(Dose.Unit.TEASPOON, kit.teaspoonMl(), Dose.TEASPOON_ML));
        offered.add(spoon(Dose.Unit.TABLESPOON, kit.tablespoonMl(), Dose.TABLESPOON_ML));
        if (strength < NO_ALCOHOL) {
            offered.add(spoon(Dose.Unit.CUP, kit.cupMl(), Dose.CUP_ML));
        }
        return offered;
    }

    /** The unit somebody would use for so much of it: cups of a tea, else the product's own. */
    public static Dose.Unit usual(boolean grams, double strength, double amount) {
        if (grams) {
            return Dose.Unit.FINGERTIP;
        }
        return strength < NO_ALCOHOL && amount >= BY_THE_CUP_ML ? Dose.Unit.CUP : Dose.Unit.ML;
    }

    private static Offered spoon(Dose.Unit unit, @Nullable Double own, double usual) {
        return own == null
                ? new Offered(unit, usual, "of " + Words.figure(usual) + " mL")
                : new Offered(unit, own, "of " + Words.figure(own) + " mL, as measured here");
    }

    /**
     * So much of it as can be counted out: whole drops, quarters of a cup or spoon, halves of a fingertip. Rounded down, and left
     * as it is where that would be nothing.
     */
    public static double countable(double amount, Offered in) {
        Checks.begin().positive("amount", amount).done();
        double part = switch (in.unit()) {
            case DROP, SQUIRT -> 1;
            case TEASPOON, TABLESPOON, CUP -> 0.25;
            case FINGERTIP -> 0.5;
            case ML, G -> 0.1;
        };
        double rounded = Math.floor(amount / in.each() / part + 1e-9) * part * in.each();
        return rounded > 0 ? rounded : amount;
    }

    /** "40 drops", "half a cup" as figures: so much of a product's own unit in another one. */
    public static String words(double amount, Offered in) {
        double n = amount / in.each();
        String figure = Words.figure(n);
        boolean one = figure.equals("1");
        return figure + " "
                + switch (in.unit()) {
                    case ML -> "mL";
                    case G -> "g";
                    case DROP -> one ? "drop" : "drops";
                    case SQUIRT -> one ? "squirt" : "squirts";
                    case TEASPOON -> one ? "teaspoon" : "teaspoons";
                    case TABLESPOON -> one ? "tablespoon" : "tablespoons";
                    case CUP -> one ? "cup" : "cups";
                    case FINGERTIP -> one ? "fingertip" : "fingertips";
                };
    }
}
