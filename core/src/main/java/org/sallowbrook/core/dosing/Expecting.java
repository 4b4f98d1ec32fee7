package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Severity;

/** What is known of each plant of a product for each third of a pregnancy. It never decides: midwife and doctor do. */
public final class Expecting {

    /**
     * @param severity what the gate raises; null where it is none found or unknown
     * @param source null where nobody checked
     */
    public record Known(
            Taxon taxon,
            int trimester,
            CautionStatus status,
            @Nullable Severity severity,
            String effect,
            @Nullable Source source) {}

    private Expecting() {}

    /** Three lines for each herb, in the order of the thirds. */
    public static List<Known> of(Product product) {
        List<Known> all = new ArrayList<>();
        for (Product.Herb herb : product.herbs()) {
            for (int third = 1; third <= 3; third++) {
                Taxon.Caution caution = herb.taxon()
                        .caution(Taxon.Subject.PREGNANCY, String.valueOf(third))
                        .orElse(null);
                all.add(
                        caution == null
                                ? new Known(herb.taxon(), third, CautionStatus.UNKNOWN, null, "", null)
                                : new Known(
                                        herb.taxon(),
                                        third,
                                        caution.status(),
                                        caution.severity(),
                                        caution.effect(),
                                        caution.source()));
            }
        }
        return all;
    }
}
