package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.MakingGate;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.Steps;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.LotForm;
import org.sallowbrook.server.shelf.LotKind;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.ShelfService.LotView;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The life of a batch once it is planned: started, shaken, pressed, filled. */
@Service
@Transactional
public class BatchService implements DueSource {

    private static final double LAST_DROPS = 0.02;
    private static final int LEARNS_FROM = 40;

    /** Days a batch is shaken daily; later weekly. */
    private static final int DAILY_SHAKES = 14;

    public record ShakeRequest(UUID id, LocalDate on) {}

    public record PressRequest(Double yieldAmount, LocalDate on) {}

    public record ContainerRequest(Double capacityMl, Integer count) {}

    /** @param abovePlan share of wax more than the plan asked, as beeswax; 0 when it was followed */
    public record SpoonRequest(UUID id, ColdSpoon.Verdict verdict, Double abovePlan) {}

    /** What followed from the pressing. */
    public record OutcomeView(
            Range finalPercent, Range retentionMlPerG, List<Finding> findings, List<String> because) {}

    /** @param restGone whether nothing of it is left after this; what is, waits to be filled otherwise */
    public record FillRequest(
            List<ContainerRequest> containers,
            LocalDate on,
            String place,
            @Nullable Boolean restGone) {}

    public record BatchView(
            UUID id,
            Long version,
            String code,
            String name,
            BatchKind kind,
            BatchStatus status,
            LocalDate startedOn,
            Integer day,
            @Nullable LocalDate pressOn,
            Boolean shakeDue,
            List<LocalDate> shakes,
            @Nullable Double yieldAmount,
            Double remaining,
            Product.State state,
            @Nullable String stateReason,
            Taxon.Route route,
            BatchPlan plan,
            List<ContainerView> containers,
            @Nullable OutcomeView outcome,
            List<ColdSpoon.Verdict> spoons,
            String coreVersion) {}

    /** A bottle or tin filled from a batch. */
    public record ContainerView(UUID id, String code, String name) {}

    /** How much of a lot is used. */
    record Use(UUID lotId, double amount) {}

    private final Batches batches;
    private final Shakes shakes;
    private final ColdSpoons spoons;
    private final SchoolService schools;
    private final ShelfService shelf;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final JsonMapper json;

    BatchService(
            Batches batches,
            Shakes shakes,
            ColdSpoons spoons,
            SchoolService schools,
            ShelfService shelf,
            PeopleService people,
            Gatekeeper gatekeeper,
            Once once,
            JsonMapper json) {
        this.batches = batches;
        this.shakes = shakes;
        this.spoons = spoons;
        this.schools = schools;
        this.shelf = shelf;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.json = json;
    }

    /** What steeps, or waits to be filled. */
    @Transactional(readOnly = true)
    public List<BatchView> underWay() {
        return batches.findAllByStatusNotOrderByStartedOnDescIdDesc(BatchStatus.FINISHED).stream()
                .map(this::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public Past past(int page) {
        var slice = batches.findAllByStatusOrderByStartedOnDescIdDesc(BatchStatus.FINISHED, Past.page(page));
        Map<UUID, LotView> lots = lots(slice.getContent());
        return Past.of(
                slice,
                b -> new Past.Entry(
                        b.id, lots.get(b.id).name(), lots.get(b.id).code(), b.startedOn, Words.lower(b.kind)));
    }

    private Map<UUID, LotView> lots(List<Batch> of) {
        return shelf.lots(of.stream().map(b -> b.id).toList()).stream().collect(Collectors.toMap(LotView::id, l -> l));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        List<Batch> open = batches.findAllByStatusNotOrderByStartedOnDescIdDesc(BatchStatus.FINISHED);
        Map<UUID, LotView> lots = lots(open);
        Map<UUID, LocalDate> shaken = shakes.last(open.stream().map(b -> b.id).toList()).stream()
                .collect(Collectors.toMap(Shakes.Last::batchId, Shakes.Last::onDay));
        List<Due> due = new ArrayList<>();
        for (Batch b : open) {
            LotView lot = lots.get(b.id);
            if (lot == null || lot.state() == Product.State.QUARANTINED || lot.state() == Product.State.DESTROYED) {
                continue;
            }
            if (b.status == BatchStatus.PRESSED) {
                add(due, span, b, lot, Due.Kind.FILL, "Fill ", span.today(), lot.remaining());
                continue;
            }
            LocalDate press = b.pressOn;
            if (press != null) {
                add(
                        due,
                        span,
                        b,
                        lot,
                        Due.Kind.PRESS,
                        "Press ",
                        press,
                        plan(b).yield().low());
            }
            LocalDate shake = nextShake(b, shaken.get(b.id));
            // What is due to be pressed need not be shaken first.
            if (press == null || shake.isBefore(press) && span.today().isBefore(press)) {
                add(due, span, b, lot, Due.Kind.SHAKE, "Shake ", shake, null);
            }
        }
        return due;
    }

    private static void add(
            List<Due> due,
            Span span,
            Batch b,
            LotView lot,
            Due.Kind kind,
            String verb,
            LocalDate on,
            @Nullable Double amount) {
        // A shake that was missed is due today, not late: herb does not count days.
        LocalDate day = kind == Due.Kind.SHAKE && on.isBefore(span.today()) ? span.today() : on;
        if (span.holds(day)) {
            due.add(new Due(
                    kind,
                    "making",
                    b.id,
                    verb + lot.name(),
                    lot.code() + ", day " + ChronoUnit.DAYS.between(b.startedOn, day),
                    day,
                    span.morning(day),
                    kind == Due.Kind.PRESS && day.isBefore(span.today()),
                    b.version,
                    null,
                    amount,
                    lot.unit()));
        }
    }

    /** Every day for two weeks, then every week. */
    private static LocalDate nextShake(Batch b, @Nullable LocalDate last) {
        LocalDate from = last == null ? b.startedOn : last;
        boolean daily = ChronoUnit.DAYS.between(b.startedOn, from) < DAILY_SHAKES;
        return from.plusDays(daily ? 1 : 7);
    }

    @Transactional(readOnly = true)
    public BatchView one(UUID id) {
        return view(find(id));
    }

    /** The batch, when the very same request was carried out before; null when it is new. */
    @Nullable
    BatchView repeated(UUID id, Object request) {
        return once.repeated("batch", id, batches::existsById, request) ? one(id) : null;
    }

    static MakingGate.Ingredient ingredient(LotView lot) {
        return new MakingGate.Ingredient(
                lot.name(), lot.state(), lot.route(), lot.denatured(), lot.pyrrolizidine(), lot.bestBefore());
    }

    /**
     * Runs every gate and starts the batch: takes what it uses from the shelf and records what went in.
     *
     * @param pressAfterDays null when there is nothing to wait for
     */
    BatchView start(
            UUID id,
            BatchKind kind,
            String name,
            Taxon.Route route,
            BatchPlan plan,
            List<LotView> ingredients,
            List<Use> uses,
            @Nullable Integer pressAfterDays,
            LocalDate on,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {
        LocalDate today = people.today();
        Checks.begin()
                .that(!name.isBlank() && name.length() <= 120, "name", "must have 1 to 120 letters")
                .that(!on.isAfter(today), "startedOn", "must not be in the future")
                .that(
                        ingredients.stream().filter(i -> !i.kind().supply()).allMatch(i -> !on.isBefore(i.madeOn())),
                        "startedOn",
                        "must not be before what goes in was there")
                .done();
        gatekeeper.pass("batch", id, plan.findings(), acknowledged);
        boolean hold = Finding.any(plan.findings(), Severity.HOLD);
        boolean finished = pressAfterDays == null;
        LotView lot = shelf.put(new ShelfService.NewLot(
                id,
                kind == BatchKind.TEA ? LotKind.FLASK : LotKind.BATCH,
                LotForm.valueOf(kind.name()),
                name.strip(),
                plan.unit(),
                plan.yield().low(),
                plan.strengthPercent(),
                plan.driedGPerUnit() == null ? null : plan.driedGPerUnit().interval(),
                plan.herbs(),
                route,
                ingredients.stream().anyMatch(LotView::pyrrolizidine),
                plan.honey() || ingredients.stream().anyMatch(LotView::honey),
                on,
                plan.keepsUntil(),
                hold ? Product.State.HOLD : Product.State.USABLE,
                hold
                        ? plan.findings().stream()
                                .filter(f -> f.severity() == Severity.HOLD)
                                .map(Finding::message)
                                .findFirst()
                                .orElse(null)
                        : null,
                ""));
        for (Use use : uses) {
            shelf.take(use.lotId(), id, use.amount(), on);
        }
        Batch batch = new Batch(lot.id());
        batch.kind = kind;
        batch.startedOn = on;
        batch.pressOn = pressAfterDays == null ? null : on.plusDays(pressAfterDays);
        batch.status =
                kind == BatchKind.TEA ? BatchStatus.FINISHED : finished ? BatchStatus.PRESSED : BatchStatus.STEEPING;
        if (finished) {
            batch.yieldAmount = plan.yield().low();
        }
        batch.plan = json.writeValueAsString(plan);
        batch.coreVersion = CoreVersion.CURRENT;
        return view(batches.saveAndFlush(batch));
    }

    public BatchView shake(UUID id, ShakeRequest request) {
        Batch batch = find(id);
        if (batch.status != BatchStatus.STEEPING) {
            throw new Problem.Conflict("It is pressed already; there is nothing to shake.");
        }
        Checks.begin()
                .that(
                        !request.on().isBefore(batch.startedOn) && !request.on().isAfter(people.today()),
                        "on",
                        "must be from the start until today")
                .done();
        if (!shakes.existsByBatchIdAndOnDay(id, request.on()) && !shakes.existsById(request.id())) {
            shakes.saveAndFlush(
                    new Shake(request.id(), id, request.on(), Member.current().displayName()));
        }
        return view(batch);
    }

    public BatchView press(UUID id, PressRequest request, @Nullable String ifMatch) {
        Batch batch = find(id);
        batch.checkVersion(ifMatch, () -> view(batch));
        if (batch.status != BatchStatus.STEEPING) {
            throw new Problem.Conflict("It is pressed already.");
        }
        BatchPlan plan = plan(batch);
        double most = plan.yield().high() * 1.3;
        Checks.begin()
                .range("yieldAmount", request.yieldAmount(), 0.1, most)
                .that(
                        !request.on().isBefore(batch.startedOn) && !request.on().isAfter(people.today()),
                        "on",
                        "must be from the start until today")
                .done();
        usable(shelf.lot(id));
        batch.status = BatchStatus.PRESSED;
        batch.yieldAmount = request.yieldAmount();
        batch.pressOn = request.on();
        TinctureRecord record = pressed(batch);
        batch.marcKeptMlPerG = record == null
                ? null
                : record.follow().pressing().stream()
                        .map(Retention.Pressing::mlPerG)
                        .findFirst()
                        .orElse(null);
        shelf.pressed(id, request.yieldAmount());
        return view(batches.saveAndFlush(batch));
    }

    /** Fills what was pressed into bottles or tins, each a lot with its own number. */
    public List<LotView> fill(UUID id, FillRequest request, @Nullable String ifMatch) {
        Batch batch = find(id);
        batch.checkVersion(ifMatch, () -> view(batch));
        if (batch.status != BatchStatus.PRESSED) {
            throw new Problem.Conflict(
                    batch.status == BatchStatus.STEEPING ? "Press it first." : "It is filled already.");
        }
        LotView lot = shelf.lot(id);
        usable(lot);
        BatchPlan plan = plan(batch);
        double yield = batch.yieldAmount == null ? plan.yield().low() : batch.yieldAmount;
        LocalDate pressed = batch.pressOn == null ? batch.startedOn : batch.pressOn;
        boolean restGone = Boolean.TRUE.equals(request.restGone());
        boolean salve = batch.kind == BatchKind.SALVE;
        Checks checks = Checks.begin()
                .that(!request.containers().isEmpty() || restGone, "containers", "must hold at least one")
                .that(
                        !request.on().isAfter(people.today()) && !request.on().isBefore(pressed),
                        "on",
                        "must be from " + Words.day(pressed) + " until today")
                .that(request.place().length() <= 120, "place", "must have at most 120 letters");
        double sum = 0;
        int count = 0;
        for (int i = 0; i < request.containers().size(); i++) {
            ContainerRequest c = request.containers().get(i);
            checks.range("containers[" + i + "].capacityMl", c.capacityMl(), 1, 10_000)
                    .range("containers[" + i + "].count", c.count(), 1, 60);
            sum += c.capacityMl() * c.count() * (salve ? org.sallowbrook.core.making.salve.Salve.USUAL_G_PER_ML : 1);
            count += c.count();
        }
        checks.that(count <= 60, "containers", "must be at most 60")
                .that(
                        sum <= lot.remaining() + yield * 0.02,
                        "containers",
                        "hold " + Words.figure(sum) + " " + plan.unit() + ", more than the "
                                + Words.figure(lot.remaining()) + " there is")
                .done();
        LocalDate bestBefore = bestBefore(batch, plan, request.on());
        List<LotView> filled = new ArrayList<>();
        for (ContainerRequest c : request.containers()) {
            for (int i = 0; i < c.count(); i++) {
                double amount = c.capacityMl() * (salve ? org.sallowbrook.core.making.salve.Salve.USUAL_G_PER_ML : 1);
                double share = amount / yield;
                LotView bottle = shelf.put(new ShelfService.NewLot(
                        Owned.newId(),
                        salve ? LotKind.TIN : LotKind.BOTTLE,
                        LotForm.valueOf(batch.kind.name()),
                        lot.name(),
                        plan.unit(),
                        amount,
                        plan.strengthPercent(),
                        driedPerUnit(plan),
                        plan.herbs().stream()
                                .map(h -> new ShelfService.HerbView(
                                        h.taxonId(), h.commonName(), h.part(), h.driedG() * share))
                                .toList(),
                        lot.route(),
                        lot.pyrrolizidine(),
                        lot.honey(),
                        request.on(),
                        bestBefore,
                        Product.State.USABLE,
                        null,
                        request.place().strip()));
                filled.add(bottle);
            }
        }
        for (LotView bottle : filled) {
            shelf.fill(id, bottle.id(), bottle.amount());
        }
        // What is less than the last drops in the jug is not worth another bottle.
        if (restGone || shelf.lot(id).remaining() <= yield * LAST_DROPS) {
            shelf.emptied(id);
            batch.status = BatchStatus.FINISHED;
        }
        batch.filledOn = request.on();
        batches.saveAndFlush(batch);
        return filled;
    }

    private static @Nullable Interval driedPerUnit(BatchPlan plan) {
        return plan.driedGPerUnit() == null ? null : plan.driedGPerUnit().interval();
    }

    private LocalDate bestBefore(Batch batch, BatchPlan plan, LocalDate filledOn) {
        if (plan.keepsUntil() != null) {
            return plan.keepsUntil();
        }
        LocalDate pressed = batch.pressOn == null ? filledOn : batch.pressOn;
        if (batch.kind == BatchKind.TINCTURE) {
            // A weak one keeps by its strength, from the day it left the herb; bottling later does not make it younger.
            return Keeping.reckon(new Keeping.Request(
                            Keeping.Form.TINCTURE, pressed, null, null, List.of(), plan.keepsDays(), schools.chosen()))
                    .bestBefore();
        }
        if (plan.keepsDays() != null) {
            return pressed.plusDays(plan.keepsDays());
        }
        return Keeping.reckon(Keeping.Request.of(Keeping.Form.INFUSED_OIL, pressed, List.of()))
                .bestBefore();
    }

    private static void usable(LotView lot) {
        if (lot.state() != Product.State.USABLE) {
            throw new Problem.Refused(List.of(Finding.stop(
                    lot.state() == Product.State.HOLD ? "ON_HOLD" : lot.state().name(),
                    lot.name() + " is not usable: " + lot.stateReason(),
                    lot.state() == Product.State.HOLD
                            ? "Resolve the hold on its page first."
                            : "Set it aside; do not fill or give it.")));
        }
    }

    private Batch find(UUID id) {
        return batches.findById(id).orElseThrow(() -> new Problem.NotFound("batch"));
    }

    private BatchPlan plan(Batch batch) {
        return json.readValue(batch.plan, BatchPlan.class);
    }

    private BatchView view(Batch b) {
        LotView lot = shelf.lot(b.id);
        LocalDate today = people.today();
        List<LocalDate> shaken = shakes.findAllByBatchIdOrderByOnDay(b.id).stream()
                .map(s -> s.onDay)
                .toList();
        int day = (int) ChronoUnit.DAYS.between(b.startedOn, today);
        return new BatchView(
                b.id,
                b.version == null ? 0 : b.version,
                lot.code(),
                lot.name(),
                b.kind,
                b.status,
                b.startedOn,
                day,
                b.pressOn,
                b.status == BatchStatus.STEEPING
                        && !nextShake(b, shaken.isEmpty() ? null : shaken.get(shaken.size() - 1))
                                .isAfter(today),
                shaken,
                b.yieldAmount,
                lot.remaining(),
                lot.state(),
                lot.stateReason(),
                lot.route(),
                plan(b),
                b.status == BatchStatus.STEEPING ? List.of() : containers(b.id),
                outcome(b),
                b.kind == BatchKind.SALVE
                        ? spoons.findAllByBatchId(b.id).stream()
                                .map(s -> s.verdict)
                                .toList()
                        : List.of(),
                b.coreVersion);
    }

    private @Nullable OutcomeView outcome(Batch b) {
        TinctureRecord record = pressed(b);
        if (record == null) {
            return null;
        }
        TinctureRecord.Outcome o = record.follow();
        return new OutcomeView(
                Range.of(o.finalFraction().times(100)), Range.of(o.retentionMlPerG()), o.findings(), o.because());
    }

    /** What was in the jar and what came out; null before it is pressed, and for other preparations. */
    private @Nullable TinctureRecord pressed(Batch b) {
        BatchPlan.Jar jar = plan(b).jar();
        if (jar == null || b.yieldAmount == null || b.status == BatchStatus.STEEPING) {
            return null;
        }
        return new TinctureRecord(
                jar.herbs().stream()
                        .map(h -> new Tincture.Herb(
                                h.name(),
                                "",
                                h.massG(),
                                Tincture.State.DRIED,
                                h.moisture().moisture(),
                                null))
                        .toList(),
                List.of(new Pour(jar.menstruumMl(), Strength.ofPercent(jar.menstruumPercent()))),
                b.yieldAmount);
    }

    /** What the pressed marc keeps, as this household's latest pressings have it. */
    @Transactional(readOnly = true)
    Retention retention() {
        return Retention.PRESSED.learnKept(batches.marcKept(Limit.of(LEARNS_FROM)));
    }

    /** Notes how a drop set on a cold spoon; the next salve with this wax is planned by it. */
    public BatchView spoon(UUID id, SpoonRequest request) {
        Batch batch = find(id);
        BatchPlan.Spooned salve = plan(batch).spooned();
        if (salve == null) {
            throw new Problem.Conflict("Only a salve is tried on a cold spoon.");
        }
        new ColdSpoon.Trial(request.abovePlan() + salve.correction(), request.verdict());
        if (!spoons.existsById(request.id())) {
            ColdSpoonEntity spoon = new ColdSpoonEntity(request.id());
            spoon.batchId = id;
            spoon.wax = salve.wax();
            spoon.abovePlan = request.abovePlan() + salve.correction();
            spoon.verdict = request.verdict();
            spoon.notedBy = Member.current().displayName();
            spoon.notedOn = people.today();
            spoons.saveAndFlush(spoon);
        }
        return view(batch);
    }

    private List<ContainerView> containers(UUID batch) {
        List<UUID> filled = shelf.links(List.of(batch)).stream()
                .filter(l -> l.from().equals(batch))
                .map(ShelfService.LinkView::to)
                .toList();
        return shelf.lots(filled).stream()
                .map(l -> new ContainerView(l.id(), l.code(), l.name()))
                .sorted(java.util.Comparator.comparing(ContainerView::code))
                .toList();
    }

    /** The steps of a batch. */
    @Transactional(readOnly = true)
    public List<Steps.Step> steps(UUID id) {
        return plan(find(id)).steps();
    }
}
