package org.sallowbrook.server.making.tea;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.tea.Freezing;
import org.sallowbrook.core.making.tea.MethodChoice;
import org.sallowbrook.core.making.tea.Reduction;
import org.sallowbrook.core.making.tea.Syrup;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.PoisonWords;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Water preparations: teas, boiling down, syrup, ice cubes. */
@RestController
@RequestMapping("/api/calculators")
class WaterCalculators {

    private final SchoolService schools;

    WaterCalculators(SchoolService schools) {
        this.schools = schools;
    }

    record MeasureInput(
            @Positive Double amount,
            Tea.Unit unit,
            @Positive @Nullable Double gPerUnit) {}

    record TeaHerbInput(
            String name,
            @Nullable String form,
            @Valid @Nullable MeasureInput measure,
            @Positive @Nullable Double massG,
            @Positive @Nullable Double bulkDensityGPerMl,
            @Nullable Range bulkDensityRange,
            Tea.@Nullable Method method,
            @PositiveOrZero @Nullable Double minutes,
            MethodChoice.@Nullable Cut cut,
            @Nullable Set<Taxon.Constituent> constituents) {
        Tea.Herb toCore() {
            Checks.begin()
                    .that(
                            bulkDensityGPerMl == null || bulkDensityRange == null,
                            "bulkDensityRange",
                            "and bulkDensityGPerMl must not both be given")
                    .done();
            Interval bulk = bulkDensityRange != null
                    ? Prefixed.at("bulkDensityRange", bulkDensityRange::interval)
                    : bulkDensityGPerMl == null ? null : Interval.exactly(bulkDensityGPerMl);
            return new Tea.Herb(
                    name,
                    form,
                    cut == null ? MethodChoice.Cut.CUT : cut,
                    constituents == null ? Set.of() : constituents,
                    measure == null ? null : new Tea.Measure(measure.amount(), measure.unit(), measure.gPerUnit()),
                    massG,
                    bulk,
                    method,
                    minutes);
        }
    }

    record TeaRequest(
            @Positive Double wantedMl,
            @Positive @Nullable Double strengthGPerL,
            List<@Valid TeaHerbInput> herbs,
            @Nullable String liquid,
            @PositiveOrZero @Nullable Double boilOffMlPerMin,
            Tea.@Nullable Purpose purpose,
            @Nullable LocalDateTime keepsFrom) {}

    record TeaHerbAnswer(
            String name,
            Double massG,
            Tea.Method method,
            Double minutes,
            @Nullable Double teaspoons,
            Range massRangeG,
            @Nullable Range teaspoonRange) {
        static TeaHerbAnswer of(Tea.HerbPlan h) {
            return new TeaHerbAnswer(
                    h.name(),
                    h.massG(),
                    h.method(),
                    h.minutes(),
                    h.teaspoons() == null ? null : (Double) h.teaspoons().mid(),
                    Range.of(h.massRangeG()),
                    h.teaspoons() == null ? null : Range.of(h.teaspoons()));
        }
    }

    record TimelineAnswer(Double minute, String action, String herb) {}

    record KeepsAnswer(LocalDateTime inTheRoomUntil, LocalDateTime coldUntil) {}

    /** @param keeps the shortest of the methods in the pot, when it is told since when the time runs */
    record TeaAnswer(
            Boolean feasible,
            String coreVersion,
            Double waterMl,
            Range waterRangeMl,
            List<TeaHerbAnswer> herbs,
            List<TimelineAnswer> timeline,
            Double ready,
            @Nullable KeepsAnswer keeps,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/tea")
    TeaAnswer tea(@RequestBody TeaRequest request) {
        List<Tea.Herb> herbs = Prefixed.each("herbs", request.herbs(), (i, h) -> h.toCore());
        Tea.Result r = Tea.plan(new Tea.Recipe(
                request.wantedMl(),
                request.strengthGPerL(),
                herbs,
                request.liquid() == null ? "water" : PoisonWords.checked(LotForm.SPIRIT, "liquid", request.liquid()),
                request.boilOffMlPerMin(),
                request.purpose() == null ? Tea.Purpose.DRINK : request.purpose(),
                schools.chosen()));
        Tea.Plan p = r.plan();
        return new TeaAnswer(
                true,
                CoreVersion.CURRENT,
                p.waterMl(),
                Range.of(p.waterRangeMl()),
                p.herbs().stream().map(TeaHerbAnswer::of).toList(),
                p.timeline().stream()
                        .map(s -> new TimelineAnswer(s.minute(), s.action(), s.herb()))
                        .toList(),
                p.readyMinute(),
                keeps(p, request.keepsFrom()),
                Answer.ungated(r.findings()),
                r.because());
    }

    private static @Nullable KeepsAnswer keeps(Tea.Plan plan, @Nullable LocalDateTime from) {
        if (from == null) {
            return null;
        }
        List<Tea.Keeps> each =
                plan.herbs().stream().map(h -> Tea.keeps(h.method(), from)).toList();
        return new KeepsAnswer(
                Collections.min(each.stream().map(Tea.Keeps::inTheRoomUntil).toList()),
                Collections.min(each.stream().map(Tea.Keeps::coldUntil).toList()));
    }

    record ReadingInput(
            @PositiveOrZero Double minute,
            @Positive @Nullable Double massG,
            @Positive @Nullable Double volumeMl) {}

    record ReductionRequest(
            List<@Valid ReadingInput> readings,
            @Positive @Nullable Double targetMl,
            @Positive @Nullable Double targetG) {}

    record LeftAnswer(Double low, Double likely, Double high) {}

    record ReductionAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable LeftAnswer minutesLeft,
            @Nullable Double rate,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/reduction")
    ReductionAnswer reduction(@RequestBody ReductionRequest r) {
        Double target = r.targetMl() != null ? r.targetMl() : r.targetG();
        boolean byVolume = r.targetMl() != null;
        Checks checks = Checks.begin()
                .that(
                        (r.targetMl() == null) != (r.targetG() == null),
                        "targetMl",
                        "or targetG must be given, not both");
        for (int i = 0; i < r.readings().size(); i++) {
            ReadingInput reading = r.readings().get(i);
            Double amount = byVolume ? reading.volumeMl() : reading.massG();
            checks.that(
                    amount != null && (reading.volumeMl() == null || reading.massG() == null),
                    "readings[" + i + "]." + (byVolume ? "volumeMl" : "massG"),
                    "must be given in the unit of the target, and only in that");
        }
        checks.done();
        List<Reduction.Reading> readings = new ArrayList<>();
        for (ReadingInput reading : r.readings()) {
            Double amount = byVolume ? reading.volumeMl() : reading.massG();
            readings.add(new Reduction.Reading(reading.minute(), Objects.requireNonNull(amount)));
        }
        Reduction.Result result = Reduction.reckon(readings, Objects.requireNonNull(target));
        var left = result.left();
        return new ReductionAnswer(
                left != null,
                CoreVersion.CURRENT,
                left == null ? null : new LeftAnswer(left.low(), left.likely(), left.high()),
                left == null ? null : result.rate(),
                Answer.ungated(result.findings()),
                result.because());
    }

    enum SyrupWay {
        BOIL_DOWN,
        SWEETEN
    }

    record SyrupRequest(
            SyrupWay way,
            @Positive Double liquidMl,
            @PositiveOrZero @DecimalMax("79") Double brix,
            @Positive @DecimalMax("80") Double targetBrix) {}

    record SyrupAnswer(
            Boolean feasible,
            String coreVersion,
            Double syrupMl,
            Double syrupG,
            Double evaporatedG,
            Double sugarG,
            Boolean cold,
            Integer keepsDays,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/syrup")
    SyrupAnswer syrup(@RequestBody SyrupRequest r) {
        Syrup.Plan p = r.way() == SyrupWay.BOIL_DOWN
                ? Syrup.boilDown(r.liquidMl(), r.brix(), r.targetBrix())
                : Syrup.sweeten(r.liquidMl(), r.brix(), r.targetBrix());
        return new SyrupAnswer(
                true,
                CoreVersion.CURRENT,
                p.syrupMl(),
                p.syrupG(),
                p.evaporatedG(),
                p.sugarG(),
                p.cold(),
                p.keepsDays(),
                Answer.ungated(p.findings()),
                p.because());
    }

    record FreezingRequest(
            @Positive Double volumeMl,
            @Positive Double cubeMl,
            @Positive Integer holes,
            LocalDate on) {}

    record FreezingAnswer(
            Boolean feasible,
            String coreVersion,
            Integer cubes,
            Integer trays,
            Double pourMl,
            Double leftOverMl,
            LocalDate until,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/freezing")
    FreezingAnswer freezing(@RequestBody FreezingRequest r) {
        Freezing.Plan p = Freezing.plan(r.volumeMl(), r.cubeMl(), r.holes(), r.on());
        return new FreezingAnswer(
                true,
                CoreVersion.CURRENT,
                p.cubes(),
                p.trays(),
                p.cubeMl(),
                p.leftOverMl(),
                p.until(),
                Answer.ungated(List.of()),
                p.because());
    }
}
