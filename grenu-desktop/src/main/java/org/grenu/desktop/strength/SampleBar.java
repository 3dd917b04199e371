package org.grenu.desktop.strength;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.strength.Sample;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.EntryField;
import org.grenu.desktop.entry.EntryViewModel;

/** Which sample of the shot is read, how much of it there is, and how another comes. */
final class SampleBar extends VBox {

    private final SampleChoice samples;
    private final FlowPane names = new FlowPane(4, 4);
    private final HBox mass;
    private final HBox parts;
    private final Button remove = new Button("Take this sample out");

    SampleBar(SeriesViewModel model) {
        super(6);
        this.samples = model.samples();
        mass = line(Section.word("Mass of this slice"), entry(samples.mass(), "sample-mass"), Section.word("g"));
        parts = line(entry(samples.beverage(), "sample-beverage"), Section.word("g beverage with"),
                entry(samples.water(), "sample-water"), Section.word("g water; the strength is calculated back"));
        HBox line = masses();
        getChildren().addAll(names, line);
        model.openProperty().addListener((o, was, is) -> show());
        samples.chosenProperty().addListener((o, was, is) -> show());
        show();
    }

    private HBox masses() {
        remove.setId("sample-remove");
        remove.getStyleClass().add(Styles.LINK);
        remove.setOnAction(event -> samples.remove());
        HBox line = new HBox(12, mass, parts, remove);
        line.setAlignment(Pos.CENTER_LEFT);
        line.managedProperty().bind(remove.visibleProperty());
        return line;
    }

    private static EntryField entry(EntryViewModel model, String id) {
        return new EntryField(model, id).wide(60).hinting("g");
    }

    private static HBox line(Node... nodes) {
        HBox line = new HBox(6, nodes);
        line.managedProperty().bind(line.visibleProperty());
        return line;
    }

    private void show() {
        names.getChildren().clear();
        List<String> all = samples.names();
        for (int i = 0; i < all.size(); i++) {
            names.getChildren().add(name(all.get(i), i - 1));
        }
        names.getChildren()
                .addAll(adding(Sample.Kind.SLICE, "+ Slice", "A part of the shot that ran into a cup of its own"),
                        adding(Sample.Kind.DILUTED, "+ Diluted sample", "Some of the cup with water weighed into it"),
                        adding(Sample.Kind.CUP, "+ Cup again", "A second sample of the whole cup"));
        showMasses();
    }

    private void showMasses() {
        Sample.Kind kind = samples.chosen().map(Sample::kind).orElse(null);
        mass.setVisible(kind == Sample.Kind.SLICE);
        parts.setVisible(kind == Sample.Kind.DILUTED);
        remove.setVisible(kind != null);
    }

    private Node name(String words, int place) {
        ToggleButton button = new ToggleButton(words);
        button.setId("sample-" + (place + 1));
        button.getStyleClass().setAll(Styles.CHOICE);
        button.setSelected(samples.chosenProperty().get() == place);
        button.setOnAction(event -> {
            button.setSelected(true);
            samples.chosenProperty().set(place);
        });
        return button;
    }

    private Node adding(Sample.Kind kind, String words, String meaning) {
        Button button = new Button(words);
        button.setId("sample-add-" + kind.key());
        button.getStyleClass().add(Styles.LINK);
        Hint.on(button, meaning);
        button.setOnAction(event -> samples.add(kind));
        return button;
    }
}
