package org.grenu.core.model;

/** Student's t about another centre: (Z + δ)/s, the distribution of a t statistic when there is an effect. */
public final class NoncentralT {

    private NoncentralT() {
    }

    /**
     * {@return P(T ≤ t)} as E Φ(t·s − δ) over s = √(χ²/ν)
     *
     * @param t     finite
     * @param df    degrees of freedom ν, in (0, ∞]
     * @param delta noncentrality δ, finite
     */
    public static double cumulative(double t, double df, double delta) {
        return ChiScale.expectation(df, s -> Normal.cumulative(t * s - delta));
    }
}
