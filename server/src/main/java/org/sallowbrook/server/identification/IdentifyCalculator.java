package org.sallowbrook.server.identification;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Answer;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class IdentifyCalculator {

    record ObservationRequest(String character, String state) {}

    record IdentifyRequest(
            Integer month,
            LifeStage stage,
            String region,
            @Nullable Set<LookingCondition> conditions,
            List<ObservationRequest> observations,
            @Nullable Set<String> unseeable) {}

    record CandidateView(String taxon, String commonName, Double posterior, Danger danger) {}

    record QuestionView(String character, List<String> states, String why) {}

    record ExcludedView(String taxon, List<String> by) {}

    record OpenView(
            String taxon, List<String> would, @Nullable TellableView later) {}

    record TellableView(LifeStage stage, List<Integer> months, List<String> characters) {}

    record VerdictView(
            Identification.Status status,
            @Nullable String taxon,
            @Nullable String genus,
            List<ExcludedView> excluded,
            List<OpenView> open,
            @Nullable TellableView tellableAt) {}

    record IdentifyAnswer(
            Boolean feasible,
            String coreVersion,
            List<CandidateView> candidates,
            @Nullable QuestionView next,
            @Nullable QuestionView further,
            VerdictView verdict,
            List<Finding> findings) {}

    private final HerbariumService herbarium;

    IdentifyCalculator(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    @PostMapping("/api/calculators/identify")
    IdentifyAnswer identify(@RequestBody IdentifyRequest request) {
        var result = herbarium
                .identifier()
                .identify(new Identification.Request(
                        request.month(),
                        request.stage(),
                        request.region(),
                        request.conditions() == null ? Set.of() : request.conditions(),
                        request.observations().stream()
                                .map(o -> new Identification.Observation(o.character(), o.state()))
                                .toList(),
                        request.unseeable() == null ? Set.of() : request.unseeable()));
        var verdict = result.verdict();
        var at = verdict.tellableAt();
        return new IdentifyAnswer(
                true,
                CoreVersion.CURRENT,
                result.candidates().stream().map(this::candidate).toList(),
                question(result.next()),
                question(result.further()),
                new VerdictView(
                        verdict.status(),
                        verdict.taxon(),
                        verdict.genus(),
                        verdict.excluded().stream()
                                .map(e -> new ExcludedView(e.taxon(), e.by()))
                                .toList(),
                        verdict.open().stream()
                                .map(o -> new OpenView(o.taxon(), o.would(), tellable(o.later())))
                                .toList(),
                        tellable(at)),
                Answer.ungated(result.findings()));
    }

    private static @Nullable QuestionView question(Identification.@Nullable Question q) {
        return q == null ? null : new QuestionView(q.character(), q.states(), q.why());
    }

    private static @Nullable TellableView tellable(Identification.@Nullable TellableAt at) {
        return at == null ? null : new TellableView(at.stage(), at.months(), at.characters());
    }

    private CandidateView candidate(Identification.Candidate c) {
        var taxon = herbarium.herbarium().taxon(c.taxon());
        return new CandidateView(
                c.taxon(),
                taxon.map(t -> t.commonName()).orElse("none of these"),
                c.posterior(),
                taxon.map(t -> t.danger()).orElse(Danger.POISONOUS));
    }
}
