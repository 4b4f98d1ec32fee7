package org.sallowbrook.core.field;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Checks;

/**
 * A round from a door to some stands and back, in a short order. Nearest first, then every two stretches are turned round
 * where that is shorter (2-opt; Croes, Operations Research 6, 1958), until none is: seldom more than a few per cent longer than
 * the shortest. As the crow flies: paths, water and slopes are for the walker.
 */
public final class Walk {

    public static final int MOST_STOPS = 40;

    /**
     * @param order numbers of the stops, from 0, in the order of the round
     * @param metres from the door to the first, between the stops, and from the last to the door
     */
    public record Round(List<Integer> order, List<Double> metres) {
        public Round {
            order = List.copyOf(order);
            metres = List.copyOf(metres);
        }

        public double all() {
            return metres.stream().mapToDouble(Double::doubleValue).sum();
        }
    }

    private Walk() {}

    /** @param stops at most {@value #MOST_STOPS} */
    public static Round of(Outline.Point door, List<Outline.Point> stops) {
        Checks.begin()
                .that(stops.size() <= MOST_STOPS, "stands", "must be at most " + MOST_STOPS)
                .done();
        int n = stops.size();
        List<Outline.Point> all = new ArrayList<>(stops);
        all.add(door);
        double[][] far = new double[n + 1][n + 1];
        for (int i = 0; i <= n; i++) {
            for (int j = 0; j <= n; j++) {
                far[i][j] = Outline.metres(all.get(i), all.get(j));
            }
        }
        int[] order = nearestFirst(far, n);
        boolean shorter = true;
        while (shorter) {
            shorter = false;
            for (int i = 0; i < n - 1; i++) {
                for (int j = i + 1; j < n; j++) {
                    int before = i == 0 ? n : order[i - 1];
                    int after = j == n - 1 ? n : order[j + 1];
                    double now = far[before][order[i]] + far[order[j]][after];
                    double turned = far[before][order[j]] + far[order[i]][after];
                    if (turned < now - 1e-6) {
                        turn(order, i, j);
                        shorter = true;
                    }
                }
            }
        }
        List<Integer> stopsInOrder = new ArrayList<>();
        List<Double> metres = new ArrayList<>();
        int at = n;
        for (int stop : order) {
            stopsInOrder.add(stop);
            metres.add(far[at][stop]);
            at = stop;
        }
        if (n > 0) {
            metres.add(far[at][n]);
        }
        return new Round(stopsInOrder, metres);
    }

    private static int[] nearestFirst(double[][] far, int n) {
        int[] order = new int[n];
        boolean[] been = new boolean[n];
        int at = n;
        for (int k = 0; k < n; k++) {
            int next = -1;
            for (int i = 0; i < n; i++) {
                if (!been[i] && (next < 0 || far[at][i] < far[at][next])) {
                    next = i;
                }
            }
            order[k] = next;
            been[next] = true;
            at = next;
        }
        return order;
    }

    private static void turn(int[] order, int from, int to) {
        for (int i = from, j = to; i < j; i++, j--) {
            int kept = order[i];
            order[i] = order[j];
            order[j] = kept;
        }
    }
}
