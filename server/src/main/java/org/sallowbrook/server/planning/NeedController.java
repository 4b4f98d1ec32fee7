package org.sallowbrook.server.planning;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
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
            List<String> because) {}

    record DroppedView(String taxon, String commonName, String reason) {}

    record NeedAnswer(
            String need, List<SuggestionView> suggestions, List<DroppedView> dropped, List<Finding> findings) {}

    private final HerbariumService herbarium;
    private final PeopleService people;
    private final StandService stands;
    private final ShelfService shelf;

    NeedController(HerbariumService herbarium, PeopleService people, StandService stands, ShelfService shelf) {
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
        Checks.begin()
                .that(!need.isBlank() && need.length() <= 120, "need", "must have 1 to 120 letters")
                .done();
        Set<String> near = new HashSet<>();
        stands.stands().stream()
                .filter(s -> s.taxonId() != null
                        && !s.doubted()
                        && s.identification() != null
                        && s.identification().status() == Identification.Status.CONFIRMED)
                .forEach(s -> near.add(s.taxonId()));
        ByNeed.Answer answer = ByNeed.find(
                herbarium.herbarium(),
                need,
                person == null ? null : people.person(person),
                shelf.taxaInTheHouse(),
                near,
                people.today().getMonthValue());
        return new NeedAnswer(
                need,
                answer.suggestions().stream().map(NeedController::view).toList(),
                answer.dropped().stream()
                        .map(d -> new DroppedView(d.taxon().id(), d.taxon().commonName(), d.reason()))
                        .toList(),
                answer.findings());
    }

    private static SuggestionView view(ByNeed.Suggestion s) {
        return new SuggestionView(
                s.taxon().id(),
                s.taxon().commonName(),
                s.taxon().name(),
                s.taxon().parts().stream().map(Taxon.UsedPart::part).toList(),
                s.use() == null ? null : s.use().route(),
                s.use() == null ? null : s.use().potency(),
                s.source().evidence(),
                s.nearness(),
                s.because());
    }
}
