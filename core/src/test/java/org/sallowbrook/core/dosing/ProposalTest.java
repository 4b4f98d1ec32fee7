package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.LotForm;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is proposed before anybody has typed a dose: the card's own range, never more, rounded down. */
public class ProposalTest {

    private static final Schools SMALL = Schools.USUAL.with(School.SMALL_DOSE);
    private static final Schools MODERATE = Schools.USUAL.with(School.MODERATE_DOSE);

    private static Taxon herb(Taxon.DoseRange... doses) {
        return Cards.card("herb").part(0.5, 0.5, Set.of(Route.INTERNAL), doses).build();
    }

    private static Product bottle(@Nullable Interval gPerMl, Product.Herb... herbs) {
        return new Product(
                "the bottle",
                Route.INTERNAL,
                List.of(herbs),
                gPerMl,
                Strength.NONE,
                LocalDate.of(2027, 7, 1),
                Product.State.USABLE,
                Set.of());
    }

    private static Product bottle(Taxon taxon) {
        return bottle(Interval.of(0.18, 0.2), new Product.Herb(taxon, Taxon.Part.HERB, 1));
    }

    private static Person aged(int years, @Nullable Double kg, @Nullable Double cm) {
        return new Person("somebody", years, kg, cm, null, false, Set.of(), Set.of(), Set.of(), null);
    }

    private static final Person ADULT = aged(40, 70.0, 170.0);

    /** 1 to 2 g a day in a bottle of at most 0.2 g in 1 mL, in two doses. */
    @Test
    public void theSmallSchoolTakesTheLowEndAndTheOtherTheMiddle() {
        Product bottle = bottle(herb(Cards.dose("ache", 12, 1, 2, 14)));
        assertThat(Proposal.of(bottle, ADULT, "ache", 2, SMALL).perDose()).isEqualTo(2.5);
        assertThat(Proposal.of(bottle, ADULT, "ache", 2, MODERATE).perDose()).isEqualTo(3.7);
        assertThat(Proposal.of(bottle, ADULT, "Ache", 2, SMALL).words())
                .contains("low end")
                .contains("1 g");
    }

    /** 1 to 2 g a day of at most 0.2 g in 1 mL: the upper end decides. */
    @Test
    public void aDayIsHeldAgainstTheCardsRange() {
        Product bottle = bottle(herb(Cards.dose("ache", 18, 1, 2, 14)));
        assertThat(Proposal.stands(bottle, ADULT, "ache", 4, List.of()))
                .contains("0.72 to 0.8 g")
                .contains("below the card's");
        assertThat(Proposal.stands(bottle, ADULT, "ache", 10, List.of())).contains("within the card's 1 to 2 g");
        assertThat(Proposal.stands(bottle, ADULT, "ache", 10.1, List.of())).contains("above the card's");
        assertThat(Proposal.stands(
                        bottle,
                        ADULT,
                        "ache",
                        4,
                        List.of(new Taking(bottle.herbs().get(0).taxon(), Taxon.Part.HERB, 1.3))))
                .contains("2.02 to 2.1 g")
                .contains("with 1.3 g from what else is taken: above the card's");
        assertThat(Proposal.stands(bottle, ADULT, "another use", 5, List.of()))
                .contains("no range for this use, form and age");
        assertThat(Proposal.stands(bottle((Interval) null), ADULT, "ache", 5, List.of()))
                .contains("no figure");
    }

    @Test
    public void whereTheCardIsSilentNothingIsProposed() {
        assertThat(Proposal.of(bottle(herb()), ADULT, null, 3, SMALL).perDose()).isNull();
        Product bottle = bottle(herb(Cards.dose("ache", 18, 1, 2, 14)));
        assertThat(Proposal.of(bottle, ADULT, "another use", 3, SMALL).perDose())
                .isNull();
        assertThat(Proposal.of(bottle, aged(12, 40.0, 150.0), "ache", 3, SMALL).perDose())
                .as("the card begins at 18")
                .isNull();
        Product salve = bottle(null, new Product.Herb(herb(Cards.dose("ache", 18, 1, 2, 14)), Taxon.Part.HERB, 1));
        assertThat(Proposal.of(salve, ADULT, "ache", 3, SMALL).perDose()).isNull();
    }

    /** Of two ranges for one use the lower one speaks; of two herbs the one there is more of. */
    @Test
    public void theLowerRangeAndTheLeadingHerbSpeak() {
        Taxon two = herb(Cards.dose("ache", 12, 3, 6, 14), Cards.dose("ache", 12, 1, 2, 14));
        assertThat(Proposal.of(bottle(two), ADULT, "ache", 1, SMALL).perDose()).isEqualTo(5);
        Product.Herb lead = new Product.Herb(herb(Cards.dose("ache", 12, 1, 2, 14)), Taxon.Part.HERB, 0.8);
        Product.Herb less = new Product.Herb(
                Cards.card("other")
                        .part(0.5, 0.5, Set.of(Route.INTERNAL), Cards.dose("ache", 12, 50, 60, 14))
                        .build(),
                Taxon.Part.HERB,
                0.2);
        assertThat(Proposal.of(bottle(Interval.exactly(0.2), less, lead), ADULT, "ache", 1, SMALL)
                        .perDose())
                .isEqualTo(6.2);
    }

    /** Clark: kg / 68. Young: age / (age + 12); Cowling: (age + 1) / 24; the smaller. Surface by Mosteller: / 1.73. */
    @DataProvider
    public Object[][] children() {
        return new Object[][] {
            {School.CHILD_BY_WEIGHT, 30.0 / 68},
            {School.CHILD_BY_AGE, Math.min(9.0 / 21, 10.0 / 24)},
            {School.CHILD_BY_SURFACE, Math.sqrt(135 * 30.0 / 3600) / 1.73},
        };
    }

    @Test(dataProvider = "children")
    public void aChildsDoseIsTheFractionOfItsRuleRoundedDown(School school, double fraction) {
        Product bottle = bottle(herb(Cards.dose("ache", 6, 2, 4, 14)));
        double adult = Objects.requireNonNull(
                Proposal.of(bottle, ADULT, "ache", 1, SMALL).perDose());
        var child = Proposal.of(bottle, aged(9, 30.0, 135.0), "ache", 1, SMALL.with(school));
        assertThat(child.perDose()).isNotNull();
        assertThat(child.perDose()).isBetween(adult * fraction - 0.1, adult * fraction + 0.05);
        assertThat(child.words()).contains("for a child");
    }

    @Test
    public void aHouseholdThatRefersAndAChildOfUnknownWeightGetNoFigure() {
        Product bottle = bottle(herb(Cards.dose("ache", 6, 2, 4, 14)));
        assertThat(Proposal.of(bottle, aged(9, 30.0, 135.0), "ache", 1, SMALL.with(School.REFER_CHILD))
                        .perDose())
                .isNull();
        var unknown = Proposal.of(bottle, aged(9, null, null), "ache", 1, SMALL.with(School.CHILD_BY_WEIGHT));
        assertThat(unknown.perDose()).isNull();
        assertThat(unknown.words()).contains("lacks a weight");
    }

    /** 14 days by the card, of a bottle that keeps until 1 July 2027. */
    @DataProvider
    public Object[][] lengths() {
        return new Object[][] {
            {14, "2026-07-15", 500.0, 6.0, 14},
            {null, "2026-07-15", 500.0, 6.0, 21},
            {14, "2026-07-15", 60.0, 6.0, 10},
            {14, "2026-07-15", 59.9, 6.0, 9},
            {14, "2026-07-15", 3.0, 6.0, 1},
            {14, "2027-06-28", 500.0, 6.0, 4},
            {14, "2027-07-01", 500.0, 6.0, 1},
            {14, "2027-08-01", 500.0, 6.0, 1},
        };
    }

    @Test(dataProvider = "lengths")
    public void aCourseIsProposedForAsLongAsCardAndBottleAllow(
            @Nullable Integer most, String start, double remaining, double perDay, int days) {
        Product bottle = bottle(herb(Cards.dose("ache", 12, 1, 2, most)));
        assertThat(Proposal.days(bottle, ADULT, "ache", LocalDate.parse(start), remaining, perDay))
                .isEqualTo(days);
    }

    /** A tenth of a millilitre is the least that is measured: no dose of nothing is proposed. */
    @Test
    public void aPartTooSmallToMeasureIsNoProposal() {
        Product strong = bottle(
                Interval.exactly(0.5), new Product.Herb(herb(Cards.dose("ache", 6, 0.1, 0.2, 14)), Taxon.Part.HERB, 1));
        var child = Proposal.of(strong, aged(6, 20.0, 115.0), "ache", 1, SMALL.with(School.CHILD_BY_WEIGHT));
        assertThat(child.perDose()).isNull();
        assertThat(child.words()).contains("less than can be measured");
    }

    /** Whatever the card, the bottle, the times a day and the school: the day never exceeds the card. */
    @Test
    public void noProposalEverExceedsTheCardsDay() {
        Random random = new Random(8);
        for (int i = 0; i < 2000; i++) {
            double low = 0.2 + random.nextDouble() * 5;
            double high = low + random.nextDouble() * 5;
            double strong = 0.05 + random.nextDouble() * 0.5;
            double weak = strong * (0.6 + 0.4 * random.nextDouble());
            int times = 1 + random.nextInt(6);
            Product bottle = bottle(
                    Interval.of(weak, strong),
                    new Product.Herb(herb(Cards.dose("ache", 6, low, high, 14)), Taxon.Part.HERB, 1));
            Schools schools = (random.nextBoolean() ? SMALL : MODERATE).with(School.CHILD_BY_AGE);
            Person taker = random.nextBoolean() ? ADULT : aged(6 + random.nextInt(12), 30.0, 135.0);
            Double dose = Proposal.of(bottle, taker, "ache", times, schools).perDose();
            if (dose != null) {
                assertThat(dose).isPositive();
                assertThat(dose * times * strong).isLessThanOrEqualTo(high + 1e-9);
                assertThat(dose * 10).as("to a tenth of a millilitre").isCloseTo(Math.rint(dose * 10), within(1e-9));
            }
        }
    }

    /** The days before a course, counted again by looking at each day on its own. */
    @Test
    public void theDaysOfUseAreCountedAsByHand() {
        Random random = new Random(14);
        LocalDate start = LocalDate.of(2026, 7, 15);
        for (int round = 0; round < 500; round++) {
            int spread = 20 + random.nextInt(100);
            List<LocalDate> taken = random.ints(random.nextInt(12), 1, spread)
                    .mapToObj(start::minusDays)
                    .toList();
            int back = 0;
            int idle = 0;
            for (int day = 1; day <= spread && idle < Exposure.PAUSE_DAYS + 1; day++) {
                idle++;
                if (taken.contains(start.minusDays(day))) {
                    if (idle > Exposure.PAUSE_DAYS) {
                        break;
                    }
                    back = day;
                    idle = 0;
                }
            }
            assertThat(Exposure.daysBefore(taken, start)).as("taken %s", taken).isEqualTo(back);
        }
    }

    @Test
    public void onTheSkinItIsAThinLayerOrAllThatWasMade() {
        assertThat(Proposal.onTheSkin(LotForm.SALVE, 28).perDose()).isEqualTo(0.5);
        assertThat(Proposal.onTheSkin(LotForm.POULTICE, 40).perDose()).isEqualTo(40);
        assertThat(Proposal.onTheSkin(LotForm.WASH, 500).perDose()).isEqualTo(500);
        assertThat(Proposal.onTheSkin(LotForm.INFUSED_OIL, 80).perDose()).isNull();
    }
}
