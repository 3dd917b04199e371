package org.grenu.desktop.ledger;

import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Styles;

/** The shot's time by every convention, each named, and its pressures. */
final class TimesSection extends Section {

    private final VBox lines = new VBox(3);

    TimesSection(LedgerViewModel model) {
        super("Times and pressure");
        lines.setId("times");
        getChildren().add(lines);
        model.text().addListener((o, was, is) -> show(is));
        show(model.text().get());
    }

    private void show(LedgerText text) {
        lines.getChildren().clear();
        if (text != null) {
            for (LedgerText.Line line : text.times()) {
                BorderPane row = new BorderPane();
                row.setLeft(new Label(line.name()));
                Label value = new Label(line.value());
                value.getStyleClass().add(Styles.VALUE);
                row.setRight(value);
                lines.getChildren().add(row);
            }
        }
    }
}
