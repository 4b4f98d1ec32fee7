package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** What was taken beside what was planned, up to a day. */
public final class Adherence {

    /** Drunk in less than this share of the time it should take is gulped; a working figure of this tool. */
    private static final double GULPED = 0.5;

    /**
     * @param ml what was really swallowed
     * @param overMinutes how slowly; null where nobody said
     */
    public record Taken(LocalDate on, double ml, @Nullable Integer overMinutes) {
        public Taken {
            Checks.begin().notNegative("ml", ml).done();
        }

        public Taken(LocalDate on, double ml) {
            this(on, ml, null);
        }
    }

    /** @param missedDays planned days before the last one, which is not over, on which nothing was taken */
    public record Result(double plannedMl, double takenMl, int missedDays, List<Finding> findings) {}

    private Adherence() {}

    /** @param overMinutes how slowly a dose is to be drunk; null where it does not matter */
    public static Result compare(Course.Plan plan, @Nullable Integer overMinutes, List<Taken> taken, LocalDate until) {
        Map<LocalDate, Double> byDay = new TreeMap<>();
        taken.stream().filter(t -> !t.on().isAfter(until)).forEach(t -> byDay.merge(t.on(), t.ml(), Double::sum));
        double planned = 0;
        int missed = 0;
        LocalDate over = null;
        for (Course.Day day : plan.days()) {
            if (day.date().isAfter(until)) {
                break;
            }
            double wanted = day.doses() * day.perDoseMl();
            double got = byDay.getOrDefault(day.date(), 0.0);
            planned += wanted;
            missed += wanted > 0 && got == 0 && day.date().isBefore(until) ? 1 : 0;
            over = over == null && got > wanted * (1 + 1e-9) + 1e-9 ? day.date() : over;
        }
        double sum = byDay.values().stream().mapToDouble(Double::doubleValue).sum();
        List<Finding> findings = new ArrayList<>();
        if (over != null) {
            findings.add(Finding.warn(
                    "MORE_THAN_PLANNED",
                    "On " + Words.day(over) + " more was taken than planned: " + Words.millilitres(byDay.get(over))
                            + ".",
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
