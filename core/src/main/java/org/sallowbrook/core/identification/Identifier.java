package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Candidate;
import org.sallowbrook.core.identification.Identification.Open;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Result;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Identification.TellableAt;
import org.sallowbrook.core.identification.Identification.Verdict;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;

/** Answers questions about one herbarium, laying its cards out once for each region and stage asked of. */
public final class Identifier {

    private record Scope(String region, LifeStage stage, Set<LookingCondition> conditions) {}

    private final Herbarium herbarium;
    private final TellingCache telling;
    private final Map<Scope, Table> tables = new ConcurrentHashMap<>();

    public Identifier(Herbarium herbarium) {
        this.herbarium = herbarium;
        this.telling = new TellingCache(herbarium);
    }

    /** @throws org.sallowbrook.core.measure.InvalidInput when something asked of is not in the vocabulary or the region */
    public Result identify(Request given) {
        Identification.checkAgainstVocabulary(herbarium, given);
        Request request = given.withoutContradicted().withWhatItImplies(herbarium);
        Table table = table(new Scope(request.region(), request.stage(), request.conditions()));
        Posterior posterior = new Posterior(table, request);
        VerdictGate gate = new VerdictGate(herbarium, telling, table, posterior, request);
        int lead = posterior.lead();
        Verdict verdict = gate.verdict(lead);
        NextQuestion.Asked asked = new NextQuestion(table, posterior)
                .asked(
                        request,
                        level -> Arrays.stream(gate.open(lead, level))
                                .mapToObj(o -> gate.against(lead, o))
                                .toList());
        return new Result(
                candidates(table, posterior),
                asked.next(),
                asked.further(),
                LookAgain.of(herbarium, given, verdict),
                verdict,
                findings(given, request, table, verdict, posterior.of[lead] >= NextQuestion.CLEAR));
    }

    private Table table(Scope scope) {
        Table table = tables.get(scope);
        if (table == null) {
            Checks.begin()
                    .that(
                            herbarium.taxa().stream().anyMatch(t -> t.regions().contains(scope.region())),
                            "region",
                            "has no plants in the herbarium")
                    .done();
            table = tables.computeIfAbsent(scope, s -> new Table(herbarium, s.region(), s.stage(), s.conditions()));
        }
        return table;
    }

    /** When a plant can be made certain, stage by stage as its card knows them; empty where the region has no card of it. */
    public List<WhenSure.At> whenSure(String taxon, String region) {
        List<WhenSure.At> all = new ArrayList<>();
        for (LifeStage stage : LifeStage.values()) {
            Table table = table(new Scope(region, stage, Set.of()));
            for (int t = 0; t < table.taxa.size(); t++) {
                Taxon plant = table.taxa.get(t);
                if (plant.id().equals(taxon) && plant.months().containsKey(stage)) {
                    all.add(WhenSure.at(table, stage, t));
                }
            }
        }
        return all;
    }

    /**
     * In which order to ask where no answer can be reckoned with: what sorts best of all that is there in the month, gross
     * things first and nothing dug up before the rest.
     */
    public List<String> order(String region, LifeStage stage, int month) {
        List<String> order = new ArrayList<>();
        while (true) {
            Request nothingSeen = new Request(month, stage, region, Set.of(), List.of(), Set.copyOf(order));
            Identification.Question next = identify(nothingSeen).next();
            if (next == null || next.again()) {
                return order;
            }
            order.add(next.character());
        }
    }

    /** Of the plants that are gathered, how many a stage can make certain, and how many there are. */
    public record Certainty(int gathered, int certain) {}

    /** @param group what kind of living thing it is */
    public Certainty certainty(String region, Group group, LifeStage stage) {
        Table table = table(new Scope(region, stage, Set.of()));
        int gathered = 0;
        int certain = 0;
        for (int t = 0; t < table.taxa.size(); t++) {
            Taxon plant = table.taxa.get(t);
            if (plant.group() == group
                    && !plant.parts().isEmpty()
                    && plant.months().containsKey(stage)) {
                gathered++;
                certain += WhenSure.at(table, stage, t).sure() == WhenSure.Sure.NEVER ? 0 : 1;
            }
        }
        return new Certainty(gathered, certain);
    }

    private static List<Candidate> candidates(Table table, Posterior posterior) {
        List<Candidate> candidates = new ArrayList<>(table.taxa.size() + 1);
        for (int t = 0; t < table.taxa.size(); t++) {
            candidates.add(new Candidate(table.taxa.get(t).id(), posterior.of[t]));
        }
        candidates.add(new Candidate(Identification.NONE_OF_THESE, posterior.none));
        candidates.sort(Comparator.comparingDouble(Candidate::posterior).reversed());
        return List.copyOf(candidates);
    }

    private List<Finding> findings(Request given, Request request, Table table, Verdict verdict, boolean clear) {
        List<Finding> findings = new ArrayList<>();
        if (verdict.status() == Status.STOP) {
            String names = verdict.open().isEmpty() && verdict.taxon() != null
                    ? commonName(verdict.taxon())
                    : names(verdict.open());
            findings.add(Finding.stop(
                    "DANGEROUS_PLANT",
                    "What was seen fits a dangerous plant too well: " + names + ".",
                    "Do not pick it. Wash your hands if you have touched it."));
        } else if (verdict.status() == Status.NOT_YET) {
            findings.add(Finding.hold("NOT_YET", notYet(verdict), whatNext(request, verdict, clear, table)));
        }
        if (verdict.status() == Status.SECOND_WANTED) {
            findings.add(Finding.hold(
                    "SECOND_WANTED",
                    "Told from everything dangerous, but by too little to stand alone.",
                    "Let somebody else look, without telling them what it came to, or look yourself on another day at"
                            + " other plants. Where both come to the same it is certain."));
        }
        List<String> contradicted = given.contradicted().stream()
                .map(c -> {
                    var definition = herbarium.character(c);
                    return definition == null ? c : definition.name().toLowerCase(Locale.ROOT);
                })
                .sorted()
                .toList();
        if (!contradicted.isEmpty()) {
            findings.add(Finding.warn(
                    "CONTRADICTED",
                    "Two looks at one thing gave two answers, and neither was counted: "
                            + String.join(", ", contradicted) + ".",
                    "Look at this on several parts of the plant, and on its neighbours: are there two kinds?"));
        }
        List<String> uncounted = request.observations().stream()
                .map(o -> table.characters.get(table.index(o.character())))
                .filter(c -> c.notUnder().stream().anyMatch(request.conditions()::contains))
                .map(c -> c.name().toLowerCase(Locale.ROOT))
                .toList();
        if (!uncounted.isEmpty()) {
            findings.add(Finding.note(
                    "NOT_COUNTED",
                    "Can't be relied on under these conditions, and was not counted: " + String.join(", ", uncounted)
                            + ".",
                    "Look again when the conditions have changed."));
        }
        return findings;
    }

    private String notYet(Verdict verdict) {
        List<Open> inTheWay = verdict.open().stream().filter(Open::inTheWay).toList();
        int others = verdict.open().size() - inTheWay.size();
        if (!inTheWay.isEmpty()) {
            return "Nothing left to see now tells it from " + names(inTheWay) + "."
                    + (others == 0 ? "" : " " + notLookedInto(others));
        }
        if (!verdict.open().isEmpty()) {
            return "Not yet told from " + names(verdict.open()) + ".";
        }
        Taxon lead = verdict.taxon() == null
                ? null
                : herbarium.taxon(verdict.taxon()).orElse(null);
        return lead != null && !lead.lookAlikesChecked()
                ? "Nobody has checked whether the list of look-alikes of " + lead.commonName() + " is complete."
                : "Not certain yet.";
    }

    private static String notLookedInto(int others) {
        return (others == 1 ? "One other dangerous plant was" : others + " other dangerous plants were")
                + " not looked into, for this can't be settled now.";
    }

    private String whatNext(Request request, Verdict verdict, boolean clear, Table table) {
        TellableAt at = verdict.tellableAt();
        Taxon lead = verdict.taxon() == null
                ? null
                : herbarium.taxon(verdict.taxon()).orElse(null);
        // Whoever looks blind is not told a name before the look is clear.
        List<String> unsaid = lead == null || at != null || !clear
                ? List.of()
                : WhenSure.unsaid(
                        table,
                        lead,
                        request.stage(),
                        verdict.open().stream()
                                .flatMap(o -> herbarium.taxon(o.taxon()).stream())
                                .toList());
        if (!unsaid.isEmpty()) {
            return "The card of " + lead.commonName()
                    + " says too little yet. Look at the plant and write on the card: "
                    + String.join(
                            "; ",
                            unsaid.stream()
                                    .map(herbarium::character)
                                    .filter(Objects::nonNull)
                                    .map(c -> c.name().toLowerCase(Locale.ROOT))
                                    .toList())
                    + ".";
        }
        if (clear && at == null && !verdict.open().isEmpty()) {
            return "By looking, the two can't be told at any stage. Leave it where it grows; sow it yourself or buy it.";
        }
        return at != null && at.stage() != request.stage()
                ? "Mark the place and come back when it is " + at.stage().words() + "."
                : "Look at more characters, on different parts of the plant.";
    }

    private String names(List<Open> open) {
        String first = String.join(
                ", ", open.stream().limit(4).map(o -> commonName(o.taxon())).toList());
        return open.size() > 4 ? first + " and " + (open.size() - 4) + " more dangerous plants" : first;
    }

    private String commonName(String taxon) {
        return herbarium.taxon(taxon).map(Taxon::commonName).orElse(taxon);
    }
}
