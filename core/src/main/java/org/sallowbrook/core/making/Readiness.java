package org.sallowbrook.core.making;

import java.util.Set;
import org.sallowbrook.core.measure.Checks;

/**
 * When something made is finished.
 *
 * @param steepDays until it is pressed or strained; 0 on the same day, and for what does not steep
 * @param follows what is done with it until then and afterwards
 */
public record Readiness(Kind kind, int steepDays, Set<Follow> follows) {

    public enum Kind {
        /** Pressed or strained later, then filled. */
        STEEPS,
        /** Poured into its vessels now. */
        TO_FILL,
        /** Drunk, used or stored as it stands, in the vessel it was made in. */
        AT_ONCE
    }

    public static final Readiness AT_ONCE = new Readiness(Kind.AT_ONCE, 0, Set.of());

    public Readiness {
        Checks.begin()
                .range("steepDays", steepDays, 0, 3650)
                .that(kind == Kind.STEEPS || steepDays == 0, "steepDays", "must be 0 where nothing steeps")
                .done();
        follows = Set.copyOf(follows);
    }

    public static Readiness steeping(int days, Follow... follows) {
        return new Readiness(Kind.STEEPS, days, Set.of(follows));
    }

    public static Readiness toFill(Follow... follows) {
        return new Readiness(Kind.TO_FILL, 0, Set.of(follows));
    }

    /** Whether its hold is lifted only by what is done with it, such as a weighing, and not by a word. */
    public boolean heldByTheWork() {
        return follows.stream().anyMatch(Follow::liftsHold);
    }

    public boolean steeps() {
        return kind == Kind.STEEPS;
    }
}
