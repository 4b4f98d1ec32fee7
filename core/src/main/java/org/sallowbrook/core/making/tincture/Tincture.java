package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.vessel.HerbRoom;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * A tincture by weight to volume: maceration of herb in spirit. The plant brings its own water, so the final strength is
 * that of the menstruum mixed with it, an interval over the moisture of the herb.
 *
 * <p>Retention by the marc: see {@link Retention}. Water at 20 °C: 0.9982 g/mL.
 */
public final class Tincture {

    /** At 20 °C. */
    public static final double WATER_G_PER_ML = 0.9982;

    /** Share of alcohol by volume below which it spoils within days. */
    public static final double STOP_BELOW = 0.20;

    static final double WARN_BELOW = 0.25;
    static final int TOO_WEAK_DAYS = 7;
    /** As of the other liquids that end near their limit: four weeks, cold. */
    static final int WEAK_DAYS = 28;

    static final double JAR_FILL = 0.95;

    /** Above this, herb said to be dried is not. */
    private static final double NOT_DRIED_ABOVE = 0.20;

    public enum State {
        FRESH,
        WILTED,
        DRIED
    }

    /** Whether a stated strength is the menstruum's, as poured, or that of the finished tincture. */
    public enum Basis {
        MENSTRUUM,
        FINAL
    }

    /**
     * @param massG as weighed, or the middle of what it may be
     * @param bulkDensityGPerMl as it lies in the jar; null when unknown
     * @param massRangeG what it may be where it was measured without a scale
     */
    public record Herb(
            String name,
            String part,
            double massG,
            State state,
            Moisture moisture,
            @Nullable Double bulkDensityGPerMl,
            Interval massRangeG) {

        /** Weighed. */
        public Herb(
                String name,
                String part,
                double massG,
                State state,
                Moisture moisture,
                @Nullable Double bulkDensityGPerMl) {
            this(name, part, massG, state, moisture, bulkDensityGPerMl, Interval.exactly(massG));
        }

        public Herb {
            Checks checks = Checks.begin()
                    .positive("massG", massG)
                    .positive("massRangeG", massRangeG.low())
                    .that(
                            !(massG < massRangeG.low()) && !(massG > massRangeG.high()),
                            "massG",
                            "must lie within its range");
            if (bulkDensityGPerMl != null) {
                checks.positive("bulkDensityGPerMl", bulkDensityGPerMl);
            }
            checks.done();
        }
    }

    /**
     * @param ratio mL of menstruum per g of all herbs, above 0 to 100
     * @param waterCounts the school in which the plant's water is part of the ratio's liquid
     * @param shelf the spirits to pour from; empty when only the strength is asked for
     * @param jarMl the jar's brimful volume; null when not asked
     * @param pressed what the pressed marc keeps: the general range, or learned from the household's pressings
     */
    public record Recipe(
            List<Herb> herbs,
            double ratio,
            boolean waterCounts,
            Basis basis,
            Strength target,
            List<Blend.Bottle> shelf,
            @Nullable Double jarMl,
            Retention pressed) {
        public Recipe {
            Checks checks = Checks.begin()
                    .that(!herbs.isEmpty(), "herbs", "must name at least one herb")
                    .that(ratio > 0 && ratio <= 100, "ratio", "must be above 0 and at most 100 mL per g")
                    .that(
                            target.fraction() > 0 && target.percent() <= Strength.MOST_PERCENT,
                            "target.strengthPercent",
                            "must be above 0 and at most 97");
            if (jarMl != null) {
                checks.positive("jarMl", jarMl);
            }
            checks.done();
            herbs = List.copyOf(herbs);
            shelf = List.copyOf(shelf);
        }
    }

    public record Share(String name, double fraction) {}

    /**
     * How it stands in the jar, as volumes from the bottom.
     *
     * @param herbMl room the herb itself takes, without air
     * @param liquidLevelMl where the liquid's surface is
     * @param bedMl where the top of the loose herb would be; null without a bulk density
     */
    public record JarFill(
            double jarMl,
            double herbMl,
            double liquidLevelMl,
            @Nullable Double bedMl,
            boolean fits) {}

    public record Plan(
            double menstruumMl,
            Strength menstruum,
            List<Blend.NamedPour> pours,
            Interval finalFraction,
            Interval liquidMl,
            Interval drainedMl,
            Interval pressedMl,
            Interval herbEquivalentGPerMl,
            Interval driedEquivalentGPerMl,
            List<Share> shares,
            @Nullable JarFill jar) {}

    /** @param plan null when it can't be done; the findings then say why and what could be */
    public record Result(@Nullable Plan plan, List<Finding> findings, List<String> because) {
        public boolean feasible() {
            return plan != null;
        }
    }

    private Tincture() {}

    /** Days from the start to the press. @throws org.sallowbrook.core.measure.InvalidInput for a school of another kind */
    public static int pressAfterDays(School school) {
        Checks.begin()
                .that(school.question() == Question.PRESSING, "school", "must be one of pressing")
                .done();
        return switch (school) {
            case PRESS_EARLY -> 14;
            case PRESS_LONG -> 42;
            // Left on the herb it is shaken and looked at, and never pressed; five years at most.
            case LEAVE_ON_HERB -> 60 * 30;
            default -> 28;
        };
    }

    public static Result plan(Recipe recipe) {
        return new Reckoner(recipe).plan();
    }

    /** Final strength of a menstruum after the plants' water; all water of the herb is taken to mix. */
    static Spirits.Mixture afterPlantWater(double menstruumMl, Strength menstruum, double waterG) {
        return Spirits.mix(List.of(new Pour(menstruumMl, menstruum), Pour.ofGrams(waterG, Strength.NONE)));
    }

    /** Days a tincture keeps from its pressing, by the weaker end of its final strength; null for the form's own life. */
    public static @Nullable Integer keepsDays(Interval finalFraction) {
        return finalFraction.low() < STOP_BELOW
                ? (Integer) TOO_WEAK_DAYS
                : finalFraction.low() < WARN_BELOW ? (Integer) WEAK_DAYS : null;
    }

    /** Whether it keeps: the weaker end of the final strength decides. */
    static List<Finding> strengthFindings(Interval finalFraction) {
        if (finalFraction.low() < STOP_BELOW) {
            return List.of(Finding.stop(
                    "TINCTURE_TOO_WEAK",
                    "It may end at " + Words.percent(finalFraction.low())
                            + " by volume; below 20 % it spoils within days.",
                    "Use stronger spirit, a larger ratio or drier herb; else keep it cold and at most a week."));
        }
        if (finalFraction.low() < WARN_BELOW) {
            return List.of(Finding.warn(
                    "TINCTURE_WEAK",
                    "It may end at " + Words.percent(finalFraction.low())
                            + " by volume; between 20 and 25 % it keeps badly.",
                    "Keep it in the refrigerator and use it within weeks."));
        }
        return List.of();
    }

    /** What the herbs of one jar weigh together, and the share of each by dried equivalent. */
    record Sums(double massG, Interval massRangeG, Interval waterG, Interval dryG, List<Share> shares) {

        static Sums of(List<Herb> herbs) {
            double mass = 0;
            double light = 0;
            double heavy = 0;
            double low = 0;
            double high = 0;
            double leastWet = 0;
            double mostWet = 0;
            for (Herb herb : herbs) {
                mass += herb.massG();
                light += herb.massRangeG().low();
                heavy += herb.massRangeG().high();
                low += herb.massRangeG().low() * herb.moisture().low();
                high += herb.massRangeG().high() * herb.moisture().high();
                leastWet += herb.massRangeG().high() * herb.moisture().low();
                mostWet += herb.massRangeG().low() * herb.moisture().high();
            }
            double dry = herbs.stream()
                    .mapToDouble(h -> h.massG() * (1 - h.moisture().mid()))
                    .sum();
            return new Sums(
                    mass,
                    Interval.of(light, heavy),
                    Interval.of(low, high),
                    Interval.of(light - mostWet, heavy - leastWet),
                    herbs.stream()
                            .map(h -> new Share(
                                    h.name(), h.massG() * (1 - h.moisture().mid()) / dry))
                            .toList());
        }
    }

    /** One reckoning; holds the sums that every step needs. */
    private static final class Reckoner {

        private final Recipe recipe;
        private final List<Finding> findings = new ArrayList<>();
        private final Because because = new Because();
        private final Sums sums;
        private final double massG;
        private final Interval waterG;

        Reckoner(Recipe recipe) {
            this.recipe = recipe;
            this.sums = Sums.of(recipe.herbs());
            this.massG = sums.massG();
            this.waterG = sums.waterG();
        }

        Result plan() {
            double liquid = massG * recipe.ratio();
            double counted = recipe.waterCounts() ? waterG.mid() / WATER_G_PER_ML : 0;
            double menstruumMl = liquid - counted;
            contradictions();
            because.equation(
                    "Liquid by the ratio",
                    Words.exact(massG, "g") + " × " + Words.exact(recipe.ratio(), "mL/g"),
                    liquid,
                    "mL");
            because.equation("Water of the herb", waterSum(true), waterSum(false), waterG, "g");
            if (recipe.waterCounts()) {
                because.equation(
                        "Menstruum, the plant's water counted in",
                        Words.exact(liquid, "mL") + " − " + Words.exact(waterG.mid(), "g") + " / "
                                + Words.exact(WATER_G_PER_ML, "g/mL"),
                        menstruumMl,
                        "mL");
            }
            if (!(menstruumMl > 0)) {
                return cannot(Finding.stop(
                        "NO_ROOM_FOR_SPIRIT",
                        "The plant's own water already is more than the ratio allows.",
                        "Use a larger ratio, or wilt or dry the herb."));
            }
            Strength menstruum = menstruumStrength(menstruumMl);
            if (menstruum == null) {
                return new Result(null, findings, because.lines());
            }
            List<Blend.NamedPour> pours = List.of();
            if (!recipe.shelf().isEmpty()) {
                Blend.Result blend = Blend.blend(menstruum, menstruumMl, recipe.shelf());
                findings.addAll(blend.findings());
                if (!blend.feasible()) {
                    return new Result(null, findings, because.lines());
                }
                pours = blend.pours();
            } else {
                findings.addAll(Spirits.fireFindings(menstruum));
            }
            return withYield(menstruumMl, menstruum, pours);
        }

        private Result withYield(double menstruumMl, Strength menstruum, List<Blend.NamedPour> pours) {
            Spirits.Mixture drier = afterPlantWater(menstruumMl, menstruum, waterG.low());
            Spirits.Mixture wetter = afterPlantWater(menstruumMl, menstruum, waterG.high());
            Interval finalFraction =
                    Interval.of(wetter.strength().fraction(), drier.strength().fraction());
            Interval liquidMl = Interval.of(drier.volumeMl(), wetter.volumeMl());
            double mostDry = sums.dryG().high();
            double leastDry = sums.dryG().low();
            Interval pressed = recipe.pressed().mlPerG();
            Interval drained = Retention.DRAINED.mlPerG();
            // The drier the herb, the less liquid there is and the more of it the marc keeps.
            Interval pressedMl =
                    Interval.of(liquidMl.low() - pressed.high() * mostDry, liquidMl.high() - pressed.low() * leastDry);
            Interval drainedMl =
                    Interval.of(liquidMl.low() - drained.high() * mostDry, liquidMl.high() - drained.low() * leastDry);
            if (!(pressedMl.low() > 0)) {
                return cannot(Finding.stop(
                        "MARC_KEEPS_ALL",
                        "The marc may hold back all the liquid: up to " + Words.millilitres(pressed.high() * mostDry)
                                + " of " + Words.millilitres(liquidMl.low()) + ".",
                        "Use a larger ratio."));
            }
            if (!(drainedMl.low() > 0)) {
                findings.add(Finding.trifle(
                        "DRAINING_MAY_GIVE_NOTHING",
                        "Drained without pressing, the marc may keep all of it.",
                        "Press it, or use a larger ratio."));
                drainedMl = Interval.of(0, Math.max(0, drainedMl.high()));
            }
            findings.addAll(strengthFindings(finalFraction));
            explain(menstruumMl, menstruum, drier, wetter);
            because.equation(
                    "Pressed out",
                    gained(liquidMl.low(), pressed.high(), mostDry),
                    gained(liquidMl.high(), pressed.low(), leastDry),
                    pressedMl,
                    "mL");
            because.equation(
                    "Herb in 1 mL",
                    Words.exact(sums.massRangeG().low(), "g") + " / " + Words.exact(liquidMl.high(), "mL"),
                    Words.exact(sums.massRangeG().high(), "g") + " / " + Words.exact(liquidMl.low(), "mL"),
                    Interval.of(
                            sums.massRangeG().low() / liquidMl.high(),
                            sums.massRangeG().high() / liquidMl.low()),
                    "g/mL");
            Interval dried = Interval.of(
                    leastDry / (1 - Moisture.DRIED) / liquidMl.high(), mostDry / (1 - Moisture.DRIED) / liquidMl.low());
            because.equation(
                    "As dried herb in 1 mL",
                    driedIn(leastDry, liquidMl.high()),
                    driedIn(mostDry, liquidMl.low()),
                    dried,
                    "g/mL");
            return new Result(
                    new Plan(
                            menstruumMl,
                            menstruum,
                            pours,
                            finalFraction,
                            liquidMl,
                            drainedMl,
                            pressedMl,
                            Interval.of(
                                    sums.massRangeG().low() / liquidMl.high(),
                                    sums.massRangeG().high() / liquidMl.low()),
                            dried,
                            sums.shares(),
                            jar(menstruumMl)),
                    findings,
                    because.lines());
        }

        private void contradictions() {
            for (Herb herb : recipe.herbs()) {
                if (herb.state() == State.DRIED && herb.moisture().high() > NOT_DRIED_ABOVE) {
                    findings.add(Finding.warn(
                            "STATE_CONTRADICTS_MOISTURE",
                            herb.name() + " is called dried and yet may hold "
                                    + Words.percent(herb.moisture().high()) + " water.",
                            "Say whether it is wilted or fresh, or correct the moisture; the moisture was used."));
                }
            }
        }

        private String waterSum(boolean low) {
            return String.join(
                    " + ",
                    recipe.herbs().stream()
                            .map(h -> Words.exact(
                                            low
                                                    ? h.massRangeG().low()
                                                    : h.massRangeG().high(),
                                            "g") + " × "
                                    + Words.exact(
                                            low
                                                    ? h.moisture().low()
                                                    : h.moisture().high()))
                            .toList());
        }

        private static String gained(double liquidMl, double keptMlPerG, double dryG) {
            return Words.exact(liquidMl, "mL") + " − " + Words.exact(keptMlPerG, "mL/g") + " × "
                    + Words.exact(dryG, "g");
        }

        private static String driedIn(double dryG, double liquidMl) {
            return Words.exact(dryG, "g") + " / " + Words.exact(1 - Moisture.DRIED) + " / "
                    + Words.exact(liquidMl, "mL");
        }

        /** Mixing by mass: densities are of OIML R 22 at 20 °C, the rest is arithmetic. */
        private void explain(double menstruumMl, Strength menstruum, Spirits.Mixture drier, Spirits.Mixture wetter) {
            Pour poured = new Pour(menstruumMl, menstruum);
            double pouredG = poured.massG();
            double ethanolG = poured.ethanolG();
            because.addAll(Spirits.because("menstruum", poured));
            because.equation(
                    "Mass of all liquid",
                    Words.exact(pouredG, "g") + " + " + Words.exact(waterG.low(), "g"),
                    Words.exact(pouredG, "g") + " + " + Words.exact(waterG.high(), "g"),
                    Interval.of(drier.massG(), wetter.massG()),
                    "g");
            because.equation(
                    "Liquid in the jar",
                    Words.exact(drier.massG(), "g") + " / " + Words.exact(drier.massG() / drier.volumeMl(), "g/mL"),
                    Words.exact(wetter.massG(), "g") + " / " + Words.exact(wetter.massG() / wetter.volumeMl(), "g/mL"),
                    Interval.of(drier.volumeMl(), wetter.volumeMl()),
                    "mL");
            because.equation(
                    "Final strength",
                    Spirits.strengthOf(ethanolG, wetter.volumeMl()),
                    Spirits.strengthOf(ethanolG, drier.volumeMl()),
                    Interval.of(wetter.strength().fraction(), drier.strength().fraction()),
                    Because.SHARE);
        }

        private @Nullable Strength menstruumStrength(double menstruumMl) {
            if (recipe.basis() == Basis.MENSTRUUM) {
                return recipe.target();
            }
            Strength strongest = strongest();
            double reachable = afterPlantWater(menstruumMl, strongest, waterG.mid())
                    .strength()
                    .fraction();
            double wanted = recipe.target().fraction();
            if (reachable < wanted - 1e-12) {
                explainTooWeak(menstruumMl, strongest, reachable);
                return null;
            }
            // In mass: p V rho(p) of ethanol in V rho(p) + w of liquid is to be the wanted mass fraction; rises with p.
            double wantedMass = EthanolWater.massFraction(recipe.target());
            double p = reachable <= wanted
                    ? EthanolWater.massFraction(strongest)
                    : solve(
                            x -> {
                                double menstruumG = menstruumMl * EthanolWater.gramsPerMl(x);
                                return x * menstruumG - wantedMass * (menstruumG + waterG.mid());
                            },
                            0,
                            EthanolWater.massFraction(strongest));
            Strength menstruum = EthanolWater.strength(p);
            because.say("To end at " + Words.percent(wanted) + " after the plant's water, the menstruum must be "
                    + Words.percent(menstruum.fraction()) + ".");
            return menstruum;
        }

        private Strength strongest() {
            return recipe.shelf().stream()
                    .filter(b -> b.availableMl() > 0)
                    .map(Blend.Bottle::strength)
                    .max(Strength::compareTo)
                    .orElse(Strength.ofPercent(Strength.MOST_PERCENT));
        }

        /** Says what it lacks and gives the three ways out, each computed. */
        private void explainTooWeak(double menstruumMl, Strength strongest, double reachable) {
            double wanted = recipe.target().fraction();
            findings.add(Finding.stop(
                    "FINAL_STRENGTH_OUT_OF_REACH",
                    "Even " + Words.percent(strongest.fraction()) + " spirit ends at " + Words.percent(reachable)
                            + " after the plant's water; " + Words.percent(wanted) + " was wanted.",
                    "Use a larger ratio, wilt the herb, or dry it: see the notes."));
            if (strongest.fraction() <= wanted) {
                return;
            }
            // At the strongest spirit, strength depends on water per mL of menstruum alone.
            double waterPerMl =
                    solve(w -> afterPlantWater(1, strongest, w).strength().fraction() - wanted, 0, 1000);
            double neededMl = waterG.mid() / waterPerMl;
            double ratio = (neededMl + (recipe.waterCounts() ? waterG.mid() / WATER_G_PER_ML : 0)) / massG;
            findings.add(Finding.note(
                    "WAY_OUT_RATIO",
                    "At 1:" + Words.figure(Math.ceil(ratio * 100) / 100) + " with "
                            + Words.percent(strongest.fraction()) + " spirit it ends at " + Words.percent(wanted) + ".",
                    "Use this larger ratio."));
            double dryMatter = massG - waterG.mid();
            double waterLeft = waterPerMl * menstruumMl;
            double wiltTo = waterLeft / (waterLeft + dryMatter);
            findings.add(Finding.note(
                    "WAY_OUT_WILT",
                    "Wilted to a moisture of " + Words.percent(wiltTo) + ", that is down to "
                            + Words.grams(waterLeft + dryMatter) + ", the same " + Words.millilitres(menstruumMl)
                            + " of menstruum suffices.",
                    "Wilt it to that weight first."));
            double dried = dryMatter / (1 - Moisture.DRIED);
            double q = Math.min(
                    strongest.fraction(),
                    solveStrength(menstruumMl, dried * Moisture.DRIED, wanted, strongest.fraction()));
            findings.add(Finding.note(
                    "WAY_OUT_DRY",
                    "Dried, it weighs about " + Words.grams(dried) + " and needs a menstruum of " + Words.percent(q)
                            + ".",
                    "Dry it first."));
        }

        private double solveStrength(double menstruumMl, double water, double wanted, double most) {
            UnivariateFunction f = q -> afterPlantWater(menstruumMl, new Strength(q), water)
                            .strength()
                            .fraction()
                    - wanted;
            return f.value(most) < 0 ? most : solve(f, 0, most);
        }

        private @Nullable JarFill jar(double menstruumMl) {
            if (recipe.jarMl() == null) {
                return null;
            }
            double jarMl = recipe.jarMl();
            double herbMl = HerbRoom.millilitres(massG, waterG.mid() / massG);
            double level = menstruumMl + herbMl;
            boolean fits = level <= JAR_FILL * jarMl;
            if (!fits) {
                findings.add(Finding.trifle(
                        "JAR_TOO_SMALL",
                        "Herb and menstruum reach " + Words.millilitres(level) + "; a jar of "
                                + Words.millilitres(jarMl) + " holds " + Words.millilitres(JAR_FILL * jarMl)
                                + " with its headspace of 5 %.",
                        "Take a jar of at least " + Words.millilitres(level / JAR_FILL) + ", or two."));
            }
            Double bed = bedMl();
            if (bed != null && level < bed + oneCentimetreMl(jarMl)) {
                findings.add(Finding.warn(
                        "HERB_NOT_COVERED",
                        "Loose herb stands to " + Words.millilitres(bed) + ", the liquid to " + Words.millilitres(level)
                                + "; it must be covered by 1 cm.",
                        "Cut it finer and press it down, weigh it under, or use a larger ratio."));
            }
            return new JarFill(jarMl, herbMl, level, bed, fits);
        }

        private @Nullable Double bedMl() {
            double bed = 0;
            for (Herb herb : recipe.herbs()) {
                if (herb.bulkDensityGPerMl() == null) {
                    return null;
                }
                bed += herb.massG() / herb.bulkDensityGPerMl();
            }
            return bed;
        }

        /** Volume of 1 cm of height in a jar taken to be 1.6 times as tall as wide. */
        private static double oneCentimetreMl(double jarMl) {
            double diameterCm = Math.cbrt(4 * jarMl / (1.6 * Math.PI));
            return Math.PI / 4 * diameterCm * diameterCm;
        }

        private Result cannot(Finding finding) {
            findings.add(finding);
            return new Result(null, findings, because.lines());
        }

        private static double solve(UnivariateFunction f, double low, double high) {
            return new BracketingNthOrderBrentSolver(1e-13, 5).solve(200, f, low, high);
        }
    }
}
