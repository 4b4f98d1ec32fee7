package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.making.MakingGate;
import org.sallowbrook.core.making.Steps;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.LotKind;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.ShelfService.HerbView;
import org.sallowbrook.server.shelf.ShelfService.LotView;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tinctures from real jars and real spirits. */
@Service
@Transactional
class TinctureService {

    /** When to press, by school. */
    enum PressSchool {
        EARLY(School.PRESS_EARLY),
        MEDIUM(School.PRESS_MEDIUM),
        LONG(School.PRESS_LONG);

        final int days;

        PressSchool(School school) {
            this.days = Tincture.pressAfterDays(school);
        }
    }

    record HerbUse(UUID lotId, Double massG) {}

    record TinctureBatchRequest(
            UUID id,
            String name,
            List<HerbUse> herbs,
            Double ratio,
            Boolean waterCounts,
            Tincture.Basis basis,
            Double strengthPercent,
            List<UUID> spirits,
            @Nullable Double jarMl,
            PressSchool press,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    record PourView(@Nullable UUID lotId, String name, Double volumeMl, Double massG) {}

    record JarFillView(Double jarMl, Double herbMl, Double liquidLevelMl, Boolean fits) {}

    record TincturePlanView(
            Boolean feasible,
            @Nullable Double menstruumMl,
            @Nullable Double menstruumPercent,
            List<PourView> pours,
            @Nullable Range finalPercent,
            @Nullable Range liquidMl,
            @Nullable Range drainedMl,
            @Nullable Range pressedMl,
            @Nullable Range herbEquivalentGPerMl,
            @Nullable Range driedEquivalentGPerMl,
            @Nullable JarFillView jar,
            @Nullable LocalDate keepsUntil,
            List<Steps.Step> steps,
            List<Finding> findings,
            List<String> because) {}

    private final ShelfService shelf;
    private final BatchService batches;
    private final PeopleService people;
    private final SchoolService schools;

    TinctureService(ShelfService shelf, BatchService batches, PeopleService people, SchoolService schools) {
        this.schools = schools;
        this.shelf = shelf;
        this.batches = batches;
        this.people = people;
    }

    /** Loaded lots beside what core made of them. */
    private record Reckoned(
            Tincture.Recipe core,
            Tincture.Result result,
            List<LotView> jars,
            List<LotView> spirits,
            List<LotView> used,
            List<Finding> findings) {}

    @Transactional(readOnly = true)
    public TincturePlanView check(TinctureBatchRequest request) {
        Reckoned r = reckon(request);
        Tincture.Plan plan = r.result().plan();
        if (plan == null) {
            return new TincturePlanView(
                    false,
                    null,
                    null,
                    List.of(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    List.of(),
                    r.findings(),
                    r.result().because());
        }
        var jar = plan.jar();
        return new TincturePlanView(
                true,
                plan.menstruumMl(),
                plan.menstruum().percent(),
                plan.pours().stream().map(p -> pour(p, r.spirits())).toList(),
                Range.of(plan.finalFraction().times(100)),
                Range.of(plan.liquidMl()),
                Range.of(plan.drainedMl()),
                Range.of(plan.pressedMl()),
                Range.of(plan.herbEquivalentGPerMl()),
                Range.of(plan.driedEquivalentGPerMl()),
                jar == null ? null : new JarFillView(jar.jarMl(), jar.herbMl(), jar.liquidLevelMl(), jar.fits()),
                Keeping.reckon(new Keeping.Request(
                                Keeping.Form.TINCTURE,
                                request.startedOn().plusDays(request.press().days),
                                null,
                                null,
                                List.of(),
                                Tincture.keepsDays(plan.finalFraction()),
                                schools.chosen()))
                        .bestBefore(),
                Steps.tincture(r.core(), plan, request.press().days),
                r.findings(),
                r.result().because());
    }

    public BatchService.BatchView start(TinctureBatchRequest request) {
        BatchService.BatchView known = batches.repeated(request.id(), request);
        if (known != null) {
            return known;
        }
        Reckoned r = reckon(request);
        Tincture.Plan plan = r.result().plan();
        if (plan == null) {
            throw new Problem.Refused(r.findings());
        }
        List<BatchService.Use> uses = new ArrayList<>();
        request.herbs().forEach(h -> uses.add(new BatchService.Use(h.lotId(), h.massG())));
        for (Blend.NamedPour pour : plan.pours()) {
            UUID lot = pour(pour, r.spirits()).lotId();
            if (lot != null) {
                uses.add(new BatchService.Use(lot, pour.volumeMl()));
            }
        }
        BatchPlan stored = new BatchPlan(
                Steps.tincture(r.core(), plan, request.press().days),
                Range.of(plan.pressedMl()),
                "mL",
                plan.finalFraction().high() * 100,
                Range.of(plan.finalFraction().times(100)),
                Range.of(plan.driedEquivalentGPerMl()),
                herbs(request, r.jars()),
                null,
                Tincture.keepsDays(plan.finalFraction()),
                r.findings(),
                r.result().because(),
                new BatchPlan.Jar(
                        r.core().herbs().stream()
                                .map(h -> new BatchPlan.JarHerb(
                                        h.name(),
                                        h.massG(),
                                        Range.of(h.moisture().asInterval())))
                                .toList(),
                        plan.menstruumMl(),
                        plan.menstruum().percent()),
                null,
                null);
        return batches.start(
                request.id(),
                BatchKind.TINCTURE,
                request.name(),
                MakingGate.routeOf(
                        r.used().stream().map(BatchService::ingredient).toList()),
                stored,
                r.used(),
                uses,
                request.press().days,
                request.startedOn(),
                request.acknowledged());
    }

    private Reckoned reckon(TinctureBatchRequest request) {
        Checks.begin()
                .that(!request.herbs().isEmpty(), "herbs", "must name at least one jar")
                .that(!request.spirits().isEmpty(), "spirits", "must name at least one spirit")
                .done();
        List<LotView> jars = request.herbs().stream()
                .map(h -> lot(h.lotId(), LotKind.JAR, "herbs"))
                .toList();
        List<LotView> spirits = request.spirits().stream()
                .distinct()
                .map(id -> lot(id, LotKind.SPIRIT, "spirits"))
                .toList();
        List<Tincture.Herb> herbs = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < jars.size(); i++) {
            LotView jar = jars.get(i);
            double mass = request.herbs().get(i).massG();
            herbs.add(new Tincture.Herb(
                    jar.name(),
                    String.valueOf(jar.part()),
                    mass,
                    Tincture.State.DRIED,
                    jar.moisture() == null
                            ? Moisture.of(0.08, 0.12)
                            : jar.moisture().moisture(),
                    null));
            if (mass > jar.remaining() + 1e-6) {
                findings.add(Finding.stop(
                        "NOT_ENOUGH_HERB",
                        jar.name() + " (" + jar.code() + ") has only "
                                + org.sallowbrook.core.measure.Words.grams(jar.remaining()) + " left.",
                        "Use less, or a second jar."));
            }
        }
        Tincture.Recipe core = new Tincture.Recipe(
                herbs,
                request.ratio(),
                request.waterCounts(),
                request.basis(),
                Strength.ofPercent(request.strengthPercent()),
                spirits.stream()
                        .map(s -> new Blend.Bottle(
                                label(s),
                                Strength.ofPercent(s.strengthPercent() == null ? 0 : s.strengthPercent()),
                                s.remaining(),
                                s.openedOn() != null))
                        .toList(),
                request.jarMl(),
                batches.retention());
        Tincture.Result result = Tincture.plan(core);
        Tincture.Plan plan = result.plan();
        List<LotView> used = new ArrayList<>(jars);
        spirits.stream()
                .filter(s -> plan == null
                        || plan.pours().stream().anyMatch(p -> p.name().equals(label(s))))
                .forEach(used::add);
        findings.addAll(MakingGate.check(
                used.stream().map(BatchService::ingredient).toList(), request.route(), people.today()));
        findings.addAll(result.findings());
        return new Reckoned(core, result, jars, spirits, used, findings);
    }

    private LotView lot(UUID id, LotKind kind, String field) {
        LotView lot = shelf.lot(id);
        Checks.begin()
                .that(lot.kind() == kind, field, "must name " + (kind == LotKind.JAR ? "jars of herb" : "spirits"))
                .done();
        return lot;
    }

    private static String label(LotView spirit) {
        return spirit.name() + " (" + spirit.code() + ")";
    }

    private static PourView pour(Blend.NamedPour pour, List<LotView> spirits) {
        UUID lot = spirits.stream()
                .filter(s -> label(s).equals(pour.name()))
                .map(LotView::id)
                .findFirst()
                .orElse(null);
        return new PourView(lot, pour.name(), pour.volumeMl(), pour.massG());
    }

    private static List<HerbView> herbs(TinctureBatchRequest request, List<LotView> jars) {
        List<HerbView> herbs = new ArrayList<>();
        for (int i = 0; i < jars.size(); i++) {
            double share = request.herbs().get(i).massG() / jars.get(i).amount();
            jars.get(i)
                    .herbs()
                    .forEach(h -> herbs.add(new HerbView(h.taxonId(), h.commonName(), h.part(), h.driedG() * share)));
        }
        return herbs;
    }
}
