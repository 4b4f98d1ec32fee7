package org.sallowbrook.core.identification;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Question;
import org.sallowbrook.core.identification.Identification.Request;

/**
 * The character whose answer is expected to lower the risk-weighted entropy most: sum over taxa of weight times -p ln p,
 * a dangerous taxon weighing more. Dear or unsafe looking is discounted. Where the posterior has made up its mind and the
 * gate has not, what counts is how much the answer adds of what is wanting against the dangerous taxa still open.
 *
 * <p>Not asked: what the plants still in question can't have (the needles of a lime). When one plant is clear and nothing
 * left to see at this stage could exclude one of those open, no question is put; {@link Asked#further} goes on all the
 * same for whoever wants to.
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

    Asked asked(Request request, List<Against> stillOpen) {
        Set<String> seen = new HashSet<>(request.unseeable());
        for (Observation o : request.observations()) {
            seen.add(o.character());
        }
        int lead = posterior.lead();
        int[] left = IntStream.range(0, table.characters.size())
                .filter(c -> !seen.contains(table.characters.get(c).id()))
                .filter(c -> table.characters.get(c).notUnder().stream().noneMatch(request.conditions()::contains))
                .toArray();
        Question best = best(request, left, lead, stillOpen);
        boolean settled = posterior.of[lead] >= CLEAR
                && !table.taxa.get(lead).danger().dangerous()
                && stillOpen.stream().anyMatch(o -> !o.within(left));
        return settled ? new Asked(null, best) : new Asked(best, null);
    }

    private @Nullable Question best(Request request, int[] left, int lead, List<Against> stillOpen) {
        int best = -1;
        double most = 0;
        boolean separates = false;
        for (int c : left) {
            if (!couldShow(c)) {
                continue;
            }
            double separation = separation(c, lead, stillOpen);
            double gain = gain(c);
            double worth = (gain + separation)
                    * (1 - DISCOUNT * (table.characters.get(c).cost() - 1));
            if (worth > most + 1e-12) {
                most = worth;
                best = c;
                separates = separation > gain;
            }
        }
        return best < 0 ? null : question(best, request, separates);
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
    private double separation(int c, int lead, List<Against> stillOpen) {
        if (table.shown[c][lead] == 0 || posterior.of[lead] < 0.5) {
            return 0;
        }
        double sum = 0;
        for (Against open : stillOpen) {
            sum += open.expected(c);
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
                why);
    }
}
