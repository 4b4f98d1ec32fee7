package org.sallowbrook.core.making.tea;

import java.time.LocalDate;
import java.util.List;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

/** A tea or juice frozen in cubes: how many, how many trays, what is left, until when. Ice takes 9 % more room. */
public final class Freezing {

    private static final double ICE_EXPANDS = 1.09;
    private static final int KEEPS_MONTHS = 6;

    /**
     * @param cubeMl what is poured into each, room left for the ice to grow
     * @param leftOverMl too little for another cube; drink it today
     */
    public record Plan(int cubes, int trays, double cubeMl, double leftOverMl, LocalDate until, List<String> because) {}

    private Freezing() {}

    /**
     * @param holeMl brimful volume of one hole of the tray
     * @param holes in one tray
     */
    public static Plan plan(double volumeMl, double holeMl, int holes, LocalDate on) {
        Checks.begin()
                .range("volumeMl", volumeMl, 1, 100_000)
                .range("cubeMl", holeMl, 1, 1000)
                .range("holes", holes, 1, 1000)
                .done();
        double pour = holeMl / ICE_EXPANDS;
        int cubes = (int) Math.floor(volumeMl / pour + 1e-9);
        double left = Math.max(0, volumeMl - cubes * pour);
        Because because = new Because();
        because.equation("Poured into each", Words.exact(holeMl, "mL") + " / " + Words.exact(ICE_EXPANDS), pour, "mL");
        because.equation(
                "Left over", Words.exact(volumeMl, "mL") + " − " + cubes + " × " + Words.exact(pour, "mL"), left, "mL");
        return new Plan(
                cubes,
                (int) Math.ceil(cubes / (double) holes),
                pour,
                left,
                on.plusMonths(KEEPS_MONTHS),
                because.lines());
    }
}
