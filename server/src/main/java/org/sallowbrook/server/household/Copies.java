package org.sallowbrook.server.household;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How old the newest copy of the records is; the script that starts the application makes one every night. */
@Component
class Copies {

    /**
     * @param old whether a night was missed
     * @param elsewhere a second place for the copies, a stick or a share; empty where none was named
     * @param elsewhereAt when one was last written there and read back
     * @param triedAt when one was last restored on trial; null while none was
     * @param triedNot why the newest could not be
     */
    record BackupView(
            @Nullable Instant newest,
            Integer copies,
            String folder,
            Boolean old,
            String elsewhere,
            @Nullable Instant elsewhereAt,
            @Nullable Instant triedAt,
            @Nullable String triedNot) {}

    private static final Duration OLD = Duration.ofHours(49);

    private static final int MOST_LETTERS = 300;

    private final String folder;
    private final String elsewhere;
    /** Files bear the real time, also beside a calendar that is simulated. */
    private final Clock clock = Clock.systemUTC();

    Copies(@Value("${sallowbrook.copies:}") String folder, @Value("${sallowbrook.copies-too:}") String elsewhere) {
        this.folder = folder;
        this.elsewhere = elsewhere;
    }

    BackupView view() {
        if (folder.isEmpty()) {
            return new BackupView(null, 0, "", false, "", null, null, null);
        }
        List<Instant> made = List.of();
        try (Stream<Path> files = Files.list(Path.of(folder))) {
            made = files.filter(f -> f.getFileName().toString().endsWith(".backup"))
                    .map(Copies::made)
                    .sorted()
                    .toList();
        } catch (IOException e) {
            // A folder that can't be read holds no copy that anybody could use.
        }
        Instant newest = made.isEmpty() ? null : made.get(made.size() - 1);
        return new BackupView(
                newest,
                made.size(),
                folder,
                newest != null && Duration.between(newest, clock.instant()).compareTo(OLD) > 0,
                elsewhere,
                at("elsewhere"),
                at("tried"),
                said());
    }

    /** When the script that makes the copies last left this mark beside them. */
    private @Nullable Instant at(String mark) {
        Path file = Path.of(folder, mark);
        return Files.exists(file) ? made(file) : null;
    }

    private @Nullable String said() {
        try {
            String words = Files.readString(Path.of(folder, "tried-not")).strip();
            // Empty while one is being tried: nothing is known against it yet.
            return words.isEmpty() ? null : words.substring(0, Math.min(words.length(), MOST_LETTERS));
        } catch (IOException e) {
            return null;
        }
    }

    private static Instant made(Path file) {
        try {
            return Files.getLastModifiedTime(file).toInstant();
        } catch (IOException e) {
            return Instant.EPOCH;
        }
    }
}
