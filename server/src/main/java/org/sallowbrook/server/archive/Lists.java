package org.sallowbrook.server.archive;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.SequenceWriter;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvSchema;
import tools.jackson.dataformat.csv.CsvWriteFeature;

/** Lists for people and their spreadsheets: a table each, headings with units, as comma separated values. */
final class Lists {

    /** With a decimal comma, fields are parted by semicolons, as spreadsheets of those languages expect. */
    enum Decimal {
        POINT,
        COMMA
    }

    /** @param sql with the headings as names of its columns; its parameter is the household */
    private record Table(String words, String sql) {}

    private static final int FETCH = 500;

    /** What a spreadsheet would take for a formula, and run. */
    private static final String FORMULA = "=+-@\t\r";

    private static final Map<String, Table> ALL = Map.ofEntries(
            list("stands", "Stands", """
                    select name, taxon_id as "plant", place, lower(ground) as "ground", lower(permission) as "permission",
                        lower(plenty) as "plenty", protected_species as "protected", latitude as "latitude, degrees north",
                        longitude as "longitude, degrees east", elevation_m as "above the sea, m",
                        growing_since as "growing since", doubted, doubt_reason as "why doubted",
                        put_away_on as "put away on" from stand where household_id = ? order by name, id"""),
            list("harvests", "Harvests", """
                    select h.code as "number", h.on_day as "day", h.taxon_id as "plant", words(h.part) as "part",
                        s.name as "stand", h.mass_g as "fresh mass, g", 100 * h.share_taken as "share taken, %",
                        h.picked_by as "picked by", h.weather, h.return_on as "back on",
                        h.struck_reason as "struck out because"
                    from harvest h join stand s on s.id = h.stand_id where h.household_id = ? order by h.on_day, h.id"""),
            list("weighings", "Weighings on the rack", """
                    select r.code as "number", r.taxon_id as "plant", words(r.part) as "part", w.at as "when",
                        w.rack_hours as "on the rack, h", w.mass_g as "mass, g", w.weighed_by as "weighed by",
                        w.struck_reason as "struck out because"
                    from weighing w join drying_run r on r.id = w.run_id where w.household_id = ? order by w.at, w.id"""),
            list("jars-and-bottles", "Jars and bottles", """
                    select code as "number", name, words(form) as "form", taxon_id as "plant", words(part) as "part",
                        made_on as "made on", best_before as "best before", opened_on as "opened on", amount, remaining as "left",
                        unit, strength_percent as "strength, % vol", words(route) as "for", place, holder as "who has it",
                        words(state) as "state", state_reason as "why", doubt, supplier
                    from lot where household_id = ? and stage <> 'STAND' order by made_on, code"""),
            list("batches", "Batches", """
                    select l.code as "number", l.name, words(b.kind) as "kind", words(b.status) as "state",
                        b.started_on as "started on", b.press_on as "press on", b.filled_on as "filled on",
                        b.yield_amount as "yield", l.unit
                    from batch b join lot l on l.id = b.id where b.household_id = ? order by b.started_on, b.id"""),
            list("doses", "Doses taken", """
                    select p.name as "person", d.on_day as "day", d.slot as "time of the day", d.amount, c.unit,
                        l.code as "lot", l.name as "of what", c.purpose as "for", d.ticked_by as "ticked by",
                        d.struck_reason as "struck out because"
                    from dose_taken d join course c on c.id = d.course_id join person p on p.id = c.person_id
                    join lot l on l.id = c.lot_id where d.household_id = ? order by d.on_day, d.id"""),
            list("used-as-it-is", "Used as it is", """
                    select p.name as "person", u.on_day as "day", u.taxon_id as "plant", words(u.part) as "part",
                        words(u.manner) as "how", u.grams as "amount, g", u.ml as "amount, mL", u.words,
                        u.noted_by as "noted by", u.struck_reason as "struck out because"
                    from direct_use u join person p on p.id = u.person_id where u.household_id = ? order by u.on_day, u.id"""),
            list("reactions", "Reactions", """
                    select p.name as "person", r.on_day as "day", r.taxa as "plants", lower(r.signs) as "signs",
                        words(r.degree) as "degree", r.hours_after as "after, h", r.words, r.noted_by as "noted by",
                        r.struck_reason as "struck out because"
                    from reaction r join person p on p.id = r.person_id where r.household_id = ? order by r.on_day, r.id"""),
            list("people", "People", """
                    select name, born_on as "born on", weight_kg as "weight, kg", height_cm as "height, cm",
                        trimester as "pregnant, trimester", breast_feeding as "breast-feeding", lower(conditions) as "conditions",
                        lower(medicines) as "medicines, groups", medicine_names as "medicines, names",
                        lower(allergy_families) as "allergic to families", operation_on as "operation on"
                    from person where household_id = ? order by name, id"""),
            list("notes", "Notes", """
                    select on_day as "day", lower(about) as "about", words, colour, clarity, smell, feel, taste, place,
                        come_back_on as "come back on", been_back_on as "been back on", written_by as "written by"
                    from note where household_id = ? and thrown_away_at is null order by on_day, id"""));

    private static final CsvMapper CSV =
            CsvMapper.builder().enable(CsvWriteFeature.ALWAYS_QUOTE_STRINGS).build();

    /** Finer than any scale, and a tenth of a metre on the ground; the tables of an archive have all of it. */
    private static final int DECIMALS = 6;

    /** How numbers and moments are written. */
    record Manner(Decimal decimal, ZoneId zone) {}

    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm");

    private Lists() {}

    private static Map.Entry<String, Table> list(String name, String words, String sql) {
        return Map.entry(
                name, new Table(words, sql.replaceAll("words\\(([a-z.]+)\\)", "replace(lower($1), '_', ' ')")));
    }

    /** By its file's name, what people call it. */
    static Map<String, String> names() {
        return ALL.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, l -> l.getValue().words(), (a, b) -> a, java.util.TreeMap::new));
    }

    /** @param name one of {@link #names()} */
    static byte[] write(Connection db, String name, UUID household, Manner manner) throws SQLException, IOException {
        Table table = ALL.get(name);
        if (table == null) {
            throw new IllegalArgumentException(name);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        // By this mark a spreadsheet knows which letters these are.
        out.write("\ufeff".getBytes(StandardCharsets.UTF_8));
        try (PreparedStatement s = db.prepareStatement(table.sql())) {
            s.setObject(1, household);
            s.setFetchSize(FETCH);
            try (ResultSet r = s.executeQuery()) {
                write(r, out, manner);
            }
        }
        return out.toByteArray();
    }

    private static void write(ResultSet r, OutputStream out, Manner manner) throws SQLException, IOException {
        ResultSetMetaData columns = r.getMetaData();
        List<Object> line = new ArrayList<>();
        for (int i = 1; i <= columns.getColumnCount(); i++) {
            line.add(columns.getColumnLabel(i));
        }
        CsvSchema schema = CSV.schemaFor(List.class).withColumnSeparator(manner.decimal() == Decimal.COMMA ? ';' : ',');
        try (SequenceWriter lines = CSV.writer(schema).writeValues(out)) {
            lines.write(line);
            while (r.next()) {
                line = new ArrayList<>();
                for (int i = 1; i <= columns.getColumnCount(); i++) {
                    line.add(cell(r.getObject(i), manner));
                }
                lines.write(line);
            }
        }
    }

    private static Object cell(@Nullable Object value, Manner manner) {
        if (value instanceof Double number) {
            return number(number, manner.decimal());
        }
        if (value instanceof String text) {
            return !text.isEmpty() && FORMULA.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
        }
        if (value instanceof Timestamp at) {
            return at.toInstant().atZone(manner.zone()).format(MOMENT);
        }
        if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        // Nothing is a field too: left out it would move all that follow.
        return value == null ? "" : value instanceof Number ? value : value.toString();
    }

    private static Object number(double number, Decimal decimal) {
        BigDecimal plain = BigDecimal.valueOf(number)
                .setScale(DECIMALS, RoundingMode.HALF_EVEN)
                .stripTrailingZeros();
        String written = plain.toPlainString();
        return decimal == Decimal.COMMA ? written.replace('.', ',') : plain.scale() < 0 ? plain.setScale(0) : plain;
    }
}
