package org.sallowbrook.server.herbarium;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Interval;

/** Turns a written card into a taxon, filling in the characters of its kinds. */
final class CardReader {

    /** Characters many cards share. */
    record Kind(
            String words,
            LinkedHashMap<String, String> characters,
            @Nullable Map<String, String> never) {}

    /** A card that can't be understood. @param where the word of the card to look at */
    static final class Unreadable extends IllegalArgumentException {

        final String where;

        Unreadable(String where, String message) {
            super(message);
            this.where = where;
        }
    }

    private record Line(String character, Set<LifeStage> stages, Set<LookingCondition> under, String states) {}

    private static final String LEAVES_NOW = "leaves-now";

    private final Map<String, CharacterDefinition> vocabulary;
    private final Map<String, Kind> kinds;

    CardReader(Map<String, CharacterDefinition> vocabulary, Map<String, Kind> kinds) {
        this.vocabulary = vocabulary;
        this.kinds = kinds;
    }

    /** @throws Unreadable when a line makes no sense */
    Taxon taxon(CardFile f) {
        Group group = f.group() == null ? Group.PLANT : f.group();
        return new Taxon(
                f.id(),
                Boolean.TRUE.equals(f.draft()),
                new Taxon.Naming(
                        f.name(),
                        f.author(),
                        list(f.olderNames()),
                        f.commonNames(),
                        f.ambiguousNames() == null ? Set.of() : f.ambiguousNames(),
                        f.family(),
                        group,
                        Boolean.TRUE.equals(f.genusEnough())),
                new Taxon.Growth(
                        f.lifeForm(),
                        f.origin() == null ? Taxon.Origin.NATIVE : f.origin(),
                        f.regions(),
                        f.habitat(),
                        f.protection(),
                        Boolean.TRUE.equals(f.halfParasite()),
                        text(f.sexes()),
                        text(f.winterTells())),
                new Taxon.Harm(f.danger(), f.hazards() == null ? Map.of() : f.hazards(), text(f.washing())),
                new Taxon.Looks(
                        f.months(),
                        shown(f, group),
                        list(f.lookAlikes()).stream()
                                .map(l -> new Taxon.LookAlike(
                                        l.taxon(),
                                        l.decisive(),
                                        l.tellable() == null ? Set.of() : l.tellable(),
                                        l.tells()))
                                .toList(),
                        f.lookAlikesChecked()),
                new Taxon.Usage(
                        list(f.parts()).stream().map(p -> part(f, p)).toList(),
                        f.constituents() == null ? Set.of() : f.constituents(),
                        list(f.actions()).stream()
                                .map(a -> new Taxon.Action(a, f.source().toCore()))
                                .toList(),
                        list(f.uses()).stream()
                                .map(u -> new Taxon.Use(
                                        u.name(),
                                        u.route(),
                                        u.potency() == null ? Taxon.Potency.MODERATE : u.potency(),
                                        usedFor(f, u),
                                        Boolean.TRUE.equals(u.grave()),
                                        source(f, u.source())))
                                .toList(),
                        list(f.foods()).stream()
                                .map(o -> new Taxon.Food(o.what(), o.limit(), source(f, o.source())))
                                .toList()),
                list(f.cautions()).stream()
                        .map(c -> new Taxon.Caution(
                                c.subject(),
                                text(c.value()),
                                c.status(),
                                c.severity(),
                                c.effect(),
                                source(f, c.source())))
                        .toList(),
                f.source().toCore());
    }

    /** The parts a use names; else those that have a dose for it; else those that are used by its route. */
    private static Set<Taxon.Part> usedFor(CardFile f, CardFile.UseFile use) {
        Set<Taxon.Part> parts = EnumSet.noneOf(Taxon.Part.class);
        if (use.parts() != null) {
            parts.addAll(use.parts());
            return parts;
        }
        for (CardFile.PartFile part : list(f.parts())) {
            if (list(part.doses()).stream().anyMatch(d -> d.use().equalsIgnoreCase(use.name()))) {
                parts.add(part.part());
            }
        }
        if (parts.isEmpty()) {
            list(f.parts()).stream()
                    .filter(p -> p.routes().contains(use.route()))
                    .forEach(p -> parts.add(p.part()));
        }
        return parts;
    }

    private Taxon.UsedPart part(CardFile f, CardFile.PartFile p) {
        return new Taxon.UsedPart(
                p.part(),
                new Taxon.Gathering(
                        p.moment(),
                        p.stages(),
                        p.months(),
                        p.sharePerPlant(),
                        p.shareOfStand(),
                        interval(p.degreeDays(), "degreeDays"),
                        p.leastAgeYears(),
                        p.frost(),
                        p.method(),
                        text(p.tools())),
                new Taxon.Drying(
                        interval(p.freshMoisture(), "freshMoisture"),
                        interval(p.freshBulkDensityGPerMl(), "freshBulkDensityGPerMl"),
                        p.dryAtC(),
                        Boolean.TRUE.equals(p.aromatic())),
                new Taxon.Keeping(
                        interval(p.bulkDensityGPerMl(), "bulkDensityGPerMl"), p.storageMonths(), p.ageingMonths()),
                using(f, p),
                f.source().toCore());
    }

    private static Taxon.Using using(CardFile f, CardFile.PartFile p) {
        return new Taxon.Using(
                p.routes(),
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
                list(p.doses()).stream()
                        .map(d -> new Taxon.DoseRange(
                                d.use(),
                                d.route(),
                                d.form(),
                                d.fromAgeYears(),
                                positive(d.lowGPerDay(), d.highGPerDay(), "lowGPerDay"),
                                d.mostDays(),
                                source(f, d.source())))
                        .toList(),
                list(p.contents()).stream()
                        .map(c -> new Taxon.Content(
                                c.constituent(),
                                positive(c.lowMgPerG(), c.highMgPerG(), "lowMgPerG"),
                                c.mostMgPerDay(),
                                c.mostMgPerKgPerDay(),
                                source(f, c.source())))
                        .toList());
    }

    private static @Nullable Interval interval(CardFile.@Nullable RangeFile range, String field) {
        return range == null ? null : positive(range.low(), range.high(), field);
    }

    private static Interval positive(double low, double high, String field) {
        if (!(low >= 0 && high >= low && high < Double.POSITIVE_INFINITY)) {
            throw new Unreadable(field, field + ": the low end must be at least 0 and not above the high end");
        }
        return Interval.of(low, high);
    }

    private static org.sallowbrook.core.herbarium.Source source(CardFile f, String key) {
        CardFile.SourceFile source = f.sources() == null ? null : f.sources().get(key);
        if (source == null) {
            throw new Unreadable(key, "unknown source " + key);
        }
        return source.toCore();
    }

    // ---- characters

    private List<Taxon.Shown> shown(CardFile f, Group group) {
        // The card's own lines stand first and win; of its kinds, the later wins.
        Map<String, List<Line>> lines = new LinkedHashMap<>(lines(f.characters(), group));
        List<String> like = new ArrayList<>(list(f.like()));
        Collections.reverse(like);
        for (String kind : like) {
            Kind known = kinds.get(kind);
            if (known == null) {
                throw new Unreadable(kind, "unknown kind " + kind);
            }
            lines(known.characters(), group).forEach(lines::putIfAbsent);
        }
        Map<String, String> never = new LinkedHashMap<>();
        for (String kind : like) {
            Map<String, String> reasons =
                    Objects.requireNonNull(kinds.get(kind)).never();
            // A kind's reason is for what the kind says; a card that says otherwise gives its own.
            if (reasons != null) {
                reasons.forEach((c, why) -> {
                    if (lines.getOrDefault(c, List.of())
                            .equals(lines(
                                            Objects.requireNonNull(kinds.get(kind))
                                                    .characters(),
                                            group)
                                    .get(c))) {
                        never.put(c, why);
                    }
                });
            }
        }
        if (f.never() != null) {
            f.never().keySet().forEach(this::definition);
            never.putAll(f.never());
        }
        boolean harms = f.danger().dangerous()
                || (f.constituents() != null && f.constituents().stream().anyMatch(Taxon.Constituent::harmsWhenTaken));
        Set<LifeStage> leafless = EnumSet.noneOf(LifeStage.class);
        for (Line line : lines.getOrDefault(LEAVES_NOW, List.of())) {
            if (line.states().strip().equals("always absent")) {
                leafless.addAll(stages(line));
            }
        }
        List<Taxon.Shown> shown = new ArrayList<>();
        for (List<Line> of : lines.values()) {
            for (Line line : of) {
                CharacterDefinition definition = definition(line.character());
                Set<LifeStage> stages = stages(line);
                boolean ofLeaf =
                        definition.organ() == Organ.LEAF || definition.id().equals("scent");
                if (ofLeaf && line.stages().isEmpty() && !seenOnBareWood(definition, line)) {
                    stages.removeAll(leafless);
                }
                Taxon.Shown read = new Taxon.Shown(
                        line.character(),
                        new LinkedHashSet<>(stages),
                        line.under(),
                        states(line),
                        never.getOrDefault(line.character(), ""));
                shown.add(harms ? read.asPromised(definition) : read);
            }
        }
        return shown;
    }

    /** That it keeps no leaves, and bears no needles, is seen on bare wood too. */
    private static boolean seenOnBareWood(CharacterDefinition definition, Line line) {
        return definition.id().equals("evergreen")
                || (definition.id().startsWith("needle-")
                        && states(line).keySet().stream().noneMatch(definition::showsLeaf));
    }

    /** "leaf-hairs@ROSETTE+SHADE"; without a stage a line holds wherever the character can be seen. */
    private Map<String, List<Line>> lines(Map<String, String> characters, Group group) {
        Map<String, List<Line>> lines = new LinkedHashMap<>();
        for (Map.Entry<String, String> entry : characters.entrySet()) {
            String[] key = entry.getKey().split("@", 2);
            if (!definition(key[0]).groups().contains(group)) {
                throw new Unreadable(key[0], key[0] + " does not exist in the group " + group);
            }
            Set<LifeStage> stages = EnumSet.noneOf(LifeStage.class);
            Set<LookingCondition> under = EnumSet.noneOf(LookingCondition.class);
            if (key.length > 1) {
                String[] parts = key[1].split("\\+");
                for (String stage : parts[0].split(",")) {
                    if (!stage.isBlank()) {
                        stages.add(constant(LifeStage.class, stage, entry.getKey()));
                    }
                }
                for (int i = 1; i < parts.length; i++) {
                    under.add(constant(LookingCondition.class, parts[i], entry.getKey()));
                }
            }
            lines.computeIfAbsent(key[0], k -> new ArrayList<>())
                    .add(new Line(key[0], stages, under, text(entry.getValue())));
        }
        return lines;
    }

    private Set<LifeStage> stages(Line line) {
        Set<LifeStage> stages = EnumSet.noneOf(LifeStage.class);
        stages.addAll(line.stages().isEmpty() ? definition(line.character()).stages() : line.stages());
        return stages;
    }

    private static Map<String, Frequency> states(Line line) {
        Map<String, Frequency> states = new LinkedHashMap<>();
        for (String state : line.states().split(",")) {
            String[] words = state.strip().split(" +");
            if (words.length < 2 || words.length > 3) {
                throw new Unreadable(
                        line.character(),
                        line.character() + " wants 'always state' or 'usual state, usual 0.3 state, rare state'");
            }
            states.put(words[words.length - 1], frequency(words, line.character()));
        }
        return states;
    }

    private static Frequency frequency(String[] words, String character) {
        Frequency.Word word = constant(Frequency.Word.class, words[0].toUpperCase(Locale.ROOT), character);
        if (words.length == 3) {
            double share;
            try {
                share = Double.parseDouble(words[1]);
            } catch (NumberFormatException e) {
                throw new Unreadable(character, character + ": " + words[1] + " is not a share");
            }
            if (word != Frequency.Word.USUAL || !(share > 0 && share <= 1)) {
                throw new Unreadable(character, character + ": only 'usual' takes a share, above 0 and at most 1");
            }
            return Frequency.usual(share);
        }
        return switch (word) {
            case ALWAYS -> Frequency.ALWAYS;
            case USUAL -> Frequency.USUAL;
            case RARE -> Frequency.RARE;
            case POSSIBLE -> throw new Unreadable(character, character + ": 'possible' is not written on a card");
        };
    }

    private static <E extends Enum<E>> E constant(Class<E> type, String word, String where) {
        try {
            return Enum.valueOf(type, word.strip());
        } catch (IllegalArgumentException e) {
            throw new Unreadable(
                    where, where + ": " + word.strip() + " is none of " + Arrays.toString(type.getEnumConstants()));
        }
    }

    private CharacterDefinition definition(String id) {
        CharacterDefinition definition = vocabulary.get(id);
        if (definition == null) {
            throw new Unreadable(id, "unknown character " + id);
        }
        return definition;
    }

    private static String text(@Nullable String text) {
        return text == null ? "" : text;
    }

    private static <T> List<T> list(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
