package org.sallowbrook.server.planning;

import java.io.IOException;
import java.util.List;
import org.sallowbrook.core.herbarium.Complaint;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Complaints in people's own words, planning/complaints.yaml. */
@Component
class Complaints {

    private record GraveFile(String name, Complaint.Urgency urgency, List<String> phrases, String tell) {}

    private record WordsFile(String need, List<String> phrases) {}

    private record File(List<GraveFile> grave, List<WordsFile> words) {}

    private final List<Complaint.Grave> grave;
    private final List<Complaint.Synonym> synonyms;

    Complaints() throws IOException {
        try (var in = new ClassPathResource("planning/complaints.yaml").getInputStream()) {
            File file = YAMLMapper.builder()
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .build()
                    .readValue(in, File.class);
            grave = file.grave().stream()
                    .map(g -> new Complaint.Grave(g.name(), g.urgency(), g.phrases(), g.tell()))
                    .toList();
            synonyms = file.words().stream()
                    .map(w -> new Complaint.Synonym(w.need(), w.phrases()))
                    .toList();
        }
    }

    List<Complaint.Grave> grave() {
        return grave;
    }

    List<Complaint.Synonym> synonyms() {
        return synonyms;
    }
}
