package org.sallowbrook.core.identification;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.measure.Checks;

/**
 * Telling two look-alikes apart, in short rounds: a few states of one of the two at a stage; which is it, and by what?
 *
 * <p>When a pair comes back is Leitner's method (1972): a card rises by one box when it was answered rightly and falls to
 * the first when not; the boxes wait 1, 2, 4, 8 and 16 days.
 */
public final class Training {

    public static final int BOXES = 5;
    private static final int SHOWN = 4;

    /** Fewer slips than these are chance. */
    private static final int CHANCE = 3;

    /** How many answers the vocabulary's own error rate is worth beside a person's. */
    private static final double PRIOR_ANSWERS = 20;

    /** @param a what is gathered @param b what it must be told from */
    public record Pair(String a, String b) {}

    /** @param shown in the order it is shown; one of them at least tells the two apart */
    public record Round(Pair pair, LifeStage stage, String truth, List<Observation> shown) {}

    /** @param by characters shown of which the other never shows what stands there */
    public record Outcome(boolean right, boolean rightReason, List<String> by) {}

    private Training() {}

    /** Every gathered plant with each listed look-alike it must be told from, deadly ones first. */
    public static List<Pair> pairs(Herbarium herbarium) {
        List<Pair> pairs = new ArrayList<>();
        for (Danger danger :
                List.of(Danger.DEADLY, Danger.POISONOUS, Danger.IRRITANT, Danger.WEAKER, Danger.HARMLESS)) {
            herbarium.taxa().stream()
                    .filter(t -> !t.parts().isEmpty())
                    .sorted(Comparator.comparing(Taxon::id))
                    .forEach(t -> t.lookAlikes().stream()
                            .flatMap(l -> herbarium.taxon(l.taxon()).stream())
                            .filter(o -> o.danger() == danger && t.mustBeToldFrom(o))
                            .filter(o -> !stages(herbarium, t, o).isEmpty())
                            .forEach(o -> pairs.add(new Pair(t.id(), o.id()))));
        }
        return pairs;
    }

    /** Stages at which both are there and something tells them apart. */
    public static Set<LifeStage> stages(Herbarium herbarium, Taxon a, Taxon b) {
        Set<LifeStage> stages = EnumSet.noneOf(LifeStage.class);
        a.months().keySet().stream()
                .filter(s -> b.months().containsKey(s))
                .filter(s -> !Telling.between(herbarium, a, b, s).isEmpty()
                        || !Telling.between(herbarium, b, a, s).isEmpty())
                .forEach(stages::add);
        return stages;
    }

    /**
     * The same seed makes the same round.
     *
     * @throws org.sallowbrook.core.measure.InvalidInput when the two can't be told at the stage
     */
    public static Round round(Herbarium herbarium, Pair pair, LifeStage stage, long seed) {
        Taxon a = herbarium.taxon(pair.a()).orElse(null);
        Taxon b = herbarium.taxon(pair.b()).orElse(null);
        Checks.begin()
                .that(a != null, "a", "is not a plant")
                .that(b != null, "b", "is not a plant")
                .done();
        if (a == null || b == null) {
            throw new IllegalStateException("checked above");
        }
        Checks.begin()
                .that(stages(herbarium, a, b).contains(stage), "stage", "nothing tells the two apart then")
                .done();
        // Neighbouring seeds must not begin alike.
        Random random = new Random(new SplittableRandom(seed).nextLong());
        boolean first = random.nextBoolean();
        Taxon truth = first ? a : b;
        Taxon other = first ? b : a;
        List<String> telling = new ArrayList<>();
        List<String> lesser = new ArrayList<>();
        List<String> rest = new ArrayList<>();
        for (CharacterDefinition c : herbarium.characters()) {
            var its = truth.statesOf(c.id(), stage);
            if (its == null || other.statesOf(c.id(), stage) == null || c.scent()) {
                continue;
            }
            boolean thing = its.keySet().stream()
                    .anyMatch(state -> c.states().stream().anyMatch(s -> s.id().equals(state) && !s.missing()));
            if (Telling.between(herbarium, truth, other, stage).contains(c.id())) {
                (thing ? telling : lesser).add(c.id());
            } else if (thing) {
                rest.add(c.id());
            }
        }
        // That it has no umbels is the last thing to tell it by.
        if (telling.isEmpty()) {
            telling.addAll(lesser);
        }
        if (telling.isEmpty()) {
            // Told only from the other side: show the other one.
            return round(herbarium, new Pair(pair.a(), pair.b()), stage, seed + 1);
        }
        Collections.shuffle(telling, random);
        Collections.shuffle(rest, random);
        List<String> chosen = new ArrayList<>(telling.subList(0, Math.min(2, telling.size())));
        rest.stream().limit(SHOWN - chosen.size()).forEach(chosen::add);
        Collections.shuffle(chosen, random);
        return new Round(
                pair,
                stage,
                truth.id(),
                chosen.stream()
                        .map(c -> new Observation(c, draw(truth, c, stage, telling.contains(c), random)))
                        .toList());
    }

    /** A state by its frequency; of a telling character one that is usual. */
    private static String draw(Taxon truth, String character, LifeStage stage, boolean usualOnly, Random random) {
        Map<String, Frequency> states = java.util.Objects.requireNonNull(truth.statesOf(character, stage));
        List<Map.Entry<String, Frequency>> open = states.entrySet().stream()
                .filter(e -> e.getValue().word() != Frequency.Word.POSSIBLE)
                .filter(e -> !usualOnly || e.getValue().isUsual())
                .sorted(Map.Entry.comparingByKey())
                .toList();
        double u = random.nextDouble()
                * open.stream().mapToDouble(e -> e.getValue().share()).sum();
        for (var entry : open) {
            u -= entry.getValue().share();
            if (u < 0) {
                return entry.getKey();
            }
        }
        return open.get(open.size() - 1).getKey();
    }

    /** @param by the character it was told by; empty for none */
    public static Outcome judge(Herbarium herbarium, Round round, String said, String by) {
        String other = round.truth().equals(round.pair().a())
                ? round.pair().b()
                : round.pair().a();
        Taxon it = herbarium.taxon(other).orElseThrow();
        List<String> decided = round.shown().stream()
                .filter(o -> {
                    var states = it.statesOf(o.character(), round.stage());
                    return states != null && !states.containsKey(o.state());
                })
                .map(Observation::character)
                .toList();
        boolean right = said.equals(round.truth());
        return new Outcome(right, right && decided.contains(by), decided);
    }

    public static int nextBox(int box, boolean right) {
        Checks.begin().range("box", box, 1, BOXES).done();
        return right ? Math.min(BOXES, box + 1) : 1;
    }

    public static LocalDate due(int box, LocalDate today) {
        Checks.begin().range("box", box, 1, BOXES).done();
        return today.plusDays(1L << (box - 1));
    }

    /**
     * A person's own error rate at a character, at least the vocabulary's and only from the third slip on: practice may ask
     * more of somebody's looks, never less.
     */
    public static double error(double vocabulary, int wrong, int asked) {
        Checks.begin()
                .that(wrong >= 0 && wrong <= asked, "wrong", "must be 0 to the number asked")
                .done();
        if (wrong < CHANCE) {
            return vocabulary;
        }
        double own = (wrong + vocabulary * PRIOR_ANSWERS) / (asked + PRIOR_ANSWERS);
        return Math.min(0.49, Math.max(vocabulary, own));
    }
}
