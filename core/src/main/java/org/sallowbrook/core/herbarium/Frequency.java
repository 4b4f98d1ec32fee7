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
        RARE
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

    /** Usual in a stated share of plants. */
    public static Frequency usual(double share) {
        return new Frequency(Word.USUAL, share);
    }
}
