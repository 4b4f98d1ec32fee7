package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
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
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Trait;

/** Herb steeped in vinegar, glycerine, honey, honey with vinegar, or fortified wine: {@link OtherMenstruum} as a batch. */
public record SteepedBatch(OtherMenstruum.Recipe recipe, OtherMenstruum.Plan plan, String liquid) implements Batchable {

    /** Working figures of this tool: what is thin draws in three weeks, what is thick in four; wine is drunk young. */
    private static final int THIN_DAYS = 21;

    private static final int THICK_DAYS = 28;
    private static final int WINE_DAYS = 14;

    public static Outcome<SteepedBatch> of(OtherMenstruum.Recipe recipe, String liquid) {
        OtherMenstruum.Result result = OtherMenstruum.plan(recipe);
        return result.plan() == null
                ? new Outcome.Refused<>(result.findings(), result.because())
                : new Outcome.Feasible<>(
                        new SteepedBatch(recipe, result.plan(), liquid), result.findings(), result.because());
    }

    private boolean oxymel() {
        return recipe.vinegarFraction() > 0;
    }

    /** Of an oxymel the honey only. */
    public double liquidMl() {
        return plan.liquidMl() * (1 - recipe.vinegarFraction());
    }

    public double vinegarMl() {
        return plan.liquidMl() * recipe.vinegarFraction();
    }

    /** What the scale shows of it, without the vinegar of an oxymel. */
    public double liquidG() {
        return plan.liquidG() - vinegarMl() * VINEGAR_G_PER_ML;
    }

    private static final double VINEGAR_G_PER_ML = 1.01;

    @Override
    public LotForm form() {
        return switch (recipe.kind()) {
            case VINEGAR -> LotForm.HERBAL_VINEGAR;
            case GLYCERINE -> LotForm.GLYCERITE;
            case HONEY -> oxymel() ? LotForm.OXYMEL : LotForm.HERBAL_HONEY;
            case WINE -> LotForm.HERBAL_WINE;
        };
    }

    @Override
    public Interval yield() {
        return plan.pressedMl();
    }

    @Override
    public Interval strength() {
        return recipe.kind() == OtherMenstruum.Kind.WINE ? plan.finalFigure() : Interval.exactly(0);
    }

    @Override
    public @Nullable Interval driedGPerUnit() {
        return plan.driedEquivalentGPerMl();
    }

    @Override
    public Life keeps() {
        Keeping.Form as = switch (recipe.kind()) {
            case VINEGAR -> Keeping.Form.VINEGAR;
            case GLYCERINE -> Keeping.Form.GLYCERITE;
            case HONEY -> oxymel() ? Keeping.Form.OXYMEL : Keeping.Form.HONEY;
            case WINE -> Keeping.Form.HERBAL_WINE;
        };
        return Life.of(as, plan.keepsDays());
    }

    @Override
    public Readiness ready() {
        return Readiness.steeping(
                switch (recipe.kind()) {
                    case WINE -> WINE_DAYS;
                    case GLYCERINE -> THICK_DAYS;
                    case HONEY -> oxymel() ? THIN_DAYS : THICK_DAYS;
                    case VINEGAR -> THIN_DAYS;
                },
                Follow.SHAKE);
    }

    @Override
    public Set<Trait> adds() {
        return recipe.kind() == OtherMenstruum.Kind.HONEY ? Set.of(Trait.HONEY) : Set.of();
    }

    @Override
    public List<Portion> portions() {
        List<Portion> portions = new ArrayList<>();
        recipe.herbs().forEach(h -> portions.add(new Portion(h.name(), h.massG(), null)));
        portions.add(new Portion(liquid, liquidG(), liquidMl()));
        if (oxymel()) {
            portions.add(new Portion("vinegar", vinegarMl() * VINEGAR_G_PER_ML, vinegarMl()));
        }
        return portions;
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        recipe.herbs().forEach(h -> steps.add(Step.of("Weigh " + Words.grams(h.massG()) + " of " + h.name() + ".")));
        portions().stream()
                .skip(recipe.herbs().size())
                .forEach(p -> steps.add(Step.of("Pour " + Words.grams(p.massG()) + " of " + p.name() + " over it"
                        + (p.volumeMl() == null ? "." : " (" + Words.millilitres(p.volumeMl()) + ")."))));
        steps.add(
                recipe.kind() == OtherMenstruum.Kind.VINEGAR || oxymel()
                        ? Step.of("Stir; no metal lid: vinegar eats it. Every piece must be under the liquid.")
                        : Step.of("Stir; every piece must be under the liquid."));
        if (recipe.kind() == OtherMenstruum.Kind.HONEY) {
            steps.add(Step.hazardous(
                    "Write on the label: not under one year.",
                    "Honey can bring infant botulism to a child under one."));
        }
        steps.add(Step.resting("Label it, and keep it " + (plan.cold() ? "in the refrigerator" : "in the dark")
                + "; turn it" + " every day, and strain it after " + ready().steepDays() + " days."));
        return steps;
    }

    @Override
    public Vessel vessel() {
        List<Vessel.Content> contents = new ArrayList<>();
        recipe.herbs()
                .forEach(h -> contents.add(
                        Vessel.Content.herb(h.name(), h.massG(), h.moisture().mid(), h.part(), h.bulkDensityGPerMl())));
        contents.add(new Vessel.Content(
                switch (recipe.kind()) {
                    case VINEGAR -> Vessel.Stuff.VINEGAR;
                    case GLYCERINE -> Vessel.Stuff.GLYCERINE;
                    case HONEY -> Vessel.Stuff.HONEY;
                    case WINE -> Vessel.Stuff.SPIRIT;
                },
                liquid,
                plan.liquidMl()));
        return Vessel.roomFor(Vessel.Shape.JAR, contents);
    }

    @Override
    public List<Fact> facts() {
        return List.of(
                new Fact(
                        switch (recipe.kind()) {
                            case VINEGAR -> "Acidity at the end";
                            case GLYCERINE -> "Glycerine at the end";
                            case HONEY -> oxymel() ? "Acidity at the end" : "Water in it at the end";
                            case WINE -> "Strength at the end";
                        },
                        plan.finalFigure().times(100),
                        "%",
                        plan.cold() ? "keep it cold" : ""),
                Fact.of("Strained", plan.pressedMl(), "mL"));
    }
}
