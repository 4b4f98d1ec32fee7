package org.sallowbrook.core.identification;

import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;

/**
 * What was seen, as evidence that it is one plant and not a dangerous other. The answers are reckoned more sparingly than
 * Bayes does, because they are not as independent as Bayes supposes and cards are not without gaps:
 *
 * <ul>
 *   <li>a character counts at most (1 - e) / e for the plant, e the observer's error: one look can be one slip;
 *   <li>a state the other may show, however rarely, and a character either card is silent on, count nothing for it;
 *   <li>a scent counts only against it: hands and neighbours carry scents.
 * </ul>
 *
 * <p>The other is excluded by a likelihood ratio of 1,000,000 and by states it never shows, of two organs at least, one of
 * them decisive when either card lists the pair. At an error of 3 % a million takes four characters, so that fewer than
 * four wrong answers never exclude what was really there.
 */
final class Against {

    static final int LEAST_ORGANS = 2;

    /** How far a look must go to be believed. */
    enum Level {
        /** By itself: a million to one. */
        ALONE(Telling.LEAST_RATIO),
        /**
         * Where another look by other eyes, or at other plants, agrees: 30,000 to one in each, at an error of 3 % three
         * characters. Six slips of two people make it wrong; alone it would be wrong sixty times in a million where one
         * answer in ten is what was hoped for.
         */
        WITH_ANOTHER(30_000);

        final double logRatio;

        Level(double ratio) {
            this.logRatio = Math.log(ratio);
        }
    }

    private final Table table;
    private final int lead;
    private final int other;
    private final boolean listed;
    private final boolean deadlyPair;
    private final Map<String, Double> ownErrors;
    private final Set<String> decisive;

    private double logRatio;
    private final EnumSet<Organ> organs = EnumSet.noneOf(Organ.class);
    private boolean decided;

    /** @param ownErrors of the observer, by character; they lower what a look counts and never raise it */
    Against(Table table, int lead, int other, Map<String, Double> ownErrors) {
        this.ownErrors = ownErrors;
        this.table = table;
        this.lead = lead;
        this.other = other;
        Taxon a = table.taxa.get(lead);
        Taxon b = table.taxa.get(other);
        var likeness = a.lookAlike(b.id()).or(() -> b.lookAlike(a.id()));
        this.listed = likeness.isPresent();
        this.deadlyPair = Telling.deadlyPair(a, b);
        this.decisive = likeness.map(l -> Set.copyOf(l.decisive())).orElse(Set.of());
    }

    void see(int c, int state) {
        logRatio += counted(c, state);
        if (excludes(c, state)) {
            CharacterDefinition definition = table.characters.get(c);
            organs.add(definition.organ().glance());
            decided |= decisive.contains(definition.id());
        }
    }

    boolean excluded(Level level) {
        return logRatio >= least(level) && organs.size() >= LEAST_ORGANS && (decided || !listed);
    }

    /** A deadly plant that is taken for it wants the whole of it in each of two looks. */
    private double least(Level level) {
        return (deadlyPair ? Level.ALONE : level).logRatio;
    }

    /** The other never shows it and the lead does. */
    boolean excludes(int c, int state) {
        int its = table.shown[c][other];
        int bit = 1 << state;
        return its != 0
                && (its & bit) == 0
                && (table.shown[c][lead] & bit) != 0
                && !table.characters.get(c).scent();
    }

    /** Natural logarithm of what one answer counts for the lead; negative against it. */
    double counted(int c, int state) {
        double ratio = Math.log(table.probability[c][table.profile[c][lead]][state]
                / table.probability[c][table.profile[c][other]][state]);
        return excludes(c, state) ? Math.min(ratio, most(c)) : Math.min(ratio, 0);
    }

    /** Natural logarithm of the most one look at a character can count. */
    private double most(int c) {
        CharacterDefinition definition = table.characters.get(c);
        double e = Math.max(definition.error(), ownErrors.getOrDefault(definition.id(), 0.0));
        return Math.log((1 - e) / e);
    }

    /** What one more look at a character would count if it shows what the lead mostly shows; 0 when it can't help. */
    double hoped(int c) {
        int its = table.shown[c][lead];
        double best = 0;
        for (int s = 0; its >> s != 0; s++) {
            if ((its >> s & 1) != 0 && excludes(c, s)) {
                best = Math.max(best, counted(c, s));
            }
        }
        return best;
    }

    /** How much of what is still wanting one more look is expected to bring, 0 to about 2. */
    double expected(int c, Level level) {
        int its = table.shown[c][lead];
        double[] p = table.probability[c][table.profile[c][lead]];
        double gain = 0;
        double tells = 0;
        for (int s = 0; its >> s != 0; s++) {
            if ((its >> s & 1) != 0) {
                gain += p[s] * counted(c, s);
                tells += excludes(c, s) ? p[s] : 0;
            }
        }
        double wanting = Math.max(0, least(level) - logRatio);
        double worth = Math.max(0, Math.min(gain, wanting)) / Level.ALONE.logRatio;
        CharacterDefinition definition = table.characters.get(c);
        if (organs.size() < LEAST_ORGANS && !organs.contains(definition.organ().glance())) {
            worth += tells * 0.25;
        }
        if (listed && !decided && decisive.contains(definition.id())) {
            worth += tells * 0.25;
        }
        return worth;
    }

    /** Whether looking at these as well could still exclude it. */
    boolean within(int[] unseen, Level level) {
        double most = logRatio;
        EnumSet<Organ> all = EnumSet.copyOf(organs);
        boolean settles = decided || !listed;
        for (int c : unseen) {
            double hoped = hoped(c);
            if (hoped > 0) {
                most += hoped;
                all.add(table.characters.get(c).organ().glance());
                settles |= decisive.contains(table.characters.get(c).id());
            }
        }
        return most >= least(level) && all.size() >= LEAST_ORGANS && settles;
    }

    /** Of a deadly pair: whether enough tells the two apart at this stage for a look to be trusted at all. */
    static boolean tellable(Table table, int a, int b) {
        return !Telling.deadlyPair(table.taxa.get(a), table.taxa.get(b))
                || table.telling(a, b) >= Telling.LEAST_OF_A_DEADLY_PAIR;
    }
}
