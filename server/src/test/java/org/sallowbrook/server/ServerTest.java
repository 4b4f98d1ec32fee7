package org.sallowbrook.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.flywaydb.core.Flyway;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.SimulatedClock;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ActiveProfiles;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import tools.jackson.databind.JsonNode;

/** The whole server with demo data on the PostgreSQL that ./sallowbrook test starts; one for all test classes. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"springdoc.default-produces-media-type=application/json", "springdoc.api-docs.version=openapi_3_1"
        })
@ActiveProfiles("demo")
@Import({ServerTest.EmptyDatabase.class, Statements.class})
abstract class ServerTest extends AbstractTestNGSpringContextTests {

    @TestConfiguration
    static class EmptyDatabase {
        @Bean
        FlywayMigrationStrategy cleanFirst() {
            return flyway -> {
                Flyway.configure()
                        .configuration(flyway.getConfiguration())
                        .cleanDisabled(false)
                        .load()
                        .clean();
                flyway.migrate();
            };
        }
    }

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        String database = System.getenv("SALLOWBROOK_TEST_DB");
        if (database == null) {
            throw new IllegalStateException("run ./sallowbrook test: it starts the database these tests need");
        }
        properties.add("spring.datasource.url", () -> database + "/server_test");
        properties.add("sallowbrook.metrics-token", () -> METRICS_TOKEN);
        // As in a house, but on this machine alone.
        properties.add("sallowbrook.home.listens", () -> true);
        properties.add("sallowbrook.home.address", () -> "127.0.0.1");
        properties.add("sallowbrook.home.port", () -> HOME.port());
        properties.add("sallowbrook.home.plain-port", () -> HOME.plainPort());
        properties.add("sallowbrook.home.folder", () -> HOME.folder().toString());
    }

    @LocalServerPort
    int port;

    /** @param folder of the household's authority */
    record House(int port, int plainPort, Path folder) {
        private static House made() {
            try (ServerSocket one = new ServerSocket(0);
                    ServerSocket other = new ServerSocket(0)) {
                Path folder = Files.createTempDirectory("house").resolve("home");
                folder.getParent().toFile().deleteOnExit();
                return new House(one.getLocalPort(), other.getLocalPort(), folder);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    static final House HOME = House.made();

    static final String METRICS_TOKEN = "of-the-tests";

    private static final Map<String, Client> SIGNED_IN = new ConcurrentHashMap<>();

    /** Signed in once for all classes, for a password is slow to check on purpose; anew where a test ended the session. */
    final Client as(String name) {
        return SIGNED_IN.compute(
                name + " " + port, (k, known) -> known != null && known.signedIn() ? known : Client.of(port, name));
    }

    @Autowired
    SimulatedClock clock;

    /** The demo's opening day, on which all tests run. */
    static LocalDate today() {
        return LocalDate.ofInstant(SimulatedClock.START, ZoneOffset.UTC);
    }

    final Instant now() {
        return clock.instant();
    }

    /** Lets time go by. */
    final void later(Duration time) {
        clock.set(clock.instant().plus(time));
    }

    /** Something that is over, found on the pages of history. */
    static JsonNode past(Client client, String path, String name) {
        for (int page = 0; ; page++) {
            JsonNode body = client.get(path + "/past?page=" + page).expect(200).body();
            for (JsonNode entry : body.path("entries")) {
                if (entry.path("name").asString().equals(name)) {
                    return client.get(path + "/" + entry.path("id").asString()).body();
                }
            }
            if (!body.path("more").asBoolean()) {
                throw new AssertionError("no " + name + " in the history of " + path);
            }
        }
    }

    static UUID id() {
        return Owned.newId();
    }

    static JsonNode find(Client client, String path, String field, String value) {
        return client.get(path)
                .body()
                .valueStream()
                .filter(n -> n.path(field).asString().equals(value))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + value + " in " + path));
    }

    static JsonNode stand(Client client, String name) {
        return find(client, "/api/field/stands", "name", name);
    }

    static JsonNode person(Client client, String name) {
        return find(client, "/api/people", "name", name);
    }

    static JsonNode lot(Client client, String name) {
        return find(client, "/api/shelf/lots", "name", name);
    }

    static Map<String, Object> harvest(UUID id, String part, List<String> tells) {
        return Map.of(
                "id",
                id,
                "part",
                part,
                "stage",
                "FLOWERING",
                "on",
                today(),
                "massG",
                120,
                "shareTaken",
                0.02,
                "weather",
                "dry",
                "tells",
                tells,
                "examinedSingly",
                true);
    }

    static Map<String, Object> course(UUID id, JsonNode person, JsonNode lot, String way) {
        return Map.of(
                "id",
                id,
                "personId",
                person.path("id").asString(),
                "lotId",
                lot.path("id").asString(),
                "way",
                way,
                "perDose",
                2,
                "unit",
                lot.path("unit").asString(),
                "timesPerDay",
                2,
                "pattern",
                Map.of("kind", "DAILY"),
                "courseDays",
                5,
                "startOn",
                today());
    }

    /** Nettle from a shop, of which nothing else is to be said. */
    protected static UUID bought(Client client, String part, double massG, int daysAgo) {
        UUID id = id();
        client.post(
                        "/api/shelf/bought",
                        Map.of(
                                "id",
                                id,
                                "taxonId",
                                "stinging-nettle",
                                "part",
                                part,
                                "massG",
                                massG,
                                "supplier",
                                "a shop on the quay",
                                "label",
                                "SCIENTIFIC_NAME",
                                "mouldSeen",
                                false,
                                "on",
                                today().minusDays(daysAgo),
                                "place",
                                ""))
                .expect(200);
        return id;
    }
}
