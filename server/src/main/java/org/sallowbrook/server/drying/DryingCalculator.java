package org.sallowbrook.server.drying;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.FreshDryRatio;
import org.sallowbrook.core.drying.Rack;
import org.sallowbrook.core.drying.Temperature;
import org.sallowbrook.core.drying.Weighing;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class DryingCalculator {

    record WeighingInput(
            @PositiveOrZero Double rackHours, @Positive Double massG) {}

    record AirInput(
            @PositiveOrZero @DecimalMax("90") Double temperatureC,
            @PositiveOrZero @DecimalMax("0.98") Double relativeHumidity) {}

    record DryingRequest(
            @Positive Double freshG,
            Range initialMoisture,
            @Positive @DecimalMax("0.98") Double targetMoisture,
            List<@Valid WeighingInput> weighings,
            @Valid @Nullable AirInput air,
            Drying.@Nullable PhysicalTest physicalTest) {}

    record DryingAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable Range targetG,
            @Nullable Range moistureNow,
            DryingService.@Nullable RemainingView remainingHours,
            Drying.Model model,
            @Nullable Double equilibriumMoisture,
            Boolean done,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/api/calculators/drying")
    DryingAnswer drying(@RequestBody DryingRequest request) {
        AirInput air = request.air();
        Drying.Result r = Drying.reckon(new Drying.Request(
                request.freshG(),
                Prefixed.at("initialMoisture", request.initialMoisture()::moisture),
                request.targetMoisture(),
                request.weighings().stream()
                        .map(w -> new Weighing(w.rackHours(), w.massG()))
                        .toList(),
                air == null ? null : new Drying.Air(air.temperatureC(), air.relativeHumidity()),
                request.physicalTest()));
        return new DryingAnswer(
                r.feasible(),
                CoreVersion.CURRENT,
                r.targetG() == null ? null : Range.of(r.targetG()),
                r.moistureNow() == null ? null : Range.of(r.moistureNow()),
                r.remaining() == null
                        ? null
                        : new DryingService.RemainingView(
                                r.remaining().lowHours(),
                                r.remaining().likelyHours(),
                                r.remaining().highHours()),
                r.model(),
                r.feasible() ? r.equilibriumMoisture() : null,
                r.done(),
                Answer.ungated(r.findings()),
                r.because());
    }

    record LayoutRequest(
            @Positive Double freshG,
            Taxon.Part part,
            Boolean aromatic,
            Range moisture,
            @Positive @Nullable Double trayM2,
            @Positive @Nullable Double tieCm) {}

    record LayoutAnswer(
            Boolean feasible,
            String coreVersion,
            Range areaM2,
            @Nullable Range trays,
            Range nominalC,
            Double mostC,
            Range freshToDry,
            Range driedG,
            List<Finding> findings,
            List<String> because) {}

    /** Room on the rack, warmth, and how much dried herb to expect. */
    @PostMapping("/api/calculators/drying/layout")
    LayoutAnswer layout(@RequestBody LayoutRequest r) {
        Rack.Layout layout = Rack.spread(r.freshG(), r.part(), r.trayM2());
        Temperature temperature = Temperature.of(r.part(), r.aromatic(), null);
        FreshDryRatio ratio = FreshDryRatio.predicted(
                Prefixed.at("moisture", r.moisture()::moisture), Drying.targetMoisture(r.part()));
        List<Finding> findings = new ArrayList<>(layout.findings());
        if (r.tieCm() != null) {
            findings.addAll(Rack.bundle(r.tieCm()));
        }
        return new LayoutAnswer(
                true,
                CoreVersion.CURRENT,
                Range.of(layout.areaM2()),
                layout.trays() == null ? null : Range.of(layout.trays()),
                Range.of(temperature.nominalC()),
                temperature.mostC(),
                Range.of(ratio.range()),
                Range.of(ratio.driedG(r.freshG())),
                Answer.ungated(findings),
                layout.because());
    }
}
