package org.sallowbrook.core.drying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Collections;
import java.util.List;
import org.sallowbrook.core.herbarium.Taxon.Part;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Moisture;
import org.testng.annotations.Test;

public class RackTest {

    private static Instant at(int day, int hour) {
        return Instant.parse(String.format("2026-07-%02dT%02d:00:00Z", day, hour));
    }

    @Test
    public void pausesAreNotCountedNorCountedTwice() {
        var nights = List.of(
                new Rack.Pause(at(2, 22), at(3, 6)),
                new Rack.Pause(at(1, 22), at(2, 6)),
                new Rack.Pause(at(1, 23), at(2, 2)));
        assertThat(Rack.hoursAtWork(at(1, 8), at(3, 8), nights)).isCloseTo(32, within(1e-9));
        assertThat(Rack.hoursAtWork(at(1, 8), at(1, 8), nights)).isZero();
        // A pause that goes on still, and one before the start.
        assertThat(Rack.hoursAtWork(at(1, 8), at(1, 23), nights)).isCloseTo(14, within(1e-9));
        assertThat(Rack.hoursAtWork(at(2, 8), at(2, 10), nights)).isCloseTo(2, within(1e-9));
        assertThatThrownBy(() -> Rack.hoursAtWork(at(2, 8), at(1, 8), List.of()))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Rack.Pause(at(2, 8), at(2, 8))).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void roomFollowsFromTheLoading() {
        var layout = Rack.spread(1500, Part.LEAF, 0.2);
        assertThat(layout.areaM2()).isEqualTo(Interval.of(0.5, 1.0));
        assertThat(layout.trays()).isEqualTo(Interval.of(3, 5));
        assertThat(layout.findings()).extracting(Finding::code).containsExactly("ONE_LAYER");
        assertThat(Rack.bundle(3)).isEmpty();
        assertThat(Rack.bundle(3.1)).extracting(Finding::code).containsExactly("BUNDLE_THICK");
    }

    @Test
    public void warmthFollowsFromPartAndScentAndTheCardComesFirst() {
        assertThat(Temperature.of(Part.LEAF, true, null)).isEqualTo(new Temperature(Interval.of(35, 38), 42));
        assertThat(Temperature.of(Part.LEAF, false, null)).isEqualTo(new Temperature(Interval.of(40, 45), 52));
        assertThat(Temperature.of(Part.ROOT, false, null).mostC()).isEqualTo(58);
        assertThat(Temperature.of(Part.FRUIT, false, null).mostC()).isEqualTo(65);
        var card = Temperature.of(Part.LEAF, false, 35.0);
        assertThat(card.nominalC()).isEqualTo(Interval.exactly(35));
        assertThat(card.mostC()).isEqualTo(45);
    }

    @Test
    public void freshToDryIsPredictedFromMoistureAndLearnedFromLots() {
        var predicted = FreshDryRatio.predicted(Moisture.of(0.70, 0.80), 0.10);
        assertThat(predicted.range().low()).isCloseTo(3, within(1e-9));
        assertThat(predicted.range().high()).isCloseTo(4.5, within(1e-9));
        assertThat(predicted.driedG(450).low()).isCloseTo(100, within(1e-9));
        var lots = Collections.nCopies(60, new FreshDryRatio.Lot(500, 100));
        var learned = predicted.learn(lots);
        assertThat(learned.range().mid()).isCloseTo((3 * 3.75 + 60 * 5) / 63, within(1e-9));
        assertThat(learned.lots()).isEqualTo(60);
        // 5 g fresh to 1 g at 10 % is 82 % water.
        assertThat(learned.freshMoisture(0.10).mid()).isCloseTo(0.82, within(0.01));
        assertThatThrownBy(() -> new FreshDryRatio.Lot(100, 101)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void fruitIsDryAtTwelvePerCent() {
        assertThat(Drying.targetMoisture(Part.FRUIT)).isEqualTo(0.12);
        assertThat(Drying.targetMoisture(Part.BARK)).isEqualTo(0.10);
    }
}
