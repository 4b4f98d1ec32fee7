package org.sallowbrook.core.planning.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.planning.Basket;

/**
 * Something a household wants in hand.
 *
 * @param amount in the unit of the product, above 0
 * @param from the first day on which it is wanted
 * @param until the last day on which it is used
 * @param evenly whether it is used a little at a time, as a tea through the cold months; else all of it is wanted at once
 * @param mayBuy whether dried herb may be bought for it
 * @param choices of what it may be made, any or several of them; empty where nothing may be
 */
public record Wish(
        String id,
        String name,
        Basket.Product product,
        double amount,
        LocalDate from,
        LocalDate until,
        boolean evenly,
        boolean mayBuy,
        List<Choice> choices) {

    private static final int SLICE_DAYS = 28;

    public static final double MOST = 100_000;

    public Wish {
        Checks.begin()
                .range("amount", amount, 0.1, MOST)
                .that(!until.isBefore(from), "until", "must not be before the first day")
                .done();
        choices = List.copyOf(choices);
    }

    /**
     * One plant it may be made of.
     *
     * @param driedGPerUnit grams of dried herb to one unit of the product, at their most
     * @param leadDays from the dried herb to what can be used: steeping, settling
     * @param keepsDays of what was made; of what is only dried its herb's own life counts
     */
    public record Choice(String herb, double driedGPerUnit, int leadDays, int keepsDays) {
        public Choice {
            Checks.begin()
                    .positive("driedGPerUnit", driedGPerUnit)
                    .range("leadDays", leadDays, 0, 400)
                    .range("keepsDays", keepsDays, 0, 4000)
                    .done();
        }
    }

    /** @param until the last day of them */
    public record ColdMonths(LocalDate from, LocalDate until) {

        /** October to March, south of the line April to September: those that are on, else the next. */
        public static ColdMonths of(LocalDate today, boolean southern) {
            int begins = southern ? 4 : 10;
            LocalDate from = LocalDate.of(today.getYear() - 1, begins, 1);
            while (!from.plusMonths(MONTHS).isAfter(today)) {
                from = from.plusYears(1);
            }
            return new ColdMonths(from, from.plusMonths(MONTHS).minusDays(1));
        }

        private static final int MONTHS = 6;
    }

    /** What must be in hand on its first day and keep to its last. */
    record Slice(LocalDate from, LocalDate until, double amount) {}

    /** What was to be used before today is not wanted any more. */
    List<Slice> slices(LocalDate today) {
        if (!evenly) {
            return until.isBefore(today)
                    ? List.of()
                    : List.of(new Slice(from.isBefore(today) ? today : from, until, amount));
        }
        long days = until.toEpochDay() - from.toEpochDay() + 1;
        int n = (int) Math.max(1, Math.round((double) days / SLICE_DAYS));
        List<Slice> slices = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            LocalDate begins = from.plusDays(days * i / n);
            LocalDate ends = from.plusDays(days * (i + 1) / n - 1);
            if (!ends.isBefore(today)) {
                slices.add(new Slice(begins.isBefore(today) ? today : begins, ends, amount / n));
            }
        }
        return slices;
    }
}
