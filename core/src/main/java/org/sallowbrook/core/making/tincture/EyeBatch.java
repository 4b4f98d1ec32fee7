package org.sallowbrook.core.making.tincture;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.vessel.HerbRoom;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/** A jar filled with herb by eye and covered with spirit: {@link FillAndCover} as a batch; every figure is a range. */
public record EyeBatch(
        FillAndCover.Recipe recipe, FillAndCover.Plan plan, String herb, String spirit, int pressAfterDays)
        implements Batchable {

    public static Outcome<EyeBatch> of(FillAndCover.Recipe recipe, String herb, String spirit, int pressAfterDays) {
        FillAndCover.Result result = FillAndCover.plan(recipe);
        return result.plan() == null
                ? new Outcome.Refused<>(result.findings(), result.because())
                : new Outcome.Feasible<>(
                        new EyeBatch(recipe, result.plan(), herb, spirit, pressAfterDays),
                        result.findings(),
                        result.because());
    }

    /** What is taken from the jar on the shelf, as far as the eye can tell. */
    public double herbG() {
        return plan.herbG().mid();
    }

    @Override
    public LotForm form() {
        return LotForm.TINCTURE;
    }

    private Interval dryG() {
        return Interval.of(
                plan.herbG().low() * (1 - recipe.moisture().high()),
                plan.herbG().high() * (1 - recipe.moisture().low()));
    }

    /** Menstruum with the herb's own water; the fuller jar holds less of the one and more of the other. */
    private Interval liquidMl() {
        double fuller = plan.menstruumMl().low()
                + plan.herbG().high() * recipe.moisture().low() / HerbRoom.WATER_G_PER_ML;
        double emptier = plan.menstruumMl().high()
                + plan.herbG().low() * recipe.moisture().high() / HerbRoom.WATER_G_PER_ML;
        return Interval.between(fuller, emptier);
    }

    @Override
    public Interval yield() {
        Interval kept = Retention.PRESSED.mlPerG();
        return Interval.of(
                Math.max(1, liquidMl().low() - kept.high() * dryG().high()),
                Math.max(1, liquidMl().high() - kept.low() * dryG().low()));
    }

    @Override
    public Interval strength() {
        return plan.finalFraction();
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return Interval.of(
                dryG().low() / (1 - Moisture.DRIED) / liquidMl().high(),
                dryG().high() / (1 - Moisture.DRIED) / liquidMl().low());
    }

    @Override
    public Life keeps() {
        return Life.of(Keeping.Form.TINCTURE, Tincture.keepsDays(plan.finalFraction()));
    }

    @Override
    public Readiness ready() {
        return Readiness.steeping(pressAfterDays, Follow.SHAKE, Follow.POUR_OFF);
    }

    /** Enough for the emptier jar. */
    public double spiritMl() {
        return plan.menstruumMl().high();
    }

    @Override
    public List<Portion> portions() {
        return List.of(
                new Portion(herb, herbG(), null),
                new Portion(
                        spirit,
                        plan.menstruumMl().mid()
                                * EthanolWater.gramsPerMl(EthanolWater.massFraction(recipe.strength())),
                        plan.menstruumMl().mid()));
    }

    @Override
    public List<Step> steps() {
        String fire = Step.fire(recipe.strength());
        return List.of(
                Step.of("Fill the jar of " + Words.millilitres(recipe.jarMl()) + " to "
                        + Words.percent(recipe.fillFraction()) + " with " + herb
                        + ", loosely; weigh it if there is a scale."),
                Step.hazardous(
                        "Pour " + spirit
                                + " over it until it is covered by 1 cm and a finger's breadth of air is left: about "
                                + Words.range(plan.menstruumMl(), "mL") + ".",
                        fire),
                Step.of("Close it, label it, and set it in the dark."),
                Step.resting(
                        "Shake it every day, after two weeks every week; press after " + pressAfterDays + " days."));
    }

    @Override
    public Vessel vessel() {
        return new Vessel(
                Vessel.Shape.JAR,
                recipe.jarMl(),
                1,
                List.of(
                        new Vessel.Content(
                                Vessel.Stuff.HERB,
                                herb,
                                HerbRoom.millilitres(herbG(), recipe.moisture().mid()),
                                recipe.jarMl() * recipe.fillFraction()),
                        new Vessel.Content(
                                Vessel.Stuff.SPIRIT, spirit, plan.menstruumMl().mid())),
                true);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("Herb, by eye", plan.herbG(), "g"),
                Fact.of("Spirit", plan.menstruumMl(), "mL"),
                Fact.of("Ratio, 1 g to", plan.ratio(), "mL"),
                Fact.of("Pressed yield", this.yield(), "mL"));
    }
}
