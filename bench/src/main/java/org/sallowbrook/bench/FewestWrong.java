package org.sallowbrook.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identifier;

/**
 * How few wrong answers make one plant pass for another. Wrong is what the plant never shows by its card; true answers are
 * chosen as unlucky as they can be (what it shows rarely, what is not to be seen) and cost nothing.
 */
final class FewestWrong {

    private static final int MOST = 5;

    private static final int EXHAUSTIVE = 2;

    private int among;
    private final Identifier identifier;
    private final Taxon hoped;
    private final LifeStage stage;
    private final int month;
    /** What it may truly be said to show and the hoped one shows too: the unlucky truth. */
    private final List<Observation> free = new ArrayList<>();
    /** Answers that are wrong and fit the one hoped for, those that organ and error make most of first. */
    private final List<Observation> wrong = new ArrayList<>();

    private final Status wanted;

    /** @param wanted CONFIRMED by itself, or SECOND_WANTED for one of two looks that agree */
    FewestWrong(
            Herbarium herbarium,
            Identifier identifier,
            Taxon truth,
            Taxon hoped,
            LifeStage stage,
            int month,
            Status wanted) {
        this.wanted = wanted;
        this.identifier = identifier;
        this.hoped = hoped;
        this.stage = stage;
        this.month = month;
        List<CharacterDefinition> order = new ArrayList<>(herbarium.characters());
        Set<String> decisive = new HashSet<>();
        hoped.lookAlike(truth.id()).ifPresent(l -> decisive.addAll(l.decisive()));
        truth.lookAlike(hoped.id()).ifPresent(l -> decisive.addAll(l.decisive()));
        order.sort(Comparator.comparing((CharacterDefinition c) -> !decisive.contains(c.id()))
                .thenComparing(CharacterDefinition::error));
        Map<String, Frequency> leaves = truth.statesOf("leaves-now", stage);
        boolean leafless = leaves != null && leaves.keySet().equals(Set.of("absent"));
        for (CharacterDefinition c : order) {
            Map<String, Frequency> his = hoped.statesOf(c.id(), stage);
            if (!c.stages().contains(stage) || his == null) {
                continue;
            }
            Map<String, Frequency> its = truth.statesOf(c.id(), stage);
            // A leaf claimed of what has none is a wrong answer, whatever is said of it.
            if (leafless && its == null && his.keySet().stream().anyMatch(c::showsLeaf)) {
                continue;
            }
            String best = null;
            for (String state : his.keySet()) {
                boolean mayBeTrue = its == null || its.containsKey(state);
                if (mayBeTrue && (best == null || share(his, state) > share(his, best))) {
                    best = state;
                }
            }
            if (best != null) {
                free.add(new Observation(c.id(), best));
            } else {
                wrong.add(new Observation(
                        c.id(),
                        his.entrySet().stream()
                                .max(Comparator.comparingDouble(
                                        e -> e.getValue().share()))
                                .orElseThrow()
                                .getKey()));
            }
        }
    }

    private static double share(Map<String, Frequency> states, String state) {
        return states.get(state).share();
    }

    /** 0 when none up to five does. Every one and two of the wrong answers; of more, sets of the likeliest ones only. */
    int search() {
        for (int size = 1; size <= Math.min(MOST, wrong.size()); size++) {
            among = size <= EXHAUSTIVE ? wrong.size() : Math.min(wrong.size(), MOST + 4);
            if (anyOf(size, 0, new ArrayList<>(free))) {
                return size;
            }
        }
        return 0;
    }

    private boolean anyOf(int left, int from, List<Observation> answers) {
        if (left == 0) {
            var verdict = identifier
                    .identify(new Request(month, stage, Interview.REGION, answers))
                    .verdict();
            return (verdict.status() == Status.CONFIRMED || verdict.status() == wanted)
                    && hoped.id().equals(verdict.taxon());
        }
        for (int i = from; i <= among - left; i++) {
            answers.add(wrong.get(i));
            if (anyOf(left - 1, i + 1, answers)) {
                return true;
            }
            answers.remove(answers.size() - 1);
        }
        return false;
    }
}
