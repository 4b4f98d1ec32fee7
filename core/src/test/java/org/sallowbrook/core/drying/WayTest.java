package org.sallowbrook.core.drying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.sallowbrook.core.herbarium.Taxon.Part;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.testng.annotations.Test;

public class WayTest {

    private static final Drying.Air DRY_AIR = new Drying.Air(30, 0.30);
    private static final Drying.Air HUMID_AIR = new Drying.Air(16, 0.84);

    private static Drying.Result touched(Drying.Air air, Object... hoursAndTests) {
        List<Drying.Tested> tests = new java.util.ArrayList<>();
        for (int i = 0; i < hoursAndTests.length; i += 2) {
            tests.add(new Drying.Tested(
                    ((Number) hoursAndTests[i]).doubleValue(), (Drying.PhysicalTest) hoursAndTests[i + 1]));
        }
        return Drying.reckon(new Drying.Request(500, Moisture.of(0.7, 0.8), 0.10, List.of(), air, tests));
    }

    @Test
    public void twoDryTestsHalfADayApartEndADryingWithoutAScale() {
        var crumbles = Drying.PhysicalTest.CRUMBLES;
        var bends = Drying.PhysicalTest.BENDS;
        assertThat(touched(DRY_AIR, 60, crumbles).done()).isFalse();
        assertThat(touched(DRY_AIR, 60, crumbles, 71.9, crumbles).done()).isFalse();
        Drying.Result dry = touched(DRY_AIR, 60, crumbles, 72, crumbles);
        assertThat(dry.done()).isTrue();
        assertThat(dry.byTestAlone()).isTrue();
        // Not more than a jar bears, and more than an oil to be eaten may: see InfusedOil.
        assertThat(dry.moistureNow().high()).isEqualTo(0.14);
        assertThat(dry.findings()).extracting(Finding::code).contains("DRY_BY_TOUCH");
        // One that bent in between begins it anew, whatever crumbled before.
        assertThat(touched(DRY_AIR, 40, crumbles, 50, bends, 60, crumbles).done())
                .isFalse();
        assertThat(touched(DRY_AIR, 60, crumbles, 72, crumbles, 80, bends).done())
                .isFalse();
        // In air too humid nothing is dry by touch.
        assertThat(touched(HUMID_AIR, 60, crumbles, 90, crumbles).done()).isFalse();
    }

    @Test
    public void aWeightThatContradictsTheTouchWins() {
        Drying.Result wet = Drying.reckon(new Drying.Request(
                500,
                Moisture.of(0.7, 0.8),
                0.10,
                List.of(new Weighing(48, 300)),
                DRY_AIR,
                List.of(
                        new Drying.Tested(40, Drying.PhysicalTest.SNAPS),
                        new Drying.Tested(60, Drying.PhysicalTest.SNAPS))));
        assertThat(wet.done()).isFalse();
        assertThat(wet.byTestAlone()).isFalse();
    }

    @Test
    public void theSchoolIsTheDefaultAndWhatHasNoStemLiesDown() {
        assertThat(Way.usual(Part.LEAF, Schools.USUAL)).isEqualTo(new Way(Way.Method.SCREEN, false, false));
        assertThat(Way.usual(Part.ROOT, Schools.USUAL).washed()).isTrue();
        Schools hang = schools(Question.DRYING, School.HANG);
        assertThat(Way.usual(Part.TOPS, hang).method()).isEqualTo(Way.Method.HANG);
        assertThat(Way.usual(Part.FRUIT, hang).method()).isEqualTo(Way.Method.SCREEN);
        assertThatThrownBy(() -> new Way(Way.Method.HANG, false, false).fits(Part.ROOT))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Way(Way.Method.HANG, false, true).fits(Part.LEAF))
                .isInstanceOf(InvalidInput.class);
        assertThat(Way.usual(Part.LEAF, schools(Question.WASHING, School.WASH)).washed())
                .isTrue();
    }

    private static Schools schools(Question question, School school) {
        return Schools.of(Collections.unmodifiableMap(Map.of(question, school)));
    }

    @Test
    public void washedHerbHoldsMoreWaterAndSoLessDryMatter() {
        Moisture picked = Moisture.of(0.70, 0.80);
        assertThat(new Way(Way.Method.SCREEN, false, false).moisture(picked)).isEqualTo(picked);
        Moisture washed = new Way(Way.Method.SCREEN, true, false).moisture(picked);
        // 100 g at 80 % with 15 g of water clinging: 20 g of dry matter in 115 g.
        assertThat(washed.high()).isCloseTo(1 - 20 / 115.0, within(1e-12));
        assertThat(washed.low()).isEqualTo(0.70);
    }

    @Test
    public void layoutFollowsTheWay() {
        Way.Layout hung = new Way(Way.Method.HANG, false, false).layout(400, Part.TOPS);
        assertThat(hung.bundles()).isEqualTo(Interval.of(5, 10));
        assertThat(hung.trays()).isNull();
        Way.Layout machine = new Way(Way.Method.DEHYDRATOR, false, false).layout(300, Part.LEAF);
        // 0.1 to 0.2 m2 on trays of a tenth.
        assertThat(machine.trays()).isEqualTo(Interval.of(1, 2));
        assertThat(new Way(Way.Method.HANG, false, false).howTo(400, Part.TOPS).toString())
                .contains("bundles", "3 cm");
    }

    @Test
    public void tooHotIsSaid() {
        Temperature aromatic = Temperature.of(Part.LEAF, true, null);
        Way machine = new Way(Way.Method.DEHYDRATOR, false, false);
        assertThat(machine.air(new Drying.Air(42.5, 0.2), aromatic))
                .extracting(Finding::code)
                .containsExactly("TOO_HOT");
        assertThat(machine.air(new Drying.Air(36, 0.2), aromatic)).isEmpty();
        assertThat(machine.air(new Drying.Air(25, 0.2), aromatic))
                .extracting(Finding::code)
                .containsExactly("DEHYDRATOR_COOL");
        assertThat(new Way(Way.Method.SCREEN, false, false).air(new Drying.Air(25, 0.2), aromatic))
                .isEmpty();
    }

    @Test
    public void anOvenIsMeasuredBesideTheHerb() {
        Temperature leaf = Temperature.of(Part.LEAF, false, null);
        Way oven = new Way(Way.Method.OVEN, false, false);
        assertThat(oven.air(null, leaf)).extracting(Finding::code).containsExactly("OVEN_UNMEASURED");
        assertThat(oven.air(new Drying.Air(80, 0.1), leaf))
                .extracting(Finding::code)
                .containsExactly("TOO_HOT");
        assertThat(oven.howTo(100, Part.LEAF).toString()).contains("door held ajar", "thermometer");
        assertThat(oven.layout(100, Part.LEAF).trays()).isNull();
    }

    @Test
    public void theRackLearnsItsSpeedAndForgetsTheForgotten() {
        RackSpeed usual = RackSpeed.usual(Part.LEAF, Way.Method.SCREEN);
        RackSpeed learned = usual.learn(List.of(60.0, 62.0, 58.0, 61.0, 60.0, 60.0, 59.0, 61.0));
        assertThat(learned.lots()).isEqualTo(8);
        assertThat(learned.hours().high() - learned.hours().low())
                .isLessThan(usual.hours().high() - usual.hours().low());
        assertThat(learned.hours().low()).isLessThan(60);
        assertThat(learned.hours().high()).isGreaterThan(60);
        assertThat(usual.learn(List.of(2000.0)).lots()).isZero();
        assertThat(RackSpeed.usual(Part.ROOT, Way.Method.HANG).hours().low())
                .isGreaterThan(
                        RackSpeed.usual(Part.LEAF, Way.Method.HANG).hours().low());
    }
}
