package org.sallowbrook.core.making.oil;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/**
 * Herb in a fatty oil: {@link InfusedOil} as a batch.
 *
 * @param carrierUntil how long the carrier itself keeps
 */
public record OilBatch(InfusedOil.Recipe recipe, InfusedOil.Plan plan, LocalDate carrierUntil, Schools schools)
        implements Batchable {

    public static Outcome<OilBatch> of(InfusedOil.Recipe recipe, LocalDate carrierUntil, Schools schools) {
        InfusedOil.Result result = InfusedOil.plan(recipe);
        InfusedOil.Plan plan = result.plan();
        if (plan == null) {
            return new Outcome.Refused<>(result.findings(), result.because());
        }
        OilBatch batch = new OilBatch(recipe, plan, carrierUntil, schools);
        List<String> because = new ArrayList<>(result.because());
        int days = batch.ready().steepDays();
        because.add("By the household's school it is pressed after " + days + (days == 1 ? " day." : " days."));
        return new Outcome.Feasible<>(batch, result.findings(), because);
    }

    @Override
    public LotForm form() {
        return LotForm.INFUSED_OIL;
    }

    @Override
    public Interval yield() {
        return plan.yieldMl();
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return recipe.herbs().stream()
                .map(HerbPortion::asDriedG)
                .reduce(Interval.exactly(0), Interval::plus)
                .map(g -> g / plan.oilMl());
    }

    @Override
    public Life keeps() {
        if (plan.keepsMonths() == null) {
            return Life.of(recipe.eaten() ? Keeping.Form.EATEN_OIL : Keeping.Form.INFUSED_OIL, plan.keepsDays());
        }
        return Life.as(Keeping.Form.INFUSED_OIL, List.of(new Keeping.Input(recipe.carrier(), carrierUntil)));
    }

    @Override
    public Readiness ready() {
        return Readiness.steeping(InfusedOil.pressAfterDays(plan, schools), Follow.SHAKE, Follow.SETTLE);
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        recipe.herbs().forEach(h -> portions.add(new Portion(h.name(), h.massG(), null)));
        portions.add(new Portion(recipe.carrier(), plan.oilG(), plan.oilMl()));
        return portions;
    }

    @Override
    public List<Step> steps() {
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
        int press = InfusedOil.pressAfterDays(plan, schools);
        steps.add(
                switch (recipe.method()) {
                    case COLD ->
                        Step.resting(
                                "Cover it with cloth, keep it dark, stir every day; press after " + press + " days.");
                    case SUN ->
                        Step.resting("Cover it with cloth, stand it in the sun, stir every day; press after " + press
                                + " days.");
                    case WARM, SPIRIT_THEN_WARM ->
                        new Step(
                                "Hold it at 40 to 60 °C in a water bath for " + InfusedOil.warmHours(schools)
                                        + " hours.",
                                "Hot oil burns.",
                                InfusedOil.warmHours(schools) * 60.0);
                });
        steps.add(Step.pressed("Press, let it settle overnight, pour the oil off any water below."));
        return steps;
    }

    @Override
    public Vessel vessel() {
        List<Vessel.Content> contents = new ArrayList<>();
        recipe.herbs()
                .forEach(h -> contents.add(
                        Vessel.Content.herb(h.name(), h.massG(), h.moisture().mid(), null, null)));
        contents.add(new Vessel.Content(Vessel.Stuff.OIL, recipe.carrier(), plan.oilMl()));
        return Vessel.roomFor(Vessel.Shape.JAR, contents);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("Oil", plan.oilG(), "g", Words.millilitres(plan.oilMl())),
                Fact.of("Yield", plan.yieldMl(), "mL"));
    }
}
