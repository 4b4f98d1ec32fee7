package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.dosing.pattern.AsNeeded;
import org.sallowbrook.core.dosing.pattern.Cycle;
import org.sallowbrook.core.dosing.pattern.Daily;
import org.sallowbrook.core.dosing.pattern.Season;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Units, limits and doors of doses and courses. */
public class DoseEdgesTest {

    private static Amount ml(double value) {
        return Amount.of(value, Unit.ML);
    }

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);
    private static final Dose.Taker ADULT = new Dose.Taker(40, 70.0, null);

    private static Dose.Result dose(Dose.Measured product, double amount, Dose.Unit unit, Interval card) {
        return Dose.reckon(new Dose.Request(product, amount, unit, 2, card, ADULT));
    }

    @DataProvider
    public Object[][] units() {
        return new Object[][] {
            {Dose.Unit.ML, 3.0},
            {Dose.Unit.TEASPOON, 12.0},
            {Dose.Unit.TABLESPOON, 45.0},
            {Dose.Unit.CUP, 600.0},
            {Dose.Unit.G, 3 / 0.95},
            {Dose.Unit.SQUIRT, 2.1},
            {Dose.Unit.DROP, 0.1}
        };
    }

    @Test(dataProvider = "units")
    public void aHouseholdsOwnMeasuresCount(Dose.Unit unit, double ml) {
        var own = new Dose.Measured(Interval.exactly(0.2), Strength.ofPercent(40), 30.0, 0.95, 4.0, 200.0, 0.7);
        assertThat(dose(own, 3, unit, null).perDose().mid()).isCloseTo(ml, within(1e-9));
    }

    @Test
    public void withoutThemTheUsualOnesDo() {
        var plain = Dose.Measured.plain(Interval.exactly(0.2), Strength.ofPercent(40));
        assertThat(dose(plain, 3, Dose.Unit.TEASPOON, null).perDose().mid()).isEqualTo(15);
        assertThat(dose(plain, 3, Dose.Unit.CUP, null).perDose().mid()).isEqualTo(750);
        assertThat(dose(plain, 11, Dose.Unit.DROP, null).perDose().low()).isCloseTo(0.2, within(1e-9));
        assertThat(dose(plain, 11, Dose.Unit.DROP, null).perDose().high()).isCloseTo(0.55, within(1e-9));
        assertThatThrownBy(() -> dose(plain, 3, Dose.Unit.G, null))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("densityGPerMl");
    }

    @Test
    public void theCardsEndsBelongToIt() {
        var plain = Dose.Measured.plain(Interval.exactly(0.25), Strength.NONE);
        // 4 mL x 0.25 g/mL x 2 = 2 g a day.
        assertThat(dose(plain, 4, Dose.Unit.ML, Interval.of(1, 2)).withinCard()).isEqualTo(Dose.WithinCard.WITHIN);
        assertThat(dose(plain, 4, Dose.Unit.ML, Interval.of(2, 3)).withinCard()).isEqualTo(Dose.WithinCard.WITHIN);
        assertThat(dose(plain, 4, Dose.Unit.ML, Interval.of(1, 1.99)).withinCard())
                .isEqualTo(Dose.WithinCard.ABOVE);
        assertThat(dose(plain, 4, Dose.Unit.ML, Interval.of(2.01, 3)).withinCard())
                .isEqualTo(Dose.WithinCard.BELOW);
    }

    @DataProvider
    public Object[][] alcohol() {
        // mL of 50 % for a 70 kg adult or a 20 kg child: 394.5 mg each
        return new Object[][] {
            {40.0, 70.0, 2.6, List.of()},
            {40.0, 70.0, 2.7, List.of("ALCOHOL")},
            {40.0, 70.0, 13.3, List.of("ALCOHOL")},
            {40.0, 70.0, 13.4, List.of("TOO_MUCH_ALCOHOL")},
            {5.0, 20.0, 0.30, List.of()},
            {5.0, 20.0, 0.31, List.of("TOO_MUCH_ALCOHOL")},
            {6.0, 20.0, 0.31, List.of()}
        };
    }

    @Test(dataProvider = "alcohol")
    public void alcoholIsJudgedByWeightAndAge(double age, double kg, double ml, List<String> expected) {
        var r = Dose.reckon(new Dose.Request(
                Dose.Measured.plain(Interval.exactly(0.1), Strength.ofPercent(50)),
                ml,
                Dose.Unit.ML,
                1,
                Interval.of(0, 9),
                new Dose.Taker(age, kg, null)));
        assertThat(r.findings().stream()
                        .map(Finding::code)
                        .filter(c -> c.contains("ALCOHOL"))
                        .toList())
                .isEqualTo(expected);
        assertThat(r.alcoholMgPerKg()).isCloseTo(394.5 * ml / kg, within(1e-9));
    }

    @DataProvider
    public Object[][] ages() {
        return new Object[][] {
            {1.9, false, false}, {2.0, true, true}, {12.0, true, true}, {12.1, true, false}, {18.0, false, false}
        };
    }

    @Test(dataProvider = "ages")
    public void childRulesApplyFromTwoToTwelveOrEighteen(double age, boolean clark, boolean young) {
        var rules = Dose.childRules(new Dose.Taker(age, 30.0, 130.0), new ArrayList<>());
        assertThat(rules.clark() != null).isEqualTo(clark);
        assertThat(rules.young() != null).isEqualTo(young);
        assertThat(rules.cowling() != null).isEqualTo(young);
    }

    private static Course.Request course(Course.Slope ramp, Course.Slope taper, int days) {
        return new Course.Request(DAY, ml(2), 3, new Daily(), ramp, taper, days);
    }

    @Test
    public void slopesMayMeetButNotOverlapAndTheirFractionsAreShares() {
        var meet = Course.plan(course(new Course.Slope(0.5, 3), new Course.Slope(0.25, 2), 5));
        assertThat(meet.days()).extracting(d -> d.perDose().value()).containsExactly(1.0, 1.5, 2.0, 2.0, 0.5);
        assertThatThrownBy(() -> Course.plan(course(new Course.Slope(0.5, 3), new Course.Slope(0.25, 3), 5)))
                .hasMessageContaining("taper.days");
        assertThatThrownBy(() -> Course.plan(course(new Course.Slope(0.5, 6), null, 5)))
                .hasMessageContaining("ramp.days");
        assertThatThrownBy(() -> course(new Course.Slope(0, 3), null, 5)).hasMessageContaining("ramp.startFraction");
        assertThatThrownBy(() -> course(null, new Course.Slope(1.1, 3), 5)).hasMessageContaining("taper.endFraction");
        assertThat(course(new Course.Slope(1, 3), null, 5).ramp()).isNotNull();
    }

    @Test
    public void theTotalIsExplainedByRunsOfLikeDays() {
        assertThat(Course.plan(course(null, null, 7)).because())
                .containsExactly("Days × doses × amount: 7 × 3 × 2 mL = 42 mL");
        var season = new Course.Request(
                DAY, ml(2), 3, new Season(java.time.MonthDay.of(1, 1), java.time.MonthDay.of(1, 31)), null, null, 7);
        assertThat(Course.plan(season).because()).containsExactly("No day of it has a dose.");
        assertThatThrownBy(() -> Course.trial(ml(0))).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void theWaitIsToldInHours() {
        var asNeeded = new AsNeeded(6.0);
        Instant noon = Instant.parse("2026-07-01T12:00:00Z");
        var before = new LeastInterval.Before(noon, java.util.Set.of("nettle"), null, false);
        assertThat(LeastInterval.check(
                                java.util.Set.of("nettle"),
                                asNeeded.leastHours(),
                                List.of(before),
                                noon.plusSeconds(3600))
                        .get(0)
                        .action())
                .isEqualTo("Wait 5 hours more.");
    }

    private static List<OnOff.Day> days(int with, int without) {
        List<OnOff.Day> all = new ArrayList<>();
        for (int i = 0; i < with; i++) {
            all.add(new OnOff.Day(true, 2));
        }
        for (int i = 0; i < without; i++) {
            all.add(new OnOff.Day(false, 5));
        }
        return all;
    }

    @Test
    public void fourteenDaysAndFourOfEachAreEnough() {
        assertThat(OnOff.compare(days(4, 10)).p()).isNotNull();
        assertThat(OnOff.compare(days(10, 4)).p()).isNotNull();
        assertThat(OnOff.compare(days(3, 11)).p()).isNull();
        assertThat(OnOff.compare(days(11, 3)).p()).isNull();
        assertThat(OnOff.compare(days(6, 7)).p()).isNull();
        assertThat(OnOff.compare(days(4, 10)).because().get(0))
                .isEqualTo("Difference of the means: (2 + 2 + 2 + 2) / 4 − "
                        + "(5 + 5 + 5 + 5 + 5 + 5 + 5 + 5 + 5 + 5) / 10 = −3");
        assertThatThrownBy(() -> OnOff.compare(days(1001, 1000))).isInstanceOf(InvalidInput.class);
        assertThat(OnOff.compare(days(1000, 1000)).p()).isLessThan(0.05);
        assertThatThrownBy(() -> new OnOff.Day(true, 11)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void aSupplyCountsWholeBottlesAndSaysHowSmallTheyShouldBe() {
        var plan = Course.plan(course(null, null, 10));
        assertThat(Supply.of(plan, ml(60), ml(30), null).bottles()).isEqualTo(2);
        assertThat(Supply.of(plan, ml(60), ml(29), null).bottles()).isEqualTo(3);
        var large = Supply.of(plan, ml(60), ml(60), 5);
        assertThat(large.findings()).singleElement().satisfies(f -> {
            assertThat(f.message()).contains("lasts 10 days, and keeps 5");
            assertThat(f.action()).contains("30 mL at most");
        });
        assertThat(Supply.of(plan, ml(60), null, 5).findings()).isEmpty();
        assertThat(Supply.of(plan, ml(60), null, null).runsOutOn()).isNull();
        assertThat(Supply.of(plan, ml(59.9), null, null).runsOutOn()).isEqualTo(DAY.plusDays(9));
        assertThatThrownBy(() -> Supply.of(plan, ml(1), ml(0.5), null)).hasMessageContaining("bottle");
        assertThatThrownBy(() -> Supply.of(plan, ml(1), ml(5), 0)).hasMessageContaining("openedLifeDays");
    }

    @Test
    public void whatWasTakenAsPlannedIsNotTooMuchAndOffDaysAreNotMissed() {
        var plan = Course.plan(new Course.Request(DAY, ml(2), 3, new Cycle(1, 1), null, null, 4));
        var exact = Adherence.compare(
                plan,
                null,
                List.of(new Adherence.Taken(DAY, ml(6)), new Adherence.Taken(DAY.plusDays(2), ml(6))),
                DAY.plusDays(3));
        assertThat(exact.missedDays()).isZero();
        assertThat(exact.findings()).isEmpty();
        assertThat(Adherence.compare(plan, null, List.of(), DAY.plusDays(3)).missedDays())
                .isEqualTo(2);
        assertThatThrownBy(() -> new Adherence.Taken(DAY, ml(-1))).isInstanceOf(InvalidInput.class);
    }

    private static Taking coumarin(Double most, Double perKg, Double grams) {
        return new Taking(
                Cards.card("c" + most + perKg)
                        .holds(Constituent.COUMARIN, Constituent.TANNIN)
                        .content(new Taxon.Content(Constituent.COUMARIN, Interval.of(1, 2), most, perKg, Cards.SOURCE))
                        .part(0.5, 0.5, Set.of(Route.INTERNAL))
                        .build(),
                Taxon.Part.HERB,
                grams);
    }

    @Test
    public void theLowestCeilingOfAllCardsCounts() {
        assertThat(ConstituentSum.of(List.of(coumarin(null, 0.1, 1.0)), 50.0)
                        .get(Constituent.COUMARIN)
                        .mostMg())
                .isEqualTo(5);
        assertThat(ConstituentSum.of(List.of(coumarin(4.0, 0.1, 1.0)), 50.0)
                        .get(Constituent.COUMARIN)
                        .mostMg())
                .isEqualTo(4);
        assertThat(ConstituentSum.of(List.of(coumarin(null, null, 1.0), coumarin(7.0, null, 1.0)), null)
                        .get(Constituent.COUMARIN)
                        .mostMg())
                .isEqualTo(7);
        assertThat(ConstituentSum.of(List.of(coumarin(7.0, null, 1.0), coumarin(null, null, 1.0)), null)
                        .get(Constituent.COUMARIN)
                        .mostMg())
                .isEqualTo(7);
        assertThat(ConstituentSum.of(List.of(coumarin(7.0, null, 1.0)), null)
                        .get(Constituent.TANNIN)
                        .mg())
                .isNull();
        // At the ceiling is not above it: 2 mg/g x 3.5 g = 7 mg.
        assertThat(ConstituentSum.check(List.of(coumarin(7.0, null, 3.5)), null))
                .isEmpty();
        assertThat(ConstituentSum.check(List.of(coumarin(7.0, null, 1.0), coumarin(8.0, null, 1.0)), null).stream()
                        .filter(f -> f.message().contains("coumarin"))
                        .map(Finding::action))
                .containsExactly("The sum is within the card's ceiling.");
        assertThat(ConstituentSum.check(List.of(coumarin(7.0, null, null)), null))
                .isEmpty();
    }

    private static Product product(Taxon taxon) {
        return new Product(
                "the bottle",
                Route.INTERNAL,
                List.of(new Product.Herb(taxon, Taxon.Part.HERB, 0.5), new Product.Herb(taxon, Taxon.Part.HERB, 0.5)),
                Interval.of(0.1, 0.2),
                Strength.NONE,
                DAY.plusYears(1),
                Product.State.USABLE,
                Set.of());
    }

    private static List<String> codes(Taxon taxon, Person person, DosingGate.Intake intake) {
        return DosingGate.check(product(taxon), person, intake, DAY).stream()
                .map(Finding::code)
                .toList();
    }

    private static Person adult(Set<MedicineClass> medicines) {
        return new Person("P", 40, 70.0, null, null, false, Set.of(), medicines, Set.of(), null);
    }

    @Test
    public void theStrictestDoseOfTheRouteAndAgeCounts() {
        Taxon two = Cards.card("herb")
                .part(
                        0.5,
                        0.5,
                        Set.of(Route.INTERNAL),
                        Cards.dose("ache", 18, 1, 2, 14),
                        Cards.dose("sleep", 40, 1, 1, 14),
                        new Taxon.DoseRange(
                                "bruise", Route.EXTERNAL, "cream", 0, Interval.of(0, 0.1), null, Cards.SOURCE))
                .build();
        // Half of it each: 10 mL x 0.2 x 0.5 = 1 g.
        assertThat(codes(two, adult(Set.of()), DosingGate.Intake.mouth(3, 10, 5)))
                .doesNotContain("DOSE_ABOVE_CARD");
        assertThat(codes(two, adult(Set.of()), DosingGate.Intake.mouth(3, 10.2, 5)))
                .contains("DOSE_ABOVE_CARD");
        Person younger = new Person("P", 39, 70.0, null, null, false, Set.of(), Set.of(), Set.of(), null);
        assertThat(codes(two, younger, DosingGate.Intake.mouth(3, 20, 5))).doesNotContain("DOSE_ABOVE_CARD");
    }

    @Test
    public void aCardsWordOnAMedicineIsPassedOn() {
        Taxon card = Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 18, 1, 2, 14))
                .caution(Subject.MEDICINE, "DIGOXIN", CautionStatus.PRESENT, Severity.STOP)
                .caution(Subject.MEDICINE, "LITHIUM", CautionStatus.NONE_FOUND, null)
                .build();
        var intake = DosingGate.Intake.mouth(1, 3, 5);
        assertThat(codes(card, adult(Set.of(MedicineClass.DIGOXIN)), intake)).contains("CAUTION_MEDICINE");
        assertThat(codes(card, adult(Set.of(MedicineClass.LITHIUM)), intake))
                .doesNotContain("CAUTION_MEDICINE", "NOT_CHECKED");
        assertThat(codes(card, adult(Set.of(MedicineClass.ANTICOAGULANT)), intake))
                .contains("NOT_CHECKED");
    }

    @Test
    public void aTrialOnTheSkinIsAskedForOnTheSkin() {
        Taxon card = Cards.card("herb").part(0.5, 0.5, Set.of(Route.EXTERNAL)).build();
        var untried =
                new DosingGate.Intake(DosingGate.Way.SKIN, null, 0, 0, 5, List.of(), false, false, null, 0, null, null);
        assertThat(DosingGate.check(product(card), adult(Set.of()), untried, DAY))
                .anySatisfy(f -> assertThat(f.action()).contains("patch of skin"));
    }
}
