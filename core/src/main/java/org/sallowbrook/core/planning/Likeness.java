package org.sallowbrook.core.planning;

import java.util.Optional;
import java.util.Set;
import org.sallowbrook.core.measure.Checks;

/**
 * How much a complaint is like those that were sent on, learnt from many of them. It stands behind the rules, which say what it
 * may be: it sends on what fits no rule, and takes the alarm, never the answer, from what is like nothing grave.
 */
@FunctionalInterface
public interface Likeness {

    /**
     * @param now 0 to 1, like those that can't wait
     * @param today 0 to 1, like those that a doctor sees the same day
     * @param soon 0 to 1, like those that a doctor sees within days; all three together at most 1, and the rest is like what was
     *     harmless
     */
    record Heard(double now, double today, double soon) {
        public Heard {
            Checks.begin()
                    .that(now >= 0 && now <= 1, "now", "must be from 0 to 1")
                    .that(today >= 0 && today <= 1, "today", "must be from 0 to 1")
                    .that(soon >= 0 && now + today + soon <= 1.000001, "soon", "must be from 0 to what is left of 1")
                    .done();
        }

        double grave() {
            return now + today + soon;
        }
    }

    /**
     * @param words as they were said
     * @param notions what the lexicon reads in them
     * @return empty where nothing of it was ever heard: then the rules alone speak
     */
    Optional<Heard> hear(String words, Set<String> notions);
}
