package org.sallowbrook.core.measure;

/** What an amount on the shelf is counted in. */
public enum Unit {
    G("g"),
    ML("mL");

    private final String symbol;

    Unit(String symbol) {
        this.symbol = symbol;
    }

    /** As it is printed: g, mL. */
    public String symbol() {
        return symbol;
    }

    /** @throws InvalidInput for any other symbol */
    public static Unit of(String symbol) {
        for (Unit unit : values()) {
            if (unit.symbol.equals(symbol)) {
                return unit;
            }
        }
        throw new InvalidInput(java.util.List.of(new InvalidInput.Violation("unit", "must be g or mL")));
    }
}
