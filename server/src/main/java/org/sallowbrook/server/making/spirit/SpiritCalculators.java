package org.sallowbrook.server.making.spirit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.PoisonWords;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Spirit: mixed, diluted, blended from the shelf, read by the alcoholmeter. */
@RestController
@RequestMapping("/api/calculators")
public class SpiritCalculators {

    public static final String MOST = "97";

    /** By volume or by weight. */
    public record PourInput(
            @PositiveOrZero @Nullable Double volumeMl,
            @PositiveOrZero @Nullable Double massG,
            @PositiveOrZero @DecimalMax(MOST) Double strengthPercent) {
        public Pour toCore() {
            Checks.begin()
                    .that((volumeMl == null) != (massG == null), "volumeMl", "or massG must be given, not both")
                    .done();
            Strength strength = Strength.ofPercent(strengthPercent);
            return volumeMl != null
                    ? new Pour(volumeMl, strength)
                    : Pour.ofGrams(Objects.requireNonNull(massG), strength);
        }
    }

    record MixRequest(List<@Valid PourInput> pours) {}

    record MixNumbers(Double volumeMl, Double strengthPercent, Double massG, Double contractionMl) {}

    @PostMapping("/spirit/mix")
    Answer<MixNumbers> mix(@RequestBody MixRequest request) {
        List<Pour> pours = Prefixed.each("pours", request.pours(), (i, p) -> p.toCore());
        Spirits.Mixture m = Spirits.mix(pours);
        return Answer.of(
                new MixNumbers(m.volumeMl(), m.strength().percent(), m.massG(), m.contractionMl()),
                Spirits.fireFindings(m.strength()),
                Spirits.because(pours, m));
    }

    record DiluteRequest(
            @PositiveOrZero @DecimalMax(MOST) Double fromPercent,
            @PositiveOrZero @DecimalMax(MOST) Double toPercent,
            @Positive @Nullable Double finalVolumeMl,
            @Positive @Nullable Double spiritMl,
            @Positive @Nullable Double finalG,
            @Positive @Nullable Double spiritG) {}

    record DiluteNumbers(
            @Nullable Double spiritMl,
            @Nullable Double waterMl,
            @Nullable Double spiritG,
            @Nullable Double waterG,
            @Nullable Double finalVolumeMl) {}

    @PostMapping("/spirit/dilute")
    Answer<DiluteNumbers> dilute(@RequestBody DiluteRequest request) {
        Strength from = Strength.ofPercent(request.fromPercent());
        Strength to = Strength.ofPercent(request.toPercent());
        Double wanted = request.finalG() == null
                ? request.finalVolumeMl()
                : (Double) Pour.ofGrams(request.finalG(), to).volumeMl();
        Double spirit = request.spiritG() == null
                ? request.spiritMl()
                : (Double) Pour.ofGrams(request.spiritG(), from).volumeMl();
        long given = Stream.of(request.finalVolumeMl(), request.spiritMl(), request.finalG(), request.spiritG())
                .filter(Objects::nonNull)
                .count();
        Checks.begin()
                .that(given == 1, "finalVolumeMl", "or spiritMl (or finalG or spiritG) must be given, only one")
                .done();
        if (to.fraction() > from.fraction() || to.fraction() == 0) {
            Finding finding = to.fraction() == 0
                    ? Finding.stop(
                            "NO_SPIRIT_WANTED",
                            "No amount of water brings spirit down to nothing.",
                            "Ask for a strength above 0.")
                    : Finding.stop(
                            "DILUTION_STRENGTHENS",
                            "Water cannot bring " + Words.percent(from.fraction()) + " up to "
                                    + Words.percent(to.fraction()) + ".",
                            "Start from a stronger spirit.");
            return Answer.of(DiluteNumbers.class, null, List.of(finding), List.of());
        }
        Spirits.Dilution d = wanted != null
                ? Spirits.diluteTo(from, to, wanted)
                : Spirits.diluteSpirit(from, to, Objects.requireNonNull(spirit));
        return Answer.of(
                new DiluteNumbers(d.spiritMl(), d.waterMl(), d.spiritG(), d.waterG(), d.finalVolumeMl()),
                Spirits.fireFindings(from),
                Spirits.because(from, to, d));
    }

    public record BottleInput(
            String name,
            @PositiveOrZero @DecimalMax(MOST) Double strengthPercent,
            @PositiveOrZero Double availableMl,
            Boolean open) {
        public Blend.Bottle toCore() {
            return new Blend.Bottle(
                    PoisonWords.checked(LotForm.SPIRIT, "name", name),
                    Strength.ofPercent(strengthPercent),
                    availableMl,
                    open);
        }
    }

    record BlendRequest(
            @PositiveOrZero @DecimalMax(MOST) Double targetPercent,
            @Positive Double volumeMl,
            List<@Valid BottleInput> shelf) {}

    public record PourAnswer(String name, Double volumeMl, Double massG) {
        public static PourAnswer of(Blend.NamedPour p) {
            return new PourAnswer(p.name(), p.volumeMl(), p.massG());
        }
    }

    record BlendAnswer(
            Boolean feasible,
            String coreVersion,
            @Nullable List<PourAnswer> pours,
            @Nullable Double strengthPercent,
            @Nullable Double missingMl,
            List<Finding> findings,
            List<String> because) {}

    @PostMapping("/spirit/blend")
    BlendAnswer blend(@RequestBody BlendRequest request) {
        Blend.Result r = Blend.blend(
                Strength.ofPercent(request.targetPercent()),
                request.volumeMl(),
                Prefixed.each("shelf", request.shelf(), (i, b) -> b.toCore()));
        return new BlendAnswer(
                r.feasible(),
                CoreVersion.CURRENT,
                r.feasible() ? r.pours().stream().map(PourAnswer::of).toList() : null,
                r.feasible() ? r.strength().percent() : null,
                r.missingMl(),
                Answer.ungated(r.findings()),
                r.because());
    }

    record ReadingRequest(
            @PositiveOrZero @DecimalMax("100") Double readingPercent,
            @PositiveOrZero @DecimalMax("40") Double temperatureC) {}

    record ReadingNumbers(@Nullable Double strengthPercent) {}

    @PostMapping("/spirit/reading")
    Answer<ReadingNumbers> reading(@RequestBody ReadingRequest request) {
        Strength strength = EthanolWater.fromReading(request.readingPercent(), request.temperatureC());
        List<Finding> findings = new ArrayList<>();
        findings.add(Finding.note(
                "READING_PURE_ONLY",
                "Dissolved plant matter falsifies the reading.",
                "Read the menstruum before the herb goes in, never the tincture."));
        boolean tooStrong = strength.percent() > Strength.MOST_PERCENT;
        if (tooStrong) {
            findings.add(Finding.stop(
                    "ABOVE_97",
                    "The reading means " + Words.percent(strength.fraction()) + ", above the 97 % limit.",
                    "Check the thermometer and the reading."));
        }
        return Answer.of(
                ReadingNumbers.class,
                tooStrong ? null : new ReadingNumbers(strength.percent()),
                findings,
                EthanolWater.because(request.readingPercent(), request.temperatureC(), strength));
    }

    record ProofRequest(
            @PositiveOrZero @Nullable Double usProof,
            @PositiveOrZero @Nullable Double ukProof,
            @PositiveOrZero @DecimalMax(MOST) @Nullable Double strengthPercent) {}

    record ProofNumbers(Double strengthPercent, Double usProof, Double ukProof) {}

    @PostMapping("/spirit/proof")
    Answer<ProofNumbers> proof(@RequestBody ProofRequest r) {
        long given = Stream.of(r.usProof(), r.ukProof(), r.strengthPercent())
                .filter(Objects::nonNull)
                .count();
        Checks.begin()
                .that(given == 1, "strengthPercent", "or usProof or ukProof must be given, only one")
                .done();
        Strength strength = r.usProof() != null
                ? Strength.ofUsProof(r.usProof())
                : r.ukProof() != null
                        ? Strength.ofUkProof(r.ukProof())
                        : Strength.ofPercent(Objects.requireNonNull(r.strengthPercent()));
        return Answer.of(
                new ProofNumbers(strength.percent(), strength.usProof(), strength.ukProof()), List.of(), List.of());
    }
}
