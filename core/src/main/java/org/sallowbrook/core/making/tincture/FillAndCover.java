package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.vessel.HerbRoom;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * A tincture by eye: the jar is filled with herb and spirit poured over it. Everything is an interval, because only the
 * jar and how full it was packed are known.
 *
 * <p>menstruum = 0.95 jar - herb volume; herb volume = herb (w / 0.998 + (1 - w) / 1.5).
 */
public final class FillAndCover {

    /** A figure known to within this share, as by weighing the herb, is what the interval is compared with. */
    private static final double WEIGHED_WITHIN = 0.01;

    /**
     * @param jarMl brimful
     * @param fillFraction of the jar that the loose herb fills, above 0 to 1
     */
    public record Recipe(
            double jarMl, double fillFraction, Interval bulkDensityGPerMl, Strength strength, Moisture moisture) {
        public Recipe {
            Checks.begin()
                    .positive("jarMl", jarMl)
                    .that(fillFraction > 0 && fillFraction <= 1, "fillFraction", "must be above 0 and at most 1")
                    .positive("bulkDensityGPerMl.low", bulkDensityGPerMl.low())
                    .range("bulkDensityGPerMl.high", bulkDensityGPerMl.high(), 0, 1.5)
                    .that(strength.fraction() > 0, "strengthPercent", "must be above 0")
                    .done();
        }
    }

    /**
     * @param ratio mL of menstruum per g of herb
     * @param narrowerBy how many times narrower the ratio would be if the herb were weighed
     */
    public record Plan(
            Interval herbG, Interval menstruumMl, Interval ratio, Interval finalFraction, double narrowerBy) {}

    public record Result(@Nullable Plan plan, List<Finding> findings, List<String> because) {}

    /** One corner of the uncertainty. */
    private record Corner(double herbG, double moisture, double menstruumMl, double finalFraction) {
        static Corner of(Recipe r, double herbG, double moisture) {
            double menstruum = room(r) - HerbRoom.millilitres(herbG, moisture);
            return new Corner(
                    herbG,
                    moisture,
                    menstruum,
                    menstruum > 0
                            ? Tincture.afterPlantWater(menstruum, r.strength(), herbG * moisture)
                                    .strength()
                                    .fraction()
                            : 0);
        }

        double ratio() {
            return menstruumMl / herbG;
        }
    }

    private FillAndCover() {}

    private static double room(Recipe r) {
        return Tincture.JAR_FILL * r.jarMl();
    }

    public static Result plan(Recipe r) {
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        Interval herb = r.bulkDensityGPerMl().times(r.jarMl() * r.fillFraction());
        String filled = Words.exact(r.jarMl(), "mL") + " × " + Words.exact(r.fillFraction()) + " × ";
        because.equation(
                "Herb",
                filled + Words.exact(r.bulkDensityGPerMl().low(), "g/mL"),
                filled + Words.exact(r.bulkDensityGPerMl().high(), "g/mL"),
                herb,
                "g");
        because.equation(
                "Filled to", Words.exact(r.jarMl(), "mL") + " × " + Words.exact(Tincture.JAR_FILL), room(r), "mL");
        List<Corner> corners = new ArrayList<>();
        for (double g : new double[] {herb.low(), herb.high()}) {
            for (double w : new double[] {r.moisture().low(), r.moisture().high()}) {
                Corner corner = Corner.of(r, g, w);
                if (!(corner.menstruumMl() > 0)) {
                    findings.add(Finding.stop(
                            "NO_ROOM_FOR_SPIRIT",
                            "Packed like this the herb may fill the jar and leave no room for spirit.",
                            "Pack less, or take a larger jar."));
                    return new Result(null, findings, because.lines());
                }
                corners.add(corner);
            }
        }
        Interval menstruum = over(corners, Corner::menstruumMl);
        Interval ratio = over(corners, Corner::ratio);
        Interval strength = over(corners, Corner::finalFraction);
        because.equation(
                "Menstruum",
                spirit(r, herb.high(), menstruum.low(), corners),
                spirit(r, herb.low(), menstruum.high(), corners),
                menstruum,
                "mL");
        because.say("Its own water brings it to " + Words.range(strength.times(100), "% vol")
                + " (mixed by mass, OIML R 22).");
        findings.addAll(Tincture.strengthFindings(strength));
        double weighed = 2 * WEIGHED_WITHIN * ratio.mid();
        double narrower = Math.max(1, (ratio.high() - ratio.low()) / weighed);
        findings.add(Finding.note(
                "WEIGH_INSTEAD",
                "By eye the ratio may be anything from 1:" + Words.figure(ratio.low()) + " to 1:"
                        + Words.figure(ratio.high()) + "; weighing the herb to 1 % would make that about "
                        + Words.figure(narrower) + " times narrower.",
                "Weigh the herb before it goes into the jar."));
        return new Result(new Plan(herb, menstruum, ratio, strength, narrower), findings, because.lines());
    }

    private static String spirit(Recipe r, double herbG, double menstruumMl, List<Corner> corners) {
        double moisture = corners.stream()
                .filter(c -> c.herbG() == herbG && c.menstruumMl() == menstruumMl)
                .mapToDouble(Corner::moisture)
                .findFirst()
                .orElseThrow();
        return Words.exact(room(r), "mL") + " − " + Words.exact(herbG, "g") + " × (" + Words.exact(moisture) + " / "
                + Words.exact(HerbRoom.WATER_G_PER_ML) + " + " + Words.exact(1 - moisture) + " / "
                + Words.exact(HerbRoom.SOLID_G_PER_ML) + ")";
    }

    private static Interval over(List<Corner> corners, java.util.function.ToDoubleFunction<Corner> figure) {
        var summary = corners.stream().mapToDouble(figure).summaryStatistics();
        return Interval.of(summary.getMin(), summary.getMax());
    }
}
