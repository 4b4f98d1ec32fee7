package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
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

    /** The description knows them by their simple names: of two the one would be written down for both. */
    @Test
    public void noTwoShapesShareAName() throws IOException {
        Pattern shape = Pattern.compile("\\brecord (\\w+(?:View|Request))\\b");
        List<String> names = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("src", "main", "java"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                shape.matcher(Files.readString(file)).results().forEach(r -> names.add(r.group(1)));
            }
        }
        assertThat(names).hasSizeGreaterThan(200).doesNotHaveDuplicates();
    }
}
