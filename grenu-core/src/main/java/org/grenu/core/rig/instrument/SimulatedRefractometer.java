package org.grenu.core.rig.instrument;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.random.RandomGenerator;

/** A refractometer with a bias that all its readings share and a repeatability of its own. */
public final class SimulatedRefractometer {

    private static final double BIAS = 0.012;
    private static final double REPEATABILITY = 0.018;
    private static final double ZERO_NOISE = 0.01;

    private final RandomGenerator random;

    /** One whose noise follows from that generator. */
    public SimulatedRefractometer(RandomGenerator random) {
        this.random = random;
    }

    /** {@return that many readings of a sample, %; none when there is no sample} */
    public List<Double> read(double strengthPercent, int times) {
        List<Double> readings = new ArrayList<>();
        for (int i = 0; i < times && Double.isFinite(strengthPercent); i++) {
            readings.add(rounded(strengthPercent + BIAS + REPEATABILITY * random.nextGaussian()));
        }
        return readings;
    }

    /** {@return its zero check, %} */
    public double zero() {
        return rounded(ZERO_NOISE * random.nextGaussian());
    }

    private static double rounded(double value) {
        return Math.rint(value * 100) / 100 + 0.0;
    }
}
