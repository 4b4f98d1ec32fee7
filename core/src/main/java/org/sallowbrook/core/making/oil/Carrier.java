package org.sallowbrook.core.making.oil;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.measure.Interval;

/**
 * A fatty oil that herb is infused in. What turns first is what is polyunsaturated, so its share sets the life; the months
 * by share are working figures of this tool, within the 6 to 12 months usual for infused oil.
 *
 * @param name as the household says it
 * @param polyunsaturated share of linoleic and linolenic acid in all fatty acids; null when no public figure is known
 * @param source of that share
 */
public record Carrier(
        String name,
        @Nullable Interval polyunsaturated,
        @Nullable Source source) {

    private static final double TURNS_SOON_ABOVE = 0.45;
    private static final double TURNS_LATER_ABOVE = 0.25;
    private static final int SHORT_MONTHS = 6;
    private static final int MIDDLE_MONTHS = 9;
    private static final int LONG_MONTHS = 12;

    /** A carrier nobody has a figure for: the shortest life counts. */
    public static Carrier unknown(String name) {
        return new Carrier(name, null, null);
    }

    /** Months from the pressing of the herb; the unfavourable end of the share decides. */
    public int months() {
        if (polyunsaturated == null || polyunsaturated.high() > TURNS_SOON_ABOVE) {
            return SHORT_MONTHS;
        }
        return polyunsaturated.high() > TURNS_LATER_ABOVE ? MIDDLE_MONTHS : LONG_MONTHS;
    }

    /**
     * Best before of an oil made with it: its own life, and never past the date on the bottle, nor twelve months from the day
     * that bottle was opened.
     */
    public LocalDate bestBefore(LocalDate madeOn, @Nullable LocalDate onTheBottle, @Nullable LocalDate openedOn) {
        LocalDate best = madeOn.plusMonths(months());
        if (onTheBottle != null && onTheBottle.isBefore(best)) {
            best = onTheBottle;
        }
        if (openedOn != null && openedOn.plusMonths(LONG_MONTHS).isBefore(best)) {
            best = openedOn.plusMonths(LONG_MONTHS);
        }
        return best;
    }
}
