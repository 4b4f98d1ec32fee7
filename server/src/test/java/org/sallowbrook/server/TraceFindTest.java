package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Tracing begins with whatever somebody still knows of a thing. */
public class TraceFindTest extends ServerTest {

    private static List<String> found(Client client, String query) {
        return client.get("/api/tracing/find?" + query)
                .expect(200)
                .body()
                .path("starts")
                .valueStream()
                .map(s -> s.path("label").asString())
                .toList();
    }

    @DataProvider
    public Object[][] known() {
        return new Object[][] {
            {"q=Marigold%20salve", "Marigold salve"},
            {"q=Calendula%20officinalis", "Marigold oil"},
            {"q=B260614", "Meadowsweet tincture"},
            {"q=Oda", "Marigold salve"},
            {"q=Nettles%20behind", "Nettles behind the hedge"},
        };
    }

    @Test(dataProvider = "known")
    public void itIsFoundByWhatIsKnown(String query, String wanted) {
        assertThat(found(as("ilse"), query)).as(query).anyMatch(label -> label.contains(wanted));
        assertThat(found(as("lantern"), query)).noneMatch(label -> label.contains(wanted));
    }

    /** Every lot that something was taken out of on a day, and none but those. */
    @Test
    public void aDayFindsWhatWentInOrOut() {
        Client ilse = as("ilse");
        JsonNode lots = ilse.get("/api/shelf/lots").expect(200).body();
        JsonNode lot = lots.valueStream()
                .filter(l -> l.path("name").asString().startsWith("Meadowsweet tincture"))
                .findFirst()
                .orElseThrow();
        String day = ilse.get("/api/shelf/lots/" + lot.path("id").asString() + "/changes")
                .expect(200)
                .body()
                .get(0)
                .path("on")
                .asString();
        String label = lot.path("name").asString() + " " + lot.path("code").asString();
        assertThat(found(ilse, "on=" + day)).contains(label);
        assertThat(found(ilse, "on=" + day + "&q=no%20such%20thing")).isEmpty();
        assertThat(found(ilse, "on=1999-01-01")).isEmpty();
        assertThat(ilse.get("/api/tracing/find").status()).isEqualTo(400);
        // A sign of the pattern is a letter like any other.
        assertThat(found(ilse, "q=%25%25")).isEmpty();
    }
}
