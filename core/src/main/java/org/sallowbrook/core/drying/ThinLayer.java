package org.sallowbrook.core.drying;

import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Words;

/**
 * Thin-layer drying curve fitted to weighings: mass(t) = me + (m0 - me) exp(-k t^n), Lewis (1921) with n = 1, Page
 * (1949) with n free. Mass is linear in the dry-basis moisture, so fitting mass is fitting M. Time in hours on the rack
 * at work.
 *
 * <p>Fitted in a = ln k, b = ln n, which keeps both positive. Least squares by Levenberg-Marquardt.
 */
final class ThinLayer {

    enum Model {
        LEWIS,
        PAGE
    }

    private final Model model;
    private final double startG;
    private final double equilibriumG;
    private final double a;
    private final double b;
    private final double @Nullable [][] covariance;
    private final double quantile;
    private final double rmsG;

    private ThinLayer(
            Model model,
            double startG,
            double equilibriumG,
            double a,
            double b,
            double @Nullable [][] covariance,
            double quantile,
            double rmsG) {
        this.model = model;
        this.startG = startG;
        this.equilibriumG = equilibriumG;
        this.a = a;
        this.b = b;
        this.covariance = covariance;
        this.quantile = quantile;
        this.rmsG = rmsG;
    }

    /**
     * @param weighings after the start, at least two, none at hour 0
     * @return null when the weights show no drying that a curve could be put through
     */
    static @Nullable ThinLayer fit(double startG, double equilibriumG, List<Weighing> weighings) {
        // The weighing at hour 0 is the fifth point.
        Model model = weighings.size() + 1 >= 5 ? Model.PAGE : Model.LEWIS;
        Weighing last = weighings.get(weighings.size() - 1);
        double ratio = (last.massG() - equilibriumG) / (startG - equilibriumG);
        if (!(ratio < 1)) {
            return null;
        }
        double guess = Math.log(-Math.log(Math.max(ratio, 1e-6)) / last.rackHours());
        double[] start = model == Model.PAGE ? new double[] {guess, 0} : new double[] {guess};
        double[] masses = weighings.stream().mapToDouble(Weighing::massG).toArray();
        MultivariateJacobianFunction curve = point -> curve(point, startG, equilibriumG, weighings);
        Optimum optimum;
        try {
            optimum = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(start)
                            .model(curve)
                            .target(masses)
                            .maxEvaluations(500)
                            .maxIterations(500)
                            .build());
        } catch (org.hipparchus.exception.MathRuntimeException e) {
            return null;
        }
        double[] p = optimum.getPoint().toArray();
        int freedom = masses.length - p.length;
        double[][] covariance = null;
        double quantile = 0;
        if (freedom > 0) {
            double variance = optimum.getCost() * optimum.getCost() / freedom;
            try {
                covariance =
                        optimum.getCovariances(1e-14).scalarMultiply(variance).getData();
            } catch (org.hipparchus.exception.MathRuntimeException e) {
                return null;
            }
            quantile = new TDistribution(freedom).inverseCumulativeProbability(0.95);
        }
        return new ThinLayer(
                model, startG, equilibriumG, p[0], p.length > 1 ? p[1] : 0, covariance, quantile, optimum.getRMS());
    }

    private static Pair<RealVector, RealMatrix> curve(
            RealVector point, double startG, double equilibriumG, List<Weighing> weighings) {
        double k = Math.exp(point.getEntry(0));
        boolean page = point.getDimension() > 1;
        double n = page ? Math.exp(point.getEntry(1)) : 1;
        RealVector value = new ArrayRealVector(weighings.size());
        RealMatrix jacobian = new Array2DRowRealMatrix(weighings.size(), point.getDimension());
        for (int i = 0; i < weighings.size(); i++) {
            double t = weighings.get(i).rackHours();
            double kt = k * Math.pow(t, n);
            double above = (startG - equilibriumG) * Math.exp(-kt);
            value.setEntry(i, equilibriumG + above);
            jacobian.setEntry(i, 0, -above * kt);
            if (page) {
                jacobian.setEntry(i, 1, -above * kt * Math.log(t) * n);
            }
        }
        return new Pair<>(value, jacobian);
    }

    Model model() {
        return model;
    }

    /** The curve as a formula, for the reader. */
    String words() {
        String n = model == Model.PAGE ? "^" + Words.exact(Math.exp(b)) : "";
        return (model == Model.PAGE ? "Page" : "Lewis") + ", mass is " + Words.grams(equilibriumG) + " + "
                + Words.grams(startG - equilibriumG) + " × exp(−" + Words.exact(Math.exp(a)) + " × hours" + n + ")";
    }

    double rmsG() {
        return rmsG;
    }

    double massAt(double hours) {
        return equilibriumG + (startG - equilibriumG) * Math.exp(-Math.exp(a) * Math.pow(hours, Math.exp(b)));
    }

    /** Hours from the start until a mass above equilibrium is reached: t = (L/k)^(1/n), L = ln((m0-me)/(m-me)). */
    double hoursTo(double massG) {
        return Math.exp(logHoursTo(massG));
    }

    /** Half width of the 90 % band on the logarithm of {@link #hoursTo}, by the delta method; 0 with no freedom left. */
    double logHoursBand(double massG) {
        if (covariance == null) {
            return 0;
        }
        double n = Math.exp(b);
        double dA = -1 / n;
        double dB = -logHoursTo(massG);
        double variance = dA * dA * covariance[0][0];
        if (model == Model.PAGE) {
            variance += 2 * dA * dB * covariance[0][1] + dB * dB * covariance[1][1];
        }
        return quantile * Math.sqrt(Math.max(0, variance));
    }

    private double logHoursTo(double massG) {
        double l = Math.log((startG - equilibriumG) / (massG - equilibriumG));
        return (Math.log(l) - a) / Math.exp(b);
    }
}
