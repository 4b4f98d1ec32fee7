package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.measure.Severity;
import org.testng.annotations.Test;

public class NotForTest {

    private static Cards.Builder cleared(String id) {
        return Cards.card(id)
                .caution(Subject.PREGNANCY, "", CautionStatus.NONE_FOUND, null)
                .caution(Subject.BREAST_FEEDING, "", CautionStatus.NONE_FOUND, null);
    }

    /** Of several the strictest; a card that speaks of nobody forbids all three. */
    @Test
    public void aLabelForbidsWhatAnyOfItsPlantsForbids() {
        Taxon fromSix = cleared("six")
                .caution(Subject.UNDER_AGE, "6", CautionStatus.PRESENT, Severity.STOP)
                .build();
        Taxon fromTwelve = cleared("twelve")
                .caution(Subject.UNDER_AGE, "12", CautionStatus.PRESENT, Severity.STOP)
                .build();
        assertThat(NotFor.inShort(List.of(fromSix))).containsExactly("under 6 years");
        assertThat(NotFor.inShort(List.of(fromSix, fromTwelve))).containsExactly("under 12 years");
        assertThat(NotFor.inShort(List.of(fromSix, Cards.card("silent").build())))
                .containsExactly("in pregnancy", "while breast-feeding", "under 18 years");
        Taxon unknown = Cards.card("unknown")
                .caution(Subject.PREGNANCY, "", CautionStatus.UNKNOWN, null)
                .caution(Subject.BREAST_FEEDING, "", CautionStatus.NONE_FOUND, null)
                .caution(Subject.UNDER_AGE, "6", CautionStatus.PRESENT, Severity.STOP)
                .build();
        assertThat(NotFor.inShort(List.of(unknown))).containsExactly("in pregnancy", "under 6 years");
    }

    @Test
    public void salicylatesAreForGrownUps() {
        Taxon willow = cleared("willow")
                .caution(Subject.UNDER_AGE, "6", CautionStatus.PRESENT, Severity.STOP)
                .holds(Constituent.SALICYLATE)
                .build();
        assertThat(NotFor.inShort(List.of(willow))).containsExactly("under 18 years");
    }
}
