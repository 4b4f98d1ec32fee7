package org.sallowbrook.core.making.tea;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
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
    static final double TEASPOON_ML = 5;
    static final double TABLESPOON_ML = 15;
    static final double CUP_ML = 250;

    private static final double LEAST_STRENGTH = 1.0 / 200;

    private static final double MOST_STRENGTH = 1.0 / 5;
    private static final double CONTRADICTS = 0.10;

    public enum Method {
        INFUSION(10),
        DECOCTION(20),
        LONG_INFUSION(240),
        COLD_MACERATION(360);

        private final double usualMinutes;

        Method(double usualMinutes) {
            this.usualMinutes = usualMinutes;
        }
    }

    public enum Unit {
        G,
        TEASPOON,
        TABLESPOON,
        CUP,
        HANDFUL
    }

    /** The usual method for a part: soft parts are infused, tough ones simmered. */
    private static final Map<String, Method> BY_FORM = Map.ofEntries(
            Map.entry("LEAF", Method.INFUSION),
            Map.entry("FLOWER", Method.INFUSION),
            Map.entry("HERB", Method.INFUSION),
            Map.entry("TOPS", Method.INFUSION),
            Map.entry("POWDER", Method.INFUSION),
            Map.entry("ROOT", Method.DECOCTION),
            Map.entry("RHIZOME", Method.DECOCTION),
            Map.entry("BARK", Method.DECOCTION),
            Map.entry("WOOD", Method.DECOCTION),
            Map.entry("FRUIT", Method.DECOCTION),
            Map.entry("SEED", Method.INFUSION),
            Map.entry("MUCILAGE", Method.COLD_MACERATION));

    public record Measure(double amount, Unit unit) {
        public Measure {
            Checks.begin().positive("measure.amount", amount).done();
        }
    }

    /**
     * @param form part or form, such as LEAF, FLOWER, ROOT, BARK; null when the method is given
     * @param measure or massG, not both; with neither, the herb takes an equal part of the wanted strength
     * @param minutes steeping or simmering; null for the method's usual
     */
    public record Herb(
            String name,
            @Nullable String form,
            @Nullable Measure measure,
            @Nullable Double massG,
            @Nullable Double bulkDensityGPerMl,
            @Nullable Method method,
            @Nullable Double minutes) {
        public Herb {
            Checks checks = Checks.begin()
                    .that(measure == null || massG == null, "measure", "and massG must not both be given");
            if (massG != null) {
                checks.positive("massG", massG);
            }
            if (bulkDensityGPerMl != null) {
                checks.positive("bulkDensityGPerMl", bulkDensityGPerMl);
            }
            if (minutes != null) {
                checks.range("minutes", minutes, 0, 24 * 60);
            }
            if (measure != null && measure.unit() != Unit.G) {
                checks.that(bulkDensityGPerMl != null, "bulkDensityGPerMl", "is needed to turn a measure into grams");
                checks.that(
                        measure.unit() != Unit.HANDFUL, "measure.unit", "a handful must be weighed once: give massG");
            }
            if (method == null) {
                checks.that(
                        form != null && BY_FORM.containsKey(form.toUpperCase(Locale.ROOT)),
                        "form",
                        "must be one of " + BY_FORM.keySet().stream().sorted().toList() + ", or give the method");
            }
            checks.done();
        }
    }

    /** @param boilOffMlPerMin measured on this pan; null for the general range */
    public record Request(
            double wantedMl,
            @Nullable Double strengthGPerL,
            List<Herb> herbs,
            String liquid,
            @Nullable Double boilOffMlPerMin) {
        public Request {
            Checks checks = Checks.begin()
                    .range("wantedMl", wantedMl, 1, 100_000)
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
    }

    /** @param teaspoons level, of 5 mL; null without a bulk density */
    public record HerbPlan(
            String name,
            double massG,
            Method method,
            double minutes,
            @Nullable Double teaspoons) {}

    /** @param minute from the moment the water boils, or goes on cold */
    public record Step(double minute, String action, String herb) {}

    public record Plan(
            double waterMl, Interval waterRangeMl, List<HerbPlan> herbs, List<Step> timeline, double readyMinute) {}

    public record Result(Plan plan, List<Finding> findings, List<String> because) {}

    private Tea() {}

    public static Result plan(Request request) {
        List<Finding> findings = new ArrayList<>();
        List<String> because = new ArrayList<>();
        List<HerbPlan> herbs = herbs(request, because);
        double herbG = herbs.stream().mapToDouble(HerbPlan::massG).sum();
        double uncovered = herbs.stream()
                .filter(h -> h.method() == Method.DECOCTION)
                .mapToDouble(HerbPlan::minutes)
                .max()
                .orElse(0);
        Interval boilOff =
                request.boilOffMlPerMin() == null ? BOIL_OFF_ML_PER_MIN : Interval.exactly(request.boilOffMlPerMin());
        Interval water = Interval.of(
                request.wantedMl() + herbG * ABSORBED_ML_PER_G.low() + uncovered * boilOff.low(),
                request.wantedMl() + herbG * ABSORBED_ML_PER_G.high() + uncovered * boilOff.high());
        because.add(Words.millilitres(request.wantedMl()) + " wanted, "
                + Words.range(ABSORBED_ML_PER_G.times(herbG), "mL") + " stays in the herb"
                + (uncovered > 0
                        ? ", " + Words.range(boilOff.times(uncovered), "mL") + " boils off in "
                                + Words.figure(uncovered) + " min"
                        : "")
                + ": heat " + Words.millilitres(water.mid()) + ".");
        judge(request, herbG, findings);
        List<Step> timeline = timeline(herbs);
        double ready = timeline.get(timeline.size() - 1).minute();
        return new Result(new Plan(water.mid(), water, herbs, timeline, ready), findings, because);
    }

    private static List<HerbPlan> herbs(Request request, List<String> because) {
        List<HerbPlan> plans = new ArrayList<>();
        for (Herb herb : request.herbs()) {
            Method method = herb.method();
            if (method == null) {
                method = BY_FORM.get(herb.form().toUpperCase(Locale.ROOT));
                because.add(herb.name() + ": " + reason(method, herb.form().toLowerCase(Locale.ROOT)));
            }
            double massG = massG(herb, request);
            Double bulk = herb.bulkDensityGPerMl();
            plans.add(new HerbPlan(
                    herb.name(),
                    massG,
                    method,
                    herb.minutes() == null ? method.usualMinutes : herb.minutes(),
                    bulk == null ? null : massG / (bulk * TEASPOON_ML)));
        }
        return plans;
    }

    private static String reason(Method method, String form) {
        return switch (method) {
            case INFUSION -> form + " gives up what it has to hot water; steep it covered.";
            case DECOCTION -> form + " is tough and must be simmered.";
            case LONG_INFUSION -> form + " is steeped long and warm.";
            case COLD_MACERATION -> "mucilage comes out in cold water, and heat spoils it.";
        };
    }

    private static double massG(Herb herb, Request request) {
        if (herb.massG() != null) {
            return herb.massG();
        }
        Measure measure = herb.measure();
        if (measure == null) {
            return request.strengthGPerL()
                    * request.wantedMl()
                    / 1000
                    / request.herbs().size();
        }
        return switch (measure.unit()) {
            case G -> measure.amount();
            case TEASPOON -> measure.amount() * TEASPOON_ML * herb.bulkDensityGPerMl();
            case TABLESPOON -> measure.amount() * TABLESPOON_ML * herb.bulkDensityGPerMl();
            case CUP -> measure.amount() * CUP_ML * herb.bulkDensityGPerMl();
            case HANDFUL -> throw new IllegalStateException("refused at the door");
        };
    }

    private static void judge(Request request, double herbG, List<Finding> findings) {
        double strength = herbG / request.wantedMl();
        if (strength > MOST_STRENGTH || strength < LEAST_STRENGTH) {
            double likely = strength > MOST_STRENGTH ? herbG / 10 : herbG * 10;
            findings.add(Finding.warn(
                    "STRENGTH_IMPLAUSIBLE",
                    Words.grams(herbG) + " in " + Words.millilitres(request.wantedMl()) + " is 1:"
                            + Words.figure(1 / strength) + "; teas lie between 1:5 and 1:200.",
                    "Look for a slipped unit or decimal: was " + Words.grams(likely) + " meant?"));
        }
        if (request.strengthGPerL() != null) {
            double given = herbG / request.wantedMl() * 1000;
            if (Math.abs(given / request.strengthGPerL() - 1) > CONTRADICTS) {
                findings.add(Finding.warn(
                        "STRENGTH_CONTRADICTS_MASS",
                        "The herbs given make " + Words.figure(given) + " g/L, not "
                                + Words.figure(request.strengthGPerL()) + " g/L.",
                        "Decide which is meant; the given masses were used."));
            }
        }
        findings.add(Finding.note(
                "TEA_KEEPS",
                "A tea keeps 8 hours in the room and 24 hours cold, counted from when it leaves the heat.",
                "Make it fresh each day."));
    }

    /** One timeline: all end together, so the longest goes in first. */
    private static List<Step> timeline(List<HerbPlan> herbs) {
        double end = herbs.stream().mapToDouble(HerbPlan::minutes).max().orElse(0);
        List<Step> steps = new ArrayList<>();
        herbs.stream()
                .sorted(Comparator.comparingDouble(HerbPlan::minutes).reversed())
                .forEach(h -> steps.add(new Step(end - h.minutes(), action(h.method()), h.name())));
        steps.add(new Step(end, "Strain", ""));
        return steps;
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
