package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.year.FirstYear;
import org.sallowbrook.server.herbarium.ShippedCards;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What a beginner is told to begin with, of the cards that ship. */
public class FirstYearTest extends ServerTest {

    private static final LocalDate SPRING = LocalDate.of(2026, 3, 1);

    private Herbarium herbarium;
    private Map<String, Danger> dangers;

    @BeforeClass
    public void cards() throws IOException {
        herbarium = ShippedCards.load().herbarium();
        dangers = herbarium.taxa().stream().collect(Collectors.toMap(Taxon::id, Taxon::danger));
    }

    /** Every part of every card, as if looking told all of it at any stage: only the rules of a first year are left. */
    private List<FirstYear.Comes> all(Set<LifeStage> certain) {
        List<FirstYear.Comes> all = new ArrayList<>();
        for (Taxon taxon : herbarium.taxa()) {
            for (Taxon.UsedPart part : taxon.parts()) {
                if (!part.gathering().months().isEmpty()) {
                    int month = part.gathering().months().iterator().next();
                    LocalDate from = LocalDate.of(2026, month, 10);
                    all.add(new FirstYear.Comes(taxon, part, from, from.plusDays(30), certain));
                }
            }
        }
        return all;
    }

    @Test
    public void nothingThatHurtsAPlantOrAPersonIsForABeginner() {
        List<FirstYear.Learn> year = FirstYear.of(all(EnumSet.allOf(LifeStage.class)), dangers, (t, r) -> 2, false);
        assertThat(year.size()).isBetween(6, FirstYear.MOST);
        Map<YearMonth, Integer> begun = new HashMap<>();
        for (FirstYear.Learn l : year) {
            Taxon taxon = l.what().taxon();
            assertThat(taxon.draft() || taxon.harmsWhenTaken() || taxon.halfParasite())
                    .as(taxon.id())
                    .isFalse();
            assertThat(taxon.lookAlikes())
                    .extracting(likeness -> dangers.get(likeness.taxon()))
                    .as(taxon.id())
                    .doesNotContain(Danger.DEADLY);
            assertThat(l.besides()).as(taxon.id()).allMatch(b -> dangers.get(b) == Danger.POISONOUS);
            assertThat(l.what().part().part()).isNotIn(Taxon.Part.ROOT, Taxon.Part.BARK);
            assertThat(taxon.uses())
                    .filteredOn(u -> l.uses().contains(u.name()))
                    .as(taxon.id())
                    .isNotEmpty()
                    .anyMatch(u -> u.route() == l.make().route() && !u.grave());
            assertThat(l.wantedFrom()).isAfter(l.what().from());
            assertThat(begun.merge(YearMonth.from(l.what().from()), 1, Integer::sum))
                    .isLessThanOrEqualTo(2);
        }
        assertThat(year.stream().map(l -> l.what().from()).toList()).isSorted();
    }

    /** What looking can't make certain when it is picked is left out, however harmless. */
    @Test
    public void whatCanNotBeMadeCertainWhenItIsPickedIsLeftOut() {
        assertThat(FirstYear.of(all(Set.of()), dangers, (t, r) -> 1, false).size())
                .isZero();
        assertThat(FirstYear.of(all(Set.of(LifeStage.FLOWERING)), dangers, (t, r) -> 1, false).stream()
                        .map(FirstYear.Learn::stages)
                        .distinct())
                .containsExactly(Set.of(LifeStage.FLOWERING));
    }

    @Test
    public void aTeaIsForTheColdMonthsThatComeAfterIt() {
        FirstYear.Learn lime = FirstYear.of(all(EnumSet.allOf(LifeStage.class)), dangers, (t, r) -> 3, true).stream()
                .filter(l -> l.make() == Basket.Product.TEA)
                .findFirst()
                .orElseThrow();
        assertThat(lime.amount()).isEqualTo(156);
        assertThat(lime.wantedFrom()).isAfter(SPRING);
        assertThat(lime.wantedFrom().getMonthValue()).isEqualTo(4);
    }

    /** What nobody here may swallow is not begun with for the mouth; what nobody may have at all is left out. */
    @Test
    public void whatNobodyMayHaveIsNotBegunWith() {
        Set<LifeStage> any = EnumSet.allOf(LifeStage.class);
        assertThat(FirstYear.of(all(any), dangers, (t, r) -> r == Taxon.Route.EXTERNAL ? 1 : 0, false).stream()
                        .map(FirstYear.Learn::make)
                        .distinct())
                .containsExactly(Basket.Product.SALVE);
        assertThat(FirstYear.of(all(any), dangers, (t, r) -> 0, false).size()).isZero();
    }

    /** In a household that has gathered nothing; each can be wished for as it is proposed. */
    @Test
    public void anEmptyHouseholdIsToldWhatToBeginWith() {
        Client lantern = as("lantern");
        List<UUID> wished = new ArrayList<>();
        JsonNode year = lantern.get("/api/planning/year/first").expect(200).body();
        assertThat(year.size()).isGreaterThanOrEqualTo(5);
        for (JsonNode l : year) {
            assertThat(LocalDate.parse(l.path("until").asString())).isAfterOrEqualTo(today());
            UUID id = id();
            wished.add(id);
            lantern.post(
                            "/api/planning/wishes",
                            Map.of(
                                    "id",
                                    id,
                                    "words",
                                    "to begin with",
                                    "product",
                                    l.path("make").asString(),
                                    "amount",
                                    l.path("amount").asDouble(),
                                    "from",
                                    l.path("wantedFrom").asString(),
                                    "until",
                                    l.path("wantedUntil").asString(),
                                    "evenly",
                                    false,
                                    "mayBuy",
                                    false,
                                    "herbs",
                                    List.of(Map.of(
                                            "taxonId",
                                            l.path("taxonId").asString(),
                                            "part",
                                            l.path("part").asString()))))
                    .expect(200);
        }
        // Nothing grows there that is known: the plan says so of each, and is no error.
        assertThat(lantern.get("/api/planning/year").expect(200).body().path("wishes"))
                .hasSize(wished.size())
                .allMatch(g -> g.path("why").get(0).asString().equals("NO_STAND"));
        wished.forEach(w -> lantern.delete("/api/planning/wishes/" + w, null).expect(204));
        assertThat(as("ilse").get("/api/planning/year/first").expect(200).body())
                .isEmpty();
    }
}
