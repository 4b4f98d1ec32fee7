package org.sallowbrook.acceptance;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/**
 * The packaged application as a process of its own, with demo data, on the throwaway database that ./sallowbrook test
 * made. With -Dsallowbrook.url it uses one that runs already.
 */
final class Application {

    private final Process process;
    private final String url;
    private final Path log;
    private final int joining;

    private Application(Process process, String url, Path log, int joining) {
        this.joining = joining;
        this.process = process;
        this.url = url;
        this.log = log;
    }

    String url() {
        return url;
    }

    /** Where a phone begins that joins the house. */
    String joining() {
        return "http://127.0.0.1:" + joining + "/";
    }

    static Application start() throws IOException, InterruptedException {
        String running = System.getProperty("sallowbrook.url", "");
        if (!running.isEmpty()) {
            return new Application(null, running, null, 0);
        }
        String database = System.getenv("SALLOWBROOK_TEST_DB");
        if (database == null) {
            throw new IllegalStateException("run ./sallowbrook test: it starts the database these tests need");
        }
        int port = freePort();
        Path log = Files.createTempFile("sallowbrook-acceptance", ".log");
        ProcessBuilder builder = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-jar",
                Path.of("..", "server", "target", "sallowbrook-app.jar").toString(),
                "--spring.profiles.active=demo");
        builder.environment().put("SALLOWBROOK_DB_URL", database + "/acceptance");
        builder.environment().put("SALLOWBROOK_PORT", String.valueOf(port));
        // As in a house, but on this machine alone.
        int joining = freePort();
        builder.environment().put("SALLOWBROOK_HOME", "true");
        builder.environment().put("SALLOWBROOK_HOME_ADDRESS", "127.0.0.1");
        builder.environment().put("SALLOWBROOK_HOME_PORT", String.valueOf(freePort()));
        builder.environment().put("SALLOWBROOK_HOME_PLAIN_PORT", String.valueOf(joining));
        builder.environment()
                .put(
                        "SALLOWBROOK_HOME_FOLDER",
                        Files.createTempDirectory("sallowbrook-house")
                                .resolve("home")
                                .toString());
        builder.redirectErrorStream(true).redirectOutput(log.toFile());
        Application application = new Application(builder.start(), "http://127.0.0.1:" + port, log, joining);
        application.awaitReady();
        return application;
    }

    private void awaitReady() throws IOException, InterruptedException {
        HttpClient http = HttpClient.newHttpClient();
        HttpRequest health =
                HttpRequest.newBuilder(URI.create(url + "/actuator/health")).build();
        for (int tries = 0; tries < 240; tries++) {
            try {
                if (http.send(health, HttpResponse.BodyHandlers.ofString()).statusCode() == 200) {
                    return;
                }
            } catch (IOException e) {
                // Not listening yet.
            }
            // Waiting for a process to come up is polling, not a guess at how long it takes.
            if (process.waitFor(500, TimeUnit.MILLISECONDS)) {
                throw new IllegalStateException("the application stopped:\n" + Files.readString(log));
            }
        }
        throw new IllegalStateException("the application did not come up:\n" + Files.readString(log));
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    void close() throws IOException, InterruptedException {
        if (process != null) {
            process.destroy();
            if (!process.waitFor(30, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
            Files.deleteIfExists(log);
        }
    }
}
