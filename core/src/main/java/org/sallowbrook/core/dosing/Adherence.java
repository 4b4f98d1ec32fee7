package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** What was taken beside what was planned, up to a day. */
public final class Adherence {

    /** Drunk in less than this share of the time it should take is gulped; a working figure of this tool. */
    private static final double GULPED = 0.5;

    /**
     * @param amount what was really swallowed
     * @param overMinutes how slowly; null where nobody said
     */
    public record Taken(
            LocalDate on, Amount amount, @Nullable Integer overMinutes) {
        public Taken(LocalDate on, Amount amount) {
            this(on, amount, null);
        }
    }

    /** @param missedDays planned days before the last one, which is not over, on which nothing was taken */
    public record Result(Amount planned, Amount taken, int missedDays, List<Finding> findings) {}

    private Adherence() {}

    /** @param overMinutes how slowly a dose is to be drunk; null where it does not matter */
    public static Result compare(Course.Plan plan, @Nullable Integer overMinutes, List<Taken> taken, LocalDate until) {
        Map<LocalDate, Amount> byDay = new TreeMap<>();
        taken.stream().filter(t -> !t.on().isAfter(until)).forEach(t -> byDay.merge(t.on(), t.amount(), Amount::plus));
        Amount nothing = plan.total().times(0);
        Amount planned = nothing;
        int missed = 0;
        LocalDate over = null;
        for (Course.Day day : plan.days()) {
            if (day.date().isAfter(until)) {
                break;
            }
            Amount wanted = day.total();
            Amount got = byDay.getOrDefault(day.date(), nothing);
            planned = planned.plus(wanted);
            missed += wanted.value() > 0 && got.value() == 0 && day.date().isBefore(until) ? 1 : 0;
            over = over == null && !wanted.covers(got) ? day.date() : over;
        }
        Amount sum = byDay.values().stream().reduce(nothing, Amount::plus);
        List<Finding> findings = new ArrayList<>();
        if (over != null) {
            findings.add(Finding.warn(
                    "MORE_THAN_PLANNED",
                    "On " + Words.day(over) + " more was taken than planned: " + byDay.get(over) + ".",
                    "Go back to the plan; do not make up for missed doses."));
        }
        long gulped = taken.stream()
                .filter(t -> overMinutes != null && t.overMinutes() != null && t.overMinutes() < GULPED * overMinutes)
                .count();
        if (gulped > 0) {
            findings.add(Finding.note(
                    "FASTER_THAN_PLANNED",
                    (gulped == 1 ? "One dose was" : gulped + " doses were") + " drunk much faster than over "
                            + overMinutes + " minutes.",
                    "Sip it: what is gulped down runs past mouth and throat."));
        }
        return new Result(planned, sum, missed, findings);
    }
}
