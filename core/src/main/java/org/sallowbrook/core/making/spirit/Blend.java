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
     * @param poured the pours in the same order, water with strength 0
     */
    public record Result(
            List<NamedPour> pours,
            Strength strength,
            @Nullable Double missingMl,
            List<Finding> findings,
            List<Pour> poured) {

        /** The equations of the mixture, written when they are asked for. */
        public List<String> because() {
            return poured.isEmpty() ? List.of() : Spirits.because(poured, Spirits.mix(poured));
        }

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
        Choice choice = new Choice(shelf, wanted.massG(), wanted.ethanolG());
        double[] x = choice.make();
        if (x == null) {
            return shortage(target, volumeMl, shelf);
        }
        List<NamedPour> pours = new ArrayList<>();
        List<Pour> poured = new ArrayList<>();
        double spiritG = 0;
        for (int i = 0; i < x.length; i++) {
            if (x[i] > TOLERANCE_G) {
                Bottle bottle = shelf.get(i);
                Pour pour = new Pour(x[i] / choice.gramsPerMl[i], bottle.strength());
                pours.add(new NamedPour(bottle.name(), pour.volumeMl(), x[i]));
                poured.add(pour);
                spiritG += x[i];
            }
        }
        double waterG = wanted.massG() - spiritG;
        if (waterG > TOLERANCE_G) {
            Pour water = Pour.ofGrams(waterG, Strength.NONE);
            pours.add(new NamedPour(WATER, water.volumeMl(), waterG));
            poured.add(water);
        }
        return new Result(pours, target, null, Spirits.fireFindings(target), poured);
    }

    /** Which bottles to pour and how much of each; subsets of bottles are bits of an int. */
    private static final class Choice {

        private final List<Bottle> shelf;
        private final double totalG;
        private final double ethanolG;
        private final double[] massG;
        private final double[] massFraction;
        private final double[] gramsPerMl;
        private final int[] usable;
        /** Of the usable ones, strongest first. */
        private final int[] strongest;

        Choice(List<Bottle> shelf, double totalG, double ethanolG) {
            this.shelf = shelf;
            this.totalG = totalG;
            this.ethanolG = ethanolG;
            int n = shelf.size();
            massG = new double[n];
            massFraction = new double[n];
            gramsPerMl = new double[n];
            for (int i = 0; i < n; i++) {
                Bottle bottle = shelf.get(i);
                massFraction[i] = bottle.massFraction();
                gramsPerMl[i] = EthanolWater.gramsPerMl(massFraction[i]);
                massG[i] = bottle.availableMl() * gramsPerMl[i];
            }
            usable = IntStream.range(0, n)
                    .filter(i -> massG[i] > 0 && massFraction[i] > 0)
                    .toArray();
            strongest = IntStream.of(usable)
                    .boxed()
                    .sorted(Comparator.comparingDouble((Integer i) -> -massFraction[i]))
                    .mapToInt(Integer::intValue)
                    .toArray();
        }

        double @Nullable [] make() {
            if (ethanolG <= 0) {
                return new double[shelf.size()];
            }
            int all = 0;
            for (int i : usable) {
                all |= 1 << i;
            }
            if (!canReach(all)) {
                return null;
            }
            double[] best = mostFromOpen(all, true);
            if (best == null) {
                return null;
            }
            double mostOpen = openMl(best);
            // Water is a pour too; of as many pours, fewer bottles and water come first.
            for (int pours = 1; pours <= usable.length; pours++) {
                for (boolean water : new boolean[] {true, false}) {
                    double[] x = first(water ? pours - 1 : pours, 0, 0, water, mostOpen);
                    if (x != null) {
                        return x;
                    }
                }
            }
            return best;
        }

        /** The first subset in shelf order, this many bottles more from {@code from} on, that pours as much from open ones. */
        private double @Nullable [] first(int more, int from, int chosen, boolean water, double mostOpen) {
            if (more == 0) {
                if (chosen == 0 || !mayPourAsMuch(chosen, mostOpen) || !canReach(chosen)) {
                    return null;
                }
                double[] x = mostFromOpen(chosen, water);
                return x != null && openMl(x) >= mostOpen - slack(mostOpen) ? x : null;
            }
            for (int k = from; k <= usable.length - more; k++) {
                double[] x = first(more - 1, k + 1, chosen | 1 << usable[k], water, mostOpen);
                if (x != null) {
                    return x;
                }
            }
            return null;
        }

        private static double slack(double mostOpen) {
            return 1e-6 * Math.max(1, mostOpen);
        }

        /** Strongest first needs the least mass; if that reaches the ethanol within the total, something does. */
        private boolean canReach(int some) {
            double left = ethanolG;
            double mass = 0;
            for (int i : strongest) {
                if ((some & 1 << i) != 0) {
                    double take = Math.min(massG[i], left / massFraction[i]);
                    mass += take;
                    left -= take * massFraction[i];
                }
            }
            return left <= TOLERANCE_G && mass <= totalG + TOLERANCE_G;
        }

        private boolean mayPourAsMuch(int some, double mostOpen) {
            double available = 0;
            for (int i : usable) {
                if ((some & 1 << i) != 0 && shelf.get(i).open()) {
                    available += shelf.get(i).availableMl();
                }
            }
            return available >= mostOpen - slack(mostOpen);
        }

        /** Maximises the volume taken from open bottles, as fractions of the total mass; null when it can't be done. */
        private double @Nullable [] mostFromOpen(int some, boolean water) {
            int n = Integer.bitCount(some);
            int[] bottles =
                    IntStream.of(usable).filter(i -> (some & 1 << i) != 0).toArray();
            if (n == 1) {
                return only(bottles[0], water);
            }
            double[] value = new double[n];
            double[] alcohol = new double[n];
            double[] ones = new double[n];
            List<LinearConstraint> constraints = new ArrayList<>();
            for (int j = 0; j < n; j++) {
                int i = bottles[j];
                value[j] = shelf.get(i).open() ? 1 / gramsPerMl[i] : 0;
                alcohol[j] = massFraction[i];
                ones[j] = 1;
                double[] unit = new double[n];
                unit[j] = 1;
                constraints.add(new LinearConstraint(unit, Relationship.LEQ, massG[i] / totalG * (1 + 1e-9)));
            }
            constraints.add(new LinearConstraint(alcohol, Relationship.EQ, ethanolG / totalG));
            constraints.add(
                    new LinearConstraint(ones, water ? Relationship.LEQ : Relationship.EQ, 1 + (water ? 1e-9 : 0)));
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
                x[bottles[j]] = fractions[j] * totalG;
            }
            return x;
        }

        /** With one bottle there is nothing to choose. */
        private double @Nullable [] only(int i, boolean water) {
            double take = ethanolG / massFraction[i];
            boolean fills = Math.abs(take - totalG) <= TOLERANCE_G;
            if (take > massG[i] * (1 + 1e-9) || take > totalG + TOLERANCE_G || (!water && !fills)) {
                return null;
            }
            double[] x = new double[shelf.size()];
            x[i] = take;
            return x;
        }

        private double openMl(double[] x) {
            double sum = 0;
            for (int i = 0; i < x.length; i++) {
                if (shelf.get(i).open() && x[i] > 0) {
                    sum += x[i] / gramsPerMl[i];
                }
            }
            return sum;
        }
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
        return new Result(List.of(), target, missing, List.of(finding), List.of());
    }

    /** The most that can be made at a strength: all stronger bottles, and weaker ones while the surplus lasts. */
    private static double makeableMl(Strength target, List<Bottle> shelf) {
        double p = EthanolWater.massFraction(target);
        if (p == 0) {
            return Checks.LARGEST;
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
}
