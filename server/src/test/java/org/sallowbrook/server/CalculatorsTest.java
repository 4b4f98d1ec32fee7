package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The contract's shapes with one figure each that can be checked by hand, and the label. */
public class CalculatorsTest extends ServerTest {

    private JsonNode reckon(String calculator, Object body) {
        JsonNode answer = as("ilse")
                .post("/api/calculators/" + calculator, body)
                .expect(200)
                .body();
        assertThat(answer.path("coreVersion").asString()).isNotEmpty();
        assertThat(answer.path("findings").toString()).contains("UNGATED");
        return answer;
    }

    @Test
    public void spirit() {
        var dilute = reckon("spirit/dilute", Map.of("fromPercent", 96, "toPercent", 40, "finalVolumeMl", 1000));
        // 948.05 g of 33.300 % by mass from spirit of 93.838 %: 336.43 g, 416.7 mL at 0.80742.
        assertThat(dilute.path("spiritG").asDouble()).isCloseTo(336.43, within(0.05));
        assertThat(dilute.path("spiritMl").asDouble()).isCloseTo(416.67, within(0.05));
        var up = reckon("spirit/dilute", Map.of("fromPercent", 40, "toPercent", 96, "spiritMl", 10));
        assertThat(up.path("feasible").asBoolean()).isFalse();
        assertThat(up.path("spiritMl").isNull()).isTrue();
        as("ilse")
                .post(
                        "/api/calculators/spirit/dilute",
                        Map.of("fromPercent", 96, "toPercent", 40, "spiritMl", 10, "finalVolumeMl", 10))
                .expect(400);
        assertThat(reckon("spirit/reading", Map.of("readingPercent", 40, "temperatureC", 20))
                        .path("strengthPercent")
                        .asDouble())
                .isCloseTo(40, within(1e-6));
        var shortage = reckon(
                "spirit/blend",
                Map.of(
                        "targetPercent", 40,
                        "volumeMl", 1000,
                        "shelf",
                                List.of(Map.of("name", "a", "strengthPercent", 40, "availableMl", 400, "open", true))));
        assertThat(shortage.path("missingMl").asDouble()).isCloseTo(600, within(1e-6));
    }

    @Test
    public void dryingAndKeeping() {
        var drying = reckon(
                "drying",
                Map.of(
                        "freshG",
                        1000,
                        "initialMoisture",
                        Map.of("low", 0.7, "high", 0.8),
                        "targetMoisture",
                        0.1,
                        "weighings",
                        List.of(Map.of("rackHours", 10, "massG", 600), Map.of("rackHours", 20, "massG", 420))));
        assertThat(drying.path("targetG").path("low").asDouble()).isCloseTo(200 / 0.9, within(1e-9));
        assertThat(drying.path("moistureNow").path("high").asDouble()).isCloseTo(1 - 200.0 / 420, within(1e-9));
        assertThat(drying.path("model").asString()).isEqualTo("LEWIS");
        assertThat(drying.path("remainingHours").path("likely").asDouble()).isPositive();
        var keeping = reckon("keeping", Map.of("form", "ROOT", "madeOn", "2026-01-31"));
        assertThat(keeping.path("bestBefore").asString()).isEqualTo("2028-01-31");
    }

    @Test
    public void identify() {
        var answer = reckon(
                "identify",
                Map.of(
                        "month",
                        3,
                        "stage",
                        "ROSETTE",
                        "region",
                        "merrow",
                        "observations",
                        List.of(
                                Map.of("character", "leaf-division", "state", "simple"),
                                Map.of("character", "leaf-outline", "state", "lance"),
                                Map.of("character", "leaf-margin", "state", "entire"))));
        assertThat(answer.path("verdict").path("status").asString()).isEqualTo("NOT_YET");
        as("ilse")
                .post(
                        "/api/calculators/identify",
                        Map.of(
                                "month",
                                3,
                                "stage",
                                "ROSETTE",
                                "region",
                                "merrow",
                                "observations",
                                List.of(
                                        Map.of("character", "leaf-hairs", "state", "soft"),
                                        Map.of("character", "leaf-hairs", "state", "none"))))
                .expect(400);
    }

    @Test
    public void aLabelSaysWhatItIsAndItsCodeOpensItsPage() throws Exception {
        Client ilse = as("ilse");
        JsonNode jar = lot(ilse, "stinging nettle, leaf");
        byte[] pdf = ilse.get("/api/shelf/lots/" + jar.path("id").asString() + "/label.pdf")
                .expect(200)
                .raw()
                .body();
        try (var document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Urtica dioica", jar.path("code").asString(), "best before");
            assertThat(PrintedCode.read(document))
                    .isEqualTo("http://127.0.0.1:" + port + "/shelf/"
                            + jar.path("id").asString());
        }
    }

    @Test
    public void aLabelIsSetInEveryScriptItHasTypeForAndSaysWhatItHasNot() throws Exception {
        Client ilse = as("ilse");
        assertThat(labelOf(ilse, "זעתר 12 ml")).contains("זעתר");
        assertThat(labelOf(ilse, "شاي أخضر")).contains("شاي").doesNotContain("?");
        assertThat(labelOf(ilse, "żółć čaj τσάι чай")).contains("żółć čaj τσάι чай");
        JsonNode mixed = supply(ilse, "茶 🌿 tea");
        assertThat(ilse.get("/api/shelf/lots/" + mixed.path("id").asString() + "/label")
                        .body()
                        .path("unprintable")
                        .asString())
                .isEqualTo("茶 🌿");
    }

    private static String labelOf(Client client, String name) throws java.io.IOException {
        String id = supply(client, name).path("id").asString();
        assertThat(client.get("/api/shelf/lots/" + id + "/label")
                        .body()
                        .path("unprintable")
                        .asString())
                .isEmpty();
        byte[] pdf = client.get("/api/shelf/lots/" + id + "/label.pdf")
                .expect(200)
                .raw()
                .body();
        try (var document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    private static JsonNode supply(Client client, String name) {
        return client.post(
                        "/api/shelf/supplies",
                        Map.of(
                                "id",
                                id(),
                                "form",
                                "CARRIER_OIL",
                                "name",
                                name,
                                "amount",
                                100,
                                "denatured",
                                false,
                                "open",
                                false,
                                "place",
                                ""))
                .expect(200)
                .body();
    }

    @DataProvider
    public Object[][] namedLiquids() {
        Map<String, Object> bottle = Map.of("strengthPercent", 96, "availableMl", 500, "open", true, "name", "LIQUID");
        return new Object[][] {
            {"spirit/blend", "shelf[0].name", Map.of("targetPercent", 40, "volumeMl", 100, "shelf", List.of(bottle))},
            {
                "tincture",
                "shelf[0].name",
                Map.of(
                        "herbs",
                        List.of(Map.of(
                                "name",
                                "nettle",
                                "part",
                                "LEAF",
                                "state",
                                "DRIED",
                                "massG",
                                50,
                                "moisture",
                                Map.of("low", 0.1, "high", 0.1))),
                        "ratio",
                        5,
                        "waterCounts",
                        true,
                        "target",
                        Map.of("of", "MENSTRUUM", "strengthPercent", 50),
                        "shelf",
                        List.of(bottle),
                        "jarMl",
                        1000)
            },
            {
                "formula",
                "parts[0].name",
                Map.of("parts", List.of(Map.of("name", "LIQUID", "volumeMl", 10, "strengthPercent", 40)))
            },
            {
                "oil",
                "carrier",
                Map.of(
                        "herbs",
                        List.of(Map.of("name", "nettle", "massG", 50, "moisture", Map.of("low", 0.05, "high", 0.05))),
                        "ratio",
                        5,
                        "carrier",
                        "LIQUID",
                        "method",
                        "WARM",
                        "eaten",
                        false)
            },
            {
                "tea",
                "liquid",
                Map.of(
                        "wantedMl",
                        500,
                        "herbs",
                        List.of(Map.of(
                                "name", "nettle", "form", "CUT", "massG", 5, "method", "INFUSION", "minutes", 10)),
                        "liquid",
                        "LIQUID")
            },
        };
    }

    /** What is never for the body is not reckoned with under its own name either. */
    @Test(dataProvider = "namedLiquids")
    public void noPoisonIsReckonedWith(String calculator, String field, Map<String, Object> body) {
        for (String poison : List.of("methanol", "Methylated spirits", "rubbing alcohol", "lamp oil")) {
            JsonNode refused = as("ilse")
                    .post("/api/calculators/" + calculator, named(body, poison))
                    .expect(400)
                    .body();
            assertThat(refused.path("errors").toString()).as(poison).contains("\"" + field + "\"");
        }
    }

    private static Object named(Object body, String name) {
        if (body instanceof Map<?, ?> map) {
            Map<Object, Object> copy = new HashMap<>();
            map.forEach((k, v) -> copy.put(k, named(v, name)));
            return copy;
        }
        return body instanceof List<?> list
                ? list.stream().map(v -> named(v, name)).toList()
                : "LIQUID".equals(body) ? name : body;
    }
}
