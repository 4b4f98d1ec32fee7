package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import org.testng.annotations.Test;

/** What is due in somebody's own calendar: at an address that can be ended, and as a file. */
public class InCalendarTest extends InBrowser {

    /** The address is read by whoever has it, signed in or not, and by nobody once it was ended. */
    @Test
    public void anAddressIsMadeReadAndEnded() {
        go("/");
        link("In your calendar").click();
        heading("In your calendar").waitFor();
        accessible("in your calendar");
        button("Make an address").click();
        String address = field("Subscribe to this in your calendar program").inputValue();
        assertTrue(address.matches("http://[^/]+/api/calendar/feed/[A-Za-z0-9_-]{43}"), address);
        APIRequestContext calendar = page.context().browser().newContext().request();
        String read = calendar.get(address).text();
        assertTrue(read.startsWith("BEGIN:VCALENDAR"), read);
        assertTrue(read.contains("SUMMARY:Shake"), read);
        assertFalse(read.contains("Meadowsweet"), read);
        assertThat(section("Addresses that stand")).containsText("not read yet");
        accessible("in your calendar, with an address");
        section("Addresses that stand").getByRole(AriaRole.BUTTON).first().click();
        assertThat(section("Addresses that stand")).containsText("None.");
        assertEquals(calendar.get(address).status(), 404);
        calendar.dispose();
    }

    @Test
    public void theFileHoldsWhatWasChosen() throws Exception {
        go("/calendar");
        page.getByText("Say plants, people and places in the titles").click();
        page.getByText("Bench: shaking, pressing, filling").click();
        Download file = page.waitForDownload(() -> link("As a file").click());
        assertEquals(file.suggestedFilename(), "sallowbrook.ics");
        String read = Files.readString(file.path());
        assertTrue(read.contains("Meadowsweet"), read);
        assertFalse(read.contains("CATEGORIES:SHAKE"), read);
    }
}
