package org.sallowbrook.server.tracing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.server.drying.LotMoulded;
import org.sallowbrook.server.field.FieldService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.shelf.LotKind;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Follows lots up and down the brook, and sets quarantine along it. */
@Service
@Transactional
public class TracingService {

    public record TraceView(
            UUID lotId,
            List<ShelfService.LotView> lots,
            List<ShelfService.LinkView> links,
            List<UUID> upstream,
            List<UUID> downstream) {}

    public record Quarantined(FieldService.StandView stand, List<ShelfService.LotView> lots) {}

    // Native SQL is not filtered by household, so each step carries it.
    private static final String DOWNSTREAM = """
            with recursive reached(id) as (
                select cast(:lot as uuid)
                union
                select l.to_lot from lot_link l join reached r on l.from_lot = r.id
                where l.household_id = :household
            )
            select id from reached where id <> :lot""";

    private static final String UPSTREAM = """
            with recursive reached(id) as (
                select cast(:lot as uuid)
                union
                select l.from_lot from lot_link l join reached r on l.to_lot = r.id
                where l.household_id = :household
            )
            select id from reached where id <> :lot""";

    private final JdbcClient jdbc;
    private final ShelfService shelf;
    private final FieldService field;

    TracingService(JdbcClient jdbc, ShelfService shelf, FieldService field) {
        this.jdbc = jdbc;
        this.shelf = shelf;
        this.field = field;
    }

    @Transactional(readOnly = true)
    public TraceView trace(UUID lotId) {
        ShelfService.LotView lot = shelf.lot(lotId);
        List<UUID> up = reach(UPSTREAM, lotId);
        List<UUID> down = reach(DOWNSTREAM, lotId);
        Set<UUID> all = new HashSet<>(up);
        all.addAll(down);
        all.add(lotId);
        List<ShelfService.LotView> lots = new ArrayList<>(shelf.lots(all));
        lots.sort(java.util.Comparator.comparing(ShelfService.LotView::kind).thenComparing(ShelfService.LotView::code));
        return new TraceView(
                lot.id(),
                lots,
                shelf.links(all).stream()
                        .filter(l -> all.contains(l.from()) && all.contains(l.to()))
                        .toList(),
                up,
                down);
    }

    /** Doubts a stand and quarantines everything made from it, in one transaction. */
    public Quarantined doubt(UUID standId, String reason, @Nullable String ifMatch) {
        FieldService.StandView stand = field.doubt(standId, reason, ifMatch);
        List<UUID> down = reach(DOWNSTREAM, standId);
        shelf.setAside(down, Product.State.QUARANTINED, stand.name() + " is doubted: " + reason.strip());
        return new Quarantined(stand, shelf.lots(down));
    }

    /** Lifts the quarantine of what comes from stands that are all certain again. */
    public Quarantined clear(UUID standId) {
        FieldService.StandView stand = field.stand(standId);
        if (stand.doubted()) {
            throw new Problem.Conflict("The stand is still doubted. Identify it again first, with a second person.");
        }
        List<UUID> certain = new ArrayList<>();
        for (ShelfService.LotView lot : shelf.lots(reach(DOWNSTREAM, standId))) {
            // Mould anywhere upstream is never cleared: nothing takes its poison away.
            boolean clean = lot.state() == Product.State.QUARANTINED
                    && shelf.lots(reach(UPSTREAM, lot.id())).stream()
                            .noneMatch(l -> l.state() == Product.State.DESTROYED
                                    || l.kind() == LotKind.STAND
                                            && field.stand(l.id()).doubted());
            if (clean) {
                certain.add(lot.id());
            }
        }
        shelf.clear(certain);
        return new Quarantined(stand, shelf.lots(certain));
    }

    /** Mould: the harvest itself is destroyed, whatever was made of it is set aside. */
    @EventListener
    void on(LotMoulded moulded) {
        shelf.setAside(List.of(moulded.harvestId()), Product.State.DESTROYED, "mould on the rack");
        shelf.setAside(reach(DOWNSTREAM, moulded.harvestId()), Product.State.QUARANTINED, "mould in " + moulded.code());
    }

    private List<UUID> reach(String sql, UUID lotId) {
        return jdbc.sql(sql)
                .param("lot", lotId)
                .param("household", Member.current().householdId())
                .query(UUID.class)
                .list();
    }
}
