package org.sallowbrook.core.dosing.pattern;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.MonthDay;

/** Once a week within a season of the year. */
public record WeeklyInSeason(MonthDay from, MonthDay to, DayOfWeek on) implements Pattern {
    public WeeklyInSeason {
        TimeOfYear.check(from, to).done();
    }

    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return date.getDayOfWeek() == on && TimeOfYear.holds(from, to, date) ? timesPerDay : 0;
    }

    @Override
    public String words() {
        return "every " + Weekdays.name(on) + " " + TimeOfYear.words(from, to);
    }
}
