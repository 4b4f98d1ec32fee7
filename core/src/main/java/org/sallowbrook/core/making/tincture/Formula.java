package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * Several tinctures in one bottle: strength after mixing by mass, herb equivalent of each, its share of a daily dose, cost,
 * balance of taste, and the dried herb of each constituent class added up.
 */
public final class Formula {

    /** Parts further apart than this in strength may let something drop out. */
    private static final double PRECIPITATES_APART = 0.20;

    /** Lead: what it is for; support: the same way; harmoniser: what tempers it; taste. */
    public enum Role {
        LEAD,
        SUPPORT,
        HARMONISER,
        TASTE
    }

    public enum Potency {
        GENTLE,
        MODERATE,
        STRONG
    }

    public enum Taste {
        BITTER,
        AROMATIC,
        SWEET,
        ASTRINGENT,
        PUNGENT,
        BLAND
    }

    /**
     * @param weakest what the strength may be at the least; whether the bottle keeps is judged by it
     * @param herbEquivalentGPerMl of the part's own herb; null when unknown
     * @param constituents classes its herb holds, by name
     * @param costPerMl in the household's money; null when unknown
     */
    public record Part(
            String name,
            double volumeMl,
            Strength strength,
            Strength weakest,
            @Nullable Interval herbEquivalentGPerMl,
            @Nullable Role role,
            @Nullable Potency potency,
            Set<Taste> tastes,
            Set<String> constituents,
            @Nullable Double costPerMl) {
        public Part {
            Checks checks = Checks.begin().positive("volumeMl", volumeMl);
            if (herbEquivalentGPerMl != null) {
                checks.notNegative("herbEquivalentGPerMl", herbEquivalentGPerMl.low());
            }
            if (costPerMl != null) {
                checks.notNegative("costPerMl", costPerMl);
            }
            checks.done();
            tastes = Set.copyOf(tastes);
            constituents = Set.copyOf(constituents);
        }

        /** A part of exactly this strength. */
        public Part(
                String name,
                double volumeMl,
                Strength strength,
                @Nullable Interval herbEquivalentGPerMl,
                @Nullable Role role,
                @Nullable Potency potency,
                Set<Taste> tastes,
                Set<String> constituents,
                @Nullable Double costPerMl) {
            this(
                    name,
                    volumeMl,
                    strength,
                    strength,
                    herbEquivalentGPerMl,
                    role,
                    potency,
                    tastes,
                    constituents,
                    costPerMl);
        }

        /** A part of which only amount, strength and herb are known. */
        public static Part of(String name, double volumeMl, Strength strength, @Nullable Interval herbGPerMl) {
            return new Part(name, volumeMl, strength, herbGPerMl, null, null, Set.of(), Set.of(), null);
        }
    }

    /**
     * @param gPerMl of the mixed bottle; null when the part's was unknown
     * @param fraction of the poured volume
     * @param gPerDay in the daily dose; null when that or the part's equivalent is unknown
     */
    public record Herb(
            String name,
            @Nullable Interval gPerMl,
            double fraction,
            @Nullable Interval gPerDay) {}

    /**
     * @param strength at the most; {@code weakest} at the least
     * @param cost null when the cost of a part is unknown
     * @param tastes share of the poured volume by taste
     * @param constituentGPerMl grams of herb holding each class, in 1 mL; a class of which one herb's equivalent is
     *     unknown is left out and named in a finding
     */
    public record Result(
            double volumeMl,
            Strength strength,
            Strength weakest,
            List<Herb> herbs,
            @Nullable Double cost,
            Map<Taste, Double> tastes,
            Map<String, Interval> constituentGPerMl,
            List<Finding> findings,
            List<String> because) {}

    private Formula() {}

    /** @param dailyMl what will be taken a day; null when not known yet */
    public static Result mix(List<Part> parts, @Nullable Double dailyMl) {
        Checks checks = Checks.begin().that(!parts.isEmpty() && parts.size() <= 40, "parts", "must hold from 1 to 40");
        if (dailyMl != null) {
            checks.positive("dailyMl", dailyMl);
        }
        checks.done();
        List<Pour> pours =
                parts.stream().map(p -> new Pour(p.volumeMl(), p.strength())).toList();
        Spirits.Mixture m = Spirits.mix(pours);
        Strength weakest = Spirits.mix(parts.stream()
                        .map(p -> new Pour(p.volumeMl(), p.weakest()))
                        .toList())
                .strength();
        double poured = parts.stream().mapToDouble(Part::volumeMl).sum();
        Because because = new Because().addAll(Spirits.because(pours, m));
        List<Herb> herbs = parts.stream()
                .map(p -> herb(p, poured, m.volumeMl(), dailyMl, because))
                .toList();
        List<Finding> findings = new ArrayList<>(Tincture.strengthFindings(
                Interval.of(weakest.fraction(), m.strength().fraction())));
        precipitation(parts, findings);
        roles(parts, findings);
        Double cost = cost(parts, because, findings);
        return new Result(
                m.volumeMl(),
                m.strength(),
                weakest,
                herbs,
                cost,
                tastes(parts, poured, findings),
                constituents(parts, m.volumeMl(), findings),
                findings,
                because.lines());
    }

    private static Herb herb(Part p, double poured, double mixedMl, @Nullable Double dailyMl, Because because) {
        Interval own = p.herbEquivalentGPerMl();
        if (own == null) {
            return new Herb(p.name(), null, p.volumeMl() / poured, null);
        }
        Interval perMl = own.times(p.volumeMl() / mixedMl);
        String rest = " × " + Words.exact(p.volumeMl(), "mL") + " / " + Words.exact(mixedMl, "mL");
        because.equation(
                p.name() + " in 1 mL",
                Words.exact(own.low(), "g/mL") + rest,
                Words.exact(own.high(), "g/mL") + rest,
                perMl,
                "g/mL");
        return new Herb(p.name(), perMl, p.volumeMl() / poured, dailyMl == null ? null : perMl.times(dailyMl));
    }

    private static void precipitation(List<Part> parts, List<Finding> findings) {
        var strengths = parts.stream().mapToDouble(p -> p.strength().fraction()).summaryStatistics();
        if (strengths.getMax() - strengths.getMin() > PRECIPITATES_APART) {
            findings.add(Finding.note(
                    "MAY_PRECIPITATE",
                    "The parts differ by more than 20 % vol; resins or sugars may drop out when they are mixed.",
                    "Mix a little first, let it stand a day, and shake before use."));
        }
        boolean tannin = parts.stream().anyMatch(p -> p.constituents().contains("TANNIN"));
        boolean mucilage = parts.stream().anyMatch(p -> p.constituents().contains("MUCILAGE"));
        if (tannin && mucilage) {
            findings.add(Finding.note(
                    "TANNIN_WITH_MUCILAGE",
                    "Tannins and mucilage bind each other and settle.",
                    "Keep them in two bottles and take them apart."));
        }
    }

    private static void roles(List<Part> parts, List<Finding> findings) {
        if (parts.stream().anyMatch(p -> p.role() != null) && parts.stream().noneMatch(p -> p.role() == Role.LEAD)) {
            findings.add(Finding.note("NO_LEAD", "No part leads.", "Say which herb the formula is built on."));
        }
        double strong = parts.stream()
                .filter(p -> p.potency() == Potency.STRONG)
                .mapToDouble(Part::volumeMl)
                .sum();
        double all = parts.stream().mapToDouble(Part::volumeMl).sum();
        if (strong > all / 2) {
            findings.add(Finding.warn(
                    "MOSTLY_STRONG",
                    "Strong herbs make up " + Words.percent(strong / all) + " of it.",
                    "Let gentle herbs carry the formula; check each strong one's own dose."));
        }
    }

    private static @Nullable Double cost(List<Part> parts, Because because, List<Finding> findings) {
        List<Part> unpriced = parts.stream().filter(p -> p.costPerMl() == null).toList();
        if (!unpriced.isEmpty()) {
            if (unpriced.size() < parts.size()) {
                findings.add(Finding.note(
                        "COST_INCOMPLETE",
                        "What "
                                + String.join(
                                        " and ",
                                        unpriced.stream()
                                                .map(Part::name)
                                                .distinct()
                                                .toList()) + " costs is not known, so the whole has no cost.",
                        "Type it at the part; nothing counts for herb of your own."));
            }
            return null;
        }
        double cost = parts.stream()
                .mapToDouble(p -> p.volumeMl() * java.util.Objects.requireNonNull(p.costPerMl()))
                .sum();
        because.equation(
                "Cost",
                String.join(
                        " + ",
                        parts.stream()
                                .map(p -> Words.exact(p.volumeMl(), "mL") + " × "
                                        + Words.exact(java.util.Objects.requireNonNull(p.costPerMl())))
                                .toList()),
                cost,
                "");
        return cost;
    }

    private static Map<Taste, Double> tastes(List<Part> parts, double poured, List<Finding> findings) {
        Map<Taste, Double> shares = new EnumMap<>(Taste.class);
        for (Part p : parts) {
            p.tastes().forEach(t -> shares.merge(t, p.volumeMl() / poured, Double::sum));
        }
        double bitter = shares.getOrDefault(Taste.BITTER, 0.0);
        double kinder = shares.getOrDefault(Taste.AROMATIC, 0.0) + shares.getOrDefault(Taste.SWEET, 0.0);
        if (bitter > 0.5 && kinder == 0) {
            findings.add(Finding.note(
                    "BITTER_UNBALANCED",
                    Words.percent(bitter) + " of it is bitter and nothing aromatic or sweet stands against it.",
                    "Where bitterness is not what is wanted, add an aromatic or sweet part."));
        }
        return shares;
    }

    private static Map<String, Interval> constituents(List<Part> parts, double mixedMl, List<Finding> findings) {
        Map<String, Interval> sums = new TreeMap<>();
        Set<String> unknown = new java.util.TreeSet<>();
        for (Part p : parts) {
            for (String c : p.constituents()) {
                if (p.herbEquivalentGPerMl() == null) {
                    unknown.add(c);
                } else {
                    Interval more = p.herbEquivalentGPerMl().times(p.volumeMl() / mixedMl);
                    sums.merge(c, more, (a, b) -> Interval.of(a.low() + b.low(), a.high() + b.high()));
                }
            }
        }
        unknown.forEach(sums::remove);
        if (!unknown.isEmpty()) {
            findings.add(Finding.warn(
                    "CONSTITUENT_SUM_UNKNOWN",
                    "How much of " + String.join(", ", unknown) + " it holds is unknown, because a part's herb is.",
                    "Enter the herb equivalent of that part, or leave it out."));
        }
        return sums;
    }
}
