package org.grenu.core.entry;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import org.grenu.core.quantity.DecimalText;

/** Reads small tables in entries: rows between semicolons, cells between spaces, {@code ?} for what is unknown. */
final class RowCodec {

    static final int MOST_ROWS = 2_000;

    private final FieldDefinition form;

    RowCodec(FieldDefinition form) {
        this.form = form;
    }

    List<Row> rows(String text) {
        List<Row> rows = new ArrayList<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                rows.add(row(part.strip()));
            }
        }
        if (rows.size() > MOST_ROWS) {
            throw new RefusedEntry(form.title() + ": more than " + MOST_ROWS + " rows.");
        }
        return List.copyOf(rows);
    }

    private Row row(String text) {
        int columns = form.columns().size();
        boolean wordy = form.columns().get(columns - 1).type() == RowColumn.Type.WORDS;
        String[] cells = text.split("\\s+", wordy ? columns : -1);
        if (cells.length > columns) {
            throw tooMany(text, cells.length);
        }
        List<String> read = new ArrayList<>();
        for (int i = 0; i < columns; i++) {
            read.add(cell(cells, i, text));
        }
        return new Row(read);
    }

    private RefusedEntry tooMany(String text, int count) {
        return new RefusedEntry(
                form.title() + ": “" + FieldCodec.shortened(text) + "” has " + count + " values; a row is "
                        + described() + ".");
    }

    private String cell(String[] cells, int i, String text) {
        String cell = i < cells.length && !cells[i].equals(Row.UNKNOWN) ? cells[i].strip() : "";
        RowColumn column = form.columns().get(i);
        if (cell.isEmpty() && column.needed()) {
            throw new RefusedEntry(form.title() + ": “" + FieldCodec.shortened(text) + "” lacks its "
                    + column.title() + "; a row is "
                    + described() + ".");
        }
        return cell.isEmpty() ? "" : cell(column, cell);
    }

    private String described() {
        List<String> words = new ArrayList<>();
        for (RowColumn column : form.columns()) {
            words.add(column.title() + (column.unit().isEmpty() ? "" : " in " + column.unit())
                    + (column.needed() ? "" : " (may be left out)"));
        }
        return String.join(", ", words);
    }

    private String cell(RowColumn column, String cell) {
        String name = form.title() + ", " + column.title();
        return switch (column.type()) {
            case NUMBER -> number(column, name, cell);
            case DAY -> day(name, cell);
            case MOMENT -> cell.length() == 10 ? day(name, cell) : moment(name, cell);
            case CHOICE -> FieldCodec.choice(name, column.choices(), cell);
            case WORDS -> cell.replaceAll("\\s+", " ");
        };
    }

    private static String number(RowColumn column, String name, String cell) {
        TypedNumber number = TypedNumber.parse(cell, column.unit());
        if (number.estimated()) {
            throw new RefusedEntry(name + " is a mass, and a volume does not tell it: weigh it.");
        }
        new FieldDefinition.Range(column.low(), column.high()).check(name, column.unit(), number.value());
        return DecimalText.exact(number.value());
    }

    private static String day(String name, String text) {
        try {
            return LocalDate.parse(text).toString();
        } catch (DateTimeParseException notIso) {
            throw new RefusedEntry(name + " must be a date such as 2026-04-27.");
        }
    }

    private static String moment(String name, String text) {
        try {
            return LocalDateTime.parse(text).toString();
        } catch (DateTimeParseException notIso) {
            throw new RefusedEntry(name + " must be a date, or a date and time such as 2026-05-14 10:31.");
        }
    }
}
