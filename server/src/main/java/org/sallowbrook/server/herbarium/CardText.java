package org.sallowbrook.server.herbarium;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.CompleteBodies;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.dataformat.yaml.YAMLMapper;
import tools.jackson.dataformat.yaml.YAMLWriteFeature;

/** Cards as YAML text, in and out; says on which line something is wrong. */
final class CardText {

    /** Everything wrong with one file. */
    static final class Broken extends IllegalArgumentException {

        final transient List<Fault> faults;

        Broken(List<Fault> faults) {
            super(String.join("; ", faults.stream().map(Fault::toString).toList()));
            this.faults = List.copyOf(faults);
        }
    }

    /**
     * @param line from 1; 0 when the file has no such line
     * @param where the field or the word of the card that is wrong, for whoever filled in a form; empty for all of it
     */
    record Fault(String file, int line, String where, String reason) {
        @Override
        public String toString() {
            return file + " line " + line + ": " + reason;
        }
    }

    static final YAMLMapper YAML = YAMLMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            .disable(YAMLWriteFeature.WRITE_DOC_START_MARKER)
            .enable(YAMLWriteFeature.MINIMIZE_QUOTES)
            .build();

    private CardText() {}

    static <T> T read(String file, String text, Class<T> type) {
        try {
            T value = YAML.readValue(text, type);
            if (value == null) {
                throw new Broken(List.of(new Fault(file, 1, "", "is empty")));
            }
            return value;
        } catch (JacksonException e) {
            var at = e.getLocation();
            int line = e instanceof UnrecognizedPropertyException unknown
                    ? lineOf(text, unknown.getPropertyName())
                    : at == null ? 0 : at.getLineNr();
            throw new Broken(List.of(new Fault(file, line, "", reason(e))));
        } catch (InvalidInput e) {
            throw new Broken(List.of(new Fault(file, 1, "", String.valueOf(e.getMessage()))));
        }
    }

    /** In words of the card, not of Java: the field, what was written, what fits. */
    private static String reason(JacksonException e) {
        String field = e.getPath().stream()
                .map(JacksonException.Reference::getPropertyName)
                .filter(Objects::nonNull)
                .reduce((a, b) -> a + "." + b)
                .map(f -> f + ": ")
                .orElse("");
        if (e instanceof UnrecognizedPropertyException unknown) {
            return unknown.getPropertyName() + " is no field of a card";
        }
        if (e instanceof InvalidFormatException format) {
            Class<?> wanted = format.getTargetType();
            return field
                    + format.getValue()
                    + (wanted != null && wanted.isEnum()
                            ? " is none of " + Arrays.toString(wanted.getEnumConstants())
                            : " does not fit here");
        }
        if (e instanceof MismatchedInputException) {
            return field + "has a value of the wrong kind";
        }
        String words = e.getOriginalMessage();
        return field + (words == null ? "can't be read" : words.split("\n")[0]);
    }

    /** Reads a card without looking at others. */
    static Taxon card(String file, String text, CardReader reader) {
        CardFile card = read(file, text, CardFile.class);
        List<InvalidInput.Violation> missing = CompleteBodies.missing(card);
        if (!missing.isEmpty()) {
            throw new Broken(missing.stream()
                    .map(m -> new Fault(file, 1, m.field(), m.field() + " " + m.message()))
                    .toList());
        }
        try {
            return reader.taxon(card);
        } catch (CardReader.Unreadable e) {
            throw new Broken(List.of(new Fault(file, lineOf(text, e.where), e.where, String.valueOf(e.getMessage()))));
        } catch (InvalidInput | NullPointerException e) {
            throw new Broken(List.of(new Fault(file, 1, "", "a field is missing or out of range: " + e.getMessage())));
        }
    }

    static List<Fault> faults(String file, String text, List<Herbarium.Problem> problems) {
        return problems.stream()
                .map(p -> new Fault(file, lineOf(text, p.where()), p.where(), p.message()))
                .toList();
    }

    private static int lineOf(String text, String where) {
        String[] lines = text.split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            if (lines[i].contains(where)) {
                return i + 1;
            }
        }
        return 1;
    }
}
