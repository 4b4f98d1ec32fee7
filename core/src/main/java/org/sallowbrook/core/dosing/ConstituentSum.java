package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Content;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/**
 * Adds one constituent class up over everything a person takes, and compares the sum, not the single product. Where a card
 * gives milligrams and a ceiling the sum is in milligrams, at its larger end; otherwise the grams of herb that hold the class
 * are told, because nobody gave a ceiling to compare with.
 */
public final class ConstituentSum {

    /**
     * @param herbG dried grams a day of all herbs holding the class
     * @param mg of the class itself; null when a card gives no content
     * @param mostMg the lowest ceiling of any card concerned; null for none
     * @param herbs who they are
     */
    public record Sum(
            Constituent constituent,
            double herbG,
            @Nullable Interval mg,
            @Nullable Double mostMg,
            Set<String> herbs,
            boolean unknownAmount) {}

    private ConstituentSum() {}

    public static Map<Constituent, Sum> of(List<Taking> taking, @Nullable Double weightKg) {
        Map<Constituent, Sum> sums = new EnumMap<>(Constituent.class);
        for (Taking one : taking) {
            for (Constituent constituent : one.taxon().constituents()) {
                sums.merge(constituent, single(one, constituent, weightKg), ConstituentSum::add);
            }
        }
        return sums;
    }

    private static Sum single(Taking one, Constituent constituent, @Nullable Double weightKg) {
        Double grams = one.driedGPerDay();
        Content content = one.taxon().usedPart(one.part()).stream()
                .flatMap(p -> p.using().contents().stream())
                .filter(c -> c.constituent() == constituent)
                .findFirst()
                .orElse(null);
        Double most = null;
        if (content != null) {
            most = content.mostMgPerDay();
            if (content.mostMgPerKgPerDay() != null && weightKg != null) {
                double byWeight = content.mostMgPerKgPerDay() * weightKg;
                most = most == null ? byWeight : (Double) Math.min(most, byWeight);
            }
        }
        return new Sum(
                constituent,
                grams == null ? 0 : grams,
                content == null || grams == null ? null : content.mgPerG().times(grams),
                most,
                Set.of(one.taxon().commonName()),
                grams == null);
    }

    private static Sum add(Sum a, Sum b) {
        Set<String> herbs = new LinkedHashSet<>(a.herbs());
        herbs.addAll(b.herbs());
        // A herb without a figure leaves the sum of the others a lower bound, which must not hide that it is too much.
        Interval mg = a.mg() == null
                ? b.mg()
                : b.mg() == null ? a.mg() : Interval.of(a.mg().low() + b.mg().low(), a.mg().high() + b.mg().high());
        Double most = a.mostMg() == null
                ? b.mostMg()
                : b.mostMg() == null ? a.mostMg() : (Double) Math.min(a.mostMg(), b.mostMg());
        return new Sum(a.constituent(), a.herbG() + b.herbG(), mg, most, herbs, a.unknownAmount() || b.unknownAmount());
    }

    public static List<Finding> check(List<Taking> taking, @Nullable Double weightKg) {
        List<Finding> findings = new ArrayList<>();
        for (Sum sum : of(taking, weightKg).values()) {
            String name = Words.lower(sum.constituent());
            String herbs = String.join(", ", sum.herbs());
            if (sum.mg() != null && sum.mostMg() != null && sum.mg().high() > sum.mostMg() * (1 + 1e-9)) {
                findings.add(Finding.stop(
                        "CONSTITUENT_ABOVE_CEILING",
                        "Up to " + Words.figure(sum.mg().high()) + " mg of " + name + " a day from " + herbs
                                + ", all together; " + Words.figure(sum.mostMg()) + " mg is the most.",
                        "Leave one of them out, or take less."));
            } else if (sum.herbs().size() > 1) {
                findings.add(Finding.note(
                        "CONSTITUENT_FROM_SEVERAL",
                        herbs + " all hold " + name + ": " + Words.grams(sum.herbG())
                                + " of such herb a day, all together.",
                        sum.mostMg() == null
                                ? "No card gives a ceiling for the sum; think whether all are needed."
                                : "The sum is within the card's ceiling."));
            }
            if (sum.unknownAmount() && sum.herbs().size() > 1) {
                findings.add(Finding.warn(
                        "CONSTITUENT_SUM_UNKNOWN",
                        "How much " + name + " comes from all of " + herbs + " is unknown.",
                        "Take them one after the other rather than together."));
            }
        }
        return findings;
    }
}
