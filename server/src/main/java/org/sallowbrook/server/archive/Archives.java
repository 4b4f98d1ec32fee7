package org.sallowbrook.server.archive;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.ErrorResponseException;

/** Where archives lie while they are made or read: a folder only this server reads, emptied as each is done with. */
@Component
class Archives {

    /** Kept free beside what is written. */
    private static final long SPARE = 64L * 1024 * 1024;

    private final Path folder;

    Archives() throws IOException {
        folder = Files.createTempDirectory("sallowbrook-archives-");
        folder.toFile().deleteOnExit();
    }

    /** @throws ErrorResponseException where the disk has no room for so many bytes more */
    Path file(long bytes) throws IOException {
        // Not by the file store: where the table of mounts is not seen, as in a cage, that one finds nothing.
        if (folder.toFile().getUsableSpace() < bytes + SPARE) {
            throw full();
        }
        Path file = Files.createTempFile(folder, "archive-", ".zip");
        file.toFile().deleteOnExit();
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
