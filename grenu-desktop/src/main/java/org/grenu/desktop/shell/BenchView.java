package org.grenu.desktop.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.grenu.app.export.ShotExport;
import org.grenu.app.importing.DemoFiles;
import org.grenu.app.importing.ShotSource;
import org.grenu.desktop.compare.AnswerLedger;
import org.grenu.desktop.compare.CompareView;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.importing.ImportPanel;
import org.grenu.desktop.importing.MappingPanel;
import org.grenu.desktop.ledger.LedgerActions;
import org.grenu.desktop.ledger.LedgerView;
import org.grenu.desktop.rack.RackActions;
import org.grenu.desktop.rack.RackView;
import org.grenu.desktop.read.ReadView;
import org.grenu.desktop.records.BinPanel;
import org.grenu.desktop.records.BulkPanel;
import org.grenu.desktop.records.BulkViewModel;
import org.grenu.desktop.records.JoinPanel;
import org.grenu.desktop.records.JoinViewModel;
import org.grenu.desktop.shelf.ShelfLedger;
import org.grenu.desktop.shelf.ShelfView;
import org.grenu.desktop.strength.SeriesView;
import org.grenu.library.Attachment;
import org.grenu.library.ShotSummary;

/** The bench: spine, header, rack, work surface and ledger, and the keys that work everywhere. */
public final class BenchView extends StackPane {

    private static final KeyCombination UNDO = new KeyCodeCombination(KeyCode.Z, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination REDO = new KeyCodeCombination(KeyCode.Z, KeyCombination.SHORTCUT_DOWN, KeyCombination.SHIFT_DOWN);
    private static final KeyCombination REDO_TOO = new KeyCodeCombination(KeyCode.Y, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination OPEN = new KeyCodeCombination(KeyCode.O, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination NEW_SHOT = new KeyCodeCombination(KeyCode.N, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination FIND = new KeyCodeCombination(KeyCode.F, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination MAP = new KeyCodeCombination(KeyCode.M, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination SETTINGS = new KeyCodeCombination(KeyCode.COMMA, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination LOOK = new KeyCodeCombination(KeyCode.D, KeyCombination.SHORTCUT_DOWN);

    private static final String PHOTO = ".*\\.(png|jpe?g|gif|bmp|heic|webp)";
    private static final KeyCombination EDIT_SHOWN = new KeyCodeCombination(KeyCode.E, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination FILL_IN = new KeyCodeCombination(KeyCode.R, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination TAKE_OVER = new KeyCodeCombination(KeyCode.L, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination TAKE_READINGS = new KeyCodeCombination(KeyCode.T, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination TO_SHELF = new KeyCodeCombination(KeyCode.DIGIT1, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination TO_READ = new KeyCodeCombination(KeyCode.DIGIT2, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination TO_COMPARE = new KeyCodeCombination(KeyCode.DIGIT3, KeyCombination.SHORTCUT_DOWN);

    private final Bench bench;
    private final FileDialogs dialogs;
    private final RackView rack;
    private final ReadView read;
    private final LedgerView ledger;
    private final SettingsPanel settings;
    private final MappingPanel mapping;
    private final AttachmentActions attachments;
    private final BulkPanel bulk;
    private final BinPanel bin;
    private final JoinPanel join;

    /** The whole window's content. */
    public BenchView(Bench bench, FileDialogs dialogs) {
        this.bench = bench;
        this.dialogs = dialogs;
        attachments = new AttachmentActions(bench.desk());
        rack = new RackView(bench.rack(), bench.desk(), bench.appearance(), bench.picked(), bench.workspace(), rackActions());
        read = new ReadView(bench.read(), bench.notebook(), bench.rack(), bench.desk(), bench.appearance(), this::askForLog, new RecipeMenu(bench), exportMenu());
        settings = new SettingsPanel(bench.desk());
        ledger = new LedgerView(bench.ledger(), bench.desk(), bench.appearance(), ledgerActions());
        CompareView compare = new CompareView(bench.compare(), bench.appearance(), new CompareExportMenu(bench, dialogs));
        AnswerLedger answer = new AnswerLedger(bench.compare(), bench.appearance());
        ShelfView shelf = new ShelfView(bench.shelf(), bench.appearance());
        ShelfLedger thing = new ShelfLedger(bench.shelf(), bench.recipes(), bench.studies(), dialogs::fileToSave);
        SeriesView series = new SeriesView(bench.series(), bench.appearance());
        StackPane work = new StackPane(read, compare, series, emptyState(), shelf);
        series.visibleProperty().bind(read.visibleProperty().and(bench.series().shownProperty()));
        StackPane beside = new StackPane(ledger, answer, thing);
        shelf.visibleProperty().bind(bench.workspace().isEqualTo(Workspace.SHELF));
        thing.visibleProperty().bind(shelf.visibleProperty());
        read.visibleProperty().bind(bench.workspace().isEqualTo(Workspace.READ));
        ledger.visibleProperty().bind(read.visibleProperty());
        compare.visibleProperty().bind(bench.workspace().isEqualTo(Workspace.COMPARE));
        answer.visibleProperty().bind(compare.visibleProperty());
        SplitPane columns = new SplitPane(rack, work, beside);
        columns.setDividerPositions(252.0 / 1220, 1 - 292.0 / 1220);
        SplitPane.setResizableWithParent(rack, false);
        SplitPane.setResizableWithParent(beside, false);
        rack.setMinWidth(232);
        beside.setMinWidth(292);
        work.setMinWidth(420);
        BorderPane page = new BorderPane(columns);
        bin = new BinPanel(bench.desk());
        JoinViewModel joining = new JoinViewModel(bench.desk(), bench.library().worker());
        join = new JoinPanel(joining);
        page.setTop(new Header(bench.desk(), this::newShot, this::askAndImport, this::askAndMap, settings::toggle, new LibraryMenu(bench, dialogs, joining, bin::open)));
        BorderPane whole = new BorderPane(page);
        whole.setLeft(new Spine(bench.desk(), bench.appearance(), bench.workspace()));
        ImportPanel panel = new ImportPanel(bench.importing(), bench.mapping());
        mapping = new MappingPanel(bench.mapping(), bench.appearance(), this::saveText);
        NoticeBar notice = new NoticeBar(bench.desk().noticeProperty());
        StackPane.setAlignment(panel, Pos.TOP_CENTER);
        StackPane.setMargin(panel, new Insets(56, 0, 0, 0));
        StackPane.setAlignment(settings, Pos.TOP_CENTER);
        StackPane.setMargin(settings, new Insets(56, 0, 24, 0));
        StackPane.setAlignment(notice, Pos.BOTTOM_CENTER);
        StackPane.setMargin(notice, new Insets(0, 0, 24, 0));
        bulk = new BulkPanel(new BulkViewModel(bench.desk()));
        List.of(bulk, bin, join).forEach(overlay -> {
            StackPane.setAlignment(overlay, Pos.TOP_CENTER);
            StackPane.setMargin(overlay, new Insets(56, 0, 0, 0));
        });
        getChildren().addAll(whole, settings, panel, mapping, bulk, bin, join, notice);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        focusSlipsOnceThereAreSome();
        setOnDragOver(this::dragOver);
        setOnDragDropped(this::dropped);
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
        EmptyState empty = new EmptyState(this::askAndImport, this::newShot, this::loadDemo);
        empty.visibleProperty().bind(Bindings.isEmpty(bench.desk().shots()).and(bench.desk().loadedProperty()).and(bench.workspace().isNotEqualTo(Workspace.SHELF)));
        return empty;
    }

    private RackActions rackActions() {
        return new RackActions() {
            @Override
            public void edit(List<ShotSummary> shots) {
                bulk.open(shots);
            }

            @Override
            public void bin(List<ShotSummary> shots) {
                bench.desk().bin(shots);
            }

            @Override
            public void openBin() {
                bin.open();
            }
        };
    }

    private LedgerActions ledgerActions() {
        return new LedgerActions() {
            @Override
            public void takeReadings() {
                BenchView.this.takeReadings();
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

    private void takeReadings() {
        bench.workspace().set(Workspace.READ);
        bench.series().show();
    }

    private void loadDemo() {
        bench.importing().importSources(DemoFiles.all());
        bench.desk().onShelf().addAll(DemoFiles.shelf(), "The demo’s shelf");
    }

    private MenuButton exportMenu() {
        MenuButton menu = new MenuButton("Export");
        menu.setId("export");
        menu.getStyleClass().add(Styles.ACTION);
        menu.setMinWidth(Region.USE_PREF_SIZE);
        for (ShotExport kind : ShotExport.values()) {
            if (kind == ShotExport.FIGURE_PNG || kind == ShotExport.STUDY_TABLE) {
                menu.getItems().add(new SeparatorMenuItem());
            }
            MenuItem item = new MenuItem(kind.title());
            item.setId("export-" + kind.name().toLowerCase(Locale.ROOT));
            item.setOnAction(event -> dialogs.fileToSave(bench.exports().suggestedName(kind))
                    .ifPresent(file -> bench.exports().export(kind, file)));
            menu.getItems().add(item);
        }
        menu.disableProperty().bind(bench.desk().openProperty().isNull());
        return menu;
    }

    private void askAndImport() {
        var files = dialogs.filesToOpen(FilesWanted.LOGS);
        if (!files.isEmpty()) {
            bench.importing().importPaths(files);
        }
    }

    private void askAndMap() {
        dialogs.filesToOpen(FilesWanted.LOG).stream().findFirst().ifPresent(file -> bench.mapping().open(ShotSource.of(file)));
    }

    private void askForLog() {
        dialogs.filesToOpen(FilesWanted.LATE_LOG).stream().findFirst().ifPresent(file -> bench.notebook().giveLog(ShotSource.of(file)));
    }

    private void newShot() {
        bench.workspace().set(Workspace.READ);
        bench.notebook().begin();
    }

    private void saveText(String suggestedName, String text) {
        dialogs.fileToSave(suggestedName).ifPresent(file -> bench.exports().save(file, text));
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
            List<Path> paths = event.getDragboard().getFiles().stream().map(File::toPath).toList();
            List<Path> photos = paths.stream().filter(path -> path.toString().toLowerCase(Locale.ROOT).matches(PHOTO)).toList();
            List<Path> logs = paths.stream().filter(path -> !photos.contains(path)).toList();
            attachments.attach(photos);
            if (!logs.isEmpty()) {
                bench.importing().importPaths(logs);
            }
        }
        event.setDropCompleted(files);
        event.consume();
    }

    /** Undo and redo are the library's everywhere but in a text that is being typed: there they are the text's. */
    private void key(KeyEvent event) {
        boolean taken = true;
        if (event.getCode() == KeyCode.ESCAPE && settings.isVisible()) {
            settings.setVisible(false);
        } else if (event.getCode() == KeyCode.ESCAPE && (bulk.isVisible() || bin.isVisible() || join.isVisible())) {
            join.putAway();
            bulk.setVisible(false);
            bin.setVisible(false);
        } else if (EDIT_SHOWN.match(event)) {
            bulk.open(bench.rack().shown());
        } else if (event.getCode() == KeyCode.ESCAPE && mapping.isVisible()) {
            bench.mapping().putAway();
        } else if (event.getCode() == KeyCode.ESCAPE && bench.series().shownProperty().get() && outsideText()) {
            bench.series().shownProperty().set(false);
        } else if (FILL_IN.match(event)) {
            fillIn();
        } else if (TAKE_OVER.match(event)) {
            bench.ledger().takeOver();
        } else if (TAKE_READINGS.match(event)) {
            takeReadings();
        } else if (UNDO.match(event) && typing()) {
            taken = false;
        } else if (REDO.match(event) || REDO_TOO.match(event)) {
            bench.desk().redo();
        } else if (UNDO.match(event)) {
            bench.desk().undo();
        } else if (OPEN.match(event)) {
            askAndImport();
        } else if (NEW_SHOT.match(event)) {
            newShot();
        } else if (FIND.match(event)) {
            rack.focusFilter();
        } else if (MAP.match(event)) {
            askAndMap();
        } else if (SETTINGS.match(event)) {
            settings.toggle();
        } else if (TO_SHELF.match(event)) {
            bench.workspace().set(Workspace.SHELF);
        } else if (TO_READ.match(event)) {
            bench.workspace().set(Workspace.READ);
        } else if (TO_COMPARE.match(event)) {
            bench.workspace().set(Workspace.COMPARE);
        } else if (LOOK.match(event)) {
            bench.appearance().switchTheme();
        } else {
            taken = bench.workspace().get() == Workspace.READ && outsideText() && move(event);
        }
        if (taken) {
            event.consume();
        }
    }

    private void fillIn() {
        bench.workspace().set(Workspace.READ);
        if (bench.desk().openProperty().get() != null) {
            ledger.fillIn();
        }
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
        boolean onStrips = getScene().getFocusOwner() == read.strips();
        boolean plain = !event.isShortcutDown() && !event.isAltDown();
        Optional<Integer> step = switch (event.getCode()) {
            case UP -> Optional.of(-1);
            case DOWN -> Optional.of(1);
            default -> Optional.empty();
        };
        if (step.isPresent() && plain) {
            bench.rack().step(step.get());
            return true;
        }
        boolean sideways = event.getCode() == KeyCode.LEFT || event.getCode() == KeyCode.RIGHT;
        if (sideways && plain && !onStrips) {
            double direction = event.getCode() == KeyCode.LEFT ? -1 : 1;
            bench.read().moveCursor(direction * (event.isShiftDown() ? 1 : 0.1));
            return true;
        }
        return false;
    }
}
