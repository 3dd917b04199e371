package org.grenu.desktop.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.record.Factor;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.control.WrappingBar;

/**
 * What stands below the overlaid curves: where they are lined up, what stands side by side, which strips are shown.
 */
final class OverlayBar extends WrappingBar {

    private final CompareViewModel model;
    private final ToggleGroup axes = new ToggleGroup();
    private final HBox sideBySide = new HBox();
    private final MenuButton strips = new MenuButton("Strips");

    OverlayBar(CompareViewModel model) {
        this.model = model;
        HBox choices = new HBox(2);
        for (AxisKind kind : AxisKind.values()) {
            ToggleButton choice = new ToggleButton(kind.title());
            choice.setId("compare-axis-" + kind.key());
            choice.setUserData(kind);
            choice.setToggleGroup(axes);
            choice.getStyleClass().add(Styles.CHOICE);
            choice.setMinWidth(Region.USE_PREF_SIZE);
            choice.setOnAction(event -> {
                model.choose(now -> now.withAxis(kind));
                describe();
            });
            choices.getChildren().add(choice);
        }
        strips.setId("compare-strips");
        strips.getStyleClass().add(Styles.ACTION);
        strips.setMinWidth(Region.USE_PREF_SIZE);
        strips.setOnShowing(event -> fillStrips());
        sideBySide.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(named("Zero at", choices), named("Side by side", sideBySide), strips);
        model.answeredProperty().addListener((o, was, is) -> describe());
        describe();
    }

    private void describe() {
        axes.getToggles()
                .forEach(toggle -> toggle.setSelected(toggle.getUserData() == model.choicesProperty().get().axis()));
        List<Optional<Factor>> possible = Stream
                .concat(Stream.of(Optional.<Factor>empty()), model.dividingFactors().stream().map(Optional::of))
                .toList();
        sideBySide.getChildren()
                .setAll(Choices.of("side-by-side", "Factor whose levels stand side by side", possible,
                        model.sideBySide(),
                        factor -> factor.map(Factor::title).orElse("nothing"),
                        factor -> model.choose(now -> now.withSideBySide(factor))));
    }

    private void fillStrips() {
        strips.getItems()
                .setAll(Stream.of(Channel.values())
                        .filter(channel -> channel != Channel.STEP)
                        .map(this::strip)
                        .toList());
    }

    private CustomMenuItem strip(Channel channel) {
        CheckBox box = new CheckBox(channel.title());
        box.setId("compare-strip-" + channel.key());
        box.setSelected(model.choicesProperty().get().channels().contains(channel));
        box.setOnAction(event -> {
            choose(channel, box);
        });
        return new CustomMenuItem(box, false);
    }

    private void choose(Channel channel, CheckBox box) {
        List<Channel> chosen = new ArrayList<>(model.choicesProperty().get().channels());
        chosen.remove(channel);
        if (box.isSelected()) {
            chosen.add(channel);
        }
        chosen.sort(null);
        if (!chosen.isEmpty()) {
            model.choose(now -> now.withChannels(chosen));
        }
        box.setSelected(model.choicesProperty().get().channels().contains(channel));
    }
}
