package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.xml.parsers.DocumentBuilderFactory;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Seasons, weather and the ground as a household sees them. */
public class SeasonApiTest extends ServerTest {

    private static JsonNode part(Client client, String standId, String part) {
        return client.get("/api/field/season")
                .expect(200)
                .body()
                .path("parts")
                .valueStream()
                .filter(p -> p.path("standId").asString().equals(standId)
                        && p.path("part").asString().equals(part))
                .findFirst()
                .orElseThrow(() -> new AssertionError("not in the season: " + standId + " " + part));
    }

    private static Map<String, Object> sighting(LocalDate on) {
        return Map.of("id", id(), "stage", "FLOWERING", "on", on);
    }

    @Test
    public void whatWasSeenToBeginIsReadyAndMovesItsKindUntilItIsStruckOut() {
        Client ilse = as("ilse");
        UUID stand = id();
        Chain.stand(ilse, stand, "agrimony");
        String path = "/api/field/stands/" + stand + "/sightings";
        JsonNode guessed = part(ilse, stand.toString(), "HERB");
        assertThat(guessed.path("seen").asBoolean()).isFalse();
        Map<String, Object> seen = sighting(today().minusDays(3));
        JsonNode noted = ilse.post(path, seen).expect(200).body();
        // Twice on a slow line is once.
        ilse.post(path, seen).expect(200);
        assertThat(ilse.get(path).body()).hasSize(1);
        JsonNode ready = part(ilse, stand.toString(), "HERB");
        assertThat(ready.path("state").asString()).isEqualTo("READY");
        assertThat(ready.path("from").asString()).isEqualTo(today().minusDays(3).toString());
        ilse.post(path + "/" + noted.path("id").asString() + "/strike", Map.of("reason", "another plant"))
                .expect(200);
        assertThat(part(ilse, stand.toString(), "HERB").path("from").asString())
                .isEqualTo(guessed.path("from").asString());
        // Of a later summer, seen late: the next one is expected later.
        ilse.post(path, sighting(LocalDate.of(2025, 8, 2))).expect(200);
        JsonNode later = part(ilse, stand.toString(), "HERB");
        assertThat(later.path("sightings").asInt()).isEqualTo(1);
        assertThat(LocalDate.parse(later.path("from").asString()))
                .isAfter(LocalDate.parse(guessed.path("from").asString()).plusDays(5));
        assertThat(ilse.post(path, sighting(today().plusDays(1))).expect(400).wrongFields())
                .containsExactly("on");
        as("corwen").post(path, sighting(today())).expect(403);
        as("lantern").post(path, sighting(today())).expect(404);
    }

    @Test
    public void aContaminatedOrUnknownStandIsNotInSeason() {
        // Of its own: other tests doubt the demo's.
        UUID own = id();
        Chain.stand(as("ilse"), own, "meadowsweet");
        JsonNode parts = as("ilse").get("/api/field/season").body().path("parts");
        assertThat(parts.valueStream().map(p -> p.path("standName").asString()))
                .contains("Stand " + own)
                .doesNotContain("St John's-wort on the verge", "Something by the ditch", "Hogweed on the way");
    }

    @Test
    public void anOwnTableOfWeatherReplacesTheStandIn() {
        Client lantern = as("lantern");
        assertThat(lantern.get("/api/field/weather").body().path("source").asString())
                .isEqualTo("SIMULATED");
        assertThat(lantern.get("/api/field/season").body().path("byWarmth").asBoolean())
                .isTrue();
        String table = "day,low_c,high_c,rain_mm,humidity_percent\n" + today().minusDays(1) + ",9.5,17,0,70\n" + today()
                + ",\"10,5\",18,0.0,75\n";
        assertThat(csv(lantern, table).expect(200).body().path("read").asInt()).isEqualTo(2);
        JsonNode weather = lantern.get("/api/field/weather").body();
        assertThat(weather.path("source").asString()).isEqualTo("OWN");
        JsonNode last = weather.path("days").get(weather.path("days").size() - 1);
        assertThat(last.path("lowC").asDouble()).isEqualTo(10.5);
        assertThat(last.path("dryEnough").asBoolean()).isTrue();
        // A day that is sent again has the newer figures.
        csv(lantern, "day,low_c,high_c,rain_mm,humidity_percent\n" + today() + ",10,18,4,75\n")
                .expect(200);
        weather = lantern.get("/api/field/weather").body();
        assertThat(weather.path("days")
                        .get(weather.path("days").size() - 1)
                        .path("dryEnough")
                        .asBoolean())
                .isFalse();
        // Two days are no three years: by the calendar, and it says so.
        assertThat(lantern.get("/api/field/season").body().path("byWarmth").asBoolean())
                .isFalse();
    }

    @DataProvider
    Object[][] badTables() {
        return new Object[][] {
            {" "},
            {"day,low_c\n2026-07-01,3\n"},
            {"day,low_c,high_c,rain_mm,humidity_percent\n"},
            {"day,low_c,high_c,rain_mm,humidity_percent\n1 July,3,9,0,70\n"},
            {"day,low_c,high_c,rain_mm,humidity_percent\n2026-07-01,9,3,0,70\n"},
            {"day,low_c,high_c,rain_mm,humidity_percent\n2026-07-01,3,NaN,0,70\n"},
            {"day,low_c,high_c,rain_mm,humidity_percent\n2026-07-01,3,9,0,170\n"},
            {"day,low_c,high_c,rain_mm,humidity_percent\n2026-07-16,3,9,0,70\n"},
        };
    }

    @Test(dataProvider = "badTables")
    public void aTableThatMakesNoSenseIsReadNotAtAll(String table) {
        assertThat(csv(as("lantern"), table).expect(400).wrongFields()).containsExactly("file");
    }

    private static Client.Answer csv(Client client, String table) {
        return client.send("POST", "/api/field/weather", table.getBytes(StandardCharsets.UTF_8), "text/csv", null);
    }

    private static Client.Answer file(Client client, String text) {
        return client.send("POST", "/api/field/ground/file", text.getBytes(StandardCharsets.UTF_8), "text/plain", null);
    }

    @Test
    public void theGroundIsDrawnOnceAndRubbedOut() {
        Client ilse = as("ilse");
        UUID id = id();
        Map<String, Object> path = new HashMap<>(Map.of(
                "id",
                id,
                "kind",
                "PATH",
                "name",
                "to the jetty",
                "points",
                List.of(List.of(2.49, 55.0), List.of(2.48, 55.001))));
        ilse.post("/api/field/ground", path).expect(200);
        ilse.post("/api/field/ground", path).expect(200);
        assertThat(named(ilse, "to the jetty")).hasSize(1);
        assertThat(named(as("lantern"), "to the jetty")).isEmpty();
        as("lantern").delete("/api/field/ground/" + id, "0").expect(404);
        assertThat(ilse.delete("/api/field/ground/" + id, null).status()).isEqualTo(428);
        ilse.delete("/api/field/ground/" + id, "0").expect(204);
        assertThat(named(ilse, "to the jetty")).isEmpty();
        path.put("id", id());
        path.put("kind", "WOOD");
        assertThat(ilse.post("/api/field/ground", path).expect(400).wrongFields())
                .containsExactly("points");
        for (String points :
                List.of("[null]", "[[null,55],[2,55],[2,56]]", "[[2.5],[2,55],[2,56]]", "[[\"a\",55]]", "null")) {
            String body = Client.JSON
                    .writeValueAsString(path)
                    .replaceFirst("\"points\":\\[\\[.*?\\]\\]", "\"points\":" + points);
            assertThat(body).contains("\"points\":" + points);
            ilse.raw("/api/field/ground", body).expect(400);
        }
        path.put("points", List.of(List.of(2.49, 91), List.of(2.48, 55), List.of(2.47, 55)));
        ilse.post("/api/field/ground", path).expect(400);
    }

    private static List<JsonNode> named(Client client, String name) {
        return client.get("/api/field/ground")
                .expect(200)
                .body()
                .valueStream()
                .filter(s -> s.path("name").asString().equals(name))
                .toList();
    }

    @Test
    public void geoJsonAndGpxAreReadAndWhatIsThereIsNotDrawnTwice() {
        Client ilse = as("ilse");
        String geoJson = """
                {"type":"FeatureCollection","features":[
                 {"type":"Feature","properties":{"name":"osier bed","kind":"water"},
                  "geometry":{"type":"Polygon","coordinates":[[[2.5,55],[2.501,55],[2.501,55.001],[2.5,55]]]}},
                 {"type":"Feature","properties":{},"geometry":{"type":"Point","coordinates":[2.5,55]}}]}""";
        JsonNode read = file(ilse, geoJson).expect(200).body();
        assertThat(read.path("read").asInt()).isEqualTo(1);
        assertThat(read.path("left").asInt()).isEqualTo(1);
        assertThat(file(ilse, geoJson).expect(200).body().path("read").asInt()).isZero();
        assertThat(named(ilse, "osier bed").get(0).path("kind").asString()).isEqualTo("WATER");
        StringBuilder gpx =
                new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?><gpx version=\"1.1\" creator=\"x\""
                        + " xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><name>morning round</name><trkseg>");
        for (int i = 0; i < 9000; i++) {
            gpx.append("<trkpt lat=\"").append(55 + i * 1e-6).append("\" lon=\"2.5\"/>");
        }
        gpx.append("</trkseg></trk></gpx>");
        assertThat(file(ilse, gpx.toString()).expect(200).body().path("read").asInt())
                .isEqualTo(1);
        JsonNode points = named(ilse, "morning round").get(0).path("points");
        // Thinned, with both its ends.
        assertThat(points.size()).isBetween(1000, 2000);
        assertThat(points.get(points.size() - 1).get(1).asDouble()).isCloseTo(55.008999, within(1e-9));
    }

    @DataProvider
    Object[][] badFiles() {
        return new Object[][] {
            {"nothing"},
            {"{}"},
            {
                "{\"type\":\"FeatureCollection\",\"features\":[{\"geometry\":{\"type\":\"LineString\",\"coordinates\":[[\"a\",1],[2,3]]}}]}"
            },
            {"<gpx"},
            {
                "<!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/hostname\">]><gpx version=\"1.1\" creator=\"x\"><trk><name>&x;</name></trk></gpx>"
            },
        };
    }

    @Test(dataProvider = "badFiles")
    public void aFileThatIsNoMapIsRefused(String text) {
        assertThat(file(as("ilse"), text).expect(400).wrongFields()).contains("file");
    }

    /** Read back by a reader that is not ours: the JDK's XML parser, and a plain JSON tree. */
    @Test
    public void whatIsWrittenIsReadByOthers() throws Exception {
        Client ilse = as("ilse");
        byte[] gpx = ilse.get("/api/field/ground/stands.gpx").expect(200).raw().body();
        DocumentBuilderFactory xml = DocumentBuilderFactory.newInstance();
        xml.setNamespaceAware(true);
        var document = xml.newDocumentBuilder().parse(new ByteArrayInputStream(gpx));
        var points = document.getElementsByTagNameNS("http://www.topografix.com/GPX/1/1", "wpt");
        assertThat(points.getLength()).isGreaterThan(5);
        assertThat(Double.parseDouble(
                        points.item(0).getAttributes().getNamedItem("lat").getNodeValue()))
                .isBetween(54.9, 55.1);
        JsonNode geoJson = Client.JSON.readTree(
                ilse.get("/api/field/ground/ground.geojson").expect(200).raw().body());
        assertThat(geoJson.path("type").asString()).isEqualTo("FeatureCollection");
        JsonNode shore = geoJson.path("features")
                .valueStream()
                .filter(f -> f.path("properties").path("kind").asString().equals("SHORE"))
                .findFirst()
                .orElseThrow();
        JsonNode ring = shore.path("geometry").path("coordinates").get(0);
        assertThat(ring.get(0)).isEqualTo(ring.get(ring.size() - 1));
        // And by ourselves: nothing of it is new.
        assertThat(file(ilse, Client.JSON.writeValueAsString(geoJson))
                        .expect(200)
                        .body()
                        .path("read")
                        .asInt())
                .isZero();
    }

    @Test
    public void aRootOfAPlantTooYoungIsNotDug() {
        Client ilse = as("ilse");
        UUID stand = id();
        String path = "/api/field/stands/" + stand;
        Map<String, Object> body = new HashMap<>(Chain.standBody(stand, "common-valerian", "CLEAN", null));
        ilse.post("/api/field/stands", body).expect(200);
        Map<String, Object> harvest = new HashMap<>(harvest(id(), "ROOT", List.of()));
        assertThat(ilse.post(path + "/harvests/check", harvest).expect(200).codes())
                .contains("AGE_UNKNOWN");
        body.put("growingSince", 2025);
        ilse.change("PUT", path, body, 0).expect(200);
        assertThat(ilse.post(path + "/harvests", harvest).expect(422).codes()).contains("TOO_YOUNG");
        // To make them older is to take a safeguard back: a keeper's, with a reason.
        body.put("growingSince", 2020);
        Client tam = as("tam");
        assertThat(tam.change("PUT", path, body, 1).expect(422).codes()).containsExactly("KEEPER_OR_SECOND");
        body.remove("growingSince");
        assertThat(tam.change("PUT", path, body, 1).expect(422).codes()).containsExactly("KEEPER_OR_SECOND");
        assertThat(ilse.change("PUT", path, body, 1).expect(400).wrongFields()).containsExactly("reason");
        body.put("growingSince", 2020);
        body.put("reason", "the old bed, from the garden book");
        ilse.change("PUT", path, body, 1).expect(200);
        assertThat(ilse.post(path + "/harvests/check", harvest).expect(200).codes())
                .doesNotContain("TOO_YOUNG", "AGE_UNKNOWN");
    }

    @Test
    public void aVisitThatLeavesSomethingIsRemindedOfUntilSomethingIsPickedThere() {
        Client ilse = as("ilse");
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        Chain.look(ilse, stand, today().minusDays(6));
        String path = "/api/field/stands/" + stand + "/harvests";
        Map<String, Object> first = picked(today().minusDays(5));
        first.put("returnOn", today().minusDays(5));
        first.put("leftStanding", "every second stem, for the butterflies");
        assertThat(ilse.post(path, first).expect(400).wrongFields()).containsExactly("returnOn");
        first.put("returnOn", today());
        ilse.post(path, first).expect(200);
        assertThat(back(ilse, stand)).isTrue();
        ilse.post(path, picked(today())).expect(200);
        assertThat(back(ilse, stand)).isFalse();
    }

    private static Map<String, Object> picked(LocalDate on) {
        Map<String, Object> body =
                new HashMap<>(harvest(id(), "LEAF", List.of("leaf-hairs", "stem-section", "leaf-margin")));
        body.put("stage", "LEAFY");
        body.put("on", on);
        body.put("acknowledged", List.of(Map.of("code", "OVER_QUOTA", "reason", "a test of it")));
        return body;
    }

    private static boolean back(Client client, UUID stand) {
        return client.get("/api/calendar/today")
                .body()
                .path("tasks")
                .valueStream()
                .anyMatch(t -> t.path("kind").asString().equals("RETURN")
                        && t.path("subjectId").asString().equals(stand.toString()));
    }

    @Test
    public void aWalkGoesRoundFromTheHouseAndSaysWhatToCarry() {
        Client ilse = as("ilse");
        UUID own = id();
        Map<String, Object> body = new HashMap<>(Chain.standBody(own, "meadowsweet", "CLEAN", null));
        body.put("latitude", 55.011);
        body.put("longitude", 2.507);
        ilse.post("/api/field/stands", body).expect(200);
        String query = "?stand="
                + stand(ilse, "Hogweed on the way to the fen: keep off")
                        .path("id")
                        .asString() + "&stand=" + own;
        JsonNode walk = as("corwen").get("/api/field/walk" + query).expect(200).body();
        assertThat(walk.path("from").asString()).isEqualTo("Sallowbrook House");
        assertThat(walk.path("stops")).hasSize(2);
        assertThat(walk.path("metres").asDouble()).isBetween(1_500.0, 6_000.0);
        assertThat(walk.path("carry").valueStream().map(JsonNode::asString))
                .contains("a bag or basket", "a knife", "gloves and sleeves");
        assertThat(walk.path("mind").valueStream().map(JsonNode::asString))
                .anyMatch(m -> m.startsWith("giant hogweed"));
        as("lantern").get("/api/field/walk" + query).expect(404);
        assertThat(ilse.get("/api/field/walk").expect(200).body().path("metres").asDouble())
                .isZero();
    }
}
