package org.grenu.core.strength;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.grenu.core.quantity.DisplayUnits;

/**
 * What stands in the way of trusting a series, in sentences.
 *
 * @param series          the readings
 * @param compensatedFrom least temperature the instrument corrects for, °C, when known
 * @param compensatedTo   largest
 */
public record SeriesWarnings(StrengthSeries series, OptionalDouble compensatedFrom, OptionalDouble compensatedTo) {

    /** A zero beyond this asks for cleaning and a new zero, on the instrument's scale (handbook §4). */
    public static final double ZERO_LIMIT = 0.05;
    /** Sample and prism further apart than this have not come to one temperature, °C (handbook §4). */
    public static final double APART_LIMIT = 5;

    /**
     * {@return how far the worst sample or prism lies outside the compensated range, °C; empty when nothing tells}
     */
    public OptionalDouble outside() {
        return series.taken()
                .stream()
                .flatMap(reading -> Stream.of(reading.sampleCelsius(), reading.prismCelsius()))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .map(celsius -> Math.max(0,
                        Math.max(compensatedFrom.orElse(Double.NEGATIVE_INFINITY) - celsius,
                                celsius - compensatedTo.orElse(Double.POSITIVE_INFINITY))))
                .max();
    }

    /** {@return largest difference between a sample and the prism, °C; empty when nothing tells} */
    public OptionalDouble apart() {
        return series.taken()
                .stream()
                .filter(reading -> reading.sampleCelsius().isPresent() && reading.prismCelsius().isPresent())
                .mapToDouble(reading -> Math
                        .abs(reading.sampleCelsius().getAsDouble() - reading.prismCelsius().getAsDouble()))
                .max();
    }

    /** {@return the sentences in those units, none when nothing stands in the way} */
    public List<String> sentences(DisplayUnits units) {
        List<String> said = new ArrayList<>();
        if (series.zero().isPresent() && Math.abs(series.zero().getAsDouble()) > ZERO_LIMIT) {
            said.add("The zero is off by " + digits(series.zero().getAsDouble())
                    + ": clean the prism, dry it, zero again.");
        }
        if (outside().orElse(0) > 0) {
            said.add("A sample or the prism was " + units.textOfDifference(outside().getAsDouble(), "°C", 1)
                    + " outside the range that the instrument corrects for.");
        }
        if (apart().orElse(0) > APART_LIMIT) {
            said.add("Sample and prism were " + units.textOfDifference(apart().getAsDouble(), "°C", 1)
                    + " apart: wait until they are within " + units.textOfDifference(APART_LIMIT, "°C", 0) + ".");
        }
        if (series.mixed()) {
            said.add("Filtered and unfiltered samples are different methods: their mean is of neither.");
        }
        OptionalInt outlier = SeriesCheck.outlier(series);
        if (outlier.isPresent()) {
            said.add("Reading " + (outlier.getAsInt() + 1)
                    + " stands apart (Grubbs, 5 %). It stays in unless you take it out.");
        }
        SeriesCheck.drift(series)
                .ifPresent(drift -> said.add(String.format(Locale.ROOT, "The readings %s by %.3f a reading (p = %.3f).",
                        drift.perReading() > 0 ? "climb" : "fall", Math.abs(drift.perReading()), drift.p())));
        return said;
    }

    private static String digits(double number) {
        return (number < 0 ? "\u2212" : "+") + String.format(Locale.ROOT, "%.2f", Math.abs(number));
    }
}
