package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
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
        Scope scope = new Scope(request.region(), request.stage(), request.conditions());
        Table table = tables.get(scope);
        if (table == null) {
            Checks.begin()
                    .that(
                            herbarium.taxa().stream().anyMatch(t -> t.regions().contains(request.region())),
                            "region",
                            "has no plants in the herbarium")
                    .done();
            table = tables.computeIfAbsent(scope, s -> new Table(herbarium, s.region(), s.stage(), s.conditions()));
        }
        Posterior posterior = new Posterior(table, request);
        VerdictGate gate = new VerdictGate(herbarium, telling, table, posterior, request);
        int lead = posterior.lead();
        int[] open = gate.open(lead);
        Verdict verdict = gate.verdict(lead, open);
        NextQuestion.Asked asked = new NextQuestion(table, posterior)
                .asked(
                        request,
                        Arrays.stream(open).mapToObj(o -> gate.against(lead, o)).toList());
        return new Result(
                candidates(table, posterior),
                asked.next(),
                asked.further(),
                LookAgain.of(herbarium, given, verdict),
                verdict,
                findings(given, request, table, verdict, posterior.of[lead] >= NextQuestion.CLEAR));
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
            findings.add(Finding.hold("NOT_YET", notYet(verdict), whatNext(request, verdict, clear)));
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

    private static String whatNext(Request request, Verdict verdict, boolean clear) {
        TellableAt at = verdict.tellableAt();
        if (clear && at == null && !verdict.open().isEmpty()) {
            return "By looking, the two can't be told at any stage. Leave it where it grows; sow it yourself or buy it.";
        }
        return at != null && at.stage() != request.stage()
                ? "Mark the place and come back when it is "
                        + at.stage().name().toLowerCase(Locale.ROOT).replace('_', ' ') + "."
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
