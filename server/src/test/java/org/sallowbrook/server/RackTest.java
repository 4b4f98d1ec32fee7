package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A household without a scale, and one whose rack learns. */
public class RackTest extends ServerTest {

    private Client ilse;
    private Chain chain;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
    }

    private UUID harvest(int daysAgo) {
        UUID id = id();
        chain.harvest(id, today().minusDays(daysAgo), 200);
        return id;
    }

    private Map<String, Object> start(UUID run, UUID harvest, String method) {
        return new HashMap<>(Map.of(
                "id",
                run,
                "harvestId",
                harvest,
                "rack",
                "the beam",
                "at",
                now().minus(4, ChronoUnit.DAYS),
                "freshG",
                200,
                "temperatureC",
                30,
                "relativeHumidity",
                0.3,
                "method",
                method));
    }

    private Client.Answer test(UUID run, String how, int hoursAgo) {
        return ilse.post(
                "/api/drying/runs/" + run + "/tests",
                Map.of("id", id(), "test", how, "at", now().minus(hoursAgo, ChronoUnit.HOURS)));
    }

    private JsonNode run(UUID id) {
        return ilse.get("/api/drying/runs/" + id).expect(200).body();
    }

    @Test
    public void withoutAScaleTwoTestsLetItIntoTheJarAndTheRackLearns() {
        UUID harvest = harvest(5);
        UUID run = id();
        Map<String, Object> odd = start(run, harvest, "HANG");
        odd.put("strippedBefore", true);
        assertThat(ilse.post("/api/drying/runs", odd).expect(400).wrongFields()).containsExactly("method");
        ilse.post("/api/drying/runs", start(run, harvest, "HANG")).expect(200);
        assertThat(ilse.get("/api/shelf/lots/" + harvest).body().path("racked").asBoolean())
                .isTrue();
        Map<String, Object> jar = new HashMap<>(Map.of("id", id(), "fromRun", run, "on", today(), "place", ""));
        test(run, "CRUMBLES", 30).expect(200);
        assertThat(ilse.post("/api/shelf/jars", jar).expect(422).codes()).contains("DAMP");
        JsonNode once = test(run, "CRUMBLES", 20).expect(200).body();
        assertThat(once.path("done").asBoolean()).isFalse();
        // Not earlier than the one before, and not in the future.
        assertThat(test(run, "CRUMBLES", 25).expect(400).wrongFields()).containsExactly("at");
        assertThat(test(run, "CRUMBLES", -5).expect(400).wrongFields()).containsExactly("at");
        JsonNode twice = test(run, "CRUMBLES", 2).expect(200).body();
        assertThat(twice.path("byTestAlone").asBoolean()).isTrue();
        // A test that was wrong leaves, and what was built on it is judged again.
        String last = twice.path("tests").get(2).path("id").asString();
        JsonNode struck = ilse.post(
                        "/api/drying/runs/" + run + "/tests/" + last + "/strike", Map.of("reason", "another bundle"))
                .expect(200)
                .body();
        assertThat(struck.path("done").asBoolean()).isFalse();
        ilse.post("/api/shelf/jars", jar).expect(422);
        test(run, "CRUMBLES", 1).expect(200);
        JsonNode made = ilse.post("/api/shelf/jars", jar).expect(200).body();
        assertThat(made.path("amount").asDouble())
                .isEqualTo(twice.at("/advice/leastDriedG").asDouble())
                .isPositive();
        assertThat(made.at("/moisture/high").asDouble()).isEqualTo(0.14);

        // The next lot on that rack is expected by what this one took.
        UUID next = id();
        JsonNode advice = ilse.post("/api/drying/runs", start(next, harvest(4), "HANG"))
                .expect(200)
                .body()
                .path("advice");
        assertThat(advice.path("rackLots").asInt()).isEqualTo(1);
        assertThat(ilse.get("/api/drying/racks").expect(200).body().toString()).contains("the beam");
        assertThat(as("lantern").get("/api/drying/racks").body().toString()).doesNotContain("the beam");
        as("lantern")
                .post("/api/drying/runs/" + next + "/tests", Map.of("id", id(), "test", "SNAPS", "at", now()))
                .expect(404);
    }

    @Test
    public void howItIsDriedFollowsTheSchoolAndMayDifferForOneLot() {
        JsonNode ways = ilse.get("/api/drying/ways?part=ROOT").expect(200).body();
        assertThat(ways.at("/usual/washed").asBoolean()).isTrue();
        assertThat(ways.path("methods").toString()).doesNotContain("HANG");
        UUID washed = id();
        Map<String, Object> body = start(washed, harvest(5), "DEHYDRATOR");
        body.put("washed", true);
        body.put("moisture", Map.of("low", 0.7, "high", 0.8));
        body.put("temperatureC", 60);
        JsonNode run = ilse.post("/api/drying/runs", body).expect(200).body();
        assertThat(run.at("/initialMoisture/high").asDouble()).isGreaterThan(0.8);
        assertThat(run.at("/advice/howTo").toString()).contains("dehydrator", "pat it dry");
        assertThat(run.path("findings").toString()).contains("TOO_HOT");
        assertThat(run(washed).path("findings").toString()).contains("TOO_HOT");
    }
}
