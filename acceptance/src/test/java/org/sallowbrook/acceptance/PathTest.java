package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** From the hedge to the spoon: the eight steps, in their order, by what a user sees and clicks. */
public class PathTest extends InBrowser {

    private static final String STAND = "Meadowsweet, willow side";

    @Test
    public void step1IdentifyMeadowsweetAndWaitWithTheComfrey() {
        openStand(STAND);
        link("Identify").click();
        heading("Identify").waitFor();
        IdentifyPage.meadowsweet(page);
        assertThat(region("Verdict")).containsText("CONFIRMED");
        assertThat(region("Verdict")).containsText("Most like meadowsweet");
        field("Book, edition and page").fill("field guide, second edition, page 114");
        button("Keep this verdict").click();
        heading(STAND).waitFor();
        // A deadly plant grows in the same ditch: one hopeful pair of eyes is not enough.
        assertThat(page.locator("main")).containsText("confirmed once, of two");
        link("Harvest").click();
        assertThat(region("Harvest findings")).containsText("only one look is on record");

        newPage(1280, 800);
        signIn("tam");
        openStand(STAND);
        link("Identify").click();
        IdentifyPage.meadowsweet(page);
        button("Keep this verdict").click();
        heading(STAND).waitFor();
        assertThat(page.locator("main")).containsText("confirmed");
        assertThat(page.locator("main")).not().containsText("confirmed once");

        newPage(1280, 800);
        signIn("ilse");
        openStand("Comfrey by the footbridge");
        link("Identify").click();
        IdentifyPage.at(page, "a rosette")
                .see("How the leaf is divided", "simple, one blade")
                .see("Outline of the blade", "egg- to lance-shaped, pointed")
                .see("Edge of the leaf or leaflet", "entire, without teeth")
                .verdict();
        assertThat(region("Verdict")).containsText("NOT YET");
        assertThat(region("Verdict")).containsText("foxglove");
        assertThat(region("Verdict")).containsText("It can be told in flower");
    }

    @Test(dependsOnMethods = "step1IdentifyMeadowsweetAndWaitWithTheComfrey")
    public void step2HarvestFromItButNotFromTheVerge() {
        openStand("St John's-wort on the verge");
        link("Harvest").click();
        assertThat(region("Harvest findings")).containsText("contaminated");
        assertThat(region("Harvest findings")).containsText("Identify the stand first");
        assertThat(button("Record the harvest")).isDisabled();

        openStand(STAND);
        link("Harvest").click();
        choose("Stage of the plant", "in flower");
        assertThat(region("Harvest findings")).containsText("looked at again");
        for (String tell :
                new String[] {"How the leaf is divided", "How the flowers are grouped", "The leaflet at the tip"}) {
            page.getByLabel(Pattern.compile("^" + tell)).check();
        }
        field("Weight").fill("400");
        assertThat(region("Harvest findings")).containsText("Never in handfuls");
        field("Every piece examined singly").click();
        field("Weather").fill("dry, light wind");
        button("Record the harvest").click();
        heading("Rack").waitFor();
        assertThat(page.locator("main")).containsText("400 g meadowsweet");
    }

    @Test(dependsOnMethods = "step2HarvestFromItButNotFromTheVerge")
    public void step3DryItAndReadTheScale() {
        go("/drying");
        Locator row = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(STAND))
                .first();
        row.getByRole(AriaRole.BUTTON).click();
        field("Which rack").fill("Attic screen 3");
        field("Air").fill("34");
        field("Humidity").fill("30");
        button("Start drying").click();
        heading("meadowsweet, flowering tops on Attic screen 3").waitFor();
        assertThat(page.locator("main")).containsText("learned from 1 of your own lots");
        button("Put it into a jar").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("It may hold");

        go("/drying");
        link("meadowsweet, flowering tops")
                .getByText("meadowsweet, flowering tops")
                .first()
                .waitFor();
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Attic screen 2"))
                .getByRole(AriaRole.LINK)
                .first()
                .click();
        heading("meadowsweet, flowering tops on Attic screen 2").waitFor();
        assertThat(page.locator("main")).containsText("90 % band");
        button("Read the scale").click();
        assertThat(page.locator("output")).containsText("settling");
        assertThat(page.locator("output")).containsText("stable");
        button("Record the weight").click();
        assertThat(page.locator("main")).containsText("6 weighings");
    }

    @Test(dependsOnMethods = "step3DryItAndReadTheScale")
    public void step4OntoTheShelfWithALabel() {
        driedLot();
        go("/drying");
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Warm cupboard"))
                .getByRole(AriaRole.LINK)
                .first()
                .click();
        heading("stinging nettle, leaf on Warm cupboard").waitFor();
        button("leaf crumbles").click();
        assertThat(page.locator("main")).containsText(": leaf crumbles");
        assertThat(page.locator("main")).containsText("dry now");
        button("Put it into a jar").click();
        heading("stinging nettle, leaf J").waitFor();
        assertThat(page.locator("main")).containsText("Best before");
        String href = link("Label (PDF)").getAttribute("href");
        APIResponse label = page.request().get(page.url().replaceFirst("/shelf/.*", href));
        org.assertj.core.api.Assertions.assertThat(label.status()).isEqualTo(200);
        org.assertj.core.api.Assertions.assertThat(new String(label.body(), 0, 5, StandardCharsets.US_ASCII))
                .isEqualTo("%PDF-");
        // The printed code holds this page's own address.
        page.reload();
        heading("stinging nettle, leaf J").waitFor();
        button("Carry along").click();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Tray")))
                .containsText("stinging nettle");
    }

    /** Days on a rack can't be waited for: the weighings are entered as a user does afterwards, with their times. */
    private void driedLot() {
        page.evaluate("""
                async () => {
                  const token = document.cookie.split('; ').find(c => c.startsWith('XSRF-TOKEN=')).slice(11);
                  const post = (path, body) => fetch(path, {method: 'POST', body: JSON.stringify(body),
                    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token)}})
                    .then(r => { if (!r.ok) throw new Error(path + ' ' + r.status); return r.json(); });
                  const waiting = await (await fetch('/api/drying/waiting')).json();
                  const nettle = waiting.find(h => h.taxonId === 'stinging-nettle' && h.massG === 340);
                  const now = Date.parse((await (await fetch('/api/session')).json()).now);
                  const start = now - 20 * 3600e3;
                  const run = crypto.randomUUID();
                  await post('/api/drying/runs', {id: run, harvestId: nettle.id, rack: 'Warm cupboard',
                    at: new Date(start).toISOString(), freshG: 340, moisture: {low: 0.72, high: 0.80},
                    temperatureC: 36, relativeHumidity: 0.25});
                  for (const [h, g] of [[3, 180], [6, 92], [19, 91.5]])
                    await post('/api/drying/runs/' + run + '/weighings', {id: crypto.randomUUID(),
                      at: new Date(start + h * 3600e3).toISOString(), massG: g, source: 'HAND'});
                }""");
    }

    @Test(dependsOnMethods = "step4OntoTheShelfWithALabel")
    public void step5MakeTinctureTeaOilAndSalve() {
        go("/making/tincture");
        choose("Herb", "meadowsweet");
        assertThat(page.locator("main")).containsText("grain spirit 96 %");
        Locator herb = field("Amount of herb");
        herb.focus();
        for (int i = 0; i < 5; i++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^jar of 250 mL"))))
                .isVisible();
        // 25 g at 1:5.
        assertThat(page.locator("main")).containsText("125 mL");
        button("Start the batch").click();
        heading("meadowsweet tincture M").waitFor();
        assertThat(region("Steps")).containsText("Weigh 25 g of meadowsweet");
        button("Next step").click();
        assertThat(region("Steps")).containsText("grain spirit");

        go("/making");
        link("Meadowsweet tincture, second").click();
        heading("Meadowsweet tincture, second").waitFor();
        field("What came out").fill("150");
        button("Record the pressing").click();
        assertThat(page.locator("main")).containsText("Into bottles");
        field("How many bottles").fill("2");
        button("Fill the bottles").click();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("second B"))))
                .hasCount(2);

        go("/making/tea");
        choose("Herb", "small-leaved lime, flower J26");
        startBatch("lime tea");
        go("/making/oil");
        startBatch("Marigold oil for hands");
        go("/making/salve");
        field("Tins").press("ArrowRight");
        assertThat(page.locator("main")).containsText("2 × 30 mL");
        field("Tins").press("ArrowRight");
        assertThat(page.locator("main")).containsText("has only 80 mL left");
        field("Tins").press("ArrowLeft");
        startBatch("Small marigold salve");
        field("How many tins").fill("2");
        button("Fill the tins").click();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("salve T"))))
                .hasCount(2);
    }

    private void startBatch(String name) {
        field("Name on the label").fill(name);
        assertThat(button("Start the batch")).isEnabled();
        button("Start the batch").click();
        heading(name).waitFor();
    }

    @Test(dependsOnMethods = "step5MakeTinctureTeaOilAndSalve")
    public void step6DoseIlseAndStopForCorwen() {
        go("/dosing/new");
        choose("Person", "Corwen Holm");
        choose("Out of", "Meadowsweet tincture, second");
        assertThat(region("Course findings")).containsText("salicylates, which add to a blood thinner");
        assertThat(region("Course findings")).containsText("Ask the prescriber or pharmacist");
        assertThat(button("Start the course")).isDisabled();
        choose("Person", "Tam Holm");
        assertThat(region("Course findings")).containsText("first small trial");
        assertThat(button("Start the course")).isEnabled();

        go("/dosing");
        link("Ilse Varga-Holm: Meadowsweet tincture").click();
        Locator tick = page.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("dose 1 of")))
                .first();
        tick.click();
        assertThat(page.getByText("taken 3 mL")).hasCount(4);
        assertThat(page.locator("main")).containsText("trouble breathing");
    }

    @Test(dependsOnMethods = "step6DoseIlseAndStopForCorwen")
    public void step8TodayIsDoneFromTheList() {
        go("/");
        // An hour later by the demo's own calendar: two doses within moments are one.
        button("The demo’s own calendar").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("on by an hour"))
                .click();
        assertThat(button("The demo’s own calendar")).containsText("15 Jul 2026, 08:");
        button("Shaken: Shake Meadowsweet tincture, third").click();
        assertThat(button("Shaken: Shake Meadowsweet tincture, third")).hasCount(0);
        button("Taken: Ilse Varga-Holm: Meadowsweet tincture").click();
        assertThat(page.getByText("dose 3 of 3")).isVisible();
        button("Thrown away: Past its date: small-leaved lime, flower").click();
        assertThat(page.getByText("Past its date: small-leaved lime")).hasCount(0);
        Locator weigh = button("Weigh: Weigh pot marigold on Scullery line");
        if (weigh.count() > 0) {
            weigh.click();
            button("Read the scale").click();
            assertThat(page.locator("output")).containsText("stable");
            button("Record").click();
            assertThat(weigh).hasCount(0);
        }
    }

    @Test(dependsOnMethods = "step8TodayIsDoneFromTheList")
    public void step7TraceAndDoubtTheStand() {
        go("/shelf");
        link("Meadowsweet tincture")
                .getByText("Meadowsweet tincture", new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
        heading("Meadowsweet tincture B").waitFor();
        traceIt();
        assertThat(page.locator("main")).containsText("Where this came from: Meadowsweet tincture");
        link("Meadowsweet, north ditch").click();
        heading("Meadowsweet, north ditch").waitFor();
        field("Why it is doubted").fill("an umbel was found in the basket");
        button("Doubt this stand").click();
        assertThat(page.getByText("Identify it again, with a second person")).isVisible();
        traceIt();
        assertThat(page.locator("main").getByText("set aside, doubted").first()).isVisible();

        go("/dosing");
        link("Ilse Varga-Holm: Meadowsweet tincture").click();
        assertThat(region("Course findings")).containsText("Something this was made from is doubted");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("dose 3 of")))
                        .first())
                .isDisabled();
        go("/");
        assertThat(region("To set aside")).containsText("Meadowsweet tincture");
    }

    /** The page's own link, not the landing of the brook. */
    private void traceIt() {
        page.locator("main")
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Trace"))
                .click();
    }
}
