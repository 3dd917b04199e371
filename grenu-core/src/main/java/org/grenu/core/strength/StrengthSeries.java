package org.grenu.core.strength;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * The strength readings of one beverage, in the order they were taken.
 *
 * <p>Strength = mean of the readings − zero check. Its independent part is max(s, r)/√n, with s the readings' standard
 * deviation and r the instrument's repeatability, never less than the display step allows (resolution/√12: equal
 * readings do not average the step away), joined by the zero check's own max(r, resolution/√12). Its shared part is the
 * instrument's bias limit/√3. Reference: JCGM 100:2008, 4.2, 4.3.7 and F.2.2.1.
 *
 * @param readings      strength in % m/m, any number
 * @param zero          what the instrument showed for the rinse water, % m/m, when it was checked
 * @param refractometer the instrument
 */
public record StrengthSeries(List<Double> readings, OptionalDouble zero, Refractometer refractometer) {

    public StrengthSeries {
        readings = List.copyOf(readings);
    }

    /** {@return the strength in % m/m; empty without a reading} */
    public Optional<Measured> strength() {
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        double one = Math.max(deviation(), refractometer.repeatability());
        double mean = Math.max(one / Math.sqrt(readings.size()), refractometer.stepUncertainty());
        double ofZero = zero.isPresent() ? Math.max(refractometer.repeatability(), refractometer.stepUncertainty()) : 0;
        return Optional.of(new Measured(mean() - zero.orElse(0), Math.hypot(mean, ofZero),
                refractometer.bias() / Math.sqrt(3)));
    }

    /** {@return the mean reading before the zero check is subtracted; NaN without a reading} */
    public double mean() {
        return readings.stream().mapToDouble(Double::doubleValue).average().orElse(Double.NaN);
    }

    /** {@return the readings' sample standard deviation; 0 for fewer than two} */
    public double deviation() {
        if (readings.size() < 2) {
            return 0;
        }
        double mean = mean();
        double squares = readings.stream().mapToDouble(r -> (r - mean) * (r - mean)).sum();
        return Math.sqrt(squares / (readings.size() - 1));
    }
}
