package org.sallowbrook.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** The packaged application, started as the start command does it, and killed. */
final class Application {

    private static final Path JAR = Path.of("server", "target", "app", "sallowbrook-app.jar");

    final String base = "http://127.0.0.1:" + System.getenv("SALLOWBROOK_PORT");
    private final Path log;
    private Process process;

    Application(Path folder) {
        log = folder.resolve("faults.log");
    }

    /** The script's own server makes room for one that is killed again and again. */
    static void instead() throws InterruptedException {
        ProcessHandle.allProcesses()
                .filter(p ->
                        p.info().commandLine().orElse("").contains("sallowbrook-app.jar --spring.profiles.active=demo"))
                .forEach(ProcessHandle::destroy);
        Thread.sleep(3000);
    }

    /** Begins to start, and does not wait for it. */
    void begin() throws IOException {
        // With the archive of classes, as the start command does.
        process = new ProcessBuilder(
                        "java",
                        "-XX:+UseSerialGC",
                        "-Xmx256m",
                        "-XX:TieredStopAtLevel=1",
                        "-Xshare:auto",
                        "-XX:SharedArchiveFile=" + Path.of("server", "target", "app.jsa"),
                        "-jar",
                        JAR.toString(),
                        "--spring.profiles.active=demo")
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
    }

    /** Starts it, and waits until somebody is signed in. */
    Visitor start() throws IOException, InterruptedException {
        begin();
        return signedIn();
    }

    Visitor signedIn() throws IOException, InterruptedException {
        while (true) {
            try {
                return Visitor.signIn(base, "ilse");
            } catch (IOException | IllegalStateException e) {
                if (!process.isAlive()) {
                    throw new IllegalStateException("it stopped: " + Files.readString(log));
                }
                Thread.sleep(250);
            }
        }
    }

    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    void stop() throws InterruptedException {
        process.destroy();
        process.waitFor(20, TimeUnit.SECONDS);
    }
}
