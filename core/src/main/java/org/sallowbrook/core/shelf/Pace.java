package org.sallowbrook.core.shelf;

import java.util.Optional;
import org.sallowbrook.core.measure.Checks;

/**
 * How long what is left lasts, as fast as it went lately.
 *
 * @param usedADay in the unit of the lots
 * @param days it lasts at that rate, rounded down
 */
public record Pace(double usedADay, int days) {

    /** What was used before these days says nothing of now. */
    public static final int WINDOW_DAYS = 90;

    private static final int SOON_DAYS = 60;

    /** What was begun this week tells of no habit yet. */
    private static final int FEWEST_DAYS = 14;

    /** One use is none either. */
    private static final int FEWEST_USES = 2;

    /**
     * What will be gone within two months; empty for what lasts, or is not used.
     *
     * @param left at least 0
     * @param used within the window, at least 0
     * @param keptDays since the first of it came into the house
     * @param usedOnDays days within the window on which some of it was used
     */
    public static Optional<Pace> runningOut(double left, double used, long keptDays, int usedOnDays) {
        Checks.begin().notNegative("left", left).notNegative("used", used).done();
        if (used == 0 || usedOnDays < FEWEST_USES) {
            return Optional.empty();
        }
        double aDay = used / Math.max(FEWEST_DAYS, Math.min(keptDays, WINDOW_DAYS));
        double days = left / aDay;
        return days < SOON_DAYS ? Optional.of(new Pace(aDay, (int) days)) : Optional.empty();
    }
}
