package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * Limits over time, counted over every plant of a class and every course, running, ended or finished: what the body keeps
 * does not begin anew with another bottle.
 */
public final class LongRun {

    /** Of all plants with pyrrolizidine alkaloids together, on the skin, in a year: EU herbal monograph on comfrey root. */
    static final int PYRROLIZIDINE_DAYS_A_YEAR = 42;

    private static final int YEAR_DAYS = 365;

    /** Grams in a day above which the label of a medicine must warn: Commission guideline on excipients, ethanol, 2003. */
    static final double ALCOHOL_G_A_DAY = 3;

    /** Classes of which the longest course on a card counts for all plants that hold them, taken one after another. */
    private static final Map<Constituent, String> COUNTED_TOGETHER = new EnumMap<>(Map.of(
            Constituent.SALICYLATE, "salicylates",
            Constituent.ANTHRANOID, "anthranoids, which drive the bowel",
            Constituent.TANNIN, "tannins"));

    /**
     * A day on which something was taken, or put on the skin.
     *
     * @param alcoholG grams of alcohol in it, 0 on the skin
     */
    public record Used(LocalDate on, boolean byMouth, Set<Taxon> plants, double alcoholG) {
        public Used {
            Checks.begin().notNegative("alcoholG", alcoholG).done();
            plants = Set.copyOf(plants);
        }
    }

    private LongRun() {}

    /**
     * @param plants of what is to be taken
     * @param byMouth or on the skin
     * @param start first day
     * @param courseDays planned
     * @param alcoholG in the fullest day of it
     * @param used before, of whatever plant, not of this course
     */
    public static List<Finding> check(
            Set<Taxon> plants,
            boolean byMouth,
            LocalDate start,
            int courseDays,
            double alcoholG,
            Collection<Used> used) {
        Checks.begin()
                .range("courseDays", courseDays, 1, Course.MOST_DAYS)
                .notNegative("alcoholG", alcoholG)
                .done();
        List<Finding> findings = new ArrayList<>();
        if (!byMouth) {
            pyrrolizidine(plants, start, courseDays, used, findings);
            return findings;
        }
        COUNTED_TOGETHER.forEach(
                (constituent, words) -> together(constituent, words, plants, start, courseDays, used, findings));
        alcohol(start, alcoholG, used, findings);
        return findings;
    }

    private static void pyrrolizidine(
            Set<Taxon> plants, LocalDate start, int courseDays, Collection<Used> used, List<Finding> findings) {
        if (!holds(plants, Constituent.PYRROLIZIDINE)) {
            return;
        }
        Set<LocalDate> days = days(used, u -> holds(u.plants(), Constituent.PYRROLIZIDINE), start);
        int all = days.size() + courseDays;
        if (all > PYRROLIZIDINE_DAYS_A_YEAR) {
            findings.add(Finding.stop(
                    "PYRROLIZIDINE_YEAR",
                    "With the " + days.size()
                            + " days of the last twelve months, of every such plant together, it comes"
                            + " to " + all + " days; at most " + PYRROLIZIDINE_DAYS_A_YEAR
                            + " a year. That limit is for extracts made low in these alkaloids, which a home root is not.",
                    "Use another herb for the rest of the year."));
        }
    }

    private static void together(
            Constituent constituent,
            String words,
            Set<Taxon> plants,
            LocalDate start,
            int courseDays,
            Collection<Used> used,
            List<Finding> findings) {
        int most = plants.stream()
                .filter(t -> t.constituents().contains(constituent))
                .flatMap(t -> t.parts().stream())
                .flatMap(p -> p.using().doses().stream())
                .filter(d -> d.route() == Taxon.Route.INTERNAL)
                .map(Taxon.DoseRange::mostDays)
                .filter(java.util.Objects::nonNull)
                .mapToInt(Integer::intValue)
                .min()
                .orElse(0);
        if (most == 0) {
            return;
        }
        // What was taken of the same plant is the card's own limit, told elsewhere.
        int before = Exposure.daysBefore(
                days(used, u -> u.byMouth() && others(u.plants(), plants, constituent), start), start);
        if (before > 0 && before + courseDays > most) {
            findings.add(Finding.stop(
                    "CLASS_TOO_LONG",
                    "Another plant that holds " + words + " was taken for the " + before
                            + " days before; together it comes to " + (before + courseDays)
                            + " days, and the card says "
                            + most + " at most.",
                    "Leave a pause of " + Exposure.PAUSE_DAYS + " days, or take a plant of another kind."));
        }
    }

    private static void alcohol(LocalDate start, double alcoholG, Collection<Used> used, List<Finding> findings) {
        double before = used.stream()
                .filter(u -> u.byMouth() && u.on().equals(start))
                .mapToDouble(Used::alcoholG)
                .sum();
        double all = alcoholG + before;
        if (alcoholG > 0 && all > ALCOHOL_G_A_DAY) {
            findings.add(Finding.note(
                    "ALCOHOL_A_DAY",
                    "All bottles together come to " + Words.grams(all) + " of alcohol in a day.",
                    "Not before driving. A tea, a vinegar or a glycerite does without."));
        }
    }

    private static boolean holds(Set<Taxon> plants, Constituent constituent) {
        return plants.stream().anyMatch(t -> t.constituents().contains(constituent));
    }

    private static boolean others(Set<Taxon> plants, Set<Taxon> these, Constituent constituent) {
        return plants.stream()
                .filter(t -> these.stream().noneMatch(o -> o.id().equals(t.id())))
                .anyMatch(t -> t.constituents().contains(constituent));
    }

    private static Set<LocalDate> days(Collection<Used> used, Predicate<Used> which, LocalDate start) {
        Set<LocalDate> days = new TreeSet<>();
        used.stream()
                .filter(which)
                .map(Used::on)
                .filter(d -> d.isBefore(start) && d.isAfter(start.minusDays(YEAR_DAYS)))
                .forEach(days::add);
        return days;
    }
}
