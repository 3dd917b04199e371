package org.grenu.desktop.ledger;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import org.grenu.core.curve.TimeConvention;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/**
 * The shot's time by every convention, each named, with the study's chosen among them; its pressures and its puck.
 */
final class TimesSection extends Section {

    private final LedgerViewModel model;
    private final VBox lines = new VBox(3);

    TimesSection(LedgerViewModel model) {
        super("Times and puck");
        this.model = model;
        remark().setText("● in the rack");
        lines.setId("times");
        getChildren().add(lines);
        model.text().addListener((o, was, is) -> show(is));
        model.conventionProperty().addListener((o, was, is) -> show(model.text().get()));
        show(model.text().get());
    }

    private void show(LedgerText text) {
        lines.getChildren().clear();
        if (text == null) {
            return;
        }
        ToggleGroup chosen = new ToggleGroup();
        for (LedgerText.Line line : text.times()) {
            lines.getChildren().add(row(line, chosen));
        }
    }

    private BorderPane row(LedgerText.Line line, ToggleGroup chosen) {
        BorderPane row = new BorderPane();
        row.setLeft(line.convention()
                .map(convention -> choice(convention, chosen))
                .orElseGet(() -> new Label(line.name())));
        Label value = new Label(line.value());
        value.getStyleClass().add(Styles.VALUE);
        row.setRight(value);
        return row;
    }

    private Node choice(TimeConvention convention, ToggleGroup chosen) {
        RadioButton button = new RadioButton(convention.title());
        button.setId("convention-" + convention.key());
        button.setToggleGroup(chosen);
        button.setSelected(model.conventionProperty().getValue() == convention);
        button.setTooltip(new Tooltip("Count the study's shots " + convention.title()));
        button.setOnAction(event -> model.chooseConvention(convention));
        return button;
    }
}
