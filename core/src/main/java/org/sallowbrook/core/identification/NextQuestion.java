package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.identification.Against.Level;
import org.sallowbrook.core.identification.Identification.Question;
import org.sallowbrook.core.identification.Identification.Request;

/**
 * The character whose answer is expected to lower the risk-weighted entropy most: sum over taxa of weight times -p ln p,
 * a dangerous taxon weighing more. Dear or unsafe looking is discounted. Where the posterior has made up its mind and the
 * gate has not, what counts is how much the answer adds of what is wanting against the dangerous taxa still open.
 *
 * <p>Not asked, but for the last: what the plants still in question can't have (the needles of a lime). When one plant is clear and nothing
 * left to see at this stage could exclude one of those open, not even with another look beside this one, what could not be
 * seen is asked of once more, on another leaf or plant; where that can't help either no question is put, and
 * {@link Asked#further} goes on all the same for whoever wants to.
 */
final class NextQuestion {

    /** What confusing an unlisted plant with a listed one costs, beside the weights of {@code Danger}. */
    private static final double WEIGHT_NONE = 30;

    private static final double DISCOUNT = 0.2;

    /** From here on the posterior has made up its mind. */
    static final double CLEAR = 0.95;

    /** Below this a plant is no longer in question, and what only it could show is not asked about. */
    private static final double IN_QUESTION = 0.02;

    private static final double SEPARATION = 1;

    /** So many answers are given before anything is dug up, and so many a look begins with, the gross things first. */
    private static final int BEGINNING = 3;

    /** A gross character worth less than this share of the best is no beginning here: all have it. */
    private static final double WORTH_BEGINNING = 0.25;

    /** Where there are flowers or fruits, they are what a look begins with. */
    private static final Set<LifeStage> FLOWERS = Set.of(LifeStage.FLOWERING, LifeStage.FRUITING);

    private static final int DEAR = 3;

    /** Something dear is asked for where nothing easy is worth a tenth of it. */
    private static final double INSTEAD_OF_DEAR = 0.1;

    /**
     * @param next null when nothing is worth asking
     * @param further the next question when {@code next} is null because the stage can't settle it
     */
    record Asked(@Nullable Question next, @Nullable Question further) {}

    private final Table table;
    private final Posterior posterior;
    private final double[] weight;
    private final double[] carrying;

    NextQuestion(Table table, Posterior posterior) {
        this.table = table;
        this.posterior = posterior;
        int n = table.taxa.size();
        weight = new double[n];
        carrying = new double[n];
        for (int t = 0; t < n; t++) {
            weight[t] = table.taxa.get(t).danger().weight();
            carrying[t] = weight[t] * posterior.of[t];
        }
    }

    /**
     * Characters not answered yet.
     *
     * @param again with those that could not be seen, but were not asked of a second time
     */
    static int[] left(Table table, Request request, boolean again) {
        Set<String> gone = new HashSet<>(request.unseenTwice());
        if (!again) {
            gone.addAll(request.unseeable());
        }
        request.observations().forEach(o -> gone.add(o.character()));
        return IntStream.range(0, table.characters.size())
                .filter(c -> !gone.contains(table.characters.get(c).id()))
                .filter(c -> table.characters.get(c).notUnder().stream().noneMatch(request.conditions()::contains))
                .toArray();
    }

    /** @param stillOpen dangerous taxa not excluded yet, by how far a look must go */
    Asked asked(Request request, Function<Level, List<Against>> stillOpen) {
        int lead = posterior.lead();
        int[] left = left(table, request, false);
        List<Against> alone = stillOpen.apply(Level.ALONE);
        boolean clear =
                posterior.of[lead] >= CLEAR && !table.taxa.get(lead).danger().dangerous();
        int[] all = left(table, request, true);
        if (!clear || within(alone, left, Level.ALONE)) {
            Question next = best(request, left, lead, alone, Level.ALONE);
            return new Asked(next == null ? best(request, all, lead, alone, Level.ALONE) : next, null);
        }
        List<Against> withAnother = stillOpen.apply(Level.WITH_ANOTHER);
        if (!withAnother.isEmpty() && within(withAnother, left, Level.WITH_ANOTHER)) {
            return new Asked(best(request, left, lead, withAnother, Level.WITH_ANOTHER), null);
        }
        if (within(alone, all, Level.ALONE)) {
            return new Asked(best(request, all, lead, alone, Level.ALONE), null);
        }
        if (!withAnother.isEmpty() && within(withAnother, all, Level.WITH_ANOTHER)) {
            return new Asked(best(request, all, lead, withAnother, Level.WITH_ANOTHER), null);
        }
        return new Asked(null, best(request, left, lead, alone, Level.ALONE));
    }

    private static boolean within(List<Against> open, int[] left, Level level) {
        return open.stream().allMatch(o -> o.within(left, level));
    }

    private @Nullable Question best(Request request, int[] left, int lead, List<Against> stillOpen, Level level) {
        List<Worth> worths = worths(left, lead, stillOpen, level, true);
        if (worths.isEmpty()) {
            // The last that stands between a bare lime and a yew is that it has no needles.
            worths = worths(left, lead, stillOpen, level, false);
        }
        Comparator<Worth> byWorth = Comparator.comparingDouble(Worth::of);
        Worth easy = worths.stream().filter(w -> cost(w) < DEAR).max(byWorth).orElse(null);
        Worth dear = worths.stream().filter(w -> cost(w) >= DEAR).max(byWorth).orElse(null);
        int answered = request.observations().size();
        Worth best = easy == null || (dear != null && answered >= BEGINNING && easy.of() < INSTEAD_OF_DEAR * dear.of())
                ? dear
                : easy;
        if (best == null) {
            return null;
        }
        if (best == easy
                && !FLOWERS.contains(request.stage())
                && answered + request.unseeable().size() < BEGINNING) {
            double least = WORTH_BEGINNING * easy.of();
            best = worths.stream()
                    .filter(w -> opening(w) > 0 && w.of() >= least)
                    .min(Comparator.comparingInt(this::opening))
                    .orElse(best);
        }
        return question(best.character(), request, best.separates());
    }

    /** @param shown only of what a plant still in question may have; else only what could exclude one that is open */
    private List<Worth> worths(int[] left, int lead, List<Against> stillOpen, Level level, boolean shown) {
        List<Worth> worths = new ArrayList<>();
        for (int c : left) {
            if (couldShow(c) == shown) {
                double separation = separation(c, lead, stillOpen, level);
                double gain = shown ? gain(c) : 0;
                worths.add(new Worth(
                        c,
                        (gain + separation)
                                * (1 - DISCOUNT * (table.characters.get(c).cost() - 1)),
                        separation > gain));
            }
        }
        worths.removeIf(w -> !(w.of() > 1e-12));
        return worths;
    }

    /** @param separates whether it is worth more against dangerous plants than for the name */
    private record Worth(int character, double of, boolean separates) {}

    private int cost(Worth w) {
        return table.characters.get(w.character()).cost();
    }

    private int opening(Worth w) {
        return table.characters.get(w.character()).opening();
    }

    /** Whether any plant still in question has what is asked about, or might. */
    private boolean couldShow(int c) {
        if (posterior.of[posterior.lead()] <= 0.5) {
            return true;
        }
        double mass = 0;
        for (int t = 0; t < table.taxa.size(); t++) {
            if (table.applies(c, t) && !table.isMissing(c, t)) {
                mass += posterior.of[t];
            }
        }
        return mass >= IN_QUESTION;
    }
    /**
     * Fall of the entropy H = -sum w p ln p. With joint p f(s) and q(s) the whole of a state, the expected entropy after
     * the answer is -sum w p f (ln p + ln f - ln q), so that only sums by distribution are needed:
     * gain = sum w p f ln f - sum over s of (sum w p f) ln q.
     */
    private double gain(int c) {
        double[][] probability = table.probability[c];
        double[] mass = new double[probability.length];
        double[] weighted = new double[probability.length];
        double[] strangers = new double[probability.length];
        short[] profile = table.profile[c];
        double[] of = posterior.of;
        double[] like = posterior.strangerLike;
        for (int t = 0; t < profile.length; t++) {
            int p = profile[t];
            mass[p] += of[t];
            weighted[p] += carrying[t];
            strangers[p] += like[t];
        }
        int k = probability[0].length;
        double none = posterior.none;
        double gain = 0;
        for (int p = 0; p < probability.length; p++) {
            gain += weighted[p] * table.ordered[c][p];
        }
        for (int s = 0; s < k; s++) {
            double q = 0;
            double w = 0;
            double stranger = 0;
            for (int p = 0; p < probability.length; p++) {
                double f = probability[p][s];
                q += mass[p] * f;
                w += weighted[p] * f;
                stranger += strangers[p] * (Posterior.KINSHIP * f + (1 - Posterior.KINSHIP) / k);
            }
            q += stranger;
            if (stranger > 0) {
                gain += WEIGHT_NONE * stranger * Math.log(stranger / none);
            }
            gain -= (w + WEIGHT_NONE * stranger) * Math.log(q);
        }
        return gain;
    }

    /** How much of what is wanting against each dangerous taxon still open the answer is expected to bring, if the lead is right. */
    private double separation(int c, int lead, List<Against> stillOpen, Level level) {
        if (table.shown[c][lead] == 0 || posterior.of[lead] < 0.5) {
            return 0;
        }
        double sum = 0;
        for (Against open : stillOpen) {
            sum += open.expected(c, level);
        }
        return sum * posterior.of[lead] * SEPARATION;
    }

    private Question question(int c, Request request, boolean separates) {
        CharacterDefinition definition = table.characters.get(c);
        String why = request.observations().isEmpty()
                ? "Sorts best what grows here at this time of the year."
                : separates
                        ? "Dangerous plants that look alike differ here."
                        : "What is still possible differs most here.";
        return new Question(
                definition.id(),
                definition.states().stream().map(CharacterDefinition.State::id).toList(),
                why,
                request.unseeable().contains(definition.id()));
    }
}
