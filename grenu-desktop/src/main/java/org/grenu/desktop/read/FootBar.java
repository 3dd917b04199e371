package org.grenu.desktop.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.Hint;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.control.WrappingBar;
import org.grenu.desktop.desk.StudyDesk;

/** What stands below the strips: where they begin, which are shown, the ghost, and how the phases were found. */
final class FootBar extends WrappingBar {

    private final ReadViewModel model;
    private final Label processing = new Label();
    private final ToggleGroup axes = new ToggleGroup();
    private final MenuButton strips = new MenuButton("Strips");
    private final Button ghost = new Button();
    private final Button found = new Button("Find phases again");

    FootBar(ReadViewModel model, StudyDesk desk) {
        this.model = model;
        HBox choices = new HBox(2);
        for (AxisKind kind : AxisKind.values()) {
            choices.getChildren().add(axis(kind));
        }
        strips.setId("strip-choice");
        strips.getStyleClass().addAll(Styles.ACTION);
        strips.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(strips, "Which strips are shown, and in which order");
        strips.setOnShowing(event -> fillStrips());
        ghost.setId("ghost");
        ghost.getStyleClass().add(Styles.ACTION);
        ghost.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(ghost, "Hold other shots against this one (G on the strips)");
        ghost.setOnAction(event -> switchGhost());
        found.setId("find-phases");
        found.getStyleClass().add(Styles.LINK);
        found.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(found, "Forget the borders set by hand");
        found.setOnAction(event -> model.findPhases());
        found.managedProperty().bind(found.visibleProperty());
        processing.getStyleClass().add(Styles.MUTED);
        fit(processing);
        getChildren().addAll(named("Zero at", choices), strips, ghost, showAll(), found, processing);
        desk.openProperty().addListener((o, was, is) -> describe());
        desk.settingsProperty().addListener((o, was, is) -> describe());
        model.ghostProperty().addListener((o, was, is) -> describe());
        describe();
    }

    private ToggleButton axis(AxisKind kind) {
        ToggleButton choice = new ToggleButton(kind.title());
        choice.setId("axis-" + kind.key());
        choice.setUserData(kind);
        choice.setToggleGroup(axes);
        choice.getStyleClass().add(Styles.CHOICE);
        choice.setMinWidth(Region.USE_PREF_SIZE);
        choice.setOnAction(event -> {
            model.chooseAxis(kind);
            describe();
        });
        return choice;
    }

    private Node showAll() {
        Button whole = new Button("Show all");
        whole.setId("show-all");
        whole.getStyleClass().add(Styles.LINK);
        whole.setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(whole, "Show the whole log (0, or double click)");
        whole.setOnAction(event -> model.reset());
        whole.visibleProperty()
                .bind(Bindings.createBooleanBinding(() -> model.figureProperty().get() != null
                        && model.viewProperty().get().length() < model.figureProperty().get().whole().length() - 1e-6,
                        model.viewProperty(), model.figureProperty()));
        whole.managedProperty().bind(whole.visibleProperty());
        return whole;
    }

    private void switchGhost() {
        if (model.ghostProperty().get() == null) {
            model.switchGhost();
        } else {
            model.clearGhost();
        }
    }

    /** One row a channel: shown or not, up, down. */
    private void fillStrips() {
        List<Channel> shown = model.options().channels();
        List<Channel> all = new ArrayList<>(shown);
        Arrays.stream(Channel.values()).filter(channel -> !shown.contains(channel)).forEach(all::add);
        strips.getItems().setAll(all.stream().map(channel -> row(channel, shown)).toList());
    }

    private CustomMenuItem row(Channel channel, List<Channel> shown) {
        CheckBox box = new CheckBox(channel.title());
        box.setId("strip-" + channel.key());
        box.setSelected(shown.contains(channel));
        box.setPrefWidth(130);
        box.setOnAction(event -> choose(channel, box.isSelected()));
        HBox line = new HBox(6, box, mover("↑", "up", channel, -1), mover("↓", "down", channel, 1));
        line.setAlignment(Pos.CENTER_LEFT);
        return new CustomMenuItem(line, false);
    }

    private void choose(Channel channel, boolean shown) {
        List<Channel> chosen = new ArrayList<>(model.options().channels());
        if (shown) {
            chosen.add(channel);
        } else {
            chosen.remove(channel);
        }
        model.chooseStrips(chosen);
        fillStrips();
    }

    private Button mover(String sign, String word, Channel channel, int by) {
        Button button = new Button(sign);
        button.setId("strip-" + channel.key() + "-" + word);
        button.getStyleClass().add(Styles.QUIET);
        button.setAccessibleText("Move " + channel.title() + " " + word);
        int at = model.options().channels().indexOf(channel);
        button.setDisable(at < 0 || at + by < 0 || at + by >= model.options().channels().size());
        button.setOnAction(event -> move(channel, at + by));
        return button;
    }

    private void move(Channel channel, int to) {
        List<Channel> chosen = new ArrayList<>(model.options().channels());
        chosen.remove(channel);
        chosen.add(to, channel);
        model.chooseStrips(chosen);
        fillStrips();
    }

    private void describe() {
        axes.getToggles().forEach(toggle -> toggle.setSelected(toggle.getUserData() == model.options().axis()));
        ghost.setText(model.ghostTitle().isEmpty() ? "Set as ghost" : model.ghostTitle() + "  ✕");
        String reference = model.referenceTitle();
        Hint.on(processing, reference);
        processing.setText((reference.isEmpty() ? "" : reference + " · ") + model.processing());
        found.setVisible(model.phasesEdited());
    }
}
