package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.sallowbrook.core.dosing.pattern.Cycle;
import org.sallowbrook.core.dosing.pattern.Pattern;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.testng.annotations.Test;

public class DosingTest {

    private static final LocalDate START = LocalDate.of(2026, 1, 30);

    private static Dose.Result dose(double amount, Dose.Unit unit, Double dropsPerMl, Interval card, Dose.Taker taker) {
        return Dose.reckon(new Dose.Request(
                new Dose.Measured(Interval.of(0.18, 0.22), Strength.ofPercent(45), dropsPerMl, null, null, null, null),
                amount,
                unit,
                3,
                card,
                taker));
    }

    private static final Dose.Taker ADULT = new Dose.Taker(58, 70.0, 168.0);

    @Test
    public void theUpperEndIsComparedWithTheCard() {
        assertThat(dose(3, Dose.Unit.ML, null, Interval.of(1, 2), ADULT).withinCard())
                .isEqualTo(Dose.WithinCard.WITHIN);
        // 3.1 mL x 3 x 0.22 = 2.046 g; the lower end, 1.674 g, would pass.
        var above = dose(3.1, Dose.Unit.ML, null, Interval.of(1, 2), ADULT);
        assertThat(above.withinCard()).isEqualTo(Dose.WithinCard.ABOVE);
        assertThat(above.findings()).extracting(Finding::code).contains("DOSE_ABOVE_CARD");
        assertThat(dose(3, Dose.Unit.ML, null, null, ADULT).withinCard()).isEqualTo(Dose.WithinCard.NO_FIGURE);
    }

    @Test
    public void uncountedDropsAreTakenAtTheirLargest() {
        var drops = dose(20, Dose.Unit.DROP, null, Interval.of(0, 1), ADULT);
        assertThat(drops.perDose().high()).isCloseTo(1, within(1e-12));
        assertThat(drops.perDose().low()).isCloseTo(20.0 / 55, within(1e-12));
        assertThat(dose(20, Dose.Unit.DROP, 40.0, Interval.of(0, 1), ADULT).perDose())
                .isEqualTo(Interval.exactly(0.5));
    }

    @Test
    public void childRulesAtTheirPublishedValues() {
        // Young: 6 / (6 + 12); Cowling: 7 / 24; Clark: 20 / 68; Mosteller: sqrt(115 x 20 / 3600) / 1.73.
        var rules = dose(1, Dose.Unit.ML, null, null, new Dose.Taker(6, 20.0, 115.0))
                .childRules();
        assertThat(rules.young()).isCloseTo(1.0 / 3, within(1e-9));
        assertThat(rules.cowling()).isCloseTo(7.0 / 24, within(1e-9));
        assertThat(rules.clark()).isCloseTo(20.0 / 68, within(1e-9));
        assertThat(rules.surface()).isCloseTo(0.4620, within(0.0005));
        var adult = dose(1, Dose.Unit.ML, null, null, ADULT).childRules();
        assertThat(adult).isEqualTo(new Dose.ChildRules(null, null, null, null));
        var big = dose(1, Dose.Unit.ML, null, null, new Dose.Taker(16, 90.0, null));
        assertThat(big.childRules().clark()).isEqualTo(1);
        assertThat(big.findings()).extracting(Finding::code).contains("CHILD_RULE_ABOVE_ONE");
    }

    @Test
    public void alcoholStopsSmallBodies() {
        // 3 mL x 0.45 x 0.789 g/mL = 1.065 g.
        var wren = dose(3, Dose.Unit.ML, null, null, new Dose.Taker(9, 31.0, null));
        assertThat(wren.alcoholGPerDose()).isCloseTo(1.06515, within(1e-9));
        assertThat(wren.alcoholMgPerKg()).isCloseTo(34.36, within(0.01));
        assertThat(wren.findings()).extracting(Finding::code).contains("ALCOHOL");
        assertThat(dose(3, Dose.Unit.ML, null, null, new Dose.Taker(4, 16.0, null))
                        .findings())
                .extracting(Finding::code)
                .contains("TOO_MUCH_ALCOHOL");
    }

    private static Course.Plan course(Pattern pattern, Course.Slope ramp, Course.Slope taper, int days) {
        return Course.plan(new Course.Request(START, Amount.of(2, Unit.ML), 3, pattern, ramp, taper, days));
    }

    @Test
    public void rampAndTaperCountOnDaysAndAreLinear() {
        var plan = course(new Cycle(2, 1), new Course.Slope(0.5, 3), new Course.Slope(0.25, 2), 9);
        assertThat(plan.days()).extracting(Course.Day::doses).containsExactly(3, 3, 0, 3, 3, 0, 3, 3, 0);
        assertThat(plan.days())
                .extracting(d -> d.perDose().value())
                .containsExactly(1.0, 1.5, 0.0, 2.0, 2.0, 0.0, 2.0, 0.5, 0.0);
        assertThat(plan.total().value()).isCloseTo(27, within(1e-9));
        assertThat(plan.lastDay()).isEqualTo(START.plusDays(8));
    }

    @Test
    public void overlappingSlopesAreRefused() {
        assertThatThrownBy(() -> course(new Cycle(1, 1), new Course.Slope(0.5, 3), new Course.Slope(0.5, 3), 10))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("taper.days");
    }
}
