package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.Taking;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.server.shelf.Products;
import org.springframework.stereotype.Component;

/** What a person takes and took, from every course: what the gates must know beside the one in question. */
@Component
class Exposures {

    /** Something a person took, from whatever course, running or ended. */
    record TakenOf(UUID courseId, DosingGate.Way way, Product product, LocalDate on, double ml) {}

    private static final int LOOK_BACK_DAYS = 365;

    private final Courses courses;
    private final DosesTaken doses;
    private final Products products;
    private final CourseStore store;

    Exposures(Courses courses, DosesTaken doses, Products products, CourseStore store) {
        this.courses = courses;
        this.doses = doses;
        this.products = products;
        this.store = store;
    }

    List<TakenOf> history(UUID personId, LocalDate until) {
        List<DosesTaken.OfPerson> taken = doses.ofPerson(personId, until.minusDays(LOOK_BACK_DAYS));
        Map<UUID, Product> contents = products.contents(
                taken.stream().map(DosesTaken.OfPerson::lotId).distinct().toList());
        return taken.stream()
                .map(t -> new TakenOf(t.courseId(), t.way(), contents.get(t.lotId()), t.onDay(), t.ml()))
                .toList();
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
    List<Taking> others(CourseService.CourseRequest r, LocalDate on, List<TakenOf> history) {
        List<Taking> all = new ArrayList<>();
        Set<UUID> counted = new HashSet<>(Set.of(r.id()));
        for (CourseEntity other : courses.findAllByPersonIdAndStatusAndLastDayGreaterThanEqual(
                r.personId(), CourseEntity.Status.RUNNING, on)) {
            if (other.way != DosingGate.Way.MOUTH || !counted.add(other.id)) {
                continue;
            }
            double taken = takenOn(history, other.id, on);
            double most = store.read(other).plan().days().stream()
                    .mapToDouble(d -> d.perDoseMl() * d.doses())
                    .max()
                    .orElse(0);
            addTaking(all, products.of(other.lotId), Math.max(most, taken));
        }
        history.stream()
                .filter(t -> t.way() == DosingGate.Way.MOUTH && t.on().equals(on) && !counted.contains(t.courseId()))
                .forEach(t -> addTaking(all, t.product(), t.ml()));
        return all;
    }

    private static double takenOn(List<TakenOf> history, UUID course, LocalDate on) {
        return history.stream()
                .filter(t -> t.courseId().equals(course) && t.on().equals(on))
                .mapToDouble(TakenOf::ml)
                .sum();
    }

    private static void addTaking(List<Taking> all, Product product, double ml) {
        Interval equivalent = product.driedEquivalentGPerMl();
        for (Product.Herb herb : product.herbs()) {
            all.add(new Taking(
                    herb.taxon(),
                    herb.part(),
                    equivalent == null ? null : (Double) (ml * equivalent.high() * herb.fraction())));
        }
    }
}
