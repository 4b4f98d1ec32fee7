package org.sallowbrook.core.field;

import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;

/**
 * What can be seen of a picked part by itself. A leaf from a flowering stand is a leaf: whatever the flower said, what
 * excludes a dangerous look-alike must be on the piece in the hand.
 */
public final class OnThePiece {

    private static final Map<Taxon.Part, Set<Organ>> SHOWS = Map.ofEntries(
            Map.entry(Taxon.Part.LEAF, EnumSet.of(Organ.LEAF)),
            Map.entry(Taxon.Part.FLOWER, EnumSet.of(Organ.FLOWER, Organ.INFLORESCENCE)),
            Map.entry(Taxon.Part.FLOWER_HEAD, EnumSet.of(Organ.FLOWER, Organ.INFLORESCENCE)),
            Map.entry(
                    Taxon.Part.TOPS,
                    EnumSet.of(Organ.LEAF, Organ.STEM, Organ.FLOWER, Organ.INFLORESCENCE, Organ.FRUIT)),
            Map.entry(
                    Taxon.Part.HERB,
                    EnumSet.of(Organ.LEAF, Organ.STEM, Organ.FLOWER, Organ.INFLORESCENCE, Organ.FRUIT)),
            Map.entry(Taxon.Part.SHOOT, EnumSet.of(Organ.LEAF, Organ.STEM, Organ.WOOD, Organ.BUD)),
            Map.entry(Taxon.Part.ROOT, EnumSet.of(Organ.ROOT)),
            Map.entry(Taxon.Part.BARK, EnumSet.of(Organ.WOOD, Organ.STEM)),
            Map.entry(Taxon.Part.FRUIT, EnumSet.of(Organ.FRUIT, Organ.INFLORESCENCE)),
            Map.entry(Taxon.Part.SEED, EnumSet.of(Organ.FRUIT, Organ.INFLORESCENCE)),
            Map.entry(Taxon.Part.THALLUS, EnumSet.of(Organ.THALLUS, Organ.SUBSTRATE)),
            Map.entry(Taxon.Part.FRUIT_BODY, EnumSet.of(Organ.CAP, Organ.UNDERSIDE, Organ.SUBSTRATE)));

    private static final String LEAVES_NOW = "leaves-now";

    /** @param by names of what is to be seen on the piece and would tell the other; empty when nothing does */
    public record Open(Taxon other, List<String> by) {}

    private OnThePiece() {}

    /**
     * Dangerous look-alikes that nothing looked at on the piece tells from the plant.
     *
     * @param tells characters looked at again that agree with the plant
     */
    public static List<Open> leftOpen(
            Herbarium herbarium, Taxon taxon, Taxon.Part part, LifeStage stage, Collection<String> tells) {
        return dangerous(herbarium, taxon).stream()
                .filter(d -> !absent(d, part, stage))
                .filter(d -> telling(herbarium, taxon, d, part, stage).stream().noneMatch(tells::contains))
                .map(d -> new Open(
                        d,
                        telling(herbarium, taxon, d, part, stage).stream()
                                .map(c -> name(herbarium, c))
                                .toList()))
                .toList();
    }

    /** Characters to be seen on the piece that tell the plant from one of its dangerous look-alikes. */
    public static List<String> telling(
            Herbarium herbarium, Taxon taxon, Taxon other, Taxon.Part part, LifeStage stage) {
        Set<Organ> shows = SHOWS.getOrDefault(part, Set.of());
        return Telling.between(herbarium, taxon, other, stage).stream()
                .filter(c -> {
                    CharacterDefinition definition = herbarium.character(c);
                    return definition != null && shows.contains(definition.organ());
                })
                .toList();
    }

    /** So many are enough to choose three from. */
    private static final int TO_CHOOSE_FROM = 8;

    /**
     * What to look at again on the piece in the hand: first what tells the plant from a dangerous one its card lists, then what
     * tells it from most of what is dangerous. No scents.
     */
    public static List<String> toLookAt(Herbarium herbarium, Taxon taxon, Taxon.Part part, LifeStage stage) {
        Set<Organ> shows = SHOWS.getOrDefault(part, Set.of());
        List<Taxon> listed = dangerous(herbarium, taxon);
        List<Taxon> rivals = herbarium.taxa().stream()
                .filter(t -> t.group() == taxon.group() && !t.id().equals(taxon.id()) && taxon.mustBeToldFrom(t))
                .toList();
        List<CharacterDefinition> onIt = herbarium.characters().stream()
                .filter(c -> shows.contains(c.organ()) && c.stages().contains(stage))
                .toList();
        Map<String, Integer> tells = new LinkedHashMap<>();
        for (Taxon rival : rivals) {
            int weight = listed.contains(rival) ? rivals.size() + 1 : 1;
            for (CharacterDefinition c : onIt) {
                if (Telling.tells(c, taxon, rival, stage)) {
                    tells.merge(c.id(), weight, Integer::sum);
                }
            }
        }
        return tells.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(TO_CHOOSE_FROM)
                .map(Map.Entry::getKey)
                .toList();
    }

    private static String name(Herbarium herbarium, String character) {
        CharacterDefinition definition = herbarium.character(character);
        return definition == null ? character : definition.name().toLowerCase(Locale.ROOT);
    }

    private static List<Taxon> dangerous(Herbarium herbarium, Taxon taxon) {
        return taxon.lookAlikes().stream()
                .flatMap(l -> herbarium.taxon(l.taxon()).stream())
                .filter(taxon::mustBeToldFrom)
                .toList();
    }

    /** The other has no such part now: it is not there at the stage, or has no leaf then. */
    private static boolean absent(Taxon other, Taxon.Part part, LifeStage stage) {
        if (!other.months().containsKey(stage)) {
            return true;
        }
        Map<String, Frequency> leaves = other.statesOf(LEAVES_NOW, stage);
        return part == Taxon.Part.LEAF && leaves != null && leaves.keySet().equals(Set.of("absent"));
    }
}
