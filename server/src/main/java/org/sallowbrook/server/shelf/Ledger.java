package org.sallowbrook.server.shelf;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Codes;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What comes onto the shelf, goes from one lot into another and out of the house: each a line that can be struck out. For
 * the rooms that make, dose and trace, inside their transaction.
 */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class Ledger {

    /** What the bench puts on the shelf. */
    public record NewLot(
            UUID id,
            Stage stage,
            LotForm form,
            VesselKind vessel,
            String name,
            double amount,
            @Nullable Double strengthPercent,
            @Nullable Double strengthLowPercent,
            @Nullable Interval driedGPerUnit,
            @Nullable Double piece,
            List<HerbView> herbs,
            Taxon.Route route,
            Set<Trait> traits,
            LocalDate madeOn,
            @Nullable LocalDate bestBefore,
            @Nullable Instant roomUntil,
            @Nullable Instant coldUntil,
            Product.State state,
            @Nullable String stateReason,
            String place) {}

    private static final int MOST_BACK = 100;

    private final Lots lots;
    private final LotLinks links;
    private final LotChanges changes;
    private final LotReader reader;
    private final PeopleService people;
    private final Codes codes;
    private final Clock clock;

    Ledger(
            Lots lots,
            LotLinks links,
            LotChanges changes,
            LotReader reader,
            PeopleService people,
            Codes codes,
            Clock clock) {
        this.lots = lots;
        this.links = links;
        this.changes = changes;
        this.reader = reader;
        this.people = people;
        this.codes = codes;
        this.clock = clock;
    }

    /** Puts something new on the shelf, with the next free code. */
    public LotView put(NewLot n) {
        Lot lot = new Lot(n.id());
        lot.stage = n.stage();
        lot.form = n.form();
        lot.vessel = n.vessel();
        lot.code = code(prefix(n.stage(), n.vessel()), n.madeOn());
        lot.name = n.name();
        lot.unit = n.form().unit().symbol();
        lot.amount = n.amount();
        lot.strengthPercent = n.strengthPercent();
        lot.strengthLowPercent = n.strengthLowPercent();
        lot.piece = n.piece();
        Interval dried = n.driedGPerUnit();
        if (dried != null) {
            lot.driedGPerUnitLow = dried.low();
            lot.driedGPerUnitHigh = dried.high();
        }
        herbs(lot, n.herbs());
        lot.traits.addAll(n.traits());
        lot.route = n.route();
        lot.madeOn = n.madeOn();
        lot.bestBefore = n.bestBefore();
        lot.roomUntil = n.roomUntil();
        lot.coldUntil = n.coldUntil();
        lot.state = n.state();
        lot.stateReason = n.stateReason();
        lot.heldReason = n.state() == Product.State.HOLD ? n.stateReason() : null;
        lot.place = n.place();
        lots.save(lot);
        change(lot, LotChange.What.PUT, n.amount(), null, n.madeOn());
        return reader.view(lots.saveAndFlush(lot));
    }

    /** The same plant's part named twice counts as one. */
    static void herbs(Lot lot, List<HerbView> herbs) {
        Map<String, LotHerb> all = new LinkedHashMap<>();
        for (HerbView h : herbs) {
            all.merge(
                    h.taxonId() + " " + h.part(),
                    new LotHerb(h.taxonId(), h.part(), h.driedG()),
                    (a, b) -> new LotHerb(a.taxonId(), a.part(), a.driedG() + b.driedG()));
        }
        lot.herbs.clear();
        lot.herbs.addAll(all.values());
    }

    /** Takes some of a lot into another. @throws Problem.Conflict when there is not enough */
    public void take(UUID from, UUID into, Amount amount, LocalDate on) {
        Lot lot = reader.find(from);
        Amount left = Amount.of(lot.remaining, Unit.of(lot.unit));
        if (!left.covers(amount)) {
            throw new Problem.Conflict(lot.name + " (" + lot.code + ") has only " + left + " left.");
        }
        if (lot.openedOn == null) {
            lot.openedOn = on;
        }
        change(lot, LotChange.What.TAKEN, -Math.min(amount.value(), lot.remaining), into, on);
        lots.saveAndFlush(lot);
        link(from, into, amount);
    }

    /** What came out of the press is what there is to fill, beside what was poured off before. */
    public void pressed(UUID batch, double amount, LocalDate on) {
        Lot lot = reader.find(batch);
        lot.amount = lot.amount - lot.remaining + amount;
        // The jar is free again; what was pressed stands in whatever it is filled from.
        lot.vesselId = null;
        change(lot, LotChange.What.PRESSED, amount - lot.remaining, null, on);
        lots.saveAndFlush(lot);
    }

    /** The pressing is struck out: it is as it was planned again, less what was poured off before. */
    public void unpressed(UUID batch, double planned, String reason) {
        Lot lot = reader.find(batch);
        for (LotChange change : changes.findAllByLotIdAndWhat(batch, LotChange.What.PRESSED)) {
            change.strike(clock.instant(), reason);
            changes.save(change);
            lot.remaining = Math.max(0, lot.remaining - change.delta);
        }
        lot.amount = planned;
        lots.saveAndFlush(lot);
    }

    /** A bottle that was never filled. @throws Problem.Conflict when something of it was used */
    public void unfill(UUID bottle, String reason) {
        Lot lot = reader.find(bottle);
        if (lot.remaining < lot.amount - 1e-9 || lot.holder != null) {
            throw new Problem.Conflict("Something of " + lot.name + " (" + lot.code
                    + ") was used, or somebody has it; strike that out first.");
        }
        strike(bottle, reason);
        for (LotChange change : changes.findAllByLotIdAndWhat(bottle, LotChange.What.PUT)) {
            change.strike(clock.instant(), reason);
            changes.save(change);
        }
        // Where it would have come from stays: whatever is found in it some day has an origin.
        lot.neverFilled = true;
        lot.stateReason = "never filled: " + reason;
        lot.remaining = 0;
        lot.vesselId = null;
        lots.save(lot);
        lots.flush();
    }

    /** The part is poured back: what went into it did not, and its row stays for whatever still points at it. */
    void unsplit(Lot part, UUID from) {
        for (LotChange change : changes.findAllBySubjectId(part.id)) {
            if (change.what == LotChange.What.SPLIT && change.lotId.equals(from)) {
                change.strike(clock.instant(), "poured back");
                changes.save(change);
                Lot whole = reader.find(from);
                whole.remaining = whole.remaining - change.delta;
                lots.save(whole);
            }
        }
        for (LotChange change : changes.findAllByLotIdAndWhat(part.id, LotChange.What.SPLIT)) {
            change.strike(clock.instant(), "poured back");
            changes.save(change);
        }
        part.remaining = 0;
        part.vesselId = null;
        lots.save(part);
        lots.flush();
    }

    /** Two were not poured together after all: each holds what it held, and nothing is in this one. */
    void apart(Lot both) {
        List<LotChange> lines = new ArrayList<>(changes.findAllByLotIdAndWhat(both.id, LotChange.What.PUT));
        for (LotChange change : changes.findAllBySubjectId(both.id)) {
            if (change.what == LotChange.What.TOGETHER) {
                Lot one = reader.find(change.lotId);
                if (one.remaining > 0) {
                    throw new Problem.Conflict(one.name + " (" + one.code
                            + ") was counted since and holds something; count that to nothing first.");
                }
                one.remaining = one.remaining - change.delta;
                lots.save(one);
                lines.add(change);
            }
        }
        for (LotChange line : lines) {
            line.strike(clock.instant(), "not poured together");
            changes.save(line);
        }
        // Where it would have come from stays: whatever is found in it some day has an origin.
        both.neverFilled = true;
        both.stateReason = "not poured together";
        both.remaining = 0;
        both.vesselId = null;
        lots.save(both);
        lots.flush();
    }

    /** Of what came out of another jar: the next free code of the same letter. */
    String codeLike(Lot source, LocalDate on) {
        return code(source.code.substring(0, 1), on);
    }

    /** Whether all of it is there as it came. */
    boolean untouched(Lot lot) {
        return changes.findAllByLotIdOrderByAtAscIdAsc(lot.id).size() == 1 && lot.holder == null;
    }

    /** What never came into the house. */
    void struck(Lot lot, String reason) {
        for (LotChange change : changes.findAllByLotIdAndWhat(lot.id, LotChange.What.PUT)) {
            change.strike(clock.instant(), reason);
            changes.save(change);
        }
        lot.remaining = 0;
        lots.saveAndFlush(lot);
    }

    /** The rest of a batch is gone. */
    public void emptied(UUID batch) {
        Lot lot = reader.find(batch);
        change(lot, LotChange.What.FINISHED, -lot.remaining, null, people.today());
        lots.saveAndFlush(lot);
    }

    /** What of a batch went into a bottle or tin; what the press gave a little more of counts as gone. */
    public void fill(UUID batch, UUID bottle, double amount, LocalDate on) {
        Lot lot = reader.find(batch);
        change(lot, LotChange.What.FILLED, -Math.min(amount, lot.remaining), bottle, on);
        lots.saveAndFlush(lot);
        link(batch, bottle, Amount.of(amount, Unit.of(lot.unit)));
    }

    /** What a dose takes out of the bottle, in its own unit; at most what is left. */
    public void pour(UUID id, UUID dose, double amount, LocalDate on) {
        Lot lot = reader.find(id);
        if (lot.openedOn == null) {
            lot.openedOn = on;
        }
        change(lot, LotChange.What.DOSE, -Math.min(amount, lot.remaining), dose, on);
        lots.saveAndFlush(lot);
    }

    /** Strikes out what went out of lots for a dose or a batch: it is there again. */
    public void strike(UUID subject, String reason) {
        for (LotChange change : changes.findAllBySubjectId(subject)) {
            change.strike(clock.instant(), reason);
            changes.save(change);
            Lot lot = reader.find(change.lotId);
            lot.remaining = Math.max(0, lot.remaining - change.delta);
            lots.save(lot);
        }
        lots.flush();
    }

    /** Notes why a lot is doubted, or with null that it no longer is. */
    public LotView doubt(UUID id, @Nullable String reason, @Nullable String ifMatch) {
        Lot lot = reader.find(id);
        lot.checkVersion(ifMatch, () -> reader.view(lot));
        lot.doubt = reason;
        return reader.view(lots.saveAndFlush(lot));
    }

    /** Sets lots aside, for good or until cleared. What was thrown away stays so. */
    public void setAside(Collection<UUID> ids, Product.State state, String reason) {
        for (Lot lot : lots.findAllById(ids)) {
            if (lot.state != Product.State.DESTROYED) {
                lot.state = state;
                lot.stateReason = reason;
            }
        }
        lots.flush();
    }

    /** Holds a lot for what was seen of it, or with null lets it go again; what is set aside stays so, and holds beneath. */
    public void hold(UUID id, @Nullable String reason) {
        Lot lot = reader.find(id);
        lot.heldReason = reason;
        lot.heldByTheWork = reason != null;
        if (lot.state == Product.State.USABLE || lot.state == Product.State.HOLD) {
            lot.state = reason == null ? Product.State.USABLE : Product.State.HOLD;
            lot.stateReason = reason;
        }
        lots.saveAndFlush(lot);
    }

    /** From now on for the outside of the body only. */
    public void outsideOnly(UUID id) {
        Lot lot = reader.find(id);
        lot.route = Taxon.Route.EXTERNAL;
        lots.saveAndFlush(lot);
    }

    /** Ends a quarantine; a hold that lay beneath it holds again. */
    public void clear(Collection<UUID> ids) {
        for (Lot lot : lots.findAllById(ids)) {
            if (lot.state == Product.State.QUARANTINED) {
                lot.state = lot.heldReason == null ? Product.State.USABLE : Product.State.HOLD;
                lot.stateReason = lot.heldReason;
            }
        }
        lots.flush();
    }

    /** What the vessels hold brimful that these stand in. */
    public void holds(Collection<UUID> ids, double vesselMl) {
        lots.findAllById(ids).forEach(l -> l.vesselMl = vesselMl);
        lots.flush();
    }

    /** Changes what is left by one line; the lot must be saved by the caller. */
    void change(Lot lot, LotChange.What what, double delta, @Nullable UUID subject, LocalDate on) {
        change(Owned.newId(), lot, what, delta, subject, on, "");
    }

    /** The same, by somebody's own word. @param id made by the client, so that it is never noted twice */
    void change(UUID id, Lot lot, LotChange.What what, double delta, LocalDate on, String reason) {
        change(id, lot, what, delta, null, on, reason);
    }

    private void change(
            UUID id, Lot lot, LotChange.What what, double delta, @Nullable UUID subject, LocalDate on, String reason) {
        lot.remaining = Math.max(0, lot.remaining + delta);
        LotChange change = new LotChange(id);
        change.reason = reason;
        change.lotId = lot.id;
        change.what = what;
        change.delta = delta;
        change.subjectId = subject;
        change.onDay = on;
        change.at = clock.instant();
        change.notedBy = Member.current().displayName();
        changes.save(change);
    }

    List<ShelfService.CameBack> cameBack(Collection<UUID> lots) {
        return changes.cameBack(lots, LotChange.What.BACK, Limit.of(MOST_BACK));
    }

    void link(UUID from, UUID to, Amount amount) {
        links.save(new LotLink(
                Owned.newId(), from, to, amount.value(), amount.unit().symbol()));
    }

    String code(String prefix, LocalDate on) {
        return codes.next(prefix, on);
    }

    private static String prefix(Stage stage, VesselKind vessel) {
        return switch (stage) {
            case BATCH -> "M";
            case FILLED ->
                switch (vessel) {
                    case FLASK -> "F";
                    case TIN -> "T";
                    case BAG, JAR -> "J";
                    default -> "B";
                };
            default -> "P";
        };
    }
}
