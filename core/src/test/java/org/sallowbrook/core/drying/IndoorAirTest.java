package org.sallowbrook.core.drying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.Test;

public class IndoorAirTest {

    /** Saturation at 10 and 30 °C is 12.28 and 42.43 hPa in the steam tables. */
    @Test
    public void warmedAirIsDryAir() {
        assertThat(IndoorAir.humidity(10, 1, 30)).isCloseTo(12.28 / 42.43, within(0.002));
        assertThat(IndoorAir.humidity(20, 0.6, 20)).isCloseTo(0.6, within(1e-12));
        assertThat(IndoorAir.humidity(20, 0.9, 5)).isEqualTo(1);
        assertThatThrownBy(() -> IndoorAir.humidity(Double.NaN, 0.5, 20)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> IndoorAir.humidity(10, 1.2, 20)).isInstanceOf(InvalidInput.class);
    }
}
