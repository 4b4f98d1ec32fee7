package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** What was taken beside what was planned, up to a day. */
public final class Adherence {

    /** @param ml what was really swallowed, nibbling and food counted in */
    public record Taken(LocalDate on, double ml) {
        public Taken {
            Checks.begin().notNegative("ml", ml).done();
        }
    }

    /** @param missedDays planned days before the last one, which is not over, on which nothing was taken */
    public record Result(double plannedMl, double takenMl, int missedDays, List<Finding> findings) {}

    private Adherence() {}

    public static Result compare(Course.Plan plan, List<Taken> taken, LocalDate until) {
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
        List<Finding> findings = over == null
                ? List.of()
                : List.of(Finding.warn(
                        "MORE_THAN_PLANNED",
                        "On " + over + " more was taken than planned: " + Words.millilitres(byDay.get(over)) + ".",
                        "Go back to the plan; do not make up for missed doses."));
        return new Result(planned, sum, missed, findings);
    }
}
