package org.sallowbrook.core.notes;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * When somebody means to come back, as people say it.
 *
 * @param said the day it was said on
 * @param on the day meant; null where it waits for the weather
 */
public record ComeBack(When when, LocalDate said, @Nullable LocalDate on) {

    public enum When {
        TOMORROW,
        /** The coming Saturday; said on a Saturday, the Sunday after it. */
        WEEKEND,
        WEEK,
        FORTNIGHT,
        MONTH,
        /** The first night at or below 0 °C after it was said. */
        FIRST_FROST,
        DAY
    }

    private static final double FROST_C = 0;
    private static final int MOST_YEARS = 5;

    /** A night as it was measured, °C. */
    public record Night(LocalDate day, double lowC) {}

    /**
     * @param chosen with {@link When#DAY} and only with it: after the day it is said on, within five years of it
     * @throws org.sallowbrook.core.measure.InvalidInput naming the field {@code comeBack.on}
     */
    public static ComeBack of(When when, @Nullable LocalDate chosen, LocalDate said) {
        Checks.begin()
                .that(
                        (when == When.DAY) == (chosen != null),
                        "comeBack.on",
                        when == When.DAY ? "say which day" : "is said with a day of its own only")
                .that(
                        chosen == null || chosen.isAfter(said) && !chosen.isAfter(said.plusYears(MOST_YEARS)),
                        "comeBack.on",
                        "must be after the day of the note, and within " + MOST_YEARS + " years of it")
                .done();
        return new ComeBack(
                when,
                said,
                switch (when) {
                    case TOMORROW -> said.plusDays(1);
                    case WEEKEND ->
                        said.getDayOfWeek() == DayOfWeek.SATURDAY
                                ? said.plusDays(1)
                                : said.with(TemporalAdjusters.next(DayOfWeek.SATURDAY));
                    case WEEK -> said.plusWeeks(1);
                    case FORTNIGHT -> said.plusWeeks(2);
                    case MONTH -> said.plusMonths(1);
                    case FIRST_FROST -> null;
                    case DAY -> chosen;
                });
    }

    /** The morning it falls due on; empty as long as what it waits for has not come. */
    public Optional<LocalDate> due(Collection<Night> nights) {
        return on != null
                ? Optional.of(on)
                : nights.stream()
                        .filter(n -> n.day().isAfter(said) && n.lowC() <= FROST_C)
                        .map(Night::day)
                        .min(Comparator.naturalOrder());
    }
}
