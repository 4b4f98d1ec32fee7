package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.StoredJson;
import org.sallowbrook.server.shelf.HerbView;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Writes plans down and reads them again, whatever schema they were written in. */
@Component
class PlanStore {

    /** As plans were written before they had a number. */
    private record First(
            List<Step> steps,
            Range yield,
            @Nullable Range finalPercent,
            @Nullable Range driedGPerUnit,
            List<HerbView> herbs,
            @Nullable LocalDate keepsUntil,
            @Nullable Integer keepsDays,
            List<Finding> findings,
            List<String> because,
            Lesson.@Nullable Pressing jar,
            Lesson.@Nullable Spoon spooned) {}

    private final JsonMapper json;

    PlanStore(JsonMapper json) {
        this.json = json;
    }

    String write(StoredPlan plan) {
        return json.writeValueAsString(plan);
    }

    /** @throws IllegalStateException for a schema that a newer version wrote */
    StoredPlan read(String written, LotForm form) {
        JsonNode tree = json.readTree(written);
        int schema = tree.path("schema").asInt(1);
        return switch (schema) {
            case 1 -> first(StoredJson.read(json, tree, First.class), form);
            case StoredPlan.SCHEMA -> StoredJson.read(json, tree, StoredPlan.class);
            default ->
                throw new IllegalStateException("this plan was written by a newer version (schema " + schema + ")");
        };
    }

    private static StoredPlan first(First p, LotForm form) {
        List<Lesson> lessons = new ArrayList<>();
        if (p.jar() != null) {
            lessons.add(p.jar());
        }
        if (p.spooned() != null) {
            lessons.add(p.spooned());
        }
        Keeping.Form as = switch (form) {
            case TEA -> Keeping.Form.TEA;
            case SALVE -> Keeping.Form.SALVE;
            case INFUSED_OIL -> Keeping.Form.INFUSED_OIL;
            default -> Keeping.Form.TINCTURE;
        };
        return new StoredPlan(
                1,
                form,
                p.steps(),
                List.of(),
                p.yield(),
                form == LotForm.SALVE ? Salve.USUAL_G_PER_ML : 1,
                p.finalPercent(),
                p.driedGPerUnit(),
                p.herbs(),
                new StoredPlan.Kept(as, p.keepsDays(), List.of(), p.keepsUntil()),
                true,
                p.findings(),
                p.because(),
                lessons);
    }
}
