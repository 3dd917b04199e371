package org.grenu.core.learn;

/**
 * A shot and how long it took.
 *
 * @param seconds in (0, ∞)
 * @param weight  how much it counts, in (0, 1]: less after a change of grind without a purge
 */
public record TimedShot(ShotInputs inputs, double seconds, double weight) {

    /** Common practice, no source: what was ground before is still among the grounds. */
    public static final double WITHOUT_PURGE = 0.4;

    /** @throws IllegalArgumentException if the time or the weight are out of their ranges */
    public TimedShot {
        if (!(seconds > 0) || !(weight > 0 && weight <= 1)) {
            throw new IllegalArgumentException(
                    "seconds must be positive and weight in (0, 1], are " + seconds + " and " + weight);
        }
    }

    /** A shot that counts whole. */
    public TimedShot(ShotInputs inputs, double seconds) {
        this(inputs, seconds, 1);
    }
}
