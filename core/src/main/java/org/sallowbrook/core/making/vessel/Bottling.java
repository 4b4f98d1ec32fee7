package org.sallowbrook.core.making.vessel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * Splits a volume over the bottles (or tins) at hand. First, by the rate of use: a bottle should be empty before its time
 * once opened is over. Then least waste: nothing left over if that can be, then least empty room, then fewest bottles.
 *
 * <p>A bounded knapsack over whole millilitres, exact to 1 mL.
 */
public final class Bottling {

    public static final double MOST_ML = 20_000;
    private static final int MOST_SIZES = 20;
    private static final int MOST_COUNT = 200;

    /** @param count how many of them there are, 0 to 200 */
    public record Size(double capacityMl, int count) {
        public Size {
            Checks.begin()
                    .range("capacityMl", capacityMl, 1, MOST_ML)
                    .range("count", count, 0, MOST_COUNT)
                    .done();
        }
    }

    /**
     * @param usePerDayMl null when not known: then no size is too large
     * @param openedLifeDays how long an opened bottle keeps; null when that sets no limit
     */
    public record Recipe(
            double volumeMl,
            List<Size> stock,
            @Nullable Double usePerDayMl,
            @Nullable Integer openedLifeDays) {
        public Recipe {
            Checks checks = Checks.begin()
                    .range("volumeMl", volumeMl, 1, MOST_ML)
                    .that(
                            !stock.isEmpty() && stock.size() <= MOST_SIZES,
                            "stock",
                            "must name from 1 to " + MOST_SIZES + " sizes");
            if (usePerDayMl != null) {
                checks.positive("usePerDayMl", usePerDayMl);
            }
            if (openedLifeDays != null) {
                checks.range("openedLifeDays", openedLifeDays, 1, 3650);
            }
            checks.done();
            stock = List.copyOf(stock);
        }
    }

    /** @param daysEach how long one lasts once opened; null without a rate of use */
    public record Filled(
            double capacityMl, int count, @Nullable Double daysEach) {}

    /** @param emptyMl room left over in the last bottle */
    public record Plan(List<Filled> bottles, double leftOverMl, double emptyMl) {}

    public record Result(Plan plan, List<Finding> findings, List<String> because) {}

    private Bottling() {}

    public static Result plan(Recipe recipe) {
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        List<Size> fitting = fitting(recipe, findings, because);
        int wanted = (int) Math.ceil(recipe.volumeMl() - 1e-9);
        int[] counts = choose(fitting, wanted);
        List<Filled> filled = new ArrayList<>();
        double room = 0;
        for (int i = 0; i < counts.length; i++) {
            if (counts[i] > 0) {
                double capacity = fitting.get(i).capacityMl();
                room += capacity * counts[i];
                filled.add(new Filled(
                        capacity, counts[i], recipe.usePerDayMl() == null ? null : capacity / recipe.usePerDayMl()));
            }
        }
        filled.sort(Comparator.comparingDouble(Filled::capacityMl).reversed());
        double leftOver = Math.max(0, recipe.volumeMl() - room);
        double empty = Math.max(0, room - recipe.volumeMl());
        if (!filled.isEmpty()) {
            because.equation(
                    "Room in the bottles",
                    String.join(
                            " + ",
                            filled.stream()
                                    .map(f -> f.count() + " × " + Words.exact(f.capacityMl(), "mL"))
                                    .toList()),
                    room,
                    "mL");
        }
        if (leftOver > 1e-9) {
            findings.add(Finding.trifle(
                    "BOTTLES_SHORT",
                    Words.millilitres(leftOver) + " of " + Words.millilitres(recipe.volumeMl())
                            + " finds no bottle of a fitting size.",
                    "Get more bottles, or use the rest first."));
        }
        return new Result(new Plan(filled, leftOver, empty), findings, because.lines());
    }

    /** Sizes that are finished in their time; the smallest of all when none is. */
    private static List<Size> fitting(Recipe recipe, List<Finding> findings, Because because) {
        List<Size> all = recipe.stock().stream()
                .filter(s -> s.count() > 0)
                .sorted(Comparator.comparingDouble(Size::capacityMl))
                .toList();
        if (recipe.usePerDayMl() == null || recipe.openedLifeDays() == null || all.isEmpty()) {
            return all;
        }
        double most = recipe.usePerDayMl() * recipe.openedLifeDays();
        because.equation(
                "Used up within its time",
                Words.exact(recipe.usePerDayMl(), "mL") + " × " + recipe.openedLifeDays(),
                most,
                "mL");
        List<Size> fitting =
                all.stream().filter(s -> s.capacityMl() <= most * (1 + 1e-9)).toList();
        if (fitting.isEmpty()) {
            findings.add(Finding.trifle(
                    "BOTTLE_OUTLASTS_ITS_TIME",
                    "Even the smallest, " + Words.millilitres(all.get(0).capacityMl()) + ", is not used up in the "
                            + recipe.openedLifeDays() + " days it keeps once opened.",
                    "Take smaller bottles, or write the date of opening on it and pour the rest away."));
            return List.of(all.get(0));
        }
        return fitting;
    }

    /** Counts by size: least left over, then least empty room, then fewest bottles. */
    private static int[] choose(List<Size> sizes, int wanted) {
        int largest = (int) sizes.stream().mapToDouble(Size::capacityMl).max().orElse(0);
        int top = wanted + largest;
        int[] fewest = new int[top + 1];
        int[][] used = new int[sizes.size()][];
        Arrays.fill(fewest, Integer.MAX_VALUE);
        fewest[0] = 0;
        for (int s = 0; s < sizes.size(); s++) {
            int capacity = (int) Math.floor(sizes.get(s).capacityMl() + 1e-9);
            int[] before = fewest.clone();
            used[s] = new int[top + 1];
            for (int v = 0; v <= top; v++) {
                for (int n = 1; n <= sizes.get(s).count() && n * capacity <= v; n++) {
                    int rest = before[v - n * capacity];
                    if (rest != Integer.MAX_VALUE && rest + n < fewest[v]) {
                        fewest[v] = rest + n;
                        used[s][v] = n;
                    }
                }
            }
        }
        int best = 0;
        for (int v = 0; v <= top && best < wanted; v++) {
            // Volumes rise, so the first at or above what is wanted leaves the least empty room.
            best = fewest[v] != Integer.MAX_VALUE ? v : best;
        }
        int[] counts = new int[sizes.size()];
        for (int s = sizes.size() - 1; s >= 0; s--) {
            counts[s] = used[s][best];
            best -= counts[s] * (int) Math.floor(sizes.get(s).capacityMl() + 1e-9);
        }
        return counts;
    }
}
