package org.grenu.core.quantity;

import java.util.Locale;

/**
 * A measured value as it is shown: only meaningful digits. The expanded uncertainty keeps two significant digits when
 * it starts with 1 or 2 and one otherwise; the value is rounded to the same place. A minus is the true minus sign.
 *
 * @param value    the rounded value, such as {@code 21.54}
 * @param expanded the rounded expanded uncertainty, such as {@code 0.16}; empty for an exact value
 * @param factor   its coverage factor in words, such as {@code k = 2}; empty for an exact value
 */
public record Reported(String value, String expanded, String factor) {

    private static final int EXACT_DECIMALS = 2;
    /** Less than that would be shown as an uncertainty of zero. */
    private static final double LEAST = 5e-7;

    /** {@return the value rounded to what its uncertainty supports} */
    public static Reported of(Measured measured) {
        double expanded = measured.expanded();
        if (expanded < LEAST) {
            return new Reported(fixed(measured.value(), EXACT_DECIMALS), "", "");
        }
        int decimals = decimalsFor(expanded);
        return new Reported(fixed(measured.value(), decimals), fixed(expanded, decimals),
                factor(measured.coverageFactor()));
    }

    private static String factor(double k) {
        return "k = " + (k < Measured.COVERAGE_FACTOR + 0.05 ? "2" : fixed(k, 1));
    }

    /** {@return the number with that many decimals, with a true minus and never a negative zero} */
    public static String fixed(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return "\u2013";
        }
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        boolean zero = text.chars().noneMatch(c -> c >= '1' && c <= '9');
        if (text.startsWith("-")) {
            return zero ? text.substring(1) : '\u2212' + text.substring(1);
        }
        return text;
    }

    /** {@return a difference with its sign; one that is shown as nought has none} */
    public static String signed(double difference, int decimals) {
        String text = fixed(difference, decimals);
        boolean zero = text.chars().noneMatch(c -> c >= '1' && c <= '9');
        return difference > 0 && !zero ? "+" + text : text;
    }

    /** {@return {@code 21.54 ±0.16}, or the value alone when it is exact} */
    public String text() {
        return (value + " " + half()).strip();
    }

    /** {@return {@code ±0.16}; empty for an exact value} */
    public String half() {
        return expanded.isEmpty() ? "" : "\u00B1" + expanded;
    }

    private static int decimalsFor(double expanded) {
        int exponent = (int) Math.floor(Math.log10(expanded));
        double leading = expanded / Math.pow(10, exponent);
        int significant = leading < 2.95 ? 2 : 1;
        return Math.max(0, Math.min(6, significant - 1 - exponent));
    }
}
