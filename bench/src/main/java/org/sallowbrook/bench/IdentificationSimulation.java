package org.sallowbrook.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.bench.Interview.Outcome;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identifier;
import org.sallowbrook.server.herbarium.ShippedCards;

/** How far the engine can be trusted on the cards that ship: docs/measurements.md, section identification. */
public final class IdentificationSimulation {

    private static final int OBSERVERS = 1000;
    private static final int ORDERED_OBSERVERS = 200;
    private static final int RARE_RUNS = 2000;
    private static final int UNLISTED_OBSERVERS = 300;
    private static final long SEED = 20261125;

    /** A taxon at one of its stages. */
    private record Case(Taxon taxon, LifeStage stage, int month) {}

    private final Herbarium herbarium;
    private final Identifier identifier;
    private final List<Case> cases = new ArrayList<>();
    private final StringBuilder report = new StringBuilder();

    private IdentificationSimulation(Herbarium herbarium) {
        this.herbarium = herbarium;
        this.identifier = new Identifier(herbarium);
        for (Taxon taxon : herbarium.taxa()) {
            taxon.months().forEach((stage, months) -> cases.add(new Case(taxon, stage, new TreeSet<>(months).first())));
        }
        cases.sort(Comparator.comparing((Case c) -> c.taxon().id()).thenComparing(Case::stage));
    }

    public static void main(String[] args) throws IOException {
        long start = System.nanoTime();
        IdentificationSimulation simulation =
                new IdentificationSimulation(ShippedCards.load().herbarium());
        simulation.line("## Identification\n");
        simulation.line(
                "`./sallowbrook bench identification`; %d cards, %d characters, %d taxon-stages, seed %d.\n",
                simulation.herbarium.taxa().size(),
                simulation.herbarium.characters().size(),
                simulation.cases.size(),
                SEED);
        simulation.line(
                "%d observers each, error rates of the vocabulary, %.0f %% of characters not to be seen, the engine's"
                        + " own questions, %d at most.\n",
                OBSERVERS, Specimen.UNSEEABLE * 100, Interview.MOST_QUESTIONS);
        simulation.plain();
        simulation.questions();
        simulation.rare();
        simulation.singleErrors();
        simulation.unlisted();
        simulation.notTellable();
        simulation.line("\nTook %d s.", (System.nanoTime() - start) / 1_000_000_000);
        Measurements.write("identification", simulation.report.toString());
    }

    private void line(String format, Object... values) {
        String text = String.format(Locale.ROOT, format, values);
        report.append(text).append('\n');
        System.err.println(text);
    }

    private static SplittableRandom random(Case c, int salt) {
        return new SplittableRandom(
                SEED + 31L * c.taxon().id().hashCode() + 7L * c.stage().ordinal() + salt);
    }

    /** Whether the gate can pass at all: every dangerous taxon of its kind can be told at the stage. */
    private boolean tellable(Case c) {
        return herbarium.taxa().stream()
                .filter(t -> t.danger().dangerous()
                        && t.group() == c.taxon().group()
                        && !t.id().equals(c.taxon().id()))
                .allMatch(t -> Telling.between(c.taxon(), t, c.stage()).size() >= Telling.LEAST);
    }

    private static final class Tally {
        final Map<Status, AtomicInteger> by = new EnumMap<>(Status.class);
        final AtomicInteger wrong = new AtomicInteger();
        final AtomicInteger all = new AtomicInteger();

        Tally() {
            for (Status status : Status.values()) {
                by.put(status, new AtomicInteger());
            }
        }

        void count(Outcome outcome, Taxon truth) {
            all.incrementAndGet();
            if (outcome.status() == Status.CONFIRMED && !truth.id().equals(outcome.taxon())) {
                wrong.incrementAndGet();
            } else {
                by.get(outcome.status()).incrementAndGet();
            }
        }

        double share(int n) {
            return 100.0 * n / Math.max(1, all.get());
        }

        double share(Status status) {
            return share(by.get(status).get());
        }
    }

    private void plain() {
        Map<String, Tally> tallies = new TreeMap<>();
        Map<Case, Tally> each = Collections.synchronizedMap(new LinkedHashMap<>());
        for (Case c : cases) {
            each.put(c, new Tally());
        }
        cases.parallelStream().forEach(c -> {
            Tally tally = each.get(c);
            SplittableRandom random = random(c, 1);
            for (int i = 0; i < OBSERVERS; i++) {
                tally.count(
                        Interview.hold(
                                identifier,
                                herbarium,
                                c.stage(),
                                c.month(),
                                new Specimen(c.taxon(), c.stage(), random.split(), null, 0),
                                null),
                        c.taxon());
            }
        });
        line("| taxa | stages | specimens | CONFIRMED rightly | NOT YET | STOP | CONFIRMED as another |");
        line("|---|---|---|---|---|---|---|");
        each.forEach((c, t) -> {
            for (String row : rows(c)) {
                Tally sum = tallies.computeIfAbsent(row, k -> new Tally());
                t.by.forEach((s, n) -> sum.by.get(s).addAndGet(n.get()));
                sum.wrong.addAndGet(t.wrong.get());
                sum.all.addAndGet(t.all.get());
            }
        });
        tallies.forEach((row, t) -> line(
                "| %s | %d | %.2f %% | %.2f %% | %.2f %% | %d |",
                row,
                t.all.get(),
                t.share(Status.CONFIRMED),
                t.share(Status.NOT_YET),
                t.share(Status.STOP),
                t.wrong.get()));
        List<String> low = new ArrayList<>();
        each.forEach((c, t) -> {
            if (gathered(c) && c.stage() == LifeStage.FLOWERING && tellable(c) && t.share(Status.CONFIRMED) < 85) {
                low.add(String.format(Locale.ROOT, "%s %.0f %%", c.taxon().commonName(), t.share(Status.CONFIRMED)));
            }
        });
        line("\nIn flower, tellable and gathered, yet rightly CONFIRMED in under 85 %%: %s.", named(low));
    }

    private static boolean gathered(Case c) {
        return !c.taxon().parts().isEmpty();
    }

    private List<String> rows(Case c) {
        List<String> rows = new ArrayList<>();
        String danger = c.taxon().danger().name().toLowerCase(Locale.ROOT);
        rows.add("1 " + danger + " | all");
        if (gathered(c)) {
            rows.add("2 gathered | all");
            if (c.stage() == LifeStage.FLOWERING) {
                rows.add("3 gathered | FLOWERING");
                if (tellable(c)) {
                    rows.add("4 gathered, tellable from all that is dangerous | FLOWERING");
                }
            }
        }
        return rows;
    }

    private void questions() {
        List<Case> told = cases.stream()
                .filter(c -> gathered(c) && c.stage() == LifeStage.FLOWERING && tellable(c))
                .toList();
        List<Integer> own = Collections.synchronizedList(new ArrayList<>());
        List<Integer> fixed = Collections.synchronizedList(new ArrayList<>());
        List<Integer> shuffled = Collections.synchronizedList(new ArrayList<>());
        told.parallelStream().forEach(c -> {
            List<String> order = Interview.byPriorInformation(identifier, c.stage(), c.month());
            SplittableRandom random = random(c, 2);
            for (int i = 0; i < ORDERED_OBSERVERS; i++) {
                long seed = random.nextLong();
                List<String> any = new ArrayList<>(order);
                Collections.shuffle(any, new Random(seed));
                own.add(until(c, seed, null));
                fixed.add(until(c, seed, order));
                shuffled.add(until(c, seed, any));
            }
        });
        line(
                "\n**Questions until CONFIRMED** (median over %d specimens in flower, tellable and gathered; %d stands for"
                        + " never within %d): the engine's own %d, in a fixed order by prior information %d, in random"
                        + " order %d.",
                own.size(),
                Interview.MOST_QUESTIONS + 1,
                Interview.MOST_QUESTIONS,
                median(own),
                median(fixed),
                median(shuffled));
        line(
                "Never confirmed within %d: own %.1f %%, fixed %.1f %%, random %.1f %%.",
                Interview.MOST_QUESTIONS, never(own), never(fixed), never(shuffled));
    }

    private int until(Case c, long seed, @Nullable List<String> order) {
        Outcome outcome = Interview.hold(
                identifier,
                herbarium,
                c.stage(),
                c.month(),
                new Specimen(c.taxon(), c.stage(), new SplittableRandom(seed), null, 0),
                order);
        return outcome.status() == Status.CONFIRMED && c.taxon().id().equals(outcome.taxon())
                ? outcome.questions()
                : Interview.MOST_QUESTIONS + 1;
    }

    private static double never(List<Integer> questions) {
        return 100.0
                * questions.stream().filter(q -> q > Interview.MOST_QUESTIONS).count()
                / questions.size();
    }

    private static int median(List<Integer> values) {
        List<Integer> sorted = values.stream().sorted().toList();
        return sorted.get(sorted.size() / 2);
    }

    /** Twice, drawn more and less strongly: two estimates that agree are worth more than one small error. */
    private void rare() {
        rare(0.8);
        rare(0.6);
    }

    /** Wrong CONFIRMED of dangerous specimens, by answers drawn towards a gathered plant and weighted back. */
    private void rare(double pull) {
        List<Case> dangerous =
                cases.stream().filter(c -> c.taxon().danger().dangerous()).toList();
        List<Taxon> gathered = herbarium.taxa().stream()
                .filter(t -> !t.parts().isEmpty())
                .sorted(Comparator.comparing(Taxon::id))
                .toList();
        double[] mean = new double[dangerous.size()];
        double[] variance = new double[dangerous.size()];
        int[] hits = new int[dangerous.size()];
        java.util.stream.IntStream.range(0, dangerous.size()).parallel().forEach(k -> {
            Case c = dangerous.get(k);
            SplittableRandom random = random(c, 3);
            List<Taxon> near = nearest(c, gathered);
            double sum = 0;
            double squares = 0;
            for (int i = 0; i < RARE_RUNS; i++) {
                Taxon towards = near.get(i % near.size());
                Specimen specimen = new Specimen(c.taxon(), c.stage(), random.split(), towards, pull);
                Outcome outcome = Interview.hold(identifier, herbarium, c.stage(), c.month(), specimen, null);
                if (outcome.status() == Status.CONFIRMED && !c.taxon().id().equals(outcome.taxon())) {
                    double w = Math.exp(specimen.logWeight());
                    sum += w;
                    squares += w * w;
                    hits[k]++;
                }
            }
            mean[k] = sum / RARE_RUNS;
            variance[k] = (squares / RARE_RUNS - mean[k] * mean[k]) / RARE_RUNS;
        });
        double all = 0;
        double error = 0;
        int hit = 0;
        List<String> worst = new ArrayList<>();
        for (int k = 0; k < mean.length; k++) {
            all += mean[k] / mean.length;
            error += variance[k] / mean.length / mean.length;
            hit += hits[k];
            if (mean[k] > 5e-6) {
                worst.add(String.format(
                        Locale.ROOT,
                        "%s %s %.2g",
                        dangerous.get(k).taxon().commonName(),
                        dangerous.get(k).stage(),
                        mean[k]));
            }
        }
        line(
                "\n**Wrong CONFIRMED per dangerous specimen met**, by importance sampling (%d runs each for %d dangerous"
                        + " taxon-stages, each answer drawn with probability %.1f from one of the %d gathered plants nearest to"
                        + " it; %d runs ended in a wrong CONFIRMED): **%.3f in 1,000,000**, standard error %.3f.",
                RARE_RUNS, dangerous.size(), pull, NEAR, hit, all * 1e6, Math.sqrt(error) * 1e6);
        line("Above 5 in 1,000,000: %s.", named(worst));
    }

    private static final int NEAR = 8;

    /** Gathered plants with the fewest characters that tell them from the case, where the gate can pass at all. */
    private List<Taxon> nearest(Case c, List<Taxon> gathered) {
        return gathered.stream()
                .filter(t -> t.group() == c.taxon().group())
                .filter(t -> Telling.between(t, c.taxon(), c.stage()).size() >= Telling.LEAST)
                .sorted(Comparator.comparingInt(
                        t -> Telling.between(t, c.taxon(), c.stage()).size()))
                .limit(NEAR)
                .toList();
    }

    /** Every dangerous plant at every stage, all answers typical but one, which is wrong in every way it can be. */
    private void singleErrors() {
        AtomicInteger tried = new AtomicInteger();
        List<String> confirmed = Collections.synchronizedList(new ArrayList<>());
        cases.parallelStream().filter(c -> c.taxon().danger().dangerous()).forEach(c -> {
            for (CharacterDefinition character : herbarium.characters()) {
                if (!character.stages().contains(c.stage())) {
                    continue;
                }
                for (CharacterDefinition.State state : character.states()) {
                    tried.incrementAndGet();
                    Outcome outcome = typicalBut(c, character.id(), state.id());
                    if (outcome.status() == Status.CONFIRMED) {
                        confirmed.add(c.taxon().commonName() + " " + c.stage() + " by " + character.id());
                    }
                }
            }
        });
        line(
                "\n**Any single error** of an otherwise typical observer (%d combinations, exhaustive, the engine's own"
                        + " questions): wrong CONFIRMED %d%s.",
                tried.get(), confirmed.size(), confirmed.isEmpty() ? "" : ": " + String.join(", ", confirmed));
    }

    private Outcome typicalBut(Case c, String wrong, String state) {
        Map<String, String> usual = c.taxon().usual(c.stage());
        List<org.sallowbrook.core.identification.Identification.Observation> seen = new ArrayList<>();
        java.util.Set<String> skipped = new java.util.HashSet<>();
        while (true) {
            var result = identifier.identify(new org.sallowbrook.core.identification.Identification.Request(
                    c.month(), c.stage(), Interview.REGION, java.util.Set.of(), seen, skipped));
            var next = result.next();
            if (seen.size() + skipped.size() >= Interview.MOST_QUESTIONS
                    || next == null
                    || result.verdict().status() != Status.NOT_YET) {
                return new Outcome(result.verdict().status(), result.verdict().taxon(), seen.size());
            }
            String answer = next.character().equals(wrong) ? state : usual.get(next.character());
            if (answer == null) {
                skipped.add(next.character());
            } else {
                seen.add(new org.sallowbrook.core.identification.Identification.Observation(next.character(), answer));
            }
        }
    }

    /** A dangerous plant nobody wrote a card for. */
    private void unlisted() {
        Map<String, double[]> each = Collections.synchronizedMap(new TreeMap<>());
        List<Taxon> dangerous =
                herbarium.taxa().stream().filter(t -> t.danger().dangerous()).toList();
        dangerous.parallelStream().forEach(missing -> {
            Herbarium without = without(missing);
            Identifier blind = new Identifier(without);
            int all = 0;
            int confirmed = 0;
            Map<String, Integer> as = new TreeMap<>();
            for (Case c : cases) {
                if (!c.taxon().id().equals(missing.id())) {
                    continue;
                }
                SplittableRandom random = random(c, 4);
                for (int i = 0; i < UNLISTED_OBSERVERS; i++) {
                    Outcome outcome = Interview.hold(
                            blind,
                            without,
                            c.stage(),
                            c.month(),
                            new Specimen(missing, c.stage(), random.split(), null, 0),
                            null);
                    all++;
                    if (outcome.status() == Status.CONFIRMED) {
                        confirmed++;
                        as.merge(String.valueOf(outcome.taxon()), 1, Integer::sum);
                    }
                }
            }
            String most = as.entrySet().stream()
                    .max(Map.Entry.comparingByValue())
                    .map(e -> ", mostly as " + e.getKey())
                    .orElse("");
            each.put(missing.commonName() + most, new double[] {confirmed, all});
        });
        double confirmed = each.values().stream().mapToDouble(d -> d[0]).sum();
        double all = each.values().stream().mapToDouble(d -> d[1]).sum();
        List<String> some = each.entrySet().stream()
                .filter(e -> e.getValue()[0] > 0)
                .map(e -> String.format(Locale.ROOT, "%s %.1f %%", e.getKey(), 100 * e.getValue()[0] / e.getValue()[1]))
                .toList();
        line(
                "\n**An unlisted dangerous plant** (each taken out in turn, %d specimens): CONFIRMED as something else"
                        + " **%.2f %%**. By plant: %s.",
                (int) all, 100 * confirmed / all, named(some));
    }

    private Herbarium without(Taxon missing) {
        return new Herbarium(
                herbarium.characters(),
                herbarium.taxa().stream()
                        .filter(t -> !t.id().equals(missing.id()))
                        .toList());
    }

    private void notTellable() {
        List<String> pairs = new ArrayList<>();
        for (Taxon taxon : herbarium.taxa()) {
            for (Taxon.LookAlike likeness : taxon.lookAlikes()) {
                Taxon other = herbarium.taxon(likeness.taxon()).orElseThrow();
                if (!other.danger().dangerous() || taxon.danger().dangerous()) {
                    continue;
                }
                List<String> at = taxon.months().keySet().stream()
                        .filter(s -> !Telling.enough(herbarium, taxon, other, s))
                        .sorted()
                        .map(s -> s.name().toLowerCase(Locale.ROOT))
                        .toList();
                if (!at.isEmpty()) {
                    pairs.add(taxon.commonName() + " / " + other.commonName() + " (" + String.join(", ", at) + ")");
                }
            }
        }
        line("\n**Not tellable** (listed look-alike, stage): %s.", named(pairs));
        List<String> blocked = cases.stream()
                .filter(c -> gathered(c) && c.stage() == LifeStage.FLOWERING && !tellable(c))
                .map(c -> c.taxon().commonName() + " ("
                        + String.join(
                                ", ",
                                herbarium.taxa().stream()
                                        .filter(t -> t.danger().dangerous()
                                                && t.group() == c.taxon().group()
                                                && Telling.between(c.taxon(), t, c.stage())
                                                                .size()
                                                        < Telling.LEAST)
                                        .map(Taxon::commonName)
                                        .toList())
                        + ")")
                .toList();
        line("\nGathered plants that no look in flower can confirm, and what stands in the way: %s.", named(blocked));
    }

    private static String named(List<String> all) {
        return all.isEmpty() ? "none" : String.join("; ", all);
    }
}
