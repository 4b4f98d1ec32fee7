package org.sallowbrook.server.dosing;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
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

    record ProductInput(
            Range driedEquivalentGPerMl,
            @PositiveOrZero @DecimalMax("97") Double strengthPercent,
            @Positive @Nullable Double dropsPerMl,
            @Positive @Nullable Double densityGPerMl,
            @Positive @Nullable Double teaspoonMl,
            @Positive @Nullable Double cupMl) {}

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
                        p.cupMl()),
                request.perDose().amount(),
                request.perDose().unit(),
                request.timesPerDay(),
                card == null ? null : Prefixed.at("card", () -> Interval.of(card.lowGPerDay(), card.highGPerDay())),
                new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm())));
        return new DoseAnswer(
                true,
                CoreVersion.CURRENT,
                Range.of(r.mlPerDose()),
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
                Answer.ungated(r.findings()),
                r.because());
    }

    record CourseCalculatorRequest(
            LocalDate startOn,
            @Positive Double perDoseMl,
            @Positive Integer timesPerDay,
            DosingService.PatternRequest pattern,
            DosingService.@Nullable RampRequest ramp,
            DosingService.@Nullable TaperRequest taper,
            @Positive Integer courseDays,
            DosingService.@Nullable TimingRequest timing) {}

    record CourseAnswer(
            Boolean feasible,
            String coreVersion,
            List<DosingService.DayView> days,
            Double totalMl,
            LocalDate lastDay,
            List<Finding> findings) {}

    @PostMapping("/dose/course")
    CourseAnswer course(@RequestBody CourseCalculatorRequest r) {
        Course.Plan plan = Course.plan(new Course.Request(
                r.startOn(),
                r.perDoseMl(),
                r.timesPerDay(),
                r.pattern().toCore(),
                DosingService.RampRequest.toCore(r.ramp()),
                DosingService.TaperRequest.toCore(r.taper()),
                r.courseDays()));
        List<Finding> findings = r.pattern().kind() == Course.Kind.AS_NEEDED
                ? List.of(Finding.note(
                        "AS_NEEDED_MOST",
                        "Taken as needed: the plan shows the most that may be taken.",
                        "Tick off what was really taken."))
                : List.of();
        return new CourseAnswer(
                true,
                CoreVersion.CURRENT,
                plan.days().stream()
                        .map(d -> new DosingService.DayView(d.date(), d.doses(), d.perDoseMl()))
                        .toList(),
                plan.totalMl(),
                plan.lastDay(),
                Answer.ungated(findings));
    }
}
