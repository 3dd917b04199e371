package org.grenu.formats.mapping;

import de.siegmar.fastcsv.reader.CloseableIterator;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.grenu.formats.ImportFailure;

/** Reads a table of lines. */
final class LineTable {

    static final int MOST_ROWS = 500_000;
    static final int MOST_COLUMNS = 200;

    private LineTable() {
    }

    static RawTable read(String file, String text, TableShape.Lines shape) throws ImportFailure {
        List<String> headings = new ArrayList<>();
        List<String[]> rows = new ArrayList<>();
        List<Integer> lines = new ArrayList<>();
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(shape.delimiter())
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .maxBufferSize(1 << 20)
                .ofCsvRecord(text);
                CloseableIterator<CsvRecord> records = reader.iterator()) {
            while (records.hasNext()) {
                CsvRecord row = records.next();
                int line = (int) row.getStartingLineNumber();
                if (line == shape.headingLine()) {
                    headings.addAll(row.getFields().stream().map(String::strip).toList());
                } else if (line >= shape.firstLine() && !blank(row)) {
                    rows.add(row.getFields().toArray(String[]::new));
                    lines.add(line);
                }
                if (rows.size() > MOST_ROWS || row.getFieldCount() > MOST_COLUMNS) {
                    throw new ImportFailure(file, line,
                            rows.size() > MOST_ROWS ? "There are more than " + MOST_ROWS + " rows."
                                    : "The table has more than " + MOST_COLUMNS + " columns.",
                            "Cut the file to fewer shots, or to the columns that matter.");
                }
            }
        } catch (CsvParseException | UncheckedIOException | IOException broken) {
            throw new ImportFailure(file, 0, "The table is broken: a quotation mark may not be closed.",
                    "Look for it, or choose another delimiter.");
        }
        int width = rows.stream().mapToInt(row -> row.length).max().orElse(0);
        return new RawTable(distinct(headings, width), rows, lines.stream().mapToInt(Integer::intValue).toArray());
    }

    private static boolean blank(CsvRecord row) {
        return row.getFields().stream().allMatch(String::isBlank) || row.getField(0).stripLeading().startsWith("#");
    }

    /** Columns without a heading of their own are called by their number. */
    private static List<String> distinct(List<String> headings, int width) {
        Set<String> seen = new HashSet<>();
        return IntStream.range(0, Math.max(width, headings.size())).mapToObj(i -> {
            String heading = i < headings.size() ? headings.get(i) : "";
            return !heading.isEmpty() && seen.add(heading) ? heading : Integer.toString(i + 1);
        }).toList();
    }
}
