package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.PressingCheck;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.oil.Water;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A batch is pressed or strained, an oil settles; both can be taken back. */
@Service
@Transactional
public class PressingService {

    /** @param water of an oil, once it has settled overnight; null for all else */
    public record PressRequest(
            Double yieldAmount,
            LocalDate on,
            @Nullable Water water,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    public record SettleRequest(Water water) {}

    private final Batches batches;
    private final BatchReader reader;
    private final ShelfService shelf;
    private final Ledger ledger;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final LooseningService loosening;

    PressingService(
            Batches batches,
            BatchReader reader,
            ShelfService shelf,
            Ledger ledger,
            PeopleService people,
            Gatekeeper gatekeeper,
            LooseningService loosening) {
        this.batches = batches;
        this.reader = reader;
        this.shelf = shelf;
        this.ledger = ledger;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.loosening = loosening;
    }

    public BatchReader.BatchView press(UUID id, PressRequest request, @Nullable String ifMatch) {
        Batch batch = reader.find(id);
        batch.checkVersion(ifMatch, () -> reader.view(batch));
        if (batch.status != BatchStatus.STEEPING) {
            throw new Problem.Conflict("It is pressed already.");
        }
        StoredPlan plan = BatchReader.plan(batch);
        Interval expected = plan.yield().interval();
        LotView lot = shelf.lot(id);
        double pouredOff = lot.amount() - lot.remaining();
        Checks.begin()
                .range("yieldAmount", request.yieldAmount(), 0.1, PressingCheck.most(expected, pouredOff))
                .that(
                        !request.on().isBefore(batch.startedOn) && !request.on().isAfter(people.today()),
                        "on",
                        "must be from the start until today")
                .done();
        boolean settles = plan.follows().contains(Follow.SETTLE);
        Checks.begin()
                .that(settles == (request.water() != null), "water", "is said of an oil, and only there")
                .done();
        // An oil on hold for its damp herb is pressed to see whether water parts from it.
        if (!(settles && lot.state() == Product.State.HOLD)) {
            BatchReader.usable(lot);
        }
        List<Finding> unlikely = PressingCheck.unlikely(
                expected,
                plan.unit(),
                pouredOff + request.yieldAmount(),
                ChronoUnit.DAYS.between(batch.startedOn, request.on()),
                batch.plannedPressOn == null ? 0 : ChronoUnit.DAYS.between(batch.startedOn, batch.plannedPressOn));
        gatekeeper.pass("pressing", id, unlikely, request.acknowledged());
        batch.status = BatchStatus.PRESSED;
        batch.yieldAmount = pouredOff + request.yieldAmount();
        batch.pressOn = request.on();
        settled(batch, request.water());
        TinctureRecord record = reader.pressed(batch);
        // What is hardly possible teaches nothing, even where it was right.
        batch.marcKeptMlPerG = record == null || !unlikely.isEmpty()
                ? null
                : record.follow().pressing().stream()
                        .map(Retention.Pressing::mlPerG)
                        .findFirst()
                        .orElse(null);
        ledger.pressed(id, request.yieldAmount(), request.on());
        return reader.view(batches.saveAndFlush(batch));
    }

    /** It was not pressed after all, or something else came out: it steeps again, and is pressed anew. */
    public BatchReader.BatchView strikePressing(UUID id, StrikeRequest request, @Nullable String ifMatch) {
        Batch batch = reader.find(id);
        batch.checkVersion(ifMatch, () -> reader.view(batch));
        StoredPlan plan = BatchReader.plan(batch);
        if (batch.status != BatchStatus.PRESSED || batch.plannedPressOn == null) {
            throw new Problem.Conflict("Only what was pressed and is not filled yet steeps again.");
        }
        if (batch.filledOn != null) {
            throw new Problem.Conflict("Strike out its bottles first.");
        }
        String reason = batch.water == null || !batch.water.seen()
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
                Words.figure(batch.yieldAmount == null ? 0 : batch.yieldAmount) + " " + plan.unit() + " / " + reason);
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
        return reader.view(batches.saveAndFlush(batch));
    }

    /** What lies under an oil by now; water that was seen holds it until it is parted. */
    public BatchReader.BatchView settle(UUID id, SettleRequest request, @Nullable String ifMatch) {
        Batch batch = reader.find(id);
        batch.checkVersion(ifMatch, () -> reader.view(batch));
        if (batch.status != BatchStatus.PRESSED || batch.water == null) {
            throw new Problem.Conflict("Only a pressed oil settles.");
        }
        if (batch.water.seen() && !request.water().seen()) {
            throw new Problem.Conflict("Water was seen under it; pour the oil off, and say that it is parted.");
        }
        settled(batch, request.water());
        return reader.view(batches.saveAndFlush(batch));
    }

    private void settled(Batch batch, @Nullable Water water) {
        batch.water = water;
        if (water != null && water.seen()) {
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
}
