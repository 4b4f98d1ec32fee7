package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The deadliest pairs against what standard floras say of each (Stace, New Flora of the British Isles, 4th edition, 2019):
 * a card that contradicted them would be wrong, however well it tells.
 */
public class DeadlyPairsTest extends ServerTest {

    @Autowired
    private HerbariumService herbarium;

    /** Taxon, stage, character, what the flora allows of it. */
    @DataProvider
    public Object[][] floras() {
        return new Object[][] {
            {"ramsons", "LEAFY", "leaf-start", Set.of("single")},
            {"ramsons", "FLOWERING", "inflorescence", Set.of("ball")},
            {"ramsons", "FLOWERING", "petals", Set.of("six-free")},
            {"lily-of-the-valley", "LEAFY", "leaf-start", Set.of("one-sheath")},
            {"lily-of-the-valley", "FLOWERING", "petals", Set.of("bell-six")},
            {"lily-of-the-valley", "FRUITING", "fruit", Set.of("berry")},
            {"autumn-crocus", "LEAFY", "leaf-start", Set.of("tuft", "one-sheath")},
            {"autumn-crocus", "FLOWERING", "leaves-now", Set.of("absent")},
            {"autumn-crocus", "FLOWERING", "stamens", Set.of("six")},
            {"autumn-crocus", "FRUITING", "root", Set.of("corm", "bulb")},
            {"lords-and-ladies", "LEAFY", "leaf-outline", Set.of("arrow", "lance", "ellipse")},
            {"lords-and-ladies", "LEAFY", "leaf-veins", Set.of("net")},
            {"lords-and-ladies", "FLOWERING", "inflorescence", Set.of("hood")},
            {"hemlock", "FLOWERING", "bracts", Set.of("several-down")},
            {"hemlock", "FLOWERING", "small-bracts", Set.of("outside-short")},
            {"hemlock", "FRUITING", "fruit-surface", Set.of("warty", "ribbed")},
            {"fools-parsley", "FLOWERING", "small-bracts", Set.of("three-hanging")},
            {"fools-parsley", "FLOWERING", "bracts", Set.of("none")},
            {"hemlock-water-dropwort", "LEAFY", "root", Set.of("fat-tubers", "white-tap")},
            {"hemlock-water-dropwort", "FRUITING", "fruit-shape", Set.of("long")},
            {"cowbane", "LEAFY", "root", Set.of("chambered", "cords")},
            {"cowbane", "FLOWERING", "bracts", Set.of("none")},
            {"caraway", "FLOWERING", "small-bracts", Set.of("none", "outside-short")},
            {"common-comfrey", "FLOWERING", "inflorescence", Set.of("coiled")},
            {"common-comfrey", "LEAFY", "stem-section", Set.of("winged")},
            {"common-comfrey", "FRUITING", "fruit", Set.of("four-nutlets")},
            {"foxglove", "FLOWERING", "inflorescence", Set.of("one-sided")},
            {"foxglove", "FLOWERING", "stamens", Set.of("four-hidden")},
            {"foxglove", "FRUITING", "fruit", Set.of("capsule")},
            {"common-juniper", "LEAFY", "needle-stand", Set.of("threes")},
            {"common-juniper", "FRUITING", "fruit", Set.of("berry-cone")},
            {"savin", "LEAFY", "needle-stand", Set.of("pressed", "threes")},
            {"yew", "LEAFY", "needle-stand", Set.of("two-rows", "threes")},
            {"yew", "FRUITING", "fruit", Set.of("aril")},
            {"scots-pine", "LEAFY", "needle-stand", Set.of("pairs")},
            {"scots-pine", "FRUITING", "fruit", Set.of("cone")},
            {"bilberry", "FLOWERING", "petals", Set.of("urn")},
            {"bilberry", "LEAFY", "leaf-margin", Set.of("sharp-teeth")},
            {"bilberry", "FLOWERING", "fruit-place", Set.of("below")},
            {"herb-paris", "LEAFY", "leaf-arrangement", Set.of("whorled")},
            {"herb-paris", "FLOWERING", "stamens", Set.of("eight")},
            {"herb-paris", "FRUITING", "fruit-stand", Set.of("top-one")},
            {"deadly-nightshade", "FRUITING", "fruit-stand", Set.of("on-star")},
        };
    }

    @Test(dataProvider = "floras")
    public void theCardsSayWhatTheFloraSays(String taxon, String stage, String character, Set<String> allowed) {
        Map<String, Frequency> states = herbarium.taxon(taxon).statesOf(character, LifeStage.valueOf(stage));
        assertThat(states).isNotNull();
        assertThat(states.entrySet())
                .filteredOn(e -> e.getValue().isUsual())
                .extracting(Map.Entry::getKey)
                .isNotEmpty()
                .isSubsetOf(allowed);
    }

    /** Individuals that an earlier "always" forgot: young, grazed, withered, of a garden form. None may be excluded by it. */
    @DataProvider
    public Object[][] exceptions() {
        return new Object[][] {
            {"savin", "LEAFY", "needle-stand", "threes"},
            {"savin", "LEAFY", "needle-tip", "pricking"},
            {"savin", "LEAFY", "leaf-arrangement", "whorled"},
            {"savin", "LEAFY", "leaf-underside", "one-band"},
            {"savin", "LEAFY", "scent", "resin"},
            {"yew", "LEAFY", "leaf-underside", "two-bands"},
            {"yew", "LEAFY", "needle-stand", "threes"},
            {"autumn-crocus", "LEAFY", "leaf-start", "single"},
            {"autumn-crocus", "LEAFY", "leaf-face", "dull"},
            {"autumn-crocus", "LEAFY", "root", "bulb"},
            {"lords-and-ladies", "LEAFY", "leaf-outline", "lance"},
            {"lords-and-ladies", "ROSETTE", "leaf-outline", "ellipse"},
            {"lords-and-ladies", "LEAFY", "root", "bulb"},
            {"lily-of-the-valley", "LEAFY", "leaf-texture", "thin"},
            {"hemlock-water-dropwort", "LEAFY", "leaf-margin", "double-teeth"},
            {"hemlock-water-dropwort", "LEAFY", "root", "white-tap"},
            {"hemlock-water-dropwort", "FLOWERING", "sepals", "five"},
            {"cowbane", "LEAFY", "root", "cords"},
            {"cowbane", "LEAFY", "juice", "staining"},
            {"cowbane", "FLOWERING", "sepals", "five"},
            {"hemlock", "FRUITING", "fruit-surface", "ribbed"},
            {"hemlock", "FLOWERING", "stature", "knee"},
            {"hemlock", "FRUITING", "leaf-start", "along-stem"},
            {"deadly-nightshade", "LEAFY", "leaf-arrangement", "opposite"},
            {"deadly-nightshade", "LEAFY", "leaf-hairs", "none"},
            {"petty-spurge", "FLOWERING", "leaf-arrangement", "whorled"},
            {"petty-spurge", "FLOWERING", "leaf-arrangement", "opposite"},
            {"fools-parsley", "FLOWERING", "small-bracts", "outside-short"},
            {"yellow-flag", "LEAFY", "leaf-veins", "parallel"},
            {"foxglove", "FLOWERING", "flower-colour", "white"},
            {"common-ragwort", "FLOWERING", "head-rays", "none"},
        };
    }

    @Test(dataProvider = "exceptions")
    public void aPromiseHoldsForEveryIndividual(String taxon, String stage, String character, String state) {
        assertThat(herbarium.taxon(taxon).statesOf(character, LifeStage.valueOf(stage)))
                .containsKey(state);
    }

    /** Every "never" of a dangerous card has a second reading: a reason in the vocabulary or on the card. */
    @Test
    public void whatADangerousCardExcludesIsReadTwice() {
        int promises = 0;
        for (Taxon taxon : herbarium.herbarium().taxa()) {
            if (!taxon.harmsWhenTaken()) {
                continue;
            }
            for (Taxon.Shown shown : taxon.characters()) {
                var definition = Objects.requireNonNull(herbarium.herbarium().character(shown.character()));
                if (shown.states().size() < definition.states().size()) {
                    promises++;
                    assertThat(definition.fixed() + shown.never())
                            .as(taxon.id() + " " + shown.character())
                            .hasSizeGreaterThan(20);
                }
            }
        }
        assertThat(promises).isGreaterThan(1000);
    }

    @Test
    public void rosettesOfBiennialsStandAllSummer() {
        for (String biennial : List.of("foxglove", "hemlock", "common-ragwort")) {
            assertThat(herbarium.taxon(biennial).months().get(LifeStage.ROSETTE))
                    .contains(6, 7, 8);
        }
    }

    /** Pairs people die of, the stages at which they must not be picked by looking, and those at which they may. */
    @DataProvider
    public Object[][] pairs() {
        return new Object[][] {
            {"common-comfrey", "foxglove", List.of("ROSETTE"), List.of("FLOWERING", "FRUITING")},
            {"elecampane", "foxglove", List.of("ROSETTE", "LEAFY"), List.of("FLOWERING")},
            {"caraway", "hemlock", List.of("ROSETTE", "LEAFY", "FLOWERING", "FRUITING"), List.of()},
            {"caraway", "fools-parsley", List.of("ROSETTE", "LEAFY", "FLOWERING", "FRUITING"), List.of()},
            {"caraway", "cowbane", List.of("ROSETTE", "LEAFY", "FLOWERING"), List.of()},
            {"ramsons", "lily-of-the-valley", List.of("LEAFY"), List.of("FLOWERING")},
            {"ramsons", "autumn-crocus", List.of("LEAFY"), List.of("FLOWERING")},
            {"common-juniper", "savin", List.of("LEAFY", "FLOWERING", "FRUITING", "WINTER"), List.of()},
            {"bilberry", "deadly-nightshade", List.of(), List.of("FRUITING")},
            {"common-valerian", "hemlock-water-dropwort", List.of("WINTER"), List.of("FLOWERING")},
        };
    }

    @Test(dataProvider = "pairs")
    public void youngLeavesWaitAndFlowersTell(String plant, String deadly, List<String> never, List<String> told) {
        Taxon a = herbarium.taxon(plant);
        Taxon b = herbarium.taxon(deadly);
        for (String stage : never) {
            assertThat(Telling.enough(herbarium.herbarium(), a, b, LifeStage.valueOf(stage)))
                    .as(plant + " " + stage)
                    .isFalse();
        }
        for (String stage : told) {
            assertThat(Telling.enough(herbarium.herbarium(), a, b, LifeStage.valueOf(stage)))
                    .as(plant + " " + stage)
                    .isTrue();
        }
    }

    @Test
    public void everyPlantOfTheScenarioHasACard() {
        assertThat(herbarium.herbarium().taxa()).hasSize(71);
        assertThat(herbarium.herbarium().taxa().stream().filter(t -> !t.parts().isEmpty()))
                .hasSize(43);
        assertThat(herbarium.herbarium().characters()).hasSizeBetween(60, 100);
        assertThat(herbarium.herbarium().characters())
                .noneMatch(c -> c.howToLook().toLowerCase(java.util.Locale.ROOT).matches(".*\\btaste it\\b.*"));
    }
}
