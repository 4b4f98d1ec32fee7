package org.sallowbrook.core.herbarium;

import org.sallowbrook.core.measure.Checks;

/**
 * How often a state is shown. What a card does not list for a character it describes is never shown.
 *
 * @param share weight before the states of one character are normalised to 1, above 0 and at most 1
 */
public record Frequency(Word word, double share) {

    public enum Word {
        ALWAYS,
        USUAL,
        RARE,
        /** Not listed, but nobody has written down why no individual could show it. */
        POSSIBLE
    }

    public static final Frequency ALWAYS = new Frequency(Word.ALWAYS, 1);
    public static final Frequency USUAL = new Frequency(Word.USUAL, 0.8);
    public static final Frequency RARE = new Frequency(Word.RARE, 0.05);

    public Frequency {
        Checks.begin()
                .that(share > 0 && share <= 1, "share", "must be above 0 and at most 1")
                .that(word != Word.ALWAYS || share == 1, "share", "of a state always shown is 1")
                .done();
    }

    public boolean isUsual() {
        return word == Word.ALWAYS || word == Word.USUAL;
    }

    /** All states left open of one character share this weight. */
    private static final double LEFT_OPEN = 0.02;

    static Frequency possible(int statesLeftOpen) {
        return new Frequency(Word.POSSIBLE, LEFT_OPEN / statesLeftOpen);
    }

    /** Usual in a stated share of plants. */
    public static Frequency usual(double share) {
        return new Frequency(Word.USUAL, share);
    }
}
