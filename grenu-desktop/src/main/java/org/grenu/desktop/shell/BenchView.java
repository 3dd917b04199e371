package org.grenu.desktop.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Platform;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.stage.Popup;
import javafx.stage.Window;
import org.grenu.app.importing.DemoFiles;
import org.grenu.desktop.control.FirstShown;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.desktop.control.Magnifier;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.action.ActionMenu;
import org.grenu.desktop.action.Actions;
import org.grenu.desktop.compare.AnswerLedger;
import org.grenu.desktop.compare.CompareView;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.find.FindOrDoPanel;
import org.grenu.desktop.find.FindOrDoViewModel;
import org.grenu.desktop.ledger.LedgerActions;
import org.grenu.desktop.ledger.LedgerView;
import org.grenu.desktop.plan.LadderView;
import org.grenu.desktop.plan.PlanLedger;
import org.grenu.desktop.plan.PlanTab;
import org.grenu.desktop.plan.PlanView;
import org.grenu.desktop.plan.ProfilesLedger;
import org.grenu.desktop.rack.RackActions;
import org.grenu.desktop.rack.RackView;
import org.grenu.desktop.rack.SearchActions;
import org.grenu.desktop.read.ReadView;
import org.grenu.desktop.records.JoinViewModel;
import org.grenu.desktop.shelf.ShelfLedger;
import org.grenu.desktop.shelf.ShelfView;
import org.grenu.desktop.strength.SeriesView;
import org.grenu.library.Attachment;
import org.grenu.library.ShotSummary;

/** The bench: spine, header, rack, work surface and ledger, and the keys that work everywhere. */
public final class BenchView extends StackPane {

    private static final String UNDO = "undo";
    /** Below that, parts of the page would lie over each other. */
    private static final double LEAST_WIDTH = 1100;
    private static final double LEAST_HEIGHT = 700;
    private final StackPane all = new StackPane();
    private final Overlays overlays = new Overlays(all);
    private final Bench bench;
    private final FileDialogs dialogs;
    private final FileRequests files;
    private final Actions actions;
    private final RackView rack;
    private final ReadView read;
    private final LedgerView ledger;
    private final Panels panels;
    private final AttachmentActions attachments;
    private final FindOrDoViewModel finding;

    /** The whole window's content. */
    public BenchView(Bench bench, FileDialogs dialogs) {
        this.bench = bench;
        this.dialogs = dialogs;
        attachments = new AttachmentActions(bench.desk());
        JoinViewModel joining = new JoinViewModel(bench.desk(), bench.library().worker());
        files = new FileRequests(bench, dialogs, joining);
        panels = new Panels(bench, dialogs, files, joining, overlays);
        actions = BenchActions.of(bench, files, panels, reach());
        finding = new FindOrDoViewModel(
                new Findables(bench, actions, new SearchActions(bench.rack(), rackActions())).sources());
        rack = new RackView(bench.rack(), bench.desk(), bench.appearance(), bench.picked(),
                bench.workspace().isEqualTo(Workspace.COMPARE),
                rackActions());
        read = new ReadView(bench.read(), bench.notebook(), bench.rack()::step, bench.desk(), bench.appearance(),
                files::giveLog, recipeMenu(), exportMenu());
        ledger = new LedgerView(bench.ledger(), bench.desk(), bench.appearance(), ledgerActions());
        BorderPane page = new BorderPane(columns(rooms()));
        page.setTop(new Header(bench.desk(), actions, libraryMenu()));
        BorderPane whole = new BorderPane(page);
        whole.setLeft(new Spine(bench.desk(), bench.appearance(), bench.workspace(), actions));
        all.getChildren().add(whole);
        overlays.add(new FindOrDoPanel(finding), finding::putAway);
        Magnifier magnifier = new Magnifier(all, LEAST_WIDTH, LEAST_HEIGHT);
        bench.desk()
                .settingsProperty()
                .addListener((o, was, is) -> magnifier.percentProperty().set(is.display().textSize()));
        overlays.whenShown(magnifier::bringIntoSight);
        getChildren().add(magnifier);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        focusSlipsOnceThereAreSome();
        setOnDragOver(this::dragOver);
        setOnDragDropped(this::dropped);
    }

    /** The workspaces with what they show: the only place that lists them. */
    private List<Room> rooms() {
        SeriesView series = new SeriesView(bench.series(), bench.appearance());
        series.visibleProperty().bind(bench.series().shownProperty());
        StackPane reading = new StackPane(read);
        FirstShown.inFrontIn(reading, series);
        return List.of(
                new Room(Workspace.SHELF, () -> new ShelfView(bench.shelf(), bench.appearance()),
                        () -> new ShelfLedger(bench.shelf(), bench.recipes(), bench.studies(), dialogs::fileToSave)),
                new Room(Workspace.PLAN,
                        () -> new PlanView(bench.plan(), bench.appearance(), dialogs::fileToSave,
                                () -> dialogs.filesToOpen(FilesWanted.PROFILES)),
                        this::planLedger),
                new Room(Workspace.READ, () -> reading, () -> ledger),
                new Room(Workspace.COMPARE,
                        () -> new CompareView(bench.compare(), bench.appearance(), compareExportMenu()),
                        () -> new AnswerLedger(bench.compare(), bench.appearance())));
    }

    private Node planLedger() {
        StackPane beside = new StackPane();
        FirstShown.behindIn(beside, bench.plan().tab().isEqualTo(PlanTab.DIAL_IN),
                () -> new PlanLedger(bench.plan().dialIn(), bench.plan().target(), bench.plan().next(),
                        bench.appearance(), panels::startRecipe));
        FirstShown.behindIn(beside, bench.plan().tab().isEqualTo(PlanTab.PROFILES),
                () -> new ProfilesLedger(bench.plan().profiles()));
        return beside;
    }

    private SplitPane columns(List<Room> rooms) {
        StackPane work = new StackPane();
        StackPane beside = new StackPane();
        for (Room room : rooms) {
            room.furnish(bench.workspace(), work, beside);
        }
        work.getChildren().add(emptyState());
        StackPane left = new StackPane(rack);
        BooleanBinding ladder = bench.workspace()
                .isEqualTo(Workspace.PLAN)
                .and(bench.plan().tab().isEqualTo(PlanTab.DIAL_IN));
        rack.visibleProperty().bind(ladder.not());
        FirstShown.behindIn(left, ladder, () -> new LadderView(bench.plan().dialIn(), bench.appearance()));
        SplitPane columns = new SplitPane(left, work, beside);
        size(columns, left, work, beside);
        return columns;
    }

    private void size(SplitPane columns, Region left, Region work, Region beside) {
        columns.setDividerPositions(252.0 / 1220, 1 - 292.0 / 1220);
        SplitPane.setResizableWithParent(left, false);
        SplitPane.setResizableWithParent(beside, false);
        left.setMinWidth(232);
        beside.setMinWidth(292);
        work.setMinWidth(420);
    }

    /** {@return everything that can be done, for the table of keys} */
    Actions actions() {
        return actions;
    }

    /** The toolkit would focus the first button; work begins on the slips. */
    private void focusSlipsOnceThereAreSome() {
        bench.desk().openProperty().addListener((o, was, is) -> {
            if (was == null && is != null) {
                Platform.runLater(rack::focusSlips);
            }
        });
    }

    private Node emptyState() {
        EmptyState empty = new EmptyState(actions.get("import"), actions.get("new-shot"), this::loadDemo);
        empty.visibleProperty()
                .bind(Bindings.isEmpty(bench.desk().shots())
                        .and(bench.desk().loadedProperty())
                        .and(bench.workspace().isNotEqualTo(Workspace.SHELF))
                        .and(bench.workspace().isNotEqualTo(Workspace.PLAN)));
        return empty;
    }

    private BenchActions.Reach reach() {
        return new BenchActions.Reach() {
            @Override
            public void filter() {
                rack.focusFilter();
            }

            @Override
            public void nextUnknown() {
                ledger.fillIn();
            }

            @Override
            public void findOrDo() {
                finding.open();
            }
        };
    }

    private MenuButton recipeMenu() {
        MenuButton menu = new ActionMenu("recipe-menu", "Recipe", new RecipeActions(bench)::sections);
        menu.disableProperty().bind(bench.desk().openProperty().isNull());
        return menu;
    }

    private MenuButton exportMenu() {
        List<Action> save = actions.of(BenchActions.SAVE);
        MenuButton menu = new ActionMenu("export", "Export",
                () -> List.of(save.subList(0, 3), save.subList(3, 6), save.subList(6, save.size())));
        menu.disableProperty().bind(bench.desk().openProperty().isNull());
        return menu;
    }

    private MenuButton compareExportMenu() {
        MenuButton menu = new ActionMenu("compare-export", "Export",
                () -> List.of(actions.of(BenchActions.SAVE_COMPARISON)));
        menu.disableProperty().bind(bench.compare().answeredProperty().isNull());
        return menu;
    }

    private MenuButton libraryMenu() {
        List<Action> library = actions.of(BenchActions.LIBRARY);
        return new ActionMenu("library-menu", "Library", () -> List.of(library.subList(0, 3), library.subList(3, 5),
                library.subList(5, 7), library.subList(7, library.size())));
    }

    private RackActions rackActions() {
        return new RackActions() {
            @Override
            public void edit(List<ShotSummary> shots) {
                panels.edit(shots);
            }

            @Override
            public void bin(List<ShotSummary> shots) {
                bench.rack().bin(shots);
            }

            @Override
            public void openBin() {
                panels.bin();
            }
        };
    }

    private LedgerActions ledgerActions() {
        return new LedgerActions() {
            @Override
            public void takeReadings() {
                actions.get("take-readings").invoke();
            }

            @Override
            public void copyPrevious() {
                panels.copyPrevious();
            }

            @Override
            public void saveLog() {
                actions.get("export-raw_file").invoke();
            }

            @Override
            public void calculate() {
                actions.get("calculator").invoke();
            }

            @Override
            public void attach() {
                attachments.attach(dialogs.filesToOpen(FilesWanted.PHOTOS));
            }

            @Override
            public void save(Attachment attachment) {
                dialogs.fileToSave(attachment.name()).ifPresent(file -> attachments.save(file, attachment));
            }
        };
    }

    private void loadDemo() {
        bench.importing().importSources(DemoFiles.all());
        bench.desk().onShelf().addAll(DemoFiles.shelf(), "The demo’s shelf");
    }

    private void dragOver(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY);
        }
        event.consume();
    }

    private void dropped(DragEvent event) {
        boolean files = event.getDragboard().hasFiles();
        if (files) {
            takeIn(event.getDragboard().getFiles().stream().map(File::toPath).toList());
        }
        event.setDropCompleted(files);
        event.consume();
    }

    private void takeIn(List<Path> paths) {
        DroppedFiles files = DroppedFiles.of(paths);
        attachments.attach(files.photos());
        if (!files.logs().isEmpty()) {
            bench.importing().importPaths(files.logs());
        }
    }

    /** Undo and redo are the library's everywhere but in a text that is being typed: there they are the text's. */
    private void key(KeyEvent event) {
        boolean taken = true;
        if (PlaceKey.CLOSE.is(event) && offering()) {
            taken = false;
        } else if (PlaceKey.CLOSE.is(event) && overlays.putTopmostAway()) {
            taken = true;
        } else if (PlaceKey.CLOSE.is(event) && bench.series().shownProperty().get() && outsideText()) {
            bench.series().shownProperty().set(false);
        } else if (actions.on(event).isPresent()) {
            taken = !(typing() && UNDO.equals(actions.on(event).get().id()));
            if (taken) {
                actions.on(event).get().invoke().ifPresent(why -> bench.desk().noticeProperty().set(Notice.done(why)));
            }
        } else {
            taken = bench.workspace().get() == Workspace.READ && outsideText() && move(event);
        }
        if (taken) {
            event.consume();
        }
    }

    /** Names offered under a field are put away before what the field stands in. */
    private static boolean offering() {
        return Window.getWindows().stream().anyMatch(window -> window instanceof Popup && window.isShowing());
    }

    private boolean typing() {
        return getScene().getFocusOwner() instanceof TextInputControl text && text.isUndoable();
    }

    private boolean outsideText() {
        Node focused = getScene() == null ? null : getScene().getFocusOwner();
        return !(focused instanceof TextInputControl) && !(focused instanceof ChoiceBox)
                && !(focused instanceof MenuButton);
    }

    /** Up and down go through the rack, left and right move the hairline, wherever the focus is. */
    private boolean move(KeyEvent event) {
        boolean upOrDown = event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN;
        if (PlaceKey.WALK.is(event) && upOrDown) {
            bench.rack().step(PlaceKey.direction(event));
            return true;
        }
        if (PlaceKey.BIN.is(event)) {
            actions.get("bin-open").invoke();
            return true;
        }
        if (PlaceKey.HAIRLINE.is(event) && getScene().getFocusOwner() != read.strips()) {
            bench.read().moveCursor(PlaceKey.direction(event) * (event.isShiftDown() ? 1 : 0.1));
            return true;
        }
        return false;
    }
}
