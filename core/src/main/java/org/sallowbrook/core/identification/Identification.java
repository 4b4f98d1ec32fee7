package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;

/**
 * Which plant it is: what is asked, what is answered. {@link Identifier} reckons.
 *
 * <p>P(state | taxon) = (1 - e) f + e (1 - f) / (k - 1), f the taxon's frequency of the state, e the observer's error,
 * k the number of states. A character the card does not describe at this stage says nothing (1/k). Only what was seen
 * counts.
 */
public final class Identification {

    /** The candidate for a plant that no card describes. */
    public static final String NONE_OF_THESE = "none-of-these";

    public record Observation(String character, String state) {}

    /**
     * @param month 1..12
     * @param conditions of looking
     * @param unseeable characters that can't be seen; no evidence, and not asked again before all else is
     * @param unseenTwice those of them that could not be seen on another leaf or plant either, and are not asked any more
     * @param again what was said of some of the observed characters when they were asked once more, on another leaf or
     *     flower; one that differs takes its character out of the evidence
     * @param ownErrors the observer's own error rates by character; those below the vocabulary's change nothing
     */
    public record Request(
            int month,
            LifeStage stage,
            String region,
            Set<LookingCondition> conditions,
            List<Observation> observations,
            Set<String> unseeable,
            Set<String> unseenTwice,
            List<Observation> again,
            Map<String, Double> ownErrors) {
        public Request {
            Checks checks = Checks.begin().range("month", month, 1, 12);
            Set<String> seen = new HashSet<>();
            for (int i = 0; i < observations.size(); i++) {
                checks.that(
                        seen.add(observations.get(i).character()),
                        "observations[" + i + "].character",
                        "was given twice");
            }
            ownErrors.forEach(
                    (c, e) -> checks.that(e > 0 && e < 0.5, "ownErrors." + c, "must be above 0 and below 0.5"));
            checks.done();
            conditions = Set.copyOf(conditions);
            unseeable = Set.copyOf(unseeable);
            unseenTwice = Set.copyOf(unseenTwice);
            observations = List.copyOf(observations);
            again = List.copyOf(again);
            ownErrors = Map.copyOf(ownErrors);
        }

        public Request(
                int month,
                LifeStage stage,
                String region,
                Set<LookingCondition> conditions,
                List<Observation> observations,
                Set<String> unseeable) {
            this(month, stage, region, conditions, observations, unseeable, Set.of(), List.of(), Map.of());
        }

        /** Characters of which two different things were said. */
        Set<String> contradicted() {
            Set<String> differing = new HashSet<>();
            for (Observation second : again) {
                boolean said = observations.stream().anyMatch(o -> o.character().equals(second.character()));
                if (said && !observations.contains(second)) {
                    differing.add(second.character());
                }
            }
            return differing;
        }

        /** What counts: what was not contradicted. It was asked, though, and is not asked a third time. */
        Request withoutContradicted() {
            Set<String> differing = contradicted();
            if (differing.isEmpty()) {
                return this;
            }
            Set<String> asked = new HashSet<>(unseenTwice);
            asked.addAll(differing);
            return new Request(
                    month,
                    stage,
                    region,
                    conditions,
                    observations.stream()
                            .filter(o -> !differing.contains(o.character()))
                            .toList(),
                    unseeable,
                    asked,
                    again,
                    ownErrors);
        }

        /** A leaf seen says that there are leaves now. */
        Request withWhatItImplies(Herbarium herbarium) {
            CharacterDefinition leaves = herbarium.character(LEAVES_NOW);
            if (leaves == null
                    || !leaves.stages().contains(stage)
                    || observations.stream().anyMatch(o -> o.character().equals(LEAVES_NOW))
                    || observations.stream().noneMatch(o -> isLeaf(herbarium, o))) {
                return this;
            }
            List<Observation> all = new ArrayList<>(observations);
            all.add(new Observation(LEAVES_NOW, "present"));
            return new Request(month, stage, region, conditions, all, unseeable, unseenTwice, again, ownErrors);
        }

        private static boolean isLeaf(Herbarium herbarium, Observation observation) {
            CharacterDefinition definition = herbarium.character(observation.character());
            return definition != null && definition.showsLeaf(observation.state());
        }

        /** Under ordinary conditions, everything to be seen. */
        public Request(int month, LifeStage stage, String region, List<Observation> observations) {
            this(month, stage, region, Set.of(), observations, Set.of());
        }
    }

    private static final String LEAVES_NOW = "leaves-now";

    public record Candidate(String taxon, double posterior) {}

    /** @param again whether it could not be seen before and is asked of another leaf or plant */
    public record Question(String character, List<String> states, String why, boolean again) {}

    public enum Status {
        CONFIRMED,
        /** Not by itself; certain where another look, by other eyes or at other plants, comes to the same. */
        SECOND_WANTED,
        NOT_YET,
        STOP
    }

    public record Excluded(String taxon, List<String> by) {}

    /**
     * @param inTheWay whether nothing left to see at this stage could exclude it; else it was not looked into yet
     * @param would characters still to be seen at this stage that would tell it apart
     * @param later the next stage at which it can be told; null when none is known
     */
    public record Open(
            String taxon,
            boolean inTheWay,
            List<String> would,
            @Nullable TellableAt later) {}

    public record TellableAt(LifeStage stage, List<Integer> months, List<String> characters) {}

    /**
     * @param taxon the one that leads; null before anything was seen
     * @param genus set when only the genus is certain, and the whole genus serves
     */
    public record Verdict(
            Status status,
            @Nullable String taxon,
            @Nullable String genus,
            List<Excluded> excluded,
            List<Open> open,
            @Nullable TellableAt tellableAt) {}

    /**
     * @param next null when nothing is worth asking, or nothing to be seen at this stage could make it certain
     * @param further in the second case, the question for whoever wants to go on
     * @param again observed characters on which a CONFIRMED leans most and which were not asked again yet
     */
    public record Result(
            List<Candidate> candidates,
            @Nullable Question next,
            @Nullable Question further,
            List<String> again,
            Verdict verdict,
            List<Finding> findings) {

        /** Whether a look is over: it is certain, it is a STOP, or nothing more to be seen now would make it so. */
        public boolean settled() {
            return verdict.status() == Status.CONFIRMED || verdict.status() == Status.STOP || next == null;
        }

        /** Whether the plant that leads is likelier than one that no card describes. */
        public boolean leadsStrangers() {
            return verdict.taxon() != null && posterior(verdict.taxon()) > posterior(NONE_OF_THESE);
        }

        private double posterior(String taxon) {
            return candidates.stream()
                    .filter(c -> c.taxon().equals(taxon))
                    .mapToDouble(Candidate::posterior)
                    .sum();
        }

        /** CONFIRMED, or half of it, only when what it leans on was looked at twice. */
        public Status kept() {
            return again.isEmpty() ? verdict.status() : Status.NOT_YET;
        }
    }

    private Identification() {}

    /** One question, one answer; ask many of one herbarium through an {@link Identifier}. */
    public static Result identify(Herbarium herbarium, Request request) {
        return new Identifier(herbarium).identify(request);
    }

    static void checkAgainstVocabulary(Herbarium herbarium, Request request) {
        Checks checks = Checks.begin();
        for (int i = 0; i < request.observations().size(); i++) {
            Observation observation = request.observations().get(i);
            CharacterDefinition definition = herbarium.character(observation.character());
            String at = "observations[" + i + "].";
            checks.that(definition != null, at + "character", "is not in the vocabulary");
            if (definition != null) {
                checks.that(definition.has(observation.state()), at + "state", "is not a state of the character");
                checks.that(
                        definition.stages().contains(request.stage()),
                        at + "character",
                        "can't be seen at stage " + request.stage());
            }
        }
        for (int i = 0; i < request.again().size(); i++) {
            Observation second = request.again().get(i);
            CharacterDefinition definition = herbarium.character(second.character());
            checks.that(
                    definition != null && definition.has(second.state()),
                    "again[" + i + "].state",
                    "is not a state of the character");
        }
        checks.done();
    }
}
