package org.grenu.core.numbers;

import java.util.Arrays;
import java.util.Optional;

/**
 * Small least-squares problems, gathered sample by sample and solved by Cholesky's decomposition. Inputs are centred by
 * their user, so the squares do no harm. A library's QR of the same four equations took a tenth of an analysis;
 * NormalEquationsTest holds both equal.
 */
public final class NormalEquations {

    /** Less than this share of a term's squares left by the terms before it: they are not told apart. */
    private static final double ALIKE = 1e-13;

    /** The lower triangle, row by row. */
    private final double[] xx;
    private final double[] xy;
    private double yy;

    public NormalEquations(int terms) {
        this(new double[terms * (terms + 1) / 2], new double[terms], 0);
    }

    private NormalEquations(double[] xx, double[] xy, double yy) {
        this.xx = xx;
        this.xy = xy;
        this.yy = yy;
    }

    /**
     * {@return the equations of samples that were summed already}
     *
     * @param xx products of the terms with each other, the lower triangle row by row
     * @param xy of the terms with the response
     * @param yy of the response with itself
     */
    public static NormalEquations ofSums(double[] xx, double[] xy, double yy) {
        return new NormalEquations(xx.clone(), xy.clone(), yy);
    }

    public void add(double y, double... x) {
        int k = 0;
        for (int i = 0; i < x.length; i++) {
            double xi = x[i];
            for (int j = 0; j <= i; j++) {
                xx[k++] += xi * x[j];
            }
            xy[i] += xi * y;
        }
        yy += y * y;
    }

    /** {@return the same samples with the first terms only} */
    public NormalEquations ofFirst(int terms) {
        return new NormalEquations(xx, Arrays.copyOf(xy, terms), yy);
    }

    /** {@return the coefficients; empty when the samples do not tell the terms apart} */
    public Optional<double[]> solve() {
        return solve(xy);
    }

    /** {@return the coefficients for another response of the same samples, by its products with the terms} */
    public Optional<double[]> solve(double[] products) {
        int n = xy.length;
        double[][] lower = new double[n][n];
        double[] solution = new double[n];
        for (int i = 0; i < n; i++) {
            double product = products[i];
            for (int j = 0; j <= i; j++) {
                double left = xx[i * (i + 1) / 2 + j];
                for (int k = 0; k < j; k++) {
                    left -= lower[i][k] * lower[j][k];
                }
                if (j < i) {
                    lower[i][j] = left / lower[j][j];
                    product -= lower[i][j] * solution[j];
                } else if (left > ALIKE * xx[i * (i + 1) / 2 + i]) {
                    lower[i][i] = Math.sqrt(left);
                } else {
                    return Optional.empty();
                }
            }
            solution[i] = product / lower[i][i];
        }
        for (int i = n - 1; i >= 0; i--) {
            for (int k = i + 1; k < n; k++) {
                solution[i] -= lower[k][i] * solution[k];
            }
            solution[i] /= lower[i][i];
        }
        return Optional.of(solution);
    }

    /** {@return the sum of squares that the solution leaves} */
    public double residuals(double[] solution) {
        double explained = 0;
        for (int i = 0; i < xy.length; i++) {
            explained += solution[i] * xy[i];
        }
        return Math.max(0, yy - explained);
    }

}
