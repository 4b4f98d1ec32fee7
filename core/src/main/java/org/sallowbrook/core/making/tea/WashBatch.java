package org.sallowbrook.core.making.tea;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.shelf.LotForm;

/** Herbs in water, for the outside of the body or the mouth to be rinsed: a {@link TeaBatch} with its own strength and end. */
public record WashBatch(TeaBatch tea, Use use) implements Batchable {

    /** What it is for; each with the strengths between which it is plausible. */
    public enum Use {
        WASH(Tea.Purpose.WASH),
        COMPRESS(Tea.Purpose.WASH),
        GARGLE(Tea.Purpose.GARGLE),
        STEAM(Tea.Purpose.WASH),
        BATH(Tea.Purpose.BATH);

        private final Tea.Purpose purpose;

        Use(Tea.Purpose purpose) {
            this.purpose = purpose;
        }

        public Tea.Purpose purpose() {
            return purpose;
        }
    }

    public static Outcome<WashBatch> of(Tea.Recipe recipe, Use use) {
        Outcome<TeaBatch> tea = TeaBatch.of(recipe, false);
        if (!(tea instanceof Outcome.Feasible<TeaBatch> feasible)) {
            return new Outcome.Refused<>(tea.findings(), tea.because());
        }
        List<Finding> findings = new ArrayList<>(tea.findings());
        if (use == Use.STEAM) {
            findings.add(Finding.warn(
                    "STEAM_SCALDS",
                    "Steam and a bowl of boiling water scald, and vapours can close the breath.",
                    "Not for children, nor with asthma; a bowl that can't tip, eyes closed, at arm's length."));
        }
        if (use == Use.BATH) {
            findings.add(Finding.note(
                    "BATH_WARM",
                    "A hot bath strains heart and circulation.",
                    "Lukewarm to 38 °C, twenty minutes at most; not with fever, heart failure or open wounds."));
        }
        return new Outcome.Feasible<>(new WashBatch(feasible.plan(), use), findings, tea.because());
    }

    @Override
    public LotForm form() {
        return LotForm.WASH;
    }

    @Override
    public Interval yield() {
        return tea.yield();
    }

    @Override
    public Interval driedGPerUnit() {
        return tea.driedGPerUnit();
    }

    @Override
    public Life keeps() {
        return tea.keeps();
    }

    @Override
    public Readiness ready() {
        return Readiness.AT_ONCE;
    }

    @Override
    public List<Portion> portions() {
        return tea.portions();
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>(tea.steps());
        // The last step of a tea is to strain and drink it.
        steps.remove(steps.size() - 1);
        steps.addAll(
                switch (use) {
                    case WASH ->
                        List.of(
                                Step.of("Strain it through cloth and let it cool to lukewarm."),
                                Step.of("Wash intact skin or a small clean cut; pour the rest away today."));
                    case COMPRESS ->
                        List.of(
                                Step.of("Strain it through cloth and let it cool until the wrist bears it."),
                                new Step(
                                        "Dip a clean cloth, wring it, lay it on; renew it when it is cold.",
                                        null,
                                        20.0));
                    case GARGLE ->
                        List.of(
                                Step.of("Strain it and let it cool to lukewarm."),
                                Step.of("Gargle or rinse, and spit it out; several times a day."));
                    case STEAM ->
                        List.of(Step.hazardous(
                                "Pour it hot into a wide bowl that can't tip; breathe the steam at arm's length.",
                                "Steam scalds. Not for children, nor with asthma."));
                    case BATH ->
                        List.of(
                                Step.of("Strain it into the bath; the water lukewarm, 38 °C at most."),
                                new Step("Stay in for twenty minutes at most, then rest.", null, 20.0));
                });
        return steps;
    }

    @Override
    public Vessel vessel() {
        Vessel pot = tea.vessel();
        Vessel.Shape shape = switch (use) {
            case BATH -> Vessel.Shape.TUB;
            case STEAM, WASH -> Vessel.Shape.BOWL;
            case COMPRESS -> Vessel.Shape.POT;
            case GARGLE -> Vessel.Shape.CUP;
        };
        return new Vessel(shape, pot.capacityMl(), 1, pot.contents(), pot.fits());
    }

    @Override
    public List<Fact> facts() {
        List<Fact> facts = new ArrayList<>(tea.facts());
        facts.add(Fact.of(
                "Strength, 1 g to",
                1 / tea.driedGPerUnit().mid(),
                "mL",
                "as a " + use.name().toLowerCase(java.util.Locale.ROOT)));
        return facts;
    }
}
