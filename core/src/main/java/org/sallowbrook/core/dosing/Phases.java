package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.sallowbrook.core.dosing.pattern.Pattern;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;

/** A course in phases, one after another, each with its own product, dose and pattern. */
public final class Phases {

    private static final int MOST = 12;

    /** @param product name of the bottle or formula taken in this phase */
    public record Phase(String product, Amount perDose, int timesPerDay, Pattern pattern, int days) {}

    /** A phase with its dates. */
    public record Dated(String product, Course.Plan plan) {}

    /**
     * @param totalByProduct in the order of the phases
     * @param longestRunDays the most days on which any one product is taken in consecutive phases
     */
    public record Plan(List<Dated> phases, Map<String, Amount> totalByProduct, LocalDate lastDay, int longestRunDays) {}

    private Phases() {}

    public static Plan plan(LocalDate startOn, List<Phase> phases) {
        Checks.begin()
                .that(!phases.isEmpty() && phases.size() <= MOST, "phases", "must hold from 1 to " + MOST)
                .done();
        List<Dated> dated = new ArrayList<>();
        Map<String, Amount> totals = new LinkedHashMap<>();
        LocalDate start = startOn;
        LocalDate last = startOn;
        int run = 0;
        int longest = 0;
        String before = null;
        for (Phase phase : phases) {
            Course.Plan plan = Course.plan(new Course.Request(
                    start, phase.perDose(), phase.timesPerDay(), phase.pattern(), null, null, phase.days()));
            dated.add(new Dated(phase.product(), plan));
            totals.merge(phase.product(), plan.total(), Amount::plus);
            run = phase.product().equals(before) ? run + phase.days() : phase.days();
            longest = Math.max(longest, run);
            before = phase.product();
            last = plan.lastDay();
            start = last.plusDays(1);
        }
        return new Plan(dated, totals, last, longest);
    }
}
