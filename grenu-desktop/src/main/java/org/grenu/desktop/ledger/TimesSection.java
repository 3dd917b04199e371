package org.grenu.desktop.ledger;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.curve.TimeConvention;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/**
 * The shot's time by every convention, each named, with the study's chosen among them; its pressures and its puck.
 */
final class TimesSection extends Section {

    private final LedgerViewModel model;
    private final VBox lines = new VBox(3);
    private final ToggleGroup choices = new ToggleGroup();
    private final List<Label> values = new ArrayList<>();
    private List<LedgerText.Line> shown = List.of();

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

    /** Shots differ in the values mostly: lines that stay are not made anew. */
    private void show(LedgerText text) {
        List<LedgerText.Line> times = text == null ? List.of() : text.times();
        List<LedgerText.Line> heads = times.stream().map(LedgerText.Line::head).toList();
        if (!heads.equals(shown)) {
            shown = heads;
            values.clear();
            choices.getToggles().clear();
            lines.getChildren().setAll(times.stream().map(this::row).toList());
        }
        for (int i = 0; i < times.size(); i++) {
            values.get(i).setText(times.get(i).value());
        }
        for (Toggle choice : choices.getToggles()) {
            choice.setSelected(choice.getUserData() == model.conventionProperty().getValue());
        }
    }

    private BorderPane row(LedgerText.Line line) {
        BorderPane row = new BorderPane();
        row.setLeft(line.convention().map(this::choice).orElseGet(() -> new Label(line.name())));
        Label value = new Label();
        value.getStyleClass().add(Styles.VALUE);
        values.add(value);
        row.setRight(value);
        return row;
    }

    private Node choice(TimeConvention convention) {
        RadioButton button = new RadioButton(convention.title());
        button.setId("convention-" + convention.key());
        button.setToggleGroup(choices);
        button.setUserData(convention);
        Hint.on(button, "Count the study's shots " + convention.title());
        button.setOnAction(event -> model.chooseConvention(convention));
        return button;
    }
}
