package org.sallowbrook.server.herbarium;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Figures;
import org.sallowbrook.core.herbarium.GoodFor;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.OwnCardRules;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.identification.WhenSure;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Cards a household writes itself, under the checks of those that ship, and the figures it has looked up. */
@Service
@Transactional
public class OwnCardService {

    /**
     * @param own whether the household has a version of its own
     * @param version of the household's card; 0 when it has none
     * @param missing what keeps it a draft
     * @param goodFor what can be done with it as it stands, step by step
     */
    record CardView(
            CardFile card, Boolean own, Boolean shipped, Long version, List<String> missing, List<GoodFor> goodFor) {}

    record CheckRequest(String figure, String book, String page) {}

    record CheckView(String figure, String book, String page, String checkedBy, Instant checkedAt) {}

    private final HerbariumService herbarium;
    private final OwnCards cards;
    private final FigureChecks checks;
    private final List<UsesTaxon> uses;
    private final Clock clock;

    OwnCardService(HerbariumService herbarium, OwnCards cards, FigureChecks checks, List<UsesTaxon> uses, Clock clock) {
        this.uses = uses;
        this.herbarium = herbarium;
        this.cards = cards;
        this.checks = checks;
        this.clock = clock;
    }

    /** The card as written. */
    @Transactional(readOnly = true)
    public String yaml(String id) {
        OwnCard own = cards.findByTaxonId(id).orElse(null);
        String text = own != null ? own.yaml : herbarium.shipped().text(id);
        if (text == null) {
            throw new Problem.NotFound("plant");
        }
        return text;
    }

    /** All cards of the household's own, as YAML documents one after the other. */
    @Transactional(readOnly = true)
    public String exported() {
        return String.join(
                "---\n",
                cards.findAllByOrderByTaxonId().stream().map(c -> c.yaml).toList());
    }

    @Transactional(readOnly = true)
    CardView card(String id) {
        return view(id, yaml(id));
    }

    private CardView view(String id, String yaml) {
        OwnCard own = cards.findByTaxonId(id).orElse(null);
        Taxon taxon = CardText.card(id, yaml, herbarium.shipped().reader());
        return new CardView(
                CardText.read(id, yaml, CardFile.class),
                own != null,
                herbarium.shipped().text(id) != null,
                own == null || own.version == null ? 0 : own.version,
                Herbarium.missing(taxon),
                GoodFor.of(taxon, told(taxon)));
    }

    /** Whether a look can make it certain at any stage; of a card that ships nobody is asked to write more. */
    private boolean told(Taxon taxon) {
        return herbarium.shipped().text(taxon.id()) != null
                || taxon.regions().stream()
                        .flatMap(region -> herbarium.identifier().whenSure(taxon.id(), region).stream())
                        .anyMatch(at -> at.sure() != WhenSure.Sure.NEVER);
    }

    /** Adds or changes a card. A repeated request changes nothing. */
    CardView save(String id, CardFile card, @Nullable String ifMatch) {
        if (!id.equals(card.id())) {
            throw new InvalidInput(List.of(new InvalidInput.Violation("id", "must be the one in the address")));
        }
        return save(CardText.YAML.writeValueAsString(withTellable(card)), ifMatch, f -> f.where());
    }

    /**
     * Of a plant of the household's own nobody types at which stages it can be told from another: that follows from its
     * characters, and with every further one anew.
     */
    private ObjectNode withTellable(CardFile card) {
        ObjectNode tree = CardText.YAML.valueToTree(card);
        List<CardFile.LookAlikeFile> likenesses = card.lookAlikes();
        if (likenesses == null || herbarium.shipped().text(card.id()) != null) {
            return tree;
        }
        Taxon taxon;
        try {
            taxon = herbarium.shipped().reader().taxon(card);
        } catch (CardReader.Unreadable | InvalidInput | NullPointerException e) {
            // What is wrong with it is said when it is read as written.
            return tree;
        }
        Herbarium all = herbarium.herbarium().with(List.of(taxon));
        for (int i = 0; i < likenesses.size(); i++) {
            Taxon other = all.taxon(likenesses.get(i).taxon()).orElse(null);
            ArrayNode stages = ((ObjectNode) tree.withArray("lookAlikes").get(i)).putArray("tellable");
            for (LifeStage stage :
                    other == null ? List.<LifeStage>of() : taxon.months().keySet()) {
                if (Telling.enough(all, taxon, other, stage)) {
                    stages.add(stage.name());
                }
            }
        }
        return tree;
    }

    /** As {@link #save(String, CardFile, String)}, from a written card; line and reason of everything wrong. */
    CardView save(String yaml, @Nullable String ifMatch) {
        return save(yaml, ifMatch, f -> f.file() + " line " + f.line());
    }

    /** @param at where a fault is, as whoever wrote the card sees it */
    private CardView save(String yaml, @Nullable String ifMatch, Function<CardText.Fault, String> at) {
        Taxon taxon = readAndCheck(yaml, at);
        OwnCard own = cards.findByTaxonId(taxon.id()).orElse(null);
        if (own == null) {
            own = new OwnCard(Owned.newId());
            own.taxonId = taxon.id();
        } else if (own.yaml.equals(yaml)) {
            return view(taxon.id(), yaml);
        } else {
            OwnCard now = own;
            own.checkVersion(ifMatch, () -> view(now.taxonId, now.yaml));
        }
        own.yaml = yaml;
        cards.saveAndFlush(own);
        herbarium.changed();
        return view(taxon.id(), yaml);
    }

    /** @throws InvalidInput for what could not be saved */
    Taxon check(String yaml) {
        return readAndCheck(yaml, f -> "line " + f.line());
    }

    /** Everything wrong at once: what the card itself gets wrong, and what it would weaken of a shipped one. */
    private Taxon readAndCheck(String yaml, Function<CardText.Fault, String> at) {
        Taxon taxon;
        try {
            taxon = CardText.card("card", yaml, herbarium.shipped().reader());
        } catch (CardText.Broken e) {
            throw refusal(e.faults, at);
        }
        List<Herbarium.Problem> problems = new ArrayList<>();
        herbarium
                .shipped()
                .herbarium()
                .taxon(taxon.id())
                .ifPresent(shipped -> problems.addAll(OwnCardRules.weakened(shipped, taxon)));
        if (herbarium.shipped().text(taxon.id()) == null) {
            problems.addAll(weakenedWhole(taxon));
        }
        problems.addAll(
                OwnCardRules.borrowedNames(herbarium.shipped().herbarium().taxa(), taxon));
        problems.addAll(
                OwnCardRules.poisonousGenus(herbarium.shipped().herbarium().taxa(), taxon));
        problems.addAll(herbarium.herbarium().with(List.of(taxon)).problems(taxon));
        if (!problems.isEmpty()) {
            throw refusal(CardText.faults("card", yaml, problems), at);
        }
        return taxon;
    }

    /**
     * A plant of the household's own that is gathered and taken does not become safer by a touch: what would weaken its card
     * wants it put aside first, and called whole again with its look-alikes and cautions in sight.
     */
    private List<Herbarium.Problem> weakenedWhole(Taxon taxon) {
        OwnCard before = cards.findByTaxonId(taxon.id()).orElse(null);
        if (before == null || taxon.draft()) {
            return List.of();
        }
        Taxon was;
        try {
            was = CardText.card("card", before.yaml, herbarium.shipped().reader());
        } catch (CardText.Broken e) {
            return List.of();
        }
        return was.draft()
                ? List.of()
                : OwnCardRules.weakened(was, taxon).stream()
                        .map(p -> new Herbarium.Problem(
                                p.taxon(),
                                p.where(),
                                p.message() + ". The card is whole: put it aside as a draft, change it, and call it"
                                        + " whole again"))
                        .toList();
    }

    private static InvalidInput refusal(List<CardText.Fault> faults, Function<CardText.Fault, String> at) {
        return new InvalidInput(faults.stream()
                .map(f -> new InvalidInput.Violation(at.apply(f), f.reason()))
                .toList());
    }

    /** Back to the shipped card. A plant of the household's own stays once something on record is of it. */
    void discard(String id, @Nullable String ifMatch) {
        OwnCard own = cards.findByTaxonId(id).orElseThrow(() -> new Problem.NotFound("card"));
        own.checkVersion(ifMatch, () -> view(id, own.yaml));
        if (herbarium.shipped().text(id) == null && uses.stream().anyMatch(u -> u.uses(id))) {
            throw new Problem.Conflict(
                    "Something on record is of this plant, so its card stays; mark it as a draft to put it aside.");
        }
        cards.delete(own);
        cards.flush();
        herbarium.changed();
    }

    @Transactional(readOnly = true)
    List<CheckView> checks(String id) {
        return checks.findAllByTaxonId(id).stream()
                .map(c -> new CheckView(c.figure, c.book, c.page, c.checkedBy, c.checkedAt))
                .toList();
    }

    /** Ticks a figure with book and page; ticking again replaces them. */
    CheckView check(String id, CheckRequest request) {
        Taxon taxon = herbarium.taxon(id);
        Checks.begin()
                .that(figures(taxon).contains(request.figure()), "figure", "is none of this card")
                .that(
                        !request.book().isBlank() && request.book().length() <= 200,
                        "book",
                        "must name the book, 1 to 200 letters")
                .that(!request.page().isBlank() && request.page().length() <= 60, "page", "must have 1 to 60 letters")
                .done();
        FigureCheck check =
                checks.findByTaxonIdAndFigure(id, request.figure()).orElseGet(() -> new FigureCheck(Owned.newId()));
        check.taxonId = id;
        check.figure = request.figure();
        check.book = request.book().strip();
        check.page = request.page().strip();
        check.checkedBy = Member.current().displayName();
        check.checkedAt = clock.instant();
        checks.saveAndFlush(check);
        herbarium.changed();
        return new CheckView(check.figure, check.book, check.page, check.checkedBy, check.checkedAt);
    }

    /** Takes a tick back. */
    void uncheck(String id, String figure) {
        checks.delete(checks.findByTaxonIdAndFigure(id, figure).orElseThrow(() -> new Problem.NotFound("tick")));
        checks.flush();
        herbarium.changed();
    }

    static List<String> figures(Taxon taxon) {
        List<String> figures = new ArrayList<>();
        figures.add(Figures.DESCRIPTION);
        for (Taxon.UsedPart part : taxon.parts()) {
            if (part.using().tea() != null) {
                figures.add(Figures.tea(part));
            }
            if (part.using().spirit() != null) {
                figures.add(Figures.spirit(part));
            }
            part.using().doses().forEach(d -> figures.add(Figures.of(part, d)));
        }
        taxon.uses().forEach(u -> figures.add(Figures.of(u)));
        taxon.cautions().forEach(c -> figures.add(Figures.of(c)));
        return figures;
    }
}
