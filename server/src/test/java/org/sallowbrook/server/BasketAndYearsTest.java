package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What came home unweighed, how a stand fares over years, and who touched what. */
public class BasketAndYearsTest extends ServerTest {

    private static final List<String> TELLS = List.of("leaf-division", "leaf-margin", "stem-surface", "leaf-hairs");

    private static UUID nettles(Client client) {
        UUID stand = id();
        Chain.stand(client, stand, "stinging-nettle");
        Chain.look(client, stand, today());
        return stand;
    }

    private static Map<String, Object> bag(UUID id) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "part",
                "LEAF",
                "stage",
                "LEAFY",
                "on",
                today(),
                "measuredAs",
                "two bags",
                "shareTaken",
                0.01,
                "weather",
                "dry",
                "tells",
                TELLS,
                "examinedSingly",
                true));
    }

    private static List<String> codes(JsonNode body) {
        return body.path("findings")
                .valueStream()
                .map(f -> f.path("code").asString())
                .toList();
    }

    @Test
    public void aBagIsWeighedAtHomeAndOnlyThenInTheHouse() {
        Client ilse = as("ilse");
        UUID stand = nettles(ilse);
        UUID harvest = id();
        Map<String, Object> body = bag(harvest);
        body.remove("measuredAs");
        assertThat(ilse.post("/api/field/stands/" + stand + "/harvests", body)
                        .expect(400)
                        .wrongFields())
                .containsExactly("measuredAs");
        ilse.post("/api/field/stands/" + stand + "/harvests", bag(harvest)).expect(200);
        assertThat(find(ilse, "/api/field/harvests/unweighed", "id", harvest.toString())
                        .path("measuredAs")
                        .asString())
                .isEqualTo("two bags");
        ilse.get("/api/shelf/lots/" + harvest).expect(404);
        assertThat(ilse.get("/api/calendar/today")
                        .body()
                        .path("tasks")
                        .valueStream()
                        .filter(t -> t.path("subjectId").asString().equals(harvest.toString()))
                        .map(t -> t.path("kind").asString()))
                .containsExactly("WEIGH_HARVEST");
        Map<String, Object> rack =
                Map.of("id", id(), "harvestId", harvest, "rack", "the table", "at", now(), "freshG", 100);
        ilse.post("/api/drying/runs", rack).expect(409);
        String weight = "/api/field/harvests/" + harvest + "/weight";
        ilse.change("PUT", weight, Map.of("massG", -3), null).expect(400);
        ilse.change("PUT", weight, Map.of("massG", 310), null).expect(200);
        // Sent again on a slow line it is once; as another weight it is not taken.
        ilse.change("PUT", weight, Map.of("massG", 310), null).expect(200);
        ilse.change("PUT", weight, Map.of("massG", 200), null).expect(409);
        assertThat(ilse.get("/api/shelf/lots/" + harvest)
                        .expect(200)
                        .body()
                        .path("remaining")
                        .asDouble())
                .isEqualTo(310);
        ilse.post("/api/drying/runs", rack).expect(200);
        as("lantern").change("PUT", weight, Map.of("massG", 310), null).expect(404);
    }

    @Test
    public void whatCameIntoDoubtMeanwhileStaysOutOfTheHouse() {
        Client ilse = as("ilse");
        UUID stand = nettles(ilse);
        UUID harvest = id();
        ilse.post("/api/field/stands/" + stand + "/harvests", bag(harvest)).expect(200);
        ilse.change(
                        "POST",
                        "/api/tracing/stands/" + stand + "/doubt",
                        Map.of("reason", "a second look"),
                        ilse.get("/api/field/stands/" + stand)
                                .body()
                                .path("version")
                                .asInt())
                .expect(200);
        JsonNode refused = ilse.change("PUT", "/api/field/harvests/" + harvest + "/weight", Map.of("massG", 310), null)
                .expect(422)
                .body();
        assertThat(codes(refused)).contains("IDENTITY_DOUBTED");
        ilse.get("/api/shelf/lots/" + harvest).expect(404);
        ilse.post("/api/field/harvests/" + harvest + "/strike", Map.of("reason", "thrown away"))
                .expect(200);
        assertThat(ilse.get("/api/field/harvests/unweighed").body().valueStream())
                .noneMatch(h -> h.path("id").asString().equals(harvest.toString()));
    }

    @Test
    public void aStandThatDeclinesByItsCountsIsNotPickedWhateverWasSaidOfIt() {
        Client ilse = as("ilse");
        UUID stand = nettles(ilse);
        String path = "/api/field/stands/" + stand;
        int[] plants = {100, 84, 73, 61, 53, 45};
        UUID last = id();
        for (int i = 0; i < plants.length; i++) {
            Map<String, Object> count = Map.of(
                    "id",
                    i == plants.length - 1 ? last : id(),
                    "on",
                    LocalDate.of(2021 + i, 7, 1),
                    "plants",
                    plants[i],
                    "drought",
                    false,
                    "pickedByOthers",
                    false,
                    "words",
                    "");
            ilse.post(path + "/counts", count).expect(200);
            ilse.post(path + "/counts", count).expect(200);
        }
        JsonNode years =
                ilse.get(path + "/years?part=LEAF&planned=0.1").expect(200).body();
        assertThat(years.path("word").asString()).isEqualTo("DECLINES");
        assertThat(years.path("counts")).hasSize(6);
        assertThat(years.path("line")).hasSize(11);
        assertThat(codes(ilse.post(path + "/harvests/check", bag(id()))
                        .expect(200)
                        .body()))
                .contains("SCARCE");
        assertThat(codes(ilse.post(path + "/harvests", bag(id())).expect(422).body()))
                .contains("SCARCE");
        for (JsonNode count : years.path("counts")) {
            ilse.post(
                            path + "/counts/" + count.path("id").asString() + "/strike",
                            Map.of("reason", "counted stems, not plants"))
                    .expect(200);
        }
        assertThat(ilse.get(path + "/years").body().path("word").asString()).isEqualTo("UNKNOWN");
        ilse.post(path + "/harvests", bag(id())).expect(200);
        assertThat(ilse.get(path + "/years?planned=2").expect(400).wrongFields())
                .containsExactly("planned");
        as("lantern").get(path + "/years").expect(404);
    }

    @Test
    public void moreOfEachPlantThanItCanSpareIsAskedAbout() {
        Client ilse = as("ilse");
        UUID stand = nettles(ilse);
        Map<String, Object> body = bag(id());
        // More of the stand than of each of its plants can not be.
        body.put("perPlant", 0.005);
        assertThat(ilse.post("/api/field/stands/" + stand + "/harvests", body)
                        .expect(400)
                        .wrongFields())
                .containsExactly("perPlant");
        body.put("perPlant", 0.95);
        assertThat(codes(ilse.post("/api/field/stands/" + stand + "/harvests", body)
                        .expect(422)
                        .body()))
                .contains("OVER_PLANT_SHARE");
    }

    @Test
    public void whoeverReactsMoreEachTimeIsToldSo() {
        Client ilse = as("ilse");
        String tam = person(ilse, "Tam Holm").path("id").asString();
        String[] reactions = {"NONE", "ITCH", "BLISTERS"};
        JsonNode said = null;
        for (int i = 0; i < reactions.length; i++) {
            said = ilse.post(
                            "/api/field/contacts",
                            Map.of(
                                    "id",
                                    id(),
                                    "personId",
                                    tam,
                                    "taxonId",
                                    "common-ragwort",
                                    "on",
                                    today().minusDays(30 - i),
                                    "reaction",
                                    reactions[i],
                                    "words",
                                    "at the ditch"))
                    .expect(200)
                    .body();
        }
        assertThat(codes(said)).containsExactly("SENSITISED");
        assertThat(said.path("washing").asString()).contains("soap");
        JsonNode worst = said.path("contacts").get(0);
        ilse.post("/api/field/contacts/" + worst.path("id").asString() + "/strike", Map.of("reason", "it was a graze"))
                .expect(200);
        assertThat(codes(ilse.get("/api/field/contacts?taxon=common-ragwort").body()))
                .containsExactly("REACTED");
        as("corwen")
                .post(
                        "/api/field/contacts",
                        Map.of(
                                "id",
                                id(),
                                "personId",
                                tam,
                                "taxonId",
                                "common-ragwort",
                                "on",
                                today(),
                                "reaction",
                                "NONE",
                                "words",
                                ""))
                .expect(403);
        assertThat(as("lantern")
                        .get("/api/field/contacts?taxon=common-ragwort")
                        .body()
                        .path("contacts"))
                .isEmpty();
    }

    @Test
    public void aBasketIsReckonedBothWaysAndAsAShareOfTheStand() {
        Client ilse = as("ilse");
        UUID stand = nettles(ilse);
        String path = "/api/planning/stands/" + stand + "/basket?part=LEAF";
        JsonNode forth = ilse.get(path + "&freshG=300").expect(200).body();
        assertThat(forth.path("makes").valueStream().map(m -> m.path("product").asString()))
                .contains("DRIED", "TINCTURE", "TEA", "OIL");
        assertThat(forth.path("ofStand").isMissingNode()
                        || forth.path("ofStand").isNull())
                .isTrue();
        Map<String, Object> weighed = bag(id());
        weighed.put("massG", 30);
        ilse.post("/api/field/stands/" + stand + "/harvests", weighed).expect(200);
        // 30 g were a hundredth of it, so all of it is 3 kg.
        JsonNode back = ilse.get(path + "&product=DRIED&wanted=100").expect(200).body();
        assertThat(back.path("ofStand").path("high").asDouble())
                .isCloseTo(back.path("freshG").path("high").asDouble() / 3000, within(1e-9));
        assertThat(ilse.get(path).expect(400).wrongFields()).containsExactly("freshG");
        assertThat(ilse.get(path + "&freshG=-1").expect(400).wrongFields()).containsExactly("freshG");
        ilse.get("/api/planning/stands/" + stand + "/basket?part=SEED&freshG=10")
                .expect(409);
        as("lantern").get(path + "&freshG=300").expect(404);
    }
}
