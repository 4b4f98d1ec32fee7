package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every view: axe clean in light and dark, reachable by keyboard, usable on a phone. */
public class ViewsTest extends InBrowser {

    @DataProvider
    public Object[][] views() {
        return new Object[][] {
            {"/", "To shake"},
            {"/field", "Stands"},
            {"/herbarium", "foxglove"},
            {"/herbarium/foxglove", "Look-alikes"},
            {"/drying", "Drying now"},
            {"/shelf", "Jars of dried herb"},
            {"/making", "Under way"},
            {"/making/tincture", "Pressed yield"},
            {"/making/fill-and-cover", "Herb, by eye"},
            {"/making/percolation", "First fraction"},
            {"/making/formula", "Mixed"},
            {"/making/steeped", "Acidity at the end"},
            {"/making/tea", "Water to put on"},
            {"/making/wash", "Water to put on"},
            {"/making/syrup", "Sugar to add"},
            {"/making/cubes", "Left over"},
            {"/making/cream", "Water phase"},
            {"/making/dry", "Together"},
            {"/making/joined", "after contraction"},
            {"/making/poultice", "Covers"},
            {"/making/measures", "Weigh one once"},
            {"/making/reduce", "Still to boil away"},
            {"/making/oil", "Carrier oil"},
            {"/making/salve", "Wax"},
            {"/dosing", "Courses"},
            {"/dosing/new", "What follows"},
            {"/dosing/people/new", "Medicines taken"},
            {"/tracing", "What was made of it"},
            {"/year", "What all of it takes"},
            {"/calendar", "Addresses that stand"},
            {"/archive", "One list, for a spreadsheet"},
            {"/archive/audit", "What was acknowledged or decided"},
            {"/shelf/labels", "Size of one label"},
        };
    }

    @Test(dataProvider = "views")
    public void isAccessibleInLightAndDark(String path, String shows) {
        go(path);
        page.locator("main").getByText(shows).first().waitFor();
        page.waitForFunction("() => !document.body.innerText.includes('Reading the records')");
        accessible(path);
        button("Light or dark").click();
        accessible(path + " dark");
        button("Light or dark").click();
    }

    @DataProvider
    public Object[][] opened() {
        return new Object[][] {
            {"/field", "Marigold bed"},
            {"/drying", "pot marigold, flower head"},
            {"/shelf", "Marigold salve"},
            {"/making", "Meadowsweet tincture, third"},
            {"/dosing", "Ilse Varga-Holm: Meadowsweet tincture"},
        };
    }

    @Test(dataProvider = "opened")
    public void soIsEachThingOpened(String path, String name) {
        go(path);
        link(name).first().click();
        page.waitForURL(url -> !url.endsWith(path));
        heading(name.split(",")[0]).first().waitFor();
        page.waitForFunction("() => !/Reading the records|Drawing the curve/.test(document.body.innerText)");
        accessible(path + " " + name);
    }

    @Test
    public void identifyAndHarvestAreAccessible() {
        openStand("Marigold bed");
        link("Identify").click();
        page.getByText("What is it doing now?").waitFor();
        accessible("stage of a look");
        IdentifyPage.at(page, "in flower");
        accessible("identify");
        openStand("Marigold bed");
        link("Harvest").click();
        region("Harvest findings").waitFor();
        accessible("harvest");
    }

    @Test
    public void keysReachEveryLandingAndListThemselves() {
        go("/");
        page.locator("main").waitFor();
        page.keyboard().press("Alt+4");
        heading("Shelf").waitFor();
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Alt+4");
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        page.keyboard().press("Alt+1");
        heading("Today").waitFor();
    }

    @Test
    public void aLostServerKeepsWhatWasTyped() {
        go("/field");
        button("Add a stand").click();
        field("Name of the stand").fill("Typed on the moor");
        field("Place").fill("Long Dune");
        choose("Taken for", "meadowsweet");
        page.route("**/api/field/stands", route -> route.abort());
        button("Save the stand").click();
        assertThat(main()).containsText("Kept on this device");
        page.unroute("**/api/field/stands");
        go("/field/notebook");
        assertThat(main()).containsText("Nothing waits here");
        go("/field");
        // In the list, and in the season for each part of it.
        assertThat(link("Typed on the moor").first()).isVisible();
        Object kept = page.evaluate("async () => (await (await fetch('/api/field/stands')).json())"
                + ".filter((s) => s.name === 'Typed on the moor').length");
        org.assertj.core.api.Assertions.assertThat(kept).isEqualTo(1);
    }

    /** Two tabs on one stand: the second is told what the first changed, and loses nothing. */
    @Test
    public void aSecondTabIsToldWhatChanged() {
        openStand("The three limes");
        button("Change").click();
        field("Place").fill("Abbot's Copse, east side");
        page.evaluate("""
                async () => {
                  const token = document.cookie.split('; ').find(c => c.startsWith('XSRF-TOKEN=')).slice(11);
                  const id = location.pathname.split('/').pop();
                  const s = await (await fetch('/api/field/stands/' + id)).json();
                  const r = await fetch('/api/field/stands/' + id, {method: 'PUT',
                    headers: {'Content-Type': 'application/json', 'If-Match': '"' + s.version + '"',
                      'X-XSRF-TOKEN': decodeURIComponent(token)},
                    body: JSON.stringify({id, taxonId: s.taxonId, name: s.name, place: s.place, ground: s.ground,
                      permission: s.permission, plenty: 'FAIR', protectedSpecies: s.protectedSpecies,
                      neighbour: s.neighbour, latitude: s.latitude, longitude: s.longitude,
                      elevationM: s.elevationM, growingSince: s.growingSince})});
                  if (!r.ok) throw new Error('' + r.status);
                }""");
        button("Save the stand").click();
        assertThat(page.locator("main")).containsText("How much there is: plentiful became fair");
        assertThat(field("Place")).hasValue("Abbot's Copse, east side");
        button("Save mine with theirs").click();
        assertThat(page.locator("main")).containsText("Abbot's Copse, east side");
        assertThat(button("Change")).hasCount(1);
    }

    /** Wrong input is said at its field. */
    @Test
    public void errorsStandAtTheirField() {
        go("/shelf");
        button("I already have spirit, oil and the like").click();
        field("How much").fill("-5");
        field("Strength").fill("140");
        button("Put it on the shelf").click();
        assertThat(page.getByText("must be from 0.1 to 1000000").first()).isVisible();
        assertThat(page.getByText("must be from 1 to 97").first()).isVisible();
        assertThat(field("How much")).hasValue("-5");
    }

    @Test(priority = 1)
    public void theFieldWorksOnAPhone() {
        Page small = newPage(390, 844);
        signIn("ilse");
        for (String path : new String[] {"/", "/field", "/drying", "/shelf"}) {
            go(path);
            small.locator("main h1").waitFor();
            Object overflow = small.evaluate("() => document.documentElement.scrollWidth > window.innerWidth + 1");
            org.assertj.core.api.Assertions.assertThat(overflow).as(path).isEqualTo(false);
        }
        openStand("Marigold bed");
        link("Identify").click();
        IdentifyPage.at(small, "in flower");
        accessible("identify on a phone");
    }

    @Test
    public void aSchoolChosenIsWhereTheBenchStarts() {
        go("/schools");
        heading("How this household works").waitFor();
        choose("When a tincture is pressed", "after six weeks");
        assertThat(page.locator("main")).containsText("Bark, root and resin give slowly.");
        choose("How long a pressed tincture is kept", "five years, sealed");
        assertThat(page.locator("main")).containsText("Some constituents fade long before the spirit spoils.");
        accessible("schools");
        go("/making/tincture");
        assertThat(page.locator("main")).containsText("press late");
        go("/schools");
        choose("When a tincture is pressed", "after four weeks");
        choose("How long a pressed tincture is kept", "three years");
        assertThat(page.locator("main")).containsText("Nobody has measured most of them.");
    }

    @Test
    public void anAmountIsTypedAsThePackageSaysIt() {
        go("/shelf");
        button("I already have spirit, oil and the like").click();
        choose("What", "spirit");
        field("Strength").fill("86 proof");
        field("Strength").blur();
        assertThat(field("Strength")).hasValue("43");
        assertThat(page.locator("main")).containsText("86 proof = 43 % vol");
        field("How much").fill("2 handfuls");
        // What cannot be read holds the form back.
        field("How much").press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("can't be read");
        assertThat(field("How much")).hasValue("2 handfuls");
    }

    @Test
    public void whatWasReallySwallowedIsKeptAsItWas() {
        go("/dosing");
        link("Meadowsweet tincture").first().click();
        // The dose nobody ticked off two days ago; today's are another test's.
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("another amount, dose 3 of")))
                .last()
                .click();
        field("Really taken").fill("2 tsp");
        button("Record it").click();
        // More than three times what was planned is asked about, and kept once it is said to be down.
        assertThat(page.locator("main")).containsText("10 mL where 2.25 mL was planned");
        field("It is swallowed already: keep it, so that it counts").click();
        button("Record it").click();
        assertThat(page.locator("main")).containsText("taken 10 mL");
        assertThat(page.locator("main")).containsText("do not make up for missed doses");
        accessible("course");
    }

    @Test
    public void aWoundIsForADoctor() {
        go("/dosing/new");
        choose("Person", "Ilse Varga-Holm");
        choose("Out of", "Marigold salve");
        assertThat(page.getByText("The skin there")).isVisible();
        choose("The skin there", "is wounded");
        assertThat(region("Course findings")).containsText("doctor");
        assertThat(button("Start the course")).isDisabled();
    }
}
