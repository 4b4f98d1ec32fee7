package org.sallowbrook.core.making.oil;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;

/**
 * Herb infused in a fatty oil. Oil density 0.92 g/mL; the herb keeps 1.5-2 mL of oil per g. Limits of moisture: 0.12 for
 * an ordinary life, 0.14 above which water will part in the jar.
 */
public final class InfusedOil {

    public static final double OIL_G_PER_ML = 0.92;
    public static final double DRY_MOST = 0.12;
    public static final double DAMP_MOST = 0.14;

    private static final Interval ABSORBED_ML_PER_G = Interval.of(1.5, 2);

    public enum Method {
        COLD(14, 56),
        WARM(0, 1),
        SPIRIT_THEN_WARM(1, 2);

        private final Interval readyDays;

        Method(double low, double high) {
            readyDays = Interval.of(low, high);
        }
    }

    public record Herb(String name, double massG, Moisture moisture) {
        public Herb {
            Checks.begin().positive("massG", massG).done();
        }
    }

    /**
     * @param ratio mL of oil per g of herb, above 0 to 100; 5 to 10 is usual
     * @param carrierMonths what is left of the carrier's own life; null when unknown
     * @param eaten whether it will be swallowed
     */
    public record Request(
            List<Herb> herbs,
            double ratio,
            String carrier,
            @Nullable Integer carrierMonths,
            Method method,
            boolean eaten) {
        public Request {
            Checks.begin()
                    .that(!herbs.isEmpty(), "herbs", "must name at least one herb")
                    .that(ratio > 0 && ratio <= 100, "ratio", "must be above 0 and at most 100 mL per g")
                    .that(carrierMonths == null || carrierMonths >= 0, "carrierMonths", "must be at least 0")
                    .done();
            herbs = List.copyOf(herbs);
        }
    }

    /** @param keepsMonths null when it keeps days only; keepsDays then says how many */
    public record Plan(
            double oilMl,
            double oilG,
            Interval yieldMl,
            Interval readyAfterDays,
            @Nullable Integer keepsMonths,
            @Nullable Integer keepsDays) {}

    public record Result(@Nullable Plan plan, List<Finding> findings, List<String> because) {
        public boolean feasible() {
            return plan != null;
        }
    }

    private InfusedOil() {}

    public static Result plan(Request request) {
        List<Finding> findings = new ArrayList<>();
        List<String> because = new ArrayList<>();
        double herbG = request.herbs().stream().mapToDouble(Herb::massG).sum();
        double wettest = request.herbs().stream()
                .mapToDouble(h -> h.moisture().high())
                .max()
                .orElse(0);
        double oilMl = herbG * request.ratio();
        Interval yield = Interval.of(oilMl - ABSORBED_ML_PER_G.high() * herbG, oilMl - ABSORBED_ML_PER_G.low() * herbG);
        because.add(Words.grams(herbG) + " at 1:" + Words.figure(request.ratio()) + " takes "
                + Words.millilitres(oilMl) + " of oil; the herb keeps "
                + Words.range(ABSORBED_ML_PER_G.times(herbG), "mL") + ".");
        if (!(yield.low() > 0)) {
            findings.add(Finding.stop(
                    "HERB_KEEPS_ALL",
                    "The herb would soak up all the oil.",
                    "Use a ratio above 1:2, best 1:5 to 1:10."));
        } else if (request.ratio() < 5 || request.ratio() > 10) {
            findings.add(
                    Finding.note("RATIO_UNUSUAL", "The usual ratio is 1:5 to 1:10.", "Check that this one was meant."));
        }
        if (request.eaten() && wettest > DRY_MOST) {
            findings.add(Finding.stop(
                    "DAMP_IN_EATEN_OIL",
                    "Herb that may hold " + Words.percent(wettest)
                            + " water in an oil to be eaten can grow the germ of botulism, unseen and without smell.",
                    "Dry the herb to 12 % or less, or make the oil for the skin only."));
        }
        if (findings.stream().anyMatch(f -> f.severity() == org.sallowbrook.core.measure.Severity.STOP)) {
            return new Result(null, findings, because);
        }
        Integer months = null;
        Integer days = null;
        if (request.eaten()) {
            days = 7;
            findings.add(Finding.warn(
                    "EATEN_OIL_COLD",
                    "A herbal oil to be eaten keeps one week, in the refrigerator.",
                    "Make little; throw the rest away after a week."));
        } else if (wettest > DAMP_MOST) {
            days = 14;
            findings.add(Finding.hold(
                    "WATER_IN_OIL",
                    "Herb this moist lets go of water, which settles under the oil and spoils it.",
                    "For the skin only. Let it settle, pour the oil off the water, then keep it cold and use it in"
                            + " two weeks. Never seal it at room temperature."));
        } else if (wettest > DRY_MOST) {
            days = 14;
            findings.add(Finding.warn(
                    "DAMP_IN_OIL",
                    "The herb may hold " + Words.percent(wettest) + " water, more than the 12 % that keeps.",
                    "For the skin only, cold, two weeks; look for a water layer."));
        } else {
            months = request.carrierMonths() == null ? 6 : Math.min(12, request.carrierMonths());
            because.add(
                    request.carrierMonths() == null
                            ? "How long the carrier keeps was not given, so six months, the shortest usual life, counts."
                            : "It keeps as its carrier keeps: " + months + " months, twelve at most.");
        }
        if (request.method() != Method.COLD) {
            findings.add(Finding.note(
                    "HOT_OIL", "Warm oil above 60 °C harms the herb and burns skin.", "Hold it at 40 to 60 °C."));
        }
        if (request.method() == Method.SPIRIT_THEN_WARM) {
            findings.add(Finding.warn(
                    "AIR_OFF_SPIRIT",
                    "Herb moistened with spirit gives off vapour that catches fire.",
                    "Air it off well before any warming, away from flame."));
        }
        return new Result(
                new Plan(oilMl, oilMl * OIL_G_PER_ML, yield, request.method().readyDays, months, days),
                findings,
                because);
    }
}
