package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Reactions, plants used as they are, phases, asking after, diaries, and complaints in people's own words. */
public class CaringTest extends ServerTest {

    private static Map<String, Object> reaction(UUID id, Chain chain, String degree, String... signs) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "personId",
                chain.person,
                "courseId",
                chain.course,
                "signs",
                List.of(signs),
                "degree",
                degree,
                "hoursAfter",
                2,
                "on",
                chain.today,
                "words",
                "in the evening"));
    }

    private static String status(Chain chain) {
        return chain.client
                .get("/api/dosing/courses/" + chain.course)
                .body()
                .path("status")
                .asString();
    }

    private static List<String> tasks(Client client, String kind, UUID subject) {
        return client.get("/api/calendar/today")
                .expect(200)
                .body()
                .path("tasks")
                .valueStream()
                .filter(t -> t.path("kind").asString().equals(kind)
                        && t.path("subjectId").asString().equals(subject.toString()))
                .map(t -> t.path("title").asString())
                .toList();
    }

    @Test
    public void aReactionEndsTheCourseAndStopsWhatIsGivenNextUntilItIsStruckOut() {
        Chain chain = new Chain(as("ilse"), today(), now());
        Client ilse = chain.client;
        JsonNode mild = ilse.post("/api/dosing/reactions", reaction(id(), chain, "MILD", "ITCHING"))
                .expect(200)
                .body();
        assertThat(mild.path("courseEnded").asBoolean()).isFalse();
        assertThat(ilse.post("/api/dosing/courses", chain.course(id(), chain.person, chain.bottle, 1))
                        .expect(422)
                        .codes())
                .contains("REACTED_MILDLY");
        UUID bad = id();
        JsonNode noted = ilse.post("/api/dosing/reactions", reaction(bad, chain, "MODERATE", "BREATH", "RASH"))
                .expect(200)
                .body();
        assertThat(noted.path("courseEnded").asBoolean()).isTrue();
        assertThat(noted.path("findings").get(0).path("code").asString()).isEqualTo("DANGER_SIGN");
        assertThat(noted.path("reaction").path("plants").get(0).path("taxonId").asString())
                .isEqualTo("stinging-nettle");
        // Told once more it is the same one.
        ilse.post("/api/dosing/reactions", reaction(bad, chain, "MODERATE", "BREATH", "RASH"))
                .expect(200);
        String history = "/api/dosing/people/" + chain.person + "/reactions";
        assertThat(ilse.get(history).expect(200).body()).hasSize(2);
        assertThat(status(chain)).isEqualTo("ENDED");
        assertThat(ilse.post("/api/dosing/courses", chain.course(id(), chain.person, chain.bottle, 1))
                        .expect(422)
                        .codes())
                .contains("REACTED");
        // Not as a leaf either, and not when asked by need.
        assertThat(ilse.post("/api/dosing/direct", chain.direct(id(), "standId", chain.stand, "CRUSHED", null))
                        .expect(422)
                        .codes())
                .contains("REACTED");
        assertThat(ilse.get("/api/planning/needs/plants?need=flushing%20of%20the%20urinary%20tract&person="
                                + chain.person)
                        .expect(200)
                        .body()
                        .path("dropped")
                        .valueStream()
                        .filter(d -> d.path("taxon").asString().equals("stinging-nettle"))
                        .map(d -> d.path("reason").asString()))
                .singleElement()
                .asString()
                .contains("trouble breathing");
        assertThat(ilse.get("/api/dosing/plants/stinging-nettle/reactions")
                        .expect(200)
                        .body()
                        .valueStream()
                        .filter(r -> r.path("id").asString().equals(bad.toString())))
                .hasSize(1);
        as("corwen")
                .post("/api/dosing/reactions", reaction(id(), chain, "MILD", "RASH"))
                .expect(403);
        as("lantern")
                .post("/api/dosing/reactions", reaction(id(), chain, "MILD", "RASH"))
                .expect(404);
        assertThat(as("lantern").get(history).status()).isEqualTo(404);
        for (JsonNode r : ilse.get(history).body()) {
            ilse.post("/api/dosing/reactions/" + r.path("id").asString() + "/strike", Map.of("reason", "it was a wasp"))
                    .expect(200);
        }
        // It may be taken again, by whoever says that they know of it.
        Map<String, Object> again = chain.course(id(), chain.person, chain.bottle, 1);
        assertThat(ilse.post("/api/dosing/courses", again).expect(422).codes()).contains("REACTION_TAKEN_BACK");
        again.put("acknowledged", List.of(Map.of("code", "REACTION_TAKEN_BACK", "reason", "it was the wasp")));
        ilse.post("/api/dosing/courses", again).expect(200);
    }

    /** Blisters after touching it speak against swallowing it as well. */
    @Test
    public void whatBlisteredOnTouchingIsNotTaken() {
        Chain chain = new Chain(as("ilse"), today(), now());
        chain.client
                .post(
                        "/api/field/contacts",
                        Map.of(
                                "id",
                                id(),
                                "personId",
                                chain.person,
                                "taxonId",
                                "stinging-nettle",
                                "on",
                                today(),
                                "reaction",
                                "BLISTERS",
                                "words",
                                ""))
                .expect(200);
        assertThat(chain.client
                        .post("/api/dosing/courses", chain.course(id(), chain.person, chain.bottle, 1))
                        .expect(422)
                        .codes())
                .contains("REACTED");
    }

    @Test
    public void whatIsEatenOrChewedCountsInTheDayAndWhatIsTriedIsAskedAbout() {
        Chain chain = new Chain(as("ilse"), today(), now());
        Client ilse = chain.client;
        // The card's most is 12 g a day; a jar of dried leaf is counted gram for gram.
        assertThat(ilse.post("/api/dosing/direct", chain.direct(id(), "lotId", chain.jar, "CHEWED", 12.0))
                        .expect(422)
                        .codes())
                .contains("DOSE_ABOVE_CARD");
        // A meal is no dose, and neither is it eight of them.
        assertThat(ilse.post("/api/dosing/direct", chain.direct(id(), "lotId", chain.jar, "EATEN", 50.0))
                        .expect(422)
                        .codes())
                .contains("FOOD_TOO_MUCH");
        Map<String, Object> eaten = chain.direct(id(), "lotId", chain.jar, "EATEN", 11.9);
        ilse.post("/api/dosing/direct", eaten).expect(200);
        ilse.post("/api/dosing/direct", eaten).expect(200);
        assertThat(ilse.post("/api/dosing/direct", chain.direct(id(), "lotId", chain.jar, "CHEWED", 0.5))
                        .expect(422)
                        .codes())
                .contains("DOSE_ABOVE_CARD");
        // It left the jar once, and stands in what is told when something is wrong.
        assertThat(ilse.get("/api/dosing/people/" + chain.person + "/help")
                        .body()
                        .path("taken")
                        .valueStream()
                        .map(t -> t.path("amount").asDouble()))
                .containsExactly(11.9);
        // Somebody who never had it: not without a trial, which is asked about on the morrow.
        String wren = Chain.person(ilse);
        Map<String, Object> leaf = chain.direct(id(), "standId", chain.stand, "CRUSHED", null);
        leaf.put("personId", wren);
        assertThat(ilse.post("/api/dosing/direct", leaf).expect(422).codes()).contains("FIRST_TIME");
        leaf.put("forTrial", true);
        UUID trial = UUID.fromString(ilse.post("/api/dosing/direct", leaf)
                .expect(200)
                .body()
                .path("id")
                .asString());
        var before = now();
        later(Duration.ofDays(1));
        try {
            assertThat(tasks(ilse, "FOLLOW_UP", trial)).hasSize(1);
            ilse.post("/api/dosing/direct/" + trial + "/asked", "{}").expect(200);
            assertThat(tasks(ilse, "FOLLOW_UP", trial)).isEmpty();
        } finally {
            clock.set(before);
        }
        // On a wound never, though what is on it already is kept.
        Map<String, Object> wound = chain.direct(id(), "standId", chain.stand, "CRUSHED", null);
        wound.put("skin", "WOUND");
        assertThat(ilse.post("/api/dosing/direct", wound).expect(422).codes()).contains("WOUND");
        wound.put("done", true);
        ilse.post("/api/dosing/direct", wound).expect(200);
        assertThat(as("lantern").get("/api/dosing/direct/" + trial).status()).isEqualTo(404);
        as("lantern").post("/api/dosing/direct", wound).expect(404);
        ilse.post("/api/dosing/direct/" + trial + "/strike", Map.of("reason", "it was Tam"))
                .expect(200);
        assertThat(ilse.get("/api/dosing/direct/" + trial).status()).isEqualTo(404);
    }

    /** What stops somebody today is not evaded by a day on which nothing did. */
    @Test
    public void aUseNotedForAnotherDayIsHeldAgainstTodayAsWell() {
        Chain chain = new Chain(as("ilse"), today(), now());
        Client ilse = chain.client;
        UUID before = id();
        Map<String, Object> person = Chain.personBody(before);
        ilse.post("/api/people", person).expect(200);
        Map<String, Object> bite = chain.direct(id(), "lotId", chain.jar, "CHEWED", 0.1);
        bite.put("personId", before);
        bite.put("forTrial", true);
        bite.put("on", today().minusDays(13));
        ilse.post("/api/dosing/direct/check", bite).expect(200);
        assertThat(refusing(ilse, bite)).isEmpty();
        UUID operated = id();
        person = Chain.personBody(operated);
        person.put("operationOn", today().plusDays(3));
        ilse.post("/api/people", person).expect(200);
        bite.put("personId", operated);
        assertThat(refusing(ilse, bite)).containsExactly("NOT_CHECKED");
        assertThat(ilse.post("/api/dosing/direct", bite).expect(422).codes()).contains("NOT_CHECKED");
        bite.put("grams", 3);
        assertThat(refusing(ilse, bite)).contains("TRIAL_TOO_MUCH");
    }

    private static List<String> refusing(Client client, Map<String, Object> use) {
        return client.post("/api/dosing/direct/check", use)
                .expect(200)
                .body()
                .path("findings")
                .valueStream()
                .filter(f -> Set.of("STOP", "HOLD").contains(f.path("severity").asString()))
                .map(f -> f.path("code").asString())
                .toList();
    }

    private static Map<String, Object> phase(Chain chain, int fromDay, int days, UUID follows) {
        Map<String, Object> body = new HashMap<>(chain.course(id(), chain.person, chain.bottle, 1));
        body.put("startOn", chain.today.plusDays(fromDay));
        body.put("courseDays", days);
        body.put("perDose", 0.05);
        body.put("timesPerDay", 1);
        body.put("use", "flushing of the urinary tract");
        if (follows != null) {
            body.put("followsId", follows);
        }
        return body;
    }

    /** Phases one after the other are one long run: planning them apart does not begin the card's days anew. */
    @Test
    public void phasesFollowEachOtherAndTheirDaysAreAddedUp() {
        Chain chain = new Chain(as("ilse"), today(), now());
        Client ilse = chain.client;
        ilse.change("POST", "/api/dosing/courses/" + chain.course + "/end", Map.of(), 0)
                .expect(200);
        Map<String, Object> first = phase(chain, 0, 20, null);
        ilse.post("/api/dosing/courses", first).expect(200);
        UUID firstId = (UUID) first.get("id");
        assertThat(ilse.post("/api/dosing/courses", phase(chain, 19, 5, firstId))
                        .expect(400)
                        .wrongFields())
                .containsExactly("startOn");
        // The card allows 28 days at a stretch.
        assertThat(ilse.post("/api/dosing/courses", phase(chain, 20, 9, firstId))
                        .expect(422)
                        .codes())
                .contains("COURSE_TOO_LONG");
        Map<String, Object> second = phase(chain, 20, 8, firstId);
        ilse.post("/api/dosing/courses", second).expect(200);
        JsonNode shown = ilse.get("/api/dosing/courses/" + firstId).body();
        assertThat(shown.path("after").get(0).path("id").asString())
                .isEqualTo(second.get("id").toString());
        assertThat(ilse.get("/api/dosing/courses/" + second.get("id"))
                        .body()
                        .path("before")
                        .path("id")
                        .asString())
                .isEqualTo(firstId.toString());
        String other = Chain.person(ilse);
        Map<String, Object> ofAnother = phase(chain, 40, 2, firstId);
        ofAnother.put("personId", other);
        assertThat(ilse.post("/api/dosing/courses", ofAnother).expect(400).wrongFields())
                .containsExactly("followsId");
    }

    /** The days before count from the first that is left, with every dose of a day summed, whatever became of the course. */
    @Test
    public void whatWasTakenCountsThoughItsCourseWasEndedAndWhatWasStruckDoesNot() {
        Chain chain = new Chain(as("ilse"), today(), now());
        Client ilse = chain.client;
        ilse.change("POST", "/api/dosing/courses/" + chain.course + "/end", Map.of(), 0)
                .expect(200);
        Map<String, Object> earlier = phase(chain, -13, 14, null);
        earlier.put("timesPerDay", 2);
        ilse.post(
                        "/api/dosing/trials",
                        Chain.trial(id(), chain.person, "stinging-nettle", "MOUTH", today().minusDays(20), true))
                .expect(200);
        ilse.post("/api/dosing/courses", earlier).expect(200);
        UUID early = id();
        dose(ilse, earlier, early, -13, 1);
        // At once it would be taken for a second tap.
        later(Duration.ofSeconds(30));
        UUID echo = id();
        dose(ilse, earlier, echo, -13, 2);
        dose(ilse, earlier, id(), -3, 1);
        ilse.change("POST", "/api/dosing/courses/" + earlier.get("id") + "/end", Map.of(), 0)
                .expect(200);
        // The card allows 28 days at a stretch; a pause of under a fortnight is none.
        assertThat(tooLong(ilse, chain, 16)).isTrue();
        assertThat(tooLong(ilse, chain, 15)).isFalse();
        String doses = "/api/dosing/courses/" + earlier.get("id") + "/doses/";
        ilse.post(doses + early + "/strike", Map.of("reason", "it was another bottle"))
                .expect(200);
        assertThat(tooLong(ilse, chain, 16)).isTrue();
        ilse.post(doses + echo + "/strike", Map.of("reason", "it was another bottle"))
                .expect(200);
        assertThat(tooLong(ilse, chain, 26)).isTrue();
        assertThat(tooLong(ilse, chain, 25)).isFalse();
    }

    private static void dose(Client client, Map<String, Object> course, UUID id, int day, int slot) {
        client.post(
                        "/api/dosing/courses/" + course.get("id") + "/doses",
                        Map.of("id", id, "on", today().plusDays(day), "slot", slot))
                .expect(200);
    }

    private static boolean tooLong(Client client, Chain chain, int days) {
        return client.post("/api/dosing/courses/check", phase(chain, 0, days, null))
                .expect(200)
                .body()
                .path("findings")
                .valueStream()
                .anyMatch(f -> f.path("code").asString().equals("COURSE_TOO_LONG"));
    }

    @Test
    public void whoLivesElsewhereIsAskedAfterAndNotTickedOff() {
        Chain chain = new Chain(as("ilse"), today(), now());
        Client ilse = chain.client;
        Map<String, Object> planned = phase(chain, 0, 10, null);
        ilse.post("/api/dosing/courses", planned).expect(200);
        UUID course = (UUID) planned.get("id");
        assertThat(tasks(ilse, "DOSE", course)).hasSize(1);
        Map<String, Object> body = Chain.personBody(UUID.fromString(chain.person));
        body.put("recipient", true);
        int version =
                ilse.get("/api/people/" + chain.person).body().path("version").asInt();
        ilse.change("PUT", "/api/people/" + chain.person, body, version).expect(200);
        assertThat(tasks(ilse, "DOSE", course)).isEmpty();
        assertThat(tasks(ilse, "ASK_AFTER", course)).isEmpty();
        var before = now();
        later(Duration.ofDays(3));
        try {
            assertThat(tasks(ilse, "ASK_AFTER", course)).hasSize(1);
            String path = "/api/dosing/courses/" + course + "/asked";
            assertThat(ilse.post(path, Map.of("id", id(), "words", " "))
                            .expect(400)
                            .wrongFields())
                    .containsExactly("words");
            ilse.post(path, Map.of("id", id(), "words", "well, she says")).expect(200);
            assertThat(tasks(ilse, "ASK_AFTER", course)).isEmpty();
        } finally {
            clock.set(before);
        }
    }

    @Test
    public void aDiaryIsAskedForDailyAndConcludesNothingFromAFewDays() {
        Chain chain = new Chain(as("ilse"), today(), now());
        Client ilse = chain.client;
        String path = "/api/dosing/courses/" + chain.course + "/diary";
        assertThat(ilse.get(path).status()).isEqualTo(404);
        ilse.change("PUT", path, Map.of("complaint", "the stiff hip in the morning"), null)
                .expect(200);
        assertThat(tasks(ilse, "DIARY", chain.course)).hasSize(1);
        UUID first = id();
        ilse.post(path + "/days", Map.of("id", first, "on", today(), "score", 7, "words", ""))
                .expect(200);
        ilse.post(path + "/days", Map.of("id", first, "on", today(), "score", 7, "words", ""))
                .expect(200);
        assertThat(tasks(ilse, "DIARY", chain.course)).isEmpty();
        assertThat(ilse.post(path + "/days", Map.of("id", id(), "on", today(), "score", 11, "words", ""))
                        .expect(400)
                        .wrongFields())
                .containsExactly("score");
        JsonNode again = ilse.post(path + "/days", Map.of("id", id(), "on", today(), "score", 5, "words", "rain"))
                .expect(200)
                .body();
        assertThat(again.path("days").valueStream().map(d -> d.path("score").asInt()))
                .containsExactly(5);
        assertThat(again.path("sentence").asString()).contains("Too few days");
        assertThat(as("lantern").get(path).status()).isEqualTo(404);
        as("corwen")
                .post(path + "/days", Map.of("id", id(), "on", today(), "score", 5, "words", ""))
                .expect(403);
    }

    @DataProvider
    public Object[][] complaints() {
        return new Object[][] {
            {"tickly dry couhg", "dry cough from an irritated throat", null},
            {"cant slepe, lying awake", "poor sleep", null},
            {"sprained ancle", "sprains and bruises", null},
            {"chest pain when I climb", null, "heart"},
            {"shortness of breath", null, "breathing"},
            {"blood in my urine", null, "urine"},
            {"I want to end my life", null, "mind in danger"},
            {"a lump in the breast", null, "tumour"},
            {"always thirsty", null, "sugar"},
            {"spreading redness round the cut", null, "infection"},
            {"blurred vision", null, "eye"},
            {"morning sickness", null, "pregnancy"},
            {"my baby has colic", null, "infant"},
        };
    }

    @Test(dataProvider = "complaints")
    public void complaintsAreMatchedToNeedsAndGraveOnesReferred(String words, String need, String grave) {
        JsonNode answer = as("ilse")
                .get("/api/planning/needs/search?words="
                        + java.net.URLEncoder.encode(words, java.nio.charset.StandardCharsets.UTF_8))
                .expect(200)
                .body();
        if (grave == null) {
            assertThat(answer.path("findings")).isEmpty();
            assertThat(answer.path("needs").get(0).asString()).isEqualTo(need);
        } else {
            assertThat(answer.path("needs")).isEmpty();
            assertThat(answer.path("findings").get(0).path("message").asString())
                    .contains(grave);
            assertThat(answer.path("findings").get(0).path("action").asString()).contains("Say:");
        }
    }

    /** What a card itself names as a need is not sent away, and every other word leads to one that is there. */
    @Test
    public void everyNeedOfTheCardsIsFoundByItsOwnName() {
        Client ilse = as("ilse");
        for (JsonNode need : ilse.get("/api/planning/needs").expect(200).body()) {
            String name = need.path("name").asString();
            JsonNode answer = ilse.get("/api/planning/needs/search?words="
                            + java.net.URLEncoder.encode(name, java.nio.charset.StandardCharsets.UTF_8))
                    .expect(200)
                    .body();
            if (need.path("grave").asBoolean()) {
                assertThat(answer.path("findings")).as(name).isNotEmpty();
            } else {
                assertThat(answer.path("findings")).as(name).isEmpty();
                assertThat(answer.path("needs").get(0).asString()).isEqualTo(name);
            }
        }
    }

    @Test
    public void otherPlantsForTheSameUseAreNamedWithWhyOneIsLeftOut() {
        Client ilse = as("ilse");
        String corwen = ilse.get("/api/people")
                .body()
                .valueStream()
                .filter(p -> p.path("name").asString().equals("Corwen Holm"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
        JsonNode instead = ilse.get("/api/planning/needs/instead?taxon=meadowsweet&person=" + corwen)
                .expect(200)
                .body();
        JsonNode joints = instead.valueStream()
                .filter(i -> i.path("use").asString().equals("minor joint pain"))
                .findFirst()
                .orElseThrow();
        assertThat(joints.path("others")
                        .valueStream()
                        .map(o -> o.path("plant").path("taxon").asString()))
                .doesNotContain("meadowsweet", "white-willow");
        assertThat(joints.path("dropped").valueStream().map(o -> o.path("taxon").asString()))
                .contains("white-willow");
    }
}
