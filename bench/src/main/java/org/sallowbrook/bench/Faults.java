package org.sallowbrook.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;

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

    private final String base = "http://127.0.0.1:" + System.getenv("SALLOWBROOK_PORT");
    private final Path folder = Path.of(System.getenv("SALLOWBROOK_BENCH_FOLDER"));
    private final Path jar = Path.of("server", "target", "app", "sallowbrook-app.jar");
    private final Random random = new Random(20261126);
    /** Acknowledged ids, and how often each was sent. */
    private final Map<UUID, Integer> acknowledged = new ConcurrentHashMap<>();

    private final Set<String> unclear = ConcurrentHashMap.newKeySet();
    private Process app;

    private static int times(String name, int usual) {
        String given = System.getenv(name);
        return given == null ? usual : Integer.parseInt(given);
    }

    public static void main(String[] args) throws Exception {
        new Faults().run();
    }

    private void run() throws Exception {
        // The script's own server makes room for one that is killed again and again.
        stopTheScripts();
        start();
        AtomicBoolean on = new AtomicBoolean(true);
        List<Thread> writers = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            Thread writer = new Thread(() -> write(on));
            writer.start();
            writers.add(writer);
        }
        long worst = 0;
        for (int kill = 0; kill < KILLS_OF_THE_APPLICATION; kill++) {
            Thread.sleep(200 + random.nextInt(1500));
            app.destroyForcibly().waitFor();
            long begin = System.nanoTime();
            start();
            worst = Math.max(worst, System.nanoTime() - begin);
        }
        int afterKills = acknowledged.size();
        System.out.println(KILLS_OF_THE_APPLICATION + " kills of the application: " + afterKills + " acknowledged");
        long recovery = 0;
        for (int kill = 0; kill < KILLS_OF_POSTGRES; kill++) {
            Thread.sleep(300 + random.nextInt(1500));
            postgres("kill");
            long begin = System.nanoTime();
            postgres("start");
            awaitWrite();
            recovery = Math.max(recovery, System.nanoTime() - begin);
        }
        System.out.println(KILLS_OF_POSTGRES + " kills of PostgreSQL");
        // Away for a while: said so, and back by itself.
        postgres("stop");
        HttpResponse<String> away = awayVisitor.get("/api/shelf/lots");
        String awayWords = away.statusCode() + " " + away.body();
        postgres("start");
        awaitWrite();
        String full = fullDisk();
        on.set(false);
        for (Thread writer : writers) {
            writer.join();
        }
        report(worst, recovery, awayWords, full, afterKills);
        app.destroy();
        app.waitFor(20, TimeUnit.SECONDS);
    }

    /** Fills the small file system the database lies on, until a write is refused; then makes room again. */
    private String fullDisk() throws IOException, InterruptedException {
        if (Files.getFileStore(folder).getTotalSpace() > MOST_MB * 1024L * 1024) {
            return "not tried: the folder is not on a small file system (root is needed to make one)";
        }
        Path filler = folder.resolve("filler");
        int before = acknowledged.size();
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
            words = refused;
            refused = "";
        }
        Files.delete(filler);
        int during = acknowledged.size() - before;
        long begin = System.nanoTime();
        if (!postgresRuns()) {
            postgres("start");
        }
        awaitWrite();
        return "after %d more writes: `%s`; %.1f s after there was room again the next write was kept"
                .formatted(during, words.replace("\n", " "), (System.nanoTime() - begin) / 1e9);
    }

    /** What the last write that was not kept was told. */
    private volatile String refused = "";

    private Visitor awayVisitor;

    private void stopTheScripts() throws IOException, InterruptedException {
        ProcessHandle.allProcesses()
                .filter(p ->
                        p.info().commandLine().orElse("").contains("sallowbrook-app.jar --spring.profiles.active=demo"))
                .forEach(ProcessHandle::destroy);
        Thread.sleep(3000);
    }

    private void start() throws IOException, InterruptedException {
        // With the archive of classes, as the start command does.
        app = new ProcessBuilder(
                        "java",
                        "-XX:+UseSerialGC",
                        "-XX:TieredStopAtLevel=1",
                        "-Xshare:auto",
                        "-XX:SharedArchiveFile=" + Path.of("server", "target", "app.jsa"),
                        "-jar",
                        jar.toString(),
                        "--spring.profiles.active=demo")
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("faults.log").toFile())
                .start();
        while (true) {
            try {
                awayVisitor = Visitor.signIn(base, "ilse");
                return;
            } catch (IOException | IllegalStateException e) {
                if (!app.isAlive()) {
                    throw new IllegalStateException("it stopped: " + Files.readString(folder.resolve("faults.log")));
                }
                Thread.sleep(250);
            }
        }
    }

    /** Sends each record until somebody says that it is there. */
    private void write(AtomicBoolean on) {
        Visitor visitor = null;
        UUID id = UUID.randomUUID();
        int sent = 0;
        while (on.get()) {
            try {
                if (visitor == null) {
                    visitor = Visitor.signIn(base, "ilse");
                }
                sent++;
                HttpResponse<String> answer = visitor.post("/api/shelf/supplies", """
                        {"id":"%s","form":"WAX","name":"wax %s","amount":10,"denatured":false,"open":false,"place":""}""".formatted(id, id));
                if (answer.statusCode() == 200) {
                    acknowledged.put(id, sent);
                    id = UUID.randomUUID();
                    sent = 0;
                } else if (answer.statusCode() == 401 || answer.statusCode() == 403) {
                    visitor = null;
                } else {
                    refused = answer.statusCode() + " " + answer.body();
                }
                if (answer.statusCode() >= 402 && !answer.body().contains("not saved")) {
                    unclear.add(answer.statusCode() + " " + answer.body());
                }
            } catch (IOException | IllegalStateException e) {
                visitor = null;
                pause();
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    /** As long as a person would wait at least, and so that those who wait do not take the time of the start. */
    private static void pause() {
        try {
            Thread.sleep(500);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void awaitWrite() throws InterruptedException {
        int before = acknowledged.size();
        for (int i = 0; i < 1200 && acknowledged.size() == before; i++) {
            Thread.sleep(50);
        }
        if (acknowledged.size() == before) {
            throw new IllegalStateException("nothing was written for a minute");
        }
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

    private void report(long worst, long recovery, String away, String full, int afterKills)
            throws SQLException, IOException {
        Set<UUID> there = new HashSet<>();
        int doubled = 0;
        try (Connection db = DriverManager.getConnection(
                        System.getenv("SALLOWBROOK_DB_URL"),
                        System.getenv("SALLOWBROOK_DB_USER"),
                        System.getenv("SALLOWBROOK_DB_PASSWORD"));
                Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select name, count(*) from lot where name like 'wax %' group by name")) {
            while (r.next()) {
                there.add(UUID.fromString(r.getString(1).substring(4)));
                doubled += r.getInt(2) > 1 ? 1 : 0;
            }
        }
        long lost =
                acknowledged.keySet().stream().filter(id -> !there.contains(id)).count();
        long retried = acknowledged.values().stream().filter(n -> n > 1).count();
        String text = String.format(
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
                acknowledged.size() - afterKills,
                acknowledged.size(),
                retried,
                lost,
                doubled,
                worst / 1e9,
                recovery / 1e9,
                away.replace("\n", " "),
                full,
                unclear.size());
        Measurements.write("faults", text);
        unclear.stream().limit(5).forEach(System.out::println);
        if (lost > 0 || doubled > 0) {
            throw new IllegalStateException("lost " + lost + ", doubled " + doubled);
        }
    }
}
