package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.DangerSigns;
import org.sallowbrook.core.dosing.Direct;
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
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
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

    public record DayView(LocalDate date, Integer doses, Double perDose) {}

    /**
     * @param perDose null where none is proposed; the words say why
     * @param startAt what is set until somebody sets something else: what is proposed, or a small one
     * @param counted so much of it in words, as it is counted out: "0.75 teaspoons (2.25 g)"; empty where none is proposed
     * @param days as long as product and card allow of the dose that was asked about
     */
    public record ProposalView(@Nullable Double perDose, Double startAt, String counted, String words, Integer days) {}

    /** @param each one of it in the product's unit */
    public record DoseUnitView(Dose.Unit unit, Double each, String words) {}

    /** What a child's rule makes of the card's dose for grown-ups. */
    public record ChildRuleView(
            String rule,
            @Nullable Double fraction,
            @Nullable Double perDose) {}

    /**
     * @param fromAgeYears from which the card gives a dose for the use; null where it gives none
     * @param adult a grown-up's dose, that the rules go by; null where there is none
     */
    public record ChildView(
            @Nullable Integer fromAgeYears, @Nullable Double adult, List<ChildRuleView> rules, String school) {}

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
     * @param perCup of dried herb, how much a cup is made with; null for what is not brewed as it is drunk
     * @param child null for a grown-up
     * @param expecting empty for whoever is not
     */
    public record CoursePlanView(
            List<DayView> days,
            Double total,
            String unit,
            LocalDate lastDay,
            Double onHand,
            @Nullable LocalDate runsOutOn,
            @Nullable Range driedGPerDay,
            Double alcoholGPerDose,
            ProposalView proposal,
            List<DoseUnitView> units,
            @Nullable Double perCup,
            Dose.Unit usualUnit,
            String stands,
            List<Finding> findings,
            List<String> because,
            List<String> dangerSigns,
            List<String> doctorToday,
            @Nullable ChildView child,
            List<ExpectingView> expecting) {}

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
        LotView lot = finished(request);
        Product product = Direct.asTea(products.of(request.lotId()));
        Person person = people.person(request.personId());
        Dose.Result dose = dose(request, product, person, lot);
        Proposal.Result proposed = request.way() == DosingGate.Way.MOUTH
                ? Proposal.of(product, person, request.use(), request.timesPerDay(), schools.chosen())
                : Proposal.onTheSkin(lot.form(), lot.amount());
        DoseUnits.Given given = units.given(
                lot,
                request.way(),
                byTheCup(lot, request.way())
                        ? DoseUnits.cup(product, units.kit(), request.perCup(), proposed.perDose())
                        : null);
        List<DoseUnits.Offered> offered = units.of(given);
        Supply.Result supply =
                Supply.of(plan, Amount.of(lot.remaining(), plan.total().unit()), null, null);
        return new CoursePlanView(
                days(plan),
                plan.total().value(),
                lot.unit(),
                plan.lastDay(),
                lot.remaining(),
                supply.runsOutOn(),
                product.driedGPerUnit() == null ? null : Range.of(dose.driedGPerDay()),
                dose.alcoholGPerDose(),
                proposal(request, proposed, product, person, lot, given, offered),
                offered.stream()
                        .map(u -> new DoseUnitView(u.unit(), u.each(), u.words()))
                        .toList(),
                byTheCup(lot, request.way()) ? in(Dose.Unit.CUP, offered).each() : null,
                DoseUnits.usual(given, request.perDose()),
                product.driedGPerUnit() == null || request.way() != DosingGate.Way.MOUTH
                        ? ""
                        : Proposal.stands(
                                product,
                                person,
                                request.use(),
                                plan.mostPerDay().value(),
                                gates.besides(request, people.today())),
                gates.whole(request, plan, people.today()),
                because(product, dose, plan, supply),
                DangerSigns.NOW,
                DangerSigns.TODAY,
                child(request, product, person),
                person.pregnant() ? expecting(product) : List.of());
    }

    private @Nullable ChildView child(CourseRequest request, Product product, Person person) {
        if (person.adult() || request.way() != DosingGate.Way.MOUTH) {
            return null;
        }
        Proposal.Adult adult = Proposal.adult(product, request.use(), request.timesPerDay(), schools.chosen());
        return new ChildView(
                adult.fromAgeYears(),
                adult.perDose(),
                adult.perDose() == null
                        ? List.of()
                        : Dose.sideBySide(
                                        adult.perDose(),
                                        new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm()))
                                .stream()
                                .map(r -> new ChildRuleView(r.rule(), r.fraction(), r.perDose()))
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

    private static DoseUnits.Offered in(Dose.Unit unit, List<DoseUnits.Offered> offered) {
        return offered.stream().filter(u -> u.unit() == unit).findFirst().orElseThrow();
    }

    private ProposalView proposal(
            CourseRequest request,
            Proposal.Result p,
            Product product,
            Person person,
            LotView lot,
            DoseUnits.Given given,
            List<DoseUnits.Offered> offered) {
        int days = Proposal.days(
                product,
                person,
                request.use(),
                request.startOn(),
                lot.remaining(),
                request.perDose() * request.timesPerDay());
        double amount = p.perDose() == null ? request.perDose() : p.perDose();
        Dose.Unit usual = DoseUnits.usual(given, amount);
        DoseUnits.Offered in = in(usual, offered);
        if (p.perDose() == null) {
            return new ProposalView(null, DoseUnits.start(in), "", p.words(), days);
        }
        double counted = DoseUnits.countable(amount, in, p.cardPerDose());
        String own = Words.figure(counted) + " " + lot.unit();
        String said = DoseUnits.words(counted, in);
        return new ProposalView(counted, counted, said.equals(own) ? own : said + " (" + own + ")", p.words(), days);
    }

    private static List<String> because(Product product, Dose.Result dose, Course.Plan plan, Supply.Result supply) {
        List<String> lines = new ArrayList<>();
        if (product.driedGPerUnit() != null) {
            lines.addAll(dose.because());
        }
        lines.addAll(plan.because());
        lines.addAll(supply.because());
        return lines;
    }

    private static boolean isJarOfHerb(LotView lot) {
        return lot.stage() == Stage.STOCK && lot.form() == LotForm.HERB;
    }

    /** Whether a tea of it is made cup by cup, as it is drunk. */
    static boolean byTheCup(LotView lot, DosingGate.Way way) {
        return way == DosingGate.Way.MOUTH && (lot.form() == LotForm.HERB || lot.form() == LotForm.TEA_MIXTURE);
    }

    LotView finished(CourseRequest request) {
        LotView lot = shelf.lot(request.lotId());
        Checks.begin()
                .that(
                        lot.stage() == Stage.FILLED || isJarOfHerb(lot),
                        "lotId",
                        "must name a bottle, flask or tin, or a jar of dried herb for tea")
                .that(
                        !isJarOfHerb(lot) || request.way() == DosingGate.Way.MOUTH,
                        "way",
                        "is by mouth for a jar of herb, as tea; for the skin make a wash, a poultice or an oil of it first")
                .that(
                        request.perCup() == null || byTheCup(lot, request.way()),
                        "perCup",
                        "is for dried herb that is drunk as tea")
                .that(
                        lot.unit().equals(request.unit()),
                        "unit",
                        "must be " + lot.unit() + ", in which " + lot.name() + " is kept")
                .done();
        return lot;
    }

    private Dose.Result dose(CourseRequest r, Product product, Person person, LotView lot) {
        Interval equivalent = product.driedGPerUnit() == null ? Interval.exactly(0) : product.driedGPerUnit();
        boolean weighed = lot.form().unit() == Unit.G;
        return Dose.reckon(new Dose.Request(
                weighed ? Dose.Measured.ofGrams(equivalent) : Dose.Measured.plain(equivalent, product.strength()),
                r.perDose(),
                weighed ? Dose.Unit.G : Dose.Unit.ML,
                r.timesPerDay(),
                null,
                new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm())));
    }

    static List<DayView> days(Course.Plan plan) {
        return plan.days().stream()
                .map(d -> new DayView(d.date(), d.doses(), d.perDose().value()))
                .toList();
    }
}
