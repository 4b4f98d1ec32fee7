package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identification.Verdict;

/**
 * Which answers are asked a second time before a CONFIRMED, or half of one, is kept: those that exclude most of what is dangerous, of
 * different organs. A slip is seldom made twice the same way on another leaf; a wish is caught out more often still.
 */
final class LookAgain {

    static final int ASKED = 2;

    private LookAgain() {}

    static List<String> of(Herbarium herbarium, Request request, Verdict verdict) {
        if (verdict.status() != Status.CONFIRMED && verdict.status() != Status.SECOND_WANTED) {
            return List.of();
        }
        Map<String, Integer> excludes = new HashMap<>();
        verdict.excluded().forEach(e -> e.by().forEach(c -> excludes.merge(c, 1, Integer::sum)));
        List<String> candidates = request.observations().stream()
                .map(Observation::character)
                .filter(excludes::containsKey)
                .sorted(Comparator.comparing((String c) -> -excludes.getOrDefault(c, 0))
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
        Set<CharacterDefinition.Organ> organs = new HashSet<>();
        List<String> chosen = new ArrayList<>();
        for (String c : candidates) {
            CharacterDefinition definition = herbarium.character(c);
            if (chosen.size() < ASKED
                    && definition != null
                    && organs.add(definition.organ().glance())) {
                chosen.add(c);
            }
        }
        request.again().forEach(o -> chosen.remove(o.character()));
        return chosen;
    }
}
