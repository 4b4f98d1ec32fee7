package org.sallowbrook.server.herbarium;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Problem;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Service;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Loads the cards once; a card with a mistake stops the start with file, line and reason. */
@Service
public class HerbariumService {

    private static final String WHERE = "classpath:/herbarium/";

    private final ObjectMapper yaml = YAMLMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();
    private final Herbarium herbarium;

    HerbariumService() throws IOException {
        PathMatchingResourcePatternResolver resources = new PathMatchingResourcePatternResolver();
        Map<String, CharacterDefinition> vocabulary = new LinkedHashMap<>();
        for (CardReader.CharacterFile file :
                read(resources.getResource(WHERE + "characters.yaml"), CardReader.CharacterFile[].class)) {
            vocabulary.put(file.id(), file.toCore());
        }
        CardReader reader = new CardReader(vocabulary);
        List<Taxon> taxa = new ArrayList<>();
        Resource[] cards = resources.getResources(WHERE + "taxa/*.yaml");
        Arrays.sort(cards, Comparator.comparing(r -> Objects.requireNonNullElse(r.getFilename(), "")));
        for (Resource card : cards) {
            try {
                taxa.add(reader.taxon(read(card, CardReader.CardFile.class)));
            } catch (IllegalArgumentException e) {
                throw new IllegalStateException(card.getFilename() + ": " + e.getMessage(), e);
            }
        }
        herbarium = new Herbarium(vocabulary.values(), taxa);
        List<Herbarium.Problem> problems = herbarium.problems();
        if (!problems.isEmpty()) {
            throw new IllegalStateException("Plant cards: " + problems);
        }
    }

    private <T> T read(Resource file, Class<T> type) throws IOException {
        try (InputStream in = file.getInputStream()) {
            return yaml.readValue(in, type);
        } catch (JacksonException e) {
            var at = e.getLocation();
            throw new IllegalStateException(
                    file.getFilename() + " line " + (at == null ? "?" : at.getLineNr()) + ": " + e.getOriginalMessage(),
                    e);
        }
    }

    public Herbarium herbarium() {
        return herbarium;
    }

    /** @throws Problem.NotFound when no card has this id */
    public Taxon taxon(String id) {
        return herbarium.taxon(id).orElseThrow(() -> new Problem.NotFound("plant"));
    }
}
