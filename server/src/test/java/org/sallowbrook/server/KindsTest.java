package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.platform.Kinds;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Every kind of preparation passes the same door: the gates, the shelf, the numbers, whatever is made. */
public class KindsTest extends ServerTest {

    private Client ilse;
    private Chain chain;
    private UUID tea;
    private final Map<String, UUID> stock = new HashMap<>();

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
        for (Object[] s : new Object[][] {
            {"SPIRIT", 40},
            {"CARRIER_OIL", null},
            {"WAX", null},
            {"VINEGAR", 6},
            {"HONEY", null},
            {"GLYCERINE", 99},
            {"WINE", 18},
            {"SUGAR", null},
            {"EMULSIFIER", null},
            {"SALT", null},
            {"BUTTER", null},
            {"ESSENTIAL_OIL", null}
        }) {
            Map<String, Object> body = new HashMap<>(Map.of(
                    "id",
                    id(),
                    "form",
                    s[0],
                    "name",
                    s[0].equals("WAX") ? "beeswax" : "kinds " + s[0],
                    "amount",
                    5000,
                    "denatured",
                    false,
                    "open",
                    false,
                    "place",
                    ""));
            if (s[1] != null) {
                body.put("strengthPercent", s[1]);
            }
            ilse.post("/api/shelf/supplies", body).expect(200);
            stock.put((String) s[0], (UUID) body.get("id"));
        }
        tea = id();
        ilse.post("/api/making/batches", request("TEA", tea)).expect(200);
    }

    private static Map<String, Object> lot(UUID id) {
        return Map.of("lotId", id);
    }

    private Map<String, Object> herb() {
        return new HashMap<>(Map.of("lotId", chain.jar, "massG", 2));
    }

    /** Something that can be made of the chain's jar, bottle or tea. */
    private Map<String, Object> request(String kind, UUID id) {
        Map<String, Object> body =
                new HashMap<>(Map.of("id", id, "kind", kind.split(" ")[0], "name", "of " + kind, "startedOn", today()));
        // What is for the skin anyway is not asked which way it goes.
        if (!List.of("WASH", "POULTICE", "CREAM", "EVAPORATED_OIL", "EVAPORATED_OIL INFUSED_OIL")
                .contains(kind)) {
            body.put("route", "INTERNAL");
        }
        body.put("acknowledged", List.of());
        switch (kind) {
            case "TINCTURE" ->
                body.putAll(Map.of(
                        "herbs",
                        List.of(herb()),
                        "ratio",
                        5,
                        "waterCounts",
                        false,
                        "basis",
                        "MENSTRUUM",
                        "strengthPercent",
                        40,
                        "spirits",
                        List.of(lot(stock.get("SPIRIT"))),
                        "press",
                        "EARLY"));
            case "FILL_AND_COVER" ->
                body.putAll(Map.of(
                        "herb",
                        lot(chain.jar),
                        "jarMl",
                        50,
                        "fillFraction",
                        0.3,
                        "spirit",
                        lot(stock.get("SPIRIT")),
                        "press",
                        "EARLY"));
            case "PERCOLATION" ->
                body.putAll(Map.of(
                        "herb",
                        herb(),
                        "ratio",
                        5,
                        "strengthPercent",
                        40,
                        "spirits",
                        List.of(lot(stock.get("SPIRIT"))),
                        "dropsPerMl",
                        30));
            case "STEEPED VINEGAR" -> body.putAll(steeped("VINEGAR"));
            case "STEEPED GLYCERINE" -> body.putAll(steeped("GLYCERINE"));
            case "STEEPED HONEY" -> body.putAll(steeped("HONEY"));
            case "STEEPED WINE" -> body.putAll(steeped("WINE"));
            case "TEA" -> body.putAll(Map.of("herbs", List.of(Map.of("herb", herb())), "wantedMl", 300));
            case "WASH" ->
                body.putAll(Map.of("herbs", List.of(Map.of("herb", herb())), "wantedMl", 200, "use", "GARGLE"));
            case "SYRUP" ->
                body.putAll(Map.of(
                        "liquid",
                        lot(tea),
                        "liquidMl",
                        20,
                        "sweet",
                        lot(stock.get("SUGAR")),
                        "honey",
                        false,
                        "sugarPercent",
                        66));
            case "ICE_CUBES" -> body.putAll(Map.of("liquid", lot(tea), "volumeMl", 40, "holeMl", 20, "holes", 12));
            case "DRY" -> body.putAll(Map.of("herbs", List.of(herb()), "ground", false));
            case "POULTICE" -> body.putAll(Map.of("herbs", List.of(herb())));
            case "INFUSED_OIL" ->
                body.putAll(Map.of(
                        "herbs",
                        List.of(herb()),
                        "ratio",
                        7,
                        "carrier",
                        lot(stock.get("CARRIER_OIL")),
                        "method",
                        "COLD",
                        "route",
                        "EXTERNAL"));
            case "KEPT SALT" ->
                body.putAll(Map.of("herbs", List.of(herb()), "by", "SALT", "salt", lot(stock.get("SALT")), "saltG", 2));
            case "KEPT FROST" -> body.putAll(Map.of("herbs", List.of(herb()), "by", "FROST"));
            case "EVAPORATED_OIL" ->
                body.putAll(Map.of(
                        "decoction",
                        lot(tea),
                        "decoctionMl",
                        10,
                        "carrier",
                        lot(stock.get("CARRIER_OIL")),
                        "oilMl",
                        100));
            case "FORMULA" ->
                body.putAll(Map.of(
                        "parts",
                        List.of(Map.of("from", lot(chain.bottle), "volumeMl", 2, "tastes", List.of())),
                        "bottles",
                        List.of()));
            case "JOINED" ->
                body.putAll(Map.of(
                        "tincture",
                        lot(chain.bottle),
                        "tinctureMl",
                        2,
                        "decoction",
                        lot(tea),
                        "decoctionMl",
                        1,
                        "order",
                        "SPIRIT_FIRST"));
            case "CREAM" ->
                body.putAll(Map.of(
                        "totalG",
                        30,
                        "oil",
                        lot(stock.get("CARRIER_OIL")),
                        "oilPercent",
                        30,
                        "emulsifier",
                        lot(stock.get("EMULSIFIER")),
                        "emulsifierPercent",
                        5,
                        "water",
                        lot(tea),
                        "jarMl",
                        15));
            default -> throw new IllegalArgumentException(kind);
        }
        body.put("acknowledged", REASONS);
        return body;
    }

    private static final List<Map<String, String>> REASONS = List.of(
                    "STRENGTH_IMPLAUSIBLE",
                    "CREAM_UNPRESERVED",
                    "NO_HONEY_UNDER_ONE",
                    "INTACT_SKIN_ONLY",
                    "WATER_IN_HOT_OIL",
                    "LEFT_ON_THE_HERB",
                    "SALT_WEAK",
                    "DUST",
                    "DRAINING_MAY_GIVE_NOTHING",
                    "HERB_NOT_COVERED",
                    "SYRUP_WEAK")
            .stream()
            .map(c -> Map.of("code", c, "reason", "tried on purpose"))
            .toList();

    private Map<String, Object> steeped(String into) {
        return Map.of("herbs", List.of(herb()), "ratio", 10, "into", into, "liquid", lot(stock.get(into)));
    }

    @DataProvider
    public Object[][] kinds() {
        return new Object[][] {
            {"TINCTURE", "TINCTURE", "SHAKE POUR_OFF"},
            {"FILL_AND_COVER", "TINCTURE", "SHAKE POUR_OFF"},
            {"PERCOLATION", "TINCTURE", ""},
            {"STEEPED VINEGAR", "HERBAL_VINEGAR", "SHAKE"},
            {"STEEPED GLYCERINE", "GLYCERITE", "SHAKE"},
            {"STEEPED HONEY", "HERBAL_HONEY", "SHAKE"},
            {"STEEPED WINE", "HERBAL_WINE", "SHAKE"},
            {"TEA", "TEA", ""},
            {"WASH", "WASH", ""},
            {"SYRUP", "SYRUP", ""},
            {"ICE_CUBES", "ICE_CUBES", ""},
            {"DRY", "TEA_MIXTURE", ""},
            {"POULTICE", "POULTICE", ""},
            {"INFUSED_OIL", "INFUSED_OIL", "SHAKE SETTLE"},
            {"FORMULA", "MIXTURE", ""},
            {"CREAM", "CREAM", ""},
            {"JOINED", "TINCTURE", ""},
            {"KEPT SALT", "SALTED_HERB", ""},
            {"KEPT FROST", "FROZEN_HERB", ""},
            {"EVAPORATED_OIL", "INFUSED_OIL", "WEIGH_PAN"},
        };
    }

    @Test(dataProvider = "kinds")
    public void isMadeOnceSavedAndTracedToItsStand(String kind, String form, String follows) {
        UUID id = id();
        Map<String, Object> asked = request(kind, id);
        JsonNode checked =
                ilse.post("/api/making/batches/check", asked).expect(200).body();
        assertThat(checked.path("feasible").asBoolean()).as(checked.toString()).isTrue();
        assertThat(checked.at("/plan/vessel/contents").size()).isPositive();
        ilse.post("/api/making/batches", asked).expect(200);
        ilse.post("/api/making/batches", asked).expect(200);
        asked.put("name", "another");
        ilse.post("/api/making/batches", asked).expect(409);
        JsonNode lot = ilse.get("/api/shelf/lots/" + id).expect(200).body();
        assertThat(lot.path("form").asString()).isEqualTo(form);
        assertThat(lot.path("herbs").toString()).contains("stinging-nettle");
        assertThat(lot.path("traits").toString().contains("HONEY")).isEqualTo(kind.contains("HONEY"));
        assertThat(ilse.get("/api/tracing/lots/" + id).body().path("upstream").toString())
                .contains(chain.stand.toString());
        assertThat(ilse.get("/api/making/batches/" + id + "/kitchen")
                        .body()
                        .path("steps")
                        .size())
                .isPositive();
        var label = ilse.get("/api/shelf/lots/" + id + "/label.pdf")
                .expect(200)
                .raw()
                .body();
        assertThat(label.length).isGreaterThan(1000);
        JsonNode batch = ilse.get("/api/making/batches/" + id).body();
        assertThat(batch.path("follows").valueStream().map(JsonNode::asString).collect(Collectors.joining(" ")))
                .isEqualTo(follows);
        // What stands still is neither asked to be shaken nor can be said to have been.
        boolean shaken = follows.contains("SHAKE");
        ilse.post("/api/making/batches/" + id + "/shakes", Map.of("id", id(), "on", today()))
                .expect(shaken ? 200 : 409);
        assertThat(batch.hasNonNull("pourOffFrom")).isEqualTo(follows.contains("POUR_OFF"));
    }

    /** A salve is made in every chain; all others are rows above. */
    @Test
    public void everyKindIsTried() {
        assertThat(Stream.concat(
                        Stream.of("SALVE"),
                        Arrays.stream(kinds()).map(k -> k[0].toString().split(" ")[0])))
                .containsAll(
                        Kinds.of(BatchRequest.class).stream().map(Kinds::name).toList());
    }

    @Test(dataProvider = "kinds")
    public void refusesWhatMakesNoSense(String kind, String form, String follows) {
        for (String field : request(kind, id()).keySet()) {
            if (List.of("acknowledged", "kind", "route").contains(field)) {
                continue;
            }
            Map<String, Object> without = request(kind, id());
            without.remove(field);
            // A cream may be of plain water.
            if (!field.equals("water")) {
                assertThat(ilse.post("/api/making/batches", without).expect(400).wrongFields())
                        .as(kind + " without " + field)
                        .contains(field);
            }
            Map<String, Object> odd = request(kind, id());
            odd.put(field, odd.get(field) instanceof Number ? -1 : List.of(List.of()));
            assertThat(ilse.post("/api/making/batches", odd).status())
                    .as(kind + " with an odd " + field)
                    .isEqualTo(400);
        }
    }

    @Test
    public void anUnknownKindIsNamed() {
        Map<String, Object> odd = request("TEA", id());
        odd.put("kind", "POTION");
        assertThat(ilse.post("/api/making/batches/check", odd).expect(400).wrongFields())
                .containsExactly("kind");
        odd.remove("kind");
        assertThat(ilse.post("/api/making/batches/check", odd).expect(400).wrongFields())
                .containsExactly("kind");
    }

    @Test
    public void whatIsOnlyDescribedIsReckonedAndNotBegun() {
        Map<String, Object> described = request("STEEPED VINEGAR", id());
        described.put("herbs", List.of(Map.of("taxonId", "marsh-mallow", "part", "ROOT", "massG", 10)));
        described.put("liquid", Map.of("called", "wine vinegar", "strengthPercent", 6));
        JsonNode reckoned =
                ilse.post("/api/making/batches/check", described).expect(200).body();
        assertThat(reckoned.path("feasible").asBoolean()).isTrue();
        assertThat(reckoned.path("missing").size()).isEqualTo(2);
        assertThat(ilse.post("/api/making/batches", described).expect(422).codes())
                .containsOnly("NOT_ON_THE_SHELF");
        // The gates speak of a plant that is only thought of as well.
        described.put("herbs", List.of(Map.of("taxonId", "common-comfrey", "part", "ROOT", "massG", 10)));
        assertThat(ilse.post("/api/making/batches/check", described).expect(200).codes())
                .contains("PYRROLIZIDINE");
    }

    @Test
    public void whatIsThinnedEndsNoWeakerThanWanted() {
        JsonNode bottle = ilse.get("/api/shelf/lots/" + chain.bottle).body();
        double low = bottle.path("strengthLowPercent").asDouble();
        assertThat(low).isPositive().isLessThan(bottle.path("strengthPercent").asDouble());
        Map<String, Object> thinned = request("JOINED", id());
        thinned.remove("decoctionMl");
        thinned.put("targetPercent", low - 5);
        JsonNode strength = ilse.post("/api/making/batches/check", thinned)
                .expect(200)
                .body()
                .at("/plan/finalPercent");
        assertThat(strength.path("low").asDouble()).isCloseTo(low - 5, within(1e-6));
        assertThat(strength.path("high").asDouble())
                .isGreaterThan(strength.path("low").asDouble());
    }

    @Test
    public void hoursThatAreOverAreOver() {
        UUID id = id();
        ilse.post("/api/making/batches", request("TEA", id)).expect(200);
        JsonNode fresh = ilse.get("/api/shelf/lots/" + id).body();
        assertThat(fresh.path("expired").asBoolean()).isFalse();
        assertThat(Duration.between(
                        now(), java.time.Instant.parse(fresh.path("coldUntil").asString())))
                .isBetween(Duration.ofHours(24), Duration.ofHours(25));
        var before = now();
        later(Duration.ofHours(25));
        assertThat(ilse.get("/api/shelf/lots/" + id).body().path("expired").asBoolean())
                .isTrue();
        assertThat(ilse.post("/api/dosing/courses", chain.course(id(), chain.person, id, 1))
                        .codes())
                .contains("EXPIRED");
        later(Duration.between(now(), before));
    }

    @Test(
            dependsOnMethods = {
                "isMadeOnceSavedAndTracedToItsStand",
                "refusesWhatMakesNoSense",
                "hoursThatAreOverAreOver",
                "waterUnderAnOilHoldsItUntilItIsPartedAndShortensItsLife",
                "aHandfulIsWeighedOnceAndAWrongWeighingLeaves",
                "aStepIsTickedOnceInOrderAndStruckOut"
            })
    public void aDoubtedStandStopsEveryKind() {
        int version = ilse.get("/api/field/stands/" + chain.stand)
                .body()
                .path("version")
                .asInt();
        ilse.change("POST", "/api/tracing/stands/" + chain.stand + "/doubt", Map.of("reason", "not nettle"), version)
                .expect(200);
        for (Object[] kind : kinds()) {
            assertThat(ilse.post("/api/making/batches", request((String) kind[0], id()))
                            .expect(422)
                            .codes())
                    .as((String) kind[0])
                    .contains("QUARANTINED");
        }
    }

    @Test
    public void aHandfulIsWeighedOnceAndAWrongWeighingLeaves() {
        Map<String, Object> asked = request("DRY", id());
        asked.put("herbs", List.of(Map.of("lotId", chain.jar, "measure", Map.of("unit", "HANDFUL", "amount", 1))));
        double wide = spread(asked);
        UUID id = id();
        Map<String, Object> weighing =
                Map.of("id", id, "measure", "HANDFUL", "lotId", chain.jar, "count", 2, "grams", 24);
        ilse.post("/api/making/measures", weighing).expect(200);
        ilse.post("/api/making/measures", weighing).expect(200);
        assertThat(spread(asked)).isLessThan(1.2).isLessThan(wide);
        as("lantern")
                .post("/api/making/measures/" + id + "/strike", Map.of("reason", "mine"))
                .expect(404);
        ilse.post("/api/making/measures/" + id + "/strike", Map.of("reason", "two hands"))
                .expect(200);
        assertThat(spread(asked)).isEqualTo(wide);
        Map<String, Object> both = request("DRY", id());
        both.put(
                "herbs",
                List.of(Map.of("lotId", chain.jar, "massG", 2, "measure", Map.of("unit", "HANDFUL", "amount", 1))));
        ilse.post("/api/making/batches/check", both).expect(400);
    }

    private double spread(Map<String, Object> asked) {
        JsonNode yield =
                ilse.post("/api/making/batches/check", asked).expect(200).body().at("/plan/yield");
        return yield.path("high").asDouble() / yield.path("low").asDouble();
    }

    @Test
    public void aStepIsTickedOnceInOrderAndStruckOut() {
        UUID id = id();
        ilse.post("/api/making/batches", request("TEA", id)).expect(200);
        String path = "/api/making/batches/" + id + "/steps";
        ilse.post(path, Map.of("id", id(), "step", 1)).expect(409);
        Map<String, Object> first = Map.of("id", id(), "step", 0, "really", "4 g");
        ilse.post(path, first).expect(200);
        JsonNode twice = ilse.post(path, first).expect(200).body();
        assertThat(twice.path("at").asInt()).isEqualTo(1);
        assertThat(twice.at("/done/0/really").asString()).isEqualTo("4 g");
        JsonNode back = ilse.post(path + "/back", Map.of("reason", "not yet"))
                .expect(200)
                .body();
        assertThat(back.path("at").asInt()).isZero();
        assertThat(back.path("done").size()).isZero();
        ilse.post(path, Map.of("id", id(), "step", 0)).expect(200);
    }

    @Test
    public void waterUnderAnOilHoldsItUntilItIsPartedAndShortensItsLife() {
        UUID id = id();
        ilse.post("/api/making/batches", request("INFUSED_OIL", id)).expect(200);
        String path = "/api/making/batches/" + id;
        assertThat(ilse.change("POST", path + "/press", Map.of("yieldAmount", 12, "on", today()), chain.version(id))
                        .expect(400)
                        .wrongFields())
                .containsExactly("water");
        ilse.change(
                        "POST",
                        path + "/press",
                        Map.of("yieldAmount", 12, "on", today(), "water", "SEEN", "acknowledged", Chain.EARLY),
                        chain.version(id))
                .expect(200);
        Map<String, Object> bottles =
                Map.of("containers", List.of(Map.of("capacityMl", 10, "count", 1)), "on", today(), "place", "");
        assertThat(ilse.change("POST", path + "/containers", bottles, chain.version(id))
                        .expect(422)
                        .codes())
                .contains("ON_HOLD");
        ilse.change("POST", path + "/settle", Map.of("water", "NONE_SEEN"), chain.version(id))
                .expect(409);
        ilse.change("POST", path + "/settle", Map.of("water", "PARTED"), chain.version(id))
                .expect(200);
        JsonNode bottle = ilse.change("POST", path + "/containers", bottles, chain.version(id))
                .expect(200)
                .body()
                .get(0);
        assertThat(bottle.path("bestBefore").asString())
                .isEqualTo(today().plusDays(14).toString());
        assertThat(bottle.path("route").asString()).isEqualTo("EXTERNAL");
    }

    @Test
    public void aPressingThatWasStruckOutLeavesTheHoldOfDampHerb() {
        UUID basket = id();
        chain.harvest(basket, today(), 60);
        UUID id = id();
        Map<String, Object> oil = request("INFUSED_OIL", id);
        oil.put("herbs", List.of(Map.of("lotId", basket, "massG", 5)));
        oil.put("route", "EXTERNAL");
        assertThat(ilse.post("/api/making/batches", oil)
                        .expect(200)
                        .body()
                        .path("state")
                        .asString())
                .isEqualTo("HOLD");
        String path = "/api/making/batches/" + id;
        JsonNode pressed = ilse.change(
                        "POST",
                        path + "/press",
                        Map.of("yieldAmount", 20, "on", today(), "water", "NONE_SEEN", "acknowledged", Chain.EARLY),
                        chain.version(id))
                .expect(200)
                .body();
        assertThat(pressed.path("state").asString()).isEqualTo("USABLE");
        JsonNode again = ilse.change("POST", path + "/press/strike", Map.of("reason", "another jar"), chain.version(id))
                .expect(200)
                .body();
        assertThat(again.path("status").asString()).isEqualTo("STEEPING");
        assertThat(again.path("state").asString()).isEqualTo("HOLD");
    }
}
