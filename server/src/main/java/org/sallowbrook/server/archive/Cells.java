package org.sallowbrook.server.archive;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.time.format.ResolverStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.measure.MetricPrefix;
import javax.measure.Unit;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.ListIn.Column;
import systems.uom.common.USCustomary;
import tech.units.indriya.quantity.Quantities;
import tech.units.indriya.unit.Units;

/** What stands in the cells of a table, in the columns' kinds and units; what can't be understood is said, not guessed. */
final class Cells {

    /** Whether 3/4 is a day in April or in March. */
    enum Days {
        DAY_FIRST,
        MONTH_FIRST
    }

    /** How numbers and days of a file are written. @param days null while nobody has said, and both may be */
    record Written(Lists.Decimal decimal, @Nullable Days days) {}

    /** What is wrong with a cell, in words that follow the column's name. */
    static final class Unread extends Exception {
        private static final long serialVersionUID = 1L;

        Unread(String message) {
            super(message);
        }
    }

    /** @param unit as written behind the name; empty for none */
    record Heading(String name, String unit) {

        private static final Pattern WITH_UNIT = Pattern.compile("(.*?)\\s*(?:,\\s*|\\(|\\[)([^)\\]]*)[)\\]]?\\s*");

        static Heading of(String text) {
            Matcher m = WITH_UNIT.matcher(text);
            return m.matches() && !m.group(1).isBlank()
                    ? new Heading(m.group(1), m.group(2).strip())
                    : new Heading(text, "");
        }

        boolean means(Column column) {
            return plain(name).equals(plain(column.words()))
                    || plain(name).equals(plain(column.key()))
                    || column.alsoCalled().stream().anyMatch(a -> plain(name).equals(plain(a)));
        }
    }

    private static final Map<String, Unit<?>> UNITS = Map.ofEntries(
            Map.entry("g", Units.GRAM),
            Map.entry("gram", Units.GRAM),
            Map.entry("kg", Units.KILOGRAM),
            Map.entry("mg", MetricPrefix.MILLI(Units.GRAM)),
            Map.entry("oz", USCustomary.OUNCE),
            Map.entry("lb", USCustomary.POUND),
            Map.entry("ml", MetricPrefix.MILLI(Units.LITRE)),
            Map.entry("cl", MetricPrefix.CENTI(Units.LITRE)),
            Map.entry("dl", MetricPrefix.DECI(Units.LITRE)),
            Map.entry("l", Units.LITRE),
            Map.entry("litre", Units.LITRE),
            Map.entry("liter", Units.LITRE),
            Map.entry("m", Units.METRE),
            Map.entry("metre", Units.METRE),
            Map.entry("meter", Units.METRE),
            Map.entry("km", MetricPrefix.KILO(Units.METRE)),
            Map.entry("cm", MetricPrefix.CENTI(Units.METRE)),
            Map.entry("mm", MetricPrefix.MILLI(Units.METRE)),
            Map.entry("ft", USCustomary.FOOT),
            Map.entry("feet", USCustomary.FOOT),
            Map.entry("in", USCustomary.INCH),
            Map.entry("inch", USCustomary.INCH),
            Map.entry("°c", Units.CELSIUS),
            Map.entry("c", Units.CELSIUS),
            Map.entry("°f", USCustomary.FAHRENHEIT),
            Map.entry("f", USCustomary.FAHRENHEIT));

    /** Of columns that have no other unit. */
    private static final Map<String, Set<String>> SAME = Map.of(
            "%", Set.of("%", "percent", "%vol", "%abv", "vol%"),
            "°", Set.of("°", "degree", "degreesnorth", "degreeseast", "n", "e"),
            "", Set.of());

    private static final Pattern NUMBER = Pattern.compile("([-+−]?\\s*[0-9]+(?:[.,][0-9]+)*)\\s*([^0-9.,]*)");
    /** Fifteen hundred to some, one and a half to others; degrees have no thousands. */
    private static final Pattern THOUSANDS = Pattern.compile("[-+−]?[1-9][0-9]{0,2}[.,][0-9]{3}");

    private static final Pattern PARTED = Pattern.compile("([0-9]{1,2})[/.-]([0-9]{1,2})[/.-]([0-9]{4})");
    private static final Pattern YEAR_FIRST = Pattern.compile("([0-9]{4})[-/.]([0-9]{1,2})[-/.]([0-9]{1,2})");

    private static final List<DateTimeFormatter> NAMED = List.of(named("d MMM uuuu"), named("d MMMM uuuu"));

    private static final int FIRST_YEAR = 1880;
    private static final int LAST_YEAR = 2200;

    private static final Set<String> YES = Set.of("yes", "y", "true", "x", "1", "✓");
    private static final Set<String> NO = Set.of("no", "n", "false", "0", "-");

    private final Written written;

    Cells(Written written) {
        this.written = written;
    }

    private static DateTimeFormatter named(String pattern) {
        return new DateTimeFormatterBuilder()
                .parseCaseInsensitive()
                .appendPattern(pattern)
                .toFormatter(Locale.UK)
                .withResolverStyle(ResolverStyle.STRICT);
    }

    /** Lower case, without blanks and signs, singular. */
    private static String plain(String text) {
        String name = text.toLowerCase(Locale.ROOT).replaceAll("[\\s_.\\-]", "");
        return name.length() > 3 && name.endsWith("s") ? name.substring(0, name.length() - 1) : name;
    }

    /** A day that both ways may be, such as 3/4/2026. */
    static boolean eitherWay(String text) {
        Matcher m = PARTED.matcher(text.strip());
        return m.matches()
                && text.indexOf('.') < 0
                && Integer.parseInt(m.group(1)) <= 12
                && Integer.parseInt(m.group(2)) <= 12
                && !m.group(1).equals(m.group(2));
    }

    /** Which way the days of a file are written, where one of them can be read in one way only. */
    static @Nullable Days way(String text) {
        Matcher m = PARTED.matcher(text.strip());
        if (!m.matches()) {
            return null;
        }
        return text.indexOf('.') >= 0 || Integer.parseInt(m.group(1)) > 12
                ? Days.DAY_FIRST
                : Integer.parseInt(m.group(2)) > 12 ? Days.MONTH_FIRST : null;
    }

    /** @return null where nothing stands in it */
    @Nullable
    Object read(Column column, Heading heading, String cell) throws Unread {
        // What a spreadsheet would have run was made harmless by this mark as it was written.
        String text =
                cell.length() > 1 && cell.charAt(0) == '\'' ? cell.substring(1).strip() : cell;
        if (text.isBlank()) {
            return null;
        }
        return switch (column.kind()) {
            case TEXT -> text(text);
            case NUMBER -> number(column, heading, text);
            case WHOLE -> whole(text);
            case DAY -> day(text);
            case YES_NO -> yes(text);
            case CHOICE -> choice(column, text);
        };
    }

    private static String text(String text) throws Unread {
        if (text.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t')) {
            throw new Unread("holds a letter that can't be seen; type it again");
        }
        return text;
    }

    private double number(Column column, Heading heading, String text) throws Unread {
        Matcher m = NUMBER.matcher(text);
        if (!m.matches()) {
            throw new Unread("must be a number, and is “" + text + "”");
        }
        if (!column.unit().equals("°") && THOUSANDS.matcher(m.group(1)).matches()) {
            throw new Unread("may be two numbers, “" + text + "”: write it without a mark for thousands, or without the"
                    + " last nought");
        }
        double value = decimal(m.group(1), text);
        String unit = m.group(2).isBlank() ? heading.unit() : m.group(2).strip();
        return unit.isEmpty() ? value : in(value, unit, column);
    }

    private double decimal(String digits, String text) throws Unread {
        boolean comma = written.decimal() == Lists.Decimal.COMMA;
        String plain = digits.replace('−', '-').replaceAll("\\s", "");
        if (plain.indexOf(comma ? '.' : ',') >= 0
                || plain.indexOf(comma ? ',' : '.') != plain.lastIndexOf(comma ? ',' : '.')) {
            throw new Unread("must be a number as they are written here, such as " + (comma ? "1,5" : "1.5")
                    + ", and is “" + text + "”");
        }
        double value = Double.parseDouble(plain.replace(',', '.'));
        if (!Double.isFinite(value)) {
            throw new Unread("must be a finite number");
        }
        return value;
    }

    private static double in(double value, String unit, Column column) throws Unread {
        String name = plain(unit);
        if (SAME.getOrDefault(column.unit(), Set.of()).contains(name)) {
            return value;
        }
        Unit<?> from = UNITS.get(name);
        Unit<?> to = UNITS.get(plain(column.unit()));
        if (from == null || to == null || !from.isCompatible(to)) {
            throw new Unread(
                    column.unit().isEmpty()
                            ? "has no unit, and “" + unit + "” stands with it"
                            : "is wanted in " + column.unit() + ", and “" + unit + "” can't be turned into it");
        }
        return from.equals(to) ? value : turned(value, from, to);
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static double turned(double value, Unit<?> from, Unit<?> to) {
        return Quantities.getQuantity(value, (Unit) from)
                .to((Unit) to)
                .getValue()
                .doubleValue();
    }

    private static int whole(String text) throws Unread {
        try {
            return Integer.parseInt(text.replaceAll("[.,]0{1,2}$", ""));
        } catch (NumberFormatException e) {
            throw new Unread("must be a whole number, and is “" + text + "”");
        }
    }

    private LocalDate day(String text) throws Unread {
        try {
            LocalDate day = dayOf(text);
            if (day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR) {
                return day;
            }
        } catch (DateTimeException e) {
            // Said below.
        }
        throw new Unread("must be a day with its whole year, such as 2026-06-30, and is “" + text + "”");
    }

    private LocalDate dayOf(String text) throws Unread {
        Matcher m = YEAR_FIRST.matcher(text);
        if (m.matches()) {
            return LocalDate.of(number(m, 1), number(m, 2), number(m, 3));
        }
        m = PARTED.matcher(text);
        if (m.matches()) {
            Days days = text.indexOf('.') >= 0 ? Days.DAY_FIRST : written.days();
            if (days == null) {
                throw new Unread(
                        "may be two days, “" + text + "”: say above whether the day or the month stands first");
            }
            return days == Days.DAY_FIRST
                    ? LocalDate.of(number(m, 3), number(m, 2), number(m, 1))
                    : LocalDate.of(number(m, 3), number(m, 1), number(m, 2));
        }
        for (DateTimeFormatter format : NAMED) {
            try {
                return LocalDate.parse(text.replace('-', ' '), format);
            } catch (DateTimeParseException e) {
                // Perhaps the next.
            }
        }
        throw new DateTimeException(text);
    }

    private static int number(Matcher m, int group) {
        return Integer.parseInt(m.group(group));
    }

    private static boolean yes(String text) throws Unread {
        String word = text.toLowerCase(Locale.ROOT);
        if (YES.contains(word) || NO.contains(word)) {
            return YES.contains(word);
        }
        throw new Unread("must be yes or no, and is “" + text + "”");
    }

    private static String choice(Column column, String text) throws Unread {
        return column.choices().stream()
                .filter(c -> plain(c).equals(plain(text)))
                .findFirst()
                .orElseThrow(() -> new Unread("must be one of "
                        + String.join(
                                ", ",
                                column.choices().stream().map(Cells::words).toList())
                        + ", and is “" + text + "”"));
    }

    private static String words(String choice) {
        return choice.toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
