package org.sallowbrook.server.making.tincture;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.server.making.spirit.SpiritCalculators;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Herb weighed into spirit. */
@RestController
@RequestMapping("/api/calculators")
class TinctureCalculator {

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

    record TinctureNumbers(
            @Nullable Double menstruumMl,
            @Nullable Double menstruumPercent,
            @Nullable List<SpiritCalculators.PourAnswer> pours,
            @Nullable Range finalPercent,
            @Nullable Range liquidMl,
            @Nullable YieldAnswer yieldMl,
            @Nullable Range herbEquivalentGPerMl,
            @Nullable Range driedEquivalentGPerMl,
            @Nullable List<ShareAnswer> shares,
            @Nullable JarAnswer jar) {

        static @Nullable TinctureNumbers of(Tincture.@Nullable Plan p) {
            if (p == null) {
                return null;
            }
            Tincture.JarFill jar = p.jar();
            return new TinctureNumbers(
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
                            : new JarAnswer(jar.jarMl(), jar.herbMl(), jar.liquidLevelMl(), jar.bedMl(), jar.fits()));
        }
    }

    @PostMapping("/tincture")
    Answer<TinctureNumbers> tincture(@RequestBody TinctureRequest request) {
        Tincture.Result r = Tincture.plan(new Tincture.Recipe(
                HerbInput.toCore(request.herbs()),
                request.ratio(),
                request.waterCounts(),
                request.target().of(),
                Strength.ofPercent(request.target().strengthPercent()),
                Prefixed.each("shelf", request.shelf(), (i, b) -> b.toCore()),
                request.jarMl(),
                request.pressRetentionMlPerG() == null
                        ? Retention.PRESSED
                        : new Retention(Interval.exactly(request.pressRetentionMlPerG()), 1)));
        return Answer.of(TinctureNumbers.class, TinctureNumbers.of(r.plan()), r.findings(), r.because());
    }
}
