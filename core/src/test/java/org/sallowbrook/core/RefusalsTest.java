package org.sallowbrook.core;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.function.DoubleConsumer;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.pattern.Daily;
import org.sallowbrook.core.dosing.pattern.EveryHours;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.Henderson;
import org.sallowbrook.core.drying.Weighing;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tea.MethodChoice;
import org.sallowbrook.core.making.tea.Reduction;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.Keeping;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every number that comes in at a door is refused when it is no number, infinite or negative. */
public class RefusalsTest {

    private static final Wax BEESWAX = new Wax("beeswax", 1, 0.005, "");

    private static final Strength S40 = Strength.ofPercent(40);
    private static final Moisture DRY = Moisture.of(0.08, 0.12);

    private static Object[] door(String name, DoubleConsumer door) {
        return new Object[] {name, door};
    }

    @DataProvider
    public Object[][] doors() {
        var measured = Dose.Measured.plain(Interval.exactly(0.2), S40);
        var adult = new Dose.Taker(40, 70.0, 170.0);
        return new Object[][] {
            door("strength", Strength::ofPercent),
            door("strength fraction", Strength::new),
            door("moisture", Moisture::exactly),
            door("pour", v -> new Pour(v, S40)),
            door("density p", v -> EthanolWater.density(v, 20)),
            door("reading", v -> EthanolWater.fromReading(v, 20)),
            door("reading temperature", v -> EthanolWater.fromReading(40, v)),
            door("dilute", v -> Spirits.diluteTo(S40, Strength.ofPercent(20), v)),
            door("dilute spirit", v -> Spirits.diluteSpirit(S40, Strength.ofPercent(20), v)),
            door("bottle", v -> new Blend.Bottle("b", S40, v, true)),
            door("blend", v -> Blend.blend(S40, v, List.of())),
            door("herb mass", v -> new Tincture.Herb("h", "HERB", v, Tincture.State.DRIED, DRY, null)),
            door("herb bulk", v -> new Tincture.Herb("h", "HERB", 1, Tincture.State.DRIED, DRY, v)),
            door("jar", v -> new FillAndCover.Recipe(v, 0.5, Interval.of(0.1, 0.2), S40, DRY)),
            door("fill", v -> new FillAndCover.Recipe(500, v, Interval.of(0.1, 0.2), S40, DRY)),
            door("percolated", v -> new Percolation.Recipe(v, 5, S40, 20)),
            door("percolation ratio", v -> new Percolation.Recipe(100, v, S40, 20)),
            door("drops", v -> new Percolation.Recipe(100, 5, S40, v)),
            door("joined", v -> TwoExtractions.join(v, S40, 100)),
            door("decoction", v -> TwoExtractions.join(100, S40, v)),
            door("formula part", v -> Formula.Part.of("a", v, S40, null)),
            door("weighing hours", v -> new Weighing(v, 100)),
            door("weighing mass", v -> new Weighing(1, v)),
            door("air", v -> new Drying.Air(v, 0.5)),
            door("humidity", v -> new Drying.Air(20, v)),
            door("equilibrium", v -> Henderson.equilibriumMoisture(20, v)),
            door("fresh", v -> new Drying.Request(v, Moisture.exactly(0.7), 0.1, List.of(), null, List.of())),
            door("target", v -> new Drying.Request(100, Moisture.exactly(0.7), v, List.of(), null, List.of())),
            door("tea herb", v -> Tea.Herb.weighed("t", "LEAF", v)),
            door(
                    "tea minutes",
                    v -> new Tea.Herb("t", "LEAF", MethodChoice.Cut.CUT, Set.of(), null, 1.0, null, null, v)),
            door("tea measure", v -> Tea.Measure.of(v, Tea.Unit.TEASPOON)),
            door(
                    "tea wanted",
                    v -> Tea.Recipe.drink(v, null, List.of(Tea.Herb.weighed("t", "LEAF", 1)), "water", null)),
            door("boil-off", v -> Tea.Recipe.drink(100, null, List.of(Tea.Herb.weighed("t", "LEAF", 1)), "water", v)),
            door("reduction reading", v -> new Reduction.Reading(0, v)),
            door("reduction minute", v -> new Reduction.Reading(v, 100)),
            door("oil herb", v -> new HerbPortion("h", v, DRY)),
            door(
                    "oil ratio",
                    v -> new InfusedOil.Recipe(
                            List.of(new HerbPortion("h", 1, DRY)), v, "oil", null, InfusedOil.Method.COLD, false, 0)),
            door("tin", v -> new Salve.Tin(v, 1)),
            door("waste", v -> Salve.Recipe.plain(List.of(new Salve.Tin(30, 1)), Salve.Firmness.SOFT, BEESWAX, 20, v)),
            door(
                    "salve density",
                    v -> new Salve.Recipe(
                            List.of(new Salve.Tin(30, 1)),
                            Salve.Firmness.SOFT,
                            BEESWAX,
                            20,
                            0.05,
                            v,
                            0,
                            0,
                            0,
                            18,
                            List.of())),
            door("headspace", v -> new Keeping.Storage(Keeping.Light.DARK, 15, v)),
            door("dose", v -> new Dose.Request(measured, v, Dose.Unit.ML, 1, null, adult)),
            door("drops per mL", v -> new Dose.Measured(Interval.exactly(0.2), S40, v, null, null, null, null)),
            door("age", v -> new Dose.Taker(v, null, null)),
            door("weight", v -> new Dose.Taker(40, v, null)),
            door("person's weight", v -> new Person("p", 40, v, null, null, false, Set.of(), Set.of(), Set.of(), null)),
            door(
                    "course dose",
                    v -> new Course.Request(
                            LocalDate.of(2026, 1, 1), Amount.of(v, Unit.ML), 1, new Daily(), null, null, 5)),
            door(
                    "ramp",
                    v -> new Course.Request(
                            LocalDate.of(2026, 1, 1),
                            Amount.of(1, Unit.ML),
                            1,
                            new Daily(),
                            new Course.Slope(v, 2),
                            null,
                            5)),
            door("every hours", v -> new EveryHours(v, null)),
            door(
                    "intake",
                    v -> new DosingGate.Intake(
                            DosingGate.Way.MOUTH, null, v, 1, 1, List.of(), true, false, null, 0, null, null)),
        };
    }

    @Test(dataProvider = "doors")
    public void noDoorLetsNonsenseIn(String name, DoubleConsumer door) {
        for (double nonsense : new double[] {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, -1}) {
            assertThatThrownBy(() -> door.accept(nonsense))
                    .as(name + " " + nonsense)
                    .isInstanceOf(InvalidInput.class);
        }
    }

    @Test
    public void anIntervalKeepsItsOrder() {
        assertThatThrownBy(() -> Interval.of(2, 1)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Interval.of(Double.NaN, 1)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Moisture.of(0.5, 0.4)).isInstanceOf(InvalidInput.class);
    }
}
