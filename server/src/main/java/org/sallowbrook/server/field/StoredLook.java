package org.sallowbrook.server.field;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.server.platform.Stored;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What was seen at a look and what the engine made of it. @param again what was looked at a second time */
record StoredLook(List<Seen> observations, List<Seen> again, Verdict verdict) {

    static final Stored<StoredLook> DOCUMENT = Stored.of("look", StoredLook.class, StoredLook::second);

    record Seen(String character, String state) {
        static List<Seen> of(List<LookService.ObservationView> seen) {
            return seen.stream().map(o -> new Seen(o.character(), o.state())).toList();
        }

        static List<LookService.ObservationView> views(List<Seen> seen) {
            return seen.stream()
                    .map(o -> new LookService.ObservationView(o.character, o.state))
                    .toList();
        }
    }

    /** @param status null where the oldest looks did not say it here */
    record Verdict(
            Identification.@Nullable Status status,
            @Nullable String taxon,
            @Nullable String genus,
            List<Excluded> excluded,
            List<Open> open,
            @Nullable TellableAt tellableAt) {

        static Verdict of(Identification.Verdict v) {
            return new Verdict(
                    v.status(),
                    v.taxon(),
                    v.genus(),
                    v.excluded().stream()
                            .map(e -> new Excluded(e.taxon(), e.by()))
                            .toList(),
                    v.open().stream()
                            .map(o -> new Open(o.taxon(), o.inTheWay(), o.would(), TellableAt.of(o.later())))
                            .toList(),
                    TellableAt.of(v.tellableAt()));
        }
    }

    record Excluded(String taxon, List<String> by) {}

    /** @param inTheWay null where it was not said yet whether nothing could exclude it or nobody looked */
    record Open(
            String taxon,
            @Nullable Boolean inTheWay,
            List<String> would,
            @Nullable TellableAt later) {}

    record TellableAt(LifeStage stage, List<Integer> months, List<String> characters) {
        static @Nullable TellableAt of(Identification.@Nullable TellableAt t) {
            return t == null ? null : new TellableAt(t.stage(), t.months(), t.characters());
        }
    }

    /** The first schema held the engine's own verdict, to which things were added as the engine learnt them. */
    private static void second(ObjectNode look) {
        if (look.get("verdict") instanceof ObjectNode verdict) {
            Stored.unsaid(verdict, "status", "taxon", "genus", "tellableAt");
            for (String list : List.of("excluded", "open")) {
                if (!verdict.has(list)) {
                    verdict.putArray(list);
                }
            }
            for (JsonNode open : verdict.get("open")) {
                Stored.unsaid((ObjectNode) open, "inTheWay", "later");
            }
        }
    }
}
