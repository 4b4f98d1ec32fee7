package org.sallowbrook.core.dosing.pattern;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.sallowbrook.core.measure.Checks;

/** On named days of the week. */
public record Weekdays(Set<DayOfWeek> on) implements Pattern {
    public Weekdays {
        Checks.begin()
                .that(!on.isEmpty(), "pattern.on", "must name a day of the week")
                .done();
        on = Set.copyOf(on);
    }

    @Override
    public int doses(int day, LocalDate date, int timesPerDay) {
        return on.contains(date.getDayOfWeek()) ? timesPerDay : 0;
    }

    @Override
    public String words() {
        return "every " + EnumSet.copyOf(on).stream().map(Weekdays::name).collect(Collectors.joining(", "));
    }

    static String name(DayOfWeek day) {
        return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }
}
