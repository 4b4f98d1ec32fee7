package org.sallowbrook.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Comparator;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * {@code ./sallowbrook demo} for the first time, cut short by the power at ten moments spread over it. The next start must come
 * to a whole house: never to half of one that calls itself ready.
 */
final class CutShort {

    private static final int MOMENTS = Faults.times("SALLOWBROOK_BENCH_CUTS", 10);
    private static final String PORT = "8497";
    private static final String BASE = "http://127.0.0.1:" + PORT;

    private final Path data;

    /** By itself: the small disk that the other faults fill is too small for a demo. */
    CutShort() throws IOException {
        Path folder = Files.createTempDirectory(
                "sallowbrook-cut", PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwxr-xr-x")));
        data = folder.resolve("data");
    }

    String run() throws IOException, InterruptedException {
        clear();
        long begin = System.nanoTime();
        Process first = demo();
        String whole = house(first);
        double seconds = (System.nanoTime() - begin) / 1e9;
        powerOff(first);
        int came = 0;
        double worst = 0;
        for (int i = 0; i < MOMENTS; i++) {
            clear();
            Process cut = demo();
            cut.waitFor((long) (seconds * 1000 * (i + 0.5) / MOMENTS), TimeUnit.MILLISECONDS);
            powerOff(cut);
            long again = System.nanoTime();
            Process next = demo();
            String found = house(next);
            worst = Math.max(worst, (System.nanoTime() - again) / 1e9);
            powerOff(next);
            System.out.printf("cut short after %.1f s: %s%n", seconds * (i + 0.5) / MOMENTS, found);
            came += found.equals(whole) ? 1 : 0;
        }
        clear();
        if (came < MOMENTS) {
            throw new IllegalStateException("only " + came + " of " + MOMENTS + " came to a whole house");
        }
        return String.format(Locale.ROOT, """
                ### The first start cut short

                `./sallowbrook demo` takes %.1f s where everything is built; cut short by killing all of its processes at %d moments spread over it, the next start came to the whole house (%s) %d times, in %.1f s at most.
                """, seconds, MOMENTS, whole, came, worst);
    }

    private Process demo() throws IOException {
        Files.createDirectories(data);
        ProcessBuilder builder = new ProcessBuilder("./sallowbrook", "demo")
                .redirectErrorStream(true)
                .redirectOutput(data.resolveSibling("cut.log").toFile());
        builder.environment().put("SALLOWBROOK_DATA", data.toString());
        builder.environment().put("SALLOWBROOK_PORT", PORT);
        // Of the throwaway server this runs beside.
        builder.environment().keySet().removeIf(k -> k.startsWith("SALLOWBROOK_DB") || k.equals("SALLOWBROOK_PG_PORT"));
        return builder.start();
    }

    /** What stands in it, once it says that it is ready. */
    private String house(Process script) throws IOException, InterruptedException {
        while (true) {
            if (!script.isAlive()) {
                throw new IllegalStateException("it stopped: " + Files.readString(data.resolveSibling("cut.log")));
            }
            if (Files.readString(data.resolveSibling("cut.log")).contains("is ready at")) {
                break;
            }
            Thread.sleep(250);
        }
        Visitor visitor = Visitor.signIn(BASE, "ilse");
        return count(visitor, "/api/field/stands") + " stands, " + count(visitor, "/api/shelf/lots") + " lots, "
                + count(visitor, "/api/people") + " people";
    }

    private static int count(Visitor visitor, String path) throws IOException, InterruptedException {
        return visitor.get(path).body().split("\"id\":", -1).length - 1;
    }

    /** Everything of it dies at once, as when the power goes. */
    private void powerOff(Process script) throws IOException, InterruptedException {
        Stream.concat(script.descendants(), ProcessHandle.allProcesses().filter(this::ours))
                .toList()
                .forEach(ProcessHandle::destroyForcibly);
        script.destroyForcibly().waitFor();
        // What was begun between the two looks.
        Stream<ProcessHandle> left = ProcessHandle.allProcesses().filter(this::ours);
        left.forEach(ProcessHandle::destroyForcibly);
        Thread.sleep(500);
    }

    private boolean ours(ProcessHandle process) {
        Path of = Path.of("/proc", Long.toString(process.pid()));
        try {
            return Files.readString(of.resolve("cmdline")).contains(data.toString())
                    || Files.readString(of.resolve("environ")).contains("SALLOWBROOK_DATA=" + data);
        } catch (IOException gone) {
            return false;
        }
    }

    private void clear() throws IOException {
        if (Files.exists(data)) {
            try (Stream<Path> all = Files.walk(data)) {
                all.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
            }
        }
    }
}
