package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.sallowbrook.core.making.Step.Phase;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class StepTest {

    private static final List<Step> TINCTURE = List.of(
            Step.of("Weigh."), Step.of("Pour."), Step.resting("Shake every day."), Step.pressed("Press, and fill."));

    @DataProvider
    public Object[][] next() {
        return new Object[][] {
            // ticked off, phase, next
            {0, Phase.BEGUN, 0},
            {1, Phase.BEGUN, 1},
            // Made days ago, and nobody ticked anything off.
            {0, Phase.RESTING, 2},
            {3, Phase.RESTING, 3},
            {0, Phase.PRESSED, 3},
            {4, Phase.PRESSED, 4},
        };
    }

    @Test(dataProvider = "next")
    public void whatIsNextGoesByTheDayAsWell(int ticked, Phase phase, int next) {
        assertThat(Step.next(TINCTURE, ticked, phase)).isEqualTo(next);
    }

    /** A tea stands nowhere for days: it is on record before its water boils. */
    @Test
    public void whatDoesNotLieGoesByWhatWasTickedOff() {
        assertThat(Step.next(List.of(Step.of("Weigh."), Step.of("Strain.")), 0, Phase.PRESSED))
                .isZero();
    }
}
