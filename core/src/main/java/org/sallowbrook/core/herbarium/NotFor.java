package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.Taxon.Caution;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.PlantFamily;
import org.sallowbrook.core.measure.Severity;

/** For whom a plant is stopped whoever asks: said beside it where it is only looked at, with nobody chosen yet. */
public final class NotFor {

    private static final int GROWN_UP = 18;

    private NotFor() {}

    /**
     * For a label of what is swallowed, where nobody opens a page: who is expecting, who breast-feeds, who is too young. Of several
     * plants the strictest; what no card speaks of counts as no.
     */
    public static List<String> inShort(Collection<Taxon> of) {
        List<String> words = new ArrayList<>();
        if (of.stream().anyMatch(t -> stops(t, Taxon.Subject.PREGNANCY))) {
            words.add("in pregnancy");
        }
        if (of.stream().anyMatch(t -> stops(t, Taxon.Subject.BREAST_FEEDING))) {
            words.add("while breast-feeding");
        }
        int age = of.stream().mapToInt(NotFor::fromAge).max().orElse(0);
        if (age > 0) {
            words.add("under " + age + " years");
        }
        return words;
    }

    private static boolean stops(Taxon taxon, Taxon.Subject subject) {
        return ByNeed.notCleared(taxon, subject)
                || taxon.cautions().stream().anyMatch(c -> c.subject() == subject && c.severity() == Severity.STOP);
    }

    private static int fromAge(Taxon taxon) {
        if (ByNeed.notCleared(taxon, Taxon.Subject.UNDER_AGE)
                || taxon.constituents().contains(Constituent.SALICYLATE)) {
            return GROWN_UP;
        }
        return taxon.cautions().stream()
                .filter(c -> c.subject() == Taxon.Subject.UNDER_AGE && c.severity() == Severity.STOP)
                .mapToInt(c -> c.value().isEmpty() ? GROWN_UP : Integer.parseInt(c.value()))
                .max()
                .orElse(0);
    }

    /** In words, the constituents' first; empty where nothing is known that stops it. Who is expecting is told once. */
    public static List<String> of(Taxon taxon) {
        Set<String> words = new LinkedHashSet<>();
        Set<Constituent> holds = taxon.constituents();
        if (holds.contains(Constituent.HYPERFORIN)) {
            words.add("anybody who takes a prescribed medicine, the pill among them");
        }
        if (holds.contains(Constituent.SALICYLATE)) {
            words.addAll(List.of(
                    "anybody under 18",
                    "blood thinners and medicines against clotting",
                    "an ulcer, a bleeding disorder, asthma brought on by aspirin",
                    "the last third of pregnancy, and before an operation"));
        }
        if (holds.contains(Constituent.PYRROLIZIDINE)) {
            words.add("swallowing");
        }
        List<String> others = new ArrayList<>();
        for (Caution caution : taxon.cautions()) {
            if (caution.severity() == Severity.STOP) {
                others.add(
                        switch (caution.subject()) {
                            case PREGNANCY -> "pregnancy";
                            case BREAST_FEEDING -> "breast-feeding";
                            case UNDER_AGE ->
                                "anybody under " + (caution.value().isEmpty() ? "18" : caution.value());
                            case CONDITION -> Condition.valueOf(caution.value()).words();
                            case MEDICINE ->
                                MedicineClass.valueOf(caution.value()).words();
                            case ALLERGY_FAMILY ->
                                "an allergy to "
                                        + PlantFamily.of(caution.value().isEmpty() ? taxon.family() : caution.value())
                                                .map(PlantFamily::words)
                                                .orElse("its family");
                            case OPERATION -> "the weeks before an operation";
                            case SUN -> "strong sun";
                            case DRIVING -> "driving";
                        });
            }
        }
        others.stream().sorted().forEach(words::add);
        return List.copyOf(words);
    }
}
