package org.sallowbrook.core.measure;

import java.util.function.DoubleUnaryOperator;

/** An uncertain figure; the unit stands in the name of whatever holds it. Finite, low at most high. */
public record Interval(double low, double high) {

    public Interval {
        Checks.begin()
                .that(Double.isFinite(low), "low", "must be a finite number")
                .that(Double.isFinite(high), "high", "must be a finite number")
                .that(!(low > high), "low", "must not be above high")
                .done();
    }

    public static Interval of(double low, double high) {
        return new Interval(low, high);
    }

    public static Interval exactly(double value) {
        return new Interval(value, value);
    }

    /** The two values in either order. */
    public static Interval between(double a, double b) {
        return new Interval(Math.min(a, b), Math.max(a, b));
    }

    public double mid() {
        return low + (high - low) / 2;
    }

    public boolean isExact() {
        return low == high;
    }

    public Interval times(double factor) {
        return between(low * factor, high * factor);
    }

    public Interval plus(double term) {
        return new Interval(low + term, high + term);
    }

    public Interval plus(Interval other) {
        return new Interval(low + other.low, high + other.high);
    }

    /** Applies a monotonic function to both ends. */
    public Interval map(DoubleUnaryOperator monotonic) {
        return between(monotonic.applyAsDouble(low), monotonic.applyAsDouble(high));
    }
}
