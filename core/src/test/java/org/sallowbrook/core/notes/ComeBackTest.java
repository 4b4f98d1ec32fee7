package org.sallowbrook.core.notes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.notes.ComeBack.Night;
import org.sallowbrook.core.notes.ComeBack.When;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ComeBackTest {

    /** A Thursday. */
    private static final LocalDate SAID = LocalDate.of(2026, 6, 18);

    @DataProvider
    public Object[][] days() {
        return new Object[][] {
            {When.TOMORROW, SAID, LocalDate.of(2026, 6, 19)},
            {When.WEEKEND, SAID, LocalDate.of(2026, 6, 20)},
            {When.WEEKEND, LocalDate.of(2026, 6, 19), LocalDate.of(2026, 6, 20)},
            {When.WEEKEND, LocalDate.of(2026, 6, 20), LocalDate.of(2026, 6, 21)},
            {When.WEEKEND, LocalDate.of(2026, 6, 21), LocalDate.of(2026, 6, 27)},
            {When.WEEK, SAID, LocalDate.of(2026, 6, 25)},
            {When.FORTNIGHT, SAID, LocalDate.of(2026, 7, 2)},
            {When.MONTH, LocalDate.of(2026, 1, 31), LocalDate.of(2026, 2, 28)},
        };
    }

    @Test(dataProvider = "days")
    public void aDayIsMeantAsPeopleSayIt(When when, LocalDate said, LocalDate meant) {
        assertThat(ComeBack.of(when, null, said).due(List.of())).contains(meant);
    }

    @Test
    public void theFirstFrostIsTheFirstAfterItWasSaid() {
        ComeBack frost = ComeBack.of(When.FIRST_FROST, null, LocalDate.of(2026, 10, 3));
        assertThat(frost.due(List.of())).isEmpty();
        assertThat(frost.due(List.of(
                        new Night(LocalDate.of(2026, 10, 3), -2),
                        new Night(LocalDate.of(2026, 10, 20), 0),
                        new Night(LocalDate.of(2026, 10, 9), 0.1),
                        new Night(LocalDate.of(2026, 11, 1), -4))))
                .contains(LocalDate.of(2026, 10, 20));
    }

    @Test
    public void aDayOfItsOwnIsSaidAndLiesAhead() {
        LocalDate on = SAID.plusDays(9);
        assertThat(ComeBack.of(When.DAY, on, SAID).due(List.of())).contains(on);
        for (LocalDate wrong : new LocalDate[] {
            null, SAID, SAID.minusDays(1), SAID.plusYears(5).plusDays(1)
        }) {
            assertThatThrownBy(() -> ComeBack.of(When.DAY, wrong, SAID)).isInstanceOf(InvalidInput.class);
        }
        assertThatThrownBy(() -> ComeBack.of(When.WEEK, on, SAID)).isInstanceOf(InvalidInput.class);
    }
}
