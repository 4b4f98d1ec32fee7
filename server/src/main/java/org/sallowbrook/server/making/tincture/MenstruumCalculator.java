package org.sallowbrook.server.making.tincture;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.tincture.OtherMenstruum;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Vinegar, glycerine, honey or oxymel, fortified wine. */
@RestController
@RequestMapping("/api/calculators")
class MenstruumCalculator {

    record MenstruumRequest(
            OtherMenstruum.Kind kind,
            List<@Valid HerbInput> herbs,
            @Positive @DecimalMax("100") Double ratio,
            @Positive @DecimalMax("100") Double figurePercent,
            @PositiveOrZero @DecimalMax("0.95") @Nullable Double vinegarFraction,
            @PositiveOrZero @DecimalMax("100") @Nullable Double vinegarPercent) {}

    record MenstruumNumbers(
            @Nullable Double liquidMl,
            @Nullable Double liquidG,
            @Nullable String figureIs,
            @Nullable Range finalPercent,
            @Nullable Range totalMl,
            @Nullable Range pressedMl,
            @Nullable Range driedEquivalentGPerMl,
            @Nullable Boolean cold,
            @Nullable Integer keepsDays,
            @Nullable Integer keepsMonths) {

        static @Nullable MenstruumNumbers of(OtherMenstruum.@Nullable Plan p) {
            return p == null
                    ? null
                    : new MenstruumNumbers(
                            p.liquidMl(),
                            p.liquidG(),
                            p.figureIs(),
                            Range.of(p.finalFigure().times(100)),
                            Range.of(p.totalMl()),
                            Range.of(p.pressedMl()),
                            Range.of(p.driedEquivalentGPerMl()),
                            p.cold(),
                            p.keepsDays(),
                            p.keepsMonths());
        }
    }

    /** Vinegar, glycerine, honey or oxymel, fortified wine. */
    @PostMapping("/tincture/menstruum")
    Answer<MenstruumNumbers> menstruum(@RequestBody MenstruumRequest r) {
        OtherMenstruum.Result result = OtherMenstruum.plan(new OtherMenstruum.Recipe(
                r.kind(),
                HerbInput.toCore(r.herbs()),
                r.ratio(),
                r.figurePercent() / 100,
                r.vinegarFraction() == null ? 0 : r.vinegarFraction(),
                r.vinegarPercent() == null ? 0 : r.vinegarPercent() / 100));
        return Answer.of(
                MenstruumNumbers.class, MenstruumNumbers.of(result.plan()), result.findings(), result.because());
    }
}
