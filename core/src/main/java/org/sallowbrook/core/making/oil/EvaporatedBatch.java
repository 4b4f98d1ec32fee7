package org.sallowbrook.core.making.oil;

import java.time.LocalDate;
import java.util.ArrayList;
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
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/**
 * A decoction boiled away into oil. It is finished when the pan weighs no more than the oil did ({@link Evaporation}); until
 * then it is held. What dissolves in water only falls out as a sediment, so how much of the herb is in the oil is not known.
 *
 * @param carrierUntil how long the carrier itself keeps
 */
public record EvaporatedBatch(
        String decoction, double decoctionMl, String carrier, double oilMl, LocalDate carrierUntil)
        implements Batchable {

    /** Of a wide pan kept below a boil, mL a minute: what an open pan boils off, as in a decoction. */
    private static final Interval BOILS_OFF = Interval.of(4, 8);

    private static final double MOST_WATER_TO_OIL = 5;
    private static final double STAYS_IN_THE_PAN = 0.03;

    public EvaporatedBatch {
        Checks.begin()
                .range("decoctionMl", decoctionMl, 1, 20_000)
                .range("oilMl", oilMl, 1, 20_000)
                .done();
    }

    public static Outcome<EvaporatedBatch> of(
            String decoction, double decoctionMl, String carrier, double oilMl, LocalDate carrierUntil) {
        EvaporatedBatch batch = new EvaporatedBatch(decoction, decoctionMl, carrier, oilMl, carrierUntil);
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        because.equation(
                "Oil by weight",
                Words.exact(oilMl, "mL") + " × " + Words.exact(InfusedOil.OIL_G_PER_ML, "g/mL"),
                batch.oilG(),
                "g");
        because.equation(
                "Boils away in",
                Words.exact(decoctionMl, "mL") + " / " + Words.exact(BOILS_OFF.high(), "mL/min"),
                Words.exact(decoctionMl, "mL") + " / " + Words.exact(BOILS_OFF.low(), "mL/min"),
                batch.minutes(),
                "min");
        findings.add(Finding.note(
                "WATER_IN_HOT_OIL",
                "Water under hot oil spits and can throw it out of the pan.",
                "Wide pan, low heat, never above 105 °C, never covered; stand back, no children near."));
        findings.add(Finding.hold(
                "WATER_LEFT_IN_OIL",
                "Water in oil can grow the germ of botulism; it is held until the pan has been weighed.",
                "Weigh it at the stove until it weighs no more than " + Words.grams(batch.oilG()) + "."));
        if (decoctionMl > oilMl * MOST_WATER_TO_OIL) {
            findings.add(Finding.note(
                    "MUCH_WATER",
                    "So much water keeps the oil hot for long.",
                    "Boil the decoction down by itself first; that spares the oil."));
        }
        return new Outcome.Feasible<>(batch, findings, because.lines());
    }

    /** What the pan must come back to. */
    public double oilG() {
        return oilMl * InfusedOil.OIL_G_PER_ML;
    }

    private Interval minutes() {
        return Interval.of(decoctionMl / BOILS_OFF.high(), decoctionMl / BOILS_OFF.low());
    }

    @Override
    public LotForm form() {
        return LotForm.INFUSED_OIL;
    }

    @Override
    public Interval yield() {
        return Interval.of(oilMl * (1 - STAYS_IN_THE_PAN), oilMl);
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return null;
    }

    @Override
    public Life keeps() {
        return Life.as(Keeping.Form.INFUSED_OIL, List.of(new Keeping.Input(carrier, carrierUntil)));
    }

    @Override
    public Readiness ready() {
        return Readiness.toFill(Follow.WEIGH_PAN);
    }

    @Override
    public List<Portion> portions() {
        return List.of(new Portion(carrier, oilG(), oilMl), new Portion(decoction, decoctionMl, decoctionMl));
    }

    @Override
    public List<Step> steps() {
        return List.of(
                Step.of("Set a wide, empty pan on the scale and press tare."),
                Step.of("Weigh " + Words.grams(oilG()) + " of " + carrier + " into it."),
                Step.of("Pour in " + Words.millilitres(decoctionMl) + " of " + decoction + ", strained clear."),
                new Step(
                        "Heat it gently, uncovered, stirring now and then, until it stops bubbling.",
                        "Water under hot oil spits: never above 105 °C, stand back, no children near.",
                        minutes().low()),
                Step.hazardous(
                        "Weigh the pan. More than " + Words.grams(oilG())
                                + ": heat it on, and weigh it again. Write each weight down on the batch's page.",
                        "Hot oil burns."),
                Step.of("Let it cool, pour it off the sediment through a dry cloth."));
    }

    @Override
    public Vessel vessel() {
        return Vessel.roomFor(
                Vessel.Shape.POT,
                List.of(
                        new Vessel.Content(Vessel.Stuff.WATER, decoction, decoctionMl),
                        new Vessel.Content(Vessel.Stuff.OIL, carrier, oilMl)));
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                Fact.of("The pan must come back to", oilG(), "g", "oil alone"),
                Fact.of("Boils away in", minutes(), "min"));
    }
}
