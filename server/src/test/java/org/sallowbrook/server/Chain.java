package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/**
 * A nettle stand and what was made of it, of every kind that something further can be made of: a basket, a dry lot on the
 * rack, a jar, a batch that waits to be filled, a bottle, a course. All over HTTP, as anybody would.
 */
final class Chain {

    private static final List<String> TELLS = List.of("leaf-division", "leaf-margin", "stem-surface", "leaf-hairs");

    /** Tests have no weeks to wait. */
    static final List<Map<String, String>> EARLY = List.of(
            Map.of("code", "PRESSED_EARLY", "reason", "tried on purpose"),
            Map.of("code", "UNLIKELY_YIELD", "reason", "tried on purpose"));

    final Client client;
    final LocalDate today;
    final Instant now;
    final UUID stand = ServerTest.id();
    final UUID basket = ServerTest.id();
    final UUID run = ServerTest.id();
    final UUID jar = ServerTest.id();
    final UUID batch = ServerTest.id();
    final UUID bottle;
    final UUID course = ServerTest.id();
    final String person;
    /** The harvest the jar, and all after it, came from. */
    final UUID jarred = ServerTest.id();

    Chain(Client client, LocalDate today, Instant now) {
        this.client = client;
        this.today = today;
        this.now = now;
        stand(client, stand, "stinging-nettle");
        look(client, stand, today);
        harvest(jarred, today.minusDays(6), 300);
        UUID first = ServerTest.id();
        dry(first, jarred, 300, 130);
        client.post("/api/shelf/jars", Map.of("id", jar, "fromRun", first, "on", today, "massG", 77, "place", ""))
                .expect(200);
        UUID second = ServerTest.id();
        harvest(second, today.minusDays(5), 200);
        dry(run, second, 200, 110);
        harvest(basket, today, 150);
        client.post("/api/making/batches", tincture(batch, jar, 20)).expect(200);
        press(batch, 70);
        bottle = fill(20).path(0).path("id").asString().isEmpty()
                ? batch
                : UUID.fromString(filled.path(0).path("id").asString());
        person = person(client);
        tried(client, person, today);
        client.post("/api/dosing/courses", course(course, person, bottle, 1)).expect(200);
    }

    /** Tried yesterday and borne, in both ways. */
    static void tried(Client client, String person, LocalDate today) {
        for (String way : List.of("MOUTH", "SKIN")) {
            client.post(
                            "/api/dosing/trials",
                            trial(ServerTest.id(), person, "stinging-nettle", way, today.minusDays(1), true))
                    .expect(200);
        }
    }

    static Map<String, Object> trial(UUID id, String person, String taxon, String way, LocalDate on, boolean well) {
        return Map.of(
                "id",
                id,
                "personId",
                person,
                "taxonId",
                taxon,
                "way",
                way,
                "on",
                on,
                "reaction",
                "so and so",
                "well",
                well);
    }

    private JsonNode filled;

    private JsonNode fill(double ml) {
        filled = client.change("POST", "/api/making/batches/" + batch + "/containers", containers(ml), version(batch))
                .expect(200)
                .body();
        return filled;
    }

    Map<String, Object> containers(double ml) {
        return Map.of("containers", List.of(Map.of("capacityMl", ml, "count", 1)), "on", today, "place", "");
    }

    int version(UUID batchId) {
        return client.get("/api/making/batches/" + batchId)
                .body()
                .path("version")
                .asInt();
    }

    void press(UUID batchId, double ml) {
        client.change(
                        "POST",
                        "/api/making/batches/" + batchId + "/press",
                        Map.of("yieldAmount", ml, "on", today, "acknowledged", EARLY),
                        version(batchId))
                .expect(200);
    }

    static void stand(Client client, UUID id, String taxon) {
        client.post("/api/field/stands", standBody(id, taxon, "CLEAN", null)).expect(200);
    }

    static Map<String, Object> standBody(UUID id, String taxon, String ground, String reason) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                id,
                "taxonId",
                taxon,
                "name",
                "Stand " + id,
                "place",
                "behind wall " + id,
                "ground",
                ground,
                "permission",
                "OWN_GARDEN",
                "plenty",
                "PLENTIFUL",
                "protectedSpecies",
                false));
        if (reason != null) {
            body.put("reason", reason);
        }
        return body;
    }

    /** Sees what was seen at the demo's nettles, which confirms them. */
    static JsonNode look(Client client, UUID stand, LocalDate on) {
        Map<String, Object> body = lookBody(client, on, null);
        JsonNode look = client.post("/api/field/stands/" + stand + "/identifications", body)
                .expect(200)
                .body();
        assertThat(look.path("status").asString()).isEqualTo("CONFIRMED");
        return look;
    }

    static Map<String, Object> lookBody(Client client, LocalDate on, String second) {
        String known =
                ServerTest.stand(client, "Nettles behind the hedge").path("id").asString();
        JsonNode seen = client.get("/api/field/stands/" + known + "/identifications")
                .body()
                .get(0);
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                ServerTest.id(),
                "on",
                on,
                "stage",
                "LEAFY",
                "observations",
                Client.JSON.convertValue(seen.path("observations"), List.class)));
        body.put("again", body.get("observations"));
        if (second != null) {
            body.put("secondObserver", second);
        }
        return body;
    }

    Map<String, Object> picked(UUID id, LocalDate on, double massG) {
        return Map.of(
                "id",
                id,
                "part",
                "LEAF",
                "stage",
                "LEAFY",
                "on",
                on,
                "massG",
                massG,
                "shareTaken",
                0.01,
                "weather",
                "dry",
                "tells",
                TELLS,
                "examinedSingly",
                true);
    }

    /** A leaf of the stand, or something of a jar, used as it is. */
    Map<String, Object> direct(UUID id, String source, UUID of, String manner, Double grams) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                id,
                "personId",
                person,
                source,
                of,
                "manner",
                manner,
                "on",
                today,
                "forTrial",
                false,
                "words",
                ""));
        if (source.equals("standId")) {
            body.put("part", "LEAF");
            body.put("picked", Map.of("stage", "LEAFY", "tells", TELLS, "examinedSingly", true));
        }
        if (grams != null) {
            body.put("grams", grams);
        }
        if (manner.equals("CRUSHED")) {
            body.put("skin", "INTACT");
        }
        return body;
    }

    void harvest(UUID id, LocalDate on, double massG) {
        // Looked at on the day, or before it.
        client.post("/api/field/stands/" + stand + "/identifications", lookBody(client, on, null))
                .expect(200);
        client.post("/api/field/stands/" + stand + "/harvests", picked(id, on, massG))
                .expect(200);
    }

    Map<String, Object> rack(UUID id, UUID harvest, double freshG, Instant at) {
        return Map.of(
                "id",
                id,
                "harvestId",
                harvest,
                "rack",
                "the table",
                "at",
                at,
                "freshG",
                freshG,
                "moisture",
                Map.of("low", 0.72, "high", 0.80),
                "temperatureC",
                35,
                "relativeHumidity",
                0.25);
    }

    private void dry(UUID id, UUID harvest, double freshG, int hoursAgo) {
        Instant start = now.minus(hoursAgo, ChronoUnit.HOURS);
        client.post("/api/drying/runs", rack(id, harvest, freshG, start)).expect(200);
        for (double[] w : new double[][] {{20, 0.5}, {50, 0.26}, {70, 0.2585}}) {
            client.post(
                            "/api/drying/runs/" + id + "/weighings",
                            Map.of(
                                    "id",
                                    ServerTest.id(),
                                    "at",
                                    start.plus((long) w[0], ChronoUnit.HOURS),
                                    "massG",
                                    freshG * w[1],
                                    "source",
                                    "HAND"))
                    .expect(200);
        }
        int version =
                client.get("/api/drying/runs/" + id).body().path("version").asInt();
        client.change(
                        "PUT",
                        "/api/drying/runs/" + id + "/condition",
                        Map.of("temperatureC", 35, "relativeHumidity", 0.25, "working", true, "at", now),
                        version)
                .expect(200);
        client.post("/api/drying/runs/" + id + "/tests", Map.of("id", ServerTest.id(), "test", "CRUMBLES", "at", now))
                .expect(200);
    }

    Map<String, Object> tincture(UUID id, UUID from, double massG) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                id,
                "name",
                "chain tincture",
                "herbs",
                List.of(Map.of("lotId", from, "massG", massG)),
                "ratio",
                5,
                "waterCounts",
                false,
                "basis",
                "MENSTRUUM",
                "strengthPercent",
                40,
                "spirits",
                List.of(Map.of("lotId", spirit())),
                "press",
                "EARLY",
                "route",
                "INTERNAL"));
        body.put("startedOn", today);
        body.put("kind", "TINCTURE");
        return body;
    }

    /** One for all chains: a bench pours from sixteen bottles at most. */
    private UUID spirit() {
        var known = client.get("/api/shelf/lots")
                .body()
                .valueStream()
                .filter(l -> l.path("name").asString().equals("chain spirit"))
                .findFirst();
        if (known.isPresent()) {
            return UUID.fromString(known.get().path("id").asString());
        }
        UUID id = ServerTest.id();
        client.post(
                        "/api/shelf/supplies",
                        Map.of(
                                "id",
                                id,
                                "form",
                                "SPIRIT",
                                "name",
                                "chain spirit",
                                "amount",
                                50_000,
                                "strengthPercent",
                                40,
                                "denatured",
                                false,
                                "open",
                                true,
                                "place",
                                ""))
                .expect(200);
        return id;
    }

    /** Somebody of whom nothing is known that speaks against anything. */
    static String person(Client client) {
        UUID id = ServerTest.id();
        client.post("/api/people", personBody(id)).expect(200);
        return id.toString();
    }

    static Map<String, Object> personBody(UUID id) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "name",
                "Somebody " + id,
                "bornOn",
                "1980-01-01",
                "weightKg",
                80,
                "breastFeeding",
                false,
                "conditions",
                List.of(),
                "medicines",
                List.of(),
                "allergyFamilies",
                List.of(),
                "recipient",
                false));
    }

    Map<String, Object> course(UUID id, String who, UUID lot, int days) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "personId",
                who,
                "lotId",
                lot,
                "way",
                "MOUTH",
                "perDose",
                1,
                "unit",
                "mL",
                "timesPerDay",
                2,
                "pattern",
                Map.of("kind", "DAILY"),
                "courseDays",
                days,
                "startOn",
                today));
    }

    /** Tea made as it is drunk, of a jar of herb. */
    Map<String, Object> cups(UUID id, String who, UUID jar, int days) {
        Map<String, Object> body = course(id, who, jar, days);
        body.putAll(Map.of("unit", "g", "countedIn", "CUP", "perCup", 1));
        return body;
    }

    Map<String, Object> dose(int slot) {
        return Map.of("id", ServerTest.id(), "on", today, "slot", slot);
    }

    int lotVersion(UUID lot) {
        return client.get("/api/shelf/lots/" + lot).body().path("version").asInt();
    }
}
