package org.sallowbrook.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Letters twice as large, set in the browser by whoever needs them: no view runs off its page, at the desk or on a phone. */
public class LargeTextTest extends InBrowser {

    /** What stands farther right than the page is wide. */
    private static final String RUNS_OFF = "() => { const wide = document.documentElement.clientWidth;"
            + " if (document.documentElement.scrollWidth <= wide + 1) return '';"
            + " return [...document.querySelectorAll('body *')]"
            + ".filter((e) => e.children.length === 0 && e.getBoundingClientRect().right > wide + 1).slice(0, 3)"
            + ".map((e) => e.tagName + ' ' + (e.textContent ?? '').slice(0, 40)).join('; ') || 'something' }";

    private BrowserContext large;

    @BeforeClass
    public void largeLetters() throws IOException {
        large = anotherPhone(Files.createTempDirectory("large"), "--blink-settings=defaultFontSize=32");
        page = large.pages().get(0);
        signIn("ilse");
    }

    @AfterClass(alwaysRun = true)
    public void small() {
        if (large != null) {
            large.close();
        }
    }

    @DataProvider
    public Object[][] pages() {
        return new Object[][] {{390, 844}, {1280, 800}};
    }

    @Test(dataProvider = "pages")
    public void nothingRunsOffThePage(int width, int height) {
        page.setViewportSize(width, height);
        assertThat(page.evaluate("() => getComputedStyle(document.documentElement).fontSize"))
                .isEqualTo("32px");
        List<String> off = new ArrayList<>();
        Stream<String> more = Stream.of(
                "/help",
                "/notes",
                "/field/walk",
                "/field/weather",
                "/field/ground",
                "/schools",
                "/household",
                "/household/phones",
                "/shelf/stock-take",
                "/basket");
        Stream<String> views = Stream.of(new ViewsTest().views()).map(v -> String.valueOf(v[0]));
        Stream.concat(views, more).forEach(view -> {
            go(view);
            page.locator("main h1").first().waitFor();
            // What stands on it, the other tests change: all it asked for is there.
            page.waitForLoadState(LoadState.NETWORKIDLE);
            page.waitForFunction("() => !document.body.innerText.includes('Reading the records')");
            String runs = String.valueOf(page.evaluate(RUNS_OFF));
            if (!runs.isEmpty()) {
                off.add(view + ": " + runs);
            }
        });
        assertThat(off).isEmpty();
        // The stove is read from two metres.
        go("/making");
        page.locator("main a[href*='/making/batches/']").first().click();
        page.waitForURL(url -> url.contains("/making/batches/"));
        page.navigate(page.url().replaceFirst("/kitchen$", "") + "/kitchen");
        page.locator("main h1").waitFor();
        assertThat(page.evaluate(RUNS_OFF)).isEqualTo("");
    }
}
