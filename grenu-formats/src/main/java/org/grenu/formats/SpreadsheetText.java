package org.grenu.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;

/** The first sheet with something in it of an XLSX file, as CSV text, so that it is mapped like any other table. Formulas give the value that was stored with them. */
final class SpreadsheetText {

    private static final long MOST_UNPACKED = 512L << 20;
    private static final int MOST_ROWS = 1_000_000;
    private static final int MOST_ENTRIES = 2_000;

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
        } catch (IOException | ExcelReaderException | UncheckedIOException broken) {
            throw notXlsx(name);
        }
        throw new ImportFailure(name, 0, "The spreadsheet is empty.", "Choose another file.");
    }

    private static ImportFailure notXlsx(String name) {
        return new ImportFailure(name, 0, "The file is a zip archive, but not a spreadsheet that can be read.", "Save it as XLSX or CSV, or unpack it first.");
    }

    /**
     * An archive says of itself what it likes: only unpacking tells how large it is. Read from a file, since the sizes that
     * spreadsheets write behind their entries are not understood in a stream.
     */
    private static void checkSize(String name, byte[] bytes) throws ImportFailure {
        Path file = null;
        try {
            file = Files.createTempFile("grenu-sheet", ".zip");
            Files.write(file, bytes);
            try (ZipFile zip = new ZipFile(file.toFile())) {
                checkSize(name, zip);
            }
        } catch (IOException | IllegalArgumentException broken) {
            throw notXlsx(name);
        } finally {
            delete(file);
        }
    }

    private static void delete(Path file) {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException stays) {
            file.toFile().deleteOnExit();
        }
    }

    private static void checkSize(String name, ZipFile zip) throws IOException, ImportFailure {
        long unpacked = 0;
        byte[] buffer = new byte[1 << 16];
        for (ZipEntry entry : zip.stream().limit(MOST_ENTRIES + 1L).toList()) {
            try (InputStream in = zip.getInputStream(entry)) {
                for (int some = in.read(buffer); some >= 0; some = in.read(buffer)) {
                    unpacked += some;
                    if (unpacked > MOST_UNPACKED || zip.size() > MOST_ENTRIES) {
                        throw new ImportFailure(name, 0, "The archive unpacks to more than a spreadsheet of logs can be.", "It was not taken in.");
                    }
                }
            }
        }
    }

    private static String text(String name, Sheet sheet) throws IOException, ImportFailure {
        StringWriter out = new StringWriter();
        int count = 0;
        try (Stream<Row> rows = sheet.openStream(); CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
            for (Row row : (Iterable<Row>) rows::iterator) {
                if (++count > MOST_ROWS) {
                    throw new ImportFailure(name, count, "The sheet has more than " + MOST_ROWS + " rows.", "Split it.");
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
        return cell.getType() == CellType.NUMBER ? cell.asNumber().stripTrailingZeros().toPlainString() : cell.getRawValue() == null ? "" : cell.getText();
    }
}
