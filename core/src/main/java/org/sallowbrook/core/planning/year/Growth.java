package org.sallowbrook.core.planning.year;

import java.time.LocalDate;
import java.util.List;
import org.hipparchus.special.Erf;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;

/**
 * A part of the plants of one stand, as the year may bring it.
 *
 * @param herb its {@link Herb}
 * @param walk on which it lies; stands of one walk are visited together
 * @param wholeG grams fresh that all of the part would weigh
 * @param share that may still be taken this calendar year, 0 to 1
 * @param nextShare that may be taken from next New Year on, 0 to 1
 * @param weakness 0 for a stand that holds by its counts, 1 for one that may not
 */
public record Growth(
        String id,
        String stand,
        String herb,
        String walk,
        Interval wholeG,
        double share,
        double nextShare,
        double weakness,
        List<Window> windows) {

    /** Days by which a window's end may lie off, at least. */
    private static final double LEAST_SD = 7;

    private static final double OF_90 = 2 * 1.645;

    public Growth {
        Checks.begin()
                .that(wholeG.low() >= 0, "wholeG", "must not be negative")
                .range("share", share, 0, 1)
                .range("nextShare", nextShare, 0, 1)
                .range("weakness", weakness, 0, 1)
                .done();
        windows = List.copyOf(windows);
    }

    /**
     * When it can be picked.
     *
     * @param early with a chance of 5, 50, 95 in a hundred that it has begun
     * @param until when it is more likely over than not
     */
    public record Window(LocalDate early, LocalDate from, LocalDate late, LocalDate until) {

        double sdDays() {
            return Math.max(1, (late.toEpochDay() - early.toEpochDay()) / OF_90);
        }

        /** How likely it has begun and is not over. */
        double ripe(LocalDate on) {
            return below(on.toEpochDay() - from.toEpochDay(), sdDays())
                    * below(until.toEpochDay() - on.toEpochDay(), Math.max(LEAST_SD, sdDays()));
        }

        private static double below(double days, double sd) {
            return Erf.erfc(-days / (sd * Math.sqrt(2))) / 2;
        }
    }

    /** 0 to 1. */
    double ripe(LocalDate on) {
        return windows.stream().mapToDouble(w -> w.ripe(on)).max().orElse(0);
    }

    double share(LocalDate on, LocalDate today) {
        return on.getYear() == today.getYear() ? share : nextShare;
    }
}
