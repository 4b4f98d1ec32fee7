package org.sallowbrook.core.identification;

import java.util.Comparator;
import java.util.HashSet;
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
 * gate has not, what counts is how much the answer adds to the likelihood ratio against the dangerous taxa still open.
 */
final class NextQuestion {

    /** What confusing an unlisted plant with a listed one costs, beside the weights of {@code Danger}. */
    private static final double WEIGHT_NONE = 30;

    private static final double DISCOUNT = 0.2;

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

    @Nullable
    Question next(Request request, int[] stillOpen) {
        Set<String> seen = new HashSet<>(request.unseeable());
        for (Observation o : request.observations()) {
            seen.add(o.character());
        }
        int lead = posterior.lead();
        int best = -1;
        double most = 0;
        for (int c = 0; c < table.characters.size(); c++) {
            CharacterDefinition definition = table.characters.get(c);
            if (seen.contains(definition.id())
                    || definition.notUnder().stream().anyMatch(request.conditions()::contains)
                    || (posterior.of[lead] > 0.5 && !table.applies(c, lead))) {
                continue;
            }
            double worth = gain(c) + separation(c, lead, stillOpen);
            worth *= 1 - DISCOUNT * (definition.cost() - 1);
            if (worth > most + 1e-12) {
                most = worth;
                best = c;
            }
        }
        return best < 0 ? null : question(best);
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

    /** Expected growth, if the lead is right, of ln P(seen | lead) / P(seen | other), for each dangerous taxon still open. */
    private double separation(int c, int lead, int[] stillOpen) {
        if (table.shown[c][lead] == 0 || posterior.of[lead] < 0.5) {
            return 0;
        }
        double[] from = table.divergence[c][table.profile[c][lead]];
        double sum = 0;
        for (int other : stillOpen) {
            if (table.shown[c][other] != 0) {
                sum += from[table.profile[c][other]];
            }
        }
        return sum * posterior.of[lead] * 0.05;
    }

    private Question question(int c) {
        CharacterDefinition definition = table.characters.get(c);
        return new Question(
                definition.id(),
                definition.states().stream().map(CharacterDefinition.State::id).toList(),
                why(c));
    }

    private String why(int c) {
        var told = IntStream.range(0, table.taxa.size())
                .filter(t -> table.shown[c][t] != 0)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer t) -> carrying[t]).reversed())
                .limit(2)
                .map(t -> table.taxa.get(t).commonName())
                .toList();
        return told.size() == 2
                ? "Tells most about " + told.get(0) + " and " + told.get(1) + "."
                : "Tells most of what can be seen now.";
    }
}
