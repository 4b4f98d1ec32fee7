package org.sallowbrook.server.herbarium;

import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Figures;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.OwnCardRules;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identifier;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.household.Regions;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The herbarium as the household signed in sees it: the cards that ship, with its own in their place or beside them. */
@Service
@Transactional(readOnly = true)
public class HerbariumService implements Regions {

    /** How long a card that another server of the same household saved may stay unseen here. */
    private static final long LOOK_AGAIN_MS = 2000;

    private record Seen(
            @Nullable Instant newest, long cards, long checks, Herbarium herbarium, Identifier identifier, long at) {}

    private final ShippedCards shipped;
    private final Identifier shippedIdentifier;
    private final OwnCards cards;
    private final FigureChecks checks;
    /** Shipped cards change with the application, which is started anew for it. */
    private final String started = UUID.randomUUID().toString().substring(0, 8);

    private final Map<UUID, Seen> seen = new ConcurrentHashMap<>();

    HerbariumService(OwnCards cards, FigureChecks checks) throws IOException {
        shipped = ShippedCards.load();
        shippedIdentifier = new Identifier(shipped.herbarium());
        this.cards = cards;
        this.checks = checks;
    }

    public Herbarium herbarium() {
        Seen now = seen();
        return now == null ? shipped.herbarium() : now.herbarium();
    }

    public Identifier identifier() {
        Seen now = seen();
        return now == null ? shippedIdentifier : now.identifier();
    }

    /** @throws Problem.NotFound when no card has this id */
    public Taxon taxon(String id) {
        return herbarium().taxon(id).orElseThrow(() -> new Problem.NotFound("plant"));
    }

    /**
     * The plant of which somebody wrote a whole name, current, older or common, in a list.
     *
     * @param field where it was written
     * @throws InvalidInput where no card bears it, or several plants do, here or elsewhere
     */
    public Taxon called(String field, String name) {
        String words = name.strip();
        List<Taxon> called = herbarium().taxa().stream()
                .filter(t -> t.id().equals(words)
                        || Stream.of(List.of(t.name()), t.olderNames(), t.commonNames())
                                .flatMap(List::stream)
                                .anyMatch(words::equalsIgnoreCase))
                .toList();
        boolean several = called.size() > 1
                || called.stream().flatMap(t -> t.ambiguousNames().stream()).anyMatch(words::equalsIgnoreCase);
        Checks.begin()
                .that(
                        !called.isEmpty(),
                        field,
                        "is no whole name of a plant here; write its scientific name, or make its card first")
                .that(!several, field, "is the name of several plants; write the scientific one")
                .done();
        return called.get(0);
    }

    @Override
    public List<String> known() {
        return shipped.herbarium().taxa().stream()
                .flatMap(t -> t.regions().stream())
                .distinct()
                .sorted()
                .toList();
    }

    /** Changes whenever a card may have. */
    String revision() {
        Seen now = seen();
        return now == null
                ? started
                : started + "-" + now.cards() + "-" + now.checks() + "-"
                        + (now.newest() == null ? 0 : now.newest().toEpochMilli());
    }

    ShippedCards shipped() {
        return shipped;
    }

    /** Forgets what was read, after a card or a check was saved here. */
    void changed() {
        seen.remove(Member.current().householdId());
    }

    /** Null for nobody signed in. */
    private @Nullable Seen seen() {
        UUID household = Member.householdOrNull();
        if (household == null) {
            return null;
        }
        Seen known = seen.get(household);
        if (known != null && System.nanoTime() / 1_000_000 - known.at() < LOOK_AGAIN_MS) {
            return known;
        }
        Instant newest = cards.newest();
        long own = cards.count();
        long ticked = checks.count();
        long now = System.nanoTime() / 1_000_000;
        Seen next = known != null
                        && Objects.equals(known.newest(), newest)
                        && known.cards() == own
                        && known.checks() == ticked
                ? new Seen(newest, own, ticked, known.herbarium(), known.identifier(), now)
                : read(newest, own, ticked, now);
        seen.put(household, next);
        return next;
    }

    private Seen read(@Nullable Instant newest, long own, long ticked, long now) {
        if (own == 0 && ticked == 0) {
            return new Seen(newest, 0, 0, shipped.herbarium(), shippedIdentifier, now);
        }
        Map<String, Taxon> taxa = new HashMap<>();
        for (OwnCard card : cards.findAllByOrderByTaxonId()) {
            Taxon written = CardText.card(card.taxonId + ".yaml", card.yaml, shipped.reader());
            taxa.put(
                    card.taxonId,
                    shipped.herbarium()
                            .taxon(card.taxonId)
                            .map(known -> OwnCardRules.strictest(known, written))
                            .orElse(written));
        }
        Map<String, Set<String>> figures = new HashMap<>();
        for (FigureCheck check : checks.findAll()) {
            figures.computeIfAbsent(check.taxonId, k -> new HashSet<>()).add(check.figure);
        }
        figures.forEach((id, all) -> {
            Taxon taxon = taxa.get(id) != null
                    ? taxa.get(id)
                    : shipped.herbarium().taxon(id).orElse(null);
            if (taxon != null) {
                taxa.put(id, Figures.checked(taxon, all));
            }
        });
        Herbarium herbarium = shipped.herbarium().with(new ArrayList<>(List.copyOf(taxa.values())));
        return new Seen(newest, own, ticked, herbarium, new Identifier(herbarium), now);
    }
}
