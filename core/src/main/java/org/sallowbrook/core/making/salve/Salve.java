package org.sallowbrook.core.making.salve;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * A salve of oil and wax for the tins at hand: total mass = tins x density x (1 + waste). Wax fractions by firmness are
 * for beeswax kept at 20 °C; other waxes by a factor on the fraction.
 */
public final class Salve {

    public static final double USUAL_G_PER_ML = 0.93;
    static final double MEANT_AT_C = 20;

    /** A salve with nothing but butter for its oil needs this much less beeswax: a working figure of this tool. */
    private static final double BUTTER_FOR_WAX = 0.05;

    private static final double LEAST_WAX = 0.02;
    private static final double MOST_WAX = 0.50;

    public enum Firmness {
        SOFT(0.10),
        MEDIUM(0.14),
        FIRM(0.20),
        STICK(0.27);

        private final double beeswaxFraction;

        Firmness(double beeswaxFraction) {
            this.beeswaxFraction = beeswaxFraction;
        }
    }

    public record Tin(double capacityMl, int count) {
        public Tin {
            Checks.begin()
                    .range("capacityMl", capacityMl, 1, 20_000)
                    .that(count >= 1 && count <= 10_000, "count", "must be from 1 to 10000")
                    .done();
        }
    }

    /**
     * @param storageTemperatureC -20..40
     * @param wasteFraction left in pan and on spoon, 0..0.5
     * @param densityGPerMl null for 0.93
     * @param butterFraction of everything that is neither wax, resin nor essential oil, 0..0.8
     * @param resinFraction of the whole, 0..0.2
     * @param essentialOilG in all
     * @param youngestAgeYears of whoever it is for
     * @param trials cold spoons of the household
     */
    public record Recipe(
            List<Tin> tins,
            Firmness firmness,
            Wax wax,
            double storageTemperatureC,
            double wasteFraction,
            @Nullable Double densityGPerMl,
            double butterFraction,
            double resinFraction,
            double essentialOilG,
            double youngestAgeYears,
            List<ColdSpoon.Trial> trials) {
        public Recipe {
            Checks checks = Checks.begin()
                    .that(!tins.isEmpty(), "tins", "must hold at least one")
                    .range("storageTemperatureC", storageTemperatureC, -20, 40)
                    .range("wasteFraction", wasteFraction, 0, 0.5)
                    .range("butterFraction", butterFraction, 0, 0.8)
                    .range("resinFraction", resinFraction, 0, 0.2)
                    .notNegative("essentialOilG", essentialOilG)
                    .range("youngestAgeYears", youngestAgeYears, 0, 130);
            if (densityGPerMl != null) {
                checks.range("densityGPerMl", densityGPerMl, 0.5, 1.5);
            }
            checks.done();
            tins = List.copyOf(tins);
            trials = List.copyOf(trials);
        }

        /** Oil and wax only, for grown-ups. */
        public static Recipe plain(
                List<Tin> tins, Firmness firmness, Wax wax, double storageTemperatureC, double wasteFraction) {
            return new Recipe(tins, firmness, wax, storageTemperatureC, wasteFraction, null, 0, 0, 0, 18, List.of());
        }
    }

    public record Plan(
            double totalG,
            double waxG,
            double oilG,
            double butterG,
            double resinG,
            double essentialOilG,
            double waxFraction) {}

    public record Result(@Nullable Plan plan, List<Finding> findings, List<String> because) {
        public boolean feasible() {
            return plan != null;
        }
    }

    private Salve() {}

    public static Result plan(Recipe recipe) {
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        double total = total(recipe, because);
        double waxFraction = waxFraction(recipe, findings, because);
        double wax = total * waxFraction;
        because.equation("Wax", Words.exact(total, "g") + " × " + Words.exact(waxFraction), wax, "g");
        double resin = total * recipe.resinFraction();
        double butter = (total - wax - resin - recipe.essentialOilG()) * recipe.butterFraction();
        double oil = total - wax - resin - recipe.essentialOilG() - butter;
        because.equation(
                "Oil",
                Words.exact(total, "g") + " − " + Words.exact(wax, "g")
                        + (resin > 0 ? " − " + Words.exact(resin, "g") : "")
                        + (recipe.essentialOilG() > 0 ? " − " + Words.exact(recipe.essentialOilG(), "g") : "")
                        + (butter > 0 ? " − " + Words.exact(butter, "g") : ""),
                oil,
                "g");
        if (recipe.essentialOilG() > 0) {
            EssentialOil.Limit limit = EssentialOil.check(total, recipe.essentialOilG(), recipe.youngestAgeYears());
            findings.addAll(limit.findings());
            because.addAll(limit.because());
        }
        if (!(oil > 0)) {
            findings.add(Finding.stop(
                    "NO_ROOM_FOR_OIL", "Nothing is left for the oil.", "Use less of the rest, or larger tins."));
            return new Result(null, findings, because.lines());
        }
        findings.add(Finding.note(
                "HOT_WAX",
                "Hot oil and wax burn, and catch fire over a flame.",
                "Melt in a water bath, never over a flame; keep a lid at hand."));
        findings.add(Finding.note(
                "COLD_SPOON",
                "Wax and oils differ from lot to lot.",
                "Set a drop on a cold spoon before pouring; add oil or wax until it is right, and record it."));
        return new Result(
                new Plan(total, wax, oil, butter, resin, recipe.essentialOilG(), waxFraction),
                findings,
                because.lines());
    }

    private static double total(Recipe recipe, Because because) {
        double density = recipe.densityGPerMl() == null ? USUAL_G_PER_ML : recipe.densityGPerMl();
        double volume = recipe.tins().stream()
                .mapToDouble(t -> t.capacityMl() * t.count())
                .sum();
        double total = volume * density * (1 + recipe.wasteFraction());
        because.equation(
                "Tins",
                String.join(
                        " + ",
                        recipe.tins().stream()
                                .map(t -> t.count() + " × " + Words.exact(t.capacityMl(), "mL"))
                                .toList()),
                volume,
                "mL");
        because.equation(
                "To make, with what stays in the pan",
                Words.exact(volume, "mL") + " × " + Words.exact(density, "g/mL") + " × (1 + "
                        + Words.exact(recipe.wasteFraction()) + ")",
                total,
                "g");
        return total;
    }

    private static double waxFraction(Recipe recipe, List<Finding> findings, Because because) {
        Wax wax = recipe.wax();
        double warmer = recipe.storageTemperatureC() - MEANT_AT_C;
        double learned = ColdSpoon.correction(recipe.trials());
        double stiffens = BUTTER_FOR_WAX * recipe.butterFraction();
        double fraction =
                (recipe.firmness().beeswaxFraction + wax.slopePerC() * warmer + learned - stiffens) * wax.factor();
        because.equation(
                "Share of " + wax.name() + " for " + Words.lower(recipe.firmness()) + " at "
                        + Words.figure(recipe.storageTemperatureC()) + " °C",
                "(" + Words.exact(recipe.firmness().beeswaxFraction) + " + " + Words.exact(wax.slopePerC()) + " × ("
                        + Words.exact(recipe.storageTemperatureC()) + " − " + Words.exact(MEANT_AT_C) + ")"
                        + (learned != 0 ? " + (" + Words.exact(learned) + ")" : "")
                        + (stiffens > 0 ? " − " + Words.exact(stiffens) : "") + ") × " + Words.exact(wax.factor()),
                fraction,
                Because.SHARE);
        if (!recipe.trials().isEmpty()) {
            because.say("The household's " + recipe.trials().size() + " cold spoons moved the rule by "
                    + Words.figure(learned * 100) + " % of beeswax.");
        }
        if (fraction < LEAST_WAX || fraction > MOST_WAX) {
            double bounded = fraction < LEAST_WAX ? LEAST_WAX : MOST_WAX;
            findings.add(Finding.trifle(
                    "WAX_AT_LIMIT",
                    "The rule would give " + Words.percent(fraction) + " wax; " + Words.percent(bounded)
                            + " is the limit of what sets as a salve, and was used.",
                    "Make a little and try it on a cold spoon."));
            return bounded;
        }
        return fraction;
    }
}
