package org.sallowbrook.core.making.salve;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
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
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Trait;

/**
 * Water and oil held together: {@link Cream} as a batch. Its life is counted in days, also where its oil would keep a year.
 *
 * @param inputs whose dates carry over
 */
public record CreamBatch(
        Cream.Recipe recipe,
        Cream.Plan plan,
        String oil,
        String water,
        double jarMl,
        List<EssentialOil.Used> essentialOils,
        List<Keeping.Input> inputs)
        implements Batchable {

    /** Near that of water: a working figure of this tool. */
    private static final double G_PER_ML = 0.95;

    public CreamBatch {
        Checks.begin().range("jarMl", jarMl, 1, 20_000).done();
        essentialOils = List.copyOf(essentialOils);
        inputs = List.copyOf(inputs);
    }

    /**
     * @param essentialOils in the oil phase, part of what it weighs
     * @param youngestAgeYears of whoever it is for
     * @param forExpecting whether somebody expecting will use it
     */
    public static Outcome<CreamBatch> of(
            Cream.Recipe recipe,
            String oil,
            String water,
            double jarMl,
            List<EssentialOil.Used> essentialOils,
            double youngestAgeYears,
            boolean forExpecting,
            List<Keeping.Input> inputs) {
        Cream.Plan plan = Cream.plan(recipe);
        double together =
                essentialOils.stream().mapToDouble(EssentialOil.Used::massG).sum();
        List<Finding> findings = new ArrayList<>(plan.findings());
        List<String> because = new ArrayList<>(plan.because());
        if (together > 0) {
            EssentialOil.Limit all = EssentialOil.check(recipe.totalG(), together, youngestAgeYears);
            EssentialOil.Limit each = EssentialOil.each(recipe.totalG(), essentialOils, youngestAgeYears, forExpecting);
            findings.addAll(all.findings());
            findings.addAll(each.findings());
            because.addAll(all.because());
            because.addAll(each.because());
        }
        if (!(plan.oilG() > together)) {
            findings.add(Finding.stop(
                    "NO_ROOM_FOR_OIL", "Nothing is left for the oil.", "Use less of the essential oil, or more oil."));
            return new Outcome.Refused<>(findings, because);
        }
        return new Outcome.Feasible<>(
                new CreamBatch(recipe, plan, oil, water, jarMl, essentialOils, inputs), findings, because);
    }

    /** The oil phase without its essential oils. */
    private double carrierG() {
        return plan.oilG()
                - essentialOils.stream().mapToDouble(EssentialOil.Used::massG).sum();
    }

    @Override
    public Set<Trait> adds() {
        return EssentialOil.traits(recipe.totalG(), essentialOils);
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
        return Readiness.toFill();
    }

    public double oilMl() {
        return carrierG() / InfusedOil.OIL_G_PER_ML;
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        portions.add(new Portion(oil, carrierG(), oilMl()));
        portions.add(new Portion("emulsifier", plan.emulsifierG(), null));
        portions.add(new Portion(water, plan.waterG(), plan.waterG()));
        if (plan.preservativeG() > 0) {
            portions.add(new Portion("preservative", plan.preservativeG(), null));
        }
        essentialOils.forEach(o -> portions.add(new Portion(o.kind().name(), o.massG(), null)));
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        for (String text : plan.steps()) {
            steps.add(Step.hazardous(text, text.contains("70 °C") ? "Hot oil and hot water burn." : null));
        }
        if (!essentialOils.isEmpty()) {
            steps.add(EssentialOil.stirredIn("Below 40 °C", essentialOils, false));
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
