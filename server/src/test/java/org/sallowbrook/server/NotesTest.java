package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Notes about whatever the house has, and what becomes of a day to come back. */
public class NotesTest extends ServerTest {

    private static Map<String, Object> said(String words, Map<String, Object> more) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id", UUID.randomUUID(), "day", today().toString(), "words", words, "place", "", "pictured", false));
        body.putAll(more);
        return body;
    }

    private static String first(Client client, String path) {
        return client.get(path).body().get(0).path("id").asString();
    }

    private static Map<String, Object> seen(String taste) {
        return Map.of("colour", "amber", "clarity", "clear", "smell", "", "feel", "", "taste", taste);
    }

    private static List<String> due(Client client) {
        return client.get("/api/calendar/today")
                .body()
                .path("tasks")
                .valueStream()
                .filter(t -> t.path("kind").asString().equals("COME_BACK"))
                .map(t -> t.path("detail").asString())
                .toList();
    }

    @DataProvider
    public Object[][] things() {
        return new Object[][] {
            {"STAND", "/api/field/stands"},
            {"LOT", "/api/shelf/lots"},
            {"PERSON", "/api/people"},
            {"PLANT", "/api/herbarium/taxa"},
        };
    }

    @Test(dataProvider = "things")
    public void aNoteStandsWithItsThingAndIsFound(String about, String list) {
        Client ilse = as("ilse");
        String id = first(ilse, list);
        String words = "frosted, but found again by the gudgeon " + about;
        Map<String, Object> note = said(words, Map.of("about", about, "aboutId", id));
        ilse.post("/api/notes", note).expect(200);
        // Sent twice it is written once.
        ilse.post("/api/notes", note).expect(200);
        JsonNode notes = ilse.get("/api/notes?about=" + about + "&aboutId=" + id)
                .expect(200)
                .body()
                .path("notes");
        assertThat(notes.valueStream().filter(n -> n.path("words").asString().equals(words)))
                .hasSize(1)
                .allSatisfy(
                        n -> assertThat(n.path("thing").path("id").asString()).isEqualTo(id));
        assertThat(ilse.get("/api/search?q=gudgeon%20" + about.toLowerCase(java.util.Locale.ROOT))
                        .body()
                        .get(0)
                        .path("id")
                        .asString())
                .isEqualTo(note.get("id").toString());
        Client lantern = as("lantern");
        lantern.get("/api/notes/" + note.get("id")).expect(404);
        assertThat(lantern.get("/api/search?q=gudgeon").body()).isEmpty();
        if (!about.equals("PLANT")) {
            lantern.post("/api/notes", said("mine?", Map.of("about", about, "aboutId", id)))
                    .expect(404);
        }
    }

    @DataProvider
    public Object[][] refused() {
        String lot = first(as("ilse"), "/api/shelf/lots");
        String stand = first(as("ilse"), "/api/field/stands");
        return new Object[][] {
            {said("  ", Map.of()), "words"},
            {said("x".repeat(10_001), Map.of()), "words"},
            {said("sweet", Map.of("about", "STAND", "aboutId", stand, "seen", seen("sweet"))), "seen.taste"},
            {said("sweet", Map.of("seen", seen("sweet"))), "seen.taste"},
            {said("x", Map.of("seen", seen("x".repeat(201)), "about", "LOT", "aboutId", lot)), "seen"},
            {said("x", Map.of("day", today().plusDays(1).toString())), "day"},
            {said("x", Map.of("latitude", 51.5)), "longitude"},
            {said("x", Map.of("about", "STAND")), "aboutId"},
            {said("x", Map.of("comeBack", Map.of("when", "DAY"))), "comeBack.on"},
            {said("x", Map.of("comeBack", Map.of("when", "DAY", "on", today().toString()))), "comeBack.on"},
        };
    }

    @Test(dataProvider = "refused")
    public void whatCantBeKeptIsRefusedAtItsField(Map<String, Object> note, String field) {
        assertThat(as("ilse").post("/api/notes", note).expect(400).wrongFields())
                .contains(field);
    }

    @Test
    public void whatWasTastedStandsWithWhatWasMade() {
        Client ilse = as("ilse");
        String lot = first(ilse, "/api/shelf/lots");
        JsonNode note = ilse.post(
                        "/api/notes",
                        said("", Map.of("about", "LOT", "aboutId", lot, "seen", seen("too bitter, shorter"))))
                .expect(200)
                .body();
        assertThat(note.path("seen").path("taste").asString()).isEqualTo("too bitter, shorter");
    }

    @Test
    public void aDayToComeBackStandsOnTodayUntilSomebodyWasThere() {
        Client ilse = as("ilse");
        String words = "buds, a week until they open";
        Map<String, Object> note = said(
                words,
                Map.of(
                        "day",
                        today().minusDays(9).toString(),
                        "place",
                        "under the old weir",
                        "comeBack",
                        Map.of("when", "WEEK")));
        JsonNode written = ilse.post("/api/notes", note).expect(200).body();
        assertThat(written.path("due").asString())
                .isEqualTo(today().minusDays(2).toString());
        assertThat(due(ilse)).contains(words);
        String path = "/api/notes/" + note.get("id");
        ilse.post(path + "/been-back", Map.of()).expect(200);
        assertThat(due(ilse)).doesNotContain(words);
        ilse.delete(path + "/been-back", null).expect(200);
        assertThat(due(ilse)).contains(words);
        ilse.delete(path, null).expect(204);
        assertThat(due(ilse)).doesNotContain(words);
        ilse.post(path + "/bring-back", Map.of()).expect(200);
        assertThat(due(ilse)).contains(words);
        ilse.post(path + "/been-back", Map.of()).expect(200);
    }

    /** The demo's winter lies behind its opening day. */
    @Test
    public void theFirstFrostCallsBackWhenItWasMeasured() {
        Client ilse = as("ilse");
        LocalDate before = today().minusMonths(8);
        String words = "hips, after the first frost";
        JsonNode past = ilse.post(
                        "/api/notes",
                        said(words, Map.of("day", before.toString(), "comeBack", Map.of("when", "FIRST_FROST"))))
                .expect(200)
                .body();
        LocalDate due = LocalDate.parse(past.path("due").asString());
        assertThat(due).isAfter(before).isBefore(today());
        assertThat(due(ilse)).contains(words);
        JsonNode ahead = ilse.post(
                        "/api/notes", said("sloes, once it froze", Map.of("comeBack", Map.of("when", "FIRST_FROST"))))
                .expect(200)
                .body();
        assertThat(ahead.path("due").isMissingNode() || ahead.path("due").isNull())
                .isTrue();
        assertThat(ilse.get("/api/notes/out-there")
                        .body()
                        .path("waiting")
                        .valueStream()
                        .map(n -> n.path("words").asString()))
                .contains("sloes, once it froze");
        for (JsonNode n : List.of(past, ahead)) {
            ilse.post("/api/notes/" + n.path("id").asString() + "/been-back", Map.of())
                    .expect(200);
        }
    }

    /** The demo's third tincture has a note; the next one is begun with it in sight. */
    @Test
    public void whatWasWrittenLastTimeIsThereForTheNext() {
        Client ilse = as("ilse");
        String path = "/api/notes/last-time?form=TINCTURE&called=";
        assertThat(ilse.get(path + "Meadowsweet%20tincture")
                        .expect(200)
                        .body()
                        .valueStream()
                        .map(n -> n.path("words").asString()))
                .contains("Darker than the second one was by now.");
        assertThat(ilse.get(path + "Nettle%20tincture").expect(200).body()).isEmpty();
        assertThat(ilse.get("/api/notes/last-time?form=TEA&called=Meadowsweet%20tincture")
                        .expect(200)
                        .body())
                .isEmpty();
        ilse.get(path + "x".repeat(81)).expect(400);
        assertThat(as("lantern").get(path + "Meadowsweet%20tincture").body()).isEmpty();
    }

    /** As a quick note of a walk becomes one of a stand. */
    @Test
    public void aNoteIsChangedByWhoeverSawItLast() {
        Client ilse = as("ilse");
        Map<String, Object> note = said("three more here", Map.of("latitude", 51.2, "longitude", -2.1));
        long version =
                ilse.post("/api/notes", note).expect(200).body().path("version").asLong();
        assertThat(ilse.get("/api/notes/out-there")
                        .body()
                        .path("placed")
                        .valueStream()
                        .map(n -> n.path("words").asString()))
                .contains("three more here");
        Map<String, Object> ofStand = new HashMap<>(note);
        ofStand.put("about", "STAND");
        ofStand.put("aboutId", first(ilse, "/api/field/stands"));
        String path = "/api/notes/" + note.get("id");
        ilse.change("PUT", path, ofStand, version).expect(200);
        ilse.change("PUT", path, note, version).expect(409);
        assertThat(ilse.get(path).body().path("thing").path("kind").asString()).isEqualTo("STAND");
    }

    @Test
    public void aPictureGoesWithItAndNotMoreThanTwelve() throws IOException {
        Client ilse = as("ilse");
        Map<String, Object> note = said("", Map.of("pictured", true));
        ilse.post("/api/notes", note).expect(200);
        UUID picture = UUID.randomUUID();
        upload(ilse, note.get("id"), picture, png()).expect(200);
        upload(ilse, note.get("id"), picture, png()).expect(200);
        assertThat(ilse.get("/api/notes/" + note.get("id")).body().path("pictures"))
                .hasSize(1);
        ilse.get("/api/notes/pictures/" + picture).expect(200);
        as("lantern").get("/api/notes/pictures/" + picture).expect(404);
        assertThat(upload(ilse, note.get("id"), UUID.randomUUID(), "no picture".getBytes(StandardCharsets.UTF_8))
                        .expect(400)
                        .wrongFields())
                .contains("file");
        for (int i = 1; i < 12; i++) {
            upload(ilse, note.get("id"), UUID.randomUUID(), png()).expect(200);
        }
        assertThat(upload(ilse, note.get("id"), UUID.randomUUID(), png())
                        .expect(400)
                        .wrongFields())
                .contains("file");
        ilse.delete("/api/notes/pictures/" + picture, null).expect(204);
    }

    private static byte[] png() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(30, 20, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private static Client.Answer upload(Client client, Object note, UUID picture, byte[] file) throws IOException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.write(("--edge\r\nContent-Disposition: form-data; name=\"file\"; filename=\"p\"\r\n"
                        + "Content-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.write(file);
        body.write("\r\n--edge--\r\n".getBytes(StandardCharsets.UTF_8));
        return client.send(
                "POST",
                "/api/notes/" + note + "/pictures?pictureId=" + picture,
                body.toByteArray(),
                "multipart/form-data; boundary=edge",
                null);
    }
}
