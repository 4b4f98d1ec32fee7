package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.server.field.HarvestRecorded;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.herbarium.UsesTaxon;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Codes;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Every lot, what it came from and whether it may be used. */
@Service
@Transactional
public class ShelfService implements UsesTaxon, DueSource {

    /** @param driedG grams of dried herb in the whole lot */
    public record HerbView(String taxonId, String commonName, Taxon.Part part, Double driedG) {}

    public record LotView(
            UUID id,
            Long version,
            String code,
            LotKind kind,
            @Nullable LotForm form,
            String name,
            @Nullable String taxonId,
            Taxon.@Nullable Part part,
            String unit,
            Double amount,
            Double remaining,
            @Nullable Double strengthPercent,
            @Nullable Range moisture,
            @Nullable Range driedGPerUnit,
            List<HerbView> herbs,
            Taxon.Route route,
            Boolean denatured,
            Boolean pyrrolizidine,
            Boolean honey,
            LocalDate madeOn,
            @Nullable LocalDate openedOn,
            @Nullable LocalDate bestBefore,
            Product.State state,
            @Nullable String stateReason,
            Boolean expired,
            String place,
            @Nullable String holder,
            @Nullable String supplier,
            BoughtGate.@Nullable Label label,
            @Nullable String doubt) {

        LotView setAside(String reason) {
            return new LotView(
                    id,
                    version,
                    code,
                    kind,
                    form,
                    name,
                    taxonId,
                    part,
                    unit,
                    amount,
                    remaining,
                    strengthPercent,
                    moisture,
                    driedGPerUnit,
                    herbs,
                    route,
                    denatured,
                    pyrrolizidine,
                    honey,
                    madeOn,
                    openedOn,
                    bestBefore,
                    Product.State.QUARANTINED,
                    reason,
                    expired,
                    place,
                    holder,
                    supplier,
                    label,
                    doubt);
        }
    }

    /** @param strengthPercent for a spirit only */
    public record SupplyRequest(
            UUID id,
            LotKind kind,
            String name,
            Double amount,
            @Nullable Double strengthPercent,
            Boolean denatured,
            Boolean open,
            @Nullable LocalDate bestBefore,
            String place) {}

    /** What the bench puts on the shelf. */
    public record NewLot(
            UUID id,
            LotKind kind,
            LotForm form,
            String name,
            String unit,
            double amount,
            @Nullable Double strengthPercent,
            @Nullable Interval driedGPerUnit,
            List<HerbView> herbs,
            Taxon.Route route,
            boolean pyrrolizidine,
            boolean honey,
            LocalDate madeOn,
            @Nullable LocalDate bestBefore,
            Product.State state,
            @Nullable String stateReason,
            String place) {}

    public record LinkView(UUID from, UUID to, Double amount, String unit) {}

    private static final int MOST_LISTED = 1000;
    private static final int USE_UP_DAYS = 30;

    /** What stands on a shelf, rather than in the field or under way. */
    private static final Set<LotKind> KEPT =
            Set.of(LotKind.JAR, LotKind.SPIRIT, LotKind.OIL, LotKind.WAX, LotKind.FLASK, LotKind.BOTTLE, LotKind.TIN);

    // Native SQL is not filtered by household.
    private static final String IN_THE_HOUSE = """
            select distinct h ->> 'taxonId' from lot, jsonb_array_elements(herbs::jsonb) h
            where household_id = :household and remaining > 0 and state = 'USABLE'
            and (best_before is null or best_before >= :today)""";

    private final JdbcClient jdbc;
    private final Lots lots;
    private final LotLinks links;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final Standing standing;
    private final Once once;
    private final Codes codes;
    private final JsonMapper json;

    ShelfService(
            JdbcClient jdbc,
            Lots lots,
            LotLinks links,
            HerbariumService herbarium,
            PeopleService people,
            Gatekeeper gatekeeper,
            Standing standing,
            Once once,
            Codes codes,
            JsonMapper json) {
        this.jdbc = jdbc;
        this.lots = lots;
        this.links = links;
        this.herbarium = herbarium;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.standing = standing;
        this.once = once;
        this.codes = codes;
        this.json = json;
    }

    /** What is there; what is used up is history. */
    @Transactional(readOnly = true)
    public List<LotView> there() {
        LocalDate today = people.today();
        return lots.findAllByRemainingGreaterThanOrderByMadeOnDescCodeDesc(0, Limit.of(MOST_LISTED)).stream()
                .map(l -> view(l, today))
                .toList();
    }

    /** The stands that something was picked from. */
    @Transactional(readOnly = true)
    public List<LotView> stands() {
        LocalDate today = people.today();
        return lots.findAllByKindOrderByName(LotKind.STAND).stream()
                .map(l -> view(l, today))
                .toList();
    }

    @Transactional(readOnly = true)
    public Past past(int page) {
        return Past.of(
                lots.usedUp(KEPT, Past.page(page)),
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
        for (Lot lot : lots.toSee(KEPT, Product.State.QUARANTINED, span.to().plusDays(USE_UP_DAYS))) {
            LocalDate best = lot.bestBefore;
            boolean aside = lot.state == Product.State.QUARANTINED;
            if (!aside && lot.state == Product.State.DESTROYED) {
                continue;
            }
            boolean expired = best != null && span.today().isAfter(best);
            LocalDate on = aside || best == null || expired ? span.today() : best.minusDays(USE_UP_DAYS);
            if (!span.holds(on)) {
                continue;
            }
            due.add(
                    aside
                            ? new Due(
                                    Due.Kind.SET_ASIDE,
                                    "shelf",
                                    lot.id,
                                    "Set aside " + lot.name
                                            + (lot.holder == null ? "" : " (" + lot.holder + " has it)"),
                                    lot.code + ": " + lot.stateReason,
                                    span.today(),
                                    span.morning(span.today()),
                                    true,
                                    lot.version,
                                    null,
                                    null,
                                    null)
                            : new Due(
                                    Due.Kind.USE_UP,
                                    "shelf",
                                    lot.id,
                                    (expired ? "Past its date: " : "Use up ") + lot.name,
                                    lot.code + ", best before " + (best == null ? "" : Words.day(best)),
                                    best == null ? on : best,
                                    span.morning(on),
                                    expired,
                                    lot.version,
                                    null,
                                    null,
                                    null));
        }
        return due;
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
        return judged(find(id));
    }

    private LotView judged(Lot lot) {
        LotView view = view(lot, people.today());
        if (view.state() != Product.State.USABLE && view.state() != Product.State.HOLD) {
            return view;
        }
        return standing.of(lot.id).stream()
                .filter(f -> !f.code().equals("ON_HOLD"))
                .findFirst()
                .map(f -> view.setAside(f.message()))
                .orElse(view);
    }

    @Transactional(readOnly = true)
    public List<LotView> lots(Collection<UUID> ids) {
        LocalDate today = people.today();
        return lots.findAllById(ids).stream().map(l -> view(l, today)).toList();
    }

    /** Of these, what is not used up, or made in the last so many months. */
    @Transactional(readOnly = true)
    public List<UUID> thereOrMadeWithin(Collection<UUID> ids, int months) {
        return ids.isEmpty()
                ? List.of()
                : lots.thereOrMadeSince(ids, people.today().minusMonths(months));
    }

    /** Every link that touches one of the lots. */
    @Transactional(readOnly = true)
    public List<LinkView> links(Collection<UUID> ids) {
        return links.findAllByFromLotInOrToLotIn(ids, ids).stream()
                .map(l -> new LinkView(l.fromLot, l.toLot, l.amount, l.unit))
                .toList();
    }

    /** A finished lot as the gates see it. */
    @Transactional(readOnly = true)
    public Product product(UUID id) {
        return product(judged(find(id)));
    }

    /** What was in each of these; its state is the lot's own, not judged over its descent. For what is taken already. */
    @Transactional(readOnly = true)
    public Map<UUID, Product> contents(Collection<UUID> ids) {
        return lots(ids).stream().collect(Collectors.toMap(LotView::id, this::product));
    }

    private Product product(LotView view) {
        double dried = view.herbs().stream().mapToDouble(HerbView::driedG).sum();
        return new Product(
                view.name(),
                view.route(),
                view.herbs().stream()
                        .map(h -> new Product.Herb(
                                herbarium.taxon(h.taxonId()), h.part(), dried > 0 ? h.driedG() / dried : 0))
                        .toList(),
                view.driedGPerUnit() == null ? null : view.driedGPerUnit().interval(),
                view.strengthPercent() == null ? Strength.NONE : Strength.ofPercent(view.strengthPercent()),
                view.bestBefore() == null ? LocalDate.MAX : view.bestBefore(),
                view.state(),
                view.honey());
    }

    @EventListener
    void on(HarvestRecorded harvest) {
        if (!lots.existsById(harvest.standId())) {
            Lot stand = new Lot(harvest.standId());
            stand.kind = LotKind.STAND;
            // The end of the id: its beginning is the time and the same for stands entered together.
            stand.code = "S" + harvest.standId().toString().substring(28);
            stand.name = harvest.standName();
            stand.taxonId = harvest.taxonId();
            stand.madeOn = harvest.on();
            lots.save(stand);
        }
        Lot lot = new Lot(harvest.harvestId());
        lot.kind = LotKind.HARVEST;
        lot.code = harvest.code();
        lot.name = herbarium.taxon(harvest.taxonId()).commonName() + ", fresh";
        lot.taxonId = harvest.taxonId();
        lot.part = harvest.part();
        lot.amount = harvest.massG();
        lot.remaining = harvest.massG();
        lot.madeOn = harvest.on();
        lots.save(lot);
        link(harvest.standId(), lot.id, harvest.massG(), "g");
        lots.flush();
    }

    public LotView add(SupplyRequest request) {
        if (once.repeated("supply", request.id(), lots::existsById, request)) {
            return view(find(request.id()), people.today());
        }
        Double strength = request.strengthPercent();
        Checks checks = Checks.begin()
                .that(request.kind().supply(), "kind", "must be SPIRIT, OIL or WAX")
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .range("amount", request.amount(), 0.1, 1_000_000)
                .that(request.place().length() <= 120, "place", "must have at most 120 letters")
                .that(
                        (request.kind() == LotKind.SPIRIT) == (strength != null),
                        "strengthPercent",
                        "is needed for a spirit, and only there");
        if (strength != null) {
            checks.range("strengthPercent", strength, 1, Strength.MOST_PERCENT);
        }
        checks.done();
        LocalDate today = people.today();
        Lot lot = new Lot(request.id());
        lot.kind = request.kind();
        lot.code = code("P", today);
        lot.name = request.name().strip();
        lot.unit = request.kind() == LotKind.WAX ? "g" : "mL";
        lot.amount = request.amount();
        lot.remaining = request.amount();
        lot.strengthPercent = strength;
        lot.denatured = request.denatured();
        lot.route = request.denatured() ? Taxon.Route.EXTERNAL : Taxon.Route.INTERNAL;
        lot.madeOn = today;
        lot.openedOn = request.open() ? today : null;
        lot.bestBefore = request.bestBefore();
        lot.place = request.place().strip();
        return view(lots.saveAndFlush(lot), today);
    }

    /** The constituent classes of every herb in a lot. */
    @Transactional(readOnly = true)
    public Set<Taxon.Constituent> constituents(UUID id) {
        return product(id).herbs().stream()
                .flatMap(h -> h.taxon().constituents().stream())
                .collect(java.util.stream.Collectors.toSet());
    }

    /** Lifts a hold once its reason is gone; a quarantine is not lifted this way, and ageing takes its time. */
    public LotView release(UUID id, String reason, @Nullable String ifMatch) {
        Lot lot = find(id);
        lot.checkVersion(ifMatch, () -> view(lot, people.today()));
        Checks.begin()
                .that(!reason.isBlank(), "reason", "must say what resolved it")
                .done();
        if (lot.state != Product.State.HOLD) {
            throw new Problem.Conflict("This is not on hold.");
        }
        if (lot.heldUntil != null && people.today().isBefore(lot.heldUntil)) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "STILL_AGEING",
                    lot.name + " ages until " + Words.day(lot.heldUntil) + ".",
                    "Wait; nothing but time takes its harshness away.")));
        }
        gatekeeper.record("hold released", id, "HOLD", lot.heldReason + " / " + reason.strip());
        lot.state = Product.State.USABLE;
        lot.stateReason = "released: " + reason.strip();
        lot.heldReason = null;
        return view(lots.saveAndFlush(lot), people.today());
    }

    /** Used up or thrown away: nothing is left. */
    public LotView finish(UUID id, @Nullable String ifMatch) {
        Lot lot = find(id);
        lot.checkVersion(ifMatch, () -> view(lot, people.today()));
        lot.remaining = 0;
        return view(lots.saveAndFlush(lot), people.today());
    }

    /** Records who has it now. */
    public LotView give(UUID id, String holder, @Nullable String ifMatch) {
        Lot lot = find(id);
        lot.checkVersion(ifMatch, () -> view(lot, people.today()));
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
        lot.holder = holder.isBlank() ? null : holder.strip();
        return view(lots.saveAndFlush(lot), people.today());
    }

    /** For the bench: takes some of a lot into another. @throws Problem.Conflict when there is not enough */
    public void take(UUID from, UUID into, double amount, LocalDate on) {
        Lot lot = find(from);
        if (amount > lot.remaining * (1 + 1e-6) + 1e-6) {
            throw new Problem.Conflict(lot.name + " (" + lot.code + ") has only " + Words.figure(lot.remaining) + " "
                    + lot.unit + " left.");
        }
        lot.remaining = Math.max(0, lot.remaining - amount);
        if (lot.openedOn == null) {
            lot.openedOn = on;
        }
        lots.saveAndFlush(lot);
        link(from, into, amount, lot.unit);
    }

    /** For the bench: what came out of the press is what there is to fill. */
    public void pressed(UUID batch, double amount) {
        Lot lot = find(batch);
        lot.amount = amount;
        lot.remaining = amount;
        lots.saveAndFlush(lot);
    }

    /** For the bench: the rest of a batch is gone. */
    public void emptied(UUID batch) {
        Lot lot = find(batch);
        lot.remaining = 0;
        lots.saveAndFlush(lot);
    }

    /** For the bench: what of a pressed batch went into a bottle or tin; what the press gave a little more of counts as gone. */
    public void fill(UUID batch, UUID bottle, double amount) {
        Lot lot = find(batch);
        lot.remaining = Math.max(0, lot.remaining - amount);
        lots.saveAndFlush(lot);
        link(batch, bottle, amount, lot.unit);
    }

    /** For the bench: puts something new on the shelf, with the next free code. */
    public LotView put(NewLot n) {
        Lot lot = new Lot(n.id());
        lot.kind = n.kind();
        lot.form = n.form();
        lot.code = code(prefix(n.kind()), n.madeOn());
        lot.name = n.name();
        lot.unit = n.unit();
        lot.amount = n.amount();
        lot.remaining = n.amount();
        lot.strengthPercent = n.strengthPercent();
        Interval dried = n.driedGPerUnit();
        if (dried != null) {
            lot.driedGPerUnitLow = dried.low();
            lot.driedGPerUnitHigh = dried.high();
        }
        lot.herbs = json.writeValueAsString(n.herbs());
        lot.route = n.route();
        lot.pyrrolizidine = n.pyrrolizidine();
        lot.honey = n.honey();
        lot.madeOn = n.madeOn();
        lot.bestBefore = n.bestBefore();
        lot.state = n.state();
        lot.stateReason = n.stateReason();
        lot.heldReason = n.state() == Product.State.HOLD ? n.stateReason() : null;
        lot.place = n.place();
        return view(lots.saveAndFlush(lot), people.today());
    }

    /** For dosing: what a dose takes out of the bottle, in its own unit; at most what is left. */
    public void pour(UUID id, double amount) {
        Lot lot = find(id);
        lot.remaining = Math.max(0, lot.remaining - amount);
        lots.saveAndFlush(lot);
    }

    /** For tracing: notes why a lot is doubted, or with null that it no longer is. */
    public LotView doubt(UUID id, @Nullable String reason, @Nullable String ifMatch) {
        Lot lot = find(id);
        lot.checkVersion(ifMatch, () -> view(lot, people.today()));
        lot.doubt = reason;
        return view(lots.saveAndFlush(lot), people.today());
    }

    /** For tracing: sets lots aside, for good or until cleared. What was thrown away stays so. */
    public void setAside(Collection<UUID> ids, Product.State state, String reason) {
        for (Lot lot : lots.findAllById(ids)) {
            if (lot.state != Product.State.DESTROYED) {
                lot.state = state;
                lot.stateReason = reason;
            }
        }
        lots.flush();
    }

    /** For tracing: ends a quarantine; a hold that lay beneath it holds again. */
    public void clear(Collection<UUID> ids) {
        for (Lot lot : lots.findAllById(ids)) {
            if (lot.state == Product.State.QUARANTINED) {
                lot.state = lot.heldReason == null ? Product.State.USABLE : Product.State.HOLD;
                lot.stateReason = lot.heldReason;
            }
        }
        lots.flush();
    }

    void link(UUID from, UUID to, double amount, String unit) {
        links.save(new LotLink(Owned.newId(), from, to, amount, unit));
    }

    String code(String prefix, LocalDate on) {
        return codes.next(prefix, on);
    }

    private static String prefix(LotKind kind) {
        return switch (kind) {
            case BATCH -> "M";
            case FLASK -> "F";
            case BOTTLE -> "B";
            case TIN -> "T";
            default -> "P";
        };
    }

    Lot find(UUID id) {
        return lots.findById(id).orElseThrow(() -> new Problem.NotFound("lot"));
    }

    LotView view(Lot l, LocalDate today) {
        return new LotView(
                l.id,
                l.version == null ? 0 : l.version,
                l.code,
                l.kind,
                l.form,
                l.name,
                l.taxonId,
                l.part,
                l.unit,
                l.amount,
                l.remaining,
                l.strengthPercent,
                l.moistureLow == null || l.moistureHigh == null ? null : new Range(l.moistureLow, l.moistureHigh),
                l.driedGPerUnitLow == null || l.driedGPerUnitHigh == null
                        ? null
                        : new Range(l.driedGPerUnitLow, l.driedGPerUnitHigh),
                List.of(json.readValue(l.herbs, HerbView[].class)),
                l.route,
                l.denatured,
                l.pyrrolizidine,
                l.honey,
                l.madeOn,
                l.openedOn,
                l.bestBefore,
                l.state,
                l.stateReason,
                l.bestBefore != null && today.isAfter(l.bestBefore),
                l.place,
                l.holder,
                l.supplier,
                l.label,
                l.doubt);
    }
}
