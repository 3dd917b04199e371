package org.grenu.formats.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.core.strength.Reading;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/**
 * A library for spreadsheets: shots, readings, and a sheet for each sort of thing on the shelf. Words are words,
 * never formulas.
 */
public final class LibraryWorkbook {

    /** Characters that a cell holds in a spreadsheet. */
    private static final int LONGEST = 32_767;

    private LibraryWorkbook() {
    }

    /**
     * A row of the sheet of shots.
     *
     * @param sheet  completed by the shot's gear
     * @param masses as computed
     */
    public record Row(int number, ShotRecord sheet, Masses masses) {
    }

    /** Writes the workbook; the stream is left open. */
    public static void write(List<Row> shots, List<ShelfItem> shelf, OutputStream out) throws IOException {
        Workbook book = new Workbook(out, "Grenu", "1.0");
        shots(book.newWorksheet("Shots"), shots);
        readings(book.newWorksheet("Readings"), shots);
        for (ShelfKind kind : ShelfKind.values()) {
            List<ShelfItem> items = shelf.stream().filter(item -> item.kind() == kind).toList();
            if (!items.isEmpty()) {
                things(book.newWorksheet(kind.title()), kind, items);
            }
        }
        book.finish();
    }

    private static void shots(Worksheet sheet, List<Row> shots) {
        List<RecordField> used = List.of(RecordField.values())
                .stream()
                .filter(field -> shots.stream().anyMatch(row -> row.sheet.has(field)))
                .toList();
        List<String> own = shots.stream()
                .flatMap(row -> row.sheet.extras().keySet().stream())
                .distinct()
                .sorted()
                .toList();
        List<String> heading = new ArrayList<>(List.of("shot"));
        used.forEach(field -> heading.add(heading(field)));
        heading.addAll(List.of("strength [%]", "U strength [%]", "EY as dosed [%]", "U EY [%]"));
        heading.addAll(own);
        head(sheet, heading);
        for (int r = 0; r < shots.size(); r++) {
            Row row = shots.get(r);
            int column = 0;
            sheet.value(r + 1, column++, row.number);
            for (RecordField field : used) {
                cell(sheet, r + 1, column++, field, row.sheet.entry(field));
            }
            column = measured(sheet, r + 1, column, row.masses.strength());
            column = measured(sheet, r + 1, column, row.masses.brew().map(brew -> brew.asDosed().percent()));
            for (String key : own) {
                words(sheet, r + 1, column++, row.sheet.extras().getOrDefault(key, ""));
            }
        }
    }

    private static int measured(Worksheet sheet, int row, int column, Optional<Measured> value) {
        value.ifPresent(known -> {
            sheet.value(row, column, known.value());
            sheet.value(row, column + 1, known.expanded());
        });
        return column + 2;
    }

    private static void readings(Worksheet sheet, List<Row> shots) {
        head(sheet, List.of("shot", "reading", "value", "time [s]", "sample [°C]", "prism [°C]", "filtered"));
        int at = 1;
        for (Row row : shots) {
            List<Reading> readings = row.sheet.readings();
            for (int i = 0; i < readings.size(); i++) {
                reading(sheet, at, row, i);
                at++;
            }
        }
    }

    private static void reading(Worksheet sheet, int at, Row row, int i) {
        Reading reading = row.sheet.readings().get(i);
        sheet.value(at, 0, row.number);
        sheet.value(at, 1, i + 1);
        sheet.value(at, 2, reading.value());
        number(sheet, at, 3, reading.seconds());
        number(sheet, at, 4, reading.sampleCelsius());
        number(sheet, at, 5, reading.prismCelsius());
        words(sheet, at, 6, reading.filtered().map(yes -> yes ? "yes" : "no").orElse(""));
    }

    private static void things(Worksheet sheet, ShelfKind kind, List<ShelfItem> items) {
        List<String> heading = new ArrayList<>(List.of("name", "version", "since", "changed"));
        kind.fields().forEach(field -> heading.add(heading(field)));
        head(sheet, heading);
        int at = 1;
        for (ShelfItem item : items) {
            for (ShelfVersion version : item.versions()) {
                thing(sheet, at, kind, item, version);
                at++;
            }
        }
    }

    private static void thing(Worksheet sheet, int at, ShelfKind kind, ShelfItem item, ShelfVersion version) {
        words(sheet, at, 0, item.name());
        sheet.value(at, 1, version.number());
        words(sheet, at, 2, version.since().map(Object::toString).orElse(""));
        words(sheet, at, 3, version.changed());
        for (int i = 0; i < kind.fields().size(); i++) {
            cell(sheet, at, 4 + i, kind.fields().get(i), version.entries().entry(kind.fields().get(i)));
        }
    }

    private static String heading(Field field) {
        return field.title() + (field.unit().isEmpty() ? "" : " [" + field.unit() + "]");
    }

    private static void head(Worksheet sheet, List<String> heading) {
        for (int c = 0; c < heading.size(); c++) {
            sheet.value(0, c, heading.get(c));
            sheet.style(0, c).bold().set();
        }
        sheet.freezePane(1, 1);
    }

    private static void cell(Worksheet sheet, int row, int column, Field field, Optional<String> text) {
        if (field.kind() == FieldKind.NUMBER) {
            number(sheet, row, column, text.map(DecimalText::parse).orElse(OptionalDouble.empty()));
        } else {
            words(sheet, row, column, text.orElse(""));
        }
    }

    private static void number(Worksheet sheet, int row, int column, OptionalDouble number) {
        if (number.isPresent()) {
            sheet.value(row, column, number.getAsDouble());
        }
    }

    /** A string cell, whatever it begins with: a spreadsheet computes only cells that are formulas. */
    private static void words(Worksheet sheet, int row, int column, String text) {
        if (!text.isEmpty()) {
            sheet.value(row, column, text.length() > LONGEST ? text.substring(0, LONGEST) : text);
        }
    }
}
