package org.grenu.desktop.control;

import javafx.scene.control.Button;
import javafx.scene.layout.Region;

/** Buttons as the window has them. */
public final class Buttons {

    private Buttons() {
    }

    /** {@return a button that does that} */
    public static Button action(String id, String words, Runnable run) {
        return of(id, words, Styles.ACTION, run);
    }

    /** {@return a button that looks like a word} */
    public static Button link(String id, String words, Runnable run) {
        return of(id, words, Styles.LINK, run);
    }

    private static Button of(String id, String words, String style, Runnable run) {
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().add(style);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> run.run());
        return button;
    }
}
