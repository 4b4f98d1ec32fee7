package org.sallowbrook.server.making.vessel;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.vessel.Bottling;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A volume split over the bottles or tins at hand. */
@RestController
@RequestMapping("/api/calculators")
class BottlingCalculator {

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

    record BottlingNumbers(List<FilledAnswer> bottles, Double leftOverMl, Double emptyMl) {}

    /** Splits a volume over the bottles or tins at hand. */
    @PostMapping("/bottling")
    Answer<BottlingNumbers> bottling(@RequestBody BottlingRequest r) {
        Bottling.Result b = Bottling.plan(new Bottling.Recipe(
                r.volumeMl(),
                Prefixed.each("stock", r.stock(), (i, s) -> new Bottling.Size(s.capacityMl(), s.count())),
                r.usePerDayMl(),
                r.openedLifeDays()));
        return Answer.of(
                new BottlingNumbers(
                        b.plan().bottles().stream()
                                .map(f -> new FilledAnswer(f.capacityMl(), f.count(), f.daysEach()))
                                .toList(),
                        b.plan().leftOverMl(),
                        b.plan().emptyMl()),
                b.findings(),
                b.because());
    }
}
