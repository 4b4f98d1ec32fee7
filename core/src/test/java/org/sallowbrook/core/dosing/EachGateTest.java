package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate.Skin;
import org.sallowbrook.core.dosing.DosingGate.Way;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.Trait;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Each gate shut by the one thing it is for, and open to its nearest neighbour. */
public class EachGateTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    /** One person, one product, one way of taking it. */
    private record Asked(
            Cards.Builder card,
            int ageYears,
            @Nullable Double weightKg,
            Set<Condition> conditions,
            Set<MedicineClass> medicines,
            Set<Trait> traits,
            Strength strength,
            Way way,
            @Nullable String use,
            @Nullable Skin skin) {

        static Asked plain() {
            return new Asked(herb(), 40, 70.0, Set.of(), Set.of(), Set.of(), Strength.NONE, Way.MOUTH, null, null);
        }

        Asked of(Cards.Builder other) {
            return new Asked(other, ageYears, weightKg, conditions, medicines, traits, strength, way, use, skin);
        }

        Asked aged(int years) {
            return new Asked(card, years, weightKg, conditions, medicines, traits, strength, way, use, skin);
        }

        Asked unweighed() {
            return new Asked(card, ageYears, null, conditions, medicines, traits, strength, way, use, skin);
        }

        Asked with(Condition... all) {
            return new Asked(card, ageYears, weightKg, Set.of(all), medicines, traits, strength, way, use, skin);
        }

        Asked with(MedicineClass... all) {
            return new Asked(card, ageYears, weightKg, conditions, Set.of(all), traits, strength, way, use, skin);
        }

        Asked with(Trait... all) {
            return new Asked(card, ageYears, weightKg, conditions, medicines, Set.of(all), strength, way, use, skin);
        }

        Asked tincture() {
            return new Asked(
                    card, ageYears, weightKg, conditions, medicines, traits, Strength.ofPercent(40), way, use, skin);
        }

        Asked on(@Nullable Skin where) {
            return new Asked(card, ageYears, weightKg, conditions, medicines, traits, strength, Way.SKIN, use, where);
        }

        Asked against(String complaint) {
            return new Asked(card, ageYears, weightKg, conditions, medicines, traits, strength, way, complaint, skin);
        }

        List<String> findings() {
            Taxon taxon = card.build();
            Product product = new Product(
                    "the bottle",
                    Route.INTERNAL,
                    List.of(new Product.Herb(taxon, Taxon.Part.HERB, 1)),
                    Interval.exactly(0.2),
                    strength,
                    DAY.plusYears(1),
                    Product.State.USABLE,
                    traits);
            Person person =
                    new Person("Ilse", ageYears, weightKg, null, null, false, conditions, medicines, Set.of(), null);
            double ml = way == Way.MOUTH ? 2 : 0;
            return DosingGate.check(
                            product,
                            person,
                            new DosingGate.Intake(way, use, ml, 3 * ml, 5, List.of(), true, false, skin, 0, null, null),
                            DAY)
                    .stream()
                    .map(f -> f.severity() + " " + f.code())
                    .toList();
        }
    }

    private static Cards.Builder herb() {
        return Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.INTERNAL, Route.EXTERNAL), Cards.dose("ache", 2, 1, 2, 14));
    }

    private static Cards.Builder warned(Subject subject, String value) {
        return herb().caution(subject, value, CautionStatus.PRESENT, Severity.WARN);
    }

    private static Object[] row(String finding, UnaryOperator<Asked> shut, UnaryOperator<Asked> nearest) {
        return new Object[] {finding, shut, nearest};
    }

    @DataProvider
    public Object[][] gates() {
        return new Object[][] {
            row(
                    "STOP BLOCKED_BOWEL",
                    a -> a.with(Condition.BOWEL_OBSTRUCTION),
                    a -> a.with(Condition.BOWEL_OBSTRUCTION).on(Skin.INTACT)),
            row(
                    "HOLD NOT_CHECKED",
                    a -> a.with(Condition.TRANSPLANT),
                    a -> a.with(Condition.TRANSPLANT).of(warned(Subject.CONDITION, "TRANSPLANT"))),
            row(
                    "HOLD NOT_CHECKED",
                    a -> a.with(Condition.HORMONE_SENSITIVE_TUMOUR),
                    a -> a.with(Condition.HORMONE_SENSITIVE_TUMOUR).on(Skin.INTACT)),
            row(
                    "WARN TRYING_TO_CONCEIVE",
                    a -> a.with(Condition.TRYING_TO_CONCEIVE).of(warned(Subject.PREGNANCY, "1")),
                    a -> a.with(Condition.TRYING_TO_CONCEIVE).of(warned(Subject.PREGNANCY, "3"))),
            row(
                    "WARN TRYING_TO_CONCEIVE",
                    a -> a.with(Condition.TRYING_TO_CONCEIVE).of(warned(Subject.PREGNANCY, "1")),
                    a -> a.of(warned(Subject.PREGNANCY, "1"))),
            row(
                    "WARN TRYING_TO_CONCEIVE",
                    a -> a.with(Condition.TRYING_TO_CONCEIVE).of(warned(Subject.PREGNANCY, "1")),
                    a -> a.with(Condition.TRYING_TO_CONCEIVE)
                            .of(herb().caution(Subject.PREGNANCY, "1", CautionStatus.UNKNOWN, null))),
            row(
                    "WARN CAUTION_MEDICINE",
                    a -> a.with(Condition.DIABETES).of(warned(Subject.MEDICINE, "DIABETES")),
                    a -> a.with(Condition.DIABETES)
                            .of(warned(Subject.MEDICINE, "DIABETES"))
                            .on(Skin.INTACT)),
            row("WARN SUGAR", a -> a.with(Condition.DIABETES).with(Trait.HONEY), a -> a.with(Trait.HONEY)),
            row("WARN ALCOHOL", a -> a.with(Condition.HEART_RHYTHM_DISORDER).tincture(), Asked::tincture),
            row(
                    "WARN ALCOHOL",
                    a -> a.with(Condition.TRYING_TO_CONCEIVE).tincture(),
                    a -> a.with(Condition.TRYING_TO_CONCEIVE)),
            row(
                    "HOLD WEIGHT_UNKNOWN",
                    a -> a.aged(17).unweighed().tincture(),
                    a -> a.aged(18).unweighed().tincture()),
            row(
                    "HOLD WEIGHT_UNKNOWN",
                    a -> a.aged(17).unweighed().tincture(),
                    a -> a.aged(17).tincture()),
            row(
                    "HOLD WEIGHT_UNKNOWN",
                    a -> a.aged(17).unweighed().tincture(),
                    a -> a.aged(17).unweighed()),
            row(
                    "STOP GRAVE_ILLNESS",
                    a -> a.of(herb().grave("tumours")).against("Tumours"),
                    a -> a.of(herb().grave("tumours")).against("ache")),
            row(
                    "WARN OTHER_PART",
                    a -> a.of(herb().useOf("ache", Taxon.Part.ROOT)).against("ache"),
                    a -> a.of(herb().useOf("ache", Taxon.Part.HERB, Taxon.Part.ROOT))
                            .against("ache")),
            row(
                    "WARN OTHER_PART",
                    a -> a.of(herb().useOf("ache", Taxon.Part.ROOT)).against("ache"),
                    a -> a.of(herb().useOf("ache", Taxon.Part.ROOT))),
            row(
                    "WARN UNLISTED_MEDICINE",
                    a -> a.with(MedicineClass.OTHER),
                    a -> a.with(MedicineClass.OTHER).on(Skin.INTACT)),
            row(
                    "HOLD UNLISTED_MEDICINE",
                    a -> a.with(MedicineClass.NOT_SURE)
                            .of(herb().use("ache", Taxon.Potency.STRONG, Source.Evidence.OFFICIAL_MONOGRAPH)),
                    a -> a.with(MedicineClass.NOT_SURE)
                            .of(herb().use("ache", Taxon.Potency.GENTLE, Source.Evidence.OFFICIAL_MONOGRAPH))),
            row(
                    "HOLD UNLISTED_MEDICINE",
                    a -> a.with(MedicineClass.NOT_SURE).of(herb().holds(Constituent.ANTHRANOID)),
                    a -> a.with(MedicineClass.NOT_SURE).of(herb().holds(Constituent.MUCILAGE))),
            row("STOP UNDER_TWO", a -> a.aged(1), a -> a.aged(2)),
            row("STOP HONEY", a -> a.aged(0).with(Trait.HONEY), a -> a.aged(1).with(Trait.HONEY)),
            row(
                    "STOP PYRROLIZIDINE",
                    a -> a.aged(17).of(herb().holds(Constituent.PYRROLIZIDINE)).on(Skin.INTACT),
                    a -> a.aged(18).of(herb().holds(Constituent.PYRROLIZIDINE)).on(Skin.INTACT)),
            row(
                    "STOP INTACT_ONLY",
                    a -> a.of(herb().holds(Constituent.PYRROLIZIDINE)).on(null),
                    a -> a.of(herb().holds(Constituent.PYRROLIZIDINE)).on(Skin.INTACT)),
            row("WARN CAUTION_SUN", a -> a.of(warned(Subject.SUN, "")), a -> a),
            row("WARN CAUTION_DRIVING", a -> a.of(warned(Subject.DRIVING, "")), a -> a.of(warned(Subject.SUN, ""))),
        };
    }

    @Test(dataProvider = "gates")
    public void isShutByWhatItIsForAndByNothingElse(
            String finding, UnaryOperator<Asked> shut, UnaryOperator<Asked> nearest) {
        assertThat(shut.apply(Asked.plain()).findings()).contains(finding);
        assertThat(nearest.apply(Asked.plain()).findings()).doesNotContain(finding);
    }

    /** What one bottle of two herbs brings of each is its share of it, and another herb taken besides is not the same one. */
    @Test
    public void eachHerbOfAProductIsHeldAgainstItsOwnDoseByItsShare() {
        Taxon one = herb().build();
        Taxon two = Cards.card("other")
                .part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 2, 1, 2, 14))
                .build();
        Product both = new Product(
                "the bottle",
                Route.INTERNAL,
                List.of(new Product.Herb(one, Taxon.Part.HERB, 0.75), new Product.Herb(two, Taxon.Part.HERB, 0.25)),
                Interval.exactly(0.2),
                Strength.NONE,
                DAY.plusYears(1),
                Product.State.USABLE,
                Set.of());
        // 0.2 g in each mL, three quarters of it the first: 2 g a day are 13.3 mL.
        assertThat(above(both, 13.3, List.of())).isEmpty();
        assertThat(above(both, 13.4, List.of())).hasSize(1).allMatch(m -> m.contains("herb"));
        assertThat(above(both, 13.3, List.of(new Taking(two, Taxon.Part.HERB, 1.3))))
                .isEmpty();
        assertThat(above(both, 13.3, List.of(new Taking(two, Taxon.Part.HERB, 1.4))))
                .hasSize(1)
                .allMatch(m -> m.contains("other"));
        assertThat(above(both, 13.3, List.of(new Taking(one, Taxon.Part.HERB, 0.01))))
                .hasSize(1);
    }

    private static List<String> above(Product product, double mlPerDay, List<Taking> others) {
        Person well = new Person(
                "Ilse",
                40,
                70.0,
                null,
                null,
                false,
                EnumSet.noneOf(Condition.class),
                EnumSet.noneOf(MedicineClass.class),
                Set.of(),
                null);
        return DosingGate.check(
                        product,
                        well,
                        new DosingGate.Intake(
                                Way.MOUTH, null, mlPerDay / 3, mlPerDay, 5, others, true, false, null, 0, null, null),
                        DAY)
                .stream()
                .filter(f -> f.code().equals("DOSE_ABOVE_CARD"))
                .map(f -> f.message())
                .toList();
    }
}
