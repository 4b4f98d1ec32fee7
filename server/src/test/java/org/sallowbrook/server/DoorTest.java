package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What nobody can read does not come in, by whichever door. */
public class DoorTest extends ServerTest {

    @Autowired
    private JdbcClient jdbc;

    private static Map<String, Object> someone(String name) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                id(),
                "name",
                name,
                "bornOn",
                "1980-01-01",
                "breastFeeding",
                false,
                "conditions",
                java.util.List.of(),
                "medicines",
                java.util.List.of(),
                "allergyFamilies",
                java.util.List.of(),
                "recipient",
                false));
        return body;
    }

    @DataProvider
    public Object[][] unreadable() {
        return new Object[][] {{"Il\u0001se"}, {"\u0007"}, {"Ilse\u001b[0m"}, {"\ufeff\u200b"}, {"\u2800"}, {"a\u0000b"}
        };
    }

    @Test(dataProvider = "unreadable")
    public void aNameOfLettersNobodySeesIsRefusedAtItsField(String name) {
        assertThat(as("ilse").post("/api/people", someone(name)).expect(400).wrongFields())
                .contains("name");
    }

    @Test
    public void lettersOfAnyScriptAreWelcome() {
        String name = "Ільзе Šárka \u202aΑγγ\u202c 李";
        Client.Answer made = as("lantern").post("/api/people", someone(name)).expect(200);
        assertThat(made.body().path("name").asString()).isEqualTo(name);
    }

    @DataProvider
    public Object[][] numbers() {
        return new Object[][] {
            {"emergencyNumber", "112", true},
            {"emergencyNumber", "+00 (1) 23-45", true},
            {"emergencyNumber", "", true},
            {"emergencyNumber", "=cmd|' /C calc'!A0", false},
            {"emergencyNumber", "javascript:alert(1)", false},
            {"emergencyNumber", "ask next door", false},
            {"poisonCentre", "the island's, 000 1", true},
            {"poisonCentre", "javascript:1234", false},
            {"poisonCentre", "=1234", false},
            {"poisonCentre", "the island's", false},
        };
    }

    @Test(dataProvider = "numbers")
    public void aNumberToCallIsANumber(String field, String value, boolean taken) {
        Client lantern = as("lantern");
        Map<String, Object> body = new HashMap<>();
        lantern.get("/api/household/settings").body().properties().forEach(e -> {
            if (java.util.Set.of("name", "zone", "region").contains(e.getKey())) {
                body.put(e.getKey(), e.getValue().asString());
            }
        });
        body.put(field, value);
        Client.Answer answer = lantern.change("PUT", "/api/household/settings", body, null);
        assertThat(answer.status()).as(answer.words()).isEqualTo(taken ? 200 : 400);
        if (!taken) {
            assertThat(answer.wrongFields()).containsExactly(field);
        }
    }

    @DataProvider
    public Object[][] addresses() {
        return new Object[][] {{"%ED%A0%BD"}, {"%00"}, {"%FF%FE"}, {"%C3"}, {"a%01b"}};
    }

    /** Sent as bytes, for no client of good manners sends it. */
    @Test(dataProvider = "addresses")
    public void anAddressThatIsNoTextIsRefused(String value) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.getOutputStream()
                    .write(("GET /api/planning/needs/search?words=" + value
                                    + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).startsWith("HTTP/1.1 400");
        }
    }

    /** A device that has the cards is told that they are still these, and has them anew when one of its own is written. */
    @Test
    public void cardsAreSentOnceUntilOneChanges() {
        Client ilse = as("ilse");
        Client.Answer all = ilse.get("/api/herbarium/cards").expect(200);
        String tag = all.raw().headers().firstValue("ETag").orElseThrow();
        Client.Answer again = ilse.asked("/api/herbarium/cards", "If-None-Match", tag);
        assertThat(again.status()).isEqualTo(304);
        assertThat(again.raw().body()).isEmpty();
        assertThat(ilse.asked("/api/herbarium/cards", "If-None-Match", "\"another\"")
                        .status())
                .isEqualTo(200);
    }

    /** While a row's document has a member that nobody knows. */
    private void unreadable(Client client, String table, String id, Runnable look) {
        String plan = jdbc.sql("select cast(plan as text) from " + table + " where id = cast(:id as uuid)")
                .param("id", id)
                .query(String.class)
                .single();
        String write = "update " + table + " set plan = cast(:plan as jsonb) where id = cast(:id as uuid)";
        jdbc.sql(write)
                .param("plan", plan.replaceFirst("\\{", "{\"drops\": 7, "))
                .param("id", id)
                .update();
        bought(client, "LEAF", 5, 1);
        try {
            look.run();
        } finally {
            jdbc.sql(write).param("plan", plan).param("id", id).update();
            bought(client, "LEAF", 5, 1);
        }
    }

    /** What was stored in a way nobody reads breaks its own line, and nothing is taken of it. */
    @Test
    public void aStoredCourseThatCannotBeReadBreaksItsLineOnly() {
        Client ilse = as("ilse");
        JsonNode running = ilse.get("/api/dosing/courses").body();
        String id = running.get(0).path("id").asString();
        unreadable(ilse, "course", id, () -> {
            assertThat(ilse.get("/api/dosing/courses").expect(200).body().size())
                    .isLessThan(running.size());
            JsonNode line = ilse.get("/api/calendar/today")
                    .expect(200)
                    .body()
                    .path("tasks")
                    .valueStream()
                    .filter(t -> t.path("subjectId").asString().equals(id))
                    .findFirst()
                    .orElseThrow();
            assertThat(line.path("kind").asString()).isEqualTo("STOP_TAKING");
            assertThat(line.path("detail").asString()).contains("can't be read");
        });
        assertThat(ilse.get("/api/dosing/courses").body().size()).isEqualTo(running.size());
    }

    /** Another batch is still shaken, pressed and shown. */
    @Test
    public void aStoredBatchThatCannotBeReadBreaksItsLineOnly() {
        Client ilse = as("ilse");
        JsonNode open = ilse.get("/api/making/batches").body();
        String id = open.get(0).path("id").asString();
        unreadable(ilse, "batch", id, () -> {
            assertThat(ilse.get("/api/making/batches").expect(200).body()).hasSize(open.size() - 1);
            assertThat(ilse.get("/api/making/batches/" + id).status()).isEqualTo(500);
            ilse.get("/api/calendar/today").expect(200);
            ilse.get("/api/shelf/lots/" + id).expect(200);
        });
        assertThat(ilse.get("/api/making/batches").body()).hasSize(open.size());
    }
}
