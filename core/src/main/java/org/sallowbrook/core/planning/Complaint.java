package org.sallowbrook.core.planning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;

/**
 * A complaint in somebody's own words, held against what belongs to somebody who can look at it and against the needs on the
 * cards. What may be grave is recognised by who, where and what, not by fixed sayings; it is referred even where a need fits
 * too: referring once too often does less harm than once too seldom. A plant is thought of only when most of what was said is
 * understood and none of it is grave.
 */
public final class Complaint {

    /** How soon somebody must see it. */
    public enum Urgency {
        NOW("Call for help now."),
        TODAY("See a doctor today."),
        SOON("See a doctor before anything is taken for it."),
        /** Not grave as it was said; and nothing that a plant of a card is for. */
        ASK("Ask a pharmacist, or see a doctor if it is not better in a few days.");

        private final String words;

        Urgency(String words) {
            this.words = words;
        }
    }

    /**
     * What no plant is proposed for.
     *
     * @param when each of notions with blanks between, which must all be there; of several with | between one is enough, and
     *     one after ! must not be there
     * @param tell what whoever helps will want to know
     * @param firm whether no likeness to harmless complaints takes the alarm from it: something is lost, bleeds, or is borne by
     *     somebody frail
     */
    public record Grave(String name, Urgency urgency, List<String> when, String tell, boolean firm) {
        public Grave(String name, Urgency urgency, List<String> when, String tell) {
            this(name, urgency, when, tell, false);
        }

        public Grave {
            Checks.begin()
                    .that(!when.isEmpty(), "when", "must hold at least one")
                    .that(!tell.isBlank(), "tell", "must say what to tell")
                    .done();
            when = List.copyOf(when);
        }

        private Grave mayBeAsked() {
            return firm ? this : new Grave(name, Urgency.ASK, when, tell);
        }

        boolean fits(Set<String> notions) {
            return when.stream().anyMatch(w -> Arrays.stream(w.split(" ")).allMatch(part -> holds(part, notions)));
        }

        private static boolean holds(String part, Set<String> notions) {
            boolean not = part.startsWith("!");
            boolean any =
                    Arrays.stream((not ? part.substring(1) : part).split("\\|")).anyMatch(notions::contains);
            return any != not;
        }
    }

    /** Other words for a need as the cards name it. */
    public record Synonym(String need, List<String> phrases) {
        public Synonym {
            phrases = List.copyOf(phrases);
        }
    }

    /**
     * @param grave what it may be of the grave, the most urgent first
     * @param needs of the cards that it may mean, the likeliest first; empty where something grave fits
     */
    public record Answer(List<Grave> grave, List<String> needs) {

        public List<Finding> findings() {
            return grave.stream()
                    .map(g -> g.urgency() == Urgency.ASK
                            ? Finding.note(
                                    "NOT_FOR_A_PLANT",
                                    "This may be " + g.name() + ". No card here speaks of it.",
                                    g.urgency().words + " " + g.tell())
                            : Finding.stop(
                                    "GRAVE_ILLNESS",
                                    "This may be " + g.name()
                                            + ". No plant is proposed for it: treating it at home can hide what"
                                            + " needs a doctor.",
                                    g.urgency().words + " Say: " + g.tell()))
                    .toList();
        }
    }

    /** So near to a need's own name it is meant by it. */
    private static final double ITSELF = 0.9;

    /** What fits so much worse than the best is a chance likeness of words. */
    private static final double NEAR_BEST = 0.4;

    /** Of what was said so much must be understood before a plant is thought of. */
    private static final double MOSTLY = 0.5;

    /**
     * As like as this to the grave ones it is sent on where no rule fits. Measured on phrases that were not learnt from, where
     * it is a choice between sending on too much and too little: docs/decisions/0042.
     */
    private static final double LIKE = 0.7;

    /** As like the grave ones as this no plant is thought of, though nothing is said either. */
    private static final double NO_PLANT = 0.3;

    /** As like as this to those that can't wait, what a rule would let wait until today does not wait. */
    private static final double LIKE_NOW = 0.5;

    /** A rule that knows whom to ask for it, as for a rash from a plant, is overruled by a likeness as near as this only. */
    private static final double SURELY = 0.9;

    /** As like as this to those of the same day or sooner, what a rule would let wait for days doesn't wait so long. */
    private static final double LIKE_TODAY = 0.6;

    /**
     * As little like them as this, what a rule would send to a doctor is said without alarm: still no plant is proposed. What
     * can't wait stays as the rule has it.
     */
    private static final double UNLIKE = 0.35;

    private static final String NOT_PLACED_NAME = "something grave, by the way it is said";
    private static final String NOT_PLACED_TELL = "when it began, whether it came suddenly, what else is noticed.";

    private static Grave notPlaced(Urgency urgency) {
        return new Grave(
                NOT_PLACED_NAME,
                urgency,
                List.of("any"),
                urgency == Urgency.NOW
                        ? NOT_PLACED_TELL
                        : NOT_PLACED_TELL + " Sudden, severe or getting worse: call for help now.");
    }

    private Complaint() {}

    /** @param words 1 to 200 letters */
    public static Answer of(
            String words,
            Lexicon lexicon,
            Collection<Grave> graves,
            Collection<Synonym> synonyms,
            Collection<ByNeed.Need> needs,
            Likeness likeness) {
        Checks.begin()
                .that(!words.isBlank() && words.length() <= 200, "words", "must have 1 to 200 letters")
                .done();
        Set<String> notions = lexicon.read(words).notions();
        List<Fit> fits = new ArrayList<>();
        for (ByNeed.Need need : needs) {
            Fit best = fit(words, need.name(), need.name());
            for (Synonym synonym : synonyms) {
                if (synonym.need().equals(need.name())) {
                    for (String phrase : synonym.phrases()) {
                        Fit other = fit(words, phrase, need.name());
                        best = other.share() > best.share() ? other : best;
                    }
                }
            }
            if (best.share() > 0 && best.heard() >= MOSTLY) {
                fits.add(best);
            }
        }
        double best = fits.stream().mapToDouble(Fit::share).max().orElse(0);
        List<Grave> fitting = graves.stream()
                .filter(g -> g.fits(notions))
                .sorted(Comparator.comparing(Grave::urgency))
                .toList();
        // What a card itself calls a need is that need, whatever it sounds like.
        // Where minutes count nobody waits for what would change nothing.
        boolean now = !fitting.isEmpty() && fitting.get(0).urgency() == Urgency.NOW;
        Optional<Likeness.Heard> heard = now || best >= ITSELF ? Optional.empty() : likeness.hear(words, notions);
        List<Grave> grave = heard.map(h -> withWhatItIsLike(fitting, h)).orElse(fitting);
        if (!grave.isEmpty()) {
            // What may wait is left unsaid beside what may not.
            Urgency most = grave.get(0).urgency();
            return new Answer(
                    grave.stream()
                            .filter(g -> g.urgency() != Urgency.ASK || most == Urgency.ASK)
                            .toList(),
                    List.of());
        }
        if (heard.isPresent() && heard.get().grave() >= NO_PLANT) {
            return new Answer(List.of(), List.of());
        }
        return new Answer(
                List.of(),
                fits.stream()
                        .filter(f -> f.share() >= NEAR_BEST * best)
                        .sorted(Comparator.comparingDouble(Fit::share)
                                .reversed()
                                .thenComparing(Fit::need))
                        .map(Fit::need)
                        .limit(8)
                        .toList());
    }

    private static List<Grave> withWhatItIsLike(List<Grave> fitting, Likeness.Heard heard) {
        List<Grave> byRule = fitting.stream()
                .map(g -> g.urgency() != Urgency.NOW && heard.grave() < UNLIKE ? g.mayBeAsked() : g)
                .toList();
        Urgency most = byRule.isEmpty() ? Urgency.ASK : byRule.get(0).urgency();
        Grave like;
        if (byRule.isEmpty() && heard.grave() >= LIKE) {
            like = notPlaced(
                    heard.now() > Math.max(heard.today(), heard.soon())
                            ? Urgency.NOW
                            : heard.today() > heard.soon() ? Urgency.TODAY : Urgency.SOON);
        } else if (most != Urgency.NOW
                && heard.now() >= (most == Urgency.ASK && !byRule.isEmpty() ? SURELY : LIKE_NOW)) {
            like = notPlaced(Urgency.NOW);
        } else if (most.compareTo(Urgency.TODAY) > 0
                && heard.now() + heard.today() >= (most == Urgency.ASK ? SURELY : LIKE_TODAY)) {
            like = notPlaced(Urgency.TODAY);
        } else {
            return byRule;
        }
        return Stream.concat(Stream.of(like), byRule.stream()).toList();
    }

    /** @param heard the share of the words said that are in the phrase */
    private record Fit(String need, double heard, double share) {}

    private static Fit fit(String words, String phrase, String need) {
        List<String> said = weighty(words);
        List<String> wanted = weighty(phrase);
        double heard = said.stream().mapToDouble(s -> best(s, wanted)).sum() / Math.max(1, said.size());
        double used = wanted.stream().mapToDouble(p -> best(p, said)).sum() / Math.max(1, wanted.size());
        return new Fit(need, heard, heard * used);
    }

    /** A slip is forgiven and counts for less than the word itself. */
    private static double best(String word, List<String> among) {
        return among.stream().mapToDouble(other -> alike(word, other)).max().orElse(0);
    }

    private static double alike(String a, String b) {
        if (a.equals(b)) {
            return 1;
        }
        int letters = Math.min(a.length(), b.length());
        // A beginning of some length stands for the rest: "sleep" for "sleepless".
        if (letters >= 5 && (a.startsWith(b) || b.startsWith(a))) {
            return 0.9;
        }
        int most = letters >= 8 ? 2 : letters >= 5 ? 1 : 0;
        // By a slip the first letter is seldom another: bitten is not bitter, and sleeping is not bleeding.
        boolean sameEnds = a.charAt(0) == b.charAt(0) && a.charAt(a.length() - 1) == b.charAt(b.length() - 1);
        return most > 0 && (sameEnds || Slips.swapped(a, b)) && Slips.between(a, b, most) <= most ? 0.7 : 0;
    }

    private static List<String> weighty(String words) {
        return Lexicon.tokens(words).stream()
                .filter(t -> !Lexicon.weightless(t))
                // "pains" is "pain", on both sides.
                .map(t -> t.length() >= 4 && t.endsWith("s") && !t.endsWith("ss") ? t.substring(0, t.length() - 1) : t)
                .toList();
    }
}
