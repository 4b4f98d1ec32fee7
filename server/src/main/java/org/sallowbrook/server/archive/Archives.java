package org.sallowbrook.server.archive;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;

/** Where archives lie while they are made or read: files that only this server reads, gone as each is done with. */
final class Archives {

    /** Kept free beside what is written. */
    private static final long SPARE = 64L * 1024 * 1024;

    private Archives() {}

    /** @throws ErrorResponseException where the disk has no room for so many bytes more */
    static Path file(long bytes) throws IOException {
        // Not in a folder of its own: a machine that runs for years tidies empty ones away.
        Path file = Files.createTempFile("sallowbrook-archive-", ".zip");
        file.toFile().deleteOnExit();
        // Not by the file store: where the table of mounts is not seen, as in a cage, that one finds nothing.
        if (file.toFile().getUsableSpace() < bytes + SPARE) {
            Files.delete(file);
            throw full();
        }
        return file;
    }

    static ErrorResponseException full() {
        return new ErrorResponseException(
                HttpStatus.INSUFFICIENT_STORAGE,
                ProblemDetail.forStatusAndDetail(
                        HttpStatus.INSUFFICIENT_STORAGE,
                        "The disk has no room for the archive. Free some and try again; nothing was changed."),
                null);
    }
}
