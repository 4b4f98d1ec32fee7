package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;

/** What is done on a phone that goes where there is no line. */
abstract class OnAPhone extends InBrowser {

    /** The first visit puts the pages on the device; from the second on they open from there. */
    protected final void readyAs(String name) {
        signIn(name);
        page.evaluate("() => navigator.serviceWorker.ready.then(() => undefined)");
        go("/field/notebook");
        assertThat(section("On this device")).containsText("Cards of plants");
    }

    /** Over "Your session has ended", as whoever has the phone in the hand. */
    protected final void signInAgain(String name) {
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        dialog.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill(name);
        dialog.getByLabel("Password", new Locator.GetByLabelOptions().setExact(true))
                .fill("merrow-demo");
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Sign in"))
                .click();
        assertThat(dialog).hasCount(0);
    }

    /** Without a line, from the page of the stand: picked, not weighed, kept in the notebook. */
    protected final void harvestByEye(String stage, String measured, String ofThePlants) {
        link("Harvest").click();
        heading("Harvest").waitFor();
        choose("Stage of the plant", stage);
        button("Next: how much").click();
        field("Weighed at home").click();
        field("How much, by eye").fill(measured);
        Locator plants = field("Of the plants, exactly");
        plants.fill(ofThePlants);
        plants.blur();
        button("Next: look again").click();
        Locator tells = page.locator("main ul li input[type=checkbox]");
        for (int tell = 0; tell < 4; tell++) {
            tells.nth(tell).check();
        }
        field("Every piece examined singly").click();
        button("Next: record it").click();
        assertThat(main()).containsText("nothing has looked at this harvest yet");
        button("Keep the harvest").click();
        heading("Notebook").waitFor();
    }
}
