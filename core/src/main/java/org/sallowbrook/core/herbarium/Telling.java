package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Which characters tell one taxon from another at a stage: those both cards describe there, and of which the other never
 * shows what the one usually shows. A scent does not tell: hands and neighbours carry it.
 */
public final class Telling {

    /** Against a deadly plant that one of the two cards lists as a look-alike. */
    public static final int LEAST_OF_A_DEADLY_PAIR = 6;

    public static final int LEAST = 4;

    private Telling() {}

    /** How many characters must tell the pair apart at a stage before a look can be trusted to. */
    public static int needed(Taxon a, Taxon b) {
        boolean deadly = a.danger() == Danger.DEADLY || b.danger() == Danger.DEADLY;
        boolean listed = a.lookAlike(b.id()).isPresent() || b.lookAlike(a.id()).isPresent();
        return deadly && listed ? LEAST_OF_A_DEADLY_PAIR : LEAST;
    }

    public static List<String> between(Herbarium herbarium, Taxon a, Taxon b, LifeStage stage) {
        Set<String> characters = new LinkedHashSet<>();
        a.characters().forEach(s -> characters.add(s.character()));
        List<String> telling = new ArrayList<>();
        for (String character : characters) {
            CharacterDefinition definition = herbarium.character(character);
            Map<String, Frequency> of = a.statesOf(character, stage);
            Map<String, Frequency> other = b.statesOf(character, stage);
            if (definition != null
                    && !definition.scent()
                    && of != null
                    && other != null
                    && usual(of).noneMatch(other::containsKey)) {
                telling.add(character);
            }
        }
        return telling;
    }

    private static Stream<String> usual(Map<String, Frequency> states) {
        return states.entrySet().stream().filter(e -> e.getValue().isUsual()).map(Map.Entry::getKey);
    }

    /** As many as {@link #needed}, on two organs at least, one of them decisive when either card lists the pair. */
    public static boolean enough(Herbarium herbarium, Taxon a, Taxon b, LifeStage stage) {
        List<String> telling = between(herbarium, a, b, stage);
        return telling.size() >= needed(a, b)
                && CardCheck.organs(herbarium, telling).size() >= 2
                && decides(a, b, telling);
    }

    private static boolean decides(Taxon a, Taxon b, List<String> telling) {
        return a.lookAlike(b.id())
                .or(() -> b.lookAlike(a.id()))
                .map(l -> telling.stream().anyMatch(l.decisive()::contains))
                .orElse(true);
    }
}
