package org.grenu.desktop.ledger;

import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.OpenShot;

/** The strength readings with their zero check, and what is known of the refractometer. */
final class ReadingsSection extends Section {

    /** Readings that a mean should have (common practice, no source). */
    private static final int SOUND = 3;

    private final LedgerViewModel model;
    private final FlowPane readings = new FlowPane(3, 4);
    private final Label summary = new Label();
    private final Label doubt = new Label();
    private final Label assumed = new Label();
    private int shown = -1;
    private long shot = -1;
    private EntryField fresh;

    ReadingsSection(LedgerViewModel model, Runnable takeReadings) {
        super("Strength readings");
        this.model = model;
        readings.setId("readings");
        readings.setPrefWrapLength(250);
        summary.setId("readings-summary");
        summary.getStyleClass().add(Styles.CAPTION);
        EntryField zeroCheck = entry(RecordField.ZERO, 52, "")
                .explained("What the instrument showed for the rinse water; it is subtracted");
        EntryField repeats = entry(RecordField.REFRACTOMETER_REPEATABILITY, 40, "0.015")
                .explained("Standard deviation of one reading, display step included, in strength points");
        EntryField bias = entry(RecordField.REFRACTOMETER_BIAS, 40, "0.045")
                .explained("Limit of the instrument's systematic error: u = limit/√3, shared by all its readings");
        EntryField step = entry(RecordField.REFRACTOMETER_RESOLUTION, 34, "0.01")
                .explained("Display step of the refractometer");
        HBox zero = line(word("Zero check"), zeroCheck, word("%  by"),
                entry(RecordField.REFRACTOMETER, 86, "instrument"));
        HBox instrument = line(word("Repeatability"), repeats, word("bias ±"), bias, word("step"), step);
        instrument.setSpacing(4);
        instrument.getStyleClass().add(Styles.INSTRUMENT);
        Button guided = new Button("Take a series…");
        guided.setId("take-series");
        guided.getStyleClass().add(Styles.LINK);
        Hint.on(guided, "Guides you from stirring to the last reading that helps (Ctrl T)");
        guided.setOnAction(event -> takeReadings.run());
        doubt.setId("readings-doubt");
        doubt.getStyleClass().add(Styles.REFUSAL);
        doubt.setWrapText(true);
        doubt.managedProperty().bind(doubt.textProperty().isNotEmpty());
        doubt.visibleProperty().bind(doubt.managedProperty());
        assumed.setId("readings-assumed");
        assumed.getStyleClass().add(Styles.CAPTION);
        assumed.setWrapText(true);
        assumed.managedProperty().bind(assumed.textProperty().isNotEmpty());
        getChildren().addAll(readings, doubt, summary, guided, zero, instrument, assumed);
        model.openProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        OpenShot open = model.open();
        int count = open == null ? 0 : open.summary().record().numbers(RecordField.READINGS).size();
        remark().setText(open == null ? ""
                : open.summary().record().flag(RecordField.SAMPLE_FILTERED) ? "% m/m, filtered" : "% m/m");
        assumed.setText(LedgerText.assumed(open, RecordField.REFRACTOMETER_REPEATABILITY,
                RecordField.REFRACTOMETER_BIAS, RecordField.REFRACTOMETER_RESOLUTION));
        summary.setText(model.text().get() == null ? "" : model.text().get().readings());
        doubt.setText(model.doubt(RecordField.READINGS).map(Plausibility.Doubt::question).orElse(""));
        long id = open == null ? -1 : open.summary().id();
        if (count == shown && id == shot) {
            return;
        }
        boolean typing = readings.getChildren().stream().anyMatch(Node::isFocusWithin);
        shown = count;
        shot = id;
        readings.getChildren().clear();
        for (int i = 0; i < count; i++) {
            readings.getChildren().add(reading(i));
        }
        fresh = new EntryField(model.newReading(), "new-reading").thatAdds().wide(47).hinting("add");
        Hint.on(fresh.field(), "Type a reading in % and press Enter");
        readings.getChildren().add(fresh);
        if (typing) {
            fresh.field().requestFocus();
        }
    }

    /** {@return the field for another reading while there are fewer than a mean with its spread takes} */
    List<TextField> unknown() {
        return shown < SOUND ? List.of(fresh.field()) : List.of();
    }

    private Node reading(int index) {
        EntryField entry = new EntryField(model.reading(index), "reading-" + index + "-field").wide(47);
        Button remove = new Button();
        remove.setId("remove-reading-" + index);
        remove.setGraphic(Icon.CLOSE.node());
        remove.getStyleClass().addAll(Styles.QUIET, Styles.REMOVE);
        remove.setAccessibleText(String.format(Locale.ROOT, "Remove reading %d", index + 1));
        Hint.on(remove, "Remove this reading (Ctrl Z brings it back)");
        remove.setOnAction(event -> model.removeReading(index));
        HBox box = new HBox(entry, remove);
        box.setAlignment(Pos.TOP_LEFT);
        return box;
    }

    private EntryField entry(RecordField field, double width, String hint) {
        return new EntryField(model.entry(field), field.key()).wide(width).hinting(hint);
    }

    private static HBox line(Node... parts) {
        HBox line = new HBox(5, parts);
        line.setAlignment(Pos.TOP_LEFT);
        return line;
    }
}
