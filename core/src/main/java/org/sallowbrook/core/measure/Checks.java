package org.sallowbrook.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.sallowbrook.core.measure.InvalidInput.Violation;

/** Collects what is wrong with an input. Comparisons are written so that NaN fails them. */
public final class Checks {

    private final List<Violation> violations = new ArrayList<>();

    private Checks() {}

    public static Checks begin() {
        return new Checks();
    }

    /** Finite and at least zero. */
    public Checks notNegative(String field, double value) {
        return range(field, value, 0, Double.MAX_VALUE);
    }

    /** Finite and above zero. */
    public Checks positive(String field, double value) {
        return that(value > 0 && value <= Double.MAX_VALUE, field, "must be a finite number above 0");
    }

    /** Within low..high, ends included. */
    public Checks range(String field, double value, double low, double high) {
        boolean inside = value >= low && value <= high;
        if (high == Double.MAX_VALUE) {
            return that(
                    inside, field, String.format(Locale.ROOT, "must be a finite number of at least %s", plain(low)));
        }
        return that(inside, field, String.format(Locale.ROOT, "must be from %s to %s", plain(low), plain(high)));
    }

    public Checks that(boolean holds, String field, String message) {
        if (!holds) {
            violations.add(new Violation(field, message));
        }
        return this;
    }

    /** Ends the checks. @throws InvalidInput naming every failed check */
    public void done() {
        if (!violations.isEmpty()) {
            throw new InvalidInput(violations);
        }
    }

    private static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e12
                ? Long.toString((long) value)
                : Double.toString(value);
    }
}
