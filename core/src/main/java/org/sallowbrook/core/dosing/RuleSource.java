package org.sallowbrook.core.dosing;

import java.util.Set;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Source.Evidence;
import org.sallowbrook.core.herbarium.Source.Review;

/** Where a rule of {@link DosingGate} that no card carries was taken from; none was checked by a pharmacist yet. */
public final class RuleSource {

    private static final Source WILLOW =
            monograph("European Union herbal monograph on Salix (various species), cortex", 2017);
    private static final Source ST_JOHNS_WORT =
            monograph("European Union herbal monographs on Hypericum perforatum L., herba", 2009);
    private static final Source COMFREY =
            monograph("European Union herbal monograph on Symphytum officinale L., radix", 2015);
    private static final Source ETHANOL =
            monograph("Reflection paper on ethanol content in herbal medicinal products used in children (HMPC)", 2010);
    private static final Source CAREFUL = new Source(
            "A rule of this tool: where nobody has checked, silence is no leave",
            2026,
            Evidence.UNCERTAIN,
            Review.STARTER);
    private static final Source PHARMACOLOGY = new Source(
            "General pharmacology, on the careful side; no single source", 2026, Evidence.UNCERTAIN, Review.STARTER);

    private static final Set<String> INDUCTION =
            Set.of("WEAKENS_MEDICINE", "SEROTONIN", "WITH_ANY_MEDICINE", "INDUCTION_LINGERS", "DEPRESSION");

    private RuleSource() {}

    private static Source monograph(String title, int year) {
        return new Source(title, year, Evidence.OFFICIAL_MONOGRAPH, Review.STARTER);
    }

    /** @param code of a finding that does not come from a card's own caution */
    public static Source of(String code) {
        if (code.startsWith("SALICYLATE")) {
            return WILLOW;
        }
        if (INDUCTION.contains(code)) {
            return ST_JOHNS_WORT;
        }
        return switch (code) {
            case "PYRROLIZIDINE" -> COMFREY;
            case "ALCOHOL", "WEIGHT_UNKNOWN" -> ETHANOL;
            case "NOT_CHECKED", "UNLISTED_MEDICINE" -> CAREFUL;
            default -> PHARMACOLOGY;
        };
    }
}
