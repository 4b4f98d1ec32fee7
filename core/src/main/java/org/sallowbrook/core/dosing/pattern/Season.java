package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import java.time.MonthDay;

/** Every day of a season of the year. */
public record Season(MonthDay from, MonthDay to) implements Pattern {
    public Season {
        TimeOfYear.check(from, to).done();
    }

    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return TimeOfYear.holds(from, to, date) ? timesPerDay : 0;
    }

    @Override
    public String words() {
        return "every day " + TimeOfYear.words(from, to);
    }
}
