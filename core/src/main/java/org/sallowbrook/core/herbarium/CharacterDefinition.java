package org.sallowbrook.core.herbarium;

import java.util.List;
import java.util.Set;
import org.sallowbrook.core.measure.Checks;

/**
 * One thing to look at.
 *
 * @param id stable, lower case with hyphens
 * @param organ the part looked at; exclusions must come from different organs
 * @param howToLook in plain words
 * @param scent whether it is smelt; a scent never counts alone
 * @param cost 1 easy and safe .. 3 needs digging or a lens
 * @param error probability that an observer names a wrong state, above 0 and below 0.5
 */
public record CharacterDefinition(
        String id,
        String name,
        Organ organ,
        String howToLook,
        Set<LifeStage> stages,
        boolean scent,
        int cost,
        double error,
        List<State> states) {

    public enum Organ {
        ROOT,
        STEM,
        LEAF,
        INFLORESCENCE,
        FLOWER,
        FRUIT,
        SCENT
    }

    public record State(String id, String words) {}

    public CharacterDefinition {
        Checks.begin()
                .range("cost", cost, 1, 3)
                .that(error > 0 && error < 0.5, "error", "must be above 0 and below 0.5")
                .that(states.size() >= 2, "states", "must be two at least")
                .that(
                        states.stream().map(State::id).distinct().count() == states.size(),
                        "states",
                        "must differ from each other")
                .done();
        stages = Set.copyOf(stages);
        states = List.copyOf(states);
    }

    public boolean has(String state) {
        return states.stream().anyMatch(s -> s.id().equals(state));
    }

    public String wordsFor(String state) {
        return states.stream()
                .filter(s -> s.id().equals(state))
                .map(State::words)
                .findFirst()
                .orElse(state);
    }
}
