package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.sallowbrook.core.dosing.LongRun.Used;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.testng.annotations.Test;

/** What adds up over bottles, courses and plants. */
public class LongRunTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    private static Taxon plant(String id, Constituent constituent, Integer mostDays) {
        return Cards.card(id)
                .holds(constituent)
                .part(
                        0.5,
                        0.4,
                        Set.of(Taxon.Route.INTERNAL),
                        new Taxon.DoseRange(
                                "a use",
                                Taxon.Route.INTERNAL,
                                "tea",
                                18,
                                Interval.of(1, 3),
                                mostDays,
                                new Source("A book", 2020, Source.Evidence.OFFICIAL_MONOGRAPH, Source.Review.STARTER)))
                .build();
    }

    /** Days before DAY, the last of them so many days ago. */
    private static List<Used> used(Taxon plant, boolean byMouth, int days, int lastAgo) {
        return IntStream.range(0, days)
                .mapToObj(i -> new Used(DAY.minusDays(lastAgo + i), byMouth, Set.of(plant), 0))
                .toList();
    }

    private static List<String> codes(Taxon plant, boolean byMouth, int days, double alcoholG, List<Used> before) {
        return LongRun.check(Set.of(plant), byMouth, DAY, days, alcoholG, before).stream()
                .map(Finding::code)
                .toList();
    }

    @Test
    public void comfreyAndItsKinAreSixWeeksAYearTogether() {
        Taxon comfrey = plant("comfrey", Constituent.PYRROLIZIDINE, null);
        Taxon coltsfoot = plant("coltsfoot", Constituent.PYRROLIZIDINE, null);
        assertThat(codes(comfrey, false, 10, 0, used(coltsfoot, false, 32, 40))).isEmpty();
        assertThat(codes(comfrey, false, 10, 0, used(coltsfoot, false, 33, 40))).containsExactly("PYRROLIZIDINE_YEAR");
        // More than a year ago is another year.
        assertThat(codes(comfrey, false, 10, 0, used(coltsfoot, false, 33, 365)))
                .isEmpty();
        Taxon other = plant("other", Constituent.MUCILAGE, null);
        assertThat(codes(other, false, 10, 0, used(coltsfoot, false, 60, 10))).isEmpty();
    }

    @Test
    public void anotherPlantOfTheSameClassGoesOnCounting() {
        Taxon willow = plant("willow", Constituent.SALICYLATE, 28);
        Taxon meadowsweet = plant("meadowsweet", Constituent.SALICYLATE, null);
        assertThat(codes(willow, true, 8, 0, used(meadowsweet, true, 20, 1))).isEmpty();
        assertThat(codes(willow, true, 9, 0, used(meadowsweet, true, 20, 1))).containsExactly("CLASS_TOO_LONG");
        assertThat(codes(willow, true, 9, 0, used(meadowsweet, true, 20, Exposure.PAUSE_DAYS + 1)))
                .isEmpty();
        assertThat(codes(willow, true, 28, 0, used(willow, true, 20, 1)))
                .as("the same plant is the card's own limit")
                .isEmpty();
        assertThat(codes(willow, true, 9, 0, used(meadowsweet, false, 20, 1))).isEmpty();
    }

    /** In a mixture only the plants of the class give the limit, and only by mouth; before it only those that hold it count. */
    @Test
    public void whatElseIsInAMixtureSetsNoLimit() {
        Taxon willow = plant("willow", Constituent.SALICYLATE, 28);
        Taxon short5 = plant("short", Constituent.MUCILAGE, 5);
        Taxon salve = Cards.card("salve")
                .holds(Constituent.SALICYLATE)
                .part(
                        0.5,
                        0.4,
                        Set.of(Taxon.Route.EXTERNAL),
                        new Taxon.DoseRange(
                                "a use",
                                Taxon.Route.EXTERNAL,
                                "salve",
                                18,
                                Interval.of(1, 3),
                                3,
                                new Source("A book", 2020, Source.Evidence.OFFICIAL_MONOGRAPH, Source.Review.STARTER)))
                .build();
        List<Used> before = used(plant("meadowsweet", Constituent.SALICYLATE, null), true, 20, 1);
        assertThat(LongRun.check(Set.of(willow, short5, salve), true, DAY, 8, 0, before))
                .isEmpty();
        assertThat(LongRun.check(Set.of(willow, short5, salve), true, DAY, 9, 0, before))
                .extracting(Finding::code)
                .containsExactly("CLASS_TOO_LONG");
        List<Used> mixed = IntStream.range(0, 20)
                .mapToObj(i -> new Used(DAY.minusDays(1 + i), true, Set.of(willow, short5), 0))
                .toList();
        assertThat(LongRun.check(Set.of(willow), true, DAY, 9, 0, mixed))
                .as("the other plant of the mixture holds none")
                .isEmpty();
    }

    @Test
    public void alcoholIsAddedUpOverTheDay() {
        Taxon plant = plant("x", Constituent.BITTER, null);
        Used today = new Used(DAY, true, Set.of(plant), 2);
        assertThat(codes(plant, true, 5, 1, List.of(today))).isEmpty();
        assertThat(codes(plant, true, 5, 1.01, List.of(today))).containsExactly("ALCOHOL_A_DAY");
        assertThat(codes(plant, true, 5, 0, List.of(today, today))).isEmpty();
        assertThat(codes(plant, true, 5, 1.01, List.of(new Used(DAY.minusDays(1), true, Set.of(plant), 2))))
                .isEmpty();
    }
}
