package org.grenu.core.quantity;

import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * Reads a number as people type and log it: point or comma as decimal mark whatever the locale, a true minus sign
 * (U+2212) as well as a hyphen. A thousands mark is refused, since {@code 1,234.5} cannot be told from a slip.
 */
public final class DecimalText {

    private static final Pattern DECIMAL = Pattern
            .compile("[+-]?(\\d{1,18}([.,]\\d{0,30})?|[.,]\\d{1,30})([eE][+-]?\\d{1,3})?");

    private static final int LONGEST = 60;

    private DecimalText() {
    }

    /** {@return the number, or nothing when the text is not one plain finite decimal number} */
    public static OptionalDouble parse(String text) {
        String plain = text.strip().replace('\u2212', '-');
        if (plain.length() > LONGEST || !DECIMAL.matcher(plain).matches()) {
            return OptionalDouble.empty();
        }
        double value = Double.parseDouble(plain.replace(',', '.'));
        return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    /** {@return the shortest text that reads back as the same number, without a needless {@code .0}} */
    public static String exact(double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e15) {
            return Long.toString((long) value);
        }
        return Double.toString(value);
    }

    /**
     * {@return the same, which tells nought below zero from nought above: for samples that are to come back to the
     * last bit}
     */
    public static String toTheLastBit(double value) {
        return value == 0 && 1 / value < 0 ? "-0" : exact(value);
    }

    /** {@return a plain number with zeros added until it has that many decimals} */
    public static String padded(String text, int decimals) {
        if (text.isEmpty() || decimals == 0 || text.contains("E")) {
            return text;
        }
        int point = text.indexOf('.');
        int has = point < 0 ? 0 : text.length() - point - 1;
        return has >= decimals ? text : text + (point < 0 ? "." : "") + "0".repeat(decimals - has);
    }
}
