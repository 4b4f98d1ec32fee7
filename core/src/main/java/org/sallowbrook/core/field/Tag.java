package org.sallowbrook.core.field;

import java.time.LocalDate;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;

/**
 * A single plant staked when it could be told, to be found again when it can't. What lives for years keeps its name for
 * years: each piece that is picked of it is looked at again all the same.
 *
 * @param confirmedOn day of the CONFIRMED identification it rests on
 * @param daysKept how long the plant is taken to be the same one, by {@link #daysKept}
 */
public record Tag(String stake, LocalDate confirmedOn, int daysKept) {

    /** A look keeps its verdict for one round of the year and the season it began in. */
    public static final int VALID_DAYS = 400;

    /** Working figures of this tool: an annual is another plant next year, a clump wanders, a tree stays. */
    private static final int ANNUAL_DAYS = 240;

    private static final int PERENNIAL_DAYS = 3 * 365;
    private static final int WOODY_DAYS = 5 * 365;

    /** None is kept longer. */
    public static final int MOST_DAYS = WOODY_DAYS;

    public Tag {
        Checks.begin()
                .that(!stake.isBlank() && stake.length() <= 60, "stake", "must have 1 to 60 letters")
                .range("daysKept", daysKept, 1, WOODY_DAYS)
                .done();
    }

    public static Tag of(String stake, LocalDate confirmedOn, Taxon taxon) {
        return new Tag(stake, confirmedOn, daysKept(taxon));
    }

    /** For how long a staked plant is taken to be the one that was confirmed. */
    public static int daysKept(Taxon taxon) {
        String form = taxon.lifeForm();
        if (form.contains("tree") || form.contains("shrub")) {
            return WOODY_DAYS;
        }
        if (form.startsWith("perennial")) {
            return PERENNIAL_DAYS;
        }
        return form.startsWith("annual") ? ANNUAL_DAYS : VALID_DAYS;
    }

    public LocalDate keptUntil() {
        return confirmedOn.plusDays(daysKept);
    }

    public boolean validOn(LocalDate day) {
        return !day.isBefore(confirmedOn) && !day.isAfter(keptUntil());
    }
}
