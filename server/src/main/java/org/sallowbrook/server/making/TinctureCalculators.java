package org.sallowbrook.server.making;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.making.tincture.OtherMenstruum;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.making.vessel.Bottling;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Tinctures: weighed, by eye, percolated, joined, in other liquids, mixed, recorded, bottled. */
@RestController
@RequestMapping("/api/calculators")
class TinctureCalculators {

    record HerbInput(
            String name,
            String part,
            @Positive Double massG,
            Tincture.State state,
            Range moisture,
            @Positive @Nullable Double bulkDensityGPerMl) {}

    record TargetInput(
            Tincture.Basis of,
            @Positive @DecimalMax(SpiritCalculators.MOST) Double strengthPercent) {}

    record TinctureRequest(
            List<@Valid HerbInput> herbs,
            @Positive @DecimalMax("100") Double ratio,
            Boolean waterCounts,
            @Valid TargetInput target,
            List<SpiritCalculators.@Valid BottleInput> shelf,
            @Positive @Nullable Double jarMl,
            @PositiveOrZero @Nullable Double pressRetentionMlPerG) {}

    record YieldAnswer(Range drained, Range pressed) {}

    record ShareAnswer(String name, Double fraction) {}

    record JarAnswer(
            Double jarMl,
            Double herbMl,
            Double liquidLevelMl,
            @Nullable Double bedMl,
            Boolean fits) {}

    record TinctureAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Double menstruumMl,
            @Nullable Double menstruumPercent,
            @Nullable List<SpiritCalculators.PourAnswer> pours,
            @Nullable Range finalPercent,
            @Nullable Range liquidMl,
            @Nullable YieldAnswer yieldMl,
            @Nullable Range herbEquivalentGPerMl,
            @Nullable Range driedEquivalentGPerMl,
            @Nullable List<ShareAnswer> shares,
            @Nullable JarAnswer jar,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/tincture")
    TinctureAnswer tincture(@RequestBody TinctureRequest request) {
        Tincture.Result r = Tincture.plan(new Tincture.Recipe(
                herbs(request.herbs()),
                request.ratio(),
                request.waterCounts(),
                request.target().of(),
                Strength.ofPercent(request.target().strengthPercent()),
                request.shelf().stream()
                        .map(SpiritCalculators.BottleInput::toCore)
                        .toList(),
                request.jarMl(),
                request.pressRetentionMlPerG() == null
                        ? Retention.PRESSED
                        : new Retention(Interval.exactly(request.pressRetentionMlPerG()), 1)));
        Tincture.Plan p = r.plan();
        List<Finding> findings = Answer.ungated(r.findings());
        if (p == null) {
            return new TinctureAnswer(
                    false,
                    CoreVersion.CURRENT,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    findings,
                    r.because());
        }
        var jar = p.jar();
        return new TinctureAnswer(
                true,
                CoreVersion.CURRENT,
                p.menstruumMl(),
                p.menstruum().percent(),
                p.pours().stream().map(SpiritCalculators.PourAnswer::of).toList(),
                Range.of(p.finalFraction().times(100)),
                Range.of(p.liquidMl()),
                new YieldAnswer(Range.of(p.drainedMl()), Range.of(p.pressedMl())),
                Range.of(p.herbEquivalentGPerMl()),
                Range.of(p.driedEquivalentGPerMl()),
                p.shares().stream()
                        .map(s -> new ShareAnswer(s.name(), s.fraction()))
                        .toList(),
                jar == null
                        ? null
                        : new JarAnswer(jar.jarMl(), jar.herbMl(), jar.liquidLevelMl(), jar.bedMl(), jar.fits()),
                findings,
                r.because());
    }

    record FillAndCoverRequest(
            @Positive Double jarMl,
            @Positive @DecimalMax("1") Double fillFraction,
            Range bulkDensityGPerMl,
            @Positive @DecimalMax(SpiritCalculators.MOST) Double strengthPercent,
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
        var result = FillAndCover.plan(new FillAndCover.Recipe(
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
            @Positive @DecimalMax(SpiritCalculators.MOST) Double strengthPercent,
            @Positive @DecimalMax("100") Double dropsPerMl) {}

    record PercolationAnswer(
            Boolean feasible,
            String coreVersion,
            Range menstruumMl,
            Range moistenMl,
            Range hours,
            Range dropsPerMinute,
            Double firstFractionMl,
            Double productMl,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/tincture/percolation")
    PercolationAnswer percolation(@RequestBody PercolationRequest r) {
        var p = Percolation.plan(
                new Percolation.Recipe(r.herbG(), r.ratio(), Strength.ofPercent(r.strengthPercent()), r.dropsPerMl()));
        return new PercolationAnswer(
                true,
                CoreVersion.CURRENT,
                Range.of(p.menstruumMl()),
                Range.of(p.moistenMl()),
                Range.of(p.hours()),
                Range.of(p.dropsPerMinute()),
                p.firstFractionMl(),
                p.productMl(),
                Answer.ungated(p.findings()),
                p.because());
    }

    record DoubleRequest(
            @Positive Double tinctureMl,

            @PositiveOrZero @DecimalMax(SpiritCalculators.MOST)
            Double tincturePercent,

            @Positive @DecimalMax(SpiritCalculators.MOST) @Nullable
            Double targetPercent,

            @PositiveOrZero @Nullable Double decoctionMl,
            TwoExtractions.@Nullable Order order) {}

    record DoubleAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Double decoctionMl,
            @Nullable Double tincturePercent,
            @Nullable Double finalPercent,
            @Nullable Double finalMl,
            List<String> steps,
            List<Finding> findings,
            List<String> because) {}

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
                    null,
                    List.of(),
                    Answer.ungated(List.of(Finding.stop(
                            "DILUTION_STRENGTHENS",
                            "A decoction cannot bring " + Words.percent(tincture.fraction()) + " up to "
                                    + Words.figure(target) + " %.",
                            "Make the tincture stronger, or aim lower."))),
                    List.of());
        }
        return answer(
                target != null
                        ? TwoExtractions.joinTo(r.tinctureMl(), tincture, Strength.ofPercent(target))
                        : TwoExtractions.join(r.tinctureMl(), tincture, Objects.requireNonNull(decoction)),
                r.order());
    }

    record DoubleStrengthRequest(
            @Positive Double tinctureMl,
            @PositiveOrZero Double decoctionMl,
            @Positive @DecimalMax(SpiritCalculators.MOST) Double targetPercent,
            TwoExtractions.@Nullable Order order) {}

    /** How strong the tincture must be for a decoction of a given volume. */
    @PostMapping("/tincture/double/strength")
    DoubleAnswer tinctureStrength(@RequestBody DoubleStrengthRequest r) {
        return answer(
                TwoExtractions.tinctureFor(r.tinctureMl(), r.decoctionMl(), Strength.ofPercent(r.targetPercent())),
                r.order());
    }

    private static DoubleAnswer answer(TwoExtractions.Joined joined, TwoExtractions.@Nullable Order order) {
        return new DoubleAnswer(
                true,
                CoreVersion.CURRENT,
                joined.decoctionMl(),
                joined.tincture().percent(),
                joined.strength().percent(),
                joined.finalMl(),
                (order == null ? TwoExtractions.Order.SPIRIT_FIRST : order).steps(),
                Answer.ungated(joined.findings()),
                joined.because());
    }

    record FormulaPartInput(
            String name,
            @Positive Double volumeMl,

            @PositiveOrZero @DecimalMax(SpiritCalculators.MOST)
            Double strengthPercent,

            @PositiveOrZero @Nullable Double herbEquivalentGPerMl,
            @Nullable String role,
            @Nullable String potency,
            @Nullable Set<Formula.Taste> tastes,
            @Nullable Set<Taxon.Constituent> constituents,
            @PositiveOrZero @Nullable Double costPerMl) {
        Formula.Part toCore() {
            return new Formula.Part(
                    name,
                    volumeMl,
                    Strength.ofPercent(strengthPercent),
                    herbEquivalentGPerMl == null ? null : Interval.exactly(herbEquivalentGPerMl),
                    known(Formula.Role.class, role),
                    known(Formula.Potency.class, potency),
                    tastes == null ? Set.of() : tastes,
                    constituents == null
                            ? Set.of()
                            : constituents.stream().map(Enum::name).collect(Collectors.toSet()),
                    costPerMl);
        }
    }

    /** The words of a household that core has a rule for; others are only words. */
    private static <E extends Enum<E>> @Nullable E known(Class<E> type, @Nullable String word) {
        return word == null
                ? null
                : Arrays.stream(type.getEnumConstants())
                        .filter(e -> e.name().equalsIgnoreCase(word.strip()))
                        .findFirst()
                        .orElse(null);
    }

    record FormulaRequest(
            List<@Valid FormulaPartInput> parts,
            @Positive @Nullable Double dailyMl) {}

    record FormulaHerbAnswer(
            String name,
            @Nullable Double gPerMl,
            Double fraction,
            @Nullable Double gPerDay) {}

    record FormulaAnswer(
            Boolean feasible,
            String coreVersion,
            Double volumeMl,
            Double strengthPercent,
            List<FormulaHerbAnswer> herbs,
            @Nullable Double cost,
            Map<Formula.Taste, Double> tastes,
            Map<String, Range> constituentGPerMl,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/formula")
    FormulaAnswer formula(@RequestBody FormulaRequest r) {
        Formula.Result f = Formula.mix(Prefixed.each("parts", r.parts(), (i, p) -> p.toCore()), r.dailyMl());
        Map<String, Range> classes = new TreeMap<>();
        f.constituentGPerMl().forEach((name, sum) -> classes.put(name, Range.of(sum)));
        return new FormulaAnswer(
                true,
                CoreVersion.CURRENT,
                f.volumeMl(),
                f.strength().percent(),
                f.herbs().stream()
                        .map(h -> new FormulaHerbAnswer(
                                h.name(),
                                h.gPerMl() == null ? null : (Double) h.gPerMl().high(),
                                h.fraction(),
                                h.gPerDay() == null
                                        ? null
                                        : (Double) h.gPerDay().high()))
                        .toList(),
                f.cost(),
                f.tastes(),
                classes,
                Answer.ungated(f.findings()),
                f.because());
    }

    record MenstruumRequest(
            OtherMenstruum.Kind kind,
            List<@Valid HerbInput> herbs,
            @Positive @DecimalMax("100") Double ratio,
            @Positive @DecimalMax("100") Double figurePercent,
            @PositiveOrZero @DecimalMax("0.95") @Nullable Double vinegarFraction,
            @PositiveOrZero @DecimalMax("100") @Nullable Double vinegarPercent) {}

    record MenstruumAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Double liquidMl,
            @Nullable Double liquidG,
            @Nullable String figureIs,
            @Nullable Range finalPercent,
            @Nullable Range totalMl,
            @Nullable Range pressedMl,
            @Nullable Range driedEquivalentGPerMl,
            @Nullable Boolean cold,
            @Nullable Integer keepsDays,
            @Nullable Integer keepsMonths,
            List<Finding> findings,
            List<String> because) {}

    /** Vinegar, glycerine, honey or oxymel, fortified wine. */
    @PostMapping("/tincture/menstruum")
    MenstruumAnswer menstruum(@RequestBody MenstruumRequest r) {
        OtherMenstruum.Result result = OtherMenstruum.plan(new OtherMenstruum.Recipe(
                r.kind(),
                herbs(r.herbs()),
                r.ratio(),
                r.figurePercent() / 100,
                r.vinegarFraction() == null ? 0 : r.vinegarFraction(),
                r.vinegarPercent() == null ? 0 : r.vinegarPercent() / 100));
        OtherMenstruum.Plan p = result.plan();
        return new MenstruumAnswer(
                result.feasible(),
                CoreVersion.CURRENT,
                p == null ? null : p.liquidMl(),
                p == null ? null : p.liquidG(),
                p == null ? null : p.figureIs(),
                p == null ? null : Range.of(p.finalFigure().times(100)),
                p == null ? null : Range.of(p.totalMl()),
                p == null ? null : Range.of(p.pressedMl()),
                p == null ? null : Range.of(p.driedEquivalentGPerMl()),
                p == null ? null : p.cold(),
                p == null ? null : p.keepsDays(),
                p == null ? null : p.keepsMonths(),
                Answer.ungated(result.findings()),
                result.because());
    }

    record RecordRequest(
            List<@Valid HerbInput> herbs,
            List<SpiritCalculators.@Valid PourInput> pours,
            @PositiveOrZero Double gainedMl) {}

    record RecordAnswer(
            Boolean feasible,
            String coreVersion,
            Range liquidMl,
            Range finalPercent,
            Range herbEquivalentGPerMl,
            Range driedEquivalentGPerMl,
            Range retentionMlPerG,
            List<ShareAnswer> shares,
            List<Finding> findings,
            List<String> because) {}

    /** What follows from what was really weighed, poured and pressed. */
    @PostMapping("/tincture/record")
    RecordAnswer record(@RequestBody RecordRequest r) {
        TinctureRecord.Outcome o = new TinctureRecord(
                        herbs(r.herbs()), Prefixed.each("pours", r.pours(), (i, p) -> p.toCore()), r.gainedMl())
                .follow();
        return new RecordAnswer(
                true,
                CoreVersion.CURRENT,
                Range.of(o.liquidMl()),
                Range.of(o.finalFraction().times(100)),
                Range.of(o.herbEquivalentGPerMl()),
                Range.of(o.driedEquivalentGPerMl()),
                Range.of(o.retentionMlPerG()),
                o.shares().stream()
                        .map(s -> new ShareAnswer(s.name(), s.fraction()))
                        .toList(),
                Answer.ungated(o.findings()),
                o.because());
    }

    record SizeInput(
            @Positive @DecimalMax("20000") Double capacityMl,
            @PositiveOrZero @DecimalMax("200") Integer count) {}

    record BottlingRequest(
            @Positive @DecimalMax("20000") Double volumeMl,
            List<@Valid SizeInput> stock,
            @Positive @Nullable Double usePerDayMl,
            @Positive @DecimalMax("3650") @Nullable Integer openedLifeDays) {}

    record FilledAnswer(
            Double capacityMl, Integer count, @Nullable Double daysEach) {}

    record BottlingAnswer(
            Boolean feasible,
            String coreVersion,
            List<FilledAnswer> bottles,
            Double leftOverMl,
            Double emptyMl,
            List<Finding> findings,
            List<String> because) {}

    /** Splits a volume over the bottles or tins at hand. */
    @PostMapping("/bottling")
    BottlingAnswer bottling(@RequestBody BottlingRequest r) {
        Bottling.Result b = Bottling.plan(new Bottling.Recipe(
                r.volumeMl(),
                Prefixed.each("stock", r.stock(), (i, s) -> new Bottling.Size(s.capacityMl(), s.count())),
                r.usePerDayMl(),
                r.openedLifeDays()));
        return new BottlingAnswer(
                true,
                CoreVersion.CURRENT,
                b.plan().bottles().stream()
                        .map(f -> new FilledAnswer(f.capacityMl(), f.count(), f.daysEach()))
                        .toList(),
                b.plan().leftOverMl(),
                b.plan().emptyMl(),
                Answer.ungated(b.findings()),
                b.because());
    }

    private static List<Tincture.Herb> herbs(List<HerbInput> herbs) {
        return Prefixed.each(
                "herbs",
                herbs,
                (i, h) -> new Tincture.Herb(
                        h.name(),
                        h.part(),
                        h.massG(),
                        h.state(),
                        Prefixed.at("moisture", h.moisture()::moisture),
                        h.bulkDensityGPerMl()));
    }
}
