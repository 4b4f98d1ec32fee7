package org.sallowbrook.server.making;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.GraveWords;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Kinds;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.VesselService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans and begins batches of every kind: what the kinds have in common is here, so that no kind can forget a gate. */
@Service
@Transactional
public class Making {

    private final Map<Class<? extends BatchRequest>, Bench<?>> benches;
    private final Batches batches;
    private final BatchReader reader;
    private final ShelfService shelf;
    private final Ledger ledger;
    private final VesselService vessels;
    private final DryingService drying;
    private final HerbariumService herbarium;
    private final Measures measures;
    private final PeopleService people;
    private final SchoolService schools;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final Clock clock;

    Making(
            List<Bench<?>> benches,
            Batches batches,
            BatchReader reader,
            ShelfService shelf,
            Ledger ledger,
            VesselService vessels,
            DryingService drying,
            HerbariumService herbarium,
            Measures measures,
            PeopleService people,
            SchoolService schools,
            Gatekeeper gatekeeper,
            Once once,
            Clock clock) {
        this.benches = benches.stream().collect(Collectors.toMap(Bench::takes, Function.identity()));
        for (Class<?> kind : Kinds.of(BatchRequest.class)) {
            if (!this.benches.containsKey(kind)) {
                throw new IllegalStateException("no bench makes a " + Kinds.name(kind));
            }
        }
        this.batches = batches;
        this.reader = reader;
        this.shelf = shelf;
        this.ledger = ledger;
        this.vessels = vessels;
        this.drying = drying;
        this.herbarium = herbarium;
        this.measures = measures;
        this.people = people;
        this.schools = schools;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.clock = clock;
    }

    /** A plan beside what it draws and what the gates say of it. */
    private record Reckoned(
            Ingredients in, Outcome<? extends Batchable> outcome, List<Lesson> lessons, List<Finding> findings) {}

    private <R extends BatchRequest> Reckoned reckon(R request) {
        @SuppressWarnings("unchecked")
        Bench<R> bench = (Bench<R>)
                Objects.requireNonNull(benches.get(request.getClass()), () -> "no bench for " + request.getClass());
        Ingredients in = new Ingredients(shelf, drying, herbarium, measures, people.today());
        Outcome<? extends Batchable> outcome = bench.reckon(request, in);
        List<Finding> findings = in.findings(request.route());
        findings.addAll(outcome.findings());
        List<Lesson> lessons = outcome instanceof Outcome.Feasible<? extends Batchable> feasible
                ? bench.lessons(request, feasible.plan())
                : List.of();
        return new Reckoned(in, outcome, lessons, findings);
    }

    @Transactional(readOnly = true)
    public PlanView check(BatchRequest request) {
        Reckoned r = reckon(request);
        return new PlanView(
                r.outcome() instanceof Outcome.Feasible<? extends Batchable>,
                r.outcome() instanceof Outcome.Feasible<? extends Batchable> feasible
                        ? planned(feasible.plan(), request.startedOn())
                        : null,
                r.in().missing(),
                r.outcome() instanceof Outcome.Feasible<? extends Batchable> feasible
                        ? fitting(feasible.plan().vessel())
                        : List.of(),
                r.findings(),
                r.outcome().because());
    }

    private PlanView.Planned planned(Batchable plan, LocalDate on) {
        Readiness ready = plan.ready();
        return new PlanView.Planned(
                plan.form(),
                plan.form().unit().symbol(),
                Range.of(plan.yield()),
                percent(plan),
                percent(plan) == null ? null : (Double) (Tincture.STOP_BELOW * 100),
                plan.driedGPerUnit() == null ? null : Range.of(plan.driedGPerUnit()),
                keepsUntil(plan.keeps(), on.plusDays(ready.steepDays())),
                plan.keeps().hours(),
                ready,
                plan.facts().stream()
                        .map(f -> new PlanView.FactView(f.label(), Range.of(f.value()), f.unit(), f.note()))
                        .toList(),
                plan.portions().stream()
                        .map(p -> new PlanView.PortionView(p.name(), p.massG(), p.volumeMl()))
                        .toList(),
                plan.vessel(),
                plan.steps());
    }

    /** Of the household's own vessels those that are free and large enough, the smallest first. */
    private List<VesselService.VesselView> fitting(Vessel vessel) {
        if (vessel.shape() != Vessel.Shape.JAR) {
            return List.of();
        }
        return vessels.all().stream()
                .filter(v -> v.free() > 0 && v.capacityMl() >= vessel.leastMl())
                .sorted(Comparator.comparingDouble(VesselService.VesselView::capacityMl))
                .toList();
    }

    private static @Nullable Range percent(Batchable plan) {
        return plan.strength().high() > 0 ? Range.of(plan.strength().times(100)) : null;
    }

    private LocalDate keepsUntil(Life life, LocalDate from) {
        return Keeping.reckon(new Keeping.Request(
                        life.form(), from, null, null, life.inputs(), life.mostDays(), schools.chosen()))
                .bestBefore();
    }

    /** Runs every gate and begins the batch: takes what it uses from the shelf and keeps what went in. */
    public BatchReader.BatchView start(BatchRequest request) {
        return start(request, null);
    }

    /** @param vessel of the household's own, that it is made in; null where nobody says which */
    public BatchReader.BatchView start(BatchRequest request, @Nullable UUID vessel) {
        if (once.repeated("batch", request.id(), batches::existsById, request)) {
            return reader.one(request.id());
        }
        Reckoned r = reckon(request);
        if (!(r.outcome() instanceof Outcome.Feasible<? extends Batchable> feasible)) {
            throw new Problem.Refused(r.findings());
        }
        notOnTheShelf(r);
        LocalDate on = request.startedOn();
        Checks.begin()
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(
                        GraveWords.in(request.name()).isEmpty(),
                        "name",
                        GraveWords.in(request.name()).map(GraveWords::refused).orElse(""))
                .that(!on.isAfter(people.today()), "startedOn", "must not be in the future")
                .that(
                        r.in().uses().stream()
                                .map(Ingredients.Use::lot)
                                .filter(l -> !l.form().supply())
                                .allMatch(l -> !on.isBefore(l.madeOn())),
                        "startedOn",
                        "must not be before what goes in was there")
                .done();
        gatekeeper.pass("batch", request.id(), r.findings(), request.acknowledged());
        Batchable plan = feasible.plan();
        LotView lot = ledger.put(lotOf(request, r, plan));
        if (vessel != null) {
            roomFor(plan, vessels.one(vessel));
            vessels.use(vessel, List.of(lot.id()));
        }
        if (lot.state() == Product.State.HOLD && plan.ready().heldByTheWork()) {
            ledger.hold(lot.id(), lot.stateReason());
        }
        r.in().uses()
                .forEach(u -> ledger.take(
                        u.lot().id(),
                        lot.id(),
                        Amount.of(u.amount(), u.lot().left().unit()),
                        on));
        Batch batch = new Batch(lot.id());
        batch.kind = plan.form();
        batch.startedOn = on;
        Readiness ready = plan.ready();
        batch.pressOn = ready.steeps() ? on.plusDays(ready.steepDays()) : null;
        batch.plannedPressOn = batch.pressOn;
        batch.status = switch (ready.kind()) {
            case STEEPS -> BatchStatus.STEEPING;
            case TO_FILL -> BatchStatus.PRESSED;
            case AT_ONCE -> BatchStatus.FINISHED;
        };
        batch.yieldAmount = ready.steeps() ? null : (Double) plan.yield().low();
        batch.plan = StoredPlan.DOCUMENT.write(stored(r, plan));
        batch.coreVersion = CoreVersion.CURRENT;
        batches.saveAndFlush(batch);
        return reader.one(batch.id);
    }

    private static void roomFor(Batchable plan, VesselService.VesselView vessel) {
        double least = plan.vessel().leastMl();
        if (vessel.capacityMl() < least) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "VESSEL_TOO_SMALL",
                    "A " + vessel.words() + " is too small: it needs " + Words.millilitres(least)
                            + " with its headspace.",
                    "Take a larger one, or make less.")));
        }
    }

    private static void notOnTheShelf(Reckoned r) {
        if (!r.in().missing().isEmpty()) {
            throw new Problem.Refused(r.in().missing().stream()
                    .map(m -> Finding.stop(
                            "NOT_ON_THE_SHELF",
                            m.name() + " was only described; nothing can be traced to it.",
                            "Put it on the shelf first, or choose what stands there."))
                    .toList());
        }
    }

    private Ledger.NewLot lotOf(BatchRequest request, Reckoned r, Batchable plan) {
        LocalDate on = request.startedOn();
        boolean atOnce = plan.ready().kind() == Readiness.Kind.AT_ONCE;
        String held = r.findings().stream()
                .filter(f -> f.severity() == Severity.HOLD)
                .map(Finding::message)
                .reduce((a, b) -> a + " " + b)
                .orElse(null);
        Set<Trait> traits = EnumSet.noneOf(Trait.class);
        traits.addAll(r.in().traits());
        traits.addAll(plan.adds());
        Life.Hours hours = plan.keeps().hours();
        Instant from = on.equals(people.today())
                ? clock.instant()
                : on.atTime(LocalTime.NOON).atZone(people.zone()).toInstant();
        return new Ledger.NewLot(
                request.id(),
                atOnce ? Stage.FILLED : Stage.BATCH,
                plan.form(),
                atOnce ? plan.form().vessel() : VesselKind.JAR,
                request.name().strip(),
                plan.yield().low(),
                plan.strength().high() * 100,
                plan.strength().low() * 100,
                plan.driedGPerUnit(),
                plan.piece(),
                r.in().herbsOf(),
                // What is made for the outside never becomes anything else, whatever went in.
                request.route() == Taxon.Route.EXTERNAL ? Taxon.Route.EXTERNAL : r.in().route(),
                traits,
                on,
                plan.ready().steeps() && plan.keeps().inputs().isEmpty() ? null : keepsUntil(plan.keeps(), on),
                hours == null ? null : from.plus(minutes(hours.afterMinutes() + hours.room() * 60)),
                hours == null ? null : from.plus(minutes(hours.afterMinutes() + hours.cold() * 60)),
                held == null ? Product.State.USABLE : Product.State.HOLD,
                held,
                "");
    }

    private static Duration minutes(double minutes) {
        return Duration.ofSeconds(Math.round(minutes * 60));
    }

    private static StoredPlan stored(Reckoned r, Batchable plan) {
        return new StoredPlan(
                plan.form(),
                plan.steps().stream()
                        .map(s -> new StoredPlan.Step(s.text(), s.hazard(), s.timerMinutes(), s.phase()))
                        .toList(),
                plan.facts().stream()
                        .map(f -> new StoredPlan.Fact(f.label(), Range.of(f.value()), f.unit(), f.note()))
                        .toList(),
                Range.of(plan.yield()),
                plan.gPerMl(),
                percent(plan),
                plan.driedGPerUnit() == null ? null : Range.of(plan.driedGPerUnit()),
                r.in().herbsOf().stream()
                        .map(h -> new StoredPlan.Herb(h.taxonId(), h.commonName(), h.part(), h.driedG()))
                        .toList(),
                new StoredPlan.Kept(
                        plan.keeps().form(),
                        plan.keeps().mostDays(),
                        plan.keeps().inputs().stream()
                                .map(i -> new StoredPlan.Until(i.name(), i.bestBefore()))
                                .toList(),
                        null),
                plan.ready().follows().stream().sorted().toList(),
                StoredPlan.Finding.of(r.findings()),
                new ArrayList<>(r.outcome().because()),
                r.lessons());
    }
}
