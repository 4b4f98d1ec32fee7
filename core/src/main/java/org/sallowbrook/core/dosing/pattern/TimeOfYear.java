package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/** From a day of the year to another; over the new year where the last is before the first. */
final class TimeOfYear {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private TimeOfYear() {}

    static Checks check(@Nullable MonthDay from, @Nullable MonthDay to) {
        return Checks.begin()
                .that(from != null, "pattern.from", "must be given for a season")
                .that(to != null, "pattern.to", "must be given for a season");
    }

    static boolean holds(MonthDay from, MonthDay to, LocalDate date) {
        MonthDay day = MonthDay.from(date);
        return from.isAfter(to) ? !day.isBefore(from) || !day.isAfter(to) : !day.isBefore(from) && !day.isAfter(to);
    }

    static String words(MonthDay from, MonthDay to) {
        return "from " + from.format(DAY) + " to " + to.format(DAY);
    }
}
