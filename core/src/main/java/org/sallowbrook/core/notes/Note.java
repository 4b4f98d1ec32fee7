package org.sallowbrook.core.notes;

import java.time.LocalDate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * What is written down.
 *
 * @param day it speaks of
 * @param words 0 to 10,000 letters
 * @param place where it was, in words, for what is nowhere on record; 0 to 300 letters
 * @param latitude degrees north, with {@code longitude} or not at all
 * @param longitude degrees east
 */
public record Note(
        LocalDate day,
        String words,
        Seen seen,
        String place,
        @Nullable Double latitude,
        @Nullable Double longitude) {

    private static final int MOST_LETTERS = 10_000;
    private static final int MOST_OF_A_PLACE = 300;
    private static final int MOST_OF_A_SENSE = 200;
    private static final int YEARS_BACK = 20;

    /** What eye, nose, finger and tongue found, each in words; empty where it was not looked at. */
    public record Seen(String colour, String clarity, String smell, String feel, String taste) {

        public static final Seen NOTHING = new Seen("", "", "", "", "");

        boolean nothing() {
            return senses().allMatch(String::isBlank);
        }

        Stream<String> senses() {
            return Stream.of(colour, clarity, smell, feel, taste);
        }
    }

    /**
     * @param made whether it is about what was gathered, bought or made, which may have been meant for the mouth; what stands in
     *     the field is never told by its taste, for a taste of some is enough
     * @param pictured whether a picture goes with it, which may speak for itself
     * @throws org.sallowbrook.core.measure.InvalidInput naming each field
     */
    public void check(LocalDate today, boolean made, boolean pictured) {
        Checks checks = Checks.begin()
                .that(!day.isAfter(today), "day", "must not be in the future")
                .that(day.isAfter(today.minusYears(YEARS_BACK)), "day", "must be within " + YEARS_BACK + " years")
                .that(
                        pictured || !words.isBlank() || !seen.nothing(),
                        "words",
                        "write something, say what was seen, or add a picture")
                .that(
                        words.length() <= MOST_LETTERS,
                        "words",
                        "has " + words.length() + " letters; a note holds " + MOST_LETTERS
                                + ". Write the rest into a second one")
                .that(place.length() <= MOST_OF_A_PLACE, "place", "must have at most " + MOST_OF_A_PLACE + " letters")
                .that(
                        (latitude == null) == (longitude == null),
                        "longitude",
                        "is given together with latitude, or neither")
                .that(
                        made || seen.taste().isBlank(),
                        "seen.taste",
                        "nothing is tasted to tell what it is: some plants poison by a taste. Write down its smell")
                .that(
                        seen.senses().allMatch(s -> s.length() <= MOST_OF_A_SENSE),
                        "seen",
                        "each may have at most " + MOST_OF_A_SENSE + " letters; the rest goes into the note");
        if (latitude != null && longitude != null) {
            checks.range("latitude", latitude, -90, 90).range("longitude", longitude, -180, 180);
        }
        checks.done();
    }
}
