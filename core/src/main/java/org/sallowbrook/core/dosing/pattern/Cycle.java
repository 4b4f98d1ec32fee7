package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import org.sallowbrook.core.measure.Checks;

/**
 * Some days, then a pause.
 *
 * @param onDays 1 to 366
 * @param offDays 0 to 366
 */
public record Cycle(int onDays, int offDays) implements Pattern {
    public Cycle {
        Checks.begin()
                .that(onDays >= 1 && onDays <= 366, "pattern.onDays", "must be from 1 to 366")
                .that(offDays >= 0 && offDays <= 366, "pattern.offDays", "must be from 0 to 366")
                .done();
    }

    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return day % (onDays + offDays) < onDays ? timesPerDay : 0;
    }

    @Override
    public String words() {
        return onDays + (onDays == 1 ? " day" : " days") + " on, " + offDays + " off";
    }
}
