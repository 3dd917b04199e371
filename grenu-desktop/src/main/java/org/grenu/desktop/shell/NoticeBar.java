package org.grenu.desktop.shell;

import javafx.animation.PauseTransition;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.Duration;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Notice;

/**
 * What was done, for a while, or went wrong, until it is closed: in the head of the window, where it covers nothing.
 */
final class NoticeBar extends HBox {

    private static final double HEIGHT = 36;

    NoticeBar(ObjectProperty<Notice> notice) {
        getStyleClass().add(Styles.NOTICE);
        setAlignment(Pos.CENTER_LEFT);
        Label text = new Label();
        text.setId("notice");
        text.setWrapText(true);
        text.setMinWidth(0);
        text.setMaxHeight(HEIGHT);
        text.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(text, Priority.ALWAYS);
        Button close = new Button();
        close.setGraphic(Icon.CLOSE.node());
        close.getStyleClass().add(Styles.QUIET);
        close.setAccessibleText("Close this notice");
        close.setOnAction(event -> notice.set(null));
        getChildren().addAll(text, close);
        PauseTransition reading = new PauseTransition(Duration.seconds(6));
        reading.setOnFinished(event -> notice.set(null));
        notice.addListener((o, was, is) -> {
            reading.stop();
            if (is != null && is.kind() == Notice.Kind.DONE) {
                reading.playFromStart();
            }
            setVisible(is != null);
            if (is != null) {
                text.setText(is.text());
                Hint.on(text, is.text());
                getStyleClass().remove(Styles.FAILED);
                if (is.kind() == Notice.Kind.FAILED) {
                    getStyleClass().add(Styles.FAILED);
                }
            }
        });
        setVisible(false);
        setMaxHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setMinWidth(0);
        setPrefWidth(0);
    }
}
