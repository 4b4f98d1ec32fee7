package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The diary of a household far east of the server, while its days go by. */
public class SeasonTest extends ServerTest {

    private static final String FAR_EAST = "Pacific/Auckland";

    private Client ilse;
    private Instant before;
    private String zone;
    private Chain made;

    @BeforeClass
    public void moveHouse() {
        ilse = as("ilse");
        before = now();
        zone = ilse.get("/api/household/settings").body().path("zone").asString();
        live(FAR_EAST);
        made = new Chain(ilse, day(), now());
    }

    @AfterClass(alwaysRun = true)
    public void comeBack() {
        live(zone);
        clock.set(before);
    }

    private void live(String where) {
        JsonNode now = ilse.get("/api/household/settings").body();
        ilse.put(
                        "/api/household/settings",
                        Map.of(
                                "name",
                                now.path("name").asString(),
                                "zone",
                                where,
                                "region",
                                now.path("region").asString()),
                        null)
                .expect(200);
    }

    private LocalDate day() {
        return LocalDate.ofInstant(now(), ZoneId.of(FAR_EAST));
    }

    private Set<String> due(Object subject) {
        return ilse.get("/api/calendar/today")
                .expect(200)
                .body()
                .path("tasks")
                .valueStream()
                .filter(t -> t.path("subjectId").asString().equals(subject.toString()))
                .map(t -> t.path("kind").asString())
                .collect(Collectors.toSet());
    }

    private Client.Answer buy(LocalDate on) {
        return ilse.post(
                "/api/shelf/bought",
                Map.of(
                        "id",
                        id(),
                        "taxonId",
                        "stinging-nettle",
                        "part",
                        "LEAF",
                        "massG",
                        50,
                        "supplier",
                        "the market",
                        "label",
                        "SCIENTIFIC_NAME",
                        "mouldSeen",
                        false,
                        "on",
                        on,
                        "place",
                        ""));
    }

    /** Half past seven in the evening there; five hours on it is the next day, at the server still the same. */
    @Test
    public void theDayIsTheHouseholds() {
        LocalDate evening = day();
        assertThat(ilse.get("/api/calendar/today").body().path("today").asString())
                .isEqualTo(evening.toString());
        assertThat(buy(evening.plusDays(1)).expect(400).wrongFields()).contains("on");
        later(Duration.ofHours(5));
        assertThat(day()).isEqualTo(evening.plusDays(1));
        assertThat(ilse.get("/api/calendar/today").body().path("today").asString())
                .isEqualTo(day().toString());
        buy(day()).expect(200);
        live("America/Los_Angeles");
        assertThat(buy(day()).expect(400).wrongFields()).contains("on");
        live(FAR_EAST);
    }

    @Test(dependsOnMethods = "theDayIsTheHouseholds")
    public void aTinctureComesUpEachDayAndOnTheDayToPress() {
        UUID id = id();
        Map<String, Object> asked = made.tincture(id, made.jar, 10);
        asked.put("startedOn", day());
        JsonNode plan =
                ilse.post("/api/making/batches/check", asked).expect(200).body();
        assertThat(plan.path("feasible").asBoolean()).isTrue();
        JsonNode batch = ilse.post("/api/making/batches", asked).expect(200).body();
        LocalDate pressOn = LocalDate.parse(batch.path("pressOn").asString());

        assertThat(due(id)).as("it was stirred when it was made").isEmpty();
        later(Duration.ofDays(1));
        assertThat(due(id)).contains("SHAKE");
        Map<String, Object> shake = Map.of("id", id(), "on", day());
        ilse.post("/api/making/batches/" + id + "/shakes", shake).expect(200);
        JsonNode twice = ilse.post("/api/making/batches/" + id + "/shakes", shake)
                .expect(200)
                .body();
        assertThat(twice.path("shakes").size()).isEqualTo(1);
        assertThat(due(id)).doesNotContain("SHAKE");
        assertThat(ilse.post("/api/making/batches/" + id + "/shakes", Map.of("id", id(), "on", day().plusDays(1)))
                        .expect(400)
                        .wrongFields())
                .contains("on");
        later(Duration.ofDays(1));
        assertThat(due(id)).contains("SHAKE").doesNotContain("PRESS");

        later(Duration.between(now(), pressOn.atTime(9, 0).atZone(ZoneId.of(FAR_EAST))));
        assertThat(due(id)).contains("PRESS");
        ilse.change(
                        "POST",
                        "/api/making/batches/" + id + "/press",
                        Map.of("yieldAmount", 40, "on", day()),
                        made.version(id))
                .expect(200);
        assertThat(due(id)).contains("FILL").doesNotContain("PRESS", "SHAKE");
        JsonNode bottles = ilse.change(
                        "POST",
                        "/api/making/batches/" + id + "/containers",
                        Map.of("containers", List.of(Map.of("capacityMl", 40, "count", 1)), "on", day(), "place", ""),
                        made.version(id))
                .expect(200)
                .body();
        assertThat(due(id)).isEmpty();

        String bottle = bottles.path("containers").path(0).path("id").asString();
        if (bottle.isEmpty()) {
            bottle = bottles.path(0).path("id").asString();
        }
        ilse.change("POST", "/api/shelf/lots/" + bottle + "/finish", null, made.lotVersion(UUID.fromString(bottle)))
                .expect(200);
        assertThat(past(ilse, "/api/shelf/lots", "chain tincture")
                        .path("remaining")
                        .asDouble())
                .isZero();
        assertThat(past(ilse, "/api/making/batches", "chain tincture")
                        .path("kind")
                        .asString())
                .isEqualTo("TINCTURE");
    }

    @Test(dependsOnMethods = "theDayIsTheHouseholds")
    public void teaAndOilAreReckonedBeforeTheyAreStarted() {
        Map<String, Object> tea = new HashMap<>(Map.of(
                "id",
                id(),
                "name",
                "nettle tea",
                "kind",
                "TEA",
                "herbs",
                List.of(Map.of("herb", Map.of("lotId", made.jar, "massG", 3))),
                "wantedMl",
                250,
                "route",
                "INTERNAL",
                "startedOn",
                day()));
        JsonNode hot = ilse.post("/api/making/batches/check", tea).expect(200).body();
        assertThat(hot.at("/plan/hours/room").asDouble()).isEqualTo(4);
        assertThat(hot.at("/plan/facts/0/value/low").asDouble()).isGreaterThan(250);
        tea.put("herbs", List.of(Map.of("herb", Map.of("lotId", made.jar, "massG", 3), "method", "COLD_MACERATION")));
        JsonNode cold = ilse.post("/api/making/batches/check", tea).expect(200).body();
        assertThat(cold.at("/plan/hours/room").asDouble()).isZero();
        assertThat(LocalDate.parse(cold.at("/plan/keepsUntil").asString())).isBeforeOrEqualTo(day().plusDays(1));
        assertThat(ilse.get("/api/making/batches")
                        .body()
                        .valueStream()
                        .map(b -> b.path("name").asString()))
                .as("a check starts nothing")
                .doesNotContain("nettle tea");

        Map<String, Object> oil = Map.of(
                "id",
                id(),
                "name",
                "nettle oil",
                "kind",
                "INFUSED_OIL",
                "herbs",
                List.of(Map.of("lotId", made.jar, "massG", 4)),
                "ratio",
                8,
                "carrier",
                Map.of("lotId", lot(ilse, "olive oil").path("id").asString()),
                "method",
                "COLD",
                "route",
                "EXTERNAL",
                "startedOn",
                day());
        JsonNode reckoned =
                ilse.post("/api/making/batches/check", oil).expect(200).body();
        assertThat(reckoned.at("/plan/portions/1/volumeMl").asDouble()).isEqualTo(32);
    }

    @Test
    public void whatIsReadForTheListsIsThere() {
        assertThat(ilse.get("/api/planning/needs")
                        .expect(200)
                        .body()
                        .valueStream()
                        .map(n -> n.path("name").asString()))
                .isNotEmpty()
                .doesNotHaveDuplicates();
        String need = ilse.get("/api/planning/needs")
                .body()
                .valueStream()
                .filter(n -> !n.path("grave").asBoolean())
                .findFirst()
                .orElseThrow()
                .path("name")
                .asString();
        JsonNode answer = ilse.get("/api/planning/needs/plants?need="
                        + java.net.URLEncoder.encode(need, java.nio.charset.StandardCharsets.UTF_8) + "&person="
                        + person(ilse, "Ilse Varga-Holm").path("id").asString())
                .expect(200)
                .body();
        assertThat(answer.path("suggestions").size() + answer.path("dropped").size())
                .isPositive();
        assertThat(ilse.get("/api/people/families").expect(200).body().size()).isGreaterThan(5);
        assertThat(ilse.get("/api/herbarium/characters").expect(200).body().size())
                .isGreaterThan(40);
        assertThat(ilse.get("/api/herbarium/drawings").expect(200).body().size())
                .isGreaterThan(60);
        assertThat(ilse.get("/api/tracing/starts")
                        .expect(200)
                        .body()
                        .valueStream()
                        .map(s -> s.path("id").asString()))
                .contains(made.stand.toString(), made.bottle.toString());
        assertThat(ilse.get("/api/field/harvests").expect(200).body().toString())
                .contains(made.basket.toString());
        assertThat(ilse.get("/api/drying/waiting").expect(200).body().toString())
                .contains(made.basket.toString());
        assertThat(ilse.get("/api/dosing/people/" + made.person + "/trials")
                        .expect(200)
                        .body()
                        .size())
                .isEqualTo(2);
        assertThat(ilse.get("/api/household/backup")
                        .expect(200)
                        .body()
                        .path("copies")
                        .isNumber())
                .isTrue();
    }

    /** A cupboard of many years is traced by what is still there; what is used up long ago is counted, and shown if asked. */
    @Test(dependsOnMethods = "aTinctureComesUpEachDayAndOnTheDayToPress")
    public void whatIsUsedUpLongAgoIsCountedInATraceAndStillReached() {
        String trace = "/api/tracing/lots/" + made.stand;
        int all = ilse.get(trace + "?all=true")
                .expect(200)
                .body()
                .path("downstream")
                .size();
        assertThat(ilse.get(trace).body().path("older").asInt()).isZero();
        Instant then = now();
        later(Duration.ofDays(3 * 365));
        JsonNode now = ilse.get(trace).expect(200).body();
        assertThat(now.path("older").asInt()).isPositive();
        assertThat(now.path("downstream").size() + now.path("older").asInt()).isEqualTo(all);
        Set<String> shown =
                now.path("downstream").valueStream().map(JsonNode::asString).collect(Collectors.toSet());
        assertThat(shown).contains(made.bottle.toString(), made.jar.toString());
        assertThat(ilse.get(trace + "?all=true").body().path("downstream").size())
                .isEqualTo(all);
        clock.set(then);
    }

    /** Daylight saving, a corrected clock: what was recorded stays, and what would lie before it is refused in words. */
    @Test(dependsOnMethods = "whatIsUsedUpLongAgoIsCountedInATraceAndStillReached")
    public void aClockThatGoesBackLosesAndDoublesNothing() {
        int lots = ilse.get("/api/shelf/lots").body().size();
        Instant then = now();
        clock.set(then.minus(Duration.ofDays(2)));
        assertThat(ilse.get("/api/shelf/lots").expect(200).body().size()).isEqualTo(lots);
        ilse.get("/api/calendar/today").expect(200);
        assertThat(buy(day().plusDays(1)).expect(400).wrongFields()).contains("on");
        buy(day()).expect(200);
        clock.set(then);
        assertThat(ilse.get("/api/shelf/lots").body().size()).isEqualTo(lots + 1);
    }
}
