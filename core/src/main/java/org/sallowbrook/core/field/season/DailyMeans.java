package org.sallowbrook.core.field.season;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Readings of many years by year and day, laid out once: a season sums them for every year and height of a stand. */
public final class DailyMeans {

    private static final int DAYS = 366;

    private final NavigableMap<Integer, double[]> byYear = new TreeMap<>();

    private DailyMeans() {}

    /** @param readings of any years, in any order; of two of one day the later in the list counts */
    public static DailyMeans of(List<DayWeather> readings) {
        DailyMeans all = new DailyMeans();
        for (DayWeather w : readings) {
            double[] year = all.byYear.computeIfAbsent(w.day().getYear(), y -> {
                double[] unknown = new double[DAYS];
                Arrays.fill(unknown, Double.NaN);
                return unknown;
            });
            year[w.day().getDayOfYear() - 1] = w.meanC();
        }
        return all;
    }

    /**
     * Each day's mean in degrees Celsius, from 1 January at 0, NaN where it is not known or after the last day that is looked
     * at; null where nothing of the year is.
     */
    double @Nullable [] of(int year, LocalDate until) {
        double[] whole = year > until.getYear() ? null : byYear.get(year);
        if (whole == null || year < until.getYear()) {
            return whole;
        }
        double[] part = whole.clone();
        Arrays.fill(part, until.getDayOfYear(), DAYS, Double.NaN);
        return part;
    }

    /** The years before one of which anything is known, in order. */
    Map<Integer, double[]> before(int year) {
        return byYear.headMap(year);
    }
}
