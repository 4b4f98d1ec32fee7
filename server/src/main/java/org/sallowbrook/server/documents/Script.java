package org.sallowbrook.server.documents;

import com.ibm.icu.text.ArabicShaping;
import com.ibm.icu.text.ArabicShapingException;
import com.ibm.icu.text.Bidi;
import java.util.stream.Stream;

/** Words of any script as a page needs them that knows neither joined letters nor a direction. */
final class Script {

    private static final ArabicShaping SHAPING =
            new ArabicShaping(ArabicShaping.LETTERS_SHAPE | ArabicShaping.TEXT_DIRECTION_LOGICAL);

    private Script() {}

    /** Arabic letters in the form that their neighbours give them; still in the order in which they are read. */
    static String joined(String words) {
        try {
            return SHAPING.shape(words);
        } catch (ArabicShapingException e) {
            return words;
        }
    }

    /** A line in the order in which it is seen from the left. */
    static String asSeen(String line) {
        Bidi bidi = new Bidi(line, Bidi.LEVEL_DEFAULT_LTR);
        return bidi.isLeftToRight() ? line : bidi.writeReordered(Bidi.DO_MIRRORING);
    }

    /** One by one, without what only joins or marks others and is not seen itself. */
    static Stream<String> letters(String words) {
        return words.codePoints()
                .filter(c -> Character.getType(c) != Character.FORMAT && (c < 0xFE00 || c > 0xFE0F))
                .mapToObj(Character::toString);
    }
}
