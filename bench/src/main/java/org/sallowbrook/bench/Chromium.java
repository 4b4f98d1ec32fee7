package org.sallowbrook.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** The machine's own Chromium, without a window. */
record Chromium(Playwright playwright, Browser browser) implements AutoCloseable {

    static Chromium open() {
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        return new Chromium(
                playwright,
                playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setChromiumSandbox(false)
                                .setArgs(List.of("--disable-gpu"))));
    }

    /** What a context starts from when Ilse is signed in. */
    static String signedIn(Browser browser, String base) {
        try (BrowserContext in = browser.newContext()) {
            Page page = in.newPage();
            page.navigate(base + "/sign-in");
            page.fill("input[autocomplete=username]", "ilse");
            page.fill("input[type=password] >> nth=0", "merrow-demo");
            page.click("button:has-text('Sign in')");
            page.waitForURL(base + "/");
            return in.storageState();
        }
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }
}
