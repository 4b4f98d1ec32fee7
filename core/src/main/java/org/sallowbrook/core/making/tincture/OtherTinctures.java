package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/** Tinctures not made by weight to volume: filled by eye, percolated, joined with a decoction, or mixed. */
public final class OtherTinctures {

    /** Menstruum held back by the marc, per g of dry drug, drained in a percolator (as in {@link Tincture}). */
    private static final Interval RETAINED_ML_PER_G = Interval.of(2, 3);

    private static final Interval MOISTEN_ML_PER_G = Interval.of(0.5, 1);
    private static final Interval STAND_HOURS = Interval.of(1, 4);
    private static final Interval MACERATE_HOURS = Interval.of(12, 24);
    /** Drip in mL a minute per 1000 g of drug. */
    private static final Interval DRIP_ML_PER_MIN_PER_KG = Interval.of(1, 3);

    private static final double FIRST_FRACTION = 0.75;

    private OtherTinctures() {}

    // ---- fill and cover

    /**
     * @param jarMl brimful
     * @param fillFraction of the jar that the loose herb fills, above 0 to 1
     */
    public record FillAndCover(
            double jarMl, double fillFraction, Interval bulkDensityGPerMl, Strength strength, Moisture moisture) {
        public FillAndCover {
            Checks.begin()
                    .positive("jarMl", jarMl)
                    .that(fillFraction > 0 && fillFraction <= 1, "fillFraction", "must be above 0 and at most 1")
                    .positive("bulkDensityGPerMl.low", bulkDensityGPerMl.low())
                    .range("bulkDensityGPerMl.high", bulkDensityGPerMl.high(), 0, 1.5)
                    .that(strength.fraction() > 0, "strengthPercent", "must be above 0")
                    .done();
        }
    }

    /** @param ratio mL of menstruum per g of herb */
    public record FillAndCoverPlan(Interval herbG, Interval menstruumMl, Interval ratio, Interval finalFraction) {}

    public record FillAndCoverResult(@Nullable FillAndCoverPlan plan, List<Finding> findings, List<String> because) {}

    /** menstruum = 0.95 jar - herb volume, herb volume = herb (w / 0.998 + (1 - w) / 1.5). */
    public static FillAndCoverResult fillAndCover(FillAndCover f) {
        List<Finding> findings = new ArrayList<>();
        List<String> because = new ArrayList<>();
        Interval herb = f.bulkDensityGPerMl().times(f.jarMl() * f.fillFraction());
        double most = Double.NEGATIVE_INFINITY;
        double least = Double.POSITIVE_INFINITY;
        double highRatio = 0;
        double lowRatio = Double.POSITIVE_INFINITY;
        double strongest = 0;
        double weakest = 1;
        for (double g : new double[] {herb.low(), herb.high()}) {
            for (double w : new double[] {f.moisture().low(), f.moisture().high()}) {
                double menstruum = Tincture.JAR_FILL * f.jarMl()
                        - g * (w / Tincture.WATER_G_PER_ML + (1 - w) / Tincture.SOLID_G_PER_ML);
                if (!(menstruum > 0)) {
                    findings.add(Finding.stop(
                            "NO_ROOM_FOR_SPIRIT",
                            "Packed like this the herb may fill the jar and leave no room for spirit.",
                            "Pack less, or take a larger jar."));
                    return new FillAndCoverResult(null, findings, because);
                }
                double q = Tincture.afterPlantWater(menstruum, f.strength(), g * w)
                        .strength()
                        .fraction();
                most = Math.max(most, menstruum);
                least = Math.min(least, menstruum);
                highRatio = Math.max(highRatio, menstruum / g);
                lowRatio = Math.min(lowRatio, menstruum / g);
                strongest = Math.max(strongest, q);
                weakest = Math.min(weakest, q);
            }
        }
        Interval finalFraction = Interval.of(weakest, strongest);
        findings.addAll(Tincture.strengthFindings(finalFraction));
        findings.add(Finding.note(
                "WEIGH_INSTEAD",
                "By eye the ratio may be anything from 1:" + Words.figure(lowRatio) + " to 1:" + Words.figure(highRatio)
                        + "; weighing the herb would make it one figure.",
                "Weigh the herb before it goes into the jar."));
        because.add(Words.percent(f.fillFraction()) + " of " + Words.millilitres(f.jarMl()) + " holds "
                + Words.range(herb, "g") + " of herb; the menstruum fills the rest to 95 %.");
        return new FillAndCoverResult(
                new FillAndCoverPlan(herb, Interval.of(least, most), Interval.of(lowRatio, highRatio), finalFraction),
                findings,
                because);
    }

    // ---- percolation

    /** @param ratio mL of finished product per g of dry powdered drug */
    public record Percolation(double herbG, double ratio, Strength strength, double dropsPerMl) {
        public Percolation {
            Checks.begin()
                    .positive("herbG", herbG)
                    .that(ratio > 0 && ratio <= 100, "ratio", "must be above 0 and at most 100")
                    .range("dropsPerMl", dropsPerMl, 5, 100)
                    .that(strength.fraction() > 0, "strengthPercent", "must be above 0")
                    .done();
        }
    }

    public record PercolationPlan(
            Interval menstruumMl,
            Interval moistenMl,
            Interval hours,
            Interval dropsPerMinute,
            double firstFractionMl) {}

    /** Menstruum = m R + retention; hours: moist standing, maceration and dripping. */
    public static PercolationPlan percolate(Percolation p) {
        double product = p.herbG() * p.ratio();
        double first = FIRST_FRACTION * product;
        Interval dripMlPerMin = DRIP_ML_PER_MIN_PER_KG.times(p.herbG() / 1000);
        Interval hours = Interval.of(
                STAND_HOURS.low() + MACERATE_HOURS.low() + first / dripMlPerMin.high() / 60,
                STAND_HOURS.high() + MACERATE_HOURS.high() + first / dripMlPerMin.low() / 60);
        return new PercolationPlan(
                RETAINED_ML_PER_G.times(p.herbG()).plus(product),
                MOISTEN_ML_PER_G.times(p.herbG()),
                hours,
                dripMlPerMin.times(p.dropsPerMl()),
                first);
    }

    // ---- two extractions joined

    /** @param finalMl after contraction */
    public record Joined(double decoctionMl, Strength strength, double finalMl, List<Finding> findings) {}

    /** A tincture and a decoction, taken to mix as spirit and water do. */
    public static Joined join(double tinctureMl, Strength tincture, double decoctionMl) {
        Checks.begin()
                .positive("tinctureMl", tinctureMl)
                .notNegative("decoctionMl", decoctionMl)
                .done();
        Spirits.Mixture m = Spirits.mix(List.of(new Pour(tinctureMl, tincture), new Pour(decoctionMl, Strength.NONE)));
        List<Finding> findings = new ArrayList<>(
                Tincture.strengthFindings(Interval.exactly(m.strength().fraction())));
        if (m.strength().fraction() > 0.40) {
            findings.add(Finding.note(
                    "SUGARS_DROP_OUT",
                    "Above 40 % the long sugars of the decoction drop out as a cloud.",
                    "Aim lower where the sugars are what is wanted."));
        }
        return new Joined(decoctionMl, m.strength(), m.volumeMl(), findings);
    }

    /** How much decoction brings the tincture to a strength above 0 and at most its own. */
    public static Joined joinTo(double tinctureMl, Strength tincture, Strength target) {
        Spirits.Dilution d = Spirits.diluteSpirit(tincture, target, tinctureMl);
        return join(tinctureMl, tincture, d.waterMl());
    }

    // ---- formula

    /** @param herbEquivalentGPerMl of the part's own herb; null when unknown */
    public record Part(
            String name,
            double volumeMl,
            Strength strength,
            @Nullable Double herbEquivalentGPerMl) {
        public Part {
            Checks checks = Checks.begin().positive("volumeMl", volumeMl);
            if (herbEquivalentGPerMl != null) {
                checks.notNegative("herbEquivalentGPerMl", herbEquivalentGPerMl);
            }
            checks.done();
        }
    }

    /** @param gPerMl of the mixed bottle; null when the part's was unknown */
    public record FormulaHerb(String name, @Nullable Double gPerMl, double fraction) {}

    public record Formula(double volumeMl, Strength strength, List<FormulaHerb> herbs, List<Finding> findings) {}

    public static Formula formula(List<Part> parts) {
        Checks.begin().that(!parts.isEmpty(), "parts", "must hold at least one").done();
        Spirits.Mixture m = Spirits.mix(
                parts.stream().map(p -> new Pour(p.volumeMl(), p.strength())).toList());
        double poured = parts.stream().mapToDouble(Part::volumeMl).sum();
        List<FormulaHerb> herbs = parts.stream()
                .map(p -> new FormulaHerb(
                        p.name(),
                        p.herbEquivalentGPerMl() == null
                                ? null
                                : (Double) (p.herbEquivalentGPerMl() * p.volumeMl() / m.volumeMl()),
                        p.volumeMl() / poured))
                .toList();
        List<Finding> findings = new ArrayList<>(
                Tincture.strengthFindings(Interval.exactly(m.strength().fraction())));
        double strongest =
                parts.stream().mapToDouble(p -> p.strength().fraction()).max().orElse(0);
        double weakest =
                parts.stream().mapToDouble(p -> p.strength().fraction()).min().orElse(0);
        if (strongest - weakest > 0.20) {
            findings.add(Finding.note(
                    "MAY_PRECIPITATE",
                    "The parts differ by more than 20 % vol; resins or sugars may drop out when they are mixed.",
                    "Mix a little first, let it stand a day, and shake before use."));
        }
        return new Formula(m.volumeMl(), m.strength(), herbs, findings);
    }
}
