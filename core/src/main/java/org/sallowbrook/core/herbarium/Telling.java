package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Which characters tell two taxa apart at a stage: those both cards describe there with no state in common. */
public final class Telling {

    /** A pair with fewer telling characters at a stage is not tellable at that stage. */
    public static final int LEAST = 6;

    private Telling() {}

    public static List<String> between(Taxon a, Taxon b, LifeStage stage) {
        Set<String> characters = new LinkedHashSet<>();
        a.characters().forEach(s -> characters.add(s.character()));
        List<String> telling = new ArrayList<>();
        for (String character : characters) {
            Map<String, Frequency> of = a.statesOf(character, stage);
            Map<String, Frequency> other = b.statesOf(character, stage);
            if (of != null && other != null && of.keySet().stream().noneMatch(other::containsKey)) {
                telling.add(character);
            }
        }
        return telling;
    }

    /** Six at least, on two organs at least; a scent counts among the six and not as an organ. */
    public static boolean enough(Herbarium herbarium, Taxon a, Taxon b, LifeStage stage) {
        List<String> telling = between(a, b, stage);
        return telling.size() >= LEAST && CardCheck.organs(herbarium, telling).size() >= 2;
    }
}
