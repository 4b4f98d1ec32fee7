package org.sallowbrook.bench;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Result;
import org.sallowbrook.core.identification.Identifier;

/** One question on an invented herbarium: ranking of all taxa, verdict and the next question. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class IdentificationSpeed {

    private static final int CHARACTERS = 120;
    private static final int DANGEROUS_ONE_IN = 20;

    @Param({"1250", "2500", "5000"})
    public int taxa;

    @Param({"0", "6"})
    public int seen;

    private Identifier identifier = new Identifier(new Herbarium(List.of(), List.of()));
    private Request request = new Request(6, LifeStage.FLOWERING, "isle", List.of());

    @Setup
    public void invent() {
        SplittableRandom random = new SplittableRandom(5);
        List<CharacterDefinition> vocabulary = new ArrayList<>();
        CharacterDefinition.Organ[] organs = CharacterDefinition.Organ.values();
        for (int c = 0; c < CHARACTERS; c++) {
            List<CharacterDefinition.State> states = new ArrayList<>();
            for (int s = 0; s < 3 + c % 5; s++) {
                states.add(new CharacterDefinition.State("s" + s, "state " + s));
            }
            vocabulary.add(new CharacterDefinition(
                    "c" + c,
                    "character " + c,
                    organs[c % 5],
                    "look",
                    EnumSet.of(LifeStage.FLOWERING),
                    Set.of(Group.PLANT),
                    Set.of(),
                    false,
                    1,
                    0.03,
                    "part of its build",
                    states));
        }
        List<Taxon> all = new ArrayList<>();
        for (int t = 0; t < taxa; t++) {
            all.add(taxon(t, vocabulary, random));
        }
        identifier = new Identifier(new Herbarium(vocabulary, all));
        List<Observation> observations = new ArrayList<>();
        Map<String, String> usual = all.get(7).usual(LifeStage.FLOWERING);
        usual.entrySet().stream().limit(seen).forEach(e -> observations.add(new Observation(e.getKey(), e.getValue())));
        request = new Request(6, LifeStage.FLOWERING, "isle", observations);
        identifier.identify(request);
    }

    private static Taxon taxon(int t, List<CharacterDefinition> vocabulary, SplittableRandom random) {
        List<Taxon.Shown> shown = new ArrayList<>();
        for (CharacterDefinition c : vocabulary) {
            Map<String, Frequency> states = new LinkedHashMap<>();
            int first = random.nextInt(c.states().size());
            if (random.nextDouble() < 0.6) {
                states.put("s" + first, Frequency.ALWAYS);
            } else {
                states.put("s" + first, Frequency.USUAL);
                states.put("s" + (first + 1) % c.states().size(), Frequency.RARE);
            }
            shown.add(new Taxon.Shown(c.id(), Set.of(LifeStage.FLOWERING), Set.of(), states));
        }
        Source source = new Source("invented", 2026, Source.Evidence.REFERENCE, Source.Review.STARTER);
        return new Taxon(
                "t" + t,
                false,
                new Taxon.Naming(
                        "Genus t" + t,
                        "A.",
                        List.of(),
                        List.of("plant " + t),
                        Set.of(),
                        "Inventaceae",
                        Group.PLANT,
                        false),
                new Taxon.Growth("herb", Taxon.Origin.NATIVE, Set.of("isle"), "", "", false, "", ""),
                new Taxon.Harm(t % DANGEROUS_ONE_IN == 0 ? Danger.DEADLY : Danger.HARMLESS, Map.of(), ""),
                new Taxon.Looks(Map.of(LifeStage.FLOWERING, Set.of(6)), shown, List.of(), true),
                new Taxon.Usage(List.of(), Set.of(), List.of(), List.of(), List.of()),
                List.of(),
                source);
    }

    @Benchmark
    public Result question() {
        return identifier.identify(request);
    }
}
