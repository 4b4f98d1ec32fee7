package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;

/**
 * The cards of a region at one stage, laid out for reckoning. Many taxa share the same distribution over the states of a
 * character, so each distribution is kept once: a question then costs one addition a taxon, not one a taxon and state.
 */
final class Table {

    /** The distribution of a taxon whose card does not describe the character here. */
    static final int UNDESCRIBED = 0;

    final List<Taxon> taxa;
    final List<CharacterDefinition> characters;
    /** Distribution of character c for taxon t. */
    final short[][] profile;
    /** Probability of state s given distribution p of character c, with the observer's error in it. */
    final double[][][] probability;
    /** Sum over states of f ln f of distribution p of character c. */
    final double[][] ordered;
    /** Expected ln (P(state | p) / P(state | q)) when p is right: how far one look tells p from q. */
    final double[][][] divergence;
    /** Bits of the states that taxon t shows of character c; 0 when undescribed. */
    final int[][] shown;

    private final Map<String, Integer> characterIndex = new LinkedHashMap<>();

    Table(Herbarium herbarium, String region, LifeStage stage, Set<LookingCondition> conditions) {
        taxa = herbarium.taxa().stream()
                .filter(t -> t.regions().contains(region))
                // A draft of a harmless plant is not told yet; a dangerous one is a rival however little is known of
                // it.
                .filter(t -> !t.draft() || t.danger().dangerous())
                .toList();
        characters = herbarium.characters().stream()
                .filter(c -> c.stages().contains(stage))
                .toList();
        profile = new short[characters.size()][taxa.size()];
        shown = new int[characters.size()][taxa.size()];
        probability = new double[characters.size()][][];
        ordered = new double[characters.size()][];
        divergence = new double[characters.size()][][];
        for (int c = 0; c < characters.size(); c++) {
            characterIndex.put(characters.get(c).id(), c);
        }
        List<Map<Map<String, Frequency>, Short>> known = new ArrayList<>();
        List<List<double[]>> rows = new ArrayList<>();
        for (CharacterDefinition definition : characters) {
            known.add(new LinkedHashMap<>());
            double[] uniform = new double[definition.states().size()];
            Arrays.fill(uniform, 1.0 / uniform.length);
            rows.add(new ArrayList<>(List.of(uniform)));
        }
        for (int t = 0; t < taxa.size(); t++) {
            for (Taxon.Shown line : taxa.get(t).characters()) {
                Integer c = characterIndex.get(line.character());
                if (c == null || shown[c][t] != 0) {
                    continue;
                }
                Map<String, Frequency> states = taxa.get(t).statesOf(line.character(), stage, conditions);
                if (states == null) {
                    continue;
                }
                CharacterDefinition definition = characters.get(c);
                List<double[]> distributions = rows.get(c);
                profile[c][t] = known.get(c).computeIfAbsent(states, s -> {
                    distributions.add(distribution(definition, s));
                    return (short) (distributions.size() - 1);
                });
                shown[c][t] = bits(definition, states);
            }
        }
        for (int c = 0; c < characters.size(); c++) {
            probability[c] = rows.get(c).toArray(double[][]::new);
            ordered[c] =
                    Arrays.stream(probability[c]).mapToDouble(Table::ordered).toArray();
            divergence[c] = divergence(probability[c]);
        }
    }

    private static double ordered(double[] p) {
        double sum = 0;
        for (double f : p) {
            sum += f * Math.log(f);
        }
        return sum;
    }

    private static double[][] divergence(double[][] distributions) {
        double[][] divergence = new double[distributions.length][distributions.length];
        for (int p = 0; p < distributions.length; p++) {
            for (int q = 0; q < distributions.length; q++) {
                for (int s = 0; s < distributions[p].length; s++) {
                    divergence[p][q] += distributions[p][s] * Math.log(distributions[p][s] / distributions[q][s]);
                }
            }
        }
        return divergence;
    }

    private static double[] distribution(CharacterDefinition definition, Map<String, Frequency> states) {
        int k = definition.states().size();
        double whole = states.values().stream().mapToDouble(Frequency::share).sum();
        double[] p = new double[k];
        for (int s = 0; s < k; s++) {
            Frequency frequency = states.get(definition.states().get(s).id());
            double f = frequency == null ? 0 : frequency.share() / whole;
            p[s] = (1 - definition.error()) * f + definition.error() * (1 - f) / (k - 1);
        }
        return p;
    }

    private static int bits(CharacterDefinition definition, Map<String, Frequency> states) {
        int bits = 0;
        for (int s = 0; s < definition.states().size(); s++) {
            if (states.containsKey(definition.states().get(s).id())) {
                bits |= 1 << s;
            }
        }
        return bits;
    }

    /** -1 when the character can't be seen at this stage. */
    int index(String character) {
        return characterIndex.getOrDefault(character, -1);
    }

    static int state(CharacterDefinition definition, String state) {
        for (int s = 0; s < definition.states().size(); s++) {
            if (definition.states().get(s).id().equals(state)) {
                return s;
            }
        }
        throw new IllegalArgumentException(definition.id() + " has no state " + state);
    }

    /** Whether a taxon can have the organ of a character at all. */
    boolean applies(int character, int taxon) {
        Group group = taxa.get(taxon).group();
        return characters.get(character).groups().contains(group);
    }

    /** Both described, no state in common. */
    boolean tells(int character, int a, int b) {
        int of = shown[character][a];
        int other = shown[character][b];
        return of != 0 && other != 0 && (of & other) == 0;
    }
}
