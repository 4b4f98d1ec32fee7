package org.sallowbrook.core.making.tea;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/**
 * Water preparations: water to heat = wanted + absorbed by the herb + boiled off while uncovered. Absorbed: 2-3 mL per g
 * dry, poured for the middle. Boil-off of an open pan: 4-8 mL/min unless measured.
 */
public final class Tea {

    static final Interval ABSORBED_ML_PER_G = Interval.of(2, 3);
    static final Interval BOIL_OFF_ML_PER_MIN = Interval.of(4, 8);

    private static final double CONTRADICTS = 0.10;
    private static final double ROOM_HOURS = 4;
    private static final double COLD_HOURS = 24;

    /** A covered pot is below 60 °C after about an hour: a working figure of this tool. */
    private static final double WARM_MINUTES = 60;

    public enum Method {
        INFUSION(10),
        DECOCTION(20),
        LONG_INFUSION(240),
        COLD_MACERATION(360);

        private final double usualMinutes;

        Method(double usualMinutes) {
            this.usualMinutes = usualMinutes;
        }

        /** Usual minutes; a school of steeping changes those of an infusion only. */
        double minutes(Schools schools) {
            if (this != INFUSION) {
                return usualMinutes;
            }
            return switch (schools.of(Question.STEEPING)) {
                case STEEP_SHORT -> 5;
                case STEEP_LONG -> 15;
                default -> usualMinutes;
            };
        }
    }

    /** What it is for, with the strengths (g of herb per mL) between which it is plausible: working limits of this tool. */
    public enum Purpose {
        DRINK(1.0 / 200, 1.0 / 5, "teas lie between 1:5 and 1:200"),
        GARGLE(1.0 / 100, 1.0 / 5, "gargles lie between 1:5 and 1:100"),
        WASH(1.0 / 100, 1.0 / 5, "washes and compresses lie between 1:5 and 1:100"),
        BATH(1.0 / 4000, 1.0 / 200, "baths lie between 1:200 and 1:4000");

        private final double least;
        private final double most;
        private final String words;

        Purpose(double least, double most, String words) {
            this.least = least;
            this.most = most;
            this.words = words;
        }
    }

    /** Household measures; the volume of one in mL, none where it holds no volume. */
    public enum Unit {
        G(0),
        TEASPOON(5),
        HEAPED_TEASPOON(5),
        TABLESPOON(15),
        CUP(250),
        HANDFUL(0),
        LEAF(0),
        BUNDLE(0);

        /** A heaped spoon holds half as much again to two and a half times a level one: a working range of this tool. */
        private static final Interval HEAP = Interval.of(1.5, 2.5);

        private final double ml;

        Unit(double ml) {
            this.ml = ml;
        }

        boolean hasVolume() {
            return ml > 0;
        }

        Interval volumeMl() {
            return this == HEAPED_TEASPOON ? HEAP.times(ml) : Interval.exactly(ml);
        }
    }

    /**
     * So many of a measure.
     *
     * @param gPerUnit what one of it weighs of this lot, weighed once by the household; null when never weighed
     */
    public record Measure(
            double amount, Unit unit, @Nullable Double gPerUnit) {
        public Measure {
            Checks checks = Checks.begin().positive("measure.amount", amount);
            if (gPerUnit != null) {
                checks.positive("measure.gPerUnit", gPerUnit);
            }
            checks.done();
        }

        public static Measure of(double amount, Unit unit) {
            return new Measure(amount, unit, null);
        }
    }

    /**
     * @param form part or form, such as LEAF, FLOWER, ROOT, BARK; null when the method is given
     * @param measure or massG, not both; with neither, the herb takes an equal part of the wanted strength
     * @param bulkDensityGPerMl of the lot, or the card's range; null when unknown
     * @param minutes steeping or simmering; null for the method's usual
     * @param massRangeG what massG may be, where it was measured without a scale; null where it was weighed
     */
    public record Herb(
            String name,
            @Nullable String form,
            MethodChoice.Cut cut,
            Set<Constituent> constituents,
            @Nullable Measure measure,
            @Nullable Double massG,
            @Nullable Interval bulkDensityGPerMl,
            @Nullable Method method,
            @Nullable Double minutes,
            @Nullable Interval massRangeG) {

        /** Weighed, or measured here. */
        public Herb(
                String name,
                @Nullable String form,
                MethodChoice.Cut cut,
                Set<Constituent> constituents,
                @Nullable Measure measure,
                @Nullable Double massG,
                @Nullable Interval bulkDensityGPerMl,
                @Nullable Method method,
                @Nullable Double minutes) {
            this(name, form, cut, constituents, measure, massG, bulkDensityGPerMl, method, minutes, null);
        }

        public Herb {
            constituents = Set.copyOf(constituents);
            Checks checks = Checks.begin()
                    .that(measure == null || massG == null, "measure", "and massG must not both be given");
            if (massG != null) {
                checks.positive("massG", massG);
            }
            if (bulkDensityGPerMl != null) {
                checks.positive("bulkDensityGPerMl", bulkDensityGPerMl.low())
                        .range("bulkDensityGPerMl", bulkDensityGPerMl.high(), 0, 2);
            }
            if (minutes != null) {
                checks.range("minutes", minutes, 0, 24 * 60);
            }
            if (measure != null && measure.unit() != Unit.G && measure.gPerUnit() == null) {
                checks.that(
                        measure.unit().hasVolume(),
                        "measure.unit",
                        "a " + Words.lower(measure.unit()) + " must be weighed once: give gPerUnit or massG");
                checks.that(
                        bulkDensityGPerMl != null || !measure.unit().hasVolume(),
                        "bulkDensityGPerMl",
                        "or measure.gPerUnit is needed to turn a measure into grams");
            }
            if (method == null) {
                checks.that(
                        form != null && MethodChoice.knows(form),
                        "form",
                        "must be one of " + MethodChoice.forms() + ", or give the method");
            }
            checks.done();
        }

        /** A weighed herb of a known form, by its usual method. */
        public static Herb weighed(String name, String form, double massG) {
            return new Herb(name, form, MethodChoice.Cut.CUT, Set.of(), null, massG, null, null, null);
        }
    }

    /**
     * @param strengthGPerL null when the herbs' masses say it
     * @param boilOffMlPerMin measured on this pan; null for the general range
     */
    public record Recipe(
            double wantedMl,
            @Nullable Double strengthGPerL,
            List<Herb> herbs,
            String liquid,
            @Nullable Double boilOffMlPerMin,
            Purpose purpose,
            Schools schools) {
        public Recipe {
            Checks checks = Checks.begin()
                    .range("wantedMl", wantedMl, 1, 400_000)
                    .that(!herbs.isEmpty(), "herbs", "must name at least one herb");
            if (strengthGPerL != null) {
                checks.positive("strengthGPerL", strengthGPerL);
            }
            if (boilOffMlPerMin != null) {
                checks.range("boilOffMlPerMin", boilOffMlPerMin, 0, 200);
            }
            for (int i = 0; i < herbs.size(); i++) {
                Herb herb = herbs.get(i);
                checks.that(
                        strengthGPerL != null || herb.measure() != null || herb.massG() != null,
                        "herbs[" + i + "].massG",
                        "is needed where no strength is given");
            }
            checks.done();
            herbs = List.copyOf(herbs);
        }

        /** A drink by the usual schools. */
        public static Recipe drink(
                double wantedMl,
                @Nullable Double strengthGPerL,
                List<Herb> herbs,
                String liquid,
                @Nullable Double boilOffMlPerMin) {
            return new Recipe(wantedMl, strengthGPerL, herbs, liquid, boilOffMlPerMin, Purpose.DRINK, Schools.USUAL);
        }
    }

    /**
     * @param massG to weigh: the middle where measures leave a range
     * @param teaspoons level, of 5 mL; null without a bulk density
     */
    public record HerbPlan(
            String name,
            double massG,
            Interval massRangeG,
            Method method,
            double minutes,
            @Nullable Interval teaspoons) {}

    /** @param minute from the moment the water boils, or goes on cold */
    public record Step(double minute, String action, String herb) {}

    public record Plan(
            double waterMl, Interval waterRangeMl, List<HerbPlan> herbs, List<Step> timeline, double readyMinute) {}

    public record Result(Plan plan, List<Finding> findings, List<String> because) {}

    /** Until when a water preparation is drunk. */
    public record Keeps(LocalDateTime inTheRoomUntil, LocalDateTime coldUntil) {}

    private Tea() {}

    /**
     * How long it may stand, in hours from the end of the heat. In the room as other cooked food does: bacteria multiply
     * fastest between 20 and 50 °C, and general food hygiene gives such food two to four hours. A long warm infusion has
     * stood warm already, a cold macerate was never boiled: both are drunk at once or kept cold.
     *
     * @param heatedMinutes from the start until the heat ends
     */
    public static Life.Hours hours(Method method, double heatedMinutes) {
        return switch (method) {
            case INFUSION, DECOCTION -> new Life.Hours(ROOM_HOURS, COLD_HOURS, heatedMinutes);
            case LONG_INFUSION -> new Life.Hours(0, COLD_HOURS, heatedMinutes);
            case COLD_MACERATION -> new Life.Hours(0, COLD_HOURS, 0);
        };
    }

    /** The same of a pot: an infusion that drew for long has stood in the room as long. */
    static Life.Hours hours(Plan plan) {
        boolean warm = plan.herbs().stream().anyMatch(h -> h.method() == Method.LONG_INFUSION);
        Life.Hours hours = hours(warm ? Method.LONG_INFUSION : Method.INFUSION, plan.readyMinute());
        double stood = stood(plan.herbs());
        return stood <= WARM_MINUTES
                ? hours
                : new Life.Hours(Math.max(0, hours.room() - stood / 60), hours.cold(), hours.afterMinutes());
    }

    /** Minutes that it draws off the heat in the room. */
    private static double stood(List<HerbPlan> herbs) {
        return longest(by(herbs, Set.of(Method.INFUSION)));
    }

    /**
     * The same as moments. A cold macerate's clock starts when the water goes on; it steeps cold and is drunk the same day.
     *
     * @param from when it left the heat, or, of a cold macerate, when the water went on
     */
    public static Keeps keeps(Method method, LocalDateTime from) {
        Life.Hours hours = hours(method, 0);
        return new Keeps(
                from.plusHours((long) hours.room()),
                method == Method.COLD_MACERATION
                        ? from.toLocalDate().plusDays(1).atStartOfDay()
                        : from.plusHours((long) hours.cold()));
    }

    public static Result plan(Recipe recipe) {
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        List<HerbPlan> herbs = herbs(recipe, because);
        Interval herbG = herbs.stream()
                .map(HerbPlan::massRangeG)
                .reduce(Interval.exactly(0), (a, b) -> Interval.of(a.low() + b.low(), a.high() + b.high()));
        double uncovered = herbs.stream()
                .filter(h -> h.method() == Method.DECOCTION)
                .mapToDouble(HerbPlan::minutes)
                .max()
                .orElse(0);
        Interval boilOff =
                recipe.boilOffMlPerMin() == null ? BOIL_OFF_ML_PER_MIN : Interval.exactly(recipe.boilOffMlPerMin());
        Interval water = Interval.of(
                recipe.wantedMl() + herbG.low() * ABSORBED_ML_PER_G.low() + uncovered * boilOff.low(),
                recipe.wantedMl() + herbG.high() * ABSORBED_ML_PER_G.high() + uncovered * boilOff.high());
        because.equation(
                "Water to put on",
                water(recipe, herbG.low(), ABSORBED_ML_PER_G.low(), uncovered, boilOff.low()),
                water(recipe, herbG.high(), ABSORBED_ML_PER_G.high(), uncovered, boilOff.high()),
                water,
                "mL");
        because.equation(
                "The middle of it",
                "(" + Words.exact(water.low(), "mL") + " + " + Words.exact(water.high(), "mL") + ") / 2",
                water.mid(),
                "mL");
        judge(recipe, herbG, findings, because);
        if (stood(herbs) > ROOM_HOURS * 60) {
            findings.add(
                    Finding.warn(
                            "STANDS_TOO_LONG",
                            "Drawing for " + Words.lasting(stood(herbs)) + " in the room it stands longer than the "
                                    + Words.figure(ROOM_HOURS) + " hours that any cooked food may.",
                            "Let it draw in the refrigerator, or keep it hot, above 60 °C, in a vacuum flask; use it the same day."));
        }
        List<Step> timeline = timeline(herbs);
        double ready = timeline.get(timeline.size() - 1).minute();
        return new Result(new Plan(water.mid(), water, herbs, timeline, ready), findings, because.lines());
    }

    private static String water(Recipe recipe, double herbG, double absorbed, double minutes, double boilOff) {
        return Words.exact(recipe.wantedMl(), "mL") + " + " + Words.exact(herbG, "g") + " × "
                + Words.exact(absorbed, "mL/g")
                + (minutes > 0 ? " + " + Words.exact(minutes, "min") + " × " + Words.exact(boilOff, "mL/min") : "");
    }

    private static List<HerbPlan> herbs(Recipe recipe, Because because) {
        School tough = recipe.schools().of(Question.TOUGH_TEA);
        List<HerbPlan> plans = new ArrayList<>();
        for (Herb herb : recipe.herbs()) {
            Method method = herb.method();
            if (method == null) {
                MethodChoice choice =
                        MethodChoice.derive(String.valueOf(herb.form()), herb.cut(), herb.constituents(), tough);
                method = choice.method();
                because.say(herb.name() + ": " + choice.reason());
            }
            Interval mass = massG(herb, recipe, because);
            Interval bulk = herb.bulkDensityGPerMl();
            plans.add(new HerbPlan(
                    herb.name(),
                    mass.mid(),
                    mass,
                    method,
                    herb.minutes() == null ? method.minutes(recipe.schools()) : herb.minutes(),
                    bulk == null
                            ? null
                            : Interval.of(
                                    mass.mid() / (bulk.high() * Unit.TEASPOON.ml),
                                    mass.mid() / (bulk.low() * Unit.TEASPOON.ml))));
        }
        return plans;
    }

    private static Interval massG(Herb herb, Recipe recipe, Because because) {
        if (herb.massG() != null) {
            return herb.massRangeG() == null ? Interval.exactly(herb.massG()) : herb.massRangeG();
        }
        Measure measure = herb.measure();
        if (measure == null) {
            Double strength = java.util.Objects.requireNonNull(recipe.strengthGPerL());
            double mass = strength * recipe.wantedMl() / 1000 / recipe.herbs().size();
            because.equation(
                    herb.name(),
                    Words.exact(strength) + " × " + Words.exact(recipe.wantedMl(), "mL") + " / 1000 / "
                            + recipe.herbs().size(),
                    mass,
                    "g");
            return Interval.exactly(mass);
        }
        if (measure.unit() == Unit.G) {
            return Interval.exactly(measure.amount());
        }
        if (measure.gPerUnit() != null) {
            double mass = measure.amount() * measure.gPerUnit();
            because.equation(
                    herb.name(),
                    Words.exact(measure.amount()) + " × " + Words.exact(measure.gPerUnit(), "g"),
                    mass,
                    "g");
            return Interval.exactly(mass);
        }
        Interval bulk = java.util.Objects.requireNonNull(herb.bulkDensityGPerMl());
        Interval volume = measure.unit().volumeMl();
        Interval mass = Interval.of(
                measure.amount() * volume.low() * bulk.low(), measure.amount() * volume.high() * bulk.high());
        because.equation(
                herb.name(),
                bulk(measure.amount(), volume.low(), bulk.low()),
                bulk(measure.amount(), volume.high(), bulk.high()),
                mass,
                "g");
        return mass;
    }

    private static String bulk(double amount, double ml, double gPerMl) {
        return Words.exact(amount) + " × " + Words.exact(ml, "mL") + " × " + Words.exact(gPerMl, "g/mL");
    }

    private static void judge(Recipe recipe, Interval herbG, List<Finding> findings, Because because) {
        double strength = herbG.mid() / recipe.wantedMl();
        Purpose purpose = recipe.purpose();
        because.equation(
                "Parts of water to one of herb",
                Words.exact(recipe.wantedMl(), "mL") + " / " + Words.exact(herbG.mid(), "g"),
                1 / strength,
                "mL/g");
        if (strength > purpose.most || strength < purpose.least) {
            double likely = strength > purpose.most ? herbG.mid() / 10 : herbG.mid() * 10;
            findings.add(Finding.warn(
                    "STRENGTH_IMPLAUSIBLE",
                    Words.grams(herbG.mid()) + " in " + Words.millilitres(recipe.wantedMl()) + " is 1:"
                            + Words.figure(1 / strength) + "; " + purpose.words + ".",
                    "Look for a slipped unit or decimal: was " + Words.grams(likely) + " meant?"));
        }
        if (recipe.strengthGPerL() != null) {
            double given = strength * 1000;
            if (Math.abs(given / recipe.strengthGPerL() - 1) > CONTRADICTS) {
                findings.add(Finding.warn(
                        "STRENGTH_CONTRADICTS_MASS",
                        "The herbs given make " + Words.figure(given) + " g/L, not "
                                + Words.figure(recipe.strengthGPerL()) + " g/L.",
                        "Decide which is meant; the given masses were used."));
            }
        }
        if (purpose == Purpose.WASH) {
            findings.add(Finding.note(
                    "WASH_INTACT_SKIN",
                    "For intact skin or a small clean cut only.",
                    "Strain it through cloth, make it fresh; a deep, dirty or spreading wound needs a doctor."));
        }
        findings.add(Finding.note(
                "TEA_KEEPS",
                "A tea keeps 4 hours in the room and 24 hours cold, counted from when it leaves the heat.",
                "Make it fresh each day."));
    }

    /**
     * One timeline: what simmers first, the longest first; then off the heat, and what is only steeped is added and covered,
     * for its oil goes with the steam. What is drawn cold has a pot of its own, and both are poured together.
     */
    private static List<Step> timeline(List<HerbPlan> herbs) {
        List<HerbPlan> cold = by(herbs, Set.of(Method.COLD_MACERATION));
        List<HerbPlan> simmered = by(herbs, Set.of(Method.DECOCTION));
        List<HerbPlan> steeped = by(herbs, Set.of(Method.INFUSION, Method.LONG_INFUSION));
        double boils = longest(simmered);
        double hot = boils + longest(steeped);
        double end = Math.max(hot, longest(cold));
        boolean twoPots = !cold.isEmpty() && hot > 0;
        List<Step> steps = new ArrayList<>();
        cold.forEach(h -> steps.add(new Step(
                end - h.minutes(),
                twoPots ? "In a pot of its own: add to cold water, into the refrigerator" : action(h.method()),
                h.name())));
        double heat = end - hot;
        simmered.forEach(h -> steps.add(new Step(heat + boils - h.minutes(), action(h.method()), h.name())));
        if (!simmered.isEmpty() && !steeped.isEmpty()) {
            steps.add(new Step(heat + boils, "Take it off the heat", ""));
        }
        steeped.forEach(h -> steps.add(new Step(end - h.minutes(), action(h.method()), h.name())));
        // Stable: of the same minute what was put down first is done first.
        steps.sort(Comparator.comparingDouble(Step::minute));
        steps.add(new Step(end, twoPots ? "Strain both, let the hot one cool, and pour them together" : "Strain", ""));
        return steps;
    }

    private static List<HerbPlan> by(List<HerbPlan> herbs, Set<Method> methods) {
        return herbs.stream()
                .filter(h -> methods.contains(h.method()))
                .sorted(Comparator.comparingDouble(HerbPlan::minutes).reversed())
                .toList();
    }

    private static double longest(List<HerbPlan> herbs) {
        return herbs.stream().mapToDouble(HerbPlan::minutes).max().orElse(0);
    }

    private static String action(Method method) {
        return switch (method) {
            case INFUSION -> "Add off the boil, cover";
            case DECOCTION -> "Add, simmer uncovered";
            case LONG_INFUSION -> "Add to hot water, keep warm, covered";
            case COLD_MACERATION -> "Add to cold water, into the refrigerator";
        };
    }
}
