package org.sallowbrook.server.making.tincture;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.server.making.spirit.SpiritCalculators;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A jar filled by eye. */
@RestController
@RequestMapping("/api/calculators")
class FillAndCoverCalculator {

    record FillAndCoverRequest(
            @Positive Double jarMl,
            @Positive @DecimalMax("1") Double fillFraction,
            Range bulkDensityGPerMl,
            @Positive @DecimalMax(SpiritCalculators.MOST) Double strengthPercent,
            Range moisture) {}

    record FillAndCoverNumbers(
            @Nullable Range herbG,
            @Nullable Range menstruumMl,
            @Nullable Range ratio,
            @Nullable Range finalPercent) {

        static @Nullable FillAndCoverNumbers of(FillAndCover.@Nullable Plan p) {
            return p == null
                    ? null
                    : new FillAndCoverNumbers(
                            Range.of(p.herbG()),
                            Range.of(p.menstruumMl()),
                            Range.of(p.ratio()),
                            Range.of(p.finalFraction().times(100)));
        }
    }

    @PostMapping("/tincture/fill-and-cover")
    Answer<FillAndCoverNumbers> fillAndCover(@RequestBody FillAndCoverRequest r) {
        var result = FillAndCover.plan(new FillAndCover.Recipe(
                r.jarMl(),
                r.fillFraction(),
                Prefixed.at("bulkDensityGPerMl", r.bulkDensityGPerMl()::interval),
                Strength.ofPercent(r.strengthPercent()),
                Prefixed.at("moisture", r.moisture()::moisture)));
        return Answer.of(
                FillAndCoverNumbers.class, FillAndCoverNumbers.of(result.plan()), result.findings(), result.because());
    }
}
