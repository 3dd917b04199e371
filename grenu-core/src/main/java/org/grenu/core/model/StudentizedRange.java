package org.grenu.core.model;

/** The range of k estimates over their standard error, for comparing all pairs (Tukey). */
public final class StudentizedRange {

    private static final double TAIL = 8.5;

    private StudentizedRange() {
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

    /** P(range of k standard normal values > w) = 1 − k ∫ φ(z)·[Φ(z) − Φ(z − w)]^(k−1) dz. */
    private static double rangeAbove(double w, int means) {
        return 1 - Quadrature.over(-TAIL, TAIL, 14, z -> means * Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI)
                * Math.pow(NoncentralT.normal(z) - NoncentralT.normal(z - w), means - 1));
    }
}
