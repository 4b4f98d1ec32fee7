package org.sallowbrook.server.making.oil;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.oil.Carrier;
import org.sallowbrook.core.making.oil.Evaporation;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.PoisonWords;
import org.sallowbrook.server.making.Materials;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Herb in oil, and a decoction boiled away into it. */
@RestController
@RequestMapping("/api/calculators")
class OilCalculators {

    private final Materials materials;

    OilCalculators(Materials materials) {
        this.materials = materials;
    }

    record OilHerbInput(String name, @Positive Double massG, Range moisture) {}

    record OilRequest(
            List<@Valid OilHerbInput> herbs,
            @Positive @DecimalMax("100") Double ratio,
            String carrier,
            @PositiveOrZero @Nullable Integer carrierMonths,
            InfusedOil.Method method,
            Boolean eaten,
            @PositiveOrZero @DecimalMax("0.005") @Nullable Double antioxidantFraction) {}

    record OilNumbers(
            @Nullable Double oilMl,
            @Nullable Double oilG,
            @Nullable Double antioxidantG,
            @Nullable Range yieldMl,
            @Nullable Range readyAfterDays,
            @Nullable Integer keepsMonths,
            @Nullable Integer keepsDays) {

        static @Nullable OilNumbers of(InfusedOil.@Nullable Plan p) {
            return p == null
                    ? null
                    : new OilNumbers(
                            p.oilMl(),
                            p.oilG(),
                            p.antioxidantG(),
                            Range.of(p.yieldMl()),
                            Range.of(p.readyAfterDays()),
                            p.keepsMonths(),
                            p.keepsDays());
        }
    }

    /** As sent, else the carrier's own; null where nothing is known of it, which core then says. */
    private @Nullable Integer carrierMonths(OilRequest request) {
        if (request.carrierMonths() != null) {
            return request.carrierMonths();
        }
        Carrier carrier = materials.carrier(request.carrier());
        return carrier.source() == null ? null : (Integer) carrier.months();
    }

    @PostMapping("/oil")
    Answer<OilNumbers> oil(@RequestBody OilRequest request) {
        List<HerbPortion> herbs = Prefixed.each(
                "herbs",
                request.herbs(),
                (i, h) -> new HerbPortion(h.name(), h.massG(), Prefixed.at("moisture", h.moisture()::moisture)));
        InfusedOil.Result r = InfusedOil.plan(new InfusedOil.Recipe(
                herbs,
                request.ratio(),
                PoisonWords.checked(LotForm.CARRIER_OIL, "carrier", request.carrier()),
                carrierMonths(request),
                request.method(),
                request.eaten(),
                request.antioxidantFraction() == null ? 0 : request.antioxidantFraction()));
        return Answer.of(OilNumbers.class, OilNumbers.of(r.plan()), r.findings(), r.because());
    }

    record EvaporationRequest(
            @Positive Double oilG,
            @PositiveOrZero Double extractG,
            @Positive Double nowG) {}

    record EvaporationNumbers(Double waterLeftG, Boolean done) {}

    /** A decoction boiled away into oil: is the water gone? */
    @PostMapping("/oil/evaporation")
    Answer<EvaporationNumbers> evaporation(@RequestBody EvaporationRequest r) {
        Evaporation.State s = Evaporation.state(r.oilG(), r.extractG(), r.nowG());
        return Answer.of(new EvaporationNumbers(s.waterLeftG(), s.done()), s.findings(), s.because());
    }
}
