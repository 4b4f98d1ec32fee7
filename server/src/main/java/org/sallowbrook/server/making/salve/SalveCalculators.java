package org.sallowbrook.server.making.salve;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.salve.Cream;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.server.making.Materials;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Salves and creams by their tins and parts. */
@RestController
@RequestMapping("/api/calculators")
class SalveCalculators {

    private final Materials materials;

    SalveCalculators(Materials materials) {
        this.materials = materials;
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
