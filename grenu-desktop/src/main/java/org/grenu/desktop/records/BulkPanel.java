package org.grenu.desktop.records;

import java.util.List;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.OverlayPanel;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.Suggestions;
import org.grenu.library.ShotSummary;

/** Asks for an entry and a value, says what would happen to how many shots, and does it. */
public final class BulkPanel extends OverlayPanel {

    private final BulkViewModel model;
    private final GridPane grid = new GridPane();

    /** The panel of that model; {@link #open} shows it. */
    public BulkPanel(BulkViewModel model) {
        super("bulk-panel", 560);
        this.model = model;
        Label title = title(model);
        getChildren().addAll(title, inputs(), foot());
    }

    private static Label title(BulkViewModel model) {
        Label title = new Label();
        title.getStyleClass().add(Styles.HEADING);
        title.textProperty()
                .bind(model.shotsProperty()
                        .map(shots -> shots.size() == 1 ? "Edit 1 shot" : "Edit " + shots.size() + " shots"));
        return title;
    }

    private Node inputs() {
        TextField reason = field("bulk-reason", "Why, for the history; may be empty");
        reason.textProperty().bindBidirectional(model.reasonProperty());
        reason.setOnAction(event -> apply());
        HBox.setHgrow(reason, Priority.ALWAYS);
        Button more = link("bulk-more", "Another entry", () -> {
            model.addRow();
            grid.lookup("#" + id("bulk-entry", model.rows().size() - 1)).requestFocus();
        });
        HBox why = new HBox(8, new Label("Reason"), reason);
        why.setAlignment(Pos.CENTER_LEFT);
        grid.setHgap(8);
        grid.setVgap(5);
        model.rows().addListener((Observable o) -> showRows());
        showRows();
        return new VBox(8, grid, more, why);
    }

    /** A line for each entry: which, and its value. */
    private void showRows() {
        grid.getChildren().clear();
        for (int i = 0; i < model.rows().size(); i++) {
            BulkViewModel.Row row = model.rows().get(i);
            TextField entry = field(id("bulk-entry", i), "Entry, such as arm or beans frozen");
            TextField value = field(id("bulk-value", i), "Value; empty makes it unknown");
            entry.textProperty().bindBidirectional(row.entryProperty());
            value.textProperty().bindBidirectional(row.valueProperty());
            Suggestions.on(entry, typed -> typed.isBlank() ? List.of() : Suggestions.among(model.entries(), typed));
            Suggestions.on(value, typed -> typed.isBlank() ? List.of() : Suggestions.among(row.values(), typed));
            value.setOnAction(event -> apply());
            GridPane.setHgrow(entry, Priority.ALWAYS);
            GridPane.setHgrow(value, Priority.ALWAYS);
            grid.addRow(i, entry, new Label("becomes"), value);
        }
    }

    private static String id(String name, int row) {
        return row == 0 ? name : name + "-" + (row + 1);
    }

    private Node foot() {
        Label words = planned();
        Button apply = applying();
        apply.setMinWidth(Region.USE_PREF_SIZE);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox foot = new HBox(8, words, gap(), close("bulk-close"), apply);
        foot.setAlignment(Pos.CENTER_LEFT);
        return foot;
    }

    private Label planned() {
        Label words = new Label();
        words.setId("bulk-plan");
        words.setWrapText(true);
        words.getStyleClass().add(Styles.MUTED);
        words.textProperty().bind(model.planProperty().map(BulkViewModel.Plan::words));
        return words;
    }

    private Button applying() {
        Button apply = new Button("Enter for all");
        apply.setId("bulk-apply");
        apply.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        apply.disableProperty().bind(model.planProperty().map(plan -> plan.changes().isEmpty()));
        apply.setOnAction(event -> apply());
        return apply;
    }

    /** Shows the panel for those shots. */
    public void open(List<ShotSummary> shots) {
        model.shotsProperty().set(List.copyOf(shots));
        setVisible(true);
        grid.lookup("#bulk-entry").requestFocus();
    }

    private void apply() {
        if (model.apply()) {
            setVisible(false);
        }
    }

    private static TextField field(String id, String hint) {
        TextField field = new TextField();
        field.setId(id);
        field.getStyleClass().add(Styles.ENTRY);
        field.setPromptText(hint);
        field.setAccessibleText(hint);
        return field;
    }
}
