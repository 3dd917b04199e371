package org.grenu.desktop.shelf;

import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.Hint;
import org.grenu.core.entry.Row;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.shelf.ShelfField;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.desktop.entry.RowsEntry;

/** The valve's calibration, led step by step: set a position, run, weigh, enter. */
final class ValveSection extends Section {

    private final ShelfViewModel model;
    private final EntryViewModel runs;
    private final Label next = new Label();
    private final TextField position = new TextField();
    private final TextField seconds = new TextField(DecimalText.exact(ValveCalibration.USUAL_SECONDS));
    private final TextField grams = new TextField();

    ValveSection(ShelfViewModel model) {
        super("Valve calibration");
        this.model = model;
        runs = model.entry(ShelfField.VALVE_RUNS);
        remark().setText("free flow, open group");
        Label caution = new Label(
                "Hot water and steam scald: catch the water in a deep jug, keep hands clear, and never open a "
                        + "machine under "
                        + "pressure. Pump pressure and mains parts are for a qualified technician and local codes.");
        caution.getStyleClass().addAll(Styles.MUTED, Styles.GUARD);
        caution.setWrapText(true);
        next.setId("valve-next");
        next.setWrapText(true);
        field(position, "valve-position", "position", 62);
        field(seconds, "valve-seconds", "s", 42);
        field(grams, "valve-grams", "g weighed", 74);
        grams.setOnAction(event -> add());
        Button add = new Button("Enter run");
        add.setId("valve-add");
        add.getStyleClass().add(Styles.ACTION);
        add.setMinWidth(Region.USE_PREF_SIZE);
        add.setOnAction(event -> add());
        HBox line = new HBox(4, position, seconds, word("s"), grams, add);
        line.setAlignment(Pos.CENTER_LEFT);
        Label refusal = new Label();
        refusal.setId("valve-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.textProperty().bind(runs.refusalProperty());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        Label all = word("All runs");
        getChildren().addAll(caution, next, line, refusal, all,
                new RowsEntry(model.entry(ShelfField.VALVE_RUNS), ShelfField.VALVE_RUNS, "valve-runs"));
        getChildren().add(inverse());
        runs.shownProperty().addListener((o, was, is) -> lead());
        lead();
    }

    /** The curve read backwards. */
    private Node inverse() {
        TextField flow = new TextField();
        field(flow, "valve-flow", "flow", 52);
        flow.setAccessibleText("Free flow wanted, g/s");
        Hint.on(flow, "Free flow wanted, g/s");
        Label opening = opening(flow);
        HBox line = new HBox(6, word("Set for"), flow, word("g/s:"), opening);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Label opening(TextField flow) {
        Label opening = new Label();
        opening.setId("valve-opening");
        opening.setWrapText(true);
        opening.textProperty()
                .bind(Bindings.createStringBinding(() -> model.chosenProperty().get() == null ? ""
                        : OpeningText.forFlow(model.chosenProperty().get().version().entries(), flow.getText()),
                        flow.textProperty(), model.chosenProperty()));
        return opening;
    }

    private static void field(TextField field, String id, String hint, double width) {
        field.setId(id);
        field.getStyleClass().add(Styles.ENTRY);
        field.setPromptText(hint);
        field.setAccessibleText(hint);
        field.setPrefWidth(width);
        field.setMinWidth(40);
        Hint.on(field, hint);
    }

    private void lead() {
        List<Row> rows = model.chosenProperty().get() == null ? List.of()
                : model.chosenProperty().get().version().entries().rows(ShelfField.VALVE_RUNS);
        next.setText(ValveText.next(rows, seconds.getText()));
    }

    private void add() {
        String row = position.getText().strip() + " " + seconds.getText().strip() + " " + grams.getText().strip();
        String before = runs.shownProperty().get();
        if (runs.enter(before.isEmpty() ? row : before + "; " + row) == EntryViewModel.Outcome.STORED) {
            grams.clear();
            grams.requestFocus();
        }
    }
}
