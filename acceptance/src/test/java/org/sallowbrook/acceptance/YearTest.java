package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What we want in hand, and the year that brings it; a wish is said, ordered, changed and given up in the page. */
public class YearTest extends InBrowser {

    @BeforeMethod
    public void atTheYear() {
        go("/year");
        heading("Enough for winter").waitFor();
    }

    private Locator wish(String words) {
        return section("What we want in hand")
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(words))
                .first();
    }

    @Test
    public void aWishIsMetFromTheShelfAndFromWalks() {
        Locator form = section("A wish");
        choose("Of", "meadowsweet, flowering tops");
        form.getByRole(AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("How much"))
                .fill("20");
        form.getByLabel("In your own words").fill("A pot of meadowsweet a week");
        button("Wish for it").click();
        assertThat(wish("A pot of meadowsweet a week")).containsText("all of it");
        assertThat(wish("A pot of meadowsweet a week")).containsText(Pattern.compile("in \\d+ of 100 seasons"));
        accessible("enough for winter");
        // The form begins anew, and complains of nothing that nobody has tried.
        assertThat(section("A wish").getByRole(AriaRole.ALERT)).hasCount(0);
        // Given up it is gone from the list, and its weeks with it.
        wish("A pot of meadowsweet a week")
                .getByText("give up", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(section("What we want in hand").getByText("A pot of meadowsweet a week"))
                .hasCount(0);
    }

    @Test
    public void theOrderIsTheirsAndIsKeptWithKeys() {
        Locator first =
                section("What we want in hand").getByRole(AriaRole.LISTITEM).first();
        String words = first.getByRole(AriaRole.STRONG).first().textContent();
        Locator down = page.getByRole(
                AriaRole.BUTTON,
                new com.microsoft.playwright.Page.GetByRoleOptions().setName(words + ": less important"));
        down.focus();
        down.press("Enter");
        assertThat(section("What we want in hand")
                        .getByRole(AriaRole.LISTITEM)
                        .first()
                        .getByRole(AriaRole.STRONG)
                        .first())
                .not()
                .hasText(words);
        page.getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Page.GetByRoleOptions().setName(words + ": more important"))
                .click();
        assertThat(first.getByRole(AriaRole.STRONG).first()).hasText(words);
    }

    @Test
    public void whatIsWrongStandsAtItsField() {
        button("Wish for it").click();
        assertThat(section("A wish").getByRole(AriaRole.ALERT).first()).isVisible();
        assertThat(section("A wish")).containsText("how much of it");
        assertThat(section("A wish")).containsText("of which plant");
    }

    /** Not everybody thinks in plants: any of those the cards know for it will do. */
    @Test
    public void aNeedNamesThePlants() {
        button("for a need, not for a plant").click();
        choose("For what", "poor sleep");
        assertThat(section("A wish").getByLabel("In your own words")).hasValue("Tea, for poor sleep");
        assertThat(section("A wish")).containsText("or of");
    }

    /** A thousand litres are answered with what there is, and why no more. */
    @Test
    public void whatCantBeHadSaysWhy() {
        Locator form = section("A wish");
        choose("What", "infused oil");
        choose("Of", "pot marigold, flower head");
        form.getByRole(AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("How much"))
                .fill("100000");
        form.getByLabel("In your own words").fill("An ocean of marigold oil");
        button("Wish for it").click();
        assertThat(wish("An ocean of marigold oil")).containsText("%");
        assertThat(wish("An ocean of marigold oil"))
                .containsText(Pattern.compile("not enough|is full|are full|any more"));
        wish("An ocean of marigold oil")
                .getByText("give up", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(section("What we want in hand").getByText("An ocean")).hasCount(0);
    }

    /** Whoever has gathered nothing yet is told what to begin with, and wishes for it by one touch. */
    @Test
    public void aFirstYearBeginsWithWhatIsSafe() {
        newPage(390, 844);
        signIn("lantern");
        go("/year");
        Locator first = section("A first year");
        assertThat(first).containsText("small-leaved lime");
        accessible("a first year");
        Locator lime = first.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("small-leaved lime"))
                .first();
        lime.getByRole(AriaRole.BUTTON).click();
        assertThat(lime).containsText("wished for");
        assertThat(wish("Tea of small-leaved lime")).containsText("No stand of it");
        wish("Tea of small-leaved lime")
                .getByText("give up", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(lime.getByRole(AriaRole.BUTTON)).isVisible();
        newPage(1280, 800);
        signIn("ilse");
    }

    @Test
    public void thePlanIsKeptAndAWeekCanBeOpened() {
        button("Go by this plan").click();
        assertThat(main()).containsText("The house goes by the plan of");
        Locator week =
                section("The year").getByText(Pattern.compile("^Week of ")).last();
        week.click();
        assertThat(section("The year")).containsText("fresh");
    }
}
