package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What happens to a batch after it is begun: in which vessel, poured off in parts, weighed in the pan, with essential oil. */
public class AtTheBenchTest extends ServerTest {

    private Client ilse;
    private Chain chain;
    private UUID spirit;
    private UUID oil;
    private UUID wax;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
        spirit = supply("SPIRIT", "bench spirit", 45.0);
        oil = supply("CARRIER_OIL", "olive oil of the bench", null);
        wax = supply("WAX", "beeswax", null);
    }

    private UUID supply(String form, String name, Double percent) {
        UUID id = id();
        Map<String, Object> body = new HashMap<>(Map.of(
                "id", id, "form", form, "name", name, "amount", 5000, "denatured", false, "open", false, "place", ""));
        if (percent != null) {
            body.put("strengthPercent", percent);
        }
        ilse.post("/api/shelf/supplies", body).expect(200);
        return id;
    }

    private UUID vessel(String kind, double capacityMl, int count) {
        UUID id = id();
        ilse.post(
                        "/api/shelf/vessels",
                        Map.of("id", id, "kind", kind, "capacityMl", capacityMl, "count", count, "note", ""))
                .expect(200);
        return id;
    }

    private JsonNode vessel(UUID id) {
        for (JsonNode v : ilse.get("/api/shelf/vessels").expect(200).body()) {
            if (v.path("id").asString().equals(id.toString())) {
                return v;
            }
        }
        throw new AssertionError("no vessel " + id);
    }

    private Map<String, Object> tincture(UUID id, int daysAgo, String press) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                id,
                "kind",
                "TINCTURE",
                "name",
                "nettle of the bench",
                "herbs",
                List.of(Map.of("lotId", chain.jar, "massG", 2)),
                "ratio",
                20,
                "waterCounts",
                false,
                "basis",
                "MENSTRUUM",
                "strengthPercent",
                45));
        body.putAll(Map.of(
                "spirits",
                List.of(Map.of("lotId", spirit)),
                "press",
                press,
                "route",
                "INTERNAL",
                "startedOn",
                today().minusDays(daysAgo),
                "acknowledged",
                List.of(Map.of("code", "LEFT_ON_THE_HERB", "reason", "tried on purpose"))));
        return body;
    }

    private JsonNode batch(UUID id) {
        return ilse.get("/api/making/batches/" + id).expect(200).body();
    }

    private JsonNode lot(UUID id) {
        return ilse.get("/api/shelf/lots/" + id).expect(200).body();
    }

    private static int match(JsonNode record) {
        return record.path("version").asInt();
    }

    @Test
    public void aJarIsTakenAndComesBackAndNoneIsUsedTwice() {
        UUID jar = vessel("JAR", 100, 1);
        UUID small = vessel("JAR", 20, 1);
        UUID first = id();
        JsonNode fits = ilse.post("/api/making/batches/check", tincture(first, 0, "EARLY"))
                .expect(200)
                .body()
                .path("fits");
        assertThat(fits.toString()).contains(jar.toString()).doesNotContain(small.toString());
        assertThat(ilse.post("/api/making/batches?vessel=" + small, tincture(first, 0, "EARLY"))
                        .expect(422)
                        .codes())
                .containsExactly("VESSEL_TOO_SMALL");
        ilse.post("/api/making/batches?vessel=" + jar, tincture(first, 0, "EARLY"))
                .expect(200);
        ilse.post("/api/making/batches?vessel=" + jar, tincture(first, 0, "EARLY"))
                .expect(200);
        assertThat(vessel(jar).path("free").asInt()).isZero();
        ilse.post("/api/making/batches?vessel=" + jar, tincture(id(), 0, "EARLY"))
                .expect(409);
        ilse.change("POST", "/api/shelf/vessels/" + jar + "/count", Map.of("count", 0), match(vessel(jar)))
                .expect(400);
        ilse.change(
                        "POST",
                        "/api/making/batches/" + first + "/press",
                        Map.of("yieldAmount", 36, "on", today(), "acknowledged", Chain.EARLY),
                        match(batch(first)))
                .expect(200);
        assertThat(vessel(jar).path("free").asInt()).isEqualTo(1);
        // Three bottles of twenty, of which two are filled; too much for one, and more than there are, is refused.
        UUID bottles = vessel("BOTTLE", 20, 1);
        assertThat(ilse.change(
                                "POST",
                                "/api/making/batches/" + first + "/containers",
                                fill(21, 1, bottles),
                                match(batch(first)))
                        .expect(400)
                        .wrongFields())
                .contains("containers[0].capacityMl");
        ilse.change("POST", "/api/making/batches/" + first + "/containers", fill(10, 2, bottles), match(batch(first)))
                .expect(409);
        int before = match(batch(first));
        JsonNode bottle = ilse.change(
                        "POST", "/api/making/batches/" + first + "/containers", fill(18, 1, bottles), before)
                .expect(200)
                .body()
                .get(0);
        ilse.change("POST", "/api/making/batches/" + first + "/containers", fill(18, 1, null), before)
                .expect(409);
        assertThat(bottle.path("vesselMl").asDouble()).isEqualTo(20);
        assertThat(vessel(bottles).path("free").asInt()).isZero();
        ilse.change("POST", "/api/shelf/lots/" + bottle.path("id").asString() + "/finish", Map.of(), match(bottle))
                .expect(200);
        assertThat(vessel(bottles).path("free").asInt()).isEqualTo(1);
        // Another household has none of these.
        as("lantern")
                .change("POST", "/api/shelf/vessels/" + jar + "/count", Map.of("count", 3), 0)
                .expect(404);
    }

    private static Map<String, Object> fill(double ml, int count, UUID vessel) {
        Map<String, Object> container = new HashMap<>(Map.of("capacityMl", ml, "count", count));
        if (vessel != null) {
            container.put("vesselId", vessel);
        }
        return Map.of("containers", List.of(container), "on", today(), "place", "", "restGone", false);
    }

    @Test
    public void whatIsLeftOnTheHerbIsPouredOffInPartsAndTheSumStays() {
        UUID young = id();
        ilse.post("/api/making/batches", tincture(young, 0, "LEAVE")).expect(200);
        assertThat(ilse.change(
                                "POST",
                                "/api/making/batches/" + young + "/pour-off",
                                fill(5, 1, null),
                                match(batch(young)))
                        .expect(400)
                        .wrongFields())
                .contains("on");
        UUID old = id();
        Map<String, Object> body = tincture(old, 20, "LEAVE");
        UUID jar = bought(ilse, "LEAF", 50, 20);
        body.put("herbs", List.of(Map.of("lotId", jar, "massG", 2)));
        ilse.post("/api/making/batches", body).expect(200);
        int version = match(batch(old));
        JsonNode poured = ilse.change("POST", "/api/making/batches/" + old + "/pour-off", fill(10, 1, null), version)
                .expect(200)
                .body();
        assertThat(poured.size()).isEqualTo(1);
        ilse.change("POST", "/api/making/batches/" + old + "/pour-off", fill(10, 1, null), version)
                .expect(409);
        JsonNode after = batch(old);
        assertThat(after.path("status").asString()).isEqualTo("STEEPING");
        assertThat(after.path("containers").size()).isEqualTo(1);
        assertThat(ilse.get("/api/tracing/lots/" + poured.get(0).path("id").asString())
                        .body()
                        .path("upstream")
                        .toString())
                .contains(jar.toString());
        ilse.change(
                        "POST",
                        "/api/making/batches/" + old + "/press",
                        Map.of("yieldAmount", 25, "on", today(), "acknowledged", Chain.EARLY),
                        match(after))
                .expect(200);
        assertThat(batch(old).path("yieldAmount").asDouble()).isCloseTo(35, within(1e-9));
        assertThat(lot(old).path("amount").asDouble()).isCloseTo(35, within(1e-9));
        assertThat(lot(old).path("remaining").asDouble()).isCloseTo(25, within(1e-9));
        // Pressed it is filled, not poured off.
        ilse.change("POST", "/api/making/batches/" + old + "/pour-off", fill(5, 1, null), match(batch(old)))
                .expect(409);
    }

    @Test
    public void oilWithWaterInItIsHeldUntilAWeightLetsItGo() {
        UUID tea = id();
        ilse.post(
                        "/api/making/batches",
                        Map.of(
                                "id",
                                tea,
                                "kind",
                                "TEA",
                                "name",
                                "decoction for oil",
                                "herbs",
                                List.of(Map.of("herb", Map.of("lotId", chain.jar, "massG", 2))),
                                "wantedMl",
                                300,
                                "route",
                                "INTERNAL",
                                "startedOn",
                                today(),
                                "acknowledged",
                                List.of(Map.of("code", "STRENGTH_IMPLAUSIBLE", "reason", "tried on purpose"))))
                .expect(200);
        UUID id = id();
        ilse.post(
                        "/api/making/batches",
                        Map.of(
                                "id",
                                id,
                                "kind",
                                "EVAPORATED_OIL",
                                "name",
                                "simmered oil",
                                "decoction",
                                Map.of("lotId", tea),
                                "decoctionMl",
                                100,
                                "carrier",
                                Map.of("lotId", oil),
                                "oilMl",
                                100,
                                "startedOn",
                                today(),
                                "acknowledged",
                                List.of(Map.of("code", "WATER_IN_HOT_OIL", "reason", "wide pan"))))
                .expect(200);
        assertThat(lot(id).path("state").asString()).isEqualTo("HOLD");
        assertThat(lot(id).path("route").asString()).isEqualTo("EXTERNAL");
        // No word lifts it, and no bottle is filled from it.
        assertThat(ilse.change(
                                "POST",
                                "/api/shelf/lots/" + id + "/release",
                                Map.of("reason", "looks dry"),
                                match(lot(id)))
                        .expect(422)
                        .codes())
                .containsExactly("HELD_BY_THE_WORK");
        assertThat(ilse.change("POST", "/api/making/batches/" + id + "/containers", fill(30, 1, null), match(batch(id)))
                        .expect(422)
                        .codes())
                .containsExactly("ON_HOLD");
        String pan = "/api/making/batches/" + id + "/pan";
        assertThat(ilse.post(pan, Map.of("id", id(), "massG", 80)).expect(400).wrongFields())
                .containsExactly("massG");
        UUID first = id();
        ilse.post(pan, Map.of("id", first, "massG", 120)).expect(200);
        // Sent twice it is noted once; something else under the same id is no repetition.
        ilse.post(pan, Map.of("id", first, "massG", 110)).expect(409);
        JsonNode wet =
                ilse.post(pan, Map.of("id", first, "massG", 120)).expect(200).body();
        assertThat(wet.path("waterLeftG").asDouble()).isCloseTo(28, within(1e-9));
        UUID last = id();
        ilse.post(pan, Map.of("id", last, "massG", 92.2)).expect(200);
        assertThat(lot(id).path("state").asString()).isEqualTo("USABLE");
        // Struck out, the weight before it decides again.
        ilse.post(pan + "/" + last + "/strike", Map.of("reason", "another pan")).expect(200);
        assertThat(lot(id).path("state").asString()).isEqualTo("HOLD");
        ilse.post(pan, Map.of("id", id(), "massG", 92)).expect(200);
        ilse.change("POST", "/api/making/batches/" + id + "/containers", fill(30, 1, null), match(batch(id)))
                .expect(200);
    }

    @Test
    public void essentialOilInASalveForGrownUpsStaysWithIt() {
        UUID mint = supply("ESSENTIAL_OIL", "peppermint oil", null);
        UUID moss = supply("ESSENTIAL_OIL", "oakmoss", null);
        UUID butter = supply("BUTTER", "shea butter", null);
        Map<String, Object> salve = new HashMap<>(Map.of(
                "id",
                id(),
                "kind",
                "SALVE",
                "name",
                "chest salve",
                "oils",
                List.of(Map.of("stock", Map.of("lotId", oil), "parts", 2)),
                "wax",
                Map.of("lotId", wax),
                "butter",
                Map.of("lotId", butter),
                "butterPercent",
                20,
                "essentialOils",
                List.of(Map.of("stock", Map.of("lotId", mint), "massG", 1.0)),
                "tins",
                List.of(Map.of("capacityMl", 30, "count", 2)),
                "firmness",
                "MEDIUM"));
        salve.put("storageTemperatureC", 20);
        salve.put("startedOn", today());
        assertThat(ilse.post("/api/making/batches/check", withAge(salve, 5.0))
                        .expect(200)
                        .codes())
                .contains("ESSENTIAL_OIL_TOO_MUCH", "COOLING_OIL");
        JsonNode made = ilse.post("/api/making/batches", withAge(salve, 18.0))
                .expect(200)
                .body();
        JsonNode lot = lot(UUID.fromString(made.path("id").asString()));
        assertThat(lot.path("traits").toString()).contains("ESSENTIAL_OIL", "ESSENTIAL_OIL_FOR_ADULTS", "COOLING_OIL");
        JsonNode tin = ilse.change(
                        "POST",
                        "/api/making/batches/" + made.path("id").asString() + "/containers",
                        fill(30, 1, null),
                        match(made))
                .expect(200)
                .body()
                .get(0);
        assertThat(tin.path("traits").toString()).contains("ESSENTIAL_OIL_FOR_ADULTS");
        assertThat(lot(butter).path("remaining").asDouble()).isLessThan(5000);
        Map<String, Object> odd = withAge(salve, 18.0);
        odd.put("essentialOils", List.of(Map.of("stock", Map.of("lotId", moss), "massG", 0.2)));
        assertThat(ilse.post("/api/making/batches/check", odd).expect(200).codes())
                .contains("ESSENTIAL_OIL_UNKNOWN");
        odd.put("butterPercent", null);
        assertThat(ilse.post("/api/making/batches/check", odd).expect(400).wrongFields())
                .containsExactly("butterPercent");
    }

    private Map<String, Object> withAge(Map<String, Object> body, double years) {
        Map<String, Object> copy = new HashMap<>(body);
        copy.put("id", id());
        copy.put("youngestAgeYears", years);
        return copy;
    }
}
