package org.grenu.core.model;

import java.util.Arrays;
import org.grenu.core.numbers.Samples;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Rows of which each brings its own known standard uncertainty u, and a spread τ between rows that all share: weights
 * 1/(τ² + u²), with τ such that the weighted residual squares meet their degrees of freedom (R. C. Paule, J. Mandel,
 * J. Res. NBS 87, 1982, 377–385).
 *
 * @param weights by row, mean 1
 * @param spread  τ, in the response's unit; 0 when the known uncertainties explain all there is
 */
public record KnownErrors(Samples weights, double spread) {

    private static final double PRECISION = 1e-14;
    private static final double NARROWEST = 1e-9;
    private static final int EVALUATIONS = 200;

    /**
     * {@return the weights}
     *
     * @param u by row, in [0, ∞)
     */
    public static KnownErrors of(Design design, Samples y, Samples u) {
        FixedFit plain = FixedFit.of(design, y, ones(y.size()));
        if (plain.residualDf() < 1) {
            return new KnownErrors(ones(y.size()), 0);
        }
        double[][] x = design.matrix();
        double[] response = y.toArray();
        // A spread of all that is left over is too wide for any share of it that the rows' own errors take.
        double widest = Math.sqrt(Arrays.stream(plain.residuals()).map(e -> e * e).sum());
        double narrowest = u.min() > 0 ? 0 : NARROWEST * widest;
        UnivariateFunction excess = spread -> chi(x, response, raw(u, spread)) - plain.residualDf();
        boolean spreads = widest > 0 && excess.value(narrowest) > 0;
        double spread = spreads
                ? new BrentSolver(PRECISION, PRECISION * widest, 0).solve(EVALUATIONS, excess, narrowest,
                        widest)
                : 0;
        double[] weights = raw(u, spread);
        double mean = Arrays.stream(weights).average().orElse(1);
        return new KnownErrors(Double.isFinite(mean) ? Samples.of(Arrays.stream(weights).map(w -> w / mean).toArray())
                : ones(y.size()), spread);
    }

    private static double chi(double[][] x, double[] y, double[] weights) {
        double[][] scaled = new double[x.length][x[0].length];
        double[] response = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            double root = Math.sqrt(weights[i]);
            response[i] = root * y[i];
            for (int j = 0; j < scaled[i].length; j++) {
                scaled[i][j] = root * x[i][j];
            }
        }
        return LeastSquares.solve(scaled, response, 0).rss();
    }

    private static double[] raw(Samples u, double spread) {
        double[] weights = new double[u.size()];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = 1 / (spread * spread + u.get(i) * u.get(i));
        }
        return weights;
    }

    /** {@return the weights of rows that are all alike} */
    public static Samples ones(int rows) {
        double[] ones = new double[rows];
        Arrays.fill(ones, 1);
        return Samples.of(ones);
    }
}
