package org.grenu.core.strength;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DecimalText;

/**
 * One reading of a refractometer.
 *
 * @param value         what it showed, on its own scale (% or °Brix)
 * @param seconds       since the series began, s, when known
 * @param sampleCelsius temperature of the sample, °C, when known
 * @param prismCelsius  temperature of the prism, °C, when known
 * @param filtered      whether the sample was filtered, when known
 */
public record Reading(double value, OptionalDouble seconds, OptionalDouble sampleCelsius, OptionalDouble prismCelsius,
        Optional<Boolean> filtered) {

    private static final String UNKNOWN = "?";
    private static final String FILTERED = "filtered";
    private static final String UNFILTERED = "unfiltered";

    /** {@return a reading of which nothing else is known} */
    public static Reading of(double value) {
        return new Reading(value, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(),
                Optional.empty());
    }

    /**
     * {@return the reading written as {@code value@seconds/sample/prism/filtered}, of which all but the value may be
     * left
     * out and {@code ?} is unknown}
     *
     * @throws IllegalArgumentException if the text is not such a reading; the message says why
     */
    public static Reading parse(String text) {
        String[] parts = text.strip().split("@", 2);
        double value = number(parts[0])
                .orElseThrow(() -> new IllegalArgumentException("“" + text + "” does not begin with a number."));
        String[] rest = parts.length < 2 ? new String[0] : parts[1].split("/", -1);
        if (rest.length > 4) {
            throw new IllegalArgumentException(
                    "“" + text + "” says more of a reading than seconds/sample °C/prism °C/filtered.");
        }
        return new Reading(value, number(cell(rest, 0)), number(cell(rest, 1)), number(cell(rest, 2)),
                filtered(cell(rest, 3)));
    }

    private static String cell(String[] cells, int index) {
        return index < cells.length && !cells[index].equals(UNKNOWN) ? cells[index] : "";
    }

    private static OptionalDouble number(String text) {
        OptionalDouble number = DecimalText.parse(text);
        if (number.isEmpty() && !text.isBlank()) {
            throw new IllegalArgumentException("“" + text + "” is not a number. Write it such as 18.5.");
        }
        return number;
    }

    private static Optional<Boolean> filtered(String text) {
        return switch (text) {
            case "" -> Optional.empty();
            case FILTERED -> Optional.of(true);
            case UNFILTERED -> Optional.of(false);
            default -> throw new IllegalArgumentException("A reading is filtered or unfiltered, not “" + text + "”.");
        };
    }

    /** {@return as {@link #parse} reads it, without what is unknown at its end} */
    public String text() {
        List<String> rest = new ArrayList<>(List.of(text(seconds), text(sampleCelsius), text(prismCelsius),
                filtered.map(yes -> yes ? FILTERED : UNFILTERED).orElse(UNKNOWN)));
        while (!rest.isEmpty() && rest.get(rest.size() - 1).equals(UNKNOWN)) {
            rest.remove(rest.size() - 1);
        }
        return DecimalText.exact(value) + (rest.isEmpty() ? "" : "@" + String.join("/", rest));
    }

    private static String text(OptionalDouble number) {
        return number.isPresent() ? DecimalText.exact(number.getAsDouble()) : UNKNOWN;
    }

    /** {@return this reading with another value} */
    public Reading with(double other) {
        return new Reading(other, seconds, sampleCelsius, prismCelsius, filtered);
    }
}
