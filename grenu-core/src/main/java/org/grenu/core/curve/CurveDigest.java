package org.grenu.core.curve;

import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.numbers.Samples;
import org.grenu.core.quantity.Measured;

/**
 * What is kept of a log's measures so that a list of shots need not read every log.
 *
 * @param times        the shot's moments
 * @param beverage     from the cup-mass curve, g
 * @param peakPressure bar
 * @param meanPressure bar
 * @param miniature    {@value #POINTS} even samples of the pressure over the whole log, bar, or of the cup mass over
 *                     its
 *                     largest value, scaled to 9, where no pressure was logged
 */
public record CurveDigest(ShotTimes times, Optional<Measured> beverage, OptionalDouble peakPressure,
        OptionalDouble meanPressure, Samples miniature) {

    /** Samples in the miniature. */
    public static final int POINTS = 48;

    /** {@return the digest of those measures} */
    public static CurveDigest of(CurveMeasures measures) {
        return new CurveDigest(measures.times(), measures.beverage(), measures.peakPressure(), measures.meanPressure(),
                miniature(measures));
    }

    private static Samples miniature(CurveMeasures measures) {
        Optional<UniformCurve> pressure = measures.find(Channel.PRESSURE);
        Optional<UniformCurve> shown = pressure.or(() -> measures.find(Channel.CUP_MASS));
        if (shown.isEmpty()) {
            return Samples.of();
        }
        UniformCurve curve = shown.get();
        double scale = pressure.isPresent() ? 1 : 9 / Math.max(1, curve.values().max());
        double[] points = new double[POINTS];
        for (int i = 0; i < POINTS; i++) {
            double value = curve.at(curve.start() + (curve.end() - curve.start()) * i / (POINTS - 1.0));
            points[i] = Double.isNaN(value) ? 0 : Math.max(0, value * scale);
        }
        return Samples.of(points);
    }
}
