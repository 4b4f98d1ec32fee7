package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.making.tea.MethodChoice;
import org.sallowbrook.core.making.tea.Reduction;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Tea, oil, salve, keeping and the gates of the bench. */
public class BenchTest {

    private static final Wax BEESWAX = new Wax("beeswax", 1, 0.005, "");
    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    @Test
    public void aDecoctionPoursForWhatTheHerbKeepsAndWhatBoilsOff() {
        var plan = Tea.plan(Tea.Recipe.drink(
                        500,
                        null,
                        List.of(
                                new Tea.Herb(
                                        "valerian",
                                        "ROOT",
                                        MethodChoice.Cut.CUT,
                                        Set.of(),
                                        null,
                                        10.0,
                                        null,
                                        null,
                                        20.0),
                                new Tea.Herb(
                                        "lime",
                                        "FLOWER",
                                        MethodChoice.Cut.CUT,
                                        Set.of(),
                                        null,
                                        4.0,
                                        Interval.exactly(0.1),
                                        null,
                                        10.0)),
                        "water",
                        5.0))
                .plan();
        assertThat(plan.waterMl()).isCloseTo(500 + 14 * 2.5 + 20 * 5, within(1e-9));
        // The root simmers its whole time; the flower is steeped off the heat after it, or its oil is lost.
        assertThat(plan.timeline()).extracting(Tea.Step::herb).containsExactly("valerian", "", "lime", "");
        assertThat(plan.timeline()).extracting(Tea.Step::minute).containsExactly(0.0, 20.0, 20.0, 30.0);
        assertThat(plan.herbs().get(1).teaspoons().mid()).isCloseTo(8, within(1e-9));
    }

    /** By hand: two herbs by method and minutes, with every step of the pot. */
    @DataProvider
    public Object[][] pots() {
        return new Object[][] {
            {
                "DECOCTION 10 + INFUSION 15",
                List.of(
                        "0 bark: Add, simmer uncovered",
                        "10 Take it off the heat",
                        "10 flower: Add off the boil, cover",
                        "25 Strain")
            },
            {
                "DECOCTION 20 + DECOCTION 5",
                List.of("0 bark: Add, simmer uncovered", "15 flower: Add, simmer uncovered", "20 Strain")
            },
            {
                "COLD_MACERATION 120 + INFUSION 10",
                List.of(
                        "0 bark: In a pot of its own: add to cold water, into the refrigerator",
                        "110 flower: Add off the boil, cover",
                        "120 Strain both, let the hot one cool, and pour them together")
            },
            {
                "INFUSION 10 + INFUSION 5",
                List.of("0 bark: Add off the boil, cover", "5 flower: Add off the boil, cover", "10 Strain")
            },
        };
    }

    @Test(dataProvider = "pots")
    public void aPotWithTwoMethodsIsOneTimeline(String herbs, List<String> steps) {
        List<Tea.Herb> both = new ArrayList<>();
        for (String herb : herbs.split(" \\+ ")) {
            both.add(new Tea.Herb(
                    both.isEmpty() ? "bark" : "flower",
                    "HERB",
                    MethodChoice.Cut.CUT,
                    Set.of(),
                    null,
                    10.0,
                    null,
                    Tea.Method.valueOf(herb.split(" ")[0]),
                    Double.valueOf(herb.split(" ")[1])));
        }
        assertThat(Tea.plan(Tea.Recipe.drink(500, null, both, "water", 5.0))
                        .plan()
                        .timeline())
                .extracting(
                        s -> Words.figure(s.minute()) + " " + (s.herb().isEmpty() ? "" : s.herb() + ": ") + s.action())
                .isEqualTo(steps);
    }

    @Test
    public void aSlippedDecimalIsCaught() {
        var herb = Tea.Herb.weighed("lime", "FLOWER", 200);
        var result = Tea.plan(Tea.Recipe.drink(250, null, List.of(herb), "water", null));
        assertThat(result.findings()).extracting(Finding::code).contains("STRENGTH_IMPLAUSIBLE");
    }

    @Test
    public void aTeaHerbOfUnknownFormIsRefusedRatherThanGuessed() {
        assertThatThrownBy(() -> Tea.Herb.weighed("x", "BLOB", 1))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("form");
    }

    private static InfusedOil.Result oil(double moisture, boolean eaten) {
        return InfusedOil.plan(new InfusedOil.Recipe(
                List.of(new HerbPortion("marigold", 100, Moisture.of(moisture - 0.01, moisture))),
                7,
                "olive oil",
                18,
                InfusedOil.Method.COLD,
                eaten,
                0));
    }

    @Test
    public void dryHerbInOilKeepsAsItsCarrierDampNever() {
        assertThat(oil(0.12, false).plan().keepsMonths()).isEqualTo(12);
        assertThat(oil(0.12, false).plan().yieldMl().low()).isCloseTo(500, within(1e-9));
        assertThat(oil(0.13, false).plan().keepsDays()).isEqualTo(14);
        var wet = oil(0.40, false);
        assertThat(wet.plan().keepsMonths()).isNull();
        assertThat(wet.findings()).extracting(Finding::code).contains("WATER_IN_OIL");
    }

    @Test
    public void anEatenOilTakesNoDampHerbAndKeepsAWeek() {
        assertThat(oil(0.13, true).feasible()).isFalse();
        assertThat(oil(0.10, true).plan().keepsDays()).isEqualTo(7);
    }

    @Test
    public void aSalveFillsItsTins() {
        var plan = Salve.plan(
                        Salve.Recipe.plain(List.of(new Salve.Tin(30, 10)), Salve.Firmness.MEDIUM, BEESWAX, 20, 0.05))
                .plan();
        assertThat(plan.totalG()).isCloseTo(300 * 0.93 * 1.05, within(1e-9));
        assertThat(plan.waxG()).isCloseTo(plan.totalG() * 0.14, within(1e-9));
        assertThat(plan.waxG() + plan.oilG()).isCloseTo(plan.totalG(), within(1e-9));
        var candelilla = Salve.plan(Salve.Recipe.plain(
                List.of(new Salve.Tin(30, 10)),
                Salve.Firmness.MEDIUM,
                new Wax("candelilla", 0.5, 0.005, ""),
                20,
                0.05));
        assertThat(candelilla.plan().waxFraction()).isCloseTo(0.07, within(1e-9));
    }

    @Test
    public void keepingCountsCalendarMonthsAndTheEarliestLimit() {
        var salve = Keeping.reckon(Keeping.Request.of(
                Keeping.Form.SALVE,
                LocalDate.of(2026, 1, 31),
                List.of(new Keeping.Input("oil", LocalDate.of(2026, 5, 1)))));
        assertThat(salve.bestBefore()).isEqualTo(LocalDate.of(2026, 5, 1));
        var leaf = Keeping.reckon(Keeping.Request.of(
                Keeping.Form.LEAF,
                LocalDate.of(2024, 2, 29),
                List.of(new Keeping.Input("spirit", LocalDate.of(2024, 3, 1)))));
        assertThat(leaf.bestBefore()).isEqualTo(LocalDate.of(2025, 2, 28));
        var opened = Keeping.reckon(new Keeping.Request(
                Keeping.Form.TINCTURE, DAY, DAY.plusMonths(2), null, List.of(), null, Schools.USUAL));
        assertThat(opened.bestBefore()).isEqualTo(DAY.plusMonths(14));
    }

    @Test
    public void outsideHerbsAndDenaturedSpiritNeverBecomeInternal() {
        var comfrey = new MakingGate.Ingredient(
                "comfrey", Product.State.USABLE, Route.EXTERNAL, false, true, DAY.plusDays(1));
        var denatured =
                new MakingGate.Ingredient("blue spirit", Product.State.USABLE, Route.EXTERNAL, true, false, null);
        assertThat(MakingGate.check(List.of(comfrey, denatured), Route.INTERNAL, DAY))
                .extracting(Finding::code)
                .contains("PYRROLIZIDINE", "DENATURED_SPIRIT");
        assertThat(MakingGate.check(List.of(comfrey), Route.EXTERNAL, DAY)).isEmpty();
        assertThat(MakingGate.check(List.of(comfrey), Route.EXTERNAL, DAY.plusDays(2)))
                .extracting(Finding::code)
                .containsExactly("EXPIRED");
        assertThat(MakingGate.routeOf(List.of(comfrey))).isEqualTo(Route.EXTERNAL);
    }

    @Test
    public void fillAndCoverGivesRangesThatHoldEveryCorner() {
        var f = FillAndCover.plan(new FillAndCover.Recipe(
                        500, 0.8, Interval.of(0.1, 0.2), Strength.ofPercent(50), Moisture.of(0.7, 0.8)))
                .plan();
        assertThat(f.herbG()).isEqualTo(Interval.of(40, 80));
        // 475 - 40 (0.7/0.998 + 0.3/1.5) and 475 - 80 (0.8/0.998 + 0.2/1.5).
        assertThat(f.menstruumMl().high()).isCloseTo(475 - 40 * (0.7 / 0.998 + 0.2), within(1e-9));
        assertThat(f.menstruumMl().low()).isCloseTo(475 - 80 * (0.8 / 0.998 + 0.2 / 1.5), within(1e-9));
        assertThat(f.ratio().low()).isCloseTo(f.menstruumMl().low() / 80, within(1e-9));
        assertThat(f.finalFraction().high()).isLessThan(0.5);
    }

    @Test
    public void percolationScalesTheDripToTheBatch() {
        var p = Percolation.plan(new Percolation.Recipe(200, 5, Strength.ofPercent(60), 40));
        assertThat(p.menstruumMl()).isEqualTo(Interval.of(1400, 1600));
        assertThat(p.moistenMl()).isEqualTo(Interval.of(100, 200));
        assertThat(p.firstFractionMl()).isEqualTo(750);
        // 1-3 mL a minute per 1000 g: 0.2-0.6 mL for 200 g, 8-24 drops of 1/40 mL.
        assertThat(p.dropsPerMinute().low()).isCloseTo(8, within(1e-9));
        assertThat(p.dropsPerMinute().high()).isCloseTo(24, within(1e-9));
        assertThat(p.hours().low()).isCloseTo(1 + 12 + 750 / 0.6 / 60, within(1e-9));
    }

    @Test
    public void joiningAndMixingConserveTheSpirit() {
        var joined = TwoExtractions.joinTo(300, Strength.ofPercent(60), Strength.ofPercent(30));
        var back = TwoExtractions.join(300, Strength.ofPercent(60), joined.decoctionMl());
        assertThat(back.strength().percent()).isCloseTo(30, within(1e-9));
        var formula = Formula.mix(
                List.of(
                        Formula.Part.of("a", 50, Strength.ofPercent(60), Interval.exactly(0.2)),
                        Formula.Part.of("b", 50, Strength.ofPercent(25), null)),
                null);
        assertThat(formula.volumeMl()).isLessThan(100);
        assertThat(formula.herbs().get(0).gPerMl().mid()).isCloseTo(10 / formula.volumeMl(), within(1e-9));
        assertThat(formula.herbs().get(1).gPerMl()).isNull();
        assertThat(formula.findings()).extracting(Finding::code).contains("MAY_PRECIPITATE");
    }

    @Test
    public void reductionForecastsFromItsReadings() {
        var readings =
                List.of(new Reduction.Reading(0, 1000), new Reduction.Reading(10, 940), new Reduction.Reading(20, 900));
        var left = Reduction.reckon(readings, 500).left();
        assertThat(left.likely()).isCloseTo(80, within(1e-9));
        assertThat(left.low()).isCloseTo(400.0 / 6, within(1e-9));
        assertThat(left.high()).isCloseTo(100, within(1e-9));
        var rising = Reduction.reckon(List.of(new Reduction.Reading(0, 900), new Reduction.Reading(5, 950)), 500);
        assertThat(rising.left()).isNull();
        assertThat(rising.findings()).extracting(Finding::code).containsExactly("NOT_REDUCING");
    }
}
