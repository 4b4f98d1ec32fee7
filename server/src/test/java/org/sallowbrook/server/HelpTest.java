package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.sallowbrook.core.dosing.DangerSigns;
import org.sallowbrook.core.dosing.FirstSteps;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** When something is wrong: what was taken, whom to call, and an end to all of it. */
public class HelpTest extends ServerTest {

    @Test
    public void whatWasTakenIsToldAndEveryCourseEndsAtOnce() {
        Client ilse = as("ilse");
        Chain chain = new Chain(ilse, today(), now());
        String path = "/api/dosing/people/" + chain.person;
        ilse.post(
                        "/api/dosing/courses/" + chain.course + "/doses",
                        Map.of("id", id(), "on", today(), "slot", 1, "amount", 1))
                .expect(200);
        JsonNode help = ilse.get(path + "/help").expect(200).body();
        JsonNode taken = help.path("taken").get(0);
        assertThat(taken.path("on").asString()).isEqualTo(today().toString());
        assertThat(taken.path("amount").asDouble()).isEqualTo(1);
        assertThat(taken.path("herbs").get(0).asString()).isEqualTo("stinging nettle (Urtica dioica), leaf");
        assertThat(help.path("running")).hasSize(1);
        // The page stands without a server; what it says is the core's.
        JsonNode onThePage = Client.JSON.readTree(Path.of("../web/src/dosing/danger-signs.json"));
        assertThat(onThePage.path("now").valueStream().map(JsonNode::asString))
                .containsExactlyElementsOf(DangerSigns.NOW);
        assertThat(onThePage.path("today").valueStream().map(JsonNode::asString))
                .containsExactlyElementsOf(DangerSigns.TODAY);
        JsonNode steps = Client.JSON.readTree(Path.of("../web/src/dosing/first-steps.json"));
        assertThat(steps.path("steps")).isEqualTo(Client.JSON.valueToTree(FirstSteps.ALL));
        assertThat(steps.path("numbers").asString()).isEqualTo(FirstSteps.NUMBERS);
        assertThat(steps.path("noSubstitute").asString()).isEqualTo(FirstSteps.NO_SUBSTITUTE);
        String onPaper = paper(ilse, "/api/dosing/help.pdf?person=" + chain.person);
        assertThat(onPaper)
                .contains(FirstSteps.CALL.first().substring(0, 30), DangerSigns.NOW.get(0))
                .contains("1 mL of", "stinging nettle (Urtica dioica), leaf", "page 1 of 2");
        assertThat(paper(ilse, "/api/dosing/help.pdf")).doesNotContain("stinging nettle");
        assertThat(paper(ilse, "/api/dosing/courses/" + chain.course + "/card.pdf"))
                .contains("Stop and get help at", DangerSigns.TODAY.get(0), "lot ");
        String records = paper(ilse, path + "/records.pdf");
        assertThat(records)
                .contains("One dose ticked off, 1 mL in all", "stinging nettle (Urtica dioica), leaf", "by mouth")
                .contains("borne")
                .contains("Plants used as they were", "Nothing is on record.");
        for (JsonNode other : ilse.get("/api/people").expect(200).body()) {
            if (!other.path("id").asString().equals(chain.person)) {
                assertThat(records).doesNotContain(other.path("name").asString());
            }
        }
        as("lantern").get("/api/dosing/help.pdf?person=" + chain.person).expect(404);
        as("lantern").get("/api/dosing/courses/" + chain.course + "/card.pdf").expect(404);
        as("corwen").post(path + "/stop", Map.of()).expect(403);
        as("lantern").get(path + "/help").expect(404);
        as("lantern").post(path + "/stop", Map.of()).expect(404);
        JsonNode stopped = ilse.post(path + "/stop", Map.of()).expect(200).body();
        assertThat(stopped.path("running")).isEmpty();
        // What was taken stays told, whatever became of its course.
        assertThat(stopped.path("taken")).hasSize(1);
        assertThat(ilse.get("/api/dosing/courses/" + chain.course)
                        .body()
                        .path("status")
                        .asString())
                .isEqualTo("ENDED");
    }

    /** What can be read of it, in one line. */
    private static String paper(Client client, String path) {
        try (PDDocument document =
                Loader.loadPDF(client.get(path).expect(200).raw().body())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    public void whomToCallIsTheHouseholdsOwnAndEmptyAtFirst() {
        Client lantern = as("lantern");
        JsonNode settings = lantern.get("/api/household/settings").expect(200).body();
        assertThat(settings.path("emergencyNumber").asString()).isEmpty();
        Map<String, Object> body = new HashMap<>(Map.of(
                "name",
                settings.path("name").asString(),
                "zone",
                settings.path("zone").asString(),
                "region",
                settings.path("region").asString()));
        body.put("emergencyNumber", " 000 ");
        body.put("poisonCentre", "x".repeat(121));
        assertThat(lantern.change("PUT", "/api/household/settings", body, null)
                        .expect(400)
                        .wrongFields())
                .containsExactly("poisonCentre");
        body.put("poisonCentre", "the island's, 000 1");
        lantern.change("PUT", "/api/household/settings", body, null).expect(200);
        body.remove("emergencyNumber");
        assertThat(lantern.change("PUT", "/api/household/settings", body, null)
                        .expect(200)
                        .body()
                        .path("emergencyNumber")
                        .asString())
                .isEqualTo("000");
    }
}
