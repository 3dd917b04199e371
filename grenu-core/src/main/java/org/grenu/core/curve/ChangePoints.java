package org.grenu.core.curve;

import java.util.ArrayList;
import java.util.List;

/**
 * Splits a curve into straight pieces, as few as explain it: the pieces minimise the squared residuals over the
 * noise's
 * variance plus a penalty for each piece, by dynamic programming with pruning (PELT).
 *
 * <p>Reference: R. Killick, P. Fearnhead, I. A. Eckley, Optimal detection of changepoints with a linear computational
 * cost, Journal of the American Statistical Association 107 (2012) 1590–1598.
 */
public final class ChangePoints {

    private ChangePoints() {
    }

    /**
     * A straight piece.
     *
     * @param first index of its first value
     * @param last  index of its last value
     * @param start fitted value at the first index
     * @param slope per index
     */
    public record Piece(int first, int last, double start, double slope) {

        /** {@return the fitted value at that index} */
        public double at(int index) {
            return start + slope * (index - first);
        }
    }

    /**
     * {@return the pieces, in order, covering every value}
     *
     * @param values   finite
     * @param noise    standard deviation of the noise, same unit, positive
     * @param shortest fewest values in a piece, at least 3
     * @param penalty  cost of one more piece, in units of squared standardised residuals
     */
    public static List<Piece> straight(double[] values, double noise, int shortest, double penalty) {
        int n = values.length;
        if (n < 2 * shortest) {
            return n == 0 ? List.of() : List.of(new Sums(values).piece(0, n - 1));
        }
        Sums sums = new Sums(values);
        double scale = 1 / (noise * noise);
        double[] best = new double[n + 1];
        int[] before = new int[n + 1];
        best[0] = -penalty;
        int[] open = new int[n + 1];
        double[] candidate = new double[n + 1];
        int count = 1;
        for (int end = shortest; end <= n; end++) {
            double least = Double.POSITIVE_INFINITY;
            for (int k = 0; k < count; k++) {
                candidate[k] = best[open[k]] + scale * sums.residuals(open[k], end - 1);
                if (candidate[k] + penalty < least) {
                    least = candidate[k] + penalty;
                    before[end] = open[k];
                }
            }
            best[end] = least;
            int kept = 0;
            for (int k = 0; k < count; k++) {
                if (candidate[k] <= least) {
                    open[kept++] = open[k];
                }
            }
            count = kept;
            int opened = end - shortest + 1;
            if (opened >= shortest && opened <= n - shortest) {
                open[count++] = opened;
            }
        }
        List<Piece> pieces = new ArrayList<>();
        for (int end = n; end > 0; end = before[end]) {
            pieces.add(0, sums.piece(before[end], end - 1));
        }
        return pieces;
    }

    /** Running sums, which give any stretch's line and residuals at once. */
    private static final class Sums {
        private final double centre;
        private final double[] y;
        private final double[] yy;
        private final double[] xy;
        /** By the number of values: its reciprocal, and that of the spread of their places. */
        private final double[] perValue;
        private final double[] perSpread;

        Sums(double[] values) {
            int n = values.length;
            perValue = new double[n + 1];
            perSpread = new double[n + 1];
            for (int k = 1; k <= n; k++) {
                perValue[k] = 1.0 / k;
                perSpread[k] = k == 1 ? 0 : 12 / (k * ((double) k * k - 1));
            }
            double mean = 0;
            for (double value : values) {
                mean += value / n;
            }
            centre = mean;
            y = new double[n + 1];
            yy = new double[n + 1];
            xy = new double[n + 1];
            for (int i = 0; i < n; i++) {
                double v = values[i] - centre;
                y[i + 1] = y[i] + v;
                yy[i + 1] = yy[i] + v * v;
                xy[i + 1] = xy[i] + i * v;
            }
        }

        /**
         * The innermost of the search: products with kept reciprocals in place of the divisions of {@link #piece}. ChangePointsTest
         * holds the pieces against fits of its own.
         */
        double residuals(int first, int last) {
            int n = last - first + 1;
            double sy = y[last + 1] - y[first];
            double sxy = xy[last + 1] - xy[first] - (first + last) * 0.5 * sy;
            double total = yy[last + 1] - yy[first] - sy * sy * perValue[n];
            return Math.max(0, total - sxy * sxy * perSpread[n]);
        }

        Piece piece(int first, int last) {
            int n = last - first + 1;
            double sy = y[last + 1] - y[first];
            double sxy = xy[last + 1] - xy[first] - (first + last) / 2.0 * sy;
            double sxx = n * ((double) n * n - 1) / 12;
            double slope = sxx > 0 ? sxy / sxx : 0;
            return new Piece(first, last, centre + sy / n - slope * (last - first) / 2.0, slope);
        }
    }
}
