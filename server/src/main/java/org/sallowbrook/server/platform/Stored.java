package org.sallowbrook.server.platform;

import java.time.DateTimeException;
import java.util.List;
import org.sallowbrook.core.measure.InvalidInput.Violation;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * One kind of document that is kept in the database: its own record, never a request or a view; the number of its schema; and
 * what makes of each older schema the next. Read strictly: a member nobody knows, one that is missing though it may be null,
 * and one that is null though it may not be are errors with their names. A field that was renamed would else be dropped
 * without a word, and a course without its taper be a larger dose.
 */
public final class Stored<T extends Record> {

    /** Makes the next schema of one, in place. */
    @FunctionalInterface
    public interface Upgrade {
        void upgrade(ObjectNode document);
    }

    /** What lies in the database can't be read by this version. */
    public static final class Unreadable extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Unreadable(String message) {
            super(message);
        }
    }

    private static final String SCHEMA = "schema";

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
            .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
            .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
            .build();

    private final String name;
    private final Class<T> type;
    private final List<Upgrade> upgrades;

    private Stored(String name, Class<T> type, List<Upgrade> upgrades) {
        this.name = name;
        this.type = type;
        this.upgrades = upgrades;
    }

    /** @param upgrades of the first schema to the second, of the second to the third, and so on */
    public static <T extends Record> Stored<T> of(String name, Class<T> type, Upgrade... upgrades) {
        return new Stored<>(name, type, List.of(upgrades));
    }

    public String name() {
        return name;
    }

    /** The schema that is written. */
    public int schema() {
        return upgrades.size() + 1;
    }

    public String write(T document) {
        ObjectNode written = JSON.createObjectNode().put(SCHEMA, schema());
        written.setAll((ObjectNode) JSON.valueToTree(document));
        return JSON.writeValueAsString(written);
    }

    /** @throws Unreadable saying which member is not known, missing or of another kind, or that a newer version wrote it */
    public T read(String written) {
        try {
            JsonNode tree = JSON.readTree(written);
            if (!(tree instanceof ObjectNode document)) {
                throw new Unreadable(name + ": is no object");
            }
            T read = JSON.treeToValue(upgraded(document), type);
            List<Violation> missing = CompleteBodies.missing(read);
            if (!missing.isEmpty()) {
                throw new Unreadable(name + ": " + missing.get(0).field() + " "
                        + missing.get(0).message());
            }
            return read;
        } catch (JacksonException e) {
            throw new Unreadable(name + ": " + e.getOriginalMessage() + " " + e.getPathReference());
        } catch (DateTimeException | IllegalArgumentException | NullPointerException | ClassCastException e) {
            throw new Unreadable(name + ": " + e.getMessage());
        }
    }

    private ObjectNode upgraded(ObjectNode document) {
        JsonNode schema = document.remove(SCHEMA);
        if (schema == null || !schema.isInt() || schema.intValue() < 1) {
            throw new Unreadable(name + ": schema is missing");
        }
        if (schema.intValue() > schema()) {
            throw new Unreadable(name + ": was written by a newer version (schema " + schema.intValue() + ")");
        }
        upgrades.subList(schema.intValue() - 1, upgrades.size()).forEach(u -> u.upgrade(document));
        return document;
    }

    /** For an upgrade: the same under another name; where there is none of it, it is missed when it is read. */
    public static void renamed(ObjectNode document, String from, String to) {
        JsonNode value = document.remove(from);
        if (value != null) {
            document.set(to, value);
        }
    }

    /** For an upgrade: what was not written before it could be said is said to be nothing. */
    public static void unsaid(ObjectNode document, String... members) {
        for (String member : members) {
            if (!document.has(member)) {
                document.putNull(member);
            }
        }
    }
}
