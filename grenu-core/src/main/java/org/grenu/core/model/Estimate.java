package org.grenu.core.model;

import org.hipparchus.distribution.continuous.TDistribution;

/**
 * A quantity estimated from data, its error distributed as Student's t.
 *
 * @param value  in the response's unit
 * @param se     standard error, same unit, in (0, ∞)
 * @param df     degrees of freedom, in (0, ∞)
 */
public record Estimate(double value, double se, double df) {

    /** {@return half the length of the interval with that coverage, in (0, 1)} */
    public double halfWidth(double coverage) {
        return se * new TDistribution(df).inverseCumulativeProbability(0.5 + coverage / 2);
    }

    /** {@return two-sided p-value against that value} */
    public double pAgainst(double other) {
        return se == 0 ? value == other ? 1 : 0
                : 2 * new TDistribution(df).cumulativeProbability(-Math.abs((value - other) / se));
    }

    /** {@return one-sided p-value for being larger than that value} */
    public double pAbove(double other) {
        return new TDistribution(df).cumulativeProbability(-(value - other) / se);
    }

    /** {@return the same estimate counted in other units} */
    public Estimate times(double factor) {
        return new Estimate(value * factor, se * Math.abs(factor), df);
    }
}
