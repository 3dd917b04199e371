package org.grenu.desktop.read;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Styles;

/** A reading at the end of the hairline, its ± beneath in lighter ink. */
final class ReadingFlag extends VBox {

    private final Label reading = new Label();
    private final Label doubt = new Label();

    ReadingFlag() {
        getStyleClass().add(Styles.FLAG);
        doubt.getStyleClass().add(Styles.DOUBT);
        doubt.managedProperty().bind(doubt.visibleProperty());
        setAlignment(Pos.CENTER_RIGHT);
        setManaged(false);
        getChildren().addAll(reading, doubt);
    }

    void show(String value, String plusMinus) {
        reading.setText(value);
        doubt.setText(plusMinus);
        doubt.setVisible(!plusMinus.isEmpty());
    }

    /** Names the value, so that it can be found. */
    void name(String id) {
        reading.setId(id);
    }
}
