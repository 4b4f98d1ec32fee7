package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;

/** Once in seven days, on the weekday on which it begins. */
public record Weekly() implements Pattern {
    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return day % 7 == 0 ? timesPerDay : 0;
    }

    @Override
    public String words() {
        return "one day a week";
    }
}
