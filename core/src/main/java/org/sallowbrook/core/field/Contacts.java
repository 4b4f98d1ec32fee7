package org.sallowbrook.core.field;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** What a person's meetings with one irritant plant say of the next: whoever reacts once may react more each time. */
public final class Contacts {

    /** From nothing to what is an emergency. */
    public enum Reaction {
        NONE,
        ITCH,
        RASH,
        BLISTERS,
        BREATH;

        public String words() {
            return switch (this) {
                case NONE -> "nothing";
                case ITCH -> "itching or redness";
                case RASH -> "a rash";
                case BLISTERS -> "blisters or swelling";
                case BREATH -> "trouble with breath, face or circulation";
            };
        }
    }

    public record Contact(LocalDate on, Reaction reaction) {}

    private Contacts() {}

    /**
     * @param person by name
     * @param plant by name
     * @param contacts of the one with the other, in any order
     */
    public static List<Finding> check(String person, String plant, List<Contact> contacts) {
        List<Contact> reacted = contacts.stream()
                .filter(c -> c.reaction() != Reaction.NONE)
                .sorted(Comparator.comparing(Contact::on))
                .toList();
        List<Finding> findings = new ArrayList<>();
        if (reacted.isEmpty()) {
            return findings;
        }
        Contact worst =
                reacted.stream().max(Comparator.comparing(Contact::reaction)).orElseThrow();
        Contact last = reacted.get(reacted.size() - 1);
        if (worst.reaction() == Reaction.BREATH) {
            findings.add(
                    Finding.stop(
                            "NEVER_AGAIN",
                            person + " had " + worst.reaction().words() + " from " + plant + " on "
                                    + Words.day(worst.on()) + ".",
                            "Keep away from it altogether and tell a doctor of it. If it comes again: emergency call at once."));
        } else if (growing(reacted)) {
            findings.add(Finding.warn(
                    "SENSITISED",
                    person + " reacts to " + plant + " more than before: "
                            + last.reaction().words() + " on " + Words.day(last.on()) + ".",
                    "Let somebody else do it, fully covered; show the skin to a doctor. The next time may be worse."));
        } else {
            findings.add(Finding.warn(
                    "REACTED",
                    person + " had " + last.reaction().words() + " from " + plant + " on " + Words.day(last.on()) + ".",
                    "Gloves and sleeves, and wash at once; the skin may have learnt it."));
        }
        return findings;
    }

    /** Whether a later meeting was worse than an earlier one. */
    private static boolean growing(List<Contact> reacted) {
        for (int i = 1; i < reacted.size(); i++) {
            Reaction later = reacted.get(i).reaction();
            if (reacted.subList(0, i).stream().anyMatch(c -> c.reaction().compareTo(later) < 0)) {
                return true;
            }
        }
        return false;
    }
}
