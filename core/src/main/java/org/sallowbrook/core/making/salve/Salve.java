package org.sallowbrook.core.making.salve;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * A salve of oil and wax for the tins at hand: total mass = tins x density x (1 + waste). Wax fractions by firmness are
 * for beeswax kept at 20 °C; other waxes by a factor on the fraction.
 */
public final class Salve {

    public static final double USUAL_G_PER_ML = 0.93;
    static final double MEANT_AT_C = 20;

    /** Share of wax more per °C of storage above 20 °C: one step of firmness (0.04-0.07) for about 10 °C. */
    static final double WAX_PER_DEGREE = 0.005;

    private static final double LEAST_WAX = 0.02;
    private static final double MOST_WAX = 0.50;

    /** Factor on beeswax, by name. */
    private static final Map<String, Double> WAXES = Map.of("BEESWAX", 1.0, "CANDELILLA", 0.5, "CARNAUBA", 0.4);

    public enum Firmness {
        SOFT(0.10),
        MEDIUM(0.14),
        FIRM(0.20),
        STICK(0.27);

        private final double beeswaxFraction;

        Firmness(double beeswaxFraction) {
            this.beeswaxFraction = beeswaxFraction;
        }
    }

    public record Tin(double capacityMl, int count) {
        public Tin {
            Checks.begin()
                    .positive("capacityMl", capacityMl)
                    .that(count >= 1 && count <= 10_000, "count", "must be from 1 to 10000")
                    .done();
        }
    }

    /**
     * @param wax beeswax, candelilla or carnauba
     * @param storageTemperatureC -20..40
     * @param wasteFraction left in pan and on spoon, 0..0.5
     * @param densityGPerMl null for 0.93
     */
    public record Request(
            List<Tin> tins,
            Firmness firmness,
            String wax,
            double storageTemperatureC,
            double wasteFraction,
            @Nullable Double densityGPerMl) {
        public Request {
            Checks checks = Checks.begin()
                    .that(!tins.isEmpty(), "tins", "must hold at least one")
                    .that(
                            WAXES.containsKey(wax.toUpperCase(Locale.ROOT)),
                            "wax",
                            "must be beeswax, candelilla or carnauba")
                    .range("storageTemperatureC", storageTemperatureC, -20, 40)
                    .range("wasteFraction", wasteFraction, 0, 0.5);
            if (densityGPerMl != null) {
                checks.range("densityGPerMl", densityGPerMl, 0.5, 1.5);
            }
            checks.done();
            tins = List.copyOf(tins);
        }
    }

    public record Plan(double totalG, double waxG, double oilG, double waxFraction) {}

    public record Result(Plan plan, List<Finding> findings, List<String> because) {}

    private Salve() {}

    public static Result plan(Request request) {
        double density = request.densityGPerMl() == null ? USUAL_G_PER_ML : request.densityGPerMl();
        double volume = request.tins().stream()
                .mapToDouble(t -> t.capacityMl() * t.count())
                .sum();
        double total = volume * density * (1 + request.wasteFraction());
        List<String> because = new ArrayList<>();
        because.add(Words.millilitres(volume) + " of tins x " + Words.figure(density) + " g/mL + "
                + Words.percent(request.wasteFraction()) + " left in the pan: " + Words.grams(total) + ".");
        List<Finding> findings = new ArrayList<>();
        double factor = WAXES.get(request.wax().toUpperCase(Locale.ROOT));
        double fraction =
                request.firmness().beeswaxFraction + WAX_PER_DEGREE * (request.storageTemperatureC() - MEANT_AT_C);
        fraction *= factor;
        if (fraction < LEAST_WAX || fraction > MOST_WAX) {
            double bounded = fraction < LEAST_WAX ? LEAST_WAX : MOST_WAX;
            findings.add(Finding.warn(
                    "WAX_AT_LIMIT",
                    "The rule would give " + Words.percent(fraction) + " wax; " + Words.percent(bounded)
                            + " is the limit of what sets as a salve, and was used.",
                    "Make a little and try it on a cold spoon."));
            fraction = bounded;
        }
        because.add(Words.percent(fraction) + " wax for "
                + request.firmness().name().toLowerCase(Locale.ROOT) + " at "
                + Words.figure(request.storageTemperatureC()) + " °C: " + Words.grams(total * fraction) + ".");
        findings.add(Finding.note(
                "HOT_WAX",
                "Hot oil and wax burn, and catch fire over a flame.",
                "Melt in a water bath, never over a flame; keep a lid at hand."));
        findings.add(Finding.note(
                "COLD_SPOON",
                "Wax and oils differ from lot to lot.",
                "Set a drop on a cold spoon before pouring; add oil or wax until it is right."));
        return new Result(new Plan(total, total * fraction, total * (1 - fraction), fraction), findings, because);
    }
}
