package org.sallowbrook.core.identification;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.measure.Finding;
import org.testng.annotations.Test;

/** What the engine says of itself: what excluded a plant, what still would, why it asks, and the posterior by hand. */
public class VerdictTest {

    private static final String[] ALL = {"c0", "c1", "c2", "c3", "c4", "c5", "c6", "c7"};

    private static Taxon card(String id, Danger danger, String state, String... lookAlikes) {
        Cards.Builder card = Cards.card(id).danger(danger).always(state, ALL);
        for (String other : lookAlikes) {
            card.lookAlike(other, "c0");
        }
        return card.build();
    }

    private static Identification.Result identify(List<Taxon> taxa, int month, Observation... seen) {
        return Identification.identify(
                new Herbarium(Cards.vocabulary(8), taxa),
                new Identification.Request(month, LifeStage.FLOWERING, "isle", List.of(seen)));
    }

    private static Observation saw(String character, String state) {
        return new Observation(character, state);
    }

    private static Observation[] all(String state) {
        List<Observation> seen = new ArrayList<>();
        for (String c : ALL) {
            seen.add(saw(c, state));
        }
        return seen.toArray(Observation[]::new);
    }

    @Test
    public void aConfirmedVerdictNamesWhoWasExcludedAndByWhat() {
        List<Taxon> taxa = List.of(
                card("good", Danger.HARMLESS, "a", "bad"),
                card("bad", Danger.DEADLY, "b", "good"),
                card("mild", Danger.HARMLESS, "c"));
        var verdict = identify(taxa, 6, all("a")).verdict();
        assertThat(verdict.status()).isEqualTo(Status.CONFIRMED);
        assertThat(verdict.taxon()).isEqualTo("good");
        assertThat(verdict.genus()).isNull();
        assertThat(verdict.open()).isEmpty();
        assertThat(verdict.tellableAt()).isNull();
        assertThat(verdict.excluded()).singleElement().satisfies(e -> {
            assertThat(e.taxon()).isEqualTo("bad");
            assertThat(e.by()).containsExactly(ALL);
        });
    }

    @Test
    public void anOpenVerdictNamesWhatWouldStillTellAndNotWhatWasSeen() {
        List<Taxon> taxa = List.of(card("good", Danger.HARMLESS, "a", "bad"), card("bad", Danger.DEADLY, "b", "good"));
        var result = identify(taxa, 6, saw("c0", "a"));
        var verdict = result.verdict();
        assertThat(verdict.status()).isEqualTo(Status.NOT_YET);
        assertThat(verdict.excluded()).isEmpty();
        assertThat(verdict.open()).singleElement().satisfies(o -> {
            assertThat(o.taxon()).isEqualTo("bad");
            assertThat(o.would()).containsExactly("c1", "c2", "c3", "c4", "c5", "c6", "c7");
        });
        assertThat(result.findings()).singleElement().satisfies(f -> {
            assertThat(f.code()).isEqualTo("NOT_YET");
            assertThat(f.message()).isEqualTo("Not yet told from common bad.");
            assertThat(f.action()).isEqualTo("Look at more characters, on different parts of the plant.");
        });
    }

    @Test
    public void aStopNamesThePlantAndSaysNotToPick() {
        List<Taxon> taxa = List.of(card("good", Danger.HARMLESS, "a", "bad"), card("bad", Danger.DEADLY, "b", "good"));
        var result = identify(taxa, 6, saw("c0", "b"), saw("c1", "b"), saw("c2", "b"));
        assertThat(result.verdict().status()).isEqualTo(Status.STOP);
        assertThat(result.findings()).extracting(Finding::code).contains("DANGEROUS_PLANT");
        assertThat(result.findings().get(0).message()).contains("bad");
        assertThat(result.findings().get(0).action()).contains("Do not pick it");
    }

    @Test
    public void anUncheckedListIsSaidToBeTheReason() {
        Taxon good = Cards.card("good").always("a", ALL).lookAlikesUnchecked().build();
        var result = identify(List.of(good, card("mild", Danger.HARMLESS, "c")), 6, all("a"));
        assertThat(result.verdict().status()).isEqualTo(Status.NOT_YET);
        assertThat(result.findings().get(0).message())
                .isEqualTo("Nobody has checked whether the list of look-alikes of common good is complete.");
    }

    @Test
    public void manyDangerousPlantsAreCountedNotListed() {
        List<Taxon> taxa = new ArrayList<>(List.of(card("good", Danger.HARMLESS, "a")));
        for (int i = 0; i < 6; i++) {
            taxa.add(card("bad" + i, Danger.DEADLY, "b"));
        }
        var four = identify(taxa.subList(0, 5), 6, saw("c0", "a"));
        assertThat(four.findings().get(0).message())
                .isEqualTo("Not yet told from common bad0, common bad1, common bad2, common bad3.");
        var six = identify(taxa, 6, saw("c0", "a"));
        assertThat(six.findings().get(0).message()).endsWith(" and 2 more dangerous plants.");
    }

    /** Bayes by hand: two taxa, error 0.03 over three states, one observation; out of its month a plant counts less. */
    @Test
    public void thePosteriorIsBayes() {
        List<Taxon> taxa = List.of(card("good", Danger.HARMLESS, "a"), card("mild", Danger.HARMLESS, "b"));
        var before = identify(taxa, 6);
        double good0 = of(before, "good");
        assertThat(good0).isCloseTo(of(before, "mild"), within(1e-12));
        var after = identify(taxa, 6, saw("c0", "a"));
        // always: 0.97 of its state, 0.015 of each other.
        assertThat(of(after, "good") / of(after, "mild")).isCloseTo(0.97 / 0.015, within(1e-6));
        double sum = after.candidates().stream()
                .mapToDouble(Identification.Candidate::posterior)
                .sum();
        assertThat(sum).isCloseTo(1, within(1e-12));
        assertThat(after.candidates().get(0).taxon()).isEqualTo("good");
        var january = identify(taxa, 1, saw("c0", "a"));
        assertThat(of(january, "good") / of(january, "mild")).isCloseTo(0.97 / 0.015, within(1e-6));
        Taxon inJune = Cards.card("june").always("a", ALL).build();
        Taxon twin = Cards.card("twin").always("a", ALL).build();
        assertThat(of(identify(List.of(inJune, twin), 6), "june"))
                .isCloseTo(of(identify(List.of(inJune, twin), 6), "twin"), within(1e-12));
    }

    private static double of(Identification.Result result, String taxon) {
        return result.candidates().stream()
                .filter(c -> c.taxon().equals(taxon))
                .mapToDouble(Identification.Candidate::posterior)
                .findFirst()
                .orElse(-1);
    }

    /** c0 tells the deadly plant from the rest, c1 only two harmless ones from each other, c2 nothing. */
    @Test
    public void theQuestionThatTellsTheDeadlyOneComesFirstAndSaysWhy() {
        Taxon a = Cards.card("a")
                .always("a", "c0")
                .always("a", "c1")
                .always("a", "c2")
                .build();
        Taxon b = Cards.card("b")
                .always("a", "c0")
                .always("b", "c1")
                .always("a", "c2")
                .build();
        Taxon deadly = Cards.card("deadly")
                .danger(Danger.DEADLY)
                .always("b", "c0")
                .shows("c1", Map.of("a", Frequency.USUAL, "b", Frequency.RARE))
                .always("a", "c2")
                .build();
        var next = identify(List.of(a, b, deadly), 6).next();
        assertThat(next.character()).isEqualTo("c0");
        assertThat(next.states()).containsExactly("a", "b", "c");
        // The reason names no plant: a name on the page draws the next answers towards it.
        assertThat(next.why()).doesNotContain("deadly").startsWith("Sorts best");
        var then = identify(List.of(a, b, deadly), 6, saw("c0", "a")).next();
        assertThat(then.character()).isEqualTo("c1");
    }

    @Test
    public void nothingIsAskedWhenEverythingWasSeen() {
        List<Taxon> taxa = List.of(card("good", Danger.HARMLESS, "a"), card("mild", Danger.HARMLESS, "b"));
        List<Observation> seen = new ArrayList<>(List.of(all("a")));
        assertThat(identify(taxa, 6, seen.toArray(Observation[]::new)).next()).satisfies(q -> {
            if (q != null) {
                assertThat(Set.of(ALL)).doesNotContain(q.character());
            }
        });
    }

    @Test
    public void twoLooksAreNoReasonForAStop() {
        List<Taxon> taxa = List.of(card("good", Danger.HARMLESS, "a", "bad"), card("bad", Danger.DEADLY, "b", "good"));
        assertThat(identify(taxa, 6, saw("c0", "b"), saw("c1", "b")).verdict().status())
                .isEqualTo(Status.NOT_YET);
        assertThat(identify(taxa, 6, saw("c0", "b"), saw("c1", "b"), saw("c2", "b"))
                        .verdict()
                        .status())
                .isEqualTo(Status.STOP);
    }

    /** A harmless plant leads, and the deadly one is still as likely as not: STOP only where enough could tell them. */
    @Test
    public void aDangerousPlantThatFitsAsWellStopsWhereTheTwoCanBeTold() {
        String[] six = {"c0", "c1", "c2", "c3", "c4", "c5"};
        Taxon good = Cards.card("good")
                .always("a", six)
                .always("a", "c6", "c7")
                .lookAlike("bad", "c0")
                .build();
        Cards.Builder bad = Cards.card("bad").danger(Danger.DEADLY).lookAlike("good", "c0");
        for (String c : six) {
            bad.shows(c, Map.of("b", Frequency.ALWAYS));
        }
        Taxon tellable = bad.always("a", "c6", "c7").build();
        var mixed =
                identify(List.of(good, tellable), 6, saw("c0", "a"), saw("c1", "b"), saw("c2", "a"), saw("c4", "b"));
        assertThat(mixed.verdict().status()).isEqualTo(Status.STOP);
        var clear = identify(List.of(good, tellable), 6, saw("c0", "a"), saw("c1", "a"), saw("c2", "a"));
        assertThat(clear.verdict().status()).isEqualTo(Status.NOT_YET);
        // Seen only where both are alike: nothing was put to the test.
        var untested = identify(List.of(good, tellable), 6, saw("c6", "a"), saw("c7", "a"));
        assertThat(untested.verdict().status()).isEqualTo(Status.NOT_YET);
    }

    @Test
    public void aPlantOutOfItsMonthOrRegionCountsLessOrNotAtAll() {
        Taxon june = Cards.card("june").always("a", ALL).build();
        Taxon winter = Cards.card("winter")
                .months(LifeStage.FLOWERING, Set.of(1))
                .always("a", ALL)
                .build();
        var inJune = identify(List.of(june, winter), 6, saw("c0", "a"));
        assertThat(of(inJune, "june")).isGreaterThan(5 * of(inJune, "winter"));
        var inJanuary = identify(List.of(june, winter), 1, saw("c0", "a"));
        assertThat(of(inJanuary, "winter")).isGreaterThan(5 * of(inJanuary, "june"));
        assertThat(inJanuary.candidates().get(0).taxon()).isEqualTo("winter");
        assertThat(inJanuary.verdict().taxon()).isEqualTo("winter");
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> Identification.identify(
                        new Herbarium(Cards.vocabulary(8), List.of(june)),
                        new Identification.Request(6, LifeStage.FLOWERING, "moon", List.of())))
                .hasMessageContaining("region");
    }

    @Test
    public void whereItCantBeToldNowTheStageAtWhichItCanIsNamed() {
        Taxon good = Cards.card("good")
                .showsAt(LifeStage.FLOWERING, "a", "c0", "c1", "c2", "c3", "c4", "c5")
                .showsAt(LifeStage.ROSETTE, "a", "c0")
                .months(LifeStage.ROSETTE, Set.of(3, 4))
                .lookAlike("bad", "c0")
                .build();
        Taxon bad = Cards.card("bad")
                .danger(Danger.DEADLY)
                .showsAt(LifeStage.FLOWERING, "b", "c0", "c1", "c2", "c3", "c4", "c5")
                .showsAt(LifeStage.ROSETTE, "b", "c0")
                .months(LifeStage.ROSETTE, Set.of(3, 4))
                .lookAlike("good", "c0")
                .build();
        var result = Identification.identify(
                new Herbarium(Cards.vocabulary(8), List.of(good, bad)),
                new Identification.Request(4, LifeStage.ROSETTE, "isle", List.of(saw("c0", "a"))));
        assertThat(result.verdict().status()).isEqualTo(Status.NOT_YET);
        assertThat(result.verdict().tellableAt()).isNotNull();
        assertThat(result.verdict().tellableAt().stage()).isEqualTo(LifeStage.FLOWERING);
        assertThat(result.verdict().tellableAt().months()).containsExactly(6, 7);
        assertThat(result.verdict().tellableAt().characters())
                .containsExactlyInAnyOrder("c0", "c1", "c2", "c3", "c4", "c5");
        assertThat(result.findings().get(0).action()).isEqualTo("Mark the place and come back when it is in flower.");
    }

    @Test
    public void whatWasNotCountedIsNamed() {
        var vocabulary = new ArrayList<>(Cards.vocabulary(8));
        vocabulary.add(Cards.hiddenWhenWet("sheen"));
        Taxon good = Cards.card("good").always("a", ALL).always("a", "sheen").build();
        var result = Identification.identify(
                new Herbarium(vocabulary, List.of(good, card("mild", Danger.HARMLESS, "b"))),
                new Identification.Request(
                        6,
                        LifeStage.FLOWERING,
                        "isle",
                        Set.of(org.sallowbrook.core.herbarium.LookingCondition.WET),
                        List.of(saw("c0", "a"), saw("sheen", "a")),
                        Set.of()));
        assertThat(result.findings())
                .filteredOn(f -> f.code().equals("NOT_COUNTED"))
                .singleElement()
                .satisfies(f -> assertThat(f.message()).contains("sheen"));
    }
}
