package org.sallowbrook.core.household;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** An allergy is recorded as somebody says it, and stops what it should. */
public class PlantFamilyTest {

    @Test
    public void everyFamilyIsKnownByItsLatinAndItsPlainNameInAnyCase() {
        Set<String> latin = new HashSet<>();
        for (PlantFamily family : PlantFamily.values()) {
            assertThat(latin.add(family.latin())).isTrue();
            assertThat(family.latin()).matches("[A-Z][a-z]+(eae|ae)");
            for (String said : new String[] {
                family.latin(),
                family.name(),
                family.words(),
                "  " + family.words().toUpperCase(Locale.ROOT) + " ",
                family.words().replace("the ", "").replace(" family", "")
            }) {
                assertThat(PlantFamily.of(said)).as(said).contains(family);
            }
        }
    }

    @Test
    public void noPlainNameMeansTwoFamilies() {
        assertThat(Arrays.stream(PlantFamily.values()).map(PlantFamily::words)).doesNotHaveDuplicates();
    }

    @DataProvider
    public Object[][] older() {
        return new Object[][] {
            {"Compositae", "Asteraceae"},
            {"umbelliferae", "Apiaceae"},
            {"Labiatae", "Lamiaceae"},
            {"LEGUMINOSAE", "Fabaceae"},
            {"Cruciferae", "Brassicaceae"},
            {"Gramineae", "Poaceae"},
        };
    }

    @Test(dataProvider = "older")
    public void olderNamesAreKnown(String said, String latin) {
        assertThat(PlantFamily.of(said)).map(PlantFamily::latin).contains(latin);
    }

    @DataProvider
    public Object[][] none() {
        return new Object[][] {{""}, {"pollen"}, {"Aster"}, {"Asteracea"}, {"the family"}, {"daisies and nettles"}};
    }

    /** What is none of these is asked about, and never taken for the nearest. */
    @Test(dataProvider = "none")
    public void whatIsNoFamilyIsNotTakenForOne(String said) {
        assertThat(PlantFamily.of(said)).isEmpty();
    }
}
