package org.sallowbrook.server.herbarium;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Plants that no card covers, from a list: each a draft, of which nothing is gathered until its card is whole. */
@Component
class OwnPlantsIn implements ListIn {

    private final OwnCardService cards;
    private final HerbariumService herbarium;
    private final PeopleService people;

    OwnPlantsIn(OwnCardService cards, HerbariumService herbarium, PeopleService people) {
        this.cards = cards;
        this.herbarium = herbarium;
        this.people = people;
    }

    @Override
    public String name() {
        return "own-plants";
    }

    @Override
    public String words() {
        return "Plants of your own";
    }

    @Override
    public String hint() {
        return "Each becomes a draft: something to write on and to look after, and nothing to gather until its card is whole.";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.text("name", "Scientific name", "plant", "species").must(),
                Column.text("commonNames", "Common names", "common name", "called")
                        .must(),
                Column.text("family", "Family").must(),
                Column.choice("danger", "Danger", Stream.of(Danger.values())).must(),
                Column.text("lifeForm", "Life form"),
                Column.text("habitat", "Where it grows", "habitat"),
                Column.text("title", "Book", "source").must(),
                Column.of("year", "Its year", Kind.WHOLE, "year").must());
    }

    @Override
    public String same(Line line) {
        return id(line);
    }

    @Override
    public boolean here(Line line) {
        return herbarium.herbarium().taxon(id(line)).isPresent();
    }

    /** "Filipendula ulmaria" to filipendula-ulmaria. */
    private static String id(Line line) {
        return Normalizer.normalize(line.textOr("name", ""), Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z]+", "-")
                .replaceAll("^-|-$", "");
    }

    @Override
    public Brought take(Line line) {
        Map<String, Object> card = new LinkedHashMap<>();
        card.put("id", id(line));
        card.put("name", line.textOr("name", ""));
        card.put("author", "");
        card.put(
                "commonNames",
                Arrays.stream(line.textOr("commonNames", "").split("[;/,]"))
                        .map(String::strip)
                        .filter(n -> !n.isEmpty())
                        .toList());
        card.put("family", line.textOr("family", ""));
        card.put("lifeForm", line.textOr("lifeForm", ""));
        card.put("danger", line.text("danger"));
        card.put("draft", true);
        card.put("lookAlikesChecked", false);
        card.put("regions", List.of(people.region()));
        card.put("habitat", line.textOr("habitat", ""));
        card.put("protection", "Look up the local rule.");
        card.put("months", Map.of());
        card.put("characters", Map.of());
        card.put(
                "source",
                Map.of(
                        "title",
                        line.textOr("title", ""),
                        "year",
                        line.cells().getOrDefault("year", 0),
                        "evidence",
                        "REFERENCE"));
        // What is only tried must not be remembered as a card.
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                herbarium.changed();
            }
        });
        OwnCardService.CardView saved = cards.save(CardText.YAML.writeValueAsString(card), null);
        return new Brought(saved.card().id(), line.textOr("name", ""));
    }

    @Override
    public void takeBack(String handle) {
        OwnCardService.CardView card = cards.card(handle);
        if (card.version() > 0) {
            throw new Problem.Conflict("It was written on since.");
        }
        cards.discard(handle, "0");
    }
}
