package org.sallowbrook.core.making;

import org.sallowbrook.core.measure.Interval;

/**
 * A figure of a plan that the page shows large.
 *
 * @param note a second look at it, such as the millilitres of so many grams; empty for none
 */
public record Fact(String label, Interval value, String unit, String note) {

    public static Fact of(String label, double value, String unit) {
        return new Fact(label, Interval.exactly(value), unit, "");
    }

    public static Fact of(String label, double value, String unit, String note) {
        return new Fact(label, Interval.exactly(value), unit, note);
    }

    public static Fact of(String label, Interval value, String unit) {
        return new Fact(label, value, unit, "");
    }
}
