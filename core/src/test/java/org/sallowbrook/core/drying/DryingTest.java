package org.sallowbrook.core.drying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.shelf.JarGate;
import org.testng.annotations.Test;

public class DryingTest {

    private static final Drying.Air DRY_AIR = new Drying.Air(40, 0.25);

    /** Weights of 1000 g at a moisture that follow Page exactly. */
    private static List<Weighing> page(double moisture, double equilibriumDry, double k, double n, double... hours) {
        double dry = 1000 * (1 - moisture);
        double me = dry * (1 + equilibriumDry);
        List<Weighing> weighings = new ArrayList<>();
        for (double t : hours) {
            weighings.add(new Weighing(t, me + (1000 - me) * Math.exp(-k * Math.pow(t, n))));
        }
        return weighings;
    }

    private static Drying.Request request(
            Moisture initial, List<Weighing> weighings, Drying.Air air, Drying.PhysicalTest test) {
        return new Drying.Request(1000, initial, 0.10, weighings, air, test);
    }

    @Test
    public void aPageCurveIsFoundAgainAndItsEndForecast() {
        double me = Moisture.dryBasis(Henderson.equilibriumMoisture(40, 0.25));
        var result = Drying.reckon(
                request(Moisture.exactly(0.75), page(0.75, me, 0.06, 0.9, 3, 6, 12, 18, 24), DRY_AIR, null));
        assertThat(result.model()).isEqualTo(Drying.Model.PAGE);
        double target = 250 / 0.9;
        double meG = 250 * (1 + me);
        double end = Math.pow(Math.log((1000 - meG) / (target - meG)) / 0.06, 1 / 0.9);
        assertThat(result.remaining().likelyHours()).isCloseTo(end - 24, within(0.01));
        assertThat(result.targetG().mid()).isCloseTo(target, within(1e-9));
    }

    @Test
    public void anUncertainStartGivesARangeThatHoldsTheTruth() {
        var weighings = page(0.75, 0, 0.05, 1, 6, 12);
        var result = Drying.reckon(request(Moisture.of(0.72, 0.78), weighings, null, null));
        double now = 1 - 250 / weighings.get(1).massG();
        assertThat(result.moistureNow().low()).isLessThan(now);
        assertThat(result.moistureNow().high()).isGreaterThan(now);
        assertThat(result.model()).isEqualTo(Drying.Model.LEWIS);
        assertThat(result.remaining().lowHours()).isLessThan(result.remaining().likelyHours());
        assertThat(result.remaining().highHours())
                .isGreaterThan(result.remaining().likelyHours());
    }

    @Test
    public void humidAirCannotFinishItAndAConstantWeightInItIsNotDry() {
        var stalled = List.of(new Weighing(24, 330), new Weighing(40, 329), new Weighing(54, 328.5));
        var result = Drying.reckon(
                request(Moisture.of(0.72, 0.76), stalled, new Drying.Air(18, 0.85), Drying.PhysicalTest.SNAPS));
        assertThat(result.constantMass()).isTrue();
        assertThat(result.done()).isFalse();
        assertThat(result.remaining()).isNull();
        assertThat(result.findings()).extracting(Finding::code).contains("HUMID_STALL");
        assertThat(JarGate.check(result, false)).extracting(Finding::code).contains("DAMP");
    }

    @Test
    public void constantWeightInDryAirWithSnappingStemsIsDry() {
        var constant = List.of(new Weighing(24, 300), new Weighing(36, 284), new Weighing(50, 283));
        var dry = Drying.reckon(request(Moisture.of(0.72, 0.78), constant, DRY_AIR, Drying.PhysicalTest.SNAPS));
        assertThat(dry.moistureNow().high()).isGreaterThan(0.10);
        assertThat(dry.done()).isTrue();
        assertThat(JarGate.check(dry, false)).isEmpty();
        assertThat(JarGate.check(dry, true)).extracting(Finding::code).containsExactly("MOULD");
        var bends = Drying.reckon(request(Moisture.of(0.72, 0.78), constant, DRY_AIR, Drying.PhysicalTest.BENDS));
        assertThat(bends.done()).isFalse();
        var untested = Drying.reckon(request(Moisture.of(0.72, 0.78), constant, DRY_AIR, null));
        assertThat(untested.done()).isFalse();
    }

    @Test
    public void weightsBelowTheDryMatterContradictTheStart() {
        var result = Drying.reckon(request(Moisture.of(0.50, 0.60), List.of(new Weighing(10, 300)), null, null));
        assertThat(result.feasible()).isFalse();
        assertThat(result.findings()).extracting(Finding::code).contains("WEIGHTS_CONTRADICT_MOISTURE");
    }

    @Test
    public void nonsenseIsRefused() {
        assertThatThrownBy(() -> new Weighing(-1, Double.NaN))
                .isInstanceOfSatisfying(
                        InvalidInput.class, e -> assertThat(e.violations()).hasSize(2));
        assertThatThrownBy(() ->
                        request(Moisture.exactly(0.7), List.of(new Weighing(5, 500), new Weighing(5, 400)), null, null))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void equilibriumRisesWithHumidityAndFallsWithHeat() {
        for (double rh = 0.1; rh < 0.9; rh += 0.1) {
            assertThat(Henderson.equilibriumMoisture(20, rh + 0.05))
                    .isGreaterThan(Henderson.equilibriumMoisture(20, rh));
            assertThat(Henderson.equilibriumMoisture(40, rh)).isLessThan(Henderson.equilibriumMoisture(20, rh));
        }
        assertThat(Henderson.equilibriumMoisture(25, 0.65)).isCloseTo(0.12, within(0.001));
    }
}
