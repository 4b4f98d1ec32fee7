package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Constituent classes over everything taken, and cautions that follow from what a plant does. */
public class SumsAndImpliedTest {

    private static Taxon coumarin(String id, double mostMg, Double perKg) {
        return Cards.card(id)
                .holds(Constituent.COUMARIN)
                .content(new Taxon.Content(Constituent.COUMARIN, Interval.of(2, 5), mostMg, perKg, Cards.SOURCE))
                .part(0.5, 0.5, Set.of(Route.INTERNAL))
                .build();
    }

    private static Taking taking(Taxon taxon, Double grams) {
        return new Taking(taxon, Taxon.Part.HERB, grams);
    }

    @Test
    public void theSumOfAClassIsWhatIsCompared() {
        Taxon a = coumarin("a", 10, null);
        Taxon b = coumarin("b", 12, null);
        assertThat(ConstituentSum.check(List.of(taking(a, 1.9)), null)).isEmpty();
        assertThat(ConstituentSum.check(List.of(taking(b, 1.9)), null)).isEmpty();
        // 5 mg/g x 3.8 g = 19 mg, above the lower ceiling.
        assertThat(ConstituentSum.check(List.of(taking(a, 1.9), taking(b, 1.9)), null))
                .extracting(Finding::code)
                .containsExactly("CONSTITUENT_ABOVE_CEILING");
        var sum =
                ConstituentSum.of(List.of(taking(a, 1.0), taking(b, 1.0)), null).get(Constituent.COUMARIN);
        assertThat(sum.mg()).isEqualTo(Interval.of(4, 10));
        assertThat(sum.mostMg()).isEqualTo(10);
        assertThat(sum.herbG()).isCloseTo(2, within(1e-12));
    }

    @Test
    public void aCeilingByWeightCountsForTheLightPerson() {
        Taxon a = coumarin("a", 10, 0.1);
        assertThat(ConstituentSum.check(List.of(taking(a, 1.5)), 80.0)).isEmpty();
        assertThat(ConstituentSum.check(List.of(taking(a, 1.5)), 50.0))
                .extracting(Finding::code)
                .containsExactly("CONSTITUENT_ABOVE_CEILING");
    }

    @Test
    public void withoutACeilingTheGramsAreToldAndAnUnknownAmountIsNotHidden() {
        Taxon a = Cards.card("a").holds(Constituent.TANNIN).build();
        Taxon b = Cards.card("b").holds(Constituent.TANNIN).build();
        assertThat(ConstituentSum.check(List.of(taking(a, 2.0)), null)).isEmpty();
        assertThat(ConstituentSum.check(List.of(taking(a, 2.0), taking(b, 3.0)), null))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.severity()).isEqualTo(Severity.NOTE);
                    assertThat(f.message()).contains("5 g");
                });
        assertThat(ConstituentSum.check(List.of(taking(a, 2.0), taking(b, null)), null))
                .extracting(Finding::code)
                .contains("CONSTITUENT_SUM_UNKNOWN");
        // A known part above the ceiling stays above, whatever is unknown besides.
        assertThat(ConstituentSum.check(
                        List.of(taking(coumarin("c", 10, null), 3.0), taking(coumarin("d", 10, null), null)), null))
                .extracting(Finding::code)
                .contains("CONSTITUENT_ABOVE_CEILING");
    }

    private static Person person(Set<Condition> conditions, Set<MedicineClass> medicines) {
        return new Person("P", 50, 70.0, null, null, false, conditions, medicines, Set.of(), null);
    }

    @DataProvider
    public Object[][] implied() {
        return new Object[][] {
            {"sedative", null, Set.of(), Set.of(MedicineClass.SEDATIVE), "ADDS_TO_SEDATIVE", Severity.WARN},
            {"sedative", null, Set.of(), Set.of(MedicineClass.ANTIEPILEPTIC), "ADDS_TO_SEDATIVE", Severity.WARN},
            {"diuretic", null, Set.of(), Set.of(MedicineClass.LITHIUM), "RAISES_LITHIUM", Severity.WARN},
            {"diuretic", null, Set.of(), Set.of(MedicineClass.DIURETIC), "ADDS_TO_DIURETIC", Severity.WARN},
            {"diuretic", null, Set.of(), Set.of(MedicineClass.BLOOD_PRESSURE), "ADDS_TO_DIURETIC", Severity.WARN},
            {"diuretic", null, Set.of(Condition.LOW_POTASSIUM), Set.of(), "DIURETIC_WITH_CONDITION", Severity.WARN},
            {"bitter", null, Set.of(Condition.ACTIVE_ULCER), Set.of(), "BITTER_WITH_STOMACH", Severity.WARN},
            {"bitter", null, Set.of(Condition.GALLSTONES), Set.of(), "BITTER_WITH_GALLSTONES", Severity.WARN},
            {"astringent", null, Set.of(), Set.of(MedicineClass.DIABETES), "SPACE_FROM_MEDICINE", Severity.NOTE},
            {"demulcent", null, Set.of(), Set.of(MedicineClass.DIABETES), "SPACE_FROM_MEDICINE", Severity.NOTE},
            {
                null,
                Constituent.COUMARIN,
                Set.of(),
                Set.of(MedicineClass.ANTICOAGULANT),
                "COUMARIN_WITH_BLOOD_THINNER",
                Severity.WARN
            },
            {null, Constituent.COUMARIN, Set.of(Condition.LIVER_DISEASE), Set.of(), "COUMARIN_WITH_LIVER", Severity.WARN
            },
            {
                null,
                Constituent.ANTHRANOID,
                Set.of(Condition.BOWEL_OBSTRUCTION),
                Set.of(),
                "LAXATIVE_WITH_OBSTRUCTION",
                Severity.STOP
            },
            {
                null,
                Constituent.ANTHRANOID,
                Set.of(),
                Set.of(MedicineClass.DIGOXIN),
                "LAXATIVE_LOSES_POTASSIUM",
                Severity.WARN
            },
            {
                null,
                Constituent.CARDIAC_GLYCOSIDE,
                Set.of(),
                Set.of(MedicineClass.DIGOXIN),
                "ADDS_TO_HEART_MEDICINE",
                Severity.STOP
            },
            {
                null,
                Constituent.THUJONE,
                Set.of(),
                Set.of(MedicineClass.ANTIEPILEPTIC),
                "THUJONE_WITH_FITS",
                Severity.WARN
            },
            {
                null,
                Constituent.SAPONIN,
                Set.of(Condition.STOMACH_INFLAMMATION),
                Set.of(),
                "SAPONIN_WITH_STOMACH",
                Severity.WARN
            }
        };
    }

    @Test(dataProvider = "implied")
    public void whatAPlantDoesWarnsWithoutAnyRecordOfIt(
            String action,
            Constituent constituent,
            Set<Condition> conditions,
            Set<MedicineClass> medicines,
            String code,
            Severity severity) {
        Cards.Builder card = Cards.card("herb");
        Taxon taxon = (action == null ? card.holds(constituent) : card.acts(action)).build();
        assertThat(ImpliedCaution.of(taxon, person(conditions, medicines))).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo(code);
            assertThat(f.severity()).isEqualTo(severity);
        });
        assertThat(ImpliedCaution.of(taxon, person(Set.of(), Set.of())))
                .extracting(Finding::code)
                .doesNotContain(code);
    }
}
