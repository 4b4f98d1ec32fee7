package org.sallowbrook.server.identification;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.identification.WhenSure;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Answer;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
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
            @Nullable Set<String> unseeable,
            @Nullable Set<String> unseenTwice,
            @Nullable List<ObservationRequest> again) {}

    record CandidateView(String taxon, String commonName, Double posterior, Danger danger) {}

    /** @param again whether it could not be seen before, and is asked of another leaf or plant */
    record QuestionView(String character, List<String> states, String why, Boolean again) {}

    record ExcludedView(String taxon, List<String> by) {}

    /** @param inTheWay whether nothing left to see at this stage could exclude it; else it was not looked into yet */
    record OpenView(
            String taxon,
            Boolean inTheWay,
            List<String> would,
            @Nullable TellableView later) {}

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
            List<String> again,
            VerdictView verdict,
            List<Finding> findings) {}

    private final HerbariumService herbarium;

    private final OwnErrors errors;

    IdentifyCalculator(HerbariumService herbarium, OwnErrors errors) {
        this.herbarium = herbarium;
        this.errors = errors;
    }

    @PostMapping("/api/calculators/identify")
    IdentifyAnswer identify(@RequestBody IdentifyRequest request) {
        var result = result(request);
        var verdict = result.verdict();
        var at = verdict.tellableAt();
        return new IdentifyAnswer(
                true,
                CoreVersion.CURRENT,
                result.candidates().stream().map(this::candidate).toList(),
                question(result.next()),
                question(result.further()),
                result.again(),
                new VerdictView(
                        verdict.status(),
                        verdict.taxon(),
                        verdict.genus(),
                        verdict.excluded().stream()
                                .map(e -> new ExcludedView(e.taxon(), e.by()))
                                .toList(),
                        verdict.open().stream()
                                .map(o -> new OpenView(o.taxon(), o.inTheWay(), o.would(), tellable(o.later())))
                                .toList(),
                        tellable(at)),
                Answer.ungated(result.findings()));
    }

    /**
     * What to look at next, and nothing of what it points to: who sees a name while looking sees the plant that bears it.
     *
     * @param next null when nothing more to be seen now would settle it
     * @param further in that case a question all the same
     * @param settled there is enough to say what it is, or that it can't be said now
     * @param again to be looked at once more before the look is over
     */
    record NextLook(@Nullable QuestionView next, @Nullable QuestionView further, Boolean settled, List<String> again) {}

    @PostMapping("/api/calculators/identify/next")
    NextLook next(@RequestBody IdentifyRequest request) {
        var result = result(request);
        return new NextLook(question(result.next()), question(result.further()), result.settled(), result.again());
    }

    /**
     * @param plants of the region that are at the stage in the month
     * @param gathered plants that are gathered and have the stage
     * @param certain how many of those a look at the stage can make certain, with a second look where one is wanted
     */
    record StageView(LifeStage stage, Long plants, Integer gathered, Integer certain) {}

    /** Stages at which plants of the region are in a month, those of most plants first. */
    @GetMapping("/api/calculators/identify/stages")
    List<StageView> stages(@RequestParam Integer month, @RequestParam Group group, @RequestParam String region) {
        Checks.begin().range("month", month, 1, 12).done();
        Map<LifeStage, Long> plants = herbarium.herbarium().stages(region, group, month);
        return Arrays.stream(LifeStage.values())
                .map(stage -> {
                    var of = herbarium.identifier().certainty(region, group, stage);
                    return new StageView(stage, plants.getOrDefault(stage, 0L), of.gathered(), of.certain());
                })
                .filter(s -> s.plants() > 0 || s.gathered() > 0)
                .sorted(Comparator.comparing(StageView::plants).reversed())
                .toList();
    }

    record OrderView(LifeStage stage, List<String> characters) {}

    /** For a device without a line: in which order to ask at each stage. */
    @GetMapping("/api/calculators/identify/order")
    List<OrderView> order(@RequestParam Integer month, @RequestParam String region) {
        Checks.begin().range("month", month, 1, 12).done();
        return Arrays.stream(LifeStage.values())
                .map(s -> new OrderView(s, herbarium.identifier().order(region, s, month)))
                .toList();
    }

    /** To be filled in where there is no line, and no hand free. */
    @GetMapping(value = "/api/calculators/identify/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> onPaper(
            @RequestParam Integer month, @RequestParam LifeStage stage, @RequestParam String region) {
        Checks.begin().range("month", month, 1, 12).done();
        return Paper.response(
                LookSheet.of(herbarium.herbarium(), herbarium.identifier().order(region, stage, month), stage), "look");
    }

    record NamedView(String id, String name) {}

    /**
     * @param inTheWay dangerous plants that nothing seen at the stage excludes
     * @param by what tells it from most of what is dangerous
     * @param unsaid what its card would have to say, where it says too little
     */
    record WhenView(
            LifeStage stage,
            List<Integer> months,
            WhenSure.Sure sure,
            List<NamedView> inTheWay,
            List<NamedView> by,
            List<NamedView> unsaid) {}

    /** When a named plant can be made certain. It confirms nothing. */
    @GetMapping("/api/calculators/identify/when")
    List<WhenView> when(@RequestParam String taxon, @RequestParam String region) {
        var all = herbarium.herbarium();
        return herbarium.identifier().whenSure(herbarium.taxon(taxon).id(), region).stream()
                .map(at -> new WhenView(
                        at.stage(),
                        at.months(),
                        at.sure(),
                        at.inTheWay().stream()
                                .map(t -> new NamedView(t, herbarium.taxon(t).commonName()))
                                .toList(),
                        named(all, at.by()),
                        named(all, at.unsaid())))
                .toList();
    }

    private static List<NamedView> named(Herbarium all, List<String> characters) {
        return characters.stream()
                .map(c -> {
                    var definition = all.character(c);
                    return new NamedView(c, definition == null ? c : definition.name());
                })
                .toList();
    }

    private Identification.Result result(IdentifyRequest request) {
        return herbarium
                .identifier()
                .identify(new Identification.Request(
                        request.month(),
                        request.stage(),
                        request.region(),
                        request.conditions() == null ? Set.of() : request.conditions(),
                        observations(request.observations()),
                        request.unseeable() == null ? Set.of() : request.unseeable(),
                        request.unseenTwice() == null ? Set.of() : request.unseenTwice(),
                        request.again() == null ? List.of() : observations(request.again()),
                        errors.mine()));
    }

    private static List<Identification.Observation> observations(List<ObservationRequest> given) {
        return given.stream()
                .map(o -> new Identification.Observation(o.character(), o.state()))
                .toList();
    }

    private static @Nullable QuestionView question(Identification.@Nullable Question q) {
        return q == null ? null : new QuestionView(q.character(), q.states(), q.why(), q.again());
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
