package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Two jars of the same poured into one, and who took of what. */
public class TogetherTest extends ServerTest {

    private Client ilse;
    private Chain chain;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
    }

    private JsonNode lot(UUID id) {
        return ilse.get("/api/shelf/lots/" + id).expect(200).body();
    }

    private Client.Answer pour(UUID a, UUID b, UUID id) {
        return ilse.change(
                "POST",
                "/api/shelf/lots/" + a + "/together",
                Map.of(
                        "id",
                        id,
                        "with",
                        b,
                        "withVersion",
                        lot(b).path("version").asLong(),
                        "name",
                        "nettle, all of it"),
                lot(a).path("version"));
    }

    private Client.Answer change(UUID lot, String what, Object body) {
        return ilse.change("POST", what.replace("{id}", lot.toString()), body, lot(lot).path("version"));
    }

    private List<String> fitting(UUID id) {
        List<String> ids = new ArrayList<>();
        ilse.get("/api/shelf/lots/" + id + "/together")
                .expect(200)
                .body()
                .forEach(l -> ids.add(l.path("id").asString()));
        return ids;
    }

    @Test
    public void whatIsPouredTogetherComesFromBothAndIsDoubtedWithEither() {
        UUID a = bought(ilse, "LEAF", 40, 30);
        UUID b = bought(ilse, "LEAF", 20, 90);
        assertThat(fitting(a)).contains(b.toString()).doesNotContain(a.toString());
        String earlier = lot(b).path("bestBefore").asString();
        assertThat(earlier).isLessThan(lot(a).path("bestBefore").asString());
        UUID both = id();
        JsonNode poured = pour(a, b, both).expect(200).body();
        assertThat(poured.path("amount").asDouble()).isEqualTo(60);
        assertThat(poured.path("bestBefore").asString()).isEqualTo(earlier);
        assertThat(poured.path("herbs").get(0).path("driedG").asDouble()).isCloseTo(60, within(1e-6));
        assertThat(lot(a).path("remaining").asDouble()).isZero();
        assertThat(lot(b).path("remaining").asDouble()).isZero();
        // Sent again it is poured once.
        ilse.change(
                        "POST",
                        "/api/shelf/lots/" + a + "/together",
                        Map.of(
                                "id",
                                both,
                                "with",
                                b,
                                "withVersion",
                                lot(b).path("version").asLong() - 1,
                                "name",
                                "nettle, all of it"),
                        lot(a).path("version").asLong() - 1)
                .expect(200);
        assertThat(lot(both).path("amount").asDouble()).isEqualTo(60);
        // No more is found in it than went in.
        assertThat(change(
                                both,
                                "/api/shelf/lots/{id}/count",
                                Map.of("id", id(), "amount", 61, "on", today(), "reason", "x"))
                        .expect(400)
                        .wrongFields())
                .containsExactly("amount");
        change(b, "/api/tracing/lots/{id}/doubt", Map.of("reason", "smells of hay"))
                .expect(200);
        assertThat(lot(both).path("state").asString()).isEqualTo("QUARANTINED");
        // What is doubted is not made good by saying that it was never poured.
        assertThat(change(both, "/api/shelf/lots/{id}/apart", Map.of())
                        .expect(422)
                        .codes())
                .contains("QUARANTINED");
        change(b, "/api/tracing/lots/{id}/clear", Map.of("reason", "it was the hay beside it"))
                .expect(200);
        change(both, "/api/shelf/lots/{id}/apart", Map.of()).expect(200);
        assertThat(lot(a).path("remaining").asDouble()).isEqualTo(40);
        assertThat(lot(b).path("remaining").asDouble()).isEqualTo(20);
        assertThat(lot(both).path("remaining").asDouble()).isZero();
        assertThat(change(both, "/api/shelf/lots/{id}/apart", Map.of()).status())
                .isEqualTo(409);
    }

    @Test
    public void whatHoldsSomethingAgainIsNotFilledTwice() {
        UUID a = bought(ilse, "LEAF", 40, 30);
        UUID both = id();
        pour(a, bought(ilse, "LEAF", 20, 30), both).expect(200);
        change(a, "/api/shelf/lots/{id}/count", Map.of("id", id(), "amount", 3, "on", today(), "reason", "a rest"))
                .expect(200);
        assertThat(change(both, "/api/shelf/lots/{id}/apart", Map.of()).status())
                .isEqualTo(409);
        assertThat(lot(a).path("remaining").asDouble()).isEqualTo(3);
        assertThat(lot(both).path("remaining").asDouble()).isEqualTo(60);
    }

    @Test
    public void ofWhichSomethingWasTakenIsNotPouredBack() {
        UUID both = id();
        pour(bought(ilse, "LEAF", 40, 30), bought(ilse, "LEAF", 20, 30), both).expect(200);
        change(both, "/api/shelf/lots/{id}/finish?amount=5", Map.of()).expect(200);
        assertThat(change(both, "/api/shelf/lots/{id}/apart", Map.of()).status())
                .isEqualTo(409);
    }

    @DataProvider
    public Object[][] unfit() {
        return new Object[][] {
            {"doubted", "/api/tracing/lots/{id}/doubt", Map.of("reason", "odd"), "QUARANTINED"},
            {"mouldy", "/api/tracing/lots/{id}/mould", Map.of(), "DESTROYED"},
        };
    }

    /** Neither as the one poured nor as the one poured into. */
    @Test(dataProvider = "unfit")
    public void whatIsNotToBeUsedIsNotHiddenInAnotherJar(
            String what, String path, Map<String, Object> body, String code) {
        UUID bad = bought(ilse, "LEAF", 40, 30);
        UUID good = bought(ilse, "LEAF", 20, 30);
        change(bad, path, body).expect(200);
        for (Client.Answer answer : List.of(pour(bad, good, id()), pour(good, bad, id()))) {
            assertThat(answer.expect(422).codes()).as(what).contains(code);
        }
        assertThat(fitting(good)).doesNotContain(bad.toString());
        assertThat(fitting(bad)).isEmpty();
        assertThat(lot(good).path("remaining").asDouble()).isEqualTo(20);
    }

    @Test
    public void onlyTheSameGoesTogetherAndNothingWithItself() {
        UUID leaf = bought(ilse, "LEAF", 40, 30);
        assertThat(pour(leaf, chain.bottle, id()).expect(422).codes()).contains("NOT_THE_SAME");
        assertThat(pour(leaf, leaf, id()).expect(400).wrongFields()).containsExactly("with");
        UUID other = bought(ilse, "LEAF", 40, 30);
        assertThat(ilse.change(
                                "POST",
                                "/api/shelf/lots/" + leaf + "/together",
                                Map.of("id", id(), "with", other, "withVersion", 99, "name", "x"),
                                lot(leaf).path("version"))
                        .status())
                .isEqualTo(409);
        as("lantern")
                .change(
                        "POST",
                        "/api/shelf/lots/" + leaf + "/together",
                        Map.of("id", id(), "with", other, "withVersion", 0, "name", "theirs"),
                        0)
                .expect(404);
    }

    @Test
    public void whatIsCalledBackIsListedWithWhoHasIt() {
        UUID jar = bought(ilse, "LEAF", 40, 30);
        String list = "/api/tracing/lots/" + jar + "/recall";
        assertThat(ilse.get(list).expect(200).toString()).contains("Nothing of it is set aside yet");
        UUID part = id();
        change(jar, "/api/shelf/lots/{id}/split", Map.of("id", part, "amount", 15, "jars", 1))
                .expect(200);
        change(part, "/api/shelf/lots/{id}/give", Map.of("holder", "a neighbour"))
                .expect(200);
        change(jar, "/api/tracing/lots/{id}/doubt", Map.of("reason", "smells of hay"))
                .expect(200);
        assertThat(ilse.get(list).expect(200).toString())
                .contains("Why: smells of hay")
                .contains(lot(part).path("code").asString())
                .contains("15 g, with a neighbour")
                .contains("25 g, ")
                .contains("Ask all the same");
        assertThat(calledBack(part)).isTrue();
        // What is doubted comes back whatever is held against it, and is then listed as here.
        change(part, "/api/shelf/lots/{id}/give", Map.of("holder", "")).expect(200);
        assertThat(ilse.get(list).expect(200).toString())
                .contains("Nobody has any of it")
                .doesNotContain("with a neighbour")
                .contains("Came back", "from a neighbour");
        assertThat(calledBack(part)).isFalse();
        JsonNode lines =
                ilse.get("/api/shelf/lots/" + part + "/changes").expect(200).body();
        assertThat(lines.valueStream()
                        .map(l -> l.path("what").asString() + " "
                                + l.path("reason").asString()))
                .startsWith("BACK from a neighbour", "GIVEN to a neighbour");
        assertThat(lot(part).path("remaining").asDouble()).isEqualTo(15);
    }

    /** Also what is good for nothing any more: somebody may still have it in use. */
    @Test
    public void mouldThatSomebodyHasIsCalledBack() {
        UUID jar = bought(ilse, "LEAF", 40, 30);
        change(jar, "/api/shelf/lots/{id}/give", Map.of("holder", "the farm")).expect(200);
        change(jar, "/api/tracing/lots/{id}/mould", Map.of()).expect(200);
        assertThat(calledBack(jar)).isTrue();
    }

    private boolean calledBack(UUID lot) {
        return ilse.get("/api/calendar/today")
                .expect(200)
                .body()
                .path("tasks")
                .valueStream()
                .anyMatch(d -> d.path("kind").asString().equals("CALL_BACK")
                        && d.path("subjectId").asString().equals(lot.toString()));
    }

    @Test
    public void anotherHouseholdCallsNothingBack() {
        UUID jar = bought(ilse, "LEAF", 40, 30);
        String list = "/api/tracing/lots/" + jar + "/recall";
        as("lantern").get(list).expect(404);
    }

    @Test
    public void traceSaysWhoTookOfAPlantAndWhen() {
        String path = "/api/tracing/lots/" + chain.stand + "/taken";
        assertThat(ilse.get(path).expect(200).body().path("times").asInt()).isZero();
        ilse.post("/api/dosing/courses/" + chain.course + "/doses", Map.of("id", id(), "on", today(), "slot", 1))
                .expect(200);
        JsonNode page = ilse.get(path).expect(200).body();
        assertThat(page.path("times").asInt()).isEqualTo(1);
        JsonNode taken = page.path("taken").get(0);
        assertThat(taken.path("personId").asString()).isEqualTo(chain.person);
        assertThat(taken.path("lotId").asString()).isEqualTo(chain.bottle.toString());
        assertThat(taken.path("courseId").asString()).isEqualTo(chain.course.toString());
        assertThat(taken.path("unit").asString()).isEqualTo("mL");
        assertThat(taken.path("amount").asDouble()).isPositive();
        assertThat(ilse.get("/api/tracing/lots/" + chain.stand + "/recall")
                        .expect(200)
                        .toString())
                .contains("once, on ")
                .contains("Whose course it is or was");
        // Of the basket that was picked another day nothing was taken.
        assertThat(ilse.get("/api/tracing/lots/" + chain.basket + "/taken")
                        .expect(200)
                        .body()
                        .path("times")
                        .asInt())
                .isZero();
        as("lantern").get(path).expect(404);
    }
}
