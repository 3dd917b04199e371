package org.grenu.core.model;

import java.util.List;
import java.util.Optional;

/**
 * Estimates of a fit by least squares that do not take every row's spread for the same.
 *
 * <p>The variance of lᵀβ is Σ aᵢ²eᵢ²/(1 − hᵢ) with a = X(XᵀX)⁻¹l, the residuals e and the leverages h (HC2,
 * J. G. MacKinnon, H. White, J. Econometrics 29, 1985, 305–325), which is unbiased where the spreads are equal after
 * all. Degrees of freedom after R. M. Bell, D. F. McCaffrey, Survey Methodology 28, 2002, 169–181, as G. W. Imbens, M.
 * Kolesár recommend (Rev. Econ. Stat. 98, 2016, 701–712): (Σaᵢ²)²/ΣᵢΣⱼ dᵢdⱼMᵢⱼ² with dᵢ = aᵢ²/(1 − hᵢ) and M = I − H.
 * Where nothing but levels explains the rows, the variance is that of B. L. Welch (Biometrika 34, 1947, 28–35), and so
 * are the degrees of freedom.
 */
public final class UnequalSpread {

    /** A row that the model follows whatever it is says nothing of its spread. */
    private static final double FOLLOWED = 1 - 1e-9;
    private static final double NOTHING = 1e-12;

    private UnequalSpread() {
    }

    /**
     * {@return the estimate; empty where a row that it rests on has no spread to judge by, as an arm of one shot, or
     * the data cannot tell it}
     */
    public static Optional<Estimate> estimate(FixedFit fit, double[] contrast) {
        if (fit.residualDf() < 1 || !fit.estimable(contrast)) {
            return Optional.empty();
        }
        Rows rows = fit.rows(contrast);
        double largest = 0;
        for (double a : rows.a) {
            largest = Math.max(largest, Math.abs(a));
        }
        double variance = 0;
        for (int i = 0; i < rows.a.length; i++) {
            boolean rests = Math.abs(rows.a[i]) > NOTHING * largest;
            if (rests && rows.leverages[i] > FOLLOWED) {
                return Optional.empty();
            }
            variance += rests ? square(rows.a[i]) * rows.squares[i] / (1 - rows.leverages[i]) : 0;
        }
        double df = byLevel(fit) ? welch(fit, rows, variance) : bellMcCaffrey(rows, NOTHING * largest);
        return df > 0 ? Optional.of(new Estimate(fit.value(contrast), Math.sqrt(variance), df)) : Optional.empty();
    }

    /** {@return whether nothing but the levels of one thing explains the rows, so that each has a spread of its own} */
    public static boolean byLevel(FixedFit fit) {
        List<Term> terms = fit.design().terms();
        return terms.size() == 1 && terms.get(0) instanceof Term.Levels;
    }

    /**
     * What a contrast rests on, by row.
     *
     * @param a         share of each row in the estimate
     * @param squares   squared residual, of a row of weight 1
     * @param leverages by row
     * @param axes      orthonormal basis of the model matrix, an axis each
     */
    record Rows(double[] a, double[] squares, double[] leverages, double[][] axes) {
    }

    /** Each level's part of the variance has the degrees of freedom of its rows. */
    private static double welch(FixedFit fit, Rows rows, double variance) {
        Term.Levels levels = (Term.Levels) fit.design().terms().get(0);
        double sum = 0;
        for (int level = 0; level < levels.levels().size(); level++) {
            double part = 0;
            int count = 0;
            for (int i = 0; i < levels.rows(); i++) {
                if (levels.level().get(i) == level) {
                    count++;
                    part += rows.a[i] == 0 ? 0 : square(rows.a[i]) * rows.squares[i] / (1 - rows.leverages[i]);
                }
            }
            sum += part > 0 ? part * part / (count - 1) : 0;
        }
        // Without any spread it is as many as there are: nothing is left to divide by.
        return sum > 0 ? variance * variance / sum : fit.residualDf();
    }

    private static double bellMcCaffrey(Rows rows, double nothing) {
        int rank = rows.axes.length;
        double[][] s = new double[rank][rank];
        double above = 0;
        double below = 0;
        for (int i = 0; i < rows.a.length; i++) {
            if (Math.abs(rows.a[i]) > nothing) {
                double d = square(rows.a[i]) / (1 - rows.leverages[i]);
                above += square(rows.a[i]);
                below += d * d * (1 - 2 * rows.leverages[i]);
                for (int j = 0; j < rank; j++) {
                    for (int k = 0; k < rank; k++) {
                        s[j][k] += d * rows.axes[j][i] * rows.axes[k][i];
                    }
                }
            }
        }
        for (double[] row : s) {
            for (double v : row) {
                below += v * v;
            }
        }
        return below > 0 ? above * above / below : 0;
    }

    private static double square(double value) {
        return value * value;
    }
}
