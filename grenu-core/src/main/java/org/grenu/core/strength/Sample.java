package org.grenu.core.strength;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.grenu.core.quantity.DecimalText;

/**
 * A part of a shot's beverage that is read by itself, beside the cup's own series. Written as its kind, its masses, a
 * colon and its readings with the zero check among them, such as {@code slice 4.2 g: 18.21 18.19 zero 0.02} or
 * {@code diluted 10 + 40 g: 1.83 1.85}.
 *
 * @param grams    of a slice: its mass, g, when it was weighed
 * @param dilution of a diluted sample: g of beverage and g of water
 * @param taken    its readings, in the order they were taken
 * @param zero     what the instrument showed for the rinse water before them, when it was checked anew
 */
public record Sample(Kind kind, OptionalDouble grams, Optional<Parts> dilution, List<Reading> taken,
        OptionalDouble zero) {

    private static final double MOST_GRAMS = 5000;
    private static final Pattern WRITTEN = Pattern
            .compile("(\\p{L}+)\\s*(?:([\\d.,]+)\\s*(?:\\+\\s*([\\d.,]+)\\s*)?g)?\\s*:(.*)");

    /** What a sample is of. */
    public enum Kind {
        /** The whole cup, once more. */
        CUP("cup", "Cup again"),
        /** What ran into a cup of its own for a while; slices are numbered in the order they were caught. */
        SLICE("slice", "Slice"),
        /** Some of the cup, with water weighed into it. */
        DILUTED("diluted", "Diluted");

        private final String key;
        private final String title;

        Kind(String key, String title) {
            this.key = key;
            this.title = title;
        }

        /** {@return the name in files} */
        public String key() {
            return key;
        }

        /** {@return the name on screen} */
        public String title() {
            return title;
        }
    }

    /** Masses of beverage and water in a diluted sample, g. */
    public record Parts(double beverage, double water) {
    }

    /** @throws IllegalArgumentException if a mass is not possible, or is of something the sample has not */
    public Sample {
        taken = List.copyOf(taken);
        if (grams.isPresent() && (kind != Kind.SLICE || !possible(grams.getAsDouble()))
                || dilution.isPresent() && (kind != Kind.DILUTED || !possible(dilution.get().beverage)
                        || !(dilution.get().water >= 0 && dilution.get().water <= MOST_GRAMS))) {
            throw new IllegalArgumentException(
                    "A slice has one mass and a diluted sample two, each above 0 g and up to "
                            + (int) MOST_GRAMS + " g.");
        }
    }

    private static boolean possible(double grams) {
        return grams > 0 && grams <= MOST_GRAMS;
    }

    /** {@return a sample of that kind of which nothing is known yet} */
    public static Sample of(Kind kind) {
        return new Sample(kind, OptionalDouble.empty(), Optional.empty(), List.of(), OptionalDouble.empty());
    }

    /**
     * {@return the sample that is written so}
     *
     * @throws IllegalArgumentException if the text is no sample; the message says why
     */
    public static Sample parse(String text) {
        Matcher written = WRITTEN.matcher(text.strip());
        Optional<Kind> kind = written.matches()
                ? Arrays.stream(Kind.values()).filter(one -> one.key.equals(written.group(1))).findFirst()
                : Optional.empty();
        if (kind.isEmpty()) {
            throw new IllegalArgumentException("“" + (text.length() > 40 ? text.substring(0, 40) + "…" : text)
                    + "” is no sample. Write it such as “slice 4.2 g: 18.21 18.19”, “diluted 10 + 40 g: 1.83” or "
                    + "“cup: 9.1”.");
        }
        String[] readings = written.group(4).split("\\bzero\\b", 2);
        OptionalDouble first = number(written.group(2));
        OptionalDouble second = number(written.group(3));
        boolean parts = second.isPresent();
        return new Sample(kind.get(), parts ? OptionalDouble.empty() : first,
                parts ? Optional.of(new Parts(first.orElse(0), second.getAsDouble())) : Optional.empty(),
                readings(readings[0]), readings.length > 1 ? number(readings[1]) : OptionalDouble.empty());
    }

    private static List<Reading> readings(String text) {
        return Arrays.stream(text.strip().split("\\s+")).filter(part -> !part.isEmpty()).map(Reading::parse).toList();
    }

    private static OptionalDouble number(String text) {
        if (text == null) {
            return OptionalDouble.empty();
        }
        OptionalDouble number = DecimalText.parse(text);
        if (number.isEmpty()) {
            throw new IllegalArgumentException("“" + text.strip() + "” is not a number. Write it such as 18.5.");
        }
        return number;
    }

    /** {@return as {@link #parse} reads it} */
    public String text() {
        List<String> words = new ArrayList<>(List.of(kind.key));
        if (grams.isPresent()) {
            words.add(DecimalText.exact(grams.getAsDouble()) + " g");
        }
        dilution.ifPresent(parts -> words.add(DecimalText.exact(parts.beverage) + " + "
                + DecimalText.exact(parts.water) + " g"));
        String readings = taken.stream().map(reading -> " " + reading.text()).collect(Collectors.joining());
        String zeroed = zero.isPresent() ? " zero " + DecimalText.exact(zero.getAsDouble()) : "";
        return String.join(" ", words) + ":" + readings + zeroed;
    }

    /** {@return this sample with other readings} */
    public Sample with(List<Reading> readings) {
        return new Sample(kind, grams, dilution, readings, zero);
    }

    /** {@return this sample with its own zero check, or without} */
    public Sample zeroed(OptionalDouble other) {
        return new Sample(kind, grams, dilution, taken, other);
    }

    /** {@return this slice with that mass, g; unknown where empty} */
    public Sample weighing(OptionalDouble other) {
        return new Sample(kind, other, dilution, taken, zero);
    }

    /** {@return this sample, diluted so} */
    public Sample diluted(Optional<Parts> other) {
        return new Sample(kind, grams, other, taken, zero);
    }
}
