package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.identification.Identification.Excluded;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Open;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identification.TellableAt;
import org.sallowbrook.core.identification.Identification.Verdict;

/**
 * Whether what was seen is certain enough, apart from how likely it is.
 *
 * <p>CONFIRMED needs, against every dangerous taxon of the region that could have the organs seen, listed as a look-alike
 * or not, to be excluded as {@link Against} says, and of a deadly pair as many telling characters at this stage as
 * {@link Telling#LEAST_OF_A_DEADLY_PAIR}. Then the list of look-alikes checked, and a posterior of 0.99 with "none of
 * these" beaten.
 */
final class VerdictGate {

    static final double LEAST_POSTERIOR = 0.99;
    static final double STOP_LEAD = 10;
    static final double STOP_POSTERIOR = 0.05;

    /** Before this many observations that could speak, a high posterior is only the prior's, and no reason for STOP. */
    static final int FEW = 3;

    /** So many characters must tell a dangerous taxon from the lead before what speaks for it is taken for more than chance. */
    private static final int TELLABLE = 4;

    /** A taxon of the same genus below this is no longer in question. */
    private static final double NEGLIGIBLE = 0.001;

    private final Herbarium herbarium;
    private final TellingCache telling;
    private final Table table;
    private final Posterior posterior;
    private final Request request;
    private final int[] characters;
    private final int[] states;

    VerdictGate(Herbarium herbarium, TellingCache telling, Table table, Posterior posterior, Request request) {
        this.herbarium = herbarium;
        this.telling = telling;
        this.table = table;
        this.posterior = posterior;
        this.request = request;
        List<Observation> counted = request.observations().stream()
                .filter(o -> table.characters.get(table.index(o.character())).notUnder().stream()
                        .noneMatch(request.conditions()::contains))
                .toList();
        characters = counted.stream().mapToInt(o -> table.index(o.character())).toArray();
        states = counted.stream()
                .mapToInt(o -> Table.state(table.characters.get(table.index(o.character())), o.state()))
                .toArray();
    }

    /** Dangerous taxa not excluded from the one that leads. */
    int[] open(int lead, Against.Level level) {
        List<Integer> open = new ArrayList<>();
        for (int t = 0; t < table.taxa.size(); t++) {
            if (rival(lead, t) && !isExcluded(lead, t, level)) {
                open.add(t);
            }
        }
        return open.stream().mapToInt(Integer::intValue).toArray();
    }

    Verdict verdict(int lead) {
        int[] open = open(lead, Against.Level.ALONE);
        if (characters.length == 0) {
            return new Verdict(Status.NOT_YET, null, null, List.of(), List.of(), null);
        }
        Taxon taxon = table.taxa.get(lead);
        boolean enough = characters.length >= FEW;
        // What is gathered for the skin and harms only when swallowed may be known for what it is.
        if (dangerous(lead)) {
            boolean stop = enough && posterior.of[lead] >= STOP_LEAD * posterior.second(lead);
            return new Verdict(stop ? Status.STOP : Status.NOT_YET, taxon.id(), null, List.of(), List.of(), null);
        }
        List<Open> opens = new ArrayList<>();
        boolean stop = false;
        int[] left = NextQuestion.left(table, request, true);
        for (int t : worstFirst(lead, open, left)) {
            opens.add(new Open(
                    table.taxa.get(t).id(),
                    inTheWay(lead, t, left),
                    stillTelling(lead, t),
                    told(taxon, List.of(table.taxa.get(t)))));
            stop |= posterior.of[t] >= STOP_POSTERIOR && table.telling(lead, t) >= TELLABLE && putToTheTest(lead, t);
        }
        // What to wait for is what will tell those that nothing tells now.
        List<Taxon> others = opens.stream()
                .filter(o -> o.inTheWay() || opens.stream().noneMatch(Open::inTheWay))
                .map(o -> herbarium.taxon(o.taxon()).orElseThrow())
                .toList();
        TellableAt at = opens.isEmpty() ? null : told(taxon, others);
        if (at == null && posterior.of[lead] < NextQuestion.CLEAR) {
            // Much is still open; what is usually taken for it is what to wait for.
            List<Taxon> listed = others.stream()
                    .filter(o -> taxon.lookAlike(o.id()).isPresent())
                    .toList();
            at = listed.isEmpty() ? null : told(taxon, listed);
        }
        List<Excluded> excluded = excluded(lead, open);
        if (stop) {
            return new Verdict(Status.STOP, taxon.id(), null, excluded, opens, at);
        }
        String genus = posterior.of[lead] >= LEAST_POSTERIOR ? null : genus(lead);
        boolean sure = posterior.of[lead] >= LEAST_POSTERIOR || genus != null;
        boolean certain = sure && inScope(lead) && taxon.lookAlikesChecked() && posterior.of[lead] > posterior.none;
        if (certain && opens.isEmpty()) {
            return new Verdict(Status.CONFIRMED, taxon.id(), genus, excluded, opens, null);
        }
        int[] openWithAnother = open(lead, Against.Level.WITH_ANOTHER);
        if (certain && openWithAnother.length == 0) {
            return new Verdict(Status.SECOND_WANTED, taxon.id(), genus, excluded(lead, openWithAnother), opens, at);
        }
        return new Verdict(Status.NOT_YET, taxon.id(), null, excluded, opens, at);
    }

    /** Those in the way before those not looked into yet; then what the card lists, then the likeliest. */
    private int[] worstFirst(int lead, int[] open, int[] left) {
        Taxon taxon = table.taxa.get(lead);
        return java.util.Arrays.stream(open)
                .boxed()
                .sorted(Comparator.comparing((Integer t) -> !inTheWay(lead, t, left))
                        .thenComparing(
                                t -> taxon.lookAlike(table.taxa.get(t).id()).isEmpty())
                        .thenComparing(t -> -posterior.of[t]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /** Nothing left to see at this stage could exclude it, not even with another look beside this one. */
    private boolean inTheWay(int lead, int other, int[] left) {
        return !Against.tellable(table, lead, other) || !against(lead, other).within(left, Against.Level.WITH_ANOTHER);
    }

    /** The genus when it is certain, all of it serves and nothing of it is dangerous; else null. */
    private @Nullable String genus(int lead) {
        Taxon taxon = table.taxa.get(lead);
        double whole = 0;
        for (int t = 0; t < table.taxa.size(); t++) {
            Taxon other = table.taxa.get(t);
            if (!other.genus().equals(taxon.genus())) {
                continue;
            }
            whole += posterior.of[t];
            if (posterior.of[t] > NEGLIGIBLE
                    && (!other.genusEnough() || other.danger().dangerous() || !other.lookAlikesChecked())) {
                return null;
            }
        }
        return taxon.genusEnough() && whole >= LEAST_POSTERIOR ? taxon.genus() : null;
    }

    private boolean dangerous(int t) {
        return table.taxa.get(t).danger().dangerous();
    }

    private boolean inScope(int t) {
        return posterior.logLikelihood[t] > Double.NEGATIVE_INFINITY;
    }

    private List<Excluded> excluded(int lead, int[] open) {
        List<Excluded> excluded = new ArrayList<>();
        for (int t = 0; t < table.taxa.size(); t++) {
            int other = t;
            if (rival(lead, other) && java.util.Arrays.stream(open).noneMatch(o -> o == other)) {
                Against against = new Against(table, lead, other, request.ownErrors());
                List<String> by = new ArrayList<>();
                for (int i = 0; i < characters.length; i++) {
                    if (against.excludes(characters[i], states[i])) {
                        by.add(table.characters.get(characters[i]).id());
                    }
                }
                excluded.add(new Excluded(table.taxa.get(other).id(), by));
            }
        }
        return excluded;
    }

    /** What was seen, as evidence for the lead against another. */
    Against against(int lead, int other) {
        Against against = new Against(table, lead, other, request.ownErrors());
        for (int i = 0; i < characters.length; i++) {
            against.see(characters[i], states[i]);
        }
        return against;
    }

    private boolean isExcluded(int lead, int other, Against.Level level) {
        return Against.tellable(table, lead, other) && against(lead, other).excluded(level);
    }

    /** A dangerous taxon of the region that could be what was seen instead. */
    private boolean rival(int lead, int other) {
        return other != lead && table.taxa.get(lead).mustBeToldFrom(table.taxa.get(other)) && inScope(other);
    }

    /** Enough was seen that should have told the two apart, and it did not. Before that it is a matter of looking on. */
    private boolean putToTheTest(int lead, int other) {
        int telling = 0;
        for (int c : characters) {
            if (table.tells(c, lead, other)) {
                telling++;
            }
        }
        return telling >= FEW;
    }

    private List<String> stillTelling(int lead, int other) {
        List<String> still = new ArrayList<>();
        for (int c = 0; c < table.characters.size(); c++) {
            int character = c;
            if (table.tells(c, lead, other)
                    && !table.characters.get(c).scent()
                    && java.util.Arrays.stream(characters).noneMatch(s -> s == character)) {
                still.add(table.characters.get(c).id());
            }
        }
        return still;
    }

    /** The first stage, from this one on round the year, at which all of them can be told from the lead. */
    private @Nullable TellableAt told(Taxon lead, List<Taxon> open) {
        LifeStage[] stages = LifeStage.values();
        for (int i = 0; i < stages.length; i++) {
            LifeStage stage = stages[(request.stage().ordinal() + i) % stages.length];
            Set<Integer> months = lead.months().get(stage);
            if (months == null
                    || open.stream()
                            .anyMatch(o -> telling.telling(lead, o, stage).isEmpty())) {
                continue;
            }
            Set<String> by = new LinkedHashSet<>();
            open.forEach(o -> by.addAll(telling.telling(lead, o, stage)));
            return new TellableAt(
                    stage,
                    months.stream().sorted().toList(),
                    // What is there only then is what one waits for.
                    by.stream()
                            .sorted(Comparator.comparing(c -> table.index(c) >= 0))
                            .limit(Telling.LEAST_OF_A_DEADLY_PAIR)
                            .toList());
        }
        return null;
    }
}
