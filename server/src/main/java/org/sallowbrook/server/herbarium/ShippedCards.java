package org.sallowbrook.server.herbarium;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import tools.jackson.core.type.TypeReference;

/** The cards that ship, read once; a mistake names file, line and reason. */
public final class ShippedCards {

    private static final String WHERE = "classpath:/herbarium/";

    record CharacterFile(
            String id,
            String name,
            CharacterDefinition.Organ organ,
            String look,
            Set<LifeStage> stages,
            @Nullable Set<Group> groups,
            @Nullable Set<LookingCondition> notUnder,
            @Nullable Boolean scent,
            @Nullable Integer cost,
            @Nullable Double error,
            @Nullable Integer opening,
            @Nullable String fixed,
            LinkedHashMap<String, String> states,
            @Nullable Set<String> missing) {

        private static final double USUAL_ERROR = 0.03;

        CharacterDefinition toCore() {
            return new CharacterDefinition(
                    id,
                    name,
                    organ,
                    look,
                    stages,
                    groups == null ? Set.of(Group.PLANT) : groups,
                    notUnder == null ? Set.of() : notUnder,
                    Boolean.TRUE.equals(scent),
                    cost == null ? 1 : cost,
                    opening == null ? 0 : opening,
                    error == null ? USUAL_ERROR : error,
                    fixed == null ? "" : fixed,
                    states.entrySet().stream()
                            .map(e -> new CharacterDefinition.State(
                                    e.getKey(), e.getValue(), missing != null && missing.contains(e.getKey())))
                            .toList());
        }
    }

    private final CardReader reader;
    private final Herbarium herbarium;
    private final Map<String, String> texts = new LinkedHashMap<>();

    private ShippedCards(CardReader reader, Map<String, CharacterDefinition> vocabulary, Map<String, String> texts) {
        this.reader = reader;
        this.texts.putAll(texts);
        List<Taxon> taxa = new ArrayList<>();
        texts.forEach((id, text) -> taxa.add(CardText.card(id + ".yaml", text, reader)));
        herbarium = new Herbarium(vocabulary.values(), taxa);
        List<CardText.Fault> faults = new ArrayList<>();
        for (Taxon taxon : taxa) {
            faults.addAll(CardText.faults(
                    taxon.id() + ".yaml", texts.getOrDefault(taxon.id(), ""), herbarium.problems(taxon)));
        }
        if (!faults.isEmpty()) {
            throw new CardText.Broken(faults);
        }
    }

    /** @throws IllegalArgumentException naming file, line and reason of everything wrong */
    public static ShippedCards load() throws IOException {
        PathMatchingResourcePatternResolver resources = new PathMatchingResourcePatternResolver();
        Map<String, CharacterDefinition> vocabulary = new LinkedHashMap<>();
        for (CharacterFile file : CardText.read(
                "characters.yaml", text(resources.getResource(WHERE + "characters.yaml")), CharacterFile[].class)) {
            vocabulary.put(file.id(), file.toCore());
        }
        Map<String, CardReader.Kind> kinds = CardText.YAML.readValue(
                text(resources.getResource(WHERE + "kinds.yaml")),
                new TypeReference<Map<String, CardReader.Kind>>() {});
        Resource[] cards = resources.getResources(WHERE + "taxa/*.yaml");
        Arrays.sort(cards, Comparator.comparing(r -> Objects.requireNonNullElse(r.getFilename(), "")));
        Map<String, String> texts = new LinkedHashMap<>();
        for (Resource card : cards) {
            String name = Objects.requireNonNullElse(card.getFilename(), "");
            texts.put(name.substring(0, name.length() - ".yaml".length()), text(card));
        }
        return new ShippedCards(new CardReader(vocabulary, kinds), vocabulary, texts);
    }

    private static String text(Resource resource) throws IOException {
        return resource.getContentAsString(StandardCharsets.UTF_8);
    }

    public Herbarium herbarium() {
        return herbarium;
    }

    CardReader reader() {
        return reader;
    }

    @Nullable
    String text(String id) {
        return texts.get(id);
    }
}
