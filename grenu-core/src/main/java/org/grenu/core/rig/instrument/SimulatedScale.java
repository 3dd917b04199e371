package org.grenu.core.rig.instrument;

import org.hipparchus.random.RandomGenerator;

/** A scale under the cup: shows what is on it a little late, with noise, in steps of 0.1 g. */
public final class SimulatedScale {

    private static final double FOLLOW_SECONDS = 0.15;
    private static final double NOISE_GRAMS = 0.03;

    private final RandomGenerator random;
    private final double follows;
    /** What was on it in the last steps, in a ring. */
    private final double[] onTheWay;
    private int oldest;
    private double shown;

    /**
     * @param delaySeconds between the cup and the log, s
     * @param step         of the simulation, s
     */
    public SimulatedScale(RandomGenerator random, double delaySeconds, double step) {
        this.random = random;
        this.follows = -StrictMath.expm1(-step / FOLLOW_SECONDS);
        this.onTheWay = new double[(int) Math.round(delaySeconds / step)];
    }

    /** Puts that on it, for one step of the simulation. */
    public void weigh(double grams) {
        double arrived = grams;
        if (onTheWay.length > 0) {
            arrived = onTheWay[oldest];
            onTheWay[oldest] = grams;
            oldest = (oldest + 1) % onTheWay.length;
        }
        shown += (arrived - shown) * follows;
    }

    /** {@return what it shows, before noise, g} */
    public double shown() {
        return shown;
    }

    /** {@return what it sends to the log, g} */
    public double reading() {
        return shown + NOISE_GRAMS * random.nextGaussian();
    }
}
