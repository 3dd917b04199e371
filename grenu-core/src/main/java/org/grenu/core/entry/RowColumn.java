package org.grenu.core.entry;

import java.util.List;

/**
 * A column of a small table in an entry.
 *
 * @param title    on screen
 * @param unit     of a number, else empty
 * @param needed   whether a row without it is refused
 * @param low      least number
 * @param high     largest number
 * @param choices  words that are possible, of a choice
 */
public record RowColumn(String title, Type type, String unit, boolean needed, double low, double high,
        List<String> choices) {

    /** What stands in it; words may only be the last column, since they hold spaces. */
    public enum Type {
        NUMBER, DAY, MOMENT, CHOICE, WORDS
    }

    public RowColumn {
        choices = List.copyOf(choices);
    }

    /** {@return numbers in [low, high]} */
    public static RowColumn number(String title, String unit, double low, double high) {
        return new RowColumn(title, Type.NUMBER, unit, true, low, high, List.of());
    }

    /** {@return ISO 8601 dates} */
    public static RowColumn day(String title) {
        return new RowColumn(title, Type.DAY, "", true, 0, 0, List.of());
    }

    /** {@return dates with or without a time of day} */
    public static RowColumn moment(String title) {
        return new RowColumn(title, Type.MOMENT, "", true, 0, 0, List.of());
    }

    /** {@return one of those words, none of which holds a space} */
    public static RowColumn choice(String title, List<String> choices) {
        return new RowColumn(title, Type.CHOICE, "", true, 0, 0, choices);
    }

    /** {@return free words; the last column} */
    public static RowColumn words(String title) {
        return new RowColumn(title, Type.WORDS, "", false, 0, 0, List.of());
    }

    /** {@return this column, which a row may leave unknown} */
    public RowColumn optional() {
        return new RowColumn(title, type, unit, false, low, high, choices);
    }
}
