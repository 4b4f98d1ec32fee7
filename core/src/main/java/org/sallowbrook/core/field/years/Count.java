package org.sallowbrook.core.field.years;

import java.time.LocalDate;
import org.sallowbrook.core.measure.Checks;

/**
 * How many plants, or stems where plants can't be told apart, were counted in the same way on one day.
 *
 * @param plants 0 to {@value #MOST}
 * @param drought whether the year was dry enough to be seen on the plants
 * @param pickedByOthers whether others had picked there
 */
public record Count(LocalDate on, int plants, boolean drought, boolean pickedByOthers) {

    public static final int MOST = 1_000_000;

    public Count {
        Checks.begin().range("plants", plants, 0, MOST).done();
    }
}
