package org.grenu.core.entry;

import java.util.List;
import java.util.Locale;

/**
 * How an entry is called and written. Numbers are in the unit that the key ends with and within the range.
 *
 * @param choices of a {@link FieldKind#CHOICE}
 * @param columns of {@link FieldKind#ROWS}
 */
public record FieldDefinition(String key, String title, FieldKind kind, String unit, Range range, List<String> choices,
        List<RowColumn> columns) {

    /** Numbers from low to high, both taken. */
    public record Range(double low, double high) {

        static final Range ALL = new Range(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

        /** @throws RefusedEntry if the number of that entry is outside */
        void check(String title, String unit, double number) {
            if (number < 0 && low >= 0) {
                throw new RefusedEntry(title + " cannot be negative.");
            }
            if (!(number >= low && number <= high)) {
                String space = unit.isEmpty() ? "" : " ";
                throw new RefusedEntry(String.format(Locale.ROOT, "%s must lie between %s and %s%s%s.", title,
                        plain(low), plain(high), space, unit));
            }
        }

        private static String plain(double number) {
            return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
        }
    }

    public FieldDefinition {
        choices = List.copyOf(choices);
        columns = List.copyOf(columns);
    }

    /** {@return an entry of that kind, without a unit} */
    public static FieldDefinition of(String key, String title, FieldKind kind) {
        return new FieldDefinition(key, title, kind, "", Range.ALL, List.of(),
                List.of());
    }

    /** {@return a number, or a list of numbers, in [low, high]} */
    public static FieldDefinition number(String key, String title, String unit, double low, double high,
            FieldKind kind) {
        return new FieldDefinition(key, title, kind, unit, new Range(low, high), List.of(), List.of());
    }

    /** {@return a number in [low, high]} */
    public static FieldDefinition number(String key, String title, String unit, double low, double high) {
        return number(key, title, unit, low, high, FieldKind.NUMBER);
    }

    /** {@return one of those words} */
    public static FieldDefinition choice(String key, String title, String... choices) {
        return new FieldDefinition(key, title, FieldKind.CHOICE, "", Range.ALL, List.of(choices), List.of());
    }

    /** {@return a small table} */
    public static FieldDefinition rows(String key, String title, RowColumn... columns) {
        return new FieldDefinition(key, title, FieldKind.ROWS, "", Range.ALL, List.of(), List.of(columns));
    }

    /** @throws RefusedEntry if the number is outside the field's range */
    public void checkRange(double number) {
        range.check(title, unit, number);
    }
}
