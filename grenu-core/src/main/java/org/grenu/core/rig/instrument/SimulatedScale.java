package org.grenu.core.rig.instrument;

import java.util.ArrayDeque;
import java.util.Deque;
import org.hipparchus.random.RandomGenerator;

/** A scale under the cup: shows what is on it a little late, with noise, in steps of 0.1 g. */
public final class SimulatedScale {

    private static final double FOLLOW_SECONDS = 0.15;
    private static final double NOISE_GRAMS = 0.03;

    private final RandomGenerator random;
    private final double step;
    private final Deque<Double> onTheWay = new ArrayDeque<>();
    private final int delaySteps;
    private double shown;

    /**
     * @param delaySeconds between the cup and the log, s
     * @param step         of the simulation, s
     */
    public SimulatedScale(RandomGenerator random, double delaySeconds, double step) {
        this.random = random;
        this.step = step;
        this.delaySteps = (int) Math.round(delaySeconds / step);
    }

    /** Puts that on it, for one step of the simulation. */
    public void weigh(double grams) {
        onTheWay.add(grams);
        double arrived = onTheWay.size() > delaySteps ? onTheWay.remove() : 0;
        shown += (arrived - shown) * step / FOLLOW_SECONDS;
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
