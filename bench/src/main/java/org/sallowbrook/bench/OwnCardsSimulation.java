package org.sallowbrook.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identifier;
import org.sallowbrook.core.identification.WhenSure;
import org.sallowbrook.server.herbarium.ShippedCards;

/**
 * How far a plant of a household's own gets: cards that ship are taken away and written again with eight characters that anybody
 * would write down, then with what the page says is wanting, three times over. The plants met are drawn from the cards that ship.
 */
public final class OwnCardsSimulation {

    private static final LifeStage STAGE = LifeStage.FLOWERING;
    private static final long SEED = 20261201;
    private static final int ROUNDS = 3;
    private static final int RUNS = 20;

    private static final Set<String> EIGHT = new LinkedHashSet<>(List.of(
            "habit",
            "leaf-division",
            "leaf-arrangement",
            "leaf-margin",
            "leaf-hairs",
            "flower-colour",
            "petals",
            "stem-surface"));

    private final Herbarium shipped;
    private final StringBuilder report = new StringBuilder();

    private OwnCardsSimulation(Herbarium shipped) {
        this.shipped = shipped;
    }

    public static void main(String[] args) throws IOException {
        OwnCardsSimulation simulation =
                new OwnCardsSimulation(ShippedCards.load().herbarium());
        simulation.run();
        Measurements.write("own cards", simulation.report.toString());
    }

    /** A card as it grows. */
    private final class Own {
        final Taxon original;
        final Set<String> said = new HashSet<>(EIGHT);
        final Set<String> asked = new HashSet<>();

        Own(Taxon original) {
            this.original = original;
        }

        Taxon card() {
            return new Taxon(
                    "own-" + original.id(),
                    false,
                    original.naming(),
                    original.growth(),
                    original.harm(),
                    new Taxon.Looks(
                            original.months(),
                            original.characters().stream()
                                    .filter(s -> said.contains(s.character()))
                                    .toList(),
                            original.lookAlikes(),
                            true),
                    original.usage(),
                    original.cautions(),
                    original.source());
        }

        Herbarium herbarium() {
            return new Herbarium(
                            shipped.characters(),
                            shipped.taxa().stream()
                                    .filter(t -> !t.id().equals(original.id()))
                                    .toList())
                    .with(List.of(card()));
        }

        WhenSure.@Nullable At when(Identifier identifier) {
            return identifier.whenSure("own-" + original.id(), Interview.REGION).stream()
                    .filter(at -> at.stage() == STAGE)
                    .findFirst()
                    .orElse(null);
        }

        /** Writes what the page asks for, as far as the plant shows it. */
        void answer(List<String> wanted) {
            asked.addAll(wanted);
            wanted.stream().filter(c -> original.statesOf(c, STAGE) != null).forEach(said::add);
        }
    }

    private void run() {
        List<Own> all = new ArrayList<>();
        shipped.taxa().stream()
                .filter(t -> t.group() == Group.PLANT
                        && !t.parts().isEmpty()
                        && !t.draft()
                        && t.months().containsKey(STAGE))
                .forEach(t -> all.add(new Own(t)));
        line(
                "## Cards of one's own\n\n`./sallowbrook bench own`; %d gathered plants in flower, each taken away and written again"
                        + " by eight characters (%s), seed %d.\n",
                all.size(), String.join(", ", EIGHT), SEED);
        line(
                "| characters said | can be made certain | rightly certain of %d looks each | wrongly certain | looks at dangerous"
                        + " plants |\n|---|---|---|---|---|",
                RUNS);
        for (int round = 0; round <= ROUNDS; round++) {
            int tellable = 0;
            int right = 0;
            int wrong = 0;
            int looks = 0;
            double said = 0;
            for (Own own : all) {
                Identifier identifier = new Identifier(own.herbarium());
                WhenSure.At when = own.when(identifier);
                if (when != null && when.sure() != WhenSure.Sure.NEVER) {
                    tellable++;
                }
                right += certain(own, identifier, own.original, RUNS);
                for (Taxon other : dangerous()) {
                    wrong += certain(own, identifier, other, 2);
                    looks += 2;
                }
                said += own.card().characters().stream()
                        .map(Taxon.Shown::character)
                        .distinct()
                        .count();
                if (when != null) {
                    own.answer(when.unsaid());
                }
            }
            line(
                    "| %.1f | %d of %d | %.1f %% | %d | %d |",
                    said / all.size(), tellable, all.size(), 100.0 * right / (RUNS * all.size()), wrong, looks);
        }
        Identifier identifier = new Identifier(shipped);
        int right = 0;
        int wrong = 0;
        int looks = 0;
        int tellable = 0;
        for (Own own : all) {
            tellable += identifier.whenSure(own.original.id(), Interview.REGION).stream()
                            .anyMatch(at -> at.stage() == STAGE && at.sure() != WhenSure.Sure.NEVER)
                    ? 1
                    : 0;
            right += certain(own.original.id(), shipped, identifier, own.original, RUNS);
            for (Taxon other : dangerous()) {
                wrong += certain(own.original.id(), shipped, identifier, other, 2);
                looks += 2;
            }
        }
        line(
                "| as shipped | %d of %d | %.1f %% | %d | %d |",
                tellable, all.size(), 100.0 * right / (RUNS * all.size()), wrong, looks);
    }

    private List<Taxon> dangerous() {
        return shipped.taxa().stream()
                .filter(t -> t.group() == Group.PLANT
                        && t.danger().dangerous()
                        && t.months().containsKey(STAGE))
                .toList();
    }

    private int certain(Own own, Identifier identifier, Taxon met, int runs) {
        return certain("own-" + own.original.id(), own.herbarium(), identifier, met, runs);
    }

    /** How many looks at a plant come to the named one with certainty, by one look or halfway to two. */
    private static int certain(String named, Herbarium herbarium, Identifier identifier, Taxon met, int runs) {
        SplittableRandom random =
                new SplittableRandom(SEED + 31L * named.hashCode() + met.id().hashCode());
        int month = new TreeSet<>(met.months().getOrDefault(STAGE, Set.of(6))).first();
        int certain = 0;
        for (int i = 0; i < runs; i++) {
            Specimen specimen = new Specimen(
                    Observer.NOMINAL.begin(new Observer.Met(met, STAGE, STAGE, met), 0, random.split()),
                    random.split());
            Interview.Outcome outcome = Interview.hold(identifier, herbarium, STAGE, month, specimen, null);
            boolean halfway = outcome.status() == Status.CONFIRMED || outcome.status() == Status.SECOND_WANTED;
            certain += halfway && named.equals(outcome.taxon()) ? 1 : 0;
        }
        return certain;
    }

    private void line(String format, Object... values) {
        String text = String.format(Locale.ROOT, format, values);
        report.append(text).append('\n');
        System.err.println(text);
    }
}
