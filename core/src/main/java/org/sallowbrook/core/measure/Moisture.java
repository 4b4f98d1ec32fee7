package org.sallowbrook.core.measure;

/**
 * Water content of plant material on the wet basis (water over total mass), possibly uncertain; 0..0.98.
 *
 * <p>The drying models work on the dry basis M = w / (1 - w), water over dry matter.
 */
public record Moisture(double low, double high) {

    public static final double MOST = 0.98;

    /** Of dried herb as it comes into the jar: what a card, a dose and a ratio mean by dried herb; a working figure. */
    public static final double DRIED = 0.10;

    /** Above this herb is not dry enough to be shut in a jar or covered with oil: water parts, and mould grows. */
    public static final double DAMP = 0.14;

    /** Of dried herb that nobody weighed dry, from a shop or a jar. */
    public static final Moisture OF_DRIED_HERB = Moisture.of(0.08, 0.12);

    public Moisture {
        Checks.begin()
                .range("low", low, 0, MOST)
                .range("high", high, 0, MOST)
                .that(!(low > high), "low", "must not be above high")
                .done();
    }

    public static Moisture of(double low, double high) {
        return new Moisture(low, high);
    }

    public static Moisture exactly(double value) {
        return new Moisture(value, value);
    }

    public double mid() {
        return (low + high) / 2;
    }

    /** So much of it as dried herb, at {@link #DRIED}. @param wetBasis of what was weighed, 0 to 1 */
    public static double asDried(double massG, double wetBasis) {
        return massG * (1 - wetBasis) / (1 - DRIED);
    }

    /** Dried herb, at {@link #DRIED}, in one gram of it. */
    public Interval driedGPerG() {
        return new Interval(asDried(1, high), asDried(1, low));
    }

    /** Dry basis from wet basis; both as fractions. */
    public static double dryBasis(double wetBasis) {
        return wetBasis / (1 - wetBasis);
    }

    /** Wet basis from dry basis; both as fractions. */
    public static double wetBasis(double dryBasis) {
        return dryBasis / (1 + dryBasis);
    }

    public Interval asInterval() {
        return new Interval(low, high);
    }
}
