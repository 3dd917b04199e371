package org.grenu.figures.strength;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.grenu.core.quantity.Measured;
import org.grenu.core.quantity.Reported;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.SeriesCheck;
import org.grenu.core.strength.StrengthSeries;

/**
 * Readings as they were taken, on the instrument's scale.
 *
 * @param readings in order
 * @param mean     of them; NaN without one
 * @param half     half the mean's band
 * @param factor   its coverage factor in words; empty without a reading
 * @param outlier  the reading that stands apart
 * @param unit     of the scale
 */
public record SeriesFigure(List<Reading> readings, double mean, double half, String factor, OptionalInt outlier,
        String unit) {

    public SeriesFigure {
        readings = List.copyOf(readings);
    }

    /** {@return the figure of that series} */
    public static SeriesFigure of(StrengthSeries series, String unit) {
        Optional<Measured> shown = series.shown();
        return new SeriesFigure(series.taken(), series.mean(), shown.map(Measured::expanded).orElse(0.0),
                shown.map(mean -> Reported.of(mean).factor()).orElse(""), SeriesCheck.outlier(series), unit);
    }

    /** {@return whether each reading's time is known, so that they stand along a clock} */
    public boolean timed() {
        return !readings.isEmpty() && readings.stream().allMatch(reading -> reading.seconds().isPresent());
    }

    /** {@return where the reading stands along: seconds, or its number} */
    double place(int index) {
        return timed() ? readings.get(index).seconds().getAsDouble() : index + 1;
    }
}
