package org.sallowbrook.server.planning;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import opennlp.tools.doccat.FeatureGenerator;

/** What is looked at in a complaint. Public and by itself because the library makes it by its name. */
public class ComplaintFeatures implements FeatureGenerator {

    /** Letters of a piece of a word, from and to. */
    private static final int SHORTEST = 3;

    private static final int LONGEST = 5;

    /** How far apart two words may stand to be looked at together. */
    private static final int NEAR = 4;

    /** What the lexicon read is handed over beside the words, with this before it. */
    private static final String NOTION = "#";

    static String[] said(List<String> words, Set<String> notions) {
        return Stream.concat(words.stream(), notions.stream().sorted().map(n -> NOTION + n))
                .toArray(String[]::new);
    }

    @Override
    public Collection<String> extractFeatures(String[] said, Map<String, Object> extra) {
        Set<String> features = new LinkedHashSet<>();
        Map<Boolean, List<String>> byKind =
                Stream.of(said).collect(Collectors.partitioningBy(w -> w.startsWith(NOTION)));
        ofWords(byKind.get(false).toArray(String[]::new), features);
        ofNotions(byKind.get(true), features);
        return new ArrayList<>(features);
    }

    /** Each notion, and each with each: a burn is one thing and a burn of a child another. */
    private static void ofNotions(List<String> notions, Set<String> features) {
        for (int i = 0; i < notions.size(); i++) {
            features.add(notions.get(i));
            for (int j = i + 1; j < notions.size(); j++) {
                features.add(notions.get(i) + notions.get(j));
            }
        }
    }

    private static void ofWords(String[] words, Set<String> features) {
        for (int i = 0; i < words.length; i++) {
            features.add("w:" + words[i]);
            pieces("<" + words[i] + ">", features);
            for (int j = i + 1; j <= i + NEAR && j < words.length; j++) {
                features.add(words[i] + (j == i + 1 ? " " : "..") + words[j]);
            }
        }
    }

    private static void pieces(String word, Set<String> to) {
        for (int n = SHORTEST; n <= LONGEST; n++) {
            for (int i = 0; i + n <= word.length(); i++) {
                to.add(word.substring(i, i + n));
            }
        }
    }
}
