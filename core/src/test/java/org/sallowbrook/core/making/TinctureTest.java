package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.testng.annotations.Test;

public class TinctureTest {

    private static final List<Blend.Bottle> SHELF =
            List.of(new Blend.Bottle("grain spirit", Strength.ofPercent(96), 2000, true));

    private static Tincture.Herb herb(double massG, Tincture.State state, double low, double high) {
        return new Tincture.Herb("meadowsweet", "TOPS", massG, state, Moisture.of(low, high), null);
    }

    private static Tincture.Recipe request(
            Tincture.Herb herb, double ratio, boolean waterCounts, Tincture.Basis basis, double percent) {
        return new Tincture.Recipe(
                List.of(herb), ratio, waterCounts, basis, Strength.ofPercent(percent), SHELF, null, Retention.PRESSED);
    }

    @Test
    public void freshHerbAtOneToTwoHoldsThirtySevenHundredthsNotAHalf() {
        var result = Tincture.plan(
                request(herb(100, Tincture.State.FRESH, 0.80, 0.80), 2, false, Tincture.Basis.MENSTRUUM, 95));
        assertThat(result.plan().herbEquivalentGPerMl().mid()).isCloseTo(0.37, within(0.005));
        assertThat(result.plan().menstruumMl()).isEqualTo(200);
    }

    @Test
    public void driedHerbIsNearOneOverTheRatio() {
        var plan = Tincture.plan(
                        request(herb(100, Tincture.State.DRIED, 0.08, 0.12), 5, false, Tincture.Basis.MENSTRUUM, 45))
                .plan();
        assertThat(plan.herbEquivalentGPerMl().mid()).isCloseTo(0.2, within(0.005));
        assertThat(plan.finalFraction().low()).isBetween(0.435, 0.45);
        // 500 mL and 8-12 g of water, less 0.8-1.5 mL per g of 88-92 g dry matter.
        assertThat(plan.pressedMl().low()).isBetween(365.0, 372.0);
        assertThat(plan.pressedMl().high()).isBetween(436.0, 443.0);
    }

    @Test
    public void aFinalTargetIsMetAtMidMoistureAndBracketedAtTheEnds() {
        var plan = Tincture.plan(
                        request(herb(250, Tincture.State.FRESH, 0.70, 0.80), 2, false, Tincture.Basis.FINAL, 45))
                .plan();
        assertThat(plan.finalFraction().low()).isLessThan(0.45);
        assertThat(plan.finalFraction().high()).isGreaterThan(0.45);
        var middle = Tincture.plan(request(
                        herb(250, Tincture.State.FRESH, 0.75, 0.75),
                        2,
                        false,
                        Tincture.Basis.MENSTRUUM,
                        plan.menstruum().percent()))
                .plan();
        assertThat(middle.finalFraction().mid()).isCloseTo(0.45, within(1e-9));
    }

    @Test
    public void anUnreachableStrengthGivesThreeWaysOutThatWork() {
        var herb = herb(200, Tincture.State.FRESH, 0.80, 0.80);
        var refused = Tincture.plan(request(herb, 1, false, Tincture.Basis.FINAL, 60));
        assertThat(refused.feasible()).isFalse();
        assertThat(refused.findings())
                .extracting(Finding::code)
                .contains("FINAL_STRENGTH_OUT_OF_REACH", "WAY_OUT_RATIO", "WAY_OUT_WILT", "WAY_OUT_DRY");
        String words = refused.findings().stream()
                .filter(f -> f.code().equals("WAY_OUT_RATIO"))
                .findFirst()
                .orElseThrow()
                .message();
        double ratio = Double.parseDouble(words.replaceAll("At 1:([0-9.]+) .*", "$1"));
        assertThat(Tincture.plan(request(herb, ratio, false, Tincture.Basis.FINAL, 60))
                        .feasible())
                .isTrue();
    }

    @Test
    public void aTinctureThatMayEndTooWeakKeepsItsNumbersAndItsStop() {
        var weak = Tincture.plan(
                request(herb(500, Tincture.State.FRESH, 0.75, 0.85), 1, false, Tincture.Basis.MENSTRUUM, 30));
        assertThat(weak.feasible()).isTrue();
        assertThat(weak.findings()).extracting(Finding::code).contains("TINCTURE_TOO_WEAK");
    }

    @Test
    public void countingThePlantsWaterPoursLess() {
        var herb = herb(100, Tincture.State.FRESH, 0.75, 0.75);
        var counted = Tincture.plan(request(herb, 3, true, Tincture.Basis.MENSTRUUM, 70))
                .plan();
        assertThat(counted.menstruumMl()).isCloseTo(300 - 75 / 0.9982, within(1e-9));
    }

    @Test
    public void aMarcThatKeepsEverythingIsInfeasible() {
        var result = Tincture.plan(
                request(herb(100, Tincture.State.DRIED, 0.08, 0.12), 1, false, Tincture.Basis.MENSTRUUM, 50));
        assertThat(result.feasible()).isFalse();
        assertThat(result.findings()).extracting(Finding::code).contains("MARC_KEEPS_ALL");
    }

    @Test
    public void nonsenseIsRefusedWithEveryFieldNamed() {
        assertThatThrownBy(() -> new Tincture.Recipe(
                        List.of(),
                        Double.NaN,
                        false,
                        Tincture.Basis.FINAL,
                        Strength.NONE,
                        List.of(),
                        -1.0,
                        Retention.PRESSED))
                .isInstanceOfSatisfying(
                        InvalidInput.class,
                        e -> assertThat(e.violations())
                                .extracting(InvalidInput.Violation::field)
                                .contains("herbs", "ratio", "target.strengthPercent", "jarMl"));
    }
}
