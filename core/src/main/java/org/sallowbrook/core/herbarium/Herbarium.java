package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** All cards and the vocabulary they are written in; whole only when every reference resolves. */
public final class Herbarium {

    private final Map<String, CharacterDefinition> characters = new LinkedHashMap<>();
    private final Map<String, Taxon> taxa = new LinkedHashMap<>();

    /**
     * One thing wrong with a card.
     *
     * @param where the word of the card to look at
     */
    public record Problem(String taxon, String where, String message) {}

    public Herbarium(Collection<CharacterDefinition> characters, Collection<Taxon> taxa) {
        characters.forEach(c -> this.characters.put(c.id(), c));
        taxa.forEach(t -> this.taxa.put(t.id(), t));
    }

    public Collection<Taxon> taxa() {
        return List.copyOf(taxa.values());
    }

    public Collection<CharacterDefinition> characters() {
        return List.copyOf(characters.values());
    }

    public Optional<Taxon> taxon(String id) {
        return Optional.ofNullable(taxa.get(id));
    }

    public @Nullable CharacterDefinition character(String id) {
        return characters.get(id);
    }

    /** Taxa by any name, current, older or common, best first, typing errors tolerated. */
    public List<Found> search(String words) {
        return NameSearch.search(taxa.values(), words);
    }

    /** How many plants of a kind are at each stage in a month, most first: what stage to propose, and never to assume. */
    public Map<LifeStage, Long> stages(String region, Group group, int month) {
        Map<LifeStage, Long> counts = new EnumMap<>(LifeStage.class);
        taxa.values().stream()
                .filter(t -> t.group() == group && t.regions().contains(region))
                .forEach(t -> t.months().forEach((stage, months) -> {
                    if (months.contains(month)) {
                        counts.merge(stage, 1L, Long::sum);
                    }
                }));
        Map<LifeStage, Long> sorted = new LinkedHashMap<>();
        counts.entrySet().stream()
                .sorted(Map.Entry.<LifeStage, Long>comparingByValue().reversed())
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }

    /** This herbarium with some cards put in the place of others of the same id, or added. */
    public Herbarium with(Collection<Taxon> own) {
        Map<String, Taxon> all = new LinkedHashMap<>(taxa);
        own.forEach(t -> all.put(t.id(), t));
        for (Taxon taxon : own) {
            // A draft is not finished enough to stand in another plant's way.
            if (taxon.draft()) {
                continue;
            }
            for (Taxon.LookAlike likeness : taxon.lookAlikes()) {
                Taxon other = all.get(likeness.taxon());
                if (other != null && other.lookAlike(taxon.id()).isEmpty()) {
                    all.put(
                            other.id(),
                            other.alsoLikened(new Taxon.LookAlike(
                                    taxon.id(), likeness.decisive(), likeness.tellable(), likeness.tells())));
                }
            }
        }
        return new Herbarium(characters.values(), all.values());
    }

    /** Everything wrong with the cards: unknown references, one-sided look-alikes, unseen states, missing figures. */
    public List<Problem> problems() {
        List<Problem> problems = new ArrayList<>();
        for (Taxon taxon : taxa.values()) {
            problems.addAll(problems(taxon));
        }
        return problems;
    }

    /** What keeps a card from being more than a draft; empty when it is whole. */
    public static List<String> missing(Taxon taxon) {
        return CardCheck.missing(taxon);
    }

    /** What is wrong with one card, which need not be of this herbarium yet. */
    public List<Problem> problems(Taxon taxon) {
        return new CardCheck(this).problems(taxon);
    }

    /**
     * The most dangerous plant this one is taken for, by its own card or by the other's: a harmless plant beside a deadly
     * one is not a harmless find. Empty when nothing it is taken for does more than it does itself.
     */
    public Optional<Taxon> worstTakenFor(Taxon taxon) {
        return taxa().stream()
                .filter(t -> taxon.lookAlike(t.id()).isPresent()
                        || t.lookAlike(taxon.id()).isPresent())
                .filter(t -> t.danger().compareTo(taxon.danger()) > 0 && t.danger() != Danger.WEAKER)
                .max(Comparator.comparing(Taxon::danger).thenComparing(Taxon::id));
    }
}
