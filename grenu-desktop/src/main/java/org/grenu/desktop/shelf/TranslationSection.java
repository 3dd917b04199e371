package org.grenu.desktop.shelf;

import java.util.List;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.hydraulics.ValveSchedule;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Reported;
import org.grenu.core.shelf.Calibrations;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Subscriptions;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.RowsEntry;

/** The kept schedule of valve positions, and the same flows on another machine. */
final class TranslationSection extends Section {

    private final ShelfViewModel model;
    private final VBox result = new VBox(4);
    private ShelfItem other;

    TranslationSection(ShelfViewModel model) {
        super("Valve schedule");
        this.model = model;
        remark().setText("translated through flow");
        result.setId("translation");
        getChildren().add(
                new RowsEntry(model.entry(ShelfField.VALVE_SCHEDULE), ShelfField.VALVE_SCHEDULE, "valve-schedule"));
        List<ShelfItem> others = others();
        if (!others.isEmpty()) {
            offer(others);
        }
        getChildren().add(result);
        Subscriptions.whileShown(this, this::show, model.chosenProperty());
    }

    private List<ShelfItem> others() {
        return model.shelf()
                .of(ShelfKind.MACHINE)
                .stream()
                .filter(machine -> machine.id() != model.chosenProperty().get().item().id()
                        && Calibrations.valve(machine.entries()).isPresent())
                .toList();
    }

    private void offer(List<ShelfItem> others) {
        other = others.get(0);
        getChildren().add(Choices.of("translate-to", "Machine to translate to", others, other,
                machine -> "On " + machine.name(), machine -> {
                    other = machine;
                    show();
                }));
    }

    private void show() {
        result.getChildren().clear();
        Chosen chosen = model.chosenProperty().get();
        Optional<ValveCalibration> here = chosen == null ? Optional.empty()
                : Calibrations.valve(chosen.version().entries());
        if (here.isEmpty() || other == null) {
            say(here.isEmpty() ? "Run this machine’s valve at two positions or more to translate its schedule."
                    : "No other machine’s valve has been run yet.");
            return;
        }
        ValveCalibration there = Calibrations.valve(other.entries()).orElseThrow();
        List<ValveSchedule.Translated> steps = Calibrations.schedule(chosen.version().entries())
                .translate(here.get(), there);
        if (steps.isEmpty()) {
            say("Enter at what time the valve goes to which position.");
            return;
        }
        result.getChildren().add(table(steps));
        if (steps.stream().anyMatch(step -> step.opening().isEmpty())) {
            say(other.name() + " gives " + Reported.fixed(there.least(), 2) + " to "
                    + Reported.fixed(there.largest(), 2) + " g/s; what lies beyond cannot be translated.");
        }
        say("In brackets: positions that the calibrations’ uncertainty leaves open (k = 2). Free flow: a puck lets "
                + "far less through.");
    }

    private GridPane table(List<ValveSchedule.Translated> steps) {
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(2);
        grid.addRow(0, head("from, s"), head("here"), head("g/s"), head(other.name()));
        for (int i = 0; i < steps.size(); i++) {
            grid.addRow(i + 1, cells(steps.get(i)));
        }
        return grid;
    }

    private static Label[] cells(ValveSchedule.Translated step) {
        String position = position(step);
        Label[] cells = {new Label(DecimalText.exact(step.from().seconds())),
                new Label(DecimalText.exact(step.from().position())),
                new Label(step.flow().map(flow -> Reported.fixed(flow.value(), 2)).orElse("–")), new Label(position)};
        if (step.opening().isEmpty()) {
            cells[3].getStyleClass().add(Styles.REFUSAL);
        }
        for (int column = 0; column < 3; column++) {
            GridPane.setHalignment(cells[column], HPos.RIGHT);
        }
        return cells;
    }

    private static String position(ValveSchedule.Translated step) {
        return step.opening()
                .map(OpeningText::of)
                .orElse(step.flow().isPresent() ? "cannot reach" : "not run here");
    }

    private static Label head(String text) {
        Label label = new Label(text);
        label.getStyleClass().add(Styles.MUTED);
        return label;
    }

    private void say(String text) {
        Label label = head(text);
        label.setWrapText(true);
        result.getChildren().add(label);
    }
}
