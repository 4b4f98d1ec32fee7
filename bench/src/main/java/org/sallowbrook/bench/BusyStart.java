package org.sallowbrook.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A start on a busy machine, with seven pages that are opened at once as soon as it answers; then twenty people who read Today
 * and twenty who write, at once. Nobody may be answered with 5xx.
 */
final class BusyStart {

    /** Processes that do nothing but hold the processors. */
    private static final int LOAD = 8;

    private static final int AT_ONCE = 20;
    private static final int PICTURES = 200;
    private static final int ASKED = 30;
    private static final int SECONDS = Faults.times("SALLOWBROOK_BENCH_SECONDS", 30);

    private static final List<String> PAGES =
            List.of("/", "/field", "/drying", "/making", "/shelf", "/dosing", "/herbarium");

    private final Application app;

    BusyStart(Application app) {
        this.app = app;
    }

    String run() throws Exception {
        app.start();
        try (var chromium = Chromium.open()) {
            String session = Chromium.signedIn(chromium.browser(), app.base);
            app.stop();
            List<Process> load = load();
            String start;
            try {
                start = underLoad(chromium.browser(), session);
            } finally {
                load.forEach(Process::destroyForcibly);
            }
            String readers = readers();
            String writers = writers();
            String pictures = pictures();
            app.stop();
            return start + readers + writers + pictures;
        }
    }

    private static List<Process> load() throws IOException {
        List<Process> all = new ArrayList<>();
        for (int i = 0; i < LOAD; i++) {
            all.add(new ProcessBuilder("sh", "-c", "while :; do :; done").start());
        }
        return all;
    }

    /** The browser is one and takes part in the load, as it does on a household's only machine. */
    private String underLoad(Browser browser, String session) throws Exception {
        long begin = System.nanoTime();
        app.begin();
        awaitHealthy();
        long healthy = System.nanoTime();
        AtomicInteger answers = new AtomicInteger();
        AtomicInteger failed = new AtomicInteger();
        double today;
        try (BrowserContext seven = browser.newContext(new Browser.NewContextOptions()
                .setStorageState(session)
                .setServiceWorkers(ServiceWorkerPolicy.BLOCK))) {
            seven.setDefaultTimeout(120_000);
            seven.onResponse(r -> {
                answers.incrementAndGet();
                if (r.status() >= 500) {
                    failed.incrementAndGet();
                    System.out.println(r.status() + " " + r.url());
                }
            });
            List<Page> pages = new ArrayList<>();
            for (String path : PAGES) {
                Page page = seven.newPage();
                // Returns at once, so that all seven ask together.
                page.evaluate("url => { setTimeout(() => { location.href = url; }, 0); }", app.base + path);
                pages.add(page);
            }
            pages.get(0).locator("h1:has-text('Today')").first().waitFor();
            today = (System.nanoTime() - healthy) / 1e9;
            for (Page page : pages) {
                page.locator("main h1").first().waitFor();
            }
        }
        return String.format(
                Locale.ROOT,
                """

                ### Busy

                With %d processes that hold the processors (%d cores): healthy %.1f s after the start; seven pages opened at once at the first healthy answer: %d answers, of them %d of 5xx; Today stands %.1f s after it.
                """,
                LOAD,
                Runtime.getRuntime().availableProcessors(),
                (healthy - begin) / 1e9,
                answers.get(),
                failed.get(),
                today);
    }

    private void awaitHealthy() throws InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest health = HttpRequest.newBuilder(URI.create(app.base + "/actuator/health"))
                .build();
        while (true) {
            try {
                if (client.send(health, BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // Not there yet.
            }
            Thread.sleep(100);
        }
    }

    private String readers() throws InterruptedException {
        AtomicInteger answers = new AtomicInteger();
        AtomicInteger failed = new AtomicInteger();
        long until = System.nanoTime() + SECONDS * 1_000_000_000L;
        List<Thread> readers = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            Thread reader = new Thread(() -> {
                try {
                    Visitor visitor = Visitor.signIn(app.base, "ilse");
                    while (System.nanoTime() < until) {
                        int status = visitor.get("/api/calendar/today").statusCode();
                        answers.incrementAndGet();
                        if (status >= 500) {
                            failed.incrementAndGet();
                        }
                    }
                } catch (IOException e) {
                    failed.incrementAndGet();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
            reader.start();
            readers.add(reader);
        }
        for (Thread reader : readers) {
            reader.join();
        }
        return String.format(
                Locale.ROOT,
                "%nRight after it %d people read Today for %d s: %d answers, %d of 5xx or none.%n",
                AT_ONCE,
                SECONDS,
                answers.get(),
                failed.get());
    }

    private String writers() throws InterruptedException, SQLException {
        Writers writers = new Writers(app.base, AT_ONCE);
        Thread.sleep(SECONDS * 1000L);
        writers.stop();
        Writers.Found found = writers.found();
        return String.format(
                Locale.ROOT,
                "%n%d people write for %d s: %d acknowledged, %d answers of 5xx, %d lost, %d recorded twice.%n",
                AT_ONCE,
                SECONDS,
                writers.acknowledged.size(),
                writers.failed.get(),
                found.lost(),
                found.doubled());
    }

    /** Two hundred pictures of twelve megabytes come up lines of 20 kB a second, and somebody reads Today. */
    private String pictures() throws IOException, InterruptedException {
        Visitor visitor = Visitor.signIn(app.base, "ilse");
        String stand = visitor.get("/api/field/stands").body().replaceAll("(?s)^.*?\"id\":\"([^\"]+)\".*$", "$1");
        double alone = slowestOf(visitor);
        AtomicBoolean on = new AtomicBoolean(true);
        List<Thread> uploads = new ArrayList<>();
        for (int i = 0; i < PICTURES; i++) {
            Thread upload = new Thread(() -> trickle(visitor, stand, on));
            upload.start();
            uploads.add(upload);
        }
        Thread.sleep(3000);
        double beside = slowestOf(visitor);
        on.set(false);
        for (Thread upload : uploads) {
            upload.join();
        }
        return String.format(
                Locale.ROOT,
                "%nThe slowest of %d Todays: %.0f ms alone, %.0f ms while %d pictures of 12 MB come up at 20 kB a second"
                        + " each.%n",
                ASKED,
                alone,
                beside,
                PICTURES);
    }

    private static double slowestOf(Visitor visitor) throws IOException, InterruptedException {
        double slowest = 0;
        for (int i = 0; i < ASKED; i++) {
            long begin = System.nanoTime();
            if (visitor.get("/api/calendar/today").statusCode() != 200) {
                throw new IllegalStateException("Today is not there");
            }
            slowest = Math.max(slowest, (System.nanoTime() - begin) / 1e6);
        }
        return slowest;
    }

    private void trickle(Visitor visitor, String stand, AtomicBoolean on) {
        URI at = URI.create(app.base);
        try (Socket line = new Socket(at.getHost(), at.getPort())) {
            OutputStream out = line.getOutputStream();
            out.write(("POST /api/field/stands/" + stand + "/photos HTTP/1.1\r\nHost: localhost\r\nCookie: "
                            + visitor.cookieHeader() + "\r\nX-XSRF-TOKEN: " + visitor.token()
                            + "\r\nContent-Type: multipart/form-data; boundary=b\r\nContent-Length: 12000000\r\n\r\n"
                            + "--b\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.jpg\"\r\n"
                            + "Content-Type: image/jpeg\r\n\r\n")
                    .getBytes(StandardCharsets.US_ASCII));
            byte[] piece = new byte[4000];
            while (on.get()) {
                out.write(piece);
                Thread.sleep(200);
            }
        } catch (IOException | InterruptedException e) {
            System.out.println("a picture's line ended: " + e.getMessage());
        }
    }
}
