package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.tea.Freezing;
import org.sallowbrook.core.making.tea.MethodChoice;
import org.sallowbrook.core.making.tea.MethodChoice.Cut;
import org.sallowbrook.core.making.tea.Syrup;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tea.Tea.Method;
import org.sallowbrook.core.making.tea.TeaBatch;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class WaterTest {

    @DataProvider
    public Object[][] methods() {
        return new Object[][] {
            {"LEAF", Cut.CUT, Set.of(), School.SIMMER, Method.INFUSION},
            {"FLOWER_HEAD", Cut.WHOLE, Set.of(), School.SIMMER, Method.INFUSION},
            {"ROOT", Cut.CUT, Set.of(), School.SIMMER, Method.DECOCTION},
            {"ROOT", Cut.CUT, Set.of(), School.LONG_WARM, Method.LONG_INFUSION},
            {"ROOT", Cut.POWDER, Set.of(), School.SIMMER, Method.INFUSION},
            {"ROOT", Cut.CUT, Set.of(Constituent.MUCILAGE), School.SIMMER, Method.COLD_MACERATION},
            {"FLOWER", Cut.WHOLE, Set.of(Constituent.MUCILAGE, Constituent.VOLATILE_OIL), School.SIMMER, Method.INFUSION
            },
            {"FRUIT", Cut.CUT, Set.of(Constituent.VOLATILE_OIL), School.SIMMER, Method.INFUSION},
            {"TOUGH_LEAF", Cut.WHOLE, Set.of(), School.SIMMER, Method.DECOCTION}
        };
    }

    @Test(dataProvider = "methods")
    public void theMethodFollowsFromPartCutAndConstituents(
            String form, Cut cut, Set<Constituent> constituents, School tough, Method method) {
        MethodChoice choice = MethodChoice.derive(form, cut, constituents, tough);
        assertThat(choice.method()).isEqualTo(method);
        assertThat(choice.reason()).endsWith(".");
    }

    private static Tea.Herb measured(Tea.Measure measure, Interval bulk) {
        return new Tea.Herb("nettle", "LEAF", Cut.CUT, Set.of(), measure, null, bulk, null, null);
    }

    @DataProvider
    public Object[][] stood() {
        return new Object[][] {
            {Method.INFUSION, 10.0, 4.0, false},
            {Method.INFUSION, 60.0, 4.0, false},
            {Method.INFUSION, 120.0, 2.0, false},
            {Method.INFUSION, 240.0, 0.0, false},
            {Method.INFUSION, 480.0, 0.0, true},
            {Method.LONG_INFUSION, 480.0, 0.0, false},
            {Method.DECOCTION, 60.0, 4.0, false},
        };
    }

    /** What drew for hours in the room has used up the hours that it may stand there. */
    @Test(dataProvider = "stood")
    public void hoursOfDrawingAreHoursInTheRoom(Method method, double minutes, double room, boolean warned) {
        Tea.Herb herb = new Tea.Herb("nettle", "LEAF", Cut.CUT, Set.of(), null, 10.0, null, method, minutes);
        Tea.Recipe recipe = Tea.Recipe.drink(500, null, List.of(herb), "water", null);
        assertThat(new TeaBatch(recipe, Tea.plan(recipe).plan(), false)
                        .keeps()
                        .hours()
                        .room())
                .isEqualTo(room);
        assertThat(Tea.plan(recipe).findings().stream().anyMatch(f -> f.code().equals("STANDS_TOO_LONG")))
                .isEqualTo(warned);
    }

    private static Tea.HerbPlan plan(Tea.Herb herb) {
        return Tea.plan(Tea.Recipe.drink(500, null, List.of(herb), "water", null))
                .plan()
                .herbs()
                .get(0);
    }

    @Test
    public void measuresBecomeGramsByTheLotOrAsAnInterval() {
        assertThat(plan(measured(Tea.Measure.of(3, Tea.Unit.TABLESPOON), Interval.of(0.1, 0.2)))
                        .massRangeG())
                .isEqualTo(Interval.of(4.5, 9));
        // Heaped: half as much again to two and a half times.
        Interval heaped = plan(measured(Tea.Measure.of(2, Tea.Unit.HEAPED_TEASPOON), Interval.exactly(0.2)))
                .massRangeG();
        assertThat(heaped.low()).isCloseTo(3, within(1e-9));
        assertThat(heaped.high()).isCloseTo(5, within(1e-9));
        assertThat(plan(measured(new Tea.Measure(5, Tea.Unit.LEAF, 0.3), null)).massG())
                .isCloseTo(1.5, within(1e-9));
        assertThatThrownBy(() -> measured(Tea.Measure.of(2, Tea.Unit.HANDFUL), Interval.exactly(0.2)))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("measure.unit");
        assertThatThrownBy(() -> measured(Tea.Measure.of(2, Tea.Unit.CUP), null))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("bulkDensityGPerMl");
    }

    @Test
    public void aBathHasLimitsOfItsOwn() {
        var herb = List.of(Tea.Herb.weighed("oat", "HERB", 200));
        var bath = Tea.plan(new Tea.Recipe(150_000, null, herb, "water", null, Tea.Purpose.BATH, Schools.USUAL));
        assertThat(bath.findings()).extracting(Finding::code).doesNotContain("STRENGTH_IMPLAUSIBLE");
        var drink = Tea.plan(Tea.Recipe.drink(150_000, null, herb, "water", null));
        assertThat(drink.findings()).extracting(Finding::code).contains("STRENGTH_IMPLAUSIBLE");
        var wash = Tea.plan(new Tea.Recipe(2000, null, herb, "water", null, Tea.Purpose.WASH, Schools.USUAL));
        assertThat(wash.findings()).extracting(Finding::code).contains("WASH_INTACT_SKIN");
    }

    @Test
    public void theSchoolOfSteepingCountsForInfusionsOnly() {
        var mixed = List.of(Tea.Herb.weighed("a", "LEAF", 5), Tea.Herb.weighed("b", "ROOT", 5));
        var shorter = Tea.plan(new Tea.Recipe(
                        500, null, mixed, "water", null, Tea.Purpose.DRINK, Schools.USUAL.with(School.STEEP_SHORT)))
                .plan();
        assertThat(shorter.herbs()).extracting(Tea.HerbPlan::minutes).containsExactly(5.0, 20.0);
    }

    @Test
    public void theClockStartsWhenItLeavesTheHeat() {
        LocalDateTime noon = LocalDateTime.of(2026, 7, 1, 12, 0);
        assertThat(Tea.keeps(Method.INFUSION, noon).inTheRoomUntil()).isEqualTo(noon.plusHours(4));
        assertThat(Tea.keeps(Method.DECOCTION, noon).coldUntil()).isEqualTo(noon.plusHours(24));
        assertThat(Tea.keeps(Method.LONG_INFUSION, noon).inTheRoomUntil()).isEqualTo(noon);
        assertThat(Tea.keeps(Method.COLD_MACERATION, noon).coldUntil()).isEqualTo(LocalDateTime.of(2026, 7, 2, 0, 0));
    }

    @Test
    public void syrupBalancesItsSugarAndAgreesWithTheRuleOfThumb() {
        for (double brix : new double[] {1, 2, 3.5}) {
            var plan = Syrup.boilDown(10_000, brix, 66.5);
            double sugarIn = 10_000 * Syrup.gramsPerMl(brix) * brix / 100;
            assertThat(plan.syrupG() * 0.665).isCloseTo(sugarIn, within(1e-6));
            // 88.3 / Brix litres of sap for one of syrup, about.
            assertThat(10_000 / plan.syrupMl()).isCloseTo(88.3 / brix, within(0.02 * 88.3 / brix));
        }
        var sweet = Syrup.sweeten(1000, 0, 65);
        assertThat(sweet.sugarG() / sweet.syrupG()).isCloseTo(0.65, within(1e-9));
        assertThat(sweet.findings()).extracting(Finding::code).doesNotContain("SYRUP_WEAK");
        assertThat(Syrup.sweeten(1000, 0, 64.9).keepsDays()).isEqualTo(28);
        assertThat(Syrup.sweeten(1000, 0, 44).keepsDays()).isEqualTo(7);
    }

    /** NBS Circular C440 (1942), between the knots: 25, 45 and 65 Brix at 20 °C. */
    @Test
    public void densityOfSugarAgreesWithTheTable() {
        assertThat(Syrup.gramsPerMl(25)).isCloseTo(1.1036, within(0.0005));
        assertThat(Syrup.gramsPerMl(45)).isCloseTo(1.2025, within(0.0005));
        assertThat(Syrup.gramsPerMl(65)).isCloseTo(1.3163, within(0.0005));
        assertThatThrownBy(() -> Syrup.gramsPerMl(80.1)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void cubesLeaveRoomForTheIce() {
        var plan = Freezing.plan(500, 21.8, 12, LocalDate.of(2026, 7, 1));
        assertThat(plan.cubeMl()).isCloseTo(20, within(1e-9));
        assertThat(plan.cubes()).isEqualTo(25);
        assertThat(plan.trays()).isEqualTo(3);
        assertThat(plan.leftOverMl()).isCloseTo(0, within(1e-6));
        assertThat(plan.until()).isEqualTo(LocalDate.of(2027, 1, 1));
    }
}
