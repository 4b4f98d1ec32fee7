package org.sallowbrook.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.sallowbrook.core.drying.WeighingCheck;
import org.sallowbrook.core.making.PressingCheck;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What can hardly be is asked about; what happens is not. */
public class UnlikelyTest {

    @DataProvider
    public Object[][] weights() {
        // 1000 g at 70 to 80 % water: 200 g of dry matter at the least.
        return new Object[][] {
            {1000, 12, 500, false},
            {1000, 2, 499, true},
            {1000, 7, 499, false},
            {400, 10, 407, false},
            {400, 10, 409, true},
            {300, 24, 201, false},
            {300, 24, 199, true},
        };
    }

    @Test(dataProvider = "weights")
    public void aWeight(double before, double hours, double now, boolean asked) {
        assertThat(codes(WeighingCheck.unlikely(1000, Moisture.of(0.7, 0.8), before, hours, now)))
                .isEqualTo(asked ? List.of("UNLIKELY_WEIGHT") : List.of());
    }

    @DataProvider
    public Object[][] pressings() {
        return new Object[][] {
            {140, 28, 28, List.of()},
            {83, 28, 28, List.of("UNLIKELY_YIELD")},
            {84, 28, 28, List.of()},
            {200, 28, 28, List.of()},
            {202, 28, 28, List.of("UNLIKELY_YIELD")},
            {140, 6, 28, List.of("PRESSED_EARLY")},
            {140, 7, 28, List.of()},
            // What is ready the same day is never early.
            {140, 0, 0, List.of()},
            {30, 1, 28, List.of("UNLIKELY_YIELD", "PRESSED_EARLY")},
        };
    }

    @Test(dataProvider = "pressings")
    public void aPressing(double came, int days, int planned, List<String> asked) {
        assertThat(codes(PressingCheck.unlikely(Interval.of(140, 175), "mL", came, days, planned)))
                .isEqualTo(asked);
    }

    @Test
    public void nonsenseIsRefusedAtTheDoor() {
        for (double bad : new double[] {Double.NaN, Double.POSITIVE_INFINITY, -1, 0}) {
            assertThatThrownBy(() -> WeighingCheck.unlikely(1000, Moisture.of(0.7, 0.8), 500, 1, bad))
                    .isInstanceOf(InvalidInput.class);
            assertThatThrownBy(() -> PressingCheck.unlikely(Interval.of(140, 175), "mL", bad, 1, 28))
                    .isInstanceOf(InvalidInput.class);
        }
    }

    private static List<String> codes(List<Finding> findings) {
        return findings.stream().map(Finding::code).toList();
    }
}
