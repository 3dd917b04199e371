package org.grenu.desktop.ledger;

import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** Dose, beverage mass and moisture, and what is known of the scale. */
final class MassesSection extends Section {

    private final GridPane grid = new GridPane();
    private final Label source = new Label();
    private final EntryField dose;
    private final EntryField beverage;
    private final Label assumed = new Label();
    private final LedgerViewModel model;

    MassesSection(LedgerViewModel model) {
        super("Masses");
        this.model = model;
        grid.setHgap(6);
        grid.setVgap(4);
        ColumnConstraints name = new ColumnConstraints(86);
        ColumnConstraints value = new ColumnConstraints(62);
        ColumnConstraints rest = new ColumnConstraints();
        rest.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(name, value, rest);
        source.setId("beverage-source");
        dose = row(0, "Dose", RecordField.DOSE, word("g"));
        beverage = row(1, "Beverage", RecordField.BEVERAGE, source);
        HBox moisture = new HBox(4, word("%   u"), field(RecordField.MOISTURE_U, 44).hinting("0.2")
                .explained("Standard uncertainty of the moisture; 0.2 % where nothing is entered"), word("%"));
        row(2, "Moisture", RecordField.MOISTURE, moisture);
        HBox scale = new HBox(4, word("g   bias ±"), field(RecordField.SCALE_BIAS, 44).hinting("0")
                .explained("Limit of the scale's systematic error: u = limit/√3, shared by all its weighings"),
                word("g"));
        row(3, "Scale step", RecordField.SCALE_RESOLUTION, scale).hinting("0.1")
                .explained("Display step of the scale: u = step/√12 for each weighing");
        assumed.setId("masses-assumed");
        assumed.getStyleClass().add(Styles.CAPTION);
        assumed.setWrapText(true);
        assumed.managedProperty().bind(assumed.textProperty().isNotEmpty());
        getChildren().addAll(grid, assumed);
        source.getStyleClass().add(Styles.CAPTION);
        model.text().addListener((o, was, is) -> show());
        show();
    }

    /** {@return the dose's field while it is unknown; the beverage mass is found in the curve} */
    List<TextField> unknown() {
        return Stream.of(dose.field()).filter(field -> field.getText().isBlank()).toList();
    }

    private EntryField row(int row, String name, RecordField field, Region rest) {
        Label label = new Label(name);
        grid.add(label, 0, row);
        EntryField entry = field(field, 62);
        grid.add(entry, 1, row);
        grid.add(rest, 2, row);
        alignAtTop(label, rest);
        // The refusal of a narrow field may run across the whole ledger.
        entry.refusal().setMinWidth(170);
        entry.doubt().setMinWidth(168);
        entry.doubt().setPrefWidth(168);
        return entry;
    }

    private static void alignAtTop(Label label, Region rest) {
        GridPane.setValignment(label, VPos.TOP);
        GridPane.setValignment(rest, VPos.TOP);
        GridPane.setFillHeight(rest, false);
        label.setPadding(new Insets(4, 0, 0, 0));
        rest.setPadding(rest instanceof Label ? new Insets(4, 0, 0, 0) : Insets.EMPTY);
    }

    private EntryField field(RecordField field, double width) {
        return new EntryField(model.entry(field), field.key()).wide(width);
    }

    private void show() {
        LedgerText text = model.text().get();
        beverage.hinting(text == null ? "" : text.weighed().fromCurve());
        source.setText(text == null ? "" : text.weighed().source());
        assumed.setText(LedgerText.assumed(model.open(), RecordField.SCALE_RESOLUTION, RecordField.SCALE_BIAS,
                RecordField.MOISTURE_U));
        remark().setText(text == null ? "" : text.weighed().curveMass());
    }
}
