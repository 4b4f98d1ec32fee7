package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Typed amounts, schools and what a household learns from its own work. */
public class ReckoningTest extends ServerTest {

    @DataProvider
    public Object[][] typed() {
        return new Object[][] {
            {"1 1/2 cups", "VOLUME", "METRIC", 375},
            {"1 1/2 cups", "VOLUME", "US", 354.882},
            {"½ pint", "VOLUME", "IMPERIAL", 284.131},
            {"1 pint", "VOLUME", "US", 473.176},
            {"2 oz", "VOLUME", "US", 59.1471},
            {"2 fl. oz.", "VOLUME", "IMPERIAL", 56.8261},
            {"3 Tablespoons", "VOLUME", "METRIC", 45},
            {"1 tsp", "VOLUME", "US", 4.92892},
            {"2,5 dl", "VOLUME", "METRIC", 250},
            {"750", "VOLUME", "METRIC", 750},
            {"2 oz", "MASS", "METRIC", 56.6990},
            {"1 lb", "MASS", "US", 453.592},
            {"0.25 kg", "MASS", "METRIC", 250},
            {"1/4 lb", "MASS", "METRIC", 113.398},
            {"86 proof", "STRENGTH", "METRIC", 43},
            {"70 UK proof", "STRENGTH", "METRIC", 40},
            {"45 % vol", "STRENGTH", "METRIC", 45},
            {"104 °F", "TEMPERATURE", "METRIC", 40},
            {"-4F", "TEMPERATURE", "METRIC", -20},
            {"38", "TEMPERATURE", "METRIC", 38}
        };
    }

    @Test(dataProvider = "typed")
    public void whatPeopleTypeIsRead(String text, String quantity, String kitchen, Number value) {
        var answer = as("ilse")
                .post("/api/calculators/amount", Map.of("text", text, "quantity", quantity, "kitchen", kitchen))
                .expect(200)
                .body();
        assertThat(answer.path("value").asDouble())
                .isCloseTo(value.doubleValue(), within(1e-5 * Math.abs(value.doubleValue())));
        assertThat(answer.path("read").asString()).startsWith(text + " = ");
    }

    @DataProvider
    public Object[][] unreadable() {
        return new Object[][] {
            {"2 oz", "VOLUME", "say whether US or imperial"},
            {"a few", "MASS", "no number"},
            {"1 2 3 g", "MASS", "can't be read"},
            {"1/0 g", "MASS", "divided by 0"},
            {"1.5 1/2 cups", "VOLUME", "whole number"},
            {"5 cups", "MASS", "a weight is given in"},
            {"300 proof", "STRENGTH", "from 0 to"},
            {"-3 g", "MASS", "at least 0"},
            {"-500 °C", "TEMPERATURE", "colder"},
            {"9e9 kg", "MASS", "can't be read"},
            {" ", "MASS", "1 to 60"}
        };
    }

    @Test(dataProvider = "unreadable")
    public void whatCanNotBeReadIsSaidClearly(String text, String quantity, String says) {
        var answer = as("ilse")
                .post("/api/calculators/amount", Map.of("text", text, "quantity", quantity))
                .expect(400);
        assertThat(answer.body().toString()).contains(says);
    }

    @Test
    public void aSchoolIsChosenByTheKeeperAndCountsInTheReckoning() {
        Client ilse = as("ilse");
        Map<String, Object> tincture = Map.of("form", "TINCTURE", "madeOn", "2026-01-01");
        String keeping = "/api/calculators/keeping";
        assertThat(ilse.post(keeping, tincture)
                        .expect(200)
                        .body()
                        .path("bestBefore")
                        .asString())
                .isEqualTo("2029-01-01");
        String path = "/api/household/schools/KEEPING_TINCTURE";
        as("tam").put(path, Map.of("school", "LONG_LIFE"), null).expect(403);
        ilse.put(path, Map.of("school", "SIMMER"), null).expect(400);
        ilse.put(path, Map.of("school", "LONG_LIFE"), null).expect(200);
        assertThat(ilse.post(keeping, tincture)
                        .expect(200)
                        .body()
                        .path("bestBefore")
                        .asString())
                .isEqualTo("2031-01-01");
        // Another household keeps its own.
        assertThat(as("lantern")
                        .post(keeping, tincture)
                        .expect(200)
                        .body()
                        .path("bestBefore")
                        .asString())
                .isEqualTo("2029-01-01");
        ilse.put(path, Map.of("school", "CAUTIOUS_LIFE"), null).expect(200);
        JsonNode all = ilse.get("/api/household/schools").expect(200).body();
        assertThat(all).hasSizeGreaterThan(15);
    }

    /** The child's amount is asked for by the household's school, of the least of the dose; nothing where it refers. */
    @Test
    public void aChildsAmountFollowsTheHouseholdsSchool() {
        Client lantern = as("lantern");
        String school = "/api/household/schools/CHILD_DOSE";
        Map<String, Object> child = Map.of("ageYears", 8, "weightKg", 28, "heightCm", 130);
        Map<String, Object> dose = Map.of(
                "product",
                Map.of("driedEquivalentGPerMl", Map.of("low", 0.1, "high", 0.2), "strengthPercent", 0),
                "perDose",
                Map.of("amount", 5, "unit", "ML"),
                "timesPerDay",
                2,
                "card",
                Map.of("lowGPerDay", 1, "highGPerDay", 4),
                "person",
                child);
        assertThat(lantern.post("/api/calculators/dose", dose)
                        .expect(200)
                        .body()
                        .path("childMl")
                        .isNumber())
                .isFalse();
        for (Object[] rule :
                new Object[][] {{"CHILD_BY_WEIGHT", 2.0}, {"CHILD_BY_AGE", 1.8}, {"CHILD_BY_SURFACE", 2.9}}) {
            lantern.put(school, Map.of("school", rule[0]), null).expect(200);
            assertThat(lantern.post("/api/calculators/dose", dose)
                            .expect(200)
                            .body()
                            .path("childMl")
                            .asDouble())
                    .as(rule[0].toString())
                    .isEqualTo((double) rule[1]);
        }
        lantern.put(school, Map.of("school", "REFER_CHILD"), null).expect(200);
    }

    @DataProvider
    public Object[][] pots() {
        return new Object[][] {
            {List.of("INFUSION"), "2026-11-25T12:00:00", "2026-11-26T08:00:00"},
            {List.of("INFUSION", "LONG_INFUSION"), "2026-11-25T08:00:00", "2026-11-26T08:00:00"},
            {List.of("COLD_MACERATION"), "2026-11-25T08:00:00", "2026-11-26T00:00:00"},
        };
    }

    @Test(dataProvider = "pots")
    public void aPotKeepsAsLongAsItsShortestMethod(List<String> methods, String room, String cold) {
        var keeps = as("ilse")
                .post(
                        "/api/calculators/tea",
                        Map.of(
                                "wantedMl",
                                500,
                                "keepsFrom",
                                "2026-11-25T08:00:00",
                                "herbs",
                                methods.stream()
                                        .map(m -> Map.of(
                                                "name", m, "form", "CUT", "massG", 5, "method", m, "minutes", 10))
                                        .toList()))
                .expect(200)
                .body()
                .path("keeps");
        assertThat(keeps.path("inTheRoomUntil").asString()).startsWith(room.substring(0, 16));
        assertThat(keeps.path("coldUntil").asString()).startsWith(cold.substring(0, 16));
    }

    @Test
    public void aPressingTeachesWhatTheMarcKeeps() {
        JsonNode batch = past(as("ilse"), "/api/making/batches", "Meadowsweet tincture");
        JsonNode outcome = as("ilse")
                .get("/api/making/batches/" + batch.path("id").asString())
                .expect(200)
                .body()
                .path("outcome");
        double low = outcome.path("retentionMlPerG").path("low").asDouble();
        double high = outcome.path("retentionMlPerG").path("high").asDouble();
        assertThat(low).isBetween(0.5, high);
        assertThat(outcome.path("because").get(0).asString()).contains(" = ");
    }

    @Test
    public void aColdSpoonMovesTheNextSalve() {
        Client ilse = as("ilse");
        JsonNode salve = past(ilse, "/api/making/batches", "Marigold salve");
        String spoons = "/api/making/batches/" + salve.path("id").asString() + "/spoons";
        Map<String, Object> plan = Map.of(
                "id",
                id(),
                "name",
                "next salve",
                "kind",
                "SALVE",
                "oils",
                List.of(Map.of(
                        "stock",
                        Map.of("lotId", lot(ilse, "Marigold oil").path("id").asString()),
                        "parts",
                        1)),
                "wax",
                Map.of("lotId", lot(ilse, "beeswax").path("id").asString()),
                "tins",
                List.of(Map.of("capacityMl", 30, "count", 1)),
                "firmness",
                "MEDIUM",
                "storageTemperatureC",
                20,
                "startedOn",
                today());
        double before = wax(ilse, plan);
        Map<String, Object> soft = Map.of("id", id(), "verdict", "TOO_SOFT", "abovePlan", 0);
        ilse.post(spoons, soft).expect(200);
        ilse.post(spoons, soft).expect(200);
        assertThat(wax(ilse, plan)).isCloseTo(before * (0.14 + 0.005) / 0.14, within(1e-6));
        JsonNode tincture = past(ilse, "/api/making/batches", "Meadowsweet tincture");
        ilse.post("/api/making/batches/" + tincture.path("id").asString() + "/spoons", soft)
                .expect(409);
    }

    private static double wax(Client client, Object plan) {
        return client.post("/api/making/batches/check", plan)
                .expect(200)
                .body()
                .at("/plan/portions/1/massG")
                .asDouble();
    }
}
