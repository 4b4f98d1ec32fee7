package org.sallowbrook.core.making.salve;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Trait;

/**
 * Oil and wax for the tins at hand: {@link Salve} as a batch.
 *
 * @param oils by their shares in the oil
 * @param butter what it is called; null for none
 * @param inputs whose dates carry over
 */
public record SalveBatch(
        Salve.Recipe recipe,
        Salve.Plan plan,
        List<OilPart> oils,
        @Nullable String butter,
        List<EssentialOil.Used> essentialOils,
        List<Keeping.Input> inputs)
        implements Batchable {

    /** @param parts by mass, above 0; what counts is its share in all of them */
    public record OilPart(String name, double parts) {
        public OilPart {
            Checks.begin().range("oils.parts", parts, 0.1, 100).done();
        }
    }

    public SalveBatch {
        Checks.begin()
                .that(!oils.isEmpty() && oils.size() <= 10, "oils", "must name from 1 to 10 oils")
                .that(essentialOils.size() <= 10, "essentialOils", "must name at most 10")
                .done();
        oils = List.copyOf(oils);
        essentialOils = List.copyOf(essentialOils);
        inputs = List.copyOf(inputs);
    }

    /** @param forExpecting whether somebody expecting will use it */
    public static Outcome<SalveBatch> of(
            Salve.Recipe recipe,
            List<OilPart> oils,
            @Nullable String butter,
            List<EssentialOil.Used> essentialOils,
            boolean forExpecting,
            List<Keeping.Input> inputs) {
        Salve.Result result = Salve.plan(recipe);
        Salve.Plan plan = result.plan();
        List<Finding> findings = new ArrayList<>(result.findings());
        List<String> because = new ArrayList<>(result.because());
        if (plan == null) {
            return new Outcome.Refused<>(findings, because);
        }
        EssentialOil.Limit own =
                EssentialOil.each(plan.totalG(), essentialOils, recipe.youngestAgeYears(), forExpecting);
        findings.addAll(own.findings());
        because.addAll(own.because());
        SalveBatch batch = new SalveBatch(recipe, plan, oils, butter, essentialOils, inputs);
        if (oils.size() > 1) {
            Because shares = new Because();
            for (OilPart oil : oils) {
                shares.equation(
                        oil.name(),
                        Words.exact(plan.oilG(), "g") + " × " + Words.exact(oil.parts()) + " / "
                                + Words.exact(batch.parts()),
                        batch.oilG(oil),
                        "g");
            }
            because.addAll(shares.lines());
        }
        return new Outcome.Feasible<>(batch, findings, because);
    }

    private double parts() {
        return oils.stream().mapToDouble(OilPart::parts).sum();
    }

    private double oilG(OilPart oil) {
        return plan.oilG() * oil.parts() / parts();
    }

    /** Of one of the oils, to take from the shelf. */
    public double oilMl(OilPart oil) {
        return oilG(oil) / InfusedOil.OIL_G_PER_ML;
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
        return Life.as(Keeping.Form.SALVE, inputs);
    }

    @Override
    public Readiness ready() {
        return Readiness.toFill(Follow.SPOON);
    }

    @Override
    public Set<Trait> adds() {
        return EssentialOil.traits(plan.totalG(), essentialOils);
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        oils.forEach(o -> portions.add(new Portion(o.name(), oilG(o), oilMl(o))));
        if (butter != null && plan.butterG() > 0) {
            portions.add(new Portion(butter, plan.butterG(), null));
        }
        portions.add(new Portion(recipe.wax().name(), plan.waxG(), null));
        essentialOils.forEach(o -> portions.add(new Portion(o.kind().name(), o.massG(), null)));
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        for (OilPart oil : oils) {
            steps.add(Step.hazardous(
                    (steps.isEmpty() ? "Warm " : "Add ") + Words.grams(oilG(oil)) + " of " + oil.name()
                            + (steps.isEmpty() ? " in a water bath." : "."),
                    steps.isEmpty() ? "Hot oil burns, and catches fire over a flame." : null));
        }
        steps.add(Step.hazardous(
                "Add " + Words.grams(plan.waxG()) + " of " + recipe.wax().name() + " and let it melt.",
                "Hot wax burns."));
        if (butter != null && plan.butterG() > 0) {
            steps.add(Step.of("Take it off the heat, stir in " + Words.grams(plan.butterG()) + " of " + butter + "."));
        }
        steps.add(
                Step.of("Set a drop on a cold spoon; wait a minute. Too soft: a little wax. Too hard: a little oil."));
        if (!essentialOils.isEmpty()) {
            steps.add(EssentialOil.stirredIn("Below 50 °C, just before pouring,", essentialOils, true));
        }
        steps.add(Step.of("Pour into the tins, let them set open, close and label them."));
        return steps;
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
                Fact.of("Oil", plan.oilG(), "g", Words.millilitres(plan.oilG() / InfusedOil.OIL_G_PER_ML)),
                Fact.of(
                        "Wax",
                        plan.waxG(),
                        "g",
                        Words.percent(plan.waxFraction()) + " of " + Words.grams(plan.totalG())));
    }
}
