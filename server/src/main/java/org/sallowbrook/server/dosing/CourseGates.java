package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.Exposure;
import org.sallowbrook.core.dosing.LongRun;
import org.sallowbrook.core.dosing.Taking;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.shelf.Products;
import org.springframework.stereotype.Component;

/** Every gate of a course or a dose, with the card, the person, the product and all else that is taken. */
@Component
class CourseGates {

    private final Products products;
    private final PeopleService people;
    private final PlantTrials trials;
    private final Exposures exposures;

    CourseGates(Products products, PeopleService people, PlantTrials trials, Exposures exposures) {
        this.products = products;
        this.people = people;
        this.trials = trials;
        this.exposures = exposures;
    }

    /** What the person takes by mouth beside this course. */
    List<Taking> besides(CourseService.CourseRequest r, LocalDate on) {
        return exposures.others(r, on, exposures.history(r.personId(), on));
    }

    /** Of a whole course: that it does not outlast its product as well. */
    List<Finding> whole(CourseService.CourseRequest r, Course.Plan plan, LocalDate on) {
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
            CourseService.CourseRequest r,
            Course.Plan plan,
            LocalDate on,
            @Nullable LocalDate lastDay,
            double leastPerDose,
            double leastPerDay) {
        Product product = products.of(r.lotId());
        Person person = people.person(r.personId());
        List<Exposures.TakenOf> history = exposures.history(r.personId(), on);
        Set<String> herbs = product.herbs().stream().map(h -> h.taxon().id()).collect(Collectors.toSet());
        double mostPerDose = Math.max(
                leastPerDose,
                plan.days().stream().mapToDouble(Course.Day::perDoseMl).max().orElse(0));
        double mostPerDay = Math.max(
                leastPerDay,
                plan.days().stream()
                        .mapToDouble(d -> d.perDoseMl() * d.doses())
                        .max()
                        .orElse(0));
        List<PlantTrial> tried = trials.findAllByPersonId(r.personId());
        Set<String> well =
                tried.stream().filter(t -> t.well).map(t -> t.taxonId).collect(Collectors.toSet());
        Set<String> badly =
                tried.stream().filter(t -> !t.well).map(t -> t.taxonId).collect(Collectors.toSet());
        boolean trialDone =
                product.herbs().stream().allMatch(h -> well.contains(h.taxon().id()));
        List<Finding> findings = DosingGate.check(
                product,
                person,
                new DosingGate.Intake(
                        r.way(),
                        r.use(),
                        mostPerDose,
                        mostPerDay,
                        r.courseDays(),
                        exposures.others(r, on, history),
                        trialDone,
                        false,
                        r.skin(),
                        Exposure.daysBefore(
                                history.stream()
                                        .filter(t -> t.way() == r.way()
                                                && !t.courseId().equals(r.id())
                                                && t.product().herbs().stream()
                                                        .anyMatch(h -> herbs.contains(
                                                                h.taxon().id())))
                                        .map(Exposures.TakenOf::on)
                                        .toList(),
                                r.startOn()),
                        lastDay,
                        Exposures.inducerLastOn(history)),
                on);
        findings.addAll(LongRun.check(
                plants(product),
                r.way() == DosingGate.Way.MOUTH,
                r.startOn(),
                r.courseDays(),
                r.way() == DosingGate.Way.MOUTH ? alcoholG(product, mostPerDay) : 0,
                history.stream()
                        .filter(t -> !t.courseId().equals(r.id()))
                        .map(t -> new LongRun.Used(
                                t.on(),
                                t.way() == DosingGate.Way.MOUTH,
                                plants(t.product()),
                                t.way() == DosingGate.Way.MOUTH ? alcoholG(t.product(), t.ml()) : 0))
                        .toList()));
        for (Product.Herb herb : product.herbs()) {
            if (badly.contains(herb.taxon().id())) {
                findings.add(Finding.stop(
                        "REACTED",
                        person.name() + " reacted badly to " + herb.taxon().commonName() + " in a trial.",
                        "Do not take it; ask a doctor before trying again."));
            }
        }
        return findings;
    }

    private static Set<Taxon> plants(Product product) {
        return product.herbs().stream().map(Product.Herb::taxon).collect(Collectors.toSet());
    }

    private static double alcoholG(Product product, double ml) {
        return ml * product.strength().fraction() * Dose.ETHANOL_G_PER_ML;
    }
}
