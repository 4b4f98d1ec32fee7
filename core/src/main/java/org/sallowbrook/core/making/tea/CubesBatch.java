package org.sallowbrook.core.making.tea;

import java.time.LocalDate;
import java.util.List;
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

/** A tea or juice frozen in cubes: {@link Freezing} as a batch. */
public record CubesBatch(
        double volumeMl,
        double holeMl,
        int holes,
        String liquid,
        Freezing.Plan plan,
        @Nullable Interval driedGPerMl) implements Batchable {

    public static Outcome<CubesBatch> of(
            double volumeMl, double holeMl, int holes, String liquid, LocalDate on, @Nullable Interval driedGPerMl) {
        Freezing.Plan plan = Freezing.plan(volumeMl, holeMl, holes, on);
        return new Outcome.Feasible<>(
                new CubesBatch(volumeMl, holeMl, holes, liquid, plan, driedGPerMl), List.of(), plan.because());
    }

    @Override
    public LotForm form() {
        return LotForm.ICE_CUBES;
    }

    @Override
    public Interval yield() {
        return Interval.exactly(plan.cubes() * plan.cubeMl());
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return driedGPerMl;
    }

    @Override
    public Double piece() {
        return plan.cubeMl();
    }

    @Override
    public Life keeps() {
        return Life.of(Keeping.Form.FROZEN);
    }

    @Override
    public Readiness ready() {
        return Readiness.AT_ONCE;
    }

    @Override
    public List<Portion> portions() {
        return List.of(new Portion(liquid, volumeMl, volumeMl));
    }

    @Override
    public List<Step> steps() {
        return List.of(
                Step.of("Let it cool at once, in cold water: what stands warm spoils."),
                Step.of("Pour " + Words.millilitres(plan.cubeMl()) + " into each hole: ice takes 9 % more room. "
                        + plan.cubes() + " cubes, " + plan.trays() + (plan.trays() == 1 ? " tray." : " trays.")),
                Step.of("When they are frozen, into a bag with name and date."));
    }

    @Override
    public Vessel vessel() {
        return new Vessel(
                Vessel.Shape.TRAY,
                holeMl * holes,
                Math.max(1, plan.trays()),
                List.of(new Vessel.Content(
                        Vessel.Stuff.WATER, liquid, plan.cubes() * plan.cubeMl() / Math.max(1, plan.trays()))),
                true);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("Cubes", plan.cubes(), "", "of " + Words.millilitres(plan.cubeMl())),
                Fact.of("Left over", plan.leftOverMl(), "mL", "drink it today"));
    }
}
