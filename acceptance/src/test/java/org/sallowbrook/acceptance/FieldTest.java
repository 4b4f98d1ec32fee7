package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** The ground, the season and the weather, before anybody goes out. */
public class FieldTest extends InBrowser {

    private Locator map() {
        return page.getByLabel("The ground", new Page.GetByLabelOptions().setExact(true));
    }

    @Test
    public void mapAndListAreOneAndBothGoByKeyboard() {
        go("/field");
        Locator mark = map().getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions()
                                .setName(Pattern.compile("^Meadowsweet, north ditch: ready now")));
        mark.focus();
        // The name shows beside the mark, and the row in the list is marked.
        assertThat(map()).containsText("Meadowsweet, north ditch: ready now");
        assertThat(page.locator("li.bg-water-pale")).containsText("Meadowsweet, north ditch");
        accessible("the field with its map");
        page.keyboard().press("Enter");
        heading("Meadowsweet, north ditch").waitFor();
        assertThat(main()).containsText("When it is ready");
    }

    @Test
    public void firstFlowersAreOneTapAndCanBeStruckOut() {
        openStand("Meadowsweet, willow side");
        assertThat(main()).containsText("likely begun, go and look");
        page.getByText("How this was reckoned").first().click();
        assertThat(main()).containsText("12 days later, by latitude and height");
        button("First flowers").click();
        assertThat(main()).containsText("ready now");
        page.getByText("Seen to begin, once").click();
        button("was wrong").click();
        page.getByLabel(Pattern.compile("^Why the sighting")).fill("it was the north ditch");
        button("Strike it out").click();
        assertThat(main()).containsText("likely begun, go and look");
        accessible("when a stand is ready");
    }

    @Test
    public void theGroundIsDrawnByArrowKeysAndReadFromAFile() {
        go("/field/ground");
        choose("What", "water");
        field("Name, if it has one").fill("the sluice pond");
        Locator paper = page.getByRole(AriaRole.APPLICATION);
        paper.focus();
        for (String key : new String[] {"Enter", "Shift+ArrowRight", "Enter", "Shift+ArrowDown", "Enter"}) {
            page.keyboard().press(key);
        }
        assertThat(main()).containsText("3 points");
        button("Keep it").click();
        assertThat(button("Rub out the sluice pond")).isVisible();
        page.getByLabel("GPX, KML or GeoJSON")
                .setInputFiles(
                        new FilePayload("walk.gpx", "application/gpx+xml", """
                        <gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>evening walk</name>
                        <trkseg><trkpt lat="55.01" lon="2.49"/><trkpt lat="55.012" lon="2.495"/></trkseg></trk></gpx>""".getBytes(StandardCharsets.UTF_8)));
        assertThat(main()).containsText("1 drawn");
        accessible("drawing the ground");
        button("Rub out evening walk").click();
        button("Rub out the sluice pond").click();
        assertThat(button("Rub out the sluice pond")).hasCount(0);
    }

    @Test
    public void aWalkIsPlannedFromWhatIsReady() {
        go("/field");
        link("Plan a walk").click();
        heading("A walk").waitFor();
        assertThat(main()).containsText("from Sallowbrook House and back");
        assertThat(main()).containsText("To carry");
        Locator stops = page.locator("main ol > li");
        int before = stops.count();
        page.getByLabel(Pattern.compile("^Something by the ditch")).check();
        assertThat(stops).hasCount(before + 1);
        assertThat(main()).containsText("unknown, perhaps agrimony: to look at");
        accessible("a walk");
        page.setViewportSize(390, 844);
        accessible("a walk on a phone");
        page.setViewportSize(1280, 800);
    }

    @Test
    public void aTableOfWeatherIsReadOrItsLineIsNamed() {
        newPage(1280, 800);
        signIn("lantern");
        go("/field/weather");
        assertThat(main()).containsText("The simulated station is used");
        Locator file = page.getByLabel("A table of your own readings");
        file.setInputFiles(table("2026-07-14,8,x,0,70\n"));
        assertThat(main()).containsText("line 2: high_c must be a number");
        file.setInputFiles(table("2026-07-13,8,16,2.5,85\n2026-07-14,8,17,0,70\n2026-07-15,9,18,0,72\n"));
        assertThat(main()).containsText("3 days read");
        assertThat(main()).containsText("Your own readings are used");
        accessible("the weather");
        go("/field");
        assertThat(main()).containsText("Dry enough to pick.");
        assertThat(main()).containsText("Counted by the calendar");
        newPage(1280, 800);
        signIn("ilse");
    }

    private static FilePayload table(String lines) {
        return new FilePayload(
                "weather.csv",
                "text/csv",
                ("day,low_c,high_c,rain_mm,humidity_percent\n" + lines).getBytes(StandardCharsets.UTF_8));
    }

    @Test
    public void aStandIsCountedYearByYearAndItsBasketReckonedBothWays() {
        openStand("Meadowsweet, north ditch");
        Locator years = section("Over the years");
        assertThat(years).containsText("Counted 5 times, last 124");
        assertThat(years).containsText("Of 100 today, in ten years");
        field("Plants, or stems, counted").fill("60");
        button("Note the count").click();
        assertThat(years).containsText("Counted 6 times, last 60");
        accessible("a stand over the years");
        link("What it makes").click();
        heading("From the basket to the bottle").waitFor();
        assertThat(section("I want")).containsText("is its share in a year");
        assertThat(section("I have")).containsText("tincture");
        field("So much").fill("100000");
        assertThat(section("I want")).containsText("more than this stand should give");
        accessible("from the basket to the bottle");
    }

    @Test
    public void whoeverTouchedAnIrritantPlantSeesTheWashingFirst() {
        openStand("Hogweed on the way");
        assertThat(link("Harvest")).hasCount(0);
        Locator touched = section("Touched it?");
        assertThat(touched).containsText("Wash with soap and cold water");
        assertThat(touched).containsText("Tam Holm reacts to giant hogweed more than before");
        choose("Who touched it", "Wren");
        choose("What came of it", "trouble with breath");
        assertThat(touched).containsText("call for help first");
        choose("What came of it", "blisters");
        button("Note the contact").click();
        assertThat(touched).containsText("Wren had blisters or swelling");
        accessible("contacts");
    }
}
