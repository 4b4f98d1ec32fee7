package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Direct.Manner;
import org.sallowbrook.core.dosing.DosingGate.Skin;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Strength;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Plants used as they are: the gates of a bottle hold for a leaf. */
public class DirectTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);
    private static final Person ILSE =
            new Person("Ilse", 58, 72.0, 168.0, null, false, Set.of(), Set.of(), Set.of(), null);

    private static Cards.Builder herb(Route... routes) {
        return Cards.card("herb").part(0.5, 0.5, Set.of(routes), Cards.dose("ache", 18, 1, 2, 14));
    }

    private static final Taxon BOTH = herb(Route.INTERNAL, Route.EXTERNAL).build();

    private static Product dried(Taxon taxon) {
        return new Product(
                "a jar",
                Route.INTERNAL,
                List.of(new Product.Herb(taxon, Taxon.Part.HERB, 1)),
                Interval.exactly(1),
                Strength.NONE,
                DAY.plusYears(1),
                Product.State.USABLE,
                Set.of());
    }

    private static List<String> codes(
            Product product,
            Person person,
            Manner manner,
            @Nullable Double grams,
            @Nullable Skin skin,
            List<Taking> others) {
        double g = grams == null || manner.way() == DosingGate.Way.SKIN ? 0 : grams;
        return Direct.check(
                        product,
                        person,
                        manner,
                        grams,
                        skin,
                        new DosingGate.Intake(manner.way(), null, g, g, 1, others, true, false, skin, 0, DAY, null),
                        DAY)
                .stream()
                .map(f -> f.severity() + " " + f.code())
                .filter(f -> !f.startsWith("NOTE"))
                .toList();
    }

    @DataProvider
    public Object[][] onTheSkin() {
        Taxon inside = herb(Route.INTERNAL).build();
        return new Object[][] {
            {BOTH, Manner.CRUSHED, Skin.INTACT, List.of()},
            {BOTH, Manner.CRUSHED, Skin.SMALL_CLEAN_CUT, List.of("WARN FRESH_ON_CUT")},
            {BOTH, Manner.POWDER_ON_SKIN, Skin.SMALL_CLEAN_CUT, List.of()},
            {BOTH, Manner.COMPRESS, Skin.WOUND, List.of("STOP WOUND")},
            {inside, Manner.CRUSHED, Skin.INTACT, List.of("WARN NOT_KNOWN_ON_SKIN")},
        };
    }

    @Test(dataProvider = "onTheSkin")
    public void skinHasItsLimits(Taxon taxon, Manner manner, Skin skin, List<String> findings) {
        assertThat(codes(Direct.fresh(taxon, Taxon.Part.HERB, DAY), ILSE, manner, null, skin, List.of()))
                .isEqualTo(findings);
    }

    @Test
    public void onlyWhatTheCardKnowsAsFoodIsEatenAndItCountsIntoTheDay() {
        Taxon food = herb(Route.INTERNAL).food("young tops", "cooked").build();
        assertThat(codes(dried(BOTH), ILSE, Manner.EATEN, 1.0, null, List.of())).containsExactly("STOP NOT_A_FOOD");
        // Its dose would be 2 g at most: a meal is more, and is no dose.
        assertThat(codes(dried(food), ILSE, Manner.EATEN, 1.9, null, List.of())).isEmpty();
        assertThat(codes(dried(food), ILSE, Manner.EATEN, null, null, List.of()))
                .isEmpty();
        // Up to twice of it is a note, or people learn to click past the one that matters; more is no meal.
        assertThat(codes(dried(food), ILSE, Manner.EATEN, 4.0, null, List.of())).isEmpty();
        assertThat(codes(dried(food), ILSE, Manner.EATEN, 4.01, null, List.of()))
                .containsExactly("STOP FOOD_TOO_MUCH");
        assertThat(codes(dried(food), ILSE, Manner.EATEN, 1.0, null, List.of(new Taking(food, Taxon.Part.HERB, 1.5))))
                .isEmpty();
        // Without a figure a helping of a leaf vegetable is the most.
        Taxon kitchen = Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.INTERNAL))
                .food("leaf", "")
                .build();
        assertThat(codes(dried(kitchen), ILSE, Manner.EATEN, 30.0, null, List.of()))
                .isEmpty();
        assertThat(codes(dried(kitchen), ILSE, Manner.EATEN, 100.0, null, List.of()))
                .containsExactly("STOP FOOD_TOO_MUCH");
    }

    /** Of 10 g with 80 % of water 2 g are dry; as dried herb with a tenth of water that is 2.22 g. */
    @Test
    public void aFreshPlantCountsAsWhatItWouldWeighDried() {
        Taxon juicy = Cards.card("herb")
                .moisture(Interval.of(0.7, 0.8))
                .part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 18, 1, 2, 14))
                .build();
        Interval dried = Direct.fresh(juicy, Taxon.Part.HERB, DAY).driedGPerUnit();
        assertThat(dried).isNotNull();
        assertThat(dried.low()).isCloseTo(0.2 / 0.9, within(1e-12));
        assertThat(dried.high()).isCloseTo(0.3 / 0.9, within(1e-12));
        // The larger end counts: 2 g of dried herb in a day are 6 g of it.
        Product leaf = Direct.fresh(juicy, Taxon.Part.HERB, DAY);
        Taking half = new Taking(juicy, Taxon.Part.HERB, 1.0);
        assertThat(codes(leaf, ILSE, Manner.CHEWED, 2.99, null, List.of(half))).isEmpty();
        assertThat(codes(leaf, ILSE, Manner.CHEWED, 3.01, null, List.of(half)))
                .containsExactly("STOP SINGLE_DOSE_TOO_LARGE", "STOP DOSE_ABOVE_CARD");
        assertThat(Direct.fresh(BOTH, Taxon.Part.HERB, DAY).driedGPerUnit())
                .as("nobody knows its water")
                .isNull();
        assertThat(Direct.fresh(juicy, Taxon.Part.HERB, DAY).route()).isEqualTo(Route.INTERNAL);
        assertThat(Direct.fresh(herb(Route.EXTERNAL).build(), Taxon.Part.HERB, DAY)
                        .route())
                .isEqualTo(Route.EXTERNAL);
    }

    /** What else of the same plant was taken counts into a meal, what of another does not. */
    @Test
    public void aMealIsHeldAgainstTheDayOfItsOwnPlant() {
        Taxon food = herb(Route.INTERNAL).food("young tops", "").build();
        Taxon other = Cards.card("other").part(0.5, 0.5, Set.of(Route.INTERNAL)).build();
        Product half = new Product(
                "a mixture",
                Route.INTERNAL,
                List.of(new Product.Herb(food, Taxon.Part.HERB, 0.5)),
                Interval.exactly(0.8),
                Strength.NONE,
                DAY.plusYears(1),
                Product.State.USABLE,
                Set.of());
        // 0.8 g in a gram, half of it this plant, 2 g at most in a day.
        assertThat(codes(half, ILSE, Manner.EATEN, 5.0, null, List.of())).isEmpty();
        assertThat(codes(half, ILSE, Manner.EATEN, 5.01, null, List.of())).isEmpty();
        assertThat(codes(half, ILSE, Manner.EATEN, 5.0, null, List.of(new Taking(other, Taxon.Part.HERB, 3.0))))
                .isEmpty();
        assertThat(codes(half, ILSE, Manner.EATEN, 5.0, null, List.of(new Taking(food, Taxon.Part.HERB, 0.1))))
                .isEmpty();
    }

    /** Chewed or swallowed as powder it is a dose, and the day's sum is held against the card. */
    @Test
    public void whatIsTakenForWhatItDoesIsDosed() {
        // The card's 2 g are those of a day in portions: half of it at a time.
        assertThat(codes(dried(BOTH), ILSE, Manner.CHEWED, 1.0, null, List.of()))
                .isEmpty();
        assertThat(codes(dried(BOTH), ILSE, Manner.CHEWED, 1.01, null, List.of()))
                .containsExactly("STOP SINGLE_DOSE_TOO_LARGE");
        // What a source says of a tea it does not say of the whole herb as powder.
        assertThat(codes(dried(BOTH), ILSE, Manner.POWDER_SWALLOWED, 0.1, null, List.of()))
                .containsExactly("STOP NO_CARD_FIGURE");
        assertThat(codes(dried(BOTH), ILSE, Manner.CHEWED, 1.0, null, List.of(new Taking(BOTH, Taxon.Part.HERB, 1.5))))
                .containsExactly("STOP DOSE_ABOVE_CARD");
    }

    /** A meal above the card's dose is a note; what was not weighed of a trial is said. */
    @Test
    public void aMealAndAnUnweighedTrialAreNoted() {
        Taxon food = herb(Route.INTERNAL).food("young tops", "cooked").build();
        assertThat(notes(food, 2.0, true)).doesNotContain("FOOD_ABOVE_DOSE");
        assertThat(notes(food, 2.1, true)).contains("FOOD_ABOVE_DOSE");
        assertThat(notes(food, null, false)).contains("TRIAL_UNWEIGHED");
        assertThat(notes(food, 0.1, false)).doesNotContain("TRIAL_UNWEIGHED");
    }

    private static List<String> notes(Taxon taxon, @Nullable Double grams, boolean tried) {
        double g = grams == null ? 0 : grams;
        Manner manner = Manner.EATEN;
        return Direct.check(
                        dried(taxon),
                        ILSE,
                        manner,
                        grams,
                        null,
                        new DosingGate.Intake(
                                manner.way(), null, g, g, 1, List.of(), tried, !tried, null, 0, DAY, null),
                        DAY)
                .stream()
                .map(f -> f.code())
                .toList();
    }

    @DataProvider
    public Object[][] trials() {
        Taxon food = herb(Route.INTERNAL, Route.EXTERNAL).food("young tops", "").build();
        Taxon undosed = Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.INTERNAL))
                .food("young tops", "")
                .build();
        return new Object[][] {
            // The card's least is 1 g a day: a tenth of it, as dried.
            {dried(BOTH), Manner.CHEWED, 0.1, null, List.of()},
            {dried(BOTH), Manner.CHEWED, 0.11, null, List.of("STOP TRIAL_TOO_MUCH")},
            {dried(food), Manner.EATEN, 0.11, null, List.of("STOP TRIAL_TOO_MUCH")},
            {dried(food), Manner.EATEN, null, null, List.of()},
            {dried(undosed), Manner.EATEN, 0.2, null, List.of()},
            {dried(undosed), Manner.EATEN, 0.21, null, List.of("STOP TRIAL_TOO_MUCH")},
            {dried(BOTH), Manner.COMPRESS, null, Skin.INTACT, List.of()},
            {
                dried(BOTH),
                Manner.COMPRESS,
                null,
                Skin.SMALL_CLEAN_CUT,
                List.of("STOP TRIAL_ON_A_CUT", "WARN FRESH_ON_CUT")
            },
        };
    }

    /** It passes the hold of an untried plant, so it is small. */
    @Test(dataProvider = "trials")
    public void aFirstTrialIsSmall(
            Product product, Manner manner, @Nullable Double grams, @Nullable Skin skin, List<String> findings) {
        double g = grams == null || manner.way() == DosingGate.Way.SKIN ? 0 : grams;
        DosingGate.Intake untried =
                new DosingGate.Intake(manner.way(), null, g, g, 1, List.of(), false, true, skin, 0, DAY, null);
        assertThat(Direct.check(product, ILSE, manner, grams, skin, untried, DAY).stream()
                        .map(f -> f.severity() + " " + f.code())
                        .filter(f -> !f.startsWith("NOTE")))
                .isEqualTo(findings);
    }

    @Test
    public void manyTrialsInADayAreAddedUp() {
        DosingGate.Intake second = new DosingGate.Intake(
                DosingGate.Way.MOUTH,
                null,
                0.06,
                0.06,
                1,
                List.of(new Taking(BOTH, Taxon.Part.HERB, 0.06)),
                false,
                true,
                null,
                0,
                DAY,
                null);
        assertThat(Direct.check(dried(BOTH), ILSE, Manner.CHEWED, 0.06, null, second, DAY))
                .extracting(f -> f.code())
                .contains("TRIAL_TOO_MUCH");
    }

    /** A meal is no way round what stops a bottle. */
    @Test
    public void everyOtherGateHoldsForFood() {
        Taxon poison = herb(Route.INTERNAL)
                .food("leaf in batter", "")
                .holds(Constituent.PYRROLIZIDINE)
                .build();
        Taxon outside = Cards.card("herb")
                .part(0.5, 0.5, Set.of(Route.EXTERNAL))
                .food("leaf", "")
                .build();
        Taxon food = herb(Route.INTERNAL).food("young tops", "").build();
        Person expecting = new Person("Oda", 29, 60.0, 168.0, 1, false, Set.of(), Set.of(), Set.of(), null);
        Person infant = new Person("Wren", 1, 9.0, 75.0, null, false, Set.of(), Set.of(), Set.of(), null);
        assertThat(codes(dried(poison), ILSE, Manner.EATEN, 1.0, null, List.of()))
                .anyMatch(c -> c.startsWith("STOP PYRROLIZIDINE"));
        assertThat(codes(Direct.fresh(outside, Taxon.Part.HERB, DAY), ILSE, Manner.EATEN, null, null, List.of()))
                .contains("STOP OUTSIDE_ONLY");
        assertThat(codes(dried(food), expecting, Manner.EATEN, 1.0, null, List.of()))
                .contains("WARN NOT_CHECKED");
        assertThat(codes(dried(food), infant, Manner.EATEN, 1.0, null, List.of()))
                .contains("STOP UNDER_TWO");
    }

    @Test
    public void whatMustBeKnownIsAskedFor() {
        Product leaf = Direct.fresh(BOTH, Taxon.Part.HERB, DAY);
        assertThatThrownBy(() -> codes(leaf, ILSE, Manner.CRUSHED, null, null, List.of()))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> codes(leaf, ILSE, Manner.CHEWED, null, null, List.of()))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> codes(leaf, ILSE, Manner.EATEN, Double.NaN, null, List.of()))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void thirdsOfAPregnancyStandSideBySide() {
        Taxon taxon = Cards.card("herb")
                .caution(
                        Taxon.Subject.PREGNANCY,
                        "3",
                        Taxon.CautionStatus.PRESENT,
                        org.sallowbrook.core.measure.Severity.STOP)
                .build();
        assertThat(Expecting.of(dried(taxon)))
                .extracting(k -> k.trimester() + " " + k.status())
                .containsExactly("1 UNKNOWN", "2 UNKNOWN", "3 PRESENT");
    }

    /** 31 kg and 9 years: 31/68, 9/21, 10/24; without a height no surface. */
    @Test
    public void rulesForAChildStandSideBySideRoundedDown() {
        assertThat(Dose.sideBySide(6, new Dose.Taker(9, 31.0, null)))
                .extracting(Dose.ByRule::perDose)
                .containsExactly(2.7, 2.5, 2.5, null);
    }
}
