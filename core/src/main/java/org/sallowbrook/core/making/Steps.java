package org.sallowbrook.core.making;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/** What to do at the bench, one step at a time; a hazard stands before the step it belongs to. */
public final class Steps {

    /**
     * @param hazard null where there is none
     * @param timerMinutes null where nothing is waited for
     */
    public record Step(
            String text, @Nullable String hazard, @Nullable Double timerMinutes) {
        static Step of(String text) {
            return new Step(text, null, null);
        }
    }

    private Steps() {}

    public static List<Step> tincture(Tincture.Recipe recipe, Tincture.Plan plan, int pressAfterDays) {
        List<Step> steps = new ArrayList<>();
        recipe.herbs().forEach(h -> steps.add(Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name() + ".")));
        String fire = fire(plan.menstruum());
        for (Blend.NamedPour pour : plan.pours()) {
            boolean water = pour.name().equals(Blend.WATER);
            steps.add(new Step(
                    "Pour " + Words.grams(pour.massG()) + " (" + Words.millilitres(pour.volumeMl()) + ") of "
                            + pour.name() + " into a jug on the scale.",
                    water ? null : fire,
                    null));
        }
        steps.add(Step.of(
                "Stir: this is the menstruum, " + Words.percent(plan.menstruum().fraction()) + " by volume, "
                        + Words.millilitres(plan.menstruumMl()) + "."));
        steps.add(new Step(
                "Put the herb into the jar, pour the menstruum over it until it is covered by 1 cm.", fire, null));
        steps.add(Step.of("Close it, label it, and set it in the dark."));
        steps.add(Step.of("Shake it every day, after two weeks every week; press after " + pressAfterDays + " days."));
        return steps;
    }

    /** @param honey whether it is sweetened with honey, once it is no longer hot */
    public static List<Step> tea(Tea.Recipe recipe, Tea.Plan plan, boolean honey) {
        List<Step> steps = new ArrayList<>();
        plan.herbs()
                .forEach(h -> steps.add(Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name()
                        + (h.teaspoons() == null ? "" : ", about " + Words.range(h.teaspoons(), "level teaspoons"))
                        + ".")));
        boolean cold = plan.herbs().stream().allMatch(h -> h.method() == Tea.Method.COLD_MACERATION);
        steps.add(
                cold
                        ? Step.of("Measure " + Words.millilitres(plan.waterMl()) + " of cold " + recipe.liquid() + ".")
                        : new Step(
                                "Bring " + Words.millilitres(plan.waterMl()) + " of " + recipe.liquid()
                                        + " to the boil.",
                                "Boiling water.",
                                null));
        double before = 0;
        for (Tea.Step step : plan.timeline()) {
            double wait = step.minute() - before;
            steps.add(new Step(
                    step.herb().isEmpty() ? "Strain, and drink it fresh." : step.action() + ": " + step.herb() + ".",
                    null,
                    wait > 0 ? wait : null));
            before = step.minute();
        }
        if (honey) {
            steps.add(new Step(
                    "Let it cool until it can be drunk, and stir in the honey.",
                    "No honey for a child under one year: infant botulism.",
                    null));
        }
        return steps;
    }

    public static List<Step> oil(InfusedOil.Recipe recipe, InfusedOil.Plan plan, Schools schools) {
        List<Step> steps = new ArrayList<>();
        steps.add(Step.of("Dry the jar well: no drop of water may stay in it."));
        recipe.herbs().forEach(h -> steps.add(Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name() + ".")));
        if (recipe.method() == InfusedOil.Method.SPIRIT_THEN_WARM) {
            steps.add(new Step(
                    "Moisten the herb with strong spirit, wait, and air it off.",
                    "The vapour catches fire: no flame, open window.",
                    60.0));
        }
        steps.add(Step.of("Pour " + Words.grams(plan.oilG()) + " (" + Words.millilitres(plan.oilMl()) + ") of "
                + recipe.carrier() + " over it; every piece must be under the oil."));
        steps.add(
                switch (recipe.method()) {
                    case COLD ->
                        Step.of("Cover it with cloth, keep it dark, stir every day; press after "
                                + InfusedOil.pressAfterDays(plan, schools) + " days.");
                    case SUN ->
                        Step.of("Cover it with cloth, stand it in the sun, stir every day; press after "
                                + InfusedOil.pressAfterDays(plan, schools) + " days.");
                    case WARM, SPIRIT_THEN_WARM ->
                        new Step(
                                "Hold it at 40 to 60 °C in a water bath for " + InfusedOil.warmHours(schools)
                                        + " hours.",
                                "Hot oil burns.",
                                InfusedOil.warmHours(schools) * 60.0);
                });
        steps.add(Step.of("Press, let it settle overnight, pour the oil off any water below."));
        return steps;
    }

    public static List<Step> salve(Salve.Recipe recipe, Salve.Plan plan) {
        return List.of(
                new Step(
                        "Warm " + Words.grams(plan.oilG()) + " of infused oil in a water bath.",
                        "Hot oil burns, and catches fire over a flame.",
                        null),
                new Step(
                        "Add " + Words.grams(plan.waxG()) + " of "
                                + recipe.wax().name() + " and let it melt.",
                        "Hot wax burns.",
                        null),
                Step.of("Set a drop on a cold spoon; wait a minute. Too soft: a little wax. Too hard: a little oil."),
                Step.of("Pour into the tins, let them set open, close and label them."));
    }

    private static @Nullable String fire(Strength strength) {
        if (strength.fraction() <= Spirits.FIRE_ABOVE) {
            return null;
        }
        return strength.fraction() > Spirits.SEVERE_FIRE_ABOVE
                ? "Catches fire very easily: no flame or spark in the room."
                : "Can catch fire near heat.";
    }
}
