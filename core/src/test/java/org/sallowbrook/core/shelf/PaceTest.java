package org.sallowbrook.core.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.Test;

public class PaceTest {

    @Test
    public void whatWasUsedIsSpreadOverTheDaysItWasThere() {
        assertThat(Pace.runningOut(10, 40, 20, 5)).contains(new Pace(2, 5));
        // A year in the house: only the last ninety days count.
        assertThat(Pace.runningOut(10, 90, 365, 5)).contains(new Pace(1, 10));
        // Bought this morning and half of it used at once: a week's use, not a day's.
        assertThat(Pace.runningOut(50, 70, 0, 5)).contains(new Pace(5, 10));
        assertThat(Pace.runningOut(0, 1, 90, 5)).map(Pace::days).contains(0);
    }

    @Test
    public void whatLastsOrIsNotUsedIsNotSaid() {
        assertThat(Pace.runningOut(59.9, 90, 90, 5)).isPresent();
        assertThat(Pace.runningOut(60, 90, 90, 5)).isEmpty();
        assertThat(Pace.runningOut(1, 0, 90, 5)).isEmpty();
    }

    /** A jar that was opened once is not used up by the week. */
    @org.testng.annotations.Test
    public void oneUseIsNoHabit() {
        assertThat(Pace.runningOut(10, 40, 20, 1)).isEmpty();
        assertThat(Pace.runningOut(10, 40, 20, 2)).isPresent();
    }
}
