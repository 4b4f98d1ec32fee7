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

    /** @param old whether a night was missed */
    record BackupView(@Nullable Instant newest, Integer copies, String folder, Boolean old) {}

    private static final Duration OLD = Duration.ofHours(49);

    private final String folder;
    /** Files bear the real time, also beside a calendar that is simulated. */
    private final Clock clock = Clock.systemUTC();

    Copies(@Value("${sallowbrook.copies:}") String folder) {
        this.folder = folder;
    }

    BackupView view() {
        if (folder.isEmpty()) {
            return new BackupView(null, 0, "", false);
        }
        try (Stream<Path> files = Files.list(Path.of(folder))) {
            List<Instant> made = files.filter(f -> f.getFileName().toString().endsWith(".backup"))
                    .map(Copies::made)
                    .sorted()
                    .toList();
            Instant newest = made.isEmpty() ? null : made.get(made.size() - 1);
            return new BackupView(
                    newest,
                    made.size(),
                    folder,
                    newest != null && Duration.between(newest, clock.instant()).compareTo(OLD) > 0);
        } catch (IOException e) {
            return new BackupView(null, 0, folder, false);
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
