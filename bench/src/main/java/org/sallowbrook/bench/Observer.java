package org.sallowbrook.bench;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;

/**
 * How answers come about, in ways the engine does not assume. Only {@link #NOMINAL} shares its model; the others put the
 * errors where they hurt: on the plant hoped for, on a whole organ, on the cards, on the stage.
 */
enum Observer {
    NOMINAL("errors as the vocabulary says") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return mixed(shown(met.truth, c, met.stage), c.error());
        }
    },
    ERRORS_FOURFOLD("four times as many errors") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return mixed(shown(met.truth, c, met.stage), Math.min(0.4, 4 * c.error()));
        }
    },
    ERRORS_TO_THE_HOPED("each error falls on what the plant hoped for shows") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return sum(shown(met.truth, c, met.stage), 1 - c.error(), shown(met.hoped, c, met.stage), c.error());
        }
    },
    HOPE_10("one answer in ten is copied from the plant hoped for") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return hopeful(c, met, 0.1);
        }
    },
    HOPE_30("three in ten") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return hopeful(c, met, 0.3);
        }
    },
    HOPE_50("five in ten") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return hopeful(c, met, 0.5);
        }
    },
    PEOPLE_DIFFER("half of the people copy two answers in ten, half none") {
        @Override
        double proneTo() {
            return 0.2;
        }
    },
    ORGAN_10("one organ in ten is copied whole") {
        @Override
        double copiedOrgans() {
            return 0.1;
        }
    },
    ORGAN_30("three organs in ten") {
        @Override
        double copiedOrgans() {
            return 0.3;
        }
    },
    FLOWER_OF_THE_HOPED("two plants through each other: the flower of the one hoped for, all else of the other") {
        @Override
        boolean ofTheHoped(CharacterDefinition c) {
            return c.organ().glance() == Organ.FLOWER;
        }
    },
    LEAF_OF_THE_HOPED("two plants through each other: the leaf of the one hoped for, all else of the other") {
        @Override
        boolean ofTheHoped(CharacterDefinition c) {
            return c.organ().glance() == Organ.LEAF;
        }
    },
    BLADE_OF_THE_HOPED(
            "two plants through each other: the blade of the one hoped for, foot and all else of the other") {
        @Override
        boolean ofTheHoped(CharacterDefinition c) {
            return c.organ() == Organ.LEAF && !FOOT.contains(c.id());
        }
    },
    LEAFLET_FOR_LEAF("one in twenty takes a leaflet for the leaf, and one answer in twenty is copied") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return hopeful(c, met, 0.05);
        }

        @Override
        double leafletForLeaf() {
            return 0.05;
        }
    },
    WRONG_CARDS("one character in twenty shows what the card says it never does") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            return mixed(sum(shown(met.truth, c, met.stage), 0.95, never(met.truth, c, met.stage), 0.05), c.error());
        }
    },
    ATYPICAL("a plant out of the way: rare states as common as usual ones, one character in twenty as on no card") {
        @Override
        double[] answer(CharacterDefinition c, Met met) {
            Map<String, Frequency> states = met.truth.statesOf(c.id(), met.stage);
            double[] even = new double[c.states().size()];
            for (int s = 0; s < even.length; s++) {
                boolean listed =
                        states == null || states.containsKey(c.states().get(s).id());
                even[s] = listed ? 1.0 / (states == null ? even.length : states.size()) : 0;
            }
            return mixed(sum(even, 0.95, never(met.truth, c, met.stage), 0.05), c.error());
        }
    },
    WRONG_STAGE("the stage is named wrongly") {
        @Override
        double @Nullable [] answer(CharacterDefinition c, Met met) {
            // What is not there at the stage it really is at can't be seen.
            return c.stages().contains(met.really) ? mixed(shown(met.truth, c, met.really), c.error()) : null;
        }
    };

    final String words;

    Observer(String words) {
        this.words = words;
    }

    /**
     * A plant met.
     *
     * @param stage as the observer names it
     * @param really the stage it is at
     * @param hoped the plant the observer would like it to be
     */
    record Met(Taxon truth, LifeStage stage, LifeStage really, Taxon hoped) {}

    /**
     * @param own P(answer)
     * @param drawn what it is drawn from instead
     */
    record Answer(double[] own, double[] drawn) {}

    /** One look; what was settled at its start is in {@code logWeight}. */
    interface Look {
        /** Null when it is not there to be seen. */
        @Nullable
        Answer at(CharacterDefinition character);

        double logWeight();
    }

    double @Nullable [] answer(CharacterDefinition c, Met met) {
        return NOMINAL.answer(c, met);
    }

    double copiedOrgans() {
        return 0;
    }

    boolean ofTheHoped(CharacterDefinition c) {
        return false;
    }

    /** How much of what is said is copied by the half of the people who copy at all. */
    double proneTo() {
        return 0;
    }

    double leafletForLeaf() {
        return 0;
    }

    /** Whether another look slips by itself; where plants stand through each other, or a card is wrong, both looks do. */
    boolean independent() {
        return switch (this) {
            case FLOWER_OF_THE_HOPED, LEAF_OF_THE_HOPED, BLADE_OF_THE_HOPED, WRONG_CARDS, ATYPICAL, WRONG_STAGE ->
                false;
            default -> true;
        };
    }

    /** What a leaf shows where it sits on the stem. */
    private static final Set<String> FOOT = Set.of("leaf-base", "stipules", "leaf-start");

    /** What is judged by whether the leaf is cut up, and what of it a whole leaflet shows. */
    private static final Map<String, String> OF_A_LEAFLET =
            Map.of("leaf-division", "simple", "end-leaflet", "no-leaflets", "segment-tip", "undivided");

    /** @param pull probability that an answer is drawn from the plant hoped for, 0..1, for rare events */
    Look begin(Met met, double pull, SplittableRandom random) {
        Map<Organ, Boolean> copied = new EnumMap<>(Organ.class);
        double weight = 0;
        if (copiedOrgans() > 0) {
            double likelier = Math.max(copiedOrgans(), pull);
            for (Organ organ :
                    List.of(Organ.ROOT, Organ.STEM, Organ.WOOD, Organ.BUD, Organ.LEAF, Organ.FLOWER, Organ.SCENT)) {
                boolean yes = random.nextDouble() < likelier;
                copied.put(organ, yes);
                weight += Math.log(yes ? copiedOrgans() / likelier : (1 - copiedOrgans()) / (1 - likelier));
            }
        }
        double copies = 0;
        if (proneTo() > 0) {
            double likelier = pull > 0 ? 0.9 : 0.5;
            boolean prone = random.nextDouble() < likelier;
            copies = prone ? proneTo() : 0;
            weight += Math.log(0.5 / (prone ? likelier : 1 - likelier));
        }
        boolean leaflet = leafletForLeaf() > 0 && random.nextDouble() < Math.max(leafletForLeaf(), pull / 2);
        if (leafletForLeaf() > 0) {
            double likelier = Math.max(leafletForLeaf(), pull / 2);
            weight += Math.log(leaflet ? leafletForLeaf() / likelier : (1 - leafletForLeaf()) / (1 - likelier));
        }
        double copyingNow = copies;
        double begun = weight;
        return new Look() {
            @Override
            public @Nullable Answer at(CharacterDefinition c) {
                Organ glance = c.organ().glance();
                if (Boolean.TRUE.equals(copied.get(glance))) {
                    double[] his = shown(met.hoped, c, met.stage);
                    return new Answer(his, his);
                }
                String ofALeaflet = OF_A_LEAFLET.get(c.id());
                if (leaflet && ofALeaflet != null && c.has(ofALeaflet)) {
                    double[] it = only(c, ofALeaflet);
                    return new Answer(it, it);
                }
                if (ofTheHoped(c)) {
                    double[] its = mixed(shown(met.hoped, c, met.stage), c.error());
                    return new Answer(its, its);
                }
                double[] own = leafless(c, met) ? null : proneTo() > 0 ? hopeful(c, met, copyingNow) : answer(c, met);
                return own == null
                        ? null
                        : new Answer(own, sum(own, 1 - pull, mixed(shown(met.hoped, c, met.stage), c.error()), pull));
            }

            @Override
            public double logWeight() {
                return begun;
            }
        };
    }

    /** A leaf asked about where the truth has none now. */
    private static boolean leafless(CharacterDefinition c, Met met) {
        Map<String, Frequency> leaves = met.truth.statesOf("leaves-now", met.really);
        return c.organ() == Organ.LEAF
                && met.truth.statesOf(c.id(), met.really) == null
                && leaves != null
                && leaves.keySet().equals(Set.of("absent"));
    }

    private static double[] only(CharacterDefinition c, String state) {
        double[] p = new double[c.states().size()];
        for (int s = 0; s < p.length; s++) {
            p[s] = c.states().get(s).id().equals(state) ? 1 : 0;
        }
        return p;
    }

    private static double[] hopeful(CharacterDefinition c, Met met, double share) {
        return sum(mixed(shown(met.truth, c, met.stage), c.error()), 1 - share, shown(met.hoped, c, met.stage), share);
    }

    /** The card's frequencies; any state alike where it is silent. */
    private static double[] shown(Taxon taxon, CharacterDefinition c, LifeStage stage) {
        Map<String, Frequency> states = taxon.statesOf(c.id(), stage);
        double[] p = new double[c.states().size()];
        double whole = states == null
                ? 0
                : states.values().stream().mapToDouble(Frequency::share).sum();
        for (int s = 0; s < p.length; s++) {
            if (states == null) {
                p[s] = 1.0 / p.length;
            } else {
                Frequency frequency = states.get(c.states().get(s).id());
                p[s] = frequency == null ? 0 : frequency.share() / whole;
            }
        }
        return p;
    }

    /** Any state alike of those the card says are never shown; the card's own where it is silent or lists all. */
    private static double[] never(Taxon taxon, CharacterDefinition c, LifeStage stage) {
        Map<String, Frequency> states = taxon.statesOf(c.id(), stage);
        if (states == null || states.size() == c.states().size()) {
            return shown(taxon, c, stage);
        }
        double[] p = new double[c.states().size()];
        for (int s = 0; s < p.length; s++) {
            p[s] = states.containsKey(c.states().get(s).id()) ? 0 : 1.0 / (p.length - states.size());
        }
        return p;
    }

    /** With an observer's error: P = (1 - e) f + e (1 - f) / (k - 1). */
    private static double[] mixed(double[] f, double e) {
        double[] p = new double[f.length];
        for (int s = 0; s < p.length; s++) {
            p[s] = (1 - e) * f[s] + e * (1 - f[s]) / (p.length - 1);
        }
        return p;
    }

    private static double[] sum(double[] a, double of, double[] b, double rest) {
        double[] p = new double[a.length];
        for (int s = 0; s < p.length; s++) {
            p[s] = of * a[s] + rest * b[s];
        }
        return p;
    }
}
