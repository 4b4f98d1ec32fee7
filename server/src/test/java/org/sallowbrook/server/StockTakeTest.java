package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What is on the shelf is put right by a word that stays, and struck out by another. */
public class StockTakeTest extends ServerTest {

    private Client ilse;
    private Chain chain;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
    }

    private UUID spirit(double amount) {
        UUID id = id();
        ilse.post(
                        "/api/shelf/supplies",
                        Map.of(
                                "id",
                                id,
                                "form",
                                "SPIRIT",
                                "name",
                                "counted spirit",
                                "amount",
                                amount,
                                "strengthPercent",
                                40,
                                "denatured",
                                false,
                                "open",
                                false,
                                "place",
                                ""))
                .expect(200);
        return id;
    }

    private JsonNode lot(UUID id) {
        return ilse.get("/api/shelf/lots/" + id).expect(200).body();
    }

    private Client.Answer count(UUID lot, UUID id, double amount, String reason) {
        Map<String, Object> body = new HashMap<>(Map.of("id", id, "amount", amount, "on", today()));
        if (reason != null) {
            body.put("reason", reason);
        }
        return count(lot, body, lot(lot).path("version"));
    }

    private Client.Answer count(UUID lot, Map<String, Object> body, Object version) {
        return ilse.change("POST", "/api/shelf/lots/" + lot + "/count", body, version);
    }

    private Client.Answer over(UUID lot, UUID id, String reason) {
        return count(
                lot,
                Map.of("id", id, "amount", 5000, "on", today(), "reason", reason, "more", "MEASURED_WRONG"),
                lot(lot).path("version"));
    }

    @Test
    public void whatIsFarOffWantsAReasonAndIsNotedOnce() {
        UUID lot = spirit(500);
        assertThat(count(lot, id(), 300, null).expect(400).wrongFields()).containsExactly("reason");
        assertThat(count(lot, id(), -1, "odd").expect(400).wrongFields()).containsExactly("amount");
        UUID id = id();
        count(lot, id, 300, "leaked").expect(200);
        count(lot, id, 300, "leaked").expect(200);
        assertThat(count(lot, id, 200, "leaked").status()).isEqualTo(409);
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(300);
        // Mistyped at first: more than there was said to be.
        assertThat(count(lot, id(), 5000, "a nought was missing").expect(400).wrongFields())
                .containsExactly("more");
        over(lot, id(), "a nought was missing").expect(200);
        assertThat(lot(lot).path("amount").asDouble()).isEqualTo(5000);
        // What was filled can't hold more than went in.
        assertThat(count(chain.bottle, id(), 500, "more").expect(400).wrongFields())
                .containsExactly("amount");
        as("lantern")
                .change(
                        "POST",
                        "/api/shelf/lots/" + lot + "/count",
                        Map.of("id", id(), "amount", 1, "on", today(), "reason", "theirs"),
                        0)
                .expect(404);
    }

    @Test
    public void aCountThatWasStruckOutLeavesNothingBehind() {
        UUID lot = spirit(500);
        String path = "/api/shelf/lots/" + lot;
        JsonNode seen = lot(lot).path("version");
        UUID wrong = id();
        over(lot, wrong, "a nought too many").expect(200);
        // Who saw it before that does not put it back by saying that it is as it says.
        count(lot, Map.of("id", id(), "amount", 500, "on", today(), "reason", "as it says"), seen)
                .expect(409);
        ilse.post(path + "/changes/" + wrong + "/strike", Map.of("reason", "mistyped"))
                .expect(200);
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(500);
        assertThat(lot(lot).path("amount").asDouble()).isEqualTo(500);
        // And so half of it is far off again.
        assertThat(count(lot, id(), 250, null).expect(400).wrongFields()).containsExactly("reason");
    }

    @Test
    public void usedUpByMistakeIsThereAgainAndStaysInTheRecord() {
        UUID lot = spirit(200);
        String path = "/api/shelf/lots/" + lot;
        ilse.change("POST", path + "/finish?end=THROWN_AWAY", Map.of(), lot(lot).path("version"))
                .expect(200);
        assertThat(lot(lot).path("remaining").asDouble()).isZero();
        JsonNode line = ilse.get(path + "/changes").expect(200).body().get(0);
        assertThat(line.path("what").asString()).isEqualTo("THROWN_AWAY");
        String strike = path + "/changes/" + line.path("id").asString() + "/strike";
        assertThat(ilse.post(strike, Map.of("reason", " ")).expect(400).wrongFields())
                .containsExactly("reason");
        as("lantern").post(strike, Map.of("reason", "theirs")).expect(404);
        ilse.post(strike, Map.of("reason", "the wrong bottle")).expect(200);
        // Twice is once: the line is no longer found among what stands.
        ilse.post(strike, Map.of("reason", "again")).expect(404);
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(200);
        JsonNode kept = ilse.get(path + "/changes").expect(200).body().get(0);
        assertThat(kept.path("struckReason").asString()).isEqualTo("the wrong bottle");
        assertThat(kept.path("mayBeStruck").asBoolean()).isFalse();
        // What went into a batch is not undone from here.
        JsonNode taken = ilse.get("/api/shelf/lots/" + chain.jar + "/changes")
                .expect(200)
                .body()
                .valueStream()
                .filter(c -> c.path("what").asString().equals("TAKEN"))
                .findFirst()
                .orElseThrow();
        ilse.post(
                        "/api/shelf/lots/" + chain.jar + "/changes/"
                                + taken.path("id").asString() + "/strike",
                        Map.of("reason", "no"))
                .expect(409);
    }

    @Test
    public void someOfItIsGoneAndTheRestIsThere() {
        UUID lot = spirit(200);
        String path = "/api/shelf/lots/" + lot + "/finish?end=COMPOST&amount=";
        ilse.change("POST", path + 50, Map.of(), lot(lot).path("version")).expect(200);
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(150);
        for (String wrong : new String[] {"0", "-3", "150.5", "1e300"}) {
            assertThat(ilse.change("POST", path + wrong, Map.of(), lot(lot).path("version"))
                            .expect(400)
                            .wrongFields())
                    .as(wrong)
                    .containsOnly("amount");
        }
        assertThat(ilse.change("POST", path + "NaN", Map.of(), lot(lot).path("version"))
                        .status())
                .isEqualTo(400);
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(150);
    }

    private Client.Answer split(UUID lot, UUID id, double amount, int jars) {
        return ilse.change(
                "POST",
                "/api/shelf/lots/" + lot + "/split",
                Map.of("id", id, "amount", amount, "jars", jars),
                lot(lot).path("version"));
    }

    @Test
    public void jarsFilledOutOfOneHoldWhatItHeldAndComeFromIt() {
        UUID lot = bought(ilse, "LEAF", 90, 30);
        UUID first = id();
        JsonNode part = split(lot, first, 20, 3).expect(200).body();
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(30);
        for (String same : new String[] {"name", "bestBefore", "madeOn", "route", "supplier", "form", "taxonId"}) {
            assertThat(part.path(same)).as(same).isEqualTo(lot(lot).path(same));
        }
        assertThat(part.path("herbs").get(0).path("driedG").asDouble()).isCloseTo(20, within(1e-6));
        assertThat(part.path("code")).isNotEqualTo(lot(lot).path("code"));
        assertThat(count(first, id(), 60, "more than was filled").expect(400).wrongFields())
                .containsExactly("amount");
        // Sent again it fills no fourth.
        split(lot, first, 20, 3).expect(200);
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(30);
        // What is found out about one is found out about all that came from it.
        ilse.change(
                        "POST",
                        "/api/tracing/lots/" + lot + "/doubt",
                        Map.of("reason", "a leaf of something else in it"),
                        lot(lot).path("version"))
                .expect(200);
        assertThat(lot(first).path("state").asString()).isEqualTo("QUARANTINED");
        assertThat(split(lot, id(), 5, 1).expect(422).codes()).isNotEmpty();
        ilse.change(
                        "POST",
                        "/api/shelf/lots/" + first + "/pour-back",
                        Map.of(),
                        lot(first).path("version"))
                .expect(422);
    }

    @Test
    public void whatIsPouredBackWasNeverApart() {
        UUID lot = bought(ilse, "LEAF", 90, 30);
        UUID part = id();
        split(lot, part, 40, 1).expect(200);
        ilse.change(
                        "POST",
                        "/api/shelf/lots/" + part + "/pour-back",
                        Map.of(),
                        lot(part).path("version"))
                .expect(200);
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(90);
        assertThat(lot(part).path("remaining").asDouble()).isZero();
        // The whole is nobody's part, and an empty jar goes nowhere.
        for (UUID id : List.of(lot, part)) {
            ilse.change("POST", "/api/shelf/lots/" + id + "/pour-back", Map.of(), lot(id).path("version"))
                    .expect(409);
        }
    }

    @Test
    public void noMoreThanThereIsGoesIntoOtherJars() {
        UUID lot = bought(ilse, "LEAF", 90, 30);
        assertThat(split(lot, id(), 31, 3).expect(400).wrongFields()).containsExactly("amount");
        assertThat(split(lot, id(), 1, 31).expect(400).wrongFields()).containsExactly("jars");
        assertThat(split(lot, id(), 0, 1).expect(400).wrongFields()).containsExactly("amount");
        assertThat(lot(lot).path("remaining").asDouble()).isEqualTo(90);
        split(lot, id(), 3, 30).expect(200);
        assertThat(lot(lot).path("remaining").asDouble()).isZero();
        as("lantern")
                .change("POST", "/api/shelf/lots/" + lot + "/split", Map.of("id", id(), "amount", 1, "jars", 1), 0)
                .expect(404);
    }

    @Test
    public void whatIsUsedUpIsFoundByAnyWordsOfIt() {
        UUID lot = bought(ilse, "LEAF", 90, 30);
        ilse.change("POST", "/api/shelf/lots/" + lot + "/finish?end=USED_UP", Map.of(), lot(lot).path("version"))
                .expect(200);
        assertThat(found("QUAY nettle")).contains(lot.toString());
        assertThat(found("quay nobody")).isEmpty();
        assertThat(found("%")).isEmpty();
        ilse.get("/api/shelf/lots/past?find=" + "a".repeat(81)).expect(400);
    }

    private java.util.List<String> found(String words) {
        String query = java.net.URLEncoder.encode(words, java.nio.charset.StandardCharsets.UTF_8);
        return ilse.get("/api/shelf/lots/past?find=" + query)
                .expect(200)
                .body()
                .path("entries")
                .valueStream()
                .map(e -> e.path("id").asString())
                .toList();
    }

    @Test
    public void placeNameAndDesiccantAreChangedByOneAtATime() {
        UUID lot = spirit(100);
        Map<String, Object> body = new HashMap<>(Map.of(
                "name",
                "the old bottle",
                "place",
                "cellar",
                "openedOn",
                today(),
                "supplierLot",
                "L 77",
                "desiccantOn",
                today()));
        int version = lot(lot).path("version").asInt();
        ilse.change("PUT", "/api/shelf/lots/" + lot, body, version).expect(200);
        ilse.change("PUT", "/api/shelf/lots/" + lot, body, version).expect(409);
        assertThat(lot(lot).path("place").asString()).isEqualTo("cellar");
        assertThat(lot(lot).path("supplierLot").asString()).isEqualTo("L 77");
        body.put("openedOn", today().plusDays(1));
        body.put("name", " ");
        assertThat(ilse.change("PUT", "/api/shelf/lots/" + lot, body, version + 1)
                        .expect(400)
                        .wrongFields())
                .containsExactlyInAnyOrder("openedOn", "name");
        assertThat(kinds()).doesNotContain("DESICCANT");
        later(Duration.ofDays(181));
        try {
            assertThat(kinds()).contains("DESICCANT");
        } finally {
            later(Duration.ofDays(-181));
        }
    }

    private String kinds() {
        return ilse.get("/api/calendar/today").expect(200).body().path("tasks").toString();
    }

    /** Of a doubt everything is told, a jar that steeps as well as what stands on the shelf. */
    @Test
    public void afterADoubtAllThatCameOfItIsToldToday() {
        UUID herb = bought(ilse, "LEAF", 50, 20);
        UUID batch = id();
        ilse.post("/api/making/batches", chain.tincture(batch, herb, 20)).expect(200);
        ilse.change(
                        "POST",
                        "/api/tracing/lots/" + herb + "/doubt",
                        Map.of("reason", "a seed head of something else"),
                        lot(herb).path("version"))
                .expect(200);
        assertThat(ilse.get("/api/calendar/today")
                        .expect(200)
                        .body()
                        .path("tasks")
                        .valueStream()
                        .filter(t -> t.path("kind").asString().equals("SET_ASIDE"))
                        .map(t -> t.path("subjectId").asString()))
                .contains(herb.toString(), batch.toString());
    }

    @Test
    public void whatGoesFastRunsOutFirst() {
        UUID root = bought(ilse, "ROOT", 50, 20);
        assertThat(soon(root)).isNull();
        Map<String, Object> first = new HashMap<>(chain.tincture(id(), root, 20));
        first.put("startedOn", today().minusDays(9));
        ilse.post("/api/making/batches", first).expect(200);
        // One use is no habit.
        assertThat(soon(root)).isNull();
        ilse.post("/api/making/batches", chain.tincture(id(), root, 20)).expect(200);
        // 40 of 50 g in the twenty days it was there: the rest lasts five.
        JsonNode soon = soon(root);
        assertThat(soon.path("lastsDays").asInt()).isEqualTo(5);
        assertThat(soon.path("usedADay").asDouble()).isCloseTo(2, within(1e-9));
        assertThat(soon.path("left").asDouble()).isCloseTo(10, within(1e-9));
        // A second bag of the same is the same thing.
        bought(ilse, "ROOT", 500, 0);
        assertThat(soon(root)).isNull();
        assertThat(as("lantern")
                        .get("/api/shelf/running-out")
                        .expect(200)
                        .body()
                        .size())
                .isZero();
    }

    private JsonNode soon(UUID lot) {
        return ilse.get("/api/shelf/running-out")
                .expect(200)
                .body()
                .valueStream()
                .filter(r -> r.path("lotId").asString().equals(lot.toString()))
                .findFirst()
                .orElse(null);
    }

    @Test
    public void theScaleWeighsAJar() {
        UUID placement = id();
        Map<String, Object> body = Map.of("id", placement, "lotId", chain.jar);
        ilse.post("/api/devices/scale/placements", body).expect(200);
        later(Duration.ofSeconds(3));
        JsonNode reading =
                ilse.post("/api/devices/scale/placements", body).expect(200).body();
        assertThat(reading.path("state").asString()).isEqualTo("STABLE");
        assertThat(reading.path("massG").asDouble()).isPositive();
        ilse.post("/api/devices/scale/placements", Map.of("id", id(), "lotId", chain.jar, "dryingRunId", chain.run))
                .expect(400);
    }
}
