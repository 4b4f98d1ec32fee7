package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.sallowbrook.core.dosing.DoseUnits.Kit;
import org.sallowbrook.core.dosing.DoseUnits.Offered;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.Test;

public class DoseUnitsTest {

    private static Offered in(Dose.Unit unit, double strength, Kit kit) {
        return DoseUnits.of(false, strength, kit).stream()
                .filter(o -> o.unit() == unit)
                .findFirst()
                .orElseThrow();
    }

    /** An uncounted dropper gives 20 to 55 drops to the mL: a dose in drops is reckoned at the largest. */
    @Test
    public void aDropNobodyCountedIsTheLargest() {
        Offered drop = in(Dose.Unit.DROP, 0.45, Kit.UNMEASURED);
        assertThat(drop.each()).isCloseTo(0.05, within(1e-12));
        assertThat(drop.words()).contains("nobody counted");
        assertThat(DoseUnits.words(2, drop)).isEqualTo("40 drops");
        Offered counted = in(Dose.Unit.DROP, 0.45, new Kit(null, null, null, 0.025, null));
        assertThat(DoseUnits.words(2, counted)).isEqualTo("80 drops");
    }

    @Test
    public void spoonsAndCupsAreTheHouseholdsOwnWhereMeasured() {
        assertThat(in(Dose.Unit.TEASPOON, 0, Kit.UNMEASURED).each()).isEqualTo(5);
        assertThat(in(Dose.Unit.CUP, 0, new Kit(null, null, 180.0, null, null)).each())
                .isEqualTo(180);
        assertThat(DoseUnits.words(250, in(Dose.Unit.CUP, 0, Kit.UNMEASURED))).isEqualTo("1 cup");
    }

    @Test
    public void nothingStrongIsOfferedByTheCupAndNoSquirtThatWasNeverMeasured() {
        List<Dose.Unit> tincture = DoseUnits.of(false, 0.45, Kit.UNMEASURED).stream()
                .map(Offered::unit)
                .toList();
        assertThat(tincture).doesNotContain(Dose.Unit.CUP, Dose.Unit.SQUIRT).contains(Dose.Unit.DROP);
        assertThat(DoseUnits.of(true, 0, Kit.UNMEASURED))
                .extracting(Offered::unit)
                .containsExactly(Dose.Unit.G, Dose.Unit.FINGERTIP);
        assertThat(DoseUnits.usual(false, 0, 200)).isEqualTo(Dose.Unit.CUP);
        assertThat(DoseUnits.usual(false, 0.45, 200)).isEqualTo(Dose.Unit.ML);
        assertThat(DoseUnits.usual(true, 0, 1)).isEqualTo(Dose.Unit.FINGERTIP);
    }

    @Test
    public void whatIsProposedCanBeCountedOutAndIsNeverMore() {
        Offered cup = in(Dose.Unit.CUP, 0, Kit.UNMEASURED);
        assertThat(DoseUnits.countable(222, cup)).isEqualTo(187.5);
        assertThat(DoseUnits.countable(250, cup)).isEqualTo(250);
        assertThat(DoseUnits.countable(40, cup)).isEqualTo(40);
        assertThat(DoseUnits.countable(2.03, in(Dose.Unit.DROP, 0.4, Kit.UNMEASURED)))
                .isCloseTo(2, within(1e-9));
    }

    @Test
    public void herbsAreNotMeasuredInDrops() {
        assertThatThrownBy(() -> HouseMeasure.DROP.grams(3, List.of(), List.of(), Interval.of(0.1, 0.2)))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> DoseUnits.of(false, Double.NaN, Kit.UNMEASURED))
                .isInstanceOf(InvalidInput.class);
    }
}
