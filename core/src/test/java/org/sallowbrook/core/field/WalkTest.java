package org.sallowbrook.core.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.Test;

public class WalkTest {

    private static final Outline.Point DOOR = new Outline.Point(2.5, 55);

    private static List<Outline.Point> scattered(Random random, int n) {
        List<Outline.Point> stops = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            stops.add(new Outline.Point(2.48 + random.nextDouble() * 0.05, 54.99 + random.nextDouble() * 0.03));
        }
        return stops;
    }

    /** A quarter of the earth's girth on the sphere of the mean radius; one degree of a meridian. */
    @Test
    public void aDegreeOfAMeridianIsAHundredAndElevenKilometres() {
        assertThat(Outline.metres(new Outline.Point(0, 0), new Outline.Point(0, 1)))
                .isCloseTo(111_195, within(1.0));
        assertThat(Outline.metres(new Outline.Point(0, 0), new Outline.Point(90, 0)))
                .isCloseTo(10_007_557, within(2.0));
        assertThat(Outline.metres(new Outline.Point(0, 60), new Outline.Point(1, 60)))
                .isCloseTo(55_597, within(2.0));
    }

    @Test
    public void everyStopOnceAndHardlyLongerThanTheShortest() {
        Random random = new Random(7);
        double worst = 0;
        for (int round = 0; round < 40; round++) {
            List<Outline.Point> stops = scattered(random, 7);
            Walk.Round walk = Walk.of(DOOR, stops);
            assertThat(walk.order()).containsExactlyInAnyOrder(0, 1, 2, 3, 4, 5, 6);
            assertThat(walk.metres()).hasSize(8);
            double best = shortest(stops, new ArrayList<>(List.of(0, 1, 2, 3, 4, 5, 6)), 0);
            assertThat(walk.all()).isGreaterThanOrEqualTo(best - 1e-6);
            worst = Math.max(worst, walk.all() / best);
        }
        assertThat(worst).isLessThan(1.25);
    }

    /** By trying every order. */
    private static double shortest(List<Outline.Point> stops, List<Integer> order, int from) {
        if (from == order.size()) {
            double sum = 0;
            Outline.Point at = DOOR;
            for (int i : order) {
                sum += Outline.metres(at, stops.get(i));
                at = stops.get(i);
            }
            return sum + Outline.metres(at, DOOR);
        }
        double best = Double.MAX_VALUE;
        for (int i = from; i < order.size(); i++) {
            Collections.swap(order, from, i);
            best = Math.min(best, shortest(stops, order, from + 1));
            Collections.swap(order, from, i);
        }
        return best;
    }

    @Test
    public void nowhereIsNoWalkAndTooFarIsSaid() {
        assertThat(Walk.of(DOOR, List.of()).all()).isZero();
        List<Outline.Point> many = scattered(new Random(1), Walk.MOST_STOPS + 1);
        assertThatThrownBy(() -> Walk.of(DOOR, many)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void anOutlineIsClosedOnceAndHoldsEnoughPoints() {
        List<Outline.Point> ring = List.of(DOOR, new Outline.Point(2.51, 55), new Outline.Point(2.51, 55.01), DOOR);
        assertThat(new Outline(Outline.Kind.WOOD, " copse ", ring).points()).hasSize(3);
        assertThat(new Outline(Outline.Kind.WOOD, " copse ", ring).name()).isEqualTo("copse");
        assertThat(new Outline(Outline.Kind.PATH, "", ring).points()).hasSize(4);
        assertThatThrownBy(() -> new Outline(Outline.Kind.WOOD, "", ring.subList(0, 2)))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Outline.Point(Double.NaN, 55)).isInstanceOf(InvalidInput.class);
    }
}
