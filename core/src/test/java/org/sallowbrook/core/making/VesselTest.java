package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.sallowbrook.core.making.vessel.Bottling;
import org.sallowbrook.core.making.vessel.Bottling.Size;
import org.sallowbrook.core.measure.Finding;
import org.testng.annotations.Test;

public class VesselTest {

    private static Bottling.Result split(double ml, Double perDay, Integer days, Size... stock) {
        return Bottling.plan(new Bottling.Recipe(ml, List.of(stock), perDay, days));
    }

    @Test
    public void nothingIsLeftOverThenLeastEmptyRoomThenFewestBottles() {
        var plan = split(250, null, null, new Size(30, 20), new Size(50, 20), new Size(100, 20))
                .plan();
        assertThat(plan.leftOverMl()).isZero();
        assertThat(plan.emptyMl()).isZero();
        assertThat(plan.bottles())
                .extracting(Bottling.Filled::capacityMl, Bottling.Filled::count)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(100.0, 2), org.assertj.core.groups.Tuple.tuple(50.0, 1));
    }

    @Test
    public void aBottleIsNoLargerThanWhatIsUsedUpInItsTime() {
        var result = split(200, 3.0, 20, new Size(30, 3), new Size(50, 3), new Size(100, 3));
        assertThat(result.plan().bottles()).allSatisfy(b -> {
            assertThat(b.capacityMl()).isLessThanOrEqualTo(60);
            assertThat(b.daysEach()).isCloseTo(b.capacityMl() / 3, within(1e-9));
        });
        var tooSlow = split(200, 1.0, 20, new Size(30, 9), new Size(50, 9));
        assertThat(tooSlow.findings()).extracting(Finding::code).contains("BOTTLE_OUTLASTS_ITS_TIME");
        assertThat(tooSlow.plan().bottles())
                .extracting(Bottling.Filled::capacityMl)
                .containsOnly(30.0);
    }

    @Test
    public void whatFindsNoBottleIsSaid() {
        var result = split(500, null, null, new Size(100, 2), new Size(50, 1));
        assertThat(result.plan().leftOverMl()).isCloseTo(250, within(1e-9));
        assertThat(result.findings()).extracting(Finding::code).containsExactly("BOTTLES_SHORT");
        assertThat(split(500, null, null, new Size(100, 0)).plan().leftOverMl()).isEqualTo(500);
    }

    /** Against trying everything, on small stocks. */
    @Test
    public void noOtherChoiceWastesLess() {
        Random random = new Random(7);
        for (int i = 0; i < 300; i++) {
            Size a = new Size(10 + random.nextInt(40), random.nextInt(4));
            Size b = new Size(10 + random.nextInt(90), random.nextInt(4));
            Size c = new Size(10 + random.nextInt(140), random.nextInt(4));
            int wanted = 20 + random.nextInt(300);
            double best = Double.POSITIVE_INFINITY;
            for (int x = 0; x <= a.count(); x++) {
                for (int y = 0; y <= b.count(); y++) {
                    for (int z = 0; z <= c.count(); z++) {
                        best = Math.min(
                                best, waste(wanted, x * a.capacityMl() + y * b.capacityMl() + z * c.capacityMl()));
                    }
                }
            }
            var plan = split(wanted, null, null, a, b, c).plan();
            double room = plan.bottles().stream()
                    .mapToDouble(f -> f.capacityMl() * f.count())
                    .sum();
            assertThat(waste(wanted, room)).isEqualTo(best);
        }
    }

    /** Leaving something over is worse than any empty room. */
    private static double waste(double wanted, double room) {
        return room >= wanted ? room - wanted : 1e6 + wanted - room;
    }
}
