package org.sallowbrook.core.measure;

/**
 * Alcoholic strength by volume at 20 °C, as a fraction 0..1.
 *
 * @param fraction 0.40 for 40 % vol
 */
public record Strength(double fraction) implements Comparable<Strength> {

    /** Above this the tool refuses: stronger is not a spirit anybody stores at home. */
    public static final double MOST_PERCENT = 97;

    private static final double US_PROOF = 2;
    private static final double UK_PROOF = 1.75;

    public static final Strength NONE = new Strength(0);

    public Strength {
        Checks.begin().range("strength", fraction, 0, 1).done();
    }

    /** From per cent by volume. @throws InvalidInput outside 0..97 */
    public static Strength ofPercent(double percent) {
        Checks.begin().range("strengthPercent", percent, 0, MOST_PERCENT).done();
        return new Strength(percent / 100);
    }

    /** United States proof: twice the per cent by volume. */
    public static Strength ofUsProof(double proof) {
        return ofProof(proof, US_PROOF);
    }

    /** United Kingdom proof: 1.75 times the per cent by volume. */
    public static Strength ofUkProof(double proof) {
        return ofProof(proof, UK_PROOF);
    }

    private static Strength ofProof(double proof, double perPercent) {
        Checks.begin().range("proof", proof, 0, MOST_PERCENT * perPercent).done();
        return ofPercent(Math.min(MOST_PERCENT, proof / perPercent));
    }

    public double usProof() {
        return percent() * US_PROOF;
    }

    public double ukProof() {
        return percent() * UK_PROOF;
    }

    public double percent() {
        return fraction * 100;
    }

    @Override
    public int compareTo(Strength other) {
        return Double.compare(fraction, other.fraction);
    }
}
