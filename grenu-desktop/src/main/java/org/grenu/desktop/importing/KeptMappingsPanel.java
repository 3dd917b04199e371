package org.grenu.desktop.importing;

import java.nio.file.Path;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.OverlayPanel;
import org.grenu.desktop.control.Styles;
import org.grenu.formats.mapping.ColumnRole;
import org.grenu.formats.mapping.TableMapping;

/** The mappings that the library keeps: each with its name to change, what it reads, and what can be done with it. */
public final class KeptMappingsPanel extends OverlayPanel {

    private static final double MOST_HEIGHT = 380;
    private static final double NAME_WIDTH = 190;

    private final KeptMappingsViewModel model;
    private final BiConsumer<String, String> save;
    private final VBox list = new VBox(6);

    /**
     * The list of that model.
     *
     * @param save asks where, and saves a text under a suggested name
     * @param take asks for mappings that somebody shared
     */
    public KeptMappingsPanel(KeptMappingsViewModel model, BiConsumer<String, String> save, Supplier<List<Path>> take) {
        super("kept-mappings", 720);
        this.model = model;
        this.save = save;
        Label words = new Label(
                "A log that nothing else recognises is read by the first of these that has its columns.");
        words.getStyleClass().add(Styles.MUTED);
        getChildren().addAll(
                top("Kept mappings",
                        button("kept-mappings-take", "Take from a file…", () -> take.get().forEach(model::takeFrom)),
                        close("kept-mappings-close")),
                words, scrolled(list, MOST_HEIGHT));
        model.listedProperty().addListener((o, was, is) -> show(is));
    }

    /** Shows what is kept. */
    public void open() {
        setVisible(true);
        model.read();
    }

    private void show(KeptMappingsViewModel.Listed listed) {
        list.getChildren().setAll(listed.kept().stream().map(this::line).toList());
        listed.deleted().ifPresent(deleted -> list.getChildren().add(deleted(deleted)));
        if (list.getChildren().isEmpty()) {
            Label nothing = new Label("None yet. Map a log and press “Keep mapping”.");
            nothing.setId("kept-mappings-none");
            list.getChildren().add(nothing);
        }
    }

    private Node line(TableMapping mapping) {
        String id = id(mapping);
        TextField name = new TextField(mapping.name());
        name.setId("kept-name-" + id);
        name.setAccessibleText("Name of the mapping");
        name.getStyleClass().add(Styles.ENTRY);
        name.setPrefWidth(NAME_WIDTH);
        name.setMinWidth(NAME_WIDTH);
        name.setOnAction(event -> model.rename(mapping, name.getText()));
        name.focusedProperty().addListener((o, was, is) -> {
            if (!is && !name.getText().strip().equals(mapping.name())) {
                model.rename(mapping, name.getText());
            }
        });
        Label reads = new Label(words(mapping));
        reads.getStyleClass().add(Styles.MUTED);
        reads.setWrapText(true);
        reads.setMinWidth(0);
        reads.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(reads, Priority.ALWAYS);
        HBox line = new HBox(8, name, reads,
                link("kept-save-" + id, "Save as file…",
                        () -> save.accept(mapping.name() + ".json", model.asFile(mapping))),
                link("kept-delete-" + id, "Delete", () -> model.delete(mapping)));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Node deleted(TableMapping mapping) {
        Label words = new Label("“" + mapping.name() + "” is deleted.");
        words.getStyleClass().add(Styles.MUTED);
        HBox line = new HBox(8, words, link("kept-put-back", "Put it back", model::putBack));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    /** {@return what it reads: “seconds as time, bar as pressure”} */
    static String words(TableMapping mapping) {
        return mapping.columns()
                .stream()
                .filter(rule -> !(rule.role() instanceof ColumnRole.NotRead))
                .map(rule -> rule.column() + " as " + rule.role().title())
                .collect(Collectors.joining(", "));
    }

    private static String id(TableMapping mapping) {
        return mapping.name().replaceAll("[^A-Za-z0-9]+", "-");
    }
}
