package org.sallowbrook.core.making.spirit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * Reaches a strength and volume from the bottles on the shelf and water: most from open bottles, then fewest pours, then
 * shelf order. Volumes in mL at 20 °C.
 *
 * <p>Masses of ethanol and water are conserved, so the choice is a linear programme in the mass taken from each bottle.
 */
public final class Blend {

    public static final String WATER = "water";

    /** Bottles beyond this number are refused: the search tries subsets. */
    public static final int MOST_BOTTLES = 16;

    private static final double TOLERANCE_G = 1e-6;

    public record Bottle(String name, Strength strength, double availableMl, boolean open) {
        public Bottle {
            Checks.begin().notNegative("availableMl", availableMl).done();
        }

        double massG() {
            return new Pour(availableMl, strength).massG();
        }

        double massFraction() {
            return EthanolWater.massFraction(strength);
        }
    }

    public record NamedPour(String name, double volumeMl, double massG) {}

    /**
     * @param pours empty when it can't be done
     * @param missingMl how much of the wanted volume can't be made; null when all can
     */
    public record Result(
            List<NamedPour> pours,
            Strength strength,
            @Nullable Double missingMl,
            List<Finding> findings) {
        public boolean feasible() {
            return missingMl == null;
        }
    }

    private Blend() {}

    public static Result blend(Strength target, double volumeMl, List<Bottle> shelf) {
        Checks.begin()
                .positive("volumeMl", volumeMl)
                .that(shelf.size() <= MOST_BOTTLES, "shelf", "must hold at most " + MOST_BOTTLES + " bottles")
                .done();
        Pour wanted = new Pour(volumeMl, target);
        double totalG = wanted.massG();
        double ethanolG = totalG * EthanolWater.massFraction(target);
        double[] x = choose(shelf, totalG, ethanolG);
        if (x == null) {
            return shortage(target, volumeMl, shelf);
        }
        List<NamedPour> pours = new ArrayList<>();
        double spiritG = 0;
        for (int i = 0; i < x.length; i++) {
            if (x[i] > TOLERANCE_G) {
                Bottle bottle = shelf.get(i);
                pours.add(new NamedPour(
                        bottle.name(), Pour.ofGrams(x[i], bottle.strength()).volumeMl(), x[i]));
                spiritG += x[i];
            }
        }
        double waterG = totalG - spiritG;
        if (waterG > TOLERANCE_G) {
            pours.add(new NamedPour(WATER, Pour.ofGrams(waterG, Strength.NONE).volumeMl(), waterG));
        }
        return new Result(pours, target, null, Spirits.fireFindings(target));
    }

    private static double @Nullable [] choose(List<Bottle> shelf, double totalG, double ethanolG) {
        List<Integer> usable = IntStream.range(0, shelf.size())
                .filter(i -> shelf.get(i).availableMl() > 0
                        && shelf.get(i).strength().fraction() > 0)
                .boxed()
                .toList();
        if (ethanolG <= 0) {
            return new double[shelf.size()];
        }
        if (!canReach(shelf, usable, totalG, ethanolG)) {
            return null;
        }
        double[] best = mostFromOpen(shelf, usable, totalG, ethanolG, true);
        if (best == null) {
            return null;
        }
        double mostOpen = openMl(shelf, best);
        // Water is a pour too; of as many pours, fewer bottles and water come first.
        for (int pours = 1; pours <= usable.size(); pours++) {
            for (boolean water : new boolean[] {true, false}) {
                for (List<Integer> some : subsets(usable, water ? pours - 1 : pours)) {
                    double[] x = mayPourAsMuch(shelf, some, mostOpen) && canReach(shelf, some, totalG, ethanolG)
                            ? mostFromOpen(shelf, some, totalG, ethanolG, water)
                            : null;
                    if (x != null && openMl(shelf, x) >= mostOpen - 1e-6 * Math.max(1, mostOpen)) {
                        return x;
                    }
                }
            }
        }
        return best;
    }

    /** Strongest first needs the least mass; if that reaches the ethanol within the total, something does. */
    private static boolean canReach(List<Bottle> shelf, List<Integer> some, double totalG, double ethanolG) {
        double left = ethanolG;
        double mass = 0;
        List<Integer> strongest = some.stream()
                .sorted(Comparator.comparing((Integer i) -> shelf.get(i).strength())
                        .reversed())
                .toList();
        for (int i : strongest) {
            Bottle bottle = shelf.get(i);
            double take = Math.min(bottle.massG(), left / bottle.massFraction());
            mass += take;
            left -= take * bottle.massFraction();
        }
        return left <= TOLERANCE_G && mass <= totalG + TOLERANCE_G;
    }

    private static boolean mayPourAsMuch(List<Bottle> shelf, List<Integer> some, double openMl) {
        double available = some.stream()
                .map(shelf::get)
                .filter(Bottle::open)
                .mapToDouble(Bottle::availableMl)
                .sum();
        return available >= openMl - 1e-6 * Math.max(1, openMl);
    }

    /** Maximises the volume taken from open bottles, as fractions of the total mass; null when it can't be done. */
    private static double @Nullable [] mostFromOpen(
            List<Bottle> shelf, List<Integer> some, double totalG, double ethanolG, boolean water) {
        int n = some.size();
        double[] value = new double[n];
        double[] alcohol = new double[n];
        double[] ones = new double[n];
        List<LinearConstraint> constraints = new ArrayList<>();
        for (int j = 0; j < n; j++) {
            Bottle bottle = shelf.get(some.get(j));
            value[j] = bottle.open() ? 1 / EthanolWater.gramsPerMl(bottle.strength()) : 0;
            alcohol[j] = bottle.massFraction();
            ones[j] = 1;
            double[] unit = new double[n];
            unit[j] = 1;
            constraints.add(new LinearConstraint(unit, Relationship.LEQ, bottle.massG() / totalG * (1 + 1e-9)));
        }
        constraints.add(new LinearConstraint(alcohol, Relationship.EQ, ethanolG / totalG));
        constraints.add(new LinearConstraint(ones, water ? Relationship.LEQ : Relationship.EQ, 1 + (water ? 1e-9 : 0)));
        double[] fractions;
        try {
            fractions = new SimplexSolver(1e-9, 10, 1e-12)
                    .optimize(
                            new LinearObjectiveFunction(value, 0),
                            new LinearConstraintSet(constraints),
                            GoalType.MAXIMIZE,
                            new NonNegativeConstraint(true))
                    .getPoint();
        } catch (MathIllegalStateException e) {
            return null;
        }
        double[] x = new double[shelf.size()];
        for (int j = 0; j < n; j++) {
            x[some.get(j)] = fractions[j] * totalG;
        }
        return x;
    }

    private static double openMl(List<Bottle> shelf, double[] x) {
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            if (shelf.get(i).open() && x[i] > 0) {
                sum += x[i] / EthanolWater.gramsPerMl(shelf.get(i).strength());
            }
        }
        return sum;
    }

    private static Result shortage(Strength target, double volumeMl, List<Bottle> shelf) {
        double makeable = makeableMl(target, shelf);
        double missing = Math.max(0, volumeMl - makeable);
        Strength strongest = shelf.stream()
                .map(Bottle::strength)
                .max(Comparator.naturalOrder())
                .orElse(Strength.NONE);
        Finding finding = strongest.fraction() < target.fraction()
                ? Finding.stop(
                        "SPIRIT_TOO_WEAK",
                        "Nothing on the shelf is as strong as " + Words.percent(target.fraction())
                                + "; the strongest is " + Words.percent(strongest.fraction()) + ".",
                        "Get a stronger spirit, or plan for a lower strength.")
                : Finding.stop(
                        "SPIRIT_SHORT",
                        "The shelf makes " + Words.millilitres(makeable) + " at this strength; "
                                + Words.millilitres(missing) + " is missing.",
                        "Make less, or get more spirit.");
        return new Result(List.of(), target, missing, List.of(finding));
    }

    /** The most that can be made at a strength: all stronger bottles, and weaker ones while the surplus lasts. */
    private static double makeableMl(Strength target, List<Bottle> shelf) {
        double p = EthanolWater.massFraction(target);
        if (p == 0) {
            return Double.MAX_VALUE;
        }
        double ethanol = 0;
        double surplus = 0;
        List<Bottle> strongest = shelf.stream()
                .sorted(Comparator.comparing(Bottle::strength).reversed())
                .toList();
        for (Bottle bottle : strongest) {
            double above = bottle.massFraction() - p;
            double take = above >= 0 ? bottle.massG() : Math.min(bottle.massG(), surplus / -above);
            surplus += take * above;
            ethanol += take * bottle.massFraction();
        }
        return Pour.ofGrams(ethanol / p, target).volumeMl();
    }

    /** Subsets of a size in shelf order. */
    private static List<List<Integer>> subsets(List<Integer> of, int size) {
        List<List<Integer>> all = new ArrayList<>();
        collect(of, size, 0, new ArrayList<>(), all);
        return all;
    }

    private static void collect(List<Integer> of, int size, int from, List<Integer> chosen, List<List<Integer>> all) {
        if (chosen.size() == size) {
            all.add(List.copyOf(chosen));
            return;
        }
        for (int i = from; i <= of.size() - (size - chosen.size()); i++) {
            chosen.add(of.get(i));
            collect(of, size, i + 1, chosen, all);
            chosen.remove(chosen.size() - 1);
        }
    }
}
