package org.grenu.core.puck;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.random.RandomGenerator;

/** A refractometer with a bias that all its readings share and a repeatability of its own. */
final class SimulatedRefractometer {

    private static final double BIAS = 0.012;
    private static final double REPEATABILITY = 0.018;
    private static final double ZERO_NOISE = 0.01;

    private final RandomGenerator random;

    SimulatedRefractometer(RandomGenerator random) {
        this.random = random;
    }

    /** {@return that many readings of a sample, %; none when there is no sample} */
    List<Double> read(double strengthPercent, int times) {
        List<Double> readings = new ArrayList<>();
        for (int i = 0; i < times && Double.isFinite(strengthPercent); i++) {
            readings.add(rounded(strengthPercent + BIAS + REPEATABILITY * random.nextGaussian()));
        }
        return readings;
    }

    double zero() {
        return rounded(ZERO_NOISE * random.nextGaussian());
    }

    private static double rounded(double value) {
        return Math.rint(value * 100) / 100 + 0.0;
    }
}
