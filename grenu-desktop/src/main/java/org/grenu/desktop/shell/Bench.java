package org.grenu.desktop.shell;

import java.time.Clock;
import java.util.concurrent.Executor;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.grenu.desktop.compare.CompareViewModel;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.desktop.desk.ShotsByHand;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.importing.ImportViewModel;
import org.grenu.desktop.importing.MappingViewModel;
import org.grenu.desktop.ledger.LedgerViewModel;
import org.grenu.desktop.rack.RackViewModel;
import org.grenu.desktop.read.NotebookViewModel;
import org.grenu.desktop.read.ReadViewModel;
import org.grenu.desktop.shelf.RecipeViewModel;
import org.grenu.desktop.shelf.ShelfViewModel;
import org.grenu.desktop.shelf.StudyViewModel;
import org.grenu.desktop.strength.SeriesViewModel;
import org.grenu.app.OpenLibrary;

/** The desk and the view-models around it, put together once per window. */
public record Bench(StudyDesk desk, Appearance appearance, ObjectProperty<Workspace> workspace, PickedShots picked,
        FindingSearch found, RackViewModel rack,
        ReadViewModel read, NotebookViewModel notebook, LedgerViewModel ledger, CompareViewModel compare,
        ShelfViewModel shelf, SeriesViewModel series, ImportViewModel importing, MappingViewModel mapping,
        ExportActions exports, CompareExports compareExports, LibraryActions library, RecipeViewModel recipes,
        StudyViewModel studies) implements AutoCloseable {

    /** {@return a bench on that library} */
    public static Bench on(OpenLibrary library, Executor interfaceThread) {
        StudyDesk desk = new StudyDesk(library, interfaceThread);
        Appearance appearance = new Appearance(desk.shots(), desk.units());
        ReadViewModel read = new ReadViewModel(desk);
        ImportViewModel importing = new ImportViewModel(desk, interfaceThread);
        PickedShots picked = new PickedShots(desk);
        ObjectProperty<Workspace> workspace = new SimpleObjectProperty<>(Workspace.READ);
        CompareViewModel compare = new CompareViewModel(desk, picked, appearance, interfaceThread);
        workspace.addListener((o, was, is) -> {
            if (is == Workspace.COMPARE) {
                picked.beginWithTheStudy();
            }
        });
        compare.activeProperty().bind(workspace.isEqualTo(Workspace.COMPARE));
        ShelfViewModel shelf = new ShelfViewModel(desk, interfaceThread, Clock.systemDefaultZone());
        shelf.activeProperty().bind(workspace.isEqualTo(Workspace.SHELF));
        FindingSearch found = new FindingSearch(desk, new Background("grenu-findings", interfaceThread));
        RackViewModel rack = new RackViewModel(desk, found);
        return new Bench(desk, appearance, workspace, picked, found, rack, read,
                new NotebookViewModel(desk, new ShotsByHand(desk, Clock.systemDefaultZone())),
                new LedgerViewModel(desk, appearance, read::showAt, Clock.systemDefaultZone()),
                compare, shelf, new SeriesViewModel(desk, Clock.systemUTC()), importing,
                new MappingViewModel(desk, importing, interfaceThread),
                new ExportActions(desk, read, appearance, interfaceThread),
                new CompareExports(desk, compare, appearance, interfaceThread),
                new LibraryActions(desk, interfaceThread),
                new RecipeViewModel(desk, Clock.systemDefaultZone()), new StudyViewModel(desk, shelf, rack));
    }

    /** Lets work that has begun finish, then closes the library. */
    @Override
    public void close() {
        importing.close();
        mapping.close();
        exports.close();
        compareExports.close();
        library.close();
        compare.close();
        shelf.close();
        found.close();
        desk.close();
    }
}
