package org.sallowbrook.core.planning.year;

import org.sallowbrook.core.drying.RackSpeed;
import org.sallowbrook.core.drying.Way;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;

/**
 * A part of a plant, and what becomes of it between the basket and the jar.
 *
 * @param id of its plant and part
 * @param freshToDry grams fresh to one gram dried, from 1
 * @param dryingDays on the rack
 * @param areaM2PerKg of rack for a kilogram of it fresh
 * @param keepsDays dried, from the day it was picked
 * @param ageingDays from the day it was picked until it may be used
 */
public record Herb(
        String id,
        String name,
        Taxon.Part part,
        Interval freshToDry,
        double dryingDays,
        double areaM2PerKg,
        int keepsDays,
        int ageingDays) {

    public Herb {
        Checks.begin()
                .that(freshToDry.low() >= 1, "freshToDry", "must be 1 or more: nothing gains by drying")
                .range("dryingDays", dryingDays, 0, 60)
                .range("areaM2PerKg", areaM2PerKg, 0, 100)
                .range("keepsDays", keepsDays, 1, 4000)
                .range("ageingDays", ageingDays, 0, 4000)
                .done();
    }

    /** Days on a screen until it is dry, in the middle, before the household's own rack taught more. */
    public static double usualDryingDays(Taxon.Part part) {
        Interval hours = RackSpeed.usual(part, Way.Method.SCREEN).hours();
        return Math.sqrt(hours.low() * hours.high()) / 24;
    }

    /** Hours to pick and look through a kilogram of it fresh: working figures of this tool. */
    double hoursPerKg() {
        return switch (part) {
            case FLOWER, FLOWER_HEAD -> 4;
            case ROOT, BARK, SEED -> 2;
            case LEAF, TOPS, HERB, SHOOT, FRUIT, THALLUS, FRUIT_BODY -> 1;
        };
    }

    double driedG(double freshG) {
        return freshG / freshToDry.mid();
    }
}
