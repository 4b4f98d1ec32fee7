package org.sallowbrook.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Figures as they stand in a sentence: rounded for the eye, never for the reckoning. */
public final class Words {

    private static final int PLACES = 6;
    private static final double LARGEST_EXACT = 1e15;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private Words() {}

    /** So many minutes as they are said: "20 minutes", "8 hours", "3 days". */
    public static String lasting(double minutes) {
        return minutes < 120
                ? figure(minutes) + (minutes == 1 ? " minute" : " minutes")
                : minutes < 48 * 60 ? figure(minutes / 60) + " hours" : figure(minutes / 60 / 24) + " days";
    }

    /** At most three significant places that matter in a kitchen: 1234, 123, 12.3, 1.23, 0.012. */
    public static String figure(double value) {
        double size = Math.abs(value);
        return rounded(value, size >= 100 ? 0 : size >= 10 ? 1 : size >= 0.1 ? 2 : 3);
    }

    /** Six significant places at most, for an equation that is to be done again. */
    public static String exact(double value) {
        if (value == 0) {
            return "0";
        }
        int magnitude = (int) Math.floor(Math.log10(Math.abs(value)));
        return rounded(value, PLACES - 1 - magnitude).replace('-', '−');
    }

    /** Rounded half up to so many decimals (fewer than none: to tens and more), without trailing zeros. */
    private static String rounded(double value, int decimals) {
        double scaled = Math.abs(value) * Math.pow(10, decimals);
        if (!(scaled < LARGEST_EXACT)) {
            return new BigDecimal(value)
                    .setScale(decimals, RoundingMode.HALF_UP)
                    .stripTrailingZeros()
                    .toPlainString();
        }
        long digits = (long) Math.floor(scaled + 0.5);
        String text = digits == 0 ? "0" : pointed(digits, decimals);
        return value < 0 && digits != 0 ? "-" + text : text;
    }

    /** Digits times ten to the minus decimals; written by hand because a reckoning prints dozens of them. */
    private static String pointed(long digits, int decimals) {
        long left = digits;
        int places = decimals;
        while (places > 0 && left % 10 == 0) {
            left /= 10;
            places--;
        }
        StringBuilder text = new StringBuilder().append(left);
        if (places <= 0) {
            return text.append("0".repeat(-places)).toString();
        }
        if (text.length() <= places) {
            text.insert(0, "0".repeat(places - text.length() + 1));
        }
        return text.insert(text.length() - places, '.').toString();
    }

    /** {@link #exact(double)} with its unit; an empty unit leaves none. */
    public static String exact(double value, String unit) {
        return unit.isEmpty() ? exact(value) : exact(value) + " " + unit;
    }

    /** A constant as a word: HEAPED_TEASPOON as "heaped teaspoon". */
    public static String lower(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** A day as people read it: 3 Jul 2026. */
    public static String day(LocalDate day) {
        return day.format(DAY);
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
