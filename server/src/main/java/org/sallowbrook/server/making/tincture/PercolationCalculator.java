package org.sallowbrook.server.making.tincture;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.server.making.spirit.SpiritCalculators;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Spirit dripped through a powder. */
@RestController
@RequestMapping("/api/calculators")
class PercolationCalculator {

    record PercolationRequest(
            @Positive Double herbG,
            @Positive @DecimalMax("100") Double ratio,
            @Positive @DecimalMax(SpiritCalculators.MOST) Double strengthPercent,
            @Positive @DecimalMax("100") Double dropsPerMl) {}

    record PercolationNumbers(
            Range menstruumMl,
            Range moistenMl,
            Range hours,
            Range dropsPerMinute,
            Double firstFractionMl,
            Double productMl) {}

    @PostMapping("/tincture/percolation")
    Answer<PercolationNumbers> percolation(@RequestBody PercolationRequest r) {
        var p = Percolation.plan(
                new Percolation.Recipe(r.herbG(), r.ratio(), Strength.ofPercent(r.strengthPercent()), r.dropsPerMl()));
        return Answer.of(
                new PercolationNumbers(
                        Range.of(p.menstruumMl()),
                        Range.of(p.moistenMl()),
                        Range.of(p.hours()),
                        Range.of(p.dropsPerMinute()),
                        p.firstFractionMl(),
                        p.productMl()),
                p.findings(),
                p.because());
    }
}
