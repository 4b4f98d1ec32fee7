package org.sallowbrook.core.planning.year;

import java.util.List;
import java.util.Map;
import org.sallowbrook.core.measure.Checks;

/**
 * What a household has to do it with.
 *
 * @param rackM2 of screens
 * @param hoursPerWeek for walking, picking, and the bench
 * @param walkHours there and back, by walk
 * @param dryMornings share of mornings dry enough to pick on, by month, 1 to 12 in order
 */
public record Means(double rackM2, double hoursPerWeek, Map<String, Double> walkHours, List<Double> dryMornings) {

    public Means {
        Checks checks = Checks.begin()
                .range("rackM2", rackM2, 0, 1000)
                .range("hoursPerWeek", hoursPerWeek, 0, 168)
                .that(dryMornings.size() == 12, "dryMornings", "must be of twelve months");
        dryMornings.forEach(d -> checks.range("dryMornings", d, 0, 1));
        walkHours.values().forEach(h -> checks.range("walkHours", h, 0, 24));
        checks.done();
        walkHours = Map.copyOf(walkHours);
        dryMornings = List.copyOf(dryMornings);
    }

    Means withRack(double m2) {
        return new Means(m2, hoursPerWeek, walkHours, dryMornings);
    }

    Means withHours(double hours) {
        return new Means(rackM2, hours, walkHours, dryMornings);
    }
}
