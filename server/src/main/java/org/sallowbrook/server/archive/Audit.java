package org.sallowbrook.server.archive;

import jakarta.persistence.EntityManager;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.archive.Tables.Table;
import org.sallowbrook.server.platform.Member;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who acknowledged, took back, struck out and last changed what, and why: read from the records themselves, by page. */
@Component
class Audit {

    /** What was done. */
    enum Deed {
        /** Went on though something warned, or did what a rule leaves to people. */
        DECIDED,
        STRUCK_OUT,
        /** The last change of something; those before it are not kept. */
        CHANGED
    }

    /**
     * @param what kind of thing, in words
     * @param of its table, by which a page is found; null where it has none of its own
     * @param name what it is called; null where it is gone or bears no name
     * @param reason in the member's own words; empty where none was asked
     */
    record AuditLineView(
            Instant at,
            String by,
            Deed deed,
            String what,
            UUID subjectId,
            @Nullable String of,
            @Nullable String name,
            String code,
            String message,
            String reason) {}

    record AuditView(List<AuditLineView> lines, Boolean more) {}

    private static final int LINES = 50;

    /** Of a row that bears no name, the thing that it belongs to. */
    private static final List<String> OWNERS =
            List.of("lot_id", "batch_id", "course_id", "run_id", "harvest_id", "stand_id", "person_id", "note_id");

    private final EntityManager entities;

    /** Made of the tables as they are, once. */
    private @Nullable String sql;

    Audit(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * @param by a member's name; null for everybody
     * @param of a thing; null for all
     * @param changes whether also when each thing was last changed
     */
    @Transactional(readOnly = true)
    public AuditView read(int page, @Nullable String by, @Nullable UUID of, boolean changes) {
        UUID here = Member.current().householdId();
        return entities.unwrap(Session.class).doReturningWork(db -> {
            List<AuditLineView> lines = new ArrayList<>();
            try (PreparedStatement s = db.prepareStatement("select * from (" + all(db) + ") x where household_id = ?"
                    + (changes ? "" : " and deed <> 'CHANGED'") + (by == null ? "" : " and by = ?")
                    + (of == null ? "" : " and subject = ?")
                    + " order by at desc, subject limit " + (LINES + 1) + " offset " + (long) page * LINES)) {
                int n = 1;
                s.setObject(n++, here);
                if (by != null) {
                    s.setString(n++, by);
                }
                if (of != null) {
                    s.setObject(n, of);
                }
                try (ResultSet r = s.executeQuery()) {
                    while (r.next()) {
                        lines.add(new AuditLineView(
                                r.getObject("at", OffsetDateTime.class).toInstant(),
                                r.getString("by"),
                                Deed.valueOf(r.getString("deed")),
                                r.getString("what"),
                                r.getObject("subject", UUID.class),
                                null,
                                null,
                                r.getString("code"),
                                r.getString("message"),
                                r.getString("reason")));
                    }
                }
            }
            List<AuditLineView> shown = lines.subList(0, Math.min(LINES, lines.size()));
            return new AuditView(named(db, here, shown), lines.size() > LINES);
        });
    }

    private synchronized String all(Connection db) throws SQLException {
        if (sql == null) {
            List<String> parts = new ArrayList<>();
            parts.add(
                    "select household_id, at, member as by, 'DECIDED' as deed, what, subject_id as subject, code, message,"
                            + " reason from audit_entry");
            for (Table table : Tables.ALL) {
                List<String> columns = ColumnOf.of(db, table.name()).stream()
                        .map(ColumnOf::name)
                        .toList();
                String subject = table.label() != null
                        ? "id"
                        : OWNERS.stream().filter(columns::contains).findFirst().orElse("id");
                if (columns.contains("struck_at")) {
                    parts.add(part(table, "struck", Deed.STRUCK_OUT, subject, "coalesce(struck_reason, '')")
                            + " where struck_at is not null");
                }
                if (columns.contains("changed_at")) {
                    parts.add(part(table, "changed", Deed.CHANGED, subject, "''") + " where version > 0");
                }
            }
            sql = String.join(" union all ", parts);
        }
        return sql;
    }

    private static String part(Table table, String done, Deed deed, String subject, String reason) {
        return "select household_id, " + done + "_at, " + done + "_by, '" + deed + "', '" + table.words() + "', "
                + subject + ", '', '', " + reason + " from " + table.name();
    }

    private record Named(String of, String name) {}

    private static List<AuditLineView> named(Connection db, UUID here, List<AuditLineView> lines) throws SQLException {
        Map<UUID, Named> names = new HashMap<>();
        UUID[] ids = lines.stream().map(AuditLineView::subjectId).distinct().toArray(UUID[]::new);
        String sql = Tables.ALL.stream()
                .filter(t -> t.label() != null)
                .map(t -> "select id, '" + t.name() + "', " + t.label() + " from " + t.name()
                        + " where household_id = ? and id = any (?)")
                .collect(Collectors.joining(" union all "));
        try (PreparedStatement s = db.prepareStatement(sql)) {
            int n = 1;
            for (Table t : Tables.ALL) {
                if (t.label() != null) {
                    s.setObject(n++, here);
                    s.setArray(n++, db.createArrayOf("uuid", ids));
                }
            }
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    names.put(r.getObject(1, UUID.class), new Named(r.getString(2), r.getString(3)));
                }
            }
        }
        return lines.stream()
                .map(l -> {
                    Named of = names.get(l.subjectId());
                    return new AuditLineView(
                            l.at(),
                            l.by(),
                            l.deed(),
                            l.what(),
                            l.subjectId(),
                            of == null ? null : of.of(),
                            of == null ? null : of.name(),
                            l.code(),
                            l.message(),
                            l.reason());
                })
                .toList();
    }
}
