package org.grenu.desktop.records;

import java.nio.file.Path;
import java.util.List;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.grenu.app.exchange.TableJoin;
import org.grenu.formats.BoundedFile;
import org.grenu.formats.EntryHeading;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.ShotSummary;

/** A table from elsewhere joined to the shots, looked at before it is entered. */
public final class JoinViewModel {

    private final StudyDesk desk;
    private final Background worker;
    private final ObjectProperty<TableJoin> shown = new SimpleObjectProperty<>();

    /** Joins tables to shots of that desk; files are read by that worker. */
    public JoinViewModel(StudyDesk desk, Background worker) {
        this.desk = desk;
        this.worker = worker;
    }

    /** {@return what is looked at; null while nothing is} */
    ObjectProperty<TableJoin> shownProperty() {
        return shown;
    }

    /** Reads the table and shows what joining it would do. */
    public void open(Path file) {
        String name = file.getFileName().toString();
        List<ShotSummary> shots = List.copyOf(desk.shots());
        worker.run(() -> TableJoin.of(name, BoundedFile.bytes(file), shots), shown::set, desk::failed);
    }

    /** Joins by another column. */
    void chooseKey(int column) {
        shown.set(shown.get().by(column, desk.shots()));
    }

    /** Reads a column as something else. */
    void read(int column, EntryHeading.Meaning meaning) {
        shown.set(shown.get().reading(column, meaning, desk.shots()));
    }

    /** Enters what the table says, as one step. */
    void apply() {
        TableJoin now = shown.get();
        desk.step(() -> desk.library()
                .write(tx -> tx.shots()
                        .join("Table " + now.file(), now.plan().created(),
                                now.changes(), "joined from " + now.file())),
                step -> {});
        shown.set(null);
    }
}
