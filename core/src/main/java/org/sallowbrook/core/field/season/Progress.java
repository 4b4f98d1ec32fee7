package org.sallowbrook.core.field.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * How far a year has come, by day: in degree-days since 1 January where there is weather, in days where there is none. What of
 * the year is still ahead runs as it did in each of the past years, one course for each.
 */
public final class Progress {

    /** Base of the degree-days where a card says nothing else, degrees Celsius. */
    public static final double BASE_C = 5;

    /** Degrees Celsius that it is colder for each metre up: 6.5 in a kilometre, ICAO standard atmosphere (1993). */
    public static final double LAPSE_C_PER_M = 0.0065;

    /** Fewer past years make no band; then the calendar is used. */
    public static final int LEAST_YEARS = 3;

    /** A year counts as a past one when so many of its days are known. */
    private static final int LEAST_DAYS = 350;

    private static final int DAYS = 366;

    private final int year;
    private final boolean warmth;
    /** By course and day of the year from 0: reached by the end of the day. */
    private final double[][] reached;

    private Progress(int year, boolean warmth, double[][] reached) {
        this.year = year;
        this.warmth = warmth;
        this.reached = reached;
    }

    /** Without weather: a day is a day. */
    public static Progress byCalendar(int year) {
        double[] days = new double[DAYS];
        for (int d = 0; d < DAYS; d++) {
            days[d] = d + 1;
        }
        return new Progress(year, false, new double[][] {days});
    }

    /**
     * By warmth, as far as there are readings of this year and of at least {@value #LEAST_YEARS} years before; else by the
     * calendar.
     *
     * @param today readings after it are not looked at
     * @param aboveStationM how much higher the plant stands than the readings are taken
     */
    public static Progress byWarmth(int year, DailyMeans readings, LocalDate today, double aboveStationM) {
        Checks.begin().range("aboveStationM", aboveStationM, -5000, 5000).done();
        double coldestThatCounts = BASE_C + LAPSE_C_PER_M * aboveStationM;
        List<double[]> past = new ArrayList<>();
        for (int y : readings.before(year).keySet()) {
            double[] gains = gains(readings.of(y, today), coldestThatCounts);
            if (gains != null) {
                past.add(gains);
            }
        }
        if (past.size() < LEAST_YEARS) {
            return byCalendar(year);
        }
        double[] known = readings.of(year, today);
        double[][] reached = new double[past.size()][DAYS];
        for (int c = 0; c < past.size(); c++) {
            double sum = 0;
            for (int d = 0; d < DAYS; d++) {
                sum += known == null || Double.isNaN(known[d])
                        ? past.get(c)[d]
                        : Math.max(0, known[d] - coldestThatCounts);
                reached[c][d] = sum;
            }
        }
        return new Progress(year, true, reached);
    }

    /** Each day's gain in a year that is known nearly whole; a missing day gains as the one before. */
    private static double @Nullable [] gains(double @Nullable [] means, double coldestThatCounts) {
        if (means == null) {
            return null;
        }
        double[] of = new double[DAYS];
        int known = 0;
        double last = 0;
        for (int d = 0; d < DAYS; d++) {
            if (!Double.isNaN(means[d])) {
                known++;
                last = Math.max(0, means[d] - coldestThatCounts);
            }
            of[d] = last;
        }
        return known < LEAST_DAYS ? null : of;
    }

    public int year() {
        return year;
    }

    /** Whether it is degree-days; else it is days. */
    public boolean warmth() {
        return warmth;
    }

    public String unit() {
        return warmth ? "degree-days" : "days";
    }

    int courses() {
        return reached.length;
    }

    /** @param day of the year, from 1; at most 366 */
    double reached(int course, int day) {
        return reached[course][day - 1];
    }

    /** Mean over the courses. @param day of the year, from 1; fractions and days outside of the year are drawn on in a line */
    double mean(double day) {
        int low = (int) Math.min(DAYS - 1, Math.max(1, Math.floor(day)));
        double a = meanOf(low);
        return a + (meanOf(low + 1) - a) * (day - low);
    }

    private double meanOf(int day) {
        double sum = 0;
        for (double[] course : reached) {
            sum += course[day - 1];
        }
        return sum / reached.length;
    }

    /** How much a day adds about this time, over a month; never nothing, for uncertain days are turned into units by it. */
    double perDay(double day) {
        double low = Math.max(1, Math.min(DAYS - 30, day - 15));
        return Math.max(warmth ? 0.5 : 1, (mean(low + 30) - mean(low)) / 30);
    }
}
