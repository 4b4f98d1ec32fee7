package org.sallowbrook.core.dosing.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PatternTest {

    /** A Friday. */
    private static final LocalDate START = LocalDate.of(2026, 1, 30);

    private static final MonthDay NEW_YEAR = MonthDay.of(1, 1);
    private static final MonthDay FIRST_WEEK = MonthDay.of(2, 7);

    /** Doses of the days from the start on, of three on a full day. */
    @DataProvider
    public static Object[][] patterns() {
        return new Object[][] {
            {new Daily(), List.of(3, 3, 3), null, "every day"},
            {
                new Weekdays(EnumSet.of(DayOfWeek.SUNDAY, DayOfWeek.FRIDAY)),
                List.of(3, 0, 3, 0, 0, 0, 0, 3, 0, 3),
                null,
                "every Friday, Sunday"
            },
            {new Weekly(), List.of(3, 0, 0, 0, 0, 0, 0, 3, 0), null, "one day a week"},
            {
                new WeeklyInSeason(NEW_YEAR, FIRST_WEEK, DayOfWeek.SATURDAY),
                List.of(0, 3, 0, 0, 0, 0, 0, 0, 3, 0, 0, 0, 0, 0, 0, 0),
                null,
                "every Saturday from 1 Jan to 7 Feb"
            },
            {new Cycle(2, 1), List.of(3, 3, 0, 3, 3, 0), null, "2 days on, 1 off"},
            {new Cycle(1, 0), List.of(3, 3), null, "1 day on, 0 off"},
            {new DaysPerMonth(2), List.of(0, 0, 3, 3, 0, 0), null, "the first 2 days of each month"},
            {new DaysPerMonth(1), List.of(0, 0, 3, 0), null, "the first day of each month"},
            {new Season(NEW_YEAR, MonthDay.of(1, 31)), List.of(3, 3, 0, 0), null, "every day from 1 Jan to 31 Jan"},
            {new Season(FIRST_WEEK, NEW_YEAR), List.of(0, 0, 0, 0, 0, 0, 0, 0, 3), null, "every day from 7 Feb to 1 Jan"
            },
            {new EveryHours(8, null), List.of(3, 3, 3, 3), 8.0, "every 8 hours"},
            {new EveryHours(36, null), List.of(1, 1, 0, 1, 1, 0), 36.0, "every 36 hours"},
            // The most that may be taken is planned.
            {new EveryHours(6, 8.0), List.of(4, 4), 6.0, "every 6 to 8 hours"},
            {new AsNeeded(null), List.of(3, 3), null, "as needed"},
            {new AsNeeded(12.0), List.of(2, 2), 12.0, "as needed, at least 12 hours apart"},
            {new AsNeeded(48.0), List.of(1, 1), 48.0, "as needed, at least 48 hours apart"},
            {new Drawn(1, 7), null, null, "single days with and without, drawn by lot"},
            {new Drawn(3, 7), null, null, "stretches of 3 days with and without, drawn by lot"},
        };
    }

    @Test(dataProvider = "patterns")
    public void eachHasItsDaysItsDistanceAndItsWords(
            Pattern pattern, List<Integer> doses, Double leastHours, String words) {
        assertThat(pattern.leastHours()).isEqualTo(leastHours);
        assertThat(pattern.words()).isEqualTo(words);
        if (doses != null) {
            assertThat(IntStream.range(0, doses.size()).mapToObj(d -> pattern.doses(d, START.plusDays(d), 3)))
                    .isEqualTo(doses);
        }
    }

    @Test
    public void everyPatternIsTriedHere() {
        Set<Class<?>> tried =
                Arrays.stream(patterns()).map(p -> p[0].getClass()).collect(Collectors.toSet());
        assertThat(tried).containsExactlyInAnyOrder(Pattern.class.getPermittedSubclasses());
    }

    @Test
    public void whatIsDrawnIsHalfOfEachPairAndTheSameAgain() {
        for (int block : new int[] {1, 3}) {
            Drawn drawn = new Drawn(block, 11);
            for (int pair = 0; pair < 20; pair++) {
                int from = pair * block * 2;
                int[] of = IntStream.range(from, from + 2 * block)
                        .map(d -> drawn.doses(d, START.plusDays(d), 1))
                        .toArray();
                assertThat(Arrays.stream(of).sum()).isEqualTo(block);
                assertThat(Arrays.stream(of, 0, block).distinct().count()).isEqualTo(1);
                assertThat(drawn.pair(from)).isEqualTo(pair);
                assertThat(new Drawn(block, 11).doses(from, START, 1)).isEqualTo(of[0]);
            }
        }
    }

    @DataProvider
    public static Object[][] refused() {
        return new Object[][] {
            {"on", (ThrowingCallable) () -> new Weekdays(Set.of())},
            {"onDays", (ThrowingCallable) () -> new Cycle(0, 1)},
            {"onDays", (ThrowingCallable) () -> new Cycle(367, 1)},
            {"offDays", (ThrowingCallable) () -> new Cycle(1, 367)},
            {"offDays", (ThrowingCallable) () -> new Cycle(1, -1)},
            {"daysPerMonth", (ThrowingCallable) () -> new DaysPerMonth(0)},
            {"daysPerMonth", (ThrowingCallable) () -> new DaysPerMonth(32)},
            {"everyHours", (ThrowingCallable) () -> new EveryHours(0.9, null)},
            {"everyHours", (ThrowingCallable) () -> new EveryHours(168.1, null)},
            {"everyHours", (ThrowingCallable) () -> new EveryHours(Double.NaN, null)},
            {"toHours", (ThrowingCallable) () -> new EveryHours(6, 5.9)},
            {"toHours", (ThrowingCallable) () -> new EveryHours(6, Double.NaN)},
            {"everyHours", (ThrowingCallable) () -> new AsNeeded(0.5)},
            {"onDays", (ThrowingCallable) () -> new Drawn(15, 1)},
            {"from", (ThrowingCallable) () -> new Season(null, FIRST_WEEK)},
            {"to", (ThrowingCallable) () -> new WeeklyInSeason(NEW_YEAR, null, DayOfWeek.MONDAY)},
        };
    }

    @Test(dataProvider = "refused")
    public void aPatternNamesWhatIsWrongWithIt(String field, ThrowingCallable made) {
        assertThatThrownBy(made).isInstanceOf(InvalidInput.class).hasMessageContaining("pattern." + field);
    }

    @Test
    public void theWidestAreTaken() {
        assertThat(new Cycle(366, 366).doses(366, START, 2)).isZero();
        assertThat(new EveryHours(168, 168.0).doses(7, START, 1)).isEqualTo(1);
        assertThat(new DaysPerMonth(31).doses(0, START, 2)).isEqualTo(2);
    }
}
