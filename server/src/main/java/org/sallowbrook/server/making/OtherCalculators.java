package org.sallowbrook.server.making;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tea.Reduction;
import org.sallowbrook.core.making.tincture.OtherTinctures;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The bench's rarer calculators: by eye, percolated, joined, mixed, boiled down. */
@RestController
@RequestMapping("/api/calculators")
class OtherCalculators {

    private static final String MOST = "97";

    record FillAndCoverRequest(
            @Positive Double jarMl,
            @Positive @DecimalMax("1") Double fillFraction,
            Range bulkDensityGPerMl,
            @Positive @DecimalMax(MOST) Double strengthPercent,
            Range moisture) {}

    record FillAndCoverAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Range herbG,
            @Nullable Range menstruumMl,
            @Nullable Range ratio,
            @Nullable Range finalPercent,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/tincture/fill-and-cover")
    FillAndCoverAnswer fillAndCover(@RequestBody FillAndCoverRequest r) {
        var result = OtherTinctures.fillAndCover(new OtherTinctures.FillAndCover(
                r.jarMl(),
                r.fillFraction(),
                Prefixed.at("bulkDensityGPerMl", r.bulkDensityGPerMl()::interval),
                Strength.ofPercent(r.strengthPercent()),
                Prefixed.at("moisture", r.moisture()::moisture)));
        var p = result.plan();
        return new FillAndCoverAnswer(
                p != null,
                CoreVersion.CURRENT,
                p == null ? null : Range.of(p.herbG()),
                p == null ? null : Range.of(p.menstruumMl()),
                p == null ? null : Range.of(p.ratio()),
                p == null ? null : Range.of(p.finalFraction().times(100)),
                Answer.ungated(result.findings()),
                result.because());
    }

    record PercolationRequest(
            @Positive Double herbG,
            @Positive @DecimalMax("100") Double ratio,
            @Positive @DecimalMax(MOST) Double strengthPercent,
            @Positive @DecimalMax("100") Double dropsPerMl) {}

    record PercolationAnswer(
            Boolean feasible,
            String coreVersion,
            Range menstruumMl,
            Range moistenMl,
            Range hours,
            Range dropsPerMinute,
            Double firstFractionMl,
            List<Finding> findings) {}

    @PostMapping("/tincture/percolation")
    PercolationAnswer percolation(@RequestBody PercolationRequest r) {
        Strength strength = Strength.ofPercent(r.strengthPercent());
        var p = OtherTinctures.percolate(
                new OtherTinctures.Percolation(r.herbG(), r.ratio(), strength, r.dropsPerMl()));
        return new PercolationAnswer(
                true,
                CoreVersion.CURRENT,
                Range.of(p.menstruumMl()),
                Range.of(p.moistenMl()),
                Range.of(p.hours()),
                Range.of(p.dropsPerMinute()),
                p.firstFractionMl(),
                Answer.ungated(Spirits.fireFindings(strength)));
    }

    record DoubleRequest(
            @Positive Double tinctureMl,
            @PositiveOrZero @DecimalMax(MOST) Double tincturePercent,
            @Positive @DecimalMax(MOST) @Nullable Double targetPercent,
            @PositiveOrZero @Nullable Double decoctionMl) {}

    record DoubleAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Double decoctionMl,
            @Nullable Double finalPercent,
            @Nullable Double finalMl,
            List<Finding> findings) {}

    @PostMapping("/tincture/double")
    DoubleAnswer twoExtractions(@RequestBody DoubleRequest r) {
        Double target = r.targetPercent();
        Double decoction = r.decoctionMl();
        Checks.begin()
                .that(
                        (target == null) != (decoction == null),
                        "targetPercent",
                        "or decoctionMl must be given, not both")
                .done();
        Strength tincture = Strength.ofPercent(r.tincturePercent());
        if (target != null && target > r.tincturePercent()) {
            return new DoubleAnswer(
                    false,
                    CoreVersion.CURRENT,
                    null,
                    null,
                    null,
                    Answer.ungated(List.of(Finding.stop(
                            "DILUTION_STRENGTHENS",
                            "A decoction cannot bring " + Words.percent(tincture.fraction()) + " up to "
                                    + Words.figure(target) + " %.",
                            "Make the tincture stronger, or aim lower."))));
        }
        var joined = target != null
                ? OtherTinctures.joinTo(r.tinctureMl(), tincture, Strength.ofPercent(target))
                : OtherTinctures.join(r.tinctureMl(), tincture, java.util.Objects.requireNonNull(decoction));
        return new DoubleAnswer(
                true,
                CoreVersion.CURRENT,
                joined.decoctionMl(),
                joined.strength().percent(),
                joined.finalMl(),
                Answer.ungated(joined.findings()));
    }

    record FormulaPartInput(
            String name,
            @Positive Double volumeMl,
            @PositiveOrZero @DecimalMax(MOST) Double strengthPercent,
            @PositiveOrZero @Nullable Double herbEquivalentGPerMl,
            @Nullable String role,
            @Nullable String potency) {}

    record FormulaRequest(List<@Valid FormulaPartInput> parts) {}

    record FormulaHerbAnswer(String name, @Nullable Double gPerMl, Double fraction) {}

    record FormulaAnswer(
            Boolean feasible,
            String coreVersion,
            Double volumeMl,
            Double strengthPercent,
            List<FormulaHerbAnswer> herbs,
            List<Finding> findings) {}

    @PostMapping("/formula")
    FormulaAnswer formula(@RequestBody FormulaRequest r) {
        var f = OtherTinctures.formula(Prefixed.each(
                "parts",
                r.parts(),
                (i, p) -> new OtherTinctures.Part(
                        p.name(), p.volumeMl(), Strength.ofPercent(p.strengthPercent()), p.herbEquivalentGPerMl())));
        return new FormulaAnswer(
                true,
                CoreVersion.CURRENT,
                f.volumeMl(),
                f.strength().percent(),
                f.herbs().stream()
                        .map(h -> new FormulaHerbAnswer(h.name(), h.gPerMl(), h.fraction()))
                        .toList(),
                Answer.ungated(f.findings()));
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
            List<Finding> findings) {}

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
            readings.add(new Reduction.Reading(reading.minute(), java.util.Objects.requireNonNull(amount)));
        }
        Reduction.Result result = Reduction.reckon(readings, java.util.Objects.requireNonNull(target));
        var left = result.left();
        return new ReductionAnswer(
                left != null,
                CoreVersion.CURRENT,
                left == null ? null : new LeftAnswer(left.low(), left.likely(), left.high()),
                left == null ? null : result.rate(),
                Answer.ungated(result.findings()));
    }
}
