package org.grenu.core.model;

import org.hipparchus.distribution.continuous.FDistribution;

/**
 * A test of several contrasts at once.
 *
 * @param f   the statistic
 * @param df1 its degrees of freedom above
 * @param df2 and below
 */
public record FTest(double f, double df1, double df2) {

    /** {@return the p-value} */
    public double p() {
        // The upper tail by the reciprocal's lower tail keeps its digits when it is tiny.
        return f <= 0 ? 1 : new FDistribution(df2, df1).cumulativeProbability(1 / f);
    }
}
