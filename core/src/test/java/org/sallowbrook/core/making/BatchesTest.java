package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.dry.DryBatch;
import org.sallowbrook.core.making.kept.KeptBatch;
import org.sallowbrook.core.making.oil.EvaporatedBatch;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.oil.OilBatch;
import org.sallowbrook.core.making.salve.Cream;
import org.sallowbrook.core.making.salve.CreamBatch;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.PoulticeBatch;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.SalveBatch;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tea.CubesBatch;
import org.sallowbrook.core.making.tea.SyrupBatch;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tea.TeaBatch;
import org.sallowbrook.core.making.tea.WashBatch;
import org.sallowbrook.core.making.tincture.EyeBatch;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.making.tincture.FormulaBatch;
import org.sallowbrook.core.making.tincture.JoinedBatch;
import org.sallowbrook.core.making.tincture.OtherMenstruum;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.making.tincture.PercolationBatch;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.SteepedBatch;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureBatch;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.making.vessel.Bottling;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.Trait;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What every preparation promises, whatever it is, and what each alone must hold. */
public class BatchesTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 15);
    private static final Moisture DRY = Moisture.of(0.08, 0.12);
    private static final List<Blend.Bottle> SHELF =
            List.of(new Blend.Bottle("grain spirit", Strength.ofPercent(96), 2000, true));

    private static <P> P plan(Outcome<P> outcome) {
        assertThat(outcome).isInstanceOf(Outcome.Feasible.class);
        return ((Outcome.Feasible<P>) outcome).plan();
    }

    private static Tincture.Herb herb(double massG, Interval rangeG) {
        return new Tincture.Herb("nettle", "LEAF", massG, Tincture.State.DRIED, DRY, null, rangeG);
    }

    private static TinctureBatch tincture(double massG, Interval rangeG, double ratio) {
        return plan(TinctureBatch.of(
                new Tincture.Recipe(
                        List.of(herb(massG, rangeG)),
                        ratio,
                        false,
                        Tincture.Basis.MENSTRUUM,
                        Strength.ofPercent(45),
                        SHELF,
                        null,
                        Retention.PRESSED),
                28));
    }

    private static SteepedBatch steeped(OtherMenstruum.Kind kind, double figure, double vinegar) {
        return plan(SteepedBatch.of(
                new OtherMenstruum.Recipe(
                        kind, List.of(herb(20, Interval.exactly(20))), 8, figure, vinegar, vinegar > 0 ? 0.06 : 0),
                "liquid"));
    }

    private static TeaBatch tea(double wantedMl, double massG) {
        return plan(TeaBatch.of(
                Tea.Recipe.drink(wantedMl, null, List.of(Tea.Herb.weighed("lime", "FLOWER", massG)), "water", null),
                false));
    }

    private static EyeBatch eye() {
        return plan(EyeBatch.of(
                new FillAndCover.Recipe(250, 0.6, Interval.of(0.08, 0.12), Strength.ofPercent(50), DRY),
                "nettle",
                "spirit",
                28));
    }

    private static FormulaBatch formula(LocalDate first, LocalDate second) {
        return plan(FormulaBatch.of(
                List.of(
                        Formula.Part.of("a", 60, Strength.ofPercent(60), Interval.of(0.18, 0.22)),
                        Formula.Part.of("b", 40, Strength.ofPercent(30), Interval.exactly(0.3))),
                List.of(new Keeping.Input("a", first), new Keeping.Input("b", second)),
                5.0,
                List.of(new Bottling.Size(50, 3))));
    }

    private static Map<String, Batchable> all() {
        Map<String, Batchable> all = new LinkedHashMap<>();
        all.put("tincture", tincture(20, Interval.exactly(20), 5));
        all.put("by handfuls", tincture(20, Interval.of(12, 28), 5));
        all.put("fill and cover", eye());
        all.put(
                "percolation",
                plan(PercolationBatch.of(
                        new Percolation.Recipe(100, 5, Strength.ofPercent(45), 40), "nettle", DRY, SHELF)));
        all.put("formula", formula(DAY.plusYears(1), DAY.plusMonths(5)));
        all.put("joined", joined());
        all.put("vinegar", steeped(OtherMenstruum.Kind.VINEGAR, 0.06, 0));
        all.put("glycerite", steeped(OtherMenstruum.Kind.GLYCERINE, 0.99, 0));
        all.put("honey", steeped(OtherMenstruum.Kind.HONEY, 0.17, 0));
        all.put("oxymel", steeped(OtherMenstruum.Kind.HONEY, 0.17, 0.7));
        all.put("wine", steeped(OtherMenstruum.Kind.WINE, 0.19, 0));
        all.put("tea", tea(500, 6));
        for (WashBatch.Use use : WashBatch.Use.values()) {
            all.put(
                    use.name(),
                    plan(WashBatch.of(
                            new Tea.Recipe(
                                    use == WashBatch.Use.BATH ? 100_000 : 500,
                                    null,
                                    List.of(Tea.Herb.weighed("oak", "BARK", use == WashBatch.Use.BATH ? 150 : 15)),
                                    "water",
                                    null,
                                    use.purpose(),
                                    Schools.USUAL),
                            use)));
        }
        all.put("syrup", plan(SyrupBatch.of(250, "decoction", 65, false, Interval.exactly(0.05))));
        all.put("honey syrup", plan(SyrupBatch.of(250, "decoction", 65, true, null)));
        all.put("cubes", plan(CubesBatch.of(250, 20, 12, "tea", DAY, null)));
        all.put("oil", oil());
        all.put(
                "salve",
                plan(SalveBatch.of(
                        Salve.Recipe.plain(
                                List.of(new Salve.Tin(30, 3)),
                                Salve.Firmness.MEDIUM,
                                new Wax("beeswax", 1, 0.001, "a working figure"),
                                20,
                                0.04),
                        List.of(new SalveBatch.OilPart("marigold oil", 3), new SalveBatch.OilPart("olive oil", 1)),
                        null,
                        List.of(),
                        false,
                        List.of(new Keeping.Input("oil", DAY.plusMonths(4))))));
        all.put("oil from a decoction", evaporated());
        all.put("salted", kept(40.0));
        all.put("frozen", kept(null));
        all.put("cream", cream());
        all.put("mixture", mixture(false));
        all.put("powder", mixture(true));
        all.put("poultice", plan(PoulticeBatch.of(List.of(new HerbPortion("comfrey", 30, DRY, Interval.exactly(30))))));
        return all;
    }

    private static JoinedBatch joined() {
        return plan(JoinedBatch.of(
                100,
                "tincture",
                "decoction",
                TwoExtractions.Order.SPIRIT_FIRST,
                TwoExtractions.joinTo(100, Strength.ofPercent(60), Strength.ofPercent(30)),
                Interval.exactly(0.2),
                Interval.exactly(0.1),
                List.of(new Keeping.Input("tincture", DAY.plusMonths(6)))));
    }

    private static OilBatch oil() {
        return plan(OilBatch.of(
                new InfusedOil.Recipe(
                        List.of(new HerbPortion("marigold", 30, DRY)),
                        7,
                        "olive oil",
                        10,
                        InfusedOil.Method.COLD,
                        false,
                        0),
                DAY.plusMonths(10),
                Schools.USUAL));
    }

    private static CreamBatch cream() {
        return plan(CreamBatch.of(
                new Cream.Recipe(60, 0.3, 0.05, 0), "olive oil", "water", 30, List.of(), 18, false, List.of()));
    }

    private static EvaporatedBatch evaporated() {
        return plan(EvaporatedBatch.of("decoction", 200, "olive oil", 100, DAY.plusMonths(10)));
    }

    private static KeptBatch kept(@Nullable Double saltG) {
        return plan(KeptBatch.of(
                List.of(new HerbPortion("ramsons", 100, Moisture.of(0.85, 0.90), Interval.exactly(100))), saltG));
    }

    private static DryBatch mixture(boolean ground) {
        return plan(DryBatch.of(
                List.of(
                        new HerbPortion("lime", 30, DRY, Interval.exactly(30)),
                        new HerbPortion("mallow", 10, DRY, Interval.exactly(10))),
                ground,
                List.of(new Keeping.Input("mallow", DAY.plusMonths(2)))));
    }

    @DataProvider
    public Object[][] kinds() {
        return all().entrySet().stream()
                .map(e -> new Object[] {e.getKey(), e.getValue()})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "kinds")
    public void everyKindSaysWhatTheBenchTheShelfAndTheDoseAsk(String name, Batchable b) {
        assertThat(b.yield().low()).isPositive();
        assertThat(b.yield().high()).isLessThan(200_001);
        assertThat(b.strength().low()).isBetween(0.0, b.strength().high());
        if (b.driedGPerUnit() != null) {
            assertThat(b.driedGPerUnit().low()).isPositive();
        }
        assertThat(b.steps()).isNotEmpty();
        assertThat(b.portions()).isNotEmpty().allMatch(p -> p.massG() > 0);
        assertThat(b.vessel().contents()).isNotEmpty();
        assertThat(b.facts()).isNotEmpty();
        LocalDate until = Keeping.reckon(new Keeping.Request(
                        b.keeps().form(),
                        DAY,
                        null,
                        null,
                        b.keeps().inputs(),
                        b.keeps().mostDays(),
                        Schools.USUAL))
                .bestBefore();
        assertThat(until).isAfterOrEqualTo(DAY);
        // Nothing outlasts what carries over into it.
        b.keeps().inputs().forEach(i -> assertThat(until).isBeforeOrEqualTo(i.bestBefore()));
        // What holds honey says so, and nothing else does.
        boolean honey = b.portions().stream().anyMatch(p -> p.name().equals("honey"))
                || name.equals("honey")
                || name.equals("oxymel");
        assertThat(b.adds().contains(Trait.HONEY)).isEqualTo(honey);
    }

    @Test
    public void whatSteepsInAnotherLiquidNamesTheFigureItReckons() {
        assertThat(Map.of(
                        "vinegar", "Acidity at the end",
                        "glycerite", "Glycerine at the end",
                        "honey", "Water in it at the end",
                        "oxymel", "Acidity at the end",
                        "wine", "Strength at the end"))
                .allSatisfy((name, label) -> assertThat(all().get(name).facts())
                        .extracting(Fact::label)
                        .contains(label));
    }

    @Test
    public void whatIsMeasuredByHandEnclosesWhatTheScaleWouldHaveSaid() {
        TinctureBatch range = tincture(20, Interval.of(12, 28), 5);
        for (double g : new double[] {12, 15, 20, 26, 28}) {
            // The liquid was poured for the middle.
            TinctureBatch weighed = tincture(g, Interval.exactly(g), 100 / g);
            assertThat(range.driedGPerUnit().low())
                    .isLessThanOrEqualTo(weighed.driedGPerUnit().low() + 1e-12);
            assertThat(range.driedGPerUnit().high())
                    .isGreaterThanOrEqualTo(weighed.driedGPerUnit().high() - 1e-12);
            assertThat(range.strength().low())
                    .isLessThanOrEqualTo(weighed.strength().low() + 1e-12);
            assertThat(range.strength().high())
                    .isGreaterThanOrEqualTo(weighed.strength().high() - 1e-12);
            assertThat(range.yield().low()).isLessThanOrEqualTo(weighed.yield().low() + 1e-9);
            assertThat(range.yield().high())
                    .isGreaterThanOrEqualTo(weighed.yield().high() - 1e-9);
        }
    }

    @Test
    public void aJarByEyeEnclosesTheSameJarWeighed() {
        EyeBatch eye = eye();
        for (double g : new double[] {12, 15, 18}) {
            double menstruum = 0.95 * 250 - g * (0.1 / 0.998 + 0.9 / 1.5);
            TinctureBatch weighed = tincture(g, Interval.exactly(g), menstruum / g);
            assertThat(eye.driedGPerUnit().low())
                    .isLessThanOrEqualTo(weighed.driedGPerUnit().high());
            assertThat(eye.driedGPerUnit().high())
                    .isGreaterThanOrEqualTo(weighed.driedGPerUnit().low());
        }
        assertThat(eye.plan().herbG()).isEqualTo(Interval.of(12, 18));
    }

    @Test
    public void aFormulaKeepsItsMassItsHerbAndNoYoungerDate() {
        FormulaBatch f = formula(DAY.plusYears(1), DAY.plusMonths(5));
        var mixed = Spirits.mix(List.of(new Pour(60, Strength.ofPercent(60)), new Pour(40, Strength.ofPercent(30))));
        assertThat(f.yield().low()).isCloseTo(mixed.volumeMl(), within(1e-9));
        assertThat(f.driedGPerUnit().times(mixed.volumeMl()).low()).isCloseTo(60 * 0.18 + 40 * 0.3, within(1e-9));
        assertThat(f.driedGPerUnit().times(mixed.volumeMl()).high()).isCloseTo(60 * 0.22 + 40 * 0.3, within(1e-9));
        assertThat(f.bottles().bottles())
                .singleElement()
                .satisfies(b -> assertThat(b.count()).isEqualTo(2));
        // Of a part whose herb is unknown the sum is unknown, not that of the rest.
        FormulaBatch unknown = plan(FormulaBatch.of(
                List.of(
                        Formula.Part.of("a", 60, Strength.ofPercent(60), Interval.exactly(0.2)),
                        Formula.Part.of("b", 40, Strength.ofPercent(60), null)),
                List.of(),
                null,
                List.of()));
        assertThat(unknown.driedGPerUnit()).isNull();
    }

    @Test
    public void twoExtractionsEndWhereTheyWereMeantTo() {
        JoinedBatch j = joined();
        var mixed = Spirits.mix(
                List.of(new Pour(100, Strength.ofPercent(60)), new Pour(j.plan().decoctionMl(), Strength.NONE)));
        assertThat(mixed.strength().fraction()).isCloseTo(0.30, within(1e-9));
        assertThat(j.driedGPerUnit().low() * mixed.volumeMl())
                .isCloseTo(100 * 0.2 + j.plan().decoctionMl() * 0.1, within(1e-9));
    }

    @Test
    public void sugarAndHoneyBalance() {
        // Sugar in = sugar out; honey holds 80 % of it.
        SyrupBatch honey = plan(SyrupBatch.of(250, "decoction", 65, true, null));
        double h = honey.plan().sugarG();
        assertThat(0.80 * h / (250 * 0.99823 + h)).isCloseTo(0.65, within(1e-9));
        SyrupBatch sugar = plan(SyrupBatch.of(250, "decoction", 65, false, null));
        double s = sugar.plan().sugarG();
        assertThat(s / (250 * 0.99823 + s)).isCloseTo(0.65, within(1e-9));
        assertThatThrownBy(() -> SyrupBatch.of(250, "decoction", 79, true, null))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void phasesOfACreamAndPartsOfAMixtureAddUp() {
        assertThat(cream().portions().stream().mapToDouble(Portion::massG).sum())
                .isCloseTo(60, within(1e-9));
        assertThat(mixture(false).yield()).isEqualTo(Interval.exactly(40));
        var wet = DryBatch.of(
                List.of(new HerbPortion("damp", 30, Moisture.of(0.10, 0.20), Interval.exactly(30))), false, List.of());
        assertThat(wet.findings()).extracting(Finding::code).contains("TOO_DAMP");
        assertThat(((Outcome.Feasible<DryBatch>) DryBatch.of(mixture(true).parts(), true, List.of())).findings())
                .extracting(Finding::code)
                .contains("DUST");
    }

    @Test
    public void whatIsForTheOutsideIsNotDrunk() {
        for (WashBatch.Use use : WashBatch.Use.values()) {
            assertThat(all().get(use.name()).steps()).noneMatch(s -> s.text().contains("drink"));
        }
        assertThat(tea(500, 6).steps()).anyMatch(s -> s.text().contains("drink"));
    }

    @Test
    public void spoonsAreWeighedOnceOrStayWide() {
        Interval loose = Interval.of(0.1, 0.2);
        assertThat(HouseMeasure.LEVEL_TEASPOON.grams(2, List.of(), List.of(), loose))
                .isEqualTo(Interval.of(1, 2));
        Interval weighed = HouseMeasure.HANDFUL.grams(2, List.of(6.0, 7.0), List.of(), loose);
        assertThat(weighed.low()).isCloseTo(11.4, within(1e-9));
        assertThat(weighed.high()).isCloseTo(14.7, within(1e-9));
        Interval own = HouseMeasure.CUP.grams(1, List.of(), List.of(200.0), loose);
        assertThat(own.high()).isCloseTo(200 * 1.05 * 0.2, within(1e-9));
        assertThatThrownBy(() -> HouseMeasure.LEAF.grams(3, List.of(), List.of(), loose))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("never weighed");
        assertThatThrownBy(() -> HouseMeasure.CUP.grams(Double.NaN, List.of(), List.of(), loose))
                .isInstanceOf(InvalidInput.class);
        assertThat(Set.of(HouseMeasure.values()))
                .allMatch(m -> m.volumeMl() == null || m.volumeMl().low() > 0);
    }

    @Test
    public void gramsAndMillilitresAreNeverTakenFromEachOther() {
        Amount jar = Amount.of(100, Unit.G);
        assertThat(jar.minus(Amount.of(40, Unit.G))).isEqualTo(Amount.of(60, Unit.G));
        assertThatThrownBy(() -> jar.minus(Amount.of(40, Unit.ML))).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> jar.minus(Amount.of(101, Unit.G))).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Amount.of(Double.NaN, Unit.G)).isInstanceOf(InvalidInput.class);
        assertThat(Unit.of("mL")).isEqualTo(Unit.ML);
        assertThatThrownBy(() -> Unit.of("cups")).isInstanceOf(InvalidInput.class);
    }

    /** A tincture of fresh herb may be far weaker than its label; what is thinned from it keeps by its weaker end. */
    @Test
    public void keepsByTheWeakerEnd() {
        Strength weakest = Strength.ofPercent(32);
        Strength label = Strength.ofPercent(45);
        JoinedBatch joined = plan(JoinedBatch.of(
                100,
                "tincture",
                "decoction",
                TwoExtractions.Order.SPIRIT_FIRST,
                TwoExtractions.joinTo(100, weakest, label, Strength.ofPercent(26)),
                null,
                null,
                List.of()));
        assertThat(joined.strength().low()).isCloseTo(0.26, within(1e-6));
        assertThat(joined.strength().high()).isGreaterThan(0.36);
        assertThat(joined.keeps().mostDays()).isNull();

        FormulaBatch thinned = plan(FormulaBatch.of(
                List.of(
                        new Formula.Part("tincture", 60, label, weakest, null, null, null, Set.of(), Set.of(), null),
                        Formula.Part.of("glycerite", 30, Strength.NONE, null)),
                List.of(),
                null,
                List.of()));
        assertThat(thinned.strength().high()).isGreaterThan(0.25);
        assertThat(thinned.strength().low()).isBetween(0.20, 0.25);
        assertThat(thinned.keeps().mostDays()).isNotNull();
        assertThat(thinned.plan().findings()).extracting(Finding::code).contains("TINCTURE_WEAK");
    }

    @Test
    public void saltKeepsByItsShareInTheWettestWater() {
        // 100 g at 90 % water: 10 g of salt are 10 / 100 of its brine, 22.5 g are 22.5 / 112.5 = 20 %.
        Object[][] cases = {
            {9.9, Severity.STOP, "SALT_TOO_LITTLE"},
            {10.1, Severity.WARN, "SALT_WEAK"},
            {22.4, Severity.WARN, "SALT_WEAK"},
            {22.6, Severity.NOTE, "MUCH_SALT"},
            {40.0, Severity.NOTE, "SALT_SATURATED"},
        };
        for (Object[] c : cases) {
            Outcome<KeptBatch> outcome = KeptBatch.of(
                    List.of(new HerbPortion("ramsons", 100, Moisture.of(0.85, 0.90), Interval.exactly(100))),
                    (Double) c[0]);
            assertThat(outcome.findings().get(0).severity()).as(c[0].toString()).isEqualTo(c[1]);
            assertThat(outcome.findings().get(0).code()).isEqualTo(c[2]);
        }
        assertThat(kept(40.0).keeps().mostDays()).isNull();
        assertThat(kept(15.0).keeps().mostDays()).isEqualTo(28);
    }

    @Test
    public void oilFromADecoctionIsHeldUntilThePanHasComeBackToItsWeight() {
        Outcome<EvaporatedBatch> outcome = EvaporatedBatch.of("decoction", 200, "olive oil", 100, DAY.plusMonths(10));
        assertThat(outcome.findings())
                .filteredOn(f -> f.severity() == Severity.HOLD)
                .extracting(Finding::code)
                .containsExactly("WATER_LEFT_IN_OIL");
        assertThat(evaporated().ready().heldByTheWork()).isTrue();
        assertThat(evaporated().oilG()).isCloseTo(92, within(1e-9));
        // 200 mL at 4 to 8 mL a minute.
        assertThat(evaporated().facts().get(1).value()).isEqualTo(Interval.of(25, 50));
    }

    @Test
    public void anEssentialOilIsWhatItIsCalledAndNoMore() {
        Source book = new Source("a book", 2014, Source.Evidence.REFERENCE, Source.Review.STARTER);
        List<EssentialOil.Kind> onRecord = List.of(
                new EssentialOil.Kind("lavender", null, Set.of(), null, true),
                new EssentialOil.Kind("clove", 0.005, Set.of(EssentialOil.Hazard.PHENOLIC), book, true),
                new EssentialOil.Kind("lime", 0.007, Set.of(EssentialOil.Hazard.PHOTOTOXIC), book, true));
        assertThat(EssentialOil.Kind.called("Lavender essential oil", onRecord).known())
                .isTrue();
        // Another plant of half the name, and one whose name is only written alike.
        assertThat(EssentialOil.Kind.called("spike lavender oil", onRecord).known())
                .isFalse();
        assertThat(EssentialOil.Kind.called("limette", onRecord)).isEqualTo(EssentialOil.Kind.unknown("limette"));
        // Of several the strictest limit, and all that any of them does.
        EssentialOil.Kind blend = EssentialOil.Kind.called("lavender, lime and clove", onRecord);
        assertThat(blend.known()).isFalse();
        assertThat(blend.mostFraction()).isEqualTo(0.005);
        assertThat(blend.hazards())
                .containsExactlyInAnyOrder(EssentialOil.Hazard.PHENOLIC, EssentialOil.Hazard.PHOTOTOXIC);
        assertThat(codes(EssentialOil.each(100, used(blend, 0.6), 18, false)))
                .containsExactly("ESSENTIAL_OIL_UNKNOWN", "ESSENTIAL_OIL_OWN_LIMIT");
    }

    @Test
    public void essentialOilsKeepTheirOwnLimitsAndWhatTheyAreGoesOn() {
        Source book = new Source("a book", 2014, Source.Evidence.REFERENCE, Source.Review.STARTER);
        var bergamot = new EssentialOil.Kind("bergamot", 0.004, Set.of(EssentialOil.Hazard.PHOTOTOXIC), book, true);
        var mint = new EssentialOil.Kind("peppermint", null, Set.of(EssentialOil.Hazard.COOLING), null, true);
        var unknown = EssentialOil.Kind.unknown("moss");
        assertThat(codes(EssentialOil.each(100, used(bergamot, 0.4), 18, false)))
                .isEmpty();
        assertThat(codes(EssentialOil.each(100, used(bergamot, 0.41), 18, false)))
                .containsExactly("ESSENTIAL_OIL_OWN_LIMIT");
        assertThat(codes(EssentialOil.each(100, used(mint, 0.4), 6, false))).isEmpty();
        assertThat(codes(EssentialOil.each(100, used(mint, 0.4), 5, false))).containsExactly("COOLING_OIL");
        assertThat(codes(EssentialOil.each(100, used(unknown, 0.1), 18, false)))
                .containsExactly("ESSENTIAL_OIL_UNKNOWN");
        assertThat(codes(EssentialOil.each(100, used(mint, 0.1), 18, true))).containsExactly("ESSENTIAL_OIL_PREGNANT");
        assertThat(EssentialOil.traits(100, List.of())).isEmpty();
        assertThat(EssentialOil.traits(100, used(bergamot, 1.0))).containsExactly(Trait.ESSENTIAL_OIL);
        assertThat(EssentialOil.traits(100, used(mint, 1.1)))
                .containsExactly(Trait.ESSENTIAL_OIL, Trait.ESSENTIAL_OIL_FOR_ADULTS, Trait.COOLING_OIL);
        assertThat(EssentialOil.traits(100, used(unknown, 0.1))).contains(Trait.ESSENTIAL_OIL_FOR_ADULTS);
        assertThatThrownBy(() -> new EssentialOil.Kind("x", 0.1, Set.of(), null, true))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void hotWaterSteamAndHotOilAreToldOf() {
        var recipe = new Tea.Recipe(
                500,
                null,
                List.of(Tea.Herb.weighed("oak", "BARK", 15)),
                "water",
                null,
                Tea.Purpose.WASH,
                Schools.USUAL);
        assertThat(WashBatch.of(recipe, WashBatch.Use.STEAM).findings())
                .extracting(Finding::code)
                .contains("STEAM_SCALDS")
                .doesNotContain("BATH_WARM");
        assertThat(WashBatch.of(recipe, WashBatch.Use.BATH).findings())
                .extracting(Finding::code)
                .contains("BATH_WARM")
                .doesNotContain("STEAM_SCALDS");
        // More than five times as much water as oil.
        assertThat(EvaporatedBatch.of("decoction", 500, "oil", 100, DAY).findings())
                .extracting(Finding::code)
                .doesNotContain("MUCH_WATER");
        assertThat(EvaporatedBatch.of("decoction", 501, "oil", 100, DAY).findings())
                .extracting(Finding::code)
                .contains("MUCH_WATER");
        var herbs = List.of(new HerbPortion("ramsons", 100, Moisture.of(0.85, 0.90), Interval.exactly(100)));
        assertThat(KeptBatch.of(herbs, null).findings())
                .extracting(Finding::code)
                .containsExactly("FREEZE_AT_ONCE");
    }

    /** 60 g with three tenths of oil holds 18 g of it: as much essential oil leaves no room. */
    @Test
    public void whereNothingIsLeftForTheOilThereIsNoBatch() {
        var lavender = new EssentialOil.Kind("lavender", null, Set.of(), null, true);
        var full = CreamBatch.of(
                new Cream.Recipe(60, 0.3, 0.05, 0), "oil", "water", 30, used(lavender, 18), 18, false, List.of());
        assertThat(full).isInstanceOf(Outcome.Refused.class);
        assertThat(full.findings()).extracting(Finding::code).contains("NO_ROOM_FOR_OIL");
        assertThat(CreamBatch.of(
                                new Cream.Recipe(60, 0.3, 0.05, 0),
                                "oil",
                                "water",
                                30,
                                used(lavender, 0.1),
                                18,
                                false,
                                List.of())
                        .findings())
                .extracting(Finding::code)
                .doesNotContain("NO_ROOM_FOR_OIL");
    }

    private static List<EssentialOil.Used> used(EssentialOil.Kind kind, double massG) {
        return List.of(new EssentialOil.Used(kind, massG));
    }

    private static List<String> codes(EssentialOil.Limit limit) {
        return limit.findings().stream().map(Finding::code).toList();
    }
}
