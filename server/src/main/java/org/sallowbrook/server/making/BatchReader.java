package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Filling;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.Shaking;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.oil.Water;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.Stored;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Batches as they are shown, and the plans they were begun by. */
@Component
public class BatchReader {

    private static final Logger LOG = LoggerFactory.getLogger(BatchReader.class);

    /** As many as are learnt from. */
    private static final int PRESSINGS = 40;

    /** What followed from the pressing. */
    public record OutcomeView(
            Range finalPercent, Range retentionMlPerG, List<Finding> findings, List<String> because) {}

    /**
     * @param follows what is done with it beside pressing and filling
     * @param pourOffFrom from when some of it may be bottled while it steeps; null where none
     */
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
            List<Follow> follows,
            @Nullable LocalDate pourOffFrom,
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
    private final ShelfService shelf;
    private final PeopleService people;

    BatchReader(Batches batches, Shakes shakes, ShelfService shelf, PeopleService people) {
        this.batches = batches;
        this.shakes = shakes;
        this.shelf = shelf;
        this.people = people;
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
    Optional<StoredPlan> readable(Batch batch) {
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

    Map<UUID, LotView> lots(List<Batch> of) {
        return shelf.lots(of.stream().map(b -> b.id).toList()).stream().collect(Collectors.toMap(LotView::id, l -> l));
    }

    @Transactional(readOnly = true)
    public BatchView one(UUID id) {
        return view(find(id));
    }

    /** What the marc kept in the latest pressings, mL per g of dry matter, the newest first. */
    @Transactional(readOnly = true)
    public List<Double> marcKept() {
        return batches.marcKept(Limit.of(PRESSINGS));
    }

    /** @throws Problem.Refused for what is held, quarantined or gone */
    static void usable(LotView lot) {
        if (lot.state() != Product.State.USABLE) {
            throw new Problem.Refused(List.of(Finding.stop(
                    lot.state() == Product.State.HOLD ? "ON_HOLD" : lot.state().name(),
                    lot.name() + " is not usable: " + lot.stateReason(),
                    lot.state() == Product.State.HOLD
                            ? "Resolve the hold on its page first."
                            : "Set it aside; do not fill or give it.")));
        }
    }

    Batch find(UUID id) {
        return batches.findById(id).orElseThrow(() -> new Problem.NotFound("batch"));
    }

    static StoredPlan plan(Batch batch) {
        return StoredPlan.DOCUMENT.read(batch.plan);
    }

    @Transactional(readOnly = true)
    public <L extends Lesson> Optional<L> lesson(UUID id, Class<L> kind) {
        return lesson(plan(find(id)), kind);
    }

    private static <L extends Lesson> Optional<L> lesson(StoredPlan plan, Class<L> kind) {
        return plan.lessons().stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }

    BatchView view(Batch b) {
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
                        && plan.follows().contains(Follow.SHAKE)
                        && !Shaking.next(
                                        b.startedOn,
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
                        plan.unit(),
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
                plan.follows(),
                b.status == BatchStatus.STEEPING && plan.follows().contains(Follow.POUR_OFF)
                        ? Filling.firstPour(b.startedOn)
                        : null,
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
    @Nullable
    TinctureRecord pressed(Batch b) {
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

    List<ContainerView> containers(UUID batch) {
        List<UUID> filled = shelf.links(List.of(batch)).stream()
                .filter(l -> l.from().equals(batch))
                .map(ShelfService.LinkView::to)
                .toList();
        return shelf.lots(filled).stream()
                .filter(l -> !l.neverFilled())
                .map(l -> new ContainerView(l.id(), l.code(), l.name()))
                .sorted(Comparator.comparing(ContainerView::code))
                .toList();
    }
}
