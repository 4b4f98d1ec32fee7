package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.dosing.pattern.AsNeeded;
import org.sallowbrook.core.dosing.pattern.Cycle;
import org.sallowbrook.core.dosing.pattern.Daily;
import org.sallowbrook.core.dosing.pattern.Pattern;
import org.sallowbrook.core.dosing.pattern.Season;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.testng.annotations.Test;

/** Courses over time: patterns, phases, what they need, what was taken, whether it helped. */
public class SupplyTest {

    private static Amount ml(double value) {
        return Amount.of(value, Unit.ML);
    }

    private static final LocalDate START = LocalDate.of(2026, 3, 1);

    private static Course.Plan plan(Pattern pattern, int times, int days) {
        return Course.plan(new Course.Request(START, ml(2), times, pattern, null, null, days));
    }

    @Test
    public void aSeasonIsDailyWithinItsDatesEachYearAlsoOverNewYear() {
        var spring = plan(new Season(MonthDay.of(3, 10), MonthDay.of(4, 20)), 2, 400);
        assertThat(spring.days().stream().filter(d -> d.doses() > 0)).hasSize(42 + 26);
        var winter = plan(new Season(MonthDay.of(11, 1), MonthDay.of(2, 28)), 1, 365);
        assertThat(winter.days().stream().filter(d -> d.doses() > 0)).hasSize(30 + 31 + 31 + 28);
        assertThatThrownBy(() -> new Season(null, null))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("pattern.from")
                .hasMessageContaining("pattern.to");
    }

    @Test
    public void asNeededIsHeldDownByTheLeastInterval() {
        var loose = new AsNeeded(null);
        assertThat(plan(loose, 6, 1).days().get(0).doses()).isEqualTo(6);
        var held = new AsNeeded(6.0);
        assertThat(plan(held, 6, 1).days().get(0).doses()).isEqualTo(4);
    }

    @Test
    public void bottlesAreCountedAndTheDayItRunsOutIsNamed() {
        var plan = plan(new Daily(), 3, 20);
        var supply = Supply.of(plan, ml(50), ml(50), 5);
        assertThat(supply.needed().value()).isCloseTo(120, within(1e-9));
        assertThat(supply.bottles()).isEqualTo(3);
        // 6 mL a day: 48 mL last eight days, the ninth is short.
        assertThat(supply.runsOutOn()).isEqualTo(START.plusDays(8));
        assertThat(supply.findings()).extracting(Finding::code).containsExactly("BOTTLE_OUTLASTS_ITS_TIME", "RUNS_OUT");
        assertThat(Supply.of(plan, ml(120), ml(30), 5).findings()).isEmpty();
    }

    @Test
    public void aSalveIsReckonedAndSaidInGramsAndNeverHeldAgainstMillilitres() {
        var plan = Course.plan(new Course.Request(START, Amount.of(0.5, Unit.G), 2, new Daily(), null, null, 60));
        var supply = Supply.of(plan, Amount.of(28, Unit.G), null, null);
        assertThat(supply.needed()).isEqualTo(Amount.of(60, Unit.G));
        assertThat(supply.findings().get(0).message()).startsWith("28 g is there, 60 g is needed");
        assertThat(String.join(" ", plan.because())).endsWith("60 g");
        assertThat(String.join(" ", supply.because())).contains("1 g").doesNotContain("mL");
        assertThatThrownBy(() -> Supply.of(plan, ml(28), null, null)).isInstanceOf(InvalidInput.class);
        var more = Adherence.compare(plan, null, List.of(new Adherence.Taken(START, Amount.of(1.5, Unit.G))), START);
        assertThat(more.findings().get(0).message()).contains("1.5 g");
    }

    @Test
    public void phasesFollowOneAnotherAndAddUpByProduct() {
        var plan = Phases.plan(
                START,
                List.of(
                        new Phases.Phase("first", ml(2), 3, new Daily(), 14),
                        new Phases.Phase("second", ml(3), 2, new Cycle(5, 2), 14),
                        new Phases.Phase("second", ml(3), 1, new Daily(), 7)));
        assertThat(plan.totalByProduct()).containsEntry("first", ml(84)).containsEntry("second", ml(60 + 21));
        assertThat(plan.phases().get(1).plan().days().get(0).date()).isEqualTo(START.plusDays(14));
        assertThat(plan.lastDay()).isEqualTo(START.plusDays(34));
        assertThat(plan.longestRunDays()).isEqualTo(21);
        assertThatThrownBy(() -> Phases.plan(START, List.of())).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void whatWasTakenIsHeldAgainstThePlan() {
        var plan = plan(new Daily(), 2, 5);
        var taken = List.of(
                new Adherence.Taken(START, ml(4)),
                new Adherence.Taken(START.plusDays(2), ml(4)),
                new Adherence.Taken(START.plusDays(2), ml(2)),
                new Adherence.Taken(START.plusDays(4), ml(4)));
        var result = Adherence.compare(plan, null, taken, START.plusDays(3));
        assertThat(result.planned().value()).isCloseTo(16, within(1e-9));
        assertThat(result.taken().value()).isCloseTo(10, within(1e-9));
        // The second day; the fourth is not over.
        assertThat(result.missedDays()).isEqualTo(1);
        assertThat(result.findings()).extracting(Finding::code).containsExactly("MORE_THAN_PLANNED");
        assertThat(Adherence.compare(plan, 20, List.of(new Adherence.Taken(START, ml(4), 9)), START)
                        .findings())
                .extracting(Finding::code)
                .containsExactly("FASTER_THAN_PLANNED");
        assertThat(Adherence.compare(plan, 20, List.of(new Adherence.Taken(START, ml(4), 10)), START)
                        .findings())
                .isEmpty();
        assertThat(result.findings().get(0).message()).contains("3 Mar 2026");
    }

    @Test
    public void aChildIsReferredUnlessASchoolIsChosenAndThenRoundedDown() {
        var rules = Dose.childRules(new Dose.Taker(9, 31.0, 136.0), new ArrayList<>());
        assertThat(Dose.forChild(5, rules, School.REFER_CHILD)).isNull();
        // 5 x 31/68 = 2.279
        assertThat(Dose.forChild(5, rules, School.CHILD_BY_WEIGHT)).isEqualTo(2.2);
        // 5 x min(9/21, 10/24) = 2.083
        assertThat(Dose.forChild(5, rules, School.CHILD_BY_AGE)).isEqualTo(2.0);
        // 5 x sqrt(136 x 31 / 3600) / 1.73 = 3.127
        assertThat(Dose.forChild(5, rules, School.CHILD_BY_SURFACE)).isEqualTo(3.1);
        assertThatThrownBy(() -> Dose.forChild(5, rules, School.SIMMER)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void aSquirtMustHaveBeenMeasured() {
        var plain = Dose.Measured.plain(Interval.exactly(0.2), Strength.ofPercent(45));
        var adult = new Dose.Taker(40, null, null);
        assertThatThrownBy(() -> new Dose.Request(plain, 2, Dose.Unit.SQUIRT, 3, null, adult))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("squirtMl");
        var measured = new Dose.Measured(Interval.exactly(0.2), Strength.ofPercent(45), null, null, null, null, 0.7);
        assertThat(Dose.reckon(new Dose.Request(measured, 2, Dose.Unit.SQUIRT, 3, null, adult))
                        .perDose())
                .isEqualTo(Interval.exactly(1.4));
        assertThat(Course.trial(ml(2))).isEqualTo(ml(0.5));
    }
}
