package org.grenu.desktop.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.Row;
import org.grenu.core.entry.RowColumn;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;

/**
 * A small table in an entry: its rows, and below them cells in which a new one is typed or the pressed one is
 * corrected.
 */
public final class RowsEntry extends VBox {

    private static final int ROWS_AT_ONCE = 12;
    private static final int NEW = -1;
    private static final double NUMBER_WIDTH = 58;
    private static final double DIGIT_WIDTH = 6.5;

    private final EntryViewModel model;
    private final Field field;
    private final String id;
    private final VBox rows = new VBox();
    private final List<Node> cells = new ArrayList<>();
    private final Button enter = new Button();
    private int edited = NEW;
    private boolean all;

    /** The table whose parts have ids that begin so. */
    public RowsEntry(EntryViewModel model, Field field, String id) {
        super(4);
        this.model = model;
        this.field = field;
        this.id = id;
        getChildren().addAll(rows, typing(), refusal());
        model.shownProperty().addListener((o, was, is) -> edit(NEW));
        addEventFilter(KeyEvent.KEY_PRESSED, this::giveUpOnEscape);
        edit(NEW);
    }

    private Label refusal() {
        Label refusal = new Label();
        refusal.setId(id + "-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.textProperty().bind(model.refusalProperty());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        return refusal;
    }

    private void giveUpOnEscape(KeyEvent key) {
        if (PlaceKey.TAKE_BACK.is(key) && edited != NEW) {
            edit(NEW);
            key.consume();
        }
    }

    private List<Row> table() {
        return Entries.NONE.with(field, model.shownProperty().get()).rows(field);
    }

    /** Puts that row into the cells, or empties them for a new one. */
    private void edit(int index) {
        edited = index;
        List<Row> table = table();
        for (int i = 0; i < cells.size(); i++) {
            fill(cells.get(i), index == NEW ? "" : table.get(index).cells().get(i));
        }
        enter.setGraphic((index == NEW ? Icon.ADD : Icon.CHECK).node());
        Hint.on(enter, index == NEW ? "Add the row (Enter)"
                : "Keep the row as it is now (Enter); Esc leaves it as it was");
        enter.setAccessibleText((index == NEW ? "Add a row to " : "Keep the row of ") + field.title());
        show(table);
    }

    private void show(List<Row> table) {
        rows.getChildren().clear();
        int from = all ? 0 : Math.max(0, table.size() - ROWS_AT_ONCE);
        if (!table.isEmpty() && field.columns().size() > 1) {
            HBox headings = new HBox(6);
            field.columns()
                    .stream()
                    .filter(column -> !below(column))
                    .forEach(column -> headings.getChildren()
                            .add(sized(new Label(heading(column)), column, Styles.MUTED, Styles.CAPTION)));
            headings.setPadding(new Insets(0, 22, 0, 4));
            rows.getChildren().add(headings);
        }
        if (from > 0) {
            Button earlier = new Button(from + " earlier");
            earlier.getStyleClass().add(Styles.LINK);
            earlier.setOnAction(event -> {
                all = true;
                show(table());
            });
            rows.getChildren().add(earlier);
        }
        for (int i = from; i < table.size(); i++) {
            rows.getChildren().add(row(i, table.get(i), table));
        }
    }

    private Node row(int index, Row row, List<Row> table) {
        Button press = press(index, row, table);
        press.setOnAction(event -> {
            edit(index);
            cells.get(0).requestFocus();
        });
        HBox.setHgrow(press, Priority.ALWAYS);
        HBox both = new HBox(2, press, remove(index));
        both.setAlignment(Pos.CENTER_LEFT);
        return both;
    }

    private Button press(int index, Row row, List<Row> table) {
        Button press = new Button();
        press.setId(id + "-" + index);
        press.setGraphic(cells(row, table));
        press.setMaxWidth(Double.MAX_VALUE);
        press.setAccessibleText(row.text());
        Hint.on(press, row.text() + "\nPress to correct it");
        press.getStyleClass().add(Styles.ROW);
        if (index == edited) {
            press.getStyleClass().add(Styles.CURRENT);
        }
        return press;
    }

    private Node cells(Row row, List<Row> table) {
        HBox line = new HBox(6);
        VBox lines = new VBox(line);
        lines.setMouseTransparent(true);
        for (int i = 0; i < field.columns().size(); i++) {
            RowColumn column = field.columns().get(i);
            String cell = row.cells().get(i);
            if (!below(column)) {
                line.getChildren()
                        .add(column.type() == RowColumn.Type.NUMBER ? number(cell, i, table)
                                : sized(new Label(cell.replace('T', ' ')), column));
            } else if (!cell.isEmpty()) {
                lines.getChildren().add(remark(cell));
            }
        }
        return lines;
    }

    private Button remove(int index) {
        Button remove = new Button();
        remove.setId("remove-" + id + "-" + index);
        remove.setGraphic(Icon.CLOSE.node());
        remove.getStyleClass().addAll(Styles.QUIET, Styles.REMOVE);
        remove.setAccessibleText("Remove row " + (index + 1));
        remove.setOnAction(event -> {
            List<String> texts = texts();
            texts.remove(index);
            enter(texts);
        });
        return remove;
    }

    /** Words stand below the rest of their row where that takes the width of the column. */
    private boolean below(RowColumn column) {
        return column.type() == RowColumn.Type.WORDS && field.columns().size() > 3;
    }

    private static Label remark(String text) {
        Label remark = new Label(text);
        remark.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        remark.setPadding(new Insets(0, 0, 2, 74));
        return remark;
    }

    /** Numbers stand with their points below each other, however many decimals each was written with. */
    private static Node number(String cell, int column, List<Row> table) {
        int longest = longestEnd(table, column);
        Label whole = new Label(cell.substring(0, point(cell)).replace('-', '\u2212'));
        whole.setAlignment(Pos.CENTER_RIGHT);
        whole.setMinWidth(NUMBER_WIDTH - longest * DIGIT_WIDTH);
        Label rest = new Label(cell.substring(point(cell)));
        rest.setMinWidth(longest * DIGIT_WIDTH);
        HBox both = new HBox(whole, rest);
        both.setMinWidth(NUMBER_WIDTH);
        both.setMaxWidth(NUMBER_WIDTH);
        return both;
    }

    private static int longestEnd(List<Row> table, int column) {
        return table.stream()
                .map(row -> row.cells().get(column))
                .mapToInt(text -> text.length() - point(text))
                .max()
                .orElse(0);
    }

    private static int point(String number) {
        return number.contains(".") ? number.indexOf('.') : number.length();
    }

    private static Label sized(Label label, RowColumn column, String... styles) {
        label.getStyleClass().addAll(styles);
        double width = width(column);
        label.setPrefWidth(width);
        label.setMinWidth(width);
        if (column.type() == RowColumn.Type.NUMBER) {
            label.setAlignment(Pos.CENTER_RIGHT);
        } else if (column.type() == RowColumn.Type.WORDS) {
            label.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(label, Priority.ALWAYS);
        }
        return label;
    }

    private static double width(RowColumn column) {
        return switch (column.type()) {
            case DAY -> 68;
            case MOMENT -> 104;
            case NUMBER -> NUMBER_WIDTH;
            case CHOICE -> 66;
            case WORDS -> 20;
        };
    }

    private List<String> texts() {
        return new ArrayList<>(table().stream().map(Row::text).toList());
    }

    private boolean enter(List<String> texts) {
        return model.enter(String.join("; ", texts)) == EntryViewModel.Outcome.STORED;
    }

    private Node typing() {
        FlowPane line = new FlowPane(3, 3);
        for (int i = 0; i < field.columns().size(); i++) {
            Node cell = cell(field.columns().get(i), i);
            cells.add(cell);
            line.getChildren().add(cell);
        }
        enter.setId(id + "-add");
        enter.getStyleClass().add(Styles.QUIET);
        enter.setOnAction(event -> enter());
        line.getChildren().add(enter);
        return line;
    }

    private Node cell(RowColumn column, int index) {
        if (column.type() == RowColumn.Type.CHOICE) {
            return choice(column, index);
        }
        TextField typed = new TextField();
        typed.setId(id + "-new-" + index);
        typed.getStyleClass().add(Styles.ENTRY);
        typed.setPromptText(heading(column));
        typed.setAccessibleText(field.title() + ", " + heading(column));
        typed.setPrefWidth(typingWidth(column));
        typed.setOnAction(event -> enter());
        return typed;
    }

    private ComboBox<String> choice(RowColumn column, int index) {
        ComboBox<String> box = new ComboBox<>();
        box.getItems().setAll(column.choices());
        box.setPromptText(column.title());
        box.setId(id + "-new-" + index);
        box.getStyleClass().add(Styles.PICK);
        box.setPrefWidth(96);
        box.setAccessibleText(field.title() + ", " + column.title());
        return box;
    }

    private static double typingWidth(RowColumn column) {
        return switch (column.type()) {
            case NUMBER -> 62;
            case WORDS -> 118;
            default -> 88;
        };
    }

    private static String heading(RowColumn column) {
        return column.title() + (column.unit().isEmpty() ? "" : ", " + column.unit());
    }

    private void enter() {
        String row = typedRow();
        List<String> texts = texts();
        if (edited == NEW) {
            texts.add(row);
        } else {
            texts.set(edited, row);
        }
        if (enter(texts)) {
            cells.get(0).requestFocus();
        } else if (model.refusalProperty().get().isEmpty()) {
            edit(NEW);
        }
    }

    private String typedRow() {
        return IntStream.range(0, cells.size())
                .mapToObj(i -> typed(field.columns().get(i), cells.get(i)))
                .map(text -> text.isBlank() ? Row.UNKNOWN : text.strip().replace(';', ','))
                .collect(Collectors.joining(" "))
                .replaceAll("( \\" + Row.UNKNOWN + ")+$", "");
    }

    /** A number's unit stands close by it, since spaces part the cells. */
    private static String typed(RowColumn column, Node cell) {
        String text = typed(cell);
        return column.type() == RowColumn.Type.NUMBER ? text.replaceAll("\\s+", "") : text;
    }

    private static String typed(Node cell) {
        if (cell instanceof TextField text) {
            return text.getText();
        }
        Object chosen = ((ComboBox<?>) cell).getValue();
        return chosen == null ? "" : chosen.toString();
    }

    @SuppressWarnings("unchecked")
    private static void fill(Node cell, String text) {
        if (cell instanceof TextField field) {
            field.setText(text);
        } else {
            ((ComboBox<String>) cell).setValue(text.isEmpty() ? null : text);
        }
    }
}
