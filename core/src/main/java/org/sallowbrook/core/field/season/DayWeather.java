package org.sallowbrook.core.field.season;

import java.time.LocalDate;
import org.sallowbrook.core.measure.Checks;

/**
 * The weather of one day at one place.
 *
 * @param lowC lowest air temperature, degrees Celsius, -60 to 60
 * @param highC highest, not below the lowest
 * @param rainMm 0 to 500
 * @param humidity mean relative humidity, 0 to 1
 */
public record DayWeather(LocalDate day, double lowC, double highC, double rainMm, double humidity) {

    /** Rain that no longer wets the inside of a plant; a working figure of this tool. */
    private static final double DRY_MM = 0.2;

    /** At or above it dew stays on until noon; a working figure of this tool. */
    private static final double DAMP = 0.9;

    public DayWeather {
        Checks.begin()
                .range("lowC", lowC, -60, 60)
                .range("highC", highC, -60, 60)
                .range("rainMm", rainMm, 0, 500)
                .range("humidity", humidity, 0, 1)
                .that(!(highC < lowC), "highC", "must not be below the lowest")
                .done();
    }

    /** The mean of lowest and highest, as degree-days are summed. */
    public double meanC() {
        return (lowC + highC) / 2;
    }

    public boolean frost() {
        return lowC <= 0;
    }

    /** Frozen and thawed within the day, which breaks the cells of a fruit a little more each time. */
    public boolean thawedAfterFrost() {
        return frost() && highC > 0;
    }

    /** Whether what is picked today is dry: no rain today or the day before, and air that dries the dew off. */
    public static boolean dryEnough(DayWeather today, DayWeather before) {
        return today.rainMm <= DRY_MM && before.rainMm <= DRY_MM && today.humidity < DAMP;
    }
}
