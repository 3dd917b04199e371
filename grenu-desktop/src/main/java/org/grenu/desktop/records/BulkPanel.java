package org.grenu.desktop.records;

import java.util.List;
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
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.Suggestions;
import org.grenu.library.ShotSummary;

/** Asks for an entry and a value, says what would happen to how many shots, and does it. */
public final class BulkPanel extends VBox {

    private final BulkViewModel model;
    private final TextField entry = field("bulk-entry", "Entry, such as arm or beans frozen");

    /** The panel of that model; {@link #open} shows it. */
    public BulkPanel(BulkViewModel model) {
        super(10);
        this.model = model;
        setId("bulk-panel");
        getStyleClass().add(Styles.OVERLAY);
        setMaxSize(480, Region.USE_PREF_SIZE);
        Label title = title(model);
        getChildren().addAll(title, inputs(), foot());
        setVisible(false);
        managedProperty().bind(visibleProperty());
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
        TextField value = field("bulk-value", "Value; empty makes it unknown");
        TextField reason = field("bulk-reason", "Why, for the history; may be empty");
        entry.textProperty().bindBidirectional(model.entryProperty());
        value.textProperty().bindBidirectional(model.valueProperty());
        reason.textProperty().bindBidirectional(model.reasonProperty());
        Suggestions.on(entry, typed -> typed.isBlank() ? List.of() : Suggestions.among(model.entries(), typed));
        Suggestions.on(value, typed -> typed.isBlank() ? List.of() : Suggestions.among(model.values(), typed));
        value.setOnAction(event -> apply());
        reason.setOnAction(event -> apply());
        return grid(value, reason);
    }

    private GridPane grid(TextField value, TextField reason) {
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(5);
        grid.addRow(0, new Label("Entry"), entry);
        grid.addRow(1, new Label("Value"), value);
        grid.addRow(2, new Label("Reason"), reason);
        List.of(entry, value, reason).forEach(field -> GridPane.setHgrow(field, Priority.ALWAYS));
        return grid;
    }

    private Node foot() {
        Label words = planned();
        Button apply = applying();
        Button close = closing();
        close.setMinWidth(Region.USE_PREF_SIZE);
        apply.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox foot = new HBox(8, words, gap, close, apply);
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

    private Button closing() {
        Button close = new Button("Close");
        close.setId("bulk-close");
        close.getStyleClass().add(Styles.ACTION);
        close.setOnAction(event -> setVisible(false));
        return close;
    }

    /** Shows the panel for those shots. */
    public void open(List<ShotSummary> shots) {
        model.shotsProperty().set(List.copyOf(shots));
        setVisible(true);
        entry.requestFocus();
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
