package org.sallowbrook.core.household;

import java.time.Duration;
import java.time.Instant;

/**
 * Somebody who looks too and has no account: named by the keeper beforehand, so that no name is made up for the occasion.
 *
 * @param namedAt when the keeper named them
 */
public record SecondObserver(String name, Instant namedAt) {

    /** A working figure of this tool: nobody is named and vouches in one breath. */
    public static final Duration BEFOREHAND = Duration.ofDays(1);

    public boolean vouchesAt(Instant at) {
        return !at.isBefore(namedAt.plus(BEFOREHAND));
    }
}
