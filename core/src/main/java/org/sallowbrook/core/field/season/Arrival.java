package org.sallowbrook.core.field.season;

import java.time.LocalDate;
import java.time.Year;
import org.hipparchus.special.Erf;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * The day on which something begins this year, uncertain in what it takes and in the weather ahead: over the courses that the
 * year may still run, the chance that a course has reached a normally distributed amount, meaned.
 *
 * @param needed amount in the units of the progress, mean
 * @param sd of it, more than 0
 * @param notYetOn a day of this year on which it had not begun; null where nobody looked
 */
public record Arrival(
        Progress progress,
        double needed,
        double sd,
        @Nullable LocalDate notYetOn) {

    public Arrival {
        Checks.begin()
                .range("needed", needed, -1e5, 1e5)
                .positive("sd", sd)
                .that(notYetOn == null || notYetOn.getYear() == progress.year(), "notYetOn", "must lie in the year")
                .done();
    }

    /** The chance that it has begun by the end of a day of the year, 0 to 1. */
    public double by(LocalDate day) {
        if (day.getYear() != progress.year()) {
            return day.getYear() < progress.year() ? 0 : 1;
        }
        if (notYetOn == null) {
            return 1 - left(day.getDayOfYear());
        }
        if (!day.isAfter(notYetOn)) {
            return 0;
        }
        // By what is left over, which stays exact far out in the tail: later than anybody would have thought.
        double before = left(notYetOn.getDayOfYear());
        return before > 0 ? 1 - left(day.getDayOfYear()) / before : 1;
    }

    /** The chance that it has not begun. @param day of the year, from 1 */
    private double left(int day) {
        double sum = 0;
        for (int c = 0; c < progress.courses(); c++) {
            sum += Erf.erfc((progress.reached(c, day) - needed) / (sd * Math.sqrt(2))) / 2;
        }
        return sum / progress.courses();
    }

    /** The first day by which it has begun with this chance; null when not in this year. @param chance 0 to 1 */
    public @Nullable LocalDate day(double chance) {
        Checks.begin().range("chance", chance, 0, 1).done();
        int low = 1;
        int high = Year.of(progress.year()).length();
        if (by(LocalDate.ofYearDay(progress.year(), high)) < chance) {
            return null;
        }
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (by(LocalDate.ofYearDay(progress.year(), middle)) < chance) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return LocalDate.ofYearDay(progress.year(), low);
    }
}
