package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.Step.Phase;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.Stored;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A plan as it is kept with its batch, so that an old batch can always be opened and explained. Never sent as it is.
 *
 * @param yield expected, in the unit of the form
 * @param gPerMl of what is counted in grams and filled by volume; 1 else
 * @param finalPercent alcohol by volume; null without spirit
 * @param driedGPerUnit null where it has no meaning
 */
record StoredPlan(
        LotForm form,
        List<Step> steps,
        List<Fact> facts,
        Range yield,
        Double gPerMl,
        @Nullable Range finalPercent,
        @Nullable Range driedGPerUnit,
        List<Herb> herbs,
        Kept kept,
        List<Follow> follows,
        List<Finding> findings,
        List<String> because,
        List<Lesson> lessons) {

    static final Stored<StoredPlan> DOCUMENT = Stored.of(
            "plan", StoredPlan.class, StoredPlan::second, StoredPlan::third, StoredPlan::fourth, StoredPlan::fifth);

    /**
     * @param until fixed when it was planned, in earlier schemas; null where it follows from the rest
     * @param mostDays null for the form's own life
     */
    record Kept(
            Keeping.Form as,
            @Nullable Integer mostDays,
            List<Until> inputs,
            @Nullable LocalDate until) {}

    record Until(String name, LocalDate bestBefore) {}

    record Step(
            String text, @Nullable String hazard, @Nullable Double timerMinutes, Phase phase) {}

    record Fact(String label, Range value, String unit, String note) {}

    record Herb(String taxonId, String commonName, Taxon.Part part, Double driedG) {}

    record Finding(String code, Severity severity, String message, String action) {
        static List<Finding> of(List<org.sallowbrook.core.measure.Finding> findings) {
            return findings.stream()
                    .map(f -> new Finding(f.code(), f.severity(), f.message(), f.action()))
                    .toList();
        }

        static List<org.sallowbrook.core.measure.Finding> found(List<Finding> findings) {
            return findings.stream()
                    .map(f -> new org.sallowbrook.core.measure.Finding(f.code, f.severity, f.message, f.action))
                    .toList();
        }
    }

    String unit() {
        return form.unit().symbol();
    }

    List<org.sallowbrook.core.making.Step> stepsToDo() {
        return steps.stream()
                .map(s -> new org.sallowbrook.core.making.Step(s.text, s.hazard, s.timerMinutes, s.phase))
                .toList();
    }

    /** In the first schema a plan was one of four kinds, said what it taught in a member of each, and showed no figures. */
    private static void second(ObjectNode plan) {
        plan.remove(List.of("unit", "strengthPercent", "withHoney"));
        Stored.unsaid(plan, "finalPercent", "driedGPerUnit");
        for (JsonNode step : plan.path("steps")) {
            Stored.unsaid((ObjectNode) step, "hazard", "timerMinutes");
        }
        boolean salve = plan.path("form").asString("").equals(LotForm.SALVE.name());
        plan.putArray("facts");
        plan.put("gPerMl", salve ? Salve.USUAL_G_PER_ML : 1);
        plan.put("shaken", true);
        ObjectNode kept = plan.putObject("kept");
        kept.set("as", plan.get("form"));
        kept.set("mostDays", plan.remove("keepsDays"));
        kept.set("until", plan.remove("keepsUntil"));
        kept.putArray("inputs");
        ArrayNode lessons = plan.putArray("lessons");
        taught(lessons, plan.remove("jar"), "PRESSING");
        taught(lessons, plan.remove("spooned"), "SPOON");
    }

    /** In the second a figure said beside its ends that they are one. */
    private static void third(ObjectNode plan) {
        for (JsonNode fact : plan.path("facts")) {
            if (fact.get("value") instanceof ObjectNode value) {
                value.remove("exact");
            }
        }
    }

    /** In the third what is done with a batch went by its form, by what it teaches, and by whether it is shaken. */
    private static void fourth(ObjectNode plan) {
        String form = plan.path("form").asString("");
        Set<String> teaches = new HashSet<>();
        plan.path("lessons").forEach(l -> teaches.add(l.path("of").asString("")));
        ArrayNode follows = plan.putArray("follows");
        JsonNode shaken = plan.remove("shaken");
        if (shaken != null && shaken.asBoolean(false)) {
            follows.add(Follow.SHAKE.name());
        }
        if (form.equals(LotForm.TINCTURE.name())) {
            follows.add(Follow.POUR_OFF.name());
        }
        if (teaches.contains("PAN")) {
            follows.add(Follow.WEIGH_PAN.name());
        } else if (form.equals(LotForm.INFUSED_OIL.name())) {
            follows.add(Follow.SETTLE.name());
        }
        if (teaches.contains("SPOON")) {
            follows.add(Follow.SPOON.name());
        }
    }

    /** In the fourth nobody said which day a step belongs to; those that tell of days of waiting were written in these words. */
    private static void fifth(ObjectNode plan) {
        Phase phase = Phase.BEGUN;
        for (JsonNode step : plan.path("steps")) {
            String text = step.path("text").asString("");
            if (phase == Phase.BEGUN
                    && (text.contains("press after")
                            || text.contains("strain it after")
                            || text.contains("Pour off what is needed"))) {
                phase = Phase.RESTING;
            } else if (phase == Phase.RESTING && text.startsWith("Press")) {
                phase = Phase.PRESSED;
            }
            ((ObjectNode) step).put("phase", phase.name());
        }
    }

    private static void taught(ArrayNode lessons, @Nullable JsonNode lesson, String of) {
        if (lesson instanceof ObjectNode told) {
            lessons.add(told.put("of", of));
        }
    }
}
