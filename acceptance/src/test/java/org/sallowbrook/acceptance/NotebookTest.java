package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A walk without a line, on a phone that is closed and opened on the way. */
public class NotebookTest extends OnAPhone {

    private static final String NETTLES = "Nettles behind the hedge";
    private static final String DITCH = "Something by the ditch";
    private static final String LIMES = "The three limes";
    private static final String VERGE = "St John's-wort on the verge";

    private Path profile;
    private BrowserContext phone;

    @BeforeClass
    @Override
    public void signIn() {
        try {
            profile = Files.createTempDirectory("sallowbrook-phone");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        phone = phone(profile);
        readyAs("ilse");
    }

    private Locator refused() {
        return section("Refused: put it right").getByRole(AriaRole.LISTITEM);
    }

    private Locator waiting() {
        return section("Waiting for the line").getByRole(AriaRole.LISTITEM);
    }

    private static String often(int times) {
        return times == 1 ? "once" : times == 2 ? "twice" : times + " times";
    }

    private void stand(String name) {
        go("/field");
        link(name).first().click();
        heading(name).waitFor();
    }

    @Test
    public void aWalkWithoutALineIsKeptAndSentOnce() throws IOException {
        stand(LIMES);
        int before = sightings();
        phone.setOffline(true);
        stand(LIMES);
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("No line to Sallowbrook");
        button("First flowers").click();
        assertThat(main()).containsText("Kept on this device");
        page.getByLabel(Pattern.compile("^Pictures, JPEG")).setInputFiles(picture());
        assertThat(main()).containsText("limes.png");
        field("What it shows").fill("the limes in July");
        button("Add the photo").click();
        assertThat(link("2 things in the notebook, not sent yet")).isVisible();

        stand(DITCH);
        link("Identify").click();
        IdentifyPage.at(page, "in leaf")
                .see("Hairs on the upper side", "long stinging hairs among short ones")
                .see("Stem in cross-section", "square")
                .see("Edge of the leaf or leaflet", "sharp even teeth");
        button("What does this say?").click();
        assertThat(main()).containsText("what it says waits until it is back");
        accessible("a look without a line");
        button("Keep what I saw").click();
        heading("Notebook").waitFor();

        stand(NETTLES);
        harvestByEye("in leaf", "two bags", "5");
        stand(VERGE);
        harvestByEye("in flower", "a basket", "15");
        assertThat(waiting()).hasCount(5);
        accessible("notebook on the phone");

        // The phone is put away: what was written down is on it when it is opened again, still without a line.
        phone.close();
        phone = phone(profile);
        phone.setOffline(true);
        go("/field/notebook");
        assertThat(waiting()).hasCount(5);
        assertThat(waiting().first()).containsText("First flowers at " + LIMES);

        phone.setOffline(false);
        // A browser that was closed has forgotten who was signed in.
        signInAgain("ilse");
        assertThat(waiting()).hasCount(0);
        assertThat(refused().first()).containsText(VERGE);
        assertThat(refused().first()).containsText("contaminated");

        // Once each, on the server.
        stand(LIMES);
        org.assertj.core.api.Assertions.assertThat(sightings()).isEqualTo(before + 1);
        assertThat(page.getByAltText("the limes in July")).hasCount(1);
        go("/drying");
        Locator bag = section("Picked, waiting for the rack")
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("two bags"));
        assertThat(bag).hasCount(1);
        bag.getByLabel(Pattern.compile("^Weight of")).first().fill("240");
        bag.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Weighed"))
                .click();
        assertThat(section("Picked, waiting for the rack")).containsText("240 g stinging nettle");

        // What was refused is in its form again, with all that was typed, and its reason.
        go("/field/notebook");
        button("Back to its form").first().click();
        button("Next: how much").click();
        assertThat(field("How much, by eye")).hasValue("a basket");
        button("Next: look again").click();
        button("Next: record it").click();
        assertThat(region("Harvest findings")).containsText("contaminated");
        assertThat(button("Record the harvest")).isDisabled();
        // It stays in the notebook until its form is accepted, to be gone back to as often as wanted.
        phone.close();
        phone = phone(profile);
        go("/field/notebook");
        signInAgain("ilse");
        assertThat(refused().first()).containsText(VERGE);
        refused().first().getByText("All that was written down").click();
        assertThat(refused().first()).containsText("how much, by eye: a basket");
        button("Back to its form").first().click();
        button("Next: how much").click();
        assertThat(field("How much, by eye")).hasValue("a basket");
        go("/field/notebook");
        button("Throw it away").first().click();
        button("Throw it away for good").click();
        assertThat(section("Refused: put it right")).hasCount(0);
    }

    /** A device with no room left keeps nothing, and says so: it goes at once, or the page still holds it. */
    @Test(dependsOnMethods = "aWalkWithoutALineIsKeptAndSentOnce")
    public void aFullDeviceSendsAtOnceOrSaysThatNothingWasKept() {
        stand(LIMES);
        int before = sightings();
        page.evaluate("() => { IDBObjectStore.prototype.add = () => {"
                + " throw new DOMException('full', 'QuotaExceededError') } }");
        button("First leaves").click();
        assertThat(page.getByText("Seen to begin, " + often(before + 1))).isVisible();
        phone.setOffline(true);
        button("First fruit").click();
        assertThat(main()).containsText("This device is full");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("This device is full");
        phone.setOffline(false);
        button("First fruit").click();
        assertThat(page.getByText("Seen to begin, " + often(before + 2))).isVisible();
    }

    /** Whoever signs out leaves nothing of the household on the phone. */
    @Test(dependsOnMethods = "aFullDeviceSendsAtOnceOrSaysThatNothingWasKept")
    public void signingOutClearsThePhoneAndWarnsOfWhatWasNotSent() {
        phone.setOffline(true);
        stand(LIMES);
        button("First flowers").click();
        assertThat(main()).containsText("Kept on this device");
        button("Sign out").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("One thing written down on this device did not reach Sallowbrook yet");
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Stay signed in"))
                .click();
        phone.setOffline(false);
        assertThat(page.getByText("in the notebook, not sent yet")).hasCount(0);
        button("Sign out").click();
        page.waitForURL(Pattern.compile("/sign-in"));
        org.assertj.core.api.Assertions.assertThat(
                        (List<?>) page.evaluate("async () => (await indexedDB.databases()).map((d) => d.name)"
                                + ".filter((name) => name.startsWith('sallowbrook'))"))
                .isEmpty();
    }

    private int sightings() {
        return ((Number) page.evaluate(
                        "async (id) =>" + " (await (await fetch(`/api/field/stands/${id}/sightings`)).json()).length",
                        page.url().replaceFirst(".*/", "")))
                .intValue();
    }

    private static FilePayload picture() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(3000, 2000, BufferedImage.TYPE_INT_RGB), "png", bytes);
        return new FilePayload("limes.png", "image/png", bytes.toByteArray());
    }
}
