package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

/**
 * Day and night at a distance, the first dose at the start of the first day; a dose belongs to the day it falls in.
 *
 * @param everyHours 1 to 168; the shorter end where it is a range, by which it is planned
 * @param toHours the longer end; null for none
 */
public record EveryHours(double everyHours, @Nullable Double toHours) implements Pattern {

    static final double MOST = 168;

    public EveryHours {
        Checks.begin()
                .that(everyHours >= 1 && everyHours <= MOST, "pattern.everyHours", "must be from 1 to 168")
                .that(
                        toHours == null || toHours >= everyHours && toHours <= MOST,
                        "pattern.toHours",
                        "must not be less than the hours before it, and at most 168")
                .done();
    }

    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return (int) (Math.ceil((day + 1) * 24 / everyHours) - Math.ceil(day * 24 / everyHours));
    }

    @Override
    public Double leastHours() {
        return everyHours;
    }

    @Override
    public String words() {
        return "every " + Words.figure(everyHours) + (toHours == null ? "" : " to " + Words.figure(toHours)) + " hours";
    }
}
