package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.core.shelf.JarGate;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.field.HarvestRecorded;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Every lot, what it came from and whether it may be used. */
@Service
@Transactional
public class ShelfService {

    /** @param driedG grams of dried herb in the whole lot */
    public record HerbView(String taxonId, String commonName, Taxon.Part part, Double driedG) {}

    public record LotView(
            UUID id,
            Long version,
            String code,
            LotKind kind,
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
            @Nullable String doubt) {}

    /** @param fromRun the drying lot that goes into the jar, whole */
    public record JarRequest(UUID id, UUID fromRun, LocalDate on, Double massG, String place) {}

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

    /**
     * Dried herb from a shop.
     *
     * @param label what its label vouches for
     * @param harvestedOn when the label tells it; its keeping time and its ageing count from there
     * @param bestBefore of the label
     */
    public record BoughtRequest(
            UUID id,
            String taxonId,
            Taxon.Part part,
            Double massG,
            String supplier,
            BoughtGate.Label label,
            Boolean mouldSeen,
            LocalDate on,
            @Nullable LocalDate harvestedOn,
            @Nullable LocalDate bestBefore,
            String place) {}

    /** What the bench puts on the shelf. */
    public record NewLot(
            UUID id,
            LotKind kind,
            String name,
            String unit,
            double amount,
            @Nullable Double strengthPercent,
            @Nullable Interval driedGPerUnit,
            List<HerbView> herbs,
            Taxon.Route route,
            boolean pyrrolizidine,
            LocalDate madeOn,
            @Nullable LocalDate bestBefore,
            Product.State state,
            @Nullable String stateReason,
            String place) {}

    public record LinkView(UUID from, UUID to, Double amount, String unit) {}

    /** Wet basis; what a shop's dried herb holds. */
    private static final Interval SHOP_MOISTURE = Interval.of(0.08, 0.12);

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyMMdd");

    private final Lots lots;
    private final LotLinks links;
    private final DryingService drying;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final JsonMapper json;

    ShelfService(
            Lots lots,
            LotLinks links,
            DryingService drying,
            HerbariumService herbarium,
            PeopleService people,
            Gatekeeper gatekeeper,
            JsonMapper json) {
        this.lots = lots;
        this.links = links;
        this.drying = drying;
        this.herbarium = herbarium;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public List<LotView> all() {
        LocalDate today = people.today();
        return lots.findAllByOrderByMadeOnDescCodeDesc().stream()
                .map(l -> view(l, today))
                .toList();
    }

    /** Plants of which something usable is left. */
    @Transactional(readOnly = true)
    public Set<String> taxaInTheHouse() {
        return lots.taxaLeft();
    }

    @Transactional(readOnly = true)
    public LotView lot(UUID id) {
        return view(find(id), people.today());
    }

    @Transactional(readOnly = true)
    public List<LotView> lots(Collection<UUID> ids) {
        LocalDate today = people.today();
        return lots.findAllById(ids).stream().map(l -> view(l, today)).toList();
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
        Lot lot = find(id);
        LotView view = view(lot, people.today());
        double dried = view.herbs().stream().mapToDouble(HerbView::driedG).sum();
        return new Product(
                lot.name,
                lot.route,
                view.herbs().stream()
                        .map(h -> new Product.Herb(
                                herbarium.taxon(h.taxonId()), h.part(), dried > 0 ? h.driedG() / dried : 0))
                        .toList(),
                view.driedGPerUnit() == null ? null : view.driedGPerUnit().interval(),
                lot.strengthPercent == null ? Strength.NONE : Strength.ofPercent(lot.strengthPercent),
                lot.bestBefore == null ? LocalDate.MAX : lot.bestBefore,
                lot.state,
                false);
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

    /** What the jar gate says of a drying lot; empty when it may go in. */
    @Transactional(readOnly = true)
    public List<Finding> jarFindings(UUID runId) {
        DryingService.RunView run = drying.one(runId);
        List<Finding> findings = new java.util.ArrayList<>(JarGate.check(drying.reckoning(runId), run.mouldSeen()));
        Lot harvest = find(run.harvestId());
        if (harvest.state == Product.State.QUARANTINED) {
            findings.add(Finding.stop(
                    "QUARANTINED",
                    harvest.stateReason == null ? "What it came from is doubted." : harvest.stateReason,
                    "Clear the doubt first, or throw it away."));
        }
        return findings;
    }

    /** Gates damp, mould and quarantine, then moves the whole drying lot into a jar. */
    public LotView jar(JarRequest request) {
        Lot known = lots.findById(request.id()).orElse(null);
        if (known != null) {
            return view(known, people.today());
        }
        DryingService.RunView run = drying.one(request.fromRun());
        List<Finding> findings = jarFindings(request.fromRun());
        if (!findings.isEmpty()) {
            throw new Problem.Refused(findings);
        }
        Drying.Result dry = drying.reckoning(request.fromRun());
        Interval moisture = dry.moistureNow();
        if (moisture == null) {
            throw new Problem.Conflict("Its moisture can't be reckoned from the weights.");
        }
        double lastG = run.weighings().isEmpty()
                ? run.freshG()
                : run.weighings().get(run.weighings().size() - 1).massG();
        Checks.begin()
                .positive("massG", request.massG())
                .that(request.massG() <= lastG * 1.05, "massG", "must not be more than was last weighed on the rack")
                .that(!request.on().isAfter(people.today()), "on", "must not be in the future")
                .that(request.place().length() <= 120, "place", "must have at most 120 letters")
                .done();
        Taxon taxon = herbarium.taxon(run.taxonId());
        Taxon.UsedPart part = taxon.usedPart(run.part()).orElseThrow(() -> new Problem.NotFound("part on the card"));
        // Judged dry by constant weight and test: the reckoned range may still reach above what dry herb can hold.
        Interval dryMoisture = Interval.of(moisture.low(), Math.max(moisture.low(), Math.min(moisture.high(), 0.12)));
        Lot jar = jarOf(request.id(), taxon, part, request.massG(), dryMoisture, request.on(), request.on());
        jar.place = request.place().strip();
        lots.saveAndFlush(jar);
        Lot harvest = find(run.harvestId());
        harvest.remaining = 0;
        lots.save(harvest);
        link(harvest.id, jar.id, request.massG(), "g");
        drying.jarred(run.id());
        links.flush();
        return view(jar, people.today());
    }

    /** Gates what the label vouches for, then puts herb from a shop into a jar, on hold where it is doubtful. */
    public LotView buy(BoughtRequest request) {
        Lot known = lots.findById(request.id()).orElse(null);
        if (known != null) {
            return view(known, people.today());
        }
        LocalDate today = people.today();
        LocalDate harvestedOn = request.harvestedOn();
        Checks.begin()
                .range("massG", request.massG(), 0.1, 100_000)
                .that(
                        !request.supplier().isBlank() && request.supplier().length() <= 120,
                        "supplier",
                        "must have 1 to 120 letters")
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(
                        harvestedOn == null || !harvestedOn.isAfter(request.on()),
                        "harvestedOn",
                        "must not be after the day it was bought")
                .that(request.place().length() <= 120, "place", "must have at most 120 letters")
                .done();
        Taxon taxon = herbarium.taxon(request.taxonId());
        List<Finding> findings = BoughtGate.check(
                taxon,
                request.part(),
                taxon.lookAlikes().stream().map(l -> herbarium.taxon(l.taxon())).toList(),
                request.label(),
                request.mouldSeen());
        List<Finding> stops =
                findings.stream().filter(f -> f.severity() == Severity.STOP).toList();
        if (!stops.isEmpty()) {
            throw new Problem.Refused(stops);
        }
        Taxon.UsedPart part =
                taxon.usedPart(request.part()).orElseThrow(() -> new Problem.NotFound("part on the card"));
        Lot jar = jarOf(
                request.id(),
                taxon,
                part,
                request.massG(),
                SHOP_MOISTURE,
                request.on(),
                harvestedOn == null ? request.on() : harvestedOn);
        jar.supplier = request.supplier().strip();
        jar.label = request.label();
        jar.place = request.place().strip();
        if (request.bestBefore() != null
                && (jar.bestBefore == null || request.bestBefore().isBefore(jar.bestBefore))) {
            jar.bestBefore = request.bestBefore();
        }
        findings.stream().filter(f -> f.severity() == Severity.HOLD).findFirst().ifPresent(f -> {
            jar.state = Product.State.HOLD;
            String held = f.message() + " " + f.action();
            jar.stateReason = jar.stateReason == null ? held : held + " " + jar.stateReason;
            jar.heldReason = jar.stateReason;
        });
        return view(lots.saveAndFlush(jar), today);
    }

    /** @param harvestedOn its keeping time and its ageing count from there */
    private Lot jarOf(
            UUID id,
            Taxon taxon,
            Taxon.UsedPart part,
            double massG,
            Interval moisture,
            LocalDate on,
            LocalDate harvestedOn) {
        Lot jar = new Lot(id);
        jar.kind = LotKind.JAR;
        jar.code = code("J", on);
        jar.name = taxon.commonName() + ", "
                + part.part().name().toLowerCase(Locale.ROOT).replace('_', ' ');
        jar.taxonId = taxon.id();
        jar.part = part.part();
        jar.amount = massG;
        jar.remaining = massG;
        jar.moistureLow = moisture.low();
        jar.moistureHigh = moisture.high();
        jar.driedGPerUnitLow = (1 - jar.moistureHigh) / 0.90;
        jar.driedGPerUnitHigh = (1 - jar.moistureLow) / 0.90;
        jar.herbs = json.writeValueAsString(List.of(new HerbView(taxon.id(), taxon.commonName(), part.part(), massG)));
        jar.pyrrolizidine = taxon.constituents().contains(Taxon.Constituent.PYRROLIZIDINE);
        jar.route = part.routes().contains(Taxon.Route.INTERNAL) && !jar.pyrrolizidine
                ? Taxon.Route.INTERNAL
                : Taxon.Route.EXTERNAL;
        jar.madeOn = harvestedOn;
        jar.bestBefore = Keeping.reckon(Keeping.Request.of(keepingForm(part), harvestedOn, List.of()))
                .bestBefore();
        LocalDate release = Keeping.releasedOn(harvestedOn, part.ageingMonths());
        if (release.isAfter(people.today())) {
            jar.state = Product.State.HOLD;
            jar.stateReason = "It ages until " + release + "; fresh it is too harsh.";
            jar.heldReason = jar.stateReason;
            jar.heldUntil = release;
        }
        return jar;
    }

    public LotView add(SupplyRequest request) {
        Lot known = lots.findById(request.id()).orElse(null);
        if (known != null) {
            return view(known, people.today());
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
                    lot.name + " ages until " + lot.heldUntil + ".",
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
        if (lot.state != Product.State.USABLE) {
            throw new Problem.Refused(List.of(
                    Finding.stop(lot.state.name(), lot.name + " is not usable.", "Do not give it to anybody.")));
        }
        lot.holder = holder.isBlank() ? null : holder.strip();
        return view(lots.saveAndFlush(lot), people.today());
    }

    /** For the bench: takes some of a lot into another. @throws Problem.Conflict when there is not enough */
    public void take(UUID from, UUID into, double amount, LocalDate on) {
        Lot lot = find(from);
        if (amount > lot.remaining * (1 + 1e-6) + 1e-6) {
            throw new Problem.Conflict(lot.name + " (" + lot.code + ") has only "
                    + org.sallowbrook.core.measure.Words.figure(lot.remaining) + " " + lot.unit + " left.");
        }
        lot.remaining = Math.max(0, lot.remaining - amount);
        if (lot.openedOn == null) {
            lot.openedOn = on;
        }
        lots.saveAndFlush(lot);
        link(from, into, amount, lot.unit);
    }

    /** For the bench: records what of a pressed batch went into a bottle or tin. */
    public void fill(UUID batch, UUID bottle, double amount) {
        Lot lot = find(batch);
        link(batch, bottle, amount, lot.unit);
    }

    /** For the bench: puts something new on the shelf, with the next free code. */
    public LotView put(NewLot n) {
        Lot lot = new Lot(n.id());
        lot.kind = n.kind();
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
        lot.madeOn = n.madeOn();
        lot.bestBefore = n.bestBefore();
        lot.state = n.state();
        lot.stateReason = n.stateReason();
        lot.heldReason = n.state() == Product.State.HOLD ? n.stateReason() : null;
        lot.place = n.place();
        return view(lots.saveAndFlush(lot), people.today());
    }

    /** For dosing: what a dose takes out of the bottle; at most what is left. */
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

    private void link(UUID from, UUID to, double amount, String unit) {
        links.save(new LotLink(Owned.newId(), from, to, amount, unit));
    }

    private String code(String prefix, LocalDate on) {
        String start = prefix + on.format(DAY) + "-";
        return start + (lots.countByCodeStartingWith(start) + 1);
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

    private static Keeping.Form keepingForm(Taxon.UsedPart part) {
        return switch (part.part()) {
            case ROOT -> Keeping.Form.ROOT;
            case BARK -> Keeping.Form.BARK;
            case FLOWER, FLOWER_HEAD -> Keeping.Form.FLOWER;
            case LEAF -> part.aromatic() ? Keeping.Form.AROMATIC_LEAF : Keeping.Form.LEAF;
            case TOPS, HERB, SHOOT, THALLUS, FRUIT_BODY -> Keeping.Form.HERB;
            case FRUIT -> Keeping.Form.DRIED_FRUIT;
            case SEED -> Keeping.Form.SEED;
        };
    }

    private Lot find(UUID id) {
        return lots.findById(id).orElseThrow(() -> new Problem.NotFound("lot"));
    }

    private LotView view(Lot l, LocalDate today) {
        return new LotView(
                l.id,
                l.version == null ? 0 : l.version,
                l.code,
                l.kind,
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
