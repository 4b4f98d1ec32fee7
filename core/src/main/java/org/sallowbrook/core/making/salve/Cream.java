package org.sallowbrook.core.making.salve;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * A cream: a water phase and an oil phase held together by an emulsifier. Water feeds germs, so without a preservative it
 * keeps cold for a week or two.
 */
public final class Cream {

    private static final int UNPRESERVED_DAYS = 7;
    private static final int PRESERVED_DAYS = 90;

    /**
     * @param totalG finished
     * @param oilFraction of the whole, 0.05..0.8
     * @param emulsifierFraction of the whole, as its maker says; 0.005..0.2
     * @param preservativeFraction of the whole, as its maker says; 0 for none
     */
    public record Recipe(double totalG, double oilFraction, double emulsifierFraction, double preservativeFraction) {
        public Recipe {
            Checks.begin()
                    .positive("totalG", totalG)
                    .range("oilFraction", oilFraction, 0.05, 0.8)
                    .range("emulsifierFraction", emulsifierFraction, 0.005, 0.2)
                    .range("preservativeFraction", preservativeFraction, 0, 0.05)
                    .that(
                            !(oilFraction + emulsifierFraction + preservativeFraction > 0.95),
                            "oilFraction",
                            "with emulsifier and preservative must leave room for water")
                    .done();
        }
    }

    public record Plan(
            double oilG,
            double waterG,
            double emulsifierG,
            double preservativeG,
            int keepsDays,
            List<String> steps,
            List<Finding> findings,
            List<String> because) {}

    private Cream() {}

    public static Plan plan(Recipe r) {
        double oil = r.totalG() * r.oilFraction();
        double emulsifier = r.totalG() * r.emulsifierFraction();
        double preservative = r.totalG() * r.preservativeFraction();
        double water = r.totalG() - oil - emulsifier - preservative;
        Because because = new Because();
        String total = Words.exact(r.totalG(), "g");
        because.equation("Oil phase", total + " × " + Words.exact(r.oilFraction()), oil, "g");
        because.equation("Emulsifier", total + " × " + Words.exact(r.emulsifierFraction()), emulsifier, "g");
        because.equation("Preservative", total + " × " + Words.exact(r.preservativeFraction()), preservative, "g");
        because.equation(
                "Water phase",
                total + " − " + Words.exact(oil, "g") + " − " + Words.exact(emulsifier, "g") + " − "
                        + Words.exact(preservative, "g"),
                water,
                "g");
        List<Finding> findings = new ArrayList<>();
        boolean preserved = preservative > 0;
        if (!preserved) {
            findings.add(Finding.warn(
                    "CREAM_UNPRESERVED",
                    "Water and oil without a preservative grow germs that are not seen.",
                    "Keep it in the refrigerator, one week (two at the most), and take it with a clean spoon."));
        } else {
            findings.add(Finding.note(
                    "CREAM_PRESERVED",
                    "A preservative works only at the share and acidity its maker names.",
                    "Check both; keep it three months at most, and throw it away when it smells or changes."));
        }
        return new Plan(
                oil,
                water,
                emulsifier,
                preservative,
                preserved ? PRESERVED_DAYS : UNPRESERVED_DAYS,
                List.of(
                        "Boil the tools; wash hands.",
                        "Warm oil phase and emulsifier in a water bath to 70 °C.",
                        "Warm the water phase to 70 °C beside it.",
                        "Pour the water into the oil in a thin stream, stirring until it cools.",
                        preserved
                                ? "Below 40 °C stir in the preservative."
                                : "Fill small jars and put them in the refrigerator."),
                findings,
                because.lines());
    }
}
