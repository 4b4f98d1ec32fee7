package org.sallowbrook.core.field;

import java.time.LocalDate;
import java.util.Set;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;

/** When to go back to a plant that could not be told: in the season that settles it, and not the next morning. */
public final class LookAgain {

    /** A stage does not come overnight; a working figure of this tool. */
    public static final int NOT_BEFORE_DAYS = 7;

    /** For so long a plant is much as it was; a working figure of this tool. */
    public static final int GOES_ON_DAYS = 14;

    private LookAgain() {}

    /**
     * Whether a look may be gone on with, its answers and new ones together. It is then still one look: only one that was not
     * certain, so that nothing is ever confirmed twice by the same answers.
     */
    public static boolean goesOn(IdentityOnRecord.Look look, LocalDate today) {
        return look.status() == Identification.Status.NOT_YET
                && !look.on().isBefore(today.minusDays(GOES_ON_DAYS))
                && !look.on().isAfter(today);
    }

    /**
     * @param looked day of the last look
     * @param months 1 to 12, those in which the card knows the stage that settles it; not empty
     * @return in a month of the season: its day of this season, before or on {@code today}; else the first day of the next one
     */
    public static LocalDate due(LocalDate looked, Set<Integer> months, LocalDate today) {
        Checks.begin()
                .that(
                        !months.isEmpty() && months.stream().allMatch(m -> m >= 1 && m <= 12),
                        "months",
                        "must lie in 1 to 12")
                .done();
        LocalDate first = looked.plusDays(NOT_BEFORE_DAYS);
        LocalDate day = first.isAfter(today) ? first : later(first, today.withDayOfMonth(1));
        while (!months.contains(day.getMonthValue())) {
            day = day.plusMonths(1).withDayOfMonth(1);
        }
        return day;
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }
}
