package org.sallowbrook.core.making.tea;

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
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Trait;

/** A pot of herbs in water, one or several on one timeline: {@link Tea} as a batch. */
public record TeaBatch(Tea.Recipe recipe, Tea.Plan plan, boolean honey) implements Batchable {

    /** @param honey whether it is sweetened with honey, once it is no longer hot */
    public static Outcome<TeaBatch> of(Tea.Recipe recipe, boolean honey) {
        Tea.Result result = Tea.plan(recipe);
        return new Outcome.Feasible<>(new TeaBatch(recipe, result.plan(), honey), result.findings(), result.because());
    }

    @Override
    public LotForm form() {
        return LotForm.TEA;
    }

    @Override
    public Interval yield() {
        return Interval.exactly(recipe.wantedMl());
    }

    @Override
    public Interval driedGPerUnit() {
        return Interval.of(
                plan.herbs().stream().mapToDouble(h -> h.massRangeG().low()).sum() / recipe.wantedMl(),
                plan.herbs().stream().mapToDouble(h -> h.massRangeG().high()).sum() / recipe.wantedMl());
    }

    /** As what the shortest-lived of its herbs makes it. */
    @Override
    public Life keeps() {
        if (cold()) {
            return new Life(Keeping.Form.COLD_MACERATE, null, List.of(), Tea.hours(Tea.Method.COLD_MACERATION, 0));
        }
        Keeping.Form form = any(Tea.Method.DECOCTION) ? Keeping.Form.DECOCTION : Keeping.Form.TEA;
        return new Life(form, null, List.of(), Tea.hours(plan));
    }

    private boolean any(Tea.Method method) {
        return plan.herbs().stream().anyMatch(h -> h.method() == method);
    }

    private boolean cold() {
        return any(Tea.Method.COLD_MACERATION);
    }

    @Override
    public Readiness ready() {
        return Readiness.AT_ONCE;
    }

    @Override
    public Set<Trait> adds() {
        return honey ? Set.of(Trait.HONEY) : Set.of();
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        plan.herbs().forEach(h -> portions.add(new Portion(h.name(), h.massG(), null)));
        portions.add(new Portion(recipe.liquid(), plan.waterMl(), plan.waterMl()));
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        plan.herbs()
                .forEach(h -> steps.add(Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name()
                        + (h.teaspoons() == null ? "" : ", about " + Words.range(h.teaspoons(), "level teaspoons"))
                        + ".")));
        boolean allCold = plan.herbs().stream().allMatch(h -> h.method() == Tea.Method.COLD_MACERATION);
        steps.add(
                allCold
                        ? Step.of("Measure " + Words.millilitres(plan.waterMl()) + " of cold " + recipe.liquid() + ".")
                        : Step.hazardous(
                                "Bring " + Words.millilitres(plan.waterMl()) + " of " + recipe.liquid()
                                        + " to the boil.",
                                "Boiling water."));
        double before = 0;
        for (Tea.Step step : plan.timeline()) {
            double wait = step.minute() - before;
            steps.add(new Step(
                    step.action()
                            + (step.herb().isEmpty()
                                    ? last(step) ? "; drink it fresh." : "."
                                    : ": " + step.herb() + "."),
                    null,
                    wait > 0 ? (Double) wait : null));
            before = step.minute();
        }
        if (honey) {
            steps.add(Step.hazardous(
                    "Let it cool until it can be drunk, and stir in the honey.",
                    "No honey for a child under one year: infant botulism."));
        }
        return steps;
    }

    private boolean last(Tea.Step step) {
        return step.equals(plan.timeline().get(plan.timeline().size() - 1));
    }

    @Override
    public Vessel vessel() {
        List<Vessel.Content> contents = new ArrayList<>();
        plan.herbs()
                .forEach(h ->
                        contents.add(Vessel.Content.herb(h.name(), h.massG(), DRY_MOISTURE, partOf(h.name()), null)));
        contents.add(new Vessel.Content(Vessel.Stuff.WATER, recipe.liquid(), plan.waterMl()));
        return Vessel.roomFor(Vessel.Shape.POT, contents);
    }

    private static final double DRY_MOISTURE = 0.10;

    private @Nullable String partOf(String herb) {
        return recipe.herbs().stream()
                .filter(h -> h.name().equals(herb))
                .map(Tea.Herb::form)
                .findFirst()
                .orElse(null);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of(
                        cold() ? "Cold water" : "Water to put on",
                        plan.waterMl(),
                        "mL",
                        Words.range(plan.waterRangeMl(), "mL") + " by herb and pan"),
                Fact.of("Ready after", plan.readyMinute(), "min"));
    }
}
