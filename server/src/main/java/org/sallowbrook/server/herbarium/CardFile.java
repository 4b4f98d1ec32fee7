package org.sallowbrook.server.herbarium;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Severity;

/** A card as it is written down: the YAML files, what a household adds, what is exported. docs/formats/plant-card.md. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record CardFile(
        String id,
        String name,
        String author,
        @Nullable List<String> olderNames,
        List<String> commonNames,
        @Nullable Set<String> ambiguousNames,
        String family,
        @Nullable Group group,
        String lifeForm,
        Taxon.@Nullable Origin origin,
        Danger danger,
        @Nullable Boolean draft,
        @Nullable Boolean genusEnough,
        Boolean lookAlikesChecked,
        Set<String> regions,
        String habitat,
        String protection,
        @Nullable String sexes,
        @Nullable Map<Taxon.Hazard, String> hazards,
        @Nullable String washing,
        @Nullable String winterTells,
        @Nullable Boolean halfParasite,
        Map<LifeStage, Set<Integer>> months,
        @Nullable List<String> like,
        LinkedHashMap<String, String> characters,
        @Nullable Map<String, String> never,
        @Nullable List<LookAlikeFile> lookAlikes,
        @Nullable Set<Taxon.Constituent> constituents,
        @Nullable List<String> actions,
        @Nullable List<UseFile> uses,
        @Nullable List<FoodFile> foods,
        @Nullable List<PartFile> parts,
        @Nullable List<CautionFile> cautions,
        @Nullable Map<String, SourceFile> sources,
        SourceFile source) {

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record SourceFile(String title, Integer year, Source.Evidence evidence, Source.@Nullable Review review) {
        Source toCore() {
            return new Source(title, year, evidence, review == null ? Source.Review.STARTER : review);
        }
    }

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record LookAlikeFile(
            String taxon, List<String> decisive, @Nullable Set<LifeStage> tellable, String tells) {}

    record SpiritFile(Double ratio, Double menstruumPercent, String source) {}

    record TeaFile(String method, Double minutes, Double gramsPerCup, Double cupMl, String source) {}

    /** Two ends of a range. */
    record RangeFile(Double low, Double high) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record DoseFile(
            String use,
            Taxon.Route route,
            String form,
            Integer fromAgeYears,
            Double lowGPerDay,
            Double highGPerDay,
            @Nullable Integer mostDays,
            String source) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record ContentFile(
            Taxon.Constituent constituent,
            Double lowMgPerG,
            Double highMgPerG,
            @Nullable Double mostMgPerDay,
            @Nullable Double mostMgPerKgPerDay,
            String source) {}

    /** @param parts null for those with a dose for it, or for all of its route */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record UseFile(
            String name,
            Taxon.Route route,
            Taxon.@Nullable Potency potency,
            @Nullable List<Taxon.Part> parts,
            @Nullable Boolean grave,
            String source) {}

    record FoodFile(String what, String limit, String source) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record CautionFile(
            Taxon.Subject subject,
            @Nullable String value,
            Taxon.CautionStatus status,
            @Nullable Severity severity,
            String effect,
            String source) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record PartFile(
            Taxon.Part part,
            String moment,
            Set<LifeStage> stages,
            Set<Integer> months,
            Double sharePerPlant,
            Double shareOfStand,
            @Nullable RangeFile degreeDays,
            @Nullable Integer leastAgeYears,
            Taxon.@Nullable Frost frost,
            @Nullable RangeFile freshMoisture,
            @Nullable RangeFile bulkDensityGPerMl,
            @Nullable RangeFile freshBulkDensityGPerMl,
            @Nullable Double dryAtC,
            @Nullable Integer storageMonths,
            @Nullable Integer ageingMonths,
            @Nullable Boolean aromatic,
            Set<Taxon.Route> routes,
            String method,
            @Nullable String tools,
            @Nullable SpiritFile spirit,
            @Nullable TeaFile tea,
            @Nullable List<DoseFile> doses,
            @Nullable List<ContentFile> contents) {}
}
