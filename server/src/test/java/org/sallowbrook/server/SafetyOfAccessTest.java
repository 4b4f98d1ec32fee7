package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Who may see and change what. */
public class SafetyOfAccessTest extends ServerTest {

    @Test
    public void nothingIsOpenWithoutSigningIn() {
        Client nobody = Client.nobody(port);
        nobody.get("/api/field/stands").expect(401);
        nobody.post("/api/calculators/spirit/reading", Map.of("readingPercent", 40, "temperatureC", 20))
                .expect(401);
        nobody.get("/actuator/env").expect(401);
        assertThat(nobody.get("/actuator/health").status()).isEqualTo(200);
    }

    @Test
    public void aForgedRequestIsRefused() {
        as("ilse").forged("/api/people", Map.of("name", "x")).expect(403);
    }

    @Test
    public void aReaderLooksAndAHelperChangesNoPeople() {
        Client reader = as("corwen");
        reader.get("/api/shelf/lots").expect(200);
        reader.post("/api/calculators/spirit/reading", Map.of("readingPercent", 40, "temperatureC", 20))
                .expect(200);
        JsonNode round = reader.get("/api/training/next").expect(200).body();
        assertThat(round.isEmpty()).isFalse();
        // Learning to tell plants is for everyone; what is refused here is the empty answer, not the reader.
        reader.post("/api/training/answers", Map.of()).expect(400);
        JsonNode stand = stand(reader, "Meadowsweet, north ditch");
        reader.post("/api/field/stands/" + stand.path("id").asString() + "/harvests", harvest(id(), "TOPS", List.of()))
                .expect(403);
        as("tam").post("/api/people", Map.of("name", "x")).expect(403);
    }

    @Test
    public void pagesCarryAStrictPolicy() {
        var headers = Client.nobody(port).get("/api/session").raw().headers();
        assertThat(headers.firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'none'", "script-src 'self'")
                .doesNotContain("unsafe");
        assertThat(headers.firstValue("X-Content-Type-Options")).contains("nosniff");
    }

    @Test
    public void guessingAPasswordIsSlowedDown() {
        Client guesser = Client.nobody(port);
        Map<String, String> guess = Map.of("username", "no-such-person", "password", "guess-guess");
        for (int i = 0; i < 8; i++) {
            guesser.post("/api/session", guess).expect(401);
        }
        var slowed = guesser.post("/api/session", guess).expect(429);
        assertThat(slowed.raw().headers().firstValue("Retry-After")).isPresent();
        Client.of(port, "tam").get("/api/session").expect(200);
    }

    @Test
    public void theFirstAccountIsMadeOnce() {
        Map<String, String> setup = Map.of(
                "household",
                "Intruders",
                "zone",
                "Etc/UTC",
                "region",
                "merrow",
                "name",
                "X",
                "username",
                "x.y",
                "password",
                "long-enough-1");
        Client.nobody(port).post("/api/setup", setup).expect(409);
    }

    @DataProvider
    public Object[][] things() {
        return new Object[][] {
            {"/api/field/stands/%s", "/api/field/stands"},
            {"/api/field/stands/%s/identifications", "/api/field/stands"},
            {"/api/drying/runs/%s", "/api/drying/runs"},
            {"/api/shelf/lots/%s", "/api/shelf/lots"},
            {"/api/shelf/lots/%s/label.pdf", "/api/shelf/lots"},
            {"/api/making/batches/%s", "/api/making/batches"},
            {"/api/dosing/courses/%s", "/api/dosing/courses"},
            {"/api/dosing/courses/%s/card", "/api/dosing/courses"},
            {"/api/dosing/courses/%s/card.pdf", "/api/dosing/courses"},
            {"/api/dosing/help.pdf?person=%s", "/api/people"},
            {"/api/dosing/people/%s/records.pdf", "/api/people"},
            {"/api/tracing/lots/%s", "/api/shelf/lots"},
            {"/api/tracing/lots/%s/taken", "/api/shelf/lots"},
            {"/api/tracing/lots/%s/recall", "/api/shelf/lots"},
            {"/api/tracing/lots/%s/recall.pdf", "/api/shelf/lots"},
            {"/api/shelf/lots/%s/together", "/api/shelf/lots"},
            {"/api/people/%s", "/api/people"},
        };
    }

    /** Another household's id answers to the letter what an unknown one does. */
    @Test(dataProvider = "things")
    public void anotherHouseholdsThingsDoNotExist(String path, String list) {
        String theirs = as("ilse").get(list).body().get(0).path("id").asString();
        Client lantern = as("lantern");
        assertThat(lantern.get(list).body().toString()).doesNotContain(theirs);
        var answer = lantern.get(path.formatted(theirs)).expect(404);
        var unknown = lantern.get(path.formatted(UUID.randomUUID())).expect(404);
        assertThat(answer.body().path("detail")).isEqualTo(unknown.body().path("detail"));
        lantern.get(path.formatted("nonsense")).expect(404);
    }

    /** A page speaks for one account; what it sends is not done in the name of whoever is signed in meanwhile. */
    @Test
    public void whatIsMeantForAnotherAccountIsNotDone() {
        Client tam = as("tam");
        String his = tam.get("/api/session").body().path("account").asString();
        String hers = as("ilse").get("/api/session").body().path("account").asString();
        String stand = stand(tam, "The three limes").path("id").asString();
        String path = "/api/field/stands/" + stand + "/sightings";
        Map<String, Object> seen = Map.of("id", id(), "stage", "FLOWERING", "on", today().toString());
        int before = tam.get(path).body().size();
        tam.meantFor(hers, "POST", path, seen).expect(401);
        tam.meantFor(hers, "GET", "/api/field/stands", Map.of()).expect(401);
        tam.meantFor(hers, "DELETE", "/api/session", Map.of()).expect(401);
        assertThat(tam.get(path).body().size()).isEqualTo(before);
        tam.meantFor(hers, "GET", "/api/session", Map.of()).expect(200);
        tam.meantFor(his, "POST", path, seen).expect(200);
        assertThat(tam.get(path).body().size()).isEqualTo(before + 1);
    }
}
