package org.sallowbrook.server.planning;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.planning.Complaint;
import org.sallowbrook.core.planning.Lexicon;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Complaints in people's own words, planning/complaints.yaml. */
@Component
public class Complaints {

    private record GraveFile(
            String name, @Nullable Boolean firm, Complaint.Urgency urgency, List<String> when, String tell) {}

    private record WordsFile(String need, List<String> phrases) {}

    private record File(Map<String, List<String>> lexicon, List<GraveFile> grave, List<WordsFile> words) {}

    private final Lexicon lexicon;
    private final List<Complaint.Grave> grave;
    private final List<Complaint.Synonym> synonyms;
    private final List<String> harmless = said("harmless.txt");

    public Complaints(EnglishWords english) throws IOException {
        try (var in = new ClassPathResource("planning/complaints.yaml").getInputStream()) {
            File file = YAMLMapper.builder()
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .build()
                    .readValue(in, File.class);
            lexicon = new Lexicon(file.lexicon(), english);
            grave = file.grave().stream()
                    .map(g -> new Complaint.Grave(
                            g.name(), g.urgency(), g.when(), g.tell(), Boolean.TRUE.equals(g.firm())))
                    .toList();
            synonyms = file.words().stream()
                    .map(w -> new Complaint.Synonym(w.need(), w.phrases()))
                    .toList();
        }
    }

    /** The lines of one of the files of what people say, planning/complaints. */
    static List<String> said(String file) throws IOException {
        return new ClassPathResource("planning/complaints/" + file)
                .getContentAsString(StandardCharsets.UTF_8)
                .lines()
                .toList();
    }

    /** With the names of all plants there is a card of: whoever ate of one of them says so by its name. */
    public Lexicon lexicon(Collection<Taxon> taxa) {
        List<String> poisonous = new ArrayList<>();
        List<String> others = new ArrayList<>();
        taxa.forEach(t -> {
            List<String> names = t.danger().dangerous() ? poisonous : others;
            names.addAll(t.commonNames());
            names.add(t.name());
        });
        // What stands in the cards' own texts and in what is harmless is a word, and no slip of another.
        Set<String> words = new TreeSet<>();
        taxa.forEach(t -> Stream.of(
                        Stream.of(t.habitat(), t.winterTells(), t.washing()),
                        t.parts().stream()
                                .flatMap(p -> Stream.of(
                                        p.gathering().moment(),
                                        p.gathering().method(),
                                        p.gathering().tools())),
                        t.uses().stream().map(Taxon.Use::name),
                        t.cautions().stream().map(Taxon.Caution::effect))
                .flatMap(s -> s)
                .forEach(text -> words.addAll(Lexicon.tokens(text))));
        harmless.forEach(text -> words.addAll(Lexicon.tokens(text)));
        return lexicon.with("poisonplant", poisonous).with("knownplant", others).alsoKnowing(words);
    }

    public List<Complaint.Grave> grave() {
        return grave;
    }

    public List<Complaint.Synonym> synonyms() {
        return synonyms;
    }
}
