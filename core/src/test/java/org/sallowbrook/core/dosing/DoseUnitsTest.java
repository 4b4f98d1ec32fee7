package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DoseUnits.Given;
import org.sallowbrook.core.dosing.DoseUnits.Kit;
import org.sallowbrook.core.dosing.DoseUnits.Offered;
import org.sallowbrook.core.dosing.DosingGate.Way;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.LotForm;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class DoseUnitsTest {

    private static List<Offered> offered(LotForm form, Way way, double strength, Kit kit) {
        return DoseUnits.of(new Given(form, way, strength, 400, Set.of(Taxon.Part.LEAF)), kit);
    }

    private static List<Dose.Unit> units(LotForm form, Way way) {
        return offered(form, way, 0, Kit.UNMEASURED).stream().map(Offered::unit).toList();
    }

    private static Offered in(Dose.Unit unit, double strength, Kit kit) {
        return offered(LotForm.TINCTURE, Way.MOUTH, strength, kit).stream()
                .filter(o -> o.unit() == unit)
                .findFirst()
                .orElseThrow();
    }

    /** An uncounted dropper gives 20 to 55 drops to the mL: a dose in drops is reckoned at the largest. */
    @Test
    public void aDropNobodyCountedIsTheLargest() {
        Offered drop = in(Dose.Unit.DROP, 0.45, Kit.UNMEASURED);
        assertThat(drop.each()).isCloseTo(0.05, within(1e-12));
        assertThat(drop.words()).contains("nobody counted");
        assertThat(DoseUnits.words(2, drop)).isEqualTo("40 drops");
        Offered counted = in(Dose.Unit.DROP, 0.45, new Kit(null, null, null, 0.025, null));
        assertThat(DoseUnits.words(2, counted)).isEqualTo("80 drops");
    }

    @Test
    public void spoonsAndCupsAreTheHouseholdsOwnWhereMeasured() {
        assertThat(in(Dose.Unit.TEASPOON, 0, Kit.UNMEASURED).each()).isEqualTo(5);
        assertThat(in(Dose.Unit.CUP, 0, new Kit(null, null, 180.0, null, null)).each())
                .isEqualTo(180);
        assertThat(DoseUnits.words(250, in(Dose.Unit.CUP, 0, Kit.UNMEASURED))).isEqualTo("1 cup");
    }

    @Test
    public void nothingStrongIsOfferedByTheCupAndNoSquirtThatWasNeverMeasured() {
        List<Dose.Unit> tincture = offered(LotForm.TINCTURE, Way.MOUTH, 0.45, Kit.UNMEASURED).stream()
                .map(Offered::unit)
                .toList();
        assertThat(tincture).doesNotContain(Dose.Unit.CUP, Dose.Unit.SQUIRT).contains(Dose.Unit.DROP);
    }

    @DataProvider
    public Object[][] counted() {
        Dose.Unit ml = Dose.Unit.ML;
        return new Object[][] {
            {LotForm.SALVE, Way.SKIN, List.of(Dose.Unit.G, Dose.Unit.FINGERTIP, Dose.Unit.PEA), Dose.Unit.FINGERTIP},
            {
                LotForm.POWDER,
                Way.MOUTH,
                List.of(Dose.Unit.G, Dose.Unit.TEASPOON, Dose.Unit.HEAPED_TEASPOON),
                Dose.Unit.TEASPOON
            },
            {LotForm.POWDER, Way.SKIN, List.of(Dose.Unit.G, Dose.Unit.BATCH), Dose.Unit.BATCH},
            {
                LotForm.TEA_MIXTURE,
                Way.MOUTH,
                List.of(Dose.Unit.G, Dose.Unit.CUP, Dose.Unit.TEASPOON, Dose.Unit.HEAPED_TEASPOON),
                Dose.Unit.CUP
            },
            {
                LotForm.HERB,
                Way.MOUTH,
                List.of(Dose.Unit.G, Dose.Unit.CUP, Dose.Unit.TEASPOON, Dose.Unit.HEAPED_TEASPOON),
                Dose.Unit.CUP
            },
            {LotForm.HERB, Way.SKIN, List.of(Dose.Unit.G), Dose.Unit.G},
            {LotForm.TEA, Way.MOUTH, List.of(ml, Dose.Unit.TEASPOON, Dose.Unit.TABLESPOON, Dose.Unit.CUP), Dose.Unit.CUP
            },
            {LotForm.HERBAL_HONEY, Way.MOUTH, List.of(ml, Dose.Unit.TEASPOON, Dose.Unit.TABLESPOON), Dose.Unit.TEASPOON
            },
            {LotForm.SYRUP, Way.MOUTH, List.of(ml, Dose.Unit.TEASPOON, Dose.Unit.TABLESPOON), Dose.Unit.TEASPOON},
            {LotForm.WASH, Way.SKIN, List.of(Dose.Unit.BATCH, ml, Dose.Unit.CUP), Dose.Unit.BATCH},
            {LotForm.POULTICE, Way.SKIN, List.of(Dose.Unit.BATCH, Dose.Unit.G), Dose.Unit.BATCH},
            {LotForm.SALTED_HERB, Way.MOUTH, List.of(Dose.Unit.G), Dose.Unit.G},
        };
    }

    /** By what it is and how it is taken: no powder by the fingertip, no salve by the spoon. */
    @Test(dataProvider = "counted")
    public void whatItIsCountedOutInFollowsFormAndWay(LotForm form, Way way, List<Dose.Unit> units, Dose.Unit usual) {
        assertThat(units(form, way)).isEqualTo(units);
        assertThat(DoseUnits.usual(form, way, 200)).isEqualTo(usual);
    }

    /** Every form, so that a new one is not offered in what it can't be counted in: its own unit and its usual one are in it. */
    @Test
    public void everyFormIsOfferedInItsOwnUnitAndItsUsualOne() {
        for (LotForm form : LotForm.values()) {
            for (Way way : new Way[] {Way.MOUTH, Way.SKIN}) {
                assertThat(units(form, way))
                        .as(form + " " + way)
                        .contains(DoseUnits.usual(form, way, 200))
                        .contains(form.unit() == Unit.G ? Dose.Unit.G : Dose.Unit.ML)
                        .doesNotContain(form.unit() == Unit.G ? Dose.Unit.ML : Dose.Unit.G);
            }
        }
    }

    @Test
    public void aSpoonOfWhatNobodyWeighedIsTheHeaviest() {
        Offered powder = offered(LotForm.POWDER, Way.MOUTH, 0, Kit.UNMEASURED).get(1);
        assertThat(powder.each()).isCloseTo(3, within(1e-12));
        assertThat(powder.words()).contains("stirred in water").contains("3 g");
        assertThat(DoseUnits.countable(2, powder, null)).isCloseTo(1.5, within(1e-12));
        assertThat(DoseUnits.words(1.5, powder)).isEqualTo("0.5 teaspoons");
        assertThat(DoseUnits.start(powder)).isCloseTo(1.5, within(1e-12));
        assertThat(DoseUnits.start(
                        offered(LotForm.POWDER, Way.MOUTH, 0, Kit.UNMEASURED).get(0)))
                .isEqualTo(2);
        Kit small = new Kit(4.0, null, null, null, null);
        assertThat(offered(LotForm.POWDER, Way.MOUTH, 0, small).get(1).each()).isCloseTo(2.4, within(1e-12));
        // Leaf lies lighter than root: a fifth of a gram to the mL against a half.
        assertThat(offered(LotForm.TEA_MIXTURE, Way.MOUTH, 0, Kit.UNMEASURED)
                        .get(2)
                        .each())
                .isCloseTo(1, within(1e-12));
        Given roots = new Given(LotForm.TEA_MIXTURE, Way.MOUTH, 0, 100, Set.of(Taxon.Part.LEAF, Taxon.Part.ROOT));
        assertThat(DoseUnits.of(roots, Kit.UNMEASURED).get(3).each()).isCloseTo(2.5 * 2.5, within(1e-12));
    }

    /** A cup of what was said to go to one; else of a heaped teaspoon, at its heaviest; the spoon as it was weighed. */
    @Test
    public void aTeaMadeAsItIsDrunkIsCountedInCups() {
        Set<Taxon.Part> leaf = Set.of(Taxon.Part.LEAF);
        Offered cup = DoseUnits.of(
                        new Given(LotForm.HERB, Way.MOUTH, 0, 60, leaf, new DoseUnits.Cup(1.5, 200, ""), null, null),
                        Kit.UNMEASURED)
                .get(1);
        assertThat(cup.unit()).isEqualTo(Dose.Unit.CUP);
        assertThat(cup.words()).isEqualTo("made fresh with 1.5 g to a cup of 200 mL");
        assertThat(DoseUnits.words(3, cup)).isEqualTo("2 cups");
        assertThat(DoseUnits.countable(1.9, cup, null)).isCloseTo(1.875, within(1e-12));
        List<Offered> unknown =
                DoseUnits.of(new Given(LotForm.HERB, Way.MOUTH, 0, 60, leaf, null, 0.7, null), Kit.UNMEASURED);
        assertThat(unknown.get(1).each()).isCloseTo(0.7 * 2.5, within(1e-12));
        assertThat(unknown.get(2).each()).isEqualTo(0.7);
        assertThat(unknown.get(2).words()).contains("one of it was weighed here");
    }

    private static final String HOW = "steeped under a lid for 10 minutes";

    private static Product tea(Taxon.@Nullable TeaAdvice advice) {
        Taxon taxon = Cards.card("herb")
                .tea(advice)
                .part(0.5, 0.5, Set.of(Taxon.Route.INTERNAL))
                .build();
        return new Product(
                "a jar",
                Taxon.Route.INTERNAL,
                List.of(new Product.Herb(taxon, Taxon.Part.HERB, 1)),
                Interval.exactly(1),
                Strength.NONE,
                LocalDate.of(2027, 7, 1),
                Product.State.USABLE,
                Set.of());
    }

    /** The card's two grams to 150 mL, in whatever cup the household drinks from, until somebody says otherwise. */
    @Test
    public void aCupIsMadeAsTheCardMakesOne() {
        Product tea = tea(new Taxon.TeaAdvice("INFUSION", 10, 2, 150, Cards.SOURCE));
        Kit large = new Kit(null, null, 300.0, null, null);
        assertThat(DoseUnits.cup(tea, Kit.UNMEASURED, null, 9.0)).isEqualTo(new DoseUnits.Cup(2, 150, HOW));
        assertThat(DoseUnits.cup(tea, large, null, 9.0)).isEqualTo(new DoseUnits.Cup(4, 300, HOW));
        assertThat(DoseUnits.cup(tea, large, 1.0, 9.0)).isEqualTo(new DoseUnits.Cup(1, 300, HOW));
        Product cold = tea(new Taxon.TeaAdvice("COLD_MACERATION", 120, 3, 150, Cards.SOURCE));
        Given jar = new Given(
                LotForm.HERB,
                Way.MOUTH,
                0,
                60,
                Set.of(Taxon.Part.HERB),
                DoseUnits.cup(cold, Kit.UNMEASURED, null, null),
                null,
                null);
        assertThat(DoseUnits.of(jar, Kit.UNMEASURED).get(1).words())
                .isEqualTo("made fresh with 3 g to a cup of 150 mL, left in cold water for 2 hours");
        Product unknown = tea(null);
        assertThat(DoseUnits.cup(unknown, large, null, 9.0)).isEqualTo(new DoseUnits.Cup(9, 300, ""));
        assertThat(DoseUnits.cup(unknown, Kit.UNMEASURED, null, null)).isNull();
        // As much as nobody brews in one cup is no cup.
        assertThat(DoseUnits.cup(unknown, large, null, 60.0)).isNull();
        for (double nonsense : new double[] {0, -1, 50.1, Double.NaN}) {
            assertThatThrownBy(() -> DoseUnits.cup(tea, large, nonsense, null))
                    .isInstanceOf(InvalidInput.class)
                    .hasMessageContaining("perCup");
        }
    }

    @Test
    public void cubesAreTakenByNumber() {
        Set<Taxon.Part> leaf = Set.of(Taxon.Part.LEAF);
        Given cubes = new Given(LotForm.ICE_CUBES, Way.MOUTH, 0, 400, leaf, null, null, 20.0);
        Offered cube = DoseUnits.of(cubes, Kit.UNMEASURED).get(1);
        assertThat(DoseUnits.usual(cubes, 60)).isEqualTo(Dose.Unit.PIECE);
        assertThat(DoseUnits.countable(59, cube, null)).isEqualTo(40);
        assertThat(DoseUnits.words(40, cube)).isEqualTo("2 pieces");
        assertThat(DoseUnits.words(20, cube)).isEqualTo("1 piece");
        assertThat(units(LotForm.ICE_CUBES, Way.MOUTH)).containsExactly(Dose.Unit.ML);
    }

    @Test
    public void aPowderIsReckonedInGrams() {
        var powder = Dose.Measured.ofGrams(Interval.exactly(1));
        var result = Dose.reckon(
                new Dose.Request(powder, 1.5, Dose.Unit.G, 2, Interval.of(2, 4), new Dose.Taker(40, 70.0, null)));
        assertThat(result.driedGPerDay().mid()).isCloseTo(3, within(1e-12));
        assertThat(result.withinCard()).isEqualTo(Dose.WithinCard.WITHIN);
        assertThat(result.because()).noneMatch(line -> line.contains("mL")).anyMatch(line -> line.contains("g/g"));
        assertThatThrownBy(
                        () -> new Dose.Request(powder, 1, Dose.Unit.TEASPOON, 2, null, new Dose.Taker(40, 70.0, null)))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Dose.Request(
                        Dose.Measured.plain(Interval.exactly(0.2), org.sallowbrook.core.measure.Strength.NONE),
                        1,
                        Dose.Unit.BATCH,
                        2,
                        null,
                        new Dose.Taker(40, 70.0, null)))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void whatIsProposedCanBeCountedOutAndIsNeverMore() {
        Offered cup = in(Dose.Unit.CUP, 0, Kit.UNMEASURED);
        assertThat(DoseUnits.countable(222, cup, null)).isEqualTo(187.5);
        assertThat(DoseUnits.countable(250, cup, null)).isEqualTo(250);
        assertThat(DoseUnits.countable(40, cup, null)).isEqualTo(40);
        // Up to the next quarter only where a quarter less is under the card's range and a quarter more within it.
        assertThat(DoseUnits.countable(222, cup, Interval.of(222, 300))).isEqualTo(250);
        assertThat(DoseUnits.countable(222, cup, Interval.of(222, 249))).isEqualTo(187.5);
        assertThat(DoseUnits.countable(222, cup, Interval.of(150, 300))).isEqualTo(187.5);
        assertThat(DoseUnits.countable(2.03, in(Dose.Unit.DROP, 0.4, Kit.UNMEASURED), null))
                .isCloseTo(2, within(1e-9));
    }

    @Test
    public void herbsAreNotMeasuredInDrops() {
        assertThatThrownBy(() -> HouseMeasure.DROP.grams(3, List.of(), List.of(), Interval.of(0.1, 0.2)))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> offered(LotForm.TINCTURE, Way.MOUTH, Double.NaN, Kit.UNMEASURED))
                .isInstanceOf(InvalidInput.class);
    }
}
