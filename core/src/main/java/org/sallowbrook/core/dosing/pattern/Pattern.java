package org.sallowbrook.core.dosing.pattern;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** When doses are planned. What is planned is the most that may be taken: ceilings and bottles are reckoned from it. */
public sealed interface Pattern
        permits Daily, Weekdays, Weekly, WeeklyInSeason, Cycle, DaysPerMonth, Season, EveryHours, AsNeeded, Drawn {

    /**
     * How many doses fall on a day of the course.
     *
     * @param day from 0
     * @param timesPerDay on a full day; what keeps its own distance does not ask for it
     */
    int doses(int day, LocalDate date, int timesPerDay);

    /** The least distance between two doses, hours; null where none is asked for. */
    default @Nullable Double leastHours() {
        return null;
    }

    /** As it is said on a dose card: "5 days on, 2 off". */
    String words();
}
