package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/** Herb weighed into spirit, steeped and pressed: {@link Tincture} as a batch. */
public record TinctureBatch(Tincture.Recipe recipe, Tincture.Plan plan, int pressAfterDays) implements Batchable {

    /** @param pressAfterDays by school, see {@link Tincture#pressAfterDays} */
    public static Outcome<TinctureBatch> of(Tincture.Recipe recipe, int pressAfterDays) {
        Tincture.Result result = Tincture.plan(recipe);
        if (result.plan() == null) {
            return new Outcome.Refused<>(result.findings(), result.because());
        }
        TinctureBatch batch = new TinctureBatch(recipe, result.plan(), pressAfterDays);
        List<Finding> findings = new ArrayList<>(result.findings());
        if (batch.leftOnTheHerb()) {
            findings.add(Finding.warn(
                    "LEFT_ON_THE_HERB",
                    "Herb that sticks out of the liquid can mould, and what is poured off later is stronger.",
                    "Keep every piece covered; look at it every month; press it after five years at most."));
        }
        return new Outcome.Feasible<>(batch, findings, result.because());
    }

    private boolean leftOnTheHerb() {
        return pressAfterDays >= Tincture.pressAfterDays(School.LEAVE_ON_HERB);
    }

    @Override
    public LotForm form() {
        return LotForm.TINCTURE;
    }

    @Override
    public Interval yield() {
        return plan.pressedMl();
    }

    @Override
    public Interval strength() {
        return plan.finalFraction();
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return plan.driedEquivalentGPerMl();
    }

    @Override
    public Life keeps() {
        return Life.of(Keeping.Form.TINCTURE, Tincture.keepsDays(plan.finalFraction()));
    }

    @Override
    public Readiness ready() {
        return Readiness.steeping(pressAfterDays, Follow.SHAKE, Follow.POUR_OFF);
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        recipe.herbs().forEach(h -> portions.add(new Portion(h.name(), h.massG(), null)));
        plan.pours().forEach(p -> portions.add(new Portion(p.name(), p.massG(), p.volumeMl())));
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        recipe.herbs().forEach(h -> steps.add(Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name() + ".")));
        String fire = Step.fire(plan.menstruum());
        for (Blend.NamedPour pour : plan.pours()) {
            boolean water = pour.name().equals(Blend.WATER);
            steps.add(Step.hazardous(
                    "Pour " + Words.grams(pour.massG()) + " (" + Words.millilitres(pour.volumeMl()) + ") of "
                            + pour.name() + " into a jug on the scale.",
                    water ? null : fire));
        }
        steps.add(Step.of(
                "Stir: this is the menstruum, " + Words.percent(plan.menstruum().fraction()) + " by volume, "
                        + Words.millilitres(plan.menstruumMl()) + "."));
        steps.add(Step.hazardous(
                "Put the herb into the jar, pour the menstruum over it until it is covered by 1 cm.", fire));
        steps.add(Step.of("Close it, label it, and set it in the dark."));
        steps.add(
                leftOnTheHerb()
                        ? Step.resting(
                                "Shake it every day, after two weeks every week. Pour off what is needed from then on;"
                                        + " every piece stays under the liquid, for five years at most.")
                        : Step.resting("Shake it every day, after two weeks every week; press after " + pressAfterDays
                                + " days."));
        if (!leftOnTheHerb()) {
            steps.add(Step.pressed(
                    "Press it, let it stand a day or two, and filter it off its sediment into the bottles."));
        }
        return steps;
    }

    @Override
    public Vessel vessel() {
        Tincture.JarFill jar = plan.jar();
        List<Vessel.Content> contents = new ArrayList<>();
        recipe.herbs()
                .forEach(h -> contents.add(
                        Vessel.Content.herb(h.name(), h.massG(), h.moisture().mid(), h.part(), h.bulkDensityGPerMl())));
        contents.add(new Vessel.Content(Vessel.Stuff.SPIRIT, "menstruum", plan.menstruumMl()));
        return jar == null
                ? Vessel.roomFor(Vessel.Shape.JAR, contents)
                : new Vessel(Vessel.Shape.JAR, jar.jarMl(), 1, contents, jar.fits());
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of(
                        "Menstruum",
                        plan.menstruumMl(),
                        "mL",
                        "at " + Words.percent(plan.menstruum().fraction()) + " vol"),
                new Fact(
                        "Pressed yield",
                        plan.pressedMl(),
                        "mL",
                        "only drained " + Words.range(plan.drainedMl(), "mL")));
    }
}
