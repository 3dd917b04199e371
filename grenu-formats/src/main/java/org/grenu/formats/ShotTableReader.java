package org.grenu.formats;

import de.siegmar.fastcsv.reader.CloseableIterator;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.Shot;

/**
 * Reads a table of samples with a heading row: Grenu's shot CSV, or any CSV or TSV whose columns can be recognised.
 * What a foreign file leaves open is decided by its numbers and said among the assumptions.
 */
final class ShotTableReader {

    private static final double RESTART_SECONDS = 5;

    private final String file;
    private final Preamble preamble;
    private final List<String> assumptions = new ArrayList<>();

    private ShotTableReader(String file, Preamble preamble) {
        this.file = file;
        this.preamble = preamble;
    }

    static ParsedShot read(String file, String text) throws ImportFailure {
        Preamble preamble = Preamble.parse(file, text);
        return new ShotTableReader(file, preamble).table(text.substring(preamble.tableStart()));
    }

    private ParsedShot table(String text) throws ImportFailure {
        if (text.isBlank()) {
            throw new ImportFailure(file, preamble.tableLine(), "There is no table.",
                    "The file needs a heading row such as “time [s],pressure [bar],cup mass [g]” and rows of numbers.");
        }
        char separator = separator(text);
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(separator)
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .maxBufferSize(1 << 20)
                .ofCsvRecord(text);
                CloseableIterator<CsvRecord> rows = reader.iterator()) {
            List<TableColumn> columns = columns(rows.next());
            int needed = columns.stream().mapToInt(TableColumn::index).max().orElse(0) + 1;
            while (rows.hasNext()) {
                CsvRecord row = rows.next();
                if (!cutOff(columns, needed, row, rows.hasNext())) {
                    addRow(columns, needed, row, separator);
                }
            }
            return assemble(columns);
        } catch (CsvParseException | UncheckedIOException | IOException broken) {
            throw new ImportFailure(file, 0, "The table is broken: " + innermost(broken) + ".",
                    "Look for a quotation mark that is not closed.");
        }
    }

    private static String innermost(Throwable thrown) {
        Throwable cause = thrown;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        return String.valueOf(cause.getMessage()).replaceAll("[.\\s]+$", "");
    }

    /** Tab before semicolon before comma: the rarer one in a heading is the separator when it occurs. */
    private static char separator(String text) {
        int end = text.indexOf('\n');
        String heading = end < 0 ? text : text.substring(0, end);
        return heading.indexOf('\t') >= 0 ? '\t' : heading.indexOf(';') >= 0 ? ';' : ',';
    }

    private List<TableColumn> columns(CsvRecord heading) throws ImportFailure {
        if (heading.getFieldCount() > Limits.MOST_COLUMNS) {
            throw new ImportFailure(file, line(heading), "The table has more than " + Limits.MOST_COLUMNS + " columns.",
                    "Keep time, pressure, flow, mass and temperature.");
        }
        List<TableColumn> columns = new ArrayList<>();
        List<ColumnHeading.Meaning> taken = new ArrayList<>();
        for (int i = 0; i < heading.getFieldCount(); i++) {
            ColumnHeading parsed = ColumnHeading.parse(heading.getField(i).strip());
            if (!parsed.unknownUnit().isEmpty()) {
                throw new ImportFailure(file, line(heading),
                        "Column “" + parsed.heading() + "” is in “" + parsed.unknownUnit()
                                + "”, a unit that is not known for it.",
                        "Known units: s, ms, bar, kPa, psi, mL/s, g/s, g, °C, °F.");
            }
            if (parsed.meaning().isEmpty() || taken.contains(parsed.meaning().get())) {
                notRead(parsed.heading());
            } else {
                taken.add(parsed.meaning().get());
                columns.add(new TableColumn(i, parsed));
            }
        }
        requireColumns(heading, columns);
        return columns;
    }

    private void notRead(String heading) {
        if (!heading.isBlank()) {
            assumptions.add("Column “" + heading + "” was not read.");
        }
    }

    private void requireColumns(CsvRecord heading, List<TableColumn> columns) throws ImportFailure {
        String found = String.join(", ",
                heading.getFields().stream().limit(8).map(h -> "“" + shortened(h.strip()) + "”").toList());
        if (columns.stream().noneMatch(TableColumn::isTime)) {
            throw new ImportFailure(file, line(heading), "No time column among " + found + ".",
                    "Name one “time [s]” or “time [ms]”.");
        }
        if (columns.size() < 2 && !(preamble.ours() && heading.getFieldCount() == 1)) {
            throw new ImportFailure(file, line(heading), "No column to read beside time among " + found + ".",
                    "Name them such as “pressure [bar]”, “pump flow [mL/s]”, “cup mass [g]”, “temperature [°C]”.");
        }
    }

    /** A last row that lacks fields was being written when the logger ended: the log is good without it. */
    private boolean cutOff(List<TableColumn> columns, int needed, CsvRecord row, boolean more) {
        boolean cut = !more && columns.get(0).size() > 1 && !isBlank(row) && row.getFieldCount() < needed
                && !row.getField(0).stripLeading().startsWith("#");
        if (cut) {
            assumptions.add("Line " + line(row) + ", the last, has " + row.getFieldCount() + " of " + needed
                    + " fields, as of a log that was cut off: it was left out.");
        }
        return cut;
    }

    private void addRow(List<TableColumn> columns, int needed, CsvRecord row, char separator) throws ImportFailure {
        if (columns.get(0).size() >= Limits.MOST_SAMPLES) {
            throw new ImportFailure(file, line(row), "There are more than " + Limits.MOST_SAMPLES + " samples.",
                    "Cut the file to one shot.");
        }
        if (isBlank(row) || row.getField(0).stripLeading().startsWith("#")) {
            return;
        }
        if (row.getFieldCount() < needed) {
            throw new ImportFailure(file, line(row),
                    "The row has " + row.getFieldCount() + " fields, the columns to read need "
                            + needed + ".",
                    "The file may be cut off here: complete the row or delete it.");
        }
        if (separator == ',' && row.getFieldCount() >= 2 * columns.size() && row.getFieldCount() > needed + 1
                && columns.get(0).size() == 0) {
            throw new ImportFailure(file, line(row),
                    "The row has " + row.getFieldCount() + " fields for " + columns.size()
                            + " columns: decimal commas in a table separated by commas.",
                    "Save it with semicolons or tabs, or with decimal points.");
        }
        for (TableColumn column : columns) {
            String cell = row.getField(column.index());
            if (!column.add(cell)) {
                throw new ImportFailure(file, line(row), column.heading().heading() + " is “" + shortened(cell)
                        + "”, which is not a number (column " + (column.index() + 1) + ").",
                        column.isTime() ? "Every row needs a time."
                                : "Correct the cell, or empty it if the sample is missing.");
            }
        }
    }

    private static boolean isBlank(CsvRecord row) {
        for (int i = 0; i < row.getFieldCount(); i++) {
            if (!row.getField(i).isBlank()) {
                return false;
            }
        }
        return true;
    }

    private ParsedShot assemble(List<TableColumn> columns) throws ImportFailure {
        Samples time = null;
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        for (TableColumn column : columns) {
            Samples samples = column.inCanonicalUnit(assumptions);
            if (column.heading().meaning().orElseThrow() instanceof ColumnHeading.ChannelColumn of) {
                channels.put(of.channel(), samples);
            } else {
                time = samples;
            }
        }
        if (preamble.ours() && columns.size() == 1 && time != null && time.size() == 0) {
            return new ParsedShot(new Shot(preamble.record(), ShotLog.NONE), assumptions);
        }
        if (time == null || time.size() == 0) {
            throw new ImportFailure(file, preamble.tableLine(), "The table has a heading but no rows.",
                    "Log the shot again.");
        }
        if (!(time.max() - time.min() < 1e12)) {
            throw new ImportFailure(file, 0, "The times are not those of a shot.",
                    "Check the time column and its unit.");
        }
        if (!preamble.ours()) {
            lookForSeveralShots(time);
            time = fromZero(time);
        }
        return new ParsedShot(new Shot(preamble.record(), new ShotLog(time, channels)), assumptions);
    }

    /** One restart may be a logger's clock that was reset, which is repaired; several are several shots. */
    private void lookForSeveralShots(Samples time) throws ImportFailure {
        int restarts = restarts(time);
        if (restarts > 1) {
            throw new ImportFailure(file, 0,
                    "The time starts again " + restarts + " times: the file probably holds several shots.",
                    "Map its columns, and say how the shots are told apart.");
        }
        if (restarts == 1) {
            assumptions.add(
                    "The time starts again once and was continued; if these are two shots, map the log's columns "
                            + "instead.");
        }
    }

    private static int restarts(Samples time) {
        int restarts = 0;
        for (int i = 1; i < time.size(); i++) {
            restarts += time.get(i) < time.get(i - 1) - RESTART_SECONDS && time.get(i) < time.get(0) + RESTART_SECONDS
                    ? 1 : 0;
        }
        return restarts;
    }

    /** Clock and epoch times are counted from the first sample; small offsets may mean something and stay. */
    private Samples fromZero(Samples time) {
        double first = time.get(0);
        if (Math.abs(first) < 600) {
            return time;
        }
        assumptions.add("Times are counted from the first row.");
        double[] shifted = time.toArray();
        for (int i = 0; i < shifted.length; i++) {
            // Rounded to the microsecond: the difference of two large clock values carries digits that mean nothing.
            shifted[i] = Math.rint((shifted[i] - first) * 1e6) / 1e6;
        }
        return Samples.of(shifted);
    }

    private int line(CsvRecord row) {
        return preamble.tableLine() - 1 + (int) row.getStartingLineNumber();
    }

    private static String shortened(String text) {
        return text.length() > 24 ? text.substring(0, 24) + "…" : text;
    }
}
