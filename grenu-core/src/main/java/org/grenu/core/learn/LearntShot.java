package org.grenu.core.learn;

/**
 * A shot and what one of its responses came to.
 *
 * @param value   in the response's unit; finite
 * @param weight  how much it counts, in (0, 1]: less after a change of grind without a purge
 */
public record LearntShot(ShotInputs inputs, double value, double weight) {

    /** @throws IllegalArgumentException if the value is not finite or the weight out of its range */
    public LearntShot {
        if (!Double.isFinite(value) || !(weight > 0 && weight <= 1)) {
            throw new IllegalArgumentException(
                    "the value must be finite and the weight in (0, 1], are " + value + " and " + weight);
        }
    }

    /** A shot that counts whole. */
    public LearntShot(ShotInputs inputs, double value) {
        this(inputs, value, 1);
    }

    /** {@return this shot, of which only that share counts, in (0, 1]} */
    public LearntShot less(double share) {
        return new LearntShot(inputs, value, weight * share);
    }
}
