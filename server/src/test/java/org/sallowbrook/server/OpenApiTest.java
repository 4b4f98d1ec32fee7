package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The web's types are generated from a committed copy of the description; it must be what the server serves. */
public class OpenApiTest extends ServerTest {

    private static final Path COPY = Path.of("..", "web", "src", "api", "openapi.json");

    @Test
    public void theCommittedDescriptionIsTheServed() throws IOException {
        Client.Answer answer = as("ilse").get("/v3/api-docs").expect(200);
        ObjectNode served = (ObjectNode) Client.JSON.readTree(answer.raw().body());
        served.remove("servers");
        if (Boolean.getBoolean("openapi.write")) {
            Files.writeString(
                    COPY,
                    JsonMapper.builder()
                            .enable(SerializationFeature.INDENT_OUTPUT)
                            .build()
                            .writeValueAsString(served));
        }
        JsonNode committed = Client.JSON.readTree(Files.readString(COPY));
        assertThat(served)
                .as("stale: run mvn with -Dtest=OpenApiTest -Dopenapi.write=true")
                .isEqualTo(committed);
    }
}
