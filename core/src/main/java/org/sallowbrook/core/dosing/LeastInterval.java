package org.sallowbrook.core.dosing;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** The least time between two doses. It belongs to the person and the plant, over all courses, bottles and single uses. */
public final class LeastInterval {

    /**
     * A dose before.
     *
     * @param everyHours the least distance of the course it came from; null for none
     * @param takenBack whether it was noted and taken back at once, so that nobody knows whether it is down
     */
    public record Before(
            Instant at, Set<String> plants, @Nullable Double everyHours, boolean takenBack) {}

    /** A tap by mistake is seen at once; a working figure of this tool. */
    public static final Duration AT_ONCE = Duration.ofSeconds(60);

    private LeastInterval() {}

    /**
     * @param plants of what is to be taken
     * @param everyHours the least distance of what is to be taken; null for none
     * @return STOP until the longest of the distances is over; WARN where only a dose that was taken back speaks against it
     */
    public static List<Finding> check(
            Set<String> plants, @Nullable Double everyHours, Collection<Before> before, Instant now) {
        List<Finding> findings = new ArrayList<>();
        Before standing = latest(plants, everyHours, before, now, false);
        if (standing != null) {
            findings.add(Finding.stop(
                    "TOO_SOON",
                    "The dose before was less than " + Words.figure(hours(standing, everyHours)) + " hours ago.",
                    "Wait " + Words.figure(wait(standing, everyHours, now)) + " hours more."));
            return findings;
        }
        Before doubtful = latest(plants, everyHours, before, now, true);
        if (doubtful != null) {
            findings.add(Finding.warn(
                    "TOO_SOON_IF_SWALLOWED",
                    "A dose of it was noted and taken back at once, less than "
                            + Words.figure(hours(doubtful, everyHours)) + " hours ago.",
                    "If it was swallowed, wait " + Words.figure(wait(doubtful, everyHours, now))
                            + " hours more; if not, say so."));
        }
        return findings;
    }

    private static @Nullable Before latest(
            Set<String> plants,
            @Nullable Double everyHours,
            Collection<Before> before,
            Instant now,
            boolean takenBack) {
        return before.stream()
                .filter(b -> b.takenBack() == takenBack && !Collections.disjoint(b.plants(), plants))
                .filter(b -> now.isBefore(until(b, everyHours)))
                .max((a, b) -> until(a, everyHours).compareTo(until(b, everyHours)))
                .orElse(null);
    }

    private static double hours(Before b, @Nullable Double everyHours) {
        return Math.max(everyHours == null ? 0 : everyHours, b.everyHours() == null ? 0 : b.everyHours());
    }

    private static Instant until(Before b, @Nullable Double everyHours) {
        return b.at().plus(Duration.ofMinutes(Math.round(hours(b, everyHours) * 60)));
    }

    private static double wait(Before b, @Nullable Double everyHours, Instant now) {
        return Duration.between(now, until(b, everyHours)).toMinutes() / 60.0;
    }
}
