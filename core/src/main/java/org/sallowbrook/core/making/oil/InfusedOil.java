package org.sallowbrook.core.making.oil;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.vessel.HerbRoom;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;

/**
 * Herb infused in a fatty oil. Oil density 0.92 g/mL; the herb keeps 1.5-2 mL of oil per g. Limits of moisture: 0.12 for
 * an ordinary life, 0.14 above which water will part in the jar.
 */
public final class InfusedOil {

    public static final double OIL_G_PER_ML = 0.92;
    public static final double DRY_MOST = 0.12;
    public static final double DAMP_MOST = Moisture.DAMP;

    private static final int LONG_COLD_DAYS = 42;
    private static final int SHORT_WARM_HOURS = 4;
    private static final int LONG_WARM_HOURS = 12;

    private static final Interval ABSORBED_ML_PER_G = Interval.of(1.5, 2);

    public enum Method {
        COLD(14, 56),
        /** Light and warmth turn it sooner: it keeps three quarters as long. */
        SUN(14, 42),
        WARM(0, 1),
        SPIRIT_THEN_WARM(1, 2);

        private final Interval readyDays;

        Method(double low, double high) {
            readyDays = Interval.of(low, high);
        }

        boolean heated() {
            return this == WARM || this == SPIRIT_THEN_WARM;
        }
    }

    /**
     * @param ratio mL of oil per g of herb, above 0 to 100; 5 to 10 is usual
     * @param carrierMonths what is left of the carrier's own life; null when unknown
     * @param eaten whether it will be swallowed
     * @param antioxidantFraction of the oil by mass, such as tocopherols, 0.002..0.005; 0 for none
     */
    public record Recipe(
            List<HerbPortion> herbs,
            double ratio,
            String carrier,
            @Nullable Integer carrierMonths,
            Method method,
            boolean eaten,
            double antioxidantFraction) {
        public Recipe {
            Checks.begin()
                    .that(
                            antioxidantFraction == 0 || (antioxidantFraction >= 0.002 && antioxidantFraction <= 0.005),
                            "antioxidantFraction",
                            "must be 0 or from 0.002 to 0.005")
                    .that(!herbs.isEmpty(), "herbs", "must name at least one herb")
                    .that(ratio > 0 && ratio <= 100, "ratio", "must be above 0 and at most 100 mL per g")
                    .that(carrierMonths == null || carrierMonths >= 0, "carrierMonths", "must be at least 0")
                    .done();
            herbs = List.copyOf(herbs);
        }
    }

    /**
     * @param herbMl room of the herb in the jar
     * @param keepsMonths null when it keeps days only; keepsDays then says how many
     */
    public record Plan(
            double oilMl,
            double oilG,
            double antioxidantG,
            double herbMl,
            Interval yieldMl,
            Interval readyAfterDays,
            @Nullable Integer keepsMonths,
            @Nullable Integer keepsDays) {}

    public record Result(@Nullable Plan plan, List<Finding> findings, List<String> because) {
        public boolean feasible() {
            return plan != null;
        }
    }

    /** When to press, by the school of how long oil stands: six weeks or two cold, at once when it was warmed. */
    public static int pressAfterDays(Plan plan, Schools schools) {
        Interval ready = plan.readyAfterDays();
        return (int) Math.round(
                schools.of(Question.OIL_TIME) == School.SHORT_OIL
                        ? ready.low()
                        : Math.min(ready.high(), LONG_COLD_DAYS));
    }

    /** How long a warm one is held, hours. */
    public static int warmHours(Schools schools) {
        return schools.of(Question.OIL_TIME) == School.SHORT_OIL ? SHORT_WARM_HOURS : LONG_WARM_HOURS;
    }

    private InfusedOil() {}

    public static Result plan(Recipe recipe) {
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        double herbG = recipe.herbs().stream().mapToDouble(HerbPortion::massG).sum();
        double wettest = recipe.herbs().stream()
                .mapToDouble(h -> h.moisture().high())
                .max()
                .orElse(0);
        double oilMl = herbG * recipe.ratio();
        Interval yield = Interval.of(oilMl - ABSORBED_ML_PER_G.high() * herbG, oilMl - ABSORBED_ML_PER_G.low() * herbG);
        String herb = Words.exact(herbG, "g");
        because.equation("Oil", herb + " × " + Words.exact(recipe.ratio(), "mL/g"), oilMl, "mL");
        because.equation(
                "Oil by weight",
                Words.exact(oilMl, "mL") + " × " + Words.exact(OIL_G_PER_ML, "g/mL"),
                oilMl * OIL_G_PER_ML,
                "g");
        because.equation(
                "Comes out",
                Words.exact(oilMl, "mL") + " − " + herb + " × " + Words.exact(ABSORBED_ML_PER_G.high(), "mL/g"),
                Words.exact(oilMl, "mL") + " − " + herb + " × " + Words.exact(ABSORBED_ML_PER_G.low(), "mL/g"),
                yield,
                "mL");
        if (!(yield.low() > 0)) {
            findings.add(Finding.stop(
                    "HERB_KEEPS_ALL",
                    "The herb would soak up all the oil.",
                    "Use a ratio above 1:2, best 1:5 to 1:10."));
        } else if (recipe.ratio() < 5 || recipe.ratio() > 10) {
            findings.add(
                    Finding.note("RATIO_UNUSUAL", "The usual ratio is 1:5 to 1:10.", "Check that this one was meant."));
        }
        if (recipe.eaten() && wettest > DRY_MOST) {
            findings.add(Finding.stop(
                    "DAMP_IN_EATEN_OIL",
                    "Herb that may hold " + Words.percent(wettest)
                            + " water in an oil to be eaten can grow the germ of botulism, unseen and without smell.",
                    "Dry the herb to 12 % or less, or make the oil for the skin only."));
        }
        if (findings.stream().anyMatch(f -> f.severity() == Severity.STOP)) {
            return new Result(null, findings, because.lines());
        }
        Integer months = null;
        Integer days = null;
        if (recipe.eaten()) {
            days = 7;
            findings.add(Finding.warn(
                    "EATEN_OIL_COLD",
                    "A herbal oil to be eaten keeps one week, in the refrigerator.",
                    "Make little; throw the rest away after a week."));
        } else if (wettest > DAMP_MOST) {
            days = 14;
            findings.add(Finding.hold(
                    "WATER_IN_OIL",
                    "Herb this moist lets go of water, which settles under the oil and spoils it.",
                    "For the skin only. Let it settle, pour the oil off the water, then keep it cold and use it in"
                            + " two weeks. Never seal it at room temperature."));
        } else if (wettest > DRY_MOST) {
            days = 14;
            findings.add(Finding.warn(
                    "DAMP_IN_OIL",
                    "The herb may hold " + Words.percent(wettest) + " water, more than the 12 % that keeps.",
                    "For the skin only, cold, two weeks; look for a water layer."));
        } else {
            months = recipe.carrierMonths() == null ? 6 : Math.min(12, recipe.carrierMonths());
            because.say(
                    recipe.carrierMonths() == null
                            ? "How long the carrier keeps was not given, so six months, the shortest usual life, counts."
                            : "It keeps as its carrier keeps: " + months + " months, twelve at most.");
            if (recipe.method() == Method.SUN) {
                int whole = months;
                months = (int) Math.floor(months * 0.75);
                because.say("Stood in the sun it keeps three quarters as long: " + months + " of " + whole
                        + " months, rounded down.");
            }
        }
        if (recipe.antioxidantFraction() > 0) {
            because.equation(
                    "Antioxidant",
                    Words.exact(oilMl * OIL_G_PER_ML, "g") + " × " + Words.exact(recipe.antioxidantFraction()),
                    oilMl * OIL_G_PER_ML * recipe.antioxidantFraction(),
                    "g");
        }
        if (recipe.method().heated()) {
            findings.add(Finding.note(
                    "HOT_OIL", "Warm oil above 60 °C harms the herb and burns skin.", "Hold it at 40 to 60 °C."));
        }
        if (recipe.method() == Method.SPIRIT_THEN_WARM) {
            findings.add(Finding.warn(
                    "AIR_OFF_SPIRIT",
                    "Herb moistened with spirit gives off vapour that catches fire.",
                    "Air it off well before any warming, away from flame."));
        }
        return new Result(
                new Plan(
                        oilMl,
                        oilMl * OIL_G_PER_ML,
                        oilMl * OIL_G_PER_ML * recipe.antioxidantFraction(),
                        recipe.herbs().stream()
                                .mapToDouble(h -> HerbRoom.millilitres(
                                        h.massG(), h.moisture().mid()))
                                .sum(),
                        yield,
                        recipe.method().readyDays,
                        months,
                        days),
                findings,
                because.lines());
    }
}
