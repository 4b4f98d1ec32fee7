package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;

public record Daily() implements Pattern {
    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return timesPerDay;
    }

    @Override
    public String words() {
        return "every day";
    }
}
