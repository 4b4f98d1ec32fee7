package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The calculators over HTTP against figures reckoned elsewhere: those of spirit from a second implementation of OIML R 22
 * in another language, the others with a pencil.
 */
public class ContractTest extends ServerTest {

    private static final JsonMapper JSON = JsonMapper.shared();

    private static final String FRESH = """
            {"herbs":[{"name":"nettle","part":"LEAF","massG":100,"state":"FRESH","moisture":{"low":0.7,"high":0.8}}],
             "ratio":2,"waterCounts":%s,"target":{"of":"%s","strengthPercent":%s},
             "shelf":[{"name":"strong","strengthPercent":96,"availableMl":1000,"open":true}]}""";

    private static final String DOSE = """
            {"product":{"driedEquivalentGPerMl":{"low":0.18,"high":0.22},"strengthPercent":40},
             "perDose":{"amount":%s,"unit":"%s"},"timesPerDay":3,"card":{"lowGPerDay":1,"highGPerDay":3},
             "person":{"ageYears":8,"weightKg":28,"heightCm":130}}""";

    private static final String COURSE = """
            {"startOn":"2026-01-28","perDoseMl":2,"timesPerDay":%d,"courseDays":%d,"pattern":%s%s}""";

    private Client ilse;

    /** Signed in once: passwords are slow to check, on purpose. */
    private Client client() {
        if (ilse == null) {
            ilse = as("ilse");
        }
        return ilse;
    }

    private static String course(int times, int days, String pattern, String more) {
        return String.format(COURSE, times, days, pattern, more);
    }

    @DataProvider
    public Object[][] figures() {
        String mix = "{\"pours\":[{\"volumeMl\":500,\"strengthPercent\":96},{\"volumeMl\":500,\"strengthPercent\":0}]}";
        String asPoured = String.format(FRESH, "false", "MENSTRUUM", "75");
        String inTheEnd = String.format(FRESH, "false", "FINAL", "60");
        String fill = """
                {"jarMl":1000,"fillFraction":0.8,"bulkDensityGPerMl":{"low":0.1,"high":0.15},
                 "strengthPercent":50,"moisture":{"low":0.08,"high":0.12}}""";
        String percolation = "{\"herbG\":200,\"ratio\":5,\"strengthPercent\":60,\"dropsPerMl\":20}";
        String drying = """
                {"freshG":1000,"initialMoisture":{"low":0.75,"high":0.8},"targetMoisture":0.1,"weighings":[]}""";
        String salve = """
                {"tins":[{"capacityMl":30,"count":10}],"firmness":"%s","wax":"%s","storageTemperatureC":20,
                 "wasteFraction":0.04}""";
        String formula = """
                {"parts":[{"name":"a","volumeMl":100,"strengthPercent":60,"herbEquivalentGPerMl":0.2,
                           "role":"LEAD","potency":"GENTLE"},
                          {"name":"b","volumeMl":50,"strengthPercent":25,"herbEquivalentGPerMl":0.3,
                           "role":"SUPPORT","potency":"GENTLE"}]}""";
        String ramped = course(
                3,
                14,
                "{\"kind\":\"CYCLE\",\"onDays\":5,\"offDays\":2}",
                ",\"ramp\":{\"startFraction\":0.5,\"days\":3},\"taper\":{\"endFraction\":0.5,\"days\":2}");
        return new Object[][] {
            {"spirit/mix", mix, "/volumeMl", 969.6065877524513},
            {"spirit/mix", mix, "/strengthPercent", 49.50461414589091},
            {"spirit/mix", mix, "/contractionMl", 30.393412247548667},
            {"spirit/mix", mix, "/massG", 902.8104312263944},
            {"spirit/reading", "{\"readingPercent\":42,\"temperatureC\":12}", "/strengthPercent", 45.139017835258876},
            {"tincture", asPoured, "/menstruumMl", 200},
            {"tincture", asPoured, "/finalPercent/low", 54.29624255649678},
            {"tincture", asPoured, "/finalPercent/high", 56.26169947823514},
            {"tincture", asPoured, "/liquidMl/low", 266.61121400718963},
            {"tincture", asPoured, "/liquidMl/high", 276.26221067492855},
            {"tincture", asPoured, "/yieldMl/pressed/high", 276.26221067492855 - 0.8 * 20},
            {"tincture", asPoured, "/shares/0/fraction", 1},
            {"tincture", inTheEnd, "/menstruumPercent", 81.23137622715176},
            {"tincture", inTheEnd, "/finalPercent/low", 58.95548141332549},
            {"tincture", String.format(FRESH, "true", "MENSTRUUM", "75"), "/menstruumMl", 200 - 75 / 0.9982},
            {"tincture/fill-and-cover", fill, "/herbG/low", 80},
            {"tincture/fill-and-cover", fill, "/herbG/high", 120},
            {"tincture/fill-and-cover", fill, "/menstruumMl/low", 950 - 120 * (0.12 / 0.998 + 0.88 / 1.5)},
            {"tincture/fill-and-cover", fill, "/menstruumMl/high", 950 - 80 * (0.08 / 0.998 + 0.92 / 1.5)},
            {"tincture/percolation", percolation, "/moistenMl/low", 100},
            {"tincture/percolation", percolation, "/moistenMl/high", 200},
            {"tincture/percolation", percolation, "/firstFractionMl", 750},
            {"tincture/percolation", percolation, "/dropsPerMinute/low", 0.2 * 1 * 20},
            {"tincture/percolation", percolation, "/dropsPerMinute/high", 0.2 * 3 * 20},
            {
                "tincture/double",
                "{\"tinctureMl\":400,\"tincturePercent\":60,\"targetPercent\":30}",
                "/decoctionMl",
                406.8544199194739
            },
            {
                "tincture/double",
                "{\"tinctureMl\":400,\"tincturePercent\":60,\"decoctionMl\":300}",
                "/finalPercent",
                34.605875162
            },
            {"drying", drying, "/targetG/low", 200 / 0.9},
            {"drying", drying, "/targetG/high", 250 / 0.9},
            {
                "reduction",
                "{\"readings\":[{\"minute\":0,\"volumeMl\":1000},{\"minute\":20,\"volumeMl\":880}],\"targetMl\":500}",
                "/minutesLeft/likely",
                380 / 6.0
            },
            {"tea", """
                {"wantedMl":500,"boilOffMlPerMin":5,
                 "herbs":[{"name":"bark","form":"CUT","massG":10,"method":"DECOCTION","minutes":20},
                          {"name":"leaf","form":"CUT","massG":4,"method":"INFUSION","minutes":8}]}""", "/waterMl", 500 + 14 * 2.5 + 20 * 5},
            {"oil", """
                {"herbs":[{"name":"marigold","massG":50,"moisture":{"low":0.08,"high":0.1}}],"ratio":8,
                 "carrier":"olive oil","method":"COLD","eaten":false}""", "/oilG", 368},
            {"salve", String.format(salve, "MEDIUM", "BEESWAX"), "/totalG", 300 * 0.93 * 1.04},
            {"salve", String.format(salve, "MEDIUM", "BEESWAX"), "/waxFraction", 0.14},
            {"salve", String.format(salve, "FIRM", "CANDELILLA"), "/waxFraction", 0.20 * 0.5},
            {"formula", formula, "/strengthPercent", 48.55068343003138},
            {"formula", formula, "/volumeMl", 149.3284849521906},
            {"formula", formula, "/herbs/0/gPerMl", 20 / 149.3284849521906},
            {"formula", formula, "/herbs/1/fraction", 1.0 / 3},
            {"dose", String.format(DOSE, 2, "ML"), "/driedGPerDay/high", 1.32},
            {"dose", String.format(DOSE, 2, "ML"), "/alcoholGPerDose", 2 * 0.4 * 0.789},
            {"dose", String.format(DOSE, 2, "ML"), "/alcoholMgPerKg", 2 * 0.4 * 789 / 28},
            {"dose", String.format(DOSE, 2, "ML"), "/childRules/clark", 28 / 68.0},
            {"dose", String.format(DOSE, 2, "ML"), "/childRules/young", 8 / 20.0},
            {"dose", String.format(DOSE, 2, "ML"), "/childRules/cowling", 9 / 24.0},
            {"dose", String.format(DOSE, 2, "ML"), "/childRules/surface", Math.sqrt(130 * 28 / 3600.0) / 1.73},
            {"dose", String.format(DOSE, 40, "DROP"), "/mlPerDose/high", 40 / 20.0},
            {"dose", String.format(DOSE, 40, "DROP"), "/mlPerDose/low", 40 / 55.0},
            // 3 x 2 mL on ten days of fourteen, less the ramp and the taper.
            {"dose/course", ramped, "/totalMl", 3 * (1 + 1.5 + 2 * 7 + 1)},
            {"dose/course", ramped, "/days/5/doses", 0},
            {"dose/course", ramped, "/days/11/perDoseMl", 1},
            {"dose/course", course(1, 12, "{\"kind\":\"DAYS_PER_MONTH\",\"daysPerMonth\":3}", ""), "/totalMl", 6},
            {"dose/course", course(1, 15, "{\"kind\":\"WEEKLY\"}", ""), "/totalMl", 6},
            {"dose/course", course(9, 7, "{\"kind\":\"EVERY_HOURS\",\"everyHours\":7}", ""), "/totalMl", 48},
        };
    }

    @Test(dataProvider = "figures")
    public void theFigureIsTheOneReckonedElsewhere(String calculator, String body, String at, Number expected) {
        JsonNode answer = client().post("/api/calculators/" + calculator, body)
                .expect(200)
                .body();
        assertThat(answer.path("feasible").asBoolean()).isTrue();
        assertThat(answer.at(at).isNumber()).as("%s in %s", at, answer).isTrue();
        assertThat(answer.at(at).asDouble())
                .isCloseTo(expected.doubleValue(), within(1e-8 * Math.max(1, Math.abs(expected.doubleValue()))));
    }

    @DataProvider
    public Object[][] infeasible() {
        return new Object[][] {
            {"spirit/dilute", "{\"fromPercent\":40,\"toPercent\":60,\"finalVolumeMl\":1000}", "/spiritMl"},
            {"tincture", String.format(FRESH, "false", "FINAL", "80"), "/menstruumMl"},
            {"tincture/double", "{\"tinctureMl\":400,\"tincturePercent\":30,\"targetPercent\":60}", "/decoctionMl"},
        };
    }

    /** What can't be done is an answer, not an error: no figure, and a STOP that says why and what to do. */
    @Test(dataProvider = "infeasible")
    public void whatCanNotBeDoneSaysWhy(String calculator, String body, String at) {
        JsonNode answer = client().post("/api/calculators/" + calculator, body)
                .expect(200)
                .body();
        assertThat(answer.path("feasible").asBoolean()).isFalse();
        assertThat(answer.at(at).isNull()).isTrue();
        assertThat(answer.path("findings").valueStream()).anySatisfy(f -> {
            assertThat(f.path("severity").asString()).isEqualTo("STOP");
            assertThat(f.path("message").asString()).isNotBlank();
            assertThat(f.path("action").asString()).isNotBlank();
        });
    }

    @DataProvider
    public Object[][] senseless() {
        return new Object[][] {
            {"spirit/mix", "{\"pours\":[{\"volumeMl\":-1,\"strengthPercent\":98}]}", "pours[0].volumeMl"},
            {"spirit/mix", "{\"pours\":[{\"volumeMl\":-1,\"strengthPercent\":98}]}", "pours[0].strengthPercent"},
            {"spirit/dilute", "{\"fromPercent\":96,\"toPercent\":40}", "finalVolumeMl"},
            {"spirit/reading", "{\"readingPercent\":42}", "temperatureC"},
            {"tincture", String.format(FRESH, "false", "MENSTRUUM", "98"), "target.strengthPercent"},
            {"tincture", String.format(FRESH, "false", "LATER", "50"), "target.of"},
            {
                "dose/course",
                course(
                        1,
                        3,
                        "{\"kind\":\"DAILY\"}",
                        ",\"ramp\":{\"startFraction\":0.5,\"days\":2},\"taper\":{\"endFraction\":0.5,\"days\":2}"),
                "taper"
            },
            {"keeping", "{\"form\":\"CHEESE\",\"madeOn\":\"2026-01-31\"}", "form"},
            {"keeping", "{\"form\":\"TINCTURE\",\"madeOn\":\"2026-02-31\"}", "madeOn"},
        };
    }

    @Test(dataProvider = "senseless")
    public void whatMakesNoSenseNamesTheField(String calculator, String body, String field) {
        var answer = client().post("/api/calculators/" + calculator, body).expect(400);
        assertThat(answer.wrongFields()).anyMatch(f -> f.startsWith(field));
    }

    @DataProvider
    public Object[][] verdicts() {
        return new Object[][] {
            {"BELOW", 1}, {"WITHIN", 3}, {"ABOVE", 5},
        };
    }

    /** The upper end is what is held against the card's ceiling. */
    @Test(dataProvider = "verdicts")
    public void theUnfavourableEndDecides(String expected, int ml) {
        JsonNode answer = client().post("/api/calculators/dose", String.format(DOSE, ml, "ML"))
                .expect(200)
                .body();
        assertThat(answer.path("withinCard").asString()).isEqualTo(expected);
        assertThat(answer.path("findings").toString().contains("DOSE_ABOVE_CARD"))
                .isEqualTo(expected.equals("ABOVE"));
    }

    @Test
    public void anExactDryingIsForecastExactly() {
        // Lewis with k = 0.08 / h, from 80 % to 10 % water.
        StringBuilder weighings = new StringBuilder();
        for (int hour : new int[] {4, 8, 12, 20, 28}) {
            weighings
                    .append(weighings.isEmpty() ? "" : ",")
                    .append("{\"rackHours\":")
                    .append(hour)
                    .append(",\"massG\":")
                    .append(1000 * (0.2 + 0.8 * Math.exp(-0.08 * hour)))
                    .append("}");
        }
        JsonNode answer = client().post(
                        "/api/calculators/drying",
                        "{\"freshG\":1000,\"initialMoisture\":{\"low\":0.8,\"high\":0.8},\"targetMoisture\":0.1,"
                                + "\"weighings\":[" + weighings + "]}")
                .expect(200)
                .body();
        double whole = Math.log(0.8 / (0.2 / 0.9 - 0.2)) / 0.08;
        assertThat(answer.at("/remainingHours/likely").asDouble()).isCloseTo(whole - 28, within(1e-4));
        assertThat(answer.path("model").asString()).isEqualTo("PAGE");
    }

    @Test
    public void theBlendConservesWhatItPours() throws Exception {
        JsonNode answer =
                client().post("/api/calculators/spirit/blend", """
                        {"targetPercent":45,"volumeMl":600,"shelf":[
                          {"name":"closed","strengthPercent":96,"availableMl":700,"open":false},
                          {"name":"open","strengthPercent":50,"availableMl":300,"open":true}]}""").expect(200).body();
        assertThat(answer.path("pours").get(0).path("name").asString()).isIn("open", "closed", "water");
        StringBuilder pours = new StringBuilder();
        for (JsonNode pour : answer.path("pours")) {
            double strength = switch (pour.path("name").asString()) {
                case "open" -> 50;
                case "closed" -> 96;
                default -> 0;
            };
            pours.append(pours.isEmpty() ? "" : ",")
                    .append(JSON.writeValueAsString(
                            Map.of("volumeMl", pour.path("volumeMl").asDouble(), "strengthPercent", strength)));
        }
        JsonNode mixed = client().post("/api/calculators/spirit/mix", "{\"pours\":[" + pours + "]}")
                .expect(200)
                .body();
        assertThat(mixed.path("volumeMl").asDouble()).isCloseTo(600, within(1e-6));
        assertThat(mixed.path("strengthPercent").asDouble()).isCloseTo(45, within(1e-6));
        // All of the open bottle goes in first.
        assertThat(answer.path("pours")
                        .valueStream()
                        .filter(p -> p.path("name").asString().equals("open"))
                        .mapToDouble(p -> p.path("volumeMl").asDouble())
                        .sum())
                .isCloseTo(300, within(1e-6));
    }
}
