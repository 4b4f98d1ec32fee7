package org.sallowbrook.bench;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * Fifty clients on the tincture calculator of a running server, against an endpoint of the same server that parses the same
 * body and does nothing (profile {@code measure}); alternating runs, medians: docs/measurements.md, section http.
 *
 * <p>Needs: {@code SALLOWBROOK_PROFILES=demo,measure ./sallowbrook demo}.
 */
public final class HttpLoad {

    private static final int CLIENTS = 50;
    private static final int ROUNDS = 3;
    private static final Duration RUN = Duration.ofSeconds(30);
    private static final Duration WARM = Duration.ofSeconds(10);

    private static final String BODY = """
            {"herbs":[{"name":"meadowsweet","part":"TOPS","massG":200,"state":"FRESH","moisture":{"low":0.7,"high":0.8}}],
             "ratio":2,"waterCounts":false,"target":{"of":"FINAL","strengthPercent":45},
             "shelf":[{"name":"grain spirit","strengthPercent":96,"availableMl":2000,"open":true}]}""";

    private record Run(double perSecond, double p50Ms, double p99Ms, long failed) {}

    private final Visitor visitor;

    private HttpLoad(String base) throws IOException, InterruptedException {
        visitor = Visitor.signIn(base, "ilse");
    }

    private Run run(String path, Duration length) throws InterruptedException, ExecutionException {
        HttpRequest request = visitor.posting(path, BODY);
        long end = System.nanoTime() + length.toNanos();
        ExecutorService pool = Executors.newFixedThreadPool(CLIENTS);
        List<Future<List<Long>>> results = new ArrayList<>();
        for (int c = 0; c < CLIENTS; c++) {
            results.add(pool.submit(() -> {
                List<Long> times = new ArrayList<>();
                while (System.nanoTime() < end) {
                    long begin = System.nanoTime();
                    int status = visitor.client
                            .send(request, BodyHandlers.ofByteArray())
                            .statusCode();
                    times.add(status == 200 ? System.nanoTime() - begin : -1);
                }
                return times;
            }));
        }
        List<Long> all = new ArrayList<>();
        for (Future<List<Long>> result : results) {
            all.addAll(result.get());
        }
        pool.shutdown();
        long failed = all.stream().filter(t -> t < 0).count();
        long[] good = all.stream()
                .filter(t -> t >= 0)
                .mapToLong(Long::longValue)
                .sorted()
                .toArray();
        return new Run(
                good.length / (length.toMillis() / 1000.0),
                good[good.length / 2] / 1e6,
                good[(int) (good.length * 0.99)] / 1e6,
                failed);
    }

    private static double median(List<Run> runs, java.util.function.ToDoubleFunction<Run> of) {
        double[] sorted = runs.stream().mapToDouble(of).sorted().toArray();
        return sorted[sorted.length / 2];
    }

    private static String row(String what, List<Run> runs) {
        return String.format(
                Locale.ROOT,
                "| %s | %.0f | %.1f | %.1f | %d |%n",
                what,
                median(runs, Run::perSecond),
                median(runs, Run::p50Ms),
                median(runs, Run::p99Ms),
                runs.stream().mapToLong(Run::failed).sum());
    }

    public static void main(String[] args) throws Exception {
        String base = args.length > 0 && !args[0].isBlank() ? args[0] : "http://127.0.0.1:8480";
        HttpLoad load = new HttpLoad(base);
        String tincture = "/api/calculators/tincture";
        String nothing = "/api/calculators/tincture/nothing";
        load.run(nothing, WARM);
        load.run(tincture, WARM);
        List<Run> with = new ArrayList<>();
        List<Run> without = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            without.add(load.run(nothing, RUN));
            with.add(load.run(tincture, RUN));
        }
        double rate = median(without, Run::perSecond) / median(with, Run::perSecond);
        double p99 = median(with, Run::p99Ms) / median(without, Run::p99Ms);
        String text = "## Over HTTP\n\n`./sallowbrook bench http` against a running demo with the profile `measure`; "
                + CLIENTS
                + " clients on the same machine (" + Runtime.getRuntime().availableProcessors()
                + " cores for both sides), " + ROUNDS + " alternating runs of " + RUN.toSeconds()
                + " s each after warming up, medians. \"Nothing\" parses and checks the same body on the same server and"
                + " answers empty.\n\n"
                + "| endpoint | requests per second | median ms | p99 ms | failed |\n|---|---|---|---|---|\n"
                + row("tincture", with)
                + row("nothing", without)
                + String.format(
                        Locale.ROOT, "%nRatio: %.2f in throughput, %.2f in p99 (target 1.5 at most).%n", rate, p99);
        Measurements.write("http", text);
    }
}
