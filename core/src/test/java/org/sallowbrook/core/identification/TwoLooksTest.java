package org.sallowbrook.core.identification;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Open;
import org.sallowbrook.core.identification.Identification.Question;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Result;
import org.sallowbrook.core.identification.Identification.Status;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What one look can't say alone: two that agree, a second try at what could not be seen, and what truly is in the way. */
public class TwoLooksTest {

    private static final String[] ALL = {"c0", "c1", "c2", "c3", "c4", "c5", "c6", "c7"};

    private static Taxon good() {
        return Cards.card("good").always("a", ALL).build();
    }

    /** Differs in so many characters, and is alike in the rest. */
    private static Taxon bad(String id, Danger danger, int telling) {
        return Cards.card(id)
                .danger(danger)
                .always("b", Arrays.copyOf(ALL, telling))
                .always("a", Arrays.copyOfRange(ALL, telling, ALL.length))
                .build();
    }

    private static Result look(List<Taxon> taxa, List<String> seen, Set<String> unseeable, Set<String> twice) {
        return new Identifier(new Herbarium(Cards.vocabulary(8), taxa))
                .identify(new Request(
                        6,
                        LifeStage.FLOWERING,
                        "isle",
                        Set.of(),
                        seen.stream().map(c -> new Observation(c, "a")).toList(),
                        unseeable,
                        twice,
                        List.of(),
                        Map.of()));
    }

    @DataProvider
    public Object[][] tellingAndListed() {
        return new Object[][] {
            {Danger.POISONOUS, 4, false, Status.CONFIRMED},
            {Danger.POISONOUS, 3, false, Status.SECOND_WANTED},
            {Danger.DEADLY, 3, false, Status.SECOND_WANTED},
            {Danger.POISONOUS, 3, true, Status.SECOND_WANTED},
            {Danger.POISONOUS, 2, false, Status.NOT_YET},
            // Of what something deadly is listed for, three are never enough, and four only of six that tell.
            {Danger.DEADLY, 3, true, Status.NOT_YET},
            {Danger.DEADLY, 5, true, Status.NOT_YET},
            {Danger.DEADLY, 6, true, Status.CONFIRMED},
        };
    }

    @Test(dataProvider = "tellingAndListed")
    public void threeExclusionsAreHalfALook(Danger danger, int telling, boolean listed, Status status) {
        Taxon good = listed
                ? Cards.card("good").always("a", ALL).lookAlike("bad", "c0").build()
                : good();
        Result result = look(List.of(good, bad("bad", danger, telling)), List.of(ALL), Set.of(), Set.of());
        assertThat(result.verdict().status()).isEqualTo(status);
        assertThat(result.findings().stream().anyMatch(f -> f.code().equals("SECOND_WANTED")))
                .isEqualTo(status == Status.SECOND_WANTED);
    }

    @Test
    public void halfALookIsKeptOnlyWhenItWasLookedAtAgain() {
        Result result = look(List.of(good(), bad("bad", Danger.POISONOUS, 3)), List.of(ALL), Set.of(), Set.of());
        assertThat(result.again()).isNotEmpty();
        assertThat(result.kept()).isEqualTo(Status.NOT_YET);
    }

    /** Before it is given up, what could not be seen is asked of once more; a third time never. */
    @Test
    public void whatCouldNotBeSeenIsAskedOfAnotherLeaf() {
        List<Taxon> taxa = List.of(good(), bad("bad", Danger.POISONOUS, 4));
        List<String> seen = List.of("c0", "c4", "c5", "c6", "c7");
        Question next = Objects.requireNonNull(
                look(taxa, seen, Set.of("c1", "c2", "c3"), Set.of()).next());
        assertThat(next.again()).isTrue();
        assertThat(next.character()).isIn("c1", "c2", "c3");
        Result given = look(taxa, seen, Set.of("c1", "c2", "c3"), Set.of("c1", "c2"));
        assertThat(given.next()).isNull();
        assertThat(given.settled()).isTrue();
    }

    /** In the way is what nothing left to see excludes; what was not looked into is not blamed. */
    @Test
    public void onlyWhatCanNotBeExcludedIsInTheWay() {
        List<Taxon> taxa = List.of(good(), bad("twin", Danger.POISONOUS, 1), bad("far", Danger.POISONOUS, 6));
        Result result = look(taxa, List.of("c0"), Set.of(), Set.of());
        assertThat(result.verdict().open()).extracting(Open::taxon).containsExactly("twin", "far");
        assertThat(result.verdict().open()).extracting(Open::inTheWay).containsExactly(true, false);
        assertThat(result.findings())
                .filteredOn(f -> f.code().equals("NOT_YET"))
                .singleElement()
                .satisfies(f -> assertThat(f.message())
                        .contains("twin")
                        .contains("One other dangerous plant was not looked into"));
    }

    /** Dear looking comes late, gross characters first. */
    @Test
    public void nothingIsDugUpFirst() {
        List<CharacterDefinition> vocabulary = new ArrayList<>();
        for (int i = 0; i < ALL.length; i++) {
            vocabulary.add(dear(ALL[i], i < 5 ? Organ.ROOT : Organ.LEAF, i < 5 ? 3 : 1, i == 7 ? 1 : 0));
        }
        Taxon good = Cards.card("good")
                .showsAt(LifeStage.LEAFY, "a", ALL)
                .months(LifeStage.LEAFY, Set.of(6))
                .build();
        Taxon bad = Cards.card("bad")
                .danger(Danger.DEADLY)
                .showsAt(LifeStage.LEAFY, "b", ALL)
                .months(LifeStage.LEAFY, Set.of(6))
                .build();
        Identifier identifier = new Identifier(new Herbarium(vocabulary, List.of(good, bad)));
        List<Observation> seen = new ArrayList<>();
        List<String> order = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Question next = Objects.requireNonNull(identifier
                    .identify(new Request(6, LifeStage.LEAFY, "isle", seen))
                    .next());
            order.add(next.character());
            seen.add(new Observation(next.character(), "a"));
        }
        assertThat(order.get(0)).as("the gross one").isEqualTo("c7");
        assertThat(order.subList(0, 3)).containsExactlyInAnyOrder("c5", "c6", "c7");
        assertThat(order.get(3)).as("then it is worth digging").startsWith("c");
        // Without a line the same things are asked in an order laid down beforehand.
        List<String> beforehand = identifier.order("isle", LifeStage.LEAFY, 6);
        assertThat(beforehand).doesNotHaveDuplicates().contains(ALL);
        assertThat(beforehand.subList(0, 3)).containsExactlyInAnyOrder("c5", "c6", "c7");
    }

    private static CharacterDefinition dear(String id, Organ organ, int cost, int opening) {
        CharacterDefinition c = Cards.character(id, organ, false);
        return new CharacterDefinition(
                id,
                id,
                organ,
                c.howToLook(),
                EnumSet.allOf(LifeStage.class),
                c.groups(),
                c.notUnder(),
                false,
                cost,
                opening,
                c.error(),
                c.fixed(),
                c.states());
    }

    @Test
    public void whenItCanBeSureIsSaidFromTheCards() {
        Taxon good = Cards.card("good")
                .always("a", ALL)
                .part(Taxon.Part.HERB, null, null)
                .build();
        Identifier three =
                new Identifier(new Herbarium(Cards.vocabulary(8), List.of(good, bad("bad", Danger.POISONOUS, 3))));
        assertThat(three.whenSure("good", "isle")).singleElement().satisfies(at -> {
            assertThat(at.stage()).isEqualTo(LifeStage.FLOWERING);
            assertThat(at.sure()).isEqualTo(WhenSure.Sure.WITH_ANOTHER);
            assertThat(at.inTheWay()).isEmpty();
            assertThat(at.by()).containsExactlyInAnyOrder("c0", "c1", "c2");
        });
        Identifier none =
                new Identifier(new Herbarium(Cards.vocabulary(8), List.of(good, bad("bad", Danger.POISONOUS, 2))));
        assertThat(none.whenSure("good", "isle"))
                .singleElement()
                .satisfies(at -> assertThat(at.inTheWay()).containsExactly("bad"));
        assertThat(three.certainty("isle", Group.PLANT, LifeStage.FLOWERING)).isEqualTo(new Identifier.Certainty(1, 1));
        assertThat(none.certainty("isle", Group.PLANT, LifeStage.FLOWERING)).isEqualTo(new Identifier.Certainty(1, 0));
        assertThat(none.certainty("isle", Group.PLANT, LifeStage.WINTER)).isEqualTo(new Identifier.Certainty(0, 0));
    }

    /** Said to be one thing and, asked again, another: neither counts, and it is said. */
    @Test
    public void whatWasAnsweredInTwoWaysIsSaidAndNotCounted() {
        Result result = new Identifier(
                        new Herbarium(Cards.vocabulary(8), List.of(good(), bad("bad", Danger.DEADLY, 5))))
                .identify(new Request(
                        6,
                        LifeStage.FLOWERING,
                        "isle",
                        Set.of(),
                        Arrays.stream(ALL).map(c -> new Observation(c, "a")).toList(),
                        Set.of(),
                        Set.of(),
                        List.of(new Observation("c0", "b"), new Observation("c1", "a")),
                        Map.of()));
        assertThat(result.findings())
                .filteredOn(f -> f.code().equals("CONTRADICTED"))
                .singleElement()
                .extracting(f -> f.message())
                .asString()
                .contains("c0")
                .doesNotContain("c1");
    }
}
