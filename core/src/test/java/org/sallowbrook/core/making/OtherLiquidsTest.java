package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.making.spirit.Pour;
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
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Vinegar, glycerine, honey, wine; what a pressing teaches; formulas; two extractions. */
public class OtherLiquidsTest {

    private static Tincture.Herb herb(double massG, double low, double high) {
        return new Tincture.Herb("thyme", "HERB", massG, Tincture.State.FRESH, Moisture.of(low, high), null);
    }

    private static OtherMenstruum.Result of(Kind kind, double figure, double ratio, double moisture) {
        return OtherMenstruum.plan(
                OtherMenstruum.Recipe.of(kind, List.of(herb(100, moisture, moisture)), ratio, figure));
    }

    @DataProvider
    public Object[][] limits() {
        // kind, figure as bought, the last moisture (by hundredths, 100 g 1:4) that still keeps, and what stops then
        return new Object[][] {
            {Kind.VINEGAR, 0.05, "ACIDITY_LOW", Severity.WARN, 28},
            {Kind.GLYCERINE, 0.62, "GLYCERINE_LOW", Severity.STOP, 7},
            {Kind.HONEY, 0.17, "HONEY_WET", Severity.HOLD, 7},
            {Kind.WINE, 0.17, "WINE_TOO_WEAK", Severity.STOP, 7}
        };
    }

    @Test(dataProvider = "limits")
    public void theFinalFigureAndNotTheBoughtOneDecides(
            Kind kind, double figure, String code, Severity severity, int days) {
        var dry = of(kind, figure, 8, 0.05);
        assertThat(dry.findings()).extracting(Finding::code).doesNotContain(code);
        assertThat(dry.plan().keepsDays()).isNull();
        var wet = of(kind, figure, 2, 0.95);
        assertThat(wet.findings()).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo(code);
            assertThat(f.severity()).isEqualTo(severity);
        });
        assertThat(wet.plan().keepsDays()).isEqualTo(days);
        assertThat(wet.plan().cold()).isTrue();
    }

    @Test
    public void theUnfavourableEndOfTheMoistureDecides() {
        var r = OtherMenstruum.plan(OtherMenstruum.Recipe.of(Kind.VINEGAR, List.of(herb(100, 0.3, 0.9)), 3, 0.05));
        // 15 g of acid in 300 mL + 30 or 90 g of water.
        assertThat(r.plan().finalFigure().high()).isCloseTo(15 / (300 + 30 / 0.9982), within(1e-9));
        assertThat(r.plan().finalFigure().low()).isCloseTo(15 / (300 + 90 / 0.9982), within(1e-9));
        assertThat(r.findings()).extracting(Finding::code).contains("ACIDITY_LOW");
    }

    @Test
    public void anOxymelKeepsByItsAcidityAndIsNeverForInfants() {
        var oxymel = OtherMenstruum.plan(
                new OtherMenstruum.Recipe(Kind.HONEY, List.of(herb(50, 0.1, 0.1)), 6, 0.17, 0.5, 0.06));
        assertThat(oxymel.plan().figureIs()).isEqualTo("acidity");
        assertThat(oxymel.plan().finalFigure().mid()).isCloseTo(300 * 0.5 * 0.06 / (300 + 5 / 0.9982), within(1e-9));
        assertThat(oxymel.findings()).extracting(Finding::code).contains("NO_HONEY_UNDER_ONE", "ACIDITY_LOW");
        assertThatThrownBy(() -> new OtherMenstruum.Recipe(Kind.WINE, List.of(herb(50, 0.1, 0.1)), 6, 0.17, 0.5, 0.06))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("vinegarFraction");
    }

    @Test
    public void retentionMovesFromTheGeneralRangeToTheHouseholdsOwn() {
        var one = new Retention.Pressing(50, 300, 300 - 50 * 2.0);
        var learned = Retention.PRESSED.learn(List.of(one));
        // (3 x 1.15 + 2.0) / 4
        assertThat(learned.mlPerG().mid()).isCloseTo(1.3625, within(1e-9));
        assertThat(Retention.PRESSED.learn(List.of()).mlPerG().low()).isCloseTo(0.8, within(1e-9));
        var many = Retention.PRESSED.learn(java.util.Collections.nCopies(60, one));
        assertThat(many.mlPerG().mid()).isBetween(1.95, 2.0);
        assertThat(many.mlPerG().high() - many.mlPerG().low()).isLessThan(0.7);
    }

    @Test
    public void aPressingTellsWhatTheMarcKeptAndRefusesMoreThanThereWas() {
        var herbs = List.of(herb(100, 0.1, 0.1));
        var poured = List.of(new Pour(500, Strength.ofPercent(45)));
        var o = new TinctureRecord(herbs, poured, 400).follow();
        assertThat(o.retentionMlPerG().mid()).isCloseTo((o.liquidMl().mid() - 400) / 90, within(1e-9));
        assertThat(o.pressing()).hasSize(1);
        var steeping = new TinctureRecord(herbs, poured, 0).follow();
        assertThat(steeping.pressing()).isEmpty();
        var wrong = new TinctureRecord(herbs, poured, 900).follow();
        assertThat(wrong.findings()).extracting(Finding::code).contains("MORE_THAN_THERE_WAS");
        assertThat(wrong.pressing()).isEmpty();
    }

    @Test
    public void threeOfATinctureADecoctionAndATargetGiveTheFourth() {
        Strength target = Strength.ofPercent(25);
        var joined = TwoExtractions.tinctureFor(300, 200, target);
        assertThat(joined.strength().percent()).isCloseTo(25, within(1e-6));
        var back = TwoExtractions.joinTo(300, joined.tincture(), target);
        assertThat(back.decoctionMl()).isCloseTo(200, within(1e-4));
        assertThatThrownBy(() -> TwoExtractions.tinctureFor(10, 5000, target))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("decoctionMl");
        assertThat(TwoExtractions.Order.SPIRIT_FIRST.steps().get(1)).contains("Air");
    }

    @Test
    public void aFormulaAddsConstituentsAndCostsAndNamesWhatItDoesNotKnow() {
        var a = new Formula.Part(
                "a",
                60,
                Strength.ofPercent(45),
                Interval.of(0.1, 0.2),
                Formula.Role.LEAD,
                Formula.Potency.STRONG,
                Set.of(Formula.Taste.BITTER),
                Set.of("TANNIN", "BITTER"),
                0.05);
        var b = new Formula.Part(
                "b", 40, Strength.ofPercent(45), null, null, null, Set.of(), Set.of("TANNIN", "MUCILAGE"), 0.1);
        var f = Formula.mix(List.of(a, b), 5.0);
        assertThat(f.cost()).isCloseTo(60 * 0.05 + 40 * 0.1, within(1e-9));
        assertThat(f.herbs().get(0).gPerDay().high()).isCloseTo(0.2 * 60 / f.volumeMl() * 5, within(1e-9));
        assertThat(f.constituentGPerMl()).containsOnlyKeys("BITTER");
        assertThat(f.tastes()).isEqualTo(Map.of(Formula.Taste.BITTER, 0.6));
        assertThat(f.findings())
                .extracting(Finding::code)
                .containsExactlyInAnyOrder(
                        "CONSTITUENT_SUM_UNKNOWN", "TANNIN_WITH_MUCILAGE", "MOSTLY_STRONG", "BITTER_UNBALANCED");
    }

    @Test
    public void pressingIsASchoolAndOnlyOneOfPressing() {
        assertThat(Tincture.pressAfterDays(Question.PRESSING.usual())).isEqualTo(28);
        assertThat(Tincture.pressAfterDays(School.PRESS_EARLY)).isEqualTo(14);
        assertThat(Tincture.pressAfterDays(School.PRESS_LONG)).isEqualTo(42);
        assertThatThrownBy(() -> Tincture.pressAfterDays(School.SIMMER)).isInstanceOf(InvalidInput.class);
    }
}
