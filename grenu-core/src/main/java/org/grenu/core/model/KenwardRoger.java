package org.grenu.core.model;

import java.util.List;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * How sure a random intercept's estimates are when its groups are few: the covariance of the coefficients with what
 * estimating σ² and τ² adds to it, and the degrees of freedom that go with it (M. G. Kenward, J. H. Roger, Biometrics
 * 53, 1997, 983–997, from the expected information; the form for a linear covariance as U. Halekoh, S. Højsgaard, J.
 * Stat. Softw. 59(9), 2014, compute it).
 *
 * <p>V = σ²W⁻¹ + τ²ZZᵀ is inverted group by group, so the cost grows with the rows and not with their square.
 */
final class KenwardRoger {

    private static final int PARTS = 2;

    private final int[] kept;
    private final RealMatrix phi;
    private final RealMatrix adjusted;
    /** By part, spread of rows and of groups: XᵀV⁻¹VᵢV⁻¹X. */
    private final RealMatrix[] p = new RealMatrix[PARTS];
    /** Covariance of (σ², τ²). */
    private final double[][] w;

    /**
     * The data.
     *
     * @param x       model matrix
     * @param weights by row
     * @param groups  rows of each
     */
    record Rows(double[][] x, double[] weights, List<int[]> groups) {

        private RealMatrix of(int[] kept) {
            RealMatrix own = MatrixUtils.createRealMatrix(x.length, kept.length);
            for (int i = 0; i < x.length; i++) {
                for (int k = 0; k < kept.length; k++) {
                    own.setEntry(i, k, x[i][kept[k]]);
                }
            }
            return own;
        }
    }

    /**
     * @param kept  columns that have a coefficient
     * @param known slopes known beforehand: rows whose spread is not estimated
     * @param sigma σ², in (0, ∞)
     * @param tau   τ², in [0, ∞)
     */
    KenwardRoger(Rows rows, int[] kept, List<KnownSlope> known, Design design, double sigma, double tau) {
        this.kept = kept;
        Inverse inverse = new Inverse(rows.weights, rows.groups, sigma, tau);
        RealMatrix model = rows.of(kept);
        RealMatrix a = inverse.times(model);
        RealMatrix information = symmetric(model.transposeMultiply(a));
        for (KnownSlope slope : known) {
            RealMatrix row = of(List.of(slope.row(design, 1)));
            information = information.add(row.multiplyTransposed(row));
        }
        phi = MatrixUtils.inverse(information);
        RealMatrix[] b = {inverse.rowsPart(a), inverse.groupsPart(a)};
        RealMatrix[][] q = new RealMatrix[PARTS][PARTS];
        for (int i = 0; i < PARTS; i++) {
            p[i] = symmetric(a.transposeMultiply(b[i]));
            for (int j = 0; j < PARTS; j++) {
                q[i][j] = b[i].transposeMultiply(inverse.times(b[j]));
            }
        }
        w = covariance(inverse, q);
        RealMatrix sum = MatrixUtils.createRealMatrix(kept.length, kept.length);
        for (int i = 0; i < PARTS; i++) {
            for (int j = 0; j < PARTS; j++) {
                sum = sum.add(q[i][j].subtract(p[i].multiply(phi).multiply(p[j])).scalarMultiply(w[i][j]));
            }
        }
        adjusted = symmetric(phi.add(phi.multiply(sum).multiply(phi).scalarMultiply(2)));
    }

    private static RealMatrix symmetric(RealMatrix matrix) {
        return matrix.add(matrix.transpose()).scalarMultiply(0.5);
    }

    /** Twice the inverse of tr(PVᵢPVⱼ), P = V⁻¹ − V⁻¹XΦXᵀV⁻¹. */
    private double[][] covariance(Inverse inverse, RealMatrix[][] q) {
        double[][] traces = inverse.traces();
        double[][] information = new double[PARTS][PARTS];
        for (int i = 0; i < PARTS; i++) {
            for (int j = 0; j < PARTS; j++) {
                information[i][j] = traces[i][j] - 2 * phi.multiply(q[i][j]).getTrace()
                        + phi.multiply(p[i]).multiply(phi).multiply(p[j]).getTrace();
            }
        }
        double determinant = information[0][0] * information[1][1] - information[0][1] * information[1][0];
        return new double[][] {{2 * information[1][1] / determinant, -2 * information[0][1] / determinant},
                {-2 * information[1][0] / determinant, 2 * information[0][0] / determinant}};
    }

    private RealMatrix of(List<double[]> contrasts) {
        RealMatrix l = MatrixUtils.createRealMatrix(kept.length, contrasts.size());
        for (int k = 0; k < contrasts.size(); k++) {
            for (int i = 0; i < kept.length; i++) {
                l.setEntry(i, k, contrasts.get(k)[kept[i]]);
            }
        }
        return l;
    }

    /** {@return the adjusted variance of that combination of all columns} */
    double variance(double[] contrast) {
        RealMatrix l = of(List.of(contrast));
        return l.transposeMultiply(adjusted).multiply(l).getEntry(0, 0);
    }

    /** {@return the degrees of freedom of that combination: 2/A of the paper, with the unadjusted covariance} */
    double df(double[] contrast) {
        double[] a = ratios(of(List.of(contrast)));
        return 2 / a[0];
    }

    /**
     * {@return the test that all those combinations are nought}
     *
     * @param contrasts independent, over all columns
     * @param values    of each
     */
    FTest test(List<double[]> contrasts, double[] values) {
        int q = contrasts.size();
        RealMatrix l = of(contrasts);
        RealMatrix value = MatrixUtils.createColumnRealMatrix(values);
        double f = value.transposeMultiply(MatrixUtils.inverse(l.transposeMultiply(adjusted).multiply(l)))
                .multiply(value)
                .getEntry(0, 0) / q;
        double[] a = ratios(l);
        if (q == 1) {
            return new FTest(f, 1, 2 / a[0]);
        }
        double bend = (a[0] + 6 * a[1]) / (2.0 * q);
        double g = ((q + 1) * a[0] - (q + 4) * a[1]) / ((q + 2) * a[1]);
        double below = 3.0 * q + 2 * (1 - g);
        double mean = 1 / (1 - a[1] / q);
        double v0 = 1 + g / below * bend;
        double v1 = 1 - (q - g) / below * bend;
        double v2 = 1 - (q + 2 - g) / below * bend;
        double rho = (1 / (double) q) * Math.pow((1 - a[1] / q) / v1, 2) * v0 / v2;
        double df = 4 + (q + 2) / (q * rho - 1);
        return new FTest(f * df / (mean * (df - 2)), q, df);
    }

    /** A₁ = ΣΣ wᵢⱼ tr(ΘΦPᵢΦ)tr(ΘΦPⱼΦ) and A₂ = ΣΣ wᵢⱼ tr(ΘΦPᵢΦΘΦPⱼΦ), Θ = L(LᵀΦL)⁻¹Lᵀ. */
    private double[] ratios(RealMatrix l) {
        RealMatrix theta = l.multiply(MatrixUtils.inverse(l.transposeMultiply(phi).multiply(l)))
                .multiply(l.transpose());
        RealMatrix[] t = new RealMatrix[PARTS];
        for (int i = 0; i < PARTS; i++) {
            t[i] = theta.multiply(phi).multiply(p[i]).multiply(phi);
        }
        double[] a = new double[2];
        for (int i = 0; i < PARTS; i++) {
            for (int j = 0; j < PARTS; j++) {
                a[0] += w[i][j] * t[i].getTrace() * t[j].getTrace();
                a[1] += w[i][j] * t[i].multiply(t[j]).getTrace();
            }
        }
        return a;
    }

    /** V⁻¹ = diag(w)/σ² − κ·wwᵀ within each group, κ = τ²/(σ²(σ² + τ²Σw)). */
    private record Inverse(double[] weights, List<int[]> groups, double sigma, double tau) {

        private double sum(int[] rows) {
            double sum = 0;
            for (int i : rows) {
                sum += weights[i];
            }
            return sum;
        }

        private double kappa(int[] rows) {
            return tau / (sigma * (sigma + tau * sum(rows)));
        }

        RealMatrix times(RealMatrix columns) {
            RealMatrix result = MatrixUtils.createRealMatrix(columns.getRowDimension(), columns.getColumnDimension());
            for (int[] rows : groups) {
                double kappa = kappa(rows);
                for (int k = 0; k < columns.getColumnDimension(); k++) {
                    double sum = 0;
                    for (int i : rows) {
                        sum += weights[i] * columns.getEntry(i, k);
                    }
                    for (int i : rows) {
                        result.setEntry(i, k, weights[i] * (columns.getEntry(i, k) / sigma - kappa * sum));
                    }
                }
            }
            return result;
        }

        /** ∂V/∂σ² times those columns. */
        RealMatrix rowsPart(RealMatrix columns) {
            RealMatrix result = columns.copy();
            for (int i = 0; i < weights.length; i++) {
                for (int k = 0; k < result.getColumnDimension(); k++) {
                    result.multiplyEntry(i, k, 1 / weights[i]);
                }
            }
            return result;
        }

        /** ∂V/∂τ² times those columns. */
        RealMatrix groupsPart(RealMatrix columns) {
            RealMatrix result = MatrixUtils.createRealMatrix(columns.getRowDimension(), columns.getColumnDimension());
            for (int[] rows : groups) {
                for (int k = 0; k < columns.getColumnDimension(); k++) {
                    double sum = 0;
                    for (int i : rows) {
                        sum += columns.getEntry(i, k);
                    }
                    for (int i : rows) {
                        result.setEntry(i, k, sum);
                    }
                }
            }
            return result;
        }

        /** tr(V⁻¹VᵢV⁻¹Vⱼ). */
        double[][] traces() {
            double[][] traces = new double[PARTS][PARTS];
            for (int[] rows : groups) {
                double sum = sum(rows);
                double kappa = kappa(rows);
                double share = 1 / sigma - kappa * sum;
                traces[0][0] += rows.length / (sigma * sigma) - 2 * kappa * sum / sigma + kappa * kappa * sum * sum;
                traces[0][1] += share * share * sum;
                traces[1][1] += share * share * sum * sum;
            }
            traces[1][0] = traces[0][1];
            return traces;
        }
    }
}
