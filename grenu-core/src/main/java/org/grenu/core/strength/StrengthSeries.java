package org.grenu.core.strength;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.Measured;

/**
 * The strength readings of one beverage, in the order they were taken.
 *
 * <p>Strength = mean of the readings − zero check, through the instrument's calibration and back through a dilution.
 * The
 * mean's independent part is max(s, r)/√n, with s the readings' standard deviation and r the instrument's
 * repeatability,
 * never less than the display step allows (resolution/√12: equal readings do not average the step away), joined by
 * the
 * zero check's own max(r, resolution/√12). Its shared part is the instrument's bias limit/√3 or, once it was
 * calibrated
 * against dried samples, the calibration's uncertainty. Reference: JCGM 100:2008, 4.2, 4.3.7 and F.2.2.1.
 *
 * @param taken         on the instrument's scale, any number
 * @param zero          what the instrument showed for the rinse water, when it was checked
 * @param refractometer the instrument
 * @param dilution      of the sample, when it was diluted
 * @param blank         what the brewing water shows by itself, % m/m, where the zero check does not hold it already: it
 *                      dissolved nothing of the coffee, so it is subtracted for the water's share of the beverage,
 *                      with one reading's uncertainty that all shots with that water share
 */
public record StrengthSeries(List<Reading> taken, OptionalDouble zero, Refractometer refractometer,
        Optional<SampleDilution> dilution, OptionalDouble blank) {

    public StrengthSeries {
        taken = List.copyOf(taken);
    }

    /** {@return a series of an undiluted sample of which only the values are known} */
    public static StrengthSeries of(List<Double> values, OptionalDouble zero, Refractometer refractometer) {
        return new StrengthSeries(values.stream().map(Reading::of).toList(), zero, refractometer, Optional.empty(),
                OptionalDouble.empty());
    }

    /** {@return the readings' values} */
    public List<Double> readings() {
        return taken.stream().map(Reading::value).toList();
    }

    /** {@return the strength in % m/m; empty without a reading} */
    public Optional<Measured> strength() {
        return strength(taken.size(), deviation());
    }

    /** The strength if so many readings scattered by that much about the same mean. */
    Optional<Measured> strength(int n, double deviation) {
        if (taken.isEmpty()) {
            return Optional.empty();
        }
        Measured shown = shown(n, deviation);
        double ofZero = zero.isPresent() ? Math.max(refractometer.repeatability(), refractometer.stepUncertainty()) : 0;
        Measured read = new Measured(shown.value() - zero.orElse(0), Math.hypot(shown.independent(), ofZero),
                refractometer.bias() / Math.sqrt(3),
                Measured.joined(shown.independent(), shown.df(), ofZero, Double.POSITIVE_INFINITY));
        Measured sample = refractometer.line().strength(read);
        return Optional.of(withoutBlank(dilution.map(diluted -> diluted.before(sample)).orElse(sample)));
    }

    /** {@return the mean of the readings as they were shown, with what is its own; empty without a reading} */
    public Optional<Measured> shown() {
        return taken.isEmpty() ? Optional.empty() : Optional.of(shown(taken.size(), deviation()));
    }

    private Measured shown(int n, double deviation) {
        double one = Math.max(deviation, refractometer.repeatability());
        double u = Math.max(one / Math.sqrt(n), refractometer.stepUncertainty());
        // A scatter beyond what the instrument is known for is known from these few readings only.
        boolean scatters = deviation > refractometer.repeatability() && u > refractometer.stepUncertainty();
        return new Measured(mean(), u, 0, scatters ? n - 1.0 : Double.POSITIVE_INFINITY);
    }

    private Measured withoutBlank(Measured strength) {
        if (blank.isEmpty()) {
            return strength;
        }
        double waterShare = Math.max(0, 1 - strength.value() / 100);
        double u = Math.max(refractometer.repeatability(), refractometer.stepUncertainty());
        return strength.restingAsBefore(strength.value() - waterShare * blank.getAsDouble(), strength.independent(),
                Math.hypot(strength.shared(), waterShare * u));
    }

    /** {@return the mean reading before the zero check is subtracted; NaN without a reading} */
    public double mean() {
        return taken.stream().mapToDouble(Reading::value).average().orElse(Double.NaN);
    }

    /** {@return the readings' sample standard deviation; 0 for fewer than two} */
    public double deviation() {
        if (taken.size() < 2) {
            return 0;
        }
        double mean = mean();
        double squares = taken.stream().mapToDouble(r -> (r.value() - mean) * (r.value() - mean)).sum();
        return Math.sqrt(squares / (taken.size() - 1));
    }

    /** {@return whether filtered and unfiltered samples stand in it: two methods, whose mean is of neither} */
    public boolean mixed() {
        return taken.stream().flatMap(reading -> reading.filtered().stream()).distinct().count() > 1;
    }
}
