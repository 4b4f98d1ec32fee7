package org.sallowbrook.core.planning;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.apache.commons.codec.language.DoubleMetaphone;

/**
 * What lay people's words mean: each word, bent as verbs and nouns are bent, and each usual saying, stands for one or more
 * notions. Slips of the pen and spelling by ear are forgiven, but a word that is known is never taken for another.
 */
public final class Lexicon {

    /**
     * What was understood of a sentence.
     *
     * @param notions all that are in it
     * @param words how many words bore on anything, known or not
     * @param understood how many of these were known
     */
    public record Read(Set<String> notions, int words, int understood) {}

    /** Notions that begin so weigh nothing against anybody. */
    private static final String HARMLESS = "harmless";

    private static final int MOST_MET = 20_000;
    private static final int LEAST_FUZZY = 5;
    private static final int SURE_OF_ITS_FIRST = 6;
    private static final int TWO_SLIPS = 9;
    private static final int LEAST_BY_EAR = 6;
    private static final int MOST_BY_EAR = 2;

    /** Known to everybody and of no weight here. */
    private static final Set<String> EMPTY =
            new HashSet<>(Arrays.asList(("a an the of in on my his her their our your with"
                            + " and or for is i have has had to some from at it its when am after since been be feel feeling"
                            + " feels felt was were are do does did this that these those there here me him them us we he she"
                            + " they you im ive hes shes as by into onto over under but so very really bit quite just got get"
                            + " getting gets goes going go went keeps keep kept about again still now today what which who how"
                            + " can could would should will may might must not no if then than too also more most much many any"
                            + " all up down out off through during while because like think thinks something anything make"
                            + " makes made need want take taking help please around across along against before between own"
                            + " every other because")
                    .split(" ")));

    private final Map<String, Set<String>> notions = new HashMap<>();
    private static final Comparator<String> LONGEST_FIRST =
            Comparator.comparingInt(String::length).reversed().thenComparing(Comparator.naturalOrder());

    /** By their first word: of thousands a sentence can hold but a few. Each with the blanks around it that it is looked for with. */
    private final Map<String, Map<String, Set<String>>> sayings = new HashMap<>();

    private final Map<String, Set<String>> byEar = new HashMap<>();
    private final Map<String, Set<String>> met = new ConcurrentHashMap<>();
    private final DoubleMetaphone metaphone = new DoubleMetaphone();
    private final Predicate<String> language;

    /**
     * @param words by notion; one with a blank in it is a saying, known as it stands
     * @param language whether something is a word at all, in small letters: "rake" is one, and so no slip of "bake"
     */
    public Lexicon(Map<String, ? extends Collection<String>> words, Predicate<String> language) {
        this.language = language;
        words.forEach((notion, all) -> all.forEach(word -> add(notion, word)));
        notions.keySet().forEach(form -> {
            if (form.length() >= LEAST_BY_EAR) {
                byEar.computeIfAbsent(metaphone.doubleMetaphone(form), k -> new LinkedHashSet<>())
                        .add(form);
            }
        });
    }

    private void add(String notion, String word) {
        List<String> tokens = tokens(word);
        if (tokens.size() > 1) {
            sayings.computeIfAbsent(tokens.get(0), k -> new HashMap<>())
                    .computeIfAbsent(" " + String.join(" ", tokens) + " ", k -> new LinkedHashSet<>())
                    .add(notion);
        } else {
            forms(tokens.get(0))
                    .forEach(form -> notions.computeIfAbsent(form, k -> new LinkedHashSet<>())
                            .add(notion));
        }
    }

    /** Further words of the same notion, with their bent forms: names of plants. */
    public Lexicon with(String notion, Collection<String> words) {
        Lexicon more = new Lexicon(Map.of(), language);
        notions.forEach((k, v) -> more.notions.put(k, new LinkedHashSet<>(v)));
        sayings.forEach((first, all) -> all.forEach((k, v) ->
                more.sayings.computeIfAbsent(first, x -> new HashMap<>()).put(k, new LinkedHashSet<>(v))));
        byEar.forEach((k, v) -> more.byEar.put(k, new LinkedHashSet<>(v)));
        words.forEach(word -> more.add(notion, word));
        return more;
    }

    /** Words that are no slip of another, and mean nothing here. */
    public Lexicon alsoKnowing(Collection<String> words) {
        Lexicon more = with(HARMLESS, List.of());
        words.stream()
                .flatMap(w -> tokens(w).stream())
                .filter(w -> w.length() >= LEAST_FUZZY)
                .forEach(w -> more.notions.computeIfAbsent(w, k -> new LinkedHashSet<>(List.of(HARMLESS))));
        return more;
    }

    public Read read(String sentence) {
        String text = spaced(sentence);
        // "Pressure in the chest, cold sweat" is no chest cold: what takes words away must stand between two stops.
        String parts =
                Arrays.stream(sentence.split("[,;.:?!]+")).map(Lexicon::spaced).collect(Collectors.joining("|"));
        Set<String> found = new LinkedHashSet<>();
        int said = 0;
        int known = 0;
        Map<String, Set<String>> possible = new TreeMap<>(LONGEST_FIRST);
        for (String token : tokens(sentence)) {
            possible.putAll(sayings.getOrDefault(token, Map.of()));
        }
        for (Map.Entry<String, Set<String>> saying : possible.entrySet()) {
            String wanted = saying.getKey();
            boolean harmless = saying.getValue().stream().allMatch(n -> n.startsWith(HARMLESS));
            if ((harmless ? parts : text).contains(wanted)) {
                found.addAll(saying.getValue());
                // "Bad breath" is no bad breathing: of a harmless saying the words are not read one by one.
                if (harmless) {
                    int words = wanted.strip().split(" ").length;
                    said += words;
                    known += words;
                    text = text.replace(wanted, " | ");
                    parts = parts.replace(wanted, " | ");
                }
            }
        }
        for (String token : text.strip().split("\\s+")) {
            if (token.isEmpty() || token.equals("|")) {
                continue;
            }
            Set<String> means = means(token);
            found.addAll(means);
            if (!EMPTY.contains(token) || !means.isEmpty()) {
                said++;
                known += means.isEmpty() ? 0 : 1;
            }
        }
        return new Read(found, said, known);
    }

    private static String spaced(String sentence) {
        return " " + String.join(" ", tokens(sentence)) + " ";
    }

    /** Words come again and again, and looking for slips reads the whole lexicon. */
    private Set<String> means(String token) {
        Set<String> known = met.get(token);
        if (known == null) {
            known = Set.copyOf(looked(token));
            if (met.size() < MOST_MET) {
                met.put(token, known);
            }
        }
        return known;
    }

    private Set<String> looked(String token) {
        Set<String> exact = notions.get(token);
        if (exact != null) {
            return exact;
        }
        if (token.length() < LEAST_FUZZY
                || EMPTY.contains(token)
                || token.chars().anyMatch(Character::isDigit)) {
            return Set.of();
        }
        if (language.test(token)) {
            return Set.of();
        }
        int most = token.length() >= TWO_SLIPS ? 2 : 1;
        int best = most + 1;
        Set<String> found = new LinkedHashSet<>();
        for (Map.Entry<String, Set<String>> form : notions.entrySet()) {
            // In a short word the first letter is seldom the slip; "feed" is neither "weed" nor "need".
            if (form.getKey().length() < LEAST_FUZZY
                    || Math.abs(form.getKey().length() - token.length()) > most
                    || token.length() < SURE_OF_ITS_FIRST && form.getKey().charAt(0) != token.charAt(0)) {
                continue;
            }
            int slips = Slips.between(form.getKey(), token, most);
            if (slips < best) {
                best = slips;
                found.clear();
            }
            if (slips == best && slips <= most) {
                found.addAll(form.getValue());
            }
        }
        if (found.isEmpty() && token.length() >= LEAST_BY_EAR) {
            byEar.getOrDefault(metaphone.doubleMetaphone(token), Set.of()).stream()
                    .filter(form -> sameSound(form.charAt(0), token.charAt(0))
                            && Math.abs(form.length() - token.length()) <= 2
                            && Slips.between(form, token, MOST_BY_EAR) <= MOST_BY_EAR)
                    .forEach(form -> found.addAll(notions.getOrDefault(form, Set.of())));
        }
        return found;
    }

    private static boolean sameSound(char a, char b) {
        return a == b || "fp".indexOf(a) >= 0 && "fp".indexOf(b) >= 0 || "cks".indexOf(a) >= 0 && "cks".indexOf(b) >= 0;
    }

    /** A word as it is bent: hurt, hurts, hurting; carry, carried; stop, stopped. */
    private static Set<String> forms(String word) {
        Set<String> forms = new LinkedHashSet<>(List.of(word));
        if (word.length() < 3) {
            return forms;
        }
        forms.add(word + "s");
        if (word.matches(".*(s|x|z|ch|sh)")) {
            forms.add(word + "es");
        }
        if (word.endsWith("e")) {
            forms.add(word + "d");
            forms.add(word.substring(0, word.length() - 1) + "ing");
        } else if (word.matches(".*[^aeiou]y")) {
            String stem = word.substring(0, word.length() - 1);
            forms.addAll(List.of(stem + "ies", stem + "ied", word + "ing"));
        } else {
            forms.addAll(List.of(word + "ed", word + "ing"));
            if (word.matches(".*[^aeiou][aeiou][bdgklmnprtv]")) {
                String twice = word + word.charAt(word.length() - 1);
                forms.addAll(List.of(twice + "ed", twice + "ing"));
            }
        }
        return forms;
    }

    /** Whether a word is known to everybody and of no weight here: "and", "feel". */
    public static boolean weightless(String token) {
        return EMPTY.contains(token);
    }

    /** The words of what was said, in small letters, without accents and signs. */
    public static List<String> tokens(String words) {
        String plain = Normalizer.normalize(words, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("['’`]", "")
                .replaceAll("[^a-z0-9]+", " ")
                .strip();
        return plain.isEmpty() ? new ArrayList<>() : new ArrayList<>(Arrays.asList(plain.split(" ")));
    }
}
