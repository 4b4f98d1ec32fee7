package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Every calculator, from a request that makes sense, spoilt one leaf at a time: the 400 names that leaf, and 500 never comes. */
public class CalculatorFuzzTest extends ServerTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final String HERB =
            "{\"name\":\"a\",\"part\":\"TOPS\",\"massG\":50,\"state\":\"DRIED\",\"moisture\":{\"low\":0.08,\"high\":0.12}}";
    private static final String SPIRIT = "{\"name\":\"s\",\"strengthPercent\":96,\"availableMl\":900,\"open\":true}";
    private static final String DAILY = "{\"kind\":\"DAILY\"}";

    private static Map<String, String> sound() {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("spirit/mix", "{\"pours\":[{\"volumeMl\":50,\"strengthPercent\":96}]}");
        all.put("spirit/dilute", "{\"fromPercent\":96,\"toPercent\":40,\"spiritMl\":100}");
        all.put("spirit/blend", "{\"targetPercent\":45,\"volumeMl\":100,\"shelf\":[" + SPIRIT + "]}");
        all.put("spirit/reading", "{\"readingPercent\":43,\"temperatureC\":26}");
        all.put("spirit/proof", "{\"usProof\":86}");
        all.put(
                "tincture",
                "{\"herbs\":[" + HERB + "],\"ratio\":5,\"waterCounts\":false,"
                        + "\"target\":{\"of\":\"MENSTRUUM\",\"strengthPercent\":45},\"shelf\":[" + SPIRIT + "]}");
        all.put(
                "tincture/fill-and-cover",
                "{\"jarMl\":500,\"fillFraction\":0.8,\"bulkDensityGPerMl\":{\"low\":0.1,\"high\":0.2},"
                        + "\"strengthPercent\":50,\"moisture\":{\"low\":0.7,\"high\":0.8}}");
        all.put("tincture/percolation", "{\"herbG\":100,\"ratio\":5,\"strengthPercent\":60,\"dropsPerMl\":30}");
        all.put("tincture/double", "{\"tinctureMl\":300,\"tincturePercent\":60,\"targetPercent\":30}");
        all.put("tincture/double/strength", "{\"tinctureMl\":300,\"decoctionMl\":100,\"targetPercent\":30}");
        all.put(
                "tincture/menstruum",
                "{\"kind\":\"VINEGAR\",\"herbs\":[" + HERB + "],\"ratio\":5,\"figurePercent\":5}");
        all.put(
                "tincture/record",
                "{\"herbs\":[" + HERB + "],\"pours\":[{\"volumeMl\":250,\"strengthPercent\":45}],\"gainedMl\":200}");
        all.put("bottling", "{\"volumeMl\":250,\"stock\":[{\"capacityMl\":50,\"count\":8}]}");
        all.put("formula", "{\"parts\":[{\"name\":\"a\",\"volumeMl\":50,\"strengthPercent\":45}]}");
        all.put(
                "tea",
                "{\"wantedMl\":500,\"herbs\":[{\"name\":\"a\",\"form\":\"ROOT\",\"massG\":10}],\"purpose\":\"DRINK\"}");
        all.put(
                "reduction",
                "{\"readings\":[{\"minute\":0,\"massG\":900},{\"minute\":9,\"massG\":800}],\"targetG\":500}");
        all.put("syrup", "{\"way\":\"BOIL_DOWN\",\"liquidMl\":9000,\"brix\":2,\"targetBrix\":66}");
        all.put("freezing", "{\"volumeMl\":500,\"cubeMl\":20,\"holes\":12,\"on\":\"2026-07-01\"}");
        all.put(
                "oil",
                "{\"herbs\":[{\"name\":\"a\",\"massG\":60,\"moisture\":{\"low\":0.08,\"high\":0.1}}],\"ratio\":7,"
                        + "\"carrier\":\"olive oil\",\"method\":\"COLD\",\"eaten\":false}");
        all.put("oil/evaporation", "{\"oilG\":250,\"extractG\":0,\"nowG\":260}");
        all.put(
                "salve",
                "{\"tins\":[{\"capacityMl\":30,\"count\":4}],\"firmness\":\"MEDIUM\",\"wax\":\"beeswax\","
                        + "\"storageTemperatureC\":20,\"wasteFraction\":0.04}");
        all.put("salve/essential-oil", "{\"totalG\":200,\"essentialOilG\":1,\"youngestAgeYears\":30}");
        all.put("cream", "{\"totalG\":200,\"oilFraction\":0.3,\"emulsifierFraction\":0.05,\"preservativeFraction\":0}");
        all.put("keeping", "{\"form\":\"TINCTURE\",\"madeOn\":\"2026-07-01\",\"inputs\":[]}");
        all.put(
                "drying",
                "{\"freshG\":400,\"initialMoisture\":{\"low\":0.7,\"high\":0.8},\"targetMoisture\":0.1,"
                        + "\"weighings\":[{\"rackHours\":12,\"massG\":250}]}");
        all.put(
                "drying/layout",
                "{\"freshG\":400,\"part\":\"LEAF\",\"aromatic\":false,\"moisture\":{\"low\":0.7,\"high\":0.8}}");
        all.put(
                "dose",
                "{\"product\":{\"driedEquivalentGPerMl\":{\"low\":0.18,\"high\":0.2},\"strengthPercent\":45},"
                        + "\"perDose\":{\"amount\":2,\"unit\":\"ML\"},\"timesPerDay\":3,\"person\":{\"ageYears\":40}}");
        all.put(
                "dose/course",
                "{\"startOn\":\"2026-07-01\",\"perDoseMl\":2,\"timesPerDay\":3,\"pattern\":" + DAILY
                        + ",\"courseDays\":14}");
        all.put(
                "dose/phases",
                "{\"startOn\":\"2026-07-01\",\"phases\":[{\"product\":\"a\",\"perDoseMl\":2,\"timesPerDay\":3,"
                        + "\"pattern\":" + DAILY + ",\"days\":7}]}");
        all.put("dose/on-off", "{\"days\":[{\"taken\":true,\"score\":3}]}");
        all.put("amount", "{\"text\":\"2 oz\",\"quantity\":\"MASS\"}");
        all.put("identify", "{\"month\":7,\"stage\":\"FLOWERING\",\"region\":\"merrow\",\"observations\":[]}");
        return all;
    }

    @DataProvider
    public Object[][] calculators() {
        return sound().entrySet().stream()
                .map(e -> new Object[] {e.getKey(), e.getValue()})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "calculators")
    public void aSpoiltLeafIsNamed(String calculator, String body) {
        Client client = as("ilse");
        client.raw("/api/calculators/" + calculator, body).expect(200);
        JsonNode tree = JSON.readTree(body);
        for (String path : leaves(tree, "")) {
            for (String junk : List.of("{\"x\":[]}", "[[[]]]", "\"\\u0000☃\"", "1e999")) {
                if ((junk.startsWith("\"") || junk.startsWith("1"))
                        && at(tree, path).isString()) {
                    continue; // free text may hold anything, and a number is text too
                }
                var answer = client.raw("/api/calculators/" + calculator, spoilt(tree, path, junk));
                assertThat(answer.status())
                        .as(calculator + " " + path + " " + junk)
                        .isEqualTo(400);
                assertThat(answer.wrongFields()).as(path + " " + junk).contains(path);
            }
            for (String odd :
                    List.of("-1", "1e308", "-1e308", "5e-324", "0", "2147483648", "null", "true", "\"NaN\"")) {
                var answer = client.raw("/api/calculators/" + calculator, spoilt(tree, path, odd));
                assertThat(answer.status())
                        .as(calculator + " " + path + " " + odd)
                        .isIn(200, 400);
            }
        }
    }

    @Test(dataProvider = "calculators")
    public void megabytesAndDeepNestingAreRefused(String calculator, String body) {
        Client client = as("ilse");
        client.raw("/api/calculators/" + calculator, body.substring(0, body.length() - 1) + " ".repeat(5_000_000) + "}")
                .expect(400);
        client.raw("/api/calculators/" + calculator, "{\"a\":".repeat(3000) + "1" + "}".repeat(3000))
                .expect(400);
    }

    private static List<String> leaves(JsonNode node, String path) {
        List<String> all = new ArrayList<>();
        if (node instanceof ObjectNode object) {
            object.properties()
                    .forEach(e ->
                            all.addAll(leaves(e.getValue(), path.isEmpty() ? e.getKey() : path + "." + e.getKey())));
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                all.addAll(leaves(array.get(i), path + "[" + i + "]"));
            }
        } else {
            all.add(path);
        }
        return all;
    }

    private static JsonNode at(JsonNode tree, String path) {
        return tree.at(pointer(path));
    }

    private static String pointer(String path) {
        return "/" + path.replace("[", "/").replace("]", "").replace(".", "/");
    }

    /** The body as text with one leaf replaced, so that figures no parser of ours would write can stand in it. */
    private static String spoilt(JsonNode tree, String path, String junk) {
        JsonNode copy = tree.deepCopy();
        String pointer = pointer(path);
        JsonNode parent = copy.at(pointer.substring(0, pointer.lastIndexOf('/')));
        String last = pointer.substring(pointer.lastIndexOf('/') + 1);
        if (parent instanceof ObjectNode object) {
            object.put(last, "@@");
        } else if (parent instanceof ArrayNode array) {
            array.set(Integer.parseInt(last), JSON.getNodeFactory().stringNode("@@"));
        }
        return copy.toString().replace("\"@@\"", junk);
    }
}
