package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Two gatherers at one stand without a line; the clock of one phone is two days fast. */
public class TwoPhonesTest extends OnAPhone {

    private static final String MELILOT = "Melilot on the dune";

    private static final String TWO_DAYS_FAST = """
            const Real = Date;
            const fast = () => Real.now() + 2 * 86400000;
            globalThis.Date = class extends Real {
              constructor(...given) {
                if (given.length > 0) super(...given);
                else super(fast());
              }
              static now() {
                return fast();
              }
            };
            """;

    private BrowserContext ilses;
    private BrowserContext tams;

    @BeforeClass
    @Override
    public void signIn() {
        try {
            ilses = phone(Files.createTempDirectory("sallowbrook-ilse"));
            readyAs("ilse");
            tams = anotherPhone(Files.createTempDirectory("sallowbrook-tam"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        tams.addInitScript(TWO_DAYS_FAST);
        inHand(tams);
        readyAs("tam");
    }

    @AfterClass(alwaysRun = true)
    public void putAway() {
        if (tams != null) {
            tams.close();
        }
    }

    private void inHand(BrowserContext phone) {
        page = phone.pages().get(0);
    }

    @Test
    public void whatBothSawArrivesOnceUnderTheHouseholdsDayAndTheSecondHarvestCountsTheFirst() {
        inHand(ilses);
        openStand(MELILOT);
        String stand = page.url().replaceFirst(".*/", "");
        String today = (String) page.evaluate("async () => (await (await fetch('/api/session')).json()).now");
        int before = sightings(stand).size();
        for (BrowserContext phone : List.of(ilses, tams)) {
            inHand(phone);
            phone.setOffline(true);
            openStand(MELILOT);
            button("First fruit").click();
            assertThat(main()).containsText("Kept on this device");
            harvestByEye("in flower", "a full basket", "15");
        }
        for (BrowserContext phone : List.of(ilses, tams)) {
            inHand(phone);
            phone.setOffline(false);
            assertThat(section("Waiting for the line").getByRole(AriaRole.LISTITEM))
                    .hasCount(0);
            // Whoever is first is within the share of the stand.
            assertThat(section("Refused: put it right")).hasCount(phone == ilses ? 0 : 1);
        }
        List<?> sent = sightings(stand);
        org.assertj.core.api.Assertions.assertThat(sent).hasSize(before + 2);
        org.assertj.core.api.Assertions.assertThat(sent.stream().filter(today.substring(0, 10)::equals))
                .hasSizeGreaterThanOrEqualTo(2);
        // Each alone was within the share of the stand; together they are not, and nobody was asked about that yet.
        Locator refused = section("Refused: put it right");
        assertThat(refused.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Back to its form")))
                .hasCount(1);
        assertThat(refused).containsText("of the stand is taken this season");
        button("Back to its form").click();
        button("Next: how much").click();
        button("Next: look again").click();
        button("Next: record it").click();
        page.getByLabel(Pattern.compile("^Why you go on in spite of"))
                .first()
                .fill("we met on the way home and shared out");
        button("Record the harvest").click();
        assertThat(button("Record the harvest")).hasCount(0);
        go("/drying");
        assertThat(section("Picked, waiting for the rack")
                        .getByRole(AriaRole.LISTITEM)
                        .filter(new Locator.FilterOptions().setHasText("a full basket")))
                .hasCount(2);
    }

    /** Days on which a stage was noted. */
    private List<?> sightings(String stand) {
        return (List<?>) page.evaluate(
                "async (id) =>" + " (await (await fetch(`/api/field/stands/${id}/sightings`)).json()).map((s) => s.on)",
                stand);
    }
}
