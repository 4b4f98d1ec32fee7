package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.UsedPart;
import org.sallowbrook.core.measure.Interval;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a household's card may make of each field of a used part. */
public class PartFieldTest {

    private static final UsedPart SHIPPED = part(0.3, 0.2, 2, Interval.of(0.7, 0.8), Interval.of(0.1, 0.2), 12, 6);

    private static UsedPart part(
            double perPlant,
            double ofStand,
            @Nullable Integer leastAge,
            @Nullable Interval moisture,
            @Nullable Interval bulk,
            @Nullable Integer storage,
            @Nullable Integer ageing) {
        return part(perPlant, ofStand, leastAge, moisture, bulk, storage, ageing, Set.of(Route.EXTERNAL));
    }

    private static UsedPart part(
            double perPlant,
            double ofStand,
            @Nullable Integer leastAge,
            @Nullable Interval moisture,
            @Nullable Interval bulk,
            @Nullable Integer storage,
            @Nullable Integer ageing,
            Set<Route> routes) {
        return new UsedPart(
                Taxon.Part.ROOT,
                new Taxon.Gathering(
                        "in autumn",
                        Set.of(LifeStage.WINTER),
                        Set.of(10),
                        perPlant,
                        ofStand,
                        null,
                        leastAge,
                        null,
                        "dig",
                        "a fork"),
                new Taxon.Drying(moisture, null, 40.0, false),
                new Taxon.Keeping(bulk, storage, ageing),
                new Taxon.Using(routes, null, null, List.of(), List.of()),
                Cards.SOURCE);
    }

    /** A field without an entry could be made to weaken the card, without a word. */
    @Test
    public void everyFieldHasARule() {
        assertThat(PartField.ALL.stream().map(PartField::name))
                .containsExactlyInAnyOrderElementsOf(
                        Stream.of(Taxon.Gathering.class, Taxon.Drying.class, Taxon.Keeping.class, Taxon.Using.class)
                                .flatMap(group -> Arrays.stream(group.getRecordComponents()))
                                .map(RecordComponent::getName)
                                .toList());
    }

    @DataProvider
    public static Object[][] weaker() {
        Interval wet = Interval.of(0.7, 0.8);
        Interval bulk = Interval.of(0.1, 0.2);
        return new Object[][] {
            {"share", part(0.31, 0.2, 2, wet, bulk, 12, 6)},
            {"share", part(0.3, 0.21, 2, wet, bulk, 12, 6)},
            {"least age", part(0.3, 0.2, 1, wet, bulk, 12, 6)},
            {"least age", part(0.3, 0.2, null, wet, bulk, 12, 6)},
            {"wetter", part(0.3, 0.2, 2, Interval.of(0.71, 0.8), bulk, 12, 6)},
            {"moisture", part(0.3, 0.2, 2, null, bulk, 12, 6)},
            {"spoon", part(0.3, 0.2, 2, wet, Interval.of(0.1, 0.19), 12, 6)},
            {"spoon", part(0.3, 0.2, 2, wet, null, 12, 6)},
            {"kept longer", part(0.3, 0.2, 2, wet, bulk, 13, 6)},
            {"kept longer", part(0.3, 0.2, 2, wet, bulk, null, 6)},
            {"ageing", part(0.3, 0.2, 2, wet, bulk, 12, 5)},
            {"ageing", part(0.3, 0.2, 2, wet, bulk, 12, null)},
            {"route", part(0.3, 0.2, 2, wet, bulk, 12, 6, Set.of(Route.INTERNAL, Route.EXTERNAL))},
        };
    }

    @Test(dataProvider = "weaker")
    public void whatWouldWeakenTheCardIsNamed(String words, UsedPart own) {
        assertThat(PartField.refusals(SHIPPED, own)).singleElement().asString().contains(words);
        // And the other way round it is stricter, or the card said nothing.
        assertThat(PartField.refusals(own, SHIPPED)).isEmpty();
    }

    @Test
    public void theRestIsTheHouseholdsOwn() {
        UnaryOperator<Taxon.Gathering> otherwise = g -> new Taxon.Gathering(
                "in spring",
                Set.of(LifeStage.LEAFY),
                Set.of(3),
                g.sharePerPlant(),
                g.shareOfStand(),
                Interval.of(100, 200),
                g.leastAgeYears(),
                Taxon.Frost.AFTER,
                "cut",
                "a knife");
        UsedPart own = new UsedPart(
                SHIPPED.part(),
                otherwise.apply(SHIPPED.gathering()),
                new Taxon.Drying(Interval.of(0.6, 0.8), Interval.of(0.3, 0.4), 35.0, true),
                SHIPPED.keeping(),
                SHIPPED.using(),
                SHIPPED.source());
        assertThat(PartField.refusals(SHIPPED, own)).isEmpty();
        assertThat(PartField.refusals(SHIPPED, SHIPPED)).isEmpty();
    }
}
