package org.sallowbrook.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * Breaks things while somebody writes: the application killed, PostgreSQL killed, the database away and back, the disk full. Every write
 * that was acknowledged must be there once, whatever was retried: docs/measurements.md, section faults.
 *
 * <p>Started by {@code ./sallowbrook bench faults}, on a throwaway database that writes to disk as a household's does.
 */
public final class Faults {

    private static final int KILLS_OF_THE_APPLICATION = times("SALLOWBROOK_BENCH_KILLS", 100);
    private static final int KILLS_OF_POSTGRES = times("SALLOWBROOK_BENCH_DATABASE_KILLS", 20);
    private static final int MOST_MB = 2048;
    private static final int WRITERS = 3;

    private final Path folder = Path.of(System.getenv("SALLOWBROOK_BENCH_FOLDER"));
    private final Random random = new Random(20261126);
    private final Application app = new Application(folder);

    static int times(String name, int usual) {
        String given = System.getenv(name);
        return given == null ? usual : Integer.parseInt(given);
    }

    public static void main(String[] args) throws Exception {
        Application.instead();
        Faults faults = new Faults();
        String killed = faults.run();
        String busy = new BusyStart(faults.app).run();
        Measurements.write("faults", killed + "\n" + busy);
        String cut = new CutShort().run();
        Measurements.write("faults", killed + "\n" + busy + "\n" + cut);
    }

    private String run() throws Exception {
        Visitor reader = app.start();
        Writers writers = new Writers(app.base, WRITERS);
        long worst = 0;
        for (int kill = 0; kill < KILLS_OF_THE_APPLICATION; kill++) {
            Thread.sleep(200 + random.nextInt(1500));
            app.kill();
            long begin = System.nanoTime();
            reader = app.start();
            worst = Math.max(worst, System.nanoTime() - begin);
        }
        int afterKills = writers.acknowledged.size();
        System.out.println(KILLS_OF_THE_APPLICATION + " kills of the application: " + afterKills + " acknowledged");
        long recovery = 0;
        for (int kill = 0; kill < KILLS_OF_POSTGRES; kill++) {
            Thread.sleep(300 + random.nextInt(1500));
            postgres("kill");
            long begin = System.nanoTime();
            postgres("start");
            writers.awaitWrite();
            recovery = Math.max(recovery, System.nanoTime() - begin);
        }
        System.out.println(KILLS_OF_POSTGRES + " kills of PostgreSQL");
        // Away for a while: said so, and back by itself.
        postgres("stop");
        HttpResponse<String> away = reader.get("/api/shelf/lots");
        String awayWords = away.statusCode() + " " + away.body();
        postgres("start");
        writers.awaitWrite();
        String full = fullDisk(writers);
        writers.stop();
        app.stop();
        return report(writers, worst, recovery, awayWords, full, afterKills);
    }

    /** Fills the small file system the database lies on, until a write is refused; then makes room again. */
    private String fullDisk(Writers writers) throws IOException, InterruptedException {
        if (Files.getFileStore(folder).getTotalSpace() > MOST_MB * 1024L * 1024) {
            return "not tried: the folder is not on a small file system (root is needed to make one)";
        }
        Path filler = folder.resolve("filler");
        int before = writers.acknowledged.size();
        try (var out = Files.newOutputStream(filler)) {
            byte[] block = new byte[1 << 16];
            while (true) {
                out.write(block);
            }
        } catch (IOException full) {
            // That is what was wanted.
        }
        String words = "";
        for (int i = 0; i < 600 && words.isEmpty(); i++) {
            Thread.sleep(100);
            words = writers.refused;
            writers.refused = "";
        }
        Files.delete(filler);
        int during = writers.acknowledged.size() - before;
        long begin = System.nanoTime();
        if (!postgresRuns()) {
            postgres("start");
        }
        writers.awaitWrite();
        return "after %d more writes: `%s`; %.1f s after there was room again the next write was kept"
                .formatted(during, words.replace("\n", " "), (System.nanoTime() - begin) / 1e9);
    }

    private boolean postgresRuns() throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        if (System.getProperty("user.name").equals("root")) {
            command.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        command.addAll(List.of(
                System.getenv("SALLOWBROOK_PG_BIN") + "/pg_ctl",
                "-D",
                folder.resolve("cluster").toString(),
                "status"));
        return new ProcessBuilder(command)
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor()
                == 0;
    }

    private void postgres(String what) throws IOException, InterruptedException {
        Path data = folder.resolve("cluster");
        String port = System.getenv("SALLOWBROOK_DB_URL").replaceAll(".*:(\\d+)/.*", "$1");
        List<String> command = new ArrayList<>();
        if (System.getProperty("user.name").equals("root")) {
            command.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        String control = System.getenv("SALLOWBROOK_PG_BIN") + "/pg_ctl";
        switch (what) {
            case "kill" ->
                command.addAll(List.of(
                        "kill",
                        "-9",
                        Files.readAllLines(data.resolve("postmaster.pid")).get(0)));
            case "stop" -> command.addAll(List.of(control, "-D", data.toString(), "-m", "fast", "-w", "stop"));
            default ->
                command.addAll(List.of(
                        "setsid",
                        control,
                        "-D",
                        data.toString(),
                        "-l",
                        folder.resolve("postgres.log").toString(),
                        "-o",
                        "-h 127.0.0.1 -p " + port + " -k " + folder.resolve("socket"),
                        "-w",
                        "-t",
                        "60",
                        "start"));
        }
        for (int tries = 0; tries < 100; tries++) {
            int code = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start()
                    .waitFor();
            if (code == 0) {
                return;
            }
            // After a kill the old server's children need a moment to go.
            Thread.sleep(100);
        }
        throw new IllegalStateException("PostgreSQL would not " + what);
    }

    private static String report(Writers writers, long worst, long recovery, String away, String full, int afterKills)
            throws SQLException {
        Writers.Found found = writers.found();
        int all = writers.acknowledged.size();
        writers.unclear.stream().limit(5).forEach(System.out::println);
        if (found.lost() > 0 || found.doubled() > 0) {
            throw new IllegalStateException("lost " + found.lost() + ", doubled " + found.doubled());
        }
        return String.format(
                Locale.ROOT,
                """
                ## Faults

                `./sallowbrook bench faults`: %d writers, each sending a record until it is acknowledged.

                | what | how often | acknowledged | lost | recorded twice |
                |---|---|---|---|---|
                | application killed (SIGKILL) | %d | %d | | |
                | PostgreSQL killed (SIGKILL), then away and back | %d | %d | | |
                | all | | %d, of them %d sent more than once | %d | %d |

                Longest until signed in again after a kill of the application, its start included: %.1f s; until the next write after a kill of PostgreSQL: %.1f s. With the database away: `%s`. On a full disk %s. Answers to a failed write that did not say "not saved": %d.
                """,
                WRITERS,
                KILLS_OF_THE_APPLICATION,
                afterKills,
                KILLS_OF_POSTGRES,
                all - afterKills,
                all,
                writers.acknowledged.values().stream().filter(n -> n > 1).count(),
                found.lost(),
                found.doubled(),
                worst / 1e9,
                recovery / 1e9,
                away.replace("\n", " "),
                full,
                writers.unclear.size());
    }
}
