package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import org.sallowbrook.core.measure.Checks;

/** The first days of each month. @param daysPerMonth 1 to 31 */
public record DaysPerMonth(int daysPerMonth) implements Pattern {
    public DaysPerMonth {
        Checks.begin()
                .that(daysPerMonth >= 1 && daysPerMonth <= 31, "pattern.daysPerMonth", "must be from 1 to 31")
                .done();
    }

    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return date.getDayOfMonth() <= daysPerMonth ? timesPerDay : 0;
    }

    @Override
    public String words() {
        return daysPerMonth == 1 ? "the first day of each month" : "the first " + daysPerMonth + " days of each month";
    }
}
