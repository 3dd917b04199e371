package org.grenu.desktop.ledger;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.entry.Suggestions;
import org.grenu.desktop.control.Styles;

/**
 * What the user made up for a study: each is a factor, and a number a response too, as soon as shots differ in it.
 */
final class OwnEntries extends VBox {

    private final LedgerViewModel model;
    private final GridPane grid = new GridPane();
    private final TextField name = new TextField();
    private final Label refusal = new Label();
    private final List<String> added = new ArrayList<>();
    private final Map<String, TextField> fields = new HashMap<>();
    private List<String> shown = List.of();

    OwnEntries(LedgerViewModel model) {
        super(5);
        this.model = model;
        grid.setHgap(6);
        grid.setVgap(3);
        ColumnConstraints value = new ColumnConstraints();
        value.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(new ColumnConstraints(118), value);
        name.setId("own-name");
        name.setPromptText("Your own, such as beans frozen");
        name.getStyleClass().add(Styles.ENTRY);
        name.setAccessibleText("Name of a new entry");
        HBox.setHgrow(name, Priority.ALWAYS);
        Button add = new Button("Add");
        add.setId("own-add");
        add.getStyleClass().add(Styles.ACTION);
        Hint.on(add,
                "A new entry for every shot, a number, a word, yes or no: a factor or a response of your study");
        add.setOnAction(event -> add());
        name.setOnAction(event -> add());
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        getChildren().addAll(grid, new HBox(6, name, add), refusal);
        model.openProperty().addListener((o, was, is) -> show());
        show();
    }

    /** {@return the fields of those entries that the shot before has, or that were just made} */
    Stream<TextField> expected() {
        Set<String> before = model.before().map(shot -> shot.record().extras().keySet()).orElse(Set.of());
        return shown.stream().filter(key -> before.contains(key) || added.contains(key)).map(fields::get);
    }

    private void add() {
        String key = name.getText().strip();
        Optional<String> refused = model.refusedName(key);
        refusal.setText(refused.orElse(""));
        if (refused.isEmpty()) {
            added.add(key);
            name.clear();
            show();
            fields.get(key).requestFocus();
        }
    }

    private void show() {
        List<String> keys = new ArrayList<>(model.earlier().ownKeys());
        added.stream().filter(key -> !keys.contains(key)).forEach(keys::add);
        if (keys.equals(shown)) {
            return;
        }
        shown = List.copyOf(keys);
        grid.getChildren().clear();
        fields.clear();
        for (int i = 0; i < keys.size(); i++) {
            show(i, keys.get(i));
        }
    }

    private void show(int row, String key) {
        Label title = new Label(key);
        title.setPadding(new Insets(4, 0, 0, 0));
        Hint.on(title, key);
        GridPane.setValignment(title, VPos.TOP);

        EntryField entry = new EntryField(model.own(key), "own-" + key.replaceAll("[^A-Za-z0-9_]", "-"))
                .hinting("unknown");
        Suggestions.on(entry,
                typed -> typed.isBlank() ? List.of() : Suggestions.among(model.earlier().lastOwn(key), typed),
                () -> model.earlier().lastOwn(key), Suggestions.LAST);
        fields.put(key, entry.field());
        grid.addRow(row, title, entry);
    }
}
