package org.grenu.core.learn;

/**
 * The time that is wanted, fixed before.
 *
 * @param low  s, in (0, ∞)
 * @param high s, above low
 */
public record TimeAim(double low, double high) {

    /** @throws IllegalArgumentException if the ends are in the wrong order or not positive */
    public TimeAim {
        if (!(low > 0) || !(high > low)) {
            throw new IllegalArgumentException("an aim goes from a positive time up, is " + low + "–" + high);
        }
    }

    /** {@return whether that time is in it} */
    public boolean holds(double seconds) {
        return seconds >= low && seconds <= high;
    }

    /** {@return the middle of it as the eye sees it on a scale of logarithms, s} */
    public double middle() {
        return Math.sqrt(low * high);
    }
}
