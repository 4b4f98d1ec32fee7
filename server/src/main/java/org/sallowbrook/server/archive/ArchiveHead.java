package org.sallowbrook.server.archive;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The file archive.json: what an archive is of.
 *
 * @param format always {@value #FORMAT}
 * @param layout of the archive itself; {@value #LAYOUT} is the only one yet
 * @param schema of the tables: the number of the last migration that made them
 * @param madeBy the account that made it
 * @param rows of each table
 */
record ArchiveHead(
        String format,
        int layout,
        String schema,
        Instant madeAt,
        UUID madeBy,
        HouseholdOf household,
        Map<String, Integer> rows) {

    static final String FORMAT = "sallowbrook-archive";
    static final int LAYOUT = 1;

    /** @param latitude degrees north; null where nobody said, and so the metres above the sea */
    record HouseholdOf(
            UUID id,
            String name,
            String zone,
            String region,
            @Nullable Double latitude,
            @Nullable Double elevationM,
            String emergencyNumber,
            String poisonCentre) {}
}
