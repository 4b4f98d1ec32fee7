package org.sallowbrook.core.herbarium;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;

/**
 * A complaint in somebody's own words, held against what belongs to a doctor and against the needs on the cards. Typing errors
 * are tolerated: one in words of five letters, two in eight or more. What may be grave is referred even where a need fits too:
 * referring once too often does less harm than once too seldom.
 */
public final class Complaint {

    /** How soon somebody must see it. */
    public enum Urgency {
        NOW("Call for help now."),
        TODAY("See a doctor today."),
        SOON("See a doctor before anything is taken for it.");

        private final String words;

        Urgency(String words) {
            this.words = words;
        }
    }

    /**
     * What no plant is proposed for.
     *
     * @param phrases of which one is enough; of a phrase every word must be there
     * @param tell what whoever helps will want to know
     */
    public record Grave(String name, Urgency urgency, List<String> phrases, String tell) {
        public Grave {
            Checks.begin()
                    .that(!phrases.isEmpty(), "phrases", "must hold at least one")
                    .that(!tell.isBlank(), "tell", "must say what to tell")
                    .done();
            phrases = List.copyOf(phrases);
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
                    .map(g -> Finding.stop(
                            "GRAVE_ILLNESS",
                            "This may be " + g.name()
                                    + ". No plant is proposed for it: treating it at home can hide what"
                                    + " needs a doctor.",
                            g.urgency().words + " Say: " + g.tell()))
                    .toList();
        }
    }

    private static final Set<String> EMPTY = Set.of(
            "a", "an", "the", "of", "in", "on", "my", "his", "her", "with", "and", "for", "is", "i", "have", "has",
            "to", "some", "from", "at", "it", "when", "am", "after", "since", "been", "feel", "feeling");

    /** What fits so much worse than the best is a chance likeness of words. */
    private static final double NEAR_BEST = 0.4;

    private Complaint() {}

    /** @param words 1 to 200 letters */
    public static Answer of(
            String words, Collection<Grave> graves, Collection<Synonym> synonyms, Collection<ByNeed.Need> needs) {
        Checks.begin()
                .that(!words.isBlank() && words.length() <= 200, "words", "must have 1 to 200 letters")
                .done();
        List<String> said = tokens(words);
        List<Grave> grave = graves.stream()
                .filter(g -> g.phrases().stream().anyMatch(p -> holds(said, tokens(p))))
                .sorted(Comparator.comparing(Grave::urgency))
                .toList();
        if (!grave.isEmpty()) {
            return new Answer(grave, List.of());
        }
        List<Fit> fits = new ArrayList<>();
        for (ByNeed.Need need : needs) {
            double best = fit(said, tokens(need.name()));
            for (Synonym synonym : synonyms) {
                if (synonym.need().equals(need.name())) {
                    for (String phrase : synonym.phrases()) {
                        best = Math.max(best, fit(said, tokens(phrase)));
                    }
                }
            }
            if (best > 0) {
                fits.add(new Fit(need.name(), best));
            }
        }
        double best = fits.stream().mapToDouble(Fit::share).max().orElse(0);
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

    private record Fit(String need, double share) {}

    /** The share of the words said that are in the phrase, weighed with the share of the phrase that was said. */
    private static double fit(List<String> said, List<String> phrase) {
        long heard = said.stream()
                .filter(s -> phrase.stream().anyMatch(p -> same(s, p)))
                .count();
        long used = phrase.stream()
                .filter(p -> said.stream().anyMatch(s -> same(s, p)))
                .count();
        return said.isEmpty() || phrase.isEmpty() ? 0 : (double) heard / said.size() * used / phrase.size();
    }

    private static boolean holds(List<String> said, List<String> phrase) {
        return !phrase.isEmpty() && phrase.stream().allMatch(p -> said.stream().anyMatch(s -> same(s, p)));
    }

    private static boolean same(String said, String word) {
        if (said.equals(word)) {
            return true;
        }
        int letters = Math.min(said.length(), word.length());
        int most = letters >= 8 ? 2 : letters >= 5 ? 1 : 0;
        // A beginning of some length stands for the rest: "sleep" for "sleepless".
        if (letters >= 5 && (said.startsWith(word) || word.startsWith(said))) {
            return true;
        }
        int slips = most == 0 ? -1 : new LevenshteinDistance(most).apply(said, word);
        return slips >= 0 && slips <= most;
    }

    private static List<String> tokens(String words) {
        String plain = Normalizer.normalize(words, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("['’]", "")
                .replaceAll("[^a-z0-9]+", " ")
                .strip();
        return Arrays.stream(plain.split(" "))
                .filter(t -> !t.isEmpty() && !EMPTY.contains(t))
                // "pains" is "pain", on both sides.
                .map(t -> t.length() >= 4 && t.endsWith("s") && !t.endsWith("ss") ? t.substring(0, t.length() - 1) : t)
                .toList();
    }
}
