package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.Geolocation;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A line of one's own, wherever something is met; with a day to come back, a picture, and without a line. */
public class NotesTest extends OnAPhone {

    private static final String ON_A_THING = "Write it down";
    private static final String IN_THE_FIELD = "What was seen, and where";

    private Locator notes() {
        return section("Notes");
    }

    @DataProvider
    public Object[][] things() {
        return new Object[][] {
            {"/field", "Nettles behind the hedge"},
            {"/shelf", "beeswax"},
            {"/making", "Meadowsweet tincture, third"},
            {"/dosing", "Tam Holm"},
            {"/herbarium", "agrimony"},
        };
    }

    @Test(dataProvider = "things")
    public void itIsWrittenWhereTheThingIs(String list, String name) {
        go(list);
        link(name).first().click();
        heading(name).waitFor();
        String words = "seen by the heron, " + name;
        field(ON_A_THING).fill(words);
        button("Keep the note").click();
        assertThat(notes()).containsText(words);
        assertThat(field(ON_A_THING)).hasValue("");
        go("/search?q=heron%20" + name.split(" ")[0]);
        assertThat(link(words)).isVisible();
        link(words).click();
        heading("A note").waitFor();
        assertThat(main()).containsText(name);
        accessible("a note");
    }

    /** Words, one touch for when, one to keep it. */
    @Test
    public void aDayToComeBackIsOneTouch() {
        openStand("The three limes");
        field(ON_A_THING).fill("tight buds");
        button("in a week").click();
        button("Keep the note").click();
        Locator row = notes().locator("li")
                .filter(new Locator.FilterOptions().setHasText("tight buds"))
                .first();
        assertThat(row).containsText("Come back");
        go("/field");
        assertThat(link("The three limes:").first()).hasAttribute("aria-label", Pattern.compile("to come back to"));
        openStand("The three limes");
        row.getByText("Been there", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(row).containsText("been there again");
        row.getByText("change", new Locator.GetByTextOptions().setExact(true)).click();
        row.getByLabel(Pattern.compile("^The note of")).fill("tight buds, a few open");
        row.getByLabel("Smell").fill("of honey");
        row.getByText("Keep it so").click();
        assertThat(row).containsText("a few open");
        assertThat(row).containsText("smell of honey");
        row.getByText("throw away").click();
        assertThat(notes()).containsText("Thrown away.");
        notes().getByText("Take it back").click();
        assertThat(row).containsText("tight buds");
        accessible("notes of a stand");
    }

    @Test
    public void whatIsDueStandsOnToday() {
        go("/");
        Locator row = section("To come back to, as written down")
                .locator("li")
                .filter(new Locator.FilterOptions().setHasText("Kettle Fen, the far bank"));
        assertThat(row).containsText("Three more meadowsweet here");
        row.getByText("Been there", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(row).containsText("done");
        row.getByText("Take it back").click();
        assertThat(row.getByText("Been there", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
    }

    @Test
    public void whatCantBeKeptStaysInItsField() {
        openStand("The three limes");
        button("Keep the note").click();
        assertThat(notes()).containsText("Write something, say what was seen, or add a picture.");
        field(ON_A_THING).fill("x".repeat(10_001));
        button("Keep the note").click();
        assertThat(notes()).containsText("has 10001 letters; a note holds 10000");
        assertThat(field(ON_A_THING)).hasValue("x".repeat(10_001));
        field(ON_A_THING).fill("");
        // What stands in the field is not tasted.
        notes().getByText("Colour, smell, feel").click();
        assertThat(field("Smell")).isVisible();
        assertThat(page.getByLabel(Pattern.compile("^Taste"))).hasCount(0);
    }

    @Test
    public void whatWasSeenAndAPictureGoWithIt() throws IOException {
        go("/making");
        link("Meadowsweet tincture, third").first().click();
        heading("Meadowsweet tincture, third").waitFor();
        notes().getByText("Colour, smell, feel").click();
        field("Colour").fill("like strong tea");
        page.getByLabel(Pattern.compile("^Taste")).fill("bitter at the end");
        page.getByLabel(Pattern.compile("^Pictures for the note"))
                .setInputFiles(new FilePayload("jar.png", "image/png", png()));
        assertThat(notes()).containsText("jar.png");
        button("Keep the note").click();
        Locator row = notes().locator("li").filter(new Locator.FilterOptions().setHasText("like strong tea"));
        assertThat(row).containsText("bitter at the end");
        assertThat(row.locator("img")).hasCount(1);
    }

    @Test
    public void aQuickNoteBecomesAStand() {
        go("/field");
        button("Quick note").click();
        field(IN_THE_FIELD).fill("Two more limes here");
        field("Where, in words").fill("behind the boat house");
        button("Keep the note").click();
        assertThat(field(IN_THE_FIELD)).hasValue("");
        go("/notes");
        Locator row = main().locator("li").filter(new Locator.FilterOptions().setHasText("Two more limes here"));
        row.getByText("Make it a stand").click();
        heading("Field").waitFor();
        assertThat(field("Name of the stand")).hasValue("Two more limes here");
        assertThat(field("Place")).hasValue("behind the boat house");
        button("Point at it on the map").click();
        page.getByLabel(Pattern.compile("^The map to draw on")).press("Enter");
        assertThat(main()).containsText("at 5");
        button("Save the stand").click();
        link("Two more limes here").first().click();
        heading("Two more limes here").waitFor();
        assertThat(notes()).containsText("Two more limes here");
    }

    @Test(priority = 1)
    public void withoutALineANoteAndAStandAreKeptAndSent() throws IOException {
        go("/field");
        link("The three limes").first().click();
        heading("The three limes").waitFor();
        field("Write it down").fill("the low branch is within reach");
        button("Keep the note").click();
        assertThat(main().getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("the low branch")))
                .isVisible();
        Path profile = Files.createTempDirectory("sallowbrook-notes");
        BrowserContext phone = phone(profile);
        readyAs("ilse");
        phone.grantPermissions(List.of("geolocation"));
        phone.setGeolocation(new Geolocation(55.0133, 2.5061));
        go("/field");
        link("The three limes").first().waitFor();
        phone.setOffline(true);
        go("/field");
        // What was written at home is read out there, as it was packed.
        link("The three limes").first().click();
        assertThat(main()).containsText("The latest as they were packed");
        assertThat(main()).containsText("the low branch is within reach");
        go("/field");
        button("Quick note").click();
        field(IN_THE_FIELD).fill("Elder by the stile, full of buds");
        page.getByText("Here", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(main()).containsText("at 55.013300, 2.506100");
        button("in two weeks").click();
        accessible("a quick note on the phone");
        button("Keep the note").click();
        assertThat(main()).containsText("Kept on this device");
        button("Add a stand").click();
        field("Name of the stand").fill("Elder by the stile");
        field("Place").fill("Kettle Fen");
        page.getByText("Here", new com.microsoft.playwright.Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(main()).containsText("at 55.013300");
        button("Save the stand").click();
        assertThat(main()).containsText("Kept on this device");
        assertThat(link("2 things in the notebook, not sent yet")).isVisible();
        phone.setOffline(false);
        go("/field/notebook");
        assertThat(section("Waiting for the line")).containsText("Nothing waits here");
        go("/field");
        assertThat(link("Elder by the stile").first()).isVisible();
        go("/notes");
        assertThat(main()).containsText("Elder by the stile, full of buds");
    }

    private static byte[] png() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }
}
