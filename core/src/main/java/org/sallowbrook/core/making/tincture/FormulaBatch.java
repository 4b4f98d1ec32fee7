package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Portion;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.vessel.Bottling;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;

/**
 * Several tinctures mixed into one: {@link Formula} as a batch, split over the bottles at hand.
 *
 * @param parts until when each keeps; the mixture keeps no longer
 * @param bottles null where nobody said which there are
 */
public record FormulaBatch(
        List<Formula.Part> mixed, Formula.Result plan, List<Keeping.Input> parts, Bottling.@Nullable Plan bottles)
        implements Batchable {

    public FormulaBatch {
        mixed = List.copyOf(mixed);
        parts = List.copyOf(parts);
    }

    /**
     * @param dailyMl what will be taken a day; null when not known yet
     * @param stock the bottles at hand; empty when not asked
     */
    public static Outcome<FormulaBatch> of(
            List<Formula.Part> parts, List<Keeping.Input> until, @Nullable Double dailyMl, List<Bottling.Size> stock) {
        Formula.Result plan = Formula.mix(parts, dailyMl);
        List<Finding> findings = new ArrayList<>(plan.findings());
        List<String> because = new ArrayList<>(plan.because());
        Bottling.Plan bottles = null;
        if (stock.stream().anyMatch(s -> s.count() > 0)) {
            Bottling.Result split = Bottling.plan(
                    new Bottling.Recipe(plan.volumeMl(), stock, dailyMl, dailyMl == null ? null : OPENED_DAYS));
            bottles = split.plan();
            findings.addAll(split.findings());
            because.addAll(split.because());
        }
        return new Outcome.Feasible<>(new FormulaBatch(parts, plan, until, bottles), findings, because);
    }

    /** How long an opened bottle of tincture keeps. */
    private static final int OPENED_DAYS = 365;

    @Override
    public LotForm form() {
        return LotForm.MIXTURE;
    }

    @Override
    public Interval yield() {
        return Interval.exactly(plan.volumeMl());
    }

    @Override
    public Interval strength() {
        return Interval.of(plan.weakest().fraction(), plan.strength().fraction());
    }

    /** Of all its herbs together; null where that of one is unknown. */
    @Override
    public @Nullable Interval driedGPerUnit() {
        Interval all = Interval.exactly(0);
        for (Formula.Herb herb : plan.herbs()) {
            if (herb.gPerMl() == null) {
                return null;
            }
            all = Interval.of(
                    all.low() + herb.gPerMl().low(), all.high() + herb.gPerMl().high());
        }
        return all;
    }

    @Override
    public Life keeps() {
        return new Life(Keeping.Form.MIXTURE, Tincture.keepsDays(strength()), parts, null);
    }

    @Override
    public Readiness ready() {
        return Readiness.toFill();
    }

    @Override
    public List<Portion> portions() {
        return mixed.stream()
                .map(p -> new Portion(p.name(), p.volumeMl() * gPerMl(p.strength()), p.volumeMl()))
                .toList();
    }

    private static double gPerMl(Strength strength) {
        return EthanolWater.gramsPerMl(EthanolWater.massFraction(strength));
    }

    @Override
    public List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        for (Formula.Part part : mixed) {
            steps.add(Step.hazardous(
                    "Pour " + Words.millilitres(part.volumeMl()) + " ("
                            + Words.grams(part.volumeMl() * gPerMl(part.strength())) + ") of " + part.name()
                            + " into a jug on the scale.",
                    Step.fire(part.strength())));
        }
        steps.add(Step.of("Stir, and look against the light: a cloud that settles is shaken up before each use."));
        if (bottles != null) {
            bottles.bottles()
                    .forEach(b ->
                            steps.add(Step.of("Fill " + b.count() + (b.count() == 1 ? " bottle of " : " bottles of ")
                                    + Words.millilitres(b.capacityMl()) + ".")));
        }
        return steps;
    }

    @Override
    public Vessel vessel() {
        if (bottles != null && !bottles.bottles().isEmpty()) {
            Bottling.Filled most = bottles.bottles().get(0);
            return new Vessel(
                    Vessel.Shape.BOTTLES,
                    most.capacityMl(),
                    most.count(),
                    List.of(new Vessel.Content(Vessel.Stuff.SPIRIT, "the mixture", most.capacityMl() * 0.95)),
                    true);
        }
        return Vessel.roomFor(
                Vessel.Shape.JAR,
                mixed.stream()
                        .map(p -> new Vessel.Content(Vessel.Stuff.SPIRIT, p.name(), p.volumeMl()))
                        .toList());
    }

    @Override
    public List<Fact> facts() {
        List<Fact> facts = new ArrayList<>();
        facts.add(Fact.of("Mixed", plan.volumeMl(), "mL"));
        for (Formula.Herb herb : plan.herbs()) {
            if (herb.gPerDay() != null) {
                facts.add(new Fact(
                        herb.name() + " a day", herb.gPerDay(), "g", Words.percent(herb.fraction()) + " of it"));
            } else if (herb.gPerMl() != null) {
                facts.add(new Fact(
                        herb.name() + " in 1 mL", herb.gPerMl(), "g", Words.percent(herb.fraction()) + " of it"));
            }
        }
        if (plan.cost() != null) {
            facts.add(Fact.of(
                    "Cost",
                    plan.cost(),
                    "in your money",
                    Words.figure(plan.cost() * 100 / plan.volumeMl()) + " for 100 mL"));
        }
        for (Map.Entry<Formula.Taste, Double> taste : plan.tastes().entrySet()) {
            facts.add(Fact.of("Tastes " + Words.lower(taste.getKey()), taste.getValue() * 100, "% of it"));
        }
        if (bottles != null) {
            bottles.bottles()
                    .forEach(b -> facts.add(Fact.of(
                            "Bottles of " + Words.millilitres(b.capacityMl()),
                            b.count(),
                            "",
                            b.daysEach() == null ? "" : "each lasts " + Words.figure(b.daysEach()) + " days")));
            if (bottles.leftOverMl() > 0.5) {
                facts.add(Fact.of("Finds no bottle", bottles.leftOverMl(), "mL"));
            }
        }
        return facts;
    }
}
