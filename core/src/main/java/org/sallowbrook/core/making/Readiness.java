package org.sallowbrook.core.making;

import org.sallowbrook.core.measure.Checks;

/**
 * When something made is finished.
 *
 * @param steepDays until it is pressed or strained; 0 on the same day, and for what does not steep
 * @param shaken whether it is shaken or stirred meanwhile
 */
public record Readiness(Kind kind, int steepDays, boolean shaken) {

    public enum Kind {
        /** Pressed or strained later, then filled. */
        STEEPS,
        /** Poured into its vessels now. */
        TO_FILL,
        /** Drunk, used or stored as it stands, in the vessel it was made in. */
        AT_ONCE
    }

    public static final Readiness AT_ONCE = new Readiness(Kind.AT_ONCE, 0, false);

    public static final Readiness TO_FILL = new Readiness(Kind.TO_FILL, 0, false);

    public Readiness {
        Checks.begin()
                .range("steepDays", steepDays, 0, 3650)
                .that(kind == Kind.STEEPS || steepDays == 0, "steepDays", "must be 0 where nothing steeps")
                .done();
    }

    public static Readiness steeping(int days, boolean shaken) {
        return new Readiness(Kind.STEEPS, days, shaken);
    }

    public boolean steeps() {
        return kind == Kind.STEEPS;
    }
}
