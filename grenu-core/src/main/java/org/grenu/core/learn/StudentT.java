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
        TDistribution t = new TDistribution(degrees);
        return Math.max(0, t.cumulativeProbability((high - location) / scale)
                - t.cumulativeProbability((low - location) / scale));
    }

    /** {@return half of its 95 % interval} */
    public double half() {
        return quantile(0.975) - location;
    }

    /** {@return the chance of a value above that} */
    public double above(double value) {
        return 1 - new TDistribution(degrees).cumulativeProbability((value - location) / scale);
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
