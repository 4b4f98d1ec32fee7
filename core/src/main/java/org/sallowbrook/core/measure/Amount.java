package org.sallowbrook.core.measure;

/** So much of something on the shelf, 0 or more. Grams and millilitres are never added or subtracted. */
public record Amount(double value, Unit unit) {

    /** What is lost in adding up many small amounts; below any scale. */
    private static final double ROUNDING = 1e-6;

    public Amount {
        Checks.begin().notNegative("amount", value).done();
    }

    public static Amount of(double value, Unit unit) {
        return new Amount(value, unit);
    }

    /** @throws InvalidInput where the units differ */
    public Amount plus(Amount other) {
        return new Amount(value + same(other).value, unit);
    }

    /** @throws InvalidInput for a factor below 0 */
    public Amount times(double factor) {
        return new Amount(value * factor, unit);
    }

    /** How many times the other goes into it. @throws InvalidInput where the units differ, or the other is nothing */
    public double over(Amount other) {
        Checks.begin().positive("amount", same(other).value).done();
        return value / other.value;
    }

    /** @throws InvalidInput where the units differ */
    public boolean moreThan(Amount other) {
        return value > same(other).value;
    }

    /** @throws InvalidInput where the units differ, or where more is taken than there is */
    public Amount minus(Amount other) {
        double left = value - same(other).value;
        Checks.begin()
                .that(left >= -ROUNDING * (1 + value), "amount", "is more than there is, " + this)
                .done();
        return new Amount(Math.max(0, left), unit);
    }

    /** @throws InvalidInput where the units differ */
    public boolean covers(Amount other) {
        return same(other).value <= value + ROUNDING * (1 + value);
    }

    private Amount same(Amount other) {
        Checks.begin()
                .that(unit == other.unit, "unit", "is " + other.unit.symbol() + " where " + unit.symbol() + " are kept")
                .done();
        return other;
    }

    @Override
    public String toString() {
        return Words.figure(value) + " " + unit.symbol();
    }
}
