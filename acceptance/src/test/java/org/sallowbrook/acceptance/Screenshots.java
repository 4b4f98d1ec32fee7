package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.testng.annotations.Test;

/** Takes the pictures of docs/screenshots from the demo data. No test by its name: runs only by ./sallowbrook screenshots. */
public class Screenshots extends InBrowser {

    private static final Path FOLDER = Path.of(System.getProperty("screenshots.folder", "../docs/screenshots"));

    @Test
    public void take() {
        go("/");
        heading("Today").waitFor();
        shot("today");
        go("/field");
        link("Marigold bed").first().waitFor();
        shot("field");
        openStand("Meadowsweet, willow side");
        link("Identify").click();
        IdentifyPage.see(page, "How the leaf is divided", "interruptedly pinnate, tiny leaflets between large ones");
        IdentifyPage.see(page, "The leaflet at the tip", "much larger, with three to five lobes");
        IdentifyPage.see(page, "How the flowers are grouped", "frothy, side branches overtop the middle");
        page.getByText("Seen so far").waitFor();
        region("Verdict").getByText("Most like meadowsweet").waitFor();
        region("Compare").getByText("dropwort").first().waitFor();
        shot("identify");
        openStand("St John's-wort on the verge");
        link("Harvest").click();
        region("Harvest findings").waitFor();
        shot("harvest-refused");
        go("/drying");
        page.locator("main a[href^='/drying/']").first().click();
        page.getByText("hours on the rack").waitFor();
        shot("drying");
        go("/shelf");
        link("meadowsweet, tops").first().waitFor();
        shot("shelf");
        go("/making/tincture");
        page.getByText("Pressed yield").waitFor();
        choose("Jar of herb", "meadowsweet");
        page.getByText("grain spirit 96 %").first().waitFor();
        shot("tincture");
        go("/making/tea");
        page.getByText("Strain").first().waitFor();
        shot("tea");
        go("/making/salve");
        page.getByText("Kept at").waitFor();
        page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("3 tins of 30 mL, 14 % wax"))
                .waitFor();
        shot("salve");
        go("/making");
        link("Meadowsweet tincture, third").click();
        page.getByText("Step 1").waitFor();
        shot("batch");
        go("/dosing");
        link("Ilse Varga-Holm: Meadowsweet tincture").click();
        page.getByText("Planned and taken").waitFor();
        shot("course");
        go("/dosing/new");
        choose("Person", "Corwen");
        choose("Out of", "Meadowsweet tincture");
        page.getByText("STOPPED for").waitFor();
        shot("stopped");
        go("/tracing");
        choose("Follow", "Meadowsweet, north ditch");
        page.getByText("Downstream").waitFor();
        shot("trace");
        go("/herbarium");
        page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("agrimony, in flower"))
                .first()
                .waitFor();
        shot("herbarium");
        go("/herbarium/meadowsweet");
        page.getByText("Parts and doses").waitFor();
        shot("plant");
        go("/herbarium/ramsons/compare?stage=FLOWERING");
        region("lords-and-ladies").getByText("decisive").first().waitFor();
        shot("compare");
        go("/needs?need=minor%20joint%20pain");
        link("white willow").waitFor();
        shot("need");
        go("/schools");
        page.locator("main h2").first().waitFor();
        shot("schools");
        newPage(390, 844);
        signIn("ilse");
        openStand("Comfrey by the footbridge");
        link("Identify").click();
        choose("It is now", "a rosette");
        IdentifyPage.see(page, "Outline of the blade", "egg- to lance-shaped, pointed");
        IdentifyPage.see(page, "Edge of the leaf or leaflet", "entire, without teeth");
        IdentifyPage.see(page, "Hairs on the upper side", "soft, velvety or shaggy");
        page.locator("#verdict").waitFor();
        assertThat(page.getByText("Choosing what to look at next")).hasCount(0);
        page.evaluate("() => window.scrollTo(0, 0)");
        shot("identify-phone");
    }

    private void shot(String name) {
        page.evaluate("() => document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }
}
