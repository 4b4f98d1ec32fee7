package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.making.oil.Carrier;
import org.sallowbrook.core.making.oil.Evaporation;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.oil.OilRecord;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.salve.ColdSpoon.Trial;
import org.sallowbrook.core.making.salve.ColdSpoon.Verdict;
import org.sallowbrook.core.making.salve.Cream;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Oils, salves, creams: what is for the skin. */
public class SkinTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);
    private static final Wax BEESWAX = new Wax("beeswax", 1, 0.005, "");
    private static final List<Salve.Tin> TINS = List.of(new Salve.Tin(30, 10));

    private static Carrier carrier(double low, double high) {
        return new Carrier(
                "oil",
                Interval.of(low, high),
                new Source("a standard", 1999, Source.Evidence.REFERENCE, Source.Review.STARTER));
    }

    @Test
    public void aCarrierKeepsByWhatTurnsInItAndByItsBottle() {
        assertThat(carrier(0.02, 0.2).months()).isEqualTo(12);
        assertThat(carrier(0.02, 0.26).months()).isEqualTo(9);
        assertThat(carrier(0.02, 0.5).months()).isEqualTo(6);
        assertThat(Carrier.unknown("moon oil").months()).isEqualTo(6);
        assertThat(carrier(0.02, 0.2).bestBefore(DAY, DAY.plusMonths(3), null)).isEqualTo(DAY.plusMonths(3));
        assertThat(carrier(0.02, 0.2).bestBefore(DAY, null, DAY.minusMonths(4))).isEqualTo(DAY.plusMonths(8));
    }

    private static InfusedOil.Result oil(InfusedOil.Method method, double antioxidant) {
        return InfusedOil.plan(new InfusedOil.Recipe(
                List.of(new HerbPortion("h", 100, Moisture.of(0.08, 0.10))), 7, "oil", 12, method, false, antioxidant));
    }

    @Test
    public void sunShortensTheLifeAndAnAntioxidantIsWeighed() {
        assertThat(oil(InfusedOil.Method.COLD, 0).plan().keepsMonths()).isEqualTo(12);
        assertThat(oil(InfusedOil.Method.SUN, 0).plan().keepsMonths()).isEqualTo(9);
        assertThat(oil(InfusedOil.Method.COLD, 0.005).plan().antioxidantG())
                .isCloseTo(700 * 0.92 * 0.005, within(1e-9));
        assertThatThrownBy(() -> oil(InfusedOil.Method.COLD, 0.01)).isInstanceOf(InvalidInput.class);
        assertThat(oil(InfusedOil.Method.SPIRIT_THEN_WARM, 0).findings())
                .extracting(Finding::code)
                .contains("AIR_OFF_SPIRIT", "HOT_OIL");
    }

    @Test
    public void waterSeenUnderAnOilHoldsIt() {
        assertThat(new OilRecord(60, 420, 300, true, false).follow().findings())
                .extracting(Finding::code)
                .containsExactly("WATER_IN_OIL");
        assertThat(new OilRecord(60, 420, 300, true, true).follow().findings())
                .extracting(Finding::code)
                .containsExactly("WATER_WAS_IN_OIL");
        assertThat(new OilRecord(60, 420, 300, false, false).follow().keptMlPerG())
                .isCloseTo(2, within(1e-9));
    }

    @Test
    public void aDecoctionIsGoneFromTheOilWhenItsWeightIsBack() {
        assertThat(Evaporation.state(250, 3, 271).done()).isFalse();
        assertThat(Evaporation.state(250, 3, 253.5).done()).isTrue();
        assertThat(Evaporation.state(250, 0, 253.5).done()).isFalse();
        assertThatThrownBy(() -> Evaporation.state(250, 0, 100)).isInstanceOf(InvalidInput.class);
    }

    @DataProvider
    public Object[][] skin() {
        return new Object[][] {{1.9, 0.0}, {2.0, 0.01}, {17.9, 0.01}, {18.0, 0.02}, {70.0, 0.02}};
    }

    @Test(dataProvider = "skin")
    public void essentialOilIsLimitedByAge(double age, double most) {
        assertThat(EssentialOil.mostFraction(age)).isEqualTo(most);
        assertThat(EssentialOil.check(100, most * 100 + 0.01, age).findings())
                .extracting(Finding::code)
                .containsExactly(age < 2 ? "ESSENTIAL_OIL_INFANT" : "ESSENTIAL_OIL_TOO_MUCH");
        assertThat(EssentialOil.check(100, most * 100, age).findings())
                .extracting(Finding::code)
                .doesNotContain("ESSENTIAL_OIL_TOO_MUCH");
    }

    @Test
    public void everyGramOfASalveIsAccountedFor() {
        var plan = Salve.plan(new Salve.Recipe(
                        TINS, Salve.Firmness.FIRM, BEESWAX, 26, 0.05, null, 0.3, 0.05, 2, 30, List.of()))
                .plan();
        assertThat(plan.waxG() + plan.oilG() + plan.butterG() + plan.resinG() + plan.essentialOilG())
                .isCloseTo(plan.totalG(), within(1e-9));
        // 0.20 + 6 x 0.005 - 0.05 x 0.3
        assertThat(plan.waxFraction()).isCloseTo(0.215, within(1e-9));
        assertThat(Salve.plan(new Salve.Recipe(
                                TINS, Salve.Firmness.SOFT, BEESWAX, 20, 0.05, null, 0, 0, 290, 30, List.of()))
                        .feasible())
                .isFalse();
    }

    @Test
    public void coldSpoonsMoveTheRuleAndAgreementLeavesIt() {
        assertThat(ColdSpoon.correction(List.of())).isZero();
        assertThat(ColdSpoon.correction(List.of(new Trial(0, Verdict.RIGHT)))).isZero();
        // 0.02 / 4, then towards 0.02.
        assertThat(ColdSpoon.correction(List.of(new Trial(0, Verdict.TOO_SOFT))))
                .isCloseTo(0.005, within(1e-12));
        assertThat(ColdSpoon.correction(Collections.nCopies(97, new Trial(0, Verdict.TOO_HARD))))
                .isCloseTo(-0.0194, within(1e-9));
        assertThat(ColdSpoon.correction(List.of(new Trial(0.02, Verdict.RIGHT))))
                .isCloseTo(0.005, within(1e-12));
        var softer = Salve.plan(new Salve.Recipe(
                        TINS,
                        Salve.Firmness.MEDIUM,
                        BEESWAX,
                        20,
                        0.05,
                        null,
                        0,
                        0,
                        0,
                        18,
                        List.of(new Trial(0, Verdict.TOO_HARD))))
                .plan();
        assertThat(softer.waxFraction()).isCloseTo(0.135, within(1e-9));
    }

    @Test
    public void aCreamWithoutAPreservativeKeepsAWeek() {
        var bare = Cream.plan(new Cream.Recipe(200, 0.25, 0.05, 0));
        assertThat(bare.oilG() + bare.waterG() + bare.emulsifierG()).isCloseTo(200, within(1e-9));
        assertThat(bare.keepsDays()).isEqualTo(7);
        assertThat(bare.findings()).extracting(Finding::code).containsExactly("CREAM_UNPRESERVED");
        var kept = Cream.plan(new Cream.Recipe(200, 0.25, 0.05, 0.01));
        assertThat(kept.preservativeG()).isCloseTo(2, within(1e-9));
        assertThat(kept.keepsDays()).isGreaterThan(7);
        assertThatThrownBy(() -> new Cream.Recipe(200, 0.79, 0.2, 0)).isInstanceOf(InvalidInput.class);
    }
}
