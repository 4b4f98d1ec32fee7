package org.sallowbrook.core.shelf;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;

/** Two jars or bottles of the same, poured into one. What differs is a mixture, and a mixture is reckoned at the bench. */
public final class Together {

    /** Of two spirits, tinctures or vinegars more than this apart the strength is no longer one figure; a working figure. */
    private static final double STRENGTH_APART_PERCENT = 1;

    /** One plant's part. */
    public record Herb(String taxonId, Taxon.Part part) {}

    /**
     * @param called name and code, for the findings
     * @param amount what is left of it, in the unit of its form, more than 0
     * @param pieces whether it is counted in pieces
     * @param strengthPercent null where it has none
     * @param strengthLowPercent its lower end, where it is a range
     * @param moisture wet basis, 0 to 1; null where unknown or of no meaning
     * @param driedGPerUnit dried herb in one unit of it; null where unknown
     * @param roomUntil of what is counted in hours; null for all else
     * @param coldUntil the same, in the refrigerator
     * @param label what its label vouches for, of what was bought; null for what was gathered or made here
     */
    public record Jar(
            String called,
            Stage stage,
            LotForm form,
            Set<Herb> herbs,
            double amount,
            boolean pieces,
            @Nullable Double strengthPercent,
            @Nullable Double strengthLowPercent,
            @Nullable Interval moisture,
            @Nullable Interval driedGPerUnit,
            Taxon.Route route,
            LocalDate madeOn,
            @Nullable LocalDate bestBefore,
            @Nullable Instant roomUntil,
            @Nullable Instant coldUntil,
            BoughtGate.@Nullable Label label) {}

    private Together() {}

    /** Why the two don't go into one; empty when they do. Whether each may be used at all is asked elsewhere. */
    public static List<Finding> whyNot(Jar a, Jar b, LocalDate today) {
        List<Finding> findings = new ArrayList<>();
        if (a.stage() != b.stage()
                || a.form() != b.form()
                || a.pieces()
                || b.pieces()
                || !a.herbs().equals(b.herbs())) {
            findings.add(Finding.stop(
                    "NOT_THE_SAME",
                    a.called() + " and " + b.called() + " are not the same thing.",
                    "Keep them apart, or make a mixture of them at the bench, where it is reckoned."));
            return findings;
        }
        Double of = a.strengthPercent();
        Double with = b.strengthPercent();
        if (of != null && with != null && Math.abs(of - with) > STRENGTH_APART_PERCENT
                || (of == null) != (with == null)) {
            findings.add(Finding.stop(
                    "STRENGTHS_APART",
                    a.called() + " and " + b.called() + " are not of the same strength.",
                    "Blend them at the bench, where the strength of both together is reckoned."));
        }
        for (Jar jar : List.of(a, b)) {
            LocalDate best = jar.bestBefore();
            if (best != null && today.isAfter(best)) {
                findings.add(Finding.stop(
                        "EXPIRED",
                        jar.called() + " is past its date.",
                        "Throw it away; it would spoil the other with it."));
            }
        }
        return findings;
    }

    /**
     * What both together are: the earlier dates, the narrower way, the weaker label. Until it is well mixed each handful is as
     * dry as the jar it came from, so its water is the range of both; what dissolves is one after a shake.
     *
     * @param called name and code of the new one
     */
    public static Jar of(String called, Jar a, Jar b) {
        return new Jar(
                called,
                a.stage(),
                a.form(),
                a.herbs(),
                a.amount() + b.amount(),
                false,
                mean(a.strengthPercent(), b.strengthPercent(), a, b),
                least(low(a), low(b)),
                a.moisture() == null || b.moisture() == null ? null : hull(a.moisture(), b.moisture()),
                mean(a, b),
                a.route() == Taxon.Route.EXTERNAL ? a.route() : b.route(),
                a.madeOn().isBefore(b.madeOn()) ? a.madeOn() : b.madeOn(),
                least(a.bestBefore(), b.bestBefore()),
                least(a.roomUntil(), b.roomUntil()),
                least(a.coldUntil(), b.coldUntil()),
                Stream.of(a, b)
                        .flatMap(j -> Stream.ofNullable(j.label()))
                        .max(Comparator.naturalOrder())
                        .orElse(null));
    }

    private static @Nullable Double low(Jar jar) {
        return jar.strengthLowPercent() == null ? jar.strengthPercent() : jar.strengthLowPercent();
    }

    private static @Nullable Interval mean(Jar a, Jar b) {
        Interval of = a.driedGPerUnit();
        Interval with = b.driedGPerUnit();
        if (of == null || with == null) {
            return null;
        }
        double all = a.amount() + b.amount();
        return Interval.of(
                (of.low() * a.amount() + with.low() * b.amount()) / all,
                (of.high() * a.amount() + with.high() * b.amount()) / all);
    }

    private static @Nullable Double mean(@Nullable Double of, @Nullable Double with, Jar a, Jar b) {
        return of == null || with == null ? null : (of * a.amount() + with * b.amount()) / (a.amount() + b.amount());
    }

    private static Interval hull(Interval a, Interval b) {
        return Interval.of(Math.min(a.low(), b.low()), Math.max(a.high(), b.high()));
    }

    private static <T extends Comparable<? super T>> @Nullable T least(@Nullable T a, @Nullable T b) {
        if (a == null || b == null) {
            return a == null ? b : a;
        }
        return a.compareTo(b) <= 0 ? a : b;
    }
}
