package org.sallowbrook.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.bench.Interview.Outcome;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identifier;
import org.sallowbrook.server.herbarium.ShippedCards;

/**
 * How far the engine can be trusted on the cards that ship: docs/measurements.md, section identification. Arguments: the
 * number of runs for each pair of plants; {@code plain} for the first table only, not written down.
 */
public final class IdentificationSimulation {

    private static final int RUNS = 40;
    private static final long SEED = 20261126;

    /** A taxon at one of its stages. */
    private record Case(Taxon taxon, LifeStage stage, int month) {}

    private final Herbarium herbarium;
    private final Identifier identifier;
    private final int runs;
    private final List<Case> cases = new ArrayList<>();
    private final Map<LifeStage, List<Taxon>> confirmable = new EnumMap<>(LifeStage.class);
    private final StringBuilder report = new StringBuilder();

    private IdentificationSimulation(Herbarium herbarium, int runs) {
        this.herbarium = herbarium;
        this.identifier = new Identifier(herbarium);
        this.runs = runs;
        for (Taxon taxon : herbarium.taxa()) {
            taxon.months().forEach((stage, months) -> cases.add(new Case(taxon, stage, new TreeSet<>(months).first())));
        }
        cases.sort(Comparator.comparing((Case c) -> c.taxon().id()).thenComparing(Case::stage));
    }

    public static void main(String[] args) throws IOException {
        long start = System.nanoTime();
        IdentificationSimulation simulation = new IdentificationSimulation(
                ShippedCards.load().herbarium(), args.length > 0 ? Integer.parseInt(args[0]) : RUNS);
        simulation.line("## Identification\n");
        simulation.line(
                "`./sallowbrook bench identification`; %d cards, %d characters, %d taxon-stages, seed %d. %.0f %% of"
                        + " characters not to be seen; the engine's own questions, %d at most.\n",
                simulation.herbarium.taxa().size(),
                simulation.herbarium.characters().size(),
                simulation.cases.size(),
                SEED,
                Specimen.UNSEEABLE * 100,
                Interview.MOST_QUESTIONS);
        simulation.plain();
        if (args.length > 1 && args[1].equals("plain")) {
            return;
        }
        simulation.observers();
        simulation.fewestWrongAnswers(Status.CONFIRMED);
        simulation.fewestWrongAnswers(Status.SECOND_WANTED);
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
                SEED + 31L * c.taxon().id().hashCode() + 7L * c.stage().ordinal() + 1000003L * salt);
    }

    private static boolean gathered(Case c) {
        return !c.taxon().parts().isEmpty();
    }

    private static boolean dangerous(Case c) {
        return c.taxon().danger().dangerous();
    }

    /** What can't be told from it at the stage, so that no look confirms it. */
    private List<Taxon> inTheWay(Case c) {
        return herbarium.taxa().stream()
                .filter(t -> t.group() == c.taxon().group()
                        && !t.id().equals(c.taxon().id())
                        && c.taxon().mustBeToldFrom(t)
                        && !Telling.enough(herbarium, c.taxon(), t, c.stage()))
                .toList();
    }

    /** Halfway or further: one of two looks that agree. */
    private static boolean halfway(Status status) {
        return status == Status.CONFIRMED || status == Status.SECOND_WANTED;
    }

    private Outcome hold(Case c, LifeStage named, int month, Specimen specimen) {
        return Interview.hold(identifier, herbarium, named, month, specimen, null);
    }

    private static boolean wrong(Outcome outcome, Taxon truth) {
        return outcome.status() == Status.CONFIRMED && !truth.id().equals(outcome.taxon());
    }

    private static final class Tally {
        final Map<Status, AtomicInteger> by = new EnumMap<>(Status.class);
        final AtomicInteger wrong = new AtomicInteger();
        /** Certain after a second look at another plant, where one was wanted. */
        final AtomicInteger afterTwo = new AtomicInteger();

        final AtomicInteger all = new AtomicInteger();
        final List<Integer> questions = Collections.synchronizedList(new ArrayList<>());

        Tally() {
            for (Status status : Status.values()) {
                by.put(status, new AtomicInteger());
            }
        }

        void count(Outcome outcome, Taxon truth) {
            all.incrementAndGet();
            if (wrong(outcome, truth)) {
                wrong.incrementAndGet();
            } else {
                by.get(outcome.status()).incrementAndGet();
                if (outcome.status() == Status.CONFIRMED) {
                    questions.add(outcome.questions());
                }
            }
        }

        void add(Tally other) {
            other.by.forEach((s, n) -> by.get(s).addAndGet(n.get()));
            wrong.addAndGet(other.wrong.get());
            afterTwo.addAndGet(other.afterTwo.get());
            all.addAndGet(other.all.get());
            questions.addAll(other.questions);
        }

        double share(Status status) {
            return 100.0 * by.get(status).get() / Math.max(1, all.get());
        }

        String median() {
            return questions.isEmpty()
                    ? "-"
                    : String.valueOf(questions.stream().sorted().toList().get(questions.size() / 2));
        }
    }

    /** The engine's own model of the world: whether it confirms what is really there, and by how many questions. */
    private void plain() {
        int observers = runs * 5;
        Map<Case, Tally> each = new LinkedHashMap<>();
        cases.forEach(c -> each.put(c, new Tally()));
        cases.parallelStream().forEach(c -> {
            SplittableRandom random = random(c, 1);
            Observer.Met met = new Observer.Met(c.taxon(), c.stage(), c.stage(), c.taxon());
            for (int i = 0; i < observers; i++) {
                Outcome first = look(c, met, random);
                each.get(c).count(first, c.taxon());
                boolean right = c.taxon().id().equals(first.taxon());
                if (right && first.status() == Status.CONFIRMED) {
                    each.get(c).afterTwo.incrementAndGet();
                } else if (right && first.status() == Status.SECOND_WANTED) {
                    Outcome second = look(c, met, random);
                    if (halfway(second.status()) && c.taxon().id().equals(second.taxon())) {
                        each.get(c).afterTwo.incrementAndGet();
                    }
                }
            }
        });
        each.forEach((c, t) -> {
            boolean possible = t.by.get(Status.CONFIRMED).get()
                            + t.by.get(Status.SECOND_WANTED).get()
                    > 0;
            if (gathered(c) && possible) {
                confirmable.computeIfAbsent(c.stage(), s -> new ArrayList<>()).add(c.taxon());
            }
        });
        Map<String, Tally> rows = new TreeMap<>();
        each.forEach((c, t) -> {
            for (String row : rows(c)) {
                rows.computeIfAbsent(row, k -> new Tally()).add(t);
            }
        });
        line("%d observers each, errors as the vocabulary says.\n", observers);
        line(
                "| plants | stage | specimens | CONFIRMED rightly | or halfway | after a second look, where wanted | NOT YET |"
                        + " STOP | CONFIRMED as another | questions until CONFIRMED, median |");
        line("|---|---|---|---|---|---|---|---|---|---|");
        rows.forEach((row, t) -> line(
                "| %s | %d | %.1f %% | %.1f %% | %.1f %% | %.1f %% | %.2f %% | %d | %s |",
                row.substring(2),
                t.all.get(),
                t.share(Status.CONFIRMED),
                t.share(Status.CONFIRMED) + t.share(Status.SECOND_WANTED),
                100.0 * t.afterTwo.get() / Math.max(1, t.all.get()),
                t.share(Status.NOT_YET),
                t.share(Status.STOP),
                t.wrong.get(),
                t.median()));
        for (LifeStage stage : List.of(LifeStage.FLOWERING, LifeStage.LEAFY, LifeStage.ROSETTE, LifeStage.WINTER)) {
            line(
                    "\nGathered, rightly CONFIRMED or halfway in under half of the looks, %s: %s.",
                    words(stage),
                    named(each.entrySet().stream()
                            .filter(e -> gathered(e.getKey()) && e.getKey().stage() == stage)
                            .filter(e -> e.getValue().share(Status.CONFIRMED)
                                            + e.getValue().share(Status.SECOND_WANTED)
                                    < 50)
                            .map(e -> String.format(
                                    Locale.ROOT,
                                    "%s %.0f/%.0f %%",
                                    e.getKey().taxon().commonName(),
                                    e.getValue().share(Status.CONFIRMED),
                                    e.getValue().share(Status.CONFIRMED)
                                            + e.getValue().share(Status.SECOND_WANTED)))
                            .toList()));
        }
    }

    private Outcome look(Case c, Observer.Met met, SplittableRandom random) {
        Specimen specimen = new Specimen(Observer.NOMINAL.begin(met, 0, random.split()), random.split());
        return hold(c, c.stage(), c.month(), specimen);
    }

    private static List<String> rows(Case c) {
        List<String> rows = new ArrayList<>();
        String danger = c.taxon().danger().name().toLowerCase(Locale.ROOT);
        rows.add("1 " + danger + " | all");
        if (gathered(c)) {
            rows.add("2 gathered | all");
            rows.add("3 gathered | " + words(c.stage()));
            if (c.stage() == LifeStage.ROSETTE || c.stage() == LifeStage.LEAFY) {
                rows.add("3 gathered | leaf: rosette and leafy");
            }
        }
        return rows;
    }

    private static String words(LifeStage stage) {
        return stage.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    // ---- wrong CONFIRMED of what is dangerous

    /**
     * The sum of weighted wrong verdicts of one dangerous plant at one stage, over every plant hoped for.
     *
     * @param two what ends as certain where a look that came halfway is followed by another
     */
    private record Risk(
            Case met,
            double mean,
            double two,
            double variance,
            double worst,
            @Nullable Taxon worstAs) {}

    private void observers() {
        List<Case> dangerous =
                cases.stream().filter(IdentificationSimulation::dangerous).toList();
        line(
                "\n**Wrong CONFIRMED of a dangerous plant.** %d dangerous taxon-stages, each met by somebody who hopes for"
                        + " each gathered plant that could be CONFIRMED at that stage (%d pairs, %d runs each, answers drawn"
                        + " towards the plant hoped for and weighted back).\n",
                dangerous.size(),
                dangerous.stream().mapToInt(c -> hopes(c.stage(), c).size()).sum(),
                runs);
        line(
                "| how answers come about | per million, mean over all pairs | standard error | with second looks | worst pair |");
        line("|---|---|---|---|---|");
        for (Observer observer : Observer.values()) {
            double pull = switch (observer) {
                case FLOWER_OF_THE_HOPED, LEAF_OF_THE_HOPED, BLADE_OF_THE_HOPED -> 0.4;
                default -> 0.7;
            };
            List<Risk> risks =
                    dangerous.parallelStream().map(c -> risk(observer, c, pull)).toList();
            double mean = risks.stream().mapToDouble(Risk::mean).average().orElse(0);
            double error = Math.sqrt(risks.stream().mapToDouble(Risk::variance).sum()) / risks.size();
            Risk worst =
                    risks.stream().max(Comparator.comparingDouble(Risk::worst)).orElseThrow();
            line(
                    "| %s | %s | %s | %s | %s |",
                    observer.words,
                    million(mean),
                    million(error),
                    million(risks.stream().mapToDouble(Risk::two).average().orElse(0)),
                    worst.worstAs() == null
                            ? "none"
                            : String.format(
                                    Locale.ROOT,
                                    "%s %s as %s %s",
                                    worst.met().taxon().commonName(),
                                    words(worst.met().stage()),
                                    worst.worstAs().commonName(),
                                    million(worst.worst())));
        }
    }

    private static String million(double p) {
        return String.format(Locale.ROOT, p < 1e-7 ? "%.4f" : p < 1e-4 ? "%.2f" : "%.0f", p * 1e6);
    }

    /** Gathered plants that a look at the stage can confirm. */
    private List<Taxon> hopes(LifeStage stage, Case c) {
        return confirmable.getOrDefault(stage, List.of()).stream()
                .filter(t -> t.group() == c.taxon().group())
                .toList();
    }

    private Risk risk(Observer observer, Case c, double pull) {
        List<LifeStage> named = observer == Observer.WRONG_STAGE ? mistaken(c) : List.of(c.stage());
        SplittableRandom random = random(c, 3 + observer.ordinal());
        double sum = 0;
        double two = 0;
        double variance = 0;
        double worst = 0;
        Taxon worstAs = null;
        int pairs = 0;
        for (LifeStage stage : named) {
            for (Taxon hoped : hopes(stage, c)) {
                pairs++;
                double of = 0;
                double half = 0;
                double squares = 0;
                Observer.Met met = new Observer.Met(c.taxon(), stage, c.stage(), hoped);
                for (int i = 0; i < runs; i++) {
                    // Two strengths of pull in turn: what one seldom reaches the other does.
                    Specimen specimen = new Specimen(
                            observer.begin(met, i % 2 == 0 ? pull : 1 - (1 - pull) / 2, random.split()),
                            random.split());
                    Outcome outcome = hold(c, stage, c.month(), specimen);
                    double w = Math.exp(specimen.logWeight());
                    if (wrong(outcome, c.taxon())) {
                        of += w;
                        squares += w * w;
                    } else if (outcome.status() == Status.SECOND_WANTED
                            && !c.taxon().id().equals(outcome.taxon())) {
                        half += w;
                    }
                }
                double mean = of / runs;
                double came = half / runs;
                sum += mean;
                two += mean + came * (observer.independent() ? Math.min(1, mean + came) : 1);
                variance += (squares / runs - mean * mean) / runs;
                if (mean > worst) {
                    worst = mean;
                    worstAs = hoped;
                }
            }
        }
        return pairs == 0
                ? new Risk(c, 0, 0, 0, 0, null)
                : new Risk(c, sum / pairs, two / pairs, variance / pairs / pairs, worst, worstAs);
    }

    /** Stages it may be taken to be at, not being. */
    private static List<LifeStage> mistaken(Case c) {
        return Arrays.stream(LifeStage.values())
                .filter(s -> s != c.stage() && c.taxon().months().containsKey(s))
                .toList();
    }

    /** By search, not by sampling: the fewest wrong answers after which each dangerous plant is CONFIRMED as another. */
    private void fewestWrongAnswers(Status wanted) {
        Map<Integer, List<String>> fewest = Collections.synchronizedMap(new TreeMap<>());
        AtomicInteger pairs = new AtomicInteger();
        cases.parallelStream().filter(IdentificationSimulation::dangerous).forEach(c -> {
            for (Taxon hoped : hopes(c.stage(), c)) {
                pairs.incrementAndGet();
                int wrong =
                        new FewestWrong(herbarium, identifier, c.taxon(), hoped, c.stage(), c.month(), wanted).search();
                if (wrong > 0) {
                    fewest.computeIfAbsent(wrong, k -> Collections.synchronizedList(new ArrayList<>()))
                            .add(c.taxon().commonName() + " " + words(c.stage()) + " as " + hoped.commonName());
                }
            }
        });
        line(
                "\n**Fewest wrong answers that confirm a dangerous plant as a gathered one%s** (%d pairs at a stage, every"
                        + " other answer true of some individual or not to be seen): %s.",
                wanted == Status.CONFIRMED ? "" : ", in each of two looks that agree",
                pairs.get(),
                fewest.isEmpty()
                        ? "none does"
                        : fewest.entrySet().stream()
                                .map(e -> e.getKey() + " for " + e.getValue().size() + " pairs"
                                        + (e.getKey() < (wanted == Status.CONFIRMED ? 4 : 3)
                                                ? " (" + String.join("; ", e.getValue()) + ")"
                                                : ""))
                                .collect(Collectors.joining(", ")));
    }

    /** A dangerous plant nobody wrote a card for. */
    private void unlisted() {
        int observers = runs * 2;
        Map<String, double[]> each = Collections.synchronizedMap(new TreeMap<>());
        herbarium.taxa().stream().filter(t -> t.danger().dangerous()).toList().parallelStream()
                .forEach(missing -> {
                    Herbarium without = new Herbarium(
                            herbarium.characters(),
                            herbarium.taxa().stream()
                                    .filter(t -> !t.id().equals(missing.id()))
                                    .toList());
                    Identifier blind = new Identifier(without);
                    int all = 0;
                    Map<String, Integer> as = new TreeMap<>();
                    for (Case c : cases) {
                        if (!c.taxon().id().equals(missing.id())) {
                            continue;
                        }
                        SplittableRandom random = random(c, 2);
                        Observer.Met met = new Observer.Met(missing, c.stage(), c.stage(), missing);
                        for (int i = 0; i < observers; i++) {
                            Specimen specimen =
                                    new Specimen(Observer.NOMINAL.begin(met, 0, random.split()), random.split());
                            Outcome outcome = Interview.hold(blind, without, c.stage(), c.month(), specimen, null);
                            all++;
                            if (halfway(outcome.status())) {
                                as.merge(String.valueOf(outcome.taxon()), 1, Integer::sum);
                            }
                        }
                    }
                    String most = as.entrySet().stream()
                            .max(Map.Entry.comparingByValue())
                            .map(e -> ", mostly as " + e.getKey())
                            .orElse("");
                    each.put(missing.commonName() + most, new double[] {
                        as.values().stream().mapToInt(Integer::intValue).sum(), all
                    });
                });
        double confirmed = each.values().stream().mapToDouble(d -> d[0]).sum();
        double all = each.values().stream().mapToDouble(d -> d[1]).sum();
        line(
                "\n**An unlisted dangerous plant** (each taken out in turn, %d specimens): CONFIRMED or halfway as something"
                        + " else **%.2f %%**. By plant: %s.",
                (int) all,
                100 * confirmed / all,
                named(each.entrySet().stream()
                        .filter(e -> e.getValue()[0] > 0)
                        .map(e -> String.format(
                                Locale.ROOT, "%s %.1f %%", e.getKey(), 100 * e.getValue()[0] / e.getValue()[1]))
                        .toList()));
    }

    private void notTellable() {
        line("\n**Not tellable**: gathered plants that no look at the stage confirms, and what stands in the way.\n");
        for (LifeStage stage : LifeStage.values()) {
            List<String> blocked = cases.stream()
                    .filter(c ->
                            gathered(c) && c.stage() == stage && !inTheWay(c).isEmpty())
                    .map(c -> c.taxon().commonName() + " ("
                            + inTheWay(c).stream().map(Taxon::commonName).collect(Collectors.joining(", ")) + ")")
                    .toList();
            if (!blocked.isEmpty()) {
                line("- %s: %s.", words(stage), named(blocked));
            }
        }
    }

    private static String named(List<String> all) {
        return all.isEmpty() ? "none" : String.join("; ", all);
    }
}
