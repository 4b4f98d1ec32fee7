package org.sallowbrook.server.shelf;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.GraveWords;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Pace;
import org.sallowbrook.core.shelf.PoisonWords;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is really there: counted, put right, and how fast it goes. */
@Service
@Transactional
public class StockTake {

    /** Where more than ever came into a lot is from. */
    public enum More {
        /** It was weighed or measured wrongly at first; all of it has the origin that is on record. */
        MEASURED_WRONG,
        /** Nobody knows, or from somewhere else: a lot of its own, of unknown origin and not for use. */
        UNKNOWN
    }

    /**
     * @param amount found, in the unit of the lot
     * @param reason needed where it is far from what was expected
     * @param more where it is more than came into it: where that is from
     * @param second who signed for it, where it was measured wrongly at first
     */
    public record CountRequest(
            UUID id,
            Double amount,
            @Nullable String reason,
            LocalDate on,
            @Nullable More more,
            @Nullable UUID second) {}

    /**
     * @param desiccantOn when it was put in or changed; null without
     * @param reason why it was opened later than was noted, or not at all; second: who signed for it; needed only then
     */
    public record DetailsRequest(
            String name,
            String place,
            @Nullable LocalDate openedOn,
            String supplierLot,
            @Nullable LocalDate desiccantOn,
            @Nullable String reason,
            @Nullable UUID second) {}

    /**
     * A line of a lot's account.
     *
     * @param delta in the unit of the lot; more than 0 for what came in
     * @param mayBeStruck whether it can be struck out here; what went into a batch or a dose is struck there
     * @param struckReason null where it stands
     */
    public record ChangeView(
            UUID id,
            LotChange.What what,
            Double delta,
            LocalDate on,
            Instant at,
            String by,
            String reason,
            Boolean mayBeStruck,
            @Nullable String struckReason,
            @Nullable String struckBy) {}

    /**
     * What will be gone soon at the rate of the last months.
     *
     * @param lotId one of them, the next to be used
     * @param lastsDays at that rate
     */
    public record RunningOut(UUID lotId, String name, String unit, Double left, Double usedADay, Integer lastsDays) {}

    /** What is more than this share off what was expected wants a reason. */
    private static final double FAR = 0.2;

    /** What a scale or a jug may be off. */
    private static final double SCALE = 0.05;

    /** Of what was bought nobody knows how much the packet held; more than this is another packet. */
    private static final double MOST_TIMES = 3;

    private static final double MOST_OF_ANYTHING = 1_000_000;

    private static final int MOST_RUNNING_OUT = 20;
    private static final int MOST_LINES = 200;
    private static final Set<LotChange.What> OWN = Set.of(
            LotChange.What.FINISHED, LotChange.What.THROWN_AWAY, LotChange.What.COMPOSTED, LotChange.What.COUNTED);

    // Native: what was struck out is shown as well, and no household but one's own.
    private static final String ACCOUNT = """
            select id, what, delta, on_day, at, noted_by, reason, struck_reason, struck_by from lot_change
            where lot_id = :lot and household_id = :household order by on_day desc, at desc, id desc limit :most""";

    // What is alike is one thing to whoever buys it: dried herb by plant and part, all else by form and name.
    private static final String RATES = """
            with used as (
                select c.lot_id, -sum(c.delta) as gone, array_agg(distinct c.on_day) as days from lot_change c
                where c.household_id = :household and c.struck_at is null and c.on_day > :since
                and c.what in ('TAKEN', 'DOSE') group by c.lot_id
            ), kept as (
                select l.id from lot l where l.household_id = :household and l.remaining > 0
                and l.stage in ('STOCK', 'FILLED') and l.state = 'USABLE'
                union select lot_id from used
            ), alike as (
                select l.id, l.name, l.unit, l.remaining, l.made_on, l.code,
                       l.form || ' ' || coalesce(l.taxon_id || ' ' || l.part, lower(l.name)) as kind,
                       coalesce(u.gone, 0) as gone, u.days
                from kept k join lot l on l.id = k.id left join used u on u.lot_id = l.id
                where l.household_id = :household and l.stage in ('STOCK', 'FILLED')
            )
            select (array_agg(id order by remaining > 0 desc, made_on, code))[1] as lot_id,
                   (array_agg(name order by remaining > 0 desc, made_on, code))[1] as name,
                   min(unit) as unit, sum(remaining) as left_over, sum(gone) as used, min(made_on) as first_on,
                   (select count(distinct d) from alike a, unnest(a.days) d where a.kind = alike.kind) as used_on
            from alike group by kind having sum(gone) > 0""";

    /**
     * What went of one plant in one form.
     *
     * @param used taken, given in doses and used up; what was made into something else counts there
     * @param thrownAway and composted
     */
    public record Used(LotForm form, String taxonId, Taxon.Part part, Double used, Double thrownAway) {}

    private static final String USED = """
            select l.form, l.taxon_id, l.part,
                   -sum(case when c.what in ('DOSE', 'FINISHED') then c.delta else 0 end) as used,
                   -sum(case when c.what in ('THROWN_AWAY', 'COMPOSTED') then c.delta else 0 end) as thrown_away
            from lot_change c join lot l on l.id = c.lot_id and l.household_id = c.household_id
            where c.household_id = :household and c.struck_at is null and c.delta < 0 and c.on_day > :since
              and c.what in ('DOSE', 'FINISHED', 'THROWN_AWAY', 'COMPOSTED')
              and l.stage in ('STOCK', 'FILLED') and l.taxon_id is not null and l.part is not null
            group by l.form, l.taxon_id, l.part order by used desc""";

    private record Rate(
            UUID lotId, String name, String unit, double leftOver, double used, LocalDate firstOn, int usedOn) {}

    private final JdbcClient jdbc;
    private final Lots lots;
    private final LotChanges changes;
    private final LotReader reader;
    private final Ledger ledger;
    private final LooseningService loosening;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;

    StockTake(
            JdbcClient jdbc,
            Lots lots,
            LotChanges changes,
            LotReader reader,
            Ledger ledger,
            LooseningService loosening,
            PeopleService people,
            Once once,
            Clock clock) {
        this.jdbc = jdbc;
        this.lots = lots;
        this.changes = changes;
        this.reader = reader;
        this.ledger = ledger;
        this.loosening = loosening;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    /** What was found counts from now on; what a jar was said to hold at first may have been wrong as well. */
    public LotView count(UUID id, CountRequest request, @Nullable String ifMatch) {
        Lot lot = reader.find(id);
        if (once.repeated("count", request.id(), changes::existsById, id, request)) {
            return reader.view(lot);
        }
        // Whoever says that it is as it says must have seen what it says now.
        lot.checkVersion(ifMatch, () -> reader.view(lot));
        String reason = request.reason() == null ? "" : request.reason().strip();
        if (lot.stage != Stage.STOCK && lot.stage != Stage.FILLED) {
            throw new Problem.Conflict("Only what stands on the shelf is counted.");
        }
        if (lot.neverFilled) {
            throw new Problem.Conflict(lot.name + " (" + lot.code + ") was struck out as never filled. What is in it"
                    + " came from somewhere: fill another from its jar, or put it down as what it is.");
        }
        // What was filled out of other jars holds what was filled, as a bottle does.
        boolean open = lot.stage == Stage.STOCK && lot.splitFrom == null && !lot.together;
        double most = open ? MOST_OF_ANYTHING : lot.amount;
        boolean over = open && request.amount() > lot.amount * (1 + SCALE);
        boolean far = Math.abs(request.amount() - lot.remaining) > FAR * lot.amount;
        LocalDate today = people.today();
        Checks.begin()
                .that(
                        request.amount() >= 0 && request.amount() <= most,
                        "amount",
                        open
                                ? "must be at least 0"
                                : "must be at most the " + Words.figure(lot.amount) + " " + lot.unit
                                        + " that went into it")
                .that(
                        !far || !reason.isEmpty(),
                        "reason",
                        "is needed: " + Words.figure(lot.remaining) + " " + lot.unit + " was expected")
                .that(reason.length() <= 300, "reason", "must have at most 300 letters")
                .that(
                        !over || request.more() != null,
                        "more",
                        "must say where it is from: " + Words.figure(lot.amount) + " " + lot.unit + " came into it")
                .that(
                        !request.on().isAfter(today) && !request.on().isBefore(lot.madeOn),
                        "on",
                        "must be from " + Words.day(lot.madeOn) + " until today")
                .done();
        double there = request.amount();
        if (over && request.more() == More.UNKNOWN) {
            surplus(lot, request.amount() - lot.amount, request.on(), reason);
            there = lot.amount;
        } else if (over) {
            double canBe = canBe(lot);
            Checks.begin()
                    .that(
                            request.amount() <= canBe,
                            "amount",
                            "is more than can have come of it: " + Words.figure(canBe) + " " + lot.unit)
                    .done();
            loosening.pass(
                    Loosening.Safeguard.COUNTED_OVER,
                    id,
                    new StrikeRequest(reason, request.second()),
                    Words.figure(lot.amount) + " " + lot.unit + " came into it; counted as "
                            + Words.figure(request.amount()));
        }
        if (there > lot.amount) {
            resize(lot, there);
        }
        ledger.change(request.id(), lot, LotChange.What.COUNTED, there - lot.remaining, request.on(), reason);
        return reader.view(lots.saveAndFlush(lot));
    }

    /** Of what was gathered what was picked, which only loses water; of what was bought a few times what was said. */
    private double canBe(Lot lot) {
        double picked = jdbc.sql("select coalesce(sum(o.amount), 0) from lot_link l join lot o on o.id = l.from_lot"
                        + " where l.to_lot = :lot and l.household_id = :household and o.stage = 'HARVEST'")
                .param("lot", lot.id)
                .param("household", Member.current().householdId())
                .query(Double.class)
                .single();
        return picked > 0 ? picked : lot.herbs.isEmpty() ? MOST_OF_ANYTHING : lot.amount * MOST_TIMES;
    }

    /** What nobody knows the origin of stands apart, and is not for use. */
    private void surplus(Lot of, double amount, LocalDate on, String reason) {
        Lot lot = new Lot(Owned.newId());
        lot.stage = Stage.STOCK;
        lot.form = of.form;
        lot.vessel = of.vessel;
        lot.code = ledger.code("P", on);
        lot.name = of.name + ", of unknown origin";
        lot.unit = of.unit;
        lot.amount = amount;
        lot.madeOn = on;
        lot.place = of.place;
        lot.route = Taxon.Route.EXTERNAL;
        lot.doubt = "found beside " + of.name + " (" + of.code + "); nobody knows where it came from"
                + (reason.isEmpty() ? "" : ": " + reason);
        lot.state = Product.State.QUARANTINED;
        lot.stateReason = lot.doubt;
        lots.save(lot);
        ledger.change(lot, LotChange.What.PUT, amount, of.id, on);
        lots.flush();
    }

    /** What may be put right of a lot without making it another. */
    public LotView details(UUID id, DetailsRequest request, @Nullable String ifMatch) {
        Lot lot = reader.find(id);
        lot.checkVersion(ifMatch, () -> reader.view(lot));
        LocalDate today = people.today();
        // Renamed it is judged as if it came in anew.
        String badName = PoisonWords.wrong(lot.form, request.name(), lot.traits.contains(Trait.DENATURED))
                .or(() -> GraveWords.in(request.name()).map(GraveWords::refused))
                .orElse(null);
        Checks.begin()
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(badName == null, "name", String.valueOf(badName))
                .that(request.place().length() <= 120, "place", "must have at most 120 letters")
                .that(request.supplierLot().length() <= 120, "supplierLot", "must have at most 120 letters")
                .that(within(request.openedOn(), lot, today), "openedOn", "must be from when it was made until today")
                .that(
                        within(request.desiccantOn(), lot, today),
                        "desiccantOn",
                        "must be from when it was made until today")
                .done();
        LocalDate opened = lot.openedOn;
        if (opened != null && (request.openedOn() == null || request.openedOn().isAfter(opened))) {
            loosening.pass(
                    Loosening.Safeguard.OPENED,
                    id,
                    new StrikeRequest(request.reason() == null ? "" : request.reason(), request.second()),
                    "it was noted as opened on " + Words.day(opened));
        }
        lot.name = request.name().strip();
        lot.place = request.place().strip();
        lot.openedOn = request.openedOn();
        lot.supplierLot = request.supplierLot().strip();
        lot.desiccantOn = request.desiccantOn();
        return reader.view(lots.saveAndFlush(lot));
    }

    private static boolean within(@Nullable LocalDate day, Lot lot, LocalDate today) {
        return day == null || !day.isAfter(today) && !day.isBefore(lot.madeOn);
    }

    @Transactional(readOnly = true)
    public List<ChangeView> account(UUID id) {
        reader.find(id);
        return jdbc.sql(ACCOUNT)
                .param("lot", id)
                .param("household", Member.current().householdId())
                .param("most", MOST_LINES)
                .query((row, n) -> {
                    LotChange.What what = LotChange.What.valueOf(row.getString("what"));
                    String struck = row.getString("struck_reason");
                    return new ChangeView(
                            row.getObject("id", UUID.class),
                            what,
                            row.getDouble("delta"),
                            row.getObject("on_day", LocalDate.class),
                            row.getObject("at", java.time.OffsetDateTime.class).toInstant(),
                            row.getString("noted_by"),
                            row.getString("reason"),
                            struck == null && OWN.contains(what),
                            struck,
                            row.getString("struck_by"));
                })
                .list();
    }

    /** It was not so after all: the line stays, drawn through, and what it took is there again. */
    public LotView strike(UUID id, UUID change, StrikeRequest request) {
        Lot lot = reader.find(id);
        String reason = request.checked();
        LotChange line = changes.findById(change)
                .filter(c -> c.lotId.equals(id) && !c.struck())
                .orElseThrow(() -> new Problem.NotFound("line"));
        if (!OWN.contains(line.what)) {
            throw new Problem.Conflict("What went into a batch or a dose is struck out there.");
        }
        double then = lot.remaining - line.delta;
        if (then < -1e-9 || lot.stage == Stage.FILLED && then > lot.amount + 1e-9) {
            throw new Problem.Conflict("What came after it does not go with that; count what is there instead.");
        }
        line.strike(clock.instant(), reason);
        changes.save(line);
        lot.remaining = Math.max(0, then);
        if (lot.stage == Stage.STOCK) {
            held(lot);
        }
        return reader.view(lots.saveAndFlush(lot));
    }

    /** What it was said to hold by a count that was struck out is forgotten: the most its account ever shows counts again. */
    private void held(Lot lot) {
        changes.flush();
        double there = 0;
        double most = 0;
        for (LotChange c : changes.findAllByLotIdOrderByAtAscIdAsc(lot.id)) {
            // What it held at first is not in an account that was begun later.
            if (c.what == LotChange.What.BEFORE) {
                return;
            }
            there += c.delta;
            most = Math.max(most, there);
        }
        if (most > 0 && most < lot.amount) {
            resize(lot, most);
        }
    }

    private static void resize(Lot lot, double amount) {
        double times = amount / lot.amount;
        List<LotHerb> herbs = lot.herbs.stream()
                .map(h -> new LotHerb(h.taxonId(), h.part(), h.driedG() * times))
                .toList();
        lot.herbs.clear();
        lot.herbs.addAll(herbs);
        lot.amount = amount;
    }

    /** Of single plants, from a day on, the most used first. */
    @Transactional(readOnly = true)
    public List<Used> usedSince(LocalDate day) {
        return jdbc.sql(USED)
                .param("household", Member.current().householdId())
                .param("since", day)
                .query(Used.class)
                .list();
    }

    @Transactional(readOnly = true)
    public List<RunningOut> runningOut() {
        LocalDate today = people.today();
        return jdbc
                .sql(RATES)
                .param("household", Member.current().householdId())
                .param("since", today.minusDays(Pace.WINDOW_DAYS))
                .query(Rate.class)
                .list()
                .stream()
                .flatMap(r ->
                        Pace.runningOut(r.leftOver(), r.used(), ChronoUnit.DAYS.between(r.firstOn(), today), r.usedOn())
                                .stream()
                                .map(p -> new RunningOut(
                                        r.lotId(), r.name(), r.unit(), r.leftOver(), p.usedADay(), p.days())))
                .sorted(Comparator.comparingInt(RunningOut::lastsDays))
                .limit(MOST_RUNNING_OUT)
                .toList();
    }
}
