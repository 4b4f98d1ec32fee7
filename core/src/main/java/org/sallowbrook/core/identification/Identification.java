package org.sallowbrook.core.identification;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;

/**
 * Which plant it is. Bayes over the taxa of a region with observer error, and a separate gate that says whether it is
 * certain enough.
 *
 * <p>P(state | taxon) = (1 - e) f + e (1 - f) / (k - 1), f the taxon's frequency of the state, e the observer's error,
 * k the number of states. A character the card does not describe at this stage says nothing (1/k). Only what was seen
 * counts.
 *
 * <p>CONFIRMED needs, against every dangerous taxon of the region: two exclusions by characters of different organs whose
 * observed state it never shows (one marked decisive for a listed look-alike; scent not counted), a likelihood ratio of
 * 1,000,000, no fewer than six telling characters at this stage, and a posterior of 0.99 with "none of these" beaten.
 */
public final class Identification {

    /** The candidate for a plant that no card describes. */
    public static final String NONE_OF_THESE = "none-of-these";

    static final double PRIOR_NONE = 0.05;
    static final double OUT_OF_MONTH = 0.1;
    static final double LEAST_POSTERIOR = 0.99;
    static final double LEAST_RATIO = 1_000_000;
    static final double STOP_LEAD = 10;
    static final double STOP_POSTERIOR = 0.05;
    static final int TELLING = 6;

    /** Before this many observations a high posterior is only the prior speaking, and no reason for STOP. */
    static final int FEW = 3;

    private static final double WEIGHT_NONE = 10;
    private static final double COST_PENALTY = 0.02;

    public record Observation(String character, String state) {}

    /** @param month 1..12 */
    public record Request(int month, LifeStage stage, String region, List<Observation> observations) {
        public Request {
            Checks checks = Checks.begin().range("month", month, 1, 12);
            Set<String> seen = new HashSet<>();
            for (int i = 0; i < observations.size(); i++) {
                checks.that(
                        seen.add(observations.get(i).character()),
                        "observations[" + i + "].character",
                        "was given twice");
            }
            checks.done();
            observations = List.copyOf(observations);
        }
    }

    public record Candidate(String taxon, double posterior) {}

    public record Question(String character, List<String> states, String why) {}

    public enum Status {
        CONFIRMED,
        NOT_YET,
        STOP
    }

    public record Excluded(String taxon, List<String> by) {}

    /** @param would characters still to be seen at this stage that would tell it apart */
    public record Open(String taxon, List<String> would) {}

    public record TellableAt(LifeStage stage, List<Integer> months, List<String> characters) {}

    public record Verdict(
            Status status,
            @Nullable String taxon,
            List<Excluded> excluded,
            List<Open> open,
            @Nullable TellableAt tellableAt) {}

    public record Result(
            List<Candidate> candidates, @Nullable Question next, Verdict verdict, List<Finding> findings) {}

    private Identification() {}

    public static Result identify(Herbarium herbarium, Request request) {
        checkAgainstVocabulary(herbarium, request);
        List<Taxon> taxa = herbarium.taxa().stream()
                .filter(t -> t.regions().contains(request.region()))
                .toList();
        Checks.begin()
                .that(!taxa.isEmpty(), "region", "has no plants in the herbarium")
                .done();
        return new Engine(herbarium, taxa, request).result();
    }

    private static void checkAgainstVocabulary(Herbarium herbarium, Request request) {
        Checks checks = Checks.begin();
        for (int i = 0; i < request.observations().size(); i++) {
            Observation observation = request.observations().get(i);
            CharacterDefinition definition = herbarium.character(observation.character());
            String at = "observations[" + i + "].";
            checks.that(definition != null, at + "character", "is not in the vocabulary");
            if (definition != null) {
                checks.that(definition.has(observation.state()), at + "state", "is not a state of the character");
                checks.that(
                        definition.stages().contains(request.stage()),
                        at + "character",
                        "can't be seen at stage " + request.stage());
            }
        }
        checks.done();
    }

    private static final class Engine {

        private final Herbarium herbarium;
        private final List<Taxon> taxa;
        private final Request request;
        private final Map<String, Double> likelihood = new LinkedHashMap<>();
        private final Map<String, Double> posterior = new LinkedHashMap<>();

        Engine(Herbarium herbarium, List<Taxon> taxa, Request request) {
            this.herbarium = herbarium;
            this.taxa = taxa;
            this.request = request;
            reckonPosteriors();
        }

        private void reckonPosteriors() {
            double none = PRIOR_NONE;
            double noneLikelihood = 1;
            for (Observation o : request.observations()) {
                noneLikelihood /= definition(o.character()).states().size();
            }
            double priors = taxa.stream().mapToDouble(this::prior).sum();
            double sum = none * noneLikelihood;
            Map<String, Double> joint = new LinkedHashMap<>();
            for (Taxon taxon : taxa) {
                double l = 1;
                for (Observation o : request.observations()) {
                    l *= probability(taxon, definition(o.character()), o.state());
                }
                likelihood.put(taxon.id(), l);
                double j = (1 - none) * prior(taxon) / priors * l;
                joint.put(taxon.id(), j);
                sum += j;
            }
            for (Map.Entry<String, Double> e : joint.entrySet()) {
                posterior.put(e.getKey(), e.getValue() / sum);
            }
            posterior.put(NONE_OF_THESE, none * noneLikelihood / sum);
        }

        private double prior(Taxon taxon) {
            Set<Integer> months = taxon.months().get(request.stage());
            return months != null && months.contains(request.month()) ? 1 : OUT_OF_MONTH;
        }

        private double probability(Taxon taxon, CharacterDefinition definition, String state) {
            Map<String, Frequency> states = taxon.statesOf(definition.id(), request.stage());
            int k = definition.states().size();
            if (states == null) {
                return 1.0 / k;
            }
            double whole =
                    states.values().stream().mapToDouble(Frequency::share).sum();
            Frequency shown = states.get(state);
            double f = shown == null ? 0 : shown.share() / whole;
            double e = definition.error();
            return (1 - e) * f + e * (1 - f) / (k - 1);
        }

        Result result() {
            List<Candidate> candidates = posterior.entrySet().stream()
                    .map(e -> new Candidate(e.getKey(), e.getValue()))
                    .sorted(Comparator.comparingDouble(Candidate::posterior).reversed())
                    .toList();
            Verdict verdict = verdict(candidates);
            return new Result(candidates, next(), verdict, findings(verdict));
        }

        // ---- verdict

        private Verdict verdict(List<Candidate> candidates) {
            if (request.observations().isEmpty()) {
                return new Verdict(Status.NOT_YET, null, List.of(), List.of(), null);
            }
            Taxon lead = taxa.stream()
                    .max(Comparator.comparingDouble(t -> posterior.get(t.id())))
                    .orElseThrow();
            double leads = posterior.get(lead.id());
            double second = candidates.stream()
                    .filter(c -> !c.taxon().equals(lead.id()))
                    .mapToDouble(Candidate::posterior)
                    .max()
                    .orElse(0);
            if (lead.danger().dangerous()) {
                boolean enough = request.observations().size() >= FEW;
                Status status = enough && leads >= STOP_LEAD * second ? Status.STOP : Status.NOT_YET;
                return new Verdict(status, lead.id(), List.of(), List.of(), null);
            }
            List<Excluded> excluded = new ArrayList<>();
            List<Open> open = new ArrayList<>();
            boolean stop = false;
            for (Taxon other : taxa) {
                if (!other.danger().dangerous()) {
                    continue;
                }
                List<String> by = exclusions(lead, other);
                if (isExcluded(lead, other, by)) {
                    excluded.add(new Excluded(other.id(), by));
                } else {
                    open.add(new Open(other.id(), stillTelling(lead, other)));
                    stop |= request.observations().size() >= FEW
                            && posterior.get(other.id()) >= STOP_POSTERIOR
                            && tellable(lead, other, request.stage());
                }
            }
            if (stop) {
                return new Verdict(Status.STOP, lead.id(), excluded, open, tellableAt(lead, open));
            }
            boolean confirmed = open.isEmpty()
                    && lead.lookAlikesChecked()
                    && leads >= LEAST_POSTERIOR
                    && leads > posterior.get(NONE_OF_THESE);
            return confirmed
                    ? new Verdict(Status.CONFIRMED, lead.id(), excluded, open, null)
                    : new Verdict(Status.NOT_YET, lead.id(), excluded, open, tellableAt(lead, open));
        }

        private boolean isExcluded(Taxon lead, Taxon other, List<String> by) {
            Set<Organ> organs = EnumSet.noneOf(Organ.class);
            boolean decisive = lead.lookAlike(other.id()).isEmpty();
            for (String character : by) {
                CharacterDefinition definition = definition(character);
                if (!definition.scent()) {
                    organs.add(definition.organ());
                    decisive |= lead.lookAlike(other.id())
                            .map(l -> l.decisive().contains(character))
                            .orElse(false);
                }
            }
            double ratio = likelihood.get(lead.id()) / likelihood.get(other.id());
            return organs.size() >= 2 && decisive && ratio >= LEAST_RATIO && tellable(lead, other, request.stage());
        }

        /** Characters whose observed state the other never shows, and the lead does. */
        private List<String> exclusions(Taxon lead, Taxon other) {
            List<String> by = new ArrayList<>();
            for (Observation o : request.observations()) {
                Map<String, Frequency> states = other.statesOf(o.character(), request.stage());
                Map<String, Frequency> own = lead.statesOf(o.character(), request.stage());
                if (states != null && !states.containsKey(o.state()) && own != null && own.containsKey(o.state())) {
                    by.add(o.character());
                }
            }
            return by;
        }

        private boolean tellable(Taxon a, Taxon b, LifeStage stage) {
            return telling(a, b, stage).size() >= TELLING;
        }

        private List<String> stillTelling(Taxon lead, Taxon other) {
            Set<String> seen = new LinkedHashSet<>();
            request.observations().forEach(o -> seen.add(o.character()));
            return telling(lead, other, request.stage()).stream()
                    .filter(c -> !seen.contains(c))
                    .toList();
        }

        /** The first later stage at which every open taxon can be told from the lead. */
        private @Nullable TellableAt tellableAt(Taxon lead, List<Open> open) {
            for (LifeStage stage : LifeStage.values()) {
                Set<Integer> months = lead.months().get(stage);
                if (months == null || open.isEmpty()) {
                    continue;
                }
                boolean all = open.stream()
                        .allMatch(o -> tellable(lead, herbarium.taxon(o.taxon()).orElseThrow(), stage));
                if (all) {
                    Set<String> characters = new LinkedHashSet<>();
                    open.forEach(o -> characters.addAll(
                            telling(lead, herbarium.taxon(o.taxon()).orElseThrow(), stage)));
                    return new TellableAt(
                            stage,
                            months.stream().sorted().toList(),
                            characters.stream().limit(TELLING).toList());
                }
            }
            return null;
        }

        // ---- next question

        private @Nullable Question next() {
            Set<String> seen = new HashSet<>();
            request.observations().forEach(o -> seen.add(o.character()));
            double now = riskEntropy(posterior);
            CharacterDefinition best = null;
            double bestGain = 0;
            for (CharacterDefinition definition : herbarium.characters()) {
                if (seen.contains(definition.id()) || !definition.stages().contains(request.stage())) {
                    continue;
                }
                double gain = now - expectedEntropy(definition);
                gain *= 1 - COST_PENALTY * 10 * (definition.cost() - 1);
                if (gain > bestGain + 1e-12) {
                    bestGain = gain;
                    best = definition;
                }
            }
            if (best == null) {
                return null;
            }
            return new Question(
                    best.id(),
                    best.states().stream().map(CharacterDefinition.State::id).toList(),
                    why(best));
        }

        private String why(CharacterDefinition definition) {
            List<String> told = taxa.stream()
                    .filter(t -> t.statesOf(definition.id(), request.stage()) != null)
                    .sorted(Comparator.comparingDouble((Taxon t) ->
                                    posterior.get(t.id()) * t.danger().weight())
                            .reversed())
                    .limit(2)
                    .map(Taxon::commonName)
                    .toList();
            return told.size() == 2
                    ? "Tells most about " + told.get(0) + " and " + told.get(1) + "."
                    : "Tells most of what can be seen now.";
        }

        private double expectedEntropy(CharacterDefinition definition) {
            double expected = 0;
            int k = definition.states().size();
            for (CharacterDefinition.State state : definition.states()) {
                Map<String, Double> joint = new LinkedHashMap<>();
                double sum = 0;
                for (Taxon taxon : taxa) {
                    double j = posterior.get(taxon.id()) * probability(taxon, definition, state.id());
                    joint.put(taxon.id(), j);
                    sum += j;
                }
                double none = posterior.get(NONE_OF_THESE) / k;
                joint.put(NONE_OF_THESE, none);
                double whole = sum + none;
                joint.replaceAll((id, j) -> j / whole);
                expected += whole * riskEntropy(joint);
            }
            return expected;
        }

        /** Entropy in which each taxon's uncertainty weighs by what confusing it would cost. */
        private double riskEntropy(Map<String, Double> p) {
            double sum = 0;
            for (Taxon taxon : taxa) {
                sum += taxon.danger().weight() * entropyTerm(p.get(taxon.id()));
            }
            return sum + WEIGHT_NONE * entropyTerm(p.get(NONE_OF_THESE));
        }

        private static double entropyTerm(double p) {
            return p > 0 ? -p * Math.log(p) : 0;
        }

        // ---- words

        private List<Finding> findings(Verdict verdict) {
            List<Finding> findings = new ArrayList<>();
            if (verdict.status() == Status.STOP) {
                findings.add(Finding.stop(
                        "DANGEROUS_PLANT",
                        "What was seen fits a dangerous plant too well: "
                                + (verdict.open().isEmpty() && verdict.taxon() != null
                                        ? commonName(verdict.taxon())
                                        : String.join(
                                                ", ",
                                                verdict.open().stream()
                                                        .map(o -> commonName(o.taxon()))
                                                        .toList()))
                                + ".",
                        "Do not pick it. Wash your hands if you have touched it."));
            } else if (verdict.status() == Status.NOT_YET) {
                TellableAt at = verdict.tellableAt();
                findings.add(Finding.hold(
                        "NOT_YET",
                        verdict.open().isEmpty()
                                ? "Not certain yet."
                                : "Not yet told from "
                                        + String.join(
                                                ", ",
                                                verdict.open().stream()
                                                        .map(o -> commonName(o.taxon()))
                                                        .toList())
                                        + ".",
                        at != null && at.stage() != request.stage()
                                ? "Mark the place and come back when it is "
                                        + at.stage().name().toLowerCase(java.util.Locale.ROOT) + "."
                                : "Look at more characters, on different parts of the plant."));
            }
            return findings;
        }

        private String commonName(String taxon) {
            return herbarium.taxon(taxon).map(Taxon::commonName).orElse(taxon);
        }

        private CharacterDefinition definition(String id) {
            CharacterDefinition definition = herbarium.character(id);
            if (definition == null) {
                throw new IllegalStateException("checked at the door: " + id);
            }
            return definition;
        }
    }

    /** Characters both cards describe at a stage with no state in common. */
    public static List<String> telling(Taxon a, Taxon b, LifeStage stage) {
        List<String> telling = new ArrayList<>();
        for (Taxon.Shown shown : a.characters()) {
            if (!shown.stages().contains(stage)) {
                continue;
            }
            Map<String, Frequency> other = b.statesOf(shown.character(), stage);
            if (other != null && shown.states().keySet().stream().noneMatch(other::containsKey)) {
                telling.add(shown.character());
            }
        }
        return telling;
    }
}
