package org.sallowbrook.server.archive;

import java.io.IOException;
import java.sql.Array;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Savepoint;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.archive.Tables.Table;
import org.sallowbrook.server.platform.ReadIn;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * An archive laid into tables that only this connection sees and that are gone when its transaction ends: made by the migrations
 * up to the archive's own version, filled, and brought along by the rest, as the database itself was. Then each row is held
 * against what is in the household.
 */
final class Scratch {

    /** What becomes of a row: null where it comes, else one of these. */
    enum Fate {
        /** Here already, and the same. */
        SAME,
        /** Here already, and otherwise; what is here stays. */
        DIFFERS,
        /** Belongs to something that is here already, or that does not come. */
        HANGS,
        /** Something else here has its number or name. */
        CLASH
    }

    private static final int CHUNK = 500;

    /** These tell of harm: they come though the person is here already. */
    private static final Set<String> TIGHTENS = Set.of("reaction", "contact");

    /** What is shared by all, so that to belong to it makes nothing a part of it. */
    private static final Set<String> SHARED = Set.of("household", "account", "vessel");

    /** Columns that name plants, one or several parted by commas. */
    private static final Set<String> PLANTS = Set.of("taxon_id", "for_taxon", "taxa");

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private record Reference(String from, String column, String to) {}

    private final Connection db;
    private final UUID household;
    private final ArchiveFile file;
    private final Migrations migrations;
    private final JsonMapper json;
    private final String home;
    private final Progress.Work work;

    Scratch(Connection db, UUID household, ArchiveFile file, Migrations migrations, JsonMapper json, Progress.Work work)
            throws SQLException {
        this.work = work;
        this.db = db;
        this.household = household;
        this.file = file;
        this.migrations = migrations;
        this.json = json;
        this.home = one("select current_schema()");
    }

    /** @param ids what each id of the archive is here; those it does not name stay */
    void fill(Map<UUID, UUID> ids, boolean withPictures) throws SQLException, IOException {
        List<String> before = migrations.upTo(file.head().schema());
        if (before.isEmpty()) {
            throw ArchiveFile.refused("was made by a later version of Sallowbrook; update this one first");
        }
        run("set local search_path to pg_temp");
        for (String script : before) {
            run(script);
        }
        String deferred =
                one("select string_agg(format('alter table %I alter constraint %I deferrable initially deferred',"
                        + " conrelid::regclass::text, conname), ';') from pg_constraint"
                        + " where contype = 'f' and connamespace = pg_my_temp_schema()");
        if (deferred != null) {
            run(deferred);
        }
        household();
        for (Table table : Tables.ALL) {
            if (file.has(table) && one("select to_regclass('" + table.name() + "')") != null) {
                rows(table, ids, withPictures);
            }
        }
        attempt("set constraints all immediate", "refers to something that is not in it");
        for (String script : migrations.from(file.head().schema())) {
            attempt(script, "can't be brought to this version");
        }
        run("set local search_path to " + home + ", pg_temp");
    }

    private void household() throws SQLException {
        try (PreparedStatement s = db.prepareStatement(
                "insert into household (id, name, zone, created_at) values (?, '', 'Etc/UTC', now())")) {
            s.setObject(1, household);
            s.execute();
        }
    }

    private void rows(Table table, Map<UUID, UUID> ids, boolean withPictures) throws SQLException, IOException {
        List<ColumnOf> all = ColumnOf.of(db, table.name());
        boolean owned = all.stream().anyMatch(c -> c.name().equals("household_id"));
        List<ColumnOf> columns = all.stream()
                .filter(c -> !c.name().equals("household_id") && !table.left().contains(c.name()))
                .toList();
        Set<String> names = columns.stream().map(ColumnOf::name).collect(Collectors.toSet());
        for (String stays : table.left()) {
            if (!all.stream().filter(c -> c.name().equals(stays)).allMatch(ColumnOf::nullable)) {
                run("alter table " + table.name() + " alter column " + stays + " drop not null");
            }
        }
        String inserted = names.stream().collect(Collectors.joining(", ")) + (owned ? ", household_id" : "");
        String insert = "insert into " + table.name() + " (" + inserted + ") select " + inserted
                + " from jsonb_populate_recordset(null::" + table.name() + ", ?::jsonb)";
        List<ObjectNode> chunk = new ArrayList<>();
        int[] first = {1};
        file.rows(table, (row, line) -> {
            check(table, columns, names, row, line);
            work.done(1);
            if (owned) {
                row.put("household_id", household.toString());
            }
            chunk.add(row);
            if (chunk.size() == CHUNK) {
                insert(table, insert, chunk, first[0], ids);
                chunk.clear();
                first[0] = line + 1;
            }
        });
        insert(table, insert, chunk, first[0], ids);
        if (table.picture()) {
            pictures(table, ids, withPictures);
        }
    }

    private static void check(Table table, List<ColumnOf> columns, Set<String> names, ObjectNode row, int line) {
        String where = "tables/" + table.name() + ".json row " + line + ": ";
        for (String name : row.propertyNames()) {
            if (!names.contains(name)) {
                throw ArchiveFile.refused(where + "nobody knows what " + name + " is");
            }
        }
        for (ColumnOf column : columns) {
            String wrong = column.wrong(row.get(column.name()));
            if (wrong != null) {
                throw ArchiveFile.refused(where + column.name() + " " + wrong);
            }
        }
    }

    private void insert(Table table, String insert, List<ObjectNode> rows, int first, Map<UUID, UUID> ids) {
        if (rows.isEmpty()) {
            return;
        }
        try {
            Savepoint before = db.setSavepoint();
            if (tried(insert, rows, before, ids) == null) {
                return;
            }
            for (int i = 0; i < rows.size(); i++) {
                String wrong = tried(insert, rows.subList(i, i + 1), before = db.setSavepoint(), ids);
                if (wrong != null) {
                    throw ArchiveFile.refused("tables/" + table.name() + ".json row " + (first + i) + ": " + wrong);
                }
            }
        } catch (SQLException e) {
            throw new IllegalStateException("reading an archive", e);
        }
    }

    /** @return what is wrong, as the database says it; null where they are in */
    private @Nullable String tried(String insert, List<ObjectNode> rows, Savepoint before, Map<UUID, UUID> ids)
            throws SQLException {
        String written = mapped(json.writeValueAsString(rows), ids);
        try (PreparedStatement s = db.prepareStatement(insert)) {
            s.setString(1, written);
            s.execute();
            db.releaseSavepoint(before);
            return null;
        } catch (SQLException e) {
            if (!ofTheData(e)) {
                throw e;
            }
            db.rollback(before);
            return firstLine(e);
        }
    }

    private static String mapped(String text, Map<UUID, UUID> ids) {
        return ids.isEmpty()
                ? text
                : ID.matcher(text).replaceAll(m -> {
                    UUID old = UUID.fromString(m.group());
                    return ids.getOrDefault(old, old).toString();
                });
    }

    private void pictures(Table table, Map<UUID, UUID> ids, boolean withPictures) throws SQLException, IOException {
        List<String> pictures = new ArrayList<>();
        file.rows(table, (row, line) -> pictures.add(row.path("id").asString()));
        try (PreparedStatement s = db.prepareStatement("update " + table.name() + " set jpeg = ? where id = ?")) {
            for (String id : pictures) {
                byte[] jpeg = file.picture(table, UUID.fromString(id));
                if (jpeg.length < 2 || (jpeg[0] & 0xff) != 0xff || (jpeg[1] & 0xff) != 0xd8) {
                    throw ArchiveFile.refused("has no picture " + ArchiveWriter.picture(table, UUID.fromString(id)));
                }
                if (withPictures) {
                    UUID old = UUID.fromString(id);
                    s.setBytes(1, jpeg);
                    s.setObject(2, ids.getOrDefault(old, old));
                    s.execute();
                }
            }
        }
    }

    /**
     * Holds every row against what is here.
     *
     * @param empty whether nothing is here yet
     */
    void compare(boolean empty) throws SQLException {
        work.step(Progress.Step.COMPARING, Tables.ALL.size());
        run(Tables.ALL.stream()
                .map(t -> "alter table " + temp(t) + " add column fate varchar(10)")
                .collect(Collectors.joining(";")));
        Set<String> filled = filled();
        List<Reference> references = references(filled);
        for (Table table : Tables.ALL) {
            work.done(1);
            if (!filled.contains(table.name())) {
                continue;
            }
            if (hasId(table)) {
                Set<String> apart = new HashSet<>(table.left());
                if (table.name().equals("account")) {
                    // Which account is which was said before; what it may do here is the household's.
                    apart.addAll(Set.of("username", "display_name", "role", "disabled"));
                }
                String without = apart.stream().map(c -> " - '" + c + "'").collect(Collectors.joining());
                // Of two pictures with one id nobody draws a third: they are not compared.
                run("update " + temp(table) + " s set fate = case when " + table.picture() + " or to_jsonb(s) - 'fate'"
                        + without
                        + " = to_jsonb(h)" + without + " then 'SAME' else 'DIFFERS' end from " + home(table)
                        + " h where h.id = s.id and s.fate is null");
            }
            for (String key : keysOf(table)) {
                run("update " + temp(table) + " s set fate = 'CLASH' from " + home(table)
                        + " h where h.household_id = '"
                        + household + "' and s.fate is null and (" + prefixed("s", key) + ") = (" + prefixed("h", key)
                        + ")");
            }
        }
        if (!empty) {
            for (Table table : Tables.ALL) {
                if (table.house()) {
                    run("update " + temp(table) + " set fate = 'HANGS' where fate is null");
                }
            }
        }
        for (boolean again = true; again; ) {
            again = false;
            for (Reference r : references) {
                again |= hang(r) > 0;
            }
            // What was poured out of something that is here already, or does not come, would come without its descent.
            again |= changed("update pg_temp.lot l set fate = 'HANGS' from pg_temp.lot_link k"
                            + " where k.to_lot = l.id and k.fate = 'HANGS' and l.fate is null")
                    > 0;
            again |= changed("update pg_temp.note n set fate = 'HANGS' where n.fate is null and exists (select 1 from ("
                            + Tables.ALL.stream()
                                    .filter(t -> t.label() != null && hasId(t))
                                    .map(t -> "select id::text, fate from " + temp(t))
                                    .collect(Collectors.joining(" union all "))
                            + ") t where t.id = n.about_id and t.fate in ('HANGS', 'CLASH'))")
                    > 0;
        }
        acknowledged();
    }

    /**
     * What was acknowledged of something, or taken back from it, comes with it alone: a file that says so of what is here would
     * open a gate that is shut, and of what is not here one that somebody has yet to come to.
     */
    private void acknowledged() throws SQLException {
        String come = Tables.ALL.stream()
                .filter(Scratch::hasId)
                .map(t -> "select id from " + temp(t) + (SHARED.contains(t.name()) ? "" : " where fate is null"))
                .collect(Collectors.joining(" union all "));
        for (String table : List.of("audit_entry", "loosened")) {
            run("update pg_temp." + table + " set fate = 'HANGS' where fate is null and subject_id <> '" + household
                    + "' and subject_id not in (" + come + ")");
        }
    }

    private int hang(Reference r) throws SQLException {
        String gone = TIGHTENS.contains(r.from()) ? "p.fate in ('HANGS', 'CLASH')" : "p.fate is not null";
        return changed("update pg_temp." + r.from() + " c set fate = 'HANGS' from pg_temp." + r.to()
                + " p where p.id = c." + r.column() + " and c.fate is null and " + gone);
    }

    private Set<String> filled() throws SQLException {
        return new HashSet<>(texts(Tables.ALL.stream()
                .map(t -> "select '" + t.name() + "' where exists (select 1 from " + temp(t) + ")")
                .collect(Collectors.joining(" union all "))));
    }

    private List<Reference> references(Set<String> ours) throws SQLException {
        List<Reference> found = new ArrayList<>();
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery("""
                        select c.relname, a.attname, p.relname from pg_constraint k
                        join pg_class c on c.oid = k.conrelid join pg_class p on p.oid = k.confrelid
                        join pg_attribute a on a.attrelid = c.oid and a.attnum = k.conkey[1]
                        where k.contype = 'f' and k.connamespace = pg_my_temp_schema()""")) {
            while (r.next()) {
                Reference reference = new Reference(r.getString(1), r.getString(2), r.getString(3));
                if (ours.contains(reference.from())
                        && ours.contains(reference.to())
                        && !SHARED.contains(reference.to())) {
                    found.add(reference);
                }
            }
        }
        return found;
    }

    /** Columns that are there once in a household, besides the id. */
    private List<String> keysOf(Table table) throws SQLException {
        return texts("select string_agg(a.attname, ',' order by a.attname) from pg_constraint k, pg_attribute a where"
                + " k.conrelid = '" + home(table) + "'::regclass and k.contype in ('u', 'p')"
                + " and a.attrelid = k.conrelid and a.attnum = any (k.conkey) group by k.oid"
                + " having bool_or(a.attname = 'household_id')");
    }

    private static String prefixed(String prefix, String columns) {
        return prefix + "." + String.join(", " + prefix + ".", columns.split(","));
    }

    /** How many rows of a table come, and how many have each fate. */
    Map<String, Integer> fates(Table table) throws SQLException {
        Map<String, Integer> fates = new HashMap<>();
        try (Statement s = db.createStatement();
                ResultSet r =
                        s.executeQuery("select coalesce(fate, ''), count(*) from " + temp(table) + " group by 1")) {
            while (r.next()) {
                fates.put(r.getString(1), r.getInt(2));
            }
        }
        return fates;
    }

    record Line(String name, @Nullable Fate fate) {}

    /** What people know by its name, and what becomes of it. */
    List<Line> lines(Table table, int most) throws SQLException {
        List<Line> lines = new ArrayList<>();
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select " + table.label() + ", fate from " + temp(table)
                        + " order by fate nulls last, 1 limit " + most)) {
            while (r.next()) {
                lines.add(new Line(r.getString(1), r.getString(2) == null ? null : Fate.valueOf(r.getString(2))));
            }
        }
        return lines;
    }

    /** What would come from itself, each in words: whoever follows it up would never arrive. */
    List<String> madeOfThemselves() throws SQLException {
        return texts("with recursive d as (select from_lot, to_lot from pg_temp.lot_link union"
                + " select d.from_lot, k.to_lot from d join pg_temp.lot_link k on k.from_lot = d.to_lot)"
                + " select distinct l.code || ' was made of itself' from d join pg_temp.lot l on l.id = d.from_lot"
                + " where d.from_lot = d.to_lot order by 1 limit 5");
    }

    /** Accounts that come are nobody's until the keeper lets them in: they have no password, and a name that is free. */
    void closeAccounts(String nobodysPassword) throws SQLException {
        try (PreparedStatement s = db.prepareStatement(
                "update pg_temp.account a set password_hash = ?, disabled = true,"
                        + " username = case when exists (select 1 from " + home
                        + ".account h where h.username = a.username)"
                        + " then left(a.username, 50) || '-' || right(a.id::text, 8) else a.username end where a.fate is null")) {
            s.setString(1, nobodysPassword);
            s.execute();
        }
    }

    /** Takes in what comes. @return how many rows */
    int take() throws SQLException {
        int taken = 0;
        work.step(Progress.Step.TAKING_IN, Tables.ALL.size());
        for (Table table : Tables.ALL) {
            work.done(1);
            String columns =
                    ColumnOf.of(db, home(table)).stream().map(ColumnOf::name).collect(Collectors.joining(", "));
            taken += attempted(
                    "insert into " + home(table) + " (" + columns + ") select " + columns + " from " + temp(table)
                            + " where fate is null",
                    "clashes with a record that is here");
        }
        // Numbers go on after the higher of both.
        run("update " + home + ".code_counter h set last = greatest(h.last, s.last) from pg_temp.code_counter s"
                + " where s.prefix = h.prefix and s.household_id = h.household_id");
        return taken;
    }

    /** What {@link #take} took. */
    ReadIn.Came came() throws SQLException {
        Map<String, List<UUID>> ids = new HashMap<>();
        List<String> plants = new ArrayList<>();
        for (Table table : Tables.ALL) {
            if (hasId(table)) {
                ids.put(
                        table.name(),
                        texts("select id from " + temp(table) + " where fate is null").stream()
                                .map(UUID::fromString)
                                .toList());
            }
            for (ColumnOf column : ColumnOf.of(db, temp(table))) {
                if (PLANTS.contains(column.name())) {
                    plants.add("select unnest(string_to_array(" + column.name() + ", ',')) as plant from " + temp(table)
                            + " where fate is null");
                }
            }
        }
        return new ReadIn.Came(
                ids,
                Set.copyOf(texts("select distinct plant from (" + String.join(" union all ", plants)
                        + ") p where plant <> ''")));
    }

    /** Whether something of this household, or of another on this server, has one of these ids. */
    static boolean taken(Connection db, Table table, UUID household, boolean here, Collection<UUID> ids)
            throws SQLException {
        Array all = db.createArrayOf("uuid", ids.toArray());
        try (PreparedStatement s = db.prepareStatement(
                "select 1 from " + table.name() + " where id = any (?) and (household_id = ?) = ? limit 1")) {
            s.setArray(1, all);
            s.setObject(2, household);
            s.setBoolean(3, here);
            try (ResultSet r = s.executeQuery()) {
                return r.next();
            }
        } finally {
            all.free();
        }
    }

    static boolean hasId(Table table) {
        return table.of() == null && !table.name().equals("code_counter");
    }

    /** Nothing of it is seen by what reads next on this connection. */
    void drop() throws SQLException {
        run("discard temp");
        run("set local search_path to " + home);
    }

    private static String temp(Table table) {
        return "pg_temp." + table.name();
    }

    private String home(Table table) {
        return home + "." + table.name();
    }

    private void attempt(String sql, String wrong) throws SQLException {
        try {
            run(sql);
        } catch (SQLException e) {
            throw refusal(e, wrong);
        }
    }

    private int attempted(String sql, String wrong) throws SQLException {
        try {
            return changed(sql);
        } catch (SQLException e) {
            throw refusal(e, wrong);
        }
    }

    /** Of the data, it is the file's fault; of anything else, ours or the machine's. */
    private static RuntimeException refusal(SQLException e, String wrong) throws SQLException {
        if (ofTheData(e)) {
            return ArchiveFile.refused(wrong + " (" + firstLine(e) + ")");
        }
        throw e;
    }

    private static boolean ofTheData(SQLException e) {
        String state = e.getSQLState();
        return state != null && (state.startsWith("22") || state.startsWith("23"));
    }

    private static String firstLine(SQLException e) {
        String message = String.valueOf(e.getMessage());
        return message.lines().findFirst().orElse("").replaceFirst("^ERROR: ", "");
    }

    private void run(String sql) throws SQLException {
        try (Statement s = db.createStatement()) {
            s.execute(sql);
        }
    }

    private int changed(String sql) throws SQLException {
        try (Statement s = db.createStatement()) {
            return s.executeUpdate(sql);
        }
    }

    private @Nullable String one(String sql) throws SQLException {
        List<String> all = texts(sql);
        return all.isEmpty() ? null : all.get(0);
    }

    private List<String> texts(String sql) throws SQLException {
        List<String> found = new ArrayList<>();
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery(sql)) {
            while (r.next()) {
                found.add(r.getString(1));
            }
        }
        return found;
    }
}
