package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.Test;

/** Herb from a shop: what its label vouches for, and what happens when a lot is called back. */
public class BoughtHerbTest extends ServerTest {

    private static Map<String, Object> bag(UUID id, String taxon, String part, String label) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "taxonId",
                taxon,
                "part",
                part,
                "massG",
                100,
                "supplier",
                "The Lantern stall",
                "label",
                label,
                "mouldSeen",
                false,
                "on",
                today(),
                "place",
                "top shelf"));
    }

    private static Map<String, Object> tincture(UUID id, UUID herb) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                id,
                "name",
                "shop nettle",
                "herbs",
                List.of(Map.of("lotId", herb, "massG", 10)),
                "ratio",
                5,
                "waterCounts",
                false,
                "basis",
                "MENSTRUUM",
                "strengthPercent",
                40,
                "press",
                "EARLY",
                "route",
                "INTERNAL"));
        body.put("startedOn", today());
        body.put("kind", "TINCTURE");
        return body;
    }

    private static String state(Client client, UUID lot) {
        return client.get("/api/shelf/lots/" + lot).body().path("state").asString();
    }

    /** Sends the version that was seen last, as the page does. */
    private static Client.Answer act(Client client, UUID lot, String path, String reason) {
        int version =
                client.get("/api/shelf/lots/" + lot).body().path("version").asInt();
        return client.change("POST", path, Map.of("reason", reason), version);
    }

    private static Map<String, Object> with(Client client, Map<String, Object> tincture) {
        tincture.put(
                "spirits",
                client.get("/api/shelf/lots")
                        .body()
                        .valueStream()
                        .filter(l -> l.path("form").asString().equals("SPIRIT")
                                && !l.path("traits").toString().contains("DENATURED")
                                && l.path("remaining").asDouble() > 100)
                        .map(l -> Map.of("lotId", l.path("id").asString()))
                        .toList());
        return tincture;
    }

    @Test
    public void aDoubtfulLabelIsHeldUntilSomebodySaysWhatResolvedIt() {
        Client ilse = as("ilse");
        UUID bag = id();
        var held = ilse.post("/api/shelf/bought", bag(bag, "stinging-nettle", "LEAF", "DOUBTFUL"))
                .expect(200);
        assertThat(held.body().path("state").asString()).isEqualTo("HOLD");
        assertThat(held.body().path("supplier").asString()).isEqualTo("The Lantern stall");
        // A retried request makes no second jar.
        ilse.post("/api/shelf/bought", bag(bag, "stinging-nettle", "LEAF", "DOUBTFUL"))
                .expect(200);
        ilse.post("/api/shelf/bought", bag(bag, "stinging-nettle", "LEAF", "SCIENTIFIC_NAME"))
                .expect(409);
        assertThat(state(ilse, bag)).isEqualTo("HOLD");
        assertThat(ilse.post("/api/making/batches", with(ilse, tincture(id(), bag)))
                        .expect(422)
                        .codes())
                .contains("ON_HOLD");
        act(ilse, bag, "/api/shelf/lots/" + bag + "/release", "the stall sent the lot's paper")
                .expect(200);
        assertThat(state(ilse, bag)).isEqualTo("USABLE");
        ilse.post("/api/making/batches", with(ilse, tincture(id(), bag))).expect(200);
    }

    @Test
    public void aScientificNameServesAndACommonOneDoesNotWhereAKillerLooksAlike() {
        Client ilse = as("ilse");
        UUID certain = id();
        UUID common = id();
        ilse.post("/api/shelf/bought", bag(certain, "ramsons", "LEAF", "SCIENTIFIC_NAME"))
                .expect(200);
        ilse.post("/api/shelf/bought", bag(common, "ramsons", "LEAF", "COMMON_NAME"))
                .expect(200);
        assertThat(state(ilse, certain)).isEqualTo("USABLE");
        assertThat(state(ilse, common)).isEqualTo("HOLD");
    }

    @Test
    public void whatMustNotBeOnTheShelfDoesNotGetThere() {
        Client ilse = as("ilse");
        assertThat(ilse.post("/api/shelf/bought", bag(id(), "hemlock", "LEAF", "SCIENTIFIC_NAME"))
                        .expect(422)
                        .codes())
                .contains("DANGEROUS_PLANT");
        assertThat(ilse.post("/api/shelf/bought", bag(id(), "stinging-nettle", "FLOWER", "SCIENTIFIC_NAME"))
                        .expect(422)
                        .codes())
                .contains("PART_NOT_USED");
        Map<String, Object> musty = bag(id(), "stinging-nettle", "LEAF", "SCIENTIFIC_NAME");
        musty.put("mouldSeen", true);
        assertThat(ilse.post("/api/shelf/bought", musty).expect(422).codes()).contains("MOULD");
        // Comfrey from a shop is no more for the mouth than comfrey from the bridge.
        UUID comfrey = id();
        ilse.post("/api/shelf/bought", bag(comfrey, "common-comfrey", "ROOT", "SCIENTIFIC_NAME"))
                .expect(200);
        assertThat(ilse.get("/api/shelf/lots/" + comfrey).body().path("route").asString())
                .isEqualTo("EXTERNAL");
        Map<String, Object> wrong = bag(id(), "stinging-nettle", "LEAF", "SCIENTIFIC_NAME");
        wrong.put("massG", -1);
        wrong.put("supplier", " ");
        wrong.put("harvestedOn", today().plusDays(1));
        assertThat(ilse.post("/api/shelf/bought", wrong).expect(400).wrongFields())
                .contains("massG", "supplier", "harvestedOn");
    }

    @Test
    public void itsTimeCountsFromTheHarvestAndTheEarlierDateWins() {
        Client ilse = as("ilse");
        Map<String, Object> old = bag(id(), "stinging-nettle", "LEAF", "SCIENTIFIC_NAME");
        old.put("harvestedOn", today().minusMonths(5));
        assertThat(ilse.post("/api/shelf/bought", old)
                        .expect(200)
                        .body()
                        .path("bestBefore")
                        .asString())
                .isEqualTo(today().minusMonths(5).plusMonths(12).toString());
        old.put("id", id());
        old.put("bestBefore", today().plusMonths(2));
        assertThat(ilse.post("/api/shelf/bought", old)
                        .expect(200)
                        .body()
                        .path("bestBefore")
                        .asString())
                .isEqualTo(today().plusMonths(2).toString());
    }

    /** Mould does not wait for the rack: found in a jar it destroys that, and nothing brings it or its tincture back. */
    @Test
    public void mouldOnTheShelfIsForGood() {
        Client ilse = as("ilse");
        UUID bag = id();
        UUID batch = id();
        ilse.post("/api/shelf/bought", bag(bag, "stinging-nettle", "LEAF", "SCIENTIFIC_NAME"))
                .expect(200);
        ilse.post("/api/making/batches", with(ilse, tincture(batch, bag))).expect(200);
        String lots = "/api/tracing/lots/";
        assertThat(ilse.post(lots + bag + "/mould", "{}").status()).isEqualTo(428);
        act(ilse, bag, lots + bag + "/mould", "").expect(200);
        assertThat(state(ilse, bag)).isEqualTo("DESTROYED");
        assertThat(state(ilse, batch)).isEqualTo("QUARANTINED");
        // Neither a doubt taken back nor a hold released gets round it.
        act(ilse, bag, lots + bag + "/doubt", "to clear it after").expect(200);
        act(ilse, bag, lots + bag + "/clear", "looks well again").expect(200);
        act(ilse, batch, lots + batch + "/doubt", "to clear it after").expect(200);
        act(ilse, batch, lots + batch + "/clear", "looks well again").expect(200);
        assertThat(act(ilse, bag, "/api/shelf/lots/" + bag + "/release", "dry again")
                        .status())
                .isEqualTo(409);
        assertThat(state(ilse, bag)).isEqualTo("DESTROYED");
        assertThat(state(ilse, batch)).isEqualTo("QUARANTINED");
        assertThat(ilse.post("/api/making/batches", with(ilse, tincture(id(), bag)))
                        .expect(422)
                        .codes())
                .contains("DESTROYED");
    }

    @Test
    public void aLotCalledBackTakesAllThatWasMadeOfItAlong() {
        Client ilse = as("ilse");
        UUID bag = id();
        UUID batch = id();
        ilse.post("/api/shelf/bought", bag(bag, "stinging-nettle", "LEAF", "SCIENTIFIC_NAME"))
                .expect(200);
        ilse.post("/api/making/batches", with(ilse, tincture(batch, bag))).expect(200);
        String lots = "/api/tracing/lots/";
        String doubt = lots + bag + "/doubt";
        assertThat(ilse.post(doubt, Map.of("reason", "nobody looked")).status()).isEqualTo(428);
        assertThat(act(ilse, bag, doubt, " ").status()).isEqualTo(400);
        assertThat(act(ilse, bag, doubt, "the stall calls it back")
                        .expect(200)
                        .body()
                        .size())
                .isEqualTo(2);
        assertThat(state(ilse, bag)).isEqualTo("QUARANTINED");
        assertThat(state(ilse, batch)).isEqualTo("QUARANTINED");
        // A hold's release does not lift it, another household does not reach it.
        assertThat(act(ilse, bag, "/api/shelf/lots/" + bag + "/release", "no matter")
                        .status())
                .isEqualTo(409);
        assertThat(as("lantern").post(doubt, Map.of("reason", "theirs")).status())
                .isEqualTo(404);
        // The batch doubted for itself stays aside when the bag is cleared.
        act(ilse, batch, lots + batch + "/doubt", "smells odd").expect(200);
        act(ilse, bag, lots + bag + "/clear", "it was another lot").expect(200);
        assertThat(state(ilse, bag)).isEqualTo("USABLE");
        assertThat(state(ilse, batch)).isEqualTo("QUARANTINED");
        act(ilse, batch, lots + batch + "/clear", "it was the cork").expect(200);
        assertThat(state(ilse, batch)).isNotEqualTo("QUARANTINED");
        assertThat(act(ilse, batch, lots + batch + "/clear", "again").status()).isEqualTo(409);
    }
}
