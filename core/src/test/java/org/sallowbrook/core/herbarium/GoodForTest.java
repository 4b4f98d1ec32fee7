package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.GoodFor.Step;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.testng.annotations.Test;

public class GoodForTest {

    private static Cards.Builder whole() {
        return Cards.card("x")
                .always("s", "c0", "c1", "c2", "c3", "c4", "c5")
                .part(0.5, 0.5, Set.of(Route.EXTERNAL))
                .caution(Subject.PREGNANCY, "", CautionStatus.UNKNOWN, null)
                .caution(Subject.BREAST_FEEDING, "", CautionStatus.UNKNOWN, null)
                .caution(Subject.UNDER_AGE, "", CautionStatus.UNKNOWN, null);
    }

    private static List<Step> reached(Cards.Builder card) {
        return GoodFor.of(card.build(), true).stream()
                .filter(GoodFor::reached)
                .map(GoodFor::step)
                .toList();
    }

    @Test
    public void aBareCardIsGoodForNothingAndSaysWhatIsWanting() {
        List<GoodFor> bare = GoodFor.of(Cards.card("x").build(), false);
        assertThat(bare).extracting(GoodFor::step).containsExactly(Step.values());
        assertThat(bare.get(0).wanting()).anyMatch(w -> w.contains("6 characters"));
        assertThat(bare.get(1).wanting()).contains("a part that is gathered", "what is known of pregnancy");
    }

    @Test
    public void gatheredIsNotMade() {
        assertThat(reached(whole())).contains(Step.RECOGNISE, Step.GATHER).doesNotContain(Step.MAKE, Step.TAKE);
    }

    /** What is wanting for a step is wanting for all after it. */
    @Test
    public void noStepIsReachedBeforeTheOneItRestsOn() {
        assertThat(reached(whole().danger(Danger.POISONOUS))).containsExactly(Step.RECOGNISE);
        List<GoodFor> steps = GoodFor.of(whole().build(), true);
        assertThat(steps.get(4).wanting()).containsAll(steps.get(2).wanting());
        assertThat(steps.get(4).wanting()).anyMatch(w -> w.startsWith("a dose by mouth"));
    }

    @Test
    public void whatNoLookTellsIsNotRecognisedWhateverItsCardHolds() {
        assertThat(GoodFor.of(whole().build(), false)).noneMatch(GoodFor::reached);
    }
}
