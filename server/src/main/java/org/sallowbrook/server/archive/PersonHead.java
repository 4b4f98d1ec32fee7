package org.sallowbrook.server.archive;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;

/**
 * What a file of one person's records says of itself.
 *
 * @param layout as of {@link ArchiveHead}
 * @param schema of the database it was written from
 * @param rows by table
 */
record PersonHead(
        String format, Integer layout, String schema, Instant madeAt, UUID person, Map<String, Integer> rows) {

    static final String FORMAT = "sallowbrook-person";
}
