package org.sallowbrook.core.field;

import java.time.LocalDate;
import org.sallowbrook.core.measure.Checks;

/**
 * A single plant staked when it could be told, to be found again when it can't.
 *
 * @param confirmedOn day of the CONFIRMED identification it rests on
 */
public record Tag(String stake, LocalDate confirmedOn) {

    /** A tag keeps its verdict for one round of the year and the season it began in. */
    public static final int VALID_DAYS = 400;

    public Tag {
        Checks.begin()
                .that(!stake.isBlank() && stake.length() <= 60, "stake", "must have 1 to 60 letters")
                .done();
    }

    public boolean validOn(LocalDate day) {
        return !day.isBefore(confirmedOn) && !day.isAfter(confirmedOn.plusDays(VALID_DAYS));
    }
}
