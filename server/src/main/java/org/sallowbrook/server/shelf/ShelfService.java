package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.herbarium.UsesTaxon;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What stands on the shelf, and what a household does with it there. */
@Service
@Transactional
public class ShelfService implements UsesTaxon, DueSource {

    public record LinkView(UUID from, UUID to, Double amount, String unit) {}

    private static final int MOST_LISTED = 1000;
    private static final int USE_UP_DAYS = 30;

    /** Half a year of opening and closing: a working figure of this tool. */
    private static final int DESICCANT_DAYS = 180;

    /** What stands on a shelf, rather than in the field or under way. */
    private static final Set<Stage> KEPT = Set.of(Stage.STOCK, Stage.FILLED);

    // Native SQL is not filtered by household.
    private static final String IN_THE_HOUSE = """
            select distinct h.taxon_id from lot l join lot_herb h on h.lot_id = l.id
            where l.household_id = :household and l.remaining > 0 and l.state = 'USABLE'
            and (l.best_before is null or l.best_before >= :today)""";

    private final JdbcClient jdbc;
    private final Lots lots;
    private final LotLinks links;
    private final LotReader reader;
    private final Ledger ledger;
    private final PeopleService people;
    private final LooseningService loosening;
    private final Standing standing;
    private final Reading reading;
    private final Once once;

    ShelfService(
            JdbcClient jdbc,
            Lots lots,
            LotLinks links,
            LotReader reader,
            Ledger ledger,
            PeopleService people,
            LooseningService loosening,
            Standing standing,
            Reading reading,
            Once once) {
        this.once = once;
        this.reading = reading;
        this.jdbc = jdbc;
        this.lots = lots;
        this.links = links;
        this.reader = reader;
        this.ledger = ledger;
        this.people = people;
        this.loosening = loosening;
        this.standing = standing;
    }

    /** What is there; what is used up is history. */
    @Transactional(readOnly = true)
    public List<LotView> there() {
        return lots.findAllByRemainingGreaterThanOrderByMadeOnDescCodeDesc(0, Limit.of(MOST_LISTED)).stream()
                .map(reader::view)
                .toList();
    }

    /** The stands that something was picked from. */
    @Transactional(readOnly = true)
    public List<LotView> stands() {
        return lots.findAllByStageOrderByName(Stage.STAND).stream()
                .map(reader::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public Past past(int page, String find) {
        return Past.of(
                lots.usedUp(KEPT, Past.patterns(find), Past.page(page)),
                l -> new Past.Entry(
                        l.id,
                        l.name,
                        l.code,
                        l.madeOn,
                        l.state == Product.State.DESTROYED
                                ? "thrown away"
                                : Words.figure(l.amount) + " " + l.unit + ", used up"));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        List<Due> due = new ArrayList<>();
        LocalDate usedUpBy = span.to().plusDays(USE_UP_DAYS);
        LocalDate desiccantBefore = span.to().minusDays(DESICCANT_DAYS);
        List<Lot> toSee = lots.toSee(
                KEPT, Stage.STAND, Product.State.QUARANTINED, Product.State.DESTROYED, usedUpBy, desiccantBefore);
        for (Lot lot : toSee) {
            LocalDate put = lot.desiccantOn;
            if (put == null || put.isAfter(desiccantBefore)) {
                continue;
            }
            LocalDate on =
                    put.plusDays(DESICCANT_DAYS).isBefore(span.today()) ? span.today() : put.plusDays(DESICCANT_DAYS);
            if (span.holds(on)) {
                due.add(new Due(
                        Due.Kind.DESICCANT,
                        "shelf",
                        lot.id,
                        "Change the desiccant of " + lot.name,
                        lot.code + (lot.place.isEmpty() ? "" : ", " + lot.place),
                        on,
                        span.morning(on),
                        false,
                        lot.version,
                        null,
                        null,
                        null));
            }
        }
        for (Lot lot : toSee) {
            boolean spoilt = lot.state == Product.State.DESTROYED;
            // Set aside is whatever it is, a rest in the pot and a basket too; used up is what stands on the shelf.
            if (lot.state == Product.State.QUARANTINED || spoilt && lot.holder != null) {
                if (span.holds(span.today())) {
                    due.add(aside(lot, span));
                }
            } else if (!spoilt && lot.bestBefore != null && KEPT.contains(lot.stage)) {
                LocalDate on = toUseUp(lot.bestBefore, span);
                if (!lot.bestBefore.isAfter(usedUpBy) && span.holds(on)) {
                    due.add(usedUp(lot, lot.bestBefore, on, span));
                }
            }
        }
        return due;
    }

    /** Out of use, and called back where somebody has it. */
    private static Due aside(Lot lot, Span span) {
        boolean out = lot.holder != null;
        return new Due(
                out ? Due.Kind.CALL_BACK : Due.Kind.SET_ASIDE,
                out ? "tracing" : "shelf",
                lot.id,
                out ? "Call back " + lot.name + ": " + lot.holder + " has it" : "Set aside " + lot.name,
                lot.code + ": " + lot.stateReason,
                span.today(),
                span.morning(span.today()),
                true,
                lot.version,
                null,
                null,
                null);
    }

    private static LocalDate toUseUp(LocalDate best, Span span) {
        return span.today().isAfter(best) ? span.today() : best.minusDays(USE_UP_DAYS);
    }

    private static Due usedUp(Lot lot, LocalDate best, LocalDate on, Span span) {
        boolean expired = span.today().isAfter(best);
        return new Due(
                Due.Kind.USE_UP,
                "shelf",
                lot.id,
                (expired ? "Past its date: " : "Use up ") + lot.name,
                lot.code + ", best before " + Words.day(best),
                best,
                span.morning(on),
                expired,
                lot.version,
                null,
                null,
                null);
    }

    @Override
    @Transactional(readOnly = true)
    public boolean uses(String taxonId) {
        return lots.existsByTaxonId(taxonId);
    }

    /** Plants of which something usable is left, in a jar or in what was made of it. */
    @Transactional(readOnly = true)
    public Set<String> taxaInTheHouse() {
        return Set.copyOf(jdbc.sql(IN_THE_HOUSE)
                .param("household", Member.current().householdId())
                .param("today", people.today())
                .query(String.class)
                .list());
    }

    /** One lot, its state judged over its whole descent. */
    @Transactional(readOnly = true)
    public LotView lot(UUID id) {
        return reader.judged(reader.find(id));
    }

    /** These will be asked for, one by one: their rows and descents are read at once. */
    public void ahead(Collection<UUID> ids) {
        reading.ahead(Reading.Of.LOT, ids);
    }

    @Transactional(readOnly = true)
    public List<LotView> lots(Collection<UUID> ids) {
        return reader.views(ids);
    }

    /** Of these, what there is something left of. */
    @Transactional(readOnly = true)
    public List<LotView> left(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : lots.findAllByIdInAndRemainingGreaterThan(ids, 0).stream()
                        .map(reader::view)
                        .toList();
    }

    private static final int MOST_ALIKE = 60;

    /** What was made of the same form and is called by the same words, the latest of what is left first. */
    @Transactional(readOnly = true)
    public List<UUID> alike(LotForm form, String called) {
        return lots.named(Stage.STAND, Past.patterns(called), Limit.of(MOST_ALIKE)).stream()
                .filter(l -> l.form == form)
                .map(l -> l.id)
                .toList();
    }

    /** Every link that touches one of the lots. */
    @Transactional(readOnly = true)
    public List<LinkView> links(Collection<UUID> ids) {
        return links.findAllByFromLotInOrToLotIn(ids, ids).stream()
                .map(l -> new LinkView(l.fromLot, l.toLot, l.amount, l.unit))
                .toList();
    }

    /** Lifts a hold once its reason is gone; a quarantine is not lifted this way, and ageing takes its time. */
    public LotView release(UUID id, StrikeRequest request, @Nullable String ifMatch) {
        Lot lot = reader.find(id);
        lot.checkVersion(ifMatch, () -> reader.view(lot));
        if (lot.state != Product.State.HOLD) {
            throw new Problem.Conflict("This is not on hold.");
        }
        if (lot.heldUntil != null && people.today().isBefore(lot.heldUntil)) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "STILL_AGEING",
                    lot.name + " ages until " + Words.day(lot.heldUntil) + ".",
                    "Wait; nothing but time takes its harshness away.")));
        }
        if (lot.heldByTheWork) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "HELD_BY_THE_WORK",
                    lot.name + " is held by what was seen or weighed of it, not by a word.",
                    "Weigh it or look at it on the page of its batch.")));
        }
        String reason = loosening.pass(Loosening.Safeguard.HOLD, id, request, "it was on hold: " + lot.heldReason);
        lot.state = Product.State.USABLE;
        lot.stateReason = "released: " + reason;
        lot.heldReason = null;
        return reader.view(lots.saveAndFlush(lot));
    }

    /** What became of it. */
    public enum End {
        USED_UP(LotChange.What.FINISHED),
        THROWN_AWAY(LotChange.What.THROWN_AWAY),
        COMPOST(LotChange.What.COMPOSTED);

        private final LotChange.What line;

        End(LotChange.What line) {
            this.line = line;
        }
    }

    /**
     * All of it, or some, is used up or gone; struck out it is there again.
     *
     * @param amount in its unit, more than 0 and at most what is left; null for all
     */
    public LotView finish(UUID id, End end, @Nullable Double amount, @Nullable String ifMatch) {
        Lot lot = reader.find(id);
        lot.checkVersion(ifMatch, () -> reader.view(lot));
        if (amount != null) {
            enough(lot, amount, lot.remaining);
        }
        if (lot.remaining > 0) {
            ledger.change(lot, end.line, amount == null ? -lot.remaining : -amount, null, people.today());
        }
        return reader.view(lots.saveAndFlush(lot));
    }

    private static void enough(Lot lot, double amount, double most) {
        Checks.begin()
                .positive("amount", amount)
                .that(
                        amount <= most,
                        "amount",
                        "must be at most the " + Words.figure(lot.remaining) + " " + lot.unit + " that are left")
                .done();
    }

    private static final int MOST_JARS = 30;

    /** @param id of the first new jar, made by the client; jars: how many, each holding {@code amount} in the lot's unit */
    public record SplitRequest(UUID id, Double amount, Integer jars) {}

    /**
     * Some of it goes into jars of their own. They come from it: whatever is found out about one's origin is found out about
     * all.
     *
     * @return the first of the new jars
     */
    public LotView split(UUID id, SplitRequest request, @Nullable String ifMatch) {
        Lot lot = reader.find(id);
        if (once.repeated("split", request.id(), lots::existsById, id, request)) {
            return reader.view(reader.find(request.id()));
        }
        lot.checkVersion(ifMatch, () -> reader.view(lot));
        if (!KEPT.contains(lot.stage) || lot.piece != null) {
            throw new Problem.Conflict("Only what stands on the shelf and is no pieces goes into another jar.");
        }
        List<Finding> wrong = new ArrayList<>(standing.of(id));
        if (!wrong.isEmpty()) {
            throw new Problem.Refused(wrong);
        }
        Checks.begin()
                .range("jars", request.jars(), 1, MOST_JARS)
                .positive("amount", request.amount())
                .done();
        // A crumb may be missing of what is weighed out evenly.
        enough(lot, request.amount() * request.jars(), lot.remaining * (1 + 1e-9));
        LocalDate today = people.today();
        if (lot.openedOn == null) {
            lot.openedOn = today;
        }
        for (int jar = 0; jar < request.jars(); jar++) {
            Lot part = lot.part(jar == 0 ? request.id() : Owned.newId(), request.amount());
            part.code = ledger.codeLike(lot, today);
            lots.save(part);
            ledger.change(part, LotChange.What.SPLIT, request.amount(), lot.id, today);
            ledger.change(lot, LotChange.What.SPLIT, -Math.min(request.amount(), lot.remaining), part.id, today);
            ledger.link(lot.id, part.id, Amount.of(request.amount(), Unit.of(lot.unit)));
        }
        lots.flush();
        return reader.view(reader.find(request.id()));
    }

    /** A part that nothing was taken of goes back into the jar it came out of; both lines are struck out. */
    public LotView pourBack(UUID id, @Nullable String ifMatch) {
        Lot part = reader.find(id);
        part.checkVersion(ifMatch, () -> reader.view(part));
        UUID from = part.splitFrom;
        if (from == null || part.remaining < part.amount - 1e-9 || part.holder != null) {
            throw new Problem.Conflict(
                    "Only a jar that was filled out of another one, and is as full as then, goes back into it.");
        }
        List<Finding> wrong = new ArrayList<>(standing.of(id));
        if (!wrong.isEmpty()) {
            throw new Problem.Refused(wrong);
        }
        ledger.unsplit(part, from);
        return reader.view(reader.find(from));
    }

    /** @param from who had it, in words */
    public record CameBack(String name, String code, String from, LocalDate on, String notedBy) {}

    /** What of these somebody had and brought back, the latest first. */
    @Transactional(readOnly = true)
    public List<CameBack> cameBack(Collection<UUID> ids) {
        return ledger.cameBack(ids);
    }

    /** Records who has it now, and that it came back. */
    public LotView give(UUID id, String holder, @Nullable String ifMatch) {
        Lot lot = reader.find(id);
        lot.checkVersion(ifMatch, () -> reader.view(lot));
        Checks.begin()
                .that(holder.length() <= 120, "holder", "must have at most 120 letters")
                .done();
        boolean back = holder.isBlank();
        List<Finding> wrong = new ArrayList<>(back ? List.of() : standing.of(id));
        if (!back && lot.bestBefore != null && people.today().isAfter(lot.bestBefore)) {
            wrong.add(Finding.stop(
                    "EXPIRED",
                    lot.name + " is past its date, " + Words.day(lot.bestBefore) + ".",
                    "Give it to nobody; it is good for compost only."));
        }
        if (!wrong.isEmpty()) {
            throw new Problem.Refused(wrong);
        }
        String to = back ? null : holder.strip();
        if (!Objects.equals(lot.holder, to)) {
            if (lot.holder != null) {
                ledger.change(Owned.newId(), lot, LotChange.What.BACK, 0, people.today(), "from " + lot.holder);
            }
            if (to != null) {
                ledger.change(Owned.newId(), lot, LotChange.What.GIVEN, 0, people.today(), "to " + to);
            }
        }
        lot.holder = to;
        return reader.view(lots.saveAndFlush(lot));
    }
}
