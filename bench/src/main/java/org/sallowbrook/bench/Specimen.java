package org.sallowbrook.bench;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;

/**
 * A plant as one observer meets it. Each character is either not to be seen (15 %), or shows a state drawn by its card's
 * frequencies, which the observer names wrongly at the vocabulary's error rate. What the card does not describe shows
 * any state.
 *
 * <p>For rare events the answers may be drawn towards another taxon; {@link #logWeight} then holds the logarithm of
 * P(answers | this taxon) / P(answers | as drawn).
 */
final class Specimen {

    static final double UNSEEABLE = 0.15;

    private final Taxon taxon;
    private final LifeStage stage;
    private final SplittableRandom random;
    private final @Nullable Taxon towards;
    private final double pull;
    private final Map<String, String> answers = new HashMap<>();
    private final Set<String> unseeable = new HashSet<>();
    private double logWeight;

    /**
     * @param towards the taxon the answers are drawn to; null for none
     * @param pull probability that an answer is drawn from that taxon, 0..1
     */
    Specimen(Taxon taxon, LifeStage stage, SplittableRandom random, @Nullable Taxon towards, double pull) {
        this.taxon = taxon;
        this.stage = stage;
        this.random = random;
        this.towards = towards;
        this.pull = pull;
    }

    /** What the observer says; null when it can't be seen. The same each time it is asked. */
    @Nullable
    String look(CharacterDefinition character) {
        if (unseeable.contains(character.id())) {
            return null;
        }
        String known = answers.get(character.id());
        if (known != null) {
            return known;
        }
        if (random.nextDouble() < UNSEEABLE) {
            unseeable.add(character.id());
            return null;
        }
        double[] own = distribution(taxon, character, stage);
        int said;
        if (towards == null) {
            said = draw(own);
        } else {
            double[] other = distribution(towards, character, stage);
            double[] drawn = new double[own.length];
            for (int s = 0; s < own.length; s++) {
                drawn[s] = (1 - pull) * own[s] + pull * other[s];
            }
            said = draw(drawn);
            logWeight += Math.log(own[said] / drawn[said]);
        }
        String state = character.states().get(said).id();
        answers.put(character.id(), state);
        return state;
    }

    double logWeight() {
        return logWeight;
    }

    private int draw(double[] p) {
        double u = random.nextDouble();
        for (int s = 0; s < p.length - 1; s++) {
            u -= p[s];
            if (u < 0) {
                return s;
            }
        }
        return p.length - 1;
    }

    /** P(answer | taxon), the observer's error in it. */
    static double[] distribution(Taxon taxon, CharacterDefinition character, LifeStage stage) {
        List<CharacterDefinition.State> states = character.states();
        double[] p = new double[states.size()];
        Map<String, Frequency> shown = taxon.statesOf(character.id(), stage);
        double e = character.error();
        double whole = shown == null
                ? 0
                : shown.values().stream().mapToDouble(Frequency::share).sum();
        for (int s = 0; s < p.length; s++) {
            if (shown == null) {
                p[s] = 1.0 / p.length;
                continue;
            }
            Frequency frequency = shown.get(states.get(s).id());
            double f = frequency == null ? 0 : frequency.share() / whole;
            p[s] = (1 - e) * f + e * (1 - f) / (p.length - 1);
        }
        return p;
    }
}
