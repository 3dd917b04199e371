package org.grenu.desktop.shelf;

import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.EntryField;

/** The thing's name, its versions, and the way into the bin. */
final class ThingSection extends Section {

    private final ShelfViewModel model;
    private final VBox changing = new VBox(4);

    ThingSection(ShelfViewModel model) {
        super(model.chosenProperty().get().item().kind().one().substring(0, 1).toUpperCase(Locale.ROOT)
                + model.chosenProperty().get().item().kind().one().substring(1));
        this.model = model;
        getStyleClass().add(Styles.FIRST);
        ShelfItem item = model.chosenProperty().get().item();
        int shots = model.shotsWith(item).size();
        remark().setText(shots == 1 ? "1 shot" : shots + " shots");
        getChildren().add(name());
        if (item.kind().hasParts()) {
            getChildren().addAll(versions(item), changing);
        }
        getChildren().add(bin());
    }

    private EntryField name() {
        EntryField name = new EntryField(model.name(), "shelf-item-name");
        Hint.on(name.field(), "Shots that name it are renamed with it");
        return name;
    }

    private Button bin() {
        Button bin = new Button("Put into the bin");
        bin.setId("shelf-bin");
        bin.getStyleClass().add(Styles.LINK);
        bin.setOnAction(event -> model.bin());
        return bin;
    }

    private Node versions(ShelfItem item) {
        List<Integer> numbers = item.versions().stream().map(ShelfVersion::number).toList();
        var choice = Choices.of("shelf-version", "Version", numbers, model.chosenProperty().get().version().number(),
                number -> item.versions()
                        .stream()
                        .filter(version -> version.number() == number)
                        .findFirst()
                        .map(version -> version.label() + version.since().map(day -> " · since " + day).orElse(""))
                        .orElse(""),
                model::chooseVersion);
        choice.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(choice, Priority.ALWAYS);
        return new HBox(6, choice, partsChanged());
    }

    private Button partsChanged() {
        Button parts = new Button("Parts changed…");
        parts.setId("parts-changed");
        parts.getStyleClass().add(Styles.ACTION);
        parts.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(parts, "Begins a new version from a day on; older shots keep theirs");
        parts.setOnAction(event -> ask());
        return parts;
    }

    private void ask() {
        TextField day = since();
        TextField what = changed();
        Button begin = new Button("Begin");
        begin.setId("version-begin");
        begin.getStyleClass().add(Styles.ACTION);
        begin.setMinWidth(Region.USE_PREF_SIZE);
        Label refusal = refusal();
        begin.setOnAction(event -> begin(day.getText(), what.getText(), refusal));
        what.setOnAction(event -> begin(day.getText(), what.getText(), refusal));
        changing.getChildren().setAll(new HBox(4, day, what, begin), refusal);
        what.requestFocus();
    }

    private TextField since() {
        TextField day = new TextField(model.today().toString());
        day.setId("version-since");
        day.getStyleClass().add(Styles.ENTRY);
        day.setPrefWidth(92);
        day.setMinWidth(92);
        return day;
    }

    private static TextField changed() {
        TextField what = new TextField();
        what.setId("version-changed");
        what.setPromptText("what was changed");
        what.getStyleClass().add(Styles.ENTRY);
        HBox.setHgrow(what, Priority.ALWAYS);
        return what;
    }

    private static Label refusal() {
        Label refusal = new Label();
        refusal.setId("version-refusal");
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        return refusal;
    }

    private void begin(String day, String what, Label refusal) {
        try {
            model.partsChanged(day, what);
            changing.getChildren().clear();
        } catch (RefusedEntry refused) {
            refusal.setText(refused.getMessage());
        }
    }
}
