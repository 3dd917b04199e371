package org.grenu.desktop.shelf;

import javafx.scene.control.Label;
import org.grenu.core.shelf.ShelfField;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Subscriptions;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.RowsEntry;

/** What the refractometer's readings mean, in a sentence, and the dried samples that say so. */
final class CalibrationSection extends Section {

    private final ShelfViewModel model;
    private final Label sentence = new Label();

    CalibrationSection(ShelfViewModel model) {
        super("Calibration");
        this.model = model;
        remark().setText("oven-dried samples");
        sentence.setId("calibration-sentence");
        sentence.setWrapText(true);
        Label how = new Label(
                "Read a beverage, weigh some of it wet, dry it in the oven until its mass no longer changes, "
                        + "weigh what is left. "
                        + "The reading less the zero goes here.");
        how.getStyleClass().add(Styles.MUTED);
        how.setWrapText(true);
        getChildren().addAll(sentence, how, new RowsEntry(model.entry(ShelfField.DRIED), ShelfField.DRIED, "dried"));
        Subscriptions.whileShown(this, this::show, model.chosenProperty());
    }

    private void show() {
        if (model.chosenProperty().get() != null) {
            sentence.setText(CalibrationText.of(model.chosenProperty().get().version().entries()));
        }
    }
}
