package org.sallowbrook.core.drying;

import org.sallowbrook.core.measure.Checks;

/**
 * How damp outside air is once it is warmed indoors and nothing is added to it: the water in it stays, what it could hold grows.
 *
 * <p>Saturation vapour pressure over water e(t) = 6.112 exp(17.62 t / (243.12 + t)) hPa, t in degrees Celsius, -45 to 60: WMO-No.
 * 8, Guide to Meteorological Instruments and Methods of Observation (2014), annex 4.B.
 */
public final class IndoorAir {

    private IndoorAir() {}

    /**
     * @param outsideC -45 to 60
     * @param humidity of the air outside, 0 to 1
     * @param insideC -45 to 60
     * @return relative humidity inside, at most 1: what is more than that drips
     */
    public static double humidity(double outsideC, double humidity, double insideC) {
        Checks.begin()
                .range("outsideC", outsideC, -45, 60)
                .range("humidity", humidity, 0, 1)
                .range("insideC", insideC, -45, 60)
                .done();
        return Math.min(1, humidity * saturation(outsideC) / saturation(insideC));
    }

    private static double saturation(double t) {
        return 6.112 * Math.exp(17.62 * t / (243.12 + t));
    }
}
