package org.sallowbrook.bench;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
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

    /** So often what could not be seen can't be seen on another leaf either. */
    static final double UNSEEN_AGAIN = 0.4;

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
        return say(character, answer);
    }

    private String say(CharacterDefinition character, Observer.Answer answer) {
        int said = draw(answer.drawn());
        logWeight += Math.log(answer.own()[said] / answer.drawn()[said]);
        String state = character.states().get(said).id();
        answers.put(character.id(), state);
        return state;
    }

    /** On another leaf or plant, where it could not be seen before. */
    @Nullable
    String lookElsewhere(CharacterDefinition character) {
        if (look.at(character) == null || random.nextDouble() < UNSEEN_AGAIN) {
            return null;
        }
        unseeable.remove(character.id());
        return say(character, Objects.requireNonNull(look.at(character)));
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
