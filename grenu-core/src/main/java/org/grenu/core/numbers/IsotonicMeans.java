package org.grenu.core.numbers;

/**
 * Weighted least squares under the condition that values never fall: neighbours that are out of order are pooled
 * until
 * none is left. Reference: R. E. Barlow, D. J. Bartholomew, J. M. Bremner and H. D. Brunk, Statistical Inference
 * under Order
 * Restrictions (1972), the pool-adjacent-violators algorithm.
 */
public final class IsotonicMeans {

    private IsotonicMeans() {
    }

    /** {@return the nearest values that never fall} All weights in (0, ∞). */
    public static double[] rising(double[] values, double[] weights) {
        int n = values.length;
        double[] mean = new double[n];
        double[] weight = new double[n];
        int[] size = new int[n];
        int blocks = 0;
        for (int i = 0; i < n; i++) {
            mean[blocks] = values[i];
            weight[blocks] = weights[i];
            size[blocks] = 1;
            blocks++;
            while (blocks > 1 && mean[blocks - 2] > mean[blocks - 1]) {
                double sum = weight[blocks - 2] + weight[blocks - 1];
                mean[blocks - 2] = (mean[blocks - 2] * weight[blocks - 2] + mean[blocks - 1] * weight[blocks - 1])
                        / sum;
                weight[blocks - 2] = sum;
                size[blocks - 2] += size[blocks - 1];
                blocks--;
            }
        }
        double[] fitted = new double[n];
        int at = 0;
        for (int b = 0; b < blocks; b++) {
            for (int k = 0; k < size[b]; k++) {
                fitted[at++] = mean[b];
            }
        }
        return fitted;
    }
}
