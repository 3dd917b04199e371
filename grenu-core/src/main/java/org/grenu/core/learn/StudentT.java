package org.grenu.core.learn;

import org.hipparchus.distribution.continuous.TDistribution;

/**
 * A Student t distribution somewhere else and wider.
 *
 * @param location its median
 * @param scale    in (0, ∞)
 * @param degrees  of freedom, in (0, ∞)
 */
public record StudentT(double location, double scale, double degrees) {

    private static final int FEWEST = 2;
    private static final int MOST = 400;

    /** @throws IllegalArgumentException if scale or degrees are not positive */
    public StudentT {
        if (!(scale > 0) || !(degrees > 0)) {
            throw new IllegalArgumentException("scale and degrees must be positive, are " + scale + " and " + degrees);
        }
    }

    /** {@return the value that it stays below with that probability, in (0, 1)} */
    public double quantile(double probability) {
        return location + scale * new TDistribution(degrees).inverseCumulativeProbability(probability);
    }

    /** {@return the chance of a value from low to high} */
    public double between(double low, double high) {
        return Math.max(0, below(high) - below(low));
    }

    /**
     * {@return the chance of a value below that} By the finite series for whole degrees of freedom, and between two of
     * them in proportion to their inverse, which is right to 2·10⁻⁴ from two degrees on: thousands of chances are
     * compared before a shot is proposed.
     *
     * <p>Reference: M. Abramowitz, I. A. Stegun (eds.), Handbook of Mathematical Functions, NBS 1964, 26.7.3 and 26.7.4
     * (from memory; checked against Hipparchus).
     */
    public double below(double value) {
        double t = (value - location) / scale;
        double whole = Math.floor(degrees);
        if (whole < FEWEST || whole > MOST) {
            return new TDistribution(degrees).cumulativeProbability(t);
        }
        double lower = within(Math.abs(t), (int) whole);
        double share = degrees == whole ? 0 : (1 / whole - 1 / degrees) / (1 / whole - 1 / (whole + 1));
        double both = share == 0 ? lower : lower + share * (within(Math.abs(t), (int) whole + 1) - lower);
        return t < 0 ? (1 - both) / 2 : (1 + both) / 2;
    }

    /** The chance of a value between −t and t, of so many degrees of freedom. */
    private static double within(double t, int degrees) {
        double angle = Math.atan(t / Math.sqrt(degrees));
        double cosine = Math.cos(angle);
        boolean odd = degrees % 2 == 1;
        double term = odd ? cosine : 1;
        double sum = odd && degrees == 1 ? 0 : term;
        for (int k = odd ? 3 : 2; k <= degrees - 2; k += 2) {
            term *= cosine * cosine * (k - 1) / k;
            sum += term;
        }
        return odd ? 2 / Math.PI * (angle + Math.sin(angle) * sum) : Math.sin(angle) * sum;
    }

    /** {@return half of its 95 % interval} */
    public double half() {
        return quantile(0.975) - location;
    }

    /** {@return the chance of a value above that} */
    public double above(double value) {
        return 1 - below(value);
    }

    /** {@return what is that many times as large; not 0} */
    public StudentT times(double factor) {
        return new StudentT(factor * location, Math.abs(factor) * scale, degrees);
    }

    /** {@return whether its 95 % interval leaves nought out} */
    public boolean excludesNought() {
        return quantile(0.025) > 0 || quantile(0.975) < 0;
    }
}
