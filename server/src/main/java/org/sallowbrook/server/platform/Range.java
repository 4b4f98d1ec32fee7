package org.sallowbrook.server.platform;

import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;

/** A range on the wire. */
public record Range(Double low, Double high) {

    public static Range of(Interval interval) {
        return new Range(interval.low(), interval.high());
    }

    public Interval interval() {
        return Interval.of(low, high);
    }

    /** As moisture on the wet basis. */
    public Moisture moisture() {
        return Moisture.of(low, high);
    }
}
