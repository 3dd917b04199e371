package org.grenu.formats.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShotReader;

/**
 * A table from elsewhere, such as a tasting's scores, whose rows belong to shots.
 *
 * @param columns its headings
 * @param lines   a row each, with its line in the file
 */
public record JoinedTable(List<String> columns, List<Line> lines) {

    private static final List<String> KEYS = List.of("shot", "number", "shot number", "no", "name");
    private static final int MOST_ROWS = 200_000;

    /** A row: where it stands, and its cells. */
    public record Line(long number, List<String> cells) {
    }

    /** A shot that rows may belong to. */
    public record Candidate(long id, int number, ShotRecord record) {
    }

    /** An edit of a shot that a cell makes. */
    public record Joined(long shot, RecordEdit edit) {
    }

    /**
     * What joining would do.
     *
     * @param edits     of shots
     * @param matched   rows that belong to a shot
     * @param unmatched rows that belong to none, by what stands in their key
     * @param replaced  edits that replace another entry
     * @param refused   cells that are not possible, with their line
     */
    public record Plan(List<Joined> edits, int matched, List<String> unmatched, int replaced, List<String> refused) {
    }

    public JoinedTable {
        columns = List.copyOf(columns);
        lines = List.copyOf(lines);
    }

    /**
     * {@return the table in that file: CSV with commas, semicolons or tabs, or a spreadsheet}
     *
     * @throws ImportFailure if it is no table with a heading
     */
    public static JoinedTable read(String name, byte[] bytes) throws ImportFailure {
        String text = ShotReader.text(name, bytes);
        List<Line> lines = new ArrayList<>();
        List<String> heading = null;
        try {
            for (CsvRecord row : CsvReader.builder().fieldSeparator(separator(text)).ofCsvRecord(text)) {
                List<String> cells = row.getFields().stream().map(String::strip).toList();
                if (cells.stream().allMatch(String::isEmpty)) {
                    continue;
                }
                if (heading == null) {
                    heading = cells;
                } else if (lines.size() < MOST_ROWS) {
                    lines.add(new Line(row.getStartingLineNumber(), cells));
                }
            }
        } catch (CsvParseException broken) {
            throw new ImportFailure(name, 0, "The table is not CSV (" + broken.getMessage() + ").",
                    "Export it as CSV or XLSX.");
        }
        if (heading == null || heading.size() < 2 || lines.isEmpty()) {
            throw new ImportFailure(name, 1, "There is no table with a heading and rows.",
                    "The first row names the columns; one of them is the shot.");
        }
        return new JoinedTable(heading, lines);
    }

    private static char separator(String text) {
        String first = text.lines().findFirst().orElse("");
        long commas = first.chars().filter(c -> c == ',').count();
        long semicolons = first.chars().filter(c -> c == ';').count();
        long tabs = first.chars().filter(c -> c == '\t').count();
        return tabs >= Math.max(commas, semicolons) && tabs > 0 ? '\t' : semicolons > commas ? ';' : ',';
    }

    /** {@return the column that says which shot a row belongs to, as far as can be guessed; else the first} */
    public int guessedKey() {
        for (String key : KEYS) {
            for (int i = 0; i < columns.size(); i++) {
                if (columns.get(i).equalsIgnoreCase(key)) {
                    return i;
                }
            }
        }
        return 0;
    }

    /**
     * {@return the field that a heading names, by key or title, with or without a unit in brackets; else it is an
     * entry of the user's own}
     */
    public static Optional<RecordField> field(String heading) {
        String plain = heading.replaceAll("\\s*\\[[^]]*]\\s*$", "").strip();
        return Arrays.stream(RecordField.values())
                .filter(field -> field.key().equalsIgnoreCase(plain) || field.title().equalsIgnoreCase(plain))
                .findFirst();
    }

    /**
     * {@return what joining would do} A row belongs to the shot whose number, name or time of pulling stands in
     * that column; empty cells change nothing.
     */
    public Plan plan(int key, List<Candidate> shots) {
        Map<String, Candidate> byKey = new HashMap<>();
        for (Candidate shot : shots) {
            shot.record.text(RecordField.NAME).ifPresent(name -> byKey.put(name.toLowerCase(Locale.ROOT), shot));
            shot.record.entry(RecordField.PULLED_AT).ifPresent(at -> byKey.put(at.toLowerCase(Locale.ROOT), shot));
        }
        shots.forEach(shot -> byKey.put(Integer.toString(shot.number), shot));
        Map<Long, ShotRecord> sheets = new HashMap<>();
        List<Joined> edits = new ArrayList<>();
        List<String> unmatched = new ArrayList<>();
        List<String> refused = new ArrayList<>();
        int matched = 0;
        int replaced = 0;
        for (Line line : lines) {
            String wanted = key < line.cells.size() ? line.cells.get(key) : "";
            Candidate shot = byKey.get(plain(wanted));
            if (shot == null) {
                unmatched.add(wanted.isEmpty() ? "line " + line.number + " (empty)" : wanted);
                continue;
            }
            matched++;
            for (int i = 0; i < Math.min(columns.size(), line.cells.size()); i++) {
                if (i == key || line.cells.get(i).isEmpty() || columns.get(i).isBlank()) {
                    continue;
                }
                try {
                    RecordEdit edit = edit(sheets.getOrDefault(shot.id, shot.record), columns.get(i),
                            line.cells.get(i));
                    if (edit.changes()) {
                        edits.add(new Joined(shot.id, edit));
                        replaced += edit.before().isEmpty() ? 0 : 1;
                        sheets.put(shot.id, edit.apply(sheets.getOrDefault(shot.id, shot.record)));
                    }
                } catch (RefusedEntry impossible) {
                    refused.add("line " + line.number + ", " + columns.get(i) + ": " + impossible.getMessage());
                }
            }
        }
        return new Plan(List.copyOf(edits), matched, List.copyOf(unmatched), replaced, List.copyOf(refused));
    }

    private static RecordEdit edit(ShotRecord record, String column, String cell) {
        Optional<RecordField> field = field(column);
        return field.isPresent() ? RecordEdit.of(record, field.get(), cell) : RecordEdit.ofOwn(record,
                column.replaceAll("[^\\p{L}\\p{N}_. -]", " ").strip().replaceAll("\\s+", " "), cell);
    }

    /** A spreadsheet writes the number 3 as 3.0 now and then. */
    private static String plain(String key) {
        OptionalDouble number = DecimalText.parse(key);
        return number.isPresent() && number.getAsDouble() == Math.rint(number.getAsDouble())
                ? Long.toString((long) number.getAsDouble()) : key.toLowerCase(Locale.ROOT);
    }
}
