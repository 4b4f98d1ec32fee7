package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

/** When it is needed. @param everyHours the least distance, 1 to 168; null for none */
public record AsNeeded(@Nullable Double everyHours) implements Pattern {
    public AsNeeded {
        Checks.begin()
                .that(
                        everyHours == null || everyHours >= 1 && everyHours <= EveryHours.MOST,
                        "pattern.everyHours",
                        "must be from 1 to 168")
                .done();
    }

    /** The least distance holds down how many fit into a day. */
    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return everyHours == null ? timesPerDay : Math.min(timesPerDay, Math.max(1, (int) Math.floor(24 / everyHours)));
    }

    @Override
    public @Nullable Double leastHours() {
        return everyHours;
    }

    @Override
    public String words() {
        return everyHours == null ? "as needed" : "as needed, at least " + Words.figure(everyHours) + " hours apart";
    }
}
