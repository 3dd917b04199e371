package org.grenu.bench.peers;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** The least that a window of this toolkit can be: one empty pane, of the size of Grenu's. Says when it is laid out. */
public final class EmptyWindow extends Application {

    /** Opens it. */
    public static void main(String[] arguments) {
        launch(arguments);
    }

    @Override
    public void start(Stage stage) {
        Scene scene = new Scene(new StackPane(), 1280, 800);
        scene.addPostLayoutPulseListener(() -> {
            System.out.println("laid out");
            System.out.flush();
        });
        stage.setScene(scene);
        stage.show();
        Platform.requestNextPulse();
    }
}
