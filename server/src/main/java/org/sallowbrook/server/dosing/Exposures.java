package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Direct;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.Taking;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.shelf.Products;
import org.springframework.stereotype.Component;

/** What a person takes and took, from every course: what the gates must know beside the one in question. */
@Component
class Exposures {

    /**
     * Something a person took, from whatever course, running or ended, or as the plant itself.
     *
     * @param courseId or of the direct use
     * @param amount in the product's unit; null where nobody weighed it
     */
    record TakenOf(
            UUID courseId,
            DosingGate.Way way,
            Product product,
            LocalDate on,
            @Nullable Double amount) {}

    private static final int LOOK_BACK_DAYS = 365;

    private final Courses courses;
    private final DirectUses uses;
    private final HerbariumService herbarium;
    private final TakenDays doses;
    private final Products products;
    private final Reading reading;

    Exposures(
            Courses courses,
            DirectUses uses,
            HerbariumService herbarium,
            TakenDays doses,
            Products products,
            Reading reading) {
        this.reading = reading;
        this.courses = courses;
        this.uses = uses;
        this.herbarium = herbarium;
        this.doses = doses;
        this.products = products;
    }

    /** These will be asked for: what they took is read at once, and the lots it was of are announced. */
    void ahead(Collection<UUID> persons, LocalDate until) {
        for (UUID person : persons) {
            products.ahead(taken(person, until.minusDays(LOOK_BACK_DAYS)).stream()
                    .map(DosesTaken.OfPerson::lotId)
                    .distinct()
                    .toList());
        }
    }

    private List<DosesTaken.OfPerson> taken(UUID personId, LocalDate from) {
        return reading.of(Reading.Of.PERSON, "taken since " + from, personId, ids -> doses.of(ids, from), List.of());
    }

    List<TakenOf> history(UUID personId, LocalDate until) {
        return reading.once(List.of("history", personId, until), () -> read(personId, until));
    }

    private List<TakenOf> read(UUID personId, LocalDate until) {
        LocalDate from = until.minusDays(LOOK_BACK_DAYS);
        List<DosesTaken.OfPerson> taken = taken(personId, from);
        Map<UUID, Product> contents = new HashMap<>(products.contents(
                taken.stream().map(DosesTaken.OfPerson::lotId).distinct().toList()));
        contents.replaceAll((lot, product) -> Direct.asTea(product));
        List<TakenOf> all = new ArrayList<>();
        taken.forEach(t ->
                all.add(new TakenOf(t.courseId(), t.way(), contents.get(t.lotId()), t.onDay(), (Double) t.amount())));
        reading.listOf(
                        Reading.Of.PERSON,
                        "direct uses since " + from,
                        personId,
                        ids -> uses.findAllByPersonIdInAndOnDayGreaterThanEqual(ids, from),
                        u -> u.personId)
                .forEach(u -> all.add(new TakenOf(u.id, u.way, itself(u), u.onDay, u.ml == null ? u.grams : u.ml)));
        return all;
    }

    private List<CourseEntity> running(UUID personId, LocalDate on) {
        return reading.listOf(
                Reading.Of.PERSON,
                "running on " + on,
                personId,
                ids -> courses.findAllByPersonIdInAndStatusAndLastDayGreaterThanEqual(
                        ids, CourseEntity.Status.RUNNING, on),
                c -> c.personId);
    }

    /** The plant that was used as it was, by the gram. */
    private Product itself(DirectUse use) {
        return use.lotId == null
                ? Direct.fresh(herbarium.taxon(use.taxonId), use.part, use.onDay)
                : use.ml != null
                        ? products.contents(List.of(use.lotId)).get(use.lotId)
                        : Direct.byTheGram(products.contents(List.of(use.lotId)).get(use.lotId));
    }

    /**
     * Days to come on which the person is to have something, of running courses but one.
     *
     * @param but the course that is judged, which may not be there yet
     */
    List<TakenOf> planned(UUID personId, UUID but, LocalDate today) {
        List<TakenOf> all = new ArrayList<>();
        for (CourseEntity course : running(personId, today)) {
            if (course.id.equals(but)) {
                continue;
            }
            Product product =
                    Direct.asTea(products.contents(List.of(course.lotId)).get(course.lotId));
            StoredCourse.request(course).plan().days().stream()
                    .filter(d -> d.doses() > 0 && !d.date().isBefore(today))
                    .forEach(d -> all.add(new TakenOf(course.id, course.way, product, d.date(), (Double)
                            d.total().value())));
        }
        return all;
    }

    /** The last day a plant that weakens medicines was really taken. */
    static @Nullable LocalDate inducerLastOn(List<TakenOf> history) {
        return history.stream()
                .filter(t -> t.way() == DosingGate.Way.MOUTH
                        && t.product().herbs().stream()
                                .anyMatch(h -> h.taxon().constituents().contains(Taxon.Constituent.HYPERFORIN)))
                .map(TakenOf::on)
                .max(LocalDate::compareTo)
                .orElse(null);
    }

    /**
     * What the person takes by mouth besides: the fullest day of every other running course, and what was taken that day of
     * those that were ended. Grams unknown where the product's are.
     */
    List<Taking> others(UUID personId, UUID but, LocalDate on, List<TakenOf> history) {
        List<Taking> all = new ArrayList<>();
        Set<UUID> counted = new HashSet<>(Set.of(but));
        for (CourseEntity other : running(personId, on)) {
            if (other.way != DosingGate.Way.MOUTH || !counted.add(other.id)) {
                continue;
            }
            double taken = takenOn(history, other.id, on);
            double most = StoredCourse.request(other).plan().mostPerDay().value();
            addTaking(all, Direct.asTea(products.of(other.lotId)), Math.max(most, taken));
        }
        history.stream()
                .filter(t -> t.way() == DosingGate.Way.MOUTH && t.on().equals(on) && !counted.contains(t.courseId()))
                .forEach(t -> addTaking(all, t.product(), t.amount()));
        return all;
    }

    private static double takenOn(List<TakenOf> history, UUID course, LocalDate on) {
        return history.stream()
                .filter(t -> t.courseId().equals(course) && t.on().equals(on))
                .mapToDouble(t -> t.amount() == null ? 0 : t.amount())
                .sum();
    }

    private static void addTaking(List<Taking> all, Product product, @Nullable Double amount) {
        Interval equivalent = product.driedGPerUnit();
        for (Product.Herb herb : product.herbs()) {
            all.add(new Taking(
                    herb.taxon(),
                    herb.part(),
                    equivalent == null || amount == null
                            ? null
                            : (Double) (amount * equivalent.high() * herb.fraction())));
        }
    }
}
