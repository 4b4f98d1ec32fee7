package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * What was noted by mistake is struck out with a reason: it leaves every reckoning and sum, what was built on it is judged
 * again, and nobody strikes out twice, or another household's.
 */
public class StruckOutTest extends ServerTest {

    private static final Map<String, String> WRONG = Map.of("reason", "a slip of the pen");

    private Client ilse;
    private Chain chain;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
    }

    /** Struck out once; another household finds nothing, no reason is no striking, and twice is not there any more. */
    private void strike(String path, Integer version) {
        assertThat(send(as("lantern"), path, WRONG, version).status()).isEqualTo(404);
        assertThat(send(ilse, path, Map.of("reason", " "), version).expect(400).wrongFields())
                .containsExactly("reason");
        send(ilse, path, WRONG, version).expect(200);
        assertThat(send(ilse, path, WRONG, version).status()).isIn(404, 409);
    }

    private static Client.Answer send(Client client, String path, Object body, Integer version) {
        return version == null ? client.post(path, body) : client.change("POST", path, body, version);
    }

    private JsonNode get(String path) {
        return ilse.get(path).expect(200).body();
    }

    private UUID run(double freshG) {
        UUID harvest = id();
        chain.harvest(harvest, today().minusDays(3), freshG);
        UUID run = id();
        ilse.post("/api/drying/runs", chain.rack(run, harvest, freshG, now().minus(60, ChronoUnit.HOURS)))
                .expect(200);
        return run;
    }

    private Map<String, Object> weighing(UUID id, int hoursAgo, double grams) {
        return new HashMap<>(
                Map.of("id", id, "at", now().minus(hoursAgo, ChronoUnit.HOURS), "massG", grams, "source", "HAND"));
    }

    @Test
    public void aMistypedWeighingIsAskedAboutAndLeavesTheCurve() {
        UUID run = run(200);
        String path = "/api/drying/runs/" + run + "/weighings";
        ilse.post(path, weighing(id(), 40, 120)).expect(200);
        JsonNode before = get("/api/drying/runs/" + run).path("moistureNow");
        // Lighter than its own dry matter: asked about, then believed, then struck out.
        UUID slip = id();
        Map<String, Object> odd = weighing(slip, 20, 12);
        assertThat(ilse.post(path, odd).expect(422).codes()).containsExactly("UNLIKELY_WEIGHT");
        odd.put("acknowledged", List.of(Map.of("code", "UNLIKELY_WEIGHT", "reason", "so it says")));
        assertThat(ilse.post(path, odd).expect(200).body().path("findings").toString())
                .contains("WEIGHTS_CONTRADICT_MOISTURE");
        strike(path + "/" + slip + "/strike", null);
        JsonNode after = get("/api/drying/runs/" + run);
        assertThat(after.path("moistureNow")).isEqualTo(before);
        assertThat(after.path("findings").toString()).doesNotContain("WEIGHTS_CONTRADICT_MOISTURE");
        // The right weight is taken in its place.
        ilse.post(path, weighing(id(), 20, 70)).expect(200);
        // Heavier than before is asked about as well.
        assertThat(ilse.post(path, weighing(id(), 2, 90)).expect(422).codes()).containsExactly("UNLIKELY_WEIGHT");
    }

    private UUID tincture(int daysAgo) {
        UUID herb = bought(ilse, "LEAF", 50, daysAgo);
        UUID id = id();
        Map<String, Object> body = chain.tincture(id, herb, 10);
        body.put("startedOn", today().minusDays(daysAgo));
        ilse.post("/api/making/batches", body).expect(200);
        return id;
    }

    private Client.Answer press(UUID batch, double amount, String... codes) {
        return ilse.change(
                "POST",
                "/api/making/batches/" + batch + "/press",
                Map.of(
                        "yieldAmount",
                        amount,
                        "on",
                        today(),
                        "acknowledged",
                        java.util.Arrays.stream(codes)
                                .map(c -> Map.of("code", c, "reason", "it is so"))
                                .toList()),
                chain.version(batch));
    }

    @Test
    public void aPressingIsAskedAboutAndTakenBackWhileNothingIsFilled() {
        UUID batch = tincture(30);
        String path = "/api/making/batches/" + batch;
        double low = get(path).at("/plan/yield/low").asDouble();
        assertThat(press(batch, low * 0.3).expect(422).codes()).containsExactly("UNLIKELY_YIELD");
        press(batch, low * 0.3, "UNLIKELY_YIELD").expect(200);
        strike(path + "/press/strike", chain.version(batch));
        JsonNode again = get(path);
        assertThat(again.path("status").asString()).isEqualTo("STEEPING");
        assertThat(again.path("remaining").asDouble()).isCloseTo(low, within(1e-9));
        press(batch, low).expect(200);
        JsonNode bottles = ilse.change(
                        "POST",
                        path + "/containers",
                        Map.of("containers", List.of(Map.of("capacityMl", 10, "count", 2)), "on", today(), "place", ""),
                        chain.version(batch))
                .expect(200)
                .body();
        // Not while there are bottles of it.
        ilse.change("POST", path + "/press/strike", WRONG, chain.version(batch)).expect(409);
        String bottle = bottles.get(0).path("id").asString();
        strike(path + "/containers/" + bottle + "/strike", chain.version(batch));
        assertThat(get(path).path("containers").size()).isEqualTo(1);
        assertThat(get(path).path("remaining").asDouble()).isCloseTo(low - 10, within(1e-9));
        assertThat(get("/api/shelf/lots/" + bottle).path("remaining").asDouble())
                .isZero();
        // Where it would have come from stays, so that nothing is laundered through it; and it is never used.
        assertThat(get("/api/tracing/lots/" + batch).path("downstream").toString())
                .contains(bottle);
        assertThat(get("/api/shelf/lots/" + bottle).path("neverFilled").asBoolean())
                .isTrue();
        // What was drunk of is not unfilled.
        String second = bottles.get(1).path("id").asString();
        ilse.change(
                        "POST",
                        "/api/shelf/lots/" + second + "/count",
                        Map.of("id", id(), "amount", 9, "on", today()),
                        get("/api/shelf/lots/" + second).path("version"))
                .expect(200);
        ilse.change("POST", path + "/containers/" + second + "/strike", WRONG, chain.version(batch))
                .expect(409);
    }

    @Test
    public void pressedOnTheFirstDayIsAskedAbout() {
        UUID batch = tincture(0);
        double low = get("/api/making/batches/" + batch).at("/plan/yield/low").asDouble();
        assertThat(press(batch, low).expect(422).codes()).containsExactly("PRESSED_EARLY");
    }

    @Test
    public void aShakeThatWasNotIsDueAgain() {
        UUID batch = tincture(3);
        String path = "/api/making/batches/" + batch;
        UUID shake = id();
        ilse.post(path + "/shakes", Map.of("id", shake, "on", today())).expect(200);
        assertThat(get(path).path("shakeDue").asBoolean()).isFalse();
        strike(path + "/shakes/" + shake + "/strike", null);
        assertThat(get(path).path("shakeDue").asBoolean()).isTrue();
        ilse.post(path + "/shakes", Map.of("id", id(), "on", today())).expect(200);
        assertThat(get(path).path("shakes").size()).isEqualTo(1);
    }

    @Test
    public void aDoseAndATrialLeaveTheirSums() {
        Chain own = new Chain(ilse, today(), now());
        String course = "/api/dosing/courses/" + own.course;
        double full = get("/api/shelf/lots/" + own.bottle).path("remaining").asDouble();
        // A slipped decimal point is asked about before it is recorded.
        assertThat(ilse.post(course + "/doses", Map.of("id", id(), "on", today(), "slot", 1, "amount", 0.01))
                        .expect(422)
                        .toString())
                .contains("UNLIKELY_DOSE");
        UUID dose = id();
        ilse.post(course + "/doses", Map.of("id", dose, "on", today(), "slot", 1))
                .expect(200);
        assertThat(get("/api/shelf/lots/" + own.bottle).path("remaining").asDouble())
                .isLessThan(full);
        strike(course + "/doses/" + dose + "/strike", null);
        assertThat(get("/api/shelf/lots/" + own.bottle).path("remaining").asDouble())
                .isCloseTo(full, within(1e-9));
        assertThat(get(course).path("taken").size()).isZero();
        assertThat(get(course).at("/adherence/taken").asDouble()).isZero();
        // Taken after all, in the same place of the day.
        ilse.post(course + "/doses", Map.of("id", id(), "on", today(), "slot", 1))
                .expect(200);
        String trial = get("/api/dosing/people/" + own.person + "/trials")
                .valueStream()
                .filter(t -> t.path("way").asString().equals("MOUTH"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
        strike("/api/dosing/trials/" + trial + "/strike", null);
        assertThat(get(course).path("findings").toString()).contains("FIRST_TIME");
        assertThat(get(course).path("dosable").asBoolean()).isFalse();
    }

    @Test
    public void aHarvestAndALookGoOnlyWhileNothingStandsOnThem() {
        UUID harvest = id();
        chain.harvest(harvest, today(), 120);
        String looks = "/api/field/stands/" + chain.stand + "/identifications";
        String newest = get(looks).get(0).path("id").asString();
        ilse.post(looks + "/" + newest + "/strike", WRONG).expect(409);
        strike("/api/field/harvests/" + harvest + "/strike", null);
        assertThat(get("/api/shelf/lots/" + harvest).path("remaining").asDouble())
                .isZero();
        assertThat(get("/api/field/harvests").toString()).doesNotContain(harvest.toString());
        // What lies on the rack is struck out there first.
        ilse.post("/api/field/harvests/" + chain.jarred + "/strike", WRONG).expect(409);

        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        Chain.look(ilse, stand, today());
        String path = "/api/field/stands/" + stand;
        assertThat(get(path).at("/identification/status").asString()).isEqualTo("CONFIRMED");
        UUID tag = id();
        ilse.post(path + "/tags", Map.of("id", tag, "stake", "red 1", "place", "by the gate"))
                .expect(200);
        String look = get(path + "/identifications").get(0).path("id").asString();
        strike(path + "/identifications/" + look + "/strike", null);
        assertThat(get(path).path("identification").isNull()
                        || get(path).path("identification").isMissingNode())
                .isTrue();
        // And so nothing is picked there.
        ilse.post(path + "/harvests", chain.picked(id(), today(), 50)).expect(422);
        // Nor by the stake that was set on the strength of that look.
        Map<String, Object> staked = new HashMap<>(chain.picked(id(), today(), 50));
        staked.put("tagId", tag);
        ilse.post(path + "/harvests", staked).expect(404);
    }
}
