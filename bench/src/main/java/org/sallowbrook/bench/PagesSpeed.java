package org.sallowbrook.bench;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * What a browser has to do for the main views of a running server: bytes it fetches, how long the processor is held by one
 * task, how far things jump, and when the view can be used, with the processor as it is and four times slower. In the
 * machine's own Chromium, each view in a browser that knows nothing: docs/measurements.md, section pages.
 *
 * <p>Needs {@code ./sallowbrook demo}, and Chromium in /usr/bin.
 */
public final class PagesSpeed {

    private static final int SLOWER = 4;
    private static final int TIMES = 3;

    /** A view, and what stands on it when it can be used. */
    private record View(String name, String path, String usable, boolean phone) {}

    private static final List<View> VIEWS = List.of(
            new View("Today", "/", "h1:has-text('Today')", false),
            new View("Today, phone", "/", "h1:has-text('Today')", true),
            new View("Field", "/field", "main a[href^='/field/stands/']", false),
            new View("Field, phone", "/field", "main a[href^='/field/stands/']", true),
            new View("Rack", "/drying", "main a[href^='/drying/']", false),
            new View("Shelf", "/shelf", "main a[href^='/shelf/']", false),
            new View("Bench", "/making", "main a[href^='/making/']", false),
            new View("Tincture", "/making/tincture", "main :text('Pressed yield')", false),
            new View("People", "/dosing", "main a[href^='/dosing/']", false),
            new View("Trace", "/tracing", "main h1", false),
            new View("Herbarium", "/herbarium", "main a[href^='/herbarium/']", false),
            new View("A plant", "/herbarium/meadowsweet", "main :text('Parts and doses')", false),
            new View("Told apart", "/herbarium/ramsons/compare?stage=FLOWERING", "main :text('decisive')", false),
            new View("By need", "/needs", "main h1", false),
            new View("Something is wrong, phone", "/help", "main h1", true));

    /** Watches from the first moment on. */
    private static final String WATCH = """
            window.seen = { shift: 0, longest: 0 };
            new PerformanceObserver((l) => {
              for (const e of l.getEntries()) if (!e.hadRecentInput) window.seen.shift += e.value;
            }).observe({ type: 'layout-shift', buffered: true });
            new PerformanceObserver((l) => {
              for (const e of l.getEntries()) window.seen.longest = Math.max(window.seen.longest, e.duration);
            }).observe({ type: 'longtask', buffered: true });
            """;

    private record Seen(double usableMs, double longestMs, double shift) {}

    private final String base;
    private final Browser browser;
    private final String session;

    private PagesSpeed(String base, Browser browser) {
        this.base = base;
        this.browser = browser;
        session = Chromium.signedIn(browser, base);
    }

    private Seen open(View view, int slower) {
        try (BrowserContext fresh = browser.newContext(new Browser.NewContextOptions()
                .setStorageState(session)
                .setServiceWorkers(ServiceWorkerPolicy.BLOCK)
                .setViewportSize(view.phone() ? 390 : 1280, view.phone() ? 844 : 800))) {
            fresh.addInitScript(WATCH);
            Page page = fresh.newPage();
            CDPSession devtools = fresh.newCDPSession(page);
            JsonObject rate = new JsonObject();
            rate.addProperty("rate", slower);
            devtools.send("Emulation.setCPUThrottlingRate", rate);
            long begin = System.nanoTime();
            page.navigate(base + view.path());
            page.locator(view.usable()).first().waitFor();
            double usable = (System.nanoTime() - begin) / 1e6;
            page.waitForLoadState(LoadState.NETWORKIDLE);
            Map<?, ?> seen = (Map<?, ?>) page.evaluate("() => window.seen");
            return new Seen(usable, number(seen.get("longest")), number(seen.get("shift")));
        }
    }

    private static double number(Object value) {
        return ((Number) value).doubleValue();
    }

    private Seen middle(View view, int slower) {
        List<Seen> seen = new ArrayList<>();
        for (int i = 0; i < TIMES; i++) {
            seen.add(open(view, slower));
        }
        return new Seen(
                seen.stream().mapToDouble(Seen::usableMs).sorted().toArray()[TIMES / 2],
                seen.stream().mapToDouble(Seen::longestMs).sorted().toArray()[TIMES / 2],
                seen.stream().mapToDouble(Seen::shift).max().orElse(0));
    }

    /** What the files named in one take on the line, packed as the server packs them. */
    private static long bytes(String base, String in, String pattern) throws IOException, InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        String text = client.send(HttpRequest.newBuilder(URI.create(base + in)).build(), BodyHandlers.ofString())
                .body();
        long all = 0;
        for (String file : new TreeSet<>(Pattern.compile(pattern)
                .matcher(text)
                .results()
                .map((MatchResult r) -> r.group(1))
                .toList())) {
            all += client.send(
                            HttpRequest.newBuilder(URI.create(base + "/" + file))
                                    .header("Accept-Encoding", "gzip")
                                    .build(),
                            BodyHandlers.ofByteArray())
                    .body()
                    .length;
        }
        return all;
    }

    /** @param args where it runs; without it the demo's own address */
    public static void main(String[] args) throws IOException, InterruptedException {
        String base = args.length > 0 ? args[0] : "http://127.0.0.1:8480";
        StringBuilder table = new StringBuilder();
        double shift = 0;
        double longest = 0;
        try (Chromium chromium = Chromium.open()) {
            PagesSpeed pages = new PagesSpeed(base, chromium.browser());
            for (View view : VIEWS) {
                Seen plain = pages.middle(view, 1);
                Seen slow = pages.middle(view, SLOWER);
                shift = Math.max(shift, Math.max(plain.shift(), slow.shift()));
                longest = Math.max(longest, plain.longestMs());
                table.append(String.format(
                        Locale.ROOT,
                        "| %s | %.0f | %.0f | %.0f | %.0f | %.3f |%n",
                        view.name(),
                        plain.usableMs(),
                        plain.longestMs(),
                        slow.usableMs(),
                        slow.longestMs(),
                        Math.max(plain.shift(), slow.shift())));
            }
        }
        long device = bytes(base, "/sw.js", "url:\"([^\"]+)\"");
        long first = bytes(base, "/", "\"/(assets/[^\"]+\\.js)\"");
        Measurements.write(
                "pages",
                String.format(
                        Locale.ROOT,
                        "## Pages%n%n`./sallowbrook bench pages` against a running demo, in Chromium on the same machine"
                                + " (%d cores for all of it); each view opened by its address in a browser that knows"
                                + " nothing, median of %d, of the shift the worst.%n%n"
                                + "| view | usable, ms | longest task, ms | usable %d times slower | longest task then |"
                                + " layout shift |%n|---|---|---|---|---|---|%n%s%n"
                                + "Laid down on the device at the first visit: %.0f kB (500 at most); scripts that the"
                                + " first page asks for: %.0f kB. The longest task: %.0f ms (200 at most); the worst"
                                + " shift: %.3f (0.1 at most).%n",
                        Runtime.getRuntime().availableProcessors(),
                        TIMES,
                        SLOWER,
                        table,
                        device / 1000.0,
                        first / 1000.0,
                        longest,
                        shift));
    }
}
