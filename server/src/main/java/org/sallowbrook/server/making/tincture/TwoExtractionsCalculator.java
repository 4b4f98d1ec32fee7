package org.sallowbrook.server.making.tincture;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.making.spirit.SpiritCalculators;
import org.sallowbrook.server.platform.Answer;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A tincture and a decoction joined. */
@RestController
@RequestMapping("/api/calculators")
class TwoExtractionsCalculator {

    record DoubleRequest(
            @Positive Double tinctureMl,

            @PositiveOrZero @DecimalMax(SpiritCalculators.MOST)
            Double tincturePercent,

            @Positive @DecimalMax(SpiritCalculators.MOST) @Nullable
            Double targetPercent,

            @PositiveOrZero @Nullable Double decoctionMl,
            TwoExtractions.@Nullable Order order) {}

    record DoubleNumbers(
            @Nullable Double decoctionMl,
            @Nullable Double tincturePercent,
            @Nullable Double finalPercent,
            @Nullable Double finalMl,
            @Nullable List<String> steps) {}

    @PostMapping("/tincture/double")
    Answer<DoubleNumbers> twoExtractions(@RequestBody DoubleRequest r) {
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
            return Answer.of(
                    DoubleNumbers.class,
                    null,
                    List.of(Finding.stop(
                            "DILUTION_STRENGTHENS",
                            "A decoction cannot bring " + Words.percent(tincture.fraction()) + " up to "
                                    + Words.figure(target) + " %.",
                            "Make the tincture stronger, or aim lower.")),
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
    Answer<DoubleNumbers> tinctureStrength(@RequestBody DoubleStrengthRequest r) {
        return answer(
                TwoExtractions.tinctureFor(r.tinctureMl(), r.decoctionMl(), Strength.ofPercent(r.targetPercent())),
                r.order());
    }

    private static Answer<DoubleNumbers> answer(TwoExtractions.Joined joined, TwoExtractions.@Nullable Order order) {
        return Answer.of(
                new DoubleNumbers(
                        joined.decoctionMl(),
                        joined.tincture().percent(),
                        joined.strength().percent(),
                        joined.finalMl(),
                        (order == null ? TwoExtractions.Order.SPIRIT_FIRST : order).steps()),
                joined.findings(),
                joined.because());
    }
}
