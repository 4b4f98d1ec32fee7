package org.sallowbrook.core.making.salve;

import org.sallowbrook.core.measure.Checks;

/**
 * A wax, and how it compares with beeswax.
 *
 * @param factor share needed where beeswax would be 1; 0.1..2
 * @param slopePerC share of beeswax more for each degree of storage above 20 °C; 0..0.02
 * @param source where factor and slope come from, in words
 */
public record Wax(String name, double factor, double slopePerC, String source) {
    public Wax {
        Checks.begin()
                .range("factor", factor, 0.1, 2)
                .range("slopePerC", slopePerC, 0, 0.02)
                .done();
    }
}
