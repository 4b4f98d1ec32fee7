package org.sallowbrook.server.planning;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.herbarium.NotFor;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.Complaint;
import org.sallowbrook.core.planning.Likeness;
import org.sallowbrook.server.dosing.ReactionService;
import org.sallowbrook.server.field.StandService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Plants for a need, for somebody or for nobody in particular. */
@RestController
@RequestMapping("/api/planning/needs")
class NeedController {

    record NeedView(String name, Boolean grave) {}

    record SuggestionView(
            String taxon,
            String commonName,
            String name,
            List<Taxon.Part> parts,
            Taxon.@Nullable Route route,
            Taxon.@Nullable Potency potency,
            Source.Evidence evidence,
            ByNeed.Nearness nearness,
            List<String> notFor,
            List<String> because) {}

    /** @param beside gentler, as strong or stronger than the plant it stands for */
    record OtherView(SuggestionView plant, ByNeed.Beside beside) {}

    record InsteadView(String use, List<OtherView> others, List<DroppedView> dropped) {}

    /** @param needs that it may mean, the likeliest first; empty where it is referred */
    record ComplaintAnswer(List<Finding> findings, List<String> needs) {}

    record DroppedView(String taxon, String commonName, String reason) {}

    record NeedAnswer(
            String need, List<SuggestionView> suggestions, List<DroppedView> dropped, List<Finding> findings) {}

    /** @param findings where no plant is proposed for it at all */
    record NeedWishView(List<WishService.OfferView> herbs, List<Finding> findings) {}

    private final WishService wishes;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final StandService stands;
    private final ShelfService shelf;
    private final ReactionService reactions;
    private final Complaints complaints;
    private final Likeness likeness;

    NeedController(
            WishService wishes,
            HerbariumService herbarium,
            PeopleService people,
            StandService stands,
            ShelfService shelf,
            ReactionService reactions,
            Complaints complaints,
            Likeness likeness) {
        this.wishes = wishes;
        this.likeness = likeness;
        this.reactions = reactions;
        this.complaints = complaints;
        this.herbarium = herbarium;
        this.people = people;
        this.stands = stands;
        this.shelf = shelf;
    }

    @GetMapping
    @Transactional(readOnly = true)
    List<NeedView> needs() {
        return ByNeed.needs(herbarium.herbarium()).stream()
                .map(n -> new NeedView(n.name(), n.grave()))
                .toList();
    }

    @GetMapping("/plants")
    @Transactional(readOnly = true)
    NeedAnswer find(@RequestParam String need, @RequestParam(required = false) @Nullable UUID person) {
        ByNeed.Answer answer = answer(need, person);
        return new NeedAnswer(
                need,
                answer.suggestions().stream().map(NeedController::view).toList(),
                answer.dropped().stream().map(NeedController::view).toList(),
                answer.findings());
    }

    /** Of which plants something for a need can be made; what they may not have is not among them. */
    @GetMapping("/wishes")
    @Transactional(readOnly = true)
    NeedWishView wishes(
            @RequestParam String need,
            @RequestParam Basket.Product product,
            @RequestParam(required = false) @Nullable UUID person) {
        ByNeed.Answer answer = answer(need, person);
        return new NeedWishView(wishes.forNeed(answer.suggestions(), product), answer.findings());
    }

    /** What a complaint in somebody's own words may mean; what may be grave is referred. */
    @GetMapping("/search")
    @Transactional(readOnly = true)
    ComplaintAnswer search(@RequestParam String words) {
        Complaint.Answer answer = Complaint.of(
                words,
                complaints.lexicon(herbarium.herbarium().taxa()),
                complaints.grave(),
                complaints.synonyms(),
                ByNeed.needs(herbarium.herbarium()),
                likeness);
        return new ComplaintAnswer(answer.findings(), answer.needs());
    }

    /** Other plants for what one is used for. */
    @GetMapping("/instead")
    @Transactional(readOnly = true)
    List<InsteadView> instead(@RequestParam String taxon, @RequestParam(required = false) @Nullable UUID person) {
        return ByNeed.instead(
                        herbarium.herbarium(),
                        herbarium.taxon(taxon),
                        person == null ? null : people.person(person),
                        shelf.taxaInTheHouse(),
                        near(),
                        notBorne(person),
                        people.today().getMonthValue())
                .stream()
                .map(i -> new InsteadView(
                        i.use(),
                        i.others().stream()
                                .map(s -> new OtherView(view(s), i.beside(s)))
                                .toList(),
                        i.dropped().stream().map(NeedController::view).toList()))
                .toList();
    }

    private ByNeed.Answer answer(String need, @Nullable UUID person) {
        Checks.begin()
                .that(!need.isBlank() && need.length() <= 120, "need", "must have 1 to 120 letters")
                .done();
        return ByNeed.find(
                herbarium.herbarium(),
                need,
                person == null ? null : people.person(person),
                shelf.taxaInTheHouse(),
                near(),
                notBorne(person),
                people.today().getMonthValue());
    }

    private Map<String, String> notBorne(@Nullable UUID person) {
        return person == null ? Map.of() : reactions.notBorne(person);
    }

    private static DroppedView view(ByNeed.Dropped d) {
        return new DroppedView(d.taxon().id(), d.taxon().commonName(), d.reason());
    }

    private Set<String> near() {
        Set<String> near = new HashSet<>();
        stands.stands().stream().filter(s -> s.taxonId() != null && s.certain()).forEach(s -> near.add(s.taxonId()));
        return near;
    }

    private static SuggestionView view(ByNeed.Suggestion s) {
        return new SuggestionView(
                s.taxon().id(),
                s.taxon().commonName(),
                s.taxon().name(),
                s.taxon().parts().stream()
                        .map(Taxon.UsedPart::part)
                        .filter(p -> s.use() == null || s.use().parts().contains(p))
                        .toList(),
                s.use() == null ? null : s.use().route(),
                s.use() == null ? null : s.use().potency(),
                s.source().evidence(),
                s.nearness(),
                NotFor.of(s.taxon()),
                s.because());
    }
}
