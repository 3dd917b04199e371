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

    /** So many digits make a whole number that a double holds exactly, as it does ten to that power. */
    private static final int EXACT_DIGITS = 15;
    private static final double[] TENS = {1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14,
            1e15};

    private DecimalText() {
    }

    /** {@return the number, or nothing when the text is not one plain finite decimal number} */
    public static OptionalDouble parse(String text) {
        double few = ofFewDigits(text);
        return Double.isNaN(few) ? ofAnyLength(text) : OptionalDouble.of(few);
    }

    /**
     * A log's samples are many and short. One division of two exact numbers rounds once, as the full reading does, so
     * that both give the same to the last bit (W. D. Clinger, How to read floating point numbers accurately, PLDI
     * 1990).
     *
     * @return not a number when the text is anything but sign, digits and one mark between or after them
     */
    private static double ofFewDigits(String text) {
        int length = text.length();
        boolean negative = length > 0 && (text.charAt(0) == '-' || text.charAt(0) == '\u2212');
        long whole = 0;
        int digits = 0;
        int mark = -1;
        for (int i = negative ? 1 : 0; i < length; i++) {
            char c = text.charAt(i);
            if (c >= '0' && c <= '9' && digits < EXACT_DIGITS) {
                whole = 10 * whole + (c - '0');
                digits++;
            } else if ((c == '.' || c == ',') && mark < 0 && digits > 0) {
                mark = digits;
            } else {
                return Double.NaN;
            }
        }
        if (digits == 0) {
            return Double.NaN;
        }
        double value = mark < 0 ? whole : whole / TENS[digits - mark];
        return negative ? -value : value;
    }

    private static OptionalDouble ofAnyLength(String text) {
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
        long thousandths = Math.round(value * 1000);
        if (Math.abs(thousandths) < 1_000_000_000 && thousandths / 1000.0 == value) {
            return ofThousandths(thousandths);
        }
        return Double.toString(value);
    }

    /** A quick way for what is entered and read most: NumbersAsTextTest holds it against {@link Double#toString}. */
    private static String ofThousandths(long thousandths) {
        long size = Math.abs(thousandths);
        StringBuilder text = new StringBuilder(11);
        if (thousandths < 0) {
            text.append('-');
        }
        text.append(size / 1000).append('.');
        int rest = (int) (size % 1000);
        text.append((char) ('0' + rest / 100));
        if (rest % 100 != 0) {
            text.append((char) ('0' + rest / 10 % 10));
        }
        if (rest % 10 != 0) {
            text.append((char) ('0' + rest % 10));
        }
        return text.toString();
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
