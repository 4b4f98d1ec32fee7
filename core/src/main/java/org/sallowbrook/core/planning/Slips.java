package org.sallowbrook.core.planning;

import org.apache.commons.text.similarity.LevenshteinDistance;

/** How many slips of the pen lie between two words: a letter too many, too few, another, or two the wrong way round. */
final class Slips {

    private Slips() {}

    /** @return more than {@code most} where there are more */
    static int between(String a, String b, int most) {
        int plain = new LevenshteinDistance(most + 1).apply(a, b);
        if (plain >= 0 && plain <= most) {
            return plain;
        }
        // Two letters the wrong way round are one slip, and count as two above.
        return a.length() == b.length() && plain == most + 1 && swapped(a, b) ? most : most + 1;
    }

    /** Whether the one is the other with two neighbouring letters the wrong way round. */
    static boolean swapped(String a, String b) {
        if (a.length() != b.length()) {
            return false;
        }
        for (int i = 0; i + 1 < a.length(); i++) {
            if (a.charAt(i) != b.charAt(i)) {
                return a.charAt(i) == b.charAt(i + 1)
                        && a.charAt(i + 1) == b.charAt(i)
                        && a.substring(i + 2).equals(b.substring(i + 2));
            }
        }
        return false;
    }
}
