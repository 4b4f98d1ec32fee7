package org.sallowbrook.server.archive;

import jakarta.persistence.EntityManager;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.archive.Tables.Table;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.platform.Member;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes all records of a household at one moment: each table as JSON with its schema, pictures as files, sums of all. */
@Component
class ArchiveWriter {

    private static final int FETCH = 500;

    private final EntityManager entities;
    private final HouseholdService household;
    private final Migrations migrations;
    private final JsonMapper json;
    private final Clock clock;

    ArchiveWriter(
            EntityManager entities, HouseholdService household, Migrations migrations, JsonMapper json, Clock clock) {
        this.entities = entities;
        this.household = household;
        this.migrations = migrations;
        this.json = json;
        this.clock = clock;
    }

    /** One moment for all of it: what changes meanwhile is not in it. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(Path file) throws IOException {
        HouseholdService.SettingsView settings = household.settings();
        try (OutputStream out = Files.newOutputStream(file);
                Zip zip = new Zip(out)) {
            entities.unwrap(Session.class).doWork(db -> {
                try {
                    write(db, zip, settings);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    /** What is on record of one person, and of the bottles it came from; nothing of anybody else. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void writePerson(Path file, UUID person) throws IOException {
        try (OutputStream out = Files.newOutputStream(file);
                Zip zip = new Zip(out)) {
            entities.unwrap(Session.class).doWork(db -> {
                try {
                    person(db, zip, person);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private void person(Connection db, Zip zip, UUID person) throws SQLException, IOException {
        Map<String, Integer> rows = new LinkedHashMap<>();
        for (Table table : Tables.ALL) {
            String theirs = theirs(db, table, person);
            if (theirs != null) {
                // Who else has some of it is nobody's business but theirs.
                Table alone = table.name().equals("lot") ? table.without("holder") : table;
                rows.put(table.name(), table(db, zip, alone, table.mine() + " and " + theirs));
            }
        }
        zip.add(
                "person.json",
                json.writerWithDefaultPrettyPrinter()
                        .writeValueAsBytes(new PersonHead(
                                PersonHead.FORMAT,
                                ArchiveHead.LAYOUT,
                                migrations.latest(),
                                clock.instant().truncatedTo(ChronoUnit.SECONDS),
                                person,
                                rows)));
        zip.manifest();
    }

    /** Which rows of a table are of one person; null for none. An id needs no marks of its own. */
    private static @Nullable String theirs(Connection db, Table table, UUID person) throws SQLException {
        String id = "'" + person + "'";
        String lots = "(select lot_id from course where person_id = " + id
                + " union select lot_id from direct_use where person_id = " + id + ")";
        List<String> columns =
                ColumnOf.of(db, table.name()).stream().map(ColumnOf::name).toList();
        return switch (table.name()) {
            case "person" -> "id = " + id;
            case "lot" -> "id in " + lots;
            case "lot_herb", "lot_trait" -> "lot_id in " + lots;
            case "note" -> "about = 'PERSON' and about_id = " + id;
            default ->
                columns.contains("person_id")
                        ? "person_id = " + id
                        : columns.contains("course_id")
                                ? "course_id in (select id from course where person_id = " + id + ")"
                                : null;
        };
    }

    /** One list as a table. */
    @Transactional(readOnly = true)
    public byte[] list(String name, Lists.Decimal decimal) {
        ZoneId zone = ZoneId.of(household.settings().zone());
        UUID here = Member.current().householdId();
        return entities.unwrap(Session.class).doReturningWork(db -> {
            try {
                return Lists.write(db, name, here, new Lists.Manner(decimal, zone));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    private void write(Connection db, Zip zip, HouseholdService.SettingsView settings)
            throws SQLException, IOException {
        try (Statement s = db.createStatement()) {
            s.execute("set local time zone 'UTC'");
        }
        Map<String, Integer> rows = new LinkedHashMap<>();
        for (Table table : Tables.ALL) {
            rows.put(table.name(), table(db, zip, table, table.mine()));
        }
        Member me = Member.current();
        zip.add(
                "archive.json",
                json.writerWithDefaultPrettyPrinter()
                        .writeValueAsBytes(new ArchiveHead(
                                ArchiveHead.FORMAT,
                                ArchiveHead.LAYOUT,
                                migrations.latest(),
                                clock.instant().truncatedTo(ChronoUnit.SECONDS),
                                me.accountId(),
                                new ArchiveHead.HouseholdOf(
                                        me.householdId(),
                                        settings.name(),
                                        settings.zone(),
                                        settings.region(),
                                        settings.latitude(),
                                        settings.elevationM(),
                                        settings.emergencyNumber(),
                                        settings.poisonCentre()),
                                rows)));
        Lists.Manner manner = new Lists.Manner(Lists.Decimal.POINT, ZoneId.of(settings.zone()));
        for (String list : Lists.names().keySet()) {
            zip.add("lists/" + list + ".csv", Lists.write(db, list, me.householdId(), manner));
        }
        zip.manifest();
    }

    /** @param mine which rows, with one parameter */
    private int table(Connection db, Zip zip, Table table, String mine) throws SQLException, IOException {
        List<ColumnOf> columns = columns(db, table);
        zip.add("schema/" + table.name() + ".schema.json", schema(table, columns));
        String names = columns.stream().map(ColumnOf::name).collect(Collectors.joining(", "));
        String from = " from " + table.name() + " where " + mine;
        int rows = 0;
        try (PreparedStatement s = db.prepareStatement("select row_to_json(x)::text from (select " + names + from
                + " order by " + columns.get(0).name() + ") x")) {
            s.setObject(1, Member.current().householdId());
            s.setFetchSize(FETCH);
            zip.begin("tables/" + table.name() + ".json");
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    zip.text((rows == 0 ? "[\n" : ",\n") + r.getString(1));
                    rows++;
                }
            }
            zip.text(rows == 0 ? "[]\n" : "\n]\n");
            zip.end();
        }
        if (table.picture()) {
            pictures(db, zip, table, from);
        }
        return rows;
    }

    /** Those of a table that go along, in their order; the household is the same in all and goes without saying. */
    static List<ColumnOf> columns(Connection db, Table table) throws SQLException {
        return ColumnOf.of(db, table.name()).stream()
                .filter(c -> !c.name().equals("household_id") && !table.left().contains(c.name()))
                .toList();
    }

    private void pictures(Connection db, Zip zip, Table table, String from) throws SQLException, IOException {
        try (PreparedStatement s = db.prepareStatement("select id, jpeg" + from)) {
            s.setObject(1, Member.current().householdId());
            s.setFetchSize(1);
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    zip.begin(picture(table, r.getObject(1, UUID.class)));
                    try (InputStream jpeg = r.getBinaryStream(2)) {
                        jpeg.transferTo(zip);
                    }
                    zip.end();
                }
            }
        }
    }

    static String picture(Table table, UUID id) {
        return "pictures/" + table.name() + "/" + id + ".jpg";
    }

    private byte[] schema(Table table, List<ColumnOf> columns) {
        ObjectNode schema = json.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", table.words());
        schema.put("type", "array");
        ObjectNode row = schema.putObject("items");
        row.put("type", "object").put("additionalProperties", false);
        ObjectNode properties = row.putObject("properties");
        ArrayNode required = row.putArray("required");
        columns.forEach(c -> {
            properties.set(c.name(), c.schema(json));
            required.add(c.name());
        });
        return json.writerWithDefaultPrettyPrinter().writeValueAsBytes(schema);
    }

    /** A zip that counts the checksum of each of its files; they are written into the last. */
    private static final class Zip extends FilterOutputStream {

        private final ZipOutputStream zip;
        private final MessageDigest sum;
        private final DigestOutputStream summed;
        private final StringBuilder sums = new StringBuilder();
        private String name = "";

        Zip(OutputStream to) {
            super(to);
            zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
            try {
                sum = MessageDigest.getInstance("SHA-256");
            } catch (NoSuchAlgorithmException e) {
                throw new IllegalStateException(e);
            }
            summed = new DigestOutputStream(zip, sum);
        }

        void begin(String file) throws IOException {
            name = file;
            zip.putNextEntry(new ZipEntry(file));
        }

        void end() throws IOException {
            zip.closeEntry();
            sums.append(HexFormat.of().formatHex(sum.digest()))
                    .append("  ")
                    .append(name)
                    .append('\n');
        }

        void add(String file, byte[] content) throws IOException {
            begin(file);
            write(content, 0, content.length);
            end();
        }

        void manifest() throws IOException {
            begin("manifest");
            zip.write(sums.toString().getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }

        void text(String text) throws IOException {
            byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
            write(bytes, 0, bytes.length);
        }

        @Override
        public void write(int b) throws IOException {
            summed.write(b);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            summed.write(bytes, from, length);
        }

        @Override
        public void close() throws IOException {
            zip.close();
        }
    }
}
