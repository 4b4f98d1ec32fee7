package org.sallowbrook.core.drying;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.Part;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;

/**
 * How a lot is made ready and laid out. The household's schools are the default, every lot may differ.
 *
 * <p>Water that clings to washed herb: up to 0.15 g to 1 g of herb after patting; a bundle of 3 cm at the tie holds 40 to 80 g
 * of fresh herb; a dehydrator's tray 0.1 m2; an oven's knob 20 degrees off: working figures of this tool.
 */
public record Way(Method method, boolean washed, boolean strippedBefore) {

    private static final double CLINGS = 0.15;
    private static final Interval BUNDLE_G = Interval.of(40, 80);
    private static final double TRAY_M2 = 0.1;

    public enum Method {
        SCREEN,
        HANG,
        DEHYDRATOR,
        /** At its lowest, the door ajar; no fan is counted on. */
        OVEN
    }

    /** By the household's schools; a root is always washed, and what can't hang lies on a screen. */
    public static Way usual(Part part, Schools schools) {
        Method method = switch (schools.of(Question.DRYING)) {
            case HANG -> hangs(part) ? Method.HANG : Method.SCREEN;
            case DEHYDRATOR -> Method.DEHYDRATOR;
            default -> Method.SCREEN;
        };
        return new Way(
                method,
                part == Part.ROOT || schools.of(Question.WASHING) == School.WASH,
                schools.of(Question.STRIPPING) == School.STRIP_BEFORE);
    }

    /** Whether it has a stem to be tied by. */
    public static boolean hangs(Part part) {
        return part == Part.LEAF || part == Part.HERB || part == Part.TOPS || part == Part.FLOWER_HEAD;
    }

    /** Whether leaf can be stripped from it. */
    public static boolean strips(Part part) {
        return part == Part.LEAF || part == Part.HERB || part == Part.TOPS;
    }

    /** @throws org.sallowbrook.core.measure.InvalidInput for a part that has nothing to be tied by */
    public void fits(Part part) {
        Checks.begin()
                .that(
                        method != Method.HANG || hangs(part) && !strippedBefore,
                        "method",
                        "must be a screen, a dehydrator or an oven: it has no stem to be tied by")
                .done();
    }

    /** Of the herb as it was picked, what is laid out holds: the water that clings to washed herb dries off as well. */
    public Moisture moisture(Moisture picked) {
        return washed
                ? Moisture.of(picked.low(), Math.min(Moisture.MOST, 1 - (1 - picked.high()) / (1 + CLINGS)))
                : picked;
    }

    /**
     * @param bundles how many; null where nothing hangs
     * @param trays of a dehydrator; null elsewhere
     */
    public record Layout(
            Interval areaM2,
            @Nullable Interval bundles,
            @Nullable Interval trays) {}

    public Layout layout(double freshG, Part part) {
        Interval area = Rack.spread(freshG, part, null).areaM2();
        return new Layout(
                area,
                method == Method.HANG
                        ? Interval.of(Math.ceil(freshG / BUNDLE_G.high()), Math.ceil(freshG / BUNDLE_G.low()))
                        : null,
                method == Method.DEHYDRATOR
                        ? Interval.of(Math.ceil(area.low() / TRAY_M2), Math.ceil(area.high() / TRAY_M2))
                        : null);
    }

    /** What to do, a line each. */
    public List<String> howTo(double freshG, Part part) {
        List<String> lines = new ArrayList<>();
        lines.add(
                washed
                        ? "Wash it, shake it and pat it dry: every drop has to be dried off again."
                        : "Shake and brush it; do not wash it. What is dirty stays behind.");
        if (strips(part)) {
            lines.add(
                    strippedBefore
                            ? "Strip the leaf from the stem now; it dries faster, and bruises more easily."
                            : "Leave the leaf on the stem: the stem shows when it is dry, it snaps.");
        }
        Layout layout = layout(freshG, part);
        Interval bundles = layout.bundles();
        Interval trays = layout.trays();
        if (bundles != null) {
            lines.add("Hang it in " + Words.range(bundles, "bundles") + ", thinner than "
                    + Words.figure(Rack.BUNDLE_MOST_CM) + " cm at the tie, tied loosely; look into them every day.");
        } else if (trays != null) {
            lines.add("In the dehydrator, one layer a tray: about " + Words.range(layout.areaM2(), "m²") + ", "
                    + Words.range(trays, "trays") + " of " + Words.figure(TRAY_M2)
                    + " m²; keep to the temperature below.");
        } else if (method == Method.OVEN) {
            lines.add(
                    "In the oven at its lowest with the door held ajar, so that the steam goes out: on a grid or cloth in one"
                            + " layer, about " + Words.range(layout.areaM2(), "m²")
                            + " in all. Lay a thermometer beside the herb: what"
                            + " the knob says may be 20 °C off. Turn it and look every half hour; never leave it alone.");
        } else {
            lines.add("On a screen in one layer, about " + Words.range(layout.areaM2(), "m²") + "; turn it daily.");
        }
        return lines;
    }

    /** What the air at the rack does to it; empty where nothing is wrong. */
    public List<Finding> air(Drying.@Nullable Air air, Temperature temperature) {
        List<Finding> findings = new ArrayList<>();
        if (air == null) {
            if (method == Method.OVEN) {
                findings.add(Finding.warn(
                        "OVEN_UNMEASURED",
                        "Nobody has said how warm the oven is beside the herb.",
                        "Lay a thermometer in and note it: the lowest mark of many ovens is above the "
                                + Words.figure(temperature.mostC()) + " °C that this herb bears while it is wet."));
            }
            return findings;
        }
        if (air.temperatureC() > temperature.mostC()) {
            findings.add(Finding.trifle(
                    "TOO_HOT",
                    Words.figure(air.temperatureC()) + " °C is above the " + Words.figure(temperature.mostC())
                            + " °C that it bears while it is wet.",
                    "Turn it down to " + Words.range(temperature.nominalC(), "°C")
                            + "; what flew off does not come back."));
        } else if (method == Method.DEHYDRATOR
                && air.temperatureC() < temperature.nominalC().low() - LOW_BY_C) {
            findings.add(Finding.note(
                    "DEHYDRATOR_COOL",
                    "At " + Words.figure(air.temperatureC()) + " °C the dehydrator is no faster than a warm room.",
                    "Set it to " + Words.range(temperature.nominalC(), "°C") + "."));
        }
        return findings;
    }

    private static final double LOW_BY_C = 5;
}
