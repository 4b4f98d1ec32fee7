package org.sallowbrook.core.identification;

import java.util.Arrays;
import java.util.Set;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Request;

/**
 * How likely each taxon is after what was seen.
 *
 * <p>"None of these" is a plant no card describes. Such a plant is seldom like nothing: it is somebody's relative. So it
 * is reckoned as a stranger that agrees with one of the taxa in a share of its characters ({@link #KINSHIP}) and is anything
 * else in the rest: P(state | stranger like t) = m P(state | t) + (1 - m) / k, over all t by their priors. Two or three
 * characters that do not fit then speak for the stranger, and not for a plant that happens to lie nearest.
 */
final class Posterior {

    static final double PRIOR_NONE = 0.05;
    static final double KINSHIP = 0.6;
    private static final double OUT_OF_MONTH = 0.1;

    /** Natural logarithm of P(everything seen | taxon); minus infinity when it has no such organ. */
    final double[] logLikelihood;

    final double[] of;
    /** Share of the stranger that is like each taxon; sums to {@link #none}. */
    final double[] strangerLike;

    final double none;

    Posterior(Table table, Request request) {
        int n = table.taxa.size();
        logLikelihood = new double[n];
        of = new double[n];
        strangerLike = new double[n];
        double[] stranger = new double[n];
        for (Observation o : request.observations()) {
            int c = table.index(o.character());
            if (table.characters.get(c).notUnder().stream().anyMatch(request.conditions()::contains)) {
                continue;
            }
            see(table, c, Table.state(table.characters.get(c), o.state()), stranger);
        }
        double most = Double.NEGATIVE_INFINITY;
        double priors = 0;
        for (int t = 0; t < n; t++) {
            of[t] = prior(table, t, request.stage(), request.month());
            priors += of[t];
            most = Math.max(most, Math.max(logLikelihood[t], stranger[t]));
        }
        double sum = 0;
        double strangers = 0;
        for (int t = 0; t < n; t++) {
            double prior = of[t] / priors;
            of[t] = (1 - PRIOR_NONE) * prior * Math.exp(logLikelihood[t] - most);
            strangerLike[t] = PRIOR_NONE * prior * Math.exp(stranger[t] - most);
            sum += of[t] + strangerLike[t];
        }
        for (int t = 0; t < n; t++) {
            of[t] /= sum;
            strangerLike[t] /= sum;
            strangers += strangerLike[t];
        }
        none = strangers;
    }

    private void see(Table table, int c, int state, double[] stranger) {
        double[][] probability = table.probability[c];
        double[] seen = new double[probability.length];
        double[] like = new double[probability.length];
        for (int p = 0; p < probability.length; p++) {
            seen[p] = Math.log(probability[p][state]);
            like[p] = Math.log(KINSHIP * probability[p][state] + (1 - KINSHIP) / probability[p].length);
        }
        short[] profile = table.profile[c];
        for (int t = 0; t < profile.length; t++) {
            boolean has = table.applies(c, t);
            logLikelihood[t] += has ? seen[profile[t]] : Double.NEGATIVE_INFINITY;
            stranger[t] += like[profile[t]];
        }
    }

    private static double prior(Table table, int t, LifeStage stage, int month) {
        Set<Integer> months = table.taxa.get(t).months().get(stage);
        return months != null && months.contains(month) ? 1 : OUT_OF_MONTH;
    }

    /** Index of the likeliest taxon. */
    int lead() {
        int lead = 0;
        for (int t = 1; t < of.length; t++) {
            if (of[t] > of[lead]) {
                lead = t;
            }
        }
        return lead;
    }

    /** The likeliest but one, "none of these" among them. */
    double second(int lead) {
        double second = none;
        for (int t = 0; t < of.length; t++) {
            if (t != lead) {
                second = Math.max(second, of[t]);
            }
        }
        return second;
    }

    @Override
    public String toString() {
        return Arrays.toString(of) + " none " + none;
    }
}
