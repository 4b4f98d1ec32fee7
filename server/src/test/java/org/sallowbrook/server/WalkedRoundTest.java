package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.sallowbrook.server.platform.SimulatedClock;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** Ways round the gates that somebody once found, walked again. */
public class WalkedRoundTest extends ServerTest {

    @Autowired
    JdbcClient jdbc;

    private Client ilse;
    private Chain chain;

    @BeforeClass(dependsOnMethods = "springTestContextPrepareTestInstance")
    public void chain() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
    }

    // ---- the verdict

    @Test
    public void aVerdictDoesNotFollowTheStandToAnotherPlant() {
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        Chain.look(ilse, stand, today());
        String path = "/api/field/stands/" + stand;
        ilse.change("PUT", path, Chain.standBody(stand, "ramsons", "CLEAN", null), 0)
                .expect(200);
        var check = ilse.post(path + "/harvests/check", harvest(id(), "LEAF", List.of("a", "b", "c")));
        assertThat(check.codes()).contains("NOT_IDENTIFIED");
        assertThat(ilse.post(path + "/tags", Map.of("id", id(), "stake", "red", "place", "here"))
                        .expect(422)
                        .codes())
                .contains("TAG_UNCONFIRMED");
    }

    @Test
    public void aHarvestIsNotDatedBeforeItsLookNorALookIntoTheFuture() {
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        Chain.look(ilse, stand, today());
        var check = ilse.post(
                "/api/field/stands/" + stand + "/harvests/check", chain.picked(id(), today().minusDays(1), 10));
        assertThat(check.codes()).contains("NOT_IDENTIFIED");
        ilse.post("/api/field/stands/" + stand + "/identifications", Chain.lookBody(ilse, today().plusDays(1), null))
                .expect(400);
    }

    @Test
    public void aDoubtIsClearedByTwoWhoLookedSince() {
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        ilse.change("POST", "/api/tracing/stands/" + stand + "/doubt", Map.of("reason", "x"), 0)
                .expect(200);
        String looks = "/api/field/stands/" + stand + "/identifications";
        // A name in words is no second person, whoever's it is.
        for (String name : List.of("Tam Holm", " ilse varga-holm", "x", "Anybody")) {
            assertThat(ilse.post(looks, Chain.lookBody(ilse, today(), name))
                            .expect(422)
                            .codes())
                    .containsExactly("SECOND_OBSERVER");
        }
        Map<String, Object> early = Chain.lookBody(ilse, today().minusYears(3), null);
        early.put("second", ilse.signedBy("tam"));
        assertThat(ilse.post(looks, early).expect(422).codes()).containsExactly("LOOKED_BEFORE_DOUBT");
        Map<String, Object> together = Chain.lookBody(ilse, today(), null);
        together.put("second", ilse.signedBy("tam"));
        ilse.post(looks, together).expect(200);
        assertThat(ilse.get("/api/field/stands/" + stand).body().path("doubted").asBoolean())
                .isFalse();
    }

    // ---- cards

    private Map<String, Object> card(String id) {
        return new LinkedHashMap<>(Client.JSON.convertValue(
                ilse.get("/api/herbarium/taxa/" + id + "/card").body().path("card"),
                new TypeReference<Map<String, Object>>() {}));
    }

    @Test
    public void aKindCautionBeforeTheStrictOneChangesNothing() {
        Map<String, Object> card = card("stinging-nettle");
        List<Object> cautions = new ArrayList<>();
        for (String subject : List.of("PREGNANCY", "BREAST_FEEDING", "UNDER_AGE")) {
            cautions.add(Map.of(
                    "subject",
                    subject,
                    "status",
                    "NONE_FOUND",
                    "effect",
                    "nothing",
                    "source",
                    ((Map<?, ?>) card.get("sources")).keySet().iterator().next()));
        }
        cautions.addAll((List<?>) card.get("cautions"));
        card.put("cautions", cautions);
        Map<String, Object> pregnant = Chain.personBody(id());
        pregnant.put("trimester", 1);
        ilse.post("/api/people", pregnant).expect(200);
        Map<String, Object> course = chain.course(id(), pregnant.get("id").toString(), chain.bottle, 1);
        List<String> before =
                ilse.post("/api/dosing/courses", course).expect(422).codes();
        var saved = ilse.put("/api/herbarium/taxa/stinging-nettle/card", card, null);
        assertThat(ilse.post("/api/dosing/courses", course).expect(422).codes()).containsAll(before);
        if (saved.status() == 200) {
            ilse.delete(
                            "/api/herbarium/taxa/stinging-nettle/card",
                            saved.body().path("version").asString())
                    .expect(204);
        }
    }

    @DataProvider
    public Object[][] spoiltCards() {
        List<Object> withNull = new ArrayList<>();
        withNull.add(null);
        Map<String, Object> months = Map.of("FLOWERING", List.of(13));
        return new Object[][] {
            {"regions", List.of("merrow", "my-garden")},
            {"family", "Apiaceae "},
            {"family", "Rosaceae"},
            {"genusEnough", true},
            {"commonNames", withNull},
            {"actions", withNull},
            {"months", months},
            {"months", Map.of("FLOWERING", List.of(-1))},
            {
                "cautions",
                List.of(Map.of(
                        "subject",
                        "UNDER_AGE",
                        "value",
                        "abc",
                        "status",
                        "PRESENT",
                        "severity",
                        "STOP",
                        "effect",
                        "x",
                        "source",
                        "x"))
            },
            {
                "cautions",
                List.of(Map.of(
                        "subject",
                        "MEDICINE",
                        "value",
                        "MAGIC",
                        "status",
                        "PRESENT",
                        "severity",
                        "STOP",
                        "effect",
                        "x",
                        "source",
                        "x"))
            },
        };
    }

    @Test(dataProvider = "spoiltCards")
    public void noFieldOfAShippedCardIsBentOrBroken(String field, Object value) {
        Map<String, Object> card = card("caraway");
        card.put(field, value);
        ilse.put("/api/herbarium/taxa/caraway/card", card, null).expect(400);
        ilse.get("/api/herbarium/taxa/caraway").expect(200);
    }

    private static String own(String id, String name, String family) {
        return """
                id: %s
                name: %s
                author: L.
                commonNames: [harmless thing]
                family: %s
                lifeForm: perennial herb
                danger: HARMLESS
                draft: true
                lookAlikesChecked: true
                regions: [merrow]
                habitat: dunes
                protection: none
                months: {FLOWERING: [7, 8]}
                characters:
                  leaf-texture: always stiff
                source: {title: A flora, year: 2019, evidence: REFERENCE}
                """.formatted(id, name, family);
    }

    private Client.Answer write(String yaml) {
        return ilse.send(
                "POST", "/api/herbarium/own-cards", yaml.getBytes(StandardCharsets.UTF_8), "application/yaml", null);
    }

    @Test
    public void noOwnCardTakesADeadlyName() {
        for (String name : List.of("Conium maculatum", "conium  MACULATUM", "Conium maculatun", "Cicuta virosa")) {
            assertThat(write(own("mine-" + name.hashCode(), name, "Apiaceae")).status())
                    .as(name)
                    .isEqualTo(400);
        }
    }

    @Test
    public void anUnusedCardOfOnesOwnCanBeThrownAwayAndAUsedOneNot() {
        JsonNode card =
                write(own("sand-thing", "Arena nova", "Poaceae")).expect(200).body();
        ilse.delete("/api/herbarium/taxa/sand-thing/card", card.path("version").asString())
                .expect(204);
        JsonNode again =
                write(own("sand-thing", "Arena nova", "Poaceae")).expect(200).body();
        Chain.stand(ilse, id(), "sand-thing");
        ilse.delete("/api/herbarium/taxa/sand-thing/card", again.path("version").asString())
                .expect(409);
    }

    @Test
    public void anAllergyIsReadHoweverItIsWritten() {
        Map<String, Object> allergic = Chain.personBody(id());
        allergic.put("allergyFamilies", List.of(" urticaceae"));
        var saved = ilse.post("/api/people", allergic).expect(200);
        assertThat(saved.body().path("allergyFamilies").get(0).asString()).isEqualTo("Urticaceae");
        assertThat(ilse.post(
                                "/api/dosing/courses",
                                chain.course(id(), allergic.get("id").toString(), chain.bottle, 1))
                        .expect(422)
                        .codes())
                .contains("ALLERGY");
        allergic.put("id", id());
        allergic.put("allergyFamilies", List.of("Urticacae"));
        assertThat(ilse.post("/api/people", allergic).expect(400).wrongFields()).containsExactly("allergyFamilies");
    }

    // ---- mass and time

    @Test
    public void nothingComesFromNothingNorBeforeItsSource() {
        assertThat(ilse.post("/api/drying/runs", chain.rack(id(), chain.basket, 5000, chain.now))
                        .expect(400)
                        .wrongFields())
                .containsExactly("freshG");
        assertThat(ilse.post(
                                "/api/drying/runs",
                                chain.rack(id(), chain.basket, 150, chain.now.minus(3, ChronoUnit.DAYS)))
                        .expect(400)
                        .wrongFields())
                .containsExactly("at");
        Map<String, Object> bone = new HashMap<>(chain.rack(id(), chain.basket, 150, chain.now));
        bone.put("moisture", Map.of("low", 0.10, "high", 0.105));
        assertThat(ilse.post("/api/drying/runs", bone).expect(400).wrongFields())
                .containsExactly("moisture");
        assertThat(ilse.post(
                                "/api/shelf/jars",
                                Map.of(
                                        "id",
                                        id(),
                                        "fromRun",
                                        chain.run,
                                        "on",
                                        today().minusDays(4),
                                        "massG",
                                        51,
                                        "place",
                                        ""))
                        .expect(400)
                        .wrongFields())
                .containsExactly("on");
        Map<String, Object> early = chain.tincture(id(), chain.jar, 5);
        early.put("startedOn", today().minusDays(30));
        assertThat(ilse.post("/api/making/batches", early).expect(400).wrongFields())
                .containsExactly("startedOn");
    }

    @Test
    public void twoWeighingsOfOneMomentBreakNoView() {
        UUID run = id();
        UUID harvest = id();
        ilse.post("/api/field/stands/" + chain.stand + "/identifications", Chain.lookBody(ilse, today(), null))
                .expect(200);
        ilse.post("/api/field/stands/" + chain.stand + "/harvests", chain.picked(harvest, today(), 90))
                .expect(200);
        ilse.post("/api/drying/runs", chain.rack(run, harvest, 90, chain.now.minus(3, ChronoUnit.HOURS)))
                .expect(200);
        Map<String, Object> weighing = new HashMap<>(
                Map.of("id", id(), "at", chain.now.minus(1, ChronoUnit.HOURS), "massG", 80, "source", "HAND"));
        ilse.post("/api/drying/runs/" + run + "/weighings", weighing).expect(200);
        weighing.put("id", id());
        weighing.put("massG", 79);
        ilse.post("/api/drying/runs/" + run + "/weighings", weighing).expect(400);
        // Kept by an older version all the same.
        jdbc.sql("insert into weighing select gen_random_uuid(), household_id, run_id, at, rack_hours, 78, weighed_by,"
                        + " source from weighing where run_id = ?")
                .param(run)
                .update();
        ilse.get("/api/drying/runs").expect(200);
        ilse.get("/api/drying/runs/" + run).expect(200);
    }

    // ---- taking

    @Test
    public void endingACourseAndStartingItAgainDoesNotStartTheCountAgain() {
        String person = tried();
        UUID id = id();
        ilse.post("/api/dosing/courses", chain.course(id, person, chain.bottle, 10))
                .expect(200);
        Map<String, Object> dose = new HashMap<>(chain.dose(1));
        dose.put("amount", 1.4);
        ilse.post("/api/dosing/courses/" + id + "/doses", dose).expect(200);
        int version =
                ilse.get("/api/dosing/courses/" + id).body().path("version").asInt();
        ilse.change("POST", "/api/dosing/courses/" + id + "/end", Map.of(), version)
                .expect(200);
        // An ended one takes nothing more.
        ilse.post("/api/dosing/courses/" + id + "/doses", chain.dose(2)).expect(409);
        // What was taken of it today counts into what is planned for the same day: the most that passes is less.
        Map<String, Object> again = chain.course(id(), person, chain.bottle, 1);
        Map<String, Object> fresh = chain.course(id(), tried(), chain.bottle, 1);
        double most = mostThatPasses(fresh);
        double left = mostThatPasses(again);
        assertThat(left * 2).isCloseTo(most * 2 - 1.4, org.assertj.core.api.Assertions.within(0.02));
    }

    /** mL of one of two doses a day, up to which no ceiling is broken. */
    private double mostThatPasses(Map<String, Object> course) {
        double low = 0.01;
        double high = 500;
        while (high - low > 0.002) {
            double middle = (low + high) / 2;
            course.put("perDose", middle);
            boolean above = ilse.post("/api/dosing/courses/check", course)
                    .expect(200)
                    .codes()
                    .contains("DOSE_ABOVE_CARD");
            low = above ? low : middle;
            high = above ? middle : high;
        }
        return low;
    }

    private String tried() {
        String person = Chain.person(ilse);
        Chain.tried(ilse, person, today());
        return person;
    }

    @Test
    public void aDoseIdIsOfOneDose() {
        String person = tried();
        UUID one = id();
        UUID two = id();
        ilse.post("/api/dosing/courses", chain.course(one, person, chain.bottle, 2))
                .expect(200);
        ilse.post("/api/dosing/courses", chain.course(two, tried(), chain.bottle, 2))
                .expect(200);
        Map<String, Object> dose = chain.dose(1);
        ilse.post("/api/dosing/courses/" + one + "/doses", dose).expect(200);
        ilse.post("/api/dosing/courses/" + one + "/doses", dose).expect(200);
        ilse.post("/api/dosing/courses/" + two + "/doses", dose).expect(409);
        assertThat(ilse.get("/api/dosing/courses/" + one).body().path("taken")).hasSize(1);
        assertThat(ilse.get("/api/dosing/courses/" + two).body().path("taken")).isEmpty();
    }

    /** A warning that arose since the course began is asked about before the next dose, once. */
    @Test
    public void aWarningThatAroseIsAcknowledgedBeforeTheNextDose() {
        Map<String, Object> person = Chain.personBody(id());
        ilse.post("/api/people", person).expect(200);
        String who = person.get("id").toString();
        Chain.tried(ilse, who, today());
        UUID course = id();
        ilse.post("/api/dosing/courses", chain.course(course, who, chain.bottle, 2))
                .expect(200);
        person.put("medicines", List.of("BLOOD_PRESSURE"));
        ilse.change("PUT", "/api/people/" + who, person, 0).expect(200);
        Map<String, Object> dose = new HashMap<>(chain.dose(1));
        var asked = ilse.post("/api/dosing/courses/" + course + "/doses", dose).expect(422);
        List<Map<String, Object>> reasons = asked.body()
                .path("findings")
                .valueStream()
                .filter(f -> f.path("severity").asString().equals("WARN"))
                .map(f -> Map.<String, Object>of("code", f.path("code").asString(), "reason", "the doctor knows"))
                .toList();
        assertThat(reasons).isNotEmpty();
        dose.put("id", id());
        dose.put("acknowledged", reasons);
        ilse.post("/api/dosing/courses/" + course + "/doses", dose).expect(200);
        later(Duration.ofMinutes(1));
        ilse.post("/api/dosing/courses/" + course + "/doses", chain.dose(2)).expect(200);
    }

    @Test
    public void aTeaIsNotPlannedForLongerThanItKeeps() {
        UUID tea = id();
        ilse.post(
                        "/api/making/batches",
                        Map.of(
                                "id",
                                tea,
                                "name",
                                "nettle tea",
                                "kind",
                                "TEA",
                                "herbs",
                                List.of(Map.of("herb", Map.of("lotId", chain.jar, "massG", 2))),
                                "wantedMl",
                                200,
                                "honey",
                                true,
                                "route",
                                "INTERNAL",
                                "startedOn",
                                today()))
                .expect(200);
        assertThat(ilse.post("/api/dosing/courses", chain.course(id(), tried(), tea, 21))
                        .expect(422)
                        .codes())
                .contains("EXPIRES_DURING");
        Map<String, Object> infant = Chain.personBody(id());
        infant.put("bornOn", today().minusMonths(5));
        infant.put("weightKg", 7);
        ilse.post("/api/people", infant).expect(200);
        assertThat(ilse.post(
                                "/api/dosing/courses",
                                chain.course(id(), infant.get("id").toString(), tea, 1))
                        .expect(422)
                        .codes())
                .contains("HONEY", "UNDER_TWO");
    }

    @Test
    public void aFinishedCourseIsFinishedAndAnExpiredBottleIsGivenToNobody() {
        UUID course = id();
        ilse.post("/api/dosing/courses", chain.course(course, tried(), chain.bottle, 2))
                .expect(200);
        try {
            later(Duration.ofDays(3));
            assertThat(ilse.get("/api/dosing/courses/" + course)
                            .body()
                            .path("status")
                            .asString())
                    .isEqualTo("FINISHED");
            later(Duration.ofDays(2000));
            assertThat(ilse.change(
                                    "POST",
                                    "/api/shelf/lots/" + chain.bottle + "/give",
                                    Map.of("holder", "Oda"),
                                    chain.lotVersion(chain.bottle))
                            .expect(422)
                            .codes())
                    .contains("EXPIRED");
        } finally {
            clock.set(SimulatedClock.START.plus(10, ChronoUnit.MINUTES));
        }
    }

    @Test
    public void nobodyTriesAPlantThatIsNoPlant() {
        ilse.post("/api/dosing/trials", Chain.trial(id(), Chain.person(ilse), "no-such-plant", "MOUTH", today(), true))
                .expect(404);
    }

    // ---- the site

    @Test
    public void groundIsCalledCleanAgainByAKeeperWithAReason() {
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        String path = "/api/field/stands/" + stand;
        ilse.change("PUT", path, Chain.standBody(stand, "stinging-nettle", "CONTAMINATED", null), 0)
                .expect(200);
        assertThat(as("tam")
                        .change("PUT", path, Chain.standBody(stand, "stinging-nettle", "CLEAN", "looks fine"), 1)
                        .expect(422)
                        .codes())
                .containsExactly("KEEPER_OR_SECOND");
        assertThat(ilse.change("PUT", path, Chain.standBody(stand, "stinging-nettle", "CLEAN", null), 1)
                        .expect(400)
                        .wrongFields())
                .containsExactly("reason");
        ilse.change("PUT", path, Chain.standBody(stand, "stinging-nettle", "CLEAN", "the soil was tested"), 1)
                .expect(200);
    }

    // ---- at once

    @Test
    public void nothingPickedBesideADoubtStaysUsable() {
        for (int round = 0; round < 5; round++) {
            UUID stand = id();
            Chain.stand(ilse, stand, "stinging-nettle");
            Chain.look(ilse, stand, today());
            List<UUID> picked = List.of(id(), id(), id());
            List<CompletableFuture<Integer>> all = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                Map<String, Object> harvest = chain.picked(picked.get(i), today(), 20);
                all.add(CompletableFuture.supplyAsync(() -> as("tam")
                        .post("/api/field/stands/" + stand + "/harvests", harvest)
                        .status()));
                if (i == 1) {
                    all.add(CompletableFuture.supplyAsync(() -> ilse.change(
                                    "POST", "/api/tracing/stands/" + stand + "/doubt", Map.of("reason", "x"), 0)
                            .status()));
                }
            }
            assertThat(all.stream().map(CompletableFuture::join)).allMatch(s -> s == 200 || s == 422);
            for (UUID harvest : picked) {
                var lot = ilse.get("/api/shelf/lots/" + harvest);
                assertThat(lot.status() == 404
                                || lot.body().path("state").asString().equals("QUARANTINED"))
                        .as(lot.words())
                        .isTrue();
            }
        }
    }

    @Test
    public void whatIsSavedAtOnceIsAllSavedUnderItsOwnCode() {
        List<JsonNode> saved = IntStream.range(0, 20)
                .parallel()
                .mapToObj(i -> ilse.post(
                                "/api/shelf/supplies",
                                Map.of(
                                        "id",
                                        id(),
                                        "form",
                                        "WAX",
                                        "name",
                                        "wax " + i,
                                        "amount",
                                        10,
                                        "denatured",
                                        false,
                                        "open",
                                        false,
                                        "place",
                                        ""))
                        .expect(200)
                        .body())
                .toList();
        assertThat(saved.stream().map(l -> l.path("code").asString()).distinct())
                .hasSize(20);
    }

    @Test
    public void anIdIsOfOneRequest() {
        UUID id = id();
        Map<String, Object> body = Chain.standBody(id, "stinging-nettle", "CLEAN", null);
        ilse.post("/api/field/stands", body).expect(200);
        ilse.post("/api/field/stands", body).expect(200);
        body.put("place", "elsewhere");
        assertThat(ilse.post("/api/field/stands", body).expect(409).words()).contains("recorded under this id");
        assertThat(ilse.get("/api/field/stands/" + id).body().path("place").asString())
                .isEqualTo("behind wall " + id);
    }

    // ---- who

    @Test
    public void aNewAddressForEachGuessGainsNothing() throws Exception {
        Client.nobody(port);
        HttpClient http = HttpClient.newHttpClient();
        List<Integer> statuses = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            HttpRequest get = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/session"))
                    .build();
            String token =
                    http.send(get, HttpResponse.BodyHandlers.ofString()).headers().allValues("set-cookie").stream()
                            .filter(c -> c.startsWith("XSRF-TOKEN="))
                            .map(c -> c.substring(11).split(";")[0])
                            .findFirst()
                            .orElseThrow();
            HttpRequest guess = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/session"))
                    .header("Content-Type", "application/json")
                    .header("X-Forwarded-For", "10.0.0." + i)
                    .header("X-Forwarded-Host", "evil.example")
                    .header("Cookie", "XSRF-TOKEN=" + token)
                    .header("X-XSRF-TOKEN", token)
                    .POST(HttpRequest.BodyPublishers.ofString(
                            "{\"username\":\"guessed-name\",\"password\":\"guess " + i + "\"}"))
                    .build();
            statuses.add(
                    http.send(guess, HttpResponse.BodyHandlers.discarding()).statusCode());
        }
        assertThat(statuses.subList(0, 8)).containsOnly(401);
        assertThat(statuses.subList(8, 10)).containsOnly(429);
    }

    @Test
    public void aReadingOfTheScaleIsOfOneHousehold() {
        UUID placement = id();
        ilse.post("/api/devices/scale/placements", Map.of("id", placement, "dryingRunId", chain.run))
                .expect(200);
        ilse.get("/api/devices/scale/placements/" + placement).expect(200);
        as("lantern").get("/api/devices/scale/placements/" + placement).expect(404);
    }

    // ---- what can't be read

    @DataProvider
    public Object[][] unreadable() {
        return new Object[][] {
            {"POST", "/api/field/stands/%s/photos", "multipart/form-data", "x", 400},
            {"POST", "/api/shelf/supplies", "multipart/form-data", "x", 400},
            {"PUT", "/api/people/%s", "application/x-www-form-urlencoded", "a=%ZZ", 415},
            {"POST", "/api/session", "application/x-www-form-urlencoded", "a=%ZZ", 415},
            {"POST", "/api/calculators/identify", "application/json", """
                    {"month":7,"stage":"LEAFY","region":"merrow","observations":[],"unseeable":[null]}""", 400},
            {"POST", "/api/calculators/dose/course", "application/json", """
                    {"startOn":"+999999999-01-01","perDoseMl":1,"timesPerDay":1,"pattern":{"kind":"DAILY"},"courseDays":5}""", 400},
            {"POST", "/api/calculators/amount", "application/json", """
                    {"text":"1,500","quantity":"VOLUME"}""", 400},
            {"POST", "/api/calculators/amount", "application/json", """
                    {"text":"1.500 mL","quantity":"VOLUME"}""", 400},
        };
    }

    @Test(dataProvider = "unreadable")
    public void whatCantBeReadIsRefusedInWords(String method, String path, String type, String body, int status) {
        var answer = ilse.send(method, path.formatted(chain.stand), body.getBytes(StandardCharsets.UTF_8), type, null);
        assertThat(answer.status()).as(answer.words()).isEqualTo(status);
        assertThat(answer.body().path("detail").asString()).isNotBlank();
    }

    // ---- the label

    /** However long and in whatever letters of Europe: wrapped or set smaller, never cut. */
    @Test
    public void aLabelLosesNoLetter() throws Exception {
        String name = "Żółty dziurawiec i wiązówka błotna, nalewka na żołądek, trzecia, "
                + "Donaudampfschifffahrtsgesellschaftskapitänskräuter";
        UUID wax = id();
        ilse.post(
                        "/api/shelf/supplies",
                        Map.of(
                                "id",
                                wax,
                                "form",
                                "WAX",
                                "name",
                                name,
                                "amount",
                                10,
                                "denatured",
                                false,
                                "open",
                                false,
                                "place",
                                ""))
                .expect(200);
        byte[] pdf = ilse.get("/api/shelf/lots/" + wax + "/label.pdf")
                .expect(200)
                .raw()
                .body();
        try (var document = org.apache.pdfbox.Loader.loadPDF(pdf)) {
            String text = new org.apache.pdfbox.text.PDFTextStripper().getText(document);
            assertThat(text.replaceAll("\\s", "")).contains(name.replaceAll("\\s", ""));
        }
    }
}
