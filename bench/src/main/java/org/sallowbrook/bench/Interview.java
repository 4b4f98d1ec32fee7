package org.sallowbrook.bench;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Result;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identifier;

/** Questions and answers about one specimen, until it is certain, stopped, not to be told, or too many were asked. */
final class Interview {

    static final int MOST_QUESTIONS = 20;
    static final String REGION = "merrow";

    /** @param questions asked, those not to be seen among them */
    record Outcome(Status status, @Nullable String taxon, int questions) {}

    private Interview() {}

    /** @param order characters in the order they are asked; null for the engine's own questions */
    static Outcome hold(
            Identifier identifier,
            Herbarium herbarium,
            LifeStage stage,
            int month,
            Specimen specimen,
            @Nullable List<String> order) {
        List<Observation> seen = new ArrayList<>();
        Set<String> unseeable = new HashSet<>();
        Set<String> twice = new HashSet<>();
        Result result = ask(identifier, stage, month, seen, unseeable, twice);
        int asked = 0;
        while (asked < MOST_QUESTIONS
                && (result.verdict().status() == Status.NOT_YET
                        || result.verdict().status() == Status.SECOND_WANTED)) {
            String next = order == null
                    ? (result.next() == null ? null : result.next().character())
                    : asked < order.size() ? order.get(asked) : null;
            if (next == null) {
                break;
            }
            CharacterDefinition character = Objects.requireNonNull(herbarium.character(next));
            boolean again = unseeable.contains(next);
            String state = again ? specimen.lookElsewhere(character) : specimen.look(character);
            asked++;
            if (state == null) {
                (again ? twice : unseeable).add(next);
                if (order != null) {
                    continue;
                }
            } else {
                seen.add(new Observation(next, state));
            }
            result = ask(identifier, stage, month, seen, unseeable, twice);
        }
        return new Outcome(result.verdict().status(), result.verdict().taxon(), asked);
    }

    private static Result ask(
            Identifier identifier,
            LifeStage stage,
            int month,
            List<Observation> seen,
            Set<String> unseeable,
            Set<String> twice) {
        return identifier.identify(
                new Request(month, stage, REGION, Set.of(), seen, unseeable, twice, List.of(), Map.of()));
    }

    /** All characters of a stage, by what they would tell of everything before anything was seen. */
    static List<String> byPriorInformation(Identifier identifier, LifeStage stage, int month) {
        Set<String> taken = new HashSet<>();
        List<String> order = new ArrayList<>();
        while (true) {
            var next = ask(identifier, stage, month, List.of(), taken, taken).next();
            if (next == null) {
                return order;
            }
            order.add(next.character());
            taken.add(next.character());
        }
    }
}
