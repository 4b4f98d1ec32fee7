package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Severity;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What makes a card wrong. */
public class HerbariumTest {

    @DataProvider
    public Object[][] brokenCards() {
        return new Object[][] {
            {Cards.card("x").always("a", "nowhere"), "unknown character nowhere"},
            {Cards.card("x").always("z", "c0"), "unknown state z"},
            {Cards.card("x").shows("c0", Map.of()), "has no state"},
            {Cards.card("x").always("a", "c0").always("b", "c0"), "described twice"},
            {Cards.card("x").shows("c0", Map.of("a", Frequency.ALWAYS, "b", Frequency.RARE)), "'always' beside others"},
            {Cards.card("x").lookAlike("nobody"), "unknown look-alike nobody"},
            {Cards.card("x").lookAlike("y"), "does not name it as a look-alike back"},
            {Cards.card("x").lookAlike("y", "cX"), "unknown decisive character"},
            {Cards.card("x").part(0.5, 0.5, Set.of()), "allows no route"},
            {
                Cards.card("x").part(0.5, 0.5, Set.of(Taxon.Route.EXTERNAL), Cards.dose("u", 18, 1, 2, null)),
                "a dose by a route it does not allow"
            },
            {
                Cards.card("x").danger(Danger.DEADLY).part(0.5, 0.5, Set.of(Taxon.Route.INTERNAL)),
                "may not have parts to use"
            },
            {
                Cards.card("x").caution(Taxon.Subject.SUN, "", Taxon.CautionStatus.PRESENT, null),
                "must have a severity only when present"
            },
            {
                Cards.card("x").caution(Taxon.Subject.SUN, "", Taxon.CautionStatus.NONE_FOUND, Severity.STOP),
                "must have a severity only when present"
            },
        };
    }

    @Test(dataProvider = "brokenCards")
    public void eachMistakeIsNamed(Cards.Builder card, String problem) {
        Herbarium herbarium = new Herbarium(
                Cards.vocabulary(2), List.of(card.build(), Cards.card("y").build()));
        assertThat(herbarium.problems()).anySatisfy(p -> assertThat(p.message()).contains(problem));
    }

    @Test
    public void aDraftMayLackWhatUseNeedsAndAWholeCardHasNoProblem() {
        var draft = Cards.card("one-x").draft().part(0.5, 0.5, Set.of()).build();
        var whole = Cards.card("one-y")
                .always("a", "c0", "c1", "c2", "c3", "c4", "c5")
                .build();
        var herbarium = new Herbarium(Cards.vocabulary(6), List.of(draft, whole));
        assertThat(herbarium.problems()).extracting(Herbarium.Problem::message).containsExactly("HERB allows no route");
        assertThat(Herbarium.missing(draft)).isNotEmpty();
        assertThat(Herbarium.missing(whole)).isEmpty();
    }

    @Test
    public void anyNameFindsThePlant() {
        Herbarium herbarium = new Herbarium(
                Cards.vocabulary(1),
                List.of(Cards.card("one").build(), Cards.card("two").build()));
        assertThat(herbarium.search("OLDGENUS tw"))
                .extracting(f -> f.taxon().id())
                .containsExactly("two");
        assertThat(herbarium.search("common")).hasSize(2);
        assertThat(herbarium.search("genus one"))
                .extracting(f -> f.taxon().id())
                .containsExactly("one");
        assertThat(herbarium.search("nothing like it")).isEmpty();
    }

    @Test
    public void aCharacterNeedsStatesAndAPlausibleError() {
        assertThatThrownBy(() -> new CharacterDefinition(
                        "x",
                        "x",
                        CharacterDefinition.Organ.LEAF,
                        "look",
                        Set.of(),
                        Set.of(Group.PLANT),
                        Set.of(),
                        false,
                        9,
                        Double.NaN,
                        "",
                        List.of(new CharacterDefinition.State("a", "a"))))
                .isInstanceOfSatisfying(
                        InvalidInput.class,
                        e -> assertThat(e.violations())
                                .extracting(InvalidInput.Violation::field)
                                .containsExactly("cost", "error", "states"));
    }

    /** Either card may name the other; what does no more than the plant itself is no worse to be taken for. */
    @Test
    public void theWorstThatAPlantIsTakenForIsFoundFromBothSides() {
        Taxon mild = Cards.card("mild").lookAlike("sore").build();
        Taxon sore = Cards.card("sore").danger(Danger.IRRITANT).build();
        Taxon deadly = Cards.card("deadly")
                .danger(Danger.DEADLY)
                .lookAlike("mild")
                .lookAlike("bane")
                .build();
        Taxon bane = Cards.card("bane").danger(Danger.DEADLY).build();
        Taxon weak = Cards.card("weak").danger(Danger.WEAKER).lookAlike("alone").build();
        Taxon alone = Cards.card("alone").build();
        Herbarium all = new Herbarium(Cards.vocabulary(2), List.of(mild, sore, deadly, bane, weak, alone));
        assertThat(all.worstTakenFor(mild)).contains(deadly);
        assertThat(all.worstTakenFor(sore)).isEmpty();
        assertThat(all.worstTakenFor(bane)).as("not worse than itself").isEmpty();
        assertThat(all.worstTakenFor(alone)).as("weaker is no danger").isEmpty();
    }
}
