package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Names are invented: "Genus silva", older "Oldgenus silva", common "common silva". */
public class NameSearchTest {

    private final Herbarium herbarium = new Herbarium(
            Cards.vocabulary(1),
            List.of(Cards.card("silva").build(), Cards.card("rivularis").build()));

    @DataProvider
    public Object[][] typed() {
        return new Object[][] {
            {"Genus silva", "silva", Found.Kind.ACCEPTED, 0},
            {"OLDGENUS silv", "silva", Found.Kind.OLDER, 0},
            {"common riv", "rivularis", Found.Kind.COMMON, 0},
            {"silva GENUS", "silva", Found.Kind.ACCEPTED, 0},
            {"silvva", "silva", Found.Kind.ACCEPTED, 1},
            {"rivualris", "rivularis", Found.Kind.ACCEPTED, 2},
            {"  Rívularis! ", "rivularis", Found.Kind.ACCEPTED, 0},
        };
    }

    @Test(dataProvider = "typed")
    public void slipsOfThePenAreForgiven(String typed, String taxon, Found.Kind kind, int slips) {
        Found first = herbarium.search(typed).get(0);
        assertThat(first.taxon().id()).isEqualTo(taxon);
        assertThat(first.kind()).isEqualTo(kind);
        assertThat(first.slips()).isEqualTo(slips);
    }

    @Test
    public void aShortWordForgivesNothingAndAnEmptyOneFindsNothing() {
        assertThat(herbarium.search("sxl")).isEmpty();
        assertThat(herbarium.search("   ")).isEmpty();
        assertThat(herbarium.search("entirely otherwise")).isEmpty();
    }

    @Test
    public void theCloserNameStandsFirst() {
        Herbarium two = new Herbarium(
                Cards.vocabulary(1),
                List.of(Cards.card("marina").build(), Cards.card("marino").build()));
        assertThat(two.search("marino")).extracting(f -> f.taxon().id()).containsExactly("marino", "marina");
    }
}
