package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.testng.annotations.Test;

/** How the machine does, for a keeper or a program with the token, and for nobody else; with nothing of anybody in it. */
public class MetricsTest extends ServerTest {

    private static final String METRICS = "/actuator/prometheus";

    @Test
    public void metricsAreTheKeepersOrTheTokens() {
        as("tam").get(METRICS).expect(403);
        Client nobody = Client.nobody(port);
        nobody.get(METRICS).expect(401);
        nobody.asked(METRICS, "Authorization", "Bearer ").expect(401);
        nobody.asked(METRICS, "Authorization", "Bearer wrong").expect(401);
        nobody.asked("/actuator/env", "Authorization", "Bearer " + METRICS_TOKEN)
                .expect(401);
        as("ilse").get("/api/shelf/lots/" + id()).expect(404);
        for (Client.Answer answer : new Client.Answer[] {
            as("ilse").get(METRICS), nobody.asked(METRICS, "Authorization", "Bearer " + METRICS_TOKEN)
        }) {
            String text = new String(answer.expect(200).raw().body(), StandardCharsets.UTF_8);
            assertThat(text)
                    .contains("jvm_memory_used_bytes", "hikaricp_connections_active", "uri=\"/api/shelf/lots/{id}\"")
                    // Addresses with an id in them would tell of whom and when.
                    .doesNotContainPattern("[0-9a-f]{8}-[0-9a-f]{4}-")
                    .doesNotContain("ilse", "Ilse");
        }
    }

    @Test
    public void aliveAndReadyAreTwoQuestions() {
        Client nobody = Client.nobody(port);
        assertThat(nobody.get("/actuator/health/liveness").expect(200).words()).contains("UP");
        assertThat(nobody.get("/actuator/health/readiness").expect(200).words()).contains("UP");
    }
}
