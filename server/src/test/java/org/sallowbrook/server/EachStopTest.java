package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What the records themselves speak against: not enough, nothing left, on the rack, not ripe yet, the same place, a no. */
public class EachStopTest extends ServerTest {

    private Client ilse;
    private Chain chain;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
    }

    private Client.Answer check(Map<String, Object> tincture) {
        return ilse.post("/api/making/batches/check", tincture).expect(200);
    }

    @Test
    public void moreThanThereIsCantBeUsed() {
        assertThat(check(chain.tincture(id(), chain.jar, 5000)).codes()).contains("NOT_ENOUGH");
        assertThat(ilse.post("/api/making/batches", chain.tincture(id(), chain.jar, 5000))
                        .expect(422)
                        .codes())
                .contains("NOT_ENOUGH");
        assertThat(check(chain.tincture(id(), chain.jar, 5)).codes()).doesNotContain("NOT_ENOUGH");
    }

    /** Spoons of what nobody weighed are a range, and it is said; by weight they are not. */
    @Test
    public void spoonsInsteadOfAScaleAreSaid() {
        Map<String, Object> spoons = chain.tincture(id(), chain.jar, 5);
        spoons.put(
                "herbs",
                List.of(Map.of("lotId", chain.jar, "measure", Map.of("unit", "HEAPED_TEASPOON", "amount", 2))));
        assertThat(check(spoons).codes()).contains("MEASURED_WITHOUT_A_SCALE");
        assertThat(check(chain.tincture(id(), chain.jar, 5)).codes()).doesNotContain("MEASURED_WITHOUT_A_SCALE");
    }

    @Test
    public void whatLiesOnTheRackIsNotUsedFresh() {
        UUID basket = id();
        chain.harvest(basket, today(), 100);
        assertThat(check(chain.tincture(id(), basket, 50)).codes()).doesNotContain("ON_THE_RACK");
        ilse.post("/api/drying/runs", chain.rack(id(), basket, 100, now())).expect(200);
        assertThat(check(chain.tincture(id(), basket, 50)).codes()).contains("ON_THE_RACK");
    }

    @Test
    public void whatIsUsedUpIsNotLaidOut() {
        UUID basket = id();
        chain.harvest(basket, today(), 100);
        ilse.change("POST", "/api/shelf/lots/" + basket + "/finish?end=USED_UP", Map.of(), chain.lotVersion(basket))
                .expect(200);
        assertThat(ilse.post("/api/drying/runs", chain.rack(id(), basket, 100, now()))
                        .expect(422)
                        .codes())
                .containsExactly("NOTHING_LEFT");
    }

    /** The card lets it age for two years; no word shortens them. */
    @Test
    public void noWordMakesARootOlder() {
        UUID bag = id();
        JsonNode held = ilse.post(
                        "/api/shelf/bought",
                        Map.of(
                                "id",
                                bag,
                                "taxonId",
                                "garden-iris",
                                "part",
                                "ROOT",
                                "massG",
                                100,
                                "supplier",
                                "The Lantern stall",
                                "label",
                                "SCIENTIFIC_NAME",
                                "mouldSeen",
                                false,
                                "on",
                                today(),
                                "place",
                                ""))
                .expect(200)
                .body();
        assertThat(held.path("state").asString()).isEqualTo("HOLD");
        assertThat(ilse.change(
                                "POST",
                                "/api/shelf/lots/" + bag + "/release",
                                Map.of("reason", "smells of violets"),
                                chain.lotVersion(bag))
                        .expect(422)
                        .codes())
                .containsExactly("STILL_AGEING");
    }

    /** A new stand on old ground is asked what the old one knew. */
    @Test
    public void anotherStandAtTheSamePlaceKnowsWhatWasNotedThere() {
        Map<String, Object> spoilt = Chain.standBody(id(), "stinging-nettle", "CONTAMINATED", null);
        ilse.post("/api/field/stands", spoilt).expect(200);
        Map<String, Object> anew = Chain.standBody(id(), "stinging-nettle", "CLEAN", null);
        anew.put("place", spoilt.get("place"));
        assertThat(ilse.post("/api/field/stands", anew).expect(422).codes()).containsExactly("SAME_PLACE");
        anew.put("ground", "CONTAMINATED");
        ilse.post("/api/field/stands", anew).expect(200);
    }

    @Test
    public void whatAPharmacistSaidNoToIsNotTaken() {
        String person = Chain.person(ilse);
        Chain.tried(ilse, person, today());
        Map<String, Object> course = chain.course(id(), person, chain.bottle, 1);
        assertThat(ilse.post("/api/dosing/courses/check", course).expect(200).codes())
                .doesNotContain("PRESCRIBER_SAID_NO");
        ilse.post(
                        "/api/dosing/answers",
                        Map.of(
                                "id",
                                id(),
                                "personId",
                                person,
                                "taxonId",
                                "stinging-nettle",
                                "who",
                                "The pharmacist at the bridge",
                                "goes",
                                false,
                                "on",
                                today(),
                                "words",
                                "not with these"))
                .expect(200);
        assertThat(ilse.post("/api/dosing/courses", course).expect(422).codes()).contains("PRESCRIBER_SAID_NO");
    }
}
