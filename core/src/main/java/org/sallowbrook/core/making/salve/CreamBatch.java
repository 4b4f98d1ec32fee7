package org.sallowbrook.core.making.salve;

import java.util.ArrayList;
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
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/**
 * Water and oil held together: {@link Cream} as a batch. Its life is counted in days, also where its oil would keep a year.
 *
 * @param inputs whose dates carry over
 */
public record CreamBatch(
        Cream.Recipe recipe, Cream.Plan plan, String oil, String water, double jarMl, List<Keeping.Input> inputs)
        implements Batchable {

    /** Near that of water: a working figure of this tool. */
    private static final double G_PER_ML = 0.95;

    public CreamBatch {
        Checks.begin().range("jarMl", jarMl, 1, 20_000).done();
        inputs = List.copyOf(inputs);
    }

    public static Outcome<CreamBatch> of(
            Cream.Recipe recipe, String oil, String water, double jarMl, List<Keeping.Input> inputs) {
        Cream.Plan plan = Cream.plan(recipe);
        return new Outcome.Feasible<>(
                new CreamBatch(recipe, plan, oil, water, jarMl, inputs), plan.findings(), plan.because());
    }

    @Override
    public LotForm form() {
        return LotForm.CREAM;
    }

    @Override
    public Interval yield() {
        return Interval.exactly(recipe.totalG());
    }

    @Override
    public double gPerMl() {
        return G_PER_ML;
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return null;
    }

    @Override
    public Life keeps() {
        return new Life(Keeping.Form.CREAM, plan.keepsDays(), inputs, null);
    }

    @Override
    public Readiness ready() {
        return Readiness.TO_FILL;
    }

    public double oilMl() {
        return plan.oilG() / InfusedOil.OIL_G_PER_ML;
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        portions.add(new Portion(oil, plan.oilG(), oilMl()));
        portions.add(new Portion("emulsifier", plan.emulsifierG(), null));
        portions.add(new Portion(water, plan.waterG(), plan.waterG()));
        if (plan.preservativeG() > 0) {
            portions.add(new Portion("preservative", plan.preservativeG(), null));
        }
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        for (String text : plan.steps()) {
            steps.add(Step.hazardous(text, text.contains("70 °C") ? "Hot oil and hot water burn." : null));
        }
        return steps;
    }

    @Override
    public Vessel vessel() {
        int jars = (int) Math.max(1, Math.ceil(recipe.totalG() / G_PER_ML / jarMl - 1e-9));
        return new Vessel(
                Vessel.Shape.TINS,
                jarMl,
                jars,
                List.of(new Vessel.Content(Vessel.Stuff.CREAM, "cream", recipe.totalG() / G_PER_ML / jars)),
                true);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("Oil phase", plan.oilG(), "g"),
                Fact.of("Water phase", plan.waterG(), "g"),
                Fact.of("Keeps", plan.keepsDays(), "days", "in the refrigerator"));
    }
}
