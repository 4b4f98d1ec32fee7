package org.sallowbrook.server.making;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.making.PressingCheck;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.platform.Stored;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.HerbView;
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.VesselService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The life of a batch once it is begun: shaken, pressed, filled. */
@Service
@Transactional
public class BatchService implements DueSource {

    private static final Logger LOG = LoggerFactory.getLogger(BatchService.class);

    private static final double LAST_DROPS = 0.02;
    private static final int WATER_DAYS = 14;

    /** Most of what dissolves in spirit has, by then. */
    private static final int FIRST_POUR_DAYS = 14;

    /** Days a batch is shaken daily; then weekly, then monthly. */
    private static final int DAILY_SHAKES = 14;

    private static final int WEEKLY_SHAKES = 60;

    public record ShakeRequest(UUID id, LocalDate on) {}

    /** @param water of an oil, once it has settled overnight; null for all else */
    public record PressRequest(
            Double yieldAmount,
            LocalDate on,
            @Nullable Water water,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    public record SettleRequest(Water water) {}

    /**
     * @param capacityMl what goes into each
     * @param vesselId of the household's own; null for others
     */
    public record ContainerRequest(
            Double capacityMl, Integer count, @Nullable UUID vesselId) {}

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
            LotForm kind,
            BatchStatus status,
            LocalDate startedOn,
            Integer day,
            @Nullable LocalDate pressOn,
            Boolean shakeDue,
            List<ShakeView> shakes,
            @Nullable Double yieldAmount,
            Boolean mayUnpress,
            Double remaining,
            Product.State state,
            @Nullable String stateReason,
            Taxon.Route route,
            KeptPlanView plan,
            List<ContainerView> containers,
            @Nullable OutcomeView outcome,
            @Nullable Water water,
            Boolean asksSpoon,
            Boolean asksPan,
            List<ColdSpoon.Verdict> spoons,
            String coreVersion) {}

    public record ShakeView(UUID id, LocalDate on, String by) {}

    /** The plan it was begun by. @param fills what it goes into when it is done */
    public record KeptPlanView(
            List<Step> steps,
            Range yield,
            String unit,
            VesselKind fills,
            @Nullable Range finalPercent,
            List<PlanView.FactView> facts,
            List<Finding> findings,
            List<String> because) {}

    /** A bottle or tin filled from a batch. */
    public record ContainerView(UUID id, String code, String name) {}

    private final Batches batches;
    private final Shakes shakes;
    private final ColdSpoons spoons;
    private final SchoolService schools;
    private final ShelfService shelf;
    private final Ledger ledger;
    private final VesselService vessels;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final LooseningService loosening;
    private final Clock clock;
    private final Reading reading;

    BatchService(
            Batches batches,
            Shakes shakes,
            ColdSpoons spoons,
            SchoolService schools,
            ShelfService shelf,
            Ledger ledger,
            VesselService vessels,
            PeopleService people,
            Gatekeeper gatekeeper,
            LooseningService loosening,
            Clock clock,
            Reading reading) {
        this.reading = reading;
        this.batches = batches;
        this.shakes = shakes;
        this.spoons = spoons;
        this.schools = schools;
        this.shelf = shelf;
        this.ledger = ledger;
        this.vessels = vessels;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.loosening = loosening;
        this.clock = clock;
    }

    /** What steeps, or waits to be filled. */
    @Transactional(readOnly = true)
    public List<BatchView> underWay() {
        return batches.findAllByStatusNotOrderByStartedOnDescIdDesc(BatchStatus.FINISHED).stream()
                .filter(b -> readable(b).isPresent())
                .map(this::view)
                .toList();
    }

    /** What was stored in a way nobody reads leaves the other batches alone; its lot is on the shelf all the same. */
    private Optional<StoredPlan> readable(Batch batch) {
        try {
            return Optional.of(plan(batch));
        } catch (Stored.Unreadable e) {
            LOG.error("batch {} can't be read: {}", batch.id, e.getMessage());
            return Optional.empty();
        }
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
    public void ahead() {
        shelf.ahead(open().stream().map(b -> b.id).toList());
    }

    private List<Batch> open() {
        return reading.once(
                "open batches", () -> batches.findAllByStatusNotOrderByStartedOnDescIdDesc(BatchStatus.FINISHED));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        List<Batch> open = open();
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
                        // What lies under an oil is asked when it is pressed, on its own page.
                        b.kind == LotForm.INFUSED_OIL
                                ? null
                                : readable(b).map(plan -> plan.yield().low()).orElse(null));
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

    /** Every day for two weeks, then every week; what is left on the herb for years is looked at every month. */
    private static LocalDate nextShake(Batch b, @Nullable LocalDate last) {
        LocalDate from = last == null ? b.startedOn : last;
        long day = ChronoUnit.DAYS.between(b.startedOn, from);
        return from.plusDays(day < DAILY_SHAKES ? 1 : day < WEEKLY_SHAKES ? 7 : 30);
    }

    @Transactional(readOnly = true)
    public BatchView one(UUID id) {
        return view(find(id));
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
        StoredPlan plan = plan(batch);
        LotView lot = shelf.lot(id);
        double pouredOff = lot.amount() - lot.remaining();
        double most = plan.yield().high() * 1.3 - pouredOff;
        Checks.begin()
                .range("yieldAmount", request.yieldAmount(), 0.1, most)
                .that(
                        !request.on().isBefore(batch.startedOn) && !request.on().isAfter(people.today()),
                        "on",
                        "must be from the start until today")
                .done();
        boolean oil = plan.form() == LotForm.INFUSED_OIL;
        Checks.begin()
                .that(oil == (request.water() != null), "water", "is said of an oil, and only there")
                .done();
        // An oil on hold for its damp herb is pressed to see whether water parts from it.
        if (!(oil && lot.state() == Product.State.HOLD)) {
            usable(lot);
        }
        List<Finding> unlikely = PressingCheck.unlikely(
                plan.yield().interval(),
                unit(plan),
                pouredOff + request.yieldAmount(),
                ChronoUnit.DAYS.between(batch.startedOn, request.on()),
                batch.plannedPressOn == null ? 0 : ChronoUnit.DAYS.between(batch.startedOn, batch.plannedPressOn));
        gatekeeper.pass("pressing", id, unlikely, request.acknowledged());
        batch.status = BatchStatus.PRESSED;
        batch.yieldAmount = pouredOff + request.yieldAmount();
        batch.pressOn = request.on();
        settled(batch, request.water());
        TinctureRecord record = pressed(batch);
        // What is hardly possible teaches nothing, even where it was right.
        batch.marcKeptMlPerG = record == null || !unlikely.isEmpty()
                ? null
                : record.follow().pressing().stream()
                        .map(Retention.Pressing::mlPerG)
                        .findFirst()
                        .orElse(null);
        ledger.pressed(id, request.yieldAmount(), request.on());
        return view(batches.saveAndFlush(batch));
    }

    /** It was not shaken after all. */
    public BatchView strikeShake(UUID id, UUID shake, StrikeRequest request) {
        Batch batch = find(id);
        String reason = request.checked();
        Shake found = shakes.findById(shake)
                .filter(s -> s.batchId.equals(id) && !s.struck())
                .orElseThrow(() -> new Problem.NotFound("shaking"));
        found.strike(clock.instant(), reason);
        shakes.saveAndFlush(found);
        return view(batch);
    }

    /** It was not pressed after all, or something else came out: it steeps again, and is pressed anew. */
    public BatchView strikePressing(UUID id, StrikeRequest request, @Nullable String ifMatch) {
        Batch batch = find(id);
        batch.checkVersion(ifMatch, () -> view(batch));
        StoredPlan plan = plan(batch);
        if (batch.status != BatchStatus.PRESSED || batch.plannedPressOn == null) {
            throw new Problem.Conflict("Only what was pressed and is not filled yet steeps again.");
        }
        if (batch.filledOn != null) {
            throw new Problem.Conflict("Strike out its bottles first.");
        }
        String reason = batch.water == null || batch.water == Water.NONE_SEEN
                ? request.checked()
                : loosening.pass(
                        Loosening.Safeguard.WATER_SEEN,
                        id,
                        request,
                        "water was seen under it when it was pressed on " + Words.day(batch.pressOn));
        gatekeeper.record(
                "pressing struck out",
                id,
                "STRUCK",
                Words.figure(batch.yieldAmount == null ? 0 : batch.yieldAmount) + " " + unit(plan) + " / " + reason);
        ledger.unpressed(id, plan.yield().low(), reason);
        if (batch.water != null) {
            batch.water = null;
            // What it was held for before anybody looked under it.
            ledger.hold(
                    id,
                    plan.findings().stream()
                            .filter(f -> f.severity() == Severity.HOLD)
                            .map(StoredPlan.Finding::message)
                            .reduce((a, b) -> a + " " + b)
                            .orElse(null));
        }
        batch.status = BatchStatus.STEEPING;
        batch.yieldAmount = null;
        batch.marcKeptMlPerG = null;
        batch.pressOn = batch.plannedPressOn;
        return view(batches.saveAndFlush(batch));
    }

    /** This bottle was never filled: what was in it is in the batch again. */
    public BatchView strikeFilling(UUID id, UUID bottle, StrikeRequest request, @Nullable String ifMatch) {
        Batch batch = find(id);
        batch.checkVersion(ifMatch, () -> view(batch));
        String reason = request.checked();
        if (containers(id).stream().noneMatch(c -> c.id().equals(bottle))) {
            throw new Problem.NotFound("bottle");
        }
        ledger.unfill(bottle, reason);
        gatekeeper.record("filling struck out", bottle, "STRUCK", reason);
        if (batch.status == BatchStatus.FINISHED) {
            batch.status = BatchStatus.PRESSED;
        }
        batch.filledOn = containers(id).isEmpty() ? null : batch.filledOn;
        batch.fills++;
        return view(batches.saveAndFlush(batch));
    }

    /** What lies under an oil by now; water that was seen holds it until it is parted. */
    public BatchView settle(UUID id, SettleRequest request, @Nullable String ifMatch) {
        Batch batch = find(id);
        batch.checkVersion(ifMatch, () -> view(batch));
        if (batch.status != BatchStatus.PRESSED || batch.water == null) {
            throw new Problem.Conflict("Only a pressed oil settles.");
        }
        if (batch.water != Water.NONE_SEEN && request.water() == Water.NONE_SEEN) {
            throw new Problem.Conflict("Water was seen under it; pour the oil off, and say that it is parted.");
        }
        settled(batch, request.water());
        return view(batches.saveAndFlush(batch));
    }

    private void settled(Batch batch, @Nullable Water water) {
        batch.water = water;
        if (water != null && water != Water.NONE_SEEN) {
            ledger.outsideOnly(batch.id);
        }
        if (water != null) {
            ledger.hold(
                    batch.id,
                    water == Water.SEEN
                            ? "Water lies under the oil; germs that make botulism grow where the two meet."
                            : null);
        }
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
        double yield = batch.yieldAmount == null ? plan(batch).yield().low() : batch.yieldAmount;
        LocalDate pressed = batch.pressOn == null ? batch.startedOn : batch.pressOn;
        boolean restGone = Boolean.TRUE.equals(request.restGone());
        List<LotView> filled = bottles(batch, lot, request, pressed, pressed, restGone, yield * 0.02);
        // What is less than the last drops in the jug is not worth another bottle.
        if (restGone || shelf.lot(id).remaining() <= yield * LAST_DROPS) {
            ledger.emptied(id);
            batch.status = BatchStatus.FINISHED;
        }
        batch.filledOn = request.on();
        batch.fills++;
        batches.saveAndFlush(batch);
        return filled;
    }

    /** Bottles some of what steeps; the rest stays on the herb, and is pressed later or never. */
    public List<LotView> pourOff(UUID id, FillRequest request, @Nullable String ifMatch) {
        Batch batch = find(id);
        batch.checkVersion(ifMatch, () -> view(batch));
        if (batch.status != BatchStatus.STEEPING) {
            throw new Problem.Conflict("It is pressed already; fill it instead.");
        }
        if (batch.kind != LotForm.TINCTURE) {
            throw new Problem.Conflict("Only a tincture is poured off the herb while the rest stays on it.");
        }
        LotView lot = shelf.lot(id);
        usable(lot);
        List<LotView> filled =
                bottles(batch, lot, request, batch.startedOn.plusDays(FIRST_POUR_DAYS), request.on(), false, 0);
        batch.fills++;
        batches.saveAndFlush(batch);
        return filled;
    }

    /**
     * Each a lot with its own number.
     *
     * @param lifeFrom the day it left the herb
     */
    private List<LotView> bottles(
            Batch batch,
            LotView lot,
            FillRequest request,
            LocalDate earliest,
            LocalDate lifeFrom,
            boolean mayBeNone,
            double slack) {
        StoredPlan plan = plan(batch);
        double perMl = plan.form().unit() == Unit.G ? plan.gPerMl() : 1;
        Checks checks = Checks.begin()
                .that(!request.containers().isEmpty() || mayBeNone, "containers", "must hold at least one")
                .that(
                        !request.on().isAfter(people.today()) && !request.on().isBefore(earliest),
                        "on",
                        "must be from " + Words.day(earliest) + " until today")
                .that(request.place().length() <= 120, "place", "must have at most 120 letters");
        double sum = 0;
        int count = 0;
        for (int i = 0; i < request.containers().size(); i++) {
            ContainerRequest c = request.containers().get(i);
            checks.range("containers[" + i + "].capacityMl", c.capacityMl(), 1, 10_000)
                    .range("containers[" + i + "].count", c.count(), 1, 60);
            if (c.vesselId() != null) {
                VesselService.VesselView own = vessels.one(c.vesselId());
                checks.that(
                        c.capacityMl() <= own.capacityMl(),
                        "containers[" + i + "].capacityMl",
                        "must be at most what a " + own.words() + " holds");
            }
            sum += c.capacityMl() * c.count() * perMl;
            count += c.count();
        }
        checks.that(count <= 60, "containers", "must be at most 60")
                .that(
                        sum <= lot.remaining() + slack,
                        "containers",
                        "hold " + Words.figure(sum) + " " + unit(plan) + ", more than the "
                                + Words.figure(lot.remaining()) + " there is")
                .done();
        LocalDate bestBefore = bestBefore(batch, plan, lifeFrom);
        List<LotView> filled = new ArrayList<>();
        for (ContainerRequest c : request.containers()) {
            List<UUID> alike = new ArrayList<>();
            for (int i = 0; i < c.count(); i++) {
                double amount = c.capacityMl() * perMl;
                double share = amount / Math.max(lot.amount(), amount);
                LotView bottle = ledger.put(new Ledger.NewLot(
                        Owned.newId(),
                        Stage.FILLED,
                        plan.form(),
                        plan.form().vessel(),
                        lot.name(),
                        amount,
                        lot.strengthPercent(),
                        lot.strengthLowPercent(),
                        plan.driedGPerUnit() == null
                                ? null
                                : plan.driedGPerUnit().interval(),
                        lot.piece(),
                        plan.herbs().stream()
                                .map(h -> new HerbView(h.taxonId(), h.commonName(), h.part(), h.driedG() * share))
                                .toList(),
                        lot.route(),
                        lot.traits(),
                        request.on(),
                        bestBefore,
                        null,
                        null,
                        Product.State.USABLE,
                        null,
                        request.place().strip()));
                filled.add(bottle);
                alike.add(bottle.id());
            }
            if (c.vesselId() != null) {
                vessels.use(c.vesselId(), alike);
            } else {
                ledger.holds(alike, c.capacityMl());
            }
        }
        for (LotView bottle : filled) {
            ledger.fill(batch.id, bottle.id(), bottle.amount(), request.on());
        }
        return filled.stream().map(b -> shelf.lot(b.id())).toList();
    }

    /** Bottling later does not make it younger: its life counts from the day it left the herb. */
    private LocalDate bestBefore(Batch batch, StoredPlan plan, LocalDate from) {
        StoredPlan.Kept kept = plan.kept();
        if (kept.until() != null) {
            return kept.until();
        }
        // Some of the water that was seen stays in it, however well it was poured off.
        Integer mostDays = batch.water == Water.PARTED
                ? (Integer) Math.min(WATER_DAYS, kept.mostDays() == null ? WATER_DAYS : kept.mostDays())
                : kept.mostDays();
        return Keeping.reckon(new Keeping.Request(
                        kept.as(),
                        from,
                        null,
                        null,
                        kept.inputs().stream()
                                .map(i -> new Keeping.Input(i.name(), i.bestBefore()))
                                .toList(),
                        mostDays,
                        schools.chosen()))
                .bestBefore();
    }

    private static String unit(StoredPlan plan) {
        return plan.form().unit().symbol();
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

    private StoredPlan plan(Batch batch) {
        return StoredPlan.DOCUMENT.read(batch.plan);
    }

    @Transactional(readOnly = true)
    <L extends Lesson> Optional<L> lesson(UUID id, Class<L> kind) {
        return lesson(plan(find(id)), kind);
    }

    private static <L extends Lesson> Optional<L> lesson(StoredPlan plan, Class<L> kind) {
        return plan.lessons().stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }

    private BatchView view(Batch b) {
        LotView lot = shelf.lot(b.id);
        StoredPlan plan = plan(b);
        LocalDate today = people.today();
        List<ShakeView> shaken = shakes.findAllByBatchIdOrderByOnDay(b.id).stream()
                .map(s -> new ShakeView(s.id, s.onDay, s.shakenBy))
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
                        && !nextShake(
                                        b,
                                        shaken.isEmpty()
                                                ? null
                                                : shaken.get(shaken.size() - 1).on())
                                .isAfter(today),
                shaken,
                b.yieldAmount,
                b.status == BatchStatus.PRESSED && b.plannedPressOn != null && b.filledOn == null,
                lot.remaining(),
                lot.state(),
                lot.stateReason(),
                lot.route(),
                new KeptPlanView(
                        plan.stepsToDo(),
                        plan.yield(),
                        unit(plan),
                        plan.form().vessel(),
                        plan.finalPercent(),
                        plan.facts().stream()
                                .map(f -> new PlanView.FactView(f.label(), f.value(), f.unit(), f.note()))
                                .toList(),
                        StoredPlan.Finding.found(plan.findings()),
                        plan.because()),
                containers(b.id),
                outcome(b),
                b.water,
                lesson(plan, Lesson.Spoon.class).isPresent(),
                lesson(plan, Lesson.Pan.class).isPresent(),
                lesson(plan, Lesson.Spoon.class).isPresent()
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
        Lesson.Pressing jar = lesson(plan(b), Lesson.Pressing.class).orElse(null);
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

    /** Notes how a drop set on a cold spoon; the next salve with this wax is planned by it. */
    public BatchView spoon(UUID id, SpoonRequest request) {
        Batch batch = find(id);
        Lesson.Spoon salve = lesson(plan(batch), Lesson.Spoon.class).orElse(null);
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
                .filter(l -> !l.neverFilled())
                .map(l -> new ContainerView(l.id(), l.code(), l.name()))
                .sorted(java.util.Comparator.comparing(ContainerView::code))
                .toList();
    }
}
