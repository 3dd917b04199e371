package org.grenu.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.grenu.core.quantity.DecimalText;

/**
 * The first sheet with something in it of an XLSX file, as CSV text, so that it is mapped like any other table.
 * Formulas give the value that was stored with them.
 */
final class SpreadsheetText {

    private static final long MOST_UNPACKED = 256L << 20;
    private static final int MOST_ROWS = 1_000_000;
    private static final int MOST_ENTRIES = 2_000;
    private static final int MOST_CELLS = 5_000_000;
    private static final int LONGEST_CELL = 40_000;
    private static final long SMALL = 8L << 20;
    /** Sheets pack twenty to one; a bomb a thousand to one. */
    private static final long MOST_RATIO = 300;

    private SpreadsheetText() {
    }

    static boolean looksLike(byte[] bytes) {
        return bytes.length > 4 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3 && bytes[3] == 4;
    }

    static String read(String name, byte[] bytes) throws ImportFailure {
        checkSize(name, bytes);
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes))) {
            for (Sheet sheet : book.getSheets().toList()) {
                String text = text(name, sheet);
                if (!text.isBlank()) {
                    return text;
                }
            }
        } catch (IOException | RuntimeException broken) {
            // The library checks little of what it reads, and throws whatever it comes upon.
            throw notXlsx(name);
        }
        throw new ImportFailure(name, 0, "The spreadsheet is empty.", "Choose another file.");
    }

    private static ImportFailure notXlsx(String name) {
        return new ImportFailure(name, 0, "The file is a zip archive, but not a spreadsheet that can be read.",
                "Save it as XLSX or CSV, or unpack it first.");
    }

    /** An archive says of itself what it likes: only unpacking tells how large it is. */
    private static void checkSize(String name, byte[] bytes) throws ImportFailure {
        long unpacked = 0;
        int entries = 0;
        byte[] buffer = new byte[1 << 16];
        try (ZipFile zip = ZipFile.builder().setSeekableByteChannel(new SeekableInMemoryByteChannel(bytes)).get()) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                boolean many = ++entries > MOST_ENTRIES;
                try (InputStream in = zip.getInputStream(entry)) {
                    for (int some = in.read(buffer); some >= 0; some = in.read(buffer)) {
                        unpacked += some;
                        if (many || unpacked > MOST_UNPACKED
                                || unpacked > SMALL && unpacked > MOST_RATIO * bytes.length) {
                            throw new ImportFailure(name, 0,
                                    "The archive unpacks to more than a spreadsheet of logs can be.",
                                    "It was not taken in.");
                        }
                    }
                }
            }
        } catch (IOException | RuntimeException broken) {
            throw notXlsx(name);
        }
    }

    private static String text(String name, Sheet sheet) throws IOException, ImportFailure {
        StringWriter out = new StringWriter();
        int count = 0;
        long all = 0;
        try (Stream<Row> rows = sheet.openStream();
                CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
            for (Row row : (Iterable<Row>) rows::iterator) {
                if (++count > MOST_ROWS) {
                    throw new ImportFailure(name, count, "The sheet has more than " + MOST_ROWS + " rows.",
                            "Split it.");
                }
                if (row.getCellCount() > Limits.MOST_COLUMNS || (all += row.getCellCount()) > MOST_CELLS) {
                    throw new ImportFailure(name, count,
                            "The sheet has more than " + Limits.MOST_COLUMNS + " columns or " + MOST_CELLS + " cells.",
                            "Keep what belongs to the shots.");
                }
                List<String> cells = new ArrayList<>();
                for (int i = 0; i < row.getCellCount(); i++) {
                    cells.add(text(row.getOptionalCell(i).orElse(null)));
                }
                csv.writeRecord(cells);
            }
        }
        return out.toString();
    }

    private static String text(Cell cell) {
        if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
            return "";
        }
        if (cell.getType() == CellType.NUMBER) {
            // As a double: an exponent of millions would be written out otherwise.
            double number = cell.asNumber().doubleValue();
            return Double.isFinite(number) ? DecimalText.exact(number) : cell.getRawValue();
        }
        String text = cell.getRawValue() == null ? "" : cell.getText();
        return text.length() > LONGEST_CELL ? text.substring(0, LONGEST_CELL) : text;
    }
}
