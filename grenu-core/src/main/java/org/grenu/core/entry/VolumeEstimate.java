package org.grenu.core.entry;

/**
 * A beverage's mass made of its volume: an estimate, since nobody reads how much of the volume is foam.
 *
 * @param grams volume · {@link #DENSITY}
 */
public record VolumeEstimate(double grams) {

    /** Density of espresso with its foam, g/mL (common practice, no source). */
    public static final double DENSITY = 1.0;
    /** The density lies within that share of it, foam and all (common practice, no source). */
    public static final double DENSITY_LIMIT = 0.1;

    /** {@return standard uncertainty of a mass made so, g: a rectangle as wide as the limits, and own to each shot} */
    public static double u(double grams) {
        return grams * DENSITY_LIMIT / Math.sqrt(3);
    }
}
