package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * Herb in vinegar, glycerine, honey or fortified wine. The herb's water thins the liquid as it thins spirit; what keeps is
 * judged by the final figure, at its unfavourable end.
 *
 * <p>Volumes are added without contraction (vinegar, glycerine; under 1 % wrong) except for wine, which is mixed as spirit.
 * Densities at 20 °C: honey 1.42 g/mL at 18 % water, glycerine 1.261 g/mL (anhydrous; CRC Handbook). Honey: Codex
 * Alimentarius CXS 12-1981 allows 20 % water, above which it may ferment.
 */
public final class OtherMenstruum {

    public static final double HONEY_G_PER_ML = 1.42;
    static final double GLYCERINE_G_PER_ML = 1.261;

    /** What is poured, with the figure by which it keeps. */
    public enum Kind {
        /** Figure: acidity as grams of acetic acid in 100 mL, as a fraction. */
        VINEGAR("acidity", 0.04, 0.12),
        /** Figure: glycerine by volume. */
        GLYCERINE("glycerine", 0.30, 1),
        /** Figure: water by mass. */
        HONEY("water", 0.10, 0.25),
        /** Figure: alcohol by volume. */
        WINE("strength", 0.05, 0.24);

        private final String figure;
        private final double least;
        private final double most;

        Kind(String figure, double least, double most) {
            this.figure = figure;
            this.least = least;
            this.most = most;
        }
    }

    /**
     * @param ratio mL of liquid per g of herb
     * @param figure of the liquid as bought, see {@link Kind}
     * @param vinegarFraction of the liquid, for an oxymel (honey with vinegar); 0 otherwise
     * @param vinegarAcidity of that vinegar; 0 where there is none
     */
    public record Recipe(
            Kind kind,
            List<Tincture.Herb> herbs,
            double ratio,
            double figure,
            double vinegarFraction,
            double vinegarAcidity) {
        public Recipe {
            boolean oxymel = vinegarFraction > 0;
            Checks.begin()
                    .that(!herbs.isEmpty(), "herbs", "must name at least one herb")
                    .that(ratio > 0 && ratio <= 100, "ratio", "must be above 0 and at most 100 mL per g")
                    .range(kind.figure, figure, kind.least, kind.most)
                    .that(
                            vinegarFraction == 0 || kind == Kind.HONEY,
                            "vinegarFraction",
                            "only honey is joined with vinegar")
                    .range("vinegarFraction", vinegarFraction, 0, 0.95)
                    .range("vinegarAcidity", vinegarAcidity, oxymel ? 0.04 : 0, oxymel ? 0.12 : 0)
                    .done();
            herbs = List.copyOf(herbs);
        }

        public static Recipe of(Kind kind, List<Tincture.Herb> herbs, double ratio, double figure) {
            return new Recipe(kind, herbs, ratio, figure, 0, 0);
        }
    }

    /**
     * @param finalFigure see {@link Kind}; of an oxymel its acidity
     * @param keepsDays null when it keeps by months
     * @param keepsMonths null when it keeps by days
     */
    public record Plan(
            double liquidMl,
            double liquidG,
            String figureIs,
            Interval finalFigure,
            Interval totalMl,
            Interval pressedMl,
            Interval driedEquivalentGPerMl,
            boolean cold,
            @Nullable Integer keepsDays,
            @Nullable Integer keepsMonths) {}

    public record Result(@Nullable Plan plan, List<Finding> findings, List<String> because) {
        public boolean feasible() {
            return plan != null;
        }
    }

    /** How long and how cold, with what was found. */
    private record Keeps(
            boolean cold, @Nullable Integer days, @Nullable Integer months, List<Finding> findings) {}

    private OtherMenstruum() {}

    public static Result plan(Recipe r) {
        Because because = new Because();
        Tincture.Sums sums = Tincture.Sums.of(r.herbs());
        double liquidMl = sums.massG() * r.ratio();
        because.equation(
                "Liquid", Words.exact(sums.massG(), "g") + " × " + Words.exact(r.ratio(), "mL/g"), liquidMl, "mL");
        Interval water = sums.waterG();
        Interval total = Interval.of(total(r, liquidMl, water.low()), total(r, liquidMl, water.high()));
        Interval figure = Interval.between(
                finalFigure(r, liquidMl, water.low(), because), finalFigure(r, liquidMl, water.high(), because));
        Interval kept = Retention.PRESSED.mlPerG();
        Interval pressed = Interval.of(
                total.low() - kept.high() * sums.dryG().high(),
                total.high() - kept.low() * sums.dryG().low());
        if (!(pressed.low() > 0)) {
            return new Result(
                    null,
                    List.of(Finding.stop(
                            "MARC_KEEPS_ALL", "The marc may hold back all the liquid.", "Use a larger ratio.")),
                    because.lines());
        }
        Keeps keeps = keeps(r, figure);
        return new Result(
                new Plan(
                        liquidMl,
                        liquidMl * density(r),
                        r.vinegarFraction() > 0 ? Kind.VINEGAR.figure : r.kind().figure,
                        figure,
                        total,
                        pressed,
                        Interval.of(
                                sums.dryG().low() / (1 - Moisture.DRIED) / total.high(),
                                sums.dryG().high() / (1 - Moisture.DRIED) / total.low()),
                        keeps.cold(),
                        keeps.days(),
                        keeps.months()),
                keeps.findings(),
                because.lines());
    }

    private static double density(Recipe r) {
        return switch (r.kind()) {
            case VINEGAR -> 1.01;
            case GLYCERINE -> r.figure() * GLYCERINE_G_PER_ML + (1 - r.figure()) * Tincture.WATER_G_PER_ML;
            case HONEY -> (1 - r.vinegarFraction()) * HONEY_G_PER_ML + r.vinegarFraction() * 1.01;
            case WINE -> org.sallowbrook.core.making.spirit.EthanolWater.gramsPerMl(new Strength(r.figure()));
        };
    }

    private static double total(Recipe r, double liquidMl, double waterG) {
        return r.kind() == Kind.WINE
                ? Tincture.afterPlantWater(liquidMl, new Strength(r.figure()), waterG)
                        .volumeMl()
                : liquidMl + waterG / Tincture.WATER_G_PER_ML;
    }

    private static double finalFigure(Recipe r, double liquidMl, double waterG, Because because) {
        String water = Words.exact(waterG, "g");
        String liquid = Words.exact(liquidMl, "mL");
        if (r.kind() == Kind.HONEY && r.vinegarFraction() == 0) {
            double honeyG = liquidMl * HONEY_G_PER_ML;
            double figure = (honeyG * r.figure() + waterG) / (honeyG + waterG);
            because.equation("Honey", liquid + " × " + Words.exact(HONEY_G_PER_ML, "g/mL"), honeyG, "g");
            because.equation(
                    "Water share with " + water + " from the herb",
                    "(" + Words.exact(honeyG, "g") + " × " + Words.exact(r.figure()) + " + " + water + ") / ("
                            + Words.exact(honeyG, "g") + " + " + water + ")",
                    figure,
                    Because.SHARE);
            return figure;
        }
        if (r.kind() == Kind.WINE) {
            double figure = Tincture.afterPlantWater(liquidMl, new Strength(r.figure()), waterG)
                    .strength()
                    .fraction();
            because.say("Mixed by mass with " + water + " of water it ends at " + Words.percent(figure)
                    + " by volume (OIML R 22).");
            return figure;
        }
        boolean oxymel = r.vinegarFraction() > 0;
        double active = oxymel ? liquidMl * r.vinegarFraction() * r.vinegarAcidity() : liquidMl * r.figure();
        double figure = active / (liquidMl + waterG / Tincture.WATER_G_PER_ML);
        because.equation(
                (oxymel ? "Acidity" : upper(r.kind().figure)) + " with " + water + " from the herb",
                liquid
                        + (oxymel
                                ? " × " + Words.exact(r.vinegarFraction()) + " × " + Words.exact(r.vinegarAcidity())
                                : " × " + Words.exact(r.figure()))
                        + " / (" + liquid + " + " + water + " / " + Words.exact(Tincture.WATER_G_PER_ML, "g/mL") + ")",
                figure,
                Because.SHARE);
        return figure;
    }

    private static String upper(String word) {
        return word.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + word.substring(1);
    }

    private static Keeps keeps(Recipe r, Interval figure) {
        List<Finding> findings = new ArrayList<>();
        if (r.kind() == Kind.HONEY) {
            findings.add(Finding.warn(
                    "NO_HONEY_UNDER_ONE",
                    "Honey can bring infant botulism.",
                    "Never under one year of age; write it on the label."));
        }
        if (r.kind() == Kind.VINEGAR || r.vinegarFraction() > 0) {
            double bought = r.kind() == Kind.VINEGAR ? r.figure() : r.vinegarAcidity();
            if (bought < 0.05) {
                findings.add(Finding.warn(
                        "VINEGAR_WEAK",
                        "Vinegar of " + Words.percent(bought) + " acidity is weaker than the 5 % that keeps herbs.",
                        "Use vinegar of 5 % or more."));
            }
            if (figure.low() < 0.04) {
                findings.add(Finding.warn(
                        "ACIDITY_LOW",
                        "It may end at " + Words.percent(figure.low()) + " acidity; below 4 % it does not keep.",
                        "Keep it in the refrigerator, four weeks at most."));
                return new Keeps(true, 28, null, findings);
            }
            return new Keeps(false, null, 12, findings);
        }
        return switch (r.kind()) {
            case GLYCERINE -> {
                if (figure.low() < 0.55) {
                    findings.add(Finding.stop(
                            "GLYCERINE_LOW",
                            "It may end at " + Words.percent(figure.low())
                                    + " glycerine by volume; below 55 % it spoils.",
                            "Use more or stronger glycerine or drier herb; else keep it cold and at most a week."));
                    yield new Keeps(true, 7, null, findings);
                }
                yield new Keeps(false, null, 24, findings);
            }
            case HONEY -> {
                if (figure.high() > 0.20) {
                    findings.add(Finding.hold(
                            "HONEY_WET",
                            "It may hold " + Words.percent(figure.high()) + " water; above 20 % honey ferments.",
                            "Keep it in the refrigerator, one week at most, or use drier herb."));
                    yield new Keeps(true, 7, null, findings);
                }
                yield new Keeps(false, null, 12, findings);
            }
            case WINE -> {
                if (figure.low() < 0.15) {
                    findings.add(Finding.stop(
                            "WINE_TOO_WEAK",
                            "It may end at " + Words.percent(figure.low()) + " by volume; below 15 % wine turns.",
                            "Use a fortified wine or drier herb; else keep it cold and at most a week."));
                    yield new Keeps(true, 7, null, findings);
                }
                findings.add(Finding.note(
                        "WINE_KEEPS_A_MONTH", "A herbal wine keeps a month.", "Keep it in the refrigerator."));
                yield new Keeps(true, null, 1, findings);
            }
            case VINEGAR -> throw new IllegalStateException("judged above");
        };
    }
}
