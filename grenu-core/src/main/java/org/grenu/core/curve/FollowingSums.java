package org.grenu.core.curve;

import java.util.Arrays;

/**
 * By sample, sums over it and all that follow, weighted by an exponential that has height 1 there and dies away. Where
 * the exponential stands a little further along, it is only a factor. From the end on one step gives what a sum over
 * all samples would: FastCurvesTest holds searches with them against a library's regressions. Samples without a value
 * count for nothing.
 */
final class FollowingSums {

    private final double seconds;
    private final double[] heights;
    private final double[] squares;
    private final double[] products;

    /** @param seconds in which the exponential falls to 1/e; infinite for sums without weights */
    FollowingSums(double[] values, double step, double seconds) {
        this.seconds = seconds;
        double ratio = Math.exp(-step / seconds);
        int n = values.length;
        heights = new double[n + 1];
        squares = new double[n + 1];
        products = new double[n + 1];
        for (int i = n - 1; i >= 0; i--) {
            boolean known = Double.isFinite(values[i]);
            heights[i] = (known ? 1 : 0) + ratio * heights[i + 1];
            squares[i] = (known ? 1 : 0) + ratio * ratio * squares[i + 1];
            products[i] = (known ? values[i] : 0) + ratio * products[i + 1];
        }
    }

    /** {@return one for each of so many seconds} */
    static FollowingSums[] each(double[] values, double step, double[] seconds) {
        return Arrays.stream(seconds)
                .mapToObj(s -> new FollowingSums(values, step, s))
                .toArray(FollowingSums[]::new);
    }

    /** {@return by sample, the squares of it and all that follow} */
    static double[] squares(double[] values) {
        double[] sums = new double[values.length + 1];
        for (int i = values.length - 1; i >= 0; i--) {
            sums[i] = sums[i + 1] + (Double.isFinite(values[i]) ? values[i] * values[i] : 0);
        }
        return sums;
    }

    /** In which the exponential falls to 1/e, s. */
    double seconds() {
        return seconds;
    }

    /** {@return the height of an exponential that began so long before a sample} */
    double height(double since) {
        return Math.exp(-since / seconds);
    }

    double heights(int index) {
        return heights[index];
    }

    /** Of the heights. */
    double squares(int index) {
        return squares[index];
    }

    /** Of heights with values. */
    double products(int index) {
        return products[index];
    }
}
