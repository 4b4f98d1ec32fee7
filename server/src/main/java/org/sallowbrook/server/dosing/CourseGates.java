package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Direct;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.Exposure;
import org.sallowbrook.core.dosing.LongRun;
import org.sallowbrook.core.dosing.Taking;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.shelf.Products;
import org.springframework.stereotype.Component;

/** Every gate of a course or a dose, with the card, the person, the product and all else that is taken. */
@Component
class CourseGates {

    /** The longest that anything here lingers. */
    private static final int LINGERS_DAYS = 28;

    private final Products products;
    private final PeopleService people;
    private final Tolerance tolerance;
    private final Exposures exposures;
    private final AnswerService answers;

    CourseGates(
            Products products, PeopleService people, Tolerance tolerance, Exposures exposures, AnswerService answers) {
        this.answers = answers;
        this.products = products;
        this.people = people;
        this.tolerance = tolerance;
        this.exposures = exposures;
    }

    /** What the person takes by mouth beside this course. */
    List<Taking> besides(CourseRequest r, LocalDate on) {
        return exposures.others(r.personId(), r.id(), on, exposures.history(r.personId(), on));
    }

    /** Of a whole course: that it does not outlast its product as well. */
    List<Finding> whole(CourseRequest r, Course.Plan plan, LocalDate on) {
        return findings(r, plan, on, plan.lastDay(), 0, 0);
    }

    /**
     * Every gate, with what the person takes besides.
     *
     * @param lastDay until when it must keep; null when only a day is judged
     * @param leastPerDose what is about to be taken, where it may be more than planned
     * @param leastPerDay with what was taken that day
     */
    List<Finding> findings(
            CourseRequest r,
            Course.Plan plan,
            LocalDate on,
            @Nullable LocalDate lastDay,
            double leastPerDose,
            double leastPerDay) {
        double mostPerDose = Math.max(leastPerDose, plan.mostPerDose().value());
        double mostPerDay = Math.max(leastPerDay, plan.mostPerDay().value());
        Product product = Direct.asTea(products.of(r.lotId()));
        List<Finding> findings = new ArrayList<>(judge(
                new Asked(
                        r.id(),
                        r.personId(),
                        product,
                        r.way(),
                        r.use(),
                        mostPerDose,
                        mostPerDay,
                        r.startOn(),
                        r.courseDays(),
                        r.skin(),
                        lastDay,
                        false),
                on,
                (person, intake) -> DosingGate.check(product, person, intake, on)));
        findings.addAll(products.takenBack(r.lotId()));
        return findings;
    }

    /**
     * Something that is to be taken or put on.
     *
     * @param id of the course or the use itself, which does not count beside itself
     * @param mostPerDay in the product's unit
     * @param forTrial whether it is the first small trial
     */
    record Asked(
            UUID id,
            UUID personId,
            Product product,
            DosingGate.Way way,
            @Nullable String use,
            double mostPerDose,
            double mostPerDay,
            LocalDate start,
            int days,
            DosingGate.@Nullable Skin skin,
            @Nullable LocalDate lastDay,
            boolean forTrial) {}

    /** The gates of its kind, then what the person bore before and what lasts over the years. */
    List<Finding> judge(Asked a, LocalDate on, BiFunction<Person, DosingGate.Intake, List<Finding>> gates) {
        Person person = people.person(a.personId());
        List<Exposures.TakenOf> history = exposures.history(a.personId(), on);
        // What comes before it by plan counts as well: phases one after another are one long run.
        List<Exposures.TakenOf> before = new ArrayList<>(history);
        if (a.start().isAfter(on)) {
            before.addAll(exposures.planned(a.personId(), a.id(), on));
        }
        Set<String> herbs =
                a.product().herbs().stream().map(h -> h.taxon().id()).collect(Collectors.toSet());
        List<Finding> findings = new ArrayList<>(gates.apply(
                person,
                new DosingGate.Intake(
                        a.way(),
                        a.use(),
                        a.mostPerDose(),
                        a.mostPerDay(),
                        a.days(),
                        exposures.others(a.personId(), a.id(), on, history),
                        tolerance.tried(a.personId(), a.product(), a.way(), history, on),
                        a.forTrial(),
                        a.skin(),
                        Exposure.daysBefore(
                                before.stream()
                                        .filter(t -> t.way() == a.way()
                                                && !t.courseId().equals(a.id())
                                                && t.product().herbs().stream()
                                                        .anyMatch(h -> herbs.contains(
                                                                h.taxon().id())))
                                        .map(Exposures.TakenOf::on)
                                        .toList(),
                                a.start()),
                        a.lastDay(),
                        Exposures.inducerLastOn(history),
                        answers.goWell(a.personId()))));
        boolean byMouth = a.way() == DosingGate.Way.MOUTH;
        // Once for each product, not for each day.
        Map<Product, Set<Taxon>> plants = new IdentityHashMap<>();
        findings.addAll(LongRun.check(
                plants(a.product()),
                byMouth,
                a.start(),
                a.days(),
                byMouth ? alcoholG(a.product(), a.mostPerDay()) : 0,
                before.stream()
                        .filter(t -> !t.courseId().equals(a.id()))
                        .map(t -> new LongRun.Used(
                                t.on(),
                                t.way() == DosingGate.Way.MOUTH,
                                plants.computeIfAbsent(t.product(), CourseGates::plants),
                                t.way() == DosingGate.Way.MOUTH && t.amount() != null
                                        ? alcoholG(t.product(), t.amount())
                                        : 0))
                        .toList()));
        findings.addAll(tolerance.check(a.personId(), person.name(), plants(a.product())));
        answers.against(a.personId(), herbs)
                .forEach(no -> findings.add(Finding.stop(
                        "PRESCRIBER_SAID_NO",
                        no.who + " said on " + Words.day(no.onDay) + " that it does not go with what " + person.name()
                                + " takes.",
                        "Do not take it; ask again if anything has changed.")));
        findings.addAll(tolerance.takenBack(a.personId(), plants(a.product())));
        return findings;
    }

    /** What was taken in the weeks before, judged by what is known of the person now. */
    List<Finding> takenBefore(UUID personId, LocalDate on) {
        List<Exposures.TakenOf> lately = exposures.history(personId, on).stream()
                .filter(t -> t.way() == DosingGate.Way.MOUTH && !t.on().isBefore(on.minusDays(LINGERS_DAYS)))
                .toList();
        return DosingGate.takenBefore(
                lately.stream().map(Exposures.TakenOf::product).distinct().toList(),
                people.person(personId),
                Exposures.inducerLastOn(lately),
                on);
    }

    private static Set<Taxon> plants(Product product) {
        return product.herbs().stream().map(Product.Herb::taxon).collect(Collectors.toUnmodifiableSet());
    }

    private static double alcoholG(Product product, double amount) {
        return amount * product.strength().fraction() * Dose.ETHANOL_G_PER_ML;
    }
}
