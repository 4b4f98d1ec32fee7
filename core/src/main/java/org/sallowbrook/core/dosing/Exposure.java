package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.TreeSet;

/** How long something has been taken already. Ending a course and beginning another does not begin the count again. */
public final class Exposure {

    /**
     * Days without it after which a new course counts from the start. A working rule of this tool, on the careful side: no
     * monograph says how long a pause must be.
     */
    public static final int PAUSE_DAYS = 14;

    private Exposure() {}

    /**
     * Calendar days before a course on which its plant was in use, pauses of under {@link #PAUSE_DAYS} included.
     *
     * @param taken days on which any of it was taken, in whatever course
     */
    public static int daysBefore(Collection<LocalDate> taken, LocalDate start) {
        LocalDate first = start;
        for (LocalDate day : new TreeSet<>(taken).headSet(start, false).descendingSet()) {
            if (ChronoUnit.DAYS.between(day, first) > PAUSE_DAYS) {
                break;
            }
            first = day;
        }
        return (int) ChronoUnit.DAYS.between(first, start);
    }
}
