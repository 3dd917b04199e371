package org.grenu.core.strength;

import java.util.List;
import org.grenu.core.quantity.Measured;

/**
 * How a refractometer's scale turns into strength: a straight line about the middle of the readings it rests on,
 * where
 * height and slope are independent of each other.
 *
 * @param middle    reading about which the line turns, on the instrument's scale
 * @param height    strength there, % m/m
 * @param slope     strength points per unit of the instrument's scale, not 0
 * @param heightU   standard uncertainty of the height, points
 * @param slopeU    standard uncertainty of the slope
 */
public record ReadingLine(double middle, double height, double slope, double heightU, double slopeU) {

    /** Readings are strength already. */
    public static final ReadingLine STRENGTH = new ReadingLine(0, 0, 1, 0, 0);
    /** Strength per °Brix of which nothing is said (common practice, no source). */
    public static final double USUAL_BRIX_FACTOR = 0.85;

    /** @throws IllegalArgumentException if a number is not finite, the slope 0 or an uncertainty negative */
    public ReadingLine {
        if (!Double.isFinite(middle) || !Double.isFinite(height) || !Double.isFinite(slope) || slope == 0
                || !(heightU >= 0) || !(slopeU >= 0)) {
            throw new IllegalArgumentException(
                    "a calibration has finite numbers, a slope that is not 0 and no negative uncertainty");
        }
    }

    /** {@return strength as so many points per °Brix} */
    public static ReadingLine ofFactor(double factor, double u) {
        return new ReadingLine(0, 0, factor, 0, u);
    }

    /** {@return the line with those five numbers, in the order of the components} */
    public static ReadingLine of(List<Double> numbers) {
        if (numbers.size() != 5) {
            throw new IllegalArgumentException(
                    "a calibration has five numbers: middle, strength there, slope and both uncertainties");
        }
        return new ReadingLine(numbers.get(0), numbers.get(1), numbers.get(2), numbers.get(3), numbers.get(4));
    }

    /** {@return the five numbers} */
    public List<Double> numbers() {
        return List.of(middle, height, slope, heightU, slopeU);
    }

    /** {@return whether it was measured against dried samples, so that it stands for the instrument's bias too} */
    public boolean againstDriedSamples() {
        return heightU > 0;
    }

    /** {@return the strength at that reading, %} */
    public double at(double reading) {
        return height + slope * (reading - middle);
    }

    /** {@return the line's own standard uncertainty at that reading, points} */
    public double uncertainty(double reading) {
        return Math.hypot(heightU, (reading - middle) * slopeU);
    }

    /**
     * {@return the strength of that reading, %; what the line is unsure of is shared by all readings of the
     * instrument}
     */
    public Measured strength(Measured reading) {
        double bias = againstDriedSamples() ? 0 : Math.abs(slope) * reading.shared();
        return reading.restingAsBefore(at(reading.value()), Math.abs(slope) * reading.independent(),
                Math.hypot(bias, uncertainty(reading.value())));
    }
}
