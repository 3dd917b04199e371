package org.grenu.desktop.read;

import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.desktop.entry.FieldLabel;

/** In the place of the strips where a shot has no log: what a notebook says of it. */
final class NotebookView extends VBox {

    private static final List<
            RecordField> WRITTEN = List.of(RecordField.PULLED_AT, RecordField.DOSE, RecordField.BEVERAGE,
                    RecordField.READINGS);
    private static final String HEADING = "time [s]; pressure [bar]; cup mass [g]\n";

    private final NotebookViewModel model;
    private final TextArea points = new TextArea();
    private final VBox typing = new VBox(8);

    NotebookView(NotebookViewModel model, Runnable chooseLog) {
        super(16);
        this.model = model;
        setId("notebook");
        getStyleClass().add(Styles.EMPTY_STATE);
        setAlignment(Pos.CENTER);
        Label title = new Label("Written down by hand");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        Label words = words();
        getChildren().addAll(title, words, entries(), buttons(chooseLog), typing());
        setMinSize(0, 0);
        followModel();
    }

    private static Label words() {
        Label words = new Label(
                "This shot has no log. What is entered here, and in the ledger at the right, counts; what needs a "
                        + "curve stays unknown.");
        words.getStyleClass().add(Styles.PROSE);
        words.setWrapText(true);
        words.setMaxWidth(430);
        return words;
    }

    private void followModel() {
        model.unloggedProperty().addListener((o, was, is) -> putAway());
        model.begunProperty()
                .addListener((o, was, is) -> Platform
                        .runLater(() -> lookup("#notebook-" + RecordField.DOSE.key()).requestFocus()));
    }

    private Node entries() {
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(8);
        grid.setAlignment(Pos.CENTER);
        for (RecordField field : WRITTEN) {
            row(grid, FieldLabel.of(field, model.units()), model.entry(field), "notebook-" + field.key());
        }
        row(grid, new Label("Time, pump on to pump off, s"), model.time(), "notebook-time");
        return grid;
    }

    private static void row(GridPane grid, Label label, EntryViewModel entry, String id) {
        label.getStyleClass().add(Styles.MUTED);
        EntryField field = new EntryField(entry, id).wide(170);
        label.setLabelFor(field.field());
        grid.addRow(grid.getRowCount(), label, field);
    }

    private Node buttons(Runnable chooseLog) {
        Button file = giveLog(chooseLog);
        Button type = new Button("Type points…");
        type.setId("type-points");
        type.getStyleClass().add(Styles.ACTION);
        Hint.on(type, "Points read off a gauge and a scale");
        type.setOnAction(event -> openTyping());
        HBox buttons = new HBox(8, file, type);
        buttons.setAlignment(Pos.CENTER);
        return buttons;
    }

    private static Button giveLog(Runnable chooseLog) {
        Button file = new Button("Give it a log…");
        file.setId("give-log");
        file.getStyleClass().add(Styles.ACTION);
        Hint.on(file, "The shot keeps what is written down and takes the curves of a file");
        file.setOnAction(event -> chooseLog.run());
        return file;
    }

    private void openTyping() {
        typing.setVisible(true);
        if (points.getText().isBlank()) {
            points.setText(HEADING);
        }
        points.requestFocus();
        points.end();
    }

    private Node typing() {
        Label how = how();
        makePoints();
        Button keep = keep();
        Button cancel = new Button("Cancel");
        cancel.getStyleClass().add(Styles.ACTION);
        cancel.setOnAction(event -> putAway());
        typing.getChildren().addAll(how, points, new HBox(8, keep, cancel));
        typing.getStyleClass().add(Styles.CARD);
        typing.setMaxWidth(430);
        typing.managedProperty().bind(typing.visibleProperty());
        typing.setVisible(false);
        return typing;
    }

    private static Label how() {
        Label how = new Label(
                "A line for each point, such as 10; 9; 2.5: the time, then what was read at it. Straight lines join "
                        + "them. Change the heading to what you read.");
        how.getStyleClass().add(Styles.MUTED);
        how.setWrapText(true);
        return how;
    }

    private void makePoints() {
        points.setId("points");
        points.getStyleClass().add(Styles.CODE);
        points.setAccessibleText("Points, a line each");
        points.setPrefRowCount(6);
    }

    private Button keep() {
        Button keep = new Button("Keep as its log");
        keep.setId("keep-points");
        keep.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        keep.setOnAction(event -> model.givePoints(points.getText()));
        return keep;
    }

    private void putAway() {
        typing.setVisible(false);
        points.clear();
    }
}
