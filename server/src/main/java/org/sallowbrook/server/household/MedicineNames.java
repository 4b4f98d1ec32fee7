package org.sallowbrook.server.household;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Medicines;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.core.type.TypeReference;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Generic names of medicines, household/medicines.yaml. */
@Configuration
public class MedicineNames {

    @Bean
    Medicines medicines() throws IOException {
        return load();
    }

    public static Medicines load() throws IOException {
        try (var in = new ClassPathResource("household/medicines.yaml").getInputStream()) {
            return new Medicines(YAMLMapper.builder()
                    .build()
                    .readValue(in, new TypeReference<Map<MedicineClass, List<String>>>() {}));
        }
    }
}
