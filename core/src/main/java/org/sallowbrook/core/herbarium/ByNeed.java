package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.PlantFamily;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;

/**
 * Plants for a need: ranked by evidence, then gentleness, then what is in the house, then what grows near and is in season.
 * What a person's cautions forbid is dropped and named. A grave illness finds nothing but a referral. Never a diagnosis.
 */
public final class ByNeed {

    /** What is at hand. */
    public enum Nearness {
        IN_THE_HOUSE,
        GROWS_NEAR_IN_SEASON,
        GROWS_NEAR,
        ELSEWHERE
    }

    /** A need is the name of a use or of an action. */
    public record Need(String name, boolean grave) {}

    /**
     * @param use null when found by an action, which says nothing of a route
     * @param because why it stands where it does
     */
    public record Suggestion(
            Taxon taxon, Taxon.@Nullable Use use, Source source, Nearness nearness, List<String> because) {}

    /** A plant left out for a person, and why. */
    public record Dropped(Taxon taxon, String reason) {}

    public record Answer(List<Suggestion> suggestions, List<Dropped> dropped, List<Finding> findings) {}

    private ByNeed() {}

    /** Every use and action a card names, in alphabetical order. */
    public static List<Need> needs(Herbarium herbarium) {
        Map<String, Boolean> needs = new TreeMap<>();
        for (Taxon taxon : herbarium.taxa()) {
            if (!taxon.danger().dangerous()) {
                taxon.uses().forEach(u -> needs.merge(u.name(), u.grave(), Boolean::logicalOr));
                taxon.actions().forEach(a -> needs.putIfAbsent(a.name(), false));
            }
        }
        return needs.entrySet().stream()
                .map(e -> new Need(e.getKey(), e.getValue()))
                .toList();
    }

    /**
     * @param person whose cautions count; null for nobody
     * @param inTheHouse taxa with something of them on the shelf
     * @param growsNear taxa with a stand
     * @param notBorne taxa that the person did not bear, each with what happened
     * @param month 1..12
     */
    public static Answer find(
            Herbarium herbarium,
            String need,
            @Nullable Person person,
            Set<String> inTheHouse,
            Set<String> growsNear,
            Map<String, String> notBorne,
            int month) {
        String wanted = need.strip().toLowerCase(Locale.ROOT);
        if (herbarium.taxa().stream()
                .flatMap(t -> t.uses().stream())
                .anyMatch(u -> u.grave() && u.name().toLowerCase(Locale.ROOT).equals(wanted))) {
            return new Answer(List.of(), List.of(), List.of(grave(need)));
        }
        List<Suggestion> suggestions = new ArrayList<>();
        List<Dropped> dropped = new ArrayList<>();
        for (Taxon taxon : herbarium.taxa()) {
            if (taxon.danger().dangerous() || taxon.draft()) {
                continue;
            }
            Taxon.Use use = taxon.uses().stream()
                    .filter(u -> u.name().toLowerCase(Locale.ROOT).equals(wanted))
                    .min(Comparator.comparing(u -> u.source().evidence()))
                    .orElse(null);
            Taxon.Action action = taxon.actions().stream()
                    .filter(a -> a.name().toLowerCase(Locale.ROOT).equals(wanted))
                    .findFirst()
                    .orElse(null);
            if (use == null && action == null) {
                continue;
            }
            String forbidden = notBorne.getOrDefault(taxon.id(), person == null ? null : forbidden(taxon, person, use));
            if (forbidden != null) {
                dropped.add(new Dropped(taxon, forbidden));
                continue;
            }
            Source source = use != null ? use.source() : action.source();
            Nearness nearness = nearness(taxon, inTheHouse, growsNear, month);
            suggestions.add(new Suggestion(taxon, use, source, nearness, because(use, source, nearness)));
        }
        suggestions.sort(Comparator.comparing((Suggestion s) -> s.source().evidence())
                .thenComparing(
                        s -> s.use() == null ? Taxon.Potency.MODERATE : s.use().potency())
                .thenComparing(Suggestion::nearness)
                .thenComparing(s -> s.taxon().commonName()));
        return new Answer(suggestions, dropped, List.of());
    }

    /** How another plant acts beside this one, for the same use. */
    public enum Beside {
        GENTLER,
        AS_STRONG,
        STRONGER
    }

    /** Other plants for what one is used for, the gentler first; the plant itself is not among them. */
    public record Instead(String use, List<Suggestion> others, List<Dropped> dropped, Taxon.Potency own) {

        public Beside beside(Suggestion other) {
            int step =
                    (other.use() == null ? Taxon.Potency.MODERATE : other.use().potency()).compareTo(own);
            return step < 0 ? Beside.GENTLER : step > 0 ? Beside.STRONGER : Beside.AS_STRONG;
        }
    }

    /** For each use of a plant that is no claim about a grave illness; a use nobody else has is left out. */
    public static List<Instead> instead(
            Herbarium herbarium,
            Taxon of,
            @Nullable Person person,
            Set<String> inTheHouse,
            Set<String> growsNear,
            Map<String, String> notBorne,
            int month) {
        List<Instead> all = new ArrayList<>();
        for (Taxon.Use use : of.uses()) {
            if (use.grave() || all.stream().anyMatch(i -> i.use().equals(use.name()))) {
                continue;
            }
            Answer answer = find(herbarium, use.name(), person, inTheHouse, growsNear, notBorne, month);
            List<Suggestion> others = answer.suggestions().stream()
                    .filter(s -> !s.taxon().id().equals(of.id()))
                    .toList();
            List<Dropped> dropped = answer.dropped().stream()
                    .filter(d -> !d.taxon().id().equals(of.id()))
                    .toList();
            if (!others.isEmpty() || !dropped.isEmpty()) {
                all.add(new Instead(use.name(), others, dropped, use.potency()));
            }
        }
        return all;
    }

    private static Finding grave(String need) {
        return Finding.stop(
                "GRAVE_ILLNESS",
                "No plant is proposed for " + need + ". Treating it at home can hide what needs a doctor.",
                "See a doctor. Nothing here replaces that.");
    }

    private static List<String> because(Taxon.@Nullable Use use, Source source, Nearness nearness) {
        List<String> because = new ArrayList<>();
        because.add(
                "evidence: " + source.evidence().name().toLowerCase(Locale.ROOT).replace('_', ' '));
        if (use != null) {
            because.add(use.potency().name().toLowerCase(Locale.ROOT));
        }
        because.add(nearness.name().toLowerCase(Locale.ROOT).replace('_', ' '));
        return because;
    }

    private static Nearness nearness(Taxon taxon, Set<String> inTheHouse, Set<String> growsNear, int month) {
        if (inTheHouse.contains(taxon.id())) {
            return Nearness.IN_THE_HOUSE;
        }
        if (!growsNear.contains(taxon.id())) {
            return Nearness.ELSEWHERE;
        }
        return taxon.parts().stream().anyMatch(p -> p.gathering().months().contains(month))
                ? Nearness.GROWS_NEAR_IN_SEASON
                : Nearness.GROWS_NEAR;
    }

    /** Why somebody must not have a plant, taken by mouth or used on the skin; empty where nothing on its card speaks against it. */
    public static Optional<String> against(Taxon taxon, Person person, Taxon.Route route) {
        return Optional.ofNullable(forbidden(taxon, person, route == Taxon.Route.INTERNAL));
    }

    private static @Nullable String forbidden(Taxon taxon, Person person, Taxon.@Nullable Use use) {
        return forbidden(taxon, person, use == null || use.route() == Taxon.Route.INTERNAL);
    }

    /** The first caution that forbids it; null when none does. What was never checked forbids where silence must not pass. */
    private static @Nullable String forbidden(Taxon taxon, Person person, boolean byMouth) {
        Set<String> reasons = new TreeSet<>();
        for (Taxon.Caution caution : taxon.cautions()) {
            if (caution.severity() == Severity.STOP && concerns(caution, person)) {
                reasons.add(caution.effect());
            }
        }
        if (byMouth) {
            silent(taxon, person, reasons);
        }
        Optional<PlantFamily> family = PlantFamily.of(taxon.family());
        if (person.allergyFamilies().stream().map(PlantFamily::of).anyMatch(f -> f.isEmpty() || f.equals(family))) {
            reasons.add("an allergy to " + family.map(PlantFamily::words).orElse(taxon.family()));
        }
        return reasons.isEmpty() ? null : String.join("; ", reasons);
    }

    private static void silent(Taxon taxon, Person person, Set<String> reasons) {
        if (person.pregnant() && notCleared(taxon, Taxon.Subject.PREGNANCY)) {
            reasons.add("pregnancy: unknown counts as no");
        }
        if (person.breastFeeding() && notCleared(taxon, Taxon.Subject.BREAST_FEEDING)) {
            reasons.add("breast-feeding: unknown counts as no");
        }
        if (person.ageYears() < 18 && notCleared(taxon, Taxon.Subject.UNDER_AGE)) {
            reasons.add("under 18: unknown counts as no");
        }
        if (taxon.constituents().contains(Taxon.Constituent.SALICYLATE)
                && (person.ageYears() < 18
                        || person.medicines().contains(MedicineClass.ANTICOAGULANT)
                        || person.conditions().contains(Condition.ACTIVE_ULCER)
                        || person.conditions().contains(Condition.SALICYLATE_ALLERGY))) {
            reasons.add("holds salicylates");
        }
        if (taxon.constituents().contains(Taxon.Constituent.HYPERFORIN)
                && !person.medicines().isEmpty()) {
            reasons.add("weakens many medicines");
        }
        if (taxon.constituents().contains(Taxon.Constituent.PYRROLIZIDINE)) {
            reasons.add("never by mouth");
        }
    }

    /** Whether no card's line says anything of it: unknown counts as no. */
    static boolean notCleared(Taxon taxon, Taxon.Subject subject) {
        return taxon.cautions().stream()
                .noneMatch(c -> c.subject() == subject && c.status() != Taxon.CautionStatus.UNKNOWN);
    }

    private static boolean concerns(Taxon.Caution caution, Person person) {
        return switch (caution.subject()) {
            case PREGNANCY -> person.pregnant();
            case BREAST_FEEDING -> person.breastFeeding();
            case UNDER_AGE ->
                caution.value().isEmpty() ? !person.adult() : person.ageYears() < Integer.parseInt(caution.value());
            case CONDITION ->
                person.conditions().stream().anyMatch(c -> c.name().equals(caution.value()));
            case MEDICINE -> person.medicines().stream().anyMatch(m -> m.name().equals(caution.value()));
            case ALLERGY_FAMILY -> person.allergyFamilies().contains(caution.value());
            case OPERATION -> person.operationOn() != null;
            case SUN, DRIVING -> false;
        };
    }
}
