package org.sallowbrook.core.drying;

import org.sallowbrook.core.measure.Checks;

/**
 * Equilibrium moisture of dried leaf in air: modified Henderson equation, RH = 1 - exp(-A (T + C) (100 M)^B), M on the
 * dry basis, T in °C.
 *
 * <p>The coefficients are generic, not measured on any one plant: C is that of ASAE D245 for grain, A and B are set so
 * that a leaf holds 12 % (wet basis) at 65 % and 7 % at 35 % relative humidity and 25 °C. They are good to a few
 * hundredths of moisture, enough to tell a rack that cannot finish.
 */
public final class Henderson {

    static final double A = 2.794e-4;
    static final double B = 1.499;
    static final double C = 49.81;

    private Henderson() {}

    /**
     * Equilibrium moisture on the wet basis, as a fraction.
     *
     * @param celsius 0..90
     * @param relativeHumidity 0..0.98
     */
    public static double equilibriumMoisture(double celsius, double relativeHumidity) {
        Checks.begin()
                .range("air.temperatureC", celsius, 0, 90)
                .range("air.relativeHumidity", relativeHumidity, 0, 0.98)
                .done();
        double dryBasis = Math.pow(-Math.log1p(-relativeHumidity) / (A * (celsius + C)), 1 / B) / 100;
        return dryBasis / (1 + dryBasis);
    }
}
