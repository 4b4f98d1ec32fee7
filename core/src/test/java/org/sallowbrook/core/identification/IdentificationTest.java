package org.sallowbrook.core.identification;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The engine on invented cards: eight characters on four organs, a harmless plant that shows a, a deadly one that shows b. */
public class IdentificationTest {

    private static final String[] ALL = {"c0", "c1", "c2", "c3", "c4", "c5", "c6", "c7"};

    private static Taxon good(String... decisive) {
        return Cards.card("good")
                .always("a", ALL)
                .always("a", "smell")
                .lookAlike("bad", decisive)
                .build();
    }

    private static Taxon bad() {
        return Cards.card("bad")
                .danger(Danger.DEADLY)
                .always("b", ALL)
                .always("b", "smell")
                .lookAlike("good", "c0")
                .build();
    }

    private static Identification.Result identify(List<Taxon> taxa, List<Observation> seen) {
        return Identification.identify(
                new Herbarium(Cards.vocabulary(8), taxa),
                new Identification.Request(6, LifeStage.FLOWERING, "isle", seen));
    }

    private static List<Observation> seen(String state, String... characters) {
        List<Observation> all = new ArrayList<>();
        for (String character : characters) {
            all.add(new Observation(character, state));
        }
        return all;
    }

    private static Status status(List<Taxon> taxa, List<Observation> seen) {
        return identify(taxa, seen).verdict().status();
    }

    @Test
    public void enoughCharactersOfDifferentOrgansConfirm() {
        List<Taxon> taxa = List.of(good("c0"), bad());
        assertThat(status(taxa, List.of())).isEqualTo(Status.NOT_YET);
        assertThat(status(taxa, seen("a", "c0", "c1"))).isEqualTo(Status.NOT_YET);
        assertThat(status(taxa, seen("a", ALL))).isEqualTo(Status.CONFIRMED);
    }

    /** c0 and c4 are leaf, c1 and c5 stem: many of one organ are one slip, not many. */
    @Test
    public void oneOrganAloneNeverConfirms() {
        List<Taxon> taxa = List.of(good("c0"), bad());
        var verdict = identify(taxa, seen("a", "c0", "c4")).verdict();
        assertThat(verdict.status()).isNotEqualTo(Status.CONFIRMED);
        assertThat(verdict.open()).extracting(Identification.Open::taxon).containsExactly("bad");
    }

    @Test
    public void aListedLookAlikeWantsADecisiveCharacterAndScentIsNone() {
        assertThat(status(List.of(good("c0"), bad()), seen("a", "c1", "c2", "c3", "c5", "c6", "c7")))
                .isEqualTo(Status.NOT_YET);
        assertThat(status(List.of(good("c0"), bad()), seen("a", "c0", "c1", "c2", "c3", "c5", "c6")))
                .isEqualTo(Status.CONFIRMED);
        assertThat(status(List.of(good("smell"), bad()), seen("a", "smell", "c1", "c2", "c3", "c5", "c6", "c7", "c0")))
                .isEqualTo(Status.NOT_YET);
    }

    @Test
    public void anUncheckedListOfLookAlikesNeverConfirms() {
        Taxon unchecked =
                Cards.card("good").lookAlikesUnchecked().always("a", ALL).build();
        assertThat(status(List.of(unchecked, bad()), seen("a", ALL))).isEqualTo(Status.NOT_YET);
    }

    /** A dangerous plant that no card lists as a look-alike is tested all the same. */
    @Test
    public void anUnlistedDangerousPlantThatFitsForbidsConfirming() {
        Taxon twin =
                Cards.card("twin").danger(Danger.POISONOUS).always("a", ALL).build();
        Taxon alone = Cards.card("good").always("a", ALL).build();
        assertThat(status(List.of(alone, twin), seen("a", ALL))).isNotEqualTo(Status.CONFIRMED);
    }

    /** Six for a listed deadly look-alike; elsewhere the evidence: four alone, three with another look. */
    @Test
    public void fewerTellingCharactersThanNeededAreNotTellable() {
        Taxon listed =
                Cards.card("good").always("a", ALL).lookAlike("bad", "c0").build();
        Taxon unlisted = Cards.card("good").always("a", ALL).build();
        Taxon five = like(Danger.DEADLY, 5);
        assertThat(Telling.between(
                        new Herbarium(Cards.vocabulary(8), List.of(listed, five)), listed, five, LifeStage.FLOWERING))
                .hasSize(5);
        assertThat(status(List.of(listed, five), seen("a", ALL))).isEqualTo(Status.NOT_YET);
        assertThat(status(List.of(listed, like(Danger.DEADLY, 6)), seen("a", ALL)))
                .isEqualTo(Status.CONFIRMED);
        assertThat(status(List.of(unlisted, five), seen("a", ALL))).isEqualTo(Status.CONFIRMED);
        assertThat(status(List.of(unlisted, like(Danger.DEADLY, 3)), seen("a", ALL)))
                .isEqualTo(Status.SECOND_WANTED);
        assertThat(status(List.of(unlisted, like(Danger.DEADLY, 2)), seen("a", ALL)))
                .isEqualTo(Status.NOT_YET);
    }

    private static Taxon like(Danger danger, int telling) {
        return Cards.card("bad")
                .danger(danger)
                .always("b", java.util.Arrays.copyOfRange(ALL, 0, telling))
                .always("a", java.util.Arrays.copyOfRange(ALL, telling, ALL.length))
                .build();
    }

    @Test
    public void aMerelyUsualStateExcludesNothing() {
        Taxon variable = Cards.card("bad")
                .danger(Danger.DEADLY)
                .always("b", "c1", "c2", "c3", "c4", "c5", "c6", "c7")
                .shows("c0", Map.of("b", Frequency.USUAL, "a", Frequency.RARE))
                .lookAlike("good", "c0")
                .build();
        var verdict = identify(List.of(good("c0"), variable), seen("a", ALL)).verdict();
        // c0 is the one decisive character, and the deadly plant sometimes shows it.
        assertThat(verdict.status()).isEqualTo(Status.NOT_YET);
    }

    @Test
    public void aDangerousPlantThatLeadsIsAStop() {
        List<Taxon> taxa = List.of(good("c0"), bad());
        assertThat(status(taxa, seen("b", "c0", "c1", "c2"))).isEqualTo(Status.STOP);
        assertThat(status(taxa, seen("b", "c0"))).isEqualTo(Status.NOT_YET);
    }

    /** Whatever else was seen, a state a plant always shows never ranks it below one that never shows it. */
    @Test
    public void seeingWhatAPlantAlwaysShowsSpeaksForIt() {
        List<Taxon> taxa = List.of(good("c0"), bad());
        for (int n = 0; n < ALL.length; n++) {
            List<Observation> before = seen("a", java.util.Arrays.copyOf(ALL, n));
            List<Observation> after = seen("a", java.util.Arrays.copyOf(ALL, n + 1));
            assertThat(posterior(taxa, after, "good")).isGreaterThanOrEqualTo(posterior(taxa, before, "good"));
            assertThat(posterior(taxa, after, "bad")).isLessThanOrEqualTo(posterior(taxa, before, "bad"));
        }
    }

    private static double posterior(List<Taxon> taxa, List<Observation> seen, String taxon) {
        return identify(taxa, seen).candidates().stream()
                .filter(c -> c.taxon().equals(taxon))
                .findFirst()
                .orElseThrow()
                .posterior();
    }

    @Test
    public void posteriorsAreProbabilities() {
        double sum = identify(List.of(good("c0"), bad()), seen("c", "c0", "c1")).candidates().stream()
                .mapToDouble(Identification.Candidate::posterior)
                .sum();
        assertThat(sum).isCloseTo(1, org.assertj.core.api.Assertions.within(1e-12));
        // Neither plant shows c: that it is none of these must lead.
        assertThat(identify(List.of(good("c0"), bad()), seen("c", "c0", "c1", "c2", "c3"))
                        .candidates()
                        .get(0)
                        .taxon())
                .isEqualTo(Identification.NONE_OF_THESE);
    }

    @Test
    public void theNextQuestionIsOneNotYetAnsweredThatTells() {
        Taxon good = Cards.card("good").always("a", "c0", "c1").build();
        Taxon bad = Cards.card("bad")
                .danger(Danger.DEADLY)
                .always("b", "c0")
                .always("a", "c1")
                .build();
        var next = identify(List.of(good, bad), List.of()).next();
        assertThat(next).isNotNull();
        assertThat(next.character()).isEqualTo("c0");
        var after = identify(List.of(good, bad), seen("a", "c0")).next();
        assertThat(after == null || !after.character().equals("c0")).isTrue();
    }

    @DataProvider
    public Object[][] nonsense() {
        return new Object[][] {
            {List.of(new Observation("c0", "a"), new Observation("c0", "b")), "given twice"},
            {List.of(new Observation("taste", "a")), "not in the vocabulary"},
            {List.of(new Observation("c0", "q")), "not a state"},
        };
    }

    @Test(dataProvider = "nonsense")
    public void nonsenseIsRefused(List<Observation> seen, String message) {
        assertThatThrownBy(() -> identify(List.of(good("c0"), bad()), seen))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining(message);
    }

    private static Taxon sister(String name, boolean genusEnough, Danger danger) {
        return Cards.card(name)
                .danger(danger)
                .genusEnough(genusEnough)
                .always("a", ALL)
                .build();
    }

    /** Two plants of one genus that nothing tells apart: the genus is certain, no species is. */
    @Test
    public void aGenusIsEnoughOnlyWhereAllOfItServes() {
        List<Taxon> both = List.of(sister("one", true, Danger.HARMLESS), sister("two", true, Danger.HARMLESS), bad());
        var verdict = identify(both, seen("a", ALL)).verdict();
        assertThat(verdict.status()).isEqualTo(Status.CONFIRMED);
        assertThat(verdict.genus()).isEqualTo("Genus");
        assertThat(identify(
                                List.of(
                                        sister("one", true, Danger.HARMLESS),
                                        sister("two", false, Danger.HARMLESS),
                                        bad()),
                                seen("a", ALL))
                        .verdict()
                        .status())
                .isEqualTo(Status.NOT_YET);
    }

    /** What hides a character takes it out of the evidence, and says so. */
    @Test
    public void whatCantBeReliedOnIsNotCounted() {
        var vocabulary = new ArrayList<>(Cards.vocabulary(8));
        vocabulary.add(Cards.hiddenWhenWet("wet"));
        Taxon good = Cards.card("good").always("a", ALL).always("a", "wet").build();
        Taxon bad = Cards.card("bad")
                .danger(Danger.DEADLY)
                .always("b", ALL)
                .always("b", "wet")
                .build();
        Identifier identifier = new Identifier(new Herbarium(vocabulary, List.of(good, bad)));
        var dry = identifier.identify(request(Set.of(), seen("a", "wet")));
        var wet = identifier.identify(request(Set.of(LookingCondition.WET), seen("a", "wet")));
        assertThat(dry.findings()).noneMatch(f -> f.code().equals("NOT_COUNTED"));
        assertThat(wet.findings()).anyMatch(f -> f.code().equals("NOT_COUNTED"));
        assertThat(wet.candidates().get(0).posterior())
                .isLessThan(dry.candidates().get(0).posterior());
        assertThat(identifier
                        .identify(request(Set.of(LookingCondition.WET), seen("a", ALL)))
                        .next())
                .isNull();
    }

    @Test
    public void whatCantBeSeenIsNoEvidenceAndIsNotAskedAgain() {
        List<Taxon> taxa = List.of(good("c0"), bad());
        Identifier identifier = new Identifier(new Herbarium(Cards.vocabulary(8), taxa));
        var first = identifier.identify(request(Set.of(), List.of()));
        String asked = java.util.Objects.requireNonNull(first.next()).character();
        var then = identifier.identify(
                new Identification.Request(6, LifeStage.FLOWERING, "isle", Set.of(), List.of(), Set.of(asked)));
        assertThat(then.candidates()).isEqualTo(first.candidates());
        assertThat(java.util.Objects.requireNonNull(then.next()).character()).isNotEqualTo(asked);
    }

    private static Identification.Request request(Set<LookingCondition> conditions, List<Observation> seen) {
        return new Identification.Request(6, LifeStage.FLOWERING, "isle", conditions, seen, Set.of());
    }

    /** A fungus has no leaf: seeing one takes it out of the candidates, dangerous or not. */
    @Test
    public void anOrganAPlantCantHaveTakesItOut() {
        Taxon fungus =
                Cards.card("fungus").group(Group.FUNGUS).danger(Danger.DEADLY).build();
        var result = identify(List.of(good("c0"), bad(), fungus), seen("a", ALL));
        assertThat(posterior(List.of(good("c0"), bad(), fungus), seen("a", "c0"), "fungus"))
                .isZero();
        assertThat(result.verdict().status()).isEqualTo(Status.CONFIRMED);
    }

    /** Random cards, random observations: order does not matter, nothing dangerous that fits is ever waved through. */
    @Test
    public void propertiesHoldOverRandomHerbaria() {
        java.util.SplittableRandom random = new java.util.SplittableRandom(7);
        String[] states = {"a", "b", "c"};
        for (int round = 0; round < 300; round++) {
            List<Taxon> taxa = new ArrayList<>();
            for (int t = 0; t < 6; t++) {
                Cards.Builder card = Cards.card("t" + t).danger(t % 2 == 0 ? Danger.HARMLESS : Danger.DEADLY);
                for (String character : ALL) {
                    card.always(states[random.nextInt(3)], character);
                }
                taxa.add(card.build());
            }
            Taxon truth = taxa.get(random.nextInt(6));
            List<Observation> seen = new ArrayList<>();
            for (String character : ALL) {
                if (random.nextDouble() < 0.8) {
                    seen.add(new Observation(
                            character, truth.usual(LifeStage.FLOWERING).getOrDefault(character, "a")));
                }
            }
            var forwards = identify(taxa, seen);
            java.util.Collections.reverse(seen);
            var backwards = identify(taxa, seen);
            assertThat(backwards.verdict().status())
                    .isEqualTo(forwards.verdict().status());
            for (Taxon taxon : taxa) {
                boolean fits = seen.stream()
                        .allMatch(o -> o.state()
                                .equals(taxon.usual(LifeStage.FLOWERING).get(o.character())));
                if (fits && taxon.danger().dangerous() && !seen.isEmpty()) {
                    assertThat(forwards.verdict().status()).isNotEqualTo(Status.CONFIRMED);
                }
            }
        }
    }
}
