package org.grenu.core.entry;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;

/**
 * A number as it is typed, with or without its unit, in the unit that the entry is kept in.
 *
 * @param value     in the entry's unit
 * @param estimated whether a mass was made of a volume
 */
public record TypedNumber(double value, boolean estimated) {

    /** A decimal number, then what may be its unit. */
    private static final Pattern TYPED = Pattern.compile("([+\\-\u2212]?[\\d.,]+(?:[eE][+\\-\u2212]?\\d+)?)\\s*(.*)");

    /**
     * {@return the number}
     *
     * @param unit what the entry is kept in; empty for a plain number
     * @throws RefusedEntry if it is none, or in a unit of something else
     */
    public static TypedNumber parse(String text, String unit) {
        OptionalDouble plain = DecimalText.parse(text);
        if (plain.isPresent()) {
            return new TypedNumber(plain.getAsDouble(), false);
        }
        Matcher typed = TYPED.matcher(text.strip());
        OptionalDouble number = typed.matches() ? DecimalText.parse(typed.group(1)) : OptionalDouble.empty();
        if (number.isEmpty() || !typed.group(2).matches("[\\p{L}°º%µ″′].*")) {
            throw new RefusedEntry(notANumber(text));
        }
        return in(number.getAsDouble(), typed.group(2), unit, text);
    }

    private static TypedNumber in(double number, String typed, String kept, String text) {
        if (typed.equalsIgnoreCase(kept)) {
            return new TypedNumber(number, false);
        }
        Optional<Unit> unit = Unit.typed(kept);
        Optional<Unit> same = unit.flatMap(of -> Unit.typed(typed, of.quantity()));
        if (same.isPresent()) {
            return new TypedNumber(same.get() == unit.get() ? number
                    : unit.get().fromCanonical(same.get().toCanonical(number)), false);
        }
        Optional<Unit> volume = unit.filter(of -> of == Unit.GRAM).flatMap(mass -> Unit.typed(typed, Quantity.VOLUME));
        if (volume.isPresent()) {
            return new TypedNumber(volume.get().toCanonical(number) * VolumeEstimate.DENSITY, true);
        }
        throw new RefusedEntry("“" + FieldCodec.shortened(text.strip()) + "”: "
                + (kept.isEmpty() ? "a plain number is wanted, without a unit."
                        : "“" + FieldCodec.shortened(typed) + "” is no unit for this; it is kept in "
                                + kept + "."));
    }

    private static String notANumber(String text) {
        String shown = FieldCodec.shortened(text.strip());
        if (shown.matches(".*\\d[.,]\\d{3}[.,].*")) {
            return "“" + shown + "” has two decimal marks. Write it without a thousands mark, such as 1234.5.";
        }
        return "“" + shown + "” is not a number. Write it such as 18.5.";
    }
}
