package org.sallowbrook.server.measure;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.measure.MetricPrefix;
import javax.measure.Unit;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import systems.uom.common.USCustomary;
import tech.units.indriya.quantity.Quantities;
import tech.units.indriya.unit.Units;

/**
 * What somebody typed, such as "1 1/2 cups", "86 proof", "2 oz" or "104 °F", in the core's unit. Factors are those of Indriya
 * and systems-common; this only reads the text.
 *
 * @param value in the unit of {@code quantity}
 * @param read what was understood, to be shown beside the field
 */
record TypedAmount(Quantity quantity, double value, String read) {

    /** What is asked for, with the core's unit. */
    enum Quantity {
        MASS("g"),
        VOLUME("mL"),
        STRENGTH("% vol"),
        TEMPERATURE("°C");

        private final String unit;

        Quantity(String unit) {
            this.unit = unit;
        }

        String unit() {
            return unit;
        }
    }

    private static final int LONGEST = 60;
    private static final double LARGEST = 1e9;

    private static final Pattern TEXT = Pattern.compile("(?<whole>[-+]?\\d+(?:[.,]\\d+)?)?"
            + "(?:\\s*(?<vulgar>[½⅓⅔¼¾⅛⅜⅝⅞])|(?<=\\d)\\s+(?<top>\\d+)\\s*[/⁄]\\s*(?<bottom>\\d+)|\\s*[/⁄]\\s*(?<under>\\d+))?"
            + "\\s*(?<unit>[^\\d]*)");

    /** 1,500 is one and a half to some, fifteen hundred to others. */
    private static final Pattern THOUSANDS = Pattern.compile("[-+]?[1-9]\\d{0,2}[.,]\\d{3}");

    private static final Map<String, Double> VULGAR = Map.of(
            "½", 0.5, "⅓", 1.0 / 3, "⅔", 2.0 / 3, "¼", 0.25, "¾", 0.75, "⅛", 0.125, "⅜", 0.375, "⅝", 0.625, "⅞", 0.875);

    private static final Map<String, Unit<?>> MASSES = Map.ofEntries(
            Map.entry("g", Units.GRAM),
            Map.entry("gram", Units.GRAM),
            Map.entry("gramme", Units.GRAM),
            Map.entry("mg", MetricPrefix.MILLI(Units.GRAM)),
            Map.entry("milligram", MetricPrefix.MILLI(Units.GRAM)),
            Map.entry("kg", Units.KILOGRAM),
            Map.entry("kilogram", Units.KILOGRAM),
            Map.entry("kilo", Units.KILOGRAM),
            Map.entry("oz", USCustomary.OUNCE),
            Map.entry("ounce", USCustomary.OUNCE),
            Map.entry("lb", USCustomary.POUND),
            Map.entry("pound", USCustomary.POUND));

    /**
     * @param kitchen whose cups, spoons and pints are meant
     * @throws InvalidInput saying what could not be read
     */
    static TypedAmount parse(String text, Quantity wanted, Kitchen kitchen) {
        Checks.begin()
                .that(!text.isBlank() && text.length() <= LONGEST, "text", "must have 1 to " + LONGEST + " letters")
                .done();
        Matcher m = TEXT.matcher(text.strip());
        if (!m.matches()) {
            throw cannot(text, "it has more than one number, or none at the start");
        }
        double amount = amount(m, text);
        String unit = m.group("unit").strip();
        double value = switch (wanted) {
            case MASS -> in(amount, mass(unit, text), Units.GRAM);
            case VOLUME -> in(amount, volume(unit, kitchen, text), MetricPrefix.MILLI(Units.LITRE));
            case STRENGTH -> strength(amount, unit, text);
            case TEMPERATURE -> temperature(amount, unit, text);
        };
        if (wanted != Quantity.TEMPERATURE && !(value >= 0 && value <= LARGEST)) {
            throw cannot(text, "it must be at least 0 and not absurdly large");
        }
        return new TypedAmount(wanted, value, text.strip() + " = " + Words.exact(value, wanted.unit()));
    }

    private static double amount(Matcher m, String text) {
        String whole = m.group("whole");
        String vulgar = m.group("vulgar");
        if (whole == null && vulgar == null) {
            throw cannot(text, "it has no number");
        }
        if (whole != null && THOUSANDS.matcher(whole).matches()) {
            String plain = whole.replaceAll("[.,]", "");
            throw cannot(
                    text,
                    "it may mean " + Double.parseDouble(whole.replace(',', '.')) + " or " + plain + "; write " + plain
                            + " for the large one, and one more 0 behind the point for the small one");
        }
        double value = whole == null ? 0 : Double.parseDouble(whole.replace(',', '.'));
        boolean fraction = vulgar != null || m.group("top") != null || m.group("under") != null;
        if (fraction && whole != null && !whole.matches("\\d+")) {
            throw cannot(text, "a fraction follows a whole number only");
        }
        if (m.group("under") != null) {
            return over(value, m.group("under"), text);
        }
        if (m.group("top") != null) {
            return value + over(Double.parseDouble(m.group("top")), m.group("bottom"), text);
        }
        return vulgar == null ? value : value + VULGAR.getOrDefault(vulgar, 0.0);
    }

    private static double over(double top, String bottom, String text) {
        double divisor = Double.parseDouble(bottom);
        if (!(divisor > 0)) {
            throw cannot(text, "nothing is divided by 0");
        }
        return top / divisor;
    }

    private static Unit<?> mass(String unit, String text) {
        Unit<?> known = unit.isEmpty() ? Units.GRAM : MASSES.get(plain(unit));
        if (known == null) {
            throw cannot(text, "a weight is given in g, kg, mg, oz or lb");
        }
        return known;
    }

    private static Unit<?> volume(String unit, Kitchen kitchen, String text) {
        if (unit.isEmpty()) {
            return MetricPrefix.MILLI(Units.LITRE);
        }
        String name = plain(unit);
        // An ounce of liquid is a fluid ounce.
        String liquid = name.equals("oz") || name.equals("ounce") ? "floz" : name;
        Unit<?> known = kitchen.volume(liquid);
        if (known == null) {
            throw cannot(
                    text,
                    "a volume is given in mL, cL, dL, L, tsp, tbsp or cups"
                            + (kitchen == Kitchen.METRIC
                                    ? "; for ounces, pints, quarts and gallons say whether US or imperial"
                                    : ", fl oz, pints, quarts or gallons"));
        }
        return known;
    }

    private static double strength(double amount, String unit, String text) {
        String name = plain(unit).replace(".", "");
        Double percent = switch (name) {
            case "", "%", "%vol", "vol%", "%abv", "abv", "%alc", "%alcvol", "percent" -> amount;
            case "proof", "usproof", "proofus", "°proof" ->
                Strength.ofUsProof(amount).percent();
            case "ukproof", "proofuk", "imperialproof", "°ukproof" ->
                Strength.ofUkProof(amount).percent();
            default -> null;
        };
        if (percent == null) {
            throw cannot(text, "a strength is given in % vol, proof or UK proof");
        }
        return Strength.ofPercent(percent).percent();
    }

    private static double temperature(double amount, String unit, String text) {
        Unit<?> known = switch (plain(unit).replace("°", "").replace("º", "")) {
            case "", "c", "celsius" -> Units.CELSIUS;
            case "f", "fahrenheit" -> USCustomary.FAHRENHEIT;
            case "k", "kelvin" -> Units.KELVIN;
            default -> null;
        };
        if (known == null) {
            throw cannot(text, "a temperature is given in °C, °F or K");
        }
        double celsius = in(amount, known, Units.CELSIUS);
        if (celsius < -273.15) {
            throw cannot(text, "nothing is colder than −273.15 °C");
        }
        return celsius;
    }

    /** Lower case, singular, without blanks: "Fluid Ounces" as "fluidounce". */
    private static String plain(String unit) {
        String name = unit.toLowerCase(Locale.ROOT).replaceAll("[\\s.]", "");
        return name.length() > 2 && name.endsWith("s") && !name.endsWith("celsius")
                ? name.substring(0, name.length() - 1)
                : name;
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static double in(double amount, Unit<?> from, Unit<?> to) {
        return Quantities.getQuantity(amount, (Unit) from)
                .to((Unit) to)
                .getValue()
                .doubleValue();
    }

    private static InvalidInput cannot(String text, @Nullable String why) {
        return new InvalidInput(java.util.List.of(
                new InvalidInput.Violation("text", "\"" + text.strip() + "\" can't be read: " + why)));
    }
}
