package org.sallowbrook.core.identification;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Result;
import org.sallowbrook.core.identification.Identification.Status;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What an answer is worth against a dangerous plant, and what it is not worth. */
public class AgainstTest {

    private static final String[] ALL = {"c0", "c1", "c2", "c3", "c4", "c5", "c6", "c7"};

    private static Cards.Builder good() {
        return Cards.card("good").always("a", ALL);
    }

    private static Cards.Builder bad() {
        return Cards.card("bad").danger(Danger.DEADLY);
    }

    private static List<Observation> saw(String state, String... characters) {
        List<Observation> seen = new ArrayList<>();
        for (String c : characters) {
            seen.add(new Observation(c, state));
        }
        return seen;
    }

    private static Result identify(List<CharacterDefinition> vocabulary, List<Taxon> taxa, List<Observation> seen) {
        return Identification.identify(
                new Herbarium(vocabulary, taxa), new Request(6, LifeStage.FLOWERING, "isle", seen));
    }

    private static Status status(Taxon good, Taxon bad, List<Observation> seen) {
        return identify(Cards.vocabulary(8), List.of(good, bad), seen).verdict().status();
    }

    @Test
    public void fourCharactersMakeAMillionAndThreeDoNot() {
        // The bad card is silent on c3, c6 and c7: they raise the posterior and count nothing here.
        Taxon good = good().build();
        Taxon bad = bad().always("b", "c0", "c1", "c2", "c4").build();
        assertThat(status(good, bad, saw("a", "c3", "c6", "c7", "c0", "c1", "c2")))
                .isEqualTo(Status.SECOND_WANTED);
        assertThat(status(good, bad, saw("a", "c3", "c6", "c7", "c0", "c1", "c2", "c4")))
                .isEqualTo(Status.CONFIRMED);
    }

    /** A state in twenty-five is no surer than one in three: whoever slips, slips. */
    @Test
    public void manyStatesCountNoMoreThanOneSlip() {
        List<CharacterDefinition> vocabulary = new ArrayList<>();
        List<CharacterDefinition.State> states = new ArrayList<>();
        for (int i = 0; i < 25; i++) {
            states.add(new CharacterDefinition.State(String.valueOf((char) ('a' + i)), "state " + i));
        }
        Organ[] organs = {Organ.LEAF, Organ.STEM, Organ.FLOWER};
        for (int i = 0; i < ALL.length; i++) {
            vocabulary.add(character(ALL[i], organs[i % 3], EnumSet.allOf(LifeStage.class), states));
        }
        Taxon good = good().build();
        Taxon bad = bad().always("b", ALL).build();
        assertThat(identify(vocabulary, List.of(good, bad), saw("a", "c0", "c1", "c2"))
                        .verdict()
                        .status())
                .isNotEqualTo(Status.CONFIRMED);
        assertThat(identify(vocabulary, List.of(good, bad), saw("a", "c0", "c1", "c2", "c3"))
                        .verdict()
                        .status())
                .isEqualTo(Status.CONFIRMED);
    }

    private static CharacterDefinition character(
            String id, Organ organ, Set<LifeStage> stages, List<CharacterDefinition.State> states) {
        return new CharacterDefinition(
                id,
                id,
                organ,
                "look",
                stages,
                Set.of(Group.PLANT),
                Set.of(),
                false,
                1,
                0.03,
                "part of its build",
                states);
    }

    @Test
    public void whatTheDangerousCardIsSilentOnCountsNothing() {
        Taxon silent = bad().always("b", "c0", "c1").build();
        assertThat(status(good().build(), silent, saw("a", ALL))).isEqualTo(Status.NOT_YET);
    }

    @Test
    public void whatItShowsNowAndThenCountsNothing() {
        Cards.Builder now = bad().always("b", "c0", "c1");
        for (String c : List.of("c2", "c3", "c4", "c5", "c6", "c7")) {
            now.shows(c, Map.of("b", Frequency.USUAL, "a", Frequency.RARE));
        }
        assertThat(status(good().build(), now.build(), saw("a", ALL))).isEqualTo(Status.NOT_YET);
    }

    /** c2 and c6 are flower, c3 and c7 fruit. */
    @Test
    public void flowerAndFruitAreOneGlance() {
        Taxon bad = bad().always("b", ALL).build();
        assertThat(status(good().build(), bad, saw("a", "c2", "c3", "c6", "c7")))
                .isEqualTo(Status.NOT_YET);
        assertThat(status(good().build(), bad, saw("a", "c2", "c3", "c6", "c7", "c0", "c4")))
                .isEqualTo(Status.CONFIRMED);
    }

    @Test
    public void aScentCountsOnlyAgainst() {
        Taxon good = good().always("a", "smell").build();
        Taxon bad = bad().always("b", ALL).always("b", "smell").build();
        List<Observation> four = saw("a", "c0", "c1", "c2", "c4");
        List<Observation> three = new ArrayList<>(saw("a", "c0", "c1", "c2"));
        three.add(new Observation("smell", "a"));
        assertThat(status(good, bad, three)).isEqualTo(Status.NOT_YET);
        List<Observation> foul = new ArrayList<>(four);
        foul.add(new Observation("smell", "b"));
        assertThat(status(good, bad, foul)).isEqualTo(Status.NOT_YET);
    }

    @DataProvider
    public Object[][] harmful() {
        return new Object[][] {{Taxon.Constituent.PYRROLIZIDINE}, {Taxon.Constituent.HELENALIN}};
    }

    /** Harmless to touch, harmful to swallow: what is gathered for the mouth must be told from it. */
    @Test(dataProvider = "harmful")
    public void aPlantThatHarmsWhenTakenIsARivalOfWhatIsTaken(Taxon.Constituent poison) {
        Taxon twin = Cards.card("twin")
                .always("a", ALL)
                .holds(poison)
                .months(LifeStage.FLOWERING, Set.of(1))
                .build();
        List<Observation> all = saw("a", ALL);
        assertThat(twin.harmsWhenTaken()).isTrue();
        assertThat(good().build().mustBeToldFrom(twin)).isTrue();
        assertThat(identify(Cards.vocabulary(8), List.of(good().build(), twin), all)
                        .verdict()
                        .open())
                .extracting(Identification.Open::taxon)
                .contains("twin");
    }

    /** Whatever the cards, whatever the unlucky truth: fewer than four wrong answers never confirm. */
    @Test
    public void threeSlipsNeverConfirmADangerousPlant() {
        java.util.SplittableRandom random = new java.util.SplittableRandom(11);
        int reached = 0;
        for (int round = 0; round < 400; round++) {
            Cards.Builder card = bad();
            List<Observation> seen = new ArrayList<>();
            int slips = round % 5;
            int left = slips;
            for (String c : ALL) {
                boolean mayShow = random.nextBoolean();
                card.shows(
                        c, mayShow ? Map.of("b", Frequency.USUAL, "a", Frequency.RARE) : Map.of("b", Frequency.ALWAYS));
                if (mayShow) {
                    seen.add(new Observation(c, "a"));
                } else if (left > 0) {
                    seen.add(new Observation(c, "a"));
                    left--;
                }
            }
            Status status = status(good().build(), card.build(), seen);
            if (slips - left < 4) {
                assertThat(status).isNotEqualTo(Status.CONFIRMED);
            } else if (status == Status.CONFIRMED) {
                reached++;
            }
        }
        assertThat(reached).as("four do, now and then").isPositive();
    }

    @Test
    public void aLeafSeenSaysThatThereAreLeaves() {
        List<CharacterDefinition> vocabulary = new ArrayList<>(Cards.vocabulary(8));
        vocabulary.add(character(
                "leaves-now",
                Organ.LEAF,
                EnumSet.of(LifeStage.FLOWERING),
                List.of(
                        new CharacterDefinition.State("present", "yes"),
                        new CharacterDefinition.State("absent", "no"))));
        Taxon good = good().always("present", "leaves-now").build();
        Taxon leafless = bad().always("absent", "leaves-now")
                .always("b", "c1", "c5", "c2")
                .build();
        List<Observation> without = saw("a", "c1", "c5", "c2");
        List<Observation> with = saw("a", "c1", "c5", "c2", "c0");
        assertThat(identify(vocabulary, List.of(good, leafless), without)
                        .verdict()
                        .status())
                .isEqualTo(Status.NOT_YET);
        assertThat(identify(vocabulary, List.of(good, leafless), with).verdict().excluded())
                .singleElement()
                .satisfies(e -> assertThat(e.by()).contains("leaves-now"));
    }

    @Test
    public void itStopsAskingWhenTheStageCantTell() {
        Taxon alike = bad().always("a", "c0", "c1", "c2", "c4", "c5")
                .always("b", "c3", "c6", "c7")
                .build();
        Result clear = identify(
                Cards.vocabulary(8),
                List.of(
                        good().build(),
                        alike,
                        Cards.card("mild").always("c", ALL).build()),
                saw("a", "c3", "c6"));
        assertThat(clear.verdict().status()).isEqualTo(Status.NOT_YET);
        assertThat(clear.next()).as("nothing left to see could exclude it").isNull();
        assertThat(clear.further()).as("but whoever wants to may go on").isNotNull();
    }

    @Test
    public void whatThePlantsInQuestionCantHaveIsNotAsked() {
        List<CharacterDefinition> vocabulary = new ArrayList<>(Cards.vocabulary(8));
        vocabulary.add(character(
                "needles",
                Organ.LEAF,
                EnumSet.allOf(LifeStage.class),
                List.of(
                        new CharacterDefinition.State("soft", "soft"),
                        new CharacterDefinition.State("none", "it has no needles", true))));
        Taxon lime = good().always("none", "needles").build();
        Taxon yew = bad().always("b", ALL).always("soft", "needles").build();
        List<Observation> seen = new ArrayList<>();
        List<String> asked = new ArrayList<>();
        for (var next = identify(vocabulary, List.of(lime, yew), seen).next(); next != null; ) {
            asked.add(next.character());
            seen.add(new Observation(next.character(), next.character().equals("needles") ? "none" : "a"));
            next = identify(vocabulary, List.of(lime, yew), seen).next();
        }
        assertThat(asked.subList(1, asked.size())).doesNotContain("needles");
    }
}
