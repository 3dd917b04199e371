package org.grenu.desktop.records;

import org.grenu.app.exchange.TableJoin;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.formats.EntryHeading;

/** Says what joining a table would do before it is done. */
public final class JoinPanel extends VBox {

    private static final List<EntryHeading.Meaning> MEANINGS = EntryHeading.all();
    private static final double MOST_HEIGHT = 420;

    private final JoinViewModel model;

    /** The panel of that model; it shows itself when a table was read. */
    public JoinPanel(JoinViewModel model) {
        super(10);
        this.model = model;
        setId("join-panel");
        getStyleClass().add(Styles.OVERLAY);
        setMaxSize(640, Region.USE_PREF_SIZE);
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
        ScrollPane entries = new ScrollPane(columns(shown));
        entries.setFitToWidth(true);
        entries.setMaxHeight(MOST_HEIGHT);
        VBox words = new VBox(3);
        words.setId("join-words");
        shown.words().forEach(sentence -> {
            Label line = new Label(sentence);
            line.setWrapText(true);
            line.getStyleClass().add(Styles.MUTED);
            words.getChildren().add(line);
        });
        Button close = Buttons.action("join-close", "Close", this::putAway);
        int made = shown.plan().created().size();
        Button apply = Buttons.action("join-apply", "Enter " + shown.plan().edits().size() + " entries"
                + (made == 0 ? "" : made == 1 ? " and 1 new shot" : " and " + made + " new shots"), model::apply);
        apply.getStyleClass().add(Styles.PRIMARY);
        apply.setDisable(shown.plan().edits().isEmpty() && made == 0);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        getChildren().addAll(title, key, entries, words, new HBox(8, gap, close, apply));
    }

    /** A row for each column: its heading, what it is read as, and why. */
    private GridPane columns(TableJoin shown) {
        GridPane rows = new GridPane(10, 2);
        for (int column = 0; column < shown.table().columns().size(); column++) {
            EntryHeading heading = shown.table().headings().get(column);
            if (column == shown.key() || heading.heading().isBlank()) {
                continue;
            }
            int read = column;
            Label reason = new Label(heading.reason());
            reason.getStyleClass().add(Styles.MUTED);
            rows.addRow(column, new Label(heading.heading()),
                    Choices.of("join-column-" + column, "What “" + heading.heading() + "” is", MEANINGS,
                            meaning(heading),
                            JoinPanel::words, meaning -> model.read(read, meaning)),
                    reason);
        }
        return rows;
    }

    private static EntryHeading.Meaning meaning(EntryHeading heading) {
        return heading.meaning().filter(MEANINGS::contains).orElse(new EntryHeading.OwnEntry());
    }

    private static String words(EntryHeading.Meaning meaning) {
        return new EntryHeading("", Optional.of(meaning), Optional.empty(), "").use();
    }
}
