package org.sallowbrook.core.household;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;

/**
 * Whether something that was noted for safety may be taken back: struck out, cleared, released, deleted, counted over,
 * renamed, re-dated or laid anew. To loosen is a safety decision of its own, so that every way of it passes here.
 */
public final class Loosening {

    /** What was noted, and whether anybody may take it back. */
    public enum Safeguard {
        LOOK("a look that was not certain", true),
        STAND_DOUBT("the doubt about a stand", true),
        STAND_NAME("the name under which a stand came into doubt", true),
        STAND("a stand with something against it", true),
        GROUND("what speaks against a place", true),
        STAND_COUNT("a count of a stand", true),
        PAST_HARVEST("what was picked at a stand in a past year", true),
        LOT_DOUBT("the doubt about a lot", true),
        HOLD("a hold", true),
        OPENED("the day on which it was opened", true),
        COUNTED_OVER("how much came into it", true),
        WATER_SEEN("that water was seen under an oil", true),
        DOSE("a dose that was noted as taken", true),
        REACTION("a reaction", true),
        TRIAL("a first trial that was not borne", true),
        CONTACT("what a touch did", true),
        ANSWER("what a prescriber or pharmacist said against it", true),
        MOULD("mould", false),
        DESCENT("where something came from", false);

        private final String words;
        private final boolean everLoosened;

        Safeguard(String words, boolean everLoosened) {
            this.words = words;
            this.everLoosened = everLoosened;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Who takes it back.
     *
     * @param keeper whether by an account that keeps the household
     * @param second who signed for it beside them, from another account; null for nobody
     */
    public record Hand(boolean keeper, @Nullable String second) {}

    /** Fewer say nothing; a working figure of this tool. */
    private static final int LEAST_LETTERS = 8;

    private static final int LEAST_DIFFERENT = 4;
    private static final int MOST_LETTERS = 300;

    /** In scripts of one sign a word. */
    private static final int LETTERS_AN_IDEOGRAPH = 4;

    private Loosening() {}

    /**
     * @param reason in the words of whoever takes it back
     * @return empty when it may be taken back, else why not and what instead
     * @throws org.sallowbrook.core.measure.InvalidInput where the hand is right and the reason says nothing
     */
    public static List<Finding> check(Safeguard what, Hand hand, String reason) {
        if (!what.everLoosened) {
            return List.of(Finding.stop(
                    "NEVER_TAKEN_BACK",
                    capital(what.words) + " is never taken back.",
                    "Throw away what it reaches; begin anew with something else."));
        }
        if (!hand.keeper && hand.second == null) {
            return List.of(Finding.stop(
                    "KEEPER_OR_SECOND",
                    capital(what.words) + " was noted for safety: the household's keeper takes it back, or two people"
                            + " together.",
                    "Let the keeper do it, or somebody else sign for it here with a name and password of their own."));
        }
        Checks.begin()
                .that(
                        saysWhy(reason) && reason.length() <= MOST_LETTERS,
                        "reason",
                        "must say in a few words what has changed or what was wrong, for whoever reads it in a year")
                .done();
        return List.of();
    }

    /** Whether a reason says something: eight letters at least, not all the same few. */
    public static boolean saysWhy(String reason) {
        int letters = reason.codePoints()
                .map(c -> Character.isIdeographic(c) ? LETTERS_AN_IDEOGRAPH : Character.isLetter(c) ? 1 : 0)
                .sum();
        long different = reason.codePoints()
                .filter(Character::isLetter)
                .map(Character::toLowerCase)
                .distinct()
                .count();
        boolean ideographs = reason.codePoints().anyMatch(Character::isIdeographic);
        return letters >= LEAST_LETTERS && (ideographs || different >= LEAST_DIFFERENT);
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
