package org.grenu.core.entry;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DecimalText;

/**
 * A row of a small table in an entry, checked when it was entered.
 *
 * @param cells text of each column; empty is unknown
 */
public record Row(List<String> cells) {

    /** How an unknown cell is written between others. */
    public static final String UNKNOWN = "?";

    public Row {
        cells = List.copyOf(cells);
    }

    /** {@return the number in that column, when known} */
    public OptionalDouble number(int column) {
        return DecimalText.parse(cells.get(column));
    }

    /** {@return the number in a column that a row must have} */
    public double needed(int column) {
        return number(column).orElseThrow();
    }

    /** {@return the day in that column, when known} */
    public Optional<LocalDate> day(int column) {
        return words(column).map(text -> LocalDate.parse(text.substring(0, 10)));
    }

    /** {@return the moment in that column, when known; a day alone is its begin} */
    public Optional<LocalDateTime> moment(int column) {
        return words(column)
                .map(text -> text.length() == 10 ? LocalDate.parse(text).atStartOfDay() : LocalDateTime.parse(text));
    }

    /** {@return the words in that column, when known} */
    public Optional<String> words(int column) {
        return Optional.of(cells.get(column)).filter(text -> !text.isEmpty());
    }

    /** {@return as it is written: cells between spaces, unknown ones at the end left out} */
    public String text() {
        List<String> parts = new ArrayList<>();
        cells.forEach(cell -> parts.add(cell.isEmpty() ? UNKNOWN : cell));
        while (!parts.isEmpty() && parts.get(parts.size() - 1).equals(UNKNOWN)) {
            parts.remove(parts.size() - 1);
        }
        return String.join(" ", parts);
    }
}
