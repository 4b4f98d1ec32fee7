package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.shelf.Keeping;
import org.testng.annotations.Test;

/** Tea, oil, salve, keeping and the gates of the bench. */
public class BenchTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    @Test
    public void aDecoctionPoursForWhatTheHerbKeepsAndWhatBoilsOff() {
        var plan = Tea.plan(new Tea.Request(
                        500,
                        null,
                        List.of(
                                new Tea.Herb("valerian", "ROOT", null, 10.0, null, null, 20.0),
                                new Tea.Herb("lime", "FLOWER", null, 4.0, 0.1, null, 10.0)),
                        "water",
                        5.0))
                .plan();
        assertThat(plan.waterMl()).isCloseTo(500 + 14 * 2.5 + 20 * 5, within(1e-9));
        assertThat(plan.timeline()).extracting(Tea.Step::herb).containsExactly("valerian", "lime", "");
        assertThat(plan.timeline()).extracting(Tea.Step::minute).containsExactly(0.0, 10.0, 20.0);
        assertThat(plan.herbs().get(1).teaspoons()).isCloseTo(8, within(1e-9));
    }

    @Test
    public void aSlippedDecimalIsCaught() {
        var herb = new Tea.Herb("lime", "FLOWER", null, 200.0, null, null, null);
        var result = Tea.plan(new Tea.Request(250, null, List.of(herb), "water", null));
        assertThat(result.findings()).extracting(Finding::code).contains("STRENGTH_IMPLAUSIBLE");
    }

    @Test
    public void aTeaHerbOfUnknownFormIsRefusedRatherThanGuessed() {
        assertThatThrownBy(() -> new Tea.Herb("x", "BLOB", null, 1.0, null, null, null))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("form");
    }

    private static InfusedOil.Result oil(double moisture, boolean eaten) {
        return InfusedOil.plan(new InfusedOil.Request(
                List.of(new InfusedOil.Herb("marigold", 100, Moisture.of(moisture - 0.01, moisture))),
                7,
                "olive oil",
                18,
                InfusedOil.Method.COLD,
                eaten));
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
        var plan = Salve.plan(new Salve.Request(
                        List.of(new Salve.Tin(30, 10)), Salve.Firmness.MEDIUM, "beeswax", 20, 0.05, null))
                .plan();
        assertThat(plan.totalG()).isCloseTo(300 * 0.93 * 1.05, within(1e-9));
        assertThat(plan.waxG()).isCloseTo(plan.totalG() * 0.14, within(1e-9));
        assertThat(plan.waxG() + plan.oilG()).isCloseTo(plan.totalG(), within(1e-9));
        var candelilla = Salve.plan(
                new Salve.Request(List.of(new Salve.Tin(30, 10)), Salve.Firmness.MEDIUM, "Candelilla", 20, 0.05, null));
        assertThat(candelilla.plan().waxFraction()).isCloseTo(0.07, within(1e-9));
    }

    @Test
    public void keepingCountsCalendarMonthsAndTheEarliestLimit() {
        var salve = Keeping.reckon(new Keeping.Request(
                Keeping.Form.SALVE,
                LocalDate.of(2026, 1, 31),
                null,
                null,
                List.of(new Keeping.Input("oil", LocalDate.of(2026, 5, 1)))));
        assertThat(salve.bestBefore()).isEqualTo(LocalDate.of(2026, 5, 1));
        var leaf = Keeping.reckon(new Keeping.Request(
                Keeping.Form.LEAF,
                LocalDate.of(2024, 2, 29),
                null,
                null,
                List.of(new Keeping.Input("spirit", LocalDate.of(2024, 3, 1)))));
        assertThat(leaf.bestBefore()).isEqualTo(LocalDate.of(2025, 2, 28));
        var opened =
                Keeping.reckon(new Keeping.Request(Keeping.Form.TINCTURE, DAY, DAY.plusMonths(2), null, List.of()));
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
}
