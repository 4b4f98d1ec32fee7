package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.core.io.ClassPathResource;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Every finding is raised by a test, or stands in a list of those that none raises yet. */
public class FindingsRaisedTest extends ServerTest {

    private static final String DAMP = "{\"name\":\"a\",\"massG\":60,\"moisture\":{\"low\":0.12,\"high\":0.2}}";
    private static final String DRY = "{\"name\":\"a\",\"massG\":60,\"moisture\":{\"low\":0.08,\"high\":0.1}}";
    private static final String HERB =
            "{\"name\":\"a\",\"part\":\"TOPS\",\"massG\":50,\"state\":\"DRIED\",\"moisture\":{\"low\":0.08,\"high\":0.12}}";

    private static String oil(String herb, double ratio, boolean eaten) {
        return "{\"herbs\":[" + herb + "],\"ratio\":" + ratio
                + ",\"carrier\":\"olive oil\",\"method\":\"COLD\",\"eaten\":" + eaten + "}";
    }

    private static String salve(String firmness, String wax, int celsius) {
        return "{\"tins\":[{\"capacityMl\":30,\"count\":4}],\"firmness\":\"" + firmness + "\",\"wax\":\"" + wax
                + "\",\"storageTemperatureC\":" + celsius + ",\"wasteFraction\":0.04}";
    }

    private static String kept(String form, String light, int celsius) {
        return "{\"form\":\"" + form + "\",\"madeOn\":\"2026-07-01\",\"inputs\":[],\"storage\":{\"light\":\"" + light
                + "\",\"temperatureC\":" + celsius + ",\"headspaceFraction\":0.05}}";
    }

    private static String dose(int amount, String unit) {
        return "{\"product\":{\"driedEquivalentGPerMl\":{\"low\":0.18,\"high\":0.2},\"strengthPercent\":45},"
                + "\"perDose\":{\"amount\":" + amount + ",\"unit\":\"" + unit + "\"},\"timesPerDay\":3,"
                + "\"card\":{\"lowGPerDay\":1,\"highGPerDay\":9},\"person\":{\"ageYears\":40}}";
    }

    @DataProvider
    public Object[][] calculators() {
        return new Object[][] {
            {"spirit/dilute", "{\"fromPercent\":40,\"toPercent\":60,\"finalVolumeMl\":100}", "DILUTION_STRENGTHENS"},
            {"spirit/dilute", "{\"fromPercent\":40,\"toPercent\":0,\"finalVolumeMl\":100}", "NO_SPIRIT_WANTED"},
            {"spirit/reading", "{\"readingPercent\":99,\"temperatureC\":15}", "ABOVE_97"},
            {"spirit/reading", "{\"readingPercent\":43,\"temperatureC\":26}", "READING_PURE_ONLY"},
            {
                "spirit/blend",
                "{\"targetPercent\":45,\"volumeMl\":5000,\"shelf\":[{\"name\":\"s\",\"strengthPercent\":96,"
                        + "\"availableMl\":100,\"open\":true}]}",
                "SPIRIT_SHORT"
            },
            {"oil", oil(DAMP, 7, true), "DAMP_IN_EATEN_OIL"},
            {"oil", oil(DAMP.replace("0.2}", "0.13}"), 7, false), "DAMP_IN_OIL"},
            {"oil", oil(DRY, 1.2, false), "HERB_KEEPS_ALL"},
            {"oil", oil(DRY, 12, false), "RATIO_UNUSUAL"},
            {"oil", oil(DRY, 7, true), "EATEN_OIL_COLD"},
            {"salve", salve("MEDIUM", "beeswax", 20), "HOT_WAX"},
            {"salve", salve("MEDIUM", "beeswax", 20), "COLD_SPOON"},
            {"salve/essential-oil", "{\"totalG\":200,\"essentialOilG\":1,\"youngestAgeYears\":30}", "PATCH_TEST"},
            {"syrup", "{\"way\":\"BOIL_DOWN\",\"liquidMl\":9000,\"brix\":2,\"targetBrix\":66}", "HOT_SYRUP"},
            {"syrup", "{\"way\":\"BOIL_DOWN\",\"liquidMl\":9000,\"brix\":2,\"targetBrix\":40}", "SYRUP_THIN"},
            {
                "tincture/percolation",
                "{\"herbG\":100,\"ratio\":5,\"strengthPercent\":60,\"dropsPerMl\":30}",
                "DRY_POWDER_ONLY"
            },
            {
                "tincture/menstruum",
                "{\"kind\":\"VINEGAR\",\"herbs\":[" + HERB + "],\"ratio\":5,\"figurePercent\":4}",
                "VINEGAR_WEAK"
            },
            {
                "tincture/fill-and-cover",
                "{\"jarMl\":500,\"fillFraction\":0.8,\"bulkDensityGPerMl\":{\"low\":0.1,\"high\":0.2},"
                        + "\"strengthPercent\":50,\"moisture\":{\"low\":0.7,\"high\":0.8}}",
                "WEIGH_INSTEAD"
            },
            {
                "reduction",
                "{\"readings\":[{\"minute\":0,\"massG\":900},{\"minute\":9,\"massG\":800}],\"targetG\":500}",
                "ONE_INTERVAL"
            },
            {
                "tea",
                "{\"wantedMl\":500,\"herbs\":[{\"name\":\"a\",\"form\":\"ROOT\",\"massG\":10}],\"purpose\":\"DRINK\"}",
                "TEA_KEEPS"
            },
            {
                "tea",
                "{\"wantedMl\":500,\"herbs\":[{\"name\":\"a\",\"form\":\"ROOT\",\"massG\":10}],\"purpose\":\"DRINK\","
                        + "\"strengthGPerL\":50}",
                "STRENGTH_CONTRADICTS_MASS"
            },
            {"salve", salve("SOFT", "beeswax", -20), "WAX_AT_LIMIT"},
            {
                "tincture/menstruum",
                "{\"kind\":\"WINE\",\"herbs\":[" + HERB + "],\"ratio\":5,\"figurePercent\":20}",
                "WINE_KEEPS_A_MONTH"
            },
            {
                "cream",
                "{\"totalG\":200,\"oilFraction\":0.3,\"emulsifierFraction\":0.05,\"preservativeFraction\":0.01}",
                "CREAM_PRESERVED"
            },
            {"keeping", kept("TEA", "DARK", 20), "ONLY_COLD"},
            {"keeping", kept("TINCTURE", "BRIGHT", 15), "KEPT_IN_LIGHT"},
            {"dose", dose(40, "DROP"), "DROPPER_UNCALIBRATED"},
            {"dose", dose(1, "ML"), "DOSE_BELOW_CARD"},
            {
                "dose/course",
                "{\"startOn\":\"2026-07-01\",\"perDoseMl\":2,\"timesPerDay\":3,\"courseDays\":14,"
                        + "\"pattern\":{\"kind\":\"AS_NEEDED\",\"everyHours\":6}}",
                "AS_NEEDED_MOST"
            },
        };
    }

    @Test(dataProvider = "calculators")
    public void aCalculatorRaisesIt(String calculator, String body, String code) {
        Client.Answer answer = as("ilse").post("/api/calculators/" + calculator, body);
        assertThat(codes(answer.body())).as(answer.words()).contains(code);
    }

    private static List<String> codes(JsonNode answer) {
        return Stream.concat(answer.path("findings").valueStream(), answer.findParents("code").stream())
                .map(f -> f.path("code").asString())
                .toList();
    }

    private static final Pattern RAISED =
            Pattern.compile("Finding\\s*\\.\\s*(?:stop|hold|warn|trifle|note)\\s*\\(\\s*\"([A-Z_0-9]+)\"");

    /** The list only shrinks: a code that no test names may not be added to it by forgetting. */
    @Test
    public void everyCodeIsNamedByATestOrListed() throws IOException {
        TreeSet<String> raised = new TreeSet<>();
        for (String source : sources("main")) {
            var matcher = RAISED.matcher(source);
            while (matcher.find()) {
                raised.add(matcher.group(1));
            }
        }
        assertThat(raised).hasSizeGreaterThan(200);
        String tests = String.join("\n", sources("test")) + Files.readString(Path.of("..", "docs", "cautions.md"));
        List<String> unnamed = raised.stream().filter(c -> !tests.contains(c)).toList();
        List<String> listed = new ClassPathResource("findings-no-test-raises.txt")
                .getContentAsString(StandardCharsets.UTF_8)
                .lines()
                .filter(l -> !l.isBlank() && !l.startsWith("#"))
                .toList();
        assertThat(unnamed).containsExactlyElementsOf(listed);
    }

    private static List<String> sources(String kind) throws IOException {
        try (Stream<Path> files = Stream.concat(
                Files.walk(Path.of("..", "core", "src", kind, "java")), Files.walk(Path.of("src", kind, "java")))) {
            return files.filter(f -> f.toString().endsWith(".java"))
                    .map(f -> {
                        try {
                            return Files.readString(f);
                        } catch (IOException e) {
                            throw new java.io.UncheckedIOException(e);
                        }
                    })
                    .collect(Collectors.toList());
        }
    }
}
