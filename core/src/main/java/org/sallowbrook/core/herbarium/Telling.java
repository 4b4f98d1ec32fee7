package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Which characters tell one taxon from another at a stage: those both cards describe there, and of which the other never
 * shows what the one usually shows. A scent does not tell: hands and neighbours carry it.
 */
public final class Telling {

    /** Against a deadly plant that one of the two cards lists as a look-alike; so many must tell, whatever they count. */
    public static final int LEAST_OF_A_DEADLY_PAIR = 6;

    /** So much likelier than any dangerous plant must what was seen be: four looks of an error of 3 %. */
    public static final double LEAST_RATIO = 1_000_000;

    private Telling() {}

    /** A deadly plant and what it is taken for. What tells them is counted beforehand; elsewhere the evidence decides. */
    public static boolean deadlyPair(Taxon a, Taxon b) {
        boolean deadly = a.danger() == Danger.DEADLY || b.danger() == Danger.DEADLY;
        return deadly && likeness(a, b) != null;
    }

    private static Taxon.@Nullable LookAlike likeness(Taxon a, Taxon b) {
        return a.lookAlike(b.id()).or(() -> b.lookAlike(a.id())).orElse(null);
    }

    public static List<String> between(Herbarium herbarium, Taxon a, Taxon b, LifeStage stage) {
        Set<String> characters = new LinkedHashSet<>();
        a.characters().forEach(s -> characters.add(s.character()));
        List<String> telling = new ArrayList<>();
        for (String character : characters) {
            CharacterDefinition definition = herbarium.character(character);
            if (definition != null && tells(definition, a, b, stage)) {
                telling.add(character);
            }
        }
        return telling;
    }

    /** Whether one character tells them. */
    public static boolean tells(CharacterDefinition definition, Taxon a, Taxon b, LifeStage stage) {
        Map<String, Frequency> of = a.statesOf(definition.id(), stage);
        Map<String, Frequency> other = of == null ? null : b.statesOf(definition.id(), stage);
        return !definition.scent() && of != null && other != null && usual(of).noneMatch(other::containsKey);
    }

    private static Stream<String> usual(Map<String, Frequency> states) {
        return states.entrySet().stream().filter(e -> e.getValue().isUsual()).map(Map.Entry::getKey);
    }

    /**
     * Whether a look at this stage can be counted on to tell them: by what would bring {@link #LEAST_RATIO}, of a deadly
     * pair by six characters, on two organs at least, one of them decisive when either card lists the pair. What only some
     * plants show counts where the plant in the hand shows it, and is not counted on here.
     */
    public static boolean enough(Herbarium herbarium, Taxon a, Taxon b, LifeStage stage) {
        List<String> telling = between(herbarium, a, b, stage);
        return (deadlyPair(a, b)
                        ? telling.size() >= LEAST_OF_A_DEADLY_PAIR
                        : ratio(herbarium, telling) >= Math.log(LEAST_RATIO))
                && CardCheck.organs(herbarium, telling).size() >= 2
                && decides(a, b, telling);
    }

    /** Natural logarithm of what a look at each of them counts at most. */
    private static double ratio(Herbarium herbarium, List<String> characters) {
        double sum = 0;
        for (String c : characters) {
            CharacterDefinition definition = herbarium.character(c);
            if (definition != null) {
                sum += Math.log((1 - definition.error()) / definition.error());
            }
        }
        return sum;
    }

    private static boolean decides(Taxon a, Taxon b, List<String> telling) {
        Taxon.LookAlike likeness = likeness(a, b);
        return likeness == null || telling.stream().anyMatch(likeness.decisive()::contains);
    }
}
