package org.sallowbrook.core.making.salve;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/**
 * Oil and wax for the tins at hand: {@link Salve} as a batch.
 *
 * @param oils whose dates carry over
 */
public record SalveBatch(Salve.Recipe recipe, Salve.Plan plan, List<Keeping.Input> oils) implements Batchable {

    public SalveBatch {
        oils = List.copyOf(oils);
    }

    public static Outcome<SalveBatch> of(Salve.Recipe recipe, List<Keeping.Input> oils) {
        Salve.Result result = Salve.plan(recipe);
        return result.plan() == null
                ? new Outcome.Refused<>(result.findings(), result.because())
                : new Outcome.Feasible<>(
                        new SalveBatch(recipe, result.plan(), oils), result.findings(), result.because());
    }

    @Override
    public LotForm form() {
        return LotForm.SALVE;
    }

    /** From what the tins hold to what is in the pan. */
    @Override
    public Interval yield() {
        return Interval.of(plan.totalG() / (1 + recipe.wasteFraction()), plan.totalG());
    }

    @Override
    public double gPerMl() {
        return recipe.densityGPerMl() == null ? Salve.USUAL_G_PER_ML : recipe.densityGPerMl();
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return null;
    }

    @Override
    public Life keeps() {
        return Life.as(Keeping.Form.SALVE, oils);
    }

    @Override
    public Readiness ready() {
        return Readiness.TO_FILL;
    }

    /** Oil to take from the shelf. */
    public double oilMl() {
        return plan.oilG() / InfusedOil.OIL_G_PER_ML;
    }

    @Override
    public List<Portion> portions() {
        return List.of(
                new Portion("infused oil", plan.oilG(), oilMl()),
                new Portion(recipe.wax().name(), plan.waxG(), null));
    }

    @Override
    public List<Step> steps() {
        return List.of(
                Step.hazardous(
                        "Warm " + Words.grams(plan.oilG()) + " of infused oil in a water bath.",
                        "Hot oil burns, and catches fire over a flame."),
                Step.hazardous(
                        "Add " + Words.grams(plan.waxG()) + " of "
                                + recipe.wax().name() + " and let it melt.",
                        "Hot wax burns."),
                Step.of("Set a drop on a cold spoon; wait a minute. Too soft: a little wax. Too hard: a little oil."),
                Step.of("Pour into the tins, let them set open, close and label them."));
    }

    @Override
    public Vessel vessel() {
        Salve.Tin tin = recipe.tins().get(0);
        int count = recipe.tins().stream().mapToInt(Salve.Tin::count).sum();
        return new Vessel(
                Vessel.Shape.TINS,
                tin.capacityMl(),
                count,
                List.of(
                        new Vessel.Content(
                                Vessel.Stuff.WAX, recipe.wax().name(), tin.capacityMl() * plan.waxFraction()),
                        new Vessel.Content(Vessel.Stuff.OIL, "oil", tin.capacityMl() * (1 - plan.waxFraction()))),
                true);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("Oil", plan.oilG(), "g", Words.millilitres(oilMl())),
                Fact.of(
                        "Wax",
                        plan.waxG(),
                        "g",
                        Words.percent(plan.waxFraction()) + " of " + Words.grams(plan.totalG())));
    }
}
