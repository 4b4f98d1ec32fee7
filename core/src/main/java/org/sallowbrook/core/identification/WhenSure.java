package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;

/**
 * When a plant can be made certain at all, from the cards alone and before anything was looked at. It confirms nothing: it
 * says at which stage it is worth looking, what stands in the way till then, and what will tell it.
 */
public final class WhenSure {

    /** How sure a look at a stage can become where everything is seen. */
    public enum Sure {
        /** One look may do. */
        ALONE,
        /** Two looks that agree may do. */
        WITH_ANOTHER,
        /** No look does. */
        NEVER
    }

    /**
     * @param months 1 to 12, in which the card knows the stage
     * @param inTheWay dangerous plants that nothing seen at the stage can exclude, those its card lists first
     * @param by characters that tell it from most of what is dangerous, the most telling first
     * @param unsaid what a thin card would have to say to be told from what one look can't tell it from, the most promising
     *     first; empty for a card that says as much as the others do
     */
    public record At(
            LifeStage stage,
            List<Integer> months,
            Sure sure,
            List<String> inTheWay,
            List<String> by,
            List<String> unsaid) {}

    /** So many characters are worth learning beforehand. */
    private static final int TO_LEARN = 6;

    private WhenSure() {}

    static At at(Table table, LifeStage stage, int plant) {
        Taxon taxon = table.taxa.get(plant);
        int[] all = IntStream.range(0, table.characters.size()).toArray();
        List<Taxon> inTheWay = new ArrayList<>();
        List<Taxon> notByOne = new ArrayList<>();
        Map<String, Integer> tells = new HashMap<>();
        for (int other = 0; other < table.taxa.size(); other++) {
            Taxon rival = table.taxa.get(other);
            if (other == plant || rival.group() != taxon.group() || !taxon.mustBeToldFrom(rival)) {
                continue;
            }
            Against against = new Against(table, plant, other, Map.of());
            boolean tellable = Against.tellable(table, plant, other);
            boolean byOne = tellable && against.within(all, Against.Level.ALONE);
            if (!byOne) {
                notByOne.add(rival);
            }
            if (!tellable || !against.within(all, Against.Level.WITH_ANOTHER)) {
                inTheWay.add(rival);
            }
            for (int c : all) {
                if (against.hoped(c) > 0) {
                    tells.merge(table.characters.get(c).id(), 1, Integer::sum);
                }
            }
        }
        Sure sure = !taxon.lookAlikesChecked() || !inTheWay.isEmpty()
                ? Sure.NEVER
                : notByOne.isEmpty() ? Sure.ALONE : Sure.WITH_ANOTHER;
        return new At(
                stage,
                taxon.months().getOrDefault(stage, Set.of()).stream().sorted().toList(),
                sure,
                inTheWay.stream()
                        .sorted(Comparator.comparing(
                                        (Taxon r) -> taxon.lookAlike(r.id()).isEmpty())
                                .thenComparing(Taxon::commonName))
                        .map(Taxon::id)
                        .toList(),
                tells.entrySet().stream()
                        .sorted(Map.Entry.<String, Integer>comparingByValue()
                                .reversed()
                                .thenComparing(Map.Entry.comparingByKey()))
                        .limit(TO_LEARN)
                        .map(Map.Entry::getKey)
                        .toList(),
                unsaid(table, taxon, stage, notByOne));
    }

    /**
     * What a thin card would have to say. A card is thin beside others when they speak of more that it leaves out than of what it
     * says: then it is the card that does not tell them, and not yet the plants.
     */
    static List<String> unsaid(Table table, Taxon taxon, LifeStage stage, Collection<Taxon> others) {
        Map<CharacterDefinition, Double> left = new HashMap<>();
        int said = 0;
        for (CharacterDefinition c : table.characters) {
            List<Set<String>> speak = others.stream()
                    .map(o -> c.scent() ? null : o.statesOf(c.id(), stage))
                    .filter(Objects::nonNull)
                    .map(Map::keySet)
                    .toList();
            if (!speak.isEmpty() && taxon.statesOf(c.id(), stage) == null) {
                // Where they all show the same this one is likely to show it too.
                long kinds = speak.stream().distinct().count();
                left.put(c, speak.size() * (1 - 1.0 / kinds));
            } else if (!speak.isEmpty()) {
                said++;
            }
        }
        return left.size() <= said
                ? List.of()
                : left.entrySet().stream()
                        .sorted(Map.Entry.<CharacterDefinition, Double>comparingByValue()
                                .reversed()
                                .thenComparing(e -> e.getKey().cost())
                                .thenComparing(e -> e.getKey().id()))
                        .limit(TO_LEARN)
                        .map(e -> e.getKey().id())
                        .toList();
    }
}
