package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * What happened to somebody after they took or touched something, and what follows for all that is given to them later. The
 * maker's own tolerance says nothing of another's; a mild sign that comes back is not mild. Which of several herbs did it nobody
 * knows, so each of them counts.
 */
public final class Reaction {

    /** What was seen or felt. */
    public enum Sign {
        ITCHING("itching"),
        RASH("a rash"),
        HIVES("weals that come and go"),
        SWELLING("swelling of face, lips or throat"),
        BREATH("trouble breathing"),
        FAINTING("fainting"),
        HEART("a racing or stumbling heart"),
        CHEST_PAIN("chest pain"),
        FIT("a fit"),
        SIGHT("blurred sight or wide pupils"),
        WEAKNESS("sudden weakness or numbness"),
        BLISTERS("blisters or peeling skin"),
        NAUSEA("nausea or vomiting"),
        DIARRHOEA("diarrhoea"),
        CRAMP("cramp of the belly"),
        HEARTBURN("heartburn"),
        HEADACHE("headache"),
        DIZZINESS("dizziness"),
        SLEEPINESS("sleepiness"),
        RESTLESSNESS("restlessness"),
        BURNING("burning or redness where it was put on"),
        SUNBURN("burnt by little sun"),
        BLEEDING("bleeding that is not usual"),
        JAUNDICE("yellow skin or eyes, dark urine"),
        CONFUSION("confusion"),
        OTHER("something else");

        private final String words;

        Sign(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How bad it was. */
    public enum Degree {
        /** Noticed, gone by itself, nothing left undone for it. */
        MILD,
        /** Kept from doing something, or lasted more than a day. */
        MODERATE,
        /** Needed help, or was frightening. */
        SEVERE
    }

    /** At which help is called, however it goes on. */
    public static final Set<Sign> DANGER = EnumSet.of(
            Sign.SWELLING,
            Sign.BREATH,
            Sign.FAINTING,
            Sign.HEART,
            Sign.CHEST_PAIN,
            Sign.FIT,
            Sign.SIGHT,
            Sign.WEAKNESS,
            Sign.BLISTERS,
            Sign.BLEEDING,
            Sign.JAUNDICE,
            Sign.CONFUSION);

    /** Such signs may come from what the plant shares with its family. */
    private static final Set<Sign> OF_ALLERGY =
            EnumSet.of(Sign.ITCHING, Sign.RASH, Sign.HIVES, Sign.SWELLING, Sign.BREATH, Sign.FAINTING);

    /** Mild, but so often: it grows. */
    private static final int AGAIN = 2;

    /**
     * One on record.
     *
     * @param plants that were in what was taken
     * @param hoursAfter 0 to 2000; null when nobody noticed
     */
    public record Noted(
            Set<Taxon> plants,
            LocalDate on,
            Set<Sign> signs,
            Degree degree,
            @Nullable Double hoursAfter) {
        public Noted {
            Checks checks = Checks.begin().that(!signs.isEmpty(), "signs", "must name at least one");
            if (hoursAfter != null) {
                checks.range("hoursAfter", hoursAfter, 0, 2000);
            }
            checks.done();
            plants = Set.copyOf(plants);
            signs = Set.copyOf(signs);
        }

        /** Whether a course of it ends with this. */
        public boolean ends() {
            return degree != Degree.MILD || danger();
        }

        public boolean danger() {
            return signs.stream().anyMatch(DANGER::contains);
        }

        private boolean of(Taxon taxon) {
            return plants.stream().anyMatch(p -> p.id().equals(taxon.id()));
        }

        private boolean ofAnotherOf(String family) {
            return signs.stream().anyMatch(OF_ALLERGY::contains)
                    && plants.stream().anyMatch(p -> p.family().equals(family));
        }

        /** "a rash and itching, moderate, 3 hours after, on 3 July 2026". */
        public String words() {
            String all = signs.stream().sorted().map(Sign::words).collect(Collectors.joining(" and "));
            return all + ", " + Words.lower(degree)
                    + (hoursAfter == null ? "" : ", " + Words.figure(hoursAfter) + " hours after")
                    + ", on " + Words.day(on);
        }
    }

    private Reaction() {}

    /** What is to be done now. */
    public static List<Finding> now(Noted reaction) {
        if (reaction.danger() || reaction.degree() == Degree.SEVERE) {
            return List.of(Finding.stop(
                    "DANGER_SIGN",
                    "With " + reaction.words() + " nothing more is taken.",
                    "Call for help now, and say what was taken. The page \"Something is wrong\" has it ready."));
        }
        return reaction.ends()
                ? List.of(Finding.stop(
                        "REACTED",
                        "With " + reaction.words() + " it is not gone on with.",
                        "Stop it. If it does not go within a day, or comes back, see a doctor or pharmacist."))
                : List.of(Finding.warn(
                        "REACTED_MILDLY",
                        "It was mild this time.",
                        "Leave a day between, go back to a small trial, and note it when it comes again."));
    }

    /**
     * What the person's history says of these plants.
     *
     * @param who name, for messages
     */
    public static List<Finding> check(String who, Collection<Taxon> plants, Collection<Noted> history) {
        List<Finding> findings = new ArrayList<>();
        for (Taxon taxon : plants) {
            List<Noted> own = history.stream().filter(r -> r.of(taxon)).toList();
            List<Noted> bad = own.stream().filter(Noted::ends).toList();
            if (!bad.isEmpty()) {
                findings.add(Finding.stop(
                        "REACTED",
                        who + " reacted to " + taxon.commonName() + ": "
                                + last(bad).words() + ".",
                        "Do not take it; ask a doctor before trying again."));
            } else if (own.size() >= AGAIN) {
                findings.add(Finding.stop(
                        "REACTED_AGAIN",
                        who + " reacted to " + taxon.commonName() + " " + own.size() + " times, the last time "
                                + last(own).words() + ".",
                        "What comes back grows. Leave it, and ask a doctor or pharmacist."));
            } else if (!own.isEmpty()) {
                findings.add(Finding.warn(
                        "REACTED_MILDLY",
                        who + " reacted to " + taxon.commonName() + " once: "
                                + last(own).words() + ".",
                        "Begin with a small trial again, and say why it is wanted all the same."));
            } else {
                history.stream()
                        .filter(r -> r.ofAnotherOf(taxon.family()))
                        .max(java.util.Comparator.comparing(Noted::on))
                        .ifPresent(r -> findings.add(Finding.warn(
                                "REACTED_TO_FAMILY",
                                who + " reacted to another plant of the same family as " + taxon.commonName() + ": "
                                        + r.words() + ".",
                                "Ask a doctor whether it is an allergy to the family, before the small trial.")));
            }
        }
        return findings;
    }

    private static Noted last(List<Noted> of) {
        return of.stream().max(java.util.Comparator.comparing(Noted::on)).orElseThrow();
    }
}
