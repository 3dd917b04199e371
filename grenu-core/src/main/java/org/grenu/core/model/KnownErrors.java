package org.grenu.core.model;

import java.util.Arrays;
import org.grenu.core.numbers.Samples;

/**
 * Rows of which each brings its own known standard uncertainty u, and a spread τ between rows that all share: weights
 * 1/(τ² + u²), with τ such that the weighted residual squares meet their degrees of freedom (R. C. Paule, J. Mandel,
 * J. Res. NBS 87, 1982, 377–385).
 *
 * @param weights by row, mean 1
 * @param spread  τ, in the response's unit; 0 when the known uncertainties explain all there is
 */
public record KnownErrors(Samples weights, double spread) {

    private static final int HALVINGS = 60;

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
        double high = Math.sqrt(Arrays.stream(plain.residuals()).map(e -> e * e).sum());
        double low = 0;
        if (!(u.min() > 0) || chi(design, y, u, 0) > plain.residualDf()) {
            for (int k = 0; k < HALVINGS; k++) {
                double middle = (low + high) / 2;
                boolean tooSmall = !(middle > 0) || chi(design, y, u, middle) > plain.residualDf();
                low = tooSmall ? middle : low;
                high = tooSmall ? high : middle;
            }
        } else {
            high = 0;
        }
        double[] weights = raw(u, high);
        double mean = Arrays.stream(weights).average().orElse(1);
        return new KnownErrors(Double.isFinite(mean) ? Samples.of(Arrays.stream(weights).map(w -> w / mean).toArray())
                : ones(y.size()), high);
    }

    private static double chi(Design design, Samples y, Samples u, double spread) {
        return FixedFit.of(design, y, Samples.of(raw(u, spread))).rss();
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
