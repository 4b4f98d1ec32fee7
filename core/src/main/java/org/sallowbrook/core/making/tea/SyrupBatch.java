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

/**
 * A decoction or juice kept by sugar or honey: {@link Syrup} as a batch.
 *
 * @param driedGPerMl of the liquid that is sweetened; null where unknown
 */
public record SyrupBatch(
        double liquidMl,
        String liquid,
        Syrup.Plan plan,
        boolean honey,
        @Nullable Interval driedGPerMl) implements Batchable {

    public static Outcome<SyrupBatch> of(
            double liquidMl, String liquid, double targetBrix, boolean honey, @Nullable Interval driedGPerMl) {
        Syrup.Plan plan =
                honey ? Syrup.sweetenWithHoney(liquidMl, 0, targetBrix) : Syrup.sweeten(liquidMl, 0, targetBrix);
        return new Outcome.Feasible<>(
                new SyrupBatch(liquidMl, liquid, plan, honey, driedGPerMl), plan.findings(), plan.because());
    }

    @Override
    public LotForm form() {
        return LotForm.SYRUP;
    }

    @Override
    public Interval yield() {
        return Interval.exactly(plan.syrupMl());
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return driedGPerMl == null ? null : driedGPerMl.times(liquidMl / plan.syrupMl());
    }

    @Override
    public Life keeps() {
        return Life.of(Keeping.Form.SYRUP, plan.keepsDays());
    }

    @Override
    public Readiness ready() {
        return Readiness.toFill();
    }

    @Override
    public Set<Trait> adds() {
        return honey ? Set.of(Trait.HONEY) : Set.of();
    }

    private String sweet() {
        return honey ? "honey" : "sugar";
    }

    @Override
    public List<Portion> portions() {
        return List.of(new Portion(liquid, liquidMl, liquidMl), new Portion(sweet(), plan.sugarG(), null));
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        steps.add(
                Step.of("Measure " + Words.millilitres(liquidMl) + " of " + liquid + ", strained clear, into a pot."));
        steps.add(
                honey
                        ? Step.hazardous(
                                "Warm it to lukewarm only, and stir in " + Words.grams(plan.sugarG()) + " of honey.",
                                "No honey for a child under one year: infant botulism.")
                        : Step.hazardous(
                                "Add " + Words.grams(plan.sugarG()) + " of sugar and bring it to the boil, stirring.",
                                "Boiling syrup sticks and burns deeper than water: children away."));
        steps.add(Step.of("Fill it hot into boiled bottles; label them, and keep them in the refrigerator."));
        return steps;
    }

    @Override
    public Vessel vessel() {
        return Vessel.roomFor(
                Vessel.Shape.POT,
                List.of(
                        new Vessel.Content(
                                honey ? Vessel.Stuff.HONEY : Vessel.Stuff.SUGAR, sweet(), plan.sugarG() / 1.5),
                        new Vessel.Content(Vessel.Stuff.WATER, liquid, liquidMl)));
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of(honey ? "Honey to add" : "Sugar to add", plan.sugarG(), "g"),
                Fact.of("Syrup", plan.syrupMl(), "mL", Words.grams(plan.syrupG())),
                Fact.of("Keeps", plan.keepsDays(), "days", "in the refrigerator"));
    }
}
