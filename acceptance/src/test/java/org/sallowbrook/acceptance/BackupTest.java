package org.sallowbrook.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.testng.SkipException;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** What the script backs up while the application writes, it restores elsewhere, and over nothing. */
public class BackupTest extends InBrowser {

    private record Said(int status, String words) {}

    private Path work;

    @BeforeClass
    public void folder() throws IOException {
        if (System.getenv("SALLOWBROOK_TEST_FOLDER") == null) {
            throw new SkipException("only where ./sallowbrook test made the database");
        }
        work = Files.createTempDirectory("sallowbrook-backup");
        // The database's own user must be able to reach its folder.
        Files.setPosixFilePermissions(work, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @AfterClass(alwaysRun = true)
    public void tidy() throws IOException, InterruptedException {
        if (work != null) {
            new ProcessBuilder("rm", "-rf", work.toString()).start().waitFor();
        }
    }

    private Said script(Map<String, String> environment, String... command) throws IOException, InterruptedException {
        List<String> words = new java.util.ArrayList<>(List.of("./sallowbrook"));
        words.addAll(List.of(command));
        return said(environment, words.toArray(String[]::new));
    }

    private Said said(Map<String, String> environment, String... words) throws IOException, InterruptedException {
        Path said = Files.createTempFile("said", ".txt");
        ProcessBuilder builder =
                new ProcessBuilder(words).directory(Path.of("..").toFile());
        builder.environment().putAll(environment);
        builder.redirectErrorStream(true).redirectOutput(said.toFile());
        Process process = builder.start();
        assertThat(process.waitFor(180, TimeUnit.SECONDS)).isTrue();
        return new Said(process.exitValue(), Files.readString(said));
    }

    private static Map<String, String> source() {
        return Map.of(
                "SALLOWBROOK_FOLDER", System.getenv("SALLOWBROOK_TEST_FOLDER"), "SALLOWBROOK_DB_NAME", "acceptance");
    }

    @Test
    public void aBackupIsRestoredWholeAndOverNothing() throws IOException, InterruptedException {
        Path file = work.resolve("records.backup");
        Said made = script(source(), "backup", file.toString());
        assertThat(made.status()).as(made.words()).isZero();
        assertThat(script(source(), "backup", file.toString()).words()).contains("is there already");

        Path place = work.resolve("new");
        Map<String, String> there = Map.of("SALLOWBROOK_FOLDER", place.toString());
        Said restored = script(there, "restore", file.toString());
        assertThat(restored.status()).as(restored.words()).isZero();
        Said over = script(there, "restore", file.toString());
        assertThat(over.status()).isNotZero();
        assertThat(over.words()).contains("there are records");
        // The power went: its database left a note, and the number in it is another process's by now.
        Files.writeString(
                place.resolve("cluster").resolve("postmaster.pid"),
                ProcessHandle.current().pid() + "\n" + place.resolve("cluster") + "\n0\n25499\n\n127.0.0.1\n\nready\n");
        // Backed up again from there it holds the same records, pictures and accounts as before.
        Path second = work.resolve("again.backup");
        Said again = script(there, "backup", second.toString());
        assertThat(again.status()).as(again.words()).isZero();
        assertThat(tables(second)).isEqualTo(tables(file)).contains("account").contains("photo");
    }

    /** What the night does: a copy, in a second place where there is one, and one restored on trial. */
    private Said night(Path place, Path too) throws IOException, InterruptedException {
        Map<String, String> environment = new java.util.HashMap<>(source());
        environment.put("SALLOWBROOK_COPIES_TOO", too.toString());
        environment.put("NIGHT", place.toString());
        return said(
                environment, "bash", "-c", ". ./sallowbrook; pg_start \"$SALLOWBROOK_FOLDER\"; dir=$NIGHT; nightly");
    }

    @Test
    public void aNightsCopyGoesToAStickTooAndIsReadBack() throws IOException, InterruptedException {
        Path place = Files.createDirectory(work.resolve("night"));
        Path stick = work.resolve("stick");
        // The stick is out: nothing is written in its stead.
        Said out = night(place, stick);
        assertThat(out.status()).as(out.words()).isZero();
        assertThat(stick).doesNotExist();
        assertThat(place.resolve("copies").resolve("tried")).exists();
        assertThat(place.resolve("copies").resolve("elsewhere")).doesNotExist();
        Files.createDirectory(stick);
        Said in = night(place, stick);
        assertThat(in.status()).as(in.words()).isZero();
        Path copy;
        try (var files = Files.list(place.resolve("copies"))) {
            copy = files.filter(f -> f.toString().endsWith(".backup"))
                    .findFirst()
                    .orElseThrow();
        }
        assertThat(stick.resolve(copy.getFileName())).hasSameBinaryContentAs(copy);
        assertThat(place.resolve("copies").resolve("elsewhere")).exists();
        // A month on it is tried again, and one that the disk has spoilt is said to be.
        Files.delete(place.resolve("copies").resolve("tried"));
        byte[] spoilt = Files.readAllBytes(copy);
        spoilt[spoilt.length / 2] ^= 1;
        Files.write(copy, spoilt);
        Said bad = night(place, stick);
        assertThat(bad.words()).contains("could not be read back");
        assertThat(Files.readString(place.resolve("copies").resolve("tried-not")))
                .contains("damaged");
        assertThat(place.resolve("copies").resolve("tried")).doesNotExist();
    }

    /** What pg_restore lists of the dump in a backup: every table's data. */
    private String tables(Path backup) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        "bash",
                        "-c",
                        "tar -xOf \"$1\" records.dump | $(ls -d /usr/lib/postgresql/*/bin | tail -1)/pg_restore -f - --data-only"
                                + " | grep -v '^--' | grep -E '^(COPY|[0-9a-f]{8}-)' | sort | sha256sum;"
                                + " tar -xOf \"$1\" records.dump | $(ls -d /usr/lib/postgresql/*/bin | tail -1)/pg_restore -l"
                                + " | grep -o 'TABLE DATA public [a-z_]*' | sort",
                        "bash",
                        backup.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        return said;
    }

    @Test
    public void aDamagedOrForeignFileIsNotRestored() throws IOException, InterruptedException {
        Path file = work.resolve("whole.backup");
        assertThat(script(source(), "backup", file.toString()).status()).isZero();
        byte[] bytes = Files.readAllBytes(file);
        bytes[bytes.length / 2] ^= 1;
        Path damaged = work.resolve("damaged.backup");
        Files.write(damaged, bytes);
        Map<String, String> there =
                Map.of("SALLOWBROOK_FOLDER", work.resolve("nowhere").toString());
        assertThat(script(there, "restore", damaged.toString()).words()).contains("damaged");
        Path foreign = work.resolve("foreign.backup");
        Files.writeString(foreign, "a letter");
        assertThat(script(there, "restore", foreign.toString()).words()).contains("no backup");
    }

    /** Some forty files that somebody tampered with: each is refused with words, runs nothing, and leaves nothing behind. */
    @Test
    public void aFileSomebodyTamperedWithIsRefusedAndRunsNothing() throws Exception {
        Path whole = work.resolve("to-tamper-with.backup");
        assertThat(script(source(), "backup", whole.toString()).status()).isZero();
        Path folder = Files.createDirectory(work.resolve("tampered"));
        Path canary =
                Path.of("/tmp", "sallowbrook-canary-" + ProcessHandle.current().pid());
        ProcessBuilder maker = new ProcessBuilder(
                        "bash", "acceptance/src/test/resources/tampered.sh", whole.toString(), folder.toString())
                .directory(Path.of("..").toFile())
                .redirectErrorStream(true);
        maker.environment().put("CANARY", canary.toString());
        Process making = maker.start();
        String said = new String(making.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(making.waitFor()).as(said).isZero();
        List<Path> files;
        try (var all = Files.list(folder)) {
            files = all.sorted().toList();
        }
        assertThat(files).hasSizeGreaterThanOrEqualTo(40);
        ExecutorService hands = Executors.newFixedThreadPool(3);
        try {
            List<Future<?>> tries = new java.util.ArrayList<>();
            files.forEach(file -> tries.add(hands.submit((Callable<Void>) () -> refused(file))));
            for (Future<?> each : tries) {
                each.get();
            }
        } finally {
            hands.shutdownNow();
        }
        assertThat(canary).doesNotExist();
        assertThat(Path.of("/tmp/climbed")).doesNotExist();
        assertThat(Path.of("/tmp/from-the-root")).doesNotExist();
    }

    private Void refused(Path file) throws IOException, InterruptedException {
        Path place = work.resolve("never-" + file.getFileName());
        Said restored = script(Map.of("SALLOWBROOK_FOLDER", place.toString()), "restore", file.toString());
        assertThat(restored.status()).as(file.toString()).isNotZero();
        assertThat(restored.words()).as(file.toString()).contains("Sallowbrook: ");
        assertThat(place.toFile().list()).as("left behind by " + file).isEmpty();
        return null;
    }

    @Test
    public void anEncryptedBackupWantsItsPassphrase() throws IOException, InterruptedException {
        Path file = work.resolve("secret.backup");
        Map<String, String> secret = new java.util.HashMap<>(source());
        secret.put("SALLOWBROOK_PASSPHRASE", "three otters in the fen");
        assertThat(script(secret, "backup", file.toString()).words()).contains("encrypted");
        assertThat(new String(Files.readAllBytes(file), java.nio.charset.StandardCharsets.ISO_8859_1))
                .doesNotContain("Varga-Holm", "sallowbrook-backup");
        String place = work.resolve("opened").toString();
        assertThat(script(Map.of("SALLOWBROOK_FOLDER", place), "restore", file.toString())
                        .words())
                .contains("encrypted");
        assertThat(script(
                                Map.of("SALLOWBROOK_FOLDER", place, "SALLOWBROOK_PASSPHRASE", "two otters in the fen"),
                                "restore",
                                file.toString())
                        .status())
                .isNotZero();
        Said right = script(
                Map.of("SALLOWBROOK_FOLDER", place, "SALLOWBROOK_PASSPHRASE", "three otters in the fen"),
                "restore",
                file.toString());
        assertThat(right.status()).as(right.words()).isZero();
        assertThat(right.words()).doesNotContain("Nothing proves");
    }
}
