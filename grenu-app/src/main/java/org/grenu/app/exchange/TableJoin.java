package org.grenu.app.exchange;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.grenu.formats.EntryHeading;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.exchange.JoinedTable;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;

/**
 * A table from elsewhere held against shots, before anything of it is entered.
 *
 * @param file name of the file
 * @param key  column that says which shot a row belongs to
 * @param plan what joining by it would do
 */
public record TableJoin(String file, JoinedTable table, int key, JoinedTable.Plan plan) {

    private static final int NAMED = 6;
    private static final String OWN = "your own entry";

    /**
     * {@return the table joined by the column that is most likely meant}
     *
     * @throws ImportFailure if it is no table
     */
    public static TableJoin of(String file, byte[] bytes, List<ShotSummary> shots) throws ImportFailure {
        JoinedTable table = JoinedTable.read(file, bytes);
        return new TableJoin(file, table, table.guessedKey(), table.plan(table.guessedKey(), candidates(shots)));
    }

    /** {@return the table joined by another column} */
    public TableJoin by(int column, List<ShotSummary> shots) {
        return new TableJoin(file, table, column, table.plan(column, candidates(shots)));
    }

    /** {@return the table with one column read as the user says} */
    public TableJoin reading(int column, EntryHeading.Meaning meaning, List<ShotSummary> shots) {
        JoinedTable other = table.with(column, meaning);
        return new TableJoin(file, other, key, other.plan(key, candidates(shots)));
    }

    private static List<JoinedTable.Candidate> candidates(List<ShotSummary> shots) {
        return shots.stream()
                .map(shot -> new JoinedTable.Candidate(shot.id(), shot.number(), shot.written()))
                .toList();
    }

    /** {@return what joining changes} */
    public List<Change> changes() {
        return plan.edits().stream().map(edit -> Change.of(edit.shot(), edit.edit())).toList();
    }

    /** {@return the plan in sentences} */
    public List<String> words() {
        long own = IntStream.range(0, table.columns().size())
                .filter(i -> i != key && table.headings().get(i).use().equals(OWN))
                .count();
        String matched = matched();
        String columns = own == 0 ? "" : own == 1 ? "1 column becomes an entry of your own."
                : own + " columns become entries of your own.";
        String unmatched = unmatched();
        String refused = plan.refused().isEmpty() ? ""
                : plan.refused().size() + " cells are left out: "
                        + plan.refused().stream().limit(3).collect(Collectors.joining(" "));
        String created = plan.created().isEmpty() ? ""
                : plan.created().size() == 1 ? "1 row becomes a new shot without a log."
                        : plan.created().size() + " rows become new shots without a log.";
        return List.of(matched, created, columns, unmatched, refused).stream().filter(text -> !text.isEmpty()).toList();
    }

    private String matched() {
        return plan.matched() + " of " + table.lines().size() + " rows belong to a shot; "
                + plan.edits().size() + " entries change"
                + (plan.replaced() > 0 ? ", " + plan.replaced() + " of them replace another, which the history keeps"
                        : "")
                + ".";
    }

    private String unmatched() {
        return plan.unmatched().isEmpty() ? ""
                : "No shot for: " + plan.unmatched().stream().limit(NAMED).collect(Collectors.joining(", "))
                        + (plan.unmatched().size() > NAMED ? " and " + (plan.unmatched().size() - NAMED) + " more" : "")
                        + ".";
    }
}
