package org.sallowbrook.server.making;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.oil.Carrier;
import org.sallowbrook.core.making.oil.Evaporation;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Cream;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Oils, salves and creams. */
@RestController
@RequestMapping("/api/calculators")
class OilAndSalveCalculators {

    private final Materials materials;

    OilAndSalveCalculators(Materials materials) {
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
        List<InfusedOil.Herb> herbs = Prefixed.each(
                "herbs",
                request.herbs(),
                (i, h) -> new InfusedOil.Herb(h.name(), h.massG(), Prefixed.at("moisture", h.moisture()::moisture)));
        InfusedOil.Result r = InfusedOil.plan(new InfusedOil.Recipe(
                herbs,
                request.ratio(),
                request.carrier(),
                carrierMonths(request),
                request.method(),
                request.eaten(),
                request.antioxidantFraction() == null ? 0 : request.antioxidantFraction()));
        return Answer.of(OilNumbers.class, OilNumbers.of(r.plan()), r.findings(), r.because());
    }

    record TinInput(@Positive Double capacityMl, @Positive Integer count) {}

    record SalveRequest(
            List<@Valid TinInput> tins,
            Salve.Firmness firmness,
            String wax,
            @DecimalMin("-20") @DecimalMax("40") Double storageTemperatureC,
            @PositiveOrZero @DecimalMax("0.5") Double wasteFraction,
            @Positive @Nullable Double densityGPerMl,
            @PositiveOrZero @DecimalMax("0.8") @Nullable Double butterFraction,
            @PositiveOrZero @DecimalMax("0.2") @Nullable Double resinFraction,
            @PositiveOrZero @Nullable Double essentialOilG,
            @PositiveOrZero @DecimalMax("130") @Nullable Double youngestAgeYears) {}

    record SalveNumbers(
            @Nullable Double totalG,
            @Nullable Double waxG,
            @Nullable Double oilG,
            @Nullable Double butterG,
            @Nullable Double resinG,
            @Nullable Double waxFraction) {

        static @Nullable SalveNumbers of(Salve.@Nullable Plan p) {
            return p == null
                    ? null
                    : new SalveNumbers(p.totalG(), p.waxG(), p.oilG(), p.butterG(), p.resinG(), p.waxFraction());
        }
    }

    @PostMapping("/salve")
    Answer<SalveNumbers> salve(@RequestBody SalveRequest request) {
        Salve.Result r = Salve.plan(new Salve.Recipe(
                Prefixed.each("tins", request.tins(), (i, t) -> new Salve.Tin(t.capacityMl(), t.count())),
                request.firmness(),
                materials.wax(request.wax()),
                request.storageTemperatureC(),
                request.wasteFraction(),
                request.densityGPerMl(),
                request.butterFraction() == null ? 0 : request.butterFraction(),
                request.resinFraction() == null ? 0 : request.resinFraction(),
                request.essentialOilG() == null ? 0 : request.essentialOilG(),
                request.youngestAgeYears() == null ? 18 : request.youngestAgeYears(),
                List.of()));
        return Answer.of(SalveNumbers.class, SalveNumbers.of(r.plan()), r.findings(), r.because());
    }

    record CreamRequest(
            @Positive Double totalG,
            @Positive @DecimalMax("0.8") Double oilFraction,
            @Positive @DecimalMax("0.2") Double emulsifierFraction,
            @PositiveOrZero @DecimalMax("0.05") Double preservativeFraction) {}

    record CreamNumbers(
            Double oilG,
            Double waterG,
            Double emulsifierG,
            Double preservativeG,
            Integer keepsDays,
            List<String> steps) {}

    @PostMapping("/cream")
    Answer<CreamNumbers> cream(@RequestBody CreamRequest r) {
        Cream.Plan p = Cream.plan(
                new Cream.Recipe(r.totalG(), r.oilFraction(), r.emulsifierFraction(), r.preservativeFraction()));
        return Answer.of(
                new CreamNumbers(p.oilG(), p.waterG(), p.emulsifierG(), p.preservativeG(), p.keepsDays(), p.steps()),
                p.findings(),
                p.because());
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

    record SkinOilRequest(
            @Positive Double totalG,
            @PositiveOrZero Double essentialOilG,
            @PositiveOrZero @DecimalMax("130") Double youngestAgeYears) {}

    record SkinOilAnswer(
            Boolean feasible, String coreVersion, Double mostG, List<Finding> findings, List<String> because) {}

    /** How much essential oil something for the skin may hold. */
    @PostMapping("/salve/essential-oil")
    SkinOilAnswer essentialOil(@RequestBody SkinOilRequest r) {
        EssentialOil.Limit limit = EssentialOil.check(r.totalG(), r.essentialOilG(), r.youngestAgeYears());
        return new SkinOilAnswer(
                !Finding.any(limit.findings(), Severity.STOP),
                CoreVersion.CURRENT,
                limit.mostG(),
                Answer.ungated(limit.findings()),
                limit.because());
    }
}
