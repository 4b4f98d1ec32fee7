package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.field.Tag;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Stands, what was made out about them, and what was picked. */
@Service
@Transactional
public class FieldService {

    public record StandRequest(
            UUID id,
            String taxonId,
            String name,
            String place,
            Site.Ground ground,
            Site.Permission permission,
            Site.Plenty plenty,
            Boolean protectedSpecies,
            @Nullable String neighbour) {}

    public record ObservationView(String character, String state) {}

    public record IdentificationRequest(
            UUID id,
            LocalDate on,
            LifeStage stage,
            String region,
            @Nullable Set<LookingCondition> conditions,
            List<ObservationView> observations,
            @Nullable String secondObserver,
            @Nullable String book) {}

    public record IdentificationView(
            UUID id,
            LocalDate on,
            LifeStage stage,
            Identification.Status status,
            @Nullable String taxonId,
            @Nullable String genus,
            List<ObservationView> observations,
            String identifiedBy,
            @Nullable String secondObserver,
            @Nullable String book) {}

    public record StandView(
            UUID id,
            Long version,
            String taxonId,
            String commonName,
            String scientificName,
            String name,
            String place,
            Site.Ground ground,
            Site.Permission permission,
            Site.Plenty plenty,
            Boolean protectedSpecies,
            @Nullable String neighbour,
            Boolean doubted,
            @Nullable String doubtReason,
            @Nullable IdentificationView identification) {}

    public record HarvestRequest(
            UUID id,
            Taxon.Part part,
            LifeStage stage,
            LocalDate on,
            Double massG,
            Double shareTaken,
            String weather,
            List<String> tells,
            Boolean examinedSingly,
            @Nullable UUID tagId,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    /** Nothing saved: what the gates would say. */
    public record HarvestCheck(List<Finding> findings, Double quota, Double sharePicked) {}

    public record HarvestView(
            UUID id,
            UUID standId,
            String standName,
            String place,
            String code,
            String taxonId,
            String commonName,
            Taxon.Part part,
            LocalDate on,
            Double massG,
            Double shareTaken,
            String weather,
            String pickedBy) {}

    private final Stands stands;
    private final StandIdentifications identifications;
    private final Harvests harvests;
    private final Tags tags;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;

    FieldService(
            Stands stands,
            StandIdentifications identifications,
            Harvests harvests,
            Tags tags,
            HerbariumService herbarium,
            PeopleService people,
            Gatekeeper gatekeeper,
            ApplicationEventPublisher events,
            JsonMapper json) {
        this.stands = stands;
        this.identifications = identifications;
        this.harvests = harvests;
        this.tags = tags;
        this.herbarium = herbarium;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.events = events;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public List<StandView> stands() {
        return stands.findAllByOrderByName().stream().map(this::view).toList();
    }

    @Transactional(readOnly = true)
    public StandView stand(UUID id) {
        return view(find(id));
    }

    public StandView add(StandRequest request) {
        Stand stand = stands.findById(request.id()).orElse(null);
        if (stand == null) {
            stand = new Stand(request.id());
            fill(stand, request);
            stand = stands.saveAndFlush(stand);
        }
        return view(stand);
    }

    public StandView change(UUID id, StandRequest request, @Nullable String ifMatch) {
        Stand stand = find(id);
        stand.checkVersion(ifMatch, () -> view(stand));
        if (!stand.taxonId.equals(request.taxonId())
                && !harvests.findAllByStandIdOrderByOnDayDesc(id).isEmpty()) {
            throw new Problem.Conflict("Something was picked here under its present name. Doubt the stand instead.");
        }
        fill(stand, request);
        return view(stands.saveAndFlush(stand));
    }

    private void fill(Stand stand, StandRequest request) {
        herbarium.taxon(request.taxonId());
        Checks.begin()
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(
                        !request.place().isBlank() && request.place().length() <= 120,
                        "place",
                        "must have 1 to 120 letters")
                .that(
                        request.neighbour() == null || request.neighbour().length() <= 120,
                        "neighbour",
                        "must have at most 120 letters")
                .done();
        stand.taxonId = request.taxonId();
        stand.name = request.name().strip();
        stand.place = request.place().strip();
        stand.ground = request.ground();
        stand.permission = request.permission();
        stand.plenty = request.plenty();
        stand.protectedSpecies = request.protectedSpecies();
        stand.neighbour = request.neighbour() == null || request.neighbour().isBlank()
                ? null
                : request.neighbour().strip();
    }

    /** Keeps what was seen; the verdict is reckoned here, never taken from the client. Clears a doubt when CONFIRMED. */
    public IdentificationView identify(UUID standId, IdentificationRequest request) {
        Stand stand = find(standId);
        StandIdentification known = identifications.findById(request.id()).orElse(null);
        if (known != null) {
            return view(known);
        }
        notInFuture(request.on());
        Set<LookingCondition> conditions = request.conditions() == null ? Set.of() : request.conditions();
        Identification.Result result = herbarium
                .identifier()
                .identify(new Identification.Request(
                        request.on().getMonthValue(),
                        request.stage(),
                        request.region(),
                        conditions,
                        request.observations().stream()
                                .map(o -> new Identification.Observation(o.character(), o.state()))
                                .toList(),
                        Set.of()));
        boolean sameTaxon = stand.taxonId.equals(result.verdict().taxon()) || sameGenus(stand, result.verdict());
        StandIdentification saved = new StandIdentification(request.id());
        saved.standId = standId;
        saved.onDay = request.on();
        saved.stage = request.stage();
        saved.status = result.verdict().status() == Identification.Status.CONFIRMED && !sameTaxon
                ? Identification.Status.NOT_YET
                : result.verdict().status();
        saved.taxonId = result.verdict().taxon();
        saved.conditions =
                String.join(",", conditions.stream().map(Enum::name).sorted().toList());
        saved.observations = json.writeValueAsString(request.observations());
        saved.verdict = json.writeValueAsString(result.verdict());
        saved.coreVersion = CoreVersion.CURRENT;
        saved.identifiedBy = Member.current().displayName();
        saved.secondObserver = request.secondObserver();
        saved.book = request.book();
        if (saved.status == Identification.Status.CONFIRMED && stand.doubted) {
            if (request.secondObserver() == null || request.secondObserver().isBlank()) {
                throw new Problem.Refused(List.of(Finding.stop(
                        "SECOND_OBSERVER",
                        "This stand was doubted; one pair of eyes is not enough to clear it.",
                        "Name a second person who looked too.")));
            }
            stand.doubted = false;
            stand.doubtReason = null;
        }
        return view(identifications.saveAndFlush(saved));
    }

    /** Only the genus is certain, and the stand's card says the whole genus serves. */
    private boolean sameGenus(Stand stand, Identification.Verdict verdict) {
        Taxon taxon = herbarium.taxon(stand.taxonId);
        return taxon.genusEnough() && taxon.genus().equals(verdict.genus());
    }

    @Transactional(readOnly = true)
    public List<IdentificationView> identifications(UUID standId) {
        find(standId);
        return identifications.findAllByStandIdOrderByOnDayDescIdDesc(standId).stream()
                .map(this::view)
                .toList();
    }

    /** Runs the gates without saving. */
    @Transactional(readOnly = true)
    public HarvestCheck check(UUID standId, HarvestRequest request) {
        Stand stand = find(standId);
        double picked = picked(stand, request);
        double quota = herbarium
                .taxon(stand.taxonId)
                .usedPart(request.part())
                .map(HarvestGate::quota)
                .orElse(0.0);
        return new HarvestCheck(gate(stand, request), quota, picked);
    }

    public HarvestView harvest(UUID standId, HarvestRequest request) {
        Stand stand = find(standId);
        Harvest known = harvests.findById(request.id()).orElse(null);
        if (known != null) {
            return view(known, stand);
        }
        notInFuture(request.on());
        gatekeeper.pass("harvest", request.id(), gate(stand, request), request.acknowledged());
        Harvest harvest = new Harvest(request.id());
        harvest.standId = standId;
        harvest.taxonId = stand.taxonId;
        harvest.part = request.part();
        harvest.onDay = request.on();
        harvest.massG = request.massG();
        harvest.shareTaken = request.shareTaken();
        harvest.weather = request.weather().strip();
        harvest.tells = json.writeValueAsString(request.tells());
        harvest.examinedSingly = request.examinedSingly();
        harvest.tagId = request.tagId();
        harvest.pickedBy = Member.current().displayName();
        harvest.code = "H" + request.on().format(DateTimeFormatter.ofPattern("yyMMdd")) + "-"
                + (harvests.countByOnDay(request.on()) + 1);
        harvest = harvests.saveAndFlush(harvest);
        events.publishEvent(new HarvestRecorded(
                standId,
                stand.name,
                harvest.id,
                harvest.code,
                harvest.taxonId,
                harvest.part,
                harvest.onDay,
                harvest.massG));
        return view(harvest, stand);
    }

    @Transactional(readOnly = true)
    public List<HarvestView> harvests() {
        return harvests.findAllByOrderByOnDayDescIdDesc().stream()
                .map(h -> view(h, find(h.standId)))
                .toList();
    }

    @Transactional(readOnly = true)
    public HarvestView harvest(UUID id) {
        Harvest harvest = harvests.findById(id).orElseThrow(() -> new Problem.NotFound("harvest"));
        return view(harvest, find(harvest.standId));
    }

    /** Moisture to start from where nothing else is known. */
    @Transactional(readOnly = true)
    public Moisture freshMoisture(UUID harvestId) {
        HarvestView h = harvest(harvestId);
        return org.sallowbrook.core.drying.FreshMoisture.of(herbarium.taxon(h.taxonId()), h.part());
    }

    /** Marks a stand as doubted; nothing is picked there until it is identified again by two people. */
    public StandView doubt(UUID standId, String reason, @Nullable String ifMatch) {
        Stand stand = find(standId);
        stand.checkVersion(ifMatch, () -> view(stand));
        Checks.begin().that(!reason.isBlank(), "reason", "must say why").done();
        stand.doubted = true;
        stand.doubtReason = reason.strip();
        return view(stands.saveAndFlush(stand));
    }

    private List<Finding> gate(Stand stand, HarvestRequest request) {
        Taxon taxon = herbarium.taxon(stand.taxonId);
        StandIdentification newest = identifications
                .findFirstByStandIdOrderByOnDayDescIdDesc(stand.id)
                .orElse(null);
        Set<String> described = new java.util.HashSet<>();
        taxon.characters().forEach(s -> described.add(s.character()));
        Set<String> tells = new java.util.HashSet<>(request.tells());
        tells.retainAll(described);
        List<Finding> findings = new ArrayList<>(HarvestGate.check(new HarvestGate.Request(
                taxon,
                request.part(),
                new HarvestGate.Identity(
                        newest == null ? null : newest.status,
                        stand.doubted,
                        tellable(taxon, request.stage()),
                        tag(stand, request.tagId())),
                stand.site(),
                request.stage(),
                request.on(),
                request.massG(),
                request.shareTaken(),
                picked(stand, request),
                tells,
                request.examinedSingly())));
        return findings;
    }

    /** Whether every dangerous look-alike on the card can be told at this stage. */
    private boolean tellable(Taxon taxon, LifeStage stage) {
        return taxon.lookAlikes().stream()
                .filter(l -> herbarium.taxon(l.taxon()).danger().dangerous())
                .allMatch(l -> l.tellable().contains(stage));
    }

    private @Nullable Tag tag(Stand stand, @Nullable UUID tagId) {
        return tagId == null
                ? null
                : tags.findById(tagId)
                        .filter(t -> t.standId.equals(stand.id))
                        .orElseThrow(() -> new Problem.NotFound("tag"))
                        .toCore();
    }

    /** Already taken of this part in the calendar year, at most all of it. */
    private double picked(Stand stand, HarvestRequest request) {
        LocalDate first = request.on().withDayOfYear(1);
        return Math.min(
                1,
                harvests.sharePicked(
                        stand.id, request.part(), first, first.plusYears(1).minusDays(1)));
    }

    private void notInFuture(LocalDate on) {
        LocalDate today = people.today();
        Checks.begin()
                .that(!on.isAfter(today), "on", "must not be in the future")
                .that(on.isAfter(today.minusYears(20)), "on", "must be within twenty years")
                .done();
    }

    private Stand find(UUID id) {
        return stands.findById(id).orElseThrow(() -> new Problem.NotFound("stand"));
    }

    private StandView view(Stand s) {
        Taxon taxon = herbarium.taxon(s.taxonId);
        return new StandView(
                s.id,
                s.version == null ? 0 : s.version,
                s.taxonId,
                taxon.commonName(),
                taxon.name(),
                s.name,
                s.place,
                s.ground,
                s.permission,
                s.plenty,
                s.protectedSpecies,
                s.neighbour,
                s.doubted,
                s.doubtReason,
                identifications
                        .findFirstByStandIdOrderByOnDayDescIdDesc(s.id)
                        .map(this::view)
                        .orElse(null));
    }

    private IdentificationView view(StandIdentification i) {
        return new IdentificationView(
                i.id,
                i.onDay,
                i.stage,
                i.status,
                i.taxonId,
                genus(i),
                List.of(json.readValue(i.observations, ObservationView[].class)),
                i.identifiedBy,
                i.secondObserver,
                i.book);
    }

    private @Nullable String genus(StandIdentification i) {
        return json.readTree(i.verdict).path("genus").asString(null);
    }

    private HarvestView view(Harvest h, Stand s) {
        return new HarvestView(
                h.id,
                h.standId,
                s.name,
                s.place,
                h.code,
                h.taxonId,
                herbarium.taxon(h.taxonId).commonName(),
                h.part,
                h.onDay,
                h.massG,
                h.shareTaken,
                h.weather,
                h.pickedBy);
    }
}
