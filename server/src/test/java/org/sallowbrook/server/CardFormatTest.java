package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every shipped card has the published shape, and the schema is no rubber stamp. */
public class CardFormatTest {

    private static JsonSchema schema() throws IOException {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("../docs/formats/plant-card.schema.json")));
    }

    private static String text(String name) throws IOException {
        return new PathMatchingResourcePatternResolver()
                .getResource("classpath:/herbarium/taxa/" + name)
                .getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
    }

    @Test
    public void everyShippedCardHasThePublishedShape() throws IOException {
        JsonSchema schema = schema();
        for (Resource card :
                new PathMatchingResourcePatternResolver().getResources("classpath:/herbarium/taxa/*.yaml")) {
            Set<ValidationMessage> wrong = schema.validate(text(card.getFilename()), InputFormat.YAML);
            assertThat(wrong).as(card.getFilename()).isEmpty();
        }
    }

    @DataProvider
    public Object[][] damage() {
        return new Object[][] {
            {"danger: DEADLY", "danger: CUTE"},
            {"habitat:", "habitats:"},
            {"FLOWERING: [6, 7, 8]", "FLOWERING: [6, 7, 13]"},
            {"stature: usual chest", "stature: often chest"},
            {"year: 2019", "year: recently"},
        };
    }

    @Test(dataProvider = "damage")
    public void theSchemaSeesWhatIsWrong(String what, String with) throws IOException {
        String card = text("foxglove.yaml");
        assertThat(card).contains(what);
        assertThat(schema().validate(card.replace(what, with), InputFormat.YAML))
                .isNotEmpty();
    }
}
