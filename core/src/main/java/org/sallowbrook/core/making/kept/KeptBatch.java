package org.sallowbrook.core.making.kept;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
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
import org.sallowbrook.core.shelf.Trait;

/**
 * Fresh herb chopped with salt, or frozen. What keeps salted herb is salt in its own water: salt / (salt + water) by mass.
 *
 * <p>Below 10 % Clostridium botulinum may grow, from 20 % on nothing dangerous does: U.S. Food and Drug Administration, Fish
 * and Fishery Products Hazards and Controls Guidance, 2022, on salt in the water phase. Water takes up salt to 26.4 % by mass
 * at 20 °C. Half a year cold is a working figure of this tool.
 *
 * @param saltG in all; null where it is frozen
 */
public record KeptBatch(List<HerbPortion> herbs, @Nullable Double saltG) implements Batchable {

    private static final double LEAST_BRINE = 0.10;
    private static final double SURE_BRINE = 0.20;
    private static final double SATURATED = 0.264;
    private static final int WEAK_DAYS = 28;
    private static final double SALT_G_PER_ML = 1.2;

    public KeptBatch {
        Checks checks =
                Checks.begin().that(!herbs.isEmpty() && herbs.size() <= 20, "herbs", "must name from 1 to 20 herbs");
        if (saltG != null) {
            checks.range("saltG", saltG, 0.1, 100_000);
        }
        checks.done();
        herbs = List.copyOf(herbs);
    }

    public static Outcome<KeptBatch> of(List<HerbPortion> herbs, @Nullable Double saltG) {
        KeptBatch batch = new KeptBatch(herbs, saltG);
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        if (saltG == null) {
            findings.add(Finding.note(
                    "FREEZE_AT_ONCE",
                    "Herb that lay warm for hours is no fresher for being frozen.",
                    "Freeze it flat within the hour; what has thawed is used that day and not frozen again."));
            because.say(
                    "Frozen it keeps six months; ice breaks its cells, so it comes out limp and gives its juice fast.");
            return new Outcome.Feasible<>(batch, findings, because.lines());
        }
        Interval brine = batch.brine();
        because.equation(
                "Water in it",
                sum(
                        herbs,
                        h -> Words.exact(h.massRangeG().low(), "g") + " × "
                                + Words.exact(h.moisture().low())),
                sum(
                        herbs,
                        h -> Words.exact(h.massRangeG().high(), "g") + " × "
                                + Words.exact(h.moisture().high())),
                batch.waterG(),
                "g");
        because.equation(
                "Salt in its water",
                Words.exact(saltG, "g") + " / (" + Words.exact(saltG, "g") + " + "
                        + Words.exact(batch.waterG().high(), "g") + ")",
                Words.exact(saltG, "g") + " / (" + Words.exact(saltG, "g") + " + "
                        + Words.exact(batch.waterG().low(), "g") + ")",
                brine,
                Because.SHARE);
        if (brine.low() < LEAST_BRINE) {
            double needed = batch.waterG().high() * SURE_BRINE / (1 - SURE_BRINE);
            findings.add(Finding.stop(
                    "SALT_TOO_LITTLE",
                    "Its water may hold only " + Words.percent(brine.low())
                            + " salt; below 10 % the germ of botulism can grow.",
                    "Take " + Words.grams(needed) + " of salt for 20 %, or freeze or dry it."));
        } else if (brine.low() < SURE_BRINE) {
            findings.add(Finding.warn(
                    "SALT_WEAK",
                    "Its water may hold only " + Words.percent(brine.low())
                            + " salt, less than the 20 % that keeps it.",
                    "Keep it in the refrigerator and use it within four weeks."));
        } else if (brine.high() > SATURATED) {
            findings.add(Finding.note(
                    "SALT_SATURATED",
                    "More salt than its water can take up.",
                    "Some will stay dry; that does no harm."));
        }
        findings.add(Finding.note(
                "MUCH_SALT",
                "A teaspoon of it holds as much salt as a salty meal.",
                "Cook with it instead of salt; not with weak heart or kidneys."));
        return new Outcome.Feasible<>(batch, findings, because.lines());
    }

    private static String sum(List<HerbPortion> herbs, Function<HerbPortion, String> part) {
        return String.join(" + ", herbs.stream().map(part).toList());
    }

    private double massG() {
        return herbs.stream().mapToDouble(HerbPortion::massG).sum();
    }

    private Interval waterG() {
        return Interval.of(
                herbs.stream()
                        .mapToDouble(h -> h.massRangeG().low() * h.moisture().low())
                        .sum(),
                herbs.stream()
                        .mapToDouble(h -> h.massRangeG().high() * h.moisture().high())
                        .sum());
    }

    private Interval brine() {
        double salt = saltG == null ? 0 : saltG;
        return Interval.of(salt / (salt + waterG().high()), salt / (salt + waterG().low()));
    }

    @Override
    public LotForm form() {
        return saltG == null ? LotForm.FROZEN_HERB : LotForm.SALTED_HERB;
    }

    @Override
    public Interval yield() {
        double salt = saltG == null ? 0 : saltG;
        return Interval.of(
                salt + herbs.stream().mapToDouble(h -> h.massRangeG().low()).sum(),
                salt + herbs.stream().mapToDouble(h -> h.massRangeG().high()).sum());
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        double whole = massG() + (saltG == null ? 0 : saltG);
        return Interval.of(
                herbs.stream()
                                .mapToDouble(h ->
                                        Moisture.asDried(h.massG(), h.moisture().high()))
                                .sum()
                        / whole,
                herbs.stream()
                                .mapToDouble(h ->
                                        Moisture.asDried(h.massG(), h.moisture().low()))
                                .sum()
                        / whole);
    }

    @Override
    public Life keeps() {
        if (saltG == null) {
            return Life.of(Keeping.Form.FROZEN);
        }
        return Life.of(Keeping.Form.SALTED, brine().low() < SURE_BRINE ? (Integer) WEAK_DAYS : null);
    }

    @Override
    public Readiness ready() {
        return Readiness.AT_ONCE;
    }

    @Override
    public Set<Trait> adds() {
        return saltG == null ? Set.of() : Set.of(Trait.SALTED);
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        herbs.forEach(h -> portions.add(new Portion(h.name(), h.massG(), null)));
        if (saltG != null) {
            portions.add(new Portion("salt", saltG, null));
        }
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        herbs.forEach(h -> steps.add(
                Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name() + ", clean, sound and dry outside.")));
        if (saltG == null) {
            steps.add(Step.of("Spread it in a flat bag, press the air out, write name and date on it."));
            steps.add(Step.of("Freeze it at once, at −18 °C."));
        } else {
            steps.add(Step.of("Chop it fine and mix it well with " + Words.grams(saltG) + " of salt."));
            steps.add(Step.of("Press it into a small jar without air, a layer of salt on top; into the refrigerator."));
        }
        return steps;
    }

    @Override
    public Vessel vessel() {
        List<Vessel.Content> contents = new ArrayList<>();
        herbs.forEach(h -> contents.add(
                saltG == null
                        ? Vessel.Content.herb(h.name(), h.massG(), h.moisture().mid(), null, null)
                        // Chopped and pressed it reaches no higher than it is.
                        : new Vessel.Content(
                                Vessel.Stuff.HERB,
                                h.name(),
                                h.massG() / BulkDensity.general(null, true).high())));
        if (saltG != null) {
            contents.add(new Vessel.Content(Vessel.Stuff.SALT, "salt", saltG / SALT_G_PER_ML));
        }
        return Vessel.roomFor(saltG == null ? Vessel.Shape.BOWL : Vessel.Shape.JAR, contents);
    }

    @Override
    public List<Fact> facts() {
        return saltG == null
                ? List.of(Fact.of("Together", massG(), "g"))
                : List.of(
                        Fact.of("Salt", saltG, "g", "for " + Words.grams(massG()) + " of herb"),
                        Fact.of("Salt in its water", brine().times(100), "%"));
    }
}
