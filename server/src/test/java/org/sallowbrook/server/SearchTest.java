package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.Test;

public class SearchTest extends ServerTest {

    private static List<String> kinds(Client client, String words) {
        List<String> kinds = new ArrayList<>();
        client.get("/api/search?q=" + words)
                .expect(200)
                .body()
                .forEach(hit -> kinds.add(hit.path("kind").asString()));
        return kinds;
    }

    private static void enter(Client client, String name) {
        client.post(
                        "/api/field/stands",
                        Map.of(
                                "id",
                                UUID.randomUUID(),
                                "taxonId",
                                "agrimony",
                                "name",
                                name,
                                "place",
                                "by the old weir",
                                "ground",
                                "CLEAN",
                                "permission",
                                "GIVEN",
                                "plenty",
                                "FAIR",
                                "protectedSpecies",
                                false))
                .expect(200);
    }

    @Test
    public void whatIsLookedForIsFoundByAnyOfItsWords() {
        Client ilse = as("ilse");
        enter(ilse, "Kingfisher bank");
        assertThat(kinds(ilse, "kingfish")).containsExactly("STAND");
        assertThat(kinds(ilse, "weir%20kingfisher")).containsExactly("STAND");
        assertThat(kinds(ilse, "agrimny")).contains("PLANT");
        assertThat(kinds(as("lantern"), "kingfisher")).as("another household's").isEmpty();
    }

    @Test
    public void signsOfThePatternAreLetters() {
        assertThat(kinds(as("ilse"), "%25%25%25")).isEmpty();
        assertThat(kinds(as("ilse"), "___")).isEmpty();
        as("ilse").get("/api/search?q=%20").expect(400);
    }
}
