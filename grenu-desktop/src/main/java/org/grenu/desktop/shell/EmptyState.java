package org.grenu.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.control.Styles;

/** What an empty library shows: what belongs here, and how to get it there. */
final class EmptyState extends VBox {

    EmptyState(Action importFiles, Action newShot, Runnable loadDemo) {
        getStyleClass().addAll(Styles.EMPTY_STATE, Styles.WORK);
        setAlignment(Pos.CENTER);
        Label title = new Label("No shots yet");
        title.getStyleClass().add(Styles.SCREEN_TITLE);
        Label words = new Label(
                "Bring the logs of your shots: CSV, TSV or JSON with time and any of pressure, flow, cup mass and "
                        + "temperature. "
                        + "Drop the files anywhere on this window. A shot without a log can be written down by hand. "
                        + "Enter dose and strength readings, "
                        + "and Grenu gives the extraction yield with its uncertainty.");
        words.getStyleClass().add(Styles.PROSE);
        words.setWrapText(true);
        words.setMaxWidth(430);
        Button take = new Button("Import shots…");
        take.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        take.setOnAction(event -> importFiles.invoke());
        Button write = new Button("Write a shot down");
        write.setId("write-shot");
        write.getStyleClass().add(Styles.ACTION);
        write.setOnAction(event -> newShot.invoke());
        Button demo = new Button("Load the demo study");
        demo.setId("load-demo");
        demo.getStyleClass().add(Styles.ACTION);
        demo.setOnAction(event -> loadDemo.run());
        HBox buttons = new HBox(8, take, write, demo);
        buttons.setAlignment(Pos.CENTER);
        getChildren().addAll(title, words, buttons);
    }
}
