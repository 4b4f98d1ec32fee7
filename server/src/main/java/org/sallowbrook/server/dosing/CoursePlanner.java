package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.DangerSigns;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DoseUnits;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.Expecting;
import org.sallowbrook.core.dosing.Proposal;
import org.sallowbrook.core.dosing.Supply;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a course would be: its dates, its sums, what the card proposes, what every gate says. Keeps nothing. */
@Service
@Transactional(readOnly = true)
public class CoursePlanner {

    public record DayView(LocalDate date, Integer doses, Double perDoseMl) {}

    /**
     * @param perDoseMl null where none is proposed; the words say why
     * @param startAt what is set until somebody sets something else: what is proposed, or a small one
     * @param counted so much of it in words, as it is counted out: "0.75 teaspoons (2.25 g)"; empty where none is proposed
     * @param days as long as product and card allow of the dose that was asked about
     */
    public record ProposalView(
            @Nullable Double perDoseMl, Double startAt, String counted, String words, Integer days) {}

    /** @param each one of it in the product's unit */
    public record DoseUnitView(Dose.Unit unit, Double each, String words) {}

    /** What a child's rule makes of the card's dose for grown-ups. */
    public record ChildRuleView(
            String rule,
            @Nullable Double fraction,
            @Nullable Double ml) {}

    /**
     * @param fromAgeYears from which the card gives a dose for the use; null where it gives none
     * @param adultMl a grown-up's dose, that the rules go by; null where there is none
     */
    public record ChildView(
            @Nullable Integer fromAgeYears, @Nullable Double adultMl, List<ChildRuleView> rules, String school) {}

    /** What is known of one herb in one third of a pregnancy. */
    public record ExpectingView(
            String taxonId,
            String commonName,
            Integer trimester,
            Taxon.CautionStatus status,
            @Nullable Severity severity,
            String effect,
            @Nullable String source) {}

    /**
     * @param driedGPerDay on a full day, all doses of this product
     * @param child null for a grown-up
     * @param expecting empty for whoever is not
     */
    public record CoursePlanView(
            List<DayView> days,
            Double totalMl,
            String unit,
            LocalDate lastDay,
            Double bottleMl,
            @Nullable LocalDate runsOutOn,
            @Nullable Range driedGPerDay,
            Double alcoholGPerDose,
            ProposalView proposal,
            List<DoseUnitView> units,
            Dose.Unit usualUnit,
            String stands,
            List<Finding> findings,
            List<String> because,
            List<String> dangerSigns,
            List<String> doctorToday,
            @Nullable ChildView child,
            List<ExpectingView> expecting) {}

    private static final int GROWN_UP = 18;

    private final PeopleService people;
    private final SchoolService schools;
    private final ShelfService shelf;
    private final Products products;
    private final CourseGates gates;
    private final CourseUnits units;

    CoursePlanner(
            PeopleService people,
            SchoolService schools,
            ShelfService shelf,
            Products products,
            CourseGates gates,
            CourseUnits units) {
        this.people = people;
        this.schools = schools;
        this.shelf = shelf;
        this.products = products;
        this.gates = gates;
        this.units = units;
    }

    public CoursePlanView check(CourseRequest request) {
        request.check();
        Course.Plan plan = request.plan();
        LotView lot = finished(request.lotId());
        Product product = products.of(request.lotId());
        Person person = people.person(request.personId());
        Dose.Result dose = dose(request, product, person, lot);
        Supply.Result supply = Supply.of(plan, lot.remaining(), null, null);
        return new CoursePlanView(
                days(plan),
                plan.totalMl(),
                lot.unit(),
                plan.lastDay(),
                lot.remaining(),
                supply.runsOutOn(),
                product.driedEquivalentGPerMl() == null ? null : Range.of(dose.driedGPerDay()),
                dose.alcoholGPerDose(),
                proposal(request, product, person, lot),
                units.of(lot, request.way()).stream()
                        .map(u -> new DoseUnitView(u.unit(), u.each(), u.words()))
                        .toList(),
                DoseUnits.usual(lot.form(), request.way(), request.perDoseMl()),
                product.driedEquivalentGPerMl() == null || request.way() != DosingGate.Way.MOUTH
                        ? ""
                        : Proposal.stands(
                                product,
                                person,
                                request.use(),
                                mostPerDay(plan),
                                gates.besides(request, people.today())),
                gates.whole(request, plan, people.today()),
                because(product, dose, plan, supply, lot.unit()),
                DangerSigns.NOW,
                DangerSigns.TODAY,
                child(request, product, person),
                person.pregnant() ? expecting(product) : List.of());
    }

    private @Nullable ChildView child(CourseRequest request, Product product, Person person) {
        if (person.ageYears() >= GROWN_UP || request.way() != DosingGate.Way.MOUTH) {
            return null;
        }
        Proposal.Adult adult = Proposal.adult(product, request.use(), request.timesPerDay(), schools.chosen());
        return new ChildView(
                adult.fromAgeYears(),
                adult.perDoseMl(),
                adult.perDoseMl() == null
                        ? List.of()
                        : Dose.sideBySide(
                                        adult.perDoseMl(),
                                        new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm()))
                                .stream()
                                .map(r -> new ChildRuleView(r.rule(), r.fraction(), r.ml()))
                                .toList(),
                schools.chosen().of(Question.CHILD_DOSE).words());
    }

    private static List<ExpectingView> expecting(Product product) {
        return Expecting.of(product).stream()
                .map(k -> new ExpectingView(
                        k.taxon().id(),
                        k.taxon().commonName(),
                        k.trimester(),
                        k.status(),
                        k.severity(),
                        k.effect(),
                        k.source() == null
                                ? null
                                : k.source().title() + ", " + k.source().year()))
                .toList();
    }

    private static double mostPerDay(Course.Plan plan) {
        return plan.days().stream()
                .mapToDouble(d -> d.perDoseMl() * d.doses())
                .max()
                .orElse(0);
    }

    private ProposalView proposal(CourseRequest request, Product product, Person person, LotView lot) {
        int days = Proposal.days(
                product,
                person,
                request.use(),
                request.startOn(),
                lot.remaining(),
                request.perDoseMl() * request.timesPerDay());
        Proposal.Result p = request.way() == DosingGate.Way.MOUTH
                ? Proposal.of(product, person, request.use(), request.timesPerDay(), schools.chosen())
                : Proposal.onTheSkin(lot.form(), lot.amount());
        double amount = p.perDoseMl() == null ? request.perDoseMl() : p.perDoseMl();
        Dose.Unit usual = DoseUnits.usual(lot.form(), request.way(), amount);
        DoseUnits.Offered in = units.of(lot, request.way()).stream()
                .filter(u -> u.unit() == usual)
                .findFirst()
                .orElseThrow();
        if (p.perDoseMl() == null) {
            return new ProposalView(null, DoseUnits.start(in), "", p.words(), days);
        }
        double counted = DoseUnits.countable(amount, in, p.cardPerDose());
        String own = Words.figure(counted) + " " + lot.unit();
        String said = DoseUnits.words(counted, in);
        return new ProposalView(counted, counted, said.equals(own) ? own : said + " (" + own + ")", p.words(), days);
    }

    private static List<String> because(
            Product product, Dose.Result dose, Course.Plan plan, Supply.Result supply, String unit) {
        List<String> lines = new ArrayList<>();
        if (product.driedEquivalentGPerMl() != null) {
            lines.addAll(dose.because());
        }
        lines.addAll(plan.because(unit));
        if (unit.equals(Unit.ML.symbol())) {
            lines.addAll(supply.because());
        }
        return lines;
    }

    LotView finished(UUID lotId) {
        LotView lot = shelf.lot(lotId);
        Checks.begin()
                .that(lot.stage() == Stage.FILLED, "lotId", "must name a bottle, flask or tin")
                .done();
        return lot;
    }

    private Dose.Result dose(CourseRequest r, Product product, Person person, LotView lot) {
        Interval equivalent =
                product.driedEquivalentGPerMl() == null ? Interval.exactly(0) : product.driedEquivalentGPerMl();
        boolean weighed = lot.form().unit() == Unit.G;
        return Dose.reckon(new Dose.Request(
                weighed ? Dose.Measured.ofGrams(equivalent) : Dose.Measured.plain(equivalent, product.strength()),
                r.perDoseMl(),
                weighed ? Dose.Unit.G : Dose.Unit.ML,
                r.timesPerDay(),
                null,
                new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm())));
    }

    static List<DayView> days(Course.Plan plan) {
        return plan.days().stream()
                .map(d -> new DayView(d.date(), d.doses(), d.perDoseMl()))
                .toList();
    }
}
