package org.grenu.core.model;

import java.util.Arrays;
import java.util.List;

/**
 * The restricted likelihood of a random intercept at any ratio λ = τ²/σ², from sums over the groups: with an
 * orthonormal basis Q of the weighted model matrix, QᵀV⁻¹Q = I − Σ κₘaₘaₘᵀ with aₘ a group's sum of Q's rows
 * and κₘ = λ/(1 + λwₘ).
 * It replaces a decomposition of all rows at every λ, a few hundred for a fit; FastKernelsTest holds both equal.
 */
final class InterceptLikelihood {

    private final int rows;
    private final double[] groupWeights;
    private final double[][] groupAxes;
    private final double[] groupRests;
    private final double rest;
    private final int rank;

    /** The sum of squares left over and log |QᵀV⁻¹Q|, at one λ and σ = 1. */
    private record At(double squares, double logDeterminant) {
    }

    InterceptLikelihood(double[][] x, double[] y, double[] weights, List<int[]> groups) {
        rows = y.length;
        double[][] scaled = new double[rows][];
        double[] response = new double[rows];
        double[] u = new double[rows];
        for (int i = 0; i < rows; i++) {
            u[i] = Math.sqrt(weights[i]);
            double root = u[i];
            scaled[i] = Arrays.stream(x[i]).map(v -> root * v).toArray();
            response[i] = root * y[i];
        }
        double[][] axes = LeastSquares.axes(scaled);
        // What the columns explain is in no one's likelihood; without it few digits cancel.
        double[] left = LeastSquares.solve(scaled, response, 0).residuals();
        rank = axes.length;
        groupWeights = new double[groups.size()];
        groupAxes = new double[groups.size()][rank];
        groupRests = new double[groups.size()];
        for (int g = 0; g < groupWeights.length; g++) {
            for (int i : groups.get(g)) {
                groupWeights[g] += weights[i];
                groupRests[g] += u[i] * left[i];
                for (int k = 0; k < rank; k++) {
                    groupAxes[g][k] += u[i] * axes[k][i];
                }
            }
        }
        rest = Arrays.stream(left).map(e -> e * e).sum();
    }

    /** {@return minus twice the restricted log-likelihood with σ² at its best, but for a constant} */
    double profiled(double lambda) {
        At at = at(lambda);
        return (rows - rank) * Math.log(at.squares) + at.logDeterminant + logDeterminantOfErrors(lambda);
    }

    private double logDeterminantOfErrors(double lambda) {
        double log = 0;
        for (double weight : groupWeights) {
            log += Math.log1p(lambda * weight);
        }
        return log;
    }

    private At at(double lambda) {
        double[][] a = new double[rank][rank];
        double[] b = new double[rank];
        double squares = rest;
        for (int g = 0; g < groupWeights.length; g++) {
            double kappa = lambda / (1 + lambda * groupWeights[g]);
            squares -= kappa * groupRests[g] * groupRests[g];
            for (int j = 0; j < rank; j++) {
                double part = kappa * groupAxes[g][j];
                b[j] -= part * groupRests[g];
                for (int k = 0; k <= j; k++) {
                    a[j][k] -= part * groupAxes[g][k];
                }
            }
        }
        for (int j = 0; j < rank; j++) {
            a[j][j] += 1;
        }
        double log = factorize(a);
        for (double v : forward(a, b)) {
            squares -= v * v;
        }
        return new At(squares, log);
    }

    /** Cholesky's L in place of the lower half. {@return log of the determinant} */
    private static double factorize(double[][] a) {
        double log = 0;
        for (int j = 0; j < a.length; j++) {
            for (int i = j; i < a.length; i++) {
                double sum = a[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= a[i][k] * a[j][k];
                }
                a[i][j] = i == j ? Math.sqrt(sum) : sum / a[j][j];
            }
            log += 2 * Math.log(a[j][j]);
        }
        return log;
    }

    private static double[] forward(double[][] root, double[] right) {
        double[] result = right.clone();
        for (int i = 0; i < result.length; i++) {
            for (int j = 0; j < i; j++) {
                result[i] -= root[i][j] * result[j];
            }
            result[i] /= root[i][i];
        }
        return result;
    }
}
