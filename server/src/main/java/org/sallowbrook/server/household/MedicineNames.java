package org.sallowbrook.server.household;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Medicines;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Generic names of medicines, household/medicines.yaml. */
@Configuration
public class MedicineNames {

    private record File(Map<MedicineClass, List<String>> classes, Map<String, List<String>> synonyms) {}

    @Bean
    Medicines medicines() throws IOException {
        return load();
    }

    public static Medicines load() throws IOException {
        try (var in = new ClassPathResource("household/medicines.yaml").getInputStream()) {
            File file = YAMLMapper.builder()
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .build()
                    .readValue(in, File.class);
            return new Medicines(file.classes(), file.synonyms());
        }
    }
}
