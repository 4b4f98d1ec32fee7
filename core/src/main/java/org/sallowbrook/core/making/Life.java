package org.sallowbrook.core.making;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.shelf.Keeping;

/**
 * How long something made keeps.
 *
 * @param form whose life it has
 * @param mostDays a life that the plan found shorter than the form's own, as of a weak tincture; null for none
 * @param inputs whose dates carry over, as an oil's
 * @param hours where it is counted in hours from the end of the heat; null where in days
 */
public record Life(
        Keeping.Form form,
        @Nullable Integer mostDays,
        List<Keeping.Input> inputs,
        @Nullable Hours hours) {

    /**
     * @param room at room temperature, 0 where it must be chilled at once
     * @param cold in the refrigerator
     * @param afterMinutes when these hours begin, from the start: as a rule when the heat ends
     */
    public record Hours(double room, double cold, double afterMinutes) {
        public Hours {
            Checks.begin()
                    .range("hours.room", room, 0, 72)
                    .range("hours.cold", cold, 0, 24 * 30)
                    .range("hours.afterMinutes", afterMinutes, 0, 7 * 24 * 60)
                    .done();
        }
    }

    public Life {
        Checks.begin()
                .that(mostDays == null || mostDays >= 0, "mostDays", "must be at least 0")
                .done();
        inputs = List.copyOf(inputs);
    }

    public static Life of(Keeping.Form form) {
        return new Life(form, null, List.of(), null);
    }

    public static Life of(Keeping.Form form, @Nullable Integer mostDays) {
        return new Life(form, mostDays, List.of(), null);
    }

    public static Life as(Keeping.Form form, List<Keeping.Input> inputs) {
        return new Life(form, null, inputs, null);
    }
}
