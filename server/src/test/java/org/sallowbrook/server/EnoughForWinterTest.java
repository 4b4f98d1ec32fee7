package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Wishes and the year over HTTP: what is there, what grows, whom it is not planned for, and the plan that is kept. */
public class EnoughForWinterTest extends ServerTest {

    @Autowired
    private JdbcClient jdbc;

    private Client ilse;
    private Chain chain;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
        noWishes();
    }

    @AfterMethod
    public void noWishes() {
        for (JsonNode w : ilse.get("/api/planning/wishes").expect(200).body()) {
            ilse.delete("/api/planning/wishes/" + w.path("id").asString(), null).expect(204);
        }
    }

    private static Map<String, Object> wish(UUID id, String product, double amount, String taxon, String part) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "words",
                "wish " + id,
                "product",
                product,
                "amount",
                amount,
                "from",
                today(),
                "until",
                today().plusDays(200),
                "evenly",
                true,
                "mayBuy",
                false,
                "herbs",
                List.of(Map.of("taxonId", taxon, "part", part))));
    }

    private JsonNode granted(UUID id) {
        for (JsonNode g : ilse.get("/api/planning/year").expect(200).body().path("wishes")) {
            if (g.path("wish").asString().equals(id.toString())) {
                return g;
            }
        }
        throw new AssertionError("no wish " + id);
    }

    /** What lies in the chain's jar serves a small wish, and says which jar. */
    @Test
    public void aWishIsMetFromTheShelfFirst() {
        UUID id = id();
        ilse.post("/api/planning/wishes", wish(id, "DRIED", 10, "stinging-nettle", "LEAF"))
                .expect(200);
        JsonNode g = granted(id);
        assertThat(g.path("met").asDouble()).isCloseTo(1, within(1e-6));
        assertThat(g.path("from").valueStream().map(f -> f.path("kind").asString()))
                .containsOnly("THERE");
        assertThat(g.path("from").get(0).path("of").asString()).isNotEmpty();
    }

    /** Sent twice it is one wish; another under its id is refused; an older version as well. */
    @Test
    public void aWishIsWrittenOnceAndChangedByWhoSawItLast() {
        UUID id = id();
        Map<String, Object> wish = wish(id, "DRIED", 10, "stinging-nettle", "LEAF");
        ilse.post("/api/planning/wishes", wish).expect(200);
        ilse.post("/api/planning/wishes", wish).expect(200);
        wish.put("amount", 20);
        ilse.post("/api/planning/wishes", wish).expect(409);
        assertThat(ilse.get("/api/planning/wishes").body().size()).isEqualTo(1);
        ilse.change("PUT", "/api/planning/wishes/" + id, wish, 0).expect(200);
        ilse.change("PUT", "/api/planning/wishes/" + id, wish, 0).expect(409);
        ilse.delete("/api/planning/wishes/" + id, null).expect(204);
        assertThat(ilse.get("/api/planning/wishes").body().size()).isZero();
        ilse.post("/api/planning/wishes/" + id + "/bring-back", Map.of()).expect(200);
        assertThat(ilse.get("/api/planning/wishes").body().get(0).path("amount").asDouble())
                .isEqualTo(20);
    }

    @Test
    public void whatCantBeWishedIsRefusedAtItsField() {
        Map<String, Object> wish = wish(id(), "OIL", 10, "stinging-nettle", "LEAF");
        wish.put("amount", 1e9);
        wish.put("words", " ");
        wish.put("until", today().minusDays(400));
        wish.put("from", today().minusDays(420));
        assertThat(ilse.post("/api/planning/wishes", wish).expect(400).wrongFields())
                .contains("amount", "words", "until", "from");
        assertThat(ilse.post("/api/planning/wishes", wish(id(), "TEA", 10, "hemlock", "LEAF"))
                        .expect(400)
                        .wrongFields())
                .containsExactly("herbs[0].part");
        assertThat(ilse.change("PUT", "/api/planning/year/means", Map.of("rackM2", -1, "hoursPerWeek", 900), 0)
                        .expect(400)
                        .wrongFields())
                .containsExactlyInAnyOrder("rackM2", "hoursPerWeek");
        as("lantern").delete("/api/planning/wishes/" + id(), null).expect(404);
    }

    /** What its card forbids somebody is not planned for them, and it is said why. */
    @Test
    public void nothingIsPlannedForWhomItIsNotFor() {
        UUID child = id();
        Map<String, Object> body = Chain.personBody(child);
        body.put("bornOn", today().minusYears(5));
        body.put("weightKg", 20);
        ilse.post("/api/people", body).expect(200);
        UUID id = id();
        Map<String, Object> wish = wish(id, "TEA", 20, "white-willow", "BARK");
        wish.put("personId", child);
        JsonNode said = ilse.post("/api/planning/wishes", wish).expect(200).body();
        assertThat(said.path("herbs").get(0).path("against").asString()).isNotEmpty();
        JsonNode g = granted(id);
        assertThat(g.path("met").asDouble()).isZero();
        assertThat(g.path("why").get(0).asString()).isEqualTo("NOTHING_ALLOWED");
    }

    /** A stand that was weighed gives what its share is; doubted afterwards it gives nothing. */
    @Test
    public void aDoubtedStandFallsOutOfThePlan() {
        Chain other = new Chain(ilse, today(), now());
        means(200, 160);
        UUID id = id();
        Map<String, Object> wish = wish(id, "DRIED", 90_000, "stinging-nettle", "LEAF");
        wish.put("from", today().plusDays(300));
        wish.put("until", today().plusDays(330));
        wish.put("evenly", false);
        ilse.post("/api/planning/wishes", wish).expect(200);
        List<String> before = standsPicked();
        assertThat(before).contains(other.stand.toString());
        ilse.change(
                        "POST",
                        "/api/tracing/stands/" + other.stand + "/doubt",
                        Map.of("reason", "it smelt of something else"),
                        ilse.get("/api/field/stands/" + other.stand)
                                .body()
                                .path("version")
                                .asInt())
                .expect(200);
        assertThat(standsPicked()).doesNotContain(other.stand.toString());
        means(2, 6);
    }

    private void means(double rackM2, double hours) {
        int version = ilse.get("/api/planning/year")
                .body()
                .path("means")
                .path("version")
                .asInt();
        ilse.change("PUT", "/api/planning/year/means", Map.of("rackM2", rackM2, "hoursPerWeek", hours), version)
                .expect(200);
    }

    private List<String> gathered() {
        return ilse.get("/api/calendar/today")
                .expect(200)
                .body()
                .path("tasks")
                .valueStream()
                .filter(t -> t.path("kind").asString().equals("GATHER"))
                .map(t -> t.path("subjectId").asString())
                .toList();
    }

    private List<String> standsPicked() {
        return ilse.get("/api/planning/year")
                .expect(200)
                .body()
                .path("weeks")
                .valueStream()
                .flatMap(w -> w.path("picks").valueStream())
                .map(p -> p.path("standId").asString())
                .toList();
    }

    @Test
    public void theOrderIsTheHouseholdsAndThePlanIsKept() {
        UUID first = id();
        UUID second = id();
        ilse.post("/api/planning/wishes", wish(first, "DRIED", 30, "stinging-nettle", "LEAF"))
                .expect(200);
        ilse.post("/api/planning/wishes", wish(second, "DRIED", 30, "stinging-nettle", "LEAF"))
                .expect(200);
        JsonNode turned = ilse.change("PUT", "/api/planning/wishes/order", Map.of("ids", List.of(second, first)), 0)
                .expect(200)
                .body();
        assertThat(turned.get(0).path("id").asString()).isEqualTo(second.toString());
        assertThat(ilse.change("PUT", "/api/planning/wishes/order", Map.of("ids", List.of(second)), 0)
                        .expect(400)
                        .wrongFields())
                .containsExactly("ids");
        assertThat(granted(first).path("metBefore").isNull()).isTrue();
        JsonNode kept =
                ilse.post("/api/planning/year/keep", Map.of()).expect(200).body();
        assertThat(LocalDate.parse(kept.path("keptOn").asString())).isEqualTo(today());
        assertThat(granted(first).path("metBefore").asDouble())
                .isEqualTo(granted(first).path("met").asDouble());
    }

    @Test
    public void howSureItIsAndWhatWouldHelpIsSaid() {
        UUID id = id();
        ilse.post("/api/planning/wishes", wish(id, "DRIED", 5000, "stinging-nettle", "LEAF"))
                .expect(200);
        JsonNode sure = ilse.get("/api/planning/year/sure").expect(200).body();
        assertThat(sure.path("seasons").asInt()).isEqualTo(200);
        assertThat(sure.path("wishes").get(0).path("sure").asDouble()).isLessThan(0.5);
        ilse.get("/api/planning/year/helps").expect(200);
        means(0, 0);
        assertThat(ilse.get("/api/planning/year").expect(200).body().path("weeks"))
                .isEmpty();
        means(2, 6);
    }

    /** What was used up in the past year is proposed once, and not what is wished for already. */
    @Test
    public void whatWasUsedIsProposedUntilItIsWished() {
        UUID lot = bought(ilse, "LEAF", 40, 1);
        ilse.change(
                        "POST",
                        "/api/shelf/lots/" + lot + "/finish?end=USED_UP",
                        Map.of(),
                        ilse.get("/api/shelf/lots/" + lot)
                                .body()
                                .path("version")
                                .asInt())
                .expect(200);
        JsonNode proposed = ilse.get("/api/planning/wishes/proposals")
                .expect(200)
                .body()
                .valueStream()
                .filter(p -> p.path("product").asString().equals("DRIED")
                        && p.path("taxonId").asString().equals("stinging-nettle"))
                .findFirst()
                .orElseThrow();
        assertThat(proposed.path("used").asDouble()).isGreaterThanOrEqualTo(40);
        ilse.post("/api/planning/wishes", wish(id(), "DRIED", 40, "stinging-nettle", "LEAF"))
                .expect(200);
        assertThat(ilse.get("/api/planning/wishes/proposals")
                        .body()
                        .valueStream()
                        .map(p ->
                                p.path("product").asString() + p.path("taxonId").asString()))
                .doesNotContain("DRIEDstinging-nettle");
    }

    /** A second tab that has not seen the change is told so; a part that the card does not know bears nothing. */
    @Test
    public void whatWasSaidMeanwhileIsNotWrittenOver() {
        means(2, 7);
        ilse.change("PUT", "/api/planning/year/means", Map.of("rackM2", 3, "hoursPerWeek", 3), -1)
                .expect(409);
        assertThat(ilse.get("/api/planning/year")
                        .body()
                        .path("means")
                        .path("hoursPerWeek")
                        .asDouble())
                .isEqualTo(7);
        means(2, 6);
        assertThat(ilse.change(
                                "PUT",
                                "/api/planning/year/bears",
                                Map.of("standId", chain.stand, "part", "FRUIT_BODY", "freshG", 100),
                                0)
                        .expect(400)
                        .wrongFields())
                .containsExactly("part");
    }

    /** Of what may be had for a need; of what a person may not have nothing. */
    @Test
    public void aNeedNamesPlantsThatItCanBeMadeOf() {
        JsonNode sleep = ilse.get("/api/planning/needs/wishes?need=poor%20sleep&product=TEA")
                .expect(200)
                .body();
        assertThat(sleep.path("herbs").size()).isBetween(1, 4);
        assertThat(sleep.path("herbs").valueStream().map(h -> h.path("products").toString()))
                .allMatch(p -> p.contains("TEA"));
        assertThat(ilse.get("/api/planning/needs/wishes?need=poor%20sleep&product=OIL")
                        .expect(200)
                        .body()
                        .path("herbs"))
                .isEmpty();
    }

    /** A house without anything is answered too. */
    @Test
    public void anEmptyHouseholdHasAnEmptyYear() {
        JsonNode year = as("lantern").get("/api/planning/year").expect(200).body();
        assertThat(year.path("wishes")).isEmpty();
        assertThat(year.path("weeks")).isEmpty();
        as("lantern").post("/api/planning/year/keep", Map.of()).expect(409);
        assertThat(as("lantern")
                        .get("/api/planning/wishes/proposals")
                        .expect(200)
                        .body())
                .isEmpty();
        JsonNode offers = ilse.get("/api/planning/wishes/offers").expect(200).body();
        assertThat(offers.path("herbs").size()).isGreaterThan(30);
        assertThat(offers.path("coldFrom").asString()).isEqualTo("2026-10-01");
    }
}
