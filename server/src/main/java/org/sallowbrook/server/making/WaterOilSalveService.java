package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.MakingGate;
import org.sallowbrook.core.making.Steps;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.making.tea.MethodChoice;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.LotForm;
import org.sallowbrook.server.shelf.LotKind;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.ShelfService.HerbView;
import org.sallowbrook.server.shelf.ShelfService.LotView;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Teas, infused oils and salves from real lots. */
@Service
@Transactional
class WaterOilSalveService {

    record HerbUse(UUID lotId, Double massG) {}

    record TeaBatchRequest(
            UUID id,
            String name,
            HerbUse herb,
            Double wantedMl,
            Tea.@Nullable Method method,
            @Nullable Double minutes,
            @Nullable Boolean honey,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    record OilBatchRequest(
            UUID id,
            String name,
            HerbUse herb,
            Double ratio,
            UUID carrier,
            InfusedOil.Method method,
            Boolean eaten,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    record TinRequest(Double capacityMl, Integer count) {}

    record SalveBatchRequest(
            UUID id,
            String name,
            UUID oil,
            UUID wax,
            List<TinRequest> tins,
            Salve.Firmness firmness,
            Double storageTemperatureC,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    record TimelineView(Double minute, String action, String herb) {}

    /** What the page draws; the parts that do not belong to the kind are null. */
    /** @param cold whether the water stays cold */
    record PlanView(
            Boolean feasible,
            Boolean cold,
            @Nullable Double waterMl,
            @Nullable Range waterRangeMl,
            List<TimelineView> timeline,
            @Nullable Double oilMl,
            @Nullable Double oilG,
            @Nullable Double herbMl,
            @Nullable Double waxG,
            @Nullable Double totalG,
            @Nullable Double waxPercent,
            @Nullable Range yield,
            @Nullable LocalDate keepsUntil,
            List<Steps.Step> steps,
            List<Finding> findings,
            List<String> because) {}

    private record Reckoned(
            PlanView view,
            @Nullable BatchPlan plan,
            List<LotView> used,
            List<BatchService.Use> uses,
            @Nullable Integer pressAfterDays,
            Taxon.Route route) {}

    private static final double WASTE = 0.04;

    private final ShelfService shelf;
    private final BatchService batches;
    private final PeopleService people;
    private final SchoolService schools;
    private final Materials materials;
    private final ColdSpoons spoons;

    WaterOilSalveService(
            ShelfService shelf,
            BatchService batches,
            PeopleService people,
            SchoolService schools,
            Materials materials,
            ColdSpoons spoons) {
        this.schools = schools;
        this.materials = materials;
        this.spoons = spoons;
        this.shelf = shelf;
        this.batches = batches;
        this.people = people;
    }

    @Transactional(readOnly = true)
    public PlanView check(TeaBatchRequest request) {
        return tea(request).view();
    }

    @Transactional(readOnly = true)
    public PlanView check(OilBatchRequest request) {
        return oil(request).view();
    }

    @Transactional(readOnly = true)
    public PlanView check(SalveBatchRequest request) {
        return salve(request).view();
    }

    public BatchService.BatchView start(TeaBatchRequest r) {
        BatchService.BatchView known = batches.repeated(r.id(), r);
        return known != null ? known : start(r.id(), BatchKind.TEA, r.name(), r.startedOn(), r.acknowledged(), tea(r));
    }

    public BatchService.BatchView start(OilBatchRequest r) {
        BatchService.BatchView known = batches.repeated(r.id(), r);
        return known != null ? known : start(r.id(), BatchKind.OIL, r.name(), r.startedOn(), r.acknowledged(), oil(r));
    }

    public BatchService.BatchView start(SalveBatchRequest r) {
        BatchService.BatchView known = batches.repeated(r.id(), r);
        return known != null
                ? known
                : start(r.id(), BatchKind.SALVE, r.name(), r.startedOn(), r.acknowledged(), salve(r));
    }

    private BatchService.BatchView start(
            UUID id,
            BatchKind kind,
            String name,
            LocalDate on,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged,
            Reckoned r) {
        if (r.plan() == null) {
            throw new Problem.Refused(r.view().findings());
        }
        return batches.start(
                id, kind, name, r.route(), r.plan(), r.used(), r.uses(), r.pressAfterDays(), on, acknowledged);
    }

    private Reckoned tea(TeaBatchRequest request) {
        LotView jar = lot(request.herb().lotId(), LotKind.JAR, "herb.lotId");
        double mass = request.herb().massG();
        Tea.Recipe core = new Tea.Recipe(
                request.wantedMl(),
                null,
                List.of(new Tea.Herb(
                        jar.name(),
                        String.valueOf(jar.part()),
                        MethodChoice.Cut.CUT,
                        shelf.constituents(jar.id()),
                        null,
                        mass,
                        null,
                        request.method(),
                        request.minutes())),
                "water",
                null,
                Tea.Purpose.DRINK,
                schools.chosen());
        Tea.Result result = Tea.plan(core);
        List<Finding> findings = gate(List.of(jar), request.route());
        enough(jar, mass, findings);
        findings.addAll(result.findings());
        Tea.Plan plan = result.plan();
        LocalDate until = Keeping.reckon(Keeping.Request.of(keptAs(plan), request.startedOn(), List.of()))
                .bestBefore();
        boolean honey = Boolean.TRUE.equals(request.honey());
        List<Steps.Step> steps = Steps.tea(core, plan, honey);
        double dried = mass / request.wantedMl();
        Range yield = new Range(request.wantedMl(), request.wantedMl());
        BatchPlan stored = new BatchPlan(
                steps,
                yield,
                "mL",
                0.0,
                null,
                new Range(dried, dried),
                share(jar, mass),
                until,
                null,
                findings,
                result.because(),
                null,
                null,
                honey);
        PlanView view = new PlanView(
                true,
                keptAs(plan) == Keeping.Form.COLD_MACERATE,
                plan.waterMl(),
                Range.of(plan.waterRangeMl()),
                plan.timeline().stream()
                        .map(s -> new TimelineView(s.minute(), s.action(), s.herb()))
                        .toList(),
                null,
                null,
                null,
                null,
                null,
                null,
                yield,
                until,
                steps,
                findings,
                result.because());
        return new Reckoned(
                view, stored, List.of(jar), List.of(new BatchService.Use(jar.id(), mass)), null, routeOf(List.of(jar)));
    }

    /** As what the shortest-lived of its herbs makes it. */
    private static Keeping.Form keptAs(Tea.Plan plan) {
        if (plan.herbs().stream().anyMatch(h -> h.method() == Tea.Method.COLD_MACERATION)) {
            return Keeping.Form.COLD_MACERATE;
        }
        return plan.herbs().stream().anyMatch(h -> h.method() == Tea.Method.DECOCTION)
                ? Keeping.Form.DECOCTION
                : Keeping.Form.TEA;
    }

    private Reckoned oil(OilBatchRequest request) {
        LotView jar = lot(request.herb().lotId(), LotKind.JAR, "herb.lotId");
        LotView carrier = lot(request.carrier(), LotKind.OIL, "carrier");
        double mass = request.herb().massG();
        LocalDate today = people.today();
        LocalDate carrierUntil = materials
                .carrier(carrier.name())
                .bestBefore(request.startedOn(), carrier.bestBefore(), carrier.openedOn());
        int carrierMonths = (int) Math.max(0, ChronoUnit.MONTHS.between(request.startedOn(), carrierUntil));
        InfusedOil.Recipe core = new InfusedOil.Recipe(
                List.of(new InfusedOil.Herb(
                        jar.name(),
                        mass,
                        jar.moisture() == null
                                ? Moisture.of(0.08, 0.12)
                                : jar.moisture().moisture())),
                request.ratio(),
                carrier.name(),
                carrierMonths,
                request.method(),
                request.eaten(),
                0);
        InfusedOil.Result result = InfusedOil.plan(core);
        List<LotView> used = List.of(jar, carrier);
        List<Finding> findings = gate(used, request.eaten() ? Taxon.Route.INTERNAL : Taxon.Route.EXTERNAL);
        enough(jar, mass, findings);
        findings.addAll(result.findings());
        InfusedOil.Plan plan = result.plan();
        if (plan == null) {
            return new Reckoned(infeasible(findings, result.because()), null, used, List.of(), null, routeOf(used));
        }
        enough(carrier, plan.oilMl(), findings);
        int press = InfusedOil.pressAfterDays(plan, schools.chosen());
        LocalDate until = plan.keepsMonths() == null
                ? null
                : Keeping.reckon(Keeping.Request.of(
                                Keeping.Form.INFUSED_OIL,
                                request.startedOn(),
                                List.of(new Keeping.Input(carrier.name(), carrierUntil))))
                        .bestBefore();
        List<String> because = new ArrayList<>(result.because());
        because.add("By the household's school it is pressed after " + press + (press == 1 ? " day." : " days."));
        List<Steps.Step> steps = Steps.oil(core, plan, schools.chosen());
        double dried = mass / plan.oilMl();
        BatchPlan stored = new BatchPlan(
                steps,
                Range.of(plan.yieldMl()),
                "mL",
                0.0,
                null,
                new Range(dried, dried),
                share(jar, mass),
                until,
                plan.keepsDays(),
                findings,
                result.because(),
                null,
                null,
                null);
        PlanView view = new PlanView(
                true,
                false,
                null,
                null,
                List.of(),
                plan.oilMl(),
                plan.oilG(),
                plan.herbMl(),
                null,
                null,
                null,
                Range.of(plan.yieldMl()),
                until,
                steps,
                findings,
                because);
        // An oil made for the skin never becomes one to be eaten.
        Taxon.Route route = request.eaten() ? routeOf(used) : Taxon.Route.EXTERNAL;
        return new Reckoned(
                view,
                stored,
                used,
                List.of(new BatchService.Use(jar.id(), mass), new BatchService.Use(carrier.id(), plan.oilMl())),
                press,
                route);
    }

    private Reckoned salve(SalveBatchRequest request) {
        LotView oil = shelf.lot(request.oil());
        Checks.begin()
                .that(
                        oil.kind() == LotKind.BOTTLE && oil.form() == LotForm.OIL || oil.kind() == LotKind.OIL,
                        "oil",
                        "must name a bottle of infused oil, or a plain oil")
                .done();
        LotView wax = lot(request.wax(), LotKind.WAX, "wax");
        Wax waxKind = materials.wax(wax.name());
        List<ColdSpoon.Trial> trials = spoons.findTop40ByWaxOrderByNotedOnDesc(waxKind.name()).stream()
                .map(t -> new ColdSpoon.Trial(t.abovePlan, t.verdict))
                .toList();
        Salve.Recipe core = new Salve.Recipe(
                request.tins().stream()
                        .map(t -> new Salve.Tin(t.capacityMl(), t.count()))
                        .toList(),
                request.firmness(),
                waxKind,
                request.storageTemperatureC(),
                WASTE,
                null,
                0,
                0,
                0,
                18,
                trials);
        Salve.Result result = Salve.plan(core);
        Salve.Plan plan = Objects.requireNonNull(result.plan(), "oil and wax alone always leave room");
        List<LotView> used = List.of(oil, wax);
        List<Finding> findings = gate(used, Taxon.Route.EXTERNAL);
        double oilMl = plan.oilG() / InfusedOil.OIL_G_PER_ML;
        enough(oil, oilMl, findings);
        enough(wax, plan.waxG(), findings);
        findings.addAll(result.findings());
        List<Keeping.Input> inputs =
                oil.bestBefore() == null ? List.of() : List.of(new Keeping.Input(oil.name(), oil.bestBefore()));
        Keeping.Result keeping = Keeping.reckon(Keeping.Request.of(Keeping.Form.SALVE, request.startedOn(), inputs));
        List<String> because = new ArrayList<>(result.because());
        because.addAll(keeping.because());
        List<Steps.Step> steps = Steps.salve(core, plan);
        double fillable = plan.totalG() / (1 + WASTE);
        Range yield = new Range(fillable, plan.totalG());
        BatchPlan stored = new BatchPlan(
                steps,
                yield,
                "g",
                0.0,
                null,
                null,
                share(oil, oilMl),
                keeping.bestBefore(),
                null,
                findings,
                because,
                null,
                new BatchPlan.Spooned(waxKind.name(), ColdSpoon.correction(trials)),
                null);
        PlanView view = new PlanView(
                true,
                false,
                null,
                null,
                List.of(),
                oilMl,
                plan.oilG(),
                null,
                plan.waxG(),
                plan.totalG(),
                plan.waxFraction() * 100,
                yield,
                keeping.bestBefore(),
                steps,
                findings,
                because);
        return new Reckoned(
                view,
                stored,
                used,
                List.of(new BatchService.Use(oil.id(), oilMl), new BatchService.Use(wax.id(), plan.waxG())),
                null,
                Taxon.Route.EXTERNAL);
    }

    private LotView lot(UUID id, LotKind kind, String field) {
        LotView lot = shelf.lot(id);
        Checks.begin()
                .that(lot.kind() == kind, field, "must name a lot of kind " + kind)
                .done();
        return lot;
    }

    private List<Finding> gate(List<LotView> used, Taxon.Route wanted) {
        return new ArrayList<>(
                MakingGate.check(used.stream().map(BatchService::ingredient).toList(), wanted, people.today()));
    }

    private static Taxon.Route routeOf(List<LotView> used) {
        return MakingGate.routeOf(used.stream().map(BatchService::ingredient).toList());
    }

    private static void enough(LotView lot, double amount, List<Finding> findings) {
        if (amount > lot.remaining() + 1e-6) {
            findings.add(Finding.stop(
                    "NOT_ENOUGH",
                    lot.name() + " (" + lot.code() + ") has only " + Words.figure(lot.remaining()) + " " + lot.unit()
                            + " left; " + Words.figure(amount) + " is needed.",
                    "Make less, or take another lot."));
        }
    }

    private static List<HerbView> share(LotView lot, double amount) {
        double share = amount / lot.amount();
        return lot.herbs().stream()
                .map(h -> new HerbView(h.taxonId(), h.commonName(), h.part(), h.driedG() * share))
                .toList();
    }

    private static PlanView infeasible(List<Finding> findings, List<String> because) {
        return new PlanView(
                false, false, null, null, List.of(), null, null, null, null, null, null, null, null, List.of(),
                findings, because);
    }
}
