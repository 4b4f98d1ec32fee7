package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
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

    private NotFor() {}

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
