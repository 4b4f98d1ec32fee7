package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Looks as they are kept: asked again, by whom, at which plants; and what the trainer makes of somebody's slips. */
public class LooksTest extends ServerTest {

    private Map<String, Object> look(Client client, String known, String stage) {
        JsonNode seen = client.get(
                        "/api/field/stands/" + stand(client, known).path("id").asString() + "/identifications")
                .body()
                .get(0);
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                id(),
                "on",
                today(),
                "stage",
                stage,
                "observations",
                Client.JSON.convertValue(seen.path("observations"), List.class)));
        body.put("again", body.get("observations"));
        return body;
    }

    private UUID newStand(Client client, String taxon) {
        UUID stand = id();
        Chain.stand(client, stand, taxon);
        return stand;
    }

    private static String looks(UUID stand) {
        return "/api/field/stands/" + stand + "/identifications";
    }

    private static String second(Client client, UUID stand) {
        return client.get("/api/field/stands/" + stand)
                .body()
                .path("secondLook")
                .asString();
    }

    /** Three exclusions are half a look: nothing is picked or staked on it before another agrees. */
    @Test
    public void twoPeoplesHalfLooksMakeOne() {
        Client ilse = as("ilse");
        UUID stand = newStand(ilse, "small-leaved-lime");
        assertThat(ilse.post(looks(stand), bareLime())
                        .expect(200)
                        .body()
                        .path("status")
                        .asString())
                .isEqualTo("SECOND_WANTED");
        JsonNode once = ilse.get("/api/field/stands/" + stand).body();
        assertThat(once.path("certain").asBoolean()).isFalse();
        assertThat(once.path("secondLook").asString()).isEqualTo("WANTED");
        Map<String, Object> stake = Map.of("id", id(), "stake", "lime 1", "place", "by the gate");
        assertThat(ilse.post("/api/field/stands/" + stand + "/tags", stake).codes())
                .contains("TAG_UNCONFIRMED");
        // Again by the same eyes, the same day: still one look.
        ilse.post(looks(stand), bareLime()).expect(200);
        assertThat(second(ilse, stand)).isEqualTo("WANTED");

        // It holds back what a certain look before it would open: whoever may not loosen does not strike it.
        String half = ilse.get(looks(stand)).body().get(0).path("id").asString();
        assertThat(as("tam")
                        .post(looks(stand) + "/" + half + "/strike", Map.of("reason", "it was too dark to see"))
                        .codes())
                .contains("KEEPER_OR_SECOND");

        as("tam").post(looks(stand), bareLime()).expect(200);
        JsonNode twice = ilse.get("/api/field/stands/" + stand).body();
        assertThat(twice.path("certain").asBoolean()).isTrue();
        assertThat(twice.path("secondLook").asString()).isEqualTo("DONE");
        ilse.post("/api/field/stands/" + stand + "/tags", stake).expect(200);
    }

    private Map<String, Object> bareLime() {
        List<Map<String, String>> seen = new ArrayList<>();
        Map.of(
                        "habit", "tree",
                        "bud-cover", "two-scales",
                        "twig", "smooth-brown",
                        "bud-colour", "red",
                        "bud-shape", "blunt",
                        "buds", "alternate",
                        "evergreen", "shed",
                        "leaves-now", "absent",
                        "spines", "none")
                .forEach((c, state) -> seen.add(Map.of("character", c, "state", state)));
        return Map.of("id", id(), "on", "2026-02-10", "stage", "WINTER", "observations", seen, "again", seen);
    }

    @Test
    public void besideADeadlyPlantTwoPeopleOrTwoDaysAreNeeded() {
        Client ilse = as("ilse");
        UUID stand = newStand(ilse, "meadowsweet");
        Map<String, Object> first = look(ilse, "Meadowsweet, north ditch", "FLOWERING");
        assertThat(ilse.post(looks(stand), first)
                        .expect(200)
                        .body()
                        .path("status")
                        .asString())
                .isEqualTo("CONFIRMED");
        assertThat(second(ilse, stand)).isEqualTo("WANTED");
        // The same pair of eyes on the same day, whatever it says of other plants.
        Map<String, Object> again = look(ilse, "Meadowsweet, north ditch", "FLOWERING");
        again.put("otherPlants", true);
        ilse.post(looks(stand), again).expect(200);
        assertThat(second(ilse, stand)).isEqualTo("WANTED");
        assertThat(ilse.post(
                                "/api/field/stands/" + stand + "/harvests/check",
                                Map.of(
                                        "id",
                                        id(),
                                        "part",
                                        "TOPS",
                                        "stage",
                                        "FLOWERING",
                                        "on",
                                        today(),
                                        "massG",
                                        100,
                                        "shareTaken",
                                        0.01,
                                        "weather",
                                        "dry",
                                        "tells",
                                        List.of("petals", "stamens", "leaf-division"),
                                        "examinedSingly",
                                        true))
                        .codes())
                .contains("SECOND_LOOK");
        Client tam = as("tam");
        tam.post(looks(stand), look(tam, "Meadowsweet, north ditch", "FLOWERING"))
                .expect(200);
        assertThat(second(ilse, stand)).isEqualTo("DONE");
        assertThat(second(ilse, newStand(ilse, "stinging-nettle"))).isEqualTo("NOT_NEEDED");
    }

    @Test
    public void withoutLookingAgainNothingIsConfirmed() {
        Client ilse = as("ilse");
        UUID stand = newStand(ilse, "stinging-nettle");
        Map<String, Object> hasty = look(ilse, "Nettles behind the hedge", "LEAFY");
        hasty.remove("again");
        assertThat(ilse.post(looks(stand), hasty)
                        .expect(200)
                        .body()
                        .path("status")
                        .asString())
                .isEqualTo("NOT_YET");
        Map<String, Object> wrong = look(ilse, "Nettles behind the hedge", "LEAFY");
        wrong.put("again", List.of(Map.of("character", "leaf-hairs", "state", "never-heard-of")));
        ilse.post(looks(stand), wrong).expect(400);
    }

    @Test
    public void theNextQuestionSaysNothingOfWhatItPointsTo() {
        Client ilse = as("ilse");
        Map<String, Object> body = new HashMap<>(Map.of(
                "month",
                7,
                "stage",
                "FLOWERING",
                "region",
                "merrow",
                "observations",
                List.of(Map.of("character", "inflorescence", "state", "frothy"))));
        JsonNode next =
                ilse.post("/api/calculators/identify/next", body).expect(200).body();
        assertThat(next.path("next").path("character").asString()).isNotEmpty();
        List<String> fields = new ArrayList<>(next.propertyNames());
        assertThat(fields).isSubsetOf("next", "further", "settled", "again");
        assertThat(next.toString()).doesNotContain("meadowsweet").doesNotContain("posterior");
        JsonNode stages = ilse.get("/api/calculators/identify/stages?month=7&group=PLANT&region=merrow")
                .expect(200)
                .body();
        assertThat(stages.get(0).path("stage").asString()).isEqualTo("FLOWERING");
        ilse.get("/api/calculators/identify/stages?month=13&group=PLANT&region=merrow")
                .expect(400);
    }

    @Test
    public void theTrainerKeepsBoxesAndOnlyRaisesWhatALookMustShow() {
        Client tam = as("tam");
        JsonNode round =
                tam.get("/api/training/next?first=meadowsweet").expect(200).body();
        assertThat(round.path("a").path("taxon").asString()).isEqualTo("meadowsweet");
        assertThat(round.path("b").path("danger").asString()).isEqualTo("DEADLY");
        assertThat(round.toString()).doesNotContain("truth");
        Map<String, Object> answer = new HashMap<>(Map.of(
                "id",
                id(),
                "a",
                round.path("a").path("taxon").asString(),
                "b",
                round.path("b").path("taxon").asString(),
                "stage",
                round.path("stage").asString(),
                "seed",
                round.path("seed").asLong(),
                "said",
                round.path("a").path("taxon").asString()));
        JsonNode outcome = tam.post("/api/training/answers", answer).expect(200).body();
        boolean right = outcome.path("right").asBoolean();
        assertThat(outcome.path("truth").asString().equals(answer.get("said"))).isEqualTo(right);
        assertThat(outcome.path("by").size()).isPositive();
        assertThat(outcome.path("box").asInt())
                .as("no reason given: luck does not rise")
                .isEqualTo(1);
        // Sent again, it is counted once.
        tam.post("/api/training/answers", answer).expect(200);
        assertThat(tam.get("/api/training/mine")
                        .body()
                        .path("pairs")
                        .get(0)
                        .path("asked")
                        .asInt())
                .isEqualTo(1);
        answer.put("id", id());
        answer.put("said", "hemlock");
        tam.post("/api/training/answers", answer).expect(400);
        // A wrong answer counts against the characters that should have told.
        answer.put("id", id());
        answer.put(
                "said",
                outcome.path("truth").asString().equals("meadowsweet")
                        ? round.path("b").path("taxon").asString()
                        : "meadowsweet");
        assertThat(tam.post("/api/training/answers", answer)
                        .expect(200)
                        .body()
                        .path("right")
                        .asBoolean())
                .isFalse();
        JsonNode mine = tam.get("/api/training/mine").body();
        assertThat(mine.path("characters").size()).isPositive();
        mine.path("characters")
                .forEach(c -> assertThat(c.path("own").asDouble())
                        .isGreaterThanOrEqualTo(c.path("usual").asDouble()));
        assertThat(as("lantern").get("/api/training/mine").body().path("pairs").size())
                .as("another household's")
                .isZero();
    }
}
