package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Requests that make no sense get 400 with every wrong field, never 500. */
public class BadInputTest extends ServerTest {

    @DataProvider
    public Object[][] calculators() {
        return new Object[][] {
            {"spirit/mix", List.of("pours")},
            {"spirit/dilute", List.of("fromPercent", "toPercent")},
            {"spirit/blend", List.of("targetPercent", "volumeMl", "shelf")},
            {"spirit/reading", List.of("readingPercent", "temperatureC")},
            {"tincture", List.of("herbs", "ratio", "waterCounts", "target", "shelf")},
            {
                "tincture/fill-and-cover",
                List.of("jarMl", "fillFraction", "bulkDensityGPerMl", "strengthPercent", "moisture")
            },
            {"tincture/percolation", List.of("herbG", "ratio", "strengthPercent", "dropsPerMl")},
            {"tincture/double", List.of("tinctureMl", "tincturePercent")},
            {"reduction", List.of("readings")},
            {"formula", List.of("parts")},
            {"drying", List.of("freshG", "initialMoisture", "targetMoisture", "weighings")},
            {"tea", List.of("wantedMl", "herbs")},
            {"oil", List.of("herbs", "ratio", "carrier", "method", "eaten")},
            {"salve", List.of("tins", "firmness", "wax", "storageTemperatureC", "wasteFraction")},
            {"keeping", List.of("form", "madeOn")},
            {"dose", List.of("product", "perDose", "timesPerDay", "person")},
            {"dose/course", List.of("startOn", "perDoseMl", "timesPerDay", "pattern", "courseDays")},
            {"identify", List.of("month", "stage", "region", "observations")},
            {"spirit/proof", List.of("strengthPercent")},
            {"tincture/double/strength", List.of("tinctureMl", "decoctionMl", "targetPercent")},
            {"tincture/menstruum", List.of("kind", "herbs", "ratio", "figurePercent")},
            {"tincture/record", List.of("herbs", "pours", "gainedMl")},
            {"bottling", List.of("volumeMl", "stock")},
            {"syrup", List.of("way", "liquidMl", "brix", "targetBrix")},
            {"freezing", List.of("volumeMl", "cubeMl", "holes", "on")},
            {"oil/evaporation", List.of("oilG", "extractG", "nowG")},
            {"salve/essential-oil", List.of("totalG", "essentialOilG", "youngestAgeYears")},
            {"cream", List.of("totalG", "oilFraction", "emulsifierFraction", "preservativeFraction")},
            {"drying/layout", List.of("freshG", "part", "aromatic", "moisture")},
            {"dose/phases", List.of("startOn", "phases")},
            {"dose/on-off", List.of("days")},
            {"amount", List.of("text", "quantity")},
        };
    }

    @Test(dataProvider = "calculators")
    public void everyMissingFieldIsNamed(String calculator, List<String> fields) {
        var answer = as("ilse").post("/api/calculators/" + calculator, Map.of()).expect(400);
        assertThat(answer.wrongFields()).containsExactlyInAnyOrderElementsOf(fields);
        assertThat(answer.raw().headers().firstValue("Content-Type").orElse("")).contains("problem+json");
    }

    @Test(dataProvider = "calculators")
    public void junkIsNeverAnErrorOfOurs(String calculator, List<String> fields) {
        Client client = as("ilse");
        Random random = new Random(calculator.hashCode());
        List<String> bodies = new java.util.ArrayList<>(List.of(
                "", "null", "[]", "7", "\"x\"", "{", "{\"a\":NaN}", "[".repeat(50_000), "{\"a\":".repeat(5_000)));
        List<String> values = List.of(
                "null",
                "-1",
                "0",
                "1e308",
                "1e999",
                "-0.0",
                "\"x\"",
                "\"NaN\"",
                "true",
                "[]",
                "{}",
                "[[]]",
                "[null]",
                "[{}]",
                "{\"low\":2,\"high\":1}",
                "1.5",
                "\"" + "z".repeat(5000) + "\"",
                "\"2026-02-30\"");
        for (int i = 0; i < 60; i++) {
            bodies.add(fields.stream()
                    .map(f -> "\"" + f + "\":" + values.get(random.nextInt(values.size())))
                    .collect(Collectors.joining(",", "{", "}")));
        }
        for (String body : bodies) {
            var answer = client.raw("/api/calculators/" + calculator, body);
            assertThat(answer.status()).as(calculator + " " + body).isIn(200, 400);
        }
    }

    @Test
    public void wrongTypesNegativesAndUnknownWordsAreNamedTogether() {
        var answer = as("ilse").raw("/api/calculators/tincture", """
                        {"herbs":[{"name":"a","part":"TOPS","massG":-5,"state":"SOGGY","moisture":{"low":0.1,"high":"x"}}],
                         "ratio":1e999,"waterCounts":"yes","target":{"of":"FINAL","strengthPercent":98},
                         "shelf":[{"name":"s","strengthPercent":40,"availableMl":-1,"open":true}]}""").expect(400);
        assertThat(answer.wrongFields())
                .contains(
                        "herbs[0].massG",
                        "herbs[0].state",
                        "herbs[0].moisture.high",
                        "ratio",
                        "waterCounts",
                        "target.strengthPercent",
                        "shelf[0].availableMl");
    }

    @Test
    public void tenMegabytesAreRefusedWithAReason() {
        String body = "{\"pours\":[" + " ".repeat(10_000_000) + "]}";
        var answer = as("ilse").raw("/api/calculators/spirit/mix", body).expect(400);
        assertThat(answer.body().path("detail").asString()).contains("larger than");
    }

    @Test
    public void aStaleVersionSaysWhoChangedItAndSavesNothing() {
        Client ilse = as("ilse");
        var stand = stand(ilse, "Nettles behind the hedge");
        String path = "/api/field/stands/" + stand.path("id").asString();
        Map<String, Object> change = Map.of(
                "id", stand.path("id").asString(),
                "taxonId", "stinging-nettle",
                "name", "Nettles behind the hedge",
                "place", "Signal Lane",
                "ground", "CLEAN",
                "permission", "GIVEN",
                "plenty", "FAIR",
                "protectedSpecies", false);
        as("tam").change("PUT", path, change, stand.path("version").asInt()).expect(200);
        var stale =
                ilse.change("PUT", path, change, stand.path("version").asInt()).expect(409);
        assertThat(stale.body().path("changedBy").asString()).isEqualTo("Tam Holm");
        assertThat(stale.body().path("current").path("plenty").asString()).isEqualTo("FAIR");
        ilse.post(path + "/identifications", "{}").expect(400);
    }

    @Test
    public void aRepeatedOrRacingSubmitMakesOneRecord() {
        Client ilse = as("ilse");
        UUID id = id();
        Map<String, Object> body = Map.of(
                "id",
                id,
                "form",
                "SPIRIT",
                "name",
                "twice",
                "amount",
                100,
                "strengthPercent",
                40,
                "denatured",
                false,
                "open",
                false,
                "place",
                "");
        List<Integer> statuses = IntStream.range(0, 6)
                .parallel()
                .mapToObj(i -> ilse.post("/api/shelf/supplies", body).status())
                .toList();
        assertThat(statuses).contains(200).allMatch(s -> s == 200 || s == 409);
        ilse.post("/api/shelf/supplies", body).expect(200);
        assertThat(ilse.get("/api/shelf/lots")
                        .body()
                        .valueStream()
                        .filter(l -> l.path("name").asString().equals("twice")))
                .hasSize(1);
    }

    /** A word misspelt in an address is no other question: it is refused as one in a body is. */
    @Test
    public void whatStandsInAnAddressAndIsNotKnownIsRefusedByName() {
        Map.of(
                        "name", "/api/herbarium/taxa?name=nettle",
                        "pgae", "/api/shelf/lots/past?pgae=2",
                        "persno", "/api/field/contacts?taxon=stinging-nettle&persno=x")
                .forEach((field, address) -> {
                    JsonNode errors = as("ilse").get(address).expect(400).body().path("errors");
                    assertThat(errors.size()).as(address).isEqualTo(1);
                    assertThat(errors.get(0).path("field").asString()).isEqualTo(field);
                    assertThat(errors.get(0).path("message").asString()).isEqualTo("is not known here");
                });
    }
}
