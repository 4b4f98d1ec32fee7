package org.sallowbrook.server.planning;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import opennlp.tools.doccat.FeatureGenerator;

/** What is looked at in a complaint. Public and by itself because the library makes it by its name. */
public class ComplaintFeatures implements FeatureGenerator {

    /** Letters of a piece of a word, from and to. */
    private static final int SHORTEST = 3;

    private static final int LONGEST = 5;

    /** How far apart two words may stand to be looked at together. */
    private static final int NEAR = 4;

    @Override
    public Collection<String> extractFeatures(String[] words, Map<String, Object> extra) {
        Set<String> features = new LinkedHashSet<>();
        for (int i = 0; i < words.length; i++) {
            features.add("w:" + words[i]);
            pieces("<" + words[i] + ">", features);
            for (int j = i + 1; j <= i + NEAR && j < words.length; j++) {
                features.add(words[i] + (j == i + 1 ? " " : "..") + words[j]);
            }
        }
        return new ArrayList<>(features);
    }

    private static void pieces(String word, Set<String> to) {
        for (int n = SHORTEST; n <= LONGEST; n++) {
            for (int i = 0; i + n <= word.length(); i++) {
                to.add(word.substring(i, i + n));
            }
        }
    }
}
