package org.grenu.formats.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.EntryHeading;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShotReader;

/**
 * A table from elsewhere, such as a tasting's scores, whose rows belong to shots.
 *
 * @param columns its headings
 * @param lines   a row each, with its line in the file
 * @param headings what each column is read as, and why
 */
public record JoinedTable(List<String> columns, List<Line> lines, List<EntryHeading> headings) {

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
     * @param created   shots without a log that rows of no shot tell of
     */
    public record Plan(List<Joined> edits, int matched, List<String> unmatched, int replaced, List<String> refused,
            List<ShotRecord> created) {
    }

    public JoinedTable {
        columns = List.copyOf(columns);
        lines = List.copyOf(lines);
        headings = List.copyOf(headings);
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
        return new JoinedTable(heading, lines, EntryHeading.ofTable(heading));
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
        List<Predicate<EntryHeading.Meaning>> telling = List.of(EntryHeading.LogFile.class::isInstance,
                EntryHeading.ShotName.class::isInstance,
                meaning -> meaning instanceof EntryHeading.Entry entry && entry.field() == RecordField.PULLED_AT,
                EntryHeading.Day.class::isInstance, EntryHeading.TimeOfDay.class::isInstance);
        for (Predicate<EntryHeading.Meaning> tells : telling) {
            for (int i = 0; i < columns.size(); i++) {
                if (headings.get(i).meaning().filter(tells).isPresent()) {
                    return i;
                }
            }
        }
        return 0;
    }

    /** {@return this table with one column read as the user says} */
    public JoinedTable with(int column, EntryHeading.Meaning meaning) {
        List<EntryHeading> chosen = new ArrayList<>(headings);
        chosen.set(column, headings.get(column).meaning(meaning));
        return new JoinedTable(columns, lines, chosen);
    }

    /**
     * {@return what joining would do} A row belongs to the shot whose number, name, time of pulling or log file
     * stands in that column; where a file holds several shots, their name in it tells them apart. By
     * day and time, or either alone, it belongs to the one shot that fits. A row without any of these that
     * tells of a shot becomes a new one without a log. Empty cells change nothing.
     */
    public Plan plan(int key, List<Candidate> shots) {
        return new JoinPlan(this, key, shots).plan();
    }
}
