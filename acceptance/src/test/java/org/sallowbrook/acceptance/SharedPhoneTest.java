package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** A phone that goes from hand to hand, its line that hangs, its clock that is put right, and the rack in the barn. */
public class SharedPhoneTest extends OnAPhone {

    private static final String LIMES = "The three limes";

    /** The device's clock runs a day fast until somebody puts it right. */
    private static final String FAST_UNTIL_PUT_RIGHT = """
            const Real = Date;
            const by = () => (localStorage.getItem('test.right') ? 0 : 86400000);
            globalThis.Date = class extends Real {
              constructor(...given) {
                if (given.length > 0) super(...given);
                else super(Real.now() + by());
              }
              static now() {
                return Real.now() + by();
              }
            };
            """;

    private Path profile;
    private BrowserContext phone;

    @Override
    public void signIn() {
        // Each test has a phone of its own.
    }

    @BeforeMethod
    public void aNewPhone() throws IOException {
        profile = Files.createTempDirectory("sallowbrook-shared");
        phone = phone(profile);
    }

    private void closeAndOpen() {
        phone.close();
        phone = phone(profile);
    }

    private Locator waiting() {
        return section("Waiting for the line").getByRole(AriaRole.LISTITEM);
    }

    private String standOpen() {
        return page.url().replaceFirst(".*/", "");
    }

    /** By whom a stage was noted at a stand, as whoever is signed in reads it. */
    @SuppressWarnings("unchecked")
    private List<Object> notedBy(String stand) {
        return (List<Object>) page.evaluate(
                "async (id) => (await (await fetch(`/api/field/stands/${id}/sightings`)).json()).map((s) => s.seenBy)",
                stand);
    }

    @Test
    public void aLineThatHangsIsALineThatIsGone() {
        readyAs("ilse");
        openStand(LIMES);
        int before = notedBy(standOpen()).size();
        List<Route> hanging = new ArrayList<>();
        page.route(Pattern.compile("/api/field/stands/[^/]+/sightings$"), route -> {
            if (route.request().method().equals("POST")) {
                hanging.add(route);
            } else {
                route.resume();
            }
        });
        button("First flowers").click();
        assertThat(main()).containsText("Kept on this device");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("No line to Sallowbrook");
        // Another form does not wait behind it.
        button("First leaves").click();
        assertThat(link("2 things in the notebook, not sent yet")).isVisible();
        page.unrouteAll();
        hanging.forEach(Route::abort);
        assertThat(page.getByText("in the notebook, not sent yet")).hasCount(0, after(40));
        Assertions.assertThat(notedBy(standOpen())).hasSize(before + 2);
    }

    private static com.microsoft.playwright.assertions.LocatorAssertions.HasCountOptions after(int seconds) {
        return new com.microsoft.playwright.assertions.LocatorAssertions.HasCountOptions()
                .setTimeout(seconds * 1_000.0);
    }

    /** What one wrote down is neither sent under another's name, nor shown to them, nor thrown away by them. */
    @Test
    public void whatOneWroteDownStaysTheirsWhoeverHasThePhone() {
        readyAs("ilse");
        openStand(LIMES);
        String stand = standOpen();
        List<Object> before = notedBy(stand);
        phone.setOffline(true);
        openStand(LIMES);
        button("First fruit").click();
        assertThat(main()).containsText("Kept on this device");
        closeAndOpen();
        go("/");
        signInAgain("tam");
        heading("Today").waitFor();
        assertThat(page.getByText("in the notebook, not sent yet")).hasCount(0);
        go("/field/notebook");
        assertThat(main()).containsText("Nothing waits here");
        Assertions.assertThat(notedBy(stand)).isEqualTo(before);
        button("Sign out").click();
        page.waitForURL(Pattern.compile("/sign-in"));
        signIn("ilse");
        assertThat(page.getByText("in the notebook, not sent yet")).hasCount(0);
        Assertions.assertThat(notedBy(stand)).hasSize(before.size() + 1).containsAll(before);
        Assertions.assertThat(notedBy(stand))
                .filteredOn("Tam Holm"::equals)
                .hasSameSizeAs(before.stream().filter("Tam Holm"::equals).toList());
    }

    @Test
    public void anotherHouseholdSeesNothingOfTheFirst() {
        readyAs("ilse");
        openStand(LIMES);
        String path = "/field/stands/" + standOpen();
        closeAndOpen();
        go("/");
        signInAgain("lantern");
        heading("Today").waitFor();
        go(path);
        assertThat(page.getByText("There is no such stand")).isVisible();
        go("/field/notebook");
        assertThat(section("On this device")).not().containsText("Stands 49");
        phone.setOffline(true);
        go(path);
        assertThat(page.getByText(LIMES)).hasCount(0);
    }

    /** A second tab signs in as another: the first page is no longer theirs, and says nothing in their name. */
    @Test
    public void aPageOfOneAccountDoesNothingForAnother() {
        readyAs("ilse");
        openStand(LIMES);
        String stand = standOpen();
        int before = notedBy(stand).size();
        page.evaluate("""
                async () => {
                  const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
                  await fetch('/api/session', { method: 'POST',
                    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                    body: JSON.stringify({ username: 'tam', password: 'merrow-demo' }) });
                }""");
        button("First flowers").click();
        heading("Today").waitFor();
        assertThat(page.getByText("Tam Holm").first()).isAttached();
        Assertions.assertThat(notedBy(stand)).hasSize(before);
        signIn("ilse");
        assertThat(page.getByText("in the notebook, not sent yet")).hasCount(0);
        Assertions.assertThat(notedBy(stand)).hasSize(before + 1);
    }

    @Test
    public void aClockPutRightOnTheWayIsAskedAbout() {
        phone.addInitScript(FAST_UNTIL_PUT_RIGHT);
        readyAs("ilse");
        String today = ((String) page.evaluate("async () => (await (await fetch('/api/session')).json()).now"))
                .substring(0, 10);
        openStand(LIMES);
        phone.setOffline(true);
        page.evaluate("localStorage.setItem('test.right', 'yes')");
        openStand(LIMES);
        button("First fruit").click();
        assertThat(main()).containsText("Kept on this device");
        go("/field/notebook");
        phone.setOffline(false);
        Locator asked = section("When was it?");
        assertThat(asked).containsText("clock was set since");
        asked.getByRole(AriaRole.BUTTON).first().click();
        assertThat(asked).hasCount(0);
        openStand(LIMES);
        List<?> days = (List<?>) page.evaluate(
                "async (id) => (await (await fetch(`/api/field/stands/${id}/sightings`)).json()).map((s) => s.on)",
                standOpen());
        Assertions.assertThat(days).filteredOn(today::equals).isNotEmpty();
    }

    /** The rack opens without a line, and a weight that is refused there is put right where it lies. */
    @Test
    public void aWeightInTheBarnIsKeptAndPutRight() {
        readyAs("ilse");
        String run = (String) ((Map<?, ?>)
                        page.evaluate(
                                "async () => (await (await fetch('/api/drying/runs')).json()).find((r) => r.status === 'DRYING')"))
                .get("id");
        phone.setOffline(true);
        go("/drying/" + run);
        field("Weight now").fill("4321");
        button("Record the weight").click();
        assertThat(main()).containsText("Kept on this device");
        go("/field/notebook");
        phone.setOffline(false);
        Locator refused =
                section("Refused: put it right").getByRole(AriaRole.LISTITEM).first();
        assertThat(refused).containsText("4321 g");
        accessible("a weight to be put right");
        refused.getByText("All that was written down").click();
        assertThat(refused).containsText("weight, g: 4321");
        refused.getByLabel("Weight", new Locator.GetByLabelOptions().setExact(true))
                .fill("0.2");
        refused.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Send it put right"))
                .click();
        assertThat(refused).containsText("0.2");
        refused.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Throw it away"))
                .click();
        button("Throw it away for good").click();
        assertThat(section("Refused: put it right")).hasCount(0);
    }
}
