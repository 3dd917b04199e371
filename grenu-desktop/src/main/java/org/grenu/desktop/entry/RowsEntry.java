package org.grenu.desktop.entry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import javafx.beans.property.SimpleStringProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.Row;
import org.grenu.core.entry.RowColumn;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;

/** A small table in an entry: each row is corrected where it stands, a new one is typed cell by cell below. */
public final class RowsEntry extends VBox {

    private static final int ROWS_AT_ONCE = 12;

    private final EntryViewModel model;
    private final Field field;
    private final String id;
    private final VBox rows = new VBox(2);
    private final List<Node> cells = new ArrayList<>();
    private boolean all;

    /** The table whose parts have ids that begin so. */
    public RowsEntry(EntryViewModel model, Field field, String id) {
        super(4);
        this.model = model;
        this.field = field;
        this.id = id;
        Label refusal = new Label();
        refusal.setId(id + "-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.textProperty().bind(model.refusalProperty());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        getChildren().addAll(rows, adding(), refusal);
        model.shownProperty().addListener((o, was, is) -> show());
        show();
    }

    private List<String> texts() {
        return Arrays.stream(model.shownProperty().get().split(";")).map(String::strip).filter(text -> !text.isEmpty()).toList();
    }

    private void show() {
        List<String> texts = texts();
        rows.getChildren().clear();
        int from = all ? 0 : Math.max(0, texts.size() - ROWS_AT_ONCE);
        if (from > 0) {
            Button earlier = new Button(from + " earlier");
            earlier.getStyleClass().add(Styles.LINK);
            earlier.setOnAction(event -> {
                all = true;
                show();
            });
            rows.getChildren().add(earlier);
        }
        for (int i = from; i < texts.size(); i++) {
            rows.getChildren().add(row(i, texts));
        }
    }

    private Node row(int index, List<String> texts) {
        EntryViewModel one = new EntryViewModel(new SimpleStringProperty(), field.title() + " " + (index + 1), () -> texts.get(index), typed -> replace(index, typed));
        EntryField entry = new EntryField(one, id + "-" + index);
        entry.field().setTooltip(new Tooltip(field.columns().stream().map(RowsEntry::heading).collect(Collectors.joining(" · "))));
        HBox.setHgrow(entry, Priority.ALWAYS);
        Button remove = new Button();
        remove.setId("remove-" + id + "-" + index);
        remove.setGraphic(Icon.CLOSE.node());
        remove.getStyleClass().addAll(Styles.QUIET, Styles.REMOVE);
        remove.setAccessibleText("Remove row " + (index + 1));
        remove.setOnAction(event -> replace(index, ""));
        HBox line = new HBox(2, entry, remove);
        line.setAlignment(Pos.TOP_LEFT);
        return line;
    }

    private boolean replace(int index, String typed) {
        List<String> texts = new ArrayList<>(texts());
        texts.set(index, typed.replace(';', ','));
        return enter(texts);
    }

    private boolean enter(List<String> texts) {
        return model.enter(String.join("; ", texts.stream().filter(text -> !text.isBlank()).toList())) == EntryViewModel.Outcome.STORED;
    }

    private Node adding() {
        FlowPane line = new FlowPane(3, 3);
        for (int i = 0; i < field.columns().size(); i++) {
            Node cell = cell(field.columns().get(i), i);
            cells.add(cell);
            line.getChildren().add(cell);
        }
        Button add = new Button();
        add.setId(id + "-add");
        add.setGraphic(Icon.ADD.node());
        add.getStyleClass().add(Styles.QUIET);
        add.setAccessibleText("Add a row to " + field.title());
        add.setTooltip(new Tooltip("Add the row (Enter)"));
        add.setOnAction(event -> add());
        line.getChildren().add(add);
        return line;
    }

    private Node cell(RowColumn column, int index) {
        if (column.type() == RowColumn.Type.CHOICE) {
            ComboBox<String> box = new ComboBox<>();
            box.getItems().setAll(column.choices());
            box.setPromptText(column.title());
            box.setId(id + "-new-" + index);
            box.getStyleClass().add(Styles.PICK);
            box.setPrefWidth(96);
            box.setAccessibleText(field.title() + ", " + column.title());
            return box;
        }
        TextField typed = new TextField();
        typed.setId(id + "-new-" + index);
        typed.getStyleClass().add(Styles.ENTRY);
        typed.setPromptText(heading(column));
        typed.setAccessibleText(field.title() + ", " + heading(column));
        typed.setPrefWidth(switch (column.type()) {
            case NUMBER -> 62;
            case WORDS -> 118;
            default -> 88;
        });
        typed.setOnAction(event -> add());
        return typed;
    }

    private static String heading(RowColumn column) {
        return column.title() + (column.unit().isEmpty() ? "" : ", " + column.unit());
    }

    private void add() {
        List<String> texts = new ArrayList<>(texts());
        String row = cells.stream().map(RowsEntry::typed).map(text -> text.isBlank() ? Row.UNKNOWN : text.strip().replace(';', ',')).collect(Collectors.joining(" "));
        texts.add(row.replaceAll("( \\" + Row.UNKNOWN + ")+$", ""));
        if (enter(texts)) {
            cells.forEach(RowsEntry::clear);
            cells.get(0).requestFocus();
        }
    }

    private static String typed(Node cell) {
        if (cell instanceof TextField text) {
            return text.getText();
        }
        Object chosen = ((ComboBox<?>) cell).getValue();
        return chosen == null ? "" : chosen.toString();
    }

    private static void clear(Node cell) {
        if (cell instanceof TextField text) {
            text.clear();
        } else {
            ((ComboBox<?>) cell).setValue(null);
        }
    }
}
