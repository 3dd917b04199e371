package org.grenu.core.learn;

/**
 * A shot and what one of its responses came to.
 *
 * @param value   in the response's unit; finite
 * @param weight  how much it counts, in (0, 1]: less after a change of grind without a purge
 */
public record LearntShot(ShotInputs inputs, double value, double weight) {

    /** A shot whose time is off by this much, in logarithms, counts half. Chosen on two laws of DialInStudy. */
    private static final double HALF_AT = 0.3;
    /** Of what a time is longer than wanted, in logarithms, from there on so much is choking; chosen likewise. */
    private static final double CHOKES = 0.4;
    private static final double CHOKES_FROM = 0.25;

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

    /**
     * {@return this shot as far as it tells of one that takes as long as is wanted} A line in the notch holds for a
     * part of the way only: whatever is learnt of a puck that choked tells little of one that did not, and the time it
     * took is longer than the line has it.
     *
     * @param took   how long it took, s
     * @param wanted s
     */
    public LearntShot near(Practice practice, double took, double wanted) {
        double choked = CHOKES * Math.max(0, Math.log(took / wanted) - CHOKES_FROM);
        double freed = practice == Practice.TIME ? value * Math.exp(-choked) : value;
        return new LearntShot(inputs, freed, weight).less(nearness(took, wanted));
    }

    private static double nearness(double took, double wanted) {
        double off = Math.log(took / wanted) / HALF_AT;
        return 1 / (1 + off * off);
    }
}
