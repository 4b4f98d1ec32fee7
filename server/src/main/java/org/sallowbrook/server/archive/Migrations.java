package org.sallowbrook.server.archive;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The steps by which the tables became what they are; an archive of any of them is brought along by the rest. */
@Component
class Migrations {

    private final List<MigrationInfo> steps;

    Migrations(Flyway flyway) {
        steps = Arrays.stream(flyway.info().applied())
                .filter(m -> m.getVersion() != null && m.getScript().endsWith(".sql"))
                .toList();
    }

    /** The number of the last. */
    String latest() {
        return version(steps.get(steps.size() - 1));
    }

    /** @return empty where this version of the program knows no such number */
    List<String> upTo(String version) throws IOException {
        return scripts(0, after(version));
    }

    List<String> from(String version) throws IOException {
        return scripts(after(version), steps.size());
    }

    private int after(String version) {
        for (int i = 0; i < steps.size(); i++) {
            if (version(steps.get(i)).equals(version)) {
                return i + 1;
            }
        }
        return 0;
    }

    private List<String> scripts(int from, int to) throws IOException {
        List<String> read = new ArrayList<>();
        for (MigrationInfo step : steps.subList(from, to)) {
            read.add(new ClassPathResource("db/migration/" + step.getScript())
                    .getContentAsString(StandardCharsets.UTF_8));
        }
        return read;
    }

    private static String version(MigrationInfo step) {
        return step.getVersion().getVersion();
    }
}
