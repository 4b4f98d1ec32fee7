package org.sallowbrook.core.identification;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;

/** What tells two taxa apart at each stage, worked out once for each pair that was asked of. */
final class TellingCache {

    private record Pair(String a, String b, LifeStage stage) {}

    /** @param by characters; empty when they do not suffice */
    private record Told(List<String> by) {}

    private final Herbarium herbarium;
    private final Map<Pair, Told> known = new ConcurrentHashMap<>();

    TellingCache(Herbarium herbarium) {
        this.herbarium = herbarium;
    }

    /** Empty when they can't be told at the stage. */
    List<String> telling(Taxon a, Taxon b, LifeStage stage) {
        return known.computeIfAbsent(
                        new Pair(a.id(), b.id(), stage),
                        p -> new Told(
                                Telling.enough(herbarium, a, b, stage)
                                        ? Telling.between(herbarium, a, b, stage)
                                        : List.of()))
                .by();
    }
}
