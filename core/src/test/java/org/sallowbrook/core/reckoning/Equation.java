package org.sallowbrook.core.reckoning;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.objecthunter.exp4j.ExpressionBuilder;

/** A printed line "what: expression = result unit", done again as a reader with a pencil would. */
record Equation(String what, String expression, double printed, String unit) {

    private static final Pattern LINE = Pattern.compile("(.+): ([^:]+) = (−?[\\d.]+) ?(.*)");
    private static final Pattern UNITS = Pattern.compile("(?<=\\d) (mL/min|mL/g|g/mL|mL|mg|kg|g|min|h)(?=$|[ )])");
    private static final Pattern NUMBER = Pattern.compile("\\d+(\\.\\d+)?");

    static Optional<Equation> of(String line) {
        Matcher m = LINE.matcher(line);
        return m.matches()
                ? Optional.of(new Equation(
                        m.group(1), m.group(2), Double.parseDouble(m.group(3).replace('−', '-')), m.group(4)))
                : Optional.empty();
    }

    static List<Equation> all(List<String> lines) {
        return lines.stream().map(Equation::of).flatMap(Optional::stream).toList();
    }

    private String plain() {
        return UNITS.matcher(expression).replaceAll("").replace('×', '*').replace('−', '-');
    }

    double doneAgain() {
        return new ExpressionBuilder(plain()).build().evaluate();
    }

    /** Six places are printed: the largest figure's rounding is what a pencil may be out by. */
    double roundingError() {
        double largest = Math.abs(printed);
        Matcher m = NUMBER.matcher(plain());
        while (m.find()) {
            largest = Math.max(largest, Double.parseDouble(m.group()));
        }
        return 2e-5 * largest;
    }
}
