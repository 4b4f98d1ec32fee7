package org.sallowbrook.server.herbarium;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;

/** The shape of the YAML files, and their translation into core types. docs/formats/plant-card.md describes it. */
final class CardReader {

    record CharacterFile(
            String id,
            String name,
            CharacterDefinition.Organ organ,
            String look,
            Set<LifeStage> stages,
            @Nullable Boolean scent,
            @Nullable Integer cost,
            @Nullable Double error,
            LinkedHashMap<String, String> states) {

        private static final double USUAL_ERROR = 0.03;

        CharacterDefinition toCore() {
            return new CharacterDefinition(
                    id,
                    name,
                    organ,
                    look,
                    stages,
                    Boolean.TRUE.equals(scent),
                    cost == null ? 1 : cost,
                    error == null ? USUAL_ERROR : error,
                    states.entrySet().stream()
                            .map(e -> new CharacterDefinition.State(e.getKey(), e.getValue()))
                            .toList());
        }
    }

    record SourceFile(String title, int year, Source.Evidence evidence) {
        Source toCore() {
            return new Source(title, year, evidence, Source.Review.STARTER);
        }
    }

    record LookAlikeFile(String taxon, List<String> decisive, String tells) {}

    record SpiritFile(double ratio, double menstruumPercent, String source) {}

    record TeaFile(String method, double minutes, double gramsPerCup, double cupMl, String source) {}

    record DoseFile(
            String use,
            Taxon.Route route,
            String form,
            int fromAgeYears,
            double lowGPerDay,
            double highGPerDay,
            @Nullable Integer mostDays,
            String source) {}

    record UseFile(String name, Taxon.Route route, @Nullable Boolean grave, String source) {}

    record CautionFile(
            Taxon.Subject subject,
            @Nullable String value,
            Taxon.CautionStatus status,
            @Nullable Severity severity,
            String effect,
            String source) {}

    record PartFile(
            Taxon.Part part,
            String moment,
            Set<LifeStage> stages,
            Set<Integer> months,
            double sharePerPlant,
            double shareOfStand,
            @Nullable Interval freshMoisture,
            @Nullable Interval bulkDensityGPerMl,
            @Nullable Double dryAtC,
            @Nullable Boolean aromatic,
            Set<Taxon.Route> routes,
            String method,
            @Nullable SpiritFile spirit,
            @Nullable TeaFile tea,
            List<DoseFile> doses) {}

    record CardFile(
            String id,
            String name,
            String author,
            @Nullable List<String> olderNames,
            List<String> commonNames,
            String family,
            String lifeForm,
            Danger danger,
            @Nullable Boolean draft,
            @Nullable Boolean genusEnough,
            boolean lookAlikesChecked,
            Set<String> regions,
            String habitat,
            String protection,
            @Nullable List<String> hazards,
            @Nullable Boolean halfParasite,
            Map<LifeStage, Set<Integer>> months,
            LinkedHashMap<String, String> characters,
            @Nullable List<LookAlikeFile> lookAlikes,
            @Nullable List<PartFile> parts,
            @Nullable Set<Taxon.Constituent> constituents,
            @Nullable List<String> actions,
            @Nullable List<UseFile> uses,
            @Nullable List<CautionFile> cautions,
            @Nullable Map<String, SourceFile> sources,
            SourceFile source) {}

    private final Map<String, CharacterDefinition> vocabulary;

    CardReader(Map<String, CharacterDefinition> vocabulary) {
        this.vocabulary = vocabulary;
    }

    Taxon taxon(CardFile f) {
        return new Taxon(
                f.id(),
                f.name(),
                f.author(),
                list(f.olderNames()),
                f.commonNames(),
                f.family(),
                f.lifeForm(),
                f.danger(),
                Boolean.TRUE.equals(f.draft()),
                Boolean.TRUE.equals(f.genusEnough()),
                f.lookAlikesChecked(),
                f.regions(),
                f.habitat(),
                f.protection(),
                list(f.hazards()),
                Boolean.TRUE.equals(f.halfParasite()),
                f.months(),
                shown(f),
                list(f.lookAlikes()).stream()
                        .map(l -> new Taxon.LookAlike(l.taxon(), l.decisive(), l.tells()))
                        .toList(),
                list(f.parts()).stream().map(p -> part(f, p)).toList(),
                f.constituents() == null ? Set.of() : f.constituents(),
                list(f.actions()).stream()
                        .map(a -> new Taxon.Action(a, f.source().toCore()))
                        .toList(),
                list(f.uses()).stream()
                        .map(u -> new Taxon.Use(
                                u.name(), u.route(), Boolean.TRUE.equals(u.grave()), source(f, u.source())))
                        .toList(),
                list(f.cautions()).stream()
                        .map(c -> new Taxon.Caution(
                                c.subject(),
                                c.value() == null ? "" : c.value(),
                                c.status(),
                                c.severity(),
                                c.effect(),
                                source(f, c.source())))
                        .toList(),
                f.source().toCore());
    }

    private Taxon.UsedPart part(CardFile f, PartFile p) {
        return new Taxon.UsedPart(
                p.part(),
                p.moment(),
                p.stages(),
                p.months(),
                p.sharePerPlant(),
                p.shareOfStand(),
                p.freshMoisture(),
                p.bulkDensityGPerMl(),
                p.dryAtC(),
                Boolean.TRUE.equals(p.aromatic()),
                p.routes(),
                p.method(),
                p.spirit() == null
                        ? null
                        : new Taxon.SpiritAdvice(
                                p.spirit().ratio(),
                                p.spirit().menstruumPercent(),
                                source(f, p.spirit().source())),
                p.tea() == null
                        ? null
                        : new Taxon.TeaAdvice(
                                p.tea().method(),
                                p.tea().minutes(),
                                p.tea().gramsPerCup(),
                                p.tea().cupMl(),
                                source(f, p.tea().source())),
                p.doses().stream()
                        .map(d -> new Taxon.DoseRange(
                                d.use(),
                                d.route(),
                                d.form(),
                                d.fromAgeYears(),
                                Interval.of(d.lowGPerDay(), d.highGPerDay()),
                                d.mostDays(),
                                source(f, d.source())))
                        .toList(),
                f.source().toCore());
    }

    private static Source source(CardFile f, String key) {
        SourceFile source = f.sources() == null ? null : f.sources().get(key);
        if (source == null) {
            throw new IllegalArgumentException(f.id() + ": unknown source " + key);
        }
        return source.toCore();
    }

    /** "leaf-hairs@ROSETTE: usual bristly, rare soft"; without a stage it holds wherever the character can be seen. */
    private List<Taxon.Shown> shown(CardFile f) {
        List<Taxon.Shown> shown = new ArrayList<>();
        for (Map.Entry<String, String> entry : f.characters().entrySet()) {
            String[] key = entry.getKey().split("@");
            CharacterDefinition definition = vocabulary.get(key[0]);
            if (definition == null) {
                throw new IllegalArgumentException(f.id() + ": unknown character " + key[0]);
            }
            Set<LifeStage> stages = EnumSet.noneOf(LifeStage.class);
            if (key.length > 1) {
                for (String stage : key[1].split(",")) {
                    stages.add(LifeStage.valueOf(stage.strip()));
                }
            } else {
                stages.addAll(definition.stages());
                stages.retainAll(f.months().keySet());
            }
            Map<String, Frequency> states = new LinkedHashMap<>();
            for (String state : entry.getValue().split(",")) {
                String[] words = state.strip().split(" +");
                if (words.length != 2) {
                    throw new IllegalArgumentException(
                            f.id() + ": " + key[0] + " wants 'always state' or 'usual state, rare state'");
                }
                states.put(words[1], Frequency.valueOf(words[0].toUpperCase(Locale.ROOT)));
            }
            shown.add(new Taxon.Shown(key[0], new LinkedHashSet<>(stages), states));
        }
        return shown;
    }

    private static <T> List<T> list(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
