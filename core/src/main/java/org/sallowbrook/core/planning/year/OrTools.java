package org.sallowbrook.core.planning.year;

import com.google.ortools.Loader;
import com.google.ortools.linearsolver.MPConstraint;
import com.google.ortools.linearsolver.MPObjective;
import com.google.ortools.linearsolver.MPSolver;
import com.google.ortools.linearsolver.MPSolverParameters;
import com.google.ortools.linearsolver.MPSolverParameters.DoubleParam;
import com.google.ortools.linearsolver.MPVariable;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.planning.year.Programme.Solution;

/**
 * Solves with the branch-and-cut solver CBC by way of OR-Tools, and what is left without whole numbers with GLOP:
 * docs/decisions/0056 says what it was measured beside.
 */
final class OrTools implements Programme.Solver {

    /** Afterwards the best found so far is taken. */
    private static final int MOST_MS = 2_000;

    /** Parts are found out while the class is loaded, once. */
    private static final class Native {
        static {
            Loader.loadNativeLibraries();
        }

        private Native() {}

        static MPSolver solver(String kind) {
            MPSolver solver = MPSolver.createSolver(kind);
            if (solver == null) {
                throw new IllegalStateException("the solver is not there");
            }
            return solver;
        }
    }

    @Override
    public Solution solve(Programme programme, double gap) {
        Solution whole = solve(programme, gap, null);
        // What counts things stays; the rest is reckoned to its end.
        Solution exact = solve(programme, 0, whole.values());
        return new Solution(exact.values(), exact.cost(), Math.min(whole.bound(), exact.cost()));
    }

    /** @param fixed values that hold for what counts things; null where it is looked for */
    private static Solution solve(Programme programme, double gap, double @Nullable [] fixed) {
        MPSolver solver = Native.solver(fixed == null ? "CBC" : "GLOP");
        try {
            MPVariable[] variables = variables(solver, programme.variables, fixed);
            for (Programme.Sum sum : programme.sums) {
                MPConstraint bound = solver.makeConstraint(bounded(sum.least()), bounded(sum.most()));
                Map<Integer, Double> factors = new HashMap<>();
                for (int j = 0; j < sum.variables().size(); j++) {
                    factors.merge(sum.variables().get(j), sum.factors().get(j), Double::sum);
                }
                factors.forEach((i, factor) -> bound.setCoefficient(variables[i], factor));
            }
            solver.setTimeLimit(MOST_MS);
            MPSolverParameters parameters = new MPSolverParameters();
            parameters.setDoubleParam(DoubleParam.RELATIVE_MIP_GAP, gap);
            MPSolver.ResultStatus status = solver.solve(parameters);
            if (status != MPSolver.ResultStatus.OPTIMAL && status != MPSolver.ResultStatus.FEASIBLE) {
                throw new IllegalStateException("no plan, though doing nothing is one: " + status);
            }
            double[] values = new double[variables.length];
            Arrays.setAll(values, i -> Math.max(0, variables[i].solutionValue()));
            double cost = solver.objective().value();
            return new Solution(values, cost, fixed == null ? solver.objective().bestBound() : cost);
        } finally {
            solver.delete();
        }
    }

    private static MPVariable[] variables(MPSolver solver, List<Programme.Variable> all, double @Nullable [] fixed) {
        MPObjective cost = solver.objective();
        cost.setMinimization();
        MPVariable[] variables = new MPVariable[all.size()];
        for (int i = 0; i < variables.length; i++) {
            Programme.Variable v = all.get(i);
            // Two of one name would end the process; numbers are names enough for it.
            String name = Integer.toString(i);
            if (!v.whole()) {
                variables[i] = solver.makeNumVar(0, bounded(v.most()), name);
            } else if (fixed == null) {
                variables[i] = solver.makeIntVar(0, v.most(), name);
            } else {
                variables[i] = solver.makeNumVar(Math.rint(fixed[i]), Math.rint(fixed[i]), name);
            }
            cost.setCoefficient(variables[i], v.cost());
        }
        return variables;
    }

    private static double bounded(double value) {
        return Double.isFinite(value) ? value : Math.signum(value) * MPSolver.infinity();
    }
}
