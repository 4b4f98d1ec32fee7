package org.sallowbrook.server.making.tincture;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.PoisonWords;
import org.sallowbrook.server.making.spirit.SpiritCalculators;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Several tinctures in one bottle. */
@RestController
@RequestMapping("/api/calculators")
class FormulaCalculator {

    record FormulaPartInput(
            String name,
            @Positive Double volumeMl,

            @PositiveOrZero @DecimalMax(SpiritCalculators.MOST)
            Double strengthPercent,

            @PositiveOrZero @Nullable Double herbEquivalentGPerMl,
            @Nullable String role,
            @Nullable String potency,
            @Nullable Set<Formula.Taste> tastes,
            @Nullable Set<Taxon.Constituent> constituents,
            @PositiveOrZero @Nullable Double costPerMl) {
        Formula.Part toCore() {
            return new Formula.Part(
                    PoisonWords.checked(LotForm.TINCTURE, "name", name),
                    volumeMl,
                    Strength.ofPercent(strengthPercent),
                    herbEquivalentGPerMl == null ? null : Interval.exactly(herbEquivalentGPerMl),
                    known(Formula.Role.class, role),
                    known(Formula.Potency.class, potency),
                    tastes == null ? Set.of() : tastes,
                    constituents == null
                            ? Set.of()
                            : constituents.stream().map(Enum::name).collect(Collectors.toSet()),
                    costPerMl);
        }
    }

    /** The words of a household that core has a rule for; others are only words. */
    private static <E extends Enum<E>> @Nullable E known(Class<E> type, @Nullable String word) {
        return word == null
                ? null
                : Arrays.stream(type.getEnumConstants())
                        .filter(e -> e.name().equalsIgnoreCase(word.strip()))
                        .findFirst()
                        .orElse(null);
    }

    record FormulaRequest(
            List<@Valid FormulaPartInput> parts,
            @Positive @Nullable Double dailyMl) {}

    record FormulaHerbAnswer(
            String name,
            @Nullable Double gPerMl,
            Double fraction,
            @Nullable Double gPerDay) {}

    record FormulaNumbers(
            Double volumeMl,
            Double strengthPercent,
            List<FormulaHerbAnswer> herbs,
            @Nullable Double cost,
            Map<Formula.Taste, Double> tastes,
            Map<String, Range> constituentGPerMl) {}

    @PostMapping("/formula")
    Answer<FormulaNumbers> formula(@RequestBody FormulaRequest r) {
        Formula.Result f = Formula.mix(Prefixed.each("parts", r.parts(), (i, p) -> p.toCore()), r.dailyMl());
        Map<String, Range> classes = new TreeMap<>();
        f.constituentGPerMl().forEach((name, sum) -> classes.put(name, Range.of(sum)));
        return Answer.of(
                new FormulaNumbers(
                        f.volumeMl(),
                        f.strength().percent(),
                        f.herbs().stream()
                                .map(h -> new FormulaHerbAnswer(
                                        h.name(),
                                        h.gPerMl() == null
                                                ? null
                                                : (Double) h.gPerMl().high(),
                                        h.fraction(),
                                        h.gPerDay() == null
                                                ? null
                                                : (Double) h.gPerDay().high()))
                                .toList(),
                        f.cost(),
                        f.tastes(),
                        classes),
                f.findings(),
                f.because());
    }
}
