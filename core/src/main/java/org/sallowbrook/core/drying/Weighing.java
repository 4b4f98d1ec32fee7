package org.sallowbrook.core.drying;

import org.sallowbrook.core.measure.Checks;

/** @param rackHours hours on the rack at work since the start, pauses left out */
public record Weighing(double rackHours, double massG) {
    public Weighing {
        Checks.begin()
                .notNegative("rackHours", rackHours)
                .positive("massG", massG)
                .done();
    }
}
