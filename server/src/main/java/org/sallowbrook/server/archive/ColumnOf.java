package org.sallowbrook.server.archive;

import java.math.BigDecimal;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * One column of a table as an archive says it, and what a value of it must be: what comes in from a file is held to the kinds
 * that the doors hold to.
 *
 * @param type as the database calls it, without its length
 * @param length of letters at most; null where there is no limit
 */
record ColumnOf(String name, String type, @Nullable Integer length, boolean nullable) {

    private static final Pattern UUID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
    private static final Pattern TYPE = Pattern.compile("([a-z ]+?)(?:\\((\\d+)\\))?");

    /** Numbers that may lie under nought: what went out of a jar, frost, south and west, below the sea. */
    private static final Set<String> SIGNED =
            Set.of("delta", "latitude", "longitude", "elevation_m", "low_c", "high_c", "temperature_c", "above_plan");

    /** The days a household can have written about. */
    private static final int FIRST_YEAR = 1850;

    private static final int LAST_YEAR = 2200;

    /** @param table as the search path of the connection finds it */
    static List<ColumnOf> of(Connection db, String table) throws SQLException {
        List<ColumnOf> columns = new ArrayList<>();
        try (PreparedStatement s = db.prepareStatement("""
                select attname, format_type(atttypid, atttypmod), attnotnull from pg_attribute
                where attrelid = ?::regclass and attnum > 0 and not attisdropped order by attnum""")) {
            s.setString(1, table);
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    Matcher type = TYPE.matcher(r.getString(2));
                    if (!type.matches()) {
                        throw new IllegalStateException(table + " has a column of " + r.getString(2));
                    }
                    columns.add(new ColumnOf(
                            r.getString(1),
                            type.group(1),
                            type.group(2) == null ? null : Integer.valueOf(type.group(2)),
                            !r.getBoolean(3)));
                }
            }
        }
        return columns;
    }

    /** @return what is wrong with a value; null where nothing is */
    @Nullable
    String wrong(@Nullable JsonNode value) {
        if (value == null) {
            return "is missing";
        }
        if (value.isNull()) {
            return nullable ? null : "must not be null";
        }
        return switch (type) {
            case "uuid" -> value.isString() && UUID.matcher(value.asString()).matches() ? null : "must be an id";
            case "character varying", "text" -> text(value);
            case "double precision" ->
                !value.isNumber() || !Double.isFinite(value.asDouble())
                        ? "must be a number"
                        : value.asDouble() < 0 && !SIGNED.contains(name) ? "must not be negative" : null;
            case "integer" -> value.isInt() ? null : "must be a whole number";
            case "bigint" -> value.isIntegralNumber() && value.canConvertToLong() ? null : "must be a whole number";
            case "boolean" -> value.isBoolean() ? null : "must be true or false";
            case "date" -> day(value);
            case "timestamp with time zone" -> moment(value);
            case "jsonb" -> value.isObject() ? null : "must be an object";
            default -> throw new IllegalStateException("no archive holds " + type);
        };
    }

    private @Nullable String text(JsonNode value) {
        if (!value.isString()) {
            return "must be a text";
        }
        String text = value.asString();
        if (length != null && text.codePointCount(0, text.length()) > length) {
            return "must have at most " + length + " letters";
        }
        boolean odd = text.codePoints()
                .anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t'
                        || Character.getType(c) == Character.SURROGATE);
        return odd ? "holds a character that can't be kept" : null;
    }

    private static @Nullable String day(JsonNode value) {
        try {
            return year(value.isString() ? LocalDate.parse(value.asString()).getYear() : 0);
        } catch (DateTimeException e) {
            return "must be a day, as 2026-05-31";
        }
    }

    private static @Nullable String moment(JsonNode value) {
        try {
            return year(
                    value.isString() ? OffsetDateTime.parse(value.asString()).getYear() : 0);
        } catch (DateTimeException e) {
            return "must be a moment, as 2026-05-31T18:00:00+00:00";
        }
    }

    private static @Nullable String year(int year) {
        return year >= FIRST_YEAR && year <= LAST_YEAR ? null : "is of a year nobody here has written about";
    }

    /** As JSON Schema. */
    ObjectNode schema(JsonMapper json) {
        ObjectNode schema = json.createObjectNode();
        String kind = switch (type) {
            case "double precision" -> "number";
            case "integer", "bigint" -> "integer";
            case "boolean" -> "boolean";
            case "jsonb" -> "object";
            default -> "string";
        };
        if (nullable) {
            schema.putArray("type").add(kind).add("null");
        } else {
            schema.put("type", kind);
        }
        switch (type) {
            case "uuid" -> schema.put("format", "uuid");
            case "date" -> schema.put("format", "date");
            case "timestamp with time zone" -> schema.put("format", "date-time");
            case "double precision" -> {
                if (!SIGNED.contains(name)) {
                    schema.put("minimum", BigDecimal.ZERO);
                }
            }
            default -> {
                if (length != null) {
                    schema.put("maxLength", length);
                }
            }
        }
        return schema;
    }
}
