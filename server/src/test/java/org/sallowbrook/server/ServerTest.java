package org.sallowbrook.server;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.sallowbrook.server.platform.Owned;
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
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@ActiveProfiles("demo")
@Import(ServerTest.EmptyDatabase.class)
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
    }

    @LocalServerPort
    int port;

    final Client as(String name) {
        return Client.of(port, name);
    }

    static LocalDate today() {
        return LocalDate.now(ZoneOffset.UTC);
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
                false);
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
                "perDoseMl",
                2,
                "timesPerDay",
                2,
                "pattern",
                Map.of("kind", "DAILY"),
                "courseDays",
                5,
                "startOn",
                today());
    }
}
