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
 * @param groups the kinds of living thing that have this organ
 * @param notUnder conditions of looking under which it can't be relied on
 * @param scent whether it is smelt; a scent never counts alone
 * @param cost 1 easy and safe .. 3 needs digging or a lens
 * @param fixed why age, shade, grazing or withering do not change it in a plant; empty when they may. A dangerous card's
 *     "never" counts only where it is fixed or the card gives its own reason.
 * @param opening its place among the gross characters a look begins with, from 1; 0 for all others
 * @param error probability that an observer names a wrong state, above 0 and below 0.5
 */
public record CharacterDefinition(
        String id,
        String name,
        Organ organ,
        String howToLook,
        Set<LifeStage> stages,
        Set<Group> groups,
        Set<LookingCondition> notUnder,
        boolean scent,
        int cost,
        int opening,
        double error,
        String fixed,
        List<State> states) {

    public enum Organ {
        ROOT,
        STEM,
        /** Trunk and twig. */
        WOOD,
        BUD,
        LEAF,
        INFLORESCENCE,
        FLOWER,
        FRUIT,
        SCENT,
        /** Of a lichen. */
        THALLUS,
        /** Of a fungus: upper side and flesh. */
        CAP,
        /** Of a fungus: where the spores are. */
        UNDERSIDE,
        /** What a lichen or fungus grows on. */
        SUBSTRATE,
        /** Of a fern. */
        FROND,
        /** Spore cases of a fern. */
        SORI;

        /**
         * What is taken in at one glance counts as one organ when exclusions must come from two: whoever takes a cluster
         * for another's takes its flowers and fruits with it.
         */
        public Organ glance() {
            return this == INFLORESCENCE || this == FRUIT ? FLOWER : this;
        }
    }

    /** @param missing whether it says that the thing asked about is not there at all */
    public record State(String id, String words, boolean missing) {
        public State(String id, String words) {
            this(id, words, false);
        }
    }

    /** One that no look begins with. */
    public CharacterDefinition(
            String id,
            String name,
            Organ organ,
            String howToLook,
            Set<LifeStage> stages,
            Set<Group> groups,
            Set<LookingCondition> notUnder,
            boolean scent,
            int cost,
            double error,
            String fixed,
            List<State> states) {
        this(id, name, organ, howToLook, stages, groups, notUnder, scent, cost, 0, error, fixed, states);
    }

    public CharacterDefinition {
        Checks.begin()
                .range("cost", cost, 1, 3)
                .that(error > 0 && error < 0.5, "error", "must be above 0 and below 0.5")
                .that(!groups.isEmpty(), "groups", "must name one at least")
                .that(states.size() >= 2 && states.size() <= 31, "states", "must be 2 to 31")
                .that(
                        states.stream().map(State::id).distinct().count() == states.size(),
                        "states",
                        "must differ from each other")
                .done();
        stages = Set.copyOf(stages);
        groups = Set.copyOf(groups);
        notUnder = Set.copyOf(notUnder);
        states = List.copyOf(states);
    }

    /** Whether an answer says that there is a green leaf. */
    public boolean showsLeaf(String state) {
        return organ == Organ.LEAF
                && stages.contains(LifeStage.LEAFY)
                && !id.equals("evergreen")
                && states.stream().anyMatch(s -> s.id().equals(state) && !s.missing());
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
