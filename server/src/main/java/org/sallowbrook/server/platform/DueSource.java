package org.sallowbrook.server.platform;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;

/** A room that something falls due in. It reads what is under way, never everything it ever had. */
public interface DueSource {

    /** @param now what was due before it and is not done is overdue */
    record Span(LocalDate from, LocalDate to, LocalDate today, Instant now, ZoneId zone) {
        public boolean holds(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(to);
        }

        /** Not due at an hour: in the morning. */
        public Instant morning(LocalDate day) {
            return day.atTime(8, 0).atZone(zone).toInstant();
        }
    }

    /** Announces what its due things will be read of, before any room reads; see {@link Reading#ahead}. */
    default void ahead() {}

    List<Due> due(Span span);
}
