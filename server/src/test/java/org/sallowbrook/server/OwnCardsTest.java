package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.UUID;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.core.type.TypeReference;

/** Cards a household writes, through the API, under the checks of those that ship. */
public class OwnCardsTest extends ServerTest {

    private static final String CARD = """
            id: sea-holly
            name: Eryngium maritimum
            author: L.
            commonNames: [sea holly]
            family: Apiaceae
            lifeForm: perennial herb
            danger: HARMLESS
            draft: true
            lookAlikesChecked: false
            regions: [merrow]
            habitat: dunes
            protection: Look up the local rule.
            months: {FLOWERING: [7, 8]}
            like: [herb]
            characters:
              leaf-texture: always stiff
              leaf-underside: usual 0.7 bloomed, rare green-hairless
              flower-colour: always purple
            source: {title: A flora, year: 2019, evidence: REFERENCE}
            """;

    private Client.Answer read(Client client, String yaml) {
        return client.send(
                "POST", "/api/herbarium/own-cards", yaml.getBytes(StandardCharsets.UTF_8), "application/yaml", null);
    }

    @Test
    public void aDraftIsToldAndSearchedButNotGathered() {
        Client ilse = as("ilse");
        assertThat(read(ilse, CARD).status()).isEqualTo(200);
        assertThat(ilse.get("/api/herbarium/taxa?q=see%20holly")
                        .body()
                        .get(0)
                        .path("id")
                        .asString())
                .isEqualTo("sea-holly");
        assertThat(ilse.get("/api/herbarium/taxa/sea-holly")
                        .body()
                        .path("draft")
                        .asBoolean())
                .isTrue();
        UUID stand = UUID.randomUUID();
        ilse.post(
                "/api/field/stands",
                Map.of(
                        "id",
                        stand,
                        "taxonId",
                        "sea-holly",
                        "name",
                        "Holly",
                        "place",
                        "Long Dune",
                        "ground",
                        "CLEAN",
                        "permission",
                        "GIVEN",
                        "plenty",
                        "PLENTIFUL",
                        "protectedSpecies",
                        false));
        var check = ilse.post(
                "/api/field/stands/" + stand + "/harvests/check",
                Map.of(
                        "id",
                        UUID.randomUUID(),
                        "part",
                        "HERB",
                        "stage",
                        "FLOWERING",
                        "on",
                        "2026-01-05",
                        "massG",
                        100,
                        "shareTaken",
                        0.1,
                        "weather",
                        "dry",
                        "tells",
                        List.of("leaf-texture"),
                        "examinedSingly",
                        true));
        assertThat(check.codes()).contains("NOT_FOR_HARVEST");
        // The other household knows nothing of it.
        assertThat(as("lantern").get("/api/herbarium/taxa/sea-holly").status()).isEqualTo(404);
        assertThat(ilse.get("/api/herbarium/own-cards.yaml").words()).contains("usual 0.7 bloomed");
    }

    @DataProvider
    public Object[][] broken() {
        return new Object[][] {
            {"stiff", "spiky", "unknown state spiky of leaf-texture", 16},
            {"leaf-texture:", "leaf-taste:", "unknown character leaf-taste", 16},
            {"always stiff", "often stiff", "OFTEN is none of", 16},
            {"usual 0.7", "usual 7", "above 0 and at most 1", 17},
            {"like: [herb]", "like: [weed]", "unknown kind weed", 14},
            {"danger: HARMLESS", "danger: CUTE", "danger", 7},
            {"year: 2019", "year: soon", "year", 19},
            {"habitat: dunes\n", "", "habitat is missing", 1},
            {"family: Apiaceae", "family: Apiaceae\nfamly: x", "famly", 6},
            {"id: sea-holly", "id: Sea Holly", "lower case", 1},
            {"months: {FLOWERING: [7, 8]}", "months: {BLOOM: [7]}", "BLOOM", 13},
        };
    }

    @Test(dataProvider = "broken")
    public void aBrokenCardIsRefusedWithLineAndReason(String what, String with, String reason, int line) {
        var reply = read(as("ilse"), CARD.replace(what, with));
        assertThat(reply.status()).isEqualTo(400);
        assertThat(reply.words()).contains(reason);
        if (line > 1) {
            assertThat(reply.words()).containsPattern("line (" + line + "|" + (line + 1) + ")\\b");
        }
    }

    /** Letters lost, doubled, lines swapped or cut: either it is still a card, or a 400 says why. Never anything else. */
    @Test
    public void damagedCardsNeverBreakTheServer() {
        Client ilse = as("ilse");
        SplittableRandom random = new SplittableRandom(11);
        int refused = 0;
        for (int i = 0; i < 200; i++) {
            StringBuilder text = new StringBuilder(CARD.replace("sea-holly", "fuzz-" + i));
            for (int k = random.nextInt(1, 4); k > 0; k--) {
                int at = random.nextInt(text.length());
                switch (random.nextInt(4)) {
                    case 0 -> text.deleteCharAt(at);
                    case 1 -> text.insert(at, "{[:\"&*!%@`|>\t-".charAt(random.nextInt(13)));
                    case 2 -> text.setLength(Math.max(1, at));
                    default -> text.insert(at, text.substring(Math.max(0, at - 20), at));
                }
            }
            var reply = read(ilse, text.toString());
            assertThat(reply.status()).as(text.toString()).isIn(200, 400);
            if (reply.status() == 400) {
                refused++;
                assertThat(reply.body().path("errors").get(0).path("message").asString())
                        .isNotBlank();
            }
        }
        assertThat(refused).isGreaterThan(50);
    }

    private Map<String, Object> card(Client client, String id) {
        return Client.JSON.convertValue(
                client.get("/api/herbarium/taxa/" + id + "/card").body().path("card"),
                new TypeReference<Map<String, Object>>() {});
    }

    @DataProvider
    public Object[][] weakenings() {
        return new Object[][] {
            {"hemlock", "danger", "HARMLESS", "less dangerous"},
            {"hemlock", "characters", Map.of("flower-colour", "always red"), "fixed"},
            {"meadowsweet", "cautions", List.of(), "must stay as strict"},
            {"meadowsweet", "lookAlikes", List.of(), "must stay"},
            {"meadowsweet", "constituents", List.of(), "constituents must stay"},
        };
    }

    /** The gate on a shipped card can't be got round by changing the card. */
    @Test(dataProvider = "weakenings")
    public void aShippedCardIsNotWeakened(String id, String field, Object value, String reason) {
        Client ilse = as("ilse");
        Map<String, Object> card = new LinkedHashMap<>(card(ilse, id));
        card.put(field, value);
        var reply = ilse.put("/api/herbarium/taxa/" + id + "/card", card, null);
        assertThat(reply.status()).isEqualTo(400);
        assertThat(reply.words()).contains(reason);
    }

    @Test
    public void aChangeIsTheHouseholdsOwnVersionedAndCanBeTakenBack() {
        Client ilse = as("ilse");
        String path = "/api/herbarium/taxa/selfheal/card";
        Map<String, Object> card = new LinkedHashMap<>(card(ilse, "selfheal"));
        card.put("habitat", "the station lawn");
        var saved = ilse.put(path, card, null);
        assertThat(saved.status()).isEqualTo(200);
        assertThat(ilse.get("/api/herbarium/taxa/selfheal")
                        .body()
                        .path("habitat")
                        .asString())
                .isEqualTo("the station lawn");
        assertThat(as("lantern")
                        .get("/api/herbarium/taxa/selfheal")
                        .body()
                        .path("habitat")
                        .asString())
                .isNotEqualTo("the station lawn");
        card.put("habitat", "elsewhere");
        assertThat(ilse.put(path, card, null).status()).isEqualTo(428);
        assertThat(ilse.put(path, card, "99").status()).isEqualTo(409);
        String version = saved.body().path("version").asString();
        assertThat(ilse.delete(path, version).status()).isEqualTo(204);
        assertThat(ilse.get(path).body().path("own").asBoolean()).isFalse();
    }

    @Test
    public void aTickNamesBookAndPageAndOnlyRealFigures() {
        Client ilse = as("ilse");
        String path = "/api/herbarium/taxa/agrimony/checks";
        assertThat(ilse.post(path, Map.of("figure", "HERB/tea", "book", "", "page", ""))
                        .words())
                .contains("must name the book");
        assertThat(ilse.post(path, Map.of("figure", "made up", "book", "B", "page", "1"))
                        .status())
                .isEqualTo(400);
        assertThat(ilse.post(path, Map.of("figure", "HERB/tea", "book", "Household book", "page", "12"))
                        .status())
                .isEqualTo(200);
        var tea = ilse.get("/api/herbarium/taxa/agrimony")
                .body()
                .path("parts")
                .get(0)
                .path("tea");
        assertThat(tea.path("source").path("review").asString()).isEqualTo("CHECKED");
        assertThat(ilse.delete(path + "?figure=HERB/tea", null).status()).isEqualTo(204);
    }

    @Test
    public void aHelperReadsCardsAndChangesNone() {
        assertThat(as("tam").get("/api/herbarium/taxa/hemlock/card").status()).isEqualTo(200);
        assertThat(read(as("tam"), CARD).status()).isEqualTo(403);
    }

    @Test
    public void namesThatMoveAreFound() {
        Client ilse = as("ilse");
        List<String> kinds = new ArrayList<>();
        for (String q : List.of("Spiraea ulmaria", "wild garlic", "medowsweet", "Anagallis arvensis")) {
            var first = ilse.get("/api/herbarium/taxa?q=" + q.replace(" ", "%20"))
                    .body()
                    .get(0);
            kinds.add(first.path("id").asString() + " "
                    + first.path("foundBy").path("kind").asString());
        }
        assertThat(kinds)
                .containsExactly(
                        "meadowsweet OLDER", "ramsons AMBIGUOUS", "meadowsweet COMMON", "scarlet-pimpernel OLDER");
    }

    private static final String WHOLE = CARD.replace("sea-holly", "sea-rocket")
            .replace("Eryngium maritimum", "Cakile maritima")
            .replace("[sea holly]", "[sea rocket]")
            .replace("Apiaceae", "Brassicaceae")
            .replace("draft: true", "draft: false")
            .replace("lookAlikesChecked: false", "lookAlikesChecked: true")
            .replace("source: {title", """
                    parts:
                      - {part: LEAF, moment: young, stages: [FLOWERING], months: [7], sharePerPlant: 0.3,
                         shareOfStand: 0.1, routes: [INTERNAL], method: single leaves}
                    cautions:
                      - {subject: PREGNANCY, status: PRESENT, severity: STOP, effect: not known, source: s}
                      - {subject: BREAST_FEEDING, status: UNKNOWN, effect: not known, source: s}
                      - {subject: UNDER_AGE, value: "18", status: PRESENT, severity: STOP, effect: not known, source: s}
                    sources: {s: {title: A flora, year: 2019, evidence: REFERENCE}}
                    source: {title""");

    /** One touch takes no caution off a plant that is gathered; put aside as a draft it is written anew. */
    @Test
    public void aWholeCardIsNotWeakenedInPlace() {
        Client ilse = as("ilse");
        read(ilse, WHOLE).expect(200);
        Map<String, Object> written = card(ilse, "sea-rocket");
        assertThat(steps(ilse, "sea-rocket")).as("told by nothing yet").isEmpty();
        Map<String, Object> weaker = new LinkedHashMap<>(written);
        weaker.put(
                "cautions",
                ((List<?>) written.get("cautions"))
                        .stream()
                                .map(c -> c.toString().contains("PREGNANCY")
                                        ? Map.of(
                                                "subject",
                                                "PREGNANCY",
                                                "status",
                                                "UNKNOWN",
                                                "effect",
                                                "",
                                                "source",
                                                "s")
                                        : c)
                                .toList());
        var refused = put(ilse, "sea-rocket", weaker).expect(400).body().path("errors");
        assertThat(refused.get(0).path("field").asString()).isEqualTo("PREGNANCY");
        assertThat(refused.toString()).contains("put it aside as a draft");
        weaker.put("draft", true);
        put(ilse, "sea-rocket", weaker).expect(200);
        weaker.put("draft", false);
        put(ilse, "sea-rocket", weaker).expect(200);
        ilse.delete("/api/herbarium/taxa/sea-rocket/card", version(ilse, "sea-rocket"));
    }

    /** By form nobody types when a pair can be told: it follows from the characters, and changes with them. */
    @Test
    public void aLikenessOfADraftIsKeptAndToldByItsCharacters() {
        Client ilse = as("ilse");
        read(ilse, CARD.replace("sea-holly", "sea-kale").replace("Eryngium maritimum", "Crambe maritima"))
                .expect(200);
        Map<String, Object> card = new LinkedHashMap<>(card(ilse, "sea-kale"));
        card.put(
                "lookAlikes",
                List.of(Map.of("taxon", "hemlock", "decisive", List.of("flower-colour"), "tells", "it is purple")));
        put(ilse, "sea-kale", card).expect(200);
        assertThat(((List<?>) card(ilse, "sea-kale").get("lookAlikes")).get(0).toString())
                .contains("tellable");
        ilse.delete("/api/herbarium/taxa/sea-kale/card", version(ilse, "sea-kale"));
    }

    private Client.Answer put(Client client, String id, Map<String, Object> card) {
        return client.put("/api/herbarium/taxa/" + id + "/card", card, version(client, id));
    }

    private static String version(Client client, String id) {
        return client.get("/api/herbarium/taxa/" + id + "/card")
                .body()
                .path("version")
                .asString();
    }

    private static List<String> steps(Client client, String id) {
        List<String> reached = new ArrayList<>();
        client.get("/api/herbarium/taxa/" + id + "/card").body().path("goodFor").forEach(step -> {
            if (step.path("wanting").isEmpty()) {
                reached.add(step.path("step").asString());
            }
        });
        return reached;
    }
}
