package org.sallowbrook.server.making;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tincture.Tincture;
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

/** The bench's calculators: stateless, over core. */
@RestController
@RequestMapping("/api/calculators")
class Calculators {

    private static final String MOST = "97";

    record PourInput(
            @PositiveOrZero Double volumeMl,
            @PositiveOrZero @DecimalMax(MOST) Double strengthPercent) {}

    record MixRequest(List<@Valid PourInput> pours) {}

    record MixAnswer(
            Boolean feasible,
            String coreVersion,
            Double volumeMl,
            Double strengthPercent,
            Double massG,
            Double contractionMl,
            List<Finding> findings) {}

    @PostMapping("/spirit/mix")
    MixAnswer mix(@RequestBody MixRequest request) {
        Spirits.Mixture m = Spirits.mix(request.pours().stream()
                .map(p -> new Pour(p.volumeMl(), Strength.ofPercent(p.strengthPercent())))
                .toList());
        return new MixAnswer(
                true,
                CoreVersion.CURRENT,
                m.volumeMl(),
                m.strength().percent(),
                m.massG(),
                m.contractionMl(),
                Answer.ungated(Spirits.fireFindings(m.strength())));
    }

    record DiluteRequest(
            @PositiveOrZero @DecimalMax(MOST) Double fromPercent,
            @PositiveOrZero @DecimalMax(MOST) Double toPercent,
            @Positive @Nullable Double finalVolumeMl,
            @Positive @Nullable Double spiritMl) {}

    record DiluteAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Double spiritMl,
            @Nullable Double waterMl,
            @Nullable Double spiritG,
            @Nullable Double waterG,
            @Nullable Double finalVolumeMl,
            List<Finding> findings) {}

    @PostMapping("/spirit/dilute")
    DiluteAnswer dilute(@RequestBody DiluteRequest request) {
        Double wanted = request.finalVolumeMl();
        Double spirit = request.spiritMl();
        Checks.begin()
                .that((wanted == null) != (spirit == null), "finalVolumeMl", "or spiritMl must be given, not both")
                .done();
        Strength from = Strength.ofPercent(request.fromPercent());
        Strength to = Strength.ofPercent(request.toPercent());
        if (to.fraction() > from.fraction() || to.fraction() == 0) {
            Finding finding = to.fraction() == 0
                    ? Finding.stop(
                            "NO_SPIRIT_WANTED",
                            "No amount of water brings spirit down to nothing.",
                            "Ask for a strength above 0.")
                    : Finding.stop(
                            "DILUTION_STRENGTHENS",
                            "Water cannot bring " + Words.percent(from.fraction()) + " up to "
                                    + Words.percent(to.fraction()) + ".",
                            "Start from a stronger spirit.");
            return new DiluteAnswer(
                    false, CoreVersion.CURRENT, null, null, null, null, null, Answer.ungated(List.of(finding)));
        }
        Spirits.Dilution d = wanted != null
                ? Spirits.diluteTo(from, to, wanted)
                : Spirits.diluteSpirit(from, to, java.util.Objects.requireNonNull(spirit));
        return new DiluteAnswer(
                true,
                CoreVersion.CURRENT,
                d.spiritMl(),
                d.waterMl(),
                d.spiritG(),
                d.waterG(),
                d.finalVolumeMl(),
                Answer.ungated(Spirits.fireFindings(from)));
    }

    record BottleInput(
            String name,
            @PositiveOrZero @DecimalMax(MOST) Double strengthPercent,
            @PositiveOrZero Double availableMl,
            Boolean open) {
        Blend.Bottle toCore() {
            return new Blend.Bottle(name, Strength.ofPercent(strengthPercent), availableMl, open);
        }
    }

    record BlendRequest(
            @PositiveOrZero @DecimalMax(MOST) Double targetPercent,
            @Positive Double volumeMl,
            List<@Valid BottleInput> shelf) {}

    record PourAnswer(String name, Double volumeMl, Double massG) {
        static PourAnswer of(Blend.NamedPour p) {
            return new PourAnswer(p.name(), p.volumeMl(), p.massG());
        }
    }

    record BlendAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable List<PourAnswer> pours,
            @Nullable Double strengthPercent,
            @Nullable Double missingMl,
            List<Finding> findings) {}

    @PostMapping("/spirit/blend")
    BlendAnswer blend(@RequestBody BlendRequest request) {
        Blend.Result r = Blend.blend(
                Strength.ofPercent(request.targetPercent()),
                request.volumeMl(),
                request.shelf().stream().map(BottleInput::toCore).toList());
        return new BlendAnswer(
                r.feasible(),
                CoreVersion.CURRENT,
                r.feasible() ? r.pours().stream().map(PourAnswer::of).toList() : null,
                r.feasible() ? r.strength().percent() : null,
                r.missingMl(),
                Answer.ungated(r.findings()));
    }

    record ReadingRequest(
            @PositiveOrZero @DecimalMax("100") Double readingPercent,
            @PositiveOrZero @DecimalMax("40") Double temperatureC) {}

    record ReadingAnswer(
            Boolean feasible, String coreVersion, @Nullable Double strengthPercent, List<Finding> findings) {}

    @PostMapping("/spirit/reading")
    ReadingAnswer reading(@RequestBody ReadingRequest request) {
        Strength strength = EthanolWater.fromReading(request.readingPercent(), request.temperatureC());
        List<Finding> findings = new ArrayList<>();
        findings.add(Finding.note(
                "READING_PURE_ONLY",
                "Dissolved plant matter falsifies the reading.",
                "Read the menstruum before the herb goes in, never the tincture."));
        boolean tooStrong = strength.percent() > Strength.MOST_PERCENT;
        if (tooStrong) {
            findings.add(Finding.stop(
                    "ABOVE_97",
                    "The reading means " + Words.percent(strength.fraction()) + ", above the 97 % limit.",
                    "Check the thermometer and the reading."));
        }
        return new ReadingAnswer(
                !tooStrong, CoreVersion.CURRENT, tooStrong ? null : strength.percent(), Answer.ungated(findings));
    }

    record HerbInput(
            String name,
            String part,
            @Positive Double massG,
            Tincture.State state,
            Range moisture,
            @Positive @Nullable Double bulkDensityGPerMl) {}

    record TargetInput(
            Tincture.Basis of, @Positive @DecimalMax(MOST) Double strengthPercent) {}

    record TinctureRequest(
            List<@Valid HerbInput> herbs,
            @Positive @DecimalMax("100") Double ratio,
            Boolean waterCounts,
            @Valid TargetInput target,
            List<@Valid BottleInput> shelf,
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
            @Nullable List<PourAnswer> pours,
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
        List<Tincture.Herb> herbs = Prefixed.each(
                "herbs",
                request.herbs(),
                (i, h) -> new Tincture.Herb(
                        h.name(),
                        h.part(),
                        h.massG(),
                        h.state(),
                        Prefixed.at("moisture", h.moisture()::moisture),
                        h.bulkDensityGPerMl()));
        Tincture.Result r = Tincture.plan(new Tincture.Request(
                herbs,
                request.ratio(),
                request.waterCounts(),
                request.target().of(),
                Strength.ofPercent(request.target().strengthPercent()),
                request.shelf().stream().map(BottleInput::toCore).toList(),
                request.jarMl(),
                request.pressRetentionMlPerG()));
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
                p.pours().stream().map(PourAnswer::of).toList(),
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

    record MeasureInput(@Positive Double amount, Tea.Unit unit) {}

    record TeaHerbInput(
            String name,
            @Nullable String form,
            @Valid @Nullable MeasureInput measure,
            @Positive @Nullable Double massG,
            @Positive @Nullable Double bulkDensityGPerMl,
            Tea.@Nullable Method method,
            @PositiveOrZero @Nullable Double minutes) {}

    record TeaRequest(
            @Positive Double wantedMl,
            @Positive @Nullable Double strengthGPerL,
            List<@Valid TeaHerbInput> herbs,
            @Nullable String liquid,
            @PositiveOrZero @Nullable Double boilOffMlPerMin) {}

    record TeaHerbAnswer(
            String name,
            Double massG,
            Tea.Method method,
            Double minutes,
            @Nullable Double teaspoons) {}

    record TimelineAnswer(Double minute, String action, String herb) {}

    record TeaAnswer(
            Boolean feasible,
            String coreVersion,
            Double waterMl,
            Range waterRangeMl,
            List<TeaHerbAnswer> herbs,
            List<TimelineAnswer> timeline,
            Double ready,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/tea")
    TeaAnswer tea(@RequestBody TeaRequest request) {
        List<Tea.Herb> herbs = Prefixed.each(
                "herbs",
                request.herbs(),
                (i, h) -> new Tea.Herb(
                        h.name(),
                        h.form(),
                        h.measure() == null
                                ? null
                                : new Tea.Measure(
                                        h.measure().amount(), h.measure().unit()),
                        h.massG(),
                        h.bulkDensityGPerMl(),
                        h.method(),
                        h.minutes()));
        Tea.Result r = Tea.plan(new Tea.Request(
                request.wantedMl(),
                request.strengthGPerL(),
                herbs,
                request.liquid() == null ? "water" : request.liquid(),
                request.boilOffMlPerMin()));
        Tea.Plan p = r.plan();
        return new TeaAnswer(
                true,
                CoreVersion.CURRENT,
                p.waterMl(),
                Range.of(p.waterRangeMl()),
                p.herbs().stream()
                        .map(h -> new TeaHerbAnswer(h.name(), h.massG(), h.method(), h.minutes(), h.teaspoons()))
                        .toList(),
                p.timeline().stream()
                        .map(s -> new TimelineAnswer(s.minute(), s.action(), s.herb()))
                        .toList(),
                p.readyMinute(),
                Answer.ungated(r.findings()),
                r.because());
    }

    record OilHerbInput(String name, @Positive Double massG, Range moisture) {}

    record OilRequest(
            List<@Valid OilHerbInput> herbs,
            @Positive @DecimalMax("100") Double ratio,
            String carrier,
            @PositiveOrZero @Nullable Integer carrierMonths,
            InfusedOil.Method method,
            Boolean eaten) {}

    record OilAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Double oilMl,
            @Nullable Double oilG,
            @Nullable Range yieldMl,
            @Nullable Range readyAfterDays,
            @Nullable Integer keepsMonths,
            @Nullable Integer keepsDays,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/oil")
    OilAnswer oil(@RequestBody OilRequest request) {
        List<InfusedOil.Herb> herbs = Prefixed.each(
                "herbs",
                request.herbs(),
                (i, h) -> new InfusedOil.Herb(h.name(), h.massG(), Prefixed.at("moisture", h.moisture()::moisture)));
        InfusedOil.Result r = InfusedOil.plan(new InfusedOil.Request(
                herbs, request.ratio(), request.carrier(), request.carrierMonths(), request.method(), request.eaten()));
        InfusedOil.Plan p = r.plan();
        return new OilAnswer(
                r.feasible(),
                CoreVersion.CURRENT,
                p == null ? null : p.oilMl(),
                p == null ? null : p.oilG(),
                p == null ? null : Range.of(p.yieldMl()),
                p == null ? null : Range.of(p.readyAfterDays()),
                p == null ? null : p.keepsMonths(),
                p == null ? null : p.keepsDays(),
                Answer.ungated(r.findings()),
                r.because());
    }

    record TinInput(@Positive Double capacityMl, @Positive Integer count) {}

    record SalveRequest(
            List<@Valid TinInput> tins,
            Salve.Firmness firmness,
            String wax,
            @DecimalMin("-20") @DecimalMax("40") Double storageTemperatureC,
            @PositiveOrZero @DecimalMax("0.5") Double wasteFraction,
            @Positive @Nullable Double densityGPerMl) {}

    record SalveAnswer(
            Boolean feasible,
            String coreVersion,
            Double totalG,
            Double waxG,
            Double oilG,
            Double waxFraction,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/salve")
    SalveAnswer salve(@RequestBody SalveRequest request) {
        Salve.Result r = Salve.plan(new Salve.Request(
                Prefixed.each("tins", request.tins(), (i, t) -> new Salve.Tin(t.capacityMl(), t.count())),
                request.firmness(),
                request.wax(),
                request.storageTemperatureC(),
                request.wasteFraction(),
                request.densityGPerMl()));
        return new SalveAnswer(
                true,
                CoreVersion.CURRENT,
                r.plan().totalG(),
                r.plan().waxG(),
                r.plan().oilG(),
                r.plan().waxFraction(),
                Answer.ungated(r.findings()),
                r.because());
    }
}
