package org.sallowbrook.core.planning.year;

import java.util.ArrayList;
import java.util.List;

/**
 * A mixed integer programme, to be made as small as it can be: the cost is minimised under upper bounds of sums. Variables are
 * numbered in the order in which they are made, and are not negative.
 */
final class Programme {

    /** @param whole whether it counts things */
    record Variable(String name, double most, double cost, boolean whole) {}

    /** A sum of variables that is at least {@code least} and at most {@code most}; infinite where there is no such bound. */
    record Sum(String name, List<Integer> variables, List<Double> factors, double least, double most) {}

    final List<Variable> variables = new ArrayList<>();
    final List<Sum> sums = new ArrayList<>();

    int variable(String name, double most, double cost) {
        variables.add(new Variable(name, most, cost, false));
        return variables.size() - 1;
    }

    int whole(String name, double most, double cost) {
        variables.add(new Variable(name, most, cost, true));
        return variables.size() - 1;
    }

    /** One side of an equation being written. */
    static final class Terms {
        private final List<Integer> variables = new ArrayList<>();
        private final List<Double> factors = new ArrayList<>();

        Terms add(int variable, double factor) {
            variables.add(variable);
            factors.add(factor);
            return this;
        }

        void add(Terms other) {
            variables.addAll(other.variables);
            factors.addAll(other.factors);
        }

        double sum(double[] values) {
            double sum = 0;
            for (int i = 0; i < variables.size(); i++) {
                sum += values[variables.get(i)] * factors.get(i);
            }
            return sum;
        }

        boolean empty() {
            return variables.isEmpty();
        }
    }

    void atMost(String name, Terms terms, double most) {
        sums.add(new Sum(name, terms.variables, terms.factors, Double.NEGATIVE_INFINITY, most));
    }

    void exactly(String name, Terms terms, double value) {
        sums.add(new Sum(name, terms.variables, terms.factors, value, value));
    }

    /**
     * What a solver found.
     *
     * @param values by variable
     * @param cost of them
     * @param bound no values cost less
     */
    record Solution(double[] values, double cost, double bound) {}

    /** Whoever solves it; the only place that knows a library. */
    interface Solver {
        /** @param gap how far from the bound is near enough, as a share */
        Solution solve(Programme programme, double gap);
    }
}
