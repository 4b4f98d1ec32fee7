package org.sallowbrook.core.making;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/** Pressings that are asked about before they are believed. */
public final class PressingCheck {

    private static final double LITTLE = 0.6;
    private static final double MUCH = 1.15;

    /** Sooner than this share of the time it was to steep. */
    private static final double EARLY = 0.25;

    /** More than this share of the most that was expected is a slip of the pen. */
    private static final double MOST = 1.3;

    private PressingCheck() {}

    /**
     * @param expected what the plan said would come out
     * @param pouredOff what was bottled before
     * @return the most that can be believed, in the same unit
     */
    public static double most(Interval expected, double pouredOff) {
        return expected.high() * MOST - pouredOff;
    }

    /**
     * @param expected what the plan said would come out, in the unit
     * @param came out in all
     * @param afterDays since it was begun
     * @param plannedDays 0 where it was not to steep
     */
    public static List<Finding> unlikely(
            Interval expected, String unit, double came, long afterDays, long plannedDays) {
        Checks.begin()
                .positive("yieldAmount", came)
                .that(afterDays >= 0, "on", "must not be before the start")
                .done();
        List<Finding> findings = new ArrayList<>();
        if (came < expected.low() * LITTLE || came > expected.high() * MUCH) {
            findings.add(Finding.warn(
                    "UNLIKELY_YIELD",
                    Words.figure(came) + " " + unit + " came out where " + Words.range(expected, unit)
                            + " were expected.",
                    "Measure again, or say why it is right. The household learns nothing from it."));
        }
        if (afterDays < plannedDays * EARLY) {
            findings.add(Finding.trifle(
                    "PRESSED_EARLY",
                    "Pressed after " + afterDays + (afterDays == 1 ? " day" : " days") + " where " + plannedDays
                            + " were planned: little is in it yet.",
                    "Leave it to steep, or say why."));
        }
        return findings;
    }
}
