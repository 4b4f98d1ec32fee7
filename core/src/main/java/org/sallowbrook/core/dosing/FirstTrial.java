package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.Collection;

/** How long a first small trial that went well speaks for a person. */
public final class FirstTrial {

    /**
     * Bodies change, and what was borne once need not be borne for ever. A working rule of this tool, on the careful side: no
     * monograph says after how long a plant must be tried anew.
     */
    public static final int HOLDS_DAYS = 730;

    /** What comes late shows within it: a rash on the morrow. A working rule of this tool. */
    private static final int WAITING_DAYS = 1;

    private FirstTrial() {}

    /** Whether the waiting time after a trial is over. */
    public static boolean waited(LocalDate trial, LocalDate on) {
        return !on.isBefore(trial.plusDays(WAITING_DAYS));
    }

    /**
     * @param well days of trials that went well
     * @param taken days on which it was taken since
     */
    public static boolean holds(Collection<LocalDate> well, Collection<LocalDate> taken, LocalDate on) {
        LocalDate first = well.stream().min(LocalDate::compareTo).orElse(null);
        if (first == null) {
            return false;
        }
        LocalDate last = first;
        for (LocalDate day : well) {
            last = day.isAfter(last) ? day : last;
        }
        for (LocalDate day : taken) {
            last = day.isAfter(last) ? day : last;
        }
        return !last.plusDays(HOLDS_DAYS).isBefore(on);
    }
}
