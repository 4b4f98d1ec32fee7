package org.sallowbrook.server.making;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.making.oil.Carrier;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Oils, waxes and essential oils, from the commented resources in {@code making/}. */
@Component
public class Materials {

    private record CarrierRow(
            String name,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable String source,
            @Nullable Integer year) {
        Carrier toCore() {
            if (low == null || high == null || source == null || year == null) {
                return Carrier.unknown(name);
            }
            return new Carrier(
                    name,
                    Interval.of(low, high),
                    new Source(source, year, Source.Evidence.REFERENCE, Source.Review.STARTER));
        }
    }

    private record EssentialRow(
            String name,
            @Nullable Double most,
            Set<EssentialOil.Hazard> hazards,
            @Nullable String source,
            @Nullable Integer year) {
        EssentialOil.Kind toCore() {
            return new EssentialOil.Kind(
                    name,
                    most,
                    hazards,
                    source == null || year == null
                            ? null
                            : new Source(source, year, Source.Evidence.REFERENCE, Source.Review.STARTER),
                    true);
        }
    }

    private final List<Carrier> carriers;
    private final List<EssentialOil.Kind> essentialOils;
    private final List<Wax> waxes;

    Materials() {
        carriers = read("making/carriers.yaml", new TypeReference<List<CarrierRow>>() {}).stream()
                .map(CarrierRow::toCore)
                .toList();
        essentialOils = read("making/essential-oils.yaml", new TypeReference<List<EssentialRow>>() {}).stream()
                .map(EssentialRow::toCore)
                .toList();
        waxes = read("making/waxes.yaml", new TypeReference<List<Wax>>() {});
    }

    public List<Carrier> carriers() {
        return carriers;
    }

    /** The longest name that occurs in what the household calls it; a carrier without figures where none does. */
    public Carrier carrier(String called) {
        String words = called.toLowerCase(Locale.ROOT);
        return carriers.stream()
                .filter(c -> words.contains(c.name()) || words.contains(c.name().replace(" oil", "")))
                .max((a, b) -> Integer.compare(a.name().length(), b.name().length()))
                .orElse(Carrier.unknown(called));
    }

    public EssentialOil.Kind essentialOil(String called) {
        return EssentialOil.Kind.called(called, essentialOils);
    }

    /** @throws org.sallowbrook.core.measure.InvalidInput for a wax of which nothing is known */
    public Wax wax(String called) {
        String words = called.toLowerCase(Locale.ROOT);
        Wax known =
                waxes.stream().filter(w -> words.contains(w.name())).findFirst().orElse(null);
        Checks.begin()
                .that(
                        known != null,
                        "wax",
                        "must be one of " + waxes.stream().map(Wax::name).toList())
                .done();
        return java.util.Objects.requireNonNull(known);
    }

    private static <T> T read(String path, TypeReference<T> type) {
        try (InputStream in = new ClassPathResource(path).getInputStream()) {
            return YAMLMapper.builder().build().readValue(in, type);
        } catch (IOException e) {
            throw new IllegalStateException("can't read " + path, e);
        }
    }
}
