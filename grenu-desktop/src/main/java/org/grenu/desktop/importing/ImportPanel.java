package org.grenu.desktop.importing;

import javafx.beans.binding.Bindings;
import javafx.collections.ObservableList;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import org.grenu.desktop.control.Hint;
import org.grenu.app.importing.ImportOutcome;
import org.grenu.desktop.control.Styles;

/** The batch under way or just done: progress, cancel, and what became of each file that needs a word. */
public final class ImportPanel extends VBox {

    private final ObservableList<ImportOutcome> telling;
    private final ImportViewModel model;
    private final MappingViewModel mapping;

    /** The panel of that importer; it shows itself when a batch begins. */
    public ImportPanel(ImportViewModel model, MappingViewModel mapping) {
        this.model = model;
        this.mapping = mapping;
        telling = model.outcomes().filtered(outcome -> !outcome.withoutRemark());
        getStyleClass().add(Styles.OVERLAY);
        setId("import-panel");
        Label summary = new Label();
        summary.setId("import-summary");
        summary.getStyleClass().add(Styles.HEADING);
        summary.textProperty().bind(model.summaryProperty());
        ProgressBar progress = new ProgressBar();
        progress.progressProperty().bind(model.progressProperty());
        progress.setMaxWidth(Double.MAX_VALUE);
        Button cancel = new Button("Cancel");
        cancel.setId("import-cancel");
        cancel.getStyleClass().add(Styles.ACTION);
        cancel.setOnAction(event -> model.cancel());
        cancel.visibleProperty().bind(model.runningProperty());
        cancel.managedProperty().bind(cancel.visibleProperty());
        Button close = new Button("Close");
        close.setId("import-close");
        close.getStyleClass().add(Styles.ACTION);
        close.setOnAction(event -> putAway());
        close.visibleProperty().bind(model.runningProperty().not());
        close.managedProperty().bind(close.visibleProperty());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox top = new HBox(8, summary, gap, again(), cancel, close);
        top.setAlignment(Pos.CENTER_LEFT);
        ListView<ImportOutcome> words = words();
        getChildren().addAll(top, progress, words);
        setMaxSize(620, USE_PREF_SIZE);
        setVisible(false);
        managedProperty().bind(visibleProperty());
        model.runningProperty().addListener((o, was, running) -> {
            boolean nothingToTell = telling.isEmpty() && model.outcomes().size() > 0
                    && model.progressProperty().get() >= 1;
            setVisible(running || !nothingToTell);
        });
    }

    /** Where several were refused: one of them mapped, and the mapping kept, may have been enough for all. */
    private Button again() {
        Button again = new Button("Try refused files again");
        again.setId("import-again");
        again.getStyleClass().add(Styles.ACTION);
        Hint.on(again, "Map the columns of one and keep the mapping; those that it fits are read by it");
        again.setOnAction(event -> model.tryRefusedAgain());
        again.visibleProperty()
                .bind(model.runningProperty()
                        .not()
                        .and(Bindings.createBooleanBinding(
                                () -> telling.stream().anyMatch(told -> told instanceof ImportOutcome.Failed),
                                telling)));
        again.managedProperty().bind(again.visibleProperty());
        return again;
    }

    /** Hides the report, unless files are still coming in. */
    public void putAway() {
        if (!model.runningProperty().get()) {
            setVisible(false);
        }
    }

    /** Files that gave no trouble are counted, not listed. */
    private ListView<ImportOutcome> words() {
        ListView<ImportOutcome> list = new ListView<>(telling);
        list.setId("import-outcomes");
        list.setFocusTraversable(false);
        list.setCellFactory(view -> new OutcomeCell());
        list.visibleProperty().bind(Bindings.isNotEmpty(telling));
        list.managedProperty().bind(list.visibleProperty());
        list.prefHeightProperty()
                .bind(Bindings.createDoubleBinding(() -> Math.min(300, 8 + 62.0 * telling.size()), telling));
        return list;
    }

    static String words(ImportOutcome outcome) {
        if (outcome instanceof ImportOutcome.Failed failed) {
            return failed.message();
        }
        if (outcome instanceof ImportOutcome.Duplicate duplicate) {
            return duplicate.file() + ": already in the library as shot " + duplicate.number()
                    + "; nothing was changed.";
        }
        ImportOutcome.Imported imported = (ImportOutcome.Imported) outcome;
        return imported.file() + ": shot " + imported.number() + ". " + String.join(" ", imported.assumptions());
    }

    private final class OutcomeCell extends ListCell<ImportOutcome> {
        private static final double WRAP = 560;
        private static final double LINK_HEIGHT = 24;

        /** A text that wraps by itself: a cell asks for its height before it knows its width. */
        private final Text words = new Text();
        private final Button map = new Button("Map its columns…");
        private final VBox box = new VBox(2, words, map);

        OutcomeCell() {
            map.getStyleClass().add(Styles.LINK);
            map.managedProperty().bind(map.visibleProperty());
            map.setOnAction(event -> model.refused(getItem().file()).ifPresent(mapping::open));
            setPrefWidth(0);
            words.setWrappingWidth(WRAP);
            words.getStyleClass().add(Styles.OUTCOME);
        }

        @Override
        protected void updateItem(ImportOutcome outcome, boolean empty) {
            super.updateItem(outcome, empty);
            getStyleClass().remove(Styles.FAILED);
            words.setText(empty || outcome == null ? "" : ImportPanel.words(outcome));
            setGraphic(empty || outcome == null ? null : box);
            map.setVisible(outcome instanceof ImportOutcome.Failed);
            map.setId(outcome == null ? null : "map-" + outcome.file().replaceAll("[^A-Za-z0-9]+", "-"));
            if (outcome instanceof ImportOutcome.Failed) {
                getStyleClass().add(Styles.FAILED);
            }
            // A cell with a size in the record asks its graphic for the least height only.
            box.setMinHeight(
                    words.getLayoutBounds().getHeight() + (outcome instanceof ImportOutcome.Failed ? LINK_HEIGHT : 0));
        }
    }
}
