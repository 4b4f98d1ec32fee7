package org.sallowbrook.server.shelf;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.core.shelf.JarGate;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.drying.HarvestRacked;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What dried herb must pass to get into a jar: from the rack, or from a shop. */
@Service
@Transactional
public class JarService {

    /**
     * @param fromRun the drying lot that goes into the jar, whole
     * @param massG null where nothing was weighed and it was judged dry by touch: then what it must weigh at the least counts
     */
    public record JarRequest(
            UUID id, UUID fromRun, LocalDate on, @Nullable Double massG, String place) {}

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

    /** Wet basis; what a shop's dried herb holds. */
    private final Lots lots;

    private final LotReader reader;
    private final Ledger ledger;
    private final Standing standing;
    private final Once once;
    private final DryingService drying;
    private final HerbariumService herbarium;
    private final PeopleService people;

    JarService(
            Lots lots,
            LotReader reader,
            Ledger ledger,
            Standing standing,
            Once once,
            DryingService drying,
            HerbariumService herbarium,
            PeopleService people) {
        this.lots = lots;
        this.reader = reader;
        this.ledger = ledger;
        this.standing = standing;
        this.once = once;
        this.drying = drying;
        this.herbarium = herbarium;
        this.people = people;
    }

    @EventListener
    void on(HarvestRacked racked) {
        Lot harvest = reader.find(racked.harvestId());
        harvest.racked = true;
        lots.saveAndFlush(harvest);
    }

    /** What the jar gate says of a drying lot; empty when it may go in. */
    @Transactional(readOnly = true)
    public List<Finding> jarFindings(UUID runId) {
        DryingService.RunView run = drying.one(runId);
        List<Finding> findings = new ArrayList<>(JarGate.check(drying.reckoning(runId), run.mouldSeen()));
        findings.addAll(standing.whyNot(run.harvestId()));
        return findings;
    }

    /** Gates damp, mould and quarantine, then moves the whole drying lot into a jar. */
    public LotView jar(JarRequest request) {
        if (once.repeated("jar", request.id(), lots::existsById, request)) {
            return reader.view(reader.find(request.id()));
        }
        DryingService.RunView run = drying.one(request.fromRun());
        if (run.status().equals("JARRED")) {
            throw new Problem.Conflict("This lot is in its jar already.");
        }
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
        Instant last = run.weighings().isEmpty()
                ? run.startedAt()
                : run.weighings().get(run.weighings().size() - 1).at();
        LocalDate lastOn = last.atZone(people.zone()).toLocalDate();
        Double weighedG = request.massG();
        Checks.begin()
                .that(weighedG != null || dry.byTestAlone(), "massG", "is needed")
                .that(
                        weighedG == null || weighedG >= Checks.SMALLEST && weighedG <= lastG * 1.05,
                        "massG",
                        "must be above 0 and not more than was last weighed on the rack")
                .that(!request.on().isAfter(people.today()), "on", "must not be in the future")
                .that(
                        !request.on().isBefore(lastOn),
                        "on",
                        "must not be before it was last weighed, " + Words.day(lastOn))
                .that(request.place().length() <= 120, "place", "must have at most 120 letters")
                .done();
        Taxon taxon = herbarium.taxon(run.taxonId());
        Taxon.UsedPart part = taxon.usedPart(run.part()).orElseThrow(() -> new Problem.NotFound("part on the card"));
        // Judged dry by constant weight and test: the reckoned range may still reach above what dry herb can hold.
        Interval dryMoisture = dry.byTestAlone()
                ? moisture
                : Interval.of(moisture.low(), Math.max(moisture.low(), Math.min(moisture.high(), 0.12)));
        double massG = weighedG == null ? run.advice().leastDriedG() : weighedG;
        Lot jar = jarOf(request.id(), taxon, part, massG, dryMoisture, request.on(), request.on());
        jar.place = request.place().strip();
        lots.save(jar);
        ledger.change(jar, LotChange.What.PUT, massG, null, request.on());
        lots.saveAndFlush(jar);
        Lot harvest = reader.find(run.harvestId());
        ledger.change(harvest, LotChange.What.DRIED, -harvest.remaining, jar.id, request.on());
        lots.save(harvest);
        ledger.link(harvest.id, jar.id, Amount.of(massG, Unit.G));
        drying.jarred(run.id());
        lots.flush();
        return reader.view(jar);
    }

    /** Gates what the label vouches for, then puts herb from a shop into a jar, on hold where it is doubtful. */
    public LotView buy(BoughtRequest request) {
        if (once.repeated("bought", request.id(), lots::existsById, request)) {
            return reader.view(reader.find(request.id()));
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
                Moisture.OF_DRIED_HERB.asInterval(),
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
        lots.save(jar);
        ledger.change(jar, LotChange.What.PUT, request.massG(), null, request.on());
        return reader.view(lots.saveAndFlush(jar));
    }

    /** What came with a list that is taken back. @throws Problem.Conflict where something was done with it since */
    void takeBack(UUID id) {
        Lot lot = reader.find(id);
        if (!ledger.untouched(lot)) {
            throw new Problem.Conflict("Something of it was used since.");
        }
        ledger.struck(lot, "the list it came with was taken back");
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
        jar.code = ledger.code("J", on);
        jar.name = taxon.commonName() + ", "
                + part.part().name().toLowerCase(Locale.ROOT).replace('_', ' ');
        jar.taxonId = taxon.id();
        jar.part = part.part();
        jar.amount = massG;
        jar.moistureLow = moisture.low();
        jar.moistureHigh = moisture.high();
        Interval dried = Moisture.of(moisture.low(), moisture.high()).driedGPerG();
        jar.driedGPerUnitLow = dried.low();
        jar.driedGPerUnitHigh = dried.high();
        jar.herbs.add(new LotHerb(taxon.id(), part.part(), massG));
        jar.of(taxon, part.part());
        jar.madeOn = harvestedOn;
        jar.bestBefore = Keeping.reckon(Keeping.Request.of(
                        Keeping.Form.dried(part.part(), part.drying().aromatic()), harvestedOn, List.of()))
                .bestBefore();
        LocalDate release = Keeping.releasedOn(harvestedOn, part.keeping().ageingMonths());
        if (release.isAfter(people.today())) {
            jar.state = Product.State.HOLD;
            jar.stateReason = "It ages until " + Words.day(release) + "; fresh it is too harsh.";
            jar.heldReason = jar.stateReason;
            jar.heldUntil = release;
        }
        return jar;
    }
}
