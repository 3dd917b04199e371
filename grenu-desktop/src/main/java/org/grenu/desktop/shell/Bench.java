package org.grenu.desktop.shell;

import java.time.Clock;
import java.util.concurrent.Executor;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.grenu.desktop.compare.CompareViewModel;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.CoffeeNext;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.desktop.desk.ShotsByHand;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.importing.ImportViewModel;
import org.grenu.desktop.importing.KeptMappingsViewModel;
import org.grenu.desktop.importing.MappingViewModel;
import org.grenu.desktop.ledger.LedgerViewModel;
import org.grenu.desktop.plan.PlanRoom;
import org.grenu.desktop.rack.RackViewModel;
import org.grenu.desktop.read.NotebookViewModel;
import org.grenu.desktop.read.ReadViewModel;
import org.grenu.desktop.shelf.RecipeViewModel;
import org.grenu.desktop.shelf.ShelfViewModel;
import org.grenu.desktop.shelf.StudyViewModel;
import org.grenu.desktop.strength.SeriesViewModel;
import org.grenu.app.OpenLibrary;

/** The desk and the view-models around it, put together once per window. */
public final class Bench implements AutoCloseable {

    private final StudyDesk desk;
    private final Appearance appearance;
    private final ObjectProperty<Workspace> workspace;
    private final PickedShots picked;
    private final RackViewModel rack;
    private final ReadViewModel read;
    private final NotebookViewModel notebook;
    private final LedgerViewModel ledger;
    private final CompareViewModel compare;
    private final ShelfViewModel shelf;
    private final SeriesViewModel series;
    private final PlanRoom plan;
    private final ImportViewModel importing;
    private final MappingViewModel mapping;
    private final KeptMappingsViewModel keptMappings;
    private final ExportActions exports;
    private final CompareExports compareExports;
    private final LibraryActions library;
    private final RecipeViewModel recipes;
    private final StudyViewModel studies;
    private final FindingSearch found;
    private final CoffeeNext coffee;

    private Bench(OpenLibrary opened, Executor interfaceThread, Clock clock) {
        desk = new StudyDesk(opened, interfaceThread);
        appearance = new Appearance(desk.shots(), desk.turns().ofShots(), desk.units());
        workspace = new SimpleObjectProperty<>(Workspace.READ);
        picked = new PickedShots(desk);
        found = new FindingSearch(desk, new Background("grenu-findings", interfaceThread));
        rack = new RackViewModel(desk, found);
        read = new ReadViewModel(desk);
        notebook = new NotebookViewModel(desk, new ShotsByHand(desk, clock));
        coffee = new CoffeeNext(desk, interfaceThread);
        ledger = new LedgerViewModel(desk, appearance, read::showAt, coffee, clock);
        series = new SeriesViewModel(desk, Clock.systemUTC());
        compare = new CompareViewModel(desk, picked, appearance, interfaceThread);
        shelf = new ShelfViewModel(desk, interfaceThread, clock);
        plan = PlanRoom.on(desk, interfaceThread, clock);
        recipes = new RecipeViewModel(desk, clock);
        studies = new StudyViewModel(desk, shelf, rack::shown, rack.rows());
        importing = new ImportViewModel(desk, interfaceThread);
        mapping = new MappingViewModel(desk, importing, interfaceThread);
        keptMappings = new KeptMappingsViewModel(desk, interfaceThread);
        exports = new ExportActions(desk, read, appearance, interfaceThread);
        compareExports = new CompareExports(desk, compare, appearance, interfaceThread, clock);
        library = new LibraryActions(desk, interfaceThread);
    }

    /** {@return a bench on that library} */
    public static Bench on(OpenLibrary library, Executor interfaceThread) {
        Bench bench = new Bench(library, interfaceThread, Clock.systemDefaultZone());
        bench.compare.activeProperty().bind(bench.workspace.isEqualTo(Workspace.COMPARE));
        bench.shelf.activeProperty().bind(bench.workspace.isEqualTo(Workspace.SHELF));
        bench.plan.activeWhile(bench.workspace.isEqualTo(Workspace.PLAN));
        bench.workspace.addListener((o, was, is) -> {
            if (is == Workspace.COMPARE) {
                bench.picked.beginWithTheStudy();
            }
        });
        return bench;
    }

    /** {@return what all stand around} */
    public StudyDesk desk() {
        return desk;
    }

    /** {@return how shots are coloured, light or dark} */
    public Appearance appearance() {
        return appearance;
    }

    /** {@return where the user works} */
    public ObjectProperty<Workspace> workspace() {
        return workspace;
    }

    /** {@return the shots picked for comparing} */
    public PickedShots picked() {
        return picked;
    }

    /** {@return the shots, filtered} */
    public RackViewModel rack() {
        return rack;
    }

    /** {@return the curves of the open shot} */
    public ReadViewModel read() {
        return read;
    }

    /** {@return the open shot while it has no log} */
    public NotebookViewModel notebook() {
        return notebook;
    }

    /** {@return the numbers and entries of the open shot} */
    public LedgerViewModel ledger() {
        return ledger;
    }

    /** {@return the comparison of what is picked} */
    public CompareViewModel compare() {
        return compare;
    }

    /** {@return coffees, gear and places} */
    public ShelfViewModel shelf() {
        return shelf;
    }

    /** {@return the strength readings of the open shot} */
    public SeriesViewModel series() {
        return series;
    }

    /** {@return the next shot and the profiles} */
    public PlanRoom plan() {
        return plan;
    }

    /** {@return files coming in} */
    public ImportViewModel importing() {
        return importing;
    }

    /** {@return a log whose columns are being told} */
    public MappingViewModel mapping() {
        return mapping;
    }

    /** {@return the mappings that the library keeps} */
    public KeptMappingsViewModel keptMappings() {
        return keptMappings;
    }

    /** {@return what is saved of the open shot} */
    public ExportActions exports() {
        return exports;
    }

    /** {@return what is saved of a comparison} */
    public CompareExports compareExports() {
        return compareExports;
    }

    /** {@return what is done with the library as a whole} */
    public LibraryActions library() {
        return library;
    }

    /** {@return recipes of the open shot} */
    public RecipeViewModel recipes() {
        return recipes;
    }

    /** {@return studies that the shown shots go into} */
    public StudyViewModel studies() {
        return studies;
    }

    /** Lets work that has begun finish, then closes the library. */
    @Override
    public void close() {
        importing.close();
        mapping.close();
        keptMappings.close();
        exports.close();
        compareExports.close();
        library.close();
        compare.close();
        shelf.close();
        plan.close();
        found.close();
        coffee.close();
        desk.close();
    }
}
