package org.sallowbrook.server.tracing;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What lies above and below a lot, over any depth. Native SQL is not filtered by household, so each step carries it; each step
 * is asked for lot by lot, since of thousands at once the planner reads the whole table.
 */
@Component
class Brook {

    /** Of a lot no more than a trace shows of it. */
    record TracedLot(
            UUID id,
            Long version,
            String code,
            Stage stage,
            LotForm form,
            VesselKind vessel,
            String name,
            String unit,
            Double amount,
            Double remaining,
            @Nullable String holder,
            Product.State state,
            Boolean expired) {}

    /** @param kept whether there is something left of it or it was made after the day asked for */
    record Met(TracedLot lot, boolean above, boolean below, boolean kept) {}

    private static final String DOWN = """
            down(id) as (
                select cast(:lot as uuid)
                union
                select l.to_lot from down r cross join lateral (
                    select to_lot from lot_link where from_lot = r.id and household_id = :household offset 0) l
            )""";

    private static final String UP = """
            up(id) as (
                select cast(:lot as uuid)
                union
                select l.from_lot from up r cross join lateral (
                    select from_lot from lot_link where to_lot = r.id and household_id = :household offset 0) l
            )""";

    private static final String DOWNSTREAM = "with recursive " + DOWN + " select id from down where id <> :lot";

    private static final String UPSTREAM = "with recursive " + UP + " select id from up where id <> :lot";

    // Nothing lies both above and below another, so the two meet at the lot itself alone.
    private static final String BOTH = "with recursive " + DOWN + ", " + UP + """
             select l.*, m.below, l.remaining > 0 or l.made_on >= :since as kept
            from (select id, true as below from down union all select id, false from up where id <> :lot) m
            cross join lateral (
                select id, version, code, stage, form, vessel, name, unit, amount, remaining, holder, state, made_on,
                    best_before < :today or cold_until <= :now as expired
                from lot where id = m.id and household_id = :household offset 0) l""";

    private static final String ABOVE_ALL = """
            with recursive reached(id) as (
                select unnest(cast(:lots as uuid[]))
                union
                select l.from_lot from reached r cross join lateral (
                    select from_lot from lot_link where to_lot = r.id and household_id = :household offset 0) l
            )
            select id from reached""";

    private static final String BETWEEN = """
            select l.from_lot, l.to_lot, l.amount, l.unit from unnest(cast(:lots as uuid[])) f(id) cross join lateral (
                select * from lot_link where from_lot = f.id and household_id = :household offset 0) l
            where l.to_lot = any (cast(:lots as uuid[])) order by l.id""";

    private final JdbcClient jdbc;
    private final PeopleService people;
    private final Clock clock;

    Brook(JdbcClient jdbc, PeopleService people, Clock clock) {
        this.jdbc = jdbc;
        this.people = people;
        this.clock = clock;
    }

    List<UUID> below(UUID lot) {
        return reach(DOWNSTREAM, lot);
    }

    List<UUID> above(UUID lot) {
        return reach(UPSTREAM, lot);
    }

    /** These and all that lies above any of them. */
    Set<UUID> aboveAll(Collection<UUID> lots) {
        return Set.copyOf(jdbc.sql(ABOVE_ALL)
                .param("lots", lots.toArray(UUID[]::new))
                .param("household", Member.current().householdId())
                .query(UUID.class)
                .list());
    }

    /** The lot itself, neither above nor below, and all above and below it; empty where there is no such lot. */
    List<Met> met(UUID lot, LocalDate since) {
        return jdbc.sql(BOTH)
                .param("lot", lot)
                .param("household", Member.current().householdId())
                .param("since", since)
                .param("today", people.today())
                .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                .query((r, n) -> met(r, lot))
                .list();
    }

    List<ShelfService.LinkView> between(Collection<UUID> lots) {
        return jdbc.sql(BETWEEN)
                .param("lots", lots.toArray(UUID[]::new))
                .param("household", Member.current().householdId())
                .query((r, n) -> new ShelfService.LinkView(
                        r.getObject(1, UUID.class), r.getObject(2, UUID.class), r.getDouble(3), r.getString(4)))
                .list();
    }

    private static Met met(ResultSet r, UUID lot) throws SQLException {
        UUID id = r.getObject("id", UUID.class);
        boolean below = r.getBoolean("below");
        return new Met(
                new TracedLot(
                        id,
                        r.getLong("version"),
                        r.getString("code"),
                        Stage.valueOf(r.getString("stage")),
                        LotForm.valueOf(r.getString("form")),
                        VesselKind.valueOf(r.getString("vessel")),
                        r.getString("name"),
                        r.getString("unit"),
                        r.getDouble("amount"),
                        r.getDouble("remaining"),
                        r.getString("holder"),
                        Product.State.valueOf(r.getString("state")),
                        r.getBoolean("expired")),
                !below,
                below && !id.equals(lot),
                r.getBoolean("kept"));
    }

    private List<UUID> reach(String sql, UUID lot) {
        return jdbc.sql(sql)
                .param("lot", lot)
                .param("household", Member.current().householdId())
                .query(UUID.class)
                .list();
    }
}
