package org.grenu.core.strength;

import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * A refractometer calibrated against samples dried in an oven: dried solids regressed on zero-corrected readings by
 * ordinary least squares, every sample with the same weight. What scatters is taken to be the drying and the single
 * reading together; the reading's own error is small beside the range and is not modelled apart. Reference: N. R.
 * Draper
 * and H. Smith, Applied Regression Analysis, 3rd ed. (1998), chapter 1.
 *
 * @param samples at least 3, of which two differ in their reading
 */
public record DriedSamples(List<Sample> samples) {

    /** Fewest samples that leave a degree of freedom. */
    public static final int FEWEST = 3;

    /**
     * One sample.
     *
     * @param reading  on the instrument's scale, less its zero
     * @param wetGrams of the beverage that was dried, g, in (0, ∞)
     * @param dryGrams left after drying, g, in [0, wet]
     */
    public record Sample(double reading, double wetGrams, double dryGrams) {

        /** @throws IllegalArgumentException if more is left than there was */
        public Sample {
            if (!(wetGrams > 0) || !(dryGrams >= 0 && dryGrams <= wetGrams)) {
                throw new IllegalArgumentException("a dried sample leaves between nothing and all of itself, not "
                        + dryGrams + " g of " + wetGrams + " g");
            }
        }

        /** {@return dried solids, % m/m} */
        public double solidsPercent() {
            return 100 * dryGrams / wetGrams;
        }
    }

    /** @throws IllegalArgumentException if there are too few samples, or all read the same */
    public DriedSamples {
        samples = List.copyOf(samples);
        if (samples.size() < FEWEST || samples.stream().mapToDouble(Sample::reading).distinct().count() < 2) {
            throw new IllegalArgumentException(
                    "a calibration needs " + FEWEST + " dried samples or more, not all of the same reading");
        }
    }

    /** {@return the straight line through them, with its uncertainty} */
    public ReadingLine line() {
        SimpleRegression fit = fit();
        double s = Math.sqrt(fit.getMeanSquareError());
        double middle = samples.stream().mapToDouble(Sample::reading).average().orElseThrow();
        double height = samples.stream().mapToDouble(Sample::solidsPercent).average().orElseThrow();
        return new ReadingLine(middle, height, fit.getSlope(), s / Math.sqrt(samples.size()), fit.getSlopeStdErr());
    }

    /** {@return dried solids at a reading of 0, points} */
    public double intercept() {
        return fit().getIntercept();
    }

    /** {@return half the 95 % interval of the intercept, points} */
    public double interceptHalf() {
        return fit().getInterceptStdErr() * t();
    }

    /** {@return half the 95 % interval of the slope} */
    public double slopeHalf() {
        return fit().getSlopeStdErr() * t();
    }

    /** {@return half the 95 % band of the line at that reading, points} */
    public double bandHalf(double reading) {
        return line().uncertainty(reading) * t();
    }

    /** {@return standard deviation of the samples about the line, points} */
    public double scatter() {
        return Math.sqrt(fit().getMeanSquareError());
    }

    /**
     * {@return strength per unit of the scale, by a line forced through zero, with its standard uncertainty} What a
     * °Brix
     * factor is: Σxy/Σx², s/√Σx² on n − 1 degrees of freedom.
     */
    public ReadingLine factor() {
        SimpleRegression through = new SimpleRegression(false);
        samples.forEach(sample -> through.addData(sample.reading, sample.solidsPercent()));
        return ReadingLine.ofFactor(through.getSlope(), through.getSlopeStdErr());
    }

    private double t() {
        return new TDistribution(samples.size() - 2.0).inverseCumulativeProbability(0.975);
    }

    private SimpleRegression fit() {
        SimpleRegression fit = new SimpleRegression();
        samples.forEach(sample -> fit.addData(sample.reading, sample.solidsPercent()));
        return fit;
    }
}
