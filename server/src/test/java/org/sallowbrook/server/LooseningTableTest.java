package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Every safety record by every way of taking it back, by every hand: one helper alone, with "x", with a name that is no
 * account, signed by themselves or by another household, is refused and changes nothing; a keeper with words, or two who
 * sign, may, and the mark stays.
 */
public class LooseningTableTest extends ServerTest {

    private static final String WHY = "the note was meant for the stand beside it";

    /** What holds, how it is taken back, and how the same is asked for once more. */
    private record Held(
            UUID subject,
            String method,
            String path,
            @Nullable Function<Client, Integer> version,
            Map<String, Object> body,
            Function<Client, Boolean> holds) {

        Client.Answer loosen(Client client, String reason, @Nullable String second) {
            Map<String, Object> said = new HashMap<>(body);
            said.put("reason", reason);
            if (second != null) {
                said.put("second", second);
            }
            return version == null ? client.post(path, said) : client.change(method, path, said, version.apply(client));
        }
    }

    private enum Record {
        LOOK,
        GROUND,
        OLDER,
        NAME,
        LAID_ANEW,
        STAND_COUNT,
        PAST_HARVEST,
        LOT_DOUBT,
        LABEL,
        OPENED,
        COUNTED_OVER,
        COUNTED_OVER_FOR_GOOD,
        WATER_SEEN,
        DOSE,
        REACTION,
        TRIAL,
        CONTACT
    }

    private static String at(Chain c) {
        return "/api/field/stands/" + c.stand;
    }

    private static int standVersion(Client client, UUID stand) {
        return client.get("/api/field/stands/" + stand).body().path("version").asInt();
    }

    private static Map<String, Object> stand(UUID id, String ground) {
        return Chain.standBody(id, "stinging-nettle", ground, null);
    }

    private Held note(Record what, Client ilse) {
        return switch (what) {
            case LOOK -> {
                UUID stand = id();
                Chain.stand(ilse, stand, "stinging-nettle");
                Chain.look(ilse, stand, today());
                UUID look = look(ilse, stand, "foxglove");
                yield new Held(
                        stand,
                        "POST",
                        "/api/field/stands/" + stand + "/identifications/" + look + "/strike",
                        null,
                        Map.of(),
                        c -> !c.get("/api/field/stands/" + stand)
                                .body()
                                .at("/identification/status")
                                .asString()
                                .equals("CONFIRMED"));
            }
            case GROUND -> {
                UUID stand = id();
                Chain.stand(ilse, stand, "stinging-nettle");
                ilse.change("PUT", "/api/field/stands/" + stand, stand(stand, "CONTAMINATED"), 0)
                        .expect(200);
                yield new Held(
                        stand,
                        "PUT",
                        "/api/field/stands/" + stand,
                        c -> standVersion(c, stand),
                        stand(stand, "CLEAN"),
                        c -> field(c, stand, "ground").equals("CONTAMINATED"));
            }
            case OLDER -> {
                UUID stand = id();
                Map<String, Object> young = stand(stand, "CLEAN");
                young.put("growingSince", 2025);
                ilse.post("/api/field/stands", young).expect(200);
                Map<String, Object> old = stand(stand, "CLEAN");
                old.put("growingSince", 2020);
                yield new Held(
                        stand,
                        "PUT",
                        "/api/field/stands/" + stand,
                        c -> standVersion(c, stand),
                        old,
                        c -> field(c, stand, "growingSince").equals("2025"));
            }
            case NAME -> {
                UUID stand = id();
                Chain.stand(ilse, stand, "stinging-nettle");
                doubt(ilse, stand);
                yield new Held(
                        stand,
                        "PUT",
                        "/api/field/stands/" + stand,
                        c -> standVersion(c, stand),
                        Chain.standBody(stand, "meadowsweet", "CLEAN", null),
                        c -> field(c, stand, "taxonId").equals("stinging-nettle"));
            }
            case LAID_ANEW -> {
                UUID bad = id();
                Map<String, Object> tainted = stand(bad, "CONTAMINATED");
                tainted.put("latitude", 55.0 + bad.hashCode() * 1e-12);
                tainted.put("longitude", 2.0 + bad.hashCode() * 1e-11);
                ilse.post("/api/field/stands", tainted).expect(200);
                UUID anew = id();
                Map<String, Object> clean = Chain.standBody(anew, "meadowsweet", "CLEAN", null);
                clean.put("latitude", tainted.get("latitude"));
                clean.put("longitude", tainted.get("longitude"));
                yield new Held(
                        anew,
                        "POST",
                        "/api/field/stands",
                        null,
                        clean,
                        c -> c.get("/api/field/stands/" + anew).status() == 404);
            }
            case STAND_COUNT -> {
                UUID stand = id();
                Chain.stand(ilse, stand, "stinging-nettle");
                UUID count = id();
                ilse.post(
                                "/api/field/stands/" + stand + "/counts",
                                Map.of(
                                        "id",
                                        count,
                                        "on",
                                        today(),
                                        "plants",
                                        3,
                                        "drought",
                                        false,
                                        "pickedByOthers",
                                        false,
                                        "words",
                                        ""))
                        .expect(200);
                yield new Held(
                        stand,
                        "POST",
                        "/api/field/stands/" + stand + "/counts/" + count + "/strike",
                        null,
                        Map.of(),
                        c -> !c.get("/api/field/stands/" + stand + "/years")
                                .body()
                                .path("counts")
                                .isEmpty());
            }
            case PAST_HARVEST -> {
                UUID stand = id();
                Chain.stand(ilse, stand, "stinging-nettle");
                ilse.send(
                                "POST",
                                "/api/archive/tables/past-harvests/" + id() + "?name=past.csv",
                                ("Stand,Part,Year,Share taken (%)\n" + "Stand " + stand + ",leaf,"
                                                + (today().getYear() - 1) + ",20\n")
                                        .getBytes(java.nio.charset.StandardCharsets.UTF_8),
                                "text/csv",
                                null)
                        .expect(200);
                String years = "/api/field/stands/" + stand + "/years";
                String past =
                        ilse.get(years).body().path("past").path(0).path("id").asString();
                yield new Held(
                        stand,
                        "POST",
                        "/api/field/stands/" + stand + "/past/" + past + "/strike",
                        null,
                        Map.of(),
                        c -> !c.get(years).body().path("past").isEmpty());
            }
            case LOT_DOUBT -> {
                UUID lot = bought(ilse, "LEAF", 50, 3);
                ilse.change(
                                "POST",
                                "/api/tracing/lots/" + lot + "/doubt",
                                Map.of("reason", "odd smell"),
                                version(ilse, lot))
                        .expect(200);
                // A second doubt does not talk the first away.
                as("tam")
                        .change(
                                "POST",
                                "/api/tracing/lots/" + lot + "/doubt",
                                Map.of("reason", "x"),
                                version(ilse, lot))
                        .expect(200);
                assertThat(ilse.get("/api/shelf/lots/" + lot)
                                .body()
                                .path("doubt")
                                .asString())
                        .contains("odd smell");
                yield lot(
                        lot,
                        "/api/tracing/lots/" + lot + "/clear",
                        Map.of(),
                        c -> state(c, lot).equals("QUARANTINED"));
            }
            case LABEL -> {
                UUID lot = id();
                Map<String, Object> bag = new HashMap<>(Map.of(
                        "id",
                        lot,
                        "taxonId",
                        "stinging-nettle",
                        "part",
                        "LEAF",
                        "massG",
                        40,
                        "supplier",
                        "a stall",
                        "label",
                        "DOUBTFUL",
                        "mouldSeen",
                        false,
                        "on",
                        today(),
                        "place",
                        ""));
                ilse.post("/api/shelf/bought", bag).expect(200);
                yield lot(
                        lot,
                        "/api/shelf/lots/" + lot + "/release",
                        Map.of(),
                        c -> state(c, lot).equals("HOLD"));
            }
            case OPENED -> {
                UUID lot = bought(ilse, "LEAF", 50, 9);
                details(ilse, lot, today().minusDays(5).toString()).expect(200);
                yield new Held(
                        lot,
                        "PUT",
                        "/api/shelf/lots/" + lot,
                        c -> version(c, lot),
                        Map.of("name", "nettle", "place", "", "supplierLot", "", "openedOn", today().toString()),
                        c -> c.get("/api/shelf/lots/" + lot)
                                .body()
                                .path("openedOn")
                                .asString()
                                .equals(today().minusDays(5).toString()));
            }
            case COUNTED_OVER -> over(bought(ilse, "LEAF", 50, 3), 120);
            case COUNTED_OVER_FOR_GOOD -> over(new Chain(ilse, today(), now()).jar, 120);
            case WATER_SEEN -> {
                UUID oil = oil(ilse);
                yield new Held(
                        oil,
                        "POST",
                        "/api/making/batches/" + oil + "/press/strike",
                        c -> c.get("/api/making/batches/" + oil)
                                .body()
                                .path("version")
                                .asInt(),
                        Map.of(),
                        c -> c.get("/api/making/batches/" + oil)
                                .body()
                                .path("status")
                                .asString()
                                .equals("PRESSED"));
            }
            case DOSE -> {
                Chain chain = new Chain(ilse, today(), now());
                UUID dose = id();
                ilse.post(
                                "/api/dosing/courses/" + chain.course + "/doses",
                                Map.of("id", dose, "on", today(), "slot", 1))
                        .expect(200);
                // Past the minute in which a tap by mistake is taken back by whoever tapped.
                later(Duration.ofMinutes(2));
                yield new Held(
                        chain.course,
                        "POST",
                        "/api/dosing/courses/" + chain.course + "/doses/" + dose + "/strike",
                        null,
                        Map.of(),
                        c -> !c.get("/api/dosing/courses/" + chain.course)
                                .body()
                                .path("taken")
                                .isEmpty());
            }
            case REACTION -> {
                String person = Chain.person(ilse);
                UUID reaction = id();
                ilse.post(
                                "/api/dosing/reactions",
                                Map.of(
                                        "id",
                                        reaction,
                                        "personId",
                                        person,
                                        "taxa",
                                        List.of("stinging-nettle"),
                                        "signs",
                                        List.of("BREATH"),
                                        "degree",
                                        "SEVERE",
                                        "on",
                                        today(),
                                        "words",
                                        ""))
                        .expect(200);
                yield ofPerson(
                        person,
                        "/api/dosing/reactions/" + reaction + "/strike",
                        c -> !c.get("/api/dosing/people/" + person + "/reactions")
                                .body()
                                .isEmpty());
            }
            case TRIAL -> {
                String person = Chain.person(ilse);
                UUID trial = id();
                ilse.post(
                                "/api/dosing/trials",
                                Chain.trial(trial, person, "stinging-nettle", "MOUTH", today().minusDays(2), false))
                        .expect(200);
                yield ofPerson(
                        person,
                        "/api/dosing/trials/" + trial + "/strike",
                        c -> !c.get("/api/dosing/people/" + person + "/trials")
                                .body()
                                .isEmpty());
            }
            case CONTACT -> {
                String person = Chain.person(ilse);
                UUID contact = id();
                ilse.post(
                                "/api/field/contacts",
                                Map.of(
                                        "id",
                                        contact,
                                        "personId",
                                        person,
                                        "taxonId",
                                        "giant-hogweed",
                                        "on",
                                        today(),
                                        "reaction",
                                        "BLISTERS",
                                        "words",
                                        ""))
                        .expect(200);
                yield ofPerson(
                        person,
                        "/api/field/contacts/" + contact + "/strike",
                        c -> c.get("/api/field/contacts?taxon=giant-hogweed")
                                .body()
                                .toString()
                                .contains(contact.toString()));
            }
        };
    }

    private static Held ofPerson(String person, String path, Function<Client, Boolean> holds) {
        return new Held(UUID.fromString(person), "POST", path, null, Map.of(), holds);
    }

    private static Held lot(UUID lot, String path, Map<String, Object> body, Function<Client, Boolean> holds) {
        return new Held(lot, "POST", path, c -> version(c, lot), body, holds);
    }

    private static Held over(UUID lot, double amount) {
        return new Held(
                lot,
                "POST",
                "/api/shelf/lots/" + lot + "/count",
                c -> version(c, lot),
                Map.of("id", id(), "amount", amount, "on", today(), "more", "MEASURED_WRONG"),
                c -> c.get("/api/shelf/lots/" + lot).body().path("amount").asDouble() < amount);
    }

    private static Client.Answer details(Client client, UUID lot, String openedOn) {
        return client.change(
                "PUT",
                "/api/shelf/lots/" + lot,
                Map.of("name", "nettle", "place", "", "supplierLot", "", "openedOn", openedOn),
                version(client, lot));
    }

    private static int version(Client client, UUID lot) {
        return client.get("/api/shelf/lots/" + lot).body().path("version").asInt();
    }

    private static String state(Client client, UUID lot) {
        return client.get("/api/shelf/lots/" + lot).body().path("state").asString();
    }

    private static String field(Client client, UUID stand, String name) {
        return client.get("/api/field/stands/" + stand).body().path(name).asString();
    }

    private static void doubt(Client client, UUID stand) {
        client.change(
                        "POST",
                        "/api/tracing/stands/" + stand + "/doubt",
                        Map.of("reason", "a strange leaf among it"),
                        standVersion(client, stand))
                .expect(200);
    }

    /** A look that sees all of another plant that is always so. */
    private static UUID look(Client client, UUID stand, String as) {
        List<Map<String, String>> seen = new ArrayList<>();
        for (JsonNode c : client.get("/api/herbarium/taxa/" + as).body().path("characters")) {
            boolean now =
                    c.path("stages").isEmpty() || c.path("stages").toString().contains("FLOWERING");
            for (JsonNode s : c.path("states")) {
                if (now && s.path("frequency").asString().equals("ALWAYS") && seen.size() < 40) {
                    String id = c.path("character").asString();
                    if (seen.stream().noneMatch(o -> o.get("character").equals(id))) {
                        seen.add(
                                Map.of("character", id, "state", s.path("state").asString()));
                    }
                }
            }
        }
        UUID look = id();
        JsonNode kept = client.post(
                        "/api/field/stands/" + stand + "/identifications",
                        Map.of("id", look, "on", today(), "stage", "FLOWERING", "observations", seen, "again", seen))
                .expect(200)
                .body();
        assertThat(kept.path("status").asString()).as(seen.toString()).isEqualTo("STOP");
        return look;
    }

    /** Pressed, with water under it. */
    private UUID oil(Client ilse) {
        UUID herb = bought(ilse, "LEAF", 50, 40);
        UUID oil = id();
        ilse.post(
                        "/api/making/batches",
                        Map.of(
                                "id",
                                oil,
                                "name",
                                "nettle oil",
                                "kind",
                                "INFUSED_OIL",
                                "herbs",
                                List.of(Map.of("lotId", herb, "massG", 10)),
                                "ratio",
                                7,
                                "carrier",
                                Map.of(
                                        "lotId",
                                        lot(ilse, "olive oil").path("id").asString()),
                                "method",
                                "COLD",
                                "route",
                                "EXTERNAL",
                                "startedOn",
                                today().minusDays(30)))
                .expect(200);
        JsonNode batch = ilse.get("/api/making/batches/" + oil).body();
        ilse.change(
                        "POST",
                        "/api/making/batches/" + oil + "/press",
                        Map.of(
                                "yieldAmount",
                                batch.at("/plan/yield/low").asDouble(),
                                "on",
                                today(),
                                "water",
                                "SEEN",
                                "acknowledged",
                                Chain.EARLY),
                        batch.path("version").asInt())
                .expect(200);
        return oil;
    }

    @DataProvider
    public Object[][] everyRecordByTheHandsThatMay() {
        List<Object[]> rows = new ArrayList<>();
        for (Record what : Record.values()) {
            rows.add(new Object[] {what.name(), "the keeper with words"});
            rows.add(new Object[] {what.name(), "a helper and another who signs"});
        }
        return rows.toArray(Object[][]::new);
    }

    @Test(dataProvider = "everyRecordByTheHandsThatMay")
    public void oneAloneIsRefusedAndTheMarkStays(String what, String hand) {
        Client ilse = as("ilse");
        Client tam = as("tam");
        Held held = note(Record.valueOf(what), ilse);
        // A helper alone, whatever is said, and whoever's id is put under it.
        assertThat(held.loosen(tam, WHY, null).expect(422).codes()).contains("KEEPER_OR_SECOND");
        assertThat(held.loosen(tam, "x", null).expect(422).codes()).contains("KEEPER_OR_SECOND");
        assertThat(held.loosen(tam, WHY, id().toString()).expect(422).codes()).containsExactly("SIGNED_TOO_LONG_AGO");
        assertThat(held.loosen(tam, WHY, ilse.signedBy("corwen")).expect(422).codes())
                .as("signed for somebody else")
                .containsExactly("SIGNED_TOO_LONG_AGO");
        // The keeper with nothing said.
        assertThat(held.loosen(ilse, "x", null).expect(400).wrongFields()).containsExactly("reason");
        assertThat(held.loosen(as("corwen"), WHY, null).status()).isEqualTo(403);
        assertThat(held.loosen(as("lantern"), WHY, null).status())
                .as("another household's; a new stand there is theirs")
                .isIn(404, what.equals("LAID_ANEW") ? 200 : 404);
        if (!what.equals("LAID_ANEW")) {
            assertThat(held.holds().apply(ilse)).isTrue();
        } else {
            held = note(Record.LAID_ANEW, ilse);
        }
        if (hand.startsWith("a helper")) {
            held.loosen(tam, WHY, tam.signedBy("corwen")).expect(200);
        } else {
            held.loosen(ilse, WHY, null).expect(200);
        }
        assertThat(held.holds().apply(ilse)).isFalse();
        JsonNode mark = ilse.get("/api/household/loosened/" + held.subject())
                .expect(200)
                .body();
        assertThat(mark).hasSize(1);
        assertThat(mark.get(0).path("reason").asString()).isEqualTo(WHY);
        assertThat(mark.get(0).path("second").asString("")).isEqualTo(hand.startsWith("a helper") ? "Corwen Holm" : "");
        assertThat(as("lantern")
                        .get("/api/household/loosened/" + held.subject())
                        .body())
                .isEmpty();
    }

    /** Signing is another account's own, with its password, of this household, and good once. */
    @Test
    public void aSecondPersonSignsForThemselves() {
        Client tam = as("tam");
        for (Map<String, String> wrong : List.of(
                Map.of("username", "tam", "password", "merrow-demo"),
                Map.of("username", "ilse", "password", "merrow"),
                Map.of("username", "lantern", "password", "merrow-demo"),
                Map.of("username", "Oda Brandt", "password", "merrow-demo"))) {
            assertThat(tam.post("/api/session/second", wrong).expect(400).wrongFields())
                    .as(wrong.toString())
                    .hasSize(1);
        }
        Client ilse = as("ilse");
        String once = tam.signedBy("ilse");
        Held first = note(Record.LABEL, ilse);
        first.loosen(tam, WHY, once).expect(200);
        Held second = note(Record.LABEL, ilse);
        assertThat(second.loosen(tam, WHY, once).expect(422).codes()).containsExactly("SIGNED_TOO_LONG_AGO");
        String late = tam.signedBy("ilse");
        later(Duration.ofMinutes(11));
        assertThat(second.loosen(tam, WHY, late).expect(422).codes()).containsExactly("SIGNED_TOO_LONG_AGO");
    }

    /** Whom the keeper has named may look as a second, from the next day on, and never signs for anything else. */
    @Test
    public void whoIsNamedBeforehandMayLookToo() {
        Client ilse = as("ilse");
        UUID observer = id();
        assertThat(ilse.post("/api/household/observers", Map.of("id", id(), "name", "Anybody", "why", "x"))
                        .expect(400)
                        .wrongFields())
                .containsExactly("why");
        assertThat(ilse.post(
                                "/api/household/observers",
                                Map.of("id", id(), "name", "tam", "why", "has known plants for years"))
                        .expect(400)
                        .wrongFields())
                .containsExactly("name");
        Map<String, Object> neighbour =
                Map.of("id", observer, "name", "Oda Brandt", "why", "taught botany on the island for years");
        as("tam").post("/api/household/observers", neighbour).expect(403);
        ilse.post("/api/household/observers", neighbour).expect(200);
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        doubt(ilse, stand);
        String looks = "/api/field/stands/" + stand + "/identifications";
        Map<String, Object> look = Chain.lookBody(ilse, today(), null);
        look.put("second", observer);
        assertThat(ilse.post(looks, look).expect(422).codes()).containsExactly("NAMED_JUST_NOW");
        Held label = note(Record.LABEL, ilse);
        assertThat(label.loosen(as("tam"), WHY, observer.toString()).expect(422).codes())
                .containsExactly("SIGNED_TOO_LONG_AGO");
        later(Duration.ofDays(1));
        look.put("on", today().plusDays(1));
        ilse.post(looks, look).expect(200);
        assertThat(field(ilse, stand, "doubted")).isEqualTo("false");
        ilse.post("/api/household/observers/" + observer + "/end", Map.of()).expect(200);
        later(Duration.ofDays(-1));
    }

    /** The look that took a doubt away is struck: the doubt is there again, and what it had set aside. */
    @Test
    public void aDoubtComesBackWithTheLookThatClearedIt() {
        Client ilse = as("ilse");
        Chain chain = new Chain(ilse, today(), now());
        doubt(ilse, chain.stand);
        assertThat(state(ilse, chain.bottle)).isEqualTo("QUARANTINED");
        Map<String, Object> look = Chain.lookBody(ilse, today(), null);
        look.put("second", ilse.signedBy("tam"));
        JsonNode kept =
                ilse.post(at(chain) + "/identifications", look).expect(200).body();
        ilse.post("/api/tracing/stands/" + chain.stand + "/clear", Map.of()).expect(200);
        assertThat(state(ilse, chain.bottle)).isEqualTo("USABLE");
        // Nothing was picked since, but something on the very day of the look: that must be struck first.
        ilse.post("/api/field/harvests/" + chain.basket + "/strike", Map.of("reason", "it was not weighed at all"))
                .expect(200);
        as("tam")
                .post(
                        at(chain) + "/identifications/" + kept.path("id").asString() + "/strike",
                        Map.of("reason", "we looked at another patch"))
                .expect(200);
        assertThat(field(ilse, chain.stand, "doubted")).isEqualTo("true");
        assertThat(field(ilse, chain.stand, "doubtReason")).contains("a strange leaf");
        assertThat(state(ilse, chain.bottle)).isEqualTo("QUARANTINED");
        assertThat(ilse.post("/api/dosing/courses/" + chain.course + "/doses", chain.dose(1))
                        .expect(422)
                        .codes())
                .contains("QUARANTINED");
    }

    /** Unfilled, counted up, doubted and cleared: a bottle of a mouldy jar is worth nothing by any of it. */
    @Test
    public void aFillingStruckOutLaundersNothing() {
        Client ilse = as("ilse");
        Client tam = as("tam");
        Chain chain = new Chain(ilse, today(), now());
        tam.change(
                        "POST",
                        "/api/making/batches/" + chain.batch + "/containers/" + chain.bottle + "/strike",
                        Map.of("reason", "never filled"),
                        chain.version(chain.batch))
                .expect(200);
        tam.change(
                        "POST",
                        "/api/shelf/lots/" + chain.bottle + "/count",
                        Map.of("id", id(), "amount", 20, "reason", "it is full after all", "on", today()),
                        version(tam, chain.bottle))
                .expect(409);
        // Before any trouble as well: the course that runs on it stops.
        assertThat(ilse.post("/api/dosing/courses/check", chain.course(id(), chain.person, chain.bottle, 1))
                        .expect(200)
                        .codes())
                .contains("QUARANTINED");
        ilse.change("POST", "/api/tracing/lots/" + chain.jar + "/mould", Map.of(), version(ilse, chain.jar))
                .expect(200);
        assertThat(state(ilse, chain.bottle)).isEqualTo("QUARANTINED");
        ilse.change(
                        "POST",
                        "/api/tracing/lots/" + chain.bottle + "/doubt",
                        Map.of("reason", "x"),
                        version(ilse, chain.bottle))
                .expect(200);
        ilse.change(
                        "POST",
                        "/api/tracing/lots/" + chain.bottle + "/clear",
                        Map.of("reason", WHY),
                        version(ilse, chain.bottle))
                .expect(200);
        assertThat(state(ilse, chain.bottle)).isEqualTo("QUARANTINED");
        assertThat(ilse.post("/api/dosing/courses", chain.course(id(), chain.person, chain.bottle, 1))
                        .expect(422)
                        .codes())
                .contains("QUARANTINED");
        assertThat(ilse.change(
                                "POST",
                                "/api/shelf/lots/" + chain.bottle + "/give",
                                Map.of("holder", "Oda"),
                                version(ilse, chain.bottle))
                        .expect(422)
                        .codes())
                .contains("NEVER_FILLED");
    }

    @Test
    public void aStandWithSomethingAgainstItIsNotDeleted() {
        Client ilse = as("ilse");
        for (String against : List.of("doubt", "ground", "look")) {
            UUID stand = id();
            Chain.stand(ilse, stand, "stinging-nettle");
            switch (against) {
                case "doubt" -> doubt(ilse, stand);
                case "ground" ->
                    ilse.change("PUT", "/api/field/stands/" + stand, stand(stand, "CONTAMINATED"), 0)
                            .expect(200);
                default -> look(ilse, stand, "foxglove");
            }
            assertThat(ilse.change("DELETE", "/api/field/stands/" + stand, Map.of(), standVersion(ilse, stand))
                            .status())
                    .as(against)
                    .isEqualTo(409);
        }
    }

    /** More than came into a jar: what nobody knows the origin of stands apart, and is not for use. */
    @Test
    public void whatIsCountedOverStandsApart() {
        Client ilse = as("ilse");
        Chain chain = new Chain(ilse, today(), now());
        UUID jar = chain.jar;
        Map<String, Object> body = new HashMap<>(
                Map.of("id", id(), "amount", 100_000, "on", today(), "reason", "it is what the scale says"));
        assertThat(ilse.change("POST", "/api/shelf/lots/" + jar + "/count", body, version(ilse, jar))
                        .expect(400)
                        .wrongFields())
                .containsExactly("more");
        body.put("more", "MEASURED_WRONG");
        // More than was ever picked can't have been weighed wrongly.
        assertThat(ilse.change("POST", "/api/shelf/lots/" + jar + "/count", body, version(ilse, jar))
                        .expect(400)
                        .wrongFields())
                .containsExactly("amount");
        body.put("more", "UNKNOWN");
        body.put("amount", 100);
        assertThat(ilse.change("POST", "/api/shelf/lots/" + jar + "/count", body, version(ilse, jar))
                        .expect(200)
                        .body()
                        .path("amount")
                        .asDouble())
                .isEqualTo(77);
        JsonNode apart = lot(ilse, "common nettle, leaf, of unknown origin".replace("common", "stinging"));
        assertThat(apart.path("remaining").asDouble()).isEqualTo(23);
        assertThat(apart.path("state").asString()).isEqualTo("QUARANTINED");
    }

    /** The least time between two doses belongs to the plant: another bottle, another course, a chewed leaf wait as well. */
    @Test
    public void theIntervalIsThePlantsOverAllCourses() {
        Client ilse = as("ilse");
        Chain chain = new Chain(ilse, today(), now());
        ilse.change("POST", "/api/dosing/courses/" + chain.course + "/end", Map.of(), 0)
                .expect(200);
        UUID first = id();
        UUID second = id();
        for (UUID course : List.of(first, second)) {
            Map<String, Object> body = chain.course(course, chain.person, chain.bottle, 3);
            body.put("pattern", Map.of("kind", "EVERY_HOURS", "everyHours", 6));
            ilse.post("/api/dosing/courses", body).expect(200);
        }
        UUID dose = id();
        String doses = "/api/dosing/courses/%s/doses";
        ilse.post(doses.formatted(first), Map.of("id", dose, "on", today(), "slot", 1))
                .expect(200);
        later(Duration.ofSeconds(30));
        assertThat(ilse.post(doses.formatted(second), Map.of("id", id(), "on", today(), "slot", 1))
                        .expect(422)
                        .codes())
                .contains("TOO_SOON");
        assertThat(ilse.post("/api/dosing/direct", chain.direct(id(), "lotId", chain.jar, "CHEWED", 0.5))
                        .expect(422)
                        .codes())
                .contains("TOO_SOON");
        // Taken back at once, by whoever tapped: asked about, not forgotten.
        ilse.post(doses.formatted(first) + "/" + dose + "/strike", Map.of("reason", "tapped"))
                .expect(200);
        assertThat(ilse.post(doses.formatted(second), Map.of("id", id(), "on", today(), "slot", 1))
                        .expect(422)
                        .codes())
                .contains("TOO_SOON_IF_SWALLOWED")
                .doesNotContain("TOO_SOON");
        later(Duration.ofHours(6));
        ilse.post(doses.formatted(second), Map.of("id", id(), "on", today(), "slot", 1))
                .expect(200);
        later(Duration.ofHours(-6));
    }

    /** What is down is recorded whatever was ended, struck out or refused, and counts. */
    @Test
    public void whatWasSwallowedIsAlwaysKept() {
        Client ilse = as("ilse");
        Chain chain = new Chain(ilse, today(), now());
        ilse.change("POST", "/api/dosing/courses/" + chain.course + "/end", Map.of(), 0)
                .expect(200);
        ilse.post(
                        "/api/dosing/courses/" + chain.course + "/doses",
                        Map.of("id", id(), "on", today(), "slot", 1, "amount", 15, "swallowed", true))
                .expect(200);
        // Out of the bottle without a course, more than is said to be in it.
        Map<String, Object> drunk = chain.direct(id(), "lotId", chain.bottle, "SWALLOWED", null);
        drunk.put("ml", 40);
        assertThat(ilse.post("/api/dosing/direct", drunk).expect(400).wrongFields())
                .containsExactly("manner");
        drunk.put("done", true);
        ilse.post("/api/dosing/direct", drunk).expect(200);
        assertThat(ilse.post("/api/dosing/courses/check", chain.course(id(), chain.person, chain.bottle, 1))
                        .expect(200)
                        .codes())
                .contains("DOSE_ABOVE_CARD");
        assertThat(ilse.get("/api/dosing/people/" + chain.person + "/help")
                        .body()
                        .toString())
                .contains("chain tincture");
    }

    /** A trial speaks for its way, and after the waiting time. */
    @Test
    public void aTrialIsOfItsWayAndWantsADay() {
        Client ilse = as("ilse");
        Chain chain = new Chain(ilse, today(), now());
        for (Object[] row : new Object[][] {{"MOUTH", 0, false}, {"SKIN", 1, false}, {"MOUTH", 1, true}}) {
            String person = Chain.person(ilse);
            ilse.post(
                            "/api/dosing/trials",
                            Chain.trial(
                                    id(),
                                    person,
                                    "stinging-nettle",
                                    (String) row[0],
                                    today().minusDays((int) row[1]),
                                    true))
                    .expect(200);
            boolean held = ilse.post("/api/dosing/courses/check", chain.course(id(), person, chain.bottle, 1))
                    .expect(200)
                    .codes()
                    .contains("FIRST_TIME");
            assertThat(held).as(List.of(row).toString()).isEqualTo(!(boolean) row[2]);
        }
    }

    @Test
    public void whatNobodyKnowsInARequestIsRefused() {
        Map<String, Object> person = Chain.personBody(id());
        person.put("pregnant", true);
        assertThat(as("ilse").post("/api/people", person).expect(400).wrongFields())
                .containsExactly("pregnant");
    }
}
