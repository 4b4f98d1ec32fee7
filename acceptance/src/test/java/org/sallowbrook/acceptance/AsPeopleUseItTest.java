package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Wrong entries, links, ended sessions, a line that breaks, lists too long to read. */
public class AsPeopleUseItTest extends InBrowser {

    @BeforeMethod
    public void signedIn() {
        newPage(1280, 800);
        signIn("ilse");
    }

    @Test
    public void aLinkOpenedSignedOutLeadsThereAfterSigningIn() {
        newPage(1280, 800);
        go("/shelf/stock-take");
        field("Name").fill("ilse");
        field("Password").fill("merrow-demo");
        button("Sign in").click();
        heading("Stock-take").waitFor();
        // No address leads out of the house.
        newPage(1280, 800);
        go("/sign-in?to=//elsewhere.example/");
        field("Name").fill("ilse");
        field("Password").fill("merrow-demo");
        button("Sign in").click();
        heading("Today").waitFor();
    }

    @Test
    public void aSessionThatEndsInAFormLosesNothing() {
        go("/shelf");
        button("I already have spirit, oil and the like").click();
        field("Name").fill("spirit of the cellar");
        field("How much").fill("500");
        field("Strength").fill("40");
        page.context().clearCookies();
        button("Put it on the shelf").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Your session has ended");
        dialog.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill("ilse");
        dialog.getByLabel("Password", new Locator.GetByLabelOptions().setExact(true))
                .fill("merrow-demo");
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Sign in"))
                .click();
        assertThat(dialog).hasCount(0);
        assertThat(field("Name")).hasValue("spirit of the cellar");
        button("Put it on the shelf").click();
        assertThat(page.getByText("1 put on the shelf")).isVisible();
        assertThat(link("spirit of the cellar").first()).isVisible();
    }

    @Test
    public void aTypedHarvestIsThereAfterGoingBackAndAfterAReload() {
        openStand("The three limes");
        String stand = page.url();
        page.navigate(stand + "/harvest");
        field("Weight").fill("123");
        field("Weather").fill("dry, light wind");
        page.goBack();
        heading("The three limes").waitFor();
        page.goForward();
        assertThat(field("Weight")).hasValue("123");
        page.reload();
        assertThat(field("Weather")).hasValue("dry, light wind");
    }

    @Test
    public void aBenchAndACourseAreAsTheyWereLeft() {
        go("/making/tincture");
        Locator exact = field("Amount of herb, exactly");
        String first = exact.inputValue();
        exact.fill("30");
        exact.press("Enter");
        // Still in the field, back to what stood there at first: that is typed as well.
        exact.fill(first);
        exact.blur();
        assertThat(exact).hasValue(first);
        exact.fill("31");
        exact.press("Enter");
        assertThat(main()).containsText("155 mL");
        page.reload();
        assertThat(main()).containsText("What you typed here before was not saved");
        assertThat(main()).containsText("155 mL");
        accessible("a bench gone on with");
        button("Throw it away").click();
        assertThat(main()).containsText("100 mL");
        go("/dosing/new");
        Locator lasts = field("Lasts, exactly");
        lasts.fill("3");
        lasts.press("Enter");
        page.goBack();
        page.goForward();
        assertThat(lasts).hasValue("3");
    }

    @Test
    public void whatWasTickedOffByMistakeIsTakenBackOnTheSpot() {
        go("/");
        Locator any =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Used up: ")));
        any.first().waitFor();
        String which = any.first().getAttribute("aria-label").substring("Used up: ".length());
        button("Used up: " + which).click();
        assertThat(button("Used up: " + which)).hasCount(0);
        button("Take it back: " + which).click();
        assertThat(button("Used up: " + which)).isVisible();
    }

    @Test
    public void aWeighingThatCanHardlyBeIsAskedAboutAndStruckOutLater() {
        go("/drying");
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Attic screen 2"))
                .getByRole(AriaRole.LINK)
                .first()
                .click();
        field("Weight now").fill("20");
        button("Record the weight").click();
        assertThat(main()).containsText("less than its dry matter");
        page.getByLabel(Pattern.compile("^Go on all the same: 20 g")).click();
        button("Record the weight").click();
        assertThat(main()).containsText("It has lost more than the water it was said to hold");
        page.locator("summary", new Page.LocatorOptions().setHasText("weighings"))
                .click();
        button("was wrong: the weighing of 20 g").click();
        field("Why the weighing of 20 g is struck out").fill("the tray was not on it");
        button("Strike it out").click();
        assertThat(button("was wrong: the weighing of 20 g")).hasCount(0);
        assertThat(main()).not().containsText("It has lost more than the water it was said to hold");
        accessible("a drying lot with its weighings");
    }

    @Test
    public void aLineThatBreaksIsSaidAndWhatWasTypedStays() {
        go("/shelf");
        button("I already have spirit, oil and the like").click();
        field("Name").fill("typed without a line");
        field("How much").fill("100");
        field("Strength").fill("40");
        page.context().setOffline(true);
        button("Put it on the shelf").click();
        assertThat(page.getByText("No line to Sallowbrook.")).isVisible();
        assertThat(main()).containsText("Nothing was saved");
        assertThat(field("Name")).hasValue("typed without a line");
        page.context().setOffline(false);
        assertThat(page.getByText("No line to Sallowbrook.")).hasCount(0);
        button("Put it on the shelf").click();
        assertThat(link("typed without a line").first()).isVisible();
    }

    @Test
    public void aLongListIsNarrowedByAnyWordInAnyOrder() {
        go("/making/tea");
        choose("Herb", "not on the shelf yet");
        Locator plant = field("Which plant");
        plant.click();
        plant.fill("JOHN wort");
        Locator options = page.getByRole(AriaRole.OPTION);
        assertThat(options.first()).containsText("St John's-wort");
        plant.fill("nothing like it");
        assertThat(page.getByText("Nothing is called that.")).isVisible();
        plant.fill("urtica");
        page.keyboard().press("Enter");
        assertThat(plant).hasValue("stinging nettle");
        accessible("a long list");
    }

    @Test
    public void anExactFigureIsTypedBesideTheSlider() {
        go("/making/tincture");
        Locator exact = field("Amount of herb, exactly");
        exact.fill("23,4");
        exact.press("Enter");
        assertThat(main()).containsText("117 mL");
        assertThat(main()).containsText("23.4 g");
    }

    /** Where a keyboard has numbers only; chosen before the figure or after it, never taken for grams. */
    @Test
    public void aUnitChosenBesideTheFigureGoesWithIt() {
        go("/shelf");
        button("I already have herb").click();
        Locator unit = page.getByLabel("How much, unit");
        unit.selectOption("oz");
        field("How much").fill("2");
        field("Supplier").click();
        assertThat(field("How much")).hasValue("56.699");
        assertThat(unit).hasValue("g");
        assertThat(main()).containsText("2 oz = 56.699 g");
        field("How much").fill("0.5");
        unit.selectOption("kg");
        assertThat(field("How much")).hasValue("500");
        assertThat(unit).hasValue("g");
        field("How much").fill("");
    }

    @Test
    public void theHeadingHasTheFocusAfterAMove() {
        go("/shelf");
        link("olive oil").first().click();
        heading("olive oil").waitFor();
        // Within the first moments the browser itself places the focus of a page; later moves are ours.
        link("Trace").last().click();
        assertThat(page.locator("main h1")).isFocused();
    }

    @Test
    public void nobodyIsOfferedWhatTheirRoleMayNotDo() {
        newPage(1280, 800);
        signIn("corwen");
        go("/shelf");
        link("meadowsweet, tops").first().waitFor();
        assertThat(link("Stock-take")).hasCount(0);
        assertThat(button("I already have herb")).hasCount(0);
        link("meadowsweet, tops").first().click();
        link("Trace").last().waitFor();
        assertThat(main().getByRole(AriaRole.BUTTON)).hasText(new String[] {"Carry along"});
        go("/");
        heading("Today").waitFor();
        page.getByText("Meadowsweet").first().waitFor();
        assertThat(main().getByRole(AriaRole.BUTTON)).hasCount(0);
        go("/shelf/stock-take");
        heading("You look only").waitFor();
        // To reckon with is for everybody.
        go("/making/tincture");
        page.getByText("Pressed yield").waitFor();
        assertThat(button("Start the batch")).hasCount(0);
        accessible("what a reader sees of the bench");

        newPage(1280, 800);
        signIn("tam");
        go("/shelf/stock-take");
        heading("Stock-take").waitFor();
        go("/dosing");
        link("Plan a course").waitFor();
        assertThat(link("Add somebody")).hasCount(0);
        go("/herbarium/new");
        heading("A keeper of the household does this").waitFor();
    }

    @DataProvider
    public Object[][] views() {
        return new Object[][] {
            {"/"},
            {"/field"},
            {"/field/identify"},
            {"/drying"},
            {"/shelf"},
            {"/making"},
            {"/making/tincture"},
            {"/making/salve"},
            {"/dosing"},
            {"/dosing/new"},
            {"/herbarium/meadowsweet"},
            {"/household"},
        };
    }

    /** 320 CSS pixels are also what 1280 are at 400 %. */
    @Test(dataProvider = "views")
    public void nothingIsWiderThanANarrowPhone(String path) {
        newPage(320, 640);
        signIn("ilse");
        go(path);
        page.locator("main h1").waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        assertEquals(page.evaluate("document.documentElement.scrollWidth"), 320, "the width of " + path);
        // A phone on its side, and a desk at 200 %: as wide as they are, and most of the height for the work.
        for (int[] size : new int[][] {{844, 390}, {640, 400}}) {
            page.setViewportSize(size[0], size[1]);
            assertEquals(page.evaluate("document.documentElement.scrollWidth"), size[0], size[0] + " wide, " + path);
            page.evaluate("() => window.scrollTo(0, document.documentElement.scrollHeight)");
            assertTrue(
                    ((Number) page.evaluate("""
                            () => [...document.querySelectorAll('body *')]
                              .filter((e) => ['fixed', 'sticky'].includes(getComputedStyle(e).position))
                              .map((e) => e.getBoundingClientRect())
                              .filter((r) => r.width > 200 && r.bottom > 0 && r.top < innerHeight)
                              .reduce((sum, r) => sum + r.height, 0)""")).doubleValue() < size[1] / 2.0,
                    "what stays on the page covers half of it, " + size[0] + " wide, " + path);
        }
    }
}
