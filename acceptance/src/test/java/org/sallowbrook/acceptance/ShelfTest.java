package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import org.testng.annotations.Test;

/** What comes onto the shelf from outside, and what is set aside again. */
public class ShelfTest extends InBrowser {

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
}
