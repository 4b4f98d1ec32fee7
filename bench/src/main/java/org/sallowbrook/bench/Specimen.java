package org.sallowbrook.bench;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;

/**
 * One look at one plant: each character is either not to be seen (15 %), or answered as an {@link Observer} would.
 *
 * <p>{@link #logWeight} is the logarithm of P(answers | the observer) / P(answers | as drawn), 0 when nothing was pulled.
 */
final class Specimen {

    static final double UNSEEABLE = 0.15;

    private final Observer.Look look;
    private final SplittableRandom random;
    private final Map<String, String> answers = new HashMap<>();
    private final Set<String> unseeable = new HashSet<>();
    private double logWeight;

    Specimen(Observer.Look look, SplittableRandom random) {
        this.look = look;
        this.random = random;
        this.logWeight = look.logWeight();
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
        Observer.Answer answer = look.at(character);
        if (answer == null || random.nextDouble() < UNSEEABLE) {
            unseeable.add(character.id());
            return null;
        }
        int said = draw(answer.drawn());
        logWeight += Math.log(answer.own()[said] / answer.drawn()[said]);
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
}
