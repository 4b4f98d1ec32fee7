package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.making.tincture.OtherMenstruum;
import org.sallowbrook.core.making.tincture.OtherMenstruum.Kind;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Where one rule of spirit and tincture ends and the next begins, with the figures told to the user. */
public class TinctureEdgesTest {

    private static Tincture.Herb herb(double g, Tincture.State state, double w, Double bulk) {
        return new Tincture.Herb("thyme", "HERB", g, state, Moisture.exactly(w), bulk);
    }

    private static Tincture.Result plan(
            Tincture.Herb herb,
            double ratio,
            boolean counts,
            Tincture.Basis basis,
            double percent,
            Double jarMl,
            Retention pressed,
            Blend.Bottle... shelf) {
        return Tincture.plan(new Tincture.Recipe(
                List.of(herb), ratio, counts, basis, Strength.ofPercent(percent), List.of(shelf), jarMl, pressed));
    }

    private static List<String> codes(List<Finding> findings) {
        return findings.stream().map(Finding::code).toList();
    }

    private static String message(List<Finding> findings, String code) {
        return findings.stream()
                .filter(f -> f.code().equals(code))
                .map(Finding::message)
                .findFirst()
                .orElse("no " + code);
    }

    @Test
    public void aJarHoldsHerbAndMenstruumAndItsHeadspace() {
        // 100 g at 10 %: 10 / 0.998 + 90 / 1.5 = 70.020 mL, with 500 mL of menstruum 570.020 mL.
        var dry = herb(100, Tincture.State.DRIED, 0.10, 0.5);
        var fits = plan(dry, 5, false, Tincture.Basis.MENSTRUUM, 45, 601.0, Retention.PRESSED);
        assertThat(fits.plan().jar().herbMl()).isCloseTo(70.020, within(0.001));
        assertThat(fits.plan().jar().liquidLevelMl()).isCloseTo(570.020, within(0.001));
        assertThat(fits.plan().jar().bedMl()).isEqualTo(200);
        assertThat(fits.plan().jar().fits()).isTrue();
        assertThat(codes(fits.findings())).doesNotContain("JAR_TOO_SMALL", "HERB_NOT_COVERED");
        var small = plan(dry, 5, false, Tincture.Basis.MENSTRUUM, 45, 600.0, Retention.PRESSED);
        assertThat(small.plan().jar().fits()).isFalse();
        assertThat(message(small.findings(), "JAR_TOO_SMALL"))
                .contains("570 mL")
                .contains("600 mL");
    }

    @Test
    public void looseHerbMustBeCoveredByOneCentimetre() {
        // A litre jar 1.6 times as tall as wide is 9.267 cm wide: 1 cm is 67.45 mL.
        double level = 500 + 100 * (0.1 / 0.998 + 0.9 / 1.5);
        double bed = level - 67.45;
        var just = herb(100, Tincture.State.DRIED, 0.10, 100 / (bed - 0.1));
        var notQuite = herb(100, Tincture.State.DRIED, 0.10, 100 / (bed + 0.1));
        assertThat(codes(plan(just, 5, false, Tincture.Basis.MENSTRUUM, 45, 1000.0, Retention.PRESSED)
                        .findings()))
                .doesNotContain("HERB_NOT_COVERED");
        assertThat(codes(plan(notQuite, 5, false, Tincture.Basis.MENSTRUUM, 45, 1000.0, Retention.PRESSED)
                        .findings()))
                .contains("HERB_NOT_COVERED");
    }

    @DataProvider
    public Object[][] keeps() {
        return new Object[][] {
            {19.999, "TINCTURE_TOO_WEAK"}, {20.001, "TINCTURE_WEAK"}, {24.999, "TINCTURE_WEAK"}, {25.001, ""}
        };
    }

    @Test(dataProvider = "keeps")
    public void twentyAndTwentyFivePerCentBelongToTheBetterSide(double percent, String code) {
        var joined = TwoExtractions.join(100, Strength.ofPercent(percent), 0);
        assertThat(codes(joined.findings()).stream()
                        .filter(c -> c.startsWith("TINCTURE"))
                        .toList())
                .isEqualTo(code.isEmpty() ? List.of() : List.of(code));
        assertThat(codes(TwoExtractions.join(100, Strength.ofPercent(40), 0).findings()))
                .doesNotContain("SUGARS_DROP_OUT");
        assertThat(codes(TwoExtractions.join(100, Strength.ofPercent(40.1), 0).findings()))
                .contains("SUGARS_DROP_OUT");
    }

    /** Each way out is followed and gives the strength that was wanted. */
    @Test
    public void theWaysOutWorkWhenTheyAreFollowed() {
        Blend.Bottle spirit = new Blend.Bottle("s", Strength.ofPercent(60), 5000, true);
        var refused = plan(
                herb(200, Tincture.State.FRESH, 0.80, null),
                2,
                false,
                Tincture.Basis.FINAL,
                45,
                null,
                Retention.PRESSED,
                spirit);
        // 160 g of water may join w mL of 60 %: solved from masses, by hand with the density formula.
        String ratio = message(refused.findings(), "WAY_OUT_RATIO");
        double r = Double.parseDouble(ratio.replaceAll("At 1:([\\d.]+) .*", "$1"));
        assertThat(finalAt(200 * r, 60, 160)).isBetween(0.45, 0.4515);
        String wilt = message(refused.findings(), "WAY_OUT_WILT");
        double grams = Double.parseDouble(wilt.replaceAll(".*down to ([\\d.]+) g.*", "$1"));
        assertThat(finalAt(400, 60, grams - 40)).isCloseTo(0.45, within(0.002));
        double moisture = Double.parseDouble(wilt.replaceAll("Wilted to a moisture of ([\\d.]+) %.*", "$1"));
        assertThat(moisture / 100).isCloseTo((grams - 40) / grams, within(0.002));
        String dry = message(refused.findings(), "WAY_OUT_DRY");
        assertThat(dry).contains("44.4 g");
        double q = Double.parseDouble(dry.replaceAll(".*menstruum of ([\\d.]+) %.*", "$1"));
        assertThat(finalAt(400, q, 4.444)).isCloseTo(0.45, within(0.001));
    }

    private static double finalAt(double ml, double percent, double waterG) {
        return Spirits.mix(List.of(new Pour(ml, Strength.ofPercent(percent)), Pour.ofGrams(waterG, Strength.NONE)))
                .strength()
                .fraction();
    }

    @Test
    public void whereThePlantsWaterCountsTheRatioOfTheWayOutCountsItToo() {
        Blend.Bottle spirit = new Blend.Bottle("s", Strength.ofPercent(60), 5000, true);
        var refused = plan(
                herb(200, Tincture.State.FRESH, 0.80, null),
                2,
                true,
                Tincture.Basis.FINAL,
                45,
                null,
                Retention.PRESSED,
                spirit);
        double r =
                Double.parseDouble(message(refused.findings(), "WAY_OUT_RATIO").replaceAll("At 1:([\\d.]+) .*", "$1"));
        assertThat(finalAt(200 * r - 160 / 0.9982, 60, 160)).isBetween(0.45, 0.4515);
    }

    @Test
    public void theStrongestSpiritThatJustReachesIsUsed() {
        double reachable = finalAt(400, 60, 160);
        Blend.Bottle spirit = new Blend.Bottle("s", Strength.ofPercent(60), 5000, true);
        var just = plan(
                herb(200, Tincture.State.FRESH, 0.80, null),
                2,
                false,
                Tincture.Basis.FINAL,
                reachable * 100,
                null,
                Retention.PRESSED,
                spirit);
        assertThat(just.feasible()).isTrue();
        assertThat(just.plan().menstruum().percent()).isCloseTo(60, within(1e-6));
        // An empty bottle of stronger spirit is no help; nothing says there is no way where spirit is weaker than
        // wanted.
        var empty = plan(
                herb(200, Tincture.State.FRESH, 0.80, null),
                2,
                false,
                Tincture.Basis.FINAL,
                65,
                null,
                Retention.PRESSED,
                spirit,
                new Blend.Bottle("gone", Strength.ofPercent(96), 0, true));
        assertThat(codes(empty.findings())).containsExactly("FINAL_STRENGTH_OUT_OF_REACH");
    }

    @Test
    public void whatTheMarcKeepsCanBeAll() {
        var dry = herb(100, Tincture.State.DRIED, 0.0, null);
        // 100 mL in, 0.8 to 1.5 mL per g kept.
        var all = plan(dry, 1, false, Tincture.Basis.MENSTRUUM, 45, null, Retention.PRESSED);
        assertThat(codes(all.findings())).contains("MARC_KEEPS_ALL");
        assertThat(message(all.findings(), "MARC_KEEPS_ALL")).contains("150 mL of 100 mL");
        var drained = plan(dry, 2.5, false, Tincture.Basis.MENSTRUUM, 45, null, Retention.PRESSED);
        assertThat(codes(drained.findings())).contains("DRAINING_MAY_GIVE_NOTHING");
        assertThat(drained.plan().drainedMl()).isEqualTo(Interval.of(0, 50));
        var fine = plan(dry, 3.01, false, Tincture.Basis.MENSTRUUM, 45, null, Retention.PRESSED);
        assertThat(codes(fine.findings())).doesNotContain("DRAINING_MAY_GIVE_NOTHING");
        var soaked = plan(
                herb(100, Tincture.State.FRESH, 0.9, null),
                0.9,
                true,
                Tincture.Basis.MENSTRUUM,
                45,
                null,
                Retention.PRESSED);
        assertThat(codes(soaked.findings())).containsExactly("NO_ROOM_FOR_SPIRIT");
    }

    @Test
    public void driedHerbThatIsNotDryIsAsked() {
        assertThat(codes(plan(
                                herb(100, Tincture.State.DRIED, 0.21, null),
                                5,
                                false,
                                Tincture.Basis.MENSTRUUM,
                                45,
                                null,
                                Retention.PRESSED)
                        .findings()))
                .contains("STATE_CONTRADICTS_MOISTURE");
        assertThat(codes(plan(
                                herb(100, Tincture.State.DRIED, 0.20, null),
                                5,
                                false,
                                Tincture.Basis.MENSTRUUM,
                                45,
                                null,
                                Retention.PRESSED)
                        .findings()))
                .doesNotContain("STATE_CONTRADICTS_MOISTURE");
        assertThat(codes(plan(
                                herb(100, Tincture.State.FRESH, 0.80, null),
                                5,
                                false,
                                Tincture.Basis.MENSTRUUM,
                                45,
                                null,
                                Retention.PRESSED)
                        .findings()))
                .doesNotContain("STATE_CONTRADICTS_MOISTURE");
    }

    @Test
    public void sharesAreByDryMatter() {
        var joint = Tincture.plan(new Tincture.Recipe(
                        List.of(
                                new Tincture.Herb(
                                        "wet", "HERB", 100, Tincture.State.FRESH, Moisture.of(0.7, 0.9), null),
                                new Tincture.Herb(
                                        "dry", "ROOT", 50, Tincture.State.DRIED, Moisture.of(0.05, 0.15), null)),
                        5,
                        false,
                        Tincture.Basis.MENSTRUUM,
                        Strength.ofPercent(60),
                        List.of(),
                        null,
                        Retention.PRESSED))
                .plan();
        assertThat(joint.shares().get(0).fraction()).isCloseTo(20 / 65.0, within(1e-9));
        assertThat(joint.shares().get(1).fraction()).isCloseTo(45 / 65.0, within(1e-9));
    }

    @Test
    public void theRecordGivesTheFiguresOfWhatWasReallyDone() {
        var o = new TinctureRecord(
                        List.of(herb(100, Tincture.State.DRIED, 0.10, null)),
                        List.of(new Pour(300, Strength.ofPercent(60)), new Pour(200, Strength.NONE)),
                        400)
                .follow();
        double liquid = o.liquidMl().mid();
        assertThat(liquid).isBetween(495.0, 510.0);
        assertThat(o.finalFraction().mid()).isBetween(0.35, 0.36);
        assertThat(o.herbEquivalentGPerMl().mid()).isCloseTo(100 / liquid, within(1e-9));
        assertThat(o.driedEquivalentGPerMl().mid()).isCloseTo(100 / liquid, within(1e-9));
        assertThat(o.retentionMlPerG().mid()).isCloseTo((liquid - 400) / 90, within(1e-9));
        assertThat(o.shares())
                .singleElement()
                .satisfies(s -> assertThat(s.fraction()).isEqualTo(1));
    }

    @DataProvider
    public Object[][] liquids() {
        // kind, figure: density g/mL, total of 800 mL and 50 g of water, final figure
        return new Object[][] {
            {Kind.VINEGAR, 0.06, 1.01, 850.090, 0.06 * 800 / 850.090},
            {Kind.GLYCERINE, 0.9, 0.9 * 1.261 + 0.1 * 0.9982, 850.090, 0.9 * 800 / 850.090},
            {Kind.HONEY, 0.17, 1.42, 850.090, (1136 * 0.17 + 50) / 1186}
        };
    }

    @Test(dataProvider = "liquids")
    public void otherLiquidsGiveTheirFigures(Kind kind, double figure, double density, double total, double end) {
        var p = OtherMenstruum.plan(
                        OtherMenstruum.Recipe.of(kind, List.of(herb(100, Tincture.State.FRESH, 0.5, null)), 8, figure))
                .plan();
        assertThat(p.liquidMl()).isEqualTo(800);
        assertThat(p.liquidG()).isCloseTo(800 * density, within(0.01));
        assertThat(p.totalMl().mid()).isCloseTo(total, within(0.001));
        assertThat(p.finalFigure().mid()).isCloseTo(end, within(1e-6));
        assertThat(p.pressedMl())
                .isEqualTo(Interval.of(p.totalMl().low() - 1.5 * 50, p.totalMl().high() - 0.8 * 50));
        assertThat(p.driedEquivalentGPerMl().mid()).isCloseTo(50 / 0.9 / total, within(1e-6));
    }

    @Test
    public void wineIsMixedAsSpirit() {
        var p = OtherMenstruum.plan(OtherMenstruum.Recipe.of(
                        Kind.WINE, List.of(herb(100, Tincture.State.FRESH, 0.5, null)), 8, 0.18))
                .plan();
        var m = Spirits.mix(List.of(new Pour(800, Strength.ofPercent(18)), Pour.ofGrams(50, Strength.NONE)));
        assertThat(p.totalMl().mid()).isCloseTo(m.volumeMl(), within(1e-9));
        assertThat(p.finalFigure().mid()).isCloseTo(m.strength().fraction(), within(1e-9));
        assertThat(p.liquidG()).isCloseTo(800 * EthanolWater.gramsPerMl(Strength.ofPercent(18)), within(1e-9));
        assertThat(p.keepsMonths()).isEqualTo(1);
        var soaked = OtherMenstruum.plan(
                OtherMenstruum.Recipe.of(Kind.VINEGAR, List.of(herb(100, Tincture.State.DRIED, 0, null)), 1.5, 0.05));
        assertThat(soaked.feasible()).isFalse();
        assertThat(codes(soaked.findings())).containsExactly("MARC_KEEPS_ALL");
    }

    @Test
    public void aFormulaTellsEachFigure() {
        Formula.Part a = new Formula.Part(
                "a",
                60,
                Strength.ofPercent(45),
                Interval.of(0.1, 0.2),
                Formula.Role.SUPPORT,
                Formula.Potency.STRONG,
                Set.of(Formula.Taste.BITTER),
                Set.of("BITTER"),
                null);
        Formula.Part b = new Formula.Part(
                "b",
                60,
                Strength.ofPercent(65),
                Interval.of(0.3, 0.4),
                null,
                null,
                Set.of(Formula.Taste.SWEET),
                Set.of("BITTER", "TANNIN"),
                0.1);
        var f = Formula.mix(List.of(a, b), 6.0);
        double v = f.volumeMl();
        assertThat(f.herbs().get(1).fraction()).isEqualTo(0.5);
        assertThat(f.herbs().get(1).gPerMl().low()).isCloseTo(18 / v, within(1e-9));
        assertThat(f.herbs().get(1).gPerDay().low()).isCloseTo(18 / v * 6, within(1e-9));
        assertThat(f.constituentGPerMl().get("BITTER").high()).isCloseTo((12 + 24) / v, within(1e-9));
        assertThat(f.constituentGPerMl().get("TANNIN").low()).isCloseTo(18 / v, within(1e-9));
        assertThat(f.cost()).isNull();
        // 20 % vol apart is not more than 20 %, half strong not more than half, a sweet part balances.
        // One part's cost is known and the other's is not: it is said, and no sum pretends to be the whole.
        assertThat(codes(f.findings())).containsExactly("NO_LEAD", "COST_INCOMPLETE");
        assertThat(codes(Formula.mix(List.of(a, Formula.Part.of("c", 59, Strength.ofPercent(66), null)), null)
                        .findings()))
                .contains("MAY_PRECIPITATE", "MOSTLY_STRONG", "BITTER_UNBALANCED");
        assertThat(Formula.mix(List.of(Formula.Part.of("c", 59, Strength.ofPercent(66), null)), 5.0)
                        .herbs()
                        .get(0)
                        .gPerDay())
                .isNull();
        assertThatThrownBy(() -> Formula.mix(List.of(), null)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Formula.mix(List.of(a), -1.0)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void fireBeginsAboveItsLimits() {
        assertThat(codes(Spirits.fireFindings(Strength.ofPercent(24)))).isEmpty();
        assertThat(codes(Spirits.fireFindings(Strength.ofPercent(24.1)))).containsExactly("FIRE");
        assertThat(codes(Spirits.fireFindings(Strength.ofPercent(70)))).containsExactly("FIRE");
        assertThat(codes(Spirits.fireFindings(Strength.ofPercent(70.1)))).containsExactly("FIRE_SEVERE");
    }

    @Test
    public void aDilutionToItsOwnStrengthTakesNoWater() {
        Strength q = Strength.ofPercent(43);
        var d = Spirits.diluteSpirit(q, q, 250);
        assertThat(d.waterMl()).isZero();
        assertThat(d.finalVolumeMl()).isCloseTo(250, within(1e-6));
        assertThatThrownBy(() -> Spirits.diluteSpirit(q, Strength.ofPercent(44), 250))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Spirits.diluteTo(q, Strength.NONE, 250)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Spirits.mix(List.of())).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void theShelfIsPouredOpenFirstThenFewestThenInOrder() {
        Blend.Bottle weakOpen = new Blend.Bottle("open 40", Strength.ofPercent(40), 100, true);
        Blend.Bottle closed = new Blend.Bottle("closed 96", Strength.ofPercent(96), 1000, false);
        Blend.Bottle closedToo = new Blend.Bottle("closed too", Strength.ofPercent(96), 1000, false);
        var r = Blend.blend(Strength.ofPercent(50), 300, List.of(closed, closedToo, weakOpen));
        assertThat(r.pours()).extracting(Blend.NamedPour::name).containsExactly("closed 96", "open 40", "water");
        assertThat(r.pours().get(1).volumeMl()).isCloseTo(100, within(1e-3));
        var exact = Blend.blend(Strength.ofPercent(96), 1000, List.of(closed));
        assertThat(exact.pours()).extracting(Blend.NamedPour::name).containsExactly("closed 96");
        var water = Blend.blend(Strength.NONE, 300, List.of(closed));
        assertThat(water.pours()).extracting(Blend.NamedPour::name).containsExactly("water");
        var weak = Blend.blend(Strength.ofPercent(97), 100, List.of(closed));
        assertThat(codes(weak.findings())).containsExactly("SPIRIT_TOO_WEAK");
        assertThat(weak.missingMl()).isCloseTo(100, within(1e-6));
        // 400 mL of 40 % and 100 mL of 96 % make 500 and a little of 50 %: weaker ones count while the surplus lasts.
        var both = Blend.blend(
                Strength.ofPercent(50),
                5000,
                List.of(
                        new Blend.Bottle("a", Strength.ofPercent(40), 100, true),
                        new Blend.Bottle("b", Strength.ofPercent(96), 100, true)));
        var all = Spirits.mix(List.of(new Pour(100, Strength.ofPercent(40)), new Pour(100, Strength.ofPercent(96))));
        double makeable = all.massG()
                * (100
                                * EthanolWater.gramsPerMl(Strength.ofPercent(40))
                                * EthanolWater.massFraction(Strength.ofPercent(40))
                        + 100
                                * EthanolWater.gramsPerMl(Strength.ofPercent(96))
                                * EthanolWater.massFraction(Strength.ofPercent(96)))
                / all.massG()
                / EthanolWater.massFraction(Strength.ofPercent(50))
                / EthanolWater.gramsPerMl(Strength.ofPercent(50));
        assertThat(both.missingMl()).isCloseTo(5000 - makeable, within(1e-6));
        assertThatThrownBy(() -> Blend.blend(Strength.ofPercent(40), 100, java.util.Collections.nCopies(17, closed)))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void doorsOfSpiritAndRecordAreShut() {
        assertThatThrownBy(() -> EthanolWater.fromReading(-0.1, 20)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> EthanolWater.fromReading(100.1, 20)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> EthanolWater.fromReading(40, -0.1)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> EthanolWater.fromReading(40, 40.1)).isInstanceOf(InvalidInput.class);
        assertThat(EthanolWater.fromReading(0, 20).fraction()).isZero();
        assertThat(EthanolWater.massFraction(Strength.NONE)).isZero();
        assertThat(EthanolWater.massFraction(new Strength(1))).isEqualTo(1);
        assertThatThrownBy(() -> new TinctureRecord(List.of(), List.of(), 1)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Retention(Interval.of(-1, 1), 0)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Retention.Pressing(10, 100, 101)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> TwoExtractions.join(-1, Strength.NONE, 1)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> TwoExtractions.tinctureFor(100, 10, Strength.NONE))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void anOxymelWeighsAsItsTwoLiquids() {
        var p = OtherMenstruum.plan(new OtherMenstruum.Recipe(
                        Kind.HONEY, List.of(herb(100, Tincture.State.DRIED, 0.1, null)), 8, 0.17, 0.25, 0.06))
                .plan();
        assertThat(p.liquidG()).isCloseTo(800 * (0.75 * 1.42 + 0.25 * 1.01), within(1e-9));
    }
}
