package org.sallowbrook.server.dosing;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.OnOff;
import org.sallowbrook.core.dosing.Phases;
import org.sallowbrook.core.dosing.Supply;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/calculators")
class DoseCalculators {

    private final SchoolService schools;

    DoseCalculators(SchoolService schools) {
        this.schools = schools;
    }

    record ProductInput(
            Range driedEquivalentGPerMl,
            @PositiveOrZero @DecimalMax("97") Double strengthPercent,
            @Positive @Nullable Double dropsPerMl,
            @Positive @Nullable Double densityGPerMl,
            @Positive @Nullable Double teaspoonMl,
            @Positive @Nullable Double cupMl,
            @Positive @Nullable Double squirtMl) {}

    record AmountInput(@Positive Double amount, Dose.Unit unit) {}

    record CardInput(
            @PositiveOrZero Double lowGPerDay,
            @PositiveOrZero Double highGPerDay) {}

    record PersonInput(
            @PositiveOrZero @DecimalMax("130") Double ageYears,
            @Positive @Nullable Double weightKg,
            @Positive @Nullable Double heightCm) {}

    record DoseCalculatorRequest(
            @Valid ProductInput product,
            @Valid AmountInput perDose,
            @Positive Integer timesPerDay,
            @Valid @Nullable CardInput card,
            @Valid PersonInput person) {}

    record ChildRulesAnswer(
            @Nullable Double clark,
            @Nullable Double young,
            @Nullable Double cowling,
            @Nullable Double surface) {}

    /** @param childMl by the household's school, of the least of a dose, rounded down; null where it refers or nothing may be given */
    record DoseAnswer(
            Boolean feasible,
            String coreVersion,
            Range mlPerDose,
            Range driedGPerDose,
            Range driedGPerDay,
            Double alcoholGPerDose,
            @Nullable Double alcoholMgPerKg,
            Dose.WithinCard withinCard,
            ChildRulesAnswer childRules,
            @Nullable Double childMl,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/dose")
    DoseAnswer dose(@RequestBody DoseCalculatorRequest request) {
        ProductInput p = request.product();
        CardInput card = request.card();
        PersonInput person = request.person();
        Dose.Result r = Dose.reckon(new Dose.Request(
                new Dose.Measured(
                        Prefixed.at("product.driedEquivalentGPerMl", p.driedEquivalentGPerMl()::interval),
                        Strength.ofPercent(p.strengthPercent()),
                        p.dropsPerMl(),
                        p.densityGPerMl(),
                        p.teaspoonMl(),
                        p.cupMl(),
                        p.squirtMl()),
                request.perDose().amount(),
                request.perDose().unit(),
                request.timesPerDay(),
                card == null ? null : Prefixed.at("card", () -> Interval.of(card.lowGPerDay(), card.highGPerDay())),
                new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm())));
        return new DoseAnswer(
                true,
                CoreVersion.CURRENT,
                Range.of(r.perDose()),
                Range.of(r.driedGPerDose()),
                Range.of(r.driedGPerDay()),
                r.alcoholGPerDose(),
                r.alcoholMgPerKg(),
                r.withinCard(),
                new ChildRulesAnswer(
                        r.childRules().clark(),
                        r.childRules().young(),
                        r.childRules().cowling(),
                        r.childRules().surface()),
                Finding.any(r.findings(), Severity.STOP)
                        ? null
                        : Dose.forChild(
                                r.perDose().low(),
                                r.childRules(),
                                schools.chosen().of(Question.CHILD_DOSE)),
                Answer.ungated(r.findings()),
                r.because());
    }

    record CourseCalculatorRequest(
            LocalDate startOn,
            @Positive Double perDoseMl,
            @Positive Integer timesPerDay,
            PatternRequest pattern,
            CourseRequest.@Nullable RampRequest ramp,
            CourseRequest.@Nullable TaperRequest taper,
            @Positive Integer courseDays,
            CourseRequest.@Nullable TimingRequest timing,
            @PositiveOrZero @Nullable Double onHandMl,
            @Positive @Nullable Double bottleMl,
            @Positive @Nullable Integer openedLifeDays) {}

    record CalculatedDay(LocalDate date, Integer doses, Double perDoseMl) {
        static List<CalculatedDay> of(Course.Plan plan) {
            return plan.days().stream()
                    .map(d -> new CalculatedDay(d.date(), d.doses(), d.perDose().value()))
                    .toList();
        }
    }

    record CourseAnswer(
            Boolean feasible,
            String coreVersion,
            List<CalculatedDay> days,
            Double totalMl,
            LocalDate lastDay,
            Double trialMl,
            @Nullable Integer bottles,
            @Nullable LocalDate runsOutOn,
            Double usePerDayMl,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/dose/course")
    CourseAnswer course(@RequestBody CourseCalculatorRequest r) {
        Course.Plan plan = Course.plan(new Course.Request(
                r.startOn(),
                ml(r.perDoseMl()),
                r.timesPerDay(),
                r.pattern().toCore(),
                CourseRequest.RampRequest.toCore(r.ramp()),
                CourseRequest.TaperRequest.toCore(r.taper()),
                r.courseDays()));
        List<Finding> findings = new ArrayList<>();
        if (r.pattern() instanceof PatternRequest.AsNeededPattern) {
            findings.add(Finding.note(
                    "AS_NEEDED_MOST",
                    "Taken as needed: the plan shows the most that may be taken.",
                    "Keep to the least interval, and tick off what was really taken."));
        }
        Supply.Result supply = Supply.of(
                plan,
                r.onHandMl() == null ? plan.total() : ml(r.onHandMl()),
                r.bottleMl() == null ? null : Prefixed.at("bottleMl", () -> ml(r.bottleMl())),
                r.openedLifeDays());
        findings.addAll(supply.findings());
        List<String> because = new ArrayList<>(plan.because());
        because.addAll(supply.because());
        return new CourseAnswer(
                true,
                CoreVersion.CURRENT,
                CalculatedDay.of(plan),
                plan.total().value(),
                plan.lastDay(),
                Course.trial(ml(r.perDoseMl())).value(),
                supply.bottles(),
                supply.runsOutOn(),
                supply.usePerDay().value(),
                Answer.ungated(findings),
                because);
    }

    record PhaseInput(
            String product,
            @Positive Double perDoseMl,
            @Positive Integer timesPerDay,
            PatternRequest pattern,
            @Positive Integer days) {}

    record PhasesRequest(LocalDate startOn, List<@Valid PhaseInput> phases) {}

    record PhaseAnswer(
            String product, LocalDate firstDay, LocalDate lastDay, Double totalMl, List<CalculatedDay> days) {}

    record PhasesAnswer(
            Boolean feasible,
            String coreVersion,
            List<PhaseAnswer> phases,
            Map<String, Double> totalMlByProduct,
            LocalDate lastDay,
            List<Finding> findings) {}

    /** A course whose formula changes: first weeks, later weeks. */
    @PostMapping("/dose/phases")
    PhasesAnswer phases(@RequestBody PhasesRequest r) {
        Phases.Plan plan = Phases.plan(
                r.startOn(),
                Prefixed.each(
                        "phases",
                        r.phases(),
                        (i, p) -> new Phases.Phase(
                                p.product(),
                                ml(p.perDoseMl()),
                                p.timesPerDay(),
                                p.pattern().toCore(),
                                p.days())));
        return new PhasesAnswer(
                true,
                CoreVersion.CURRENT,
                plan.phases().stream()
                        .map(d -> new PhaseAnswer(
                                d.product(),
                                d.plan().days().get(0).date(),
                                d.plan().lastDay(),
                                d.plan().total().value(),
                                CalculatedDay.of(d.plan())))
                        .toList(),
                totals(plan),
                plan.lastDay(),
                Answer.ungated(List.of()));
    }

    private static Map<String, Double> totals(Phases.Plan plan) {
        Map<String, Double> totals = new LinkedHashMap<>();
        plan.totalByProduct().forEach((product, total) -> totals.put(product, total.value()));
        return totals;
    }

    private static Amount ml(double value) {
        return Amount.of(value, Unit.ML);
    }

    record ScoredDayInput(
            Boolean taken, @PositiveOrZero @DecimalMax("10") Double score) {}

    record OnOffRequest(List<@Valid ScoredDayInput> days) {}

    record OnOffAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Double difference,
            @Nullable Double p,
            String sentence,
            List<Finding> findings,
            List<String> because) {}

    /** Whether days with a remedy were better than days without. */
    @PostMapping("/dose/on-off")
    OnOffAnswer onOff(@RequestBody OnOffRequest r) {
        OnOff.Result result =
                OnOff.compare(Prefixed.each("days", r.days(), (i, d) -> new OnOff.Day(d.taken(), d.score())));
        return new OnOffAnswer(
                true,
                CoreVersion.CURRENT,
                result.difference(),
                result.p(),
                result.sentence(),
                Answer.ungated(List.of()),
                result.because());
    }
}
