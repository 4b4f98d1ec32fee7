package org.sallowbrook.server.platform;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A list that a household kept elsewhere, in a spreadsheet or on paper, and reads in: each line goes through the room's own door,
 * under all of its gates, as if it had been typed into its form.
 */
public interface ListIn {

    /** What a cell holds. */
    enum Kind {
        TEXT,
        NUMBER,
        WHOLE,
        DAY,
        YES_NO,
        CHOICE
    }

    /**
     * @param key the field of the room's door, so that what it refuses is said at the column
     * @param unit a number is wanted in; empty for none
     * @param wanted whether a line without it is refused
     * @param choices as values of an enum, for {@link Kind#CHOICE}
     * @param alsoCalled by people, in lower case
     */
    record Column(
            String key,
            String words,
            Kind kind,
            String unit,
            boolean wanted,
            List<String> choices,
            List<String> alsoCalled) {

        public static Column of(String key, String words, Kind kind, String... alsoCalled) {
            return new Column(key, words, kind, "", false, List.of(), List.of(alsoCalled));
        }

        public static Column text(String key, String words, String... alsoCalled) {
            return of(key, words, Kind.TEXT, alsoCalled);
        }

        /** @param unit as the units of cells are written: g, mL, m, mm, °C, % or ° */
        public static Column number(String key, String words, String unit, String... alsoCalled) {
            return new Column(key, words, Kind.NUMBER, unit, false, List.of(), List.of(alsoCalled));
        }

        public static Column choice(String key, String words, Stream<? extends Enum<?>> choices, String... alsoCalled) {
            return new Column(
                    key, words, Kind.CHOICE, "", false, choices.map(Enum::name).toList(), List.of(alsoCalled));
        }

        public Column must() {
            return new Column(key, words, kind, unit, true, choices, alsoCalled);
        }
    }

    /** One line, read: by column a text, a finite number in the column's unit, a day, a truth value or a choice. */
    record Line(Map<String, Object> cells) {

        public @Nullable String text(String key) {
            return (String) cells.get(key);
        }

        public String textOr(String key, String otherwise) {
            String text = text(key);
            return text == null ? otherwise : text;
        }

        public @Nullable Double number(String key) {
            return (Double) cells.get(key);
        }

        public @Nullable Integer whole(String key) {
            return (Integer) cells.get(key);
        }

        public @Nullable LocalDate day(String key) {
            return (LocalDate) cells.get(key);
        }

        public boolean yes(String key) {
            return Boolean.TRUE.equals(cells.get(key));
        }

        public <E extends Enum<E>> @Nullable E choice(String key, Class<E> type) {
            String name = text(key);
            return name == null ? null : Enum.valueOf(type, name);
        }

        public <E extends Enum<E>> E choice(String key, Class<E> type, E otherwise) {
            E chosen = choice(key, type);
            return chosen == null ? otherwise : chosen;
        }

        /** Of what was written, the same in capitals or not. */
        public String alike(String... keys) {
            return Stream.of(keys)
                    .map(k -> String.valueOf(cells.get(k)).strip().toLowerCase(Locale.ROOT))
                    .reduce("", (a, b) -> a + "\n" + b);
        }
    }

    /** @param handle by which the room finds it again; name: what people call it */
    record Brought(String handle, String name) {}

    /** In addresses, such as "stands". */
    String name();

    /** Such as "Stands". */
    String words();

    /** What of it may be left away, and what is taken then. */
    default String hint() {
        return "";
    }

    List<Column> columns();

    /**
     * A file of another kind that holds such lines, as a table: its headings first.
     *
     * @return null where it is none
     */
    default @Nullable List<List<String>> table(String text) {
        return null;
    }

    /** Two lines of which this is equal are the same thing written twice. */
    String same(Line line);

    /** Whether it is here already, so that a file read twice brings nothing twice. */
    boolean here(Line line);

    /**
     * Takes a line in.
     *
     * @throws RuntimeException as the room's door throws it
     */
    Brought take(Line line);

    /**
     * Asked of all lines at once, before any goes back.
     *
     * @throws Problem.Conflict where together they may not
     */
    default void mayGoBack(List<String> handles) {}

    /** Takes back what a line brought. @throws Problem.Conflict where something was done with it since */
    void takeBack(String handle);
}
