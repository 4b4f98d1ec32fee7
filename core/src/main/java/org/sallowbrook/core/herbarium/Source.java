package org.sallowbrook.core.herbarium;

/**
 * Where a figure or statement comes from.
 *
 * @param title of a public document
 * @param year of its publication
 */
public record Source(String title, int year, Evidence evidence, Review review) {

    /** The kinds of evidence, strongest first. */
    public enum Evidence {
        CONTROLLED_TRIAL,
        OFFICIAL_MONOGRAPH,
        LONG_TRADITION,
        OWN_EXPERIENCE,
        TEACHER,
        LABORATORY_CELLS,
        ANIMALS,
        OLD_BOOK,
        HEARSAY,
        LORE,
        UNCERTAIN,
        CONTRADICTED,
        /** A standard flora or general reference: what a plant looks like, not what it does. */
        REFERENCE;

        /** Whether it stands in a document that somebody answers for, which can be opened again. */
        public boolean inABook() {
            return this == CONTROLLED_TRIAL || this == OFFICIAL_MONOGRAPH || this == REFERENCE;
        }
    }

    /** STARTER came with the application, unchecked by this household. */
    public enum Review {
        STARTER,
        CHECKED
    }

    /** The same source, found right in a book of the household. */
    public Source checked() {
        return new Source(title, year, evidence, Review.CHECKED);
    }
}
