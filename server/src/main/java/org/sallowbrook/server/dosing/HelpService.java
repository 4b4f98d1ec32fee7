package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When something is wrong: stop, whom to call, and what to say. */
@Service
@Transactional
public class HelpService {

    /**
     * @param lotCode empty where it came from no lot
     * @param amount null where nobody weighed it
     * @param herbs with their botanical names and parts, the most of it first
     */
    public record TakenLately(
            LocalDate on,
            String product,
            String lotCode,
            @Nullable Double amount,
            String unit,
            DosingGate.Way way,
            List<String> herbs) {}

    /**
     * @param taken of the last days, the newest first, whatever became of its course
     * @param reactions noted in the last days, and any that were not mild before
     * @param running courses that go on, of which a dose may have been taken and not ticked
     */
    public record HelpView(
            PeopleService.PersonView person,
            String emergencyNumber,
            String poisonCentre,
            List<TakenLately> taken,
            List<String> reactions,
            List<String> running) {}

    private static final int DAYS = 7;

    private final CourseService courses;
    private final Courses all;
    private final DosesTaken doses;
    private final DirectUses uses;
    private final Tolerance tolerance;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final HouseholdService household;
    private final ShelfService shelf;
    private final Products products;
    private final CourseGates gates;

    HelpService(
            CourseService courses,
            Courses all,
            DosesTaken doses,
            DirectUses uses,
            Tolerance tolerance,
            HerbariumService herbarium,
            PeopleService people,
            HouseholdService household,
            ShelfService shelf,
            Products products,
            CourseGates gates) {
        this.gates = gates;
        this.courses = courses;
        this.all = all;
        this.doses = doses;
        this.uses = uses;
        this.tolerance = tolerance;
        this.herbarium = herbarium;
        this.people = people;
        this.household = household;
        this.shelf = shelf;
        this.products = products;
    }

    /** What new is known of somebody, held against what they took in the weeks before. */
    @Transactional(readOnly = true)
    public List<Finding> takenBefore(UUID personId) {
        return gates.takenBefore(personId, people.today());
    }

    @Transactional(readOnly = true)
    public HelpView help(UUID personId) {
        PeopleService.PersonView person = people.one(personId);
        LocalDate today = people.today();
        List<DosesTaken.OfPerson> taken = doses.ofPerson(personId, today.minusDays(DAYS));
        List<UUID> ids =
                taken.stream().map(DosesTaken.OfPerson::lotId).distinct().toList();
        Map<UUID, LotView> lots = shelf.lots(ids).stream().collect(Collectors.toMap(LotView::id, Function.identity()));
        Map<UUID, Product> contents = products.contents(ids);
        HouseholdService.WhomToCall call = household.whomToCall();
        return new HelpView(
                person,
                call.emergencyNumber(),
                call.poisonCentre(),
                Stream.concat(
                                taken.stream().map(t -> lately(t, lots.get(t.lotId()), contents.get(t.lotId()))),
                                uses
                                        .findAllByPersonIdInAndOnDayGreaterThanEqual(
                                                List.of(personId), today.minusDays(DAYS))
                                        .stream()
                                        .map(this::lately))
                        .sorted(Comparator.comparing(TakenLately::on).reversed())
                        .toList(),
                tolerance.history(personId).stream()
                        .filter(r -> r.ends() || !r.on().isBefore(today.minusDays(DAYS)))
                        .map(r -> r.plants().stream()
                                        .map(Taxon::commonName)
                                        .sorted()
                                        .collect(Collectors.joining(", "))
                                + ": " + r.words())
                        .toList(),
                running(personId, today).stream()
                        .map(c -> shelf.lot(c.lotId))
                        .map(l -> l.name() + " (" + l.code() + ")")
                        .toList());
    }

    /** Every course of theirs ends here and now. */
    public HelpView stopAll(UUID personId) {
        people.one(personId);
        running(personId, people.today()).forEach(c -> courses.end(c.id, String.valueOf(c.version)));
        return help(personId);
    }

    private List<CourseEntity> running(UUID personId, LocalDate today) {
        return all.findAllByPersonIdInAndStatusAndLastDayGreaterThanEqual(
                List.of(personId), CourseEntity.Status.RUNNING, today);
    }

    private TakenLately lately(DirectUse u) {
        Taxon taxon = herbarium.taxon(u.taxonId);
        return new TakenLately(
                u.onDay,
                Words.lower(u.manner) + " " + taxon.commonName(),
                u.lotId == null ? "" : shelf.lot(u.lotId).code(),
                u.ml == null ? u.grams : u.ml,
                u.ml == null ? "g" : "mL",
                u.way,
                List.of(taxon.commonName() + " (" + taxon.name() + "), " + Words.lower(u.part)));
    }

    private static TakenLately lately(DosesTaken.OfPerson t, @Nullable LotView lot, @Nullable Product product) {
        return new TakenLately(
                t.onDay(),
                lot == null ? "" : lot.name(),
                lot == null ? "" : lot.code(),
                t.amount(),
                lot == null ? "mL" : lot.unit(),
                t.way(),
                product == null ? List.of() : herbs(product));
    }

    /** With botanical names and parts, the most of it first. */
    static List<String> herbs(Product product) {
        return product.herbs().stream()
                .sorted(Comparator.comparingDouble(Product.Herb::fraction).reversed())
                .map(h -> h.taxon().commonName() + " (" + h.taxon().name() + "), " + Words.lower(h.part()))
                .toList();
    }
}
