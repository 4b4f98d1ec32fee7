package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.measure.Severity;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class OwnCardRulesTest {

    private static Cards.Builder shipped() {
        return Cards.card("x")
                .danger(Danger.IRRITANT)
                .always("a", "c0")
                .lookAlike("bad", "c0")
                .holds(Constituent.SALICYLATE)
                .acts("diuretic")
                .grave("cancer")
                .part(0.5, 0.5, Set.of(Route.EXTERNAL))
                .caution(Subject.PREGNANCY, "", CautionStatus.PRESENT, Severity.STOP);
    }

    private static Cards.Builder bare() {
        return Cards.card("x").danger(Danger.IRRITANT).always("a", "c0");
    }

    @DataProvider
    public Object[][] weaker() {
        return new Object[][] {
            {shipped().danger(Danger.HARMLESS), "less dangerous"},
            {bare().holds(Constituent.SALICYLATE).acts("diuretic"), "look-alike bad must stay"},
            {bare().lookAlike("bad", "c0", "c1"), "no further decisive"},
            {bare().lookAlike("bad", "c0").acts("diuretic"), "constituents must stay"},
            {bare().lookAlike("bad", "c0").holds(Constituent.SALICYLATE), "actions must stay"},
            {bare().lookAlike("bad", "c0"), "caution about pregnancy"},
            {bare().caution(Subject.PREGNANCY, "", CautionStatus.PRESENT, Severity.WARN), "caution about pregnancy"},
            {bare().caution(Subject.PREGNANCY, "", CautionStatus.NONE_FOUND, null), "caution about pregnancy"},
            {bare().part(0.5, 0.5, Set.of(Route.INTERNAL)), "may not get a route"},
        };
    }

    @Test(dataProvider = "weaker")
    public void nothingMayLookSaferThanTheShippedCard(Cards.Builder own, String message) {
        assertThat(OwnCardRules.weakened(shipped().build(), own.build()))
                .anySatisfy(p -> assertThat(p.message()).contains(message));
    }

    @Test
    public void addingIsFree() {
        assertThat(OwnCardRules.weakened(
                        shipped().build(),
                        shipped()
                                .lookAlike("another", "c0")
                                .caution(Subject.SUN, "", CautionStatus.PRESENT, Severity.WARN)
                                .build()))
                .isEmpty();
    }

    @Test
    public void theCharactersOfADangerousPlantAreFixed() {
        Taxon deadly = Cards.card("d").danger(Danger.DEADLY).always("a", "c0").build();
        Taxon changed = Cards.card("d").danger(Danger.DEADLY).always("b", "c0").build();
        assertThat(OwnCardRules.weakened(deadly, changed))
                .extracting(Herbarium.Problem::where)
                .containsExactly("characters");
    }

    /** A household's own plant is a look-alike both ways, though the other card is not its own. */
    @Test
    public void anOwnPlantIsNamedBackByWhatItIsTakenFor() {
        Taxon known = Cards.card("known").always("a", "c0").build();
        Herbarium herbarium = new Herbarium(Cards.vocabulary(1), java.util.List.of(known))
                .with(java.util.List.of(
                        Cards.card("mine").lookAlike("known", "c0").build()));
        assertThat(herbarium.taxon("known").orElseThrow().lookAlike("mine")).isPresent();
    }

    /** Saved before a rule was known, a weaker card still weakens nothing: of every two statements the stricter counts. */
    @Test(dataProvider = "weaker")
    public void whatIsReadIsNeverWeakerThanWhatShips(Cards.Builder own, String message) {
        Taxon shipped = shipped().build();
        Taxon read = OwnCardRules.strictest(shipped, own.build());
        assertThat(OwnCardRules.weakened(shipped, read)).as(message).isEmpty();
    }

    @Test
    public void theFamilyAndTheRegionsAreThoseOfTheShippedCard() {
        Taxon shipped = shipped().build();
        Taxon read = OwnCardRules.strictest(shipped, shipped().build());
        assertThat(read.family()).isEqualTo(shipped.family());
        assertThat(read.regions()).isEqualTo(shipped.regions());
    }

    @DataProvider
    public Object[][] borrowed() {
        return new Object[][] {
            {"Genus d", true},
            {"GENUS  D", true},
            {"Genús d L.", true},
            {"Oldgenus d", true},
            {"Genus × d", true},
            {"Genus dd", true},
            {"Another plant", false},
        };
    }

    @Test(dataProvider = "borrowed")
    public void noOwnCardBearsTheNameOfADangerousPlant(String name, boolean refused) {
        Taxon deadly = Cards.card("d").danger(Danger.DEADLY).build();
        Taxon own = Cards.card("mine").named(name).build();
        assertThat(OwnCardRules.borrowedNames(java.util.List.of(deadly), own).isEmpty())
                .isEqualTo(!refused);
    }

    @Test
    public void noOwnCardIsCalledWhatADangerousPlantIsCalled() {
        Taxon deadly = Cards.card("d").danger(Danger.DEADLY).build();
        Taxon own = Cards.card("mine").named("Other name").called("Common D").build();
        assertThat(OwnCardRules.borrowedNames(java.util.List.of(deadly), own)).hasSize(1);
    }

    @Test
    public void aDraftStandsInNobodysWay() {
        Taxon known = Cards.card("known").always("a", "c0").build();
        Herbarium herbarium = new Herbarium(Cards.vocabulary(1), java.util.List.of(known))
                .with(java.util.List.of(
                        Cards.card("mine").draft().lookAlike("known", "c0").build()));
        assertThat(herbarium.taxon("known").orElseThrow().lookAlike("mine")).isEmpty();
    }
}
