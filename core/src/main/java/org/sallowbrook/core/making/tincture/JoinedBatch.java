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
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/** A tincture and a decoction of the same herb poured together: {@link TwoExtractions} as a batch. */
public record JoinedBatch(
        double tinctureMl,
        String tincture,
        String decoction,
        TwoExtractions.Order order,
        TwoExtractions.Joined plan,
        @Nullable Interval tinctureGPerMl,
        @Nullable Interval decoctionGPerMl,
        List<Keeping.Input> parts)
        implements Batchable {

    public JoinedBatch {
        parts = List.copyOf(parts);
    }

    /** @param tinctureGPerMl dried herb in one mL of it; null where unknown, and then that of the whole is */
    public static Outcome<JoinedBatch> of(
            double tinctureMl,
            String tincture,
            String decoction,
            TwoExtractions.Order order,
            TwoExtractions.Joined plan,
            @Nullable Interval tinctureGPerMl,
            @Nullable Interval decoctionGPerMl,
            List<Keeping.Input> parts) {
        return new Outcome.Feasible<>(
                new JoinedBatch(tinctureMl, tincture, decoction, order, plan, tinctureGPerMl, decoctionGPerMl, parts),
                plan.findings(),
                plan.because());
    }

    @Override
    public LotForm form() {
        return LotForm.TINCTURE;
    }

    @Override
    public Interval yield() {
        return Interval.exactly(plan.finalMl());
    }

    @Override
    public Interval strength() {
        return Interval.of(plan.weakest().fraction(), plan.strength().fraction());
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        if (tinctureGPerMl == null || decoctionGPerMl == null) {
            return null;
        }
        return Interval.of(
                (tinctureGPerMl.low() * tinctureMl + decoctionGPerMl.low() * plan.decoctionMl()) / plan.finalMl(),
                (tinctureGPerMl.high() * tinctureMl + decoctionGPerMl.high() * plan.decoctionMl()) / plan.finalMl());
    }

    /** No younger than the tincture in it; the decoction's hours end where the spirit keeps it. */
    @Override
    public Life keeps() {
        return new Life(Keeping.Form.MIXTURE, Tincture.keepsDays(strength()), parts, null);
    }

    @Override
    public Readiness ready() {
        return Readiness.toFill();
    }

    private double tinctureG() {
        return tinctureMl * EthanolWater.gramsPerMl(EthanolWater.massFraction(plan.tincture()));
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        portions.add(new Portion(tincture, tinctureG(), tinctureMl));
        if (plan.decoctionMl() > 0) {
            portions.add(new Portion(decoction, plan.decoctionMl(), plan.decoctionMl()));
        }
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        String fire = Step.fire(plan.tincture());
        order.steps().forEach(s -> steps.add(Step.hazardous(s, s.contains("spirit") ? fire : null)));
        steps.add(Step.hazardous(
                "Measured: " + Words.millilitres(tinctureMl) + " of " + tincture + " and "
                        + Words.millilitres(plan.decoctionMl()) + " of " + decoction + ", cold, make "
                        + Words.millilitres(plan.finalMl()) + ".",
                fire));
        return steps;
    }

    @Override
    public Vessel vessel() {
        return Vessel.roomFor(
                Vessel.Shape.JAR,
                List.of(
                        new Vessel.Content(Vessel.Stuff.WATER, decoction, plan.decoctionMl()),
                        new Vessel.Content(Vessel.Stuff.SPIRIT, tincture, tinctureMl)));
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("Decoction", plan.decoctionMl(), "mL"),
                Fact.of("Together, after contraction", plan.finalMl(), "mL"));
    }
}
