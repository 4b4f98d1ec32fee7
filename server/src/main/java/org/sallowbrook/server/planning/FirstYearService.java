package org.sallowbrook.server.planning;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.sallowbrook.core.field.season.Readiness;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.WhenSure;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.year.FirstYear;
import org.sallowbrook.server.dosing.ReactionService;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.SeasonService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What to learn, pick and make in a first year; nothing once something was gathered. */
@Service
@Transactional(readOnly = true)
public class FirstYearService {

    public record NamedPlant(String taxonId, String commonName) {}

    /**
     * @param from when it begins here, about; until: when it is likely over
     * @param stages at which it is picked and can be made certain
     * @param besides poisonous plants it must be told from
     * @param make what to begin with, amount of it in the unit
     * @param wantedFrom when it is used; wantedUntil: until when
     * @param notFor people of the house who must not have it
     */
    public record LearnView(
            String taxonId,
            String commonName,
            String name,
            Taxon.Part part,
            LocalDate from,
            LocalDate until,
            Set<LifeStage> stages,
            List<String> uses,
            List<NamedPlant> besides,
            Basket.Product make,
            Double amount,
            String unit,
            LocalDate wantedFrom,
            LocalDate wantedUntil,
            List<String> notFor) {}

    private final HerbariumService herbarium;
    private final SeasonService seasons;
    private final HarvestService harvests;
    private final PeopleService people;
    private final ReactionService reactions;

    FirstYearService(
            HerbariumService herbarium,
            SeasonService seasons,
            HarvestService harvests,
            PeopleService people,
            ReactionService reactions) {
        this.herbarium = herbarium;
        this.seasons = seasons;
        this.harvests = harvests;
        this.people = people;
        this.reactions = reactions;
    }

    public List<LearnView> learn() {
        if (harvests.any()) {
            return List.of();
        }
        LocalDate today = people.today();
        String region = people.region();
        boolean southern = people.place() != null && people.place().southern();
        List<PeopleService.PersonView> house = people.all();
        Function<Taxon.UsedPart, Optional<Readiness>> expected = seasons.expected();
        List<FirstYear.Comes> comes = new ArrayList<>();
        for (Taxon taxon : herbarium.herbarium().taxa()) {
            if (taxon.draft() || taxon.danger().dangerous() || !taxon.regions().contains(region)) {
                continue;
            }
            Set<LifeStage> certain = EnumSet.noneOf(LifeStage.class);
            herbarium.identifier().whenSure(taxon.id(), region).stream()
                    .filter(at -> at.sure() != WhenSure.Sure.NEVER)
                    .forEach(at -> certain.add(at.stage()));
            for (Taxon.UsedPart part : taxon.parts()) {
                Readiness ready = expected.apply(part).orElse(null);
                if (ready != null && ready.from() != null) {
                    // What is over for this year comes again in the next.
                    int later = ready.until().isBefore(today) ? 1 : 0;
                    comes.add(new FirstYear.Comes(
                            taxon,
                            part,
                            ready.from().plusYears(later),
                            ready.until().plusYears(later),
                            certain));
                }
            }
        }
        Map<String, Danger> dangers =
                herbarium.herbarium().taxa().stream().collect(Collectors.toMap(Taxon::id, Taxon::danger));
        return FirstYear.of(
                        comes,
                        dangers,
                        // A house that has entered nobody yet is one.
                        (taxon, route) -> house.isEmpty()
                                ? 1
                                : house.size() - notFor(taxon, route, house).size(),
                        southern)
                .stream()
                .map(l -> view(l, house))
                .toList();
    }

    private LearnView view(FirstYear.Learn l, List<PeopleService.PersonView> house) {
        Taxon taxon = l.what().taxon();
        return new LearnView(
                taxon.id(),
                taxon.commonName(),
                taxon.name(),
                l.what().part().part(),
                l.what().from(),
                l.what().until(),
                l.stages(),
                l.uses(),
                l.besides().stream()
                        .map(id -> new NamedPlant(id, herbarium.taxon(id).commonName()))
                        .toList(),
                l.make(),
                l.amount(),
                l.make().unit(),
                l.wantedFrom(),
                l.wantedUntil(),
                notFor(taxon, l.make().route(), house));
    }

    private List<String> notFor(Taxon taxon, Taxon.Route route, List<PeopleService.PersonView> house) {
        return house.stream()
                .filter(p -> reactions.notBorne(p.id()).containsKey(taxon.id())
                        || ByNeed.against(taxon, people.person(p.id()), route).isPresent())
                .map(PeopleService.PersonView::name)
                .toList();
    }
}
