package org.sallowbrook.core.drying;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.Part;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/** Room on the rack, bundles, and the hours it was really at work. */
public final class Rack {

    /** A bundle thicker than this at the tie dries too slowly within. */
    public static final double BUNDLE_MOST_CM = 3;

    /** Layout for a mass of fresh material. */
    public record Layout(Interval areaM2, @Nullable Interval trays, List<Finding> findings, List<String> because) {}

    /** A time the rack was turned off, or the lot taken from it. */
    public record Pause(Instant from, Instant to) {
        public Pause {
            Checks.begin()
                    .that(to.isAfter(from), "pause.to", "must be after from")
                    .done();
        }
    }

    private Rack() {}

    /** Fresh mass in kg that one square metre bears in a single layer: working ranges of this tool. */
    static Interval loadingKgPerM2(Part part) {
        return switch (part) {
            case FLOWER, FLOWER_HEAD -> Interval.of(1, 2);
            case TOPS, LEAF, HERB, SHOOT, THALLUS -> Interval.of(1.5, 3);
            case ROOT, BARK, FRUIT, SEED, FRUIT_BODY -> Interval.of(3, 5);
        };
    }

    /** @param trayM2 of one tray; null when not asked */
    public static Layout spread(double freshG, Part part, @Nullable Double trayM2) {
        Checks checks = Checks.begin().positive("freshG", freshG);
        if (trayM2 != null) {
            checks.range("trayM2", trayM2, 0.01, 20);
        }
        checks.done();
        Interval loading = loadingKgPerM2(part);
        Interval area = Interval.of(freshG / 1000 / loading.high(), freshG / 1000 / loading.low());
        Because because = new Because();
        because.equation(
                "Area",
                Words.exact(freshG, "g") + " / 1000 / " + Words.exact(loading.high()),
                Words.exact(freshG, "g") + " / 1000 / " + Words.exact(loading.low()),
                area,
                "m2");
        Interval trays =
                trayM2 == null ? null : Interval.of(Math.ceil(area.low() / trayM2), Math.ceil(area.high() / trayM2));
        return new Layout(
                area,
                trays,
                List.of(Finding.note(
                        "ONE_LAYER", "One layer, air from both sides.", "Turn it daily; never heap it up.")),
                because.lines());
    }

    /** @param tieCm thickness where the bundle is tied */
    public static List<Finding> bundle(double tieCm) {
        Checks.begin().range("tieCm", tieCm, 0.1, 100).done();
        return tieCm > BUNDLE_MOST_CM
                ? List.of(Finding.warn(
                        "BUNDLE_THICK",
                        "A bundle of " + Words.figure(tieCm) + " cm at the tie stays damp within and moulds unseen.",
                        "Make bundles thinner than 3 cm, tied loosely."))
                : List.of();
    }

    /**
     * Hours on the rack at work: time since the start less the pauses, which may overlap.
     *
     * @throws org.sallowbrook.core.measure.InvalidInput when the end lies before the start
     */
    public static double hoursAtWork(Instant start, Instant end, List<Pause> pauses) {
        Checks.begin()
                .that(!end.isBefore(start), "end", "must not be before the start")
                .done();
        List<Pause> sorted = new ArrayList<>(pauses);
        sorted.sort(Comparator.comparing(Pause::from));
        Duration off = Duration.ZERO;
        Instant reached = start;
        for (Pause pause : sorted) {
            Instant from = pause.from().isAfter(reached) ? pause.from() : reached;
            Instant to = pause.to().isBefore(end) ? pause.to() : end;
            if (to.isAfter(from)) {
                off = off.plus(Duration.between(from, to));
                reached = to;
            }
        }
        return Duration.between(start, end).minus(off).toMillis() / 3_600_000.0;
    }
}
