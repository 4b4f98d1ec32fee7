package org.sallowbrook.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.TimeoutError;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a person types is taken over or stays where it was typed, on every page with a form. */
public class TypedTest extends InBrowser {

    /** Pages on which something is typed, and what opens the form there: a button, or the first link that begins so. */
    @DataProvider
    public Object[][] forms() {
        return new Object[][] {
            {"/shelf", "I already have herb"},
            {"/shelf", "I already have spirit, oil and the like"},
            {"/dosing/direct/new", null},
            {"/making/tincture", null},
            {"/making/tea", null},
            {"/making/steeped", null},
            {"/making/syrup", null},
            {"/making/oil", null},
            {"/making/salve", null},
            {"/making/dry", null},
            {"/needs", null},
            {"/dosing/people/new", null},
            {"/dosing/new", null},
            {"/household", null},
            {"/making/reduce", null},
            {"/making/measures", null},
            {"/shelf/vessels", null},
            {"/making/percolation", null},
            {"/making/joined", null},
            {"/making/cream", null},
            {"/making/kept", null},
            {"/herbarium/new", "Add a look-alike"},
            {"/basket", null},
            {"/field", "Add a stand"},
            {"/field", "/field/stands/"},
            {"/drying", "Put on the rack"},
            {"/drying", "/drying/"},
            {"/shelf", "/shelf/0 How much is there"},
            {"/making", "/making/batches/"},
            {"/dosing", "/dosing/people/"},
        };
    }

    /**
     * Nonsense typed into each list and each figure of a page, and what saves pressed at once: it still stands there, nothing
     * else was done, and the page says so.
     */
    @Test(dataProvider = "forms")
    public void whatIsTypedStaysAtItsField(String path, String opens) {
        go(path);
        heading("").waitFor();
        if (opens != null) {
            open(opens);
        }
        Locator boxes = main().locator("input[role=combobox]:visible, input[inputmode=decimal]:visible");
        boxes.first().waitFor();
        String address = page.url();
        List<String> sent = new ArrayList<>();
        Consumer<Request> hears = r -> {
            if (!r.method().equals("GET") && !r.url().matches(".*(/calculators/|/check|/plan|/preview).*")) {
                sent.add(r.method() + " " + r.url() + " " + r.postData());
            }
        };
        page.onRequest(hears);
        List<String> lost = new ArrayList<>();
        int fields = boxes.count();
        for (int i = 0; i < fields && i < boxes.count(); i++) {
            Locator box = boxes.nth(i);
            String label = (String) box.evaluate("e => e.labels?.[0]?.textContent ?? e.getAttribute('aria-label')");
            box.fill("zzqx");
            Locator saves = box.locator("xpath=ancestor::*[.//button[@type='submit' or @data-kind='main']][1]")
                    .locator("button[type=submit], button[data-kind=main]")
                    .first();
            boolean pressed = saves.count() > 0 && saves.isEnabled();
            if (pressed) {
                // Where the page already refuses what stands there, the button can't be pressed any more.
                saves.click(new Locator.ClickOptions().setForce(true));
            }
            page.keyboard().press("Tab");
            Locator said = main().locator("[role=alert], [aria-invalid=true]").first();
            try {
                if (pressed || box.getAttribute("data-held") != null) {
                    said.waitFor(new Locator.WaitForOptions().setTimeout(3_000));
                }
            } catch (TimeoutError e) {
                lost.add(label + ": nothing is said");
            }
            if (!"zzqx".equals(box.inputValue())) {
                lost.add(label + ": is gone");
            }
            box.fill("");
            page.keyboard().press("Tab");
        }
        page.offRequest(hears);
        assertThat(lost).as("typed on " + path).isEmpty();
        assertThat(sent).as("sent from " + path).isEmpty();
        assertThat(page.url()).isEqualTo(address);
    }

    private void open(String opens) {
        if (!opens.startsWith("/")) {
            button(opens).first().click();
            return;
        }
        // "/shelf/0 How much is there": the first link that begins so, and then a button.
        String[] linkAndButton = opens.split(" ", 2);
        main().locator("a[href^='" + linkAndButton[0] + "']").first().click();
        page.waitForURL("**" + linkAndButton[0] + "*");
        heading("").waitFor();
        if (linkAndButton.length == 2) {
            button(linkAndButton[1]).first().click();
        }
    }
}
