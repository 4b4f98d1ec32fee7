package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The safety gates over HTTP: what the screen refuses, a script is refused too. */
public class GatesTest extends ServerTest {

    private static final List<String> TELLS = List.of("leaf-division", "leaf-margin", "stem-surface", "leaf-hairs");

    @Test
    public void nothingIsPickedFromAnUncertainOrContaminatedStand() {
        Client ilse = as("ilse");
        String verge = stand(ilse, "St John's-wort on the verge").path("id").asString();
        assertThat(ilse.post("/api/field/stands/" + verge + "/harvests", harvest(id(), "TOPS", TELLS))
                        .expect(422)
                        .codes())
                .contains("NOT_IDENTIFIED", "CONTAMINATED");
        String comfrey = stand(ilse, "Comfrey by the footbridge").path("id").asString();
        assertThat(ilse.post("/api/field/stands/" + comfrey + "/harvests", harvest(id(), "ROOT", TELLS))
                        .expect(422)
                        .codes())
                .contains("NOT_IDENTIFIED");
    }

    @Test
    public void theVerdictIsTheServersAndARecheckIsNeeded() {
        Client ilse = as("ilse");
        String fen = stand(ilse, "Meadowsweet, north ditch").path("id").asString();
        assertThat(ilse.post(
                                "/api/field/stands/" + fen + "/harvests",
                                harvest(id(), "TOPS", List.of("made-up", "x", "y")))
                        .expect(422)
                        .codes())
                .contains("RECHECK");
        Map<String, Object> claim = Map.of(
                "id",
                id(),
                "on",
                today(),
                "stage",
                "ROSETTE",
                "observations",
                List.of(Map.of("character", "leaf-division", "state", "simple")));
        String comfrey = stand(ilse, "Comfrey by the footbridge").path("id").asString();
        // A verdict of the client's own is not dropped but refused.
        Map<String, Object> claimed = new java.util.HashMap<>(claim);
        claimed.put("status", "CONFIRMED");
        assertThat(ilse.post("/api/field/stands/" + comfrey + "/identifications", claimed)
                        .expect(400)
                        .wrongFields())
                .containsExactly("status");
        var kept = ilse.post("/api/field/stands/" + comfrey + "/identifications", claim)
                .expect(200);
        assertThat(kept.body().path("status").asString()).isEqualTo("NOT_YET");
    }

    @Test
    public void aWarningWantsAReason() {
        Client ilse = as("ilse");
        String fen = stand(ilse, "Meadowsweet, north ditch").path("id").asString();
        Map<String, Object> greedy = new HashMap<>(harvest(id(), "TOPS", TELLS));
        greedy.put("shareTaken", 0.5);
        assertThat(ilse.post("/api/field/stands/" + fen + "/harvests", greedy)
                        .expect(422)
                        .codes())
                .containsExactly("OVER_QUOTA");
        greedy.put("acknowledged", List.of(Map.of("code", "OVER_QUOTA", "reason", " ")));
        ilse.post("/api/field/stands/" + fen + "/harvests", greedy).expect(422);
        greedy.put("acknowledged", List.of(Map.of("code", "OVER_QUOTA", "reason", "the ditch is mown tomorrow")));
        ilse.post("/api/field/stands/" + fen + "/harvests", greedy).expect(200);
    }

    @Test
    public void dampHerbDoesNotReachAJarAndDryHerbDoes() {
        Client ilse = as("ilse");
        JsonNode damp = find(ilse, "/api/drying/runs", "rack", "Scullery line");
        Map<String, Object> jar =
                Map.of("id", id(), "fromRun", damp.path("id").asString(), "on", today(), "massG", 77, "place", "shelf");
        assertThat(ilse.post("/api/shelf/jars", jar).expect(422).codes()).contains("HUMID_STALL", "DAMP");

        UUID run = dried(ilse, "Nettles behind the hedge", "LEAF");
        var jarred = ilse.post(
                        "/api/shelf/jars",
                        Map.of("id", id(), "fromRun", run, "on", today(), "massG", 31, "place", "shelf"))
                .expect(200);
        assertThat(jarred.body().path("bestBefore").asString())
                .isEqualTo(today().plusMonths(12).toString());
        ilse.post("/api/shelf/jars", Map.of("id", id(), "fromRun", run, "on", today(), "massG", 31, "place", "shelf"))
                .expect(409);
    }

    /** Harvested, dried in dry air to constant weight, crumbling. */
    private UUID dried(Client client, String standName, String part) {
        String stand = stand(client, standName).path("id").asString();
        UUID harvest = id();
        Map<String, Object> picked = new HashMap<>(harvest(harvest, part, TELLS));
        picked.put("stage", "LEAFY");
        picked.put("on", today().minusDays(4));
        client.post("/api/field/stands/" + stand + "/harvests", picked).expect(200);
        UUID run = id();
        Instant start = now().minus(90, ChronoUnit.HOURS);
        client.post(
                        "/api/drying/runs",
                        Map.of(
                                "id",
                                run,
                                "harvestId",
                                harvest,
                                "rack",
                                "test rack",
                                "at",
                                start,
                                "freshG",
                                120,
                                "moisture",
                                Map.of("low", 0.70, "high", 0.78),
                                "temperatureC",
                                35,
                                "relativeHumidity",
                                0.25))
                .expect(200);
        int version = 0;
        for (int[] w : new int[][] {{10, 70}, {30, 40}, {60, 31}, {80, 31}}) {
            version = client.post(
                            "/api/drying/runs/" + run + "/weighings",
                            Map.of(
                                    "id",
                                    id(),
                                    "at",
                                    start.plus(w[0], ChronoUnit.HOURS),
                                    "massG",
                                    w[1],
                                    "source",
                                    "HAND"))
                    .expect(200)
                    .body()
                    .path("version")
                    .asInt();
        }
        client.change(
                        "PUT",
                        "/api/drying/runs/" + run + "/condition",
                        Map.of("temperatureC", 35, "relativeHumidity", 0.25, "working", true, "at", now()),
                        version)
                .expect(200);
        client.post("/api/drying/runs/" + run + "/tests", Map.of("id", id(), "test", "CRUMBLES", "at", now()))
                .expect(200);
        return run;
    }

    @Test
    public void mouldDestroysTheLotForGood() {
        Client ilse = as("ilse");
        UUID run = dried(ilse, "Nettles behind the hedge", "LEAF");
        ilse.post("/api/drying/runs/" + run + "/mould", "{}").expect(200);
        ilse.post("/api/shelf/jars", Map.of("id", id(), "fromRun", run, "on", today(), "massG", 31, "place", "shelf"))
                .expect(422);
        String harvest =
                ilse.get("/api/drying/runs/" + run).body().path("harvestId").asString();
        assertThat(ilse.get("/api/shelf/lots/" + harvest).body().path("state").asString())
                .isEqualTo("DESTROYED");
    }

    @Test
    public void mouldFoundAfterJarringIsNeverCleared() {
        Client ilse = as("ilse");
        UUID run = dried(ilse, "Nettles behind the hedge", "LEAF");
        UUID jar = id();
        ilse.post("/api/shelf/jars", Map.of("id", jar, "fromRun", run, "on", today(), "massG", 31, "place", "shelf"))
                .expect(200);
        ilse.post("/api/drying/runs/" + run + "/mould", "{}").expect(200);
        String stand = stand(ilse, "Nettles behind the hedge").path("id").asString();
        ilse.post("/api/tracing/stands/" + stand + "/clear", "{}").expect(200);
        assertThat(ilse.get("/api/shelf/lots/" + jar).body().path("state").asString())
                .isEqualTo("QUARANTINED");
    }

    @Test
    public void denaturedSpiritNeverBecomesSomethingToDrink() {
        Client ilse = as("ilse");
        UUID blue = id();
        ilse.post(
                        "/api/shelf/supplies",
                        Map.of(
                                "id",
                                blue,
                                "form",
                                "SPIRIT",
                                "name",
                                "denatured spirit",
                                "amount",
                                500,
                                "strengthPercent",
                                90,
                                "denatured",
                                true,
                                "open",
                                true,
                                "place",
                                "shed"))
                .expect(200);
        Map<String, Object> tincture = new HashMap<>(Map.of(
                "id",
                id(),
                "name",
                "bad idea",
                "herbs",
                List.of(Map.of(
                        "lotId", lot(ilse, "stinging nettle, leaf").path("id").asString(), "massG", 5)),
                "ratio",
                5,
                "waterCounts",
                false,
                "basis",
                "MENSTRUUM",
                "strengthPercent",
                45,
                "spirits",
                List.of(Map.of("lotId", blue)),
                "press",
                "EARLY",
                "route",
                "INTERNAL"));
        tincture.put("startedOn", today());
        tincture.put("kind", "TINCTURE");
        assertThat(ilse.post("/api/making/batches", tincture).expect(422).codes())
                .contains("DENATURED_SPIRIT");
        // For the skin it may be made, and from then on it is for the skin only.
        tincture.put("route", "EXTERNAL");
        UUID batch = id();
        tincture.put("id", batch);
        assertThat(ilse.post("/api/making/batches", tincture)
                        .expect(200)
                        .body()
                        .path("route")
                        .asString())
                .isEqualTo("EXTERNAL");
    }

    @Test
    public void aSalveNeverReachesAnOralDose() {
        Client ilse = as("ilse");
        var refused = ilse.post(
                        "/api/dosing/courses",
                        course(id(), person(ilse, "Ilse Varga-Holm"), lot(ilse, "Marigold salve"), "MOUTH"))
                .expect(422);
        // The newest lot of that name is a tin: grams, not for the mouth.
        assertThat(refused.codes()).contains("OUTSIDE_ONLY", "NO_CARD_FIGURE");
    }

    @Test
    public void aCourseWithoutADayOfDosesIsRefusedAtItsLength() {
        Client ilse = as("ilse");
        Map<String, Object> course =
                new HashMap<>(course(id(), person(ilse, "Ilse Varga-Holm"), bottle(ilse), "MOUTH"));
        course.put("pattern", Map.of("kind", "SEASON", "from", "--01-01", "to", "--01-10"));
        for (String path : new String[] {"/api/dosing/courses/check", "/api/dosing/courses"}) {
            assertThat(ilse.post(path, course).expect(400).wrongFields()).containsExactly("courseDays");
        }
    }

    @Test
    public void theSameBottleIsStoppedForWhomItWouldHurt() {
        Client ilse = as("ilse");
        JsonNode bottle = bottle(ilse);
        assertThat(ilse.post("/api/dosing/courses", course(id(), person(ilse, "Corwen Holm"), bottle, "MOUTH"))
                        .expect(422)
                        .codes())
                .contains("SALICYLATE")
                .doesNotContain("FIRST_TIME");
        assertThat(ilse.post("/api/dosing/courses", course(id(), person(ilse, "Wren"), bottle, "MOUTH"))
                        .expect(422)
                        .codes())
                .contains("SALICYLATE", "NO_CARD_FIGURE");
        assertThat(ilse.post("/api/dosing/courses", course(id(), person(ilse, "Oda Brandt"), bottle, "MOUTH"))
                        .expect(422)
                        .codes())
                .contains("CAUTION_PREGNANCY", "ALCOHOL");
        assertThat(ilse.post("/api/dosing/courses", course(id(), person(ilse, "Ilse Varga-Holm"), bottle, "ENEMA"))
                        .expect(422)
                        .codes())
                .contains("ROUTE_REFUSED");
    }

    @Test
    public void twoCoursesOfTheSamePlantAreSummed() {
        Client ilse = as("ilse");
        // The demo course takes 9 mL a day, about 1.9 g; 4 mL more would pass alone and is above 2.4 g together.
        assertThat(ilse.post(
                                "/api/dosing/courses",
                                course(id(), person(ilse, "Ilse Varga-Holm"), bottle(ilse), "MOUTH"))
                        .expect(422)
                        .codes())
                .contains("DOSE_ABOVE_CARD");
    }

    @Test
    public void aFirstTimeIsHeldUntilATrialIsRecorded() {
        Client ilse = as("ilse");
        JsonNode tam = person(ilse, "Tam Holm");
        UUID course = id();
        ilse.post("/api/dosing/courses", course(course, tam, bottle(ilse), "MOUTH"))
                .expect(200);
        Map<String, Object> dose = Map.of("id", id(), "on", today(), "slot", 1);
        assertThat(ilse.post("/api/dosing/courses/" + course + "/doses", dose)
                        .expect(422)
                        .codes())
                .contains("FIRST_TIME");
        ilse.post(
                        "/api/dosing/trials",
                        Chain.trial(
                                id(), tam.path("id").asString(), "meadowsweet", "MOUTH", today().minusDays(1), true))
                .expect(200);
        double before = ilse.get("/api/shelf/lots/" + bottle(ilse).path("id").asString())
                .body()
                .path("remaining")
                .asDouble();
        ilse.post("/api/dosing/courses/" + course + "/doses", dose).expect(200);
        ilse.post("/api/dosing/courses/" + course + "/doses", Map.of("id", id(), "on", today(), "slot", 1))
                .expect(200);
        double after = ilse.get("/api/shelf/lots/" + bottle(ilse).path("id").asString())
                .body()
                .path("remaining")
                .asDouble();
        assertThat(before - after).isEqualTo(2);
        ilse.post("/api/dosing/courses/" + course + "/doses", Map.of("id", id(), "on", today(), "slot", 3))
                .expect(400);
        // A second tap is not a second dose.
        ilse.post("/api/dosing/courses/" + course + "/doses", Map.of("id", id(), "on", today(), "slot", 2))
                .expect(409);
        later(Duration.ofMinutes(1));
        // More was swallowed than planned: kept as it was, and said.
        assertThat(ilse.post(
                                "/api/dosing/courses/" + course + "/doses",
                                Map.of("id", id(), "on", today(), "slot", 2, "amount", 1e6))
                        .expect(400)
                        .wrongFields())
                .containsExactly("amount");
        var more = ilse.post(
                        "/api/dosing/courses/" + course + "/doses",
                        Map.of("id", id(), "on", today(), "slot", 2, "amount", 5))
                .expect(422);
        assertThat(more.codes()).contains("MUCH_MORE_THAN_PLANNED");
        more = ilse.post(
                        "/api/dosing/courses/" + course + "/doses",
                        Map.of("id", id(), "on", today(), "slot", 2, "amount", 5, "swallowed", true))
                .expect(200);
        assertThat(more.body().path("adherence").path("taken").asDouble()).isEqualTo(7);
        assertThat(more.codes()).contains("MORE_THAN_PLANNED");
    }

    /** Runs last: it takes the meadowsweet out of use. */
    @Test(priority = 1)
    public void aDoubtedStandQuarantinesEverythingMadeFromIt() {
        Client ilse = as("ilse");
        JsonNode fen = stand(ilse, "Meadowsweet, north ditch");
        String path = "/api/tracing/stands/" + fen.path("id").asString();
        ilse.post(path + "/doubt", Map.of("reason", "x")).expect(428);
        var trace = ilse.get("/api/tracing/lots/" + bottle(ilse).path("id").asString())
                .expect(200)
                .body();
        assertThat(trace.path("upstream").toString()).contains(fen.path("id").asString());

        var doubted = ilse.change(
                        "POST",
                        path + "/doubt",
                        Map.of("reason", "umbels seen among it"),
                        fen.path("version").asInt())
                .expect(200);
        List<String> kinds = doubted.body()
                .path("lots")
                .valueStream()
                .filter(l -> l.path("state").asString().equals("QUARANTINED"))
                .map(l -> l.path("vessel").asString())
                .toList();
        assertThat(kinds).contains("BASKET", "JAR").filteredOn("BOTTLE"::equals).hasSize(3);

        JsonNode running = ilse.get("/api/dosing/courses")
                .body()
                .valueStream()
                .filter(c -> c.path("person").asString().startsWith("Ilse"))
                .findFirst()
                .orElseThrow();
        assertThat(running.path("dosable").asBoolean()).isFalse();
        assertThat(ilse.post(
                                "/api/dosing/courses/" + running.path("id").asString() + "/doses",
                                Map.of("id", id(), "on", today(), "slot", 1))
                        .expect(422)
                        .codes())
                .contains("QUARANTINED");
        // Quarantine is not lifted as a hold, nor given away, nor cleared while the doubt stands.
        JsonNode bottle = bottle(ilse);
        String lot = "/api/shelf/lots/" + bottle.path("id").asString();
        ilse.change(
                        "POST",
                        lot + "/release",
                        Map.of("reason", "looks fine"),
                        bottle.path("version").asInt())
                .expect(409);
        ilse.change(
                        "POST",
                        lot + "/give",
                        Map.of("holder", "Oda"),
                        bottle.path("version").asInt())
                .expect(422);
        ilse.post(path + "/clear", "{}").expect(409);
        as("lantern").post(path + "/clear", "{}").expect(404);
    }

    private static JsonNode bottle(Client client) {
        return client.get("/api/shelf/lots")
                .body()
                .valueStream()
                .filter(l -> l.path("vessel").asString().equals("BOTTLE")
                        && l.path("name").asString().equals("Meadowsweet tincture"))
                .min((a, b) ->
                        a.path("code").asString().compareTo(b.path("code").asString()))
                .orElseThrow();
    }
}
