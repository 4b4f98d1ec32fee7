package org.sallowbrook.core.herbarium;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;

/**
 * The card of one plant. Figures that nobody could source are null; null never reads as safe.
 *
 * @param id lower case with hyphens
 * @param draft visible and tellable, not harvestable
 * @param genusEnough whether the whole genus serves
 * @param lookAlikesChecked whether somebody went through the list of look-alikes for completeness
 * @param months by stage, the calendar months in which it is seen at the reference latitude
 */
public record Taxon(
        String id,
        String name,
        String author,
        List<String> olderNames,
        List<String> commonNames,
        String family,
        String lifeForm,
        Danger danger,
        boolean draft,
        boolean genusEnough,
        boolean lookAlikesChecked,
        Set<String> regions,
        String habitat,
        String protection,
        List<String> hazards,
        boolean halfParasite,
        Map<LifeStage, Set<Integer>> months,
        List<Shown> characters,
        List<LookAlike> lookAlikes,
        List<UsedPart> parts,
        Set<Constituent> constituents,
        List<Action> actions,
        List<Use> uses,
        List<Caution> cautions,
        Source source) {

    /** The states one character takes at some stages. */
    public record Shown(String character, Set<LifeStage> stages, Map<String, Frequency> states) {}

    /** @param decisive characters that tell the two apart for sure where they can be seen */
    public record LookAlike(String taxon, List<String> decisive, String tells) {}

    public enum Part {
        TOPS,
        LEAF,
        FLOWER,
        FLOWER_HEAD,
        HERB,
        ROOT,
        BARK
    }

    public enum Route {
        INTERNAL,
        EXTERNAL
    }

    /**
     * @param sharePerPlant of the part on each plant, 0..1
     * @param shareOfStand of the plants of a stand, 0..1
     * @param freshMoisture wet basis; null when unknown
     * @param bulkDensityGPerMl dried and cut; null when unknown
     * @param dryAtC nominal temperature; null when unknown
     */
    public record UsedPart(
            Part part,
            String moment,
            Set<LifeStage> stages,
            Set<Integer> months,
            double sharePerPlant,
            double shareOfStand,
            @Nullable Interval freshMoisture,
            @Nullable Interval bulkDensityGPerMl,
            @Nullable Double dryAtC,
            boolean aromatic,
            Set<Route> routes,
            String method,
            @Nullable SpiritAdvice spirit,
            @Nullable TeaAdvice tea,
            List<DoseRange> doses,
            Source source) {}

    /** @param menstruumPercent by volume, as poured */
    public record SpiritAdvice(double ratio, double menstruumPercent, Source source) {}

    /** @param method INFUSION, DECOCTION, LONG_INFUSION or COLD_MACERATION */
    public record TeaAdvice(String method, double minutes, double gramsPerCup, double cupMl, Source source) {}

    /**
     * @param driedGPerDay grams of dried herb a day
     * @param mostDays longest course; null when the source sets none
     */
    public record DoseRange(
            String use,
            Route route,
            String form,
            int fromAgeYears,
            Interval driedGPerDay,
            @Nullable Integer mostDays,
            Source source) {}

    public enum Constituent {
        SALICYLATE,
        PYRROLIZIDINE,
        HYPERFORIN,
        TANNIN,
        MUCILAGE,
        VOLATILE_OIL,
        CARDIAC_GLYCOSIDE
    }

    public record Action(String name, Source source) {}

    /** @param grave a claim about grave illness: kept, attributed, and never built on */
    public record Use(String name, Route route, boolean grave, Source source) {}

    /** Three-state. What a card does not list is {@link #UNKNOWN}. */
    public enum CautionStatus {
        NONE_FOUND,
        UNKNOWN,
        PRESENT
    }

    public enum Subject {
        PREGNANCY,
        BREAST_FEEDING,
        UNDER_AGE,
        CONDITION,
        MEDICINE,
        ALLERGY_FAMILY,
        OPERATION,
        SUN,
        DRIVING
    }

    /**
     * @param value trimester, age in years, condition or medicine class; empty for all
     * @param severity what the gate raises when PRESENT; null otherwise
     */
    public record Caution(
            Subject subject,
            String value,
            CautionStatus status,
            @Nullable Severity severity,
            String effect,
            Source source) {}

    public Optional<UsedPart> usedPart(Part part) {
        return parts.stream().filter(p -> p.part() == part).findFirst();
    }

    public Optional<LookAlike> lookAlike(String taxon) {
        return lookAlikes.stream().filter(l -> l.taxon().equals(taxon)).findFirst();
    }

    /** The states a character takes at a stage; null when the card does not describe it there. */
    public @Nullable Map<String, Frequency> statesOf(String character, LifeStage stage) {
        for (Shown shown : characters) {
            if (shown.character().equals(character) && shown.stages().contains(stage)) {
                return shown.states();
            }
        }
        return null;
    }

    public String commonName() {
        return commonNames.isEmpty() ? name : commonNames.get(0);
    }

    /** Whether anything about a subject was looked up, and the entry that matters most. */
    public Optional<Caution> caution(Subject subject, String value) {
        return cautions.stream()
                .filter(c -> c.subject() == subject
                        && (c.value().isEmpty() || c.value().equals(value)))
                .findFirst();
    }

    public Optional<Caution> caution(MedicineClass medicine) {
        return caution(Subject.MEDICINE, medicine.name());
    }

    public Optional<Caution> caution(Condition condition) {
        return caution(Subject.CONDITION, condition.name());
    }
}
