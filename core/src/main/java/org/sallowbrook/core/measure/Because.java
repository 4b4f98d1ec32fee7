package org.sallowbrook.core.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * The lines by which a reader can do a reckoning again with a pencil. An equation is "what: a × b + c = result", decimal
 * fractions and not per cent in it, so that a test can do it again too.
 */
public final class Because {

    /** The unit of a share of a whole; told in per cent as well. */
    public static final String SHARE = "of 1";

    private final List<String> lines = new ArrayList<>();

    /** A sentence without an equation. */
    public Because say(String sentence) {
        lines.add(sentence);
        return this;
    }

    /**
     * One equation.
     *
     * @param what names the result
     * @param expression of figures written by {@link Words#exact}, with × / + − and brackets
     * @param unit of the result; empty for none
     */
    public Because equation(String what, String expression, double result, String unit) {
        lines.add(what + ": " + expression + " = "
                + (unit.equals(SHARE)
                        ? Words.exact(result) + ", that is " + Words.percent(result)
                        : Words.exact(result, unit)));
        return this;
    }

    /** Two equations, one for each end of an interval; one when they are the same. */
    public Because equation(String what, String low, String high, Interval result, String unit) {
        if (low.equals(high)) {
            return equation(what, low, result.low(), unit);
        }
        equation(what + ", at least", low, result.low(), unit);
        return equation(what + ", at most", high, result.high(), unit);
    }

    public Because addAll(List<String> more) {
        lines.addAll(more);
        return this;
    }

    public List<String> lines() {
        return List.copyOf(lines);
    }
}
