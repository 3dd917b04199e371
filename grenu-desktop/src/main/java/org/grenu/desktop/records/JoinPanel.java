package org.grenu.desktop.records;

import org.grenu.app.exchange.TableJoin;
import java.util.List;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.formats.exchange.JoinedTable;

/** Says what joining a table would do before it is done. */
public final class JoinPanel extends VBox {

    private final JoinViewModel model;

    /** The panel of that model; it shows itself when a table was read. */
    public JoinPanel(JoinViewModel model) {
        super(10);
        this.model = model;
        setId("join-panel");
        getStyleClass().add(Styles.OVERLAY);
        setMaxSize(560, Region.USE_PREF_SIZE);
        visibleProperty().bind(model.shownProperty().isNotNull());
        managedProperty().bind(visibleProperty());
        model.shownProperty().addListener((o, was, is) -> show());
    }

    /** Puts the table away without entering it. */
    public void putAway() {
        model.shownProperty().set(null);
    }

    private void show() {
        TableJoin shown = model.shownProperty().get();
        getChildren().clear();
        if (shown == null) {
            return;
        }
        Label title = new Label("Join " + shown.file());
        title.getStyleClass().add(Styles.HEADING);
        List<Integer> columns = IntStream.range(0, shown.table().columns().size()).boxed().toList();
        HBox key = new HBox(8, Section.word("The shot stands in column"),
                Choices.of("join-key", "Column of the shot", columns, shown.key(),
                        column -> shown.table().columns().get(column), model::chooseKey));
        key.setAlignment(Pos.CENTER_LEFT);
        VBox entries = new VBox(2);
        for (int column : columns) {
            if (column != shown.key() && !shown.table().columns().get(column).isBlank()) {
                String heading = shown.table().columns().get(column);
                entries.getChildren()
                        .add(new Label(heading + "  →  "
                                + JoinedTable.use(heading)));
            }
        }
        VBox words = new VBox(3);
        words.setId("join-words");
        shown.words().forEach(sentence -> {
            Label line = new Label(sentence);
            line.setWrapText(true);
            line.getStyleClass().add(Styles.MUTED);
            words.getChildren().add(line);
        });
        Button close = button("join-close", "Close", this::putAway);
        Button apply = button("join-apply", "Enter " + shown.plan().edits().size() + " entries", model::apply);
        apply.getStyleClass().add(Styles.PRIMARY);
        apply.setDisable(shown.plan().edits().isEmpty());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        getChildren().addAll(title, key, entries, words, new HBox(8, gap, close, apply));
    }

    private static Button button(String id, String words, Runnable action) {
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().add(Styles.ACTION);
        button.setOnAction(event -> action.run());
        return button;
    }
}
