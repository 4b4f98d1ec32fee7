package org.sallowbrook.core.measure;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.InvalidInput.Violation;

/** Collects what is wrong with an input. Comparisons are written so that NaN fails them. */
public final class Checks {

    private final List<Violation> violations = new ArrayList<>();

    private Checks() {}

    public static Checks begin() {
        return new Checks();
    }

    /** More than any household has of anything, in g, mL or hours; what is larger would overflow further on. */
    public static final double LARGEST = 1e9;

    /** At least zero, and at most {@link #LARGEST}. */
    public Checks notNegative(String field, double value) {
        return range(field, value, 0, LARGEST);
    }

    /** Less than anything a household can weigh or measure; dividing by what is smaller would overflow. */
    public static final double SMALLEST = 1e-6;

    /** From {@link #SMALLEST} to {@link #LARGEST}. */
    public Checks positive(String field, double value) {
        return that(
                value >= SMALLEST && value <= LARGEST,
                field,
                value > 0 && value < SMALLEST
                        ? "is too small to be measured"
                        : "must be above 0 and at most " + plain(LARGEST));
    }

    /** Within low..high, ends included. */
    public Checks range(String field, double value, double low, double high) {
        // The message is made only where it is needed: this door is passed many times in one reckoning.
        if (value >= low && value <= high) {
            return this;
        }
        return that(false, field, "must be from " + plain(low) + " to " + plain(high));
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

    private static final MathContext READ = new MathContext(4);

    private static String plain(double value) {
        // Four figures are read; fourteen are not.
        return value == Math.rint(value) && Math.abs(value) < 1e12
                ? Long.toString((long) value)
                : Double.isFinite(value)
                        ? new BigDecimal(value).round(READ).stripTrailingZeros().toPlainString()
                        : Double.toString(value);
    }
}
