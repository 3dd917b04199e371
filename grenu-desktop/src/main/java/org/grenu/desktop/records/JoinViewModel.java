package org.grenu.desktop.records;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.grenu.formats.BoundedFile;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.formats.exchange.JoinedTable;
import org.grenu.library.Change;

/** A table from elsewhere joined to the shots, looked at before it is entered. */
public final class JoinViewModel {

    private static final int NAMED = 6;

    private final StudyDesk desk;
    private final Background worker;
    private final ObjectProperty<Shown> shown = new SimpleObjectProperty<>();

    /**
     * What is looked at.
     *
     * @param file  name of the file
     * @param key   column that says which shot
     * @param plan  what joining by it would do
     */
    record Shown(String file, JoinedTable table, int key, JoinedTable.Plan plan) {

        /** {@return the plan in sentences} */
        List<String> words() {
            long own = table.columns().stream().filter(column -> JoinedTable.field(column).isEmpty()).count() - (JoinedTable.field(table.columns().get(key)).isEmpty() ? 1 : 0);
            String matched = plan.matched() + " of " + table.lines().size() + " rows belong to a shot; " + plan.edits().size() + " entries change"
                    + (plan.replaced() > 0 ? ", " + plan.replaced() + " of them replace another, which the history keeps" : "") + ".";
            String columns = own == 1 ? "1 column becomes an entry of your own." : own + " columns become entries of your own.";
            String unmatched = plan.unmatched().isEmpty() ? "" : "No shot for: " + plan.unmatched().stream().limit(NAMED).collect(Collectors.joining(", "))
                    + (plan.unmatched().size() > NAMED ? " and " + (plan.unmatched().size() - NAMED) + " more" : "") + ".";
            String refused = plan.refused().isEmpty() ? "" : plan.refused().size() + " cells are left out: " + plan.refused().stream().limit(3).collect(Collectors.joining(" "));
            return List.of(matched, columns, unmatched, refused).stream().filter(text -> !text.isEmpty()).toList();
        }
    }

    /** Joins tables to shots of that desk; files are read by that worker. */
    public JoinViewModel(StudyDesk desk, Background worker) {
        this.desk = desk;
        this.worker = worker;
    }

    /** {@return what is looked at; null while nothing is} */
    ObjectProperty<Shown> shownProperty() {
        return shown;
    }

    /** Reads the table and shows what joining it would do. */
    public void open(Path file) {
        String name = file.getFileName().toString();
        List<JoinedTable.Candidate> shots = candidates();
        worker.run(() -> {
            JoinedTable table = JoinedTable.read(name, BoundedFile.bytes(file));
            return new Shown(name, table, table.guessedKey(), table.plan(table.guessedKey(), shots));
        }, shown::set, desk::failed);
    }

    private List<JoinedTable.Candidate> candidates() {
        return desk.shots().stream().map(shot -> new JoinedTable.Candidate(shot.id(), shot.number(), shot.recorded())).toList();
    }

    /** Joins by another column. */
    void chooseKey(int column) {
        Shown now = shown.get();
        shown.set(new Shown(now.file, now.table, column, now.table.plan(column, candidates())));
    }

    /** Enters what the table says, as one step. */
    void apply() {
        Shown now = shown.get();
        desk.change("Table " + now.file, now.plan.edits().stream().map(edit -> Change.of(edit.shot(), edit.edit())).toList(), "joined from " + now.file);
        shown.set(null);
    }
}
