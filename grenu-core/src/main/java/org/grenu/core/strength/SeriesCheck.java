package org.grenu.core.strength;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Tests of a series of readings at a false-alarm rate of at most {@value #ALPHA}. They flag; they never drop a
 * reading.
 * Neither takes the readings for closer together than the instrument's repeatability: readings rounded to the display
 * step often tie, and three of which two tie would otherwise always look like an outlier.
 */
public final class SeriesCheck {

    /** Two-sided false-alarm rate of each test. */
    public static final double ALPHA = 0.05;

    private SeriesCheck() {
    }

    /**
     * {@return the index of the reading that Grubbs' two-sided test calls an outlier} Needs three readings or more,
     * not
     * all equal. With t the upper α/(2n) point of Student's t on n − 2 degrees of freedom, the critical value is
     * (n − 1)/√n · √(t²/(n − 2 + t²)). Reference: F. E. Grubbs, Technometrics 11 (1969) 1–21.
     */
    public static OptionalInt outlier(StrengthSeries series) {
        List<Double> readings = series.readings();
        int n = readings.size();
        double displayed = Math.hypot(series.deviation(), series.refractometer().resolution() / Math.sqrt(12));
        double s = Math.max(displayed, series.refractometer().repeatability());
        if (n < 3 || !(series.deviation() > 1e-12)) {
            return OptionalInt.empty();
        }
        int furthest = furthest(series);
        double g = Math.abs(readings.get(furthest) - series.mean()) / s;
        return g > grubbsCritical(n) ? OptionalInt.of(furthest) : OptionalInt.empty();
    }

    private static int furthest(StrengthSeries series) {
        List<Double> readings = series.readings();
        int furthest = 0;
        for (int i = 1; i < readings.size(); i++) {
            if (Math.abs(readings.get(i) - series.mean()) > Math.abs(readings.get(furthest) - series.mean())) {
                furthest = i;
            }
        }
        return furthest;
    }

    /** {@return the two-sided critical value of Grubbs' test for n readings, n at least 3} */
    public static double grubbsCritical(int n) {
        double t = new TDistribution(n - 2.0).inverseCumulativeProbability(1 - ALPHA / (2.0 * n));
        return (n - 1) / Math.sqrt(n) * Math.sqrt(t * t / (n - 2 + t * t));
    }

    /**
     * {@return the slope in points per reading when the series drifts} A straight line is fitted to the readings
     * against
     * their times, or against their order where a time is unknown; its slope is tested against zero with Student's t
     * on
     * n − 2 degrees of freedom. Needs three readings or more, not all equal and not all at one time.
     */
    public static Optional<Drift> drift(StrengthSeries series) {
        int n = series.taken().size();
        if (n < 3 || !(series.deviation() > 1e-12)) {
            return Optional.empty();
        }
        double[] places = places(series.taken());
        SimpleRegression line = line(places, series);
        double error = Math.max(line.getSlopeStdErr(),
                series.refractometer().repeatability() / Math.sqrt(line.getXSumSquares()));
        double p = 2 * new TDistribution(n - 2.0).cumulativeProbability(-Math.abs(line.getSlope() / error));
        double between = (places[n - 1] - places[0]) / (n - 1);
        return p < ALPHA ? Optional.of(new Drift(line.getSlope() * between, p)) : Optional.empty();
    }

    private static SimpleRegression line(double[] places, StrengthSeries series) {
        SimpleRegression line = new SimpleRegression();
        for (int i = 0; i < places.length; i++) {
            line.addData(places[i], series.taken().get(i).value());
        }
        return line;
    }

    private static double[] places(List<Reading> readings) {
        double[] places = new double[readings.size()];
        boolean timed = true;
        for (int i = 0; i < places.length; i++) {
            OptionalDouble seconds = readings.get(i).seconds();
            timed &= seconds.isPresent() && (i == 0 || seconds.getAsDouble() > places[i - 1]);
            places[i] = seconds.orElse(0);
        }
        for (int i = 0; i < places.length && !timed; i++) {
            places[i] = i;
        }
        return places;
    }

    /**
     * A series that climbs or falls.
     *
     * @param perReading slope, strength points from one reading to the next
     * @param p          two-sided p-value
     */
    public record Drift(double perReading, double p) {
    }
}
