package org.sallowbrook.core.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Finding;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class BoughtGateTest {

    private static final Taxon GOOD =
            Cards.card("good").part(0.3, 0.3, Set.of(Taxon.Route.INTERNAL)).build();
    private static final Taxon KILLER =
            Cards.card("killer").danger(Danger.DEADLY).build();
    private static final Taxon HARMLESS = Cards.card("harmless").build();

    @DataProvider
    public Object[][] bags() {
        return new Object[][] {
            {GOOD, Taxon.Part.HERB, List.of(KILLER), BoughtGate.Label.SCIENTIFIC_NAME, false, List.of()},
            {GOOD, Taxon.Part.HERB, List.of(HARMLESS), BoughtGate.Label.COMMON_NAME, false, List.of()},
            {
                GOOD,
                Taxon.Part.HERB,
                List.of(HARMLESS, KILLER),
                BoughtGate.Label.COMMON_NAME,
                false,
                List.of("HOLD LABEL_COMMON_NAME")
            },
            {GOOD, Taxon.Part.HERB, List.of(), BoughtGate.Label.DOUBTFUL, false, List.of("HOLD LABEL_DOUBTFUL")},
            {GOOD, Taxon.Part.ROOT, List.of(), BoughtGate.Label.SCIENTIFIC_NAME, false, List.of("STOP PART_NOT_USED")},
            {
                KILLER,
                Taxon.Part.HERB,
                List.of(),
                BoughtGate.Label.SCIENTIFIC_NAME,
                false,
                List.of("STOP DANGEROUS_PLANT")
            },
            {
                Cards.card("draft")
                        .draft()
                        .part(0.3, 0.3, Set.of(Taxon.Route.INTERNAL))
                        .build(),
                Taxon.Part.HERB,
                List.of(),
                BoughtGate.Label.SCIENTIFIC_NAME,
                false,
                List.of("STOP DRAFT_CARD")
            },
            {
                GOOD,
                Taxon.Part.HERB,
                List.of(),
                BoughtGate.Label.DOUBTFUL,
                true,
                List.of("STOP MOULD", "HOLD LABEL_DOUBTFUL")
            },
        };
    }

    @Test(dataProvider = "bags")
    public void theLabelVouchesForAsMuchAsItSays(
            Taxon taxon,
            Taxon.Part part,
            List<Taxon> takenFor,
            BoughtGate.Label label,
            boolean mould,
            List<String> expected) {
        List<Finding> findings = BoughtGate.check(taxon, part, takenFor, label, mould);
        assertThat(findings.stream().map(f -> f.severity() + " " + f.code())).containsExactlyElementsOf(expected);
    }
}
