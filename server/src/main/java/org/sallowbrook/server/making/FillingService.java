package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Filling;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.HerbView;
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.VesselService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was pressed goes into bottles and tins; what steeps may be poured off in part. */
@Service
@Transactional
public class FillingService {

    /**
     * @param capacityMl what goes into each
     * @param vesselId of the household's own; null for others
     */
    public record ContainerRequest(
            Double capacityMl, Integer count, @Nullable UUID vesselId) {}

    /** @param restGone whether nothing of it is left after this; what is, waits to be filled otherwise */
    public record FillRequest(
            List<ContainerRequest> containers,
            LocalDate on,
            String place,
            @Nullable Boolean restGone) {}

    private final Batches batches;
    private final BatchReader reader;
    private final ShelfService shelf;
    private final Ledger ledger;
    private final VesselService vessels;
    private final PeopleService people;
    private final SchoolService schools;
    private final Gatekeeper gatekeeper;

    FillingService(
            Batches batches,
            BatchReader reader,
            ShelfService shelf,
            Ledger ledger,
            VesselService vessels,
            PeopleService people,
            SchoolService schools,
            Gatekeeper gatekeeper) {
        this.batches = batches;
        this.reader = reader;
        this.shelf = shelf;
        this.ledger = ledger;
        this.vessels = vessels;
        this.people = people;
        this.schools = schools;
        this.gatekeeper = gatekeeper;
    }

    /** Fills what was pressed into bottles or tins, each a lot with its own number. */
    public List<LotView> fill(UUID id, FillRequest request, @Nullable String ifMatch) {
        Batch batch = reader.find(id);
        batch.checkVersion(ifMatch, () -> reader.view(batch));
        if (batch.status != BatchStatus.PRESSED) {
            throw new Problem.Conflict(
                    batch.status == BatchStatus.STEEPING ? "Press it first." : "It is filled already.");
        }
        LotView lot = shelf.lot(id);
        BatchReader.usable(lot);
        double yield =
                batch.yieldAmount == null ? BatchReader.plan(batch).yield().low() : batch.yieldAmount;
        LocalDate pressed = batch.pressOn == null ? batch.startedOn : batch.pressOn;
        boolean restGone = Boolean.TRUE.equals(request.restGone());
        List<LotView> filled = bottles(batch, lot, request, pressed, pressed, restGone, Filling.lastDrops(yield));
        // What is less than the last drops in the jug is not worth another bottle.
        if (restGone || shelf.lot(id).remaining() <= Filling.lastDrops(yield)) {
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
        Batch batch = reader.find(id);
        batch.checkVersion(ifMatch, () -> reader.view(batch));
        if (batch.status != BatchStatus.STEEPING) {
            throw new Problem.Conflict("It is pressed already; fill it instead.");
        }
        if (!BatchReader.plan(batch).follows().contains(Follow.POUR_OFF)) {
            throw new Problem.Conflict("Only a tincture is poured off the herb while the rest stays on it.");
        }
        LotView lot = shelf.lot(id);
        BatchReader.usable(lot);
        List<LotView> filled = bottles(batch, lot, request, Filling.firstPour(batch.startedOn), request.on(), false, 0);
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
        StoredPlan plan = BatchReader.plan(batch);
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
                        "hold " + Words.figure(sum) + " " + plan.unit() + ", more than the "
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
        Integer mostDays = batch.water == null ? kept.mostDays() : batch.water.mostDays(kept.mostDays());
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

    /** This bottle was never filled: what was in it is in the batch again. */
    public BatchReader.BatchView strikeFilling(UUID id, UUID bottle, StrikeRequest request, @Nullable String ifMatch) {
        Batch batch = reader.find(id);
        batch.checkVersion(ifMatch, () -> reader.view(batch));
        String reason = request.checked();
        if (reader.containers(id).stream().noneMatch(c -> c.id().equals(bottle))) {
            throw new Problem.NotFound("bottle");
        }
        ledger.unfill(bottle, reason);
        gatekeeper.record("filling struck out", bottle, "STRUCK", reason);
        if (batch.status == BatchStatus.FINISHED) {
            batch.status = BatchStatus.PRESSED;
        }
        batch.filledOn = reader.containers(id).isEmpty() ? null : batch.filledOn;
        batch.fills++;
        return reader.view(batches.saveAndFlush(batch));
    }
}
