package org.grenu.core.model;

import org.hipparchus.distribution.continuous.TDistribution;

/** How likely data of a given size answer a question. */
public final class Power {

    private Power() {
    }

    /**
     * {@return the chance that a two-sided t test finds the effect, on its own side}
     *
     * @param effect true effect
     * @param se     true standard error of its estimate, same unit, in (0, ∞)
     * @param df     degrees of freedom, in (0, ∞)
     * @param alpha  level of the test, in (0, 1)
     */
    public static double ofDifference(double effect, double se, double df, double alpha) {
        double critical = -new TDistribution(df).inverseCumulativeProbability(alpha / 2);
        return 1 - NoncentralT.cumulative(critical, df, Math.abs(effect) / se);
    }

    /**
     * {@return the chance of an answer: either the effect differs from nought, or it lies within the margin by two
     * one-sided tests} Given the ratio of estimated to true deviation, there is no answer where the estimate falls
     * between
     * the two regions; that chance is averaged over the ratio.
     *
     * @param margin in the effect's unit, in [0, ∞)
     */
    public static double ofAnswer(double effect, double se, double df, double margin, double alpha) {
        TDistribution t = new TDistribution(df);
        double twoSided = -t.inverseCumulativeProbability(alpha / 2);
        double oneSided = -t.inverseCumulativeProbability(alpha);
        return ChiScale.expectation(df, s -> {
            double differs = twoSided * se * s;
            double same = Math.max(0, margin - oneSided * se * s);
            return differs <= same ? 1 : 1 - between(same, differs, effect, se) - between(-differs, -same, effect, se);
        });
    }

    private static double between(double low, double high, double mean, double se) {
        return Normal.cumulative((high - mean) / se) - Normal.cumulative((low - mean) / se);
    }
}
