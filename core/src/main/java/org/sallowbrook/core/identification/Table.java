package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
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
    /** Bits of the states that taxon t shows of character c; 0 when undescribed. */
    final int[][] shown;
    /** Those of them that it usually shows. */
    private final int[][] usual;
    /** Bits of the states of a character that say there is no such thing. */
    private final int[] missing;

    private final Map<String, Integer> characterIndex = new LinkedHashMap<>();

    Table(Herbarium herbarium, String region, LifeStage stage, Set<LookingCondition> conditions) {
        taxa = herbarium.taxa().stream()
                .filter(t -> t.regions().contains(region))
                // A draft of a harmless plant is not told yet; a dangerous one is a rival however little is known of
                // it.
                .filter(t -> !t.draft() || t.harmsWhenTaken())
                .toList();
        characters = herbarium.characters().stream()
                .filter(c -> c.stages().contains(stage))
                .toList();
        profile = new short[characters.size()][taxa.size()];
        shown = new int[characters.size()][taxa.size()];
        usual = new int[characters.size()][taxa.size()];
        probability = new double[characters.size()][][];
        ordered = new double[characters.size()][];
        missing = new int[characters.size()];
        for (int c = 0; c < characters.size(); c++) {
            List<CharacterDefinition.State> states = characters.get(c).states();
            for (int s = 0; s < states.size(); s++) {
                missing[c] |= states.get(s).missing() ? 1 << s : 0;
            }
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
                shown[c][t] = bits(definition, states, f -> true);
                usual[c][t] = bits(definition, states, Frequency::isUsual);
            }
        }
        for (int c = 0; c < characters.size(); c++) {
            probability[c] = rows.get(c).toArray(double[][]::new);
            ordered[c] =
                    Arrays.stream(probability[c]).mapToDouble(Table::ordered).toArray();
        }
    }

    private static double ordered(double[] p) {
        double sum = 0;
        for (double f : p) {
            sum += f * Math.log(f);
        }
        return sum;
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

    private static int bits(
            CharacterDefinition definition, Map<String, Frequency> states, Predicate<Frequency> counted) {
        int bits = 0;
        for (int s = 0; s < definition.states().size(); s++) {
            Frequency frequency = states.get(definition.states().get(s).id());
            if (frequency != null && counted.test(frequency)) {
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

    /** Whether all that a taxon shows of a character is that it has no such thing. */
    boolean isMissing(int character, int taxon) {
        int its = shown[character][taxon];
        return its != 0 && (its & ~missing[character]) == 0;
    }

    /** Both described, and b never shows what a usually shows. */
    boolean tells(int character, int a, int b) {
        int of = usual[character][a];
        int other = shown[character][b];
        return of != 0 && other != 0 && (of & other) == 0;
    }

    /** How many characters tell a from b; no scents. */
    int telling(int a, int b) {
        int telling = 0;
        for (int c = 0; c < characters.size(); c++) {
            if (!characters.get(c).scent() && tells(c, a, b)) {
                telling++;
            }
        }
        return telling;
    }
}
