package org.sallowbrook.core.measure;

import java.util.Locale;

/** Figures as they stand in a sentence: rounded for the eye, never for the reckoning. */
public final class Words {

    private Words() {}

    /** At most three significant places that matter in a kitchen: 1234, 123, 12.3, 1.23, 0.012. */
    public static String figure(double value) {
        double size = Math.abs(value);
        String pattern = size >= 100 ? "%.0f" : size >= 10 ? "%.1f" : size >= 0.1 ? "%.2f" : "%.3f";
        String text = String.format(Locale.ROOT, pattern, value);
        return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    }

    public static String grams(double grams) {
        return figure(grams) + " g";
    }

    public static String millilitres(double millilitres) {
        return figure(millilitres) + " mL";
    }

    /** A fraction as per cent. */
    public static String percent(double fraction) {
        return figure(fraction * 100) + " %";
    }

    public static String range(Interval interval, String unit) {
        String low = figure(interval.low());
        String high = figure(interval.high());
        return (low.equals(high) ? low : low + " to " + high) + " " + unit;
    }
}
