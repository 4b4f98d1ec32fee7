package org.sallowbrook.core.drying;

import java.util.List;
import org.sallowbrook.core.herbarium.Taxon.Part;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Learned;

/**
 * Hours at work until a lot is dry, before anything was weighed. Begins with wide working ranges of this tool by part and way
 * of drying, and moves towards what this household's own rack has taken, by {@link Learned} on the logarithm of the hours;
 * the range counts as two lots.
 *
 * @param hours 90 % band
 * @param lots how many of the household's are in it
 */
public record RackSpeed(Interval hours, int lots) {

    private static final double PRIOR_LOTS = 2;
    private static final double ROOT_TIMES = 1.8;
    private static final double FRUIT_TIMES = 2.5;
    private static final double FAR = 4;

    public RackSpeed {
        Checks.begin().positive("hours.low", hours.low()).done();
    }

    public static RackSpeed usual(Part part, Way.Method method) {
        Interval leaf = switch (method) {
            case SCREEN -> Interval.of(36, 168);
            case HANG -> Interval.of(72, 336);
            case DEHYDRATOR -> Interval.of(4, 24);
            // Warmer than a dehydrator may be, without its fan.
            case OVEN -> Interval.of(3, 36);
        };
        double times = switch (part) {
            case ROOT, BARK, FRUIT_BODY -> ROOT_TIMES;
            case FRUIT -> FRUIT_TIMES;
            default -> 1;
        };
        return new RackSpeed(leaf.times(times), 0);
    }

    /** @param dried hours of earlier lots; what is far outside the range, such as a lot forgotten on the rack, teaches nothing */
    public RackSpeed learn(List<Double> dried) {
        double[] logs = dried.stream()
                .filter(h -> h >= hours.low() / FAR && h <= hours.high() * FAR)
                .mapToDouble(Math::log)
                .toArray();
        Interval band = Learned.band(Interval.of(Math.log(hours.low()), Math.log(hours.high())), PRIOR_LOTS, logs);
        return new RackSpeed(Interval.of(Math.exp(band.low()), Math.exp(band.high())), lots + logs.length);
    }
}
