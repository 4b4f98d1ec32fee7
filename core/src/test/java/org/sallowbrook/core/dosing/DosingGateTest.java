package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** From a dose with nothing against it, each gate by itself, and what must not slip past it. */
public class DosingGateTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    /** Allowed by mouth from 18 years, 1 to 2 g a day, at most 14 days. */
    private static Cards.Builder herb() {
        return Cards.card("herb").part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 18, 1, 2, 14));
    }

    private static Product product(Taxon taxon, Strength strength) {
        return new Product(
                "the bottle",
                Route.INTERNAL,
                List.of(new Product.Herb(taxon, Taxon.Part.HERB, 1)),
                Interval.of(0.18, 0.2),
                strength,
                DAY.plusYears(1),
                Product.State.USABLE,
                false);
    }

    private static Product of(Taxon taxon) {
        return product(taxon, Strength.NONE);
    }

    private static Person adult(Set<MedicineClass> medicines, Set<Condition> conditions) {
        return new Person("Ilse", 58, 72.0, 168.0, null, false, conditions, medicines, Set.of(), null);
    }

    private static final Person WELL = adult(Set.of(), Set.of());

    private static DosingGate.Intake mouth(double mlPerDay, int days) {
        return new DosingGate.Intake(DosingGate.Way.MOUTH, null, mlPerDay / 3, mlPerDay, days, Map.of(), true, false);
    }

    private static List<Finding> check(Product product, Person person, DosingGate.Intake intake) {
        return DosingGate.check(product, person, intake, DAY);
    }

    private static List<String> stops(List<Finding> findings) {
        return findings.stream()
                .filter(f -> f.severity() == Severity.STOP)
                .map(Finding::code)
                .toList();
    }

    @Test
    public void aKnownDoseForAWellAdultPassesAndSaysItIsUnchecked() {
        var findings = check(of(herb().build()), WELL, mouth(9, 14));
        assertThat(findings).extracting(Finding::code).containsExactly("STARTER_FIGURE");
    }

    @Test
    public void theUpperEndOverTheDayAndOtherProductsIsCompared() {
        Product bottle = of(herb().build());
        assertThat(stops(check(bottle, WELL, mouth(10, 14)))).isEmpty();
        assertThat(stops(check(bottle, WELL, mouth(10.1, 14)))).containsExactly("DOSE_ABOVE_CARD");
        var besides = new DosingGate.Intake(
                DosingGate.Way.MOUTH, null, 3, 9, 14, Map.of("herb", 0.3, "other", 99.0), true, false);
        assertThat(stops(check(bottle, WELL, besides))).containsExactly("DOSE_ABOVE_CARD");
        assertThat(stops(check(bottle, WELL, mouth(9, 15)))).containsExactly("COURSE_TOO_LONG");
    }

    @Test
    public void whereTheCardIsSilentNoDoseIsGiven() {
        Taxon silent = Cards.card("herb").part(0.5, 0.5, Set.of(Route.INTERNAL)).build();
        assertThat(stops(check(of(silent), WELL, mouth(1, 5)))).containsExactly("NO_CARD_FIGURE");
        var forOther = new DosingGate.Intake(DosingGate.Way.MOUTH, "another use", 1, 3, 5, Map.of(), true, false);
        assertThat(stops(check(of(herb().build()), WELL, forOther))).containsExactly("NO_CARD_FIGURE");
    }

    @DataProvider
    public Object[][] states() {
        return new Object[][] {
            {Product.State.QUARANTINED, "QUARANTINED"},
            {Product.State.DESTROYED, "DESTROYED"},
            {Product.State.HOLD, "ON_HOLD"},
        };
    }

    @Test(dataProvider = "states")
    public void onlyAUsableLotIsDosed(Product.State state, String code) {
        Product p = of(herb().build());
        Product bad = new Product(
                p.name(), p.route(), p.herbs(), p.driedEquivalentGPerMl(), p.strength(), p.bestBefore(), state, false);
        assertThat(stops(check(bad, WELL, mouth(9, 5)))).containsExactly(code);
    }

    @Test
    public void theLastGoodDayIsGoodAndTheNextIsNot() {
        Product p = of(herb().build());
        assertThat(stops(DosingGate.check(p, WELL, mouth(9, 5), p.bestBefore())))
                .isEmpty();
        assertThat(stops(DosingGate.check(p, WELL, mouth(9, 5), p.bestBefore().plusDays(1))))
                .containsExactly("EXPIRED");
    }

    @DataProvider
    public Object[][] refusedWays() {
        return EnumSet.of(
                        DosingGate.Way.SMOKED,
                        DosingGate.Way.EYE,
                        DosingGate.Way.EAR,
                        DosingGate.Way.INJECTION,
                        DosingGate.Way.ENEMA)
                .stream()
                .map(w -> new Object[] {w})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "refusedWays")
    public void someWaysAreNeverPlanned(DosingGate.Way way) {
        var intake = new DosingGate.Intake(way, null, 1, 1, 1, Map.of(), true, false);
        assertThat(stops(check(of(herb().build()), WELL, intake))).contains("ROUTE_REFUSED");
    }

    @DataProvider
    public Object[][] weakened() {
        return EnumSet.of(
                        MedicineClass.ANTICOAGULANT,
                        MedicineClass.CONTRACEPTIVE,
                        MedicineClass.IMMUNOSUPPRESSANT,
                        MedicineClass.ANTIRETROVIRAL,
                        MedicineClass.DIGOXIN,
                        MedicineClass.HEART_RHYTHM)
                .stream()
                .map(m -> new Object[] {m})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "weakened")
    public void inductionWeakensMedicines(MedicineClass medicine) {
        Product bottle = of(herb().holds(Constituent.HYPERFORIN).build());
        var findings = check(bottle, adult(Set.of(medicine), Set.of()), mouth(9, 5));
        assertThat(stops(findings)).containsExactly("WEAKENS_MEDICINE");
        // Never a suggestion to change the medicine, and no trial where it is stopped.
        assertThat(findings).allSatisfy(f -> assertThat(f.action()).doesNotContain("stop the medicine"));
        assertThat(findings).extracting(Finding::code).doesNotContain("FIRST_TIME", "NOT_CHECKED");
    }

    @Test
    public void salicylatesAreStoppedForEachOfTheirReasons() {
        Product bottle = of(herb().holds(Constituent.SALICYLATE)
                .caution(Subject.PREGNANCY, "", CautionStatus.NONE_FOUND, null)
                .caution(Subject.UNDER_AGE, "", CautionStatus.NONE_FOUND, null)
                .build());
        List<Person> refused = List.of(
                adult(Set.of(MedicineClass.ANTICOAGULANT), Set.of()),
                adult(Set.of(MedicineClass.ANTIPLATELET), Set.of()),
                adult(Set.of(), Set.of(Condition.ACTIVE_ULCER)),
                adult(Set.of(), Set.of(Condition.SALICYLATE_ALLERGY)),
                new Person("teen", 17, 60.0, 170.0, null, false, Set.of(), Set.of(), Set.of(), null),
                new Person("late", 30, 70.0, 170.0, 3, false, Set.of(), Set.of(), Set.of(), null));
        for (Person person : refused) {
            assertThat(stops(check(bottle, person, mouth(9, 5))))
                    .as(person.name())
                    .contains("SALICYLATE");
        }
        Person early = new Person("early", 30, 70.0, 170.0, 2, false, Set.of(), Set.of(), Set.of(), null);
        assertThat(stops(check(bottle, early, mouth(9, 5)))).isEmpty();
    }

    @Test
    public void pyrrolizidineNeverByMouthAndHardlyOnSkin() {
        Product bottle = of(herb().holds(Constituent.PYRROLIZIDINE).build());
        assertThat(stops(check(bottle, WELL, mouth(9, 5)))).contains("PYRROLIZIDINE");
        var tenDays = new DosingGate.Intake(DosingGate.Way.SKIN, null, 0, 0, 10, Map.of(), true, false);
        var eleven = new DosingGate.Intake(DosingGate.Way.SKIN, null, 0, 0, 11, Map.of(), true, false);
        assertThat(stops(check(bottle, WELL, tenDays))).isEmpty();
        assertThat(stops(check(bottle, WELL, eleven))).containsExactly("PYRROLIZIDINE");
        Person feeding = new Person("f", 30, null, null, null, true, Set.of(), Set.of(), Set.of(), null);
        assertThat(stops(check(bottle, feeding, tenDays))).containsExactly("PYRROLIZIDINE");
        Person child = new Person("c", 9, 31.0, null, null, false, Set.of(), Set.of(), Set.of(), null);
        assertThat(stops(check(bottle, child, tenDays))).containsExactly("PYRROLIZIDINE");
    }

    /** A blank never reads as safe. */
    @Test
    public void silenceCountsAsStopOrHold() {
        Product bottle = of(herb().build());
        Person pregnant = new Person("p", 30, 70.0, null, 1, false, Set.of(), Set.of(), Set.of(), null);
        Person feeding = new Person("f", 30, 70.0, null, null, true, Set.of(), Set.of(), Set.of(), null);
        Person child = new Person("c", 9, 31.0, null, null, false, Set.of(), Set.of(), Set.of(), null);
        for (Person person : List.of(pregnant, feeding, child)) {
            assertThat(stops(check(bottle, person, mouth(3, 5)))).contains("NOT_CHECKED");
        }
        for (MedicineClass narrow : List.of(
                MedicineClass.ANTICOAGULANT,
                MedicineClass.IMMUNOSUPPRESSANT,
                MedicineClass.ANTIEPILEPTIC,
                MedicineClass.DIGOXIN,
                MedicineClass.LITHIUM)) {
            assertThat(check(bottle, adult(Set.of(narrow), Set.of()), mouth(9, 5)))
                    .filteredOn(f -> f.severity() == Severity.HOLD)
                    .extracting(Finding::code)
                    .containsExactly("NOT_CHECKED");
        }
        Person soon = new Person("o", 40, 70.0, null, null, false, Set.of(), Set.of(), Set.of(), DAY.plusDays(14));
        assertThat(check(bottle, soon, mouth(9, 5))).extracting(Finding::code).contains("NOT_CHECKED");
        Person later = new Person("o", 40, 70.0, null, null, false, Set.of(), Set.of(), Set.of(), DAY.plusDays(15));
        assertThat(check(bottle, later, mouth(9, 5))).extracting(Finding::code).doesNotContain("NOT_CHECKED");
    }

    @Test
    public void aCautionOnTheCardSpeaksWithItsSource() {
        Product bottle =
                of(herb().caution(Subject.CONDITION, Condition.GALLSTONES.name(), CautionStatus.PRESENT, Severity.WARN)
                        .build());
        var findings = check(bottle, adult(Set.of(), Set.of(Condition.GALLSTONES)), mouth(9, 5));
        assertThat(findings).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo("CAUTION_CONDITION");
            assertThat(f.severity()).isEqualTo(Severity.WARN);
            assertThat(f.action()).contains("An invented book", "2020");
        });
    }

    @Test
    public void allergyToTheFamilyStops() {
        Person allergic = new Person("a", 40, 70.0, null, null, false, Set.of(), Set.of(), Set.of("Inventaceae"), null);
        assertThat(stops(check(of(herb().build()), allergic, mouth(9, 5)))).containsExactly("ALLERGY");
    }

    @Test
    public void actionsImplyTheirWarnings() {
        Product bottle = of(herb().acts("sedative").acts("diuretic").build());
        var findings =
                check(bottle, adult(Set.of(MedicineClass.SEDATIVE, MedicineClass.DIURETIC), Set.of()), mouth(9, 5));
        assertThat(findings).extracting(Finding::code).contains("ADDS_TO_SEDATIVE", "ADDS_TO_DIURETIC", "MAKES_SLEEPY");
    }

    @Test
    public void alcoholIsStoppedForWhomItHarms() {
        Product tincture = product(
                herb().caution(Subject.PREGNANCY, "", CautionStatus.NONE_FOUND, null)
                        .build(),
                Strength.ofPercent(45));
        Person pregnant = new Person("p", 30, 70.0, null, 2, false, Set.of(), Set.of(), Set.of(), null);
        List<Person> refused = new ArrayList<>(List.of(
                pregnant,
                adult(Set.of(), Set.of(Condition.RECOVERY_FROM_DRINK)),
                adult(Set.of(MedicineClass.ALCOHOL_REACTING), Set.of())));
        for (Person person : refused) {
            assertThat(stops(check(tincture, person, mouth(6, 5)))).contains("ALCOHOL");
        }
        assertThat(stops(check(tincture, WELL, mouth(6, 5)))).isEmpty();
    }

    @Test
    public void graveIllnessAndInfantsAreReferred() {
        Product bottle = of(herb().grave("heart failure").build());
        var intake = new DosingGate.Intake(DosingGate.Way.MOUTH, "Heart failure", 1, 3, 5, Map.of(), true, false);
        assertThat(stops(check(bottle, WELL, intake))).contains("GRAVE_ILLNESS");
        Person infant = new Person("i", 0, 8.0, null, null, false, Set.of(), Set.of(), Set.of(), null);
        Product honey = new Product(
                "oxymel", Route.INTERNAL, List.of(), null, Strength.NONE, DAY.plusDays(9), Product.State.USABLE, true);
        assertThat(stops(check(honey, infant, mouth(1, 1)))).contains("HONEY");
        assertThat(stops(check(bottle, infant, mouth(1, 1)))).contains("UNDER_TWO");
    }

    @Test
    public void theFirstTimeIsHeldUntilTriedUnlessItIsTheTrial() {
        Product bottle = of(herb().build());
        var untried = new DosingGate.Intake(DosingGate.Way.MOUTH, null, 1, 3, 5, Map.of(), false, false);
        var trial = new DosingGate.Intake(DosingGate.Way.MOUTH, null, 1, 3, 1, Map.of(), false, true);
        assertThat(check(bottle, WELL, untried)).extracting(Finding::code).contains("FIRST_TIME");
        assertThat(check(bottle, WELL, trial)).extracting(Finding::code).doesNotContain("FIRST_TIME");
    }

    @Test
    public void whatIsForTheOutsideNeverGoesIn() {
        Product p = of(herb().build());
        Product outside = new Product(
                p.name(),
                Route.EXTERNAL,
                p.herbs(),
                p.driedEquivalentGPerMl(),
                p.strength(),
                p.bestBefore(),
                p.state(),
                false);
        assertThat(stops(check(outside, WELL, mouth(9, 5)))).containsExactly("OUTSIDE_ONLY");
    }
}
