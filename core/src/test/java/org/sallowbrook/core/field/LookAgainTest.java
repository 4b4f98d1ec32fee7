package org.sallowbrook.core.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Set;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LookAgainTest {

    @DataProvider
    Object[][] days() {
        return new Object[][] {
            // a rosette in May that flowers from June to August
            {"2026-05-10", Set.of(6, 7, 8), "2026-05-12", "2026-06-01"},
            // in the midst of the season it stays due from the first of the month
            {"2026-05-10", Set.of(6, 7, 8), "2026-07-20", "2026-07-01"},
            // looked at in the season: not the next morning
            {"2026-07-10", Set.of(6, 7, 8), "2026-07-11", "2026-07-17"},
            {"2026-07-10", Set.of(6, 7, 8), "2026-07-30", "2026-07-17"},
            // missed: the next year's
            {"2026-05-10", Set.of(6, 7, 8), "2026-09-01", "2027-06-01"},
            {"2026-12-28", Set.of(1), "2026-12-29", "2027-01-04"},
        };
    }

    @Test(dataProvider = "days")
    public void itIsDueInTheSeasonThatSettlesIt(String looked, Set<Integer> months, String today, String due) {
        assertThat(LookAgain.due(LocalDate.parse(looked), months, LocalDate.parse(today)))
                .isEqualTo(due);
    }

    @Test
    public void monthsAreMonths() {
        LocalDate day = LocalDate.of(2026, 5, 1);
        assertThatThrownBy(() -> LookAgain.due(day, Set.of(), day)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> LookAgain.due(day, Set.of(13), day)).isInstanceOf(InvalidInput.class);
    }
}
