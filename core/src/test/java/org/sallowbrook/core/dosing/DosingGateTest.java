package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.dosing.pattern.Daily;
import org.sallowbrook.core.dosing.pattern.EveryHours;
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
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.Trait;
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
                Set.of());
    }

    private static Product of(Taxon taxon) {
        return product(taxon, Strength.NONE);
    }

    private static Person adult(Set<MedicineClass> medicines, Set<Condition> conditions) {
        return new Person("Ilse", 58, 72.0, 168.0, null, false, conditions, medicines, Set.of(), null);
    }

    private static final Person WELL = adult(Set.of(), Set.of());

    private static DosingGate.Intake mouth(double mlPerDay, int days) {
        return new DosingGate.Intake(
                DosingGate.Way.MOUTH, null, mlPerDay / 3, mlPerDay, days, List.of(), true, false, null, 0, null, null);
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
    public void farBelowTheCardIsSaid() {
        // 0.2 g/mL at most: half of the card's least gram is 2.5 mL.
        assertThat(check(of(herb().build()), WELL, mouth(2.6, 14)))
                .extracting(Finding::code)
                .doesNotContain("DOSE_FAR_BELOW_CARD");
        assertThat(check(of(herb().build()), WELL, mouth(2.4, 14)))
                .filteredOn(f -> f.severity() == Severity.NOTE)
                .extracting(Finding::code)
                .contains("DOSE_FAR_BELOW_CARD");
    }

    @Test
    public void aDoseTypedTenTimesTooSmallIsAskedAbout() {
        assertThat(DoseCheck.of(Amount.of(0.3, Unit.G), Amount.of(3, Unit.G)))
                .get()
                .extracting(Finding::severity)
                .isEqualTo(Severity.WARN);
        assertThat(DoseCheck.of(Amount.of(0.8, Unit.G), Amount.of(3, Unit.G))).isEmpty();
    }

    /** The card's dose is of a tincture. */
    @Test
    public void aDoseOfAnotherFormIsNotedAsSuch() {
        assertThat(check(of(herb().build()).drawn(Product.Drawn.WATER), WELL, mouth(9, 14)))
                .extracting(Finding::code)
                .contains("OTHER_FORM");
        assertThat(check(of(herb().build()).drawn(Product.Drawn.SPIRIT), WELL, mouth(9, 14)))
                .extracting(Finding::code)
                .doesNotContain("OTHER_FORM");
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
                DosingGate.Way.MOUTH,
                null,
                3,
                9,
                14,
                List.of(
                        new Taking(herb().build(), Taxon.Part.HERB, 0.3),
                        new Taking(Cards.card("other").build(), Taxon.Part.HERB, 99.0)),
                true,
                false,
                null,
                0,
                null,
                null);
        assertThat(stops(check(bottle, WELL, besides))).containsExactly("DOSE_ABOVE_CARD");
        assertThat(stops(check(bottle, WELL, mouth(9, 15)))).containsExactly("COURSE_TOO_LONG");
    }

    @Test
    public void whereTheCardIsSilentNoDoseIsGiven() {
        Taxon silent = Cards.card("herb").part(0.5, 0.5, Set.of(Route.INTERNAL)).build();
        assertThat(stops(check(of(silent), WELL, mouth(1, 5)))).containsExactly("NO_CARD_FIGURE");
        var forOther = new DosingGate.Intake(
                DosingGate.Way.MOUTH, "another use", 1, 3, 5, List.of(), true, false, null, 0, null, null);
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
                p.name(), p.route(), p.herbs(), p.driedGPerUnit(), p.strength(), p.bestBefore(), state, Set.of());
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
        var intake = new DosingGate.Intake(way, null, 1, 1, 1, List.of(), true, false, null, 0, null, null);
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
        var tenDays = new DosingGate.Intake(
                DosingGate.Way.SKIN, null, 0, 0, 10, List.of(), true, false, DosingGate.Skin.INTACT, 0, null, null);
        var eleven = new DosingGate.Intake(
                DosingGate.Way.SKIN, null, 0, 0, 11, List.of(), true, false, DosingGate.Skin.INTACT, 0, null, null);
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
        // However it was written: by its Latin in any case, by the older name, as people say it.
        for (String written : List.of("Poaceae", "poaceae ", "GRAMINEAE", "the grass family", "grass")) {
            Person allergic = new Person("a", 40, 70.0, null, null, false, Set.of(), Set.of(), Set.of(written), null);
            assertThat(stops(check(of(herb().build()), allergic, mouth(9, 5))))
                    .as(written)
                    .containsExactly("ALLERGY");
        }
        Person unreadable = new Person("a", 40, 70.0, null, null, false, Set.of(), Set.of(), Set.of("Gras"), null);
        assertThat(check(of(herb().build()), unreadable, mouth(9, 5))).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo("ALLERGY_UNREADABLE");
            assertThat(f.severity()).isEqualTo(Severity.HOLD);
        });
    }

    /** A course is judged to its last day, and with the days before it that were no real pause. */
    @Test
    public void aCourseNeitherOutlivesItsProductNorStartsTheCountAnew() {
        Product bottle = of(herb().build());
        var within = new DosingGate.Intake(
                DosingGate.Way.MOUTH, null, 1, 3, 14, List.of(), true, false, null, 0, bottle.bestBefore(), null);
        assertThat(stops(check(bottle, WELL, within))).isEmpty();
        var beyond = new DosingGate.Intake(
                DosingGate.Way.MOUTH,
                null,
                1,
                3,
                14,
                List.of(),
                true,
                false,
                null,
                0,
                bottle.bestBefore().plusDays(1),
                null);
        assertThat(stops(check(bottle, WELL, beyond))).containsExactly("EXPIRES_DURING");
        var again = new DosingGate.Intake(
                DosingGate.Way.MOUTH, null, 1, 3, 14, List.of(), true, false, null, 1, null, null);
        assertThat(stops(check(bottle, WELL, again))).containsExactly("COURSE_TOO_LONG");
    }

    @Test
    public void aPauseCountsOnlyWhenItIsLongEnough() {
        LocalDate start = LocalDate.of(2026, 7, 15);
        assertThat(Exposure.daysBefore(List.of(), start)).isZero();
        assertThat(Exposure.daysBefore(List.of(start.minusDays(14)), start)).isEqualTo(14);
        assertThat(Exposure.daysBefore(List.of(start.minusDays(15)), start)).isZero();
        assertThat(Exposure.daysBefore(List.of(start.minusDays(20), start.minusDays(10), start.plusDays(3)), start))
                .isEqualTo(20);
    }

    /** Of several entries the strictest speaks, whatever their order. */
    @Test
    public void aBlankOrKindEntryNeverHidesAStrictOne() {
        Person pregnant = new Person("p", 30, 70.0, null, 1, false, Set.of(), Set.of(), Set.of(), null);
        for (boolean kindFirst : new boolean[] {true, false}) {
            var card = herb();
            if (kindFirst) {
                card.caution(Subject.PREGNANCY, "", CautionStatus.NONE_FOUND, null);
            }
            card.caution(Subject.PREGNANCY, "1", CautionStatus.PRESENT, Severity.STOP);
            if (!kindFirst) {
                card.caution(Subject.PREGNANCY, "", CautionStatus.NONE_FOUND, null);
            }
            assertThat(stops(check(of(card.build()), pregnant, mouth(9, 5)))).contains("CAUTION_PREGNANCY");
        }
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
        var intake = new DosingGate.Intake(
                DosingGate.Way.MOUTH, "Heart failure", 1, 3, 5, List.of(), true, false, null, 0, null, null);
        assertThat(stops(check(bottle, WELL, intake))).contains("GRAVE_ILLNESS");
        Person infant = new Person("i", 0, 8.0, null, null, false, Set.of(), Set.of(), Set.of(), null);
        Product honey = new Product(
                "oxymel",
                Route.INTERNAL,
                List.of(),
                null,
                Strength.NONE,
                DAY.plusDays(9),
                Product.State.USABLE,
                Set.of(Trait.HONEY));
        assertThat(stops(check(honey, infant, mouth(1, 1)))).contains("HONEY");
        assertThat(stops(check(bottle, infant, mouth(1, 1)))).contains("UNDER_TWO");
    }

    @Test
    public void whatWasMadeForGrownUpsReachesNoChildAndNobodyExpecting() {
        Object[][] cases = {
            {Set.of(Trait.ESSENTIAL_OIL), 1, null, "ESSENTIAL_OIL_INFANT"},
            {Set.of(Trait.ESSENTIAL_OIL), 2, null, null},
            {Set.of(Trait.ESSENTIAL_OIL, Trait.COOLING_OIL), 5, null, "COOLING_OIL"},
            {Set.of(Trait.ESSENTIAL_OIL, Trait.COOLING_OIL), 6, null, null},
            {Set.of(Trait.ESSENTIAL_OIL, Trait.ESSENTIAL_OIL_FOR_ADULTS), 17, null, "ESSENTIAL_OIL_CHILD"},
            {Set.of(Trait.ESSENTIAL_OIL, Trait.ESSENTIAL_OIL_FOR_ADULTS), 18, null, null},
            {Set.of(Trait.ESSENTIAL_OIL), 30, 2, "ESSENTIAL_OIL_PREGNANT"},
        };
        for (Object[] c : cases) {
            @SuppressWarnings("unchecked")
            Product salve = with((Set<Trait>) c[0], Route.EXTERNAL);
            Person person =
                    new Person("p", (int) c[1], 20.0, null, (Integer) c[2], false, Set.of(), Set.of(), Set.of(), null);
            var skin = new DosingGate.Intake(
                    DosingGate.Way.SKIN, null, 1, 2, 5, List.of(), true, false, null, 0, null, null);
            assertThat(stops(check(salve, person, skin)).stream()
                            .filter(s -> s.contains("OIL"))
                            .toList())
                    .as(java.util.Arrays.toString(c))
                    .isEqualTo(c[3] == null ? List.of() : List.of(c[3]));
        }
    }

    @Test
    public void whatIsKeptBySaltIsNotForAWeakHeart() {
        Product salted = with(Set.of(Trait.SALTED), Route.INTERNAL);
        assertThat(stops(check(salted, WELL, mouth(9, 5)))).isEmpty();
        assertThat(stops(check(salted, adult(Set.of(), Set.of(Condition.HEART_FAILURE)), mouth(9, 5))))
                .contains("SALTED");
    }

    private static Product with(Set<Trait> traits, Route route) {
        Product p = of(herb().build());
        return new Product(
                p.name(), route, p.herbs(), p.driedGPerUnit(), p.strength(), p.bestBefore(), p.state(), traits);
    }

    @Test
    public void theFirstTimeIsHeldUntilTriedUnlessItIsTheTrial() {
        Product bottle = of(herb().build());
        var untried = new DosingGate.Intake(
                DosingGate.Way.MOUTH, null, 1, 3, 5, List.of(), false, false, null, 0, null, null);
        var trial =
                new DosingGate.Intake(DosingGate.Way.MOUTH, null, 1, 3, 1, List.of(), false, true, null, 0, null, null);
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
                p.driedGPerUnit(),
                p.strength(),
                p.bestBefore(),
                p.state(),
                Set.of());
        assertThat(stops(check(outside, WELL, mouth(9, 5)))).containsExactly("OUTSIDE_ONLY");
    }

    @Test
    public void nothingHomeMadeGoesOnAWound() {
        for (DosingGate.Skin skin : DosingGate.Skin.values()) {
            var intake = new DosingGate.Intake(
                    DosingGate.Way.SKIN, null, 0, 0, 5, List.of(), true, false, skin, 0, null, null);
            assertThat(stops(check(of(herb().build()), WELL, intake)).contains("WOUND"))
                    .isEqualTo(skin == DosingGate.Skin.WOUND);
        }
    }

    @DataProvider
    public Object[][] skins() {
        var comfrey = herb().holds(Constituent.PYRROLIZIDINE).build();
        var arnica = Cards.card("arnica")
                .holds(Taxon.Constituent.SESQUITERPENE_LACTONE)
                .part(0.3, 0.3, Set.of(Route.EXTERNAL))
                .build();
        var eaten = Cards.card("eaten")
                .holds(Taxon.Constituent.SESQUITERPENE_LACTONE)
                .part(0.3, 0.3, Set.of(Route.INTERNAL))
                .build();
        return new Object[][] {
            {comfrey, DosingGate.Skin.INTACT, false},
            {comfrey, DosingGate.Skin.SMALL_CLEAN_CUT, true},
            {comfrey, null, true},
            {arnica, DosingGate.Skin.INTACT, false},
            {arnica, DosingGate.Skin.SMALL_CLEAN_CUT, true},
            {arnica, null, true},
            {eaten, DosingGate.Skin.SMALL_CLEAN_CUT, false},
            {herb().build(), DosingGate.Skin.SMALL_CLEAN_CUT, false},
        };
    }

    @Test(dataProvider = "skins")
    public void whatPoisonsThroughACutGoesOnWholeSkinOnly(Taxon taxon, DosingGate.Skin skin, boolean stopped) {
        var intake =
                new DosingGate.Intake(DosingGate.Way.SKIN, null, 0, 0, 5, List.of(), true, false, skin, 0, null, null);
        assertThat(stops(check(of(taxon), WELL, intake)).contains("INTACT_ONLY"))
                .isEqualTo(stopped);
    }

    @DataProvider
    public Object[][] lingering() {
        return new Object[][] {
            {MedicineClass.CONTRACEPTIVE, 28, false},
            {MedicineClass.EMERGENCY_CONTRACEPTIVE, 28, false},
            {MedicineClass.STATIN, 14, false},
            {MedicineClass.ANTICOAGULANT, 14, true},
            {MedicineClass.IMMUNOSUPPRESSANT, 14, true},
            {MedicineClass.DIGOXIN, 14, true},
        };
    }

    @Test(dataProvider = "lingering")
    public void whatWeakenedAMedicineLingersForWeeks(MedicineClass medicine, int days, boolean rises) {
        Person taking = adult(Set.of(medicine), Set.of());
        for (int daysAgo : new int[] {0, days, days + 1}) {
            var intake = new DosingGate.Intake(
                    DosingGate.Way.MOUTH, null, 1, 3, 5, List.of(), true, false, null, 0, null, DAY.minusDays(daysAgo));
            assertThat(check(of(herb().build()), taking, intake).stream()
                            .filter(f -> f.code().equals("INDUCTION_LINGERS") && f.severity() == Severity.HOLD)
                            .map(f -> f.message().contains("may rise")))
                    .isEqualTo(daysAgo <= days ? List.of(rises) : List.of());
            assertThat(check(of(herb().build()), WELL, intake))
                    .extracting(Finding::code)
                    .doesNotContain("INDUCTION_LINGERS");
        }
    }

    @DataProvider
    public Object[][] salicylates() {
        return new Object[][] {
            {adult(Set.of(), Set.of(Condition.SALICYLATE_ASTHMA)), "SALICYLATE", Severity.STOP},
            {adult(Set.of(), Set.of(Condition.BLEEDING_DISORDER)), "SALICYLATE", Severity.STOP},
            {adult(Set.of(), Set.of(Condition.KIDNEY_DISEASE)), "SALICYLATE", Severity.STOP},
            {adult(Set.of(), Set.of(Condition.LIVER_DISEASE)), "SALICYLATE", Severity.STOP},
            {adult(Set.of(), Set.of(Condition.G6PD_DEFICIENCY)), "SALICYLATE", Severity.STOP},
            {adult(Set.of(MedicineClass.METHOTREXATE), Set.of()), "SALICYLATE", Severity.STOP},
            {adult(Set.of(), Set.of(Condition.ASTHMA)), "SALICYLATE_ASTHMA", Severity.WARN},
            {adult(Set.of(MedicineClass.ANTI_INFLAMMATORY), Set.of()), "SALICYLATE_ADDS", Severity.WARN},
            {adult(Set.of(MedicineClass.SSRI), Set.of()), "SALICYLATE_ADDS", Severity.WARN},
            {adult(Set.of(MedicineClass.BLOOD_PRESSURE), Set.of()), "SALICYLATE_ADDS", Severity.WARN},
            {adult(Set.of(MedicineClass.INSULIN_OR_SULFONYLUREA), Set.of()), "SALICYLATE_ADDS", Severity.WARN},
            {adult(Set.of(MedicineClass.LITHIUM), Set.of()), "SALICYLATE_ADDS", Severity.WARN},
            {adult(Set.of(MedicineClass.DIURETIC), Set.of()), "SALICYLATE_ADDS", Severity.WARN},
            {operated(5), "SALICYLATE", Severity.STOP},
        };
    }

    private static Person operated(int inDays) {
        return new Person("P", 40, 70.0, 170.0, null, false, Set.of(), Set.of(), Set.of(), DAY.plusDays(inDays));
    }

    @Test(dataProvider = "salicylates")
    public void salicylatesMeetEveryReason(Person person, String code, Severity severity) {
        Taxon willow = herb().holds(Constituent.SALICYLATE).build();
        assertThat(check(of(willow), person, mouth(3, 5)))
                .anyMatch(f -> f.code().equals(code) && f.severity() == severity);
        assertThat(check(of(herb().build()), person, mouth(3, 5)))
                .noneMatch(f -> f.code().startsWith("SALICYLATE"));
    }

    @Test
    public void alcoholIsRefusedForEachOfItsReasonsAndOffersAnotherWay() {
        Product tincture = product(herb().build(), Strength.ofPercent(40));
        List<Person> refused = List.of(
                adult(Set.of(MedicineClass.SEDATIVE), Set.of()),
                adult(Set.of(MedicineClass.ANTIEPILEPTIC), Set.of()),
                adult(Set.of(MedicineClass.ALCOHOL_REACTING), Set.of()),
                adult(Set.of(), Set.of(Condition.LIVER_DISEASE)),
                adult(Set.of(), Set.of(Condition.EPILEPSY)),
                new Person("P", 30, 60.0, 165.0, null, true, Set.of(), Set.of(), Set.of(), null));
        for (Person person : refused) {
            assertThat(check(tincture, person, mouth(3, 5)))
                    .anyMatch(f -> f.code().equals("ALCOHOL")
                            && f.severity() == Severity.STOP
                            && f.action().contains("glycerite"));
        }
        Person child = new Person("P", 9, null, null, null, false, Set.of(), Set.of(), Set.of(), null);
        assertThat(check(tincture, child, mouth(3, 5))).anyMatch(f -> f.code().equals("WEIGHT_UNKNOWN"));
        assertThat(check(product(herb().build(), Strength.ofPercent(0)), child, mouth(3, 5)))
                .noneMatch(f -> f.code().equals("WEIGHT_UNKNOWN"));
    }

    @Test
    public void aMedicineNobodyCanPlaceIsNeverSilence() {
        for (MedicineClass unlisted : List.of(MedicineClass.OTHER, MedicineClass.NOT_SURE)) {
            Person person = adult(Set.of(unlisted), Set.of());
            assertThat(check(of(herb().build()), person, mouth(3, 5)))
                    .anyMatch(f -> f.code().equals("UNLISTED_MEDICINE") && f.severity() == Severity.WARN);
            assertThat(check(of(herb().holds(Constituent.COUMARIN).build()), person, mouth(3, 5)))
                    .anyMatch(f -> f.code().equals("UNLISTED_MEDICINE") && f.severity() == Severity.HOLD);
            assertThat(stops(check(of(herb().holds(Constituent.HYPERFORIN).build()), person, mouth(3, 5))))
                    .contains("WITH_ANY_MEDICINE");
        }
    }

    @Test
    public void serotoninIsNamedAsADangerNotAsWeakening() {
        Taxon wort = herb().holds(Constituent.HYPERFORIN).build();
        for (MedicineClass medicine :
                List.of(MedicineClass.ANTIDEPRESSANT, MedicineClass.TRIPTAN, MedicineClass.SEROTONERGIC_PAIN_KILLER)) {
            assertThat(stops(check(of(wort), adult(Set.of(medicine), Set.of()), mouth(3, 5))))
                    .contains("SEROTONIN")
                    .doesNotContain("WEAKENS_MEDICINE");
        }
    }

    @Test
    public void theSunAndTheWheelConcernEverybody() {
        Taxon plant = herb().caution(Taxon.Subject.SUN, "", Taxon.CautionStatus.PRESENT, Severity.WARN)
                .caution(Taxon.Subject.DRIVING, "", Taxon.CautionStatus.PRESENT, Severity.STOP)
                .build();
        assertThat(codes(of(plant), WELL, mouth(3, 5))).contains("CAUTION_SUN", "CAUTION_DRIVING");
    }

    @Test
    public void aDoseBeforeItsLeastIntervalIsTooSoon() {
        Instant noon = Instant.parse("2026-07-01T12:00:00Z");
        Double six = new EveryHours(6, null).leastHours();
        assertThat(new Daily().leastHours()).isNull();
        var nettle = new LeastInterval.Before(noon, Set.of("nettle", "daisy"), six, false);
        Instant almost = noon.plusSeconds(6 * 3600 - 1);
        assertThat(LeastInterval.check(Set.of("nettle"), six, List.of(nettle), almost))
                .extracting(Finding::code)
                .containsExactly("TOO_SOON");
        assertThat(LeastInterval.check(Set.of("nettle"), six, List.of(nettle), noon.plusSeconds(6 * 3600)))
                .isEmpty();
        assertThat(LeastInterval.check(Set.of("nettle"), six, List.of(), noon)).isEmpty();
        // The plant's, whichever course asks for it: another bottle of it, taken daily, waits as well.
        assertThat(LeastInterval.check(Set.of("nettle"), null, List.of(nettle), almost))
                .hasSize(1);
        assertThat(LeastInterval.check(Set.of("nettle"), 24.0, List.of(nettle), noon.plusSeconds(23 * 3600)))
                .hasSize(1);
        assertThat(LeastInterval.check(Set.of("lime"), six, List.of(nettle), almost))
                .isEmpty();
        // What was tapped and taken back at once may be down: asked about, not stopped.
        var tapped = new LeastInterval.Before(noon, Set.of("nettle"), six, true);
        assertThat(LeastInterval.check(Set.of("nettle"), six, List.of(tapped), almost))
                .extracting(Finding::code)
                .containsExactly("TOO_SOON_IF_SWALLOWED");
    }

    private static Person aged(int years) {
        return new Person("P", years, 40.0, 150.0, null, false, Set.of(), Set.of(), Set.of(), null);
    }

    private static DosingGate.Intake onSkin() {
        return new DosingGate.Intake(DosingGate.Way.SKIN, null, 0, 0, 5, List.of(), true, false, null, 0, null, null);
    }

    /** Allowed by mouth at any age, so that only the caution under test speaks. */
    private static Cards.Builder anyAge() {
        return Cards.card("herb").part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 0, 1, 2, 14));
    }

    private static List<String> codes(Product product, Person person, DosingGate.Intake intake) {
        return check(product, person, intake).stream().map(Finding::code).toList();
    }

    @Test
    public void under18SilenceStopsByMouthAndOnlyThere() {
        Product silent = of(anyAge().build());
        assertThat(stops(check(silent, aged(17), mouth(3, 5)))).containsExactly("NOT_CHECKED");
        assertThat(stops(check(silent, aged(18), mouth(3, 5)))).isEmpty();
        assertThat(stops(check(silent, aged(17), onSkin()))).isEmpty();
    }

    @Test
    public void aCardsOwnAgeLimitCountsBelowItAndNotAtIt() {
        Product limited = of(anyAge().caution(Subject.UNDER_AGE, "12", CautionStatus.PRESENT, Severity.STOP)
                .build());
        assertThat(codes(limited, aged(11), mouth(3, 5))).contains("CAUTION_UNDER_AGE");
        assertThat(codes(limited, aged(12), mouth(3, 5))).doesNotContain("CAUTION_UNDER_AGE", "NOT_CHECKED");
        assertThat(codes(limited, aged(18), mouth(3, 5))).doesNotContain("CAUTION_UNDER_AGE");
        Product all = of(anyAge().caution(Subject.UNDER_AGE, "", CautionStatus.PRESENT, Severity.STOP)
                .build());
        assertThat(codes(all, aged(17), mouth(3, 5))).contains("CAUTION_UNDER_AGE");
        Product none = of(anyAge().caution(Subject.UNDER_AGE, "", CautionStatus.NONE_FOUND, null)
                .build());
        assertThat(codes(none, aged(17), mouth(3, 5))).doesNotContain("CAUTION_UNDER_AGE", "NOT_CHECKED");
        Product unknown = of(anyAge().caution(Subject.UNDER_AGE, "", CautionStatus.UNKNOWN, null)
                .build());
        assertThat(codes(unknown, aged(17), mouth(3, 5))).contains("NOT_CHECKED");
    }

    @DataProvider
    public Object[][] operations() {
        return new Object[][] {{-1, false}, {0, true}, {14, true}, {15, false}};
    }

    @Test(dataProvider = "operations")
    public void anOperationWithinTwoWeeksHoldsWhatNobodyChecked(int daysAhead, boolean holds) {
        Person planned =
                new Person("P", 40, 70.0, null, null, false, Set.of(), Set.of(), Set.of(), DAY.plusDays(daysAhead));
        assertThat(codes(of(herb().build()), planned, mouth(3, 5)).contains("NOT_CHECKED"))
                .isEqualTo(holds);
        Product present = of(herb().caution(Subject.OPERATION, "", CautionStatus.PRESENT, Severity.STOP)
                .build());
        assertThat(codes(present, planned, mouth(3, 5)).contains("CAUTION_OPERATION"))
                .isEqualTo(holds);
        assertThat(codes(of(herb().build()), planned, onSkin())).doesNotContain("NOT_CHECKED");
    }

    @Test
    public void infantsGetNothingByMouthThatTheCardDoesNotName() {
        Product fromTwo = of(Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 2, 1, 2, 14))
                .build());
        Product fromOne = of(Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 1, 1, 2, 14))
                .build());
        assertThat(codes(fromTwo, aged(1), mouth(3, 5))).contains("UNDER_TWO");
        assertThat(codes(fromTwo, aged(2), mouth(3, 5))).doesNotContain("UNDER_TWO");
        assertThat(codes(fromOne, aged(1), mouth(3, 5))).doesNotContain("UNDER_TWO");
        assertThat(codes(fromOne, aged(0), mouth(3, 5))).contains("UNDER_TWO");
        assertThat(codes(fromTwo, aged(1), onSkin())).doesNotContain("UNDER_TWO");
    }

    @Test
    public void honeyIsNeverForTheFirstYear() {
        Product plain = of(anyAge().build());
        Product honey = new Product(
                plain.name(),
                plain.route(),
                plain.herbs(),
                plain.driedGPerUnit(),
                plain.strength(),
                plain.bestBefore(),
                plain.state(),
                Set.of(Trait.HONEY));
        assertThat(codes(honey, aged(0), mouth(3, 5))).contains("HONEY");
        assertThat(codes(honey, aged(1), mouth(3, 5))).doesNotContain("HONEY");
        assertThat(codes(honey, aged(0), onSkin())).doesNotContain("HONEY");
        assertThat(codes(plain, aged(0), mouth(3, 5))).doesNotContain("HONEY");
    }

    @Test
    public void theCeilingItselfIsAllowedAndTheLongestCourseToo() {
        // 10 mL x 0.2 g/mL = 2 g, the card's high end.
        assertThat(stops(check(of(herb().build()), WELL, mouth(10, 14)))).isEmpty();
        assertThat(stops(check(of(herb().build()), WELL, mouth(10.01, 14)))).containsExactly("DOSE_ABOVE_CARD");
    }

    @Test
    public void aFirstTrialIsHeldUntilItWasMadeAndNotAskedOfTheStopped() {
        var untried = new DosingGate.Intake(
                DosingGate.Way.MOUTH, null, 1, 3, 5, List.of(), false, false, null, 0, null, null);
        assertThat(codes(of(herb().build()), WELL, untried)).contains("FIRST_TIME");
        assertThat(codes(of(herb().build()), aged(12), untried)).doesNotContain("FIRST_TIME");
    }

    @Test
    public void theSalicylateAgeEndsAt18() {
        Product willow = of(anyAge().holds(Constituent.SALICYLATE)
                .caution(Subject.UNDER_AGE, "", CautionStatus.NONE_FOUND, null)
                .build());
        assertThat(codes(willow, aged(17), mouth(3, 5))).contains("SALICYLATE");
        assertThat(codes(willow, aged(18), mouth(3, 5))).doesNotContain("SALICYLATE");
    }

    @Test
    public void sumsOverProductsReachThePerson() {
        Taxon a = Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 18, 1, 2, 14))
                .holds(Constituent.TANNIN)
                .build();
        Taxon b = Cards.card("other").holds(Constituent.TANNIN).build();
        var beside = new DosingGate.Intake(
                DosingGate.Way.MOUTH,
                null,
                1,
                5,
                5,
                List.of(new Taking(b, Taxon.Part.HERB, 3.0)),
                true,
                false,
                null,
                0,
                null,
                null);
        // 5 mL x 0.2 g/mL + 3 g
        assertThat(check(of(a), WELL, beside)).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo("CONSTITUENT_FROM_SEVERAL");
            assertThat(f.message()).contains("4 g");
        });
        var onSkin = new DosingGate.Intake(
                DosingGate.Way.SKIN, null, 1, 5, 5, beside.others(), true, false, null, 0, null, null);
        assertThat(codes(of(a), WELL, onSkin)).doesNotContain("CONSTITUENT_FROM_SEVERAL");
    }
}
