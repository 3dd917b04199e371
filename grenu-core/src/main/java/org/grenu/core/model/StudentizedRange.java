package org.grenu.core.model;

import java.util.LinkedHashMap;
import java.util.Map;
import org.hipparchus.analysis.solvers.BrentSolver;

/** The range of k estimates over their standard error, for comparing all pairs (Tukey). */
public final class StudentizedRange {

    private static final double TAIL = 8.5;
    private static final int PANELS = 7;
    private static final double QUANTILE_ACCURACY = 1e-6;
    private static final int MOST_STEPS = 100;

    private static final int REMEMBERED = 256;
    /** Every pair of a comparison asks for the same one, and so do all studies of one size. */
    private static final Map<Asked, Double> QUANTILES = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Double> eldest) {
            return size() > REMEMBERED;
        }
    };

    private StudentizedRange() {
    }

    private record Asked(double alpha, int means, double df) {
    }

    /**
     * {@return P(range/s > q)}
     *
     * @param q     in [0, ∞)
     * @param means number of estimates k, at least 2
     * @param df    degrees of freedom of the standard error, in (0, ∞]
     */
    public static double upperTail(double q, int means, double df) {
        return q <= 0 ? 1 : Math.max(0, Math.min(1, ChiScale.expectation(df, s -> rangeAbove(q * s, means))));
    }

    /** {@return q with P(range/s > q) = alpha, to 1e-6; alpha in (0, 1)} */
    public static double quantile(double alpha, int means, double df) {
        Asked asked = new Asked(alpha, means, df);
        synchronized (QUANTILES) {
            Double known = QUANTILES.get(asked);
            if (known == null) {
                known = computed(alpha, means, df);
                QUANTILES.put(asked, known);
            }
            return known;
        }
    }

    private static double computed(double alpha, int means, double df) {
        double high = 4;
        while (upperTail(high, means, df) > alpha) {
            high *= 2;
        }
        return new BrentSolver(QUANTILE_ACCURACY).solve(MOST_STEPS, q -> upperTail(q, means, df) - alpha, 0, high);
    }

    /** P(range of k standard normal values > w) = 1 − k ∫ φ(z)·[Φ(z) − Φ(z − w)]^(k−1) dz. */
    private static double rangeAbove(double w, int means) {
        return 1 - Quadrature.over(-TAIL, TAIL, PANELS, z -> means * Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI)
                * Math.pow(Normal.cumulative(z) - Normal.cumulative(z - w), means - 1));
    }
}
