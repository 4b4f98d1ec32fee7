package org.sallowbrook.core.making.dry;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.vessel.BulkDensity;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/**
 * Dried herbs mixed by parts, or ground to powder. Mass in = mass out; each herb keeps its share.
 *
 * @param parts what is mixed, one for a powder of one herb
 * @param inputs until when each keeps; the mixture keeps no longer
 */
public record DryBatch(List<HerbPortion> parts, boolean ground, List<Keeping.Input> inputs) implements Batchable {

    public DryBatch {
        parts = List.copyOf(parts);
        inputs = List.copyOf(inputs);
    }

    public static Outcome<DryBatch> of(List<HerbPortion> parts, boolean ground, List<Keeping.Input> inputs) {
        Checks.begin()
                .that(!parts.isEmpty() && parts.size() <= 40, "herbs", "must name from 1 to 40 herbs")
                .done();
        List<Finding> findings = new ArrayList<>();
        for (HerbPortion p : parts) {
            if (p.moisture().high() > Moisture.DAMP) {
                findings.add(Finding.stop(
                        "TOO_DAMP",
                        p.name() + " may hold " + Words.percent(p.moisture().high())
                                + " water; in a closed bag it moulds.",
                        "Dry it first."));
            }
        }
        if (ground) {
            findings.add(Finding.warn(
                    "DUST",
                    "Grinding makes dust; that of some plants harms eyes and lungs.",
                    "Mask and goggles, out of the draught; grind what you use within weeks."));
        }
        DryBatch batch = new DryBatch(parts, ground, inputs);
        Because because = new Because();
        because.equation(
                "Together",
                String.join(
                        " + ",
                        parts.stream().map(p -> Words.exact(p.massG(), "g")).toList()),
                batch.massG(),
                "g");
        for (HerbPortion p : parts) {
            if (parts.size() > 1) {
                because.equation(
                        "Share of " + p.name(),
                        Words.exact(p.massG(), "g") + " / " + Words.exact(batch.massG(), "g"),
                        p.massG() / batch.massG(),
                        Because.SHARE);
            }
        }
        return new Outcome.Feasible<>(batch, findings, because.lines());
    }

    private double massG() {
        return parts.stream().mapToDouble(HerbPortion::massG).sum();
    }

    @Override
    public LotForm form() {
        return ground ? LotForm.POWDER : LotForm.TEA_MIXTURE;
    }

    @Override
    public Interval yield() {
        return Interval.of(
                parts.stream().mapToDouble(p -> p.massRangeG().low()).sum(),
                parts.stream().mapToDouble(p -> p.massRangeG().high()).sum());
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        double low = parts.stream()
                .mapToDouble(p -> Moisture.asDried(p.massG(), p.moisture().high()))
                .sum();
        double high = parts.stream()
                .mapToDouble(p -> Moisture.asDried(p.massG(), p.moisture().low()))
                .sum();
        return Interval.of(low / massG(), high / massG());
    }

    @Override
    public Life keeps() {
        return Life.as(ground ? Keeping.Form.POWDER : Keeping.Form.TEA_MIXTURE, inputs);
    }

    @Override
    public Readiness ready() {
        return Readiness.AT_ONCE;
    }

    @Override
    public List<Portion> portions() {
        return parts.stream().map(p -> new Portion(p.name(), p.massG(), null)).toList();
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        parts.forEach(p -> steps.add(Step.of("Weigh " + Words.grams(p.massG()) + " of " + p.name() + ".")));
        if (ground) {
            steps.add(Step.hazardous(
                    "Grind it, a little at a time, and sieve it.", "Dust: mask and goggles, out of the draught."));
            steps.add(Step.of("Into a small dark jar, filled to the brim; label it."));
        } else {
            steps.add(Step.of("Cut all to one size, or the fine will sink; mix with clean dry hands."));
            steps.add(Step.of("Into a closed bag or jar; label it with every herb and its share."));
        }
        return steps;
    }

    @Override
    public Vessel vessel() {
        return Vessel.roomFor(
                Vessel.Shape.BOWL,
                parts.stream()
                        .map(p -> new Vessel.Content(
                                ground ? Vessel.Stuff.POWDER : Vessel.Stuff.HERB,
                                p.name(),
                                p.massG() / BulkDensity.general(null, false).mid()))
                        .toList());
    }

    @Override
    public List<Fact> facts() {
        List<Fact> facts = new ArrayList<>();
        facts.add(Fact.of("Together", massG(), "g"));
        if (parts.size() > 1) {
            parts.forEach(p -> facts.add(Fact.of(p.name(), p.massG() / massG() * 100, "%")));
        }
        return facts;
    }
}
