package org.sallowbrook.core.making.tincture;

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
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.vessel.HerbRoom;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/**
 * Spirit dripped through a dry powder: {@link Percolation} as a batch.
 *
 * @param pours for the most menstruum that may be needed
 */
public record PercolationBatch(
        Percolation.Recipe recipe, Percolation.Plan plan, String herb, Moisture moisture, List<Blend.NamedPour> pours)
        implements Batchable {

    private static final String DUST = "Fine dust of some plants harms the lungs: wear a mask, work without draught.";

    public PercolationBatch {
        pours = List.copyOf(pours);
    }

    public static Outcome<PercolationBatch> of(
            Percolation.Recipe recipe, String herb, Moisture moisture, List<Blend.Bottle> shelf) {
        Percolation.Plan plan = Percolation.plan(recipe);
        Blend.Result blend = Blend.blend(recipe.strength(), plan.menstruumMl().high(), shelf);
        List<Finding> findings = new ArrayList<>(plan.findings());
        findings.addAll(blend.findings());
        return blend.feasible()
                ? new Outcome.Feasible<>(
                        new PercolationBatch(recipe, plan, herb, moisture, blend.pours()), findings, plan.because())
                : new Outcome.Refused<>(findings, plan.because());
    }

    @Override
    public LotForm form() {
        return LotForm.TINCTURE;
    }

    @Override
    public Interval yield() {
        return Interval.exactly(plan.productMl());
    }

    @Override
    public Interval strength() {
        return Interval.exactly(recipe.strength().fraction());
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        double perMl = recipe.herbG() / (1 - Moisture.DRIED) / plan.productMl();
        return Interval.of(perMl * (1 - moisture.high()), perMl * (1 - moisture.low()));
    }

    @Override
    public Life keeps() {
        return Life.of(Keeping.Form.TINCTURE, Tincture.keepsDays(strength()));
    }

    @Override
    public Readiness ready() {
        return Readiness.steeping((int) Math.ceil(plan.hours().high() / 24));
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        portions.add(new Portion(herb + ", powdered", recipe.herbG(), null));
        pours.forEach(p -> portions.add(new Portion(p.name(), p.massG(), p.volumeMl())));
        return portions;
    }

    @Override
    public List<Step> steps() {
        String fire = Step.fire(recipe.strength());
        List<Step> steps = new ArrayList<>();
        steps.add(Step.hazardous(
                "Grind and sieve " + Words.grams(recipe.herbG()) + " of " + herb + " to an even, not too fine powder.",
                DUST));
        for (Blend.NamedPour pour : pours) {
            steps.add(Step.hazardous(
                    "Pour " + Words.grams(pour.massG()) + " of " + pour.name() + " into a jug: the menstruum.",
                    pour.name().equals(Blend.WATER) ? null : fire));
        }
        steps.add(Step.hazardous(
                "Moisten the powder with " + Words.range(plan.moistenMl(), "mL") + " of it, rub it even, cover it.",
                fire));
        steps.add(new Step("Let it swell, then pack it into the percolator, evenly and not hard.", null, 120.0));
        steps.add(Step.hazardous(
                "Pour menstruum on until it stands 1 cm above the powder, tap closed; leave it 12 to 24 hours.", fire));
        steps.add(Step.of("Open the tap: " + Words.range(plan.dropsPerMinute(), "drops a minute")
                + "; keep the powder covered."));
        steps.add(Step.of("Collect the first " + Words.millilitres(plan.firstFractionMl()) + " and set it aside."));
        steps.add(Step.of("Let the rest drip, press the powder, add it, and make up to "
                + Words.millilitres(plan.productMl()) + "."));
        return steps;
    }

    @Override
    public Vessel vessel() {
        double herbMl = HerbRoom.millilitres(recipe.herbG(), moisture.mid());
        return Vessel.roomFor(
                Vessel.Shape.CONE,
                List.of(
                        new Vessel.Content(Vessel.Stuff.POWDER, "moist powder", herbMl * 2.5),
                        new Vessel.Content(
                                Vessel.Stuff.SPIRIT,
                                "menstruum",
                                plan.moistenMl().high())));
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                new Fact(
                        "Drip",
                        plan.dropsPerMinute(),
                        "drops a minute",
                        "count them against a clock; drops of " + Words.figure(recipe.dropsPerMl()) + " to the mL"),
                Fact.of("First fraction", plan.firstFractionMl(), "mL"),
                Fact.of("Menstruum in all", plan.menstruumMl(), "mL"),
                Fact.of("From moistening to the last drop", plan.hours(), "h"));
    }
}
