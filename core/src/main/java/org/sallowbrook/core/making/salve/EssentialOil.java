package org.sallowbrook.core.making.salve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Trait;

/**
 * Essential oil in something for the skin: 2 % at most for adults, 0.5 to 1 % from two years, none below, all of them
 * together; and each at most its own share. The limits by age are working limits of this tool, on the careful side of common
 * practice; those of each oil come with their source.
 */
public final class EssentialOil {

    public static final int NONE_BELOW_YEARS = 2;
    public static final int COOLING_FROM_YEARS = 6;
    public static final int ADULT_FROM_YEARS = 18;

    private static final double ADULT_MOST = 0.02;
    private static final double CHILD_MOST = 0.01;
    private static final double CHILD_USUAL = 0.005;

    /** Drops of a dropper bottle's insert: it differs so much that grams are what is limited. */
    private static final int FEWEST_DROPS_PER_G = 20;

    private static final int MOST_DROPS_PER_G = 38;

    /** Beside the name of a plant. */
    private static final Set<String> SAYS_NOTHING = Set.of("essential", "oil", "of", "pure", "organic");

    /** What an oil does beside what any of them may. */
    public enum Hazard {
        /** Burns in the sun. */
        PHOTOTOXIC("burns in the sun"),
        /** Irritates and sensitises by its phenols. */
        PHENOLIC("irritates and sensitises the skin"),
        /** Menthol, cineole or camphor. */
        COOLING("can stop the breath of a small child"),
        /** Goes through the skin as a salicylate. */
        METHYL_SALICYLATE("goes through the skin and adds to blood thinners");

        private final String does;

        Hazard(String does) {
            this.does = does;
        }
    }

    /**
     * One that is bought.
     *
     * @param name as the household says it
     * @param mostFraction of the whole, on the skin of an adult; 0 where it has no place in the house; null where no limit of
     *     its own is known
     * @param source of that share
     */
    public record Kind(
            String name,
            @Nullable Double mostFraction,
            Set<Hazard> hazards,
            @Nullable Source source,
            boolean known) {
        public Kind {
            Checks checks = Checks.begin();
            if (mostFraction != null) {
                checks.range("mostFraction", mostFraction, 0, 1);
            }
            checks.that(mostFraction == null || source != null, "source", "is needed for a figure")
                    .done();
            hazards = Set.copyOf(hazards);
        }

        /** Of which nothing is on record. */
        public static Kind unknown(String name) {
            return new Kind(name, null, Set.of(), null, false);
        }

        /**
         * What the household calls an oil: the strictest limit and all the hazards of those it names. It is known only where
         * nothing else is said: spike lavender is not lavender, and of a blend nobody knows the rest.
         *
         * @param called such as "lavender essential oil"
         * @param onRecord names in lower case
         */
        public static Kind called(String called, List<Kind> onRecord) {
            List<String> words = List.of(called.toLowerCase(Locale.ROOT).split("[^\\p{L}]+"));
            List<Kind> named = onRecord.stream()
                    .filter(k -> words.contains(k.name()))
                    .sorted(Comparator.comparing(Kind::mostFraction, Comparator.nullsLast(Comparator.naturalOrder())))
                    .toList();
            if (named.isEmpty()) {
                return unknown(called);
            }
            Kind strictest = named.get(0);
            return new Kind(
                    called,
                    strictest.mostFraction(),
                    named.stream().flatMap(k -> k.hazards().stream()).collect(Collectors.toSet()),
                    strictest.source(),
                    words.stream()
                            .allMatch(w -> w.isEmpty()
                                    || SAYS_NOTHING.contains(w)
                                    || named.stream().anyMatch(k -> k.name().equals(w))));
        }
    }

    /** @param massG of it in the whole */
    public record Used(Kind kind, double massG) {
        public Used {
            Checks.begin().positive("essentialOils.massG", massG).done();
        }
    }

    /** @param mostG of essential oil in this product for this age; 0 when none is allowed */
    public record Limit(double mostG, List<Finding> findings, List<String> because) {}

    private EssentialOil() {}

    /** The highest share of all together by age; 0 below two years. */
    public static double mostFraction(double youngestAgeYears) {
        Checks.begin().range("youngestAgeYears", youngestAgeYears, 0, 130).done();
        if (youngestAgeYears < NONE_BELOW_YEARS) {
            return 0;
        }
        return youngestAgeYears < ADULT_FROM_YEARS ? CHILD_MOST : ADULT_MOST;
    }

    /**
     * @param totalG of the product
     * @param wantedG of essential oil
     * @param youngestAgeYears of whoever it is for
     */
    public static Limit check(double totalG, double wantedG, double youngestAgeYears) {
        Checks.begin()
                .positive("totalG", totalG)
                .notNegative("essentialOilG", wantedG)
                .range("youngestAgeYears", youngestAgeYears, 0, 130)
                .done();
        double most = totalG * mostFraction(youngestAgeYears);
        Because because = new Because();
        because.equation(
                "Essential oil at most",
                Words.exact(totalG, "g") + " × " + Words.exact(mostFraction(youngestAgeYears)),
                most,
                "g");
        if (wantedG > most * (1 + 1e-9)) {
            Finding stop = most == 0
                    ? Finding.stop(
                            "ESSENTIAL_OIL_INFANT",
                            "No essential oil on the skin of a child under two years.",
                            "Leave it out.")
                    : Finding.stop(
                            "ESSENTIAL_OIL_TOO_MUCH",
                            Words.grams(wantedG) + " of essential oil is more than the " + Words.grams(most)
                                    + " that this much may hold.",
                            "Use less; patch test it on a small place first.");
            return new Limit(most, List.of(stop), because.lines());
        }
        if (wantedG > totalG * CHILD_USUAL && youngestAgeYears < ADULT_FROM_YEARS) {
            return new Limit(
                    most,
                    List.of(Finding.warn(
                            "ESSENTIAL_OIL_CHILD",
                            "More than 0.5 % on a child's skin.",
                            "Stay at 0.5 % where it will do; patch test it first.")),
                    because.lines());
        }
        return new Limit(
                most,
                wantedG > 0
                        ? List.of(Finding.note(
                                "PATCH_TEST", "Essential oils can sensitise.", "Patch test it on a small place first."))
                        : List.of(),
                because.lines());
    }

    /**
     * Each by its own limit; what all of them together may be is {@link #check}'s.
     *
     * @param forExpecting whether somebody expecting will use it
     */
    public static Limit each(double totalG, List<Used> oils, double youngestAgeYears, boolean forExpecting) {
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        for (Used oil : oils) {
            own(totalG, oil, findings, because);
            because.say(Words.grams(oil.massG()) + " of " + oil.kind().name() + " is some "
                    + Math.round(oil.massG() * FEWEST_DROPS_PER_G) + " to " + Math.round(oil.massG() * MOST_DROPS_PER_G)
                    + " drops; drops differ twofold, so weigh it.");
            if (oil.kind().hazards().contains(Hazard.COOLING) && youngestAgeYears < COOLING_FROM_YEARS) {
                findings.add(Finding.stop(
                        "COOLING_OIL",
                        oil.kind().name() + " holds menthol, cineole or camphor, which " + Hazard.COOLING.does + ".",
                        "Leave it out of what a child under six may get."));
            }
        }
        if (forExpecting && !oils.isEmpty()) {
            findings.add(Finding.stop(
                    "ESSENTIAL_OIL_PREGNANT",
                    "Essential oils go through the skin, and most were never studied in pregnancy.",
                    "Make it without, or ask the midwife or a pharmacist first."));
        }
        return new Limit(totalG * mostFraction(youngestAgeYears), findings, because.lines());
    }

    private static void own(double totalG, Used oil, List<Finding> findings, Because because) {
        Kind kind = oil.kind();
        if (!kind.known()) {
            findings.add(Finding.hold(
                    "ESSENTIAL_OIL_UNKNOWN",
                    "Not enough is on record of " + kind.name() + ": it may burn in the sun or sensitise at less than "
                            + "this.",
                    "Look its own limit for the skin up in a book before anybody uses it; never for children."));
        }
        Double share = kind.mostFraction();
        if (share == null) {
            return;
        }
        double most = totalG * share;
        because.equation(kind.name() + " at most", Words.exact(totalG, "g") + " × " + Words.exact(share), most, "g");
        if (oil.massG() > most * (1 + 1e-9)) {
            String does = kind.hazards().stream()
                    .sorted()
                    .map(h -> h.does)
                    .reduce((a, b) -> a + " and " + b)
                    .orElse("irritates the skin");
            findings.add(Finding.stop(
                    "ESSENTIAL_OIL_OWN_LIMIT",
                    share == 0
                            ? kind.name() + " " + does + "; it has no place in a home-made salve."
                            : kind.name() + " " + does + ": at most " + Words.percent(share) + ", " + Words.grams(most)
                                    + " in this much.",
                    share == 0 ? "Leave it out." : "Use less of it."));
        }
    }

    /** @param when such as "Below 40 °C"; vapour: whether it is hot enough then for the vapour to matter */
    static Step stirredIn(String when, List<Used> oils, boolean vapour) {
        return Step.hazardous(
                when + " stir in "
                        + oils.stream()
                                .map(o -> Words.grams(o.massG()) + " of "
                                        + o.kind().name())
                                .collect(Collectors.joining(", "))
                        + ".",
                "Undiluted it burns skin and eyes" + (vapour ? "; its vapour catches fire." : "."));
    }

    /** What goes on with a product that holds these. */
    public static Set<Trait> traits(double totalG, List<Used> oils) {
        EnumSet<Trait> traits = EnumSet.noneOf(Trait.class);
        if (oils.isEmpty()) {
            return traits;
        }
        traits.add(Trait.ESSENTIAL_OIL);
        double together = oils.stream().mapToDouble(Used::massG).sum();
        if (together > totalG * CHILD_MOST * (1 + 1e-9)
                || oils.stream().anyMatch(o -> !o.kind().known())) {
            traits.add(Trait.ESSENTIAL_OIL_FOR_ADULTS);
        }
        if (oils.stream().anyMatch(o -> o.kind().hazards().contains(Hazard.COOLING))) {
            traits.add(Trait.COOLING_OIL);
        }
        return traits;
    }
}
