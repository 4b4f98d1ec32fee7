package org.sallowbrook.core.household;

import java.util.EnumMap;
import java.util.Map;
import org.sallowbrook.core.measure.Checks;

/** The schools a household keeps to: its own choices, and the safer default for the rest. */
public final class Schools {

    public static final Schools USUAL = new Schools(Map.of());

    private final Map<Question, School> chosen = new EnumMap<>(Question.class);

    private Schools(Map<Question, School> chosen) {
        this.chosen.putAll(chosen);
    }

    /** @throws org.sallowbrook.core.measure.InvalidInput where a school answers another question */
    public static Schools of(Map<Question, School> chosen) {
        Checks checks = Checks.begin();
        chosen.forEach((question, school) ->
                checks.that(school.question() == question, "schools." + question, "is not answered by " + school));
        checks.done();
        return new Schools(chosen);
    }

    public School of(Question question) {
        return chosen.getOrDefault(question, question.usual());
    }

    public boolean isChosen(Question question) {
        return chosen.containsKey(question);
    }

    /** These, with one changed. */
    public Schools with(School school) {
        Map<Question, School> more = new EnumMap<>(Question.class);
        more.putAll(chosen);
        more.put(school.question(), school);
        return new Schools(more);
    }
}
