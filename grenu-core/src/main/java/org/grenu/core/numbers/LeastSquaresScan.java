package org.grenu.core.numbers;

import java.util.function.DoubleUnaryOperator;

/**
 * The place of a bend, found by trying evenly spaced ones: where the squares are least, and how far to either side they
 * are hardly more.
 *
 * @param best  the place
 * @param half  half of the stretch that explains the samples nearly as well
 */
public record LeastSquaresScan(double best, double half) {

    /**
     * {@return the scan from there in so many steps}
     *
     * @param squares  the sum of squares with the bend at a place
     * @param variance of one sample, by the least sum of squares
     * @param nearly   how many variances more explain the samples nearly as well
     */
    public static LeastSquaresScan of(double from, double step, int steps, DoubleUnaryOperator squares,
            DoubleUnaryOperator variance, double nearly) {
        double[] sums = new double[steps + 1];
        int best = 0;
        for (int k = 0; k <= steps; k++) {
            sums[k] = squares.applyAsDouble(from + k * step);
            best = sums[k] < sums[best] ? k : best;
        }
        double most = sums[best] + nearly * variance.applyAsDouble(sums[best]);
        int low = best;
        int high = best;
        for (int k = 0; k <= steps; k++) {
            if (sums[k] <= most) {
                low = Math.min(low, k);
                high = Math.max(high, k);
            }
        }
        return new LeastSquaresScan(from + best * step, (high - low) / 2.0 * step);
    }
}
