package org.sallowbrook.server.herbarium;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.sallowbrook.core.herbarium.PartField;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A field of a plant's part that one of those who must know it has forgotten is named here. */
public class CardFieldsTest {

    /** Which part it is; no field of it. */
    private static final String PART = "part";

    private static List<String> fields() {
        return PartField.ALL.stream().map(PartField::name).toList();
    }

    private static Stream<String> components(Class<? extends Record> of) {
        return Arrays.stream(of.getRecordComponents())
                .map(RecordComponent::getName)
                .filter(name -> !name.equals(PART));
    }

    @Test
    public void everyFieldIsReadFromACardAndWrittenToOne() {
        assertThat(components(CardFile.PartFile.class)).containsExactlyInAnyOrderElementsOf(fields());
    }

    @Test
    public void everyFieldIsShown() {
        assertThat(components(HerbariumController.PartView.class)).containsExactlyInAnyOrderElementsOf(fields());
    }

    @Test
    public void everyFieldStandsInThePublishedFormat() throws IOException {
        JsonNode schema =
                JsonMapper.shared().readTree(Files.readString(Path.of("../docs/formats/plant-card.schema.json")));
        assertThat(schema.at("/properties/parts/items/properties").propertyNames())
                .filteredOn(name -> !name.equals(PART))
                .containsExactlyInAnyOrderElementsOf(fields());
    }
}
