package org.grenu.desktop.strength;

import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import org.grenu.core.extraction.Slices;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.Styles;

/** The cup as it stood after each slice. */
final class SliceTable extends GridPane {

    private static final List<
            String> HEADINGS = List.of("after slice", "in the cup, g", "strength, %", "EY as dosed, %");

    SliceTable() {
        setId("slices");
        setHgap(24);
        setVgap(2);
        for (int i = 0; i < HEADINGS.size(); i++) {
            ColumnConstraints column = new ColumnConstraints();
            column.setHalignment(HPos.RIGHT);
            getColumnConstraints().add(column);
        }
        managedProperty().bind(visibleProperty());
        setVisible(false);
    }

    void show(List<Slices.Cumulative> cups) {
        getChildren().clear();
        setVisible(!cups.isEmpty());
        for (int i = 0; i < HEADINGS.size(); i++) {
            add(word(HEADINGS.get(i), Styles.MUTED), i, 0);
        }
        for (int row = 0; row < cups.size(); row++) {
            Slices.Cumulative cup = cups.get(row);
            add(word(Integer.toString(row + 1)), 0, row + 1);
            add(word(Reported.fixed(cup.grams(), 1)), 1, row + 1);
            add(word(Reported.fixed(cup.strengthPercent(), 2)), 2, row + 1);
            add(word(Reported.fixed(cup.yieldPercent(), 2)), 3, row + 1);
        }
    }

    private static Label word(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }
}
