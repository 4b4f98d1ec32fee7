package org.sallowbrook.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A second server on the same database, behind the same address as far as a browser can tell: both give the same answers. */
public class TwoInstancesTest extends InBrowser {

    private Application second;

    @BeforeClass
    public void startSecond() throws IOException, InterruptedException {
        second = Application.start();
    }

    @AfterClass(alwaysRun = true)
    public void stopSecond() throws IOException, InterruptedException {
        if (second != null) {
            second.close();
        }
    }

    private APIResponse post(String base, String path, Object body) {
        page.request().get(base + "/api/session");
        String token = page.context().cookies().stream()
                .filter(c -> c.name.equals("XSRF-TOKEN"))
                .map(c -> c.value)
                .findFirst()
                .orElseThrow();
        return page.request()
                .post(
                        base + path,
                        RequestOptions.create().setHeader("X-XSRF-TOKEN", token).setData(body));
    }

    private String first() {
        return page.url().replaceFirst("(http://[^/]+).*", "$1");
    }

    /** Cookies know no ports: the session of the one is that of the other. */
    @Test
    public void aSessionAndWhatIsWrittenAtOneAreAtTheOther() {
        String id = UUID.randomUUID().toString();
        Map<String, Object> wax = Map.of(
                "id",
                id,
                "form",
                "WAX",
                "name",
                "wax of two",
                "amount",
                10,
                "denatured",
                false,
                "open",
                false,
                "place",
                "");
        assertThat(post(first(), "/api/shelf/supplies", wax).status()).isEqualTo(200);
        // Sent again to the other, as after an answer that was lost: one record.
        APIResponse again = post(second.url(), "/api/shelf/supplies", wax);
        assertThat(again.status()).isEqualTo(200);
        assertThat(page.request().get(second.url() + "/api/shelf/lots/" + id).text())
                .isEqualTo(page.request().get(first() + "/api/shelf/lots/" + id).text());
    }

    @Test
    public void whatLiesOnTheScaleIsReadAtBoth() {
        String runs = page.request().get(first() + "/api/drying/runs").text();
        String run = runs.replaceFirst(".*?\"id\":\"([0-9a-f-]+)\".*", "$1");
        String placement = UUID.randomUUID().toString();
        assertThat(post(first(), "/api/devices/scale/placements", Map.of("id", placement, "dryingRunId", run))
                        .status())
                .isEqualTo(200);
        assertThat(page.request()
                        .get(second.url() + "/api/devices/scale/placements/" + placement)
                        .status())
                .isEqualTo(200);
    }

    @Test
    public void guessesAreCountedTogether() {
        Map<String, String> guess = Map.of("username", "guessed-at-two", "password", "not this one");
        for (int i = 0; i < 8; i++) {
            assertThat(post(i % 2 == 0 ? first() : second.url(), "/api/session", guess)
                            .status())
                    .isEqualTo(401);
        }
        assertThat(post(first(), "/api/session", guess).status()).isEqualTo(429);
        assertThat(post(second.url(), "/api/session", guess).status()).isEqualTo(429);
    }
}
