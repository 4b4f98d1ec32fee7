package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import org.hipparchus.random.Well19937c;
import org.sallowbrook.core.measure.Checks;

/**
 * Blocks of days with and without, two by two, which of the two comes first drawn by lot: to see whether it helps.
 *
 * @param onDays in a block, 1 to 14
 * @param lot what is drawn from: the same number draws the same days
 */
public record Drawn(int onDays, int lot) implements Pattern {
    public Drawn {
        Checks.begin()
                .that(onDays >= 1 && onDays <= 14, "pattern.onDays", "must be from 1 to 14")
                .done();
    }

    /** Which pair of blocks a day belongs to, from 0. */
    public int pair(int day) {
        return day / onDays / 2;
    }

    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        boolean second = day / onDays % 2 == 1;
        boolean first = new Well19937c(new int[] {lot, pair(day)}).nextBoolean();
        return first != second ? timesPerDay : 0;
    }

    @Override
    public String words() {
        return (onDays == 1 ? "single days" : "stretches of " + onDays + " days") + " with and without, drawn by lot";
    }
}
