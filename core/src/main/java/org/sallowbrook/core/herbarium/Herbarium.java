package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** All cards and the vocabulary they are written in; whole only when every reference resolves. */
public final class Herbarium {

    private final Map<String, CharacterDefinition> characters = new LinkedHashMap<>();
    private final Map<String, Taxon> taxa = new LinkedHashMap<>();

    /** One thing wrong with a card. */
    public record Problem(String taxon, String message) {}

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

    /** Taxa any of whose names, current, older or common, holds the words. */
    public List<Taxon> search(String words) {
        String wanted = words.strip().toLowerCase(Locale.ROOT);
        return taxa.values().stream()
                .filter(t -> names(t).stream()
                        .anyMatch(n -> n.toLowerCase(Locale.ROOT).contains(wanted)))
                .toList();
    }

    /** Everything wrong with the cards: unknown references, one-sided look-alikes, unseen states, missing figures. */
    public List<Problem> problems() {
        List<Problem> problems = new ArrayList<>();
        for (Taxon taxon : taxa.values()) {
            checkCharacters(taxon, problems);
            checkLookAlikes(taxon, problems);
            checkUse(taxon, problems);
        }
        return problems;
    }

    private void checkCharacters(Taxon taxon, List<Problem> problems) {
        Set<String> seen = new HashSet<>();
        for (Taxon.Shown shown : taxon.characters()) {
            CharacterDefinition definition = characters.get(shown.character());
            if (definition == null) {
                problems.add(new Problem(taxon.id(), "unknown character " + shown.character()));
                continue;
            }
            for (String state : shown.states().keySet()) {
                if (!definition.has(state)) {
                    problems.add(new Problem(taxon.id(), "unknown state " + state + " of " + shown.character()));
                }
            }
            if (shown.states().isEmpty()) {
                problems.add(new Problem(taxon.id(), shown.character() + " has no state"));
            }
            boolean always = shown.states().containsValue(Frequency.ALWAYS);
            if (always && shown.states().size() > 1) {
                problems.add(new Problem(taxon.id(), shown.character() + " has a state 'always' beside others"));
            }
            for (LifeStage stage : shown.stages()) {
                if (!definition.stages().contains(stage)) {
                    problems.add(new Problem(taxon.id(), shown.character() + " can't be seen at " + stage));
                }
                if (!seen.add(shown.character() + "@" + stage)) {
                    problems.add(new Problem(taxon.id(), shown.character() + " is described twice at " + stage));
                }
            }
        }
    }

    private void checkLookAlikes(Taxon taxon, List<Problem> problems) {
        for (Taxon.LookAlike lookAlike : taxon.lookAlikes()) {
            Taxon other = taxa.get(lookAlike.taxon());
            if (other == null) {
                problems.add(new Problem(taxon.id(), "unknown look-alike " + lookAlike.taxon()));
                continue;
            }
            if (other.lookAlike(taxon.id()).isEmpty()) {
                problems.add(new Problem(taxon.id(), lookAlike.taxon() + " does not name it as a look-alike back"));
            }
            for (String character : lookAlike.decisive()) {
                if (!characters.containsKey(character)) {
                    problems.add(new Problem(taxon.id(), "unknown decisive character " + character));
                }
            }
        }
    }

    private static void checkUse(Taxon taxon, List<Problem> problems) {
        if (taxon.draft()) {
            return;
        }
        if (taxon.danger().dangerous() && !taxon.parts().isEmpty()) {
            problems.add(new Problem(taxon.id(), "a dangerous plant may not have parts to use"));
        }
        for (Taxon.UsedPart part : taxon.parts()) {
            if (part.routes().isEmpty()) {
                problems.add(new Problem(taxon.id(), part.part() + " allows no route"));
            }
            if (part.doses().stream().anyMatch(d -> !part.routes().contains(d.route()))) {
                problems.add(new Problem(taxon.id(), part.part() + " has a dose by a route it does not allow"));
            }
        }
        for (Taxon.Caution caution : taxon.cautions()) {
            if ((caution.status() == Taxon.CautionStatus.PRESENT) != (caution.severity() != null)) {
                problems.add(new Problem(taxon.id(), caution.subject() + " must have a severity only when present"));
            }
        }
    }

    private static List<String> names(Taxon taxon) {
        List<String> names = new ArrayList<>(taxon.commonNames());
        names.add(taxon.name());
        names.addAll(taxon.olderNames());
        return names;
    }
}
