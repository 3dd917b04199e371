package org.grenu.core.learn;

/**
 * What a response is wanted to be, fixed before the shots, in its unit.
 *
 * @param low  in [0, ∞)
 * @param high above low
 */
public record AimRange(double low, double high) {

    /** @throws IllegalArgumentException if the ends are in the wrong order or negative */
    public AimRange {
        if (!(low >= 0) || !(high > low)) {
            throw new IllegalArgumentException("an aim goes from a number up, is " + low + "–" + high);
        }
    }

    /** {@return whether that is in it} */
    public boolean holds(double value) {
        return value >= low && value <= high;
    }

    /** {@return the middle of it as the eye sees it on a scale of logarithms} */
    public double middle() {
        return Math.sqrt(low * high);
    }
}
