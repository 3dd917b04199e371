package org.grenu.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Least squares by Householder's QR with refinement: the residuals and normal equations of the solution are computed
 * with twice the digits and solved for once more, which brings back what a near-collinear model loses.
 *
 * <p>A column that the ones before it explain, but for {@value #ALIASED} of its length, is aliased: it gets no
 * coefficient. Refinement after Å. Björck, Numerical Methods for Least Squares Problems, 1996, §2.9.
 */
final class LeastSquares {

    static final double ALIASED = 1e-11;
    private static final int REFINEMENTS = 4;

    /**
     * A solution.
     *
     * @param kept         columns with a coefficient, increasing
     * @param coefficients by kept column
     * @param residuals    of the rows
     * @param rows         QᵀX over all columns, one row a kept column
     */
    record Solution(int[] kept, double[] coefficients, double[] residuals, double[][] rows) {

        /** {@return the sum of squares left over} */
        double rss() {
            return Arrays.stream(residuals).map(e -> e * e).sum();
        }

        /**
         * {@return a with Rᵀa = l over the kept columns} The combination lᵀβ has variance σ²‖a‖².
         *
         * @param l by column
         */
        double[] root(double[] l) {
            double[] a = new double[kept.length];
            for (int i = 0; i < a.length; i++) {
                a[i] = l[kept[i]];
                for (int j = 0; j < i; j++) {
                    a[i] -= rows[j][kept[i]] * a[j];
                }
                a[i] /= rows[i][kept[i]];
            }
            return a;
        }

        /** {@return log of the determinant of XᵀX over the kept columns} */
        double logDeterminant() {
            double log = 0;
            for (int i = 0; i < kept.length; i++) {
                log += 2 * Math.log(Math.abs(rows[i][kept[i]]));
            }
            return log;
        }
    }

    private final double[][] x;
    /** Column by column, since a reflection runs down each. */
    private final double[][] columns;
    private final List<Integer> kept = new ArrayList<>();
    private final double[][] reflections;
    private final double[] scales;

    private LeastSquares(double[][] x) {
        this.x = x;
        int n = x.length;
        int p = x[0].length;
        this.columns = new double[p][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < p; j++) {
                columns[j][i] = x[i][j];
            }
        }
        this.reflections = new double[Math.min(n, p)][];
        this.scales = new double[Math.min(n, p)];
        for (int j = 0; j < p && kept.size() < n; j++) {
            eliminate(j);
        }
    }

    /** {@return the solution of min ‖y − Xβ‖} */
    static Solution solve(double[][] x, double[] y) {
        return solve(x, y, REFINEMENTS);
    }

    /**
     * {@return the solution, refined that many times} Well-conditioned models that are solved over and over need
     * none.
     */
    static Solution solve(double[][] x, double[] y, int refinements) {
        LeastSquares least = new LeastSquares(x);
        int p = least.kept.size();
        double[] beta = new double[p];
        double[] residuals = new double[y.length];
        double[] f1 = y.clone();
        double[] f2 = new double[p];
        for (int round = 0; round <= refinements; round++) {
            least.step(f1, f2, beta, residuals);
            if (round < refinements) {
                least.defects(y, beta, residuals, f1, f2);
            }
        }
        double[][] rows = new double[p][];
        for (int i = 0; i < p; i++) {
            rows[i] = new double[least.columns.length];
            for (int j = least.kept.get(i); j < rows[i].length; j++) {
                rows[i][j] = least.columns[j][i];
            }
        }
        return new Solution(least.kept.stream().mapToInt(Integer::intValue).toArray(), beta, residuals, rows);
    }

    /** Turns column j onto the next axis; leaves it when hardly anything of it is left. */
    private void eliminate(int j) {
        int row = kept.size();
        int n = x.length;
        double[] column = columns[j];
        double whole = 0;
        double left = 0;
        for (int i = 0; i < n; i++) {
            whole += x[i][j] * x[i][j];
            left += i >= row ? column[i] * column[i] : 0;
        }
        if (!(Math.sqrt(left) > ALIASED * Math.sqrt(whole)) || whole == 0) {
            return;
        }
        double[] v = new double[n];
        double length = column[row] > 0 ? -Math.sqrt(left) : Math.sqrt(left);
        System.arraycopy(column, row, v, row, n - row);
        v[row] -= length;
        double square = Arrays.stream(v).map(e -> e * e).sum();
        reflections[row] = v;
        scales[row] = square == 0 ? 0 : 2 / square;
        for (int k = j; k < columns.length; k++) {
            reflect(row, columns[k]);
        }
        kept.add(j);
    }

    /** Solves [I X; Xᵀ 0]·[dr; dβ] = [f1; f2] and adds the solution. */
    private void step(double[] f1, double[] f2, double[] beta, double[] residuals) {
        double[][] r = triangle();
        double[] z = forward(r, f2);
        double[] d = reflected(f1, true);
        double[] first = new double[z.length];
        for (int k = 0; k < z.length; k++) {
            first[k] = d[k] - z[k];
            d[k] = z[k];
        }
        double[] change = back(r, first);
        double[] rest = reflected(d, false);
        for (int k = 0; k < beta.length; k++) {
            beta[k] += change[k];
        }
        for (int i = 0; i < residuals.length; i++) {
            residuals[i] += rest[i];
        }
    }

    private void defects(double[] y, double[] beta, double[] residuals, double[] f1, double[] f2) {
        for (int i = 0; i < y.length; i++) {
            TwoDoubles sum = new TwoDoubles().add(y[i]).add(-residuals[i]);
            for (int k = 0; k < beta.length; k++) {
                sum.addProduct(-x[i][kept.get(k)], beta[k]);
            }
            f1[i] = sum.value();
        }
        for (int k = 0; k < beta.length; k++) {
            TwoDoubles sum = new TwoDoubles();
            for (int i = 0; i < y.length; i++) {
                sum.addProduct(-x[i][kept.get(k)], residuals[i]);
            }
            f2[k] = sum.value();
        }
    }

    private void reflect(int row, double[] values) {
        double[] v = reflections[row];
        double dot = 0;
        for (int i = row; i < values.length; i++) {
            dot += v[i] * values[i];
        }
        double factor = scales[row] * dot;
        for (int i = row; i < values.length; i++) {
            values[i] -= factor * v[i];
        }
    }

    /** Applies Qᵀ (or Q). */
    private double[] reflected(double[] values, boolean transposed) {
        double[] result = values.clone();
        for (int step = 0; step < kept.size(); step++) {
            reflect(transposed ? step : kept.size() - 1 - step, result);
        }
        return result;
    }

    /** {@return an orthonormal basis of x's columns, one axis a row: as many as x has rank} */
    static double[][] axes(double[][] x) {
        LeastSquares least = new LeastSquares(x);
        double[][] axes = new double[least.kept.size()][];
        for (int k = 0; k < axes.length; k++) {
            double[] unit = new double[x.length];
            unit[k] = 1;
            axes[k] = least.reflected(unit, false);
        }
        return axes;
    }

    private double[][] triangle() {
        int p = kept.size();
        double[][] r = new double[p][p];
        for (int i = 0; i < p; i++) {
            for (int j = i; j < p; j++) {
                r[i][j] = columns[kept.get(j)][i];
            }
        }
        return r;
    }

    private static double[] back(double[][] r, double[] right) {
        double[] result = right.clone();
        for (int i = result.length - 1; i >= 0; i--) {
            for (int j = i + 1; j < result.length; j++) {
                result[i] -= r[i][j] * result[j];
            }
            result[i] /= r[i][i];
        }
        return result;
    }

    private static double[] forward(double[][] r, double[] right) {
        double[] result = right.clone();
        for (int i = 0; i < result.length; i++) {
            for (int j = 0; j < i; j++) {
                result[i] -= r[j][i] * result[j];
            }
            result[i] /= r[i][i];
        }
        return result;
    }
}
