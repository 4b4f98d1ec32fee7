package org.sallowbrook.core.field.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SeasonTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Place HERE = Place.OF_THE_CARDS;

    /** Every day of some years as warm as its month says, each year a little warmer than the one before. */
    private static List<DayWeather> years(int from, int to) {
        List<DayWeather> all = new ArrayList<>();
        for (LocalDate d = LocalDate.of(from, 1, 1); d.getYear() <= to; d = d.plusDays(1)) {
            double mean = 10 - 7 * Math.cos(2 * Math.PI * (d.getDayOfYear() - 20) / 365) + 0.3 * (d.getYear() - from);
            all.add(new DayWeather(d, mean - 3, mean + 3, 0, 0.8));
        }
        return all;
    }

    private static Readiness.Request ask(
            Progress progress, List<Onset.Seen> seen, LocalDate seenOn, LocalDate notYet, LocalDate today) {
        return new Readiness.Request("a", Set.of(6, 7, 8), HERE, progress, seen, seenOn, notYet, false, today);
    }

    @Test
    public void springComesFourDaysLaterForADegreeAndForFourHundredFeet() {
        assertThat(HERE.daysLater()).isZero();
        assertThat(new Place(55, 0).daysLater()).isCloseTo(12, within(1e-9));
        assertThat(new Place(52, 121.92).daysLater()).isCloseTo(4, within(1e-9));
        assertThat(new Place(50, 0).daysLater()).isCloseTo(-8, within(1e-9));
        assertThatThrownBy(() -> new Place(Double.NaN, 0)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void degreeDaysAreTheMeanOverTheBaseSummed() {
        Progress p = Progress.byWarmth(2026, DailyMeans.of(years(2016, 2026)), TODAY, 0);
        assertThat(p.warmth()).isTrue();
        assertThat(p.courses()).isEqualTo(10);
        double sum = 0;
        for (DayWeather w : years(2016, 2026)) {
            if (w.day().getYear() == 2026 && !w.day().isAfter(TODAY)) {
                sum += Math.max(0, w.meanC() - 5);
            }
        }
        for (int c = 0; c < 10; c++) {
            assertThat(p.reached(c, TODAY.getDayOfYear())).isCloseTo(sum, within(1e-9));
        }
        // Ahead each course runs as its own year did, the warmer ones further.
        assertThat(p.reached(9, 300)).isGreaterThan(p.reached(0, 300));
        // Ninety metres up it is half a degree and more colder, every day.
        assertThat(Progress.byWarmth(2026, DailyMeans.of(years(2016, 2026)), TODAY, 90)
                        .mean(200))
                .isLessThan(p.mean(200) - 30);
    }

    @Test
    public void withoutThreeYearsOfWeatherADayIsADay() {
        Progress p = Progress.byWarmth(2026, DailyMeans.of(years(2024, 2026)), TODAY, 0);
        assertThat(p.warmth()).isFalse();
        assertThat(p.mean(100)).isEqualTo(100);
        assertThat(p.perDay(100)).isEqualTo(1);
    }

    @Test
    public void withNothingSeenTheCardsMonthsSpeakWithAllTheirVagueness() {
        Onset.Belief b = Onset.learn("a", List.of(), false, 1);
        assertThat(b.late()).isZero();
        assertThat(b.sd()).isCloseTo(Math.sqrt(14 * 14 + 5 * 5 + 12 * 12), within(1e-9));
        Readiness r = Readiness.of(ask(Progress.byCalendar(2026), List.of(), null, null, TODAY));
        // About the tenth of June, 19.1 days either way at one standard deviation.
        assertThat(r.from()).isEqualTo(LocalDate.of(2026, 6, 10));
        assertThat(r.early()).isEqualTo(LocalDate.of(2026, 5, 10));
        assertThat(r.late()).isEqualTo(LocalDate.of(2026, 7, 12));
        assertThat(r.until()).isEqualTo(LocalDate.of(2026, 8, 20));
        assertThat(r.state()).isEqualTo(Readiness.State.SOON);
        assertThat(r.because()).anyMatch(l -> l.contains("June, July, August"));
    }

    /** Worked by hand: 1/V = 1/196 + 1/(25 + 144) for one other stand seen once, ten days late. */
    @Test
    public void oneSightingElsewhereMovesTheKindAndOneHereTheStand() {
        double v = 1 / (1 / 196.0 + 1 / 169.0);
        Onset.Belief other = Onset.learn("a", List.of(new Onset.Seen("b", 10, 0)), false, 1);
        assertThat(other.late()).isCloseTo(v * 10 / 169, within(1e-9));
        assertThat(other.sd()).isCloseTo(Math.sqrt(v + 25 + 144), within(1e-9));
        assertThat(other.here()).isZero();
        // Here: N(0, 196 + 25) by one of 144.
        Onset.Belief here = Onset.learn("a", List.of(new Onset.Seen("a", 10, 0)), false, 1);
        assertThat(here.late()).isCloseTo(10 * (1 / 144.0) / (1 / 144.0 + 1 / 221.0), within(1e-9));
        assertThat(here.late()).isGreaterThan(other.late());
        // A vague sighting moves it less.
        assertThat(Onset.learn("a", List.of(new Onset.Seen("a", 10, 20)), false, 1)
                        .late())
                .isLessThan(here.late());
    }

    /** Two years at one stand, twenty days apart: (6 · 144 + 2 · 10²) / (6 + 1). */
    @Test
    public void howMuchYearsDifferIsLearnt() {
        double year = (6 * 144 + 200) / 7.0;
        double own = 2 / year;
        double expected = 1 / (1 / 221.0 + own);
        Onset.Belief b = Onset.learn("a", List.of(new Onset.Seen("a", -10, 0), new Onset.Seen("a", 10, 0)), false, 1);
        assertThat(b.late()).isCloseTo(0, within(1e-9));
        assertThat(b.sd()).isCloseTo(Math.sqrt(expected + year), within(1e-9));
    }

    @Test
    public void whatWasSeenIsNoGuessAndWhatWasLookedForAndNotSeenIsLater() {
        Progress p = Progress.byCalendar(2026);
        LocalDate seen = LocalDate.of(2026, 5, 28);
        Readiness r = Readiness.of(ask(p, List.of(), seen, null, TODAY));
        assertThat(r.state()).isEqualTo(Readiness.State.READY);
        assertThat(r.from()).isEqualTo(seen);
        LocalDate july = LocalDate.of(2026, 7, 10);
        Readiness not = Readiness.of(ask(p, List.of(), null, july.minusDays(1), july));
        assertThat(not.early()).isAfterOrEqualTo(july);
        assertThat(not.state()).isIn(Readiness.State.SOON, Readiness.State.LIKELY);
        // Later than anybody would have thought is still a day, not nothing.
        Arrival absurd = new Arrival(p, 50, 3, LocalDate.of(2026, 9, 1));
        assertThat(absurd.day(0.5)).isBetween(LocalDate.of(2026, 9, 2), LocalDate.of(2026, 9, 3));
    }

    @Test
    public void afterItsTimeItIsOver() {
        Readiness r = Readiness.of(ask(Progress.byCalendar(2026), List.of(), null, null, LocalDate.of(2026, 9, 20)));
        assertThat(r.state()).isEqualTo(Readiness.State.OVER);
    }

    @DataProvider
    Object[][] roots() {
        return new Object[][] {
            {LocalDate.of(2026, 1, 15), Readiness.State.LIKELY},
            {LocalDate.of(2026, 6, 1), Readiness.State.LATER},
            {LocalDate.of(2026, 10, 1), Readiness.State.SOON},
            {LocalDate.of(2026, 12, 1), Readiness.State.LIKELY},
        };
    }

    /** Roots are dug from October to March, over the turn of the year. */
    @Test(dataProvider = "roots")
    public void aWindowOverTheTurnOfTheYearIsOne(LocalDate today, Readiness.State state) {
        Readiness r = Readiness.of(new Readiness.Request(
                "a",
                Set.of(10, 11, 12, 1, 2, 3),
                HERE,
                Progress.byCalendar(2026),
                List.of(),
                null,
                null,
                false,
                today));
        assertThat(r.state()).isEqualTo(state);
    }

    @Test
    public void southOfTheEquatorTheYearIsTurned() {
        Readiness r = Readiness.of(new Readiness.Request(
                "a",
                Set.of(6, 7, 8),
                new Place(-52, 0),
                Progress.byCalendar(2026),
                List.of(),
                null,
                null,
                false,
                LocalDate.of(2026, 11, 1)));
        assertThat(r.from()).isEqualTo(LocalDate.of(2026, 12, 10));
    }

    /** A sighting told back to the model moves it by itself: 12 days after the months, 12 days late. */
    @Test
    public void howLateItWasIsCountedFromTheMonths() {
        assertThat(Readiness.late(Progress.byCalendar(2025), HERE, Set.of(6, 7, 8), LocalDate.of(2025, 6, 22)))
                .isCloseTo(12, within(1e-9));
        // In January of what the card begins in December.
        assertThat(Readiness.late(Progress.byCalendar(2025), HERE, Set.of(12, 1, 2), LocalDate.of(2025, 1, 3)))
                .isCloseTo(24, within(1e-9));
        Progress warm = Progress.byWarmth(2025, DailyMeans.of(years(2016, 2025)), LocalDate.of(2025, 12, 31), 0);
        double late = Readiness.late(warm, HERE, Set.of(6, 7, 8), LocalDate.of(2025, 6, 22));
        assertThat(late / warm.perDay(165)).isCloseTo(12, within(1.5));
    }

    @Test
    public void rainYesterdayOrDewAllMorningIsNotDry() {
        DayWeather dry = new DayWeather(TODAY, 8, 18, 0, 0.7);
        DayWeather wet = new DayWeather(TODAY, 8, 18, 3, 0.7);
        DayWeather damp = new DayWeather(TODAY, 8, 18, 0, 0.95);
        assertThat(DayWeather.dryEnough(dry, dry)).isTrue();
        assertThat(DayWeather.dryEnough(dry, wet)).isFalse();
        assertThat(DayWeather.dryEnough(wet, dry)).isFalse();
        assertThat(DayWeather.dryEnough(damp, dry)).isFalse();
        assertThatThrownBy(() -> new DayWeather(TODAY, 9, 8, 0, 0.5)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new DayWeather(TODAY, 0, Double.NaN, 0, 0.5)).isInstanceOf(InvalidInput.class);
    }
}
