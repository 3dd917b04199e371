package org.grenu.desktop.shelf;

import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Label;
import org.grenu.core.entry.Entries;
import org.grenu.core.shelf.Calibrations;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.strength.DriedSamples;
import org.grenu.core.strength.ReadingLine;
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
                "Read a beverage, weigh some of it wet, dry it in the oven until its mass no longer changes, weigh what is left. "
                        + "The reading less the zero goes here.");
        how.getStyleClass().add(Styles.MUTED);
        how.setWrapText(true);
        getChildren().addAll(sentence, how, new RowsEntry(model.entry(ShelfField.DRIED), ShelfField.DRIED, "dried"));
        Subscriptions.whileShown(this, this::show, model.chosenProperty());
    }

    private void show() {
        if (model.chosenProperty().get() == null) {
            return;
        }
        Entries entries = model.chosenProperty().get().version().entries();
        Optional<DriedSamples> dried = Calibrations.dried(entries);
        boolean brix = entries.text(ShelfField.READS).filter("brix"::equals).isPresent();
        ReadingLine line = Calibrations.readingLine(entries);
        if (dried.isPresent()) {
            ReadingLine factor = dried.get().factor();
            sentence.setText(String.format(Locale.ROOT,
                    "Strength = %.3f × reading %s %.3f, by %d dried samples; 95 %%: slope ±%.3f, intercept ±%.3f. "
                            + "Its uncertainty goes into every strength read with it, in place of the bias limit.%s",
                    line.slope(), dried.get().intercept() < 0 ? "\u2212" : "+",
                    Math.abs(dried.get().intercept()), dried.get().samples().size(), dried.get().slopeHalf(),
                    dried.get().interceptHalf(),
                    brix ? String.format(Locale.ROOT, " As one factor: %.3f ±%.3f points per °Brix (k = 2).",
                            factor.slope(), 2 * factor.slopeU()) : ""));
        } else if (brix) {
            sentence.setText(String.format(Locale.ROOT,
                    "Strength = %.3g × °Brix%s. Sugar, not coffee, is what °Brix counts: dry %d samples to measure "
                            + "the factor.",
                    line.slope(), entries.has(ShelfField.BRIX_FACTOR) ? "" : ", the usual factor",
                    DriedSamples.FEWEST));
        } else {
            sentence.setText("Readings are taken as strength. " + DriedSamples.FEWEST
                    + " dried samples or more, of different strength, make a calibration.");
        }
    }
}
