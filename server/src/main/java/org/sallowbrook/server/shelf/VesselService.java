package org.sallowbrook.server.shelf;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The household's jars, bottles and tins: taken when something is filled, back when nothing of it is left. */
@Service
@Transactional
public class VesselService {

    static final Set<VesselKind> KEPT = Set.of(VesselKind.JAR, VesselKind.BOTTLE, VesselKind.FLASK, VesselKind.TIN);

    private static final int MOST = 1000;

    public record VesselRequest(UUID id, VesselKind kind, Double capacityMl, Integer count, String note) {}

    public record VesselCountRequest(Integer count) {}

    public record VesselView(
            UUID id,
            Long version,
            VesselKind kind,
            Double capacityMl,
            Integer count,
            Integer inUse,
            Integer free,
            String note) {

        /** Such as "jar of 500 mL". */
        public String words() {
            return Words.lower(kind) + " of " + Words.millilitres(capacityMl);
        }
    }

    private final OwnVessels vessels;
    private final Lots lots;
    private final LotReader reader;
    private final Once once;

    VesselService(OwnVessels vessels, Lots lots, LotReader reader, Once once) {
        this.vessels = vessels;
        this.lots = lots;
        this.reader = reader;
        this.once = once;
    }

    @Transactional(readOnly = true)
    public List<VesselView> all() {
        Map<UUID, Long> used = used();
        return vessels.findAllByOrderByKindAscCapacityMlAsc().stream()
                .map(v -> view(v, used))
                .toList();
    }

    public VesselView add(VesselRequest request) {
        if (once.repeated("vessel", request.id(), vessels::existsById, request)) {
            return one(request.id());
        }
        Checks.begin()
                .that(KEPT.contains(request.kind()), "kind", "must be a jar, a bottle, a flask or a tin")
                .range("capacityMl", request.capacityMl(), 1, 50_000)
                .range("count", request.count(), 1, MOST)
                .that(request.note().length() <= 120, "note", "must have at most 120 letters")
                .done();
        OwnVessel vessel = new OwnVessel(request.id());
        vessel.kind = request.kind();
        vessel.capacityMl = request.capacityMl();
        vessel.count = request.count();
        vessel.note = request.note().strip();
        vessels.saveAndFlush(vessel);
        return one(vessel.id);
    }

    /** More were bought, or some broke; never fewer than are in use. */
    public VesselView count(UUID id, VesselCountRequest request, @Nullable String ifMatch) {
        OwnVessel vessel = find(id);
        vessel.checkVersion(ifMatch, () -> one(id));
        int inUse = one(id).inUse();
        Checks.begin()
                .range("count", request.count(), 0, MOST)
                .that(request.count() >= inUse, "count", "must be at least " + inUse + ", as many as are in use")
                .done();
        vessel.count = request.count();
        vessels.saveAndFlush(vessel);
        return one(id);
    }

    /** They were never there. @throws Problem.Conflict when something stands in one */
    void remove(UUID id) {
        if (one(id).inUse() > 0) {
            throw new Problem.Conflict("Something stands in them.");
        }
        vessels.delete(find(id));
        vessels.flush();
    }

    /** Puts lots into vessels of one size. @throws Problem.Conflict when not so many are free */
    public void use(UUID id, List<UUID> into) {
        VesselView vessel = one(id);
        if (vessel.free() < into.size()) {
            throw new Problem.Conflict("Only " + vessel.free() + " of the " + vessel.count() + " vessels ("
                    + vessel.words() + ") are free.");
        }
        for (Lot lot : lots.findAllById(into)) {
            lot.vesselId = id;
            lot.vesselMl = vessel.capacityMl();
        }
        lots.flush();
    }

    /** Says in which vessel a lot stands, or with null that it is none of these. */
    public void stand(UUID lot, @Nullable UUID vessel, @Nullable String ifMatch) {
        Lot found = reader.find(lot);
        found.checkVersion(ifMatch, () -> reader.view(found));
        found.vesselId = null;
        found.vesselMl = null;
        lots.saveAndFlush(found);
        if (vessel != null) {
            use(vessel, List.of(lot));
        }
    }

    @Transactional(readOnly = true)
    public VesselView one(UUID id) {
        return view(find(id), used());
    }

    private OwnVessel find(UUID id) {
        return vessels.findById(id).orElseThrow(() -> new Problem.NotFound("vessel"));
    }

    private Map<UUID, Long> used() {
        return vessels.inUse().stream().collect(Collectors.toMap(OwnVessels.InUse::vesselId, OwnVessels.InUse::lots));
    }

    private static VesselView view(OwnVessel v, Map<UUID, Long> used) {
        int inUse = used.getOrDefault(v.id, 0L).intValue();
        return new VesselView(
                v.id,
                v.version == null ? 0 : v.version,
                v.kind,
                v.capacityMl,
                v.count,
                inUse,
                Math.max(0, v.count - inUse),
                v.note);
    }
}
