package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A plant nobody has a name for is watched, not picked; a stand that was a mistake goes, one that is over is put away. */
public class UnknownPlantTest extends ServerTest {

    private static UUID unknown(Client client) {
        UUID stand = id();
        Map<String, Object> body = new HashMap<>(Chain.standBody(stand, "", "CLEAN", null));
        body.remove("taxonId");
        client.post("/api/field/stands", body).expect(200);
        return stand;
    }

    private static String path(UUID stand) {
        return "/api/field/stands/" + stand;
    }

    private static JsonNode leaf(Client client, UUID stand, String on, String... seen) {
        List<Map<String, String>> observations = java.util.stream.IntStream.range(0, seen.length / 2)
                .mapToObj(i -> Map.of("character", seen[2 * i], "state", seen[2 * i + 1]))
                .toList();
        return client.post(
                        path(stand) + "/identifications",
                        Map.of("id", id(), "on", on, "stage", "LEAFY", "observations", observations))
                .expect(200)
                .body();
    }

    @Test
    public void nothingIsPickedStakedOrDosedOfWhatNobodyKnows() {
        Client ilse = as("ilse");
        UUID stand = unknown(ilse);
        assertThat(ilse.get(path(stand)).body().path("commonName").asString()).isEqualTo("unknown plant");
        Map<String, Object> harvest = harvest(id(), "LEAF", List.of("leaf-hairs", "stem-section", "leaf-margin"));
        assertThat(ilse.post(path(stand) + "/harvests/check", harvest)
                        .expect(200)
                        .codes())
                .containsExactly("UNKNOWN_PLANT");
        assertThat(ilse.post(path(stand) + "/harvests", harvest).expect(422).codes())
                .containsExactly("UNKNOWN_PLANT");
        assertThat(ilse.post(path(stand) + "/tags", Map.of("id", id(), "stake", "red", "place", "by the gate"))
                        .expect(422)
                        .codes())
                .contains("TAG_UNCONFIRMED");
        // Naming it by hand is no look: nothing more may be picked than before.
        Map<String, Object> named = Chain.standBody(stand, "stinging-nettle", "CLEAN", null);
        ilse.change("PUT", path(stand), named, version(ilse, stand)).expect(200);
        assertThat(ilse.post(path(stand) + "/harvests", harvest).expect(422).codes())
                .contains("NOT_IDENTIFIED");
    }

    @Test
    public void aLookSaysWhatItPerhapsIsAndWhenItCanBeTold() {
        Client ilse = as("ilse");
        UUID stand = unknown(ilse);
        leaf(
                ilse,
                stand,
                today().minusDays(20).toString(),
                "leaf-division",
                "interruptedly-pinnate",
                "end-leaflet",
                "like-others",
                "leaf-margin",
                "sharp-teeth",
                "leaf-hairs",
                "soft");
        JsonNode seen = ilse.get(path(stand)).body();
        assertThat(seen.path("commonName").asString()).isEqualTo("unknown, perhaps agrimony");
        assertThat(seen.path("taxonId").isMissingNode() || seen.path("taxonId").isNull())
                .isTrue();
        assertThat(seen.path("settles").path("stage").asString()).isEqualTo("FLOWERING");
        assertThat(due(ilse, stand)).isTrue();
        // Looked at today, it is not asked for again in the morning; the answers may be gone on with.
        JsonNode look = leaf(ilse, stand, today().toString(), "leaf-division", "interruptedly-pinnate");
        assertThat(look.path("goesOn").asBoolean()).isTrue();
        // By who made it only: else two people's looks would be one.
        assertThat(as("tam")
                        .get(path(stand))
                        .body()
                        .path("identification")
                        .path("goesOn")
                        .asBoolean())
                .isFalse();
        assertThat(due(ilse, stand)).isFalse();
    }

    @Test
    public void aPlantLikeNothingOnRecordIsCalledNothing() {
        Client ilse = as("ilse");
        UUID stand = unknown(ilse);
        leaf(
                ilse,
                stand,
                today().toString(),
                "leaf-division",
                "interruptedly-pinnate",
                "leaf-margin",
                "entire",
                "leaf-arrangement",
                "whorled",
                "juice",
                "milky",
                "leaf-texture",
                "fleshy");
        assertThat(ilse.get(path(stand)).body().path("commonName").asString()).isEqualTo("unknown plant");
    }

    @Test
    public void aCertainLookGivesItItsName() {
        Client ilse = as("ilse");
        UUID stand = unknown(ilse);
        Chain.look(ilse, stand, today());
        JsonNode named = ilse.get(path(stand)).body();
        assertThat(named.path("taxonId").asString()).isEqualTo("stinging-nettle");
        assertThat(named.path("identification").path("status").asString()).isEqualTo("CONFIRMED");
        assertThat(named.path("identification").path("goesOn").asBoolean()).isFalse();
    }

    @Test
    public void aMistakeIsDeletedWithItsLooksButNothingThatWasPickedFrom() {
        Client ilse = as("ilse");
        UUID mistake = unknown(ilse);
        leaf(ilse, mistake, today().toString(), "leaf-margin", "entire");
        assertThat(ilse.delete(path(mistake), null).status()).isEqualTo(428);
        assertThat(ilse.delete(path(mistake), "99").status()).isEqualTo(409);
        as("corwen").delete(path(mistake), version(ilse, mistake)).expect(403);
        ilse.delete(path(mistake), version(ilse, mistake)).expect(204);
        ilse.get(path(mistake)).expect(404);
        UUID picked = UUID.fromString(
                stand(ilse, "Nettles behind the hedge").path("id").asString());
        assertThat(ilse.delete(path(picked), version(ilse, picked))
                        .expect(409)
                        .body()
                        .path("detail")
                        .asString())
                .contains("Put the stand away instead");
    }

    @Test
    public void whatWasPutAwayIsPickedOnlyAfterItWasBroughtBack() {
        Client ilse = as("ilse");
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        Chain.look(ilse, stand, today());
        ilse.change("POST", path(stand) + "/put-away", Map.of("reason", ""), version(ilse, stand))
                .expect(400);
        ilse.change("POST", path(stand) + "/put-away", Map.of("reason", "mown away"), version(ilse, stand))
                .expect(200);
        assertThat(ilse.get("/api/field/stands")
                        .body()
                        .valueStream()
                        .map(s -> s.path("id").asString()))
                .doesNotContain(stand.toString());
        assertThat(ilse.get("/api/field/stands/past")
                        .body()
                        .path("entries")
                        .get(0)
                        .path("note")
                        .asString())
                .isEqualTo("mown away");
        Map<String, Object> harvest = new HashMap<>(harvest(id(), "LEAF", List.of()));
        assertThat(ilse.post(path(stand) + "/harvests", harvest).expect(422).codes())
                .containsExactly("PUT_AWAY");
        ilse.post(path(stand) + "/bring-back", Map.of()).expect(200);
        assertThat(ilse.post(path(stand) + "/harvests", harvest).expect(422).codes())
                .doesNotContain("PUT_AWAY");
    }

    private static String version(Client client, UUID stand) {
        return client.get(path(stand)).body().path("version").asString();
    }

    private static boolean due(Client client, UUID stand) {
        return client.get("/api/calendar/today")
                .body()
                .path("tasks")
                .valueStream()
                .anyMatch(t -> t.path("kind").asString().equals("LOOK_AGAIN")
                        && t.path("subjectId").asString().equals(stand.toString()));
    }
}
