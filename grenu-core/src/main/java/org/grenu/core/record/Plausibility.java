package org.grenu.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;

/**
 * Entries that are possible but hardly meant, such as 1.81 or 181 g of coffee for a basket of 18 g: a lost or a
 * doubled decimal
 * mark. Nothing is changed; the question stands at the field, and no advice is built on such a number.
 */
public final class Plausibility {

    /** Doses, ratios, strengths and extractions beyond those are not met in a basket (common practice, no source). */
    private static final double LEAST_DOSE = 4;
    private static final double MOST_DOSE = 40;
    private static final double LEAST_RATIO = 0.3;
    private static final double MOST_RATIO = 12;
    private static final double MOST_STRENGTH = 20;
    private static final double MOST_YIELD = 35;
    private static final double LEAST_CELSIUS = 60;
    private static final double MOST_CELSIUS = 110;
    private static final double SHORTEST_SECONDS = 4;
    private static final double LONGEST_SECONDS = 150;
    /** So many times the time of like shots is no spread of theirs. */
    private static final double FAR = 6;
    private static final double USUAL_CELSIUS = 93;
    private static final double USUAL_DOSE = 18;
    private static final double USUAL_STRENGTH = 9;
    /** How far from what is expected a corrected number may lie, as a factor. */
    private static final double NEAR = 1.45;

    private Plausibility() {
    }

    /**
     * A question about an entry.
     *
     * @param field    where it stands
     * @param question in words, one sentence
     * @param meant    what was perhaps meant, as it would be typed
     */
    public record Doubt(RecordField field, String question, Optional<String> meant) {
    }

    /** {@return the questions that the record raises} */
    public static List<Doubt> of(ShotRecord record, Masses masses) {
        List<Doubt> doubts = new ArrayList<>();
        dose(record).ifPresent(doubts::add);
        beverage(record, doubts.isEmpty()).ifPresent(doubts::add);
        strength(record, masses).ifPresent(doubts::add);
        temperature(record).ifPresent(doubts::add);
        if (doubts.isEmpty()) {
            together(masses).ifPresent(doubts::add);
        }
        return doubts;
    }

    private static Optional<Doubt> dose(ShotRecord record) {
        OptionalDouble dose = record.number(RecordField.DOSE);
        if (dose.isEmpty()) {
            return Optional.empty();
        }
        double grams = dose.getAsDouble();
        OptionalDouble meant = first(record.number(RecordField.BASKET_CAPACITY), record.number(RecordField.BASKET_TO),
                record.number(RecordField.DOSE_TARGET));
        boolean off = meant.isPresent() ? grams < meant.getAsDouble() / 2 || grams > meant.getAsDouble() * 2
                : grams < LEAST_DOSE || grams > MOST_DOSE;
        return off ? Optional.of(doubt(RecordField.DOSE, grams,
                " g" + (meant.isPresent() ? " where about " + DecimalText.exact(meant.getAsDouble()) + " g is expected"
                        : " is no usual dose"),
                near(grams, meant.orElse(USUAL_DOSE)))) : Optional.empty();
    }

    private static Optional<Doubt> beverage(ShotRecord record, boolean doseIsSound) {
        OptionalDouble beverage = record.number(RecordField.BEVERAGE);
        OptionalDouble dose = record.number(RecordField.DOSE);
        if (beverage.isEmpty() || dose.isEmpty() || !doseIsSound || beverage.getAsDouble() == 0) {
            return Optional.empty();
        }
        double ratio = beverage.getAsDouble() / dose.getAsDouble();
        double expected = record.number(RecordField.BEVERAGE_TARGET).orElse(2 * dose.getAsDouble());
        return ratio < LEAST_RATIO || ratio > MOST_RATIO
                ? Optional.of(doubt(RecordField.BEVERAGE, beverage.getAsDouble(),
                        " g from " + DecimalText.exact(dose.getAsDouble()) + " g is no usual ratio",
                        near(beverage.getAsDouble(), expected)))
                : Optional.empty();
    }

    private static Optional<Doubt> strength(ShotRecord record, Masses masses) {
        OptionalDouble high = record.numbers(RecordField.READINGS).stream().mapToDouble(Double::doubleValue).max();
        boolean strong = masses.strength().filter(strength -> strength.value() > MOST_STRENGTH).isPresent();
        return strong && high.isPresent()
                ? Optional.of(doubt(RecordField.READINGS, high.getAsDouble(), " % is stronger than espresso gets",
                        near(high.getAsDouble(), USUAL_STRENGTH)))
                : Optional.empty();
    }

    private static Optional<Doubt> temperature(ShotRecord record) {
        OptionalDouble celsius = record.number(RecordField.TEMPERATURE);
        return celsius.isPresent() && (celsius.getAsDouble() < LEAST_CELSIUS || celsius.getAsDouble() > MOST_CELSIUS)
                ? Optional.of(doubt(RecordField.TEMPERATURE, celsius.getAsDouble(),
                        " °C is no usual brewing temperature", near(celsius.getAsDouble(), USUAL_CELSIUS)))
                : Optional.empty();
    }

    /**
     * {@return the question that a typed time raises which is no usual one and many times that of like shots, or a
     * small part of it} A puck that chokes and one that gushes are far apart, too: neither is asked about.
     *
     * @param seconds what it took
     * @param usual   what like shots take, s
     */
    public static Optional<Doubt> besideOthers(double seconds, double usual) {
        boolean longer = seconds > LONGEST_SECONDS && seconds > FAR * usual;
        boolean shorter = seconds < SHORTEST_SECONDS && seconds < usual / FAR;
        return longer || shorter ? Optional.of(doubt(RecordField.PUMP_OFF, seconds,
                " s where " + DecimalText.exact(Math.rint(usual)) + " s is usual", near(seconds, usual)))
                : Optional.empty();
    }

    /** Everything looks sound by itself, and together it cannot be. */
    private static Optional<Doubt> together(Masses masses) {
        Optional<Measured> percent = masses.brew().map(Brew::asDosed).map(extraction -> extraction.percent());
        return percent.filter(value -> value.value() > MOST_YIELD)
                .map(value -> new Doubt(RecordField.READINGS, "An extraction of " + Math.round(value.value())
                        + " % is more than coffee gives (about 30 %): are dose, beverage mass and strength of the "
                        + "same shot?",
                        Optional.empty()));
    }

    private static Doubt doubt(RecordField field, double entered, String words, Optional<String> meant) {
        return new Doubt(field, DecimalText.exact(entered) + words + ": "
                + meant.map(text -> "meant " + text + "?").orElse("is that right?"), meant);
    }

    /** The number with its decimal mark elsewhere, when that comes near what is expected. */
    private static Optional<String> near(double entered, double expected) {
        for (double factor : new double[] {10, 0.1, 100, 0.01}) {
            double moved = Math.rint(entered * factor * 1e6) / 1e6;
            if (moved < expected * NEAR && moved > expected / NEAR) {
                return Optional.of(DecimalText.exact(moved));
            }
        }
        return Optional.empty();
    }

    private static OptionalDouble first(OptionalDouble... numbers) {
        for (OptionalDouble number : numbers) {
            if (number.isPresent()) {
                return number;
            }
        }
        return OptionalDouble.empty();
    }
}
