package org.sallowbrook.core.making.salve;

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
 * Crushed herb on a cloth, laid on intact skin: fresh as it is, dried stirred to a paste with warm water.
 *
 * <p>Water for dried herb: 2 to 3 mL per g, as much as it takes up (see {@link org.sallowbrook.core.making.tea.Tea}). A layer
 * of half a centimetre; crushed herb weighs about as much as water: working figures of this tool.
 */
public record PoulticeBatch(List<HerbPortion> herbs, double waterMl, double areaCm2) implements Batchable {

    private static final Interval TAKEN_UP_ML_PER_G = Interval.of(2, 3);
    private static final double LAYER_CM = 0.5;
    private static final double FRESH_ABOVE = 0.4;
    private static final double MINUTES = 20;
    private static final double CLOTH_AROUND = 1.3;

    public PoulticeBatch {
        herbs = List.copyOf(herbs);
    }

    public static Outcome<PoulticeBatch> of(List<HerbPortion> herbs) {
        Checks.begin()
                .that(!herbs.isEmpty() && herbs.size() <= 10, "herbs", "must name from 1 to 10 herbs")
                .done();
        double massG = herbs.stream().mapToDouble(HerbPortion::massG).sum();
        double dryG = herbs.stream()
                .filter(h -> h.moisture().mid() < FRESH_ABOVE)
                .mapToDouble(HerbPortion::massG)
                .sum();
        Because because = new Because();
        double water = dryG * TAKEN_UP_ML_PER_G.mid();
        because.equation(
                "Warm water for the dried herb",
                Words.exact(dryG, "g") + " × " + Words.exact(TAKEN_UP_ML_PER_G.mid(), "mL/g"),
                water,
                "mL");
        double area = (massG + water) / LAYER_CM;
        because.equation(
                "Covers",
                "(" + Words.exact(massG, "g") + " + " + Words.exact(water, "mL") + ") / " + Words.exact(LAYER_CM),
                area,
                "cm²");
        return new Outcome.Feasible<>(
                new PoulticeBatch(herbs, water, area),
                List.of(Finding.warn(
                        "INTACT_SKIN_ONLY",
                        "Raw herb carries soil and germs.",
                        "On intact skin only, washed herb, clean cloth; try a small place first. A deep, dirty, bitten,"
                                + " burnt or spreading wound is for a doctor.")),
                because.lines());
    }

    @Override
    public LotForm form() {
        return LotForm.POULTICE;
    }

    @Override
    public Interval yield() {
        return Interval.of(
                herbs.stream().mapToDouble(h -> h.massRangeG().low()).sum() + waterMl,
                herbs.stream().mapToDouble(h -> h.massRangeG().high()).sum() + waterMl);
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        double dried = herbs.stream()
                .mapToDouble(h -> Moisture.asDried(h.massG(), h.moisture().mid()))
                .sum();
        return Interval.exactly(dried / wetG());
    }

    private double wetG() {
        return herbs.stream().mapToDouble(HerbPortion::massG).sum() + waterMl;
    }

    /** Laid on at once and thrown away. */
    @Override
    public Life keeps() {
        return new Life(Keeping.Form.COLD_MACERATE, null, List.of(), new Life.Hours(1, 1, 0));
    }

    @Override
    public Readiness ready() {
        return Readiness.AT_ONCE;
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        herbs.forEach(h -> portions.add(new Portion(h.name(), h.massG(), null)));
        if (waterMl > 0) {
            portions.add(new Portion("warm water", waterMl, waterMl));
        }
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        herbs.forEach(
                h -> steps.add(Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name() + ", clean and sound.")));
        steps.add(
                waterMl > 0
                        ? Step.hazardous(
                                "Stir it to a paste with " + Words.millilitres(waterMl) + " of warm water.",
                                "Warm, never hot: a poultice holds its heat and burns.")
                        : Step.of("Crush it until it is wet."));
        steps.add(Step.of("Spread it half a centimetre thick on a clean cloth, about " + Words.figure(areaCm2)
                + " cm², and" + " lay it on intact skin."));
        steps.add(new Step("Take it off, wash the skin, throw it away. Look for redness.", null, MINUTES));
        return steps;
    }

    @Override
    public Vessel vessel() {
        return new Vessel(
                Vessel.Shape.CLOTH,
                wetG() * CLOTH_AROUND,
                1,
                List.of(new Vessel.Content(Vessel.Stuff.HERB, "crushed herb", wetG())),
                true);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("Covers", areaCm2, "cm²", "half a centimetre thick"), Fact.of("Warm water", waterMl, "mL"));
    }
}
