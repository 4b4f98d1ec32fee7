package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** What comes onto the shelf from outside, and what is set aside again. */
public class ShelfTest extends InBrowser {

    @Test
    public void anythingOnTheShelfIsFoundByAnyWordInAnyOrder() {
        go("/shelf");
        field("Find").fill("tincture MEADOW");
        assertThat(link("Meadowsweet tincture").first()).isVisible();
        assertThat(link("olive oil")).hasCount(0);
        // By the plant in it, not only by its name.
        field("Find").fill("nettle leaf");
        assertThat(link("stinging nettle, leaf").first()).isVisible();
        field("Find").fill("");
        button("Show a list").click();
        assertThat(main()).containsText("still-room shelf");
        accessible("the shelf as a list");
        button("Show the boards").click();
    }

    /** As much as was spilt, and a jar of its own that is poured back. */
    @Test
    public void someOfItGoesAndSomeStandsInAJarOfItsOwn() {
        go("/shelf");
        link("grain spirit 96 %").first().click();
        heading("grain spirit 96 %").waitFor();
        button("Some or all is gone").click();
        field("How much of it").fill("100");
        page.getByText("Thrown away", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(section("What came and went")).containsText("-100 mL");
        button("Into other jars").click();
        field("Into each").fill("5000");
        button("Fill them from it").click();
        assertThat(main()).containsText("that are left");
        field("Into each").fill("150");
        accessible("a jar filled out of another");
        button("Fill them from it").click();
        assertThat(section("What came and went")).containsText("between two jars");
        assertThat(section("What it is")).containsText("of 150");
        assertThat(button("Pour it back")).isVisible();
        button("Together with another").click();
        assertThat(main()).containsText("what is found out about either reaches it");
        accessible("two jars of the same");
        button("Pour them together").click();
        assertThat(section("What came and went")).containsText("came in");
        button("Not poured together after all").click();
        assertThat(main()).containsText("nothing is left");
        page.goBack();
        assertThat(section("What came and went")).containsText("poured together with another");
        button("Pour it back").click();
        assertThat(section("What came and went")).containsText("poured back");
    }

    @Test
    public void whatWasUsedUpByMistakeIsStruckOutAndIsThereAgain() {
        go("/shelf");
        link("beeswax").first().click();
        heading("beeswax").waitFor();
        button("Some or all is gone").click();
        button("Used up").click();
        assertThat(main()).containsText("nothing is left");
        button("strike it out").first().click();
        page.getByLabel(Pattern.compile("^Why used up on .* is struck out")).fill("it was the other block");
        button("Strike it out").click();
        assertThat(main()).containsText("it was the other block");
        assertThat(main()).not().containsText("nothing is left");
        button("How much is there").click();
        field("Really there").fill("100");
        button("That is there").click();
        assertThat(main()).containsText("is needed");
        field("Why it differs").fill("lent to the harbour");
        button("That is there").click();
        assertThat(main()).containsText("lent to the harbour");
        // The form closes when all is read again.
        assertThat(field("Really there")).hasCount(0);
        button("Name, place, opened").click();
        field("Where it stands").fill("larder");
        button("Keep it so").click();
        assertThat(main()).containsText("larder");
        accessible("a lot put right");
    }

    @Test
    public void traceEndsWithWhoTookOfIt() {
        go("/shelf");
        link("B260614-1").first().click();
        heading("Meadowsweet tincture").waitFor();
        main().getByText("Trace", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(section("Who took of it")).containsText("Ilse Varga-Holm");
        assertThat(section("Who took of it")).containsText("by mouth");
        accessible("who took of a bottle");
        link("To call back").click();
        assertThat(main()).containsText(Pattern.compile("\\d+ times, 12 Jul 2026 to 1\\d Jul 2026"));
        accessible("a list to call back by");
        assertThat(main()).containsText("Whose course it is or was");
    }

    @Test
    public void theShelfIsCountedInOnePass() {
        go("/shelf/stock-take");
        assertThat(main()).containsText(Pattern.compile("0 of \\d+ counted"));
        button("As it says: grain spirit").first().click();
        assertThat(main()).containsText(Pattern.compile("1 of \\d+ counted"));
        button("Something else: stinging nettle, leaf").first().click();
        button("Read the scale").click();
        assertThat(page.locator("output")).containsText("stable");
        button("That is there").click();
        assertThat(main()).containsText(Pattern.compile("2 of \\d+ counted"));
        accessible("the stock-take");
    }

    @Test
    public void herbWithADoubtfulLabelIsHeldAndALotCanBeCalledBack() {
        go("/shelf");
        button("I already have herb").click();
        choose("Plant", "ramsons");
        choose("The label gives", "a common name only");
        field("How much").fill("1 1/2 oz");
        field("Supplier").fill("The Lantern stall");
        field("Where it stands").fill("top shelf");
        button("Put the herb on the shelf").click();
        link("ramsons, leaf").first().click();
        heading("ramsons, leaf").waitFor();
        assertThat(page.locator("main")).containsText("Bought from The Lantern stall");
        assertThat(page.locator("main")).containsText("only a common name vouches for it");
        assertThat(page.locator("main")).containsText("42.5");
        field("What resolved it").fill("the stall showed the lot's paper");
        button("Release").click();
        assertThat(field("What resolved it")).hasCount(0);
        field("Why it is doubted").fill("the stall calls it back");
        button("Doubt this lot").click();
        assertThat(page.locator("main")).containsText("One lot set aside.");
        assertThat(page.locator("main")).containsText("the stall calls it back");
        accessible("a lot called back");
        field("What cleared it up").fill("it was another lot");
        button("Take the doubt back").click();
        assertThat(page.locator("main")).containsText("One lot usable or on hold again.");
        button("I see or smell mould").click();
        button("Mould: throw all of it away").click();
        assertThat(page.locator("main")).containsText("mould on the shelf");
        assertThat(page.locator("main")).containsText("not to be used");
        assertThat(page.locator("main")).not().containsText("by mouth");
        assertThat(button("I see or smell mould")).hasCount(0);
    }

    /** Many labels at once, from wherever a sheet was begun; a place that no sheet has is pointed at. */
    @Test
    public void labelsOfManyArePrintedOnSheets() {
        go("/shelf");
        link("Labels").click();
        heading("Labels on sheets").waitFor();
        assertThat(main()).containsText("Choose what gets a label.");
        page.getByText("all", new Page.GetByTextOptions().setExact(true)).click();
        field("First label that is still there").fill("11");
        assertThat(main().getByRole(AriaRole.ALERT)).hasText("a whole number from 1 to 10");
        assertThat(link("labels on paper")).hasCount(0);
        field("First label that is still there").fill("4");
        var printed = page.request()
                .get(page.url().replaceFirst("(http://[^/]+).*", "$1")
                        + link("labels on paper").getAttribute("href"));
        assertThat(printed).isOK();
        assertTrue(new String(printed.body(), 0, 4, StandardCharsets.ISO_8859_1).equals("%PDF"));
    }
}
