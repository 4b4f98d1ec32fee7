package org.sallowbrook.server.drying;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.Weighing;
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
}
