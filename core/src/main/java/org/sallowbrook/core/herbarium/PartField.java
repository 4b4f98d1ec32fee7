package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.Content;
import org.sallowbrook.core.herbarium.Taxon.DoseRange;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.UsedPart;
import org.sallowbrook.core.measure.Interval;

/**
 * A field of a used part, and what a household's version of a card that ships may make of it. Every field has an entry; a test
 * names the one that was forgotten, for what has no rule could be made to weaken the card.
 *
 * @param name as in a card's file
 */
public record PartField<T>(String name, Function<UsedPart, T> of, Household<T> household) {

    /** What a household may not say instead of what ships. */
    @FunctionalInterface
    public interface Household<T> {
        /** @return why its own may not stand; null where it may */
        @Nullable
        String refusal(T shipped, T own);
    }

    public static final List<PartField<?>> ALL = List.of(
            own("moment", p -> p.gathering().moment()),
            own("stages", p -> p.gathering().stages()),
            own("months", p -> p.gathering().months()),
            field("sharePerPlant", p -> p.gathering().sharePerPlant(), PartField::noLargerShare),
            field("shareOfStand", p -> p.gathering().shareOfStand(), PartField::noLargerShare),
            own("degreeDays", p -> p.gathering().degreeDays()),
            field("leastAgeYears", p -> p.gathering().leastAgeYears(), PartField::noYounger),
            own("frost", p -> p.gathering().frost()),
            own("method", p -> p.gathering().method()),
            own("tools", p -> p.gathering().tools()),
            field("freshMoisture", p -> p.drying().freshMoisture(), PartField::noWetter),
            own("freshBulkDensityGPerMl", p -> p.drying().freshBulkDensityGPerMl()),
            own("dryAtC", p -> p.drying().dryAtC()),
            own("aromatic", p -> p.drying().aromatic()),
            field("bulkDensityGPerMl", p -> p.keeping().bulkDensityGPerMl(), PartField::noLighter),
            field("storageMonths", p -> p.keeping().storageMonths(), PartField::noLonger),
            field("ageingMonths", p -> p.keeping().ageingMonths(), PartField::noYounger),
            field("routes", p -> p.using().routes(), PartField::noOtherRoute),
            own("spirit", p -> p.using().spirit()),
            own("tea", p -> p.using().tea()),
            field("doses", p -> p.using().doses(), PartField::noLargerDose),
            field("contents", p -> p.using().contents(), PartField::noHigherCeiling));

    /** Why the household's part would weaken the one that ships; empty where it does not. */
    static List<String> refusals(UsedPart shipped, UsedPart own) {
        List<String> all = new ArrayList<>();
        for (PartField<?> field : ALL) {
            String refusal = field.refusal(shipped, own);
            if (refusal != null && !all.contains(refusal)) {
                all.add(refusal);
            }
        }
        return all;
    }

    private @Nullable String refusal(UsedPart shipped, UsedPart own) {
        return household.refusal(of.apply(shipped), of.apply(own));
    }

    /** The household's to say. */
    private static <T extends @Nullable Object> PartField<T> own(String name, Function<UsedPart, T> of) {
        return new PartField<>(name, of, (shipped, own) -> null);
    }

    private static <T extends @Nullable Object> PartField<T> field(
            String name, Function<UsedPart, T> of, Household<T> household) {
        return new PartField<>(name, of, household);
    }

    private static @Nullable String noLargerShare(Double shipped, Double own) {
        return own > shipped ? "no larger share may be taken than the card allows" : null;
    }

    private static @Nullable String noYounger(@Nullable Integer shipped, @Nullable Integer own) {
        return shipped != null && (own == null || own < shipped)
                ? "an ageing time or least age must stay, or be longer"
                : null;
    }

    /** A wetter figure makes less dried herb of what was weighed fresh, and so a smaller dose of the same bottle. */
    private static @Nullable String noWetter(@Nullable Interval shipped, @Nullable Interval own) {
        if (shipped == null) {
            return null;
        }
        if (own == null) {
            return "the moisture of the fresh part must stay: doses are reckoned from it";
        }
        return own.low() > shipped.low()
                ? "the fresh part may not be called wetter than the card says: doses are reckoned from it"
                : null;
    }

    private static @Nullable String noLighter(@Nullable Interval shipped, @Nullable Interval own) {
        return shipped != null && (own == null || own.high() < shipped.high())
                ? "a spoon may not be called to hold less than the card says: doses are reckoned from it"
                : null;
    }

    /** What is past its time is not given. */
    private static @Nullable String noLonger(@Nullable Integer shipped, @Nullable Integer own) {
        return shipped != null && (own == null || own > shipped)
                ? "it may not be kept longer than the card says"
                : null;
    }

    private static @Nullable String noOtherRoute(Set<Route> shipped, Set<Route> own) {
        return shipped.containsAll(own) ? null : "it may not get a route the card does not allow";
    }

    private static @Nullable String noLargerDose(List<DoseRange> shipped, List<DoseRange> own) {
        return own.stream().allMatch(d -> within(d, shipped))
                ? null
                : "a dose may not be larger, longer or for a younger person than the card's largest by that route";
    }

    /** Where the shipped part has a figure by this route, its largest bounds every other. */
    private static boolean within(DoseRange dose, List<DoseRange> shipped) {
        List<DoseRange> known =
                shipped.stream().filter(d -> d.route() == dose.route()).toList();
        if (known.isEmpty()) {
            return true;
        }
        boolean amount = known.stream()
                .anyMatch(d -> dose.driedGPerDay().high() <= d.driedGPerDay().high());
        boolean age = known.stream().anyMatch(d -> dose.fromAgeYears() >= d.fromAgeYears());
        boolean days = known.stream()
                .anyMatch(d -> d.mostDays() == null || (dose.mostDays() != null && dose.mostDays() <= d.mostDays()));
        return amount && age && days;
    }

    private static @Nullable String noHigherCeiling(List<Content> shipped, List<Content> own) {
        return shipped.stream().allMatch(c -> kept(c, own))
                ? null
                : "a ceiling of a constituent must stay, or be lower";
    }

    private static boolean kept(Content shipped, List<Content> own) {
        return own.stream()
                .filter(c -> c.constituent() == shipped.constituent())
                .anyMatch(c -> c.mgPerG().high() >= shipped.mgPerG().high()
                        && asLow(c.mostMgPerDay(), shipped.mostMgPerDay())
                        && asLow(c.mostMgPerKgPerDay(), shipped.mostMgPerKgPerDay()));
    }

    private static boolean asLow(@Nullable Double own, @Nullable Double shipped) {
        return shipped == null || (own != null && own <= shipped);
    }
}
